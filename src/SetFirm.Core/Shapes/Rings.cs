using System.Buffers;
using System.Collections.Immutable;
using NetTopologySuite.Geometries;

namespace SetFirm.Core.Shapes;

/// <summary>A region bounded by closed rings, inside by the even-odd rule: what is asked of it many times in a plan, answered fast.</summary>
/// <remarks>The slow answers of the geometry library are the oracle in the tests.</remarks>
internal sealed class Rings
{
    /// <summary>Nearer than this to an edge is on it, metres.</summary>
    private const double OnEdgeM = 1e-9;

    private readonly PlanPoint[][] rings;
    private readonly Lazy<Extent[]> extents;

    /// <param name="ring">Corners of a region without openings.</param>
    public Rings(PlanPoint[] ring)
    {
        rings = [ring];
        extents = new(() => [Extent.Of(ring, hole: false)]);
    }

    public Rings(Geometry geometry)
    {
        var (found, holes) = (new List<PlanPoint[]>(), new List<bool>());
        for (var i = 0; i < geometry.NumGeometries; i++)
        {
            if (geometry.GetGeometryN(i) is Polygon { IsEmpty: false } polygon)
            {
                found.Add(Points(polygon.ExteriorRing));
                found.AddRange(polygon.InteriorRings.Select(Points));
                holes.Add(false);
                holes.AddRange(Enumerable.Repeat(true, polygon.NumInteriorRings));
            }
        }

        rings = [.. found];
        extents = new(() => [.. rings.Zip(holes, Extent.Of)]);
    }

