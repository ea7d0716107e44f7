using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>A bag as sold: what it holds, yields and takes.</summary>
/// <param name="Id">Stable name used in documents, for example <c>general-25kg</c>.</param>
/// <param name="Kind">Generic kind; the browser has its words.</param>
/// <param name="Mass">Of one full bag.</param>
/// <param name="Yield">Placed concrete from one bag.</param>
/// <param name="LeastWater">To one bag.</param>
/// <param name="MostWater">To one bag.</param>
/// <param name="F28">At the middle of its water.</param>
/// <param name="ToInitialSet">At 20 °C, at the middle of its water.</param>
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

    /// <summary>Of its volume, 0-1: what is trapped, or what its maker has put in.</summary>
    public double AirShare { get; init; } = EntrappedAir;

    /// <summary>Trapped in any concrete.</summary>
    public const double EntrappedAir = 0.02;

    /// <summary>With so much air it is air-entrained.</summary>
    public const double EntrainedAir = 0.04;

    /// <summary>Cement in a concrete bag, share of its mass. Source: site practice.</summary>
    public const double CementShare = 0.155;

    /// <summary>In a sand or topping mix.</summary>
    public const double ToppingCementShare = 0.22;

    /// <summary>Kiln-dried sand and stone soak up so much of their mass. ASTM C127/C128.</summary>
    public const double SoaksUp = 0.01;

    /// <summary>Whether sections from the thinnest to the thickest are what it is meant for, mm.</summary>
    public bool Takes(double thinnestMm, double thickestMm) =>
        !TradeSizes.Under(thinnestMm, LeastThickness.Millimetres) && !(MostThickness is { } most && TradeSizes.Over(thickestMm, most.Millimetres));

    public Volume MiddleWater => (LeastWater + MostWater) * 0.5;

    /// <summary>Of the water poured in, what is left over what sand and stone soak up, litres.</summary>
    public double NetLitres(Volume water) => Math.Max(0, water.Litres - (SoaksUp * Mass.Kilograms * (1 - (Cement ?? CementShare))));

    /// <summary>Net w/c by mass with this much water to the bag; null where its cement is not known or not Portland.</summary>
    public double? WaterCementWith(Volume water) => NetLitres(water) / (Mass.Kilograms * Cement);

    /// <summary>28-day strength with this much water to the bag: f28 F(w/c) / F(w/c at the middle), never over f28.</summary>
    /// <remarks>Source: ACI 211.1 table 6.3.4(a) for the shape F. A bag whose cement is not known keeps its stated strength.</remarks>
    public TableStrength StrengthWith(Volume water)
    {
        if (WaterCementWith(water) is not { } ratio || WaterCementWith(MiddleWater) is not { } middle || water.Litres <= MiddleWater.Litres)
        {
            return new TableStrength(F28, StrengthKnown.Table);
        }

        var (here, there) = (WaterCementStrength.Of(ratio, AirShare >= EntrainedAir), WaterCementStrength.Of(middle, AirShare >= EntrainedAir));
        return here with { Strength = Strength.FromMegapascals(F28.Megapascals * Math.Min(1, here.Strength.Megapascals / there.Strength.Megapascals)) };
    }

    /// <summary>By how much water moves both its set times: (w/c over w/c at the middle)^0.5, or by the water itself where no w/c is known; a rapid mix stays.</summary>
    /// <remarks>Source: site practice, as for parts (tune).</remarks>
    public double SetTimesWith(Volume water) => Family == MixFamily.Rapid
        ? 1
        : Math.Sqrt(WaterCementWith(water) is { } ratio && WaterCementWith(MiddleWater) is > 0 and var middle ? ratio / middle : water.Litres / MiddleWater.Litres);

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
            NetLitres(water) * perM3,
            Mass.Kilograms * perM3,
            WaterCementWith(water),
            AirShare,
            ToInitialSet * SetTimesWith(water),
            ToFinalSet * SetTimesWith(water),
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
