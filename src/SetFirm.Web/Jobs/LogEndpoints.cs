using System.Globalization;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using NodaTime.Text;
using SetFirm.Answers;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Web.Learning;
using SetFirm.Web.Live;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Jobs;

/// <summary>A line of a job's log, as it is kept.</summary>
/// <param name="Seq">Its place in the log of the job, from 1; who has read up to it asks for what comes after.</param>
/// <param name="ReceivedAt">When it came, by the clock of the service.</param>
/// <param name="Event">What was told.</param>
public sealed record LogLine(long Seq, Instant ReceivedAt, JobEvent Event);

/// <summary>The log of a job: lines are added and read, never changed.</summary>
internal static class LogEndpoints
{
    public const int MostAtOnce = 200;

    public static void MapLog(this IEndpointRouteBuilder api)
    {
        var log = api.MapGroup("/jobs/{id:guid}/log");
        log.MapGet("", ListAsync).WithName("ListLog").Produces<LogLine[]>().ProducesProblem(404);
        log.MapGet("/csv", TableAsync).WithName("GetLogTable").Produces<string>(200, "text/csv").ProducesProblem(404);
        log.MapPost("", AddAsync).WithName("AddLog").ForCrew().Accepts<JobEvent[]>("application/json").Produces<LogLine[]>()
            .ProducesProblem(400).ProducesProblem(404).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }

    /// <summary>All that was told of jobs, in the order in which it came.</summary>
    public static async Task<ILookup<Guid, JobEvent>> ReadAsync(SetFirmDb db, IReadOnlyList<Guid> jobs, JsonSerializerOptions options, CancellationToken cancellation)
    {
        var rows = await db.Log.AsNoTracking().Where(l => jobs.Contains(l.JobId)).OrderBy(l => l.Seq).ToListAsync(cancellation);
        return rows.ToLookup(l => l.JobId, l => EventOf(l, options));
    }

    // A query is bound by the letter: what is no number asks for everything.
    private static async Task<IResult> ListAsync(Guid id, string? after, SetFirmDb db, IOptions<JsonOptions> json, CancellationToken cancellation) =>
        await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation)
            ? TypedResults.Ok(await LinesAsync(db, id, long.TryParse(after, out var seq) ? seq : 0, json.Value.SerializerOptions, cancellation))
            : Problems.NoSuchJob();

    // What is told twice, because the first answer was lost, is one line. It is written before it is answered.
    private static async Task<IResult> AddAsync(Guid id, HttpRequest request, SetFirmDb db, IClock clock, News news, LearntShelf learnt, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return unreadable;
        }

        var options = json.Value.SerializerOptions;
        var (told, wrong) = LogReader.Read(body.Json, MostAtOnce, "$", options);
        if (told is null)
        {
            return Problems.Of(wrong!);
        }

        if (await db.Jobs.AsNoTracking().Where(j => j.Id == id && j.RemovedAt == null).Select(j => j.Document).SingleOrDefaultAsync(cancellation) is not { } document)
        {
            return Problems.NoSuchJob();
        }

        if (told.FindIndex(e => e is JobEvent.Coated) is >= 0 && KeptJob.Read(document) is JobRead.Ok { Document.Cure.Coats: var coats }
            && told.FindIndex(e => e is JobEvent.Coated coat && coat.Product >= coats.Count) is >= 0 and var at)
        {
            return Problems.Of(new JobRead.Unreadable($"$[{at}].product", $"the job has {coats.Count} coats"));
        }

        Guid[] ids = [.. told.Select(t => t.Id)];
        if (await db.Log.CountAsync(l => l.JobId == id && !ids.Contains(l.Id), cancellation) + told.Count > LogReader.MostOfAJob)
        {
            return Problems.DiaryFull(LogReader.MostOfAJob);
        }

        // It begins by writing, so that of two who tell at once one waits for the other: their numbers never meet.
        await using (var transaction = await db.Database.BeginTransactionAsync(cancellation))
        {
            foreach (var said in told)
            {
                await db.AppendAsync(id, said.Id, said.At, clock.GetCurrentInstant(), JsonSerializer.Serialize(said, options), cancellation);
            }

            await transaction.CommitAsync(cancellation);
        }

        learnt.Forget(id);
        var lines = await LinesAsync(db, id, 0, options, cancellation);
        await news.ToldAsync(id, lines.Length == 0 ? 0 : lines[^1].Seq);
        return TypedResults.Ok(lines);
    }

    // For a spreadsheet: what is told of each kind stands in one column as JSON, and no cell begins a formula.
    private static async Task<IResult> TableAsync(Guid id, SetFirmDb db, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        if (!await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation))
        {
            return Problems.NoSuchJob();
        }

        await using var text = new StringWriter(CultureInfo.InvariantCulture);
        await using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape }))
        {
            foreach (var name in (ReadOnlySpan<string>)["seq", "at", "receivedAt", "pour", "kind", "device", "note", "zone", "batch", "pass", "what"])
            {
                csv.WriteField(name);
            }

            await csv.NextRecordAsync();
            foreach (var line in await LinesAsync(db, id, 0, json.Value.SerializerOptions, cancellation))
            {
                var said = JsonSerializer.SerializeToNode(line.Event, json.Value.SerializerOptions)!.AsObject();
                csv.WriteField(line.Seq);
                csv.WriteField(InstantPattern.ExtendedIso.Format(line.Event.At));
                csv.WriteField(InstantPattern.ExtendedIso.Format(line.ReceivedAt));
                foreach (var name in (ReadOnlySpan<string>)["pour", "kind", "device", "note", "zone", "batch", "pass"])
                {
                    csv.WriteField(said[name]?.ToString() ?? "");
                    said.Remove(name);
                }

                said.Remove("id");
                said.Remove("at");
                csv.WriteField(said.Count == 0 ? "" : said.ToJsonString());
                await csv.NextRecordAsync();
            }
        }

        return TypedResults.Text(text.ToString(), "text/csv; charset=utf-8");
    }

    private static async Task<LogLine[]> LinesAsync(SetFirmDb db, Guid job, long after, JsonSerializerOptions options, CancellationToken cancellation)
    {
        var rows = await db.Log.AsNoTracking().Where(l => l.JobId == job && l.Seq > after).OrderBy(l => l.Seq).ToListAsync(cancellation);
        return [.. rows.Select(l => new LogLine(l.Seq, l.ReceivedAt, EventOf(l, options)))];
    }

    private static JobEvent EventOf(LogRow row, JsonSerializerOptions options) => JsonSerializer.Deserialize<JobEvent>(row.Entry, options)!;
}
