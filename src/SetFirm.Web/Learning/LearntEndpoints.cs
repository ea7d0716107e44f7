using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Answers;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;
using SetFirm.Web.Jobs;
using SetFirm.Web.Plans;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Learning;

/// <summary>What the yard's pours teach, and what was said of it.</summary>
/// <param name="Values">One after another, those that ask for a word among them.</param>
/// <param name="Pours">That were told of, the latest first.</param>
public sealed record LearntReport(IReadOnlyList<LearntValue> Values, IReadOnlyList<PourInRecord> Pours);

/// <param name="Key">Of what.</param>
/// <param name="Word">What was said of it.</param>
/// <param name="InUse">What plans are made with.</param>
/// <param name="Now">What the record says now.</param>
/// <param name="Asks">It is worth a word.</param>
/// <param name="Said">Each pour's own reading, the oldest first.</param>
public sealed record LearntValue(LearntKey Key, Word Word, Estimate InUse, Estimate Now, bool Asks, IReadOnlyList<SaidByPour> Said);

/// <param name="Job">Id of the job.</param>
/// <param name="Pour">Id of the pour.</param>
/// <param name="At">When.</param>
/// <param name="Factor">What it says.</param>
public sealed record SaidByPour(Guid Job, string Pour, Instant At, double Factor);

/// <param name="Job">Id of the job.</param>
/// <param name="Name">Of the job.</param>
/// <param name="Pour">Id of the pour.</param>
/// <param name="At">First water.</param>
/// <param name="Litres">Ordered for it.</param>
/// <param name="Faults">That were seen on it since.</param>
/// <param name="Readings">What it says.</param>
/// <param name="Units">It is shown in.</param>
/// <param name="TimeZone">Of its site.</param>
/// <param name="LeftOut">It was taken out of the record.</param>
public sealed record PourInRecord(Guid Job, string Name, string Pour, Instant At, double Litres, IReadOnlyList<FaultSign> Faults, IReadOnlyList<LearntReading> Readings, UnitSystem Units, string TimeZone, bool LeftOut);

/// <summary>A word on a value.</summary>
public sealed record WordRequest
{
    public required LearntKey Key { get; init; }

    /// <summary>Taken over, refused, or none: back to what was in use before.</summary>
    public required Word Word { get; init; }
}

/// <summary>Whether a pour teaches.</summary>
public sealed record RecordRequest
{
    public required Guid Job { get; init; }

    public required string Pour { get; init; }

    public required bool LeftOut { get; init; }
}

/// <summary>A job that is still to be poured, with a value and without.</summary>
/// <param name="Job">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="TimeZone">Of the site.</param>
/// <param name="Units">The system it is shown in.</param>
/// <param name="Before">As it is planned now.</param>
/// <param name="After">As it would be.</param>
public sealed record LearntEffect(Guid Job, string Name, string TimeZone, UnitSystem Units, PlanSum Before, PlanSum After);

/// <param name="MixingEnds">The last batch is struck off.</param>
/// <param name="DoneBy">The last pass is made.</param>
/// <param name="OrderL">Concrete.</param>
/// <param name="Bags">Or containers of cement.</param>
public sealed record PlanSum(Instant MixingEnds, Instant DoneBy, double OrderL, double Bags);

/// <summary>What is learnt: read, taken over, refused, undone; pours taken out of the record and put back.</summary>
internal static class LearntEndpoints
{
    /// <summary>So many jobs ahead are looked at, the soonest first.</summary>
    private const int MostAhead = 3;

    /// <summary>Among so many, the last changed.</summary>
    private const int MostLooked = 12;

