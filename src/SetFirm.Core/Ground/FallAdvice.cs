using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Ground;

/// <summary>What a surface's fall has to do with: where it may run to, and where not.</summary>
/// <param name="Plan">Seen from above.</param>
/// <param name="Walls">Edges that meet the house, from 0.</param>
/// <param name="Drains">Middles of the drains in it.</param>
/// <param name="OnGround">What lies on something that falls already follows it.</param>
public sealed record FallSite(Outline Plan, ImmutableArray<int> Walls, ImmutableArray<PlanPoint> Drains, bool OnGround);

/// <summary>How a surface falls.</summary>
/// <param name="Fall">Which way.</param>
/// <param name="Proposed">True where nothing was said.</param>
/// <param name="DownM">Of a place, metres below the highest corner.</param>
/// <param name="CornersMm">Of each corner, below the highest.</param>
/// <param name="DrainMm">Top of the drain, where there is one, below the highest corner.</param>
/// <param name="Copied">It is that of what lies below: a layer of one thickness follows it.</param>
public sealed record FallPlan(Fall Fall, bool Proposed, Func<PlanPoint, double> DownM, ImmutableArray<double> CornersMm, double? DrainMm, bool Copied);

/// <summary>Which way water runs off, and whether it does.</summary>
public static class FallAdvice
{
    private const double Slack = 1e-9;

    /// <summary>Water runs the other way than off a wall, where the two agree by less than this: cosine of the angle.</summary>
    private const double AgainstWall = -0.1;

    /// <param name="said">Null takes the advice.</param>
    /// <param name="site">Where it lies.</param>
    /// <param name="at">Where the fall is said.</param>
    /// <param name="of">The element, for its why.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static FallPlan Plan(Fall? said, FallSite site, FallPlaces at, Place of, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(remarks);
        var fall = said ?? Advised(site);
        var downM = fall.From(site.Plan.Corners);
        PlanPoint? drain = fall is Fall.ToDrain to ? to.Drain : site.Drains.Length > 0 ? site.Drains[0] : null;
        var plan = new FallPlan(
            fall, said is null, downM, [.. site.Plan.Corners.Select(c => downM(c) * 1000)], drain is { } sunk ? (downM(sunk) + Fall.DrainSunkM) * 1000 : null, Copied: !site.OnGround);
        Check(said, fall, site, at, remarks);
        remarks.WhyOf(
            of.Path, new Why.Fall(GradePct: fall.Grade * 100, LeastPct: Fall.LeastGrade * 100, AtHousePct: Fall.HouseGrade * 100), plan.CornersMm.DefaultIfEmpty(0).Max(), Source.SitePractice);
        return plan;
    }

    // Off the house where there is one, to the drain where there is one, else off the first edge.
    private static Fall Advised(FallSite site) =>
        !site.OnGround ? new Fall.Level()
        : site.Drains.Length > 0 ? new Fall.ToDrain(site.Drains[0], Fall.HouseGrade)
        : Fall.OffEdge(site.Plan, site.Walls.Length > 0 ? site.Walls[0] : 0, Fall.HouseGrade);

    private static void Check(Fall? said, Fall fall, FallSite site, FallPlaces at, Remarks remarks)
    {
        if (fall is Fall.Level)
        {
            return; // said so on purpose: indoors, or on something that falls already
        }

        // What lies below cannot be made steeper: the layer would have to be a wedge.
        Remedy[] steeper = said is null || !site.OnGround ? [] : [new Remedy(new Mend.SteeperFall(GradePct: Fall.HouseGrade * 100), [new Edit(at.Percent, Number: Fall.HouseGrade * 100)])];
        if (fall.Grade < Fall.LeastGrade - Slack)
        {
            remarks.Warn(at.Self, new Notice.FallTooFlat(GradePct: fall.Grade * 100, LeastPct: Fall.LeastGrade * 100), steeper);
        }
        else if (site.Walls.Length > 0 && fall.Grade < Fall.HouseGrade - Slack)
        {
            remarks.Warn(at.Self, new Notice.FallFlatAtHouse(GradePct: fall.Grade * 100, LeastPct: Fall.HouseGrade * 100, WithinM: Fall.HouseReachM), steeper);
        }

        if (fall is Fall.Away away && site.Walls.FirstOrDefault(i => Fall.OffEdge(site.Plan, i, 1) is var off && (off.X * away.X) + (off.Y * away.Y) < AgainstWall, -1) is >= 0 and var wet)
        {
            remarks.Warn(at.Self, new Notice.FallToWall(Edge: wet + 1), new Remedy(new Mend.FallOffWall(Edge: wet + 1), [new Edit(at.Edge, Number: wet)]));
        }
    }
}
