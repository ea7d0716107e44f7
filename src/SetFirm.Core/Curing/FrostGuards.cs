namespace SetFirm.Core.Curing;

/// <summary>What is laid over young concrete in cold nights.</summary>
public enum FrostGuard
{
    None,
    MovingBlanket,

    /// <summary>25 mm of foam.</summary>
    Foam,

    /// <summary>100 mm of dry straw under plastic.</summary>
    Straw,
}

/// <summary>How well covers keep the warmth in. Source: ACI 306R's trend, site practice (tune).</summary>
public static class FrostGuards
{
    /// <summary>Resistance, m2K/W; 0 for nothing.</summary>
    public static double Resistance(FrostGuard guard) => guard switch
    {
        FrostGuard.None => 0,
        FrostGuard.MovingBlanket => 0.3,
        FrostGuard.Foam => 0.7,
        FrostGuard.Straw => 1.0,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
