using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>A pour's day, as it is shown.</summary>
internal static class DayTelling
{
    public static DayReport Of(DayPlan plan, IReadOnlyList<IReadOnlyList<PlanPoint>>[] faces) => new(
        plan.Start,
        plan.Schedule.MixingEnds,
        plan.DoneBy,
        plan.Mix.Celsius,
        plan.InitialSet,
        plan.FinalSet,
        plan.RainChance,
        plan.PeakEvaporationKgM2H,
        Evaporation.CareKgPerM2H,
        Evaporation.ActKgPerM2H,
        plan.Foreseen ? plan.Odds.Chance : null,
        [.. (plan.Foreseen ? plan.Odds.Faults : []).Select(f => new FaultShare(f.Fault, f.Share))],
        new LightReport(plan.Light.Start, plan.Light.End),
        plan.Crew.Hands,
        [
            .. plan.Zones.Select((z, i) => new ZoneReport(
                z.Number, z.Element, z.FirstBatch, z.LastBatch, z.Placed, z.SheenGone, z.PeakDeficitKgM2H, [.. z.Passes.Select(Pass)])
            {
                Stages = ZoneStages.Of(z, plan.Start),
                Face = i < faces.Length ? faces[i] : [],
            }),
        ],
        [.. Together(plan)],
        Hours(plan));

    /// <summary>Weather, and what it takes from the slab.</summary>
    public static IReadOnlyList<HourReport> Hours(DayPlan plan) =>
        [.. plan.Hours.Select(h => new HourReport(h.At, h.Air.Celsius, h.Humidity, h.WindKmh, h.SunWm2, h.RainChance, h.RainMm, h.EvaporationKgM2H))];

    /// <summary>All zones as one.</summary>
    public static IEnumerable<PassReport> Passes(DayPlan plan) => Together(plan);

    private static PassReport Pass(PassPlan p) =>
        new(p.Pass, p.Opens, p.Closes, p.OpensEarliest, p.OpensLatest, p.ClosesEarliest, p.ClosesLatest, p.Begins, p.Work.TotalMinutes, p.Hand, p.Hands)
        {
            Begun = p.Begun,
            Done = p.Done,
        };

    // All zones as one: a pass opens with its first zone and closes with its last.
    private static IEnumerable<PassReport> Together(DayPlan plan) => plan.Zones.SelectMany(z => z.Passes).GroupBy(p => p.Pass).OrderBy(g => g.Key).Select(g => new PassReport(
        g.Key, g.Min(p => p.Opens), g.Max(p => p.Closes), g.Min(p => p.OpensEarliest), g.Min(p => p.OpensLatest), g.Max(p => p.ClosesEarliest), g.Max(p => p.ClosesLatest),
        g.Min(p => p.Begins), g.Sum(p => p.Work.TotalMinutes), null, 0));
}
