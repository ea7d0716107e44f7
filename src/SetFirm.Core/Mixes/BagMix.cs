using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>A bag as sold: what it holds, yields and takes.</summary>
/// <param name="Id">Stable name used in documents, for example <c>general-25kg</c>.</param>
/// <param name="Kind">Generic kind; the browser has its words.</param>
/// <param name="Mass">Of one full bag.</param>
/// <param name="Yield">Placed concrete from one bag.</param>
/// <param name="LeastWater">To one bag.</param>
/// <param name="MostWater">To one bag; the stated strength holds here.</param>
/// <param name="F28">At its most water.</param>
/// <param name="ToInitialSet">At 20 °C; does not change with the water.</param>
/// <param name="ToFinalSet">At 20 °C.</param>
/// <param name="LeastThickness">Thinnest section it is meant for.</param>
/// <param name="MostThickness">Thickest; null has no limit.</param>
/// <param name="Family">How it sets.</param>
/// <param name="StoneMm">Largest stone, mm; 0 has none.</param>
/// <param name="Cement">Portland cement, share of its mass; null where it is not known or not Portland, and no w/c is shown.</param>
public sealed record BagMix(
    string Id,
    BagKind Kind,
    Mass Mass,
    Volume Yield,
    Volume LeastWater,
    Volume MostWater,
    Strength F28,
    Duration ToInitialSet,
    Duration ToFinalSet,
    Length LeastThickness,
    Length? MostThickness,
    MixFamily Family,
    double StoneMm,
    double? Cement)
{
    /// <summary>Whose shops have it; null is everybody's.</summary>
    public UnitSystem? Sold { get; init; }

    /// <summary>Cement in a concrete bag, share of its mass. Source: site practice.</summary>
    public const double CementShare = 0.155;

    /// <summary>In a sand or topping mix.</summary>
    public const double ToppingCementShare = 0.22;

    /// <summary>A leaner water than the most is credited up to this much strength; more is not claimed.</summary>
    public const double MostCredit = 1.15;

    public Volume MiddleWater => (LeastWater + MostWater) * 0.5;

    /// <summary>w/c by mass with this much water to the bag; null where its cement is not known or not Portland.</summary>
    public double? WaterCementWith(Volume water) => water.Litres / (Mass.Kilograms * Cement);

    /// <summary>28-day strength with this much water to the bag: f28 F(w/c) / F(w/c at most water), up to 1.15 f28.</summary>
    /// <remarks>Source: ACI 211.1 table 6.3.4(a) for the shape F. A bag whose cement is not known keeps its stated strength.</remarks>
    public StrengthFromWaterCement StrengthWith(Volume water)
    {
        if (WaterCementWith(water) is not { } ratio || WaterCementWith(MostWater) is not { } atMost)
        {
            return new StrengthFromWaterCement.Told(F28, Extrapolated: false);
        }

        return (WaterCementStrength.Of(ratio, airEntrained: false), WaterCementStrength.Of(atMost, airEntrained: false)) switch
        {
            (StrengthFromWaterCement.Told here, StrengthFromWaterCement.Told there) => here with
            {
                Strength = Strength.FromMegapascals(
                    F28.Megapascals * Math.Min(MostCredit, here.Strength.Megapascals / there.Strength.Megapascals)),
            },
            // Drier than the table: the credit is capped well before its end.
            (StrengthFromWaterCement.OffTable { TooLittle: true }, _) => new StrengthFromWaterCement.Told(
                Strength.FromMegapascals(F28.Megapascals * MostCredit), Extrapolated: true),
            (var off, _) => off,
        };
    }

    /// <summary>The bag with cement added: it weighs and yields more, and its w/c falls where its cement is known; more strength is not claimed.</summary>
    /// <param name="cementKg">Added to one bag.</param>
    public BagMix Enriched(double cementKg) => cementKg <= 0 ? this : this with
    {
        Mass = Mass + Mass.FromKilograms(cementKg),
        Yield = Yield + Volume.FromCubicMetres(cementKg / Ingredients.CementKgPerM3),
        Cement = ((Mass.Kilograms * Cement) + cementKg) / (Mass.Kilograms + cementKg),
    };

    /// <summary>The mix with this much water; <paramref name="f28"/> comes from <see cref="StrengthWith"/>.</summary>
    public ConcreteMix MixedWith(Volume water, Strength f28)
    {
        var perM3 = 1 / Yield.CubicMetres;
        return new ConcreteMix(
            Family,
            f28,
            Mass.Kilograms * Cement * perM3,
            water.Litres * perM3,
            Mass.Kilograms * perM3,
            WaterCementWith(water),
            AirShare: 0.02,
            ToInitialSet,
            ToFinalSet,
            AgeCoefficients.Of(Family));
    }
}

/// <summary>Generic kinds of bag.</summary>
public enum BagKind
{
    General,
    HighStrength,
    FibreCrackResisting,
    FastHighStrength,
    RapidHardening,
    RapidMortar,
    Topping,
    Mortar,
    Countertop,

    /// <summary>The user's own; it has a name of its own.</summary>
    Own,
}

/// <summary>c of f(t) = f28 exp(c (1 - sqrt(28/t))). Source: EN 1992-1-1 3.1.2; sulfo-aluminate by fit to maker's ages.</summary>
public static class AgeCoefficients
{
    public static double Of(MixFamily family) => family switch
    {
        MixFamily.Portland => 0.25,
        MixFamily.HighEarly => 0.20,
        MixFamily.Rapid => 0.045,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
