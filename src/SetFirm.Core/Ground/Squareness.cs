using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Ground;

/// <summary>A distance that proves the layout: tape it between the two corners.</summary>
public readonly record struct Diagonal(int From, int To, double LengthM);

/// <summary>Which diagonals fix an outline.</summary>
/// <remarks>
/// Plane geometry: with all sides taped, the distances from one corner to the others fix every triangle.
/// A four-sided outline gets both of its diagonals, equal when it is square.
/// What is round has no corners to tape between: it is struck from its middle.
/// </remarks>
public static class Squareness
{
    /// <summary>More than this nobody tapes.</summary>
    public const int Most = 12;

    public static ImmutableArray<Diagonal> Of(Outline outline)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var corners = outline.Corners;
        var n = corners.Length;
        Diagonal Between(int a, int b) => new(a, b, corners[a].DistanceTo(corners[b]));
        return n switch
        {
            3 => [],
            _ when Enumerable.Range(0, n).All(outline.IsArc) => [],
            4 => [Between(0, 2), Between(1, 3)],
            _ => [.. Enumerable.Range(2, n - 3).Take(Most).Select(i => Between(0, i))],
        };
    }
}
