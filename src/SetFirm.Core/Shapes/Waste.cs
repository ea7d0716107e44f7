namespace SetFirm.Core.Shapes;

/// <summary>What the pour lies on decides how much more concrete it takes than the drawing says.</summary>
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
