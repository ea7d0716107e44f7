using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;

namespace SetFirm.Core.Shapes;

/// <summary>A straight cut between two places.</summary>
public readonly record struct PlanCut(PlanPoint From, PlanPoint To)
{
    public double LengthM => From.DistanceTo(To);
}

/// <summary>A part of a slab between its joints.</summary>
/// <param name="Middle">A place well inside it.</param>
/// <param name="Corners">Round it, arcs as chords.</param>
/// <param name="AreaM2">Less openings.</param>
/// <param name="AlongM">Extent along x.</param>
/// <param name="AcrossM">Extent along y.</param>
public sealed record Panel(PlanPoint Middle, ImmutableArray<PlanPoint> Corners, double AreaM2, double AlongM, double AcrossM);

/// <summary>Cuts a slab by lines.</summary>
public static class Panels
{
    /// <summary>Slivers smaller than this come from rounding, square metres.</summary>
    private const double Sliver = 1e-9;

    /// <summary>The parts of a cut that lie within the slab, its edges left out.</summary>
    public static ImmutableArray<PlanCut> Clip(Outline outline, PlanCut cut)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return outline.Region.Clip(cut);
    }

    /// <summary>The panels that cuts leave; together they are the slab, and none lies over another.</summary>
    public static ImmutableArray<Panel> Of(Outline outline, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return Of(outline.Net, cuts);
    }

    /// <summary>The same as if there were no openings.</summary>
    public static ImmutableArray<Panel> Legs(Outline outline, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return Of(Outline.Ring(outline.Flat), cuts);
    }

    private static ImmutableArray<Panel> Of(Polygon whole, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(cuts);
        if (cuts.Count == 0)
        {
            return [Of(whole)];
        }

        // A hair longer than the slab, so that rounding leaves no gap at the edge.
        var lines = cuts.Select(c => (Geometry)Line(Longer(c))).Append(whole.Boundary).ToList();
        var pieces = new Polygonizer();
        pieces.Add(UnaryUnionOp.Union(lines));
        var inside = PreparedGeometryFactory.Prepare(whole);
        return [.. pieces.GetPolygons().Cast<Polygon>().Where(p => p.Area > Sliver && inside.Contains(p.InteriorPoint)).Select(Of)];
    }

    private static Panel Of(Polygon polygon)
    {
        var (box, middle) = (polygon.EnvelopeInternal, polygon.Centroid);
        var at = polygon.Contains(middle) ? middle : polygon.InteriorPoint;
        var shell = polygon.Shell.Coordinates;
        return new Panel(new(at.X, at.Y), [.. shell.SkipLast(1).Select(c => new PlanPoint(c.X, c.Y))], polygon.Area, box.Width, box.Height);
    }

    private static PlanCut Longer(PlanCut cut) => cut.LengthM is var l && l > 0
        ? new(cut.From.Towards(cut.To, -1e-7 / l), cut.From.Towards(cut.To, 1 + (1e-7 / l)))
        : cut;

    private static LineString Line(PlanCut cut) => Outline.Factory.CreateLineString([new(cut.From.X, cut.From.Y), new(cut.To.X, cut.To.Y)]);
}
