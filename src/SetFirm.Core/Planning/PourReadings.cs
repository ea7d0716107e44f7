using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>What the log of a pour says of set, pace, finishing, waste and sheen, against a plan with nothing learnt.</summary>
/// <remarks>Source: the signs as the board reads them, without what was believed before; rounds and passes by the clock, bags by count.</remarks>
public static class PourReadings
{
    /// <summary>Of one round, or one pass, as a logarithm. Starting value (tune).</summary>
    private const double OnceDoubt = 0.35;

    /// <summary>Of one sheen seen, likewise.</summary>
    private const double SheenSeenDoubt = 0.15;

    /// <summary>Nobody knows what all zones of this pour share: the signs alone speak.</summary>
    private const double Anything = 10;

    /// <summary>Bags are counted whole: a share of one is lost either way.</summary>
    private const double BagDoubt = 0.3;

    /// <summary>What took so many times as long, or as short, was not told as it was.</summary>
    private const double Wild = 4;

    /// <summary>What says so little says nothing.</summary>
    private const double LeastWeight = 0.05;

    /// <summary>A day that is closed, or on which nothing was told for so long, is over.</summary>
    private static readonly Duration Over = Duration.FromHours(24);

    /// <summary>Every pour of a job that is over and was told of, with what it says.</summary>
    /// <param name="id">Of the job.</param>
    /// <param name="job">As said; what was learnt is left aside.</param>
    /// <param name="weather">As it came.</param>
    /// <param name="log">All that was told of the job.</param>
    /// <param name="now">A day may still be under way.</param>
    /// <param name="budget">What it may take; null waits as long as it lasts.</param>
    public static ImmutableArray<PourRecord> Of(Guid id, JobDocument job, HourlyWeather weather, IReadOnlyList<JobEvent> log, Instant now, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(job);
        // Of a day that is still under way, or was never begun, nothing is planned for nothing.
        if (!Days(log).Any(p => p.Any(l => l is JobEvent.DayClosed) || now - p.Max(l => l.At) > Over))
        {
            return [];
        }

        var plain = job with { Learnt = LearntValues.None };
        var plan = Planner.Plan(plain, weather, log, now, budget: budget);
        return
        [
            .. Planner.Pours(plan, weather, log, now, budget)
                .Where(p => p.Day?.Facts is { } facts && facts.Lines.Any(IsOfWork) && (facts.Closed is not null || now - facts.Lines[^1].At > Over))
                .Select(p => new PourRecord(
                    new PourId(id, p.Load.Sketch.Id), p.Day!.Start, Of(plan, p, weather), p.Load.Sketch.Litres, [.. p.Told.Lines.OfType<JobEvent.FaultSeen>().Select(f => f.Sign)], job.Units, job.TimeZone)),
        ];
    }

    /// <summary>Every day that was told of was closed: what it says does not change with time.</summary>
    public static bool AllClosed(IReadOnlyList<JobEvent> log) => Days(log).All(d => d.Any(l => l is JobEvent.DayClosed));

    private static IEnumerable<IGrouping<string, JobEvent>> Days(IReadOnlyList<JobEvent> log) => Told.Of(log).Lines.Where(IsOfWork).GroupBy(l => l.Pour);

    /// <summary>What one pour says.</summary>
    /// <param name="plan">With nothing learnt.</param>
    /// <param name="pour">With its log.</param>
    /// <param name="weather">As it came.</param>
    public static ImmutableArray<LearntReading> Of(JobPlan plan, PourPlan pour, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(pour);
        if (pour.Day is not { Facts: { } facts, Retimed: { } retimed } day)
        {
            return [];
        }

        var (job, sketch) = (plan.Said, pour.Load.Sketch);
        var mixing = (sketch.Said is { } said ? job.Pours[said].Mixing : null) ?? job.Mixing;
        var mix = job.Mixes.FirstOrDefault(m => m.Id == sketch.Mix) ?? job.Mix;
        var planned = new Lazy<DayPlan?>(() => pour.Again(SiteWeather.Of(job, weather), Told.Nothing, null, new Remarks()).Day);
        IEnumerable<LearntReading?> all =
        [
            Sure(LearntKeys.Set(mix, job.Buy, mixing), SetSays(day, retimed)),
            Sure(LearntKeys.Pace(mixing), facts.Hands is null ? PaceSays(facts, planned.Value) : null),
            Sure(LearntKeys.Finishing(mixing), FinishingSays(facts, planned.Value)),
            WasteSays(plan, pour),
            Sure(LearntKeys.Sheen(job.Site), SheenSays(retimed)),
        ];
        return [.. all.OfType<LearntReading>().Where(r => r.Weight >= LeastWeight)];
    }

    private static bool IsOfWork(JobEvent line) => line is JobEvent.BatchMixing or JobEvent.BatchPlaced or JobEvent.ThumbTest or JobEvent.SheenGone or JobEvent.PassBegun or JobEvent.PassDone or JobEvent.DayClosed;

