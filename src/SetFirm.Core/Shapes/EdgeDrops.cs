using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>Extra depth along an edge: a thickened edge of a slab, the apron of a counter.</summary>
/// <param name="Edge">Which edge.</param>
/// <param name="Width">In from it.</param>
/// <param name="Depth">Below the field.</param>
public readonly record struct EdgeDrop(int Edge, Length Width, Length Depth);

/// <summary>What drops add to a slab.</summary>
public static class EdgeDrops
{
    /// <summary>Volume below the field. Where strips of two edges lie over each other the deeper one counts.</summary>
    /// <remarks>Strips are mitred at corners and end square; arcs are chords within <see cref="Arcs.ChordErrorM"/>.</remarks>
    public static Volume Extra(Outline outline, IReadOnlyList<EdgeDrop> drops)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(drops);
        Geometry? taken = null;
        double cubicMetres = 0;
        foreach (var group in drops.Where(d => d.Width.Metres > 0 && d.Depth.Metres > 0).GroupBy(d => d.Depth).OrderByDescending(g => g.Key.Metres))
        {
            Geometry? level = null;
            foreach (var sameWidth in group.GroupBy(d => d.Width))
            {
                var strips = Strips(outline, [.. sameWidth.Select(d => d.Edge)], sameWidth.Key.Metres);
                level = level is null ? strips : level.Union(strips);
            }

            var fresh = taken is null ? level! : level!.Difference(taken);
            cubicMetres += fresh.Area * group.Key.Metres;
            taken = taken is null ? level : taken.Union(level);
        }

        return Volume.FromCubicMetres(cubicMetres);
    }

    private static Geometry Strips(Outline outline, HashSet<int> edges, double width)
    {
        var mitred = new BufferParameters(8, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        Geometry? all = null;
        foreach (var run in Runs(outline, edges))
        {
            var strip = run.Buffer(width, mitred);
            all = all is null ? strip : all.Union(strip);
        }

        return all!.Intersection(outline.Net);
    }

    // Stretches of the flat outline that belong together: a ring where all edges drop, else lines.
    private static IEnumerable<Geometry> Runs(Outline outline, HashSet<int> edges)
    {
        var (flat, of, n) = (outline.Flat, outline.FlatEdges, outline.Flat.Length);
        Coordinate At(int i) => new(flat[i % n].X, flat[i % n].Y);
        var start = Enumerable.Range(0, n).FirstOrDefault(i => edges.Contains(of[i]) && !edges.Contains(of[(i + n - 1) % n]), -1);
        if (start < 0)
        {
            yield return Outline.Factory.CreateLinearRing([.. Enumerable.Range(0, n + 1).Select(At)]);
            yield break;
        }

        var run = ImmutableArray.CreateBuilder<Coordinate>();
        for (var i = start; i < start + n; i++)
        {
            if (edges.Contains(of[i % n]))
            {
                if (run.Count == 0)
                {
                    run.Add(At(i));
                }

                run.Add(At(i + 1));
            }
            else if (run.Count > 0)
            {
                yield return Outline.Factory.CreateLineString([.. run]);
                run.Clear();
            }
        }

        if (run.Count > 0)
        {
            yield return Outline.Factory.CreateLineString([.. run]);
        }
    }
}
