using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Mending;
using SetFirm.Core.PourDay;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>A pass as planned, as the concrete let it be made, and as it was made.</summary>
/// <param name="Zone">From 1.</param>
/// <param name="Pass">Which.</param>
/// <param name="PlannedOpens">When the day began.</param>
/// <param name="PlannedCloses">And closed.</param>
/// <param name="Opens">By the batches and signs of the day.</param>
/// <param name="Closes">And closed.</param>
/// <param name="Begun">As told; null where it was not.</param>
/// <param name="Done">As told.</param>
public sealed record PassLook(int Zone, Pass Pass, Instant PlannedOpens, Instant PlannedCloses, Instant? Opens, Instant? Closes, Instant? Begun, Instant? Done)
{
    /// <summary>It was begun so long after the concrete let it, minutes; before under 0; 0 within its window, and where that is not known.</summary>
    public double LaterMin => this is { Begun: { } at, Opens: { } opens, Closes: { } closes } ? (at < opens ? at - opens : at > closes ? at - closes : Duration.Zero).TotalMinutes : 0;

    /// <summary>By so much that it stands out.</summary>
    public bool Off => Math.Abs(LaterMin) >= LookBack.AsPlannedMin;
}

/// <summary>A batch as planned and as told; null where it was not.</summary>
public sealed record BatchLook(int Number, Instant PlannedBegun, Instant PlannedPlaced, Instant? Begun, Instant? Placed);

/// <summary>A sheen as planned and as told.</summary>
public sealed record SheenLook(int Zone, Instant? Planned, Instant? Gone);

/// <summary>Bags, or containers of cement.</summary>
/// <param name="Planned">That the batches take.</param>
/// <param name="Used">As counted.</param>
/// <param name="Left">Unopened.</param>
/// <param name="LeftMoney">What those cost.</param>
public sealed record BagsLook(double Planned, double Used, double Left, double LeftMoney);

/// <summary>A fault that was seen, and what the record says of why.</summary>
public sealed record FaultLook(JobEvent.FaultSeen Seen, FaultPlan Why);

