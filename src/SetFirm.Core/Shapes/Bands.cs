using System.Collections.Immutable;

namespace SetFirm.Core.Shapes;

/// <summary>Cuts a plan into bands by share of its area, as a pour fills it from one end.</summary>
public static class Bands
{
    private const int Halvings = 30;

    /// <summary>Turn of a path's edge between two corners of a band, radians.</summary>
    private const double StepRadians = 0.12;

    /// <summary>Where bands end: how far along the direction so many shares of the area lie, metres.</summary>
    /// <param name="ring">Round the plan, either way.</param>
    /// <param name="towards">Direction that it is filled in; of any length above 0.</param>
    /// <param name="shares">0-1, of the area.</param>
    public static ImmutableArray<double> Fronts(ImmutableArray<PlanPoint> ring, PlanPoint towards, IReadOnlyCollection<double> shares)
    {
        ArgumentNullException.ThrowIfNull(shares);
        var at = ring.Select(p => Along(p, towards)).ToArray();
        var (least, most, whole) = (at.Min(), at.Max(), Area(ring));
        var fronts = ImmutableArray.CreateBuilder<double>(shares.Count);
        foreach (var share in shares)
        {
            var (low, high) = (least, most);
            for (var i = 0; i < Halvings && share is > 0 and < 1; i++)
            {
                var middle = (low + high) / 2;
                (low, high) = AreaBefore(ring, towards, middle) < share * whole ? (middle, high) : (low, middle);
            }

            fronts.Add(share >= 1 ? most : share <= 0 ? least : (low + high) / 2);
        }

        return fronts.MoveToImmutable();
    }

    /// <summary>The part of a plan between two fronts; of a plan that bends in, its parts hang together by lines of no width.</summary>
    public static ImmutableArray<PlanPoint> Between(ImmutableArray<PlanPoint> ring, PlanPoint towards, double from, double to)
    {
        var past = Cut(ring, p => Along(p, towards) - from);
        return Cut(past, p => to - Along(p, towards));
    }

    /// <summary>A stretch of a path, shares of its length from its start.</summary>
    public static ImmutableArray<PlanPoint> Between(CentreLine line, double widthM, double from, double to)
    {
        ArgumentNullException.ThrowIfNull(line);
        var (left, right) = (ImmutableArray.CreateBuilder<PlanPoint>(), new List<PlanPoint>());
        foreach (var metres in Stops(line, line.Length.Metres * from, line.Length.Metres * to))
        {
            var (at, heading) = line.At(metres);
            var (x, y) = (-Math.Sin(heading) * widthM / 2, Math.Cos(heading) * widthM / 2);
            left.Add(new(at.X + x, at.Y + y));
            right.Add(new(at.X - x, at.Y - y));
        }

        right.Reverse();
        return [.. left, .. right];
    }

    // The ends of every stretch between two places, and steps round its arcs.
    private static IEnumerable<double> Stops(CentreLine line, double start, double end)
    {
        var walked = 0.0;
        yield return start;
        foreach (var stretch in line.Stretches)
        {
            var (from, to) = (Math.Max(start, walked), Math.Min(end, walked + stretch.LengthM));
            walked += stretch.LengthM;
            if (to <= from)
            {
                continue;
            }

            var turned = stretch is Stretch.Arc arc ? Math.Abs(arc.SweepDegrees) * Math.PI / 180 * (to - from) / arc.LengthM : 0;
            var steps = Math.Max(1, (int)Math.Ceiling(turned / StepRadians));
            for (var i = 1; i <= steps; i++)
            {
                yield return from + ((to - from) * i / steps);
            }
        }
    }

    /// <summary>Area of a ring, square metres.</summary>
    public static double Area(ImmutableArray<PlanPoint> ring)
    {
        double twice = 0;
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            twice += (a.X * b.Y) - (b.X * a.Y);
        }

        return Math.Abs(twice) / 2;
    }

    private static double Along(PlanPoint p, PlanPoint towards) => (p.X * towards.X) + (p.Y * towards.Y);

    // Without keeping the part: corners of the cut ring are summed as they come.
    private static double AreaBefore(ImmutableArray<PlanPoint> ring, PlanPoint towards, double front)
    {
        double twice = 0;
        PlanPoint? first = null, last = null;
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            var (da, db) = (front - Along(a, towards), front - Along(b, towards));
            if (da >= 0)
            {
                Add(a);
            }

            if (da * db < 0)
            {
                Add(a.Towards(b, da / (da - db)));
            }
        }

        if (first is { } start)
        {
            Add(start);
        }

        return Math.Abs(twice) / 2;

        void Add(PlanPoint p)
        {
            if (last is { } before)
            {
                twice += (before.X * p.Y) - (p.X * before.Y);
            }

            first ??= p;
            last = p;
        }
    }

    // Source: Sutherland and Hodgman 1974, one edge.
    private static ImmutableArray<PlanPoint> Cut(ImmutableArray<PlanPoint> ring, Func<PlanPoint, double> inside)
    {
        var kept = ImmutableArray.CreateBuilder<PlanPoint>(ring.Length + 2);
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            var (da, db) = (inside(a), inside(b));
            if (da >= 0)
            {
                kept.Add(a);
            }

            if (da * db < 0)
            {
                kept.Add(a.Towards(b, da / (da - db)));
            }
        }

        return kept.ToImmutable();
    }
}
