using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A slab, patio, pad, walk or drive panel: an outline of one thickness.</summary>
public sealed record SlabShape(Outline Outline, Length Thickness)
{
    public Volume Net => Outline.NetArea * Thickness;
}

/// <summary>What the slab lies on decides how much more concrete it takes than the drawing says.</summary>
public enum Bed
{
    /// <summary>A mould or rigid forms: 5 %.</summary>
    Rigid,

    /// <summary>A levelled, compacted base: 8 %.</summary>
    Levelled,

    /// <summary>Dug by hand: 10 %.</summary>
    HandDug,
}

/// <summary>Waste shares. Source: site practice; the log recalibrates them.</summary>
public static class Waste
{
    public static double Share(Bed bed) => bed switch
    {
        Bed.Rigid => 0.05,
        Bed.Levelled => 0.08,
        Bed.HandDug => 0.10,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
