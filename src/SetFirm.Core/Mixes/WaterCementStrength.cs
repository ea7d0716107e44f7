using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>What the table says of a water-cement ratio.</summary>
public abstract record StrengthFromWaterCement
{
    private StrengthFromWaterCement()
    {
    }

    public sealed record Told(Strength Strength, bool Extrapolated) : StrengthFromWaterCement;

    /// <summary>Further outside the table than may be extrapolated.</summary>
    public sealed record OffTable(double Least, double Most, bool TooLittle) : StrengthFromWaterCement;
}

/// <summary>Strength at 28 days against w/c by mass.</summary>
/// <remarks>Source: ACI 211.1 table 6.3.4(a), ln f interpolated against w/c. Range: the table and 0.05 beyond it.</remarks>
public static class WaterCementStrength
{
    public const double MayExtrapolate = 0.05;

    private static readonly ImmutableArray<(double Ratio, double Mpa)> Plain =
        [(0.41, 41.4), (0.48, 34.5), (0.57, 27.6), (0.68, 20.7), (0.82, 13.8)];

    private static readonly ImmutableArray<(double Ratio, double Mpa)> AirEntrained =
        [(0.40, 34.5), (0.48, 27.6), (0.59, 20.7), (0.74, 13.8)];

    /// <param name="ratio">Water over cement by mass, above 0.</param>
    /// <param name="airEntrained">Which row of the table.</param>
    public static StrengthFromWaterCement Of(double ratio, bool airEntrained)
    {
        var table = airEntrained ? AirEntrained : Plain;
        var (least, most) = (table[0].Ratio - MayExtrapolate, table[^1].Ratio + MayExtrapolate);
        if (!(ratio >= least && ratio <= most))
        {
            return new StrengthFromWaterCement.OffTable(least, most, TooLittle: ratio < least);
        }

        var upper = 1;
        while (upper < table.Length - 1 && table[upper].Ratio < ratio)
        {
            upper++;
        }

        var (a, b) = (table[upper - 1], table[upper]);
        var share = (ratio - a.Ratio) / (b.Ratio - a.Ratio);
        var mpa = Math.Exp(Math.Log(a.Mpa) + (share * (Math.Log(b.Mpa) - Math.Log(a.Mpa))));
        return new StrengthFromWaterCement.Told(Strength.FromMegapascals(mpa), ratio < table[0].Ratio || ratio > table[^1].Ratio);
    }
}
