using System.Collections.Concurrent;
using System.Text.Json;
using System.Threading.Channels;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Web.Learning;
using SetFirm.Web.Storage;
using SetFirm.Web.Weather;

namespace SetFirm.Web.Jobs;

/// <summary>The lines of the yard: kept with what each was made from, made anew in the background, one job at a time.</summary>
/// <remarks>
/// A list is answered with the lines there are. One whose job was changed, or told of, since is waited for a moment; one that only time has gone by for is
/// shown as it is while it is made anew. No job can hold up the others: each has its time, and what fails says so.
/// </remarks>
internal sealed partial class YardLines(IServiceScopeFactory scopes, JobWeather weather, LearntShelf learnt, IClock clock, IOptions<JsonOptions> json, ILogger<YardLines> logger) : BackgroundService
{
    /// <summary>A line says where a job stands now; so often it is looked at anew.</summary>
    private const int SlotMinutes = 15;

    private const int SqliteCorrupt = 11;

    /// <summary>A list waits so long for lines of jobs that were just changed.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(400);

    /// <summary>One line takes no longer; on a machine with much else to do, by the clock, a small job may take a while.</summary>
    private static readonly TimeSpan MostForOne = TimeSpan.FromSeconds(6);

    private static readonly string Program = typeof(Planner).Module.ModuleVersionId.ToString("N")[..8];

