namespace SetFirm.Core.Batching;

/// <summary>How many hands there are, and what that does to the pace and the day. Source: site practice (tune).</summary>
/// <param name="Hands">People, 1 or more.</param>
public readonly record struct Crew(int Hands)
{
    /// <summary>A day in comfort, m3 a person.</summary>
    public const double ComfortM3 = 0.75;

    /// <summary>A day that exhausts, m3 a person.</summary>
    public const double ExhaustionM3 = 1.5;

    /// <summary>Over this volume one person wants a helper, m3.</summary>
    public const double AloneM3 = 0.8;

    /// <summary>Over this many bags mixing by hand wants a mixer.</summary>
    public const int ByHandBags = 20;

    /// <summary>What one person lifts and tips, batch after batch, kg.</summary>
    public const double LiftKg = 25;

    /// <summary>A second person overlaps placing with mixing; a third a little more.</summary>
    public double CycleFactor => Hands switch
    {
        <= 1 => 1,
        2 => 0.55,
        _ => 0.45,
    };
}
