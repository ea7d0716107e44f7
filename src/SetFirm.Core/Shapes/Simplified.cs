using System.Collections.Immutable;

namespace SetFirm.Core.Shapes;

/// <summary>Takes corners out of a ring that hardly change it.</summary>
/// <remarks>Source: Douglas and Peucker 1973, from the two corners farthest apart along the ring.</remarks>
internal static class Simplified
{
    /// <summary>Indexes of the corners that stay: all others lie within the tolerance of the line between their neighbours that do.</summary>
    public static ImmutableArray<int> Keep(ImmutableArray<PlanPoint> ring, double toleranceM)
    {
        var n = ring.Length;
        var kept = new bool[n + 1];
        var far = Enumerable.Range(1, n - 1).MaxBy(i => ring[0].DistanceTo(ring[i]));
        (kept[0], kept[far], kept[n]) = (true, true, true);
        var open = new Stack<(int From, int To)>([(0, far), (far, n)]);
        while (open.TryPop(out var span))
        {
            var (from, to) = span;
            var (worst, at) = (toleranceM, -1);
            for (var i = from + 1; i < to; i++)
            {
                var off = ring[i].DistanceToSegment(ring[from], ring[to % n]);
                if (off > worst)
                {
                    (worst, at) = (off, i);
                }
            }

            if (at > 0)
            {
                kept[at] = true;
                open.Push((from, at));
                open.Push((at, to));
            }
        }

        return [.. Enumerable.Range(0, n).Where(i => kept[i])];
    }
}
