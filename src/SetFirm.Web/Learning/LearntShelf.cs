using System.Collections.Immutable;
using System.Text.Json;
using System.Threading.Channels;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Web.Jobs;
using SetFirm.Web.Storage;
using SetFirm.Web.Weather;

namespace SetFirm.Web.Learning;

/// <summary>What a book was made of.</summary>
/// <param name="Book">What the record teaches, and what was said of it.</param>
/// <param name="Pours">All pours that were told of, those that were taken out too.</param>
/// <param name="LeftOut">Of them.</param>
/// <param name="Names">Of their jobs.</param>
internal sealed record Record(LearntBook Book, ImmutableArray<PourRecord> Pours, ImmutableHashSet<PourId> LeftOut, ImmutableDictionary<Guid, string> Names);

/// <summary>The yard's record: what each job's pours say is made once and kept, and the book of it stays in memory until something changes.</summary>
/// <remarks>A job that cannot be read, or takes too long, teaches nothing and holds nobody up.</remarks>
internal sealed partial class LearntShelf(IServiceScopeFactory scopes, JobWeather weather, IClock clock, IOptions<JsonOptions> json, ILogger<LearntShelf> logger) : IDisposable
{
    private static readonly TimeSpan MostForOne = TimeSpan.FromSeconds(6);

    private static readonly string Program = typeof(Planner).Module.ModuleVersionId.ToString("N")[..8];

    private readonly SemaphoreSlim oneInUse = new(1);
    private readonly SemaphoreSlim oneRecord = new(1);
    private Record? known;
    private LearntValues? inUse;
    private int changes;

    // More than so many wait for nobody: what is not read ahead is read when it is asked for.
    private readonly Channel<Guid> changed = Channel.CreateBounded<Guid>(new BoundedChannelOptions(4_096) { FullMode = BoundedChannelFullMode.DropWrite });

    /// <summary>Jobs that were changed or told of, in order.</summary>
    public ChannelReader<Guid> Changed => changed.Reader;

    /// <summary>A job was changed or told of: what it says is read anew, soon, or by who asks first.</summary>
    public void Forget(Guid job)
    {
        Forget();
        changed.Writer.TryWrite(job);
    }

    /// <summary>Something was decided, or came or went: the next to ask gets it anew.</summary>
    public void Forget()
    {
        Interlocked.Increment(ref changes);
        Volatile.Write(ref known, null);
        Volatile.Write(ref inUse, null);
    }

    /// <summary>What plans are to be made with now: asked with every key pressed, so only what was decided on is looked at, and nobody waits for the rest of the record.</summary>
    public async ValueTask<LearntValues> InUseAsync(CancellationToken cancellation)
    {
        try
        {
            return await OnceAsync(
                oneInUse,
                () => Volatile.Read(ref inUse),
                values => Volatile.Write(ref inUse, values),
                async db =>
                {
                    var jobs = (await DecisionsAsync(db, cancellation)).SelectMany(d => d.By).Select(b => b.Job).ToHashSet();
                    return jobs.Count == 0 ? LearntValues.None : (await MadeAsync(db, jobs, cancellation)).Book.InUse;
                },
                cancellation);
        }
        catch (Exception e) when (e is SqliteException or JsonException)
        {
            // A plan is made all the same where the data file cannot be read.
            LogNotInUse(logger, e);
            return LearntValues.None;
        }
    }

    /// <summary>Jobs that something was told of.</summary>
    public async Task<IReadOnlyList<Guid>> ToldJobsAsync(CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
        return await db.Jobs.AsNoTracking().Where(j => j.RemovedAt == null && db.Log.Any(l => l.JobId == j.Id)).Select(j => j.Id).ToListAsync(cancellation);
    }

    /// <summary>Reads what one job says, unless that is known.</summary>
    public async Task ReadAsync(Guid job, CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        await MadeAsync(scope.ServiceProvider.GetRequiredService<SetFirmDb>(), [job], cancellation);
    }

    public ValueTask<Record> RecordAsync(CancellationToken cancellation) =>
        OnceAsync(oneRecord, () => Volatile.Read(ref known), record => Volatile.Write(ref known, record), db => MadeAsync(db, null, cancellation), cancellation);

