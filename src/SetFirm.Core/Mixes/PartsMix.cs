using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>Parts by loose, dry volume: cement is usually 1.</summary>
public readonly record struct Parts(double Cement, double Sand, double Stone);

/// <summary>A mix by parts, brought to a cubic metre placed by absolute volume.</summary>
/// <param name="CementKg">Cement in 1 m3.</param>
/// <param name="SandKg">Dry sand in 1 m3.</param>
/// <param name="StoneKg">Dry stone in 1 m3.</param>
/// <param name="WaterKg">All mixing water in 1 m3.</param>
/// <param name="AirShare">Of the volume, 0-1.</param>
public sealed record Proportions(double CementKg, double SandKg, double StoneKg, double WaterKg, double AirShare)
{
    public double WaterCement => WaterKg / CementKg;

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

    /// <summary>Parts with a known w/c by mass.</summary>
    public static Proportions WithRatio(Parts parts, double stoneMm, double waterCement, double airShare)
    {
        var solids = Solids(parts, stoneMm);
        var water = solids.Cement * waterCement;
        return PerCubicMetre(solids, water, (solids.Volume + (water / 1000)) / (1 - airShare), airShare);
    }

    /// <summary>Parts with the water that gives the table's litres in a cubic metre placed: V (1 - air) = solids + W V / 1000.</summary>
    public static Proportions WithWater(Parts parts, double stoneMm, double waterKgPerM3, double airShare)
    {
        var solids = Solids(parts, stoneMm);
        var volume = solids.Volume / (1 - airShare - (waterKgPerM3 / 1000));
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
            mix.CementKg + mix.SandKg + mix.StoneKg,
            mix.WaterCement,
            mix.AirShare,
            initial,
            initial + FinalAfterInitial,
            AgeCoefficients.Of(MixFamily.Portland));
    }

    private static (double Cement, double Sand, double Stone, double Volume) Solids(Parts parts, double stoneMm)
    {
        var cement = Require.Positive(parts.Cement) * Ingredients.CementLooseKgPerM3;
        var sand = Require.NotNegative(parts.Sand) * Ingredients.SandLooseKgPerM3;
        var stone = Require.NotNegative(parts.Stone) * Ingredients.StoneLooseKgPerM3(stoneMm);
        return (cement, sand, stone, (cement / Ingredients.CementKgPerM3) + (sand / Ingredients.SandKgPerM3) + (stone / Ingredients.StoneKgPerM3));
    }

    private static Proportions PerCubicMetre(
        (double Cement, double Sand, double Stone, double Volume) solids, double water, double volume, double airShare) =>
        new(solids.Cement / volume, solids.Sand / volume, solids.Stone / volume, water / volume, airShare);
}