    // A logarithm and its doubt beside how pours differ anyway.
    private static LearntReading? Sure(LearntKey key, (double Log, double Doubt)? says)
    {
        var from = Estimate.DeviationOf(key.Of);
        return says is not { } s ? null : new LearntReading(key, Math.Exp(Math.Clamp(s.Log, -Math.Log(Wild), Math.Log(Wild))), Math.Min(1, from * from / Math.Max(s.Doubt * s.Doubt, 1e-9)));
    }

    private static (double Log, double Doubt)? SetSays(DayPlan day, Retiming retimed)
    {
        SetReading[] signs = [.. retimed.Signs.Where(s => s.Line is not JobEvent.SheenGone).Select(s => s.Says)];
        if (signs.Length == 0)
        {
            return null;
        }

        var believed = SetBelief.Of(day.Zones.Length, 0, signs, Anything);
        return (believed.Common.Mean, believed.Common.Deviation);
    }

    // Between the first and the last that were told, so that a batch that nobody told of does no harm; what holds a pause, or took for ever, is left out.
    private static (double Log, double Doubt)? PaceSays(DayFacts facts, DayPlan? planned)
    {
        if (planned is null || facts.Batches.Keys.Any(b => b >= planned.Schedule.Batches.Length))
        {
            return null;
        }

        var batches = planned.Schedule.Batches;
        Instant[] pauses = [.. facts.Lines.OfType<JobEvent.Paused>().Select(p => p.At)];
        var marks = facts.Batches.Where(b => b.Value.Begun is not null).Select(b => (At: b.Value.Begun!.Value, Plan: batches[b.Key].Begun, Round: b.Key)).ToList();
        if (facts.Batches.TryGetValue(batches.Length - 1, out var last) && last.Placed is { } placed)
        {
            marks.Add((placed, batches[^1].Placed, batches.Length));
        }

        marks.Sort((a, b) => a.Round.CompareTo(b.Round));
        var (took, wanted, rounds) = (0.0, 0.0, 0);
        for (var i = 1; i < marks.Count; i++)
        {
            var (from, to) = (marks[i - 1], marks[i]);
            var (real, plan) = ((to.At - from.At).TotalMinutes, (to.Plan - from.Plan).TotalMinutes);
            if (plan <= 0 || real < plan / Wild || real > plan * Wild || pauses.Any(p => p >= from.At && p < to.At))
            {
                continue;
            }

            (took, wanted, rounds) = (took + real, wanted + plan, rounds + to.Round - from.Round);
        }

        return rounds == 0 ? null : (Math.Log(took / wanted), OnceDoubt / Math.Sqrt(rounds));
    }

    private static (double Log, double Doubt)? FinishingSays(DayFacts facts, DayPlan? planned)
    {
        var (took, wanted, count) = (0.0, 0.0, 0);
        foreach (var zone in planned?.Zones ?? [])
        {
            foreach (var pass in zone.Passes.Where(p => p is { Hands: > 0, Begins: not null }))
            {
                if (facts.Begun(zone.Number - 1, pass.Pass) is { } begun && facts.Done(zone.Number - 1, pass.Pass) is { } done
                    && (done - begun).TotalMinutes is > 0 and var real && pass.Work.TotalMinutes / pass.Hands is > 0 and var plan && real >= plan / Wild && real <= plan * Wild)
                {
                    (took, wanted, count) = (took + real, wanted + plan, count + 1);
                }
            }
        }

        return count == 0 ? null : (Math.Log(took / wanted), OnceDoubt / Math.Sqrt(count));
    }

    /// <summary>Bags, or containers of cement, that a pour took; null where nobody counted: none left over is also what is told by who did not look.</summary>
    internal static double? BagsUsed(PourPlan pour) => pour is not { Day.Facts.Closed: { } closed, Load: { Bags: { } bags, Mix.Recipe: not Mixes.ReadyRecipe } }
        ? null
        : closed.BagsUsed ?? (closed.BagsLeft > 0 ? Math.Ceiling(bags) - closed.BagsLeft : null);

    // Where all of it lies on one kind of bed, and takes what is usual there.
    private static LearntReading? WasteSays(JobPlan plan, PourPlan pour)
    {
        ElementPlan[] own = [.. pour.Load.Sketch.Parts.Select(p => plan.Elements!.Value.First(e => e.Index == p.Element))];
        if (own.Select(e => e.Read.Said.Bed).Distinct().ToArray() is not [var bed] || BagsUsed(pour) is not { } used || pour.Load.Mix is not { } mix)
        {
            return null;
        }

        var litres = mix.Recipe.Unit.Yield.Litres * mix.Recipe.Unit.PerWhole;
        var net = pour.Load.Sketch.Parts.Zip(own, (p, e) => p.Litres / e.Read.WasteFactor).Sum();
        var placed = (used * litres) - pour.Load.HoldBackL;
        return placed <= 0 || net <= 0 ? null : Sure(LearntKeys.Waste(bed), (Math.Log(placed / net / (1 + Shapes.Waste.Share(bed))), BagDoubt * litres / net));
    }

    private static (double Log, double Doubt)? SheenSays(Retiming retimed)
    {
        double[] seen = [.. retimed.Signs.Where(s => s.Line is JobEvent.SheenGone).Select(s => s.Says.Least)];
        return seen.Length == 0 ? null : (seen.Average(), SheenSeenDoubt / Math.Sqrt(seen.Length));
    }
}
