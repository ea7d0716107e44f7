using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Plans.Document;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Jobs;

/// <summary>The diary of a job: lines are added and read, never changed.</summary>
internal static class LogEndpoints
{
    public const int MostAtOnce = 200;
    private const int LongestNote = 2_000;

    public static void MapLog(this IEndpointRouteBuilder api)
    {
        var log = api.MapGroup("/jobs/{id:guid}/log");
        log.MapGet("", ListAsync).WithName("ListLog").Produces<LogEntry[]>().ProducesProblem(404);
        log.MapPost("", AddAsync).WithName("AddLog").Accepts<LogEntry[]>("application/json").Produces<LogEntry[]>()
            .ProducesProblem(400).ProducesProblem(404).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }

    /// <summary>All lines of jobs, oldest first.</summary>
    public static async Task<ILookup<Guid, LogEntry>> ReadAsync(SetFirmDb db, IReadOnlyList<Guid> jobs, JsonSerializerOptions options, CancellationToken cancellation)
    {
        var rows = await db.Log.AsNoTracking().Where(l => jobs.Contains(l.JobId)).OrderBy(l => l.At).ToListAsync(cancellation);
        return rows.ToLookup(l => l.JobId, l => JsonSerializer.Deserialize<LogEntry>(l.Entry, options)!);
    }

    private static async Task<IResult> ListAsync(Guid id, SetFirmDb db, IOptions<JsonOptions> json, CancellationToken cancellation) =>
        await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation)
            ? TypedResults.Ok((await ReadAsync(db, [id], json.Value.SerializerOptions, cancellation))[id].ToArray())
            : Problems.NoSuchJob();

    // What is told twice, because the first answer was lost, is one line. It is written before it is answered.
    private static async Task<IResult> AddAsync(Guid id, HttpRequest request, SetFirmDb db, IClock clock, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return unreadable;
        }

        LogEntry?[]? entries;
        try
        {
            entries = body.Json.Deserialize<LogEntry[]>(json.Value.SerializerOptions);
        }
        catch (JsonException e)
        {
            return Problems.Of(new JobRead.Unreadable(e.Path ?? "$", "the value is missing or of another kind"));
        }

        if (entries is null || entries.Length > MostAtOnce || entries.Any(e => e is null || e.Note.Length > LongestNote || !Enum.IsDefined(e.Kind)))
        {
            return Problems.Of(new JobRead.Unreadable("$", $"a list of at most {MostAtOnce} entries is wanted, with notes of at most {LongestNote} letters"));
        }

        if (!await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation))
        {
            return Problems.NoSuchJob();
        }

        var told = entries.OfType<LogEntry>().DistinctBy(e => e.Id).ToArray();
        var ids = told.Select(e => e.Id).ToArray();
        var known = await db.Log.Where(l => ids.Contains(l.Id)).Select(l => l.Id).ToListAsync(cancellation);
        var now = clock.GetCurrentInstant();
        db.Log.AddRange(told.Where(e => !known.Contains(e.Id)).Select(e => new LogRow
        {
            Id = e.Id,
            JobId = id,
            At = e.At,
            ReceivedAt = now,
            Entry = JsonSerializer.Serialize(e, json.Value.SerializerOptions),
        }));
        await db.SaveChangesAsync(cancellation);
        return TypedResults.Ok((await ReadAsync(db, [id], json.Value.SerializerOptions, cancellation))[id].ToArray());
    }
}
