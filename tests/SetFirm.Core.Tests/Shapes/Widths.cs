using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>The slow way to an area: thousands of thin level strips, each measured from crossing to crossing.</summary>
/// <remarks>It solves circles for arcs and shares nothing with shoelace sums, segments or the geometry library.</remarks>
internal static class Widths
{
    public static double Area(Outline outline, int strips = 3000)
    {
        var bow = outline.Rises.Max(Math.Abs);
        var (low, high) = (outline.Corners.Min(c => c.Y) - bow, outline.Corners.Max(c => c.Y) + bow);
        var step = (high - low) / strips;
        var sum = 0.0;
        for (var i = 0; i < strips; i++)
        {
            var y = low + ((i + 0.5) * step);
            var crossings = Enumerable.Range(0, outline.Corners.Length).SelectMany(e => Crossings(outline, e, y)).Order().ToArray();
            for (var k = 0; k + 1 < crossings.Length; k += 2)
            {
                sum += (crossings[k + 1] - crossings[k]) * step;
            }

            sum -= outline.Openings.Sum(o => Width(o, y)) * step;
        }

        return sum;
    }

    private static double Width(Opening opening, double y) => opening switch
    {
        Opening.Round round when Math.Abs(y - round.At.Y) < round.Diameter.Metres / 2 =>
            2 * Math.Sqrt(Math.Pow(round.Diameter.Metres / 2, 2) - Math.Pow(y - round.At.Y, 2)),
        Opening.Rectangular box when Math.Abs(y - box.At.Y) < box.Depth.Metres / 2 => box.Width.Metres,
        _ => 0,
    };

    private static IEnumerable<double> Crossings(Outline outline, int edge, double y)
    {
        var (a, b) = (outline.Corners[edge], outline.Corners[(edge + 1) % outline.Corners.Length]);
        var rise = outline.Rises[edge] * (outline.TurnsLeft ? 1 : -1);
        if (Math.Abs(rise) < 1e-6)
        {
            if ((a.Y > y) != (b.Y > y))
            {
                yield return a.X + ((y - a.Y) * (b.X - a.X) / (b.Y - a.Y));
            }

            yield break;
        }

        // The circle through both ends and the top of the bow, which stands to the right of the way.
        var chord = a.DistanceTo(b);
        var (rightX, rightY) = ((b.Y - a.Y) / chord, -(b.X - a.X) / chord);
        var offset = rise - (((chord * chord / 4) + (rise * rise)) / (2 * rise));
        var (cx, cy) = (((a.X + b.X) / 2) + (rightX * offset), ((a.Y + b.Y) / 2) + (rightY * offset));
        var radius = Math.Sqrt(Math.Pow(a.X - cx, 2) + Math.Pow(a.Y - cy, 2));
        if (Math.Abs(y - cy) >= radius)
        {
            yield break;
        }

        foreach (var x in new[] { cx - Math.Sqrt((radius * radius) - ((y - cy) * (y - cy))), cx + Math.Sqrt((radius * radius) - ((y - cy) * (y - cy))) })
        {
            // On the arc, not on the rest of the circle: on the bow's side of the straight line.
            if (Math.Sign(((x - a.X) * rightX) + ((y - a.Y) * rightY)) == Math.Sign(rise))
            {
                yield return x;
            }
        }
    }
}
