using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>Corners and, for each edge from one to the next, how far it bows out.</summary>
public sealed record RawOutline(ImmutableArray<PlanPoint> Corners, ImmutableArray<double> Rises);

/// <summary>Common outlines by their dimensions. Each answers null where its dimensions cannot be.</summary>
/// <remarks>Plane geometry; the first edge runs along x, the slab lies to its left.</remarks>
public static class OutlinePresets
{
    /// <summary>A kidney's middle line bends through half of this to each side at the most, radians.</summary>
    private const double KidneyMostBend = Math.PI * 0.3;

    public static RawOutline Rectangle(Length along, Length across) =>
        Straight(new(0, 0), new(along.Metres, 0), new(along.Metres, across.Metres), new(0, across.Metres));

    /// <summary>A rectangle less a notch at its far left corner.</summary>
    public static RawOutline? LShape(Length along, Length across, Length notchAlong, Length notchAcross)
    {
        var (a, b, c, d) = (along.Metres, across.Metres, notchAlong.Metres, notchAcross.Metres);
        return c < a && d < b ? Straight(new(0, 0), new(a, 0), new(a, b), new(c, b), new(c, b - d), new(0, b - d)) : null;
    }

    /// <summary>A rectangle less a notch in the middle of its far side.</summary>
    public static RawOutline? UShape(Length along, Length across, Length notchAlong, Length notchAcross)
    {
        var (a, b, c, d) = (along.Metres, across.Metres, notchAlong.Metres, notchAcross.Metres);
        var (left, right) = ((a - c) / 2, (a + c) / 2);
        return c < a && d < b
            ? Straight(new(0, 0), new(a, 0), new(a, b), new(right, b), new(right, b - d), new(left, b - d), new(left, b), new(0, b))
            : null;
    }

    /// <summary>Four quarter arcs.</summary>
    public static RawOutline Circle(Length diameter)
    {
        var r = diameter.Metres / 2;
        var rise = Arcs.RiseM(r, Math.PI / 2);
        return new RawOutline([new(r, 0), new(2 * r, r), new(r, 2 * r), new(0, r)], [rise, rise, rise, rise]);
    }

    /// <summary>A quarter of a circle between two straight sides.</summary>
    public static RawOutline Quarter(Length radius) =>
        new([new(0, 0), new(radius.Metres, 0), new(0, radius.Metres)], [0, Arcs.RiseM(radius.Metres, Math.PI / 2), 0]);

    public static RawOutline Half(Length diameter) =>
        new([new(0, 0), new(diameter.Metres, 0), new(diameter.Metres / 2, diameter.Metres / 2)],
            [0, Arcs.RiseM(diameter.Metres / 2, Math.PI / 2), Arcs.RiseM(diameter.Metres / 2, Math.PI / 2)]);

    /// <summary>A band bent round with round ends.</summary>
    /// <param name="along">Over all, end to end.</param>
    /// <param name="across">Of the band.</param>
    public static RawOutline? Kidney(Length along, Length across)
    {
        var half = across.Metres / 2;
        var reach = (along.Metres / 2) - half;
        if (reach <= 0)
        {
            return null;
        }

        // Bent as far as it may be, but on no tighter middle line than its own width: a stubby one bends less.
        var radius = Math.Max(across.Metres, reach / Math.Sin(KidneyMostBend));
        var to = Math.Asin(reach / radius);
        PlanPoint On(double r, double angle) => new((along.Metres / 2) + (r * Math.Sin(angle)), r * Math.Cos(angle));
        ImmutableArray<PlanPoint> corners = [On(radius - half, -to), On(radius - half, to), On(radius + half, to), On(radius + half, -to)];
        var low = (radius * Math.Cos(to)) - half; // the foot of a round end
        return new RawOutline(
            [.. corners.Select(c => new PlanPoint(c.X, c.Y - low))],
            [-Arcs.RiseM(radius - half, 2 * to), half, Arcs.RiseM(radius + half, 2 * to), half]);
    }

    /// <summary>Equal sides, 3 to 12 of them, by the distance across from flat to flat (or flat to point).</summary>
    public static RawOutline Regular(int sides, Length across)
    {
        // Flat to opposite side: 2 r cos(pi/n) where even, r (1 + cos(pi/n)) where odd.
        var cos = Math.Cos(Math.PI / sides);
        var r = across.Metres / (sides % 2 == 0 ? 2 * cos : 1 + cos);
        var start = (-Math.PI / 2) - (Math.PI / sides);
        return Straight([.. Enumerable.Range(0, sides).Select(i =>
            new PlanPoint(r * (Math.Cos(start + (2 * Math.PI * i / sides)) - Math.Cos(start)), r * (Math.Sin(start + (2 * Math.PI * i / sides)) - Math.Sin(start))))]);
    }

    private static RawOutline Straight(params ImmutableArray<PlanPoint> corners) => new(corners, [.. new double[corners.Length]]);
}
