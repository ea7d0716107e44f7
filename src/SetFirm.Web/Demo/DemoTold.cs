using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Demo;

/// <summary>What Ines and Odd told of their jobs.</summary>
internal static class DemoTold
{
    public const string Ines = "Ines";
    public const string Odd = "Odd";

    /// <summary>From its first water to its last pass: half of it lies behind.</summary>
    public static JobDocument HalfWay(JobDocument job, Instant now, HourlyWeather weather)
    {
        var day = Planner.Plan(job, weather).Pour!.Day!;
        var start = (now - ((day.DoneBy - day.Start) / 2)).InZone(DateTimeZoneProviders.Tzdb[DemoYard.TimeZone]).LocalDateTime;
        return job with { Day = job.Day with { Date = LocalDatePattern.Iso.Format(start.Date), Start = LocalTimePattern.CreateWithInvariantCulture("HH:mm").Format(start.TimeOfDay) } };
    }

    /// <summary>Ines mixes and Odd finishes: what the plan has until now, a little later than planned.</summary>
    public static IEnumerable<JobEvent> SoFar(JobDocument job, Instant now, HourlyWeather weather)
    {
        var day = Planner.Plan(job, weather).Pour!.Day!;
        var plan = day.Planned;
        Instant Late(Instant at) => plan.Start + ((at - plan.Start) * 1.06);
        var told = new List<JobEvent> { new JobEvent.DayBegun { Id = Guid.CreateVersion7(), At = plan.Start, Plan = plan, Device = Ines } };
        for (var i = 0; i < plan.Batches.Count; i++)
        {
            told.Add(new JobEvent.BatchMixing { Id = Guid.CreateVersion7(), At = Late(plan.Batches[i].Begun), Batch = i + 1, Device = Ines });
            told.Add(new JobEvent.BatchPlaced { Id = Guid.CreateVersion7(), At = Late(plan.Batches[i].Placed), Batch = i + 1, Device = Odd });
        }

        foreach (var zone in day.Zones)
        {
            if (zone.SheenGone is { } gone)
            {
                told.Add(new JobEvent.SheenGone { Id = Guid.CreateVersion7(), At = Late(gone), Zone = zone.Number, Device = Odd });
            }

            foreach (var pass in zone.Passes.Where(p => p.Begins is not null))
            {
                var begins = Late(pass.Begins!.Value) + Duration.FromMinutes(2);
                told.Add(new JobEvent.PassBegun { Id = Guid.CreateVersion7(), At = begins, Zone = zone.Number, Pass = pass.Pass, Device = Odd });
                told.Add(new JobEvent.PassDone { Id = Guid.CreateVersion7(), At = begins + (pass.Work / Math.Max(1, pass.Hands)), Zone = zone.Number, Pass = pass.Pass, Device = Odd });
            }
        }

        return told.Where(line => line.At <= now);
    }

    /// <summary>Of a job that lies each wetting a little before it was due, and the day the boards came off; of one that is to come what had to be begun by yesterday.</summary>
    public static IEnumerable<JobEvent> Of(JobDocument job, Instant now, HourlyWeather weather)
    {
        var early = Duration.FromMinutes(12);
        var plan = Planner.Plan(job, weather);
        foreach (var task in JobTasks.Of(plan, Told.Nothing, now).Where(t => t.Late))
        {
            yield return new JobEvent.TaskDone { Id = Guid.CreateVersion7(), At = now - Duration.FromHours(14), Task = task.Key, Device = Ines };
        }

        foreach (var pour in Planner.Pours(plan, weather).Where(p => p.Cure is not null))
        {
            var (id, cure) = (pour.Load.Sketch.Id, pour.Cure!);
            foreach (var wetting in cure.Wettings.Where(w => w.At < now))
            {
                yield return new JobEvent.Wetted { Id = Guid.CreateVersion7(), At = wetting.At - early, Pour = id };
            }

            if (cure.Milestones.FirstOrDefault(m => m.Milestone == Milestone.StripEdges)?.At + Duration.FromHours(6) is { } off && off < now)
            {
                yield return new JobEvent.BoardsOff { Id = Guid.CreateVersion7(), At = off, Pour = id };
            }
        }
    }
}
