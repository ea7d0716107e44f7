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
    /// <summary>Ends that are moved onto a line may make so much of a difference, square metres.</summary>
    private const double MostOffM2 = 1e-6;

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
        ArgumentNullException.ThrowIfNull(cuts);
        var holes = outline.Net.InteriorRings;
        if (cuts.Count == 0)
        {
            return [Of(outline.Net)];
        }

        return Quickly(outline, cuts, holes) is { } pieces
            ? [.. pieces.Select(piece => Of(Outline.Factory.CreatePolygon(Outline.Ring([.. piece]).Shell, Within(piece, holes)))).Where(p => p.AreaM2 > Parting.LeastM2)]
            : Noded(outline.Net, outline.Region, cuts);
    }

    /// <summary>The same as if there were no openings.</summary>
    public static ImmutableArray<Panel> Legs(Outline outline, IReadOnlyCollection<PlanCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(cuts);
        if (cuts.Count == 0)
        {
            return [Of(outline.Gross)];
        }

        return Quickly(outline, cuts, []) is { } pieces
            ? [.. pieces.Select(piece => Of(Outline.Ring([.. piece]))).Where(p => p.AreaM2 > Parting.LeastM2)]
            : Noded(outline.Gross, new Rings(outline.Gross), cuts);
    }

    // Null where chords alone do not tell: many cuts, an opening that may be part of the panels' edges, cuts that meet in the open; or where it does not add up.
    private static List<PlanPoint[]>? Quickly(Outline outline, IReadOnlyCollection<PlanCut> cuts, LineString[] holes)
    {
        if (cuts.Count > Parting.MostCuts || holes.Any(h => cuts.Sum(c => Touches(c, h.EnvelopeInternal)) > 1))
        {
            return null;
        }

        PlanPoint[] ring = [.. outline.Flat];
        var (pieces, dangling) = Parting.Of(ring, cuts);
        if (Math.Abs(pieces.Sum(p => Rings.AreaM2(p)) - Rings.AreaM2(ring)) > MostOffM2)
        {
            return null;
        }

        Envelope[] short_ = [.. dangling.Select(c => Box(c, Parting.SamePlaceM))];
        var alone = short_.Select((box, i) => !short_.Skip(i + 1).Any(box.Intersects)).All(apart => apart);
        return alone && dangling.All(c => holes.Any(h => Touches(c, h.EnvelopeInternal) == 1)) ? pieces : null;
    }

    // How often a cut comes to an opening: it ends at it, or it runs through.
    private static int Touches(PlanCut cut, Envelope hole)
    {
        var ends = Box(new PlanCut(cut.From, cut.From), Parting.SamePlaceM).Intersects(hole) ^ Box(new PlanCut(cut.To, cut.To), Parting.SamePlaceM).Intersects(hole);
        return ends ? 1 : Box(cut, Parting.SamePlaceM).Intersects(hole) ? 2 : 0;
    }

    private static Envelope Box(PlanCut cut, double by)
    {
        var box = new Envelope(cut.From.X, cut.To.X, cut.From.Y, cut.To.Y);
        box.ExpandBy(by);
        return box;
    }

    private static LinearRing[] Within(PlanPoint[] piece, LineString[] holes)
    {
        var rings = new Rings(piece);
        return [.. holes.Where(h => rings.Contains(new(h.EnvelopeInternal.Centre.X, h.EnvelopeInternal.Centre.Y))).Cast<LinearRing>()];
    }

    private static ImmutableArray<Panel> Noded(Polygon whole, Rings region, IReadOnlyCollection<PlanCut> cuts)
    {
        var pieces = new Polygonizer();
        foreach (var line in Parted([.. whole.InteriorRings.Prepend(whole.ExteriorRing).Select(r => r.Coordinates), .. cuts.Select(Line)]))
        {
            pieces.Add((Geometry)line);
        }

        return [.. pieces.GetPolygons().Cast<Polygon>().Where(p => p.Area > Parting.LeastM2).Select(Of).Where(p => region.Contains(p.Middle))];
    }

    // Lines parted wherever they meet, an end that comes as near as rounding to a line on it; of stretches that lie on one another one is kept.
    private static IEnumerable<LineString> Parted(Coordinate[][] lines)
    {
        var noder = new SnappingNoder(Parting.SamePlaceM);
        noder.ComputeNodes([.. lines.Select(l => new NodedSegmentString(l, null))]);
        var seen = new HashSet<(Coordinate, Coordinate, Coordinate)>();
        return noder.GetNodedSubstrings().Select(s => s.Coordinates).Where(c => seen.Add(WhicheverWay(c))).Select(Outline.Factory.CreateLineString);
    }

    // The same for a stretch and for its reverse: its ends, and which way it leaves the first of them.
    private static (Coordinate From, Coordinate By, Coordinate To) WhicheverWay(Coordinate[] stretch) =>
        stretch[0].CompareTo(stretch[^1]) <= 0 ? (stretch[0], stretch[1], stretch[^1]) : (stretch[^1], stretch[^2], stretch[0]);

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
