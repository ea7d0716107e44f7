using SetFirm.Core.Findings;
using SetFirm.Core.Ground;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans;

/// <summary>A fall that passed the gate.</summary>
/// <param name="DownM">Metres below the highest corner.</param>
/// <param name="Report">What is shown.</param>
internal sealed record PlannedFall(Func<PlanPoint, double> DownM, FallReport Report);

/// <summary>From a fall as said, or as advised, to the height of every corner.</summary>
internal static class FallStep
{
    private const double MostPercent = 25;

    /// <returns>Null where the element lies level by its nature, or its fall cannot be.</returns>
    public static PlannedFall? Plan(string path, ElementDocument element, Outline plan, Gate gate)
    {
        if (element is not OutlinedDocument said || !said.Traits.Flat)
        {
            return null;
        }

        var at = $"{path}/fall";
        if (Read(at, said, plan, gate) is not { } fall)
        {
            return null;
        }

        var downM = fall.From(plan.Corners);
        var grade = fall.Grade * 100;
        var drain = fall is Fall.ToDrain to ? to.Drain
            : said.Openings.ToList().FindIndex(o => o.Use == OpeningUse.Drain) is >= 0 and var first ? plan.Openings[first].Centre : (PlanPoint?)null;
        double? drainMm = drain is { } sunk ? (downM(sunk) + Fall.DrainSunkM) * 1000 : null;
        var report = new FallReport(
            grade,
            said.Fall is null,
            fall is Fall.Away away ? new PlanPoint(away.X, away.Y) : null,
            (fall as Fall.ToDrain)?.Drain,
            [.. plan.Corners.Select(c => downM(c) * 1000)],
            drainMm);
        Warn(at, said, plan, fall, gate);
        gate.Add(Explanation.For(
            WhyCode.Fall, path, report.CornersMm.DefaultIfEmpty(0).Max(), Source.SitePractice, ("gradePct", grade), ("leastPct", Fall.LeastGrade * 100), ("atHousePct", Fall.HouseGrade * 100)));
        return new PlannedFall(downM, report);
    }

    private static Fall? Read(string at, OutlinedDocument said, Outline plan, Gate gate)
    {
        switch (said.Fall)
        {
            case null:
                return Advised(said, plan);
            case LevelFallDocument:
                return new Fall.Level();
            case EdgeFallDocument off:
                return gate.InRange($"{at}/percent", off.Percent, 0, MostPercent, "Pct") & gate.InRange($"{at}/edge", off.Edge, 0, plan.Corners.Length - 1)
                    ? Fall.OffEdge(plan, off.Edge, off.Percent / 100)
                    : null;
            case DrainFallDocument drain:
                return gate.InRange($"{at}/percent", drain.Percent, 0, MostPercent, "Pct") & gate.InRange($"{at}/opening", drain.Opening, 0, plan.Openings.Length - 1)
                    ? new Fall.ToDrain(plan.Openings[drain.Opening].Centre, drain.Percent / 100)
                    : null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    // Off the house where there is one, to the drain where there is one, else off the first edge. What lies on something is level.
    private static Fall Advised(OutlinedDocument said, Outline plan)
    {
        if (!said.Traits.OnGround)
        {
            return new Fall.Level();
        }

        var drain = said.Openings.ToList().FindIndex(o => o.Use == OpeningUse.Drain);
        if (drain >= 0)
        {
            return new Fall.ToDrain(plan.Openings[drain].Centre, Fall.HouseGrade);
        }

        var wall = Enumerable.Range(0, plan.Corners.Length).FirstOrDefault(i => said.MeetsAt(i) == Meets.Wall, 0);
        return Fall.OffEdge(plan, wall, Fall.HouseGrade);
    }

    private static void Warn(string at, OutlinedDocument said, Outline plan, Fall fall, Gate gate)
    {
        if (said.Fall is LevelFallDocument || (fall is Fall.Level && said.Fall is null))
        {
            return; // said so on purpose: indoors, or on something that falls already
        }

        const double slack = 1e-9;
        var steeper = said.Fall is null ? null : new Remedy(
            RemedyCode.SteeperFall, [new Edit($"{at}/percent", Number: Fall.HouseGrade * 100)], new Dictionary<string, double> { ["gradePct"] = Fall.HouseGrade * 100 });
        var walls = Enumerable.Range(0, plan.Corners.Length).Where(i => said.MeetsAt(i) == Meets.Wall).ToArray();
        Finding? finding = fall.Grade < Fall.LeastGrade - slack
            ? Finding.Of(FindingCode.FallTooFlat, Severity.Warning, at, ("gradePct", fall.Grade * 100), ("leastPct", Fall.LeastGrade * 100))
            : walls.Length > 0 && fall.Grade < Fall.HouseGrade - slack
                ? Finding.Of(FindingCode.FallFlatAtHouse, Severity.Warning, at, ("gradePct", fall.Grade * 100), ("leastPct", Fall.HouseGrade * 100), ("withinM", Fall.HouseReachM))
                : null;
        if (finding is not null)
        {
            gate.Add(steeper is null ? finding : finding.WithRemedies(steeper));
        }

        if (fall is Fall.Away away && walls.FirstOrDefault(i => Fall.OffEdge(plan, i, 1) is var off && (off.X * away.X) + (off.Y * away.Y) < -0.1, -1) is >= 0 and var wet)
        {
            gate.Add(Finding.Of(FindingCode.FallToWall, Severity.Warning, at, ("edge", wet + 1)).WithRemedies(new Remedy(
                RemedyCode.FallOffWall, [new Edit($"{at}/edge", Number: wet)], new Dictionary<string, double> { ["edge"] = wet + 1 })));
        }
    }
}
