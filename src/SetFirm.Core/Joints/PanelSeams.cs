using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Joints;

/// <summary>Where panels of one slab that are not poured together meet: a board first, then a bond breaker.</summary>
/// <param name="All">Every such seam.</param>
/// <param name="AtOnce">The most that stand at one time: a board comes off before the next panel, and is used again.</param>
public sealed record PanelSeams(ImmutableArray<PlanCut> All, ImmutableArray<PlanCut> AtOnce)
{
    /// <summary>Edges nearer than this are one, metres.</summary>
    private const double SameM = 1e-4;

    /// <summary>More corners than this are not compared.</summary>
    private const int MostCorners = 4_000;

    public static PanelSeams None { get; } = new([], []);

    /// <param name="panels">Of one slab.</param>
    /// <param name="pourOf">Which pour a panel belongs to, by its number; pours are numbered in the order in which they are poured.</param>
    public static PanelSeams Of(ImmutableArray<NumberedPanel> panels, Func<int, int> pourOf)
    {
        if (panels.Sum(p => p.Shape.Corners.Length) > MostCorners)
        {
            return None;
        }

        var found = new List<(int Pour, PlanCut Cut)>();
        for (var i = 0; i < panels.Length; i++)
        {
            for (var j = i + 1; j < panels.Length; j++)
            {
                var (a, b) = (pourOf(panels[i].Number), pourOf(panels[j].Number));
                if (a != b)
                {
                    found.AddRange(Shared(panels[i].Shape, panels[j].Shape).Select(cut => (Math.Min(a, b), cut)));
                }
            }
        }

        var most = found.GroupBy(f => f.Pour).OrderByDescending(g => g.Sum(f => f.Cut.LengthM)).FirstOrDefault();
        return new PanelSeams([.. found.Select(f => f.Cut)], most is null ? [] : [.. most.Select(f => f.Cut)]);
    }

    /// <summary>The stretches that two panels have in common.</summary>
    public static IEnumerable<PlanCut> Shared(Panel one, Panel other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        foreach (var (a, b) in Edges(one))
        {
            var length = a.DistanceTo(b);
            foreach (var (c, d) in Edges(other))
            {
                if (length < SameM || Off(a, b, length, c) > SameM || Off(a, b, length, d) > SameM)
                {
                    continue;
                }

                var (from, to) = (Along(a, b, length, c), Along(a, b, length, d));
                var (low, high) = (Math.Max(0, Math.Min(from, to)), Math.Min(length, Math.Max(from, to)));
                if (high - low > SameM)
                {
                    yield return new PlanCut(a.Towards(b, low / length), a.Towards(b, high / length));
                }
            }
        }
    }

    private static IEnumerable<(PlanPoint From, PlanPoint To)> Edges(Panel panel) =>
        panel.Corners.Select((c, i) => (c, panel.Corners[(i + 1) % panel.Corners.Length]));

    private static double Off(PlanPoint a, PlanPoint b, double length, PlanPoint p) => Math.Abs(((b.X - a.X) * (p.Y - a.Y)) - ((b.Y - a.Y) * (p.X - a.X))) / length;

    private static double Along(PlanPoint a, PlanPoint b, double length, PlanPoint p) => (((p.X - a.X) * (b.X - a.X)) + ((p.Y - a.Y) * (b.Y - a.Y))) / length;
}
