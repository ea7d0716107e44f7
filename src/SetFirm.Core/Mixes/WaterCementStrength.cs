using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>How well a strength is known.</summary>
public enum StrengthKnown
{
    Table,

    /// <summary>A little past the table's end.</summary>
    Extrapolated,

    /// <summary>Richer than the table: at least its end.</summary>
    AtLeast,

    /// <summary>Leaner than the table: under its end, and nothing may rely on it.</summary>
    Under,
}

/// <summary>What the table says of a water-cement ratio.</summary>
/// <param name="Strength">At 28 days; where it is at least or under, the table's end.</param>
/// <param name="Known">How well.</param>
public readonly record struct TableStrength(Strength Strength, StrengthKnown Known);

/// <summary>Strength at 28 days against w/c by mass.</summary>
/// <remarks>Source: ACI 211.1 table 6.3.4(a), ln f interpolated against w/c, and 0.05 beyond the table.</remarks>
public static class WaterCementStrength
{
    public const double MayExtrapolate = 0.05;

    /// <summary>The leanest that anything is said of.</summary>
    public static double Leanest(bool airEntrained) => (airEntrained ? AirEntrained : Plain)[^1].Ratio + MayExtrapolate;

    private static readonly ImmutableArray<(double Ratio, double Mpa)> Plain =
        [(0.41, 41.4), (0.48, 34.5), (0.57, 27.6), (0.68, 20.7), (0.82, 13.8)];

    private static readonly ImmutableArray<(double Ratio, double Mpa)> AirEntrained =
        [(0.40, 34.5), (0.48, 27.6), (0.59, 20.7), (0.74, 13.8)];

    /// <summary>The leanest w/c that gives a strength by the table; past its rich end the richest that it is extrapolated to.</summary>
    public static double LeanestFor(Strength wanted, bool airEntrained)
    {
        var (rich, lean) = ((airEntrained ? AirEntrained : Plain)[0].Ratio - MayExtrapolate, Leanest(airEntrained));
        // Strength falls with w/c: halved until it does not matter.
        for (var i = 0; i < 50; i++)
        {
            var middle = (rich + lean) / 2;
            (rich, lean) = Of(middle, airEntrained).Strength.Megapascals >= wanted.Megapascals ? (middle, lean) : (rich, middle);
        }

        return rich;
    }

    /// <param name="ratio">Water over cement by mass, above 0.</param>
    /// <param name="airEntrained">Which row of the table.</param>
    public static TableStrength Of(double ratio, bool airEntrained)
    {
        var table = airEntrained ? AirEntrained : Plain;
        var (least, most) = (table[0].Ratio - MayExtrapolate, table[^1].Ratio + MayExtrapolate);
        if (!(ratio >= least && ratio <= most))
        {
            return ratio < least
                ? new TableStrength(Strength.FromMegapascals(table[0].Mpa), StrengthKnown.AtLeast)
                : new TableStrength(Strength.FromMegapascals(table[^1].Mpa), StrengthKnown.Under);
        }

        var upper = 1;
        while (upper < table.Length - 1 && table[upper].Ratio < ratio)
        {
            upper++;
        }

        var (a, b) = (table[upper - 1], table[upper]);
        var share = (ratio - a.Ratio) / (b.Ratio - a.Ratio);
        var mpa = Math.Exp(Math.Log(a.Mpa) + (share * (Math.Log(b.Mpa) - Math.Log(a.Mpa))));
        return new TableStrength(Strength.FromMegapascals(mpa), ratio < table[0].Ratio || ratio > table[^1].Ratio ? StrengthKnown.Extrapolated : StrengthKnown.Table);
    }
}
