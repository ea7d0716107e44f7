namespace SetFirm.Core.Mixes;

/// <summary>Densities of what goes into a mix. Source: ACI 211.1 and common site values.</summary>
public static class Ingredients
{
    /// <summary>94 lb to the cubic foot, kg/m3 loose.</summary>
    public const double CementLooseKgPerM3 = 1505;
    public const double SandLooseKgPerM3 = 1600;

    /// <summary>All-in ballast: sand and stone as dug.</summary>
    public const double BallastLooseKgPerM3 = 1750;

    /// <summary>Of all-in ballast, by mass.</summary>
    public const double SandShareOfBallast = 0.38;

    /// <summary>Water, to measure by weight with.</summary>
    public const double WaterKgPerM3 = 1000;
    public const double CementKgPerM3 = 3150;
    public const double SandKgPerM3 = 2650;
    public const double StoneKgPerM3 = 2680;

    /// <summary>Loose stone, kg/m3: 10 mm lies at 1,520, 20 mm at 1,550, straight between.</summary>
    public static double StoneLooseKgPerM3(double stoneMm) => 1520 + (30 * Math.Clamp((stoneMm - 10) / 10, 0, 1));
}

/// <summary>How wet sand and stone are, found by hand.</summary>
public enum Moisture
{
    Dry,
    Damp,
    Wet,
    AfterRain,
}

/// <summary>Free water and bulking by moisture, shares of the dry mass and of the dry volume. Source: common site values.</summary>
public static class Moistures
{
    public static double SandWaterShare(Moisture moisture) => moisture switch
    {
        Moisture.Dry => 0,
        Moisture.Damp => 0.03,
        Moisture.Wet => 0.06,
        Moisture.AfterRain => 0.08,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    public static double StoneWaterShare(Moisture moisture) => moisture switch
    {
        Moisture.Dry => 0,
        Moisture.Damp => 0.01,
        Moisture.Wet or Moisture.AfterRain => 0.02,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>All-in ballast: its sand as sand, its stone as stone.</summary>
    public static double BallastWaterShare(Moisture moisture) =>
        (Ingredients.SandShareOfBallast * SandWaterShare(moisture)) + ((1 - Ingredients.SandShareOfBallast) * StoneWaterShare(moisture));

    /// <summary>How many buckets of damp sand hold the sand of one dry bucket.</summary>
    public static double SandBulking(Moisture moisture) => moisture switch
    {
        Moisture.Dry => 1.00,
        Moisture.Damp => 1.20,
        Moisture.Wet => 1.25,
        Moisture.AfterRain => 1.18,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>All-in ballast swells by its sand.</summary>
    public static double BallastBulking(Moisture moisture) => 1 + (Ingredients.SandShareOfBallast * (SandBulking(moisture) - 1));
}

/// <summary>How the mix should move, from crumbly to pouring.</summary>
public enum Consistency
{
    Crumbly,
    Balling,
    Stiff,
    Plastic,
    Soft,
    Pouring,
}

/// <summary>Slump that a consistency stands for, mm, middle of its range.</summary>
public static class Consistencies
{
    public static double SlumpMm(Consistency consistency) => consistency switch
    {
        Consistency.Crumbly => 0,
        Consistency.Balling => 12.5,
        Consistency.Stiff => 37.5,
        Consistency.Plastic => 87.5,
        Consistency.Soft => 140,
        Consistency.Pouring => 180,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
