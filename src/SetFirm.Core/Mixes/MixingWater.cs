using System.Collections.Immutable;

namespace SetFirm.Core.Mixes;

/// <summary>Water to start from for a stone and a slump.</summary>
/// <remarks>
/// Source: ACI 211.1 table 6.3.3, metric. Between stone sizes and slumps straight lines, beyond them clamped.
/// Departure: mortars without stone start from 270 kg/m3, site practice (tune).
/// </remarks>
public static class MixingWater
{
    public const double MortarKgPerM3 = 270;

    private static readonly ImmutableArray<double> SlumpsMm = [37.5, 87.5, 162.5]; // middles of 25-50, 75-100, 150-175

    private static readonly ImmutableArray<Row> Rows =
    [
        new(10, [207, 228, 243], [181, 202, 216], 0.03),
        new(12.5, [199, 216, 228], [175, 193, 205], 0.025),
        new(19, [190, 205, 216], [168, 184, 197], 0.02),
        new(25, [179, 193, 202], [160, 175, 184], 0.015),
    ];

    /// <param name="stoneMm">Largest stone, mm; 0 is a mortar.</param>
    /// <param name="slumpMm">Slump, mm.</param>
    /// <param name="airEntrained">Air-entrained mixes need less.</param>
    /// <returns>kg of water in a cubic metre placed.</returns>
    public static double KgPerM3(double stoneMm, double slumpMm, bool airEntrained)
    {
        if (stoneMm <= 0)
        {
            return MortarKgPerM3;
        }

        return BetweenStones(stoneMm, r => Along(SlumpsMm, airEntrained ? r.AirEntrained : r.Plain, slumpMm));
    }

    /// <summary>Air trapped in a mix without an air-entraining agent, share of the volume; a mortar holds as much as the finest stone.</summary>
    public static double EntrappedAir(double stoneMm) => stoneMm <= 0 ? 0.02 : BetweenStones(stoneMm, r => r.Air);

    private static double BetweenStones(double stoneMm, Func<Row, double> value)
    {
        var upper = 1;
        while (upper < Rows.Length - 1 && Rows[upper].StoneMm < stoneMm)
        {
            upper++;
        }

        var (a, b) = (Rows[upper - 1], Rows[upper]);
        var share = Math.Clamp((stoneMm - a.StoneMm) / (b.StoneMm - a.StoneMm), 0, 1);
        return value(a) + (share * (value(b) - value(a)));
    }

    private static double Along(ImmutableArray<double> xs, ImmutableArray<double> ys, double x)
    {
        var upper = x <= xs[1] ? 1 : 2;
        var share = Math.Clamp((x - xs[upper - 1]) / (xs[upper] - xs[upper - 1]), 0, 1);
        return ys[upper - 1] + (share * (ys[upper] - ys[upper - 1]));
    }

    private sealed record Row(double StoneMm, ImmutableArray<double> Plain, ImmutableArray<double> AirEntrained, double Air);
}
