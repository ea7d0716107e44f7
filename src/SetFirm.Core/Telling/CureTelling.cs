using SetFirm.Core.Curing;
using SetFirm.Core.Planning;

namespace SetFirm.Core.Telling;

/// <summary>The weeks after a pour, as they are shown.</summary>
internal static class CureTelling
{
    public static CureReport Of(CurePlan plan, PourPlan pour) => new(
        plan.WetFrom,
        plan.WetUntil,
        plan.WetDays,
        plan.AdvisedDays,
        plan.RewetHours,
        plan.MeanEvaporationKgM2H,
        plan.NextWetting(pour.AsOf ?? NodaTime.Instant.MinValue + NodaTime.Duration.FromDays(1)),
        [.. plan.Wettings.Select(w => new WettingReport(w.At, w.LastsUntil))],
        pour.Told.Lines,
        plan.Dry.TotalHours,
        plan.LostMpa,
        [.. plan.Nights.Select(n => new NightReport(n.From, n.Until, n.LeastAirC, n.LeastSlabC, n.Young))],
        [.. plan.Coats.Select(c => new CoatReport(c.Time.Product, c.Said.Name, c.Time.Number, c.Time.Opens, c.Time.Closes, c.Time.At, c.Time.Late, c.Said.KeepWetH, c.Done))],
        // What is stripped on the day is not told to be stripped again.
        [.. plan.Milestones.Where(m => m.Milestone != Milestone.StripEdges || !pour.StrippedEarly).Select(m => new MilestoneReport(m.Milestone, m.At, m.Earliest, m.Latest, m.NeedsMpa))],
        [.. plan.Curve.Select(s => new StrengthPoint(s.At, s.Mpa, s.LeastMpa, s.MostMpa, s.NoCureMpa))],
        plan.F28Mpa,
        plan.At28Mpa);
}
