using System.Collections.Immutable;
using NetTopologySuite.Geometries;

namespace SetFirm.Core.Shapes;

/// <summary>What lies a cover's width inside a slab: where steel may be.</summary>
public sealed class Inside
{
    private readonly Rings rings;

    private Inside(Geometry kept)
    {
        (AreaM2, IsEmpty, rings) = (kept.Area, kept.IsEmpty, new Rings(kept));
        var box = kept.EnvelopeInternal;
        Box = kept.IsEmpty ? default : (box.MinX, box.MaxX, box.MinY, box.MaxY);
    }

    public double AreaM2 { get; }

    public bool IsEmpty { get; }

    /// <summary>Extents: least and most x, least and most y, metres; all zero where nothing is left.</summary>
    public (double Left, double Right, double Low, double High) Box { get; }

    /// <param name="outline">The slab.</param>
    /// <param name="coverM">Kept clear along edges and round openings, metres.</param>
    public static Inside Of(Outline outline, double coverM)
    {
        ArgumentNullException.ThrowIfNull(outline);
        return new Inside(outline.Net.Buffer(-coverM, 4));
    }

    /// <summary>The parts of a line within.</summary>
    public ImmutableArray<PlanCut> Clip(PlanCut cut) => rings.Clip(cut);

    /// <summary>Area shared with an upright rectangle, square metres.</summary>
    public double SharedM2(double left, double low, double right, double high) => rings.SharedM2(left, low, right, high);
}
