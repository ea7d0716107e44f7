using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>Parts by loose, dry volume: cement is usually 1.</summary>
/// <param name="Cement">Above 0.</param>
/// <param name="Sand">Sharp sand.</param>
/// <param name="Stone">Of one size.</param>
/// <param name="Ballast">All-in: sand and stone as dug.</param>
public readonly record struct Parts(double Cement, double Sand, double Stone, double Ballast = 0)
{
    public bool HasStone => Stone > 0 || Ballast > 0;

    /// <summary>Cement and water only: it is poured.</summary>
    public bool IsSlurry => Sand <= 0 && !HasStone;
}

/// <summary>A mix by parts, brought to a cubic metre placed by absolute volume.</summary>
/// <param name="CementKg">Cement in 1 m3.</param>
/// <param name="SandKg">Dry sand in 1 m3, less what is in ballast.</param>
/// <param name="StoneKg">Dry stone in 1 m3, likewise.</param>
/// <param name="BallastKg">Dry all-in ballast in 1 m3.</param>
/// <param name="WaterKg">All mixing water in 1 m3.</param>
/// <param name="AirShare">Of the volume, 0-1.</param>
public sealed record Proportions(double CementKg, double SandKg, double StoneKg, double BallastKg, double WaterKg, double AirShare)
{
    public double WaterCement => WaterKg / CementKg;

    /// <summary>Cement, sand and stone in 1 m3, dry, kg.</summary>
    public double SolidsKg => CementKg + SandKg + StoneKg + BallastKg;

    /// <summary>Water that sand and stone bring with them, kg in 1 m3.</summary>
    public double CarriedWaterKg(Moisture moisture) => (SandKg * Moistures.SandWaterShare(moisture)) + (StoneKg * Moistures.StoneWaterShare(moisture))
        + (BallastKg * Moistures.BallastWaterShare(moisture));

    /// <summary>Loose, dry litres of cement that go into 1 m3.</summary>
    public double CementLooseLitres => CementKg / Ingredients.CementLooseKgPerM3 * 1000;
}

/// <summary>Mixing by volume with buckets.</summary>
/// <remarks>Source: ACI 211.1, absolute volume: V = sum(m/rho) + water/1000, divided by (1 - air).</remarks>
public static class PartsMix
{
    private const double SetAtRatio = 0.55;
    private static readonly Duration SetAtThatRatio = Duration.FromHours(5);
    private static readonly Duration FinalAfterInitial = Duration.FromHours(2);

    /// <summary>Water to cement of a slurry that runs between pebbles, by mass. Source: site practice (tune).</summary>
    public const double SlurryWaterCement = 0.5;

    /// <summary>Parts with a known w/c by mass.</summary>
    public static Proportions WithRatio(Parts parts, double stoneMm, double waterCement, double airShare)
    {
        var solids = Solids(parts, stoneMm);
        var water = solids.CementKg * waterCement;
        return PerCubicMetre(solids, water, (Volume(solids) + (water / 1000)) / (1 - airShare), airShare);
    }

    /// <summary>Parts with the water that gives the table's litres in a cubic metre placed: V (1 - air) = solids + W V / 1000.</summary>
    public static Proportions WithWater(Parts parts, double stoneMm, double waterKgPerM3, double airShare)
    {
        var solids = Solids(parts, stoneMm);
        var volume = Volume(solids) / (1 - airShare - (waterKgPerM3 / 1000));
        return PerCubicMetre(solids, waterKgPerM3 * volume, volume, airShare);
    }

    /// <summary>Placed litres from one loose litre of cement.</summary>
    public static double YieldPerCementLitre(Proportions mix) => 1000 / mix.CementLooseLitres;

    /// <summary>The mix as the later rooms see it. Initial set 5 h x (w/c / 0.55)^0.5, final 2 h later; source: site practice (tune).</summary>
    public static ConcreteMix Mixed(Proportions mix, Strength f28)
    {
        var initial = SetAtThatRatio * Math.Sqrt(mix.WaterCement / SetAtRatio);
        return new ConcreteMix(
            MixFamily.Portland,
            f28,
            mix.CementKg,
            mix.WaterKg,
            mix.SolidsKg,
            mix.WaterCement,
            mix.AirShare,
            initial,
            initial + FinalAfterInitial,
            AgeCoefficients.Of(MixFamily.Portland));
    }

    /// <summary>Absolute volume of dry ingredients, m3. Source: ACI 211.1.</summary>
    public static double SolidVolume(double cementKg, double sandKg, double stoneKg, double ballastKg) =>
        (cementKg / Ingredients.CementKgPerM3)
        + ((sandKg + (ballastKg * Ingredients.SandShareOfBallast)) / Ingredients.SandKgPerM3)
        + ((stoneKg + (ballastKg * (1 - Ingredients.SandShareOfBallast))) / Ingredients.StoneKgPerM3);

    // Of one cubic metre of loose parts for each part.
    private static Proportions Solids(Parts parts, double stoneMm) => new(
        Require.Positive(parts.Cement) * Ingredients.CementLooseKgPerM3,
        Require.NotNegative(parts.Sand) * Ingredients.SandLooseKgPerM3,
        Require.NotNegative(parts.Stone) * Ingredients.StoneLooseKgPerM3(stoneMm),
        Require.NotNegative(parts.Ballast) * Ingredients.BallastLooseKgPerM3,
        WaterKg: 0,
        AirShare: 0);

    private static double Volume(Proportions solids) => SolidVolume(solids.CementKg, solids.SandKg, solids.StoneKg, solids.BallastKg);

    private static Proportions PerCubicMetre(Proportions solids, double water, double volume, double airShare) => new(
        solids.CementKg / volume, solids.SandKg / volume, solids.StoneKg / volume, solids.BallastKg / volume, water / volume, airShare);
}
