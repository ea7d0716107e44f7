using System.Text.Json;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Weather;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Demo;

/// <summary>The demo: the garden of 14 Heron Row, Ostrey, where Ines and her brother Odd pour, laid into a data file. All of it made up.</summary>
internal static class DemoYard
{
    /// <summary>A zone that names no place.</summary>
    public const string TimeZone = "CET";

    /// <summary>Lays the yard out once; a yard that has jobs, removed ones too, is left as it is.</summary>
    /// <param name="db">Takes it.</param>
    /// <param name="now">The day that it is laid round.</param>
    /// <param name="weather">Of a job.</param>
    /// <param name="json">How a line of a diary is kept.</param>
    public static void Seed(SetFirmDb db, Instant now, Func<JobDocument, HourlyWeather> weather, JsonSerializerOptions json)
    {
        if (db.Jobs.Any())
        {
            return;
        }

        var local = now.InZone(DateTimeZoneProviders.Tzdb[TimeZone]).LocalDateTime;
        var age = Duration.Zero;
        foreach (var laid in DemoJobs.Jobs(local))
        {
            var job = laid.Name == DemoJobs.HalfWayName ? DemoTold.HalfWay(laid, now, weather(laid)) : laid;
            var id = Guid.CreateVersion7();
            db.Jobs.Add(new JobRow
            {
                Id = id,
                Name = job.Name,
                Document = JobFile.Write(job),
                Version = 1,
                CreatedAt = now - age,
                UpdatedAt = now - age,
            });
            IEnumerable<JobEvent> told = job.Name == DemoJobs.HalfWayName ? DemoTold.SoFar(job, now, weather(job)) : [.. DemoPours.Told(job, weather(job)), .. DemoTold.Of(job, now, weather(job))];
            Tell(db, id, told, json);
            age += Duration.FromHours(5);
        }

        db.SaveChanges();
    }

    /// <summary>Sets the day that is half over anew, so that it is half over now; one that somebody else told of is left as it is.</summary>
    public static void SetHalfWay(SetFirmDb db, Instant now, Func<JobDocument, HourlyWeather> weather, JsonSerializerOptions json)
    {
        if (db.Jobs.SingleOrDefault(j => j.Name == DemoJobs.HalfWayName && j.RemovedAt == null) is not { } row)
        {
            return;
        }

        var told = db.Log.Where(l => l.JobId == row.Id).ToList();
        if (told.Any(l => JsonSerializer.Deserialize<JobEvent>(l.Entry, json)!.Device is not (DemoTold.Ines or DemoTold.Odd)))
        {
            return;
        }

        var laid = DemoJobs.Jobs(now.InZone(DateTimeZoneProviders.Tzdb[TimeZone]).LocalDateTime).Single(j => j.Name == DemoJobs.HalfWayName);
        var job = DemoTold.HalfWay(laid, now, weather(laid));
        (row.Document, row.Version, row.UpdatedAt) = (JobFile.Write(job), row.Version + 1, now);
        db.Log.RemoveRange(told);
        db.SaveChanges();
        Tell(db, row.Id, DemoTold.SoFar(job, now, weather(job)), json);
        db.SaveChanges();
    }

    private static void Tell(SetFirmDb db, Guid id, IEnumerable<JobEvent> lines, JsonSerializerOptions json) => db.Log.AddRange(lines.OrderBy(line => line.At).Select((line, i) => new LogRow
    {
        JobId = id,
        Seq = i + 1,
        Id = line.Id,
        At = line.At,
        ReceivedAt = line.At,
        Entry = JsonSerializer.Serialize(line, json),
    }));
}
