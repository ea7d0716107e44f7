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