/// <summary>A pour's day as it was, beside what was planned, and what it says to the next.</summary>
/// <param name="Planned">When the day began.</param>
/// <param name="Pour">With all that was told.</param>
/// <param name="Batches">As planned and as told.</param>
/// <param name="Passes">As planned and as made.</param>
/// <param name="Sheens">As planned and as seen.</param>
/// <param name="Stood">What was not as planned, the earliest first.</param>
/// <param name="Bags">Null where they were not counted.</param>
/// <param name="Faults">That were seen.</param>
/// <param name="Readings">What the pour says of the crew, the mix, the mixer, the bed and the site.</param>
public sealed record LookBack(
    PlanOfDay Planned,
    PourPlan Pour,
    ImmutableArray<BatchLook> Batches,
    ImmutableArray<PassLook> Passes,
    ImmutableArray<SheenLook> Sheens,
    ImmutableArray<Standout> Stood,
    BagsLook? Bags,
    ImmutableArray<FaultLook> Faults,
    ImmutableArray<LearntReading> Readings)
{
    /// <summary>Off by less is as planned.</summary>
    internal const double AsPlannedMin = 10;

    private const double AsPlannedPct = 8;

    /// <param name="job">As said.</param>
    /// <param name="weather">As it came.</param>
    /// <param name="log">All that was told of the job.</param>
    /// <param name="asOf">Now.</param>
    /// <param name="pour">Id of the pour; null takes the first.</param>
    /// <param name="budget">What it may take.</param>
    /// <returns>Null while the day cannot be planned.</returns>
    public static LookBack? Of(JobDocument job, HourlyWeather weather, IReadOnlyList<JobEvent> log, Instant? asOf, string? pour = null, Findings.Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(job);
        // Against figures with nothing learnt: what a day says does not hang on what others taught.
        var plan = Planner.Plan(job with { Learnt = LearntValues.None }, weather, log, asOf, pour, budget);
        if (plan.Pour is not { Day: { } day } at)
        {
            return null;
        }

        var site = SiteWeather.Of(job, weather);
        var (facts, could) = (day.Facts, at.AsItSet(site, job.Units));
        // Of a day that nobody said begins, the plan stands as it would have been: what was told of it has moved it since.
        var planned = facts is null || facts.Plan is not null ? day.Planned : at.Again(site, Told.Nothing, null, new Gate(job.Units)).Day?.Planned ?? day.Planned;
        ImmutableArray<BatchLook> batches = [.. planned.Batches.Select((b, i) => new BatchLook(i + 1, b.Begun, b.Placed, facts?.Batches.GetValueOrDefault(i).Begun, facts?.Batches.GetValueOrDefault(i).Placed))];
        ImmutableArray<PassLook> passes = [.. planned.Zones.SelectMany((z, i) => z.Passes.Where(p => p.Begins is not null).Select(p =>
        {
            var really = could.FirstOrDefault(w => w.Zone == i + 1 && w.Pass == p.Pass);
            return new PassLook(i + 1, p.Pass, p.Opens, p.Closes, really?.Opens, really?.Closes, facts?.Begun(i, p.Pass), facts?.Done(i, p.Pass));
        }))];
        ImmutableArray<SheenLook> sheens = [.. planned.Zones.Select((z, i) => new SheenLook(i + 1, z.SheenGone, facts?.SheenGone(i)))];
        var readings = PourReadings.Of(plan, at, weather);
        var bags = BagsOf(plan, at);
        var told = Told.Of(log);
        var seen = at.Told.Lines.OfType<JobEvent.FaultSeen>().ToArray();
        var why = seen.Length == 0 ? [] : FaultPlan.Of(plan, told, weather);
        return new LookBack(
            planned, at, batches, passes, sheens, [.. facts is null ? [] : StoodOut(planned, at, facts, batches, passes, readings, bags)], bags,
            [.. seen.SelectMany(s => why.Where(w => w.Sign == s.Sign).Select(w => new FaultLook(s, w)))], readings);
    }

    private static IEnumerable<Standout> StoodOut(
        PlanOfDay planned, PourPlan pour, DayFacts facts, ImmutableArray<BatchLook> batches, ImmutableArray<PassLook> passes, ImmutableArray<LearntReading> readings, BagsLook? bags)
    {
        static bool Off(double minutes) => Math.Abs(minutes) >= AsPlannedMin;
        var first = batches[0].Begun;
        if (first is { } began && (began - planned.Start).TotalMinutes is var late && Off(late))
        {
            yield return new Standout.Begun(late);
        }

        if (first is { } from && batches[^1].Placed is { } lay)
        {
            var (took, wanted) = ((lay - from).TotalMinutes, (batches[^1].PlannedPlaced - batches[0].PlannedBegun).TotalMinutes);
            var rounds = Math.Max(1, batches.Length - 1);
            if (Off(took - wanted))
            {
                yield return new Standout.Mixing(took, wanted, ((batches[^1].Begun ?? lay) - from).TotalMinutes / rounds, (batches[^1].PlannedBegun - batches[0].PlannedBegun).TotalMinutes / rounds);
            }
        }

        if (facts.Lines.Count(l => l is JobEvent.Paused) is > 0 and var times)
        {
            yield return new Standout.Stood(times);
        }

        if (pour.Told.Lines.Any(l => l is JobEvent.Rain))
        {
            yield return new Standout.Rained();
        }

        var added = facts.Lines.OfType<JobEvent.WaterAdded>().Where(w => w.Litres > 0).ToArray();
        if (added.Length > 0)
        {
            yield return new Standout.MoreWater(added.Sum(w => w.Litres), added.Select(w => w.Batch).Distinct().Count());
        }

        foreach (var reading in readings)
        {
            var pct = (reading.Factor - 1) * 100;
            Standout? says = Math.Abs(pct) < AsPlannedPct ? null : reading.Key.Of switch
            {
                LearntOf.Set => new Standout.Setting(pct),
                LearntOf.Sheen => new Standout.Sheen(pct),
                LearntOf.Finishing => new Standout.Finishing(pct),
                _ => null,
            };
            if (says is not null)
            {
                yield return says;
            }
        }

        foreach (var pass in passes.Where(p => p.Off))
        {
            yield return new Standout.PassOff(pass.Zone, pass.Pass, pass.LaterMin);
        }

        if (passes.Select(p => p.Done).Max() is { } done && (done - planned.DoneBy).TotalMinutes is var after && Math.Abs(after) >= 2 * AsPlannedMin)
        {
            yield return new Standout.Done(after);
        }

        if (bags is not null && Math.Abs(bags.Used - bags.Planned) >= 1)
        {
            yield return new Standout.Bags(bags.Used, bags.Planned);
        }

        if (pour.Cure is { Dry.TotalHours: > 1 and var dry } cure)
        {
            yield return new Standout.LayDry(dry, cure.LostMpa);
        }
    }

    private static BagsLook? BagsOf(JobPlan plan, PourPlan pour)
    {
        if (PourReadings.BagsUsed(pour) is not { } used || pour is not { Day.Facts.Closed: { } closed, Load: { Bags: { } bags, Mix: { } mix } })
        {
            return null;
        }

        var price = mix.Recipe is Mixes.BaggedRecipe bagged && plan.Buy?.Lines.FirstOrDefault(l => l.Good.Id == Goods.Bag(bagged.Bag).Id) is { Packs: [var pack, ..] } ? pack.Price : 0;
        return new BagsLook(Math.Ceiling(bags), used, closed.BagsLeft, closed.BagsLeft * price);
    }
}
