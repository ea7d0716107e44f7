using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;

namespace SetFirm.Core.Shapes;

/// <summary>Questions of place within an outline.</summary>
public static class Within
{
    private const int GridSide = 21;

    /// <summary>With more stretches than this the library's index is the faster way.</summary>
    private const int MostPlain = 300;

    /// <summary>How far the place hardest to reach lies from the edges one may stand at, metres.</summary>
    /// <param name="outline">The slab.</param>
    /// <param name="edges">Edges to stand at; none means it cannot be reached: infinity.</param>
    /// <remarks>Looked up on a grid of 21 places each way, so up to half a cell short.</remarks>
    public static double DeepestM(Outline outline, IReadOnlySet<int> edges)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(edges);
        var (flat, n) = (outline.Flat, outline.Flat.Length);
        var stretches = Enumerable.Range(0, n).Where(i => edges.Contains(outline.FlatEdges[i])).Select(i => new PlanCut(flat[i], flat[(i + 1) % n])).ToArray();
        if (stretches.Length == 0)
        {
            return double.PositiveInfinity;
        }

        var distance = n > MostPlain ? Indexed(stretches) : at => NearestM(at, stretches);
        var box = outline.Net.EnvelopeInternal;
        var deepest = 0.0;
        for (var ix = 0; ix < GridSide; ix++)
        {
            for (var iy = 0; iy < GridSide; iy++)
            {
                var at = new PlanPoint(box.MinX + (box.Width * (ix + 0.5) / GridSide), box.MinY + (box.Height * (iy + 0.5) / GridSide));
                // Far from the edges first: whether it lies inside is the dearer question.
                if (distance(at) is var away && away > deepest && outline.Region.Contains(at))
                {
                    deepest = away;
                }
            }
        }

        return deepest;
    }

    private static double NearestM(PlanPoint at, PlanCut[] stretches)
    {
        var nearest = double.PositiveInfinity;
        foreach (var stretch in stretches)
        {
            nearest = Math.Min(nearest, at.DistanceToSegment(stretch.From, stretch.To));
        }

        return nearest;
    }

    private static Func<PlanPoint, double> Indexed(PlanCut[] stretches)
    {
        var near = new IndexedFacetDistance(Outline.Factory.CreateMultiLineString([.. stretches.Select(s =>
            Outline.Factory.CreateLineString([new Coordinate(s.From.X, s.From.Y), new Coordinate(s.To.X, s.To.Y)]))]));
        return at => near.Distance(Outline.Factory.CreatePoint(new Coordinate(at.X, at.Y)));
    }
}