    private readonly Channel<Guid> wanted = Channel.CreateUnbounded<Guid>(new UnboundedChannelOptions { SingleReader = true });
    private readonly ConcurrentDictionary<Guid, bool> waiting = new();
    private TaskCompletionSource made = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>The jobs that were not removed, the last changed first.</summary>
    public async Task<IReadOnlyList<JobLineDto>> ListAsync(CancellationToken cancellation)
    {
        var until = DateTime.UtcNow + Patience;
        while (true)
        {
            var next = made.Task;
            var heads = await HeadsAsync(cancellation);
            var now = clock.GetCurrentInstant();
            foreach (var head in heads.Where(h => h.Key != KeyOf(h.Version, h.Seq, now)))
            {
                Ask(head.Id);
            }

            var left = until - DateTime.UtcNow;
            if (left <= TimeSpan.Zero || heads.All(h => h.Key?.StartsWith(KeyOf(h.Version, h.Seq), StringComparison.Ordinal) == true))
            {
                return [.. heads.Select(Line)];
            }

            await Task.WhenAny(next, Task.Delay(left, cancellation));
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await foreach (var id in wanted.Reader.ReadAllAsync(stoppingToken))
        {
            try
            {
                await MakeAsync(id, stoppingToken);
            }
            catch (Exception e) when (e is not OperationCanceledException || !stoppingToken.IsCancellationRequested)
            {
                LogNotMade(logger, e, id);
            }

            waiting.TryRemove(id, out _);
            Interlocked.Exchange(ref made, new(TaskCreationOptions.RunContinuationsAsynchronously)).SetResult();
        }
    }

    private void Ask(Guid id)
    {
        if (waiting.TryAdd(id, true))
        {
            wanted.Writer.TryWrite(id);
        }
    }

    private JobLineDto Line(Head head)
    {
        if (head.Line is { } kept && head.Key?.EndsWith(Program, StringComparison.Ordinal) == true)
        {
            return JsonSerializer.Deserialize<JobLineDto>(kept, json.Value.SerializerOptions)! with { Version = head.Version, Name = head.Name, UpdatedAt = head.UpdatedAt, PutAway = head.IsPutAway };
        }

        return YardLine.Bare(head.Id, head.Version, head.Name, head.UpdatedAt, head.IsDamaged ? LineState.Unplannable : LineState.Pending) with { PutAway = head.IsPutAway };
    }

    private async Task MakeAsync(Guid id, CancellationToken stop)
    {
        await using var scope = scopes.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
        var row = await db.Jobs.AsNoTracking().SingleOrDefaultAsync(j => j.Id == id && j.RemovedAt == null, stop);
        if (row is null)
        {
            return;
        }

        var now = clock.GetCurrentInstant();
        var seq = await db.Log.Where(l => l.JobId == id).MaxAsync(l => (long?)l.Seq, stop) ?? 0;
        var key = KeyOf(row.Version, seq, now);
        if (await db.Lines.AnyAsync(l => l.JobId == id && l.Key == key, stop))
        {
            return; // it was asked for twice
        }

        var log = (await LogEndpoints.ReadAsync(db, [id], json.Value.SerializerOptions, stop))[id].ToArray();
        var line = Made(row, log, await learnt.InUseAsync(stop), now, stop);
        await db.KeepLineAsync(id, KeyOf(row.Version, log.Length, now), JsonSerializer.Serialize(line, json.Value.SerializerOptions), stop);
    }

    private JobLineDto Made(JobRow row, IReadOnlyList<Core.Events.JobEvent> log, Core.Learning.LearntValues values, Instant now, CancellationToken stop)
    {
        try
        {
            return KeptJob.Read(row.Document) is JobRead.Ok { Document: var job }
                ? YardLine.Of(row, job with { Learnt = values }, weather.For(job), log, now, new Budget(MostForOne, stop))
                : YardLine.Bare(row.Id, row.Version, row.Name, row.UpdatedAt, LineState.Unplannable);
        }
        catch (Exception e) when (!stop.IsCancellationRequested)
        {
            LogNotMade(logger, e, row.Id);
            return YardLine.Bare(row.Id, row.Version, row.Name, row.UpdatedAt, LineState.Unplannable);
        }
    }

    // What a line was made from; what it says now ends with the slot and the program.
    private static string KeyOf(int version, long seq) => $"{version}.{seq}.";

    private static string KeyOf(int version, long seq, Instant now) => $"{KeyOf(version, seq)}{now.ToUnixTimeSeconds() / 60 / SlotMinutes}.{Program}";

    private async Task<IReadOnlyList<Head>> HeadsAsync(CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
        try
        {
            return await Heads(db, null).ToListAsync(cancellation);
        }
        catch (SqliteException e) when (e.SqliteErrorCode == SqliteCorrupt)
        {
            return await WholeOnesAsync(db, cancellation);
        }
    }

    // A page of the file is damaged: the index still knows the jobs, and those that can be read are.
    private static async Task<IReadOnlyList<Head>> WholeOnesAsync(SetFirmDb db, CancellationToken cancellation)
    {
        var found = new List<Head>();
        foreach (var id in await db.Jobs.AsNoTracking().Select(j => j.Id).ToListAsync(cancellation))
        {
            try
            {
                found.AddRange(await Heads(db, id).ToListAsync(cancellation));
            }
            catch (SqliteException e) when (e.SqliteErrorCode == SqliteCorrupt)
            {
                found.Add(new Head(id, 0, "", default, 0, null, null) { IsDamaged = true });
            }
        }

        return [.. found.OrderByDescending(h => h.UpdatedAt)];
    }

    private static IQueryable<Head> Heads(SetFirmDb db, Guid? one) => db.Jobs.AsNoTracking()
        .Where(j => j.RemovedAt == null && (one == null || j.Id == one)).OrderByDescending(j => j.UpdatedAt)
        .Select(j => new Head(
            j.Id, j.Version, j.Name, j.UpdatedAt, db.Log.Where(l => l.JobId == j.Id).Max(l => (long?)l.Seq) ?? 0,
            db.Lines.Where(l => l.JobId == j.Id).Select(l => l.Key).FirstOrDefault(), db.Lines.Where(l => l.JobId == j.Id).Select(l => l.Line).FirstOrDefault())
        { IsPutAway = j.PutAwayAt != null });

    [LoggerMessage(LogLevel.Warning, "The line of job {Id} could not be made.")]
    private static partial void LogNotMade(ILogger logger, Exception e, Guid id);

    private sealed record Head(Guid Id, int Version, string Name, Instant UpdatedAt, long Seq, string? Key, string? Line)
    {
        public bool IsDamaged { get; init; }

        public bool IsPutAway { get; init; }
    }
}
