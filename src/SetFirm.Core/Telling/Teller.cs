using System.Collections.Immutable;
using NodaTime.Text;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Telling;

/// <summary>Tells a plan: reports are projections of it, and nothing reads them back.</summary>
public static class Teller
{
    private static readonly LocalTimePattern Clock = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    /// <summary>What happens less often among the faults of a start is not told.</summary>
    private const double Rare = 0.05;

    /// <param name="plan">Of the job.</param>
    /// <param name="wanted">Parts that somebody looks at; null tells all. What every page shows (pours, findings, reasons, steps) is always told.</param>
    public static PlanReport Tell(JobPlan plan, PlanParts? wanted = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var (pour, elements) = (plan.Pour, plan.Elements);
        bool Wants(PlanPart part) => wanted is not { } parts || (parts & part.Flag()) != 0;
        var reasons = Reasons(plan, Wants(PlanPart.Day));
        return new PlanReport
        {
            Shape = Wants(PlanPart.Shape) && elements is { } shaped ? ShapeTelling.Of(shaped) : null,
            Build = Wants(PlanPart.Build) && elements is { } built && plan.Build is not null ? BuildTelling.Of(built, plan.Build) : null,
            Mix = Wants(PlanPart.Mix) && plan.Recipe is not null && plan.Wanted is not null ? MixTelling.Of(plan, plan.Mixes[0]) : null,
            OtherMixes = !Wants(PlanPart.Mix) || elements is null ? [] : [.. plan.Mixes.Where(m => m.Index != 0).Select(m => MixTelling.Of(plan, m))],
            Pours = [.. plan.Pours.Select(p => Short(p, plan))],
            Pour = pour?.Load.Sketch.Id,
            Load = !Wants(PlanPart.Load) || pour is null || elements is null ? null : LoadTelling.Of(pour, elements.Value),
            Buy = !Wants(PlanPart.Buy) || plan.Buy is null ? null : BuyTelling.Of(plan, plan.Buy),
            Day = !Wants(PlanPart.Day) || pour?.Day is null ? null : DayTelling.Of(pour.Day, elements is { } drawn ? Fills.OfZones(pour.Load.Sketch, drawn, pour.Day.Planned.Zones) : []),
            Board = !Wants(PlanPart.Board) || pour?.Day is null ? null : BoardTelling.Of(pour.Day),
            Cure = !Wants(PlanPart.Cure) || pour?.Cure is null ? null : CureTelling.Of(pour.Cure, pour),
            Readings = plan.Readings,
            Findings = plan.Findings,
            Explanations = reasons,
            Citations = [.. reasons.SelectMany(e => e.Sources).Distinct().Order().Select(Citations.Of)],
            Learnt = plan.Said.Learnt.IsNone ? null : [.. LearntKeys.Of(plan.Said).Select(k => new LearntInUse(k, plan.Said.Learnt.Factor(k))).Where(l => l.Factor != 1)],
            Steps = [.. Steps.Of(plan).Select(s => new StepReport(s.Step, s.State))],
        };
    }

    // How likely it goes well takes many ways of the day: it is told where the day is.
    private static IReadOnlyList<Explanation> Reasons(JobPlan plan, bool day)
    {
        if (!day || plan.Pour?.Day is not { } of || DayReasons.Chance(of) is not { } chance)
        {
            return plan.Explanations;
        }

        var after = plan.Explanations.TakeWhile(e => e.Says is not Why.DoneBy).Count() + 1;
        return [.. plan.Explanations.Take(after), chance, .. plan.Explanations.Skip(after)];
    }

    /// <summary>Every hour in which one might begin.</summary>
    public static StartsReport Tell(StartRanking ranking)
    {
        ArgumentNullException.ThrowIfNull(ranking);
        return new StartsReport([.. ranking.Hours.Select(Hour)], [.. ranking.Best.Select(Hour)], ranking.Members);
    }

    /// <summary>When what is done, over every pour; one whose day is not known is left out.</summary>
    /// <param name="plan">Of the job.</param>
    /// <param name="pours">All of it, in full.</param>
    /// <param name="log">All that was told of it.</param>
    public static CalendarReport Tell(JobPlan plan, ImmutableArray<PourPlan> pours, IReadOnlyList<JobEvent>? log = null) =>
        new([.. pours.Where(p => p.Day is not null && p.Cure is not null).Select(p => new PourDates(p.Load.Sketch.Id, p.Load.Number, p.Day!.Start, p.Day.DoneBy, [.. DayTelling.Passes(p.Day)], CureTelling.Of(p.Cure!, p)))], TaskTelling.Days(plan, log ?? []));

    private static StartHour Hour(RankedStart start)
    {
        NodaTime.Instant After(double hours) => start.At + NodaTime.Duration.FromHours(hours);
        var odds = start.Odds;
        return new StartHour(
            LocalDatePattern.Iso.Format(start.Local.Date), start.Local.Hour, start.At, odds.Chance, After(odds.DoneH.Median), After(odds.DoneH.Early), After(odds.DoneH.Late),
            [.. odds.Faults.Where(f => f.Share >= Rare).Select(f => new FaultShare(f.Fault, f.Share))]);
    }

    private static PourReport Short(PourLoad pour, JobPlan plan)
    {
        var sketch = pour.Sketch;
        var told = plan.Told.OfPour(sketch.Id, pour.Number == 1);
        var full = plan.Pour?.Load == pour ? plan.Pour : null;
        return new PourReport(
            sketch.Id,
            pour.Number,
            sketch.Said,
            [.. sketch.Parts.Select(p => new PartReportOf(p.Element, p.Panels, p.Casting, p.Course))],
            sketch.Mix,
            sketch.Date is { } date ? LocalDatePattern.Iso.Format(date) : null,
            pour.Start is { } time ? Clock.Format(time) : null,
            pour.Task?.StartsAt,
            sketch.Litres,
            pour.HoldBackL,
            pour.Bags,
            pour.Batches,
            // What is planned in full knows who is called away meanwhile.
            (full is { Day: { } day } ? day.Schedule.Mixing : pour.Mixing)?.TotalMinutes,
            PourPlan.TellsOfConcrete(told),
            plan.AsOf is { } now && (full?.WentBy(now) ?? pour.WentBy(told, now)));
    }
}
