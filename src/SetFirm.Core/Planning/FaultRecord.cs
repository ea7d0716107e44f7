using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Mending;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>What of a pour's plan and log speaks of each cause: a number and its limit, or nothing.</summary>
internal sealed class FaultRecord(JobPlan plan, PourPlan pour, Told told, HourlyWeather weather)
{
    private readonly ImmutableArray<JobTask> tasks = JobTasks.Of(plan, told);
    private readonly bool ticks = told.Lines.Any(l => l is JobEvent.TaskDone);
    private readonly ImmutableArray<ElementPlan> own = [.. pour.Load.Sketch.Parts.Select(p => plan.Elements!.Value.First(e => e.Index == p.Element)).Distinct()];

    public Evidence Of(FaultCause cause) => cause switch
    {
        FaultCause.FinishedInBleedWater => new(FaultMeasure.BeforeSheenMin, Worst(p => p is Pass.EdgeAndFloat or Pass.SecondFloat or Pass.FirstTrowel, (w, at) => w.SheenGone - at), 15),
        FaultCause.ClosedTooEarly => new(FaultMeasure.BeforeWindowMin, Worst(p => p is Pass.SecondFloat or Pass.FirstTrowel or Pass.HardTrowel, (w, at) => w.Opens - at), 15),
        FaultCause.BroomedTooEarly => new(FaultMeasure.BeforeWindowMin, Worst(p => p == Pass.Broom, (w, at) => w.Opens - at), 15),
        FaultCause.BroomedTooLate => new(FaultMeasure.AfterWindowMin, Worst(p => p == Pass.Broom, (w, at) => at - w.Closes), 15),
        FaultCause.TooMuchWater => new(FaultMeasure.WaterOverPct, WaterPct() is var (_, most, has) && has > 0 ? ((has / most) - 1) * 100 : null, 5),
        FaultCause.TooStiff => new(FaultMeasure.WaterUnderPct, WaterPct() is var (least, _, had) && had > 0 ? (1 - (had / least)) * 100 : null, 5),
        FaultCause.FrozenYoung => new(FaultMeasure.ColdC, pour.Cure is { } cure ? -cure.Nights.Where(n => n.Young).Select(n => n.LeastSlabC).DefaultIfEmpty(1).Min() : null, 1),
        FaultCause.CureTooShort => new(FaultMeasure.WetDaysShort, pour.Cure?.AdvisedDays - pour.Cure?.WetDays, 2),
        FaultCause.DriedOut or FaultCause.UnevenWetting => new(FaultMeasure.DryH, pour.Cure is { } kept && pour.Told.Lines.Length > 0 ? kept.Dry.TotalHours : null, 12),
        FaultCause.StrippedTooEarly => new(FaultMeasure.BeforeStrongH, Stripped(), 6),
        FaultCause.NotTapped => Ticked(WorkTask.TapEdges),
        FaultCause.DryForms => Ticked(WorkTask.Dampen),
        FaultCause.NoRelease => Ticked(WorkTask.OilForms, WorkTask.WaxMould),
        FaultCause.FormNotHeld => Ticked(WorkTask.BackfillForms),
        FaultCause.PulledOutward => Ticked(WorkTask.StripForms, WorkTask.Demould),
        FaultCause.SharpEdge => Ticked(WorkTask.SoftenCorners),
        FaultCause.LeakingSeam => Sealed(),
        FaultCause.DriedFasterThanBled => new(FaultMeasure.DeficitKgM2H, pour.Day is { Foreseen: true } day ? day.Zones.Max(z => z.PeakDeficitKgM2H) - DayJudge.DeficitWarn : null, 0.25),
        FaultCause.NoJointAtCorner => new(FaultMeasure.OpenCorners, Found<Notice.CornerWithoutJoint>(), 1),
        FaultCause.JointsTooFarApart => new(FaultMeasure.LongPanels, Found<Notice.PanelTooLong>() + Found<Notice.PanelTooSlender>(), 1),
        FaultCause.NoIsolation => Ticked(WorkTask.SetIsolation),
        FaultCause.NoSteel => new(FaultMeasure.SteelMissing, own.Count(e => e.Build!.Steel.Misfit != SteelMisfit.None), 1),
        FaultCause.WaitedBetweenBatches => new(
            FaultMeasure.JointOverMin, pour.Day is { } made && pour.Told.Lines.Any(l => l is JobEvent.BatchPlaced) ? (made.Schedule.JointAge - made.JointLimit).TotalMinutes : null, 15),
        FaultCause.NoFall => new(FaultMeasure.FallShortPct, own.Where(e => e.Traits.Flat).Select(e => (Fall.LeastGrade - (e.Fall?.Fall.Grade ?? 0)) * 100).DefaultIfEmpty(-1).Max(), 0.5),
        FaultCause.SealedTooSoon => new(FaultMeasure.SealedEarlyDays, Coats((at, coat) => (coat.Time.Opens - at).TotalDays), 3),
        FaultCause.RecoatMissed => new(FaultMeasure.RecoatLateH, Coats((at, coat) => coat.Time.Closes is { } last ? (at - last).TotalHours : 0), 12),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private readonly ImmutableArray<RealWindow> windows = pour.AsItSet(SiteWeather.Of(plan.Said, weather), plan.Said.Units);

    private readonly ILookup<(int Zone, Pass Pass), Instant> made = pour.Told.Lines
        .Select(l => l switch { JobEvent.PassBegun b => (b.Zone, b.Pass, l.At), JobEvent.PassDone d => (d.Zone, d.Pass, l.At), _ => (Zone: 0, Pass: default, At: default) })
        .Where(l => l.Zone > 0).ToLookup(l => (l.Zone, l.Pass), l => l.At);

    // The worst of all zones; null where no pass of the kind was told.
    private double? Worst(Func<Pass, bool> which, Func<RealWindow, Instant, Duration?> by) => windows
        .Where(w => which(w.Pass)).SelectMany(w => made[(w.Zone, w.Pass)].Order().Take(1).Select(at => by(w, at)?.TotalMinutes)).Max();

    // Least, most and what went in, to the same bag, litres; nothing is known of other mixes.
    private (double Least, double Most, double Has) WaterPct()
    {
        if (pour.Load.Mix?.Recipe is not BaggedRecipe bagged)
        {
            return default;
        }

        var added = pour.Told.Lines.OfType<JobEvent.WaterAdded>().Sum(w => w.Litres);
        return (bagged.Bag.LeastWater.Litres, bagged.Bag.MostWater.Litres, bagged.Water.Litres + (added / Math.Max(1, pour.Load.Bags ?? 1)));
    }

    // Against the order of work: what is rubbed is stripped in the window of that pass.
    private double? Stripped()
    {
        var at = pour.Told.Lines.Where(l => l is JobEvent.BoardsOff or JobEvent.CastLifted).Select(l => (Instant?)l.At).Min();
        return (tasks.Where(t => t.Task is WorkTask.StripForms or WorkTask.Demould).Min(t => t.From) - at)?.TotalHours;
    }

    // Ticked speaks against it; not ticked, where others were, for it.
    private Evidence Ticked(params ReadOnlySpan<WorkTask> any)
    {
        var of = any.ToArray();
        JobTask[] listed = [.. tasks.Where(t => of.Contains(t.Task))];
        return new(FaultMeasure.NotTicked, !ticks || listed.Length == 0 ? null : listed.All(t => t.Ticked) ? -1 : 1, 2);
    }

    private Evidence Sealed()
    {
        var seams = tasks.FirstOrDefault(t => t.Task == WorkTask.SealSeams);
        return seams is { Told.At: var at } && pour.Day is { } day && told.Lines.Any(l => l is JobEvent.TaskDone)
            ? new(FaultMeasure.SealantShortH, (TaskDates.SealantCures - (day.Start - at)).TotalHours, 12)
            : Ticked(WorkTask.SealSeams);
    }

    private double? Coats(Func<Instant, PlannedCoat, double> by)
    {
        if (pour.Cure is not { } cure)
        {
            return null;
        }

        var laid = pour.Told.Lines.OfType<JobEvent.Coated>().GroupBy(c => c.Product).SelectMany(g => g.OrderBy(c => c.At).Select((c, i) => (c.At, g.Key, Number: i + 1)));
        return laid.SelectMany(l => cure.Coats.Where(c => c.Time.Product == l.Key && c.Time.Number == l.Number).Select(c => (double?)by(l.At, c))).Max();
    }

    private double Found<T>()
        where T : Notice => plan.Findings.Count(f => f.Says is T && own.Any(e => f.Where.IsUnder(e.At.Self)));
}
