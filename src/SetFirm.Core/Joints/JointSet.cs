using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Joints;

/// <summary>A panel in the order it is poured.</summary>
/// <param name="Number">From 1, the farthest from the way out first.</param>
/// <param name="Shape">Where it lies.</param>
public sealed record NumberedPanel(int Number, Panel Shape)
{
    public double Ratio => Math.Max(Shape.AlongM / Shape.AcrossM, Shape.AcrossM / Shape.AlongM);

    public double LongestM => Math.Max(Shape.AlongM, Shape.AcrossM);
}

/// <summary>The joints of an element and the panels between them.</summary>
/// <param name="Cuts">Where they run.</param>
/// <param name="Panels">In pouring order.</param>
public sealed record JointSet(ImmutableArray<PlanCut> Cuts, ImmutableArray<NumberedPanel> Panels)
{
    /// <param name="outline">The slab.</param>
    /// <param name="cuts">Where its joints run.</param>
    /// <param name="wayOut">Where the barrow leaves.</param>
    public static JointSet Of(Outline outline, IReadOnlyCollection<PlanCut> cuts, PlanPoint wayOut) => new(
        [.. cuts],
        [.. Shapes.Panels.Of(outline, cuts).OrderByDescending(p => Math.Round(p.Middle.DistanceTo(wayOut), 6)).ThenBy(p => p.Middle.X).ThenBy(p => p.Middle.Y)
            .Select((p, i) => new NumberedPanel(i + 1, p))]);

    /// <summary>How many panels cuts along and across make at the most: one more for each, and for each place where two cross.</summary>
    public static long PanelsBetween(ImmutableArray<PlanCut> cuts)
    {
        var (across, along) = (cuts.Where(IsAcross).ToArray(), cuts.Where(c => !IsAcross(c)).ToArray());
        return 1 + cuts.Length + along.Sum(a => across.LongCount(b => Within(b.From.X, a.From.X, a.To.X) && Within(a.From.Y, b.From.Y, b.To.Y)));
        static bool IsAcross(PlanCut cut) => Math.Abs(cut.From.X - cut.To.X) < Math.Abs(cut.From.Y - cut.To.Y);
        static bool Within(double at, double a, double b) => at >= Math.Min(a, b) - JointRules.Slack && at <= Math.Max(a, b) + JointRules.Slack;
    }

    /// <summary>Joints square across a path, evenly, no further apart than asked.</summary>
    public static ImmutableArray<PlanCut> Across(CentreLine line, double widthM, double spacingM)
    {
        ArgumentNullException.ThrowIfNull(line);
        var length = line.Length.Metres;
        var bays = EqualPanels.Least(length, spacingM);
        return
        [
            .. Enumerable.Range(1, Math.Min(bays, 1000) - 1).Select(i =>
            {
                var (at, heading) = line.At(length * i / bays);
                var (x, y) = (-Math.Sin(heading) * widthM / 2, Math.Cos(heading) * widthM / 2);
                return new PlanCut(new(at.X - x, at.Y - y), new(at.X + x, at.Y + y));
            }),
        ];
    }
}
