namespace SetFirm.Core.Mixes;

/// <summary>What weather asks of the concrete.</summary>
public enum Exposure
{
    NoFreezing,

    /// <summary>Freezes, seldom wet when it does.</summary>
    FreezesSeldomWet,

    /// <summary>Freezes, often wet.</summary>
    FreezesOftenWet,

    /// <summary>De-icing salt, plain concrete without steel.</summary>
    DeIcingSalt,
}

/// <summary>Limits of an exposure.</summary>
/// <param name="MostWaterCement">By mass.</param>
/// <param name="LeastMpa">28-day strength, MPa; 0 asks none.</param>
/// <param name="AirShare">Air wanted, 0-1; 0 asks none.</param>
public sealed record ExposureLimits(double MostWaterCement, double LeastMpa, double AirShare)
{
    /// <summary>Source: ACI 318; plain concrete without steel for de-icing salt.</summary>
    public static ExposureLimits Of(Exposure exposure, double stoneMm)
    {
        var fine = stoneMm < 12.5;
        return exposure switch
        {
            Exposure.NoFreezing => new(0.60, 0, 0),
            Exposure.FreezesSeldomWet => new(0.55, 24, fine ? 0.06 : 0.05),
            Exposure.FreezesOftenWet or Exposure.DeIcingSalt => new(0.45, 31, fine ? 0.075 : 0.06),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }
}
