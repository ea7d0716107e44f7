namespace SetFirm.Core.Shapes;

/// <summary>Parts a region without openings by straight cuts, chord by chord: what a few joints ask, answered fast.</summary>
/// <remarks>The geometry library's noding is the oracle in the tests, and takes over where there are many cuts.</remarks>
internal static class Parting
{
    /// <summary>An end of a cut so near to a ring lies on it, metres.</summary>
    public const double SamePlaceM = 1e-8;

    /// <summary>Less than this comes from rounding, square metres.</summary>
    public const double LeastM2 = 1e-9;

    /// <summary>With more cuts than this the library is the faster way.</summary>
    public const int MostCuts = 40;

    /// <param name="ring">Corners of the region, either way round.</param>
    /// <param name="cuts">Straight; one that ends in the open parts nothing until another meets its end.</param>
    /// <returns>The pieces, and the cuts that some of still ends in the open: each by itself parts nothing, together they may.</returns>
    public static (List<PlanPoint[]> Pieces, IReadOnlyList<PlanCut> Dangling) Of(PlanPoint[] ring, IEnumerable<PlanCut> cuts)
    {
        List<PlanPoint[]> pieces = [ring];
        var (waiting, before) = (cuts.ToList(), 0);
        while (waiting.Count > 0 && pieces.Count != before)
        {
            before = pieces.Count;
            waiting.RemoveAll(cut =>
            {
                var (parted, dangles) = (new List<PlanPoint[]>(pieces.Count + 1), false);
                foreach (var piece in pieces)
                {
                    dangles |= !Part(piece, cut, parted);
                }

                pieces = parted;
                return !dangles;
            });
        }

        return (pieces, waiting);
    }

    // Adds what a cut leaves of a piece; false where some of the cut ends in the open.
    private static bool Part(PlanPoint[] piece, PlanCut cut, List<PlanPoint[]> parted)
    {
        var dangles = false;
        foreach (var within in new Rings(piece).Clip(cut))
        {
            if (On(piece, within.From) is not { } from || On(piece, within.To) is not { } to)
            {
                dangles = true;
                continue;
            }

            var (one, other) = (Round(piece, from, to), Round(piece, to, from));
            var (oneM2, otherM2) = (Rings.AreaM2(one), Rings.AreaM2(other));
            // A cut a hair beside an edge has that edge's own ends, one across a hair has one place for both: they part nothing off.
            if (oneM2 > LeastM2 && otherM2 > LeastM2 && oneM2 + otherM2 < Rings.AreaM2(piece) + LeastM2)
            {
                // What is left of the cut lies in one half or the other.
                return Part(one, cut, parted) & Part(other, cut, parted) & !dangles;
            }
        }

        parted.Add(piece);
        return !dangles;
    }

    /// <summary>A place on a ring: at or after one of its corners.</summary>
    private readonly record struct Spot(PlanPoint At, int Corner, bool IsCorner);

    private static Spot? On(PlanPoint[] ring, PlanPoint at)
    {
        for (var i = 0; i < ring.Length; i++)
        {
            if (at.DistanceTo(ring[i]) < SamePlaceM)
            {
                return new Spot(ring[i], i, IsCorner: true);
            }
        }

        for (var i = 0; i < ring.Length; i++)
        {
            if (at.DistanceToSegment(ring[i], ring[i + 1 == ring.Length ? 0 : i + 1]) < SamePlaceM)
            {
                return new Spot(at, i, IsCorner: false);
            }
        }

        return null;
    }

    // Along the ring from one place to another, and straight back.
    private static PlanPoint[] Round(PlanPoint[] ring, Spot from, Spot to)
    {
        var round = new List<PlanPoint>(ring.Length + 2) { from.At };
        var last = to.Corner;
        var i = from.Corner;
        // On one edge and further along it there is no corner between.
        if (!(from.Corner == to.Corner && !to.IsCorner && (from.IsCorner || from.At.DistanceTo(ring[i]) < to.At.DistanceTo(ring[i]))))
        {
            do
            {
                i = i + 1 == ring.Length ? 0 : i + 1;
                round.Add(ring[i]);
            }
            while (i != last);
        }

        if (!to.IsCorner)
        {
            round.Add(to.At);
        }

        return [.. round];
    }
}
