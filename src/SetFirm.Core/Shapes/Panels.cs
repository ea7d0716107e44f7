using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Noding;
using NetTopologySuite.Noding.Snap;
using NetTopologySuite.Operation.Polygonize;

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

    /// <summary>Places nearer than this are one, metres.</summary>
    private const double SamePlaceM = 1e-8;

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
        return Of(outline.Net, outline.Region, cuts);
    }

    /// <summary>The same as if there were no openings.</summary>
    public static ImmutableArray<Panel> Legs(Outline outline, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return outline.Openings.IsEmpty ? Of(outline, cuts) : Of(outline.Gross, new Rings(outline.Gross), cuts);
    }

    private static ImmutableArray<Panel> Of(Polygon whole, Rings region, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(cuts);
        if (cuts.Count == 0)
        {
            return [Of(whole)];
        }

        var pieces = new Polygonizer();
        foreach (var line in Parted([.. whole.InteriorRings.Prepend(whole.ExteriorRing).Select(r => r.Coordinates), .. cuts.Select(c => Line(c))]))
        {
            pieces.Add((Geometry)line);
        }

        return [.. pieces.GetPolygons().Cast<Polygon>().Where(p => p.Area > Sliver).Select(Of).Where(p => region.Contains(p.Middle))];
    }

    // Lines parted wherever they meet, an end that comes as near as rounding to a line on it; of stretches that lie on one another one is kept.
    private static IEnumerable<LineString> Parted(Coordinate[][] lines)
    {
        var noder = new SnappingNoder(SamePlaceM);
        noder.ComputeNodes([.. lines.Select(l => new NodedSegmentString(l, null))]);
        var seen = new SortedSet<OrientedCoordinateArray>();
        return noder.GetNodedSubstrings().Select(s => s.Coordinates).Where(c => seen.Add(new OrientedCoordinateArray(c))).Select(Outline.Factory.CreateLineString);
    }

    private static Panel Of(Polygon polygon)
    {
        var (box, centre) = (polygon.EnvelopeInternal, polygon.Centroid);
        var middle = new PlanPoint(centre.X, centre.Y);
        if (!new Rings(polygon).Contains(middle))
        {
            var inside = polygon.InteriorPoint;
            middle = new PlanPoint(inside.X, inside.Y);
        }

        return new Panel(middle, [.. polygon.Shell.Coordinates.SkipLast(1).Select(c => new PlanPoint(c.X, c.Y))], polygon.Area, box.Width, box.Height);
    }

    private static Coordinate[] Line(PlanCut cut) => [new(cut.From.X, cut.From.Y), new(cut.To.X, cut.To.Y)];
}
