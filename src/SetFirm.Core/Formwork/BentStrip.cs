using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Formwork;

/// <summary>What a curved form is bent from.</summary>
public enum StripKind
{
    /// <summary>Ply, the face grain along the strip.</summary>
    PlyAlong,

    /// <summary>Ply, the face grain up the strip.</summary>
    PlyAcross,
    Hardboard,

    /// <summary>A board kerfed on its back, or a strip of sheet metal.</summary>
    KerfedOrSheet,
}

/// <param name="Kind">What it is.</param>
/// <param name="Thickness">Of the sheet.</param>
/// <param name="LeastRadius">It takes no tighter bend.</param>
public sealed record StripStock(StripKind Kind, Length Thickness, Length LeastRadius);

/// <summary>Least radius of bent sheet.</summary>
/// <remarks>Source: APA concrete-forming guide, dry ply along and across the face grain. Hardboard: site practice.</remarks>
public static class BentStrip
{
    private static readonly (double Mm, double AlongM, double AcrossM)[] Ply =
        [(6, 1.5, 0.6), (9, 2.4, 0.9), (12, 3.7, 1.8), (15, 4.9, 2.4), (18, 6.1, 3.7)];

    private const double HardboardM = 0.3;

    public static ImmutableArray<double> PlyThicknessesMm { get; } = [.. Ply.Select(p => p.Mm)];

    /// <summary>The stiffest strip that bends to a radius; of one thickness the grain along it is stiffer.</summary>
    public static StripStock For(double radiusM)
    {
        foreach (var (mm, along, across) in Ply.Reverse())
        {
            if (radiusM >= along)
            {
                return new(StripKind.PlyAlong, Length.FromMillimetres(mm), Length.FromMetres(along));
            }

            if (radiusM >= across)
            {
                return new(StripKind.PlyAcross, Length.FromMillimetres(mm), Length.FromMetres(across));
            }
        }

        return radiusM >= HardboardM
            ? new(StripKind.Hardboard, Length.FromMillimetres(3), Length.FromMetres(HardboardM))
            : new(StripKind.KerfedOrSheet, Length.FromMillimetres(1), default);
    }

    /// <summary>Ply of a chosen thickness at its best; null where no such ply is sold.</summary>
    public static StripStock? OfPly(double thicknessMm, double radiusM)
    {
        foreach (var (mm, along, across) in Ply)
        {
            if (Math.Abs(mm - thicknessMm) < 0.5)
            {
                return radiusM >= along
                    ? new(StripKind.PlyAlong, Length.FromMillimetres(mm), Length.FromMetres(along))
                    : new(StripKind.PlyAcross, Length.FromMillimetres(mm), Length.FromMetres(across));
            }
        }

        return null;
    }

    /// <summary>Length to cut: along the middle of the strip, which stands outside the pour.</summary>
    /// <param name="radiusM">Of the poured edge.</param>
    /// <param name="sweepRadians">Of the arc.</param>
    /// <param name="bowsOut">True where the pour bows out, so that the strip runs round the outside.</param>
    /// <param name="thicknessM">Of the strip.</param>
    public static double CutM(double radiusM, double sweepRadians, bool bowsOut, double thicknessM) =>
        Math.Max(0, radiusM + ((bowsOut ? 1 : -1) * thicknessM / 2)) * sweepRadians;
}