    // Made once for all who ask, and kept unless something changed meanwhile.
    private async ValueTask<T> OnceAsync<T>(SemaphoreSlim one, Func<T?> there, Action<T> keep, Func<SetFirmDb, Task<T>> make, CancellationToken cancellation)
        where T : class
    {
        if (there() is { } known)
        {
            return known;
        }

        await one.WaitAsync(cancellation);
        try
        {
            if (there() is { } made)
            {
                return made;
            }

            var before = Volatile.Read(ref changes);
            await using var scope = scopes.CreateAsyncScope();
            var value = await make(scope.ServiceProvider.GetRequiredService<SetFirmDb>());
            if (Volatile.Read(ref changes) == before)
            {
                keep(value);
            }

            return value;
        }
        finally
        {
            one.Release();
        }
    }

    public void Dispose()
    {
        oneInUse.Dispose();
        oneRecord.Dispose();
    }

    private static async Task<Decision[]> DecisionsAsync(SetFirmDb db, CancellationToken cancellation) =>
        [.. (await db.Decisions.AsNoTracking().ToListAsync(cancellation)).Select(d => new Decision(new LearntKey(d.Of, d.What, d.Who), d.Word, Pours(d.By)))];

    private async Task<Record> MadeAsync(SetFirmDb db, HashSet<Guid>? only, CancellationToken cancellation)
    {
        var heads = await db.Jobs.AsNoTracking().Where(j => j.RemovedAt == null && (only == null || only.Contains(j.Id)))
            .Select(j => new
            {
                j.Id,
                j.Name,
                j.Version,
                Seq = db.Log.Where(l => l.JobId == j.Id).Max(l => (long?)l.Seq) ?? 0,
                Kept = db.Readings.Where(r => r.JobId == j.Id).Select(r => new { r.Key, r.Pours }).FirstOrDefault(),
            })
            .Where(j => j.Seq > 0).ToListAsync(cancellation);
        var pours = ImmutableArray.CreateBuilder<PourRecord>();
        foreach (var head in heads)
        {
            // A day that nobody closed is over a day later; of those that were closed nothing changes with time.
            var key = $"{head.Version}.{head.Seq}.{Program}";
            pours.AddRange(head.Kept?.Key == key || head.Kept?.Key == Today(key) ? JsonSerializer.Deserialize<PourRecord[]>(head.Kept.Pours, json.Value.SerializerOptions)! : await OfJobAsync(db, head.Id, key, cancellation));
        }

        var out_ = (await db.LeftOut.AsNoTracking().ToListAsync(cancellation)).Select(l => new PourId(l.JobId, l.Pour)).ToImmutableHashSet();
        var decisions = await DecisionsAsync(db, cancellation);
        var all = pours.ToImmutable();
        return new Record(LearntBook.Of(all.Where(p => !out_.Contains(p.Id)), decisions), all, out_, heads.ToImmutableDictionary(h => h.Id, h => h.Name));
    }

    private string Today(string key) => $"{key}.{clock.GetCurrentInstant().ToUnixTimeSeconds() / 86_400}";

    /// <summary>As kept.</summary>
    public static ImmutableArray<PourId> Pours(string kept) => [.. JsonSerializer.Deserialize<PourId[]>(kept)!];

    public static string Kept(IEnumerable<PourId> pours) => JsonSerializer.Serialize(pours);

    private async Task<IReadOnlyList<PourRecord>> OfJobAsync(SetFirmDb db, Guid id, string key, CancellationToken cancellation)
    {
        IReadOnlyList<PourRecord> says = [];
        try
        {
            if (await db.Jobs.AsNoTracking().SingleOrDefaultAsync(j => j.Id == id, cancellation) is { } row && KeptJob.Read(row.Document) is JobRead.Ok { Document: var job })
            {
                var log = (await LogEndpoints.ReadAsync(db, [id], json.Value.SerializerOptions, cancellation))[id].ToArray();
                key = PourReadings.AllClosed(log) ? key : Today(key);
                says = PourReadings.Of(id, job, weather.For(job), log, clock.GetCurrentInstant(), new Budget(MostForOne, cancellation));
            }
        }
        catch (Exception e) when (!cancellation.IsCancellationRequested)
        {
            LogNotRead(logger, e, id);
        }

        await db.KeepReadingsAsync(id, key, JsonSerializer.Serialize(says, json.Value.SerializerOptions), cancellation);
        return says;
    }

    [LoggerMessage(LogLevel.Warning, "What was learnt could not be read: plans are made without it.")]
    private static partial void LogNotInUse(ILogger logger, Exception e);

    [LoggerMessage(LogLevel.Warning, "What job {Id} says of later ones could not be read.")]
    private static partial void LogNotRead(ILogger logger, Exception e, Guid id);
}
