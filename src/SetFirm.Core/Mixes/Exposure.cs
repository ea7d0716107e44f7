using System.Collections.Immutable;

namespace SetFirm.Core.Mixes;

/// <summary>What weather asks of the concrete.</summary>
public enum Exposure
{
    NoFreezing,

    /// <summary>Freezes, seldom wet when it does.</summary>
    FreezesSeldomWet,

    /// <summary>Freezes, often wet.</summary>
    FreezesOftenWet,

    /// <summary>De-icing salt.</summary>
    DeIcingSalt,
}

/// <summary>Limits of an exposure.</summary>
/// <param name="MostWaterCement">By mass; null where it sets none.</param>
/// <param name="LeastMpa">28-day strength, MPa.</param>
/// <param name="AirShare">Air wanted, 0-1; 0 asks none.</param>
public sealed record ExposureLimits(double? MostWaterCement, double LeastMpa, double AirShare)
{
    /// <summary>Good practice outdoors where it never freezes: a word, never a limit.</summary>
    public const double GoodOutdoors = 0.60;

    /// <summary>Air by the largest stone, mm: seldom and often wet. ACI 318.</summary>
    private static readonly ImmutableArray<(double StoneMm, double Seldom, double Often)> Airs = [(10, 0.06, 0.075), (12.5, 0.055, 0.07), (20, 0.05, 0.06), (25, 0.045, 0.06)];

    /// <summary>Source: ACI 318.</summary>
    /// <param name="exposure">Where it lies.</param>
    /// <param name="stoneMm">Largest stone.</param>
    /// <param name="steel">Any steel in it: salt asks more then.</param>
    public static ExposureLimits Of(Exposure exposure, double stoneMm, bool steel) => exposure switch
    {
        Exposure.NoFreezing => new(null, 17, 0),
        Exposure.FreezesSeldomWet => new(0.55, 24, Air(exposure, stoneMm)),
        Exposure.FreezesOftenWet => new(0.45, 31, Air(exposure, stoneMm)),
        Exposure.DeIcingSalt => steel ? new(0.40, 34.5, Air(exposure, stoneMm)) : new(0.45, 31, Air(exposure, stoneMm)),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>Air that an exposure asks with a stone, 0-1: between stones a line.</summary>
    public static double Air(Exposure exposure, double stoneMm)
    {
        if (exposure == Exposure.NoFreezing)
        {
            return 0;
        }

        var upper = 1;
        while (upper < Airs.Length - 1 && Airs[upper].StoneMm < stoneMm)
        {
            upper++;
        }

        var (a, b) = (Airs[upper - 1], Airs[upper]);
        var share = Math.Clamp((stoneMm - a.StoneMm) / (b.StoneMm - a.StoneMm), 0, 1);
        return exposure == Exposure.FreezesSeldomWet ? a.Seldom + (share * (b.Seldom - a.Seldom)) : a.Often + (share * (b.Often - a.Often));
    }
}