    /// <summary>True for a place inside; on an edge is not.</summary>
    public bool Contains(PlanPoint at)
    {
        var odd = false;
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Length; i++)
            {
                var (a, b) = (ring[i], ring[i + 1 == ring.Length ? 0 : i + 1]);
                if (Math.Min(a.X, b.X) - OnEdgeM <= at.X && at.X <= Math.Max(a.X, b.X) + OnEdgeM
                    && Math.Min(a.Y, b.Y) - OnEdgeM <= at.Y && at.Y <= Math.Max(a.Y, b.Y) + OnEdgeM && at.DistanceToSegment(a, b) <= OnEdgeM)
                {
                    return false;
                }

                odd ^= (a.Y > at.Y) != (b.Y > at.Y) && at.X < ((b.X - a.X) * (at.Y - a.Y) / (b.Y - a.Y)) + a.X;
            }
        }

        return odd;
    }

    /// <summary>The parts of a cut inside, in its order; where it runs along an edge it is not inside.</summary>
    public ImmutableArray<PlanCut> Clip(PlanCut cut)
    {
        var stations = new List<double> { 0, 1 };
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Length; i++)
            {
                Meet(cut, ring[i], ring[i + 1 == ring.Length ? 0 : i + 1], stations);
            }
        }

        stations.Sort();
        var parts = ImmutableArray.CreateBuilder<PlanCut>();
        (double From, double To)? open = null;
        void Close()
        {
            if (open is var (start, end))
            {
                parts.Add(new PlanCut(cut.From.Towards(cut.To, start), cut.From.Towards(cut.To, end)));
                open = null;
            }
        }

        for (var i = 0; i + 1 < stations.Count; i++)
        {
            var (from, to) = (stations[i], stations[i + 1]);
            if ((to - from) * cut.LengthM <= OnEdgeM)
            {
                continue;
            }

            if (Contains(cut.From.Towards(cut.To, (from + to) / 2)))
            {
                open = (open?.From ?? from, to); // parts that meet at a corner that the cut only touches stay one
            }
            else
            {
                Close();
            }
        }

        Close();
        return parts.ToImmutable();
    }

    /// <summary>Area shared with an upright rectangle, square metres: each ring clipped by its four sides in turn.</summary>
    /// <remarks>Source: Sutherland and Hodgman 1974. The edges it may leave along a side carry no area.</remarks>
    public double SharedM2(double left, double low, double right, double high)
    {
        var whole = 0.0;
        for (var i = 0; i < rings.Length; i++)
        {
            var extent = extents.Value[i];
            whole += extent.Sign * (extent.Within(left, low, right, high) ? extent.AreaM2 : extent.Apart(left, low, right, high) ? 0 : Clipped(rings[i], left, low, right, high));
        }

        return Math.Max(0, whole);
    }

    /// <summary>Within a ring, whichever way round it runs.</summary>
    public static double AreaM2(ReadOnlySpan<PlanPoint> ring) => Math.Abs(SignedArea(ring));

    private static double Clipped(PlanPoint[] ring, double left, double low, double right, double high)
    {
        // Each side adds a corner for each that it cuts off, at the most.
        var most = (ring.Length * 6) + 16;
        var (one, other) = (ArrayPool<PlanPoint>.Shared.Rent(most), ArrayPool<PlanPoint>.Shared.Rent(most));
        try
        {
            var count = Half(ring, one, across: true, left, 1);
            count = Half(one.AsSpan(0, count), other, across: true, right, -1);
            count = Half(other.AsSpan(0, count), one, across: false, low, 1);
            count = Half(one.AsSpan(0, count), other, across: false, high, -1);
            return AreaM2(other.AsSpan(0, count));
        }
        finally
        {
            ArrayPool<PlanPoint>.Shared.Return(one);
            ArrayPool<PlanPoint>.Shared.Return(other);
        }
    }

    // Where an edge crosses the cut, or both of its ends where it runs along it; shares of the cut.
    private static void Meet(PlanCut cut, PlanPoint a, PlanPoint b, List<double> stations)
    {
        var (dx, dy) = (cut.To.X - cut.From.X, cut.To.Y - cut.From.Y);
        var (ex, ey) = (b.X - a.X, b.Y - a.Y);
        var (fx, fy) = (a.X - cut.From.X, a.Y - cut.From.Y);
        var det = (dx * ey) - (dy * ex);
        var long2 = (dx * dx) + (dy * dy);
        if (Math.Abs(det) <= 1e-12 * Math.Sqrt(long2 * ((ex * ex) + (ey * ey))))
        {
            if (Math.Abs((fx * dy) - (fy * dx)) <= OnEdgeM * Math.Sqrt(long2))
            {
                Add(((fx * dx) + (fy * dy)) / long2, stations);
                Add((((fx + ex) * dx) + ((fy + ey) * dy)) / long2, stations);
            }

            return;
        }

        var along = ((fx * dy) - (fy * dx)) / det; // share of the edge
        if (along is >= -1e-12 and <= 1 + 1e-12)
        {
            Add(((fx * ey) - (fy * ex)) / det, stations);
        }
    }

    private static void Add(double station, List<double> stations)
    {
        if (station is > 0 and < 1)
        {
            stations.Add(station);
        }
    }

    // What of a ring lies past a line, on its greater side or its lesser; answers how many corners it has.
    private static int Half(ReadOnlySpan<PlanPoint> ring, Span<PlanPoint> kept, bool across, double at, int side)
    {
        double Depth(PlanPoint p) => ((across ? p.X : p.Y) - at) * side;
        var count = 0;
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[i + 1 == ring.Length ? 0 : i + 1]);
            var (da, db) = (Depth(a), Depth(b));
            if (da >= 0)
            {
                kept[count++] = a;
            }

            if ((da < 0) != (db < 0))
            {
                kept[count++] = a.Towards(b, da / (da - db));
            }
        }

        return count;
    }

    private static double SignedArea(ReadOnlySpan<PlanPoint> ring)
    {
        double twice = 0;
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[i + 1 == ring.Length ? 0 : i + 1]);
            twice += (a.X * b.Y) - (b.X * a.Y);
        }

        return twice / 2;
    }

    private static PlanPoint[] Points(LineString ring) => [.. ring.Coordinates.SkipLast(1).Select(c => new PlanPoint(c.X, c.Y))];

    /// <summary>Where a ring lies at all, and whether it adds or takes away.</summary>
    private readonly record struct Extent(double Left, double Low, double Right, double High, double AreaM2, int Sign)
    {
        public static Extent Of(PlanPoint[] ring, bool hole) =>
            new(ring.Min(p => p.X), ring.Min(p => p.Y), ring.Max(p => p.X), ring.Max(p => p.Y), Rings.AreaM2(ring), hole ? -1 : 1);

        public bool Within(double left, double low, double right, double high) => Left >= left && Right <= right && Low >= low && High <= high;

        public bool Apart(double left, double low, double right, double high) => Left >= right || Right <= left || Low >= high || High <= low;
    }
}