    public static void MapLearnt(this IEndpointRouteBuilder api)
    {
        var learnt = api.MapGroup("/learnt");
        learnt.MapGet("", async (LearntShelf shelf, CancellationToken cancellation) => TypedResults.Ok(Report(await shelf.RecordAsync(cancellation)))).WithName("GetLearnt");
        learnt.MapPost("/word", SayAsync).WithName("SayWord").Accepts<WordRequest>("application/json").Produces<LearntReport>()
            .ProducesProblem(400).ProducesProblem(404).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
        learnt.MapPost("/record", LeaveAsync).WithName("LeaveOut").Accepts<RecordRequest>("application/json").Produces<LearntReport>()
            .ProducesProblem(400).ProducesProblem(404).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
        learnt.MapPost("/effects", EffectsAsync).WithName("LearntEffects").ForLook().Accepts<LearntKey>("application/json").Produces<LearntEffect[]>()
            .ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422).ProducesProblem(503);
    }

    private static LearntReport Report(Record record) => new(
        [.. record.Book.Entries.Select(e => new LearntValue(e.Key, e.Word, e.InUse, e.Now, e.Asks, [.. e.Said.Select(s => new SaidByPour(s.Pour.Id.Job, s.Pour.Id.Pour, s.Pour.At, s.Reading.Factor))]))],
        [.. record.Pours.OrderByDescending(p => p.At).Select(p => new PourInRecord(
            p.Id.Job, record.Names.GetValueOrDefault(p.Id.Job, ""), p.Id.Pour, p.At, p.Litres, p.Faults, p.Readings, p.Units, p.TimeZone, record.LeftOut.Contains(p.Id)))]);

    private static async Task<IResult> SayAsync(HttpRequest request, SetFirmDb db, LearntShelf shelf, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var (said, wrong) = await Bodies.ReadAsync<WordRequest>(request, json.Value.SerializerOptions, cancellation);
        if (said is null)
        {
            return wrong!;
        }

        var entry = (await shelf.RecordAsync(cancellation)).Book.Entries.FirstOrDefault(e => e.Key == said.Key);
        if (entry is null)
        {
            return Problems.NothingLearnt();
        }

        var row = await db.Decisions.SingleOrDefaultAsync(d => d.Of == said.Key.Of && d.What == said.Key.What && d.Who == said.Key.Who, cancellation);
        if (row is null)
        {
            row = new DecisionRow { Of = said.Key.Of, What = said.Key.What, Who = said.Key.Who, Word = Word.None, By = LearntShelf.Kept([]), Before = LearntShelf.Kept([]) };
            db.Decisions.Add(row);
        }

        switch (said.Word)
        {
            case Word.Taken when LearntShelf.Kept(entry.Said.Select(s => s.Pour.Id)) is var now && now != row.By:
                (row.Before, row.By) = (row.By, now);
                break; // said twice, because the first answer was lost, it is one word
            case Word.None when row.Word == Word.Taken:
                (row.By, row.Before) = (row.Before, LearntShelf.Kept([]));
                break;
            default:
                break; // a refusal leaves in use what is
        }

        // Back to what was in use before is still in use.
        row.Word = said.Word == Word.None && LearntShelf.Pours(row.By).Length > 0 ? Word.Taken : said.Word;
        await db.SaveChangesAsync(cancellation);
        await db.Lines.ExecuteDeleteAsync(cancellation); // the yard's lines are of plans that were
        shelf.Forget();
        return TypedResults.Ok(Report(await shelf.RecordAsync(cancellation)));
    }

    private static async Task<IResult> LeaveAsync(HttpRequest request, SetFirmDb db, LearntShelf shelf, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var (said, wrong) = await Bodies.ReadAsync<RecordRequest>(request, json.Value.SerializerOptions, cancellation);
        if (said is null)
        {
            return wrong!;
        }

        if (!(await shelf.RecordAsync(cancellation)).Pours.Any(p => p.Id == new PourId(said.Job, said.Pour)))
        {
            return Problems.NothingLearnt();
        }

        var row = await db.LeftOut.SingleOrDefaultAsync(l => l.JobId == said.Job && l.Pour == said.Pour, cancellation);
        if (said.LeftOut && row is null)
        {
            db.LeftOut.Add(new LeftOutRow { JobId = said.Job, Pour = said.Pour });
        }
        else if (!said.LeftOut && row is not null)
        {
            db.LeftOut.Remove(row);
        }

        await db.SaveChangesAsync(cancellation);
        await db.Lines.ExecuteDeleteAsync(cancellation); // the yard's lines are of plans that were
        shelf.Forget();
        return TypedResults.Ok(Report(await shelf.RecordAsync(cancellation)));
    }

    // The jobs that are still to be poured, the soonest first: where the value would be used.
    private static async Task<IResult> EffectsAsync(
        HttpRequest request, SetFirmDb db, LearntShelf shelf, PlanDesk desk, JobWeather weather, IClock clock, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var (key, wrong) = await Bodies.ReadAsync<LearntKey>(request, json.Value.SerializerOptions, cancellation);
        if (key is null)
        {
            return wrong!;
        }

        var book = (await shelf.RecordAsync(cancellation)).Book;
        var now = clock.GetCurrentInstant();
        var rows = await db.Jobs.AsNoTracking().Where(j => j.RemovedAt == null).OrderByDescending(j => j.UpdatedAt).Take(MostLooked).ToListAsync(cancellation);
        return await desk.PlanAsync(budget => Effects(rows, weather, book.InUse, book.With(key), now, budget), times: 2, cancellation) switch
        {
            Planned<LearntEffect[]>.Made made => TypedResults.Ok(made.Plan),
            Planned<LearntEffect[]>.TooLong late => Problems.Of(Refusal.TooMuchToPlan(late.Most)),
            _ => Problems.Busy(),
        };
    }

    private static LearntEffect[] Effects(IEnumerable<JobRow> rows, JobWeather weather, LearntValues inUse, LearntValues with, Instant now, Budget budget)
    {
        var effects = new List<(Instant Start, LearntEffect Effect)>();
        foreach (var row in rows)
        {
            if (KeptJob.Read(row.Document) is JobRead.Ok { Document: var job } && weather.For(job) is var hours
                && Sum(job with { Learnt = inUse }, hours, budget) is ({ } before, var start) && start > now && Sum(job with { Learnt = with }, hours, budget) is ({ } after, _) && after != before)
            {
                effects.Add((start, new LearntEffect(row.Id, row.Name, job.TimeZone, job.Units, before, after)));
            }
        }

        return [.. effects.OrderBy(e => e.Start).Take(MostAhead).Select(e => e.Effect)];
    }

    private static (PlanSum? Sum, Instant Start) Sum(JobDocument job, HourlyWeather hours, Budget budget)
    {
        var plan = Planner.Plan(job, hours, budget: budget);
        return plan.Pour?.Day is { } day ? (new PlanSum(day.Schedule.MixingEnds, day.DoneBy, plan.OrderL, plan.Pours.Sum(p => p.Bags ?? 0)), day.Start) : default;
    }
}
