using System.Globalization;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;
using SetFirm.Web.Learning;
using SetFirm.Web.Live;
using SetFirm.Web.Storage;
using SetFirm.Web.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Jobs;

/// <summary>The yard: jobs kept, read, changed with If-Match, removed and brought back.</summary>
internal static class JobEndpoints
{
    private const int LongestName = 120;

    /// <summary>Among so many a job of the same system is looked for, to go on from its prices and its kit.</summary>
    private const int RecentJobs = 12;

    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    public static void MapJobs(this IEndpointRouteBuilder api)
    {
        var jobs = api.MapGroup("/jobs");
        jobs.MapGet("", ListAsync).WithName("ListJobs").Produces<JobLineDto[]>();
        jobs.MapGet("/start", StartingAsync).WithName("StartingJob").Produces<JobDocument>().ProducesProblem(422);
        jobs.MapGet("/example", Example).WithName("ExampleJob").Produces<JobDocument>().ProducesProblem(422);
        api.MapGet("/lessons", ListLessons).WithName("ListLessons").Produces<LessonDto[]>().ProducesProblem(422);
        jobs.MapPost("", AddAsync).WithName("AddJob").Accepts<JobDocument>("application/json").Produces<JobDto>(201)
            .ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
        jobs.MapGet("/{id:guid}", GetAsync).WithName("GetJob").Produces<JobDto>().ProducesProblem(404).ProducesProblem(422);
        jobs.MapPut("/{id:guid}", ChangeAsync).WithName("ChangeJob").Accepts<JobDocument>("application/json").Produces<JobDto>()
            .ProducesProblem(400).ProducesProblem(404).ProducesProblem(412).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422).ProducesProblem(428);
        jobs.MapDelete("/{id:guid}", RemoveAsync).WithName("RemoveJob").Produces(204).ProducesProblem(404).ProducesProblem(412).ProducesProblem(428);
        jobs.MapPost("/{id:guid}/restore", RestoreAsync).WithName("RestoreJob").Produces<JobDto>().ProducesProblem(404);
        jobs.MapPost("/{id:guid}/away", (Guid id, SetFirmDb db, IClock clock, CancellationToken c) => PutAwayAsync(id, clock.GetCurrentInstant(), db, c)).WithName("PutJobAway").Produces(204).ProducesProblem(404);
        jobs.MapDelete("/{id:guid}/away", (Guid id, SetFirmDb db, CancellationToken c) => PutAwayAsync(id, null, db, c)).WithName("TakeJobOut").Produces(204).ProducesProblem(404);
        jobs.MapGet("/removed", ListRemovedAsync).WithName("ListRemoved").Produces<RemovedJobDto[]>();
        jobs.MapDelete("/removed", EmptyAsync).WithName("EmptyRemoved").Produces(204);
        jobs.MapGet("/{id:guid}/versions", ListVersionsAsync).WithName("ListVersions").Produces<PastVersionDto[]>().ProducesProblem(404);
        jobs.MapGet("/{id:guid}/versions/{version:int}", GetVersionAsync).WithName("GetVersion").Produces<JobDocument>().ProducesProblem(404).ProducesProblem(422);
    }

    private static async Task<IResult> ListAsync(YardLines lines, CancellationToken cancellation) => TypedResults.Ok(await lines.ListAsync(cancellation));

    // Units come as text: a query is bound by the letter, and the contract writes them small.
    private static async Task<IResult> StartingAsync(
        string? name, string? units, string? timeZone, string? kind, SetFirmDb db, JobWeather weather, LearntShelf learnt, Preferences preferences, IClock clock, CancellationToken cancellation)
    {
        if (!Enum.TryParse<StartKind>(kind ?? nameof(StartKind.Slab), ignoreCase: true, out var poured) || !Enum.IsDefined(poured))
        {
            return Problems.UnknownKind(kind ?? "");
        }

        var (system, zone, tomorrow, wrong) = Whose(units, timeZone, clock);
        if (wrong is not null)
        {
            return wrong;
        }

        var start = StartingJob.Of(name ?? "", system, zone.Id, tomorrow, poured);
        var recent = await db.Jobs.AsNoTracking().Where(j => j.RemovedAt == null).OrderByDescending(j => j.UpdatedAt).Take(RecentJobs).ToListAsync(cancellation);
        var last = recent.Select(r => KeptJob.Read(r.Document)).OfType<JobRead.Ok>().Select(r => r.Document).FirstOrDefault(d => d.Units == system);
        var job = await Things.PricesAsync(db, preferences.Now.On(last is null ? start : StartingJob.After(start, last)) with { Learnt = await learnt.InUseAsync(cancellation) }, cancellation);
        // The best hour of the days ahead, or tomorrow at eight where none will do.
        var best = Planner.Starts(job, weather.Ahead(job), notBefore: zone.AtStartOfDay(tomorrow).ToInstant(), members: DayPlanner.BandMembers).First;
        return TypedResults.Ok(best is null ? job : job with
        {
            Day = job.Day with { Date = LocalDatePattern.Iso.Format(best.Local.Date), Start = TimePattern.Format(best.Local.TimeOfDay) },
        });
    }

    // The demo's terrace, for who would rather play first; it is kept nowhere until it is added.
    private static IResult Example(string? timeZone, IClock clock)
    {
        var (_, zone, tomorrow, wrong) = Whose(null, timeZone, clock);
        return wrong ?? TypedResults.Ok(Demo.DemoJobs.Terrace(tomorrow.PlusDays(2)) with { TimeZone = zone.Id });
    }

    private static IResult ListLessons(string? units, string? timeZone, IClock clock)
    {
        var (system, zone, tomorrow, wrong) = Whose(units, timeZone, clock);
        return wrong ?? TypedResults.Ok(Enum.GetValues<Lesson>().Select(l => new LessonDto(l, Lessons.Of(l, system, zone.Id, tomorrow))).ToArray());
    }

    private static (UnitSystem Units, DateTimeZone Zone, LocalDate Tomorrow, IResult? Wrong) Whose(string? units, string? timeZone, IClock clock)
    {
        var known = Enum.TryParse<UnitSystem>(units ?? nameof(UnitSystem.Metric), ignoreCase: true, out var system) && Enum.IsDefined(system);
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone ?? "UTC");
        IResult? wrong = !known ? Problems.UnknownUnits(units ?? "") : zone is null ? Problems.UnknownTimeZone(timeZone ?? "") : null;
        return (system, zone ?? DateTimeZone.Utc, clock.GetCurrentInstant().InZone(zone ?? DateTimeZone.Utc).Date.PlusDays(1), wrong);
    }

    private static async Task<IResult> AddAsync(HttpRequest request, SetFirmDb db, IClock clock, CancellationToken cancellation)
    {
        var (document, problem) = await JobIn(request, cancellation);
        if (document is null)
        {
            return problem!;
        }

        var now = clock.GetCurrentInstant();
        var row = new JobRow
        {
            Id = Guid.CreateVersion7(),
            Name = document.Name,
            Document = JobFile.Write(document),
            Version = 1,
            CreatedAt = now,
            UpdatedAt = now,
        };
        db.Jobs.Add(row);
        await Things.KeepPricesAsync(db, document, cancellation);
        await db.SaveChangesAsync(cancellation);
        return TypedResults.Created($"/api/jobs/{row.Id}", Tagged(request.HttpContext, row, document));
    }

    private static async Task<IResult> GetAsync(Guid id, HttpContext http, SetFirmDb db, CancellationToken cancellation) =>
        await db.Jobs.AsNoTracking().SingleOrDefaultAsync(j => j.Id == id && j.RemovedAt == null, cancellation) is { } row
            ? Answer(http, row)
            : Problems.NoSuchJob();

    private static async Task<IResult> ChangeAsync(Guid id, HttpRequest request, SetFirmDb db, IClock clock, News news, LearntShelf learnt, CancellationToken cancellation)
    {
        var (document, problem) = await JobIn(request, cancellation);
        if (document is null)
        {
            return problem!;
        }

        if (VersionIn(request) is not { } version)
        {
            return Problems.VersionWanted();
        }

        // It begins by writing, so that of two changes to one version the second waits, and then sees the first.
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var row = await db.Jobs.SingleOrDefaultAsync(j => j.Id == id && j.RemovedAt == null, cancellation);
        if (row is null)
        {
            return Problems.NoSuchJob();
        }

        var written = JobFile.Write(document);
        if (row.Version != version)
        {
            // What is sent twice, because the first answer was lost, is one change.
            return written == row.Document ? TypedResults.Ok(Tagged(request.HttpContext, row, document)) : Problems.StaleVersion(row.Version);
        }

        var now = clock.GetCurrentInstant();
        db.Versions.Add(new VersionRow { JobId = id, Version = row.Version, SavedAt = row.UpdatedAt, Document = row.Document });
        (row.Name, row.Document, row.UpdatedAt) = (document.Name, written, now);
        row.Version++;
        await ThinAsync(db, id, now, cancellation);
        await Things.KeepPricesAsync(db, document, cancellation);
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        learnt.Forget(id);
        await news.ChangedAsync(id);
        return TypedResults.Ok(Tagged(request.HttpContext, row, document));
    }

    private static async Task ThinAsync(SetFirmDb db, Guid id, Instant now, CancellationToken cancellation)
    {
        var kept = await db.Versions.AsNoTracking().Where(v => v.JobId == id).Select(v => new VersionRow { JobId = id, Version = v.Version, SavedAt = v.SavedAt, Document = "" }).ToListAsync(cancellation);
        var spent = PastVersions.Spent(kept, now).Select(v => v.Version).ToArray();
        if (spent.Length > 0)
        {
            await db.Versions.Where(v => v.JobId == id && spent.Contains(v.Version)).ExecuteDeleteAsync(cancellation);
        }
    }

    private static async Task<IResult> ListVersionsAsync(Guid id, SetFirmDb db, CancellationToken cancellation) =>
        await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation)
            ? TypedResults.Ok(await db.Versions.AsNoTracking().Where(v => v.JobId == id).OrderByDescending(v => v.Version).Select(v => new PastVersionDto(v.Version, v.SavedAt)).ToListAsync(cancellation))
            : Problems.NoSuchJob();

    private static async Task<IResult> GetVersionAsync(Guid id, int version, SetFirmDb db, CancellationToken cancellation) =>
        await db.Versions.AsNoTracking().SingleOrDefaultAsync(v => v.JobId == id && v.Version == version, cancellation) is { } row
            ? KeptJob.Read(row.Document) switch { JobRead.Ok ok => TypedResults.Ok(ok.Document), var unreadable => Problems.Of(unreadable) }
            : Problems.NoSuchVersion();

    private static async Task<IResult> ListRemovedAsync(SetFirmDb db, CancellationToken cancellation) => TypedResults.Ok(
        await db.Jobs.AsNoTracking().Where(j => j.RemovedAt != null).OrderByDescending(j => j.RemovedAt).Select(j => new RemovedJobDto(j.Id, j.Name, j.RemovedAt!.Value)).ToListAsync(cancellation));

    // For good: with what was told of them and how they stood before.
    private static async Task<IResult> EmptyAsync(SetFirmDb db, IClock clock, CancellationToken cancellation)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        foreach (var text in await db.Jobs.AsNoTracking().Where(j => j.RemovedAt != null).OrderByDescending(j => j.UpdatedAt).Select(j => j.Document).ToListAsync(cancellation))
        {
            if (KeptJob.Read(text) is JobRead.Ok { Document: var job })
            {
                await Things.KeepAsync(db, job, clock.GetCurrentInstant(), cancellation);
            }
        }

        await db.SaveChangesAsync(cancellation);
        await db.Log.Where(l => db.Jobs.Any(j => j.Id == l.JobId && j.RemovedAt != null)).ExecuteDeleteAsync(cancellation);
        await db.Jobs.Where(j => j.RemovedAt != null).ExecuteDeleteAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        return TypedResults.NoContent();
    }

    private static async Task<IResult> RemoveAsync(Guid id, HttpRequest request, SetFirmDb db, IClock clock, LearntShelf learnt, CancellationToken cancellation)
    {
        if (VersionIn(request) is not { } version)
        {
            return Problems.VersionWanted();
        }

        var now = clock.GetCurrentInstant();
        var removed = await db.Jobs.Where(j => j.Id == id && j.RemovedAt == null && j.Version == version)
            .ExecuteUpdateAsync(s => s.SetProperty(j => j.RemovedAt, now), cancellation);
        learnt.Forget(); // what is not in the yard teaches nothing
        return removed == 1 ? TypedResults.NoContent()
            : await db.Jobs.Where(j => j.Id == id && j.RemovedAt == null).Select(j => (int?)j.Version).SingleOrDefaultAsync(cancellation) is { } stands ? Problems.StaleVersion(stands)
            : Problems.NoSuchJob();
    }

    // It stays as it is, and teaches what it taught; it is only out of the way.
    private static async Task<IResult> PutAwayAsync(Guid id, Instant? at, SetFirmDb db, CancellationToken cancellation) =>
        await db.Jobs.Where(j => j.Id == id && j.RemovedAt == null).ExecuteUpdateAsync(s => s.SetProperty(j => j.PutAwayAt, at), cancellation) == 1 ? TypedResults.NoContent() : Problems.NoSuchJob();

    private static async Task<IResult> RestoreAsync(Guid id, HttpContext http, SetFirmDb db, LearntShelf learnt, CancellationToken cancellation)
    {
        var row = await db.Jobs.SingleOrDefaultAsync(j => j.Id == id, cancellation);
        if (row is null)
        {
            return Problems.NoSuchJob();
        }

        row.RemovedAt = null;
        await db.SaveChangesAsync(cancellation);
        learnt.Forget(id);
        return Answer(http, row);
    }

    private static async Task<(JobDocument? Document, IResult? Problem)> JobIn(HttpRequest request, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return (null, unreadable);
        }

        var (document, refused) = Bodies.Job(body.Json);
        return document is { Name.Length: > LongestName }
            ? (null, Problems.Of(new JobRead.Unreadable("$.name", $"it may have {LongestName} characters")))
            : (document, refused);
    }

    private static int? VersionIn(HttpRequest request) =>
        request.Headers.IfMatch is [{ } tag] && int.TryParse(tag.Trim('"'), NumberStyles.None, CultureInfo.InvariantCulture, out var version)
            ? version
            : null;

    private static JobDto Tagged(HttpContext http, JobRow row, JobDocument document)
    {
        http.Response.Headers.ETag = $"\"{row.Version}\"";
        return new JobDto(row.Id, row.Version, row.CreatedAt, row.UpdatedAt, document);
    }

    private static IResult Answer(HttpContext http, JobRow row) => KeptJob.Read(row.Document) switch
    {
        JobRead.Ok ok => TypedResults.Ok(Tagged(http, row, ok.Document)),
        var unreadable => Problems.Of(unreadable),
    };
}
