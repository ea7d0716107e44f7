using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>What is taken off a plate where edges of its top are cut or rounded, round corners and inner corners.</summary>
/// <remarks>
/// Moving chosen edges in by x takes L x − k x² off the area: L is their length; to k each of their arcs adds half the angle it turns through, and each corner that turns by t
/// adds tan(t/2) where both its edges move, −cot(t)/2 where one does (nothing where they nearly run on: there the ease just stops). Exact as long as no edge vanishes.
/// Over a chamfer of leg c that is L c²/2 − k c³/3, over a radius r it is L r² (1 − π/4) − k r³ (5/3 − π/2). Source: plane geometry.
/// </remarks>
public static class EasedRim
{
    private const double RunsOnRadians = Math.PI / 6;

    /// <summary>Cubic metres that easing takes off the top.</summary>
    /// <param name="outline">Of the plate.</param>
    /// <param name="eased">True for each edge that is, from 0.</param>
    /// <param name="ease">How.</param>
    /// <param name="sizeM">Leg of the chamfer, or radius.</param>
    public static double LostM3(Outline outline, Func<int, bool> eased, EdgeEase ease, double sizeM)
    {
        var (length, bend) = Rim(outline, eased);
        var (first, second) = ease switch
        {
            EdgeEase.Chamfer => (sizeM * sizeM / 2, sizeM * sizeM * sizeM / 3),
            EdgeEase.Round => (sizeM * sizeM * (1 - (Math.PI / 4)), sizeM * sizeM * sizeM * ((5.0 / 3) - (Math.PI / 2))),
            _ => (0.0, 0.0),
        };
        return Math.Max(0, (length * first) - (bend * second));
    }

    /// <summary>True where some of the top is left between eased edges.</summary>
    public static bool Fits(Outline outline, Func<int, bool> eased, double sizeM)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (length, bend) = Rim(outline, eased);
        return (length * sizeM) - (bend * sizeM * sizeM) < outline.NetArea.SquareMetres && length - (2 * bend * sizeM) > -1e-9;
    }

    // Length of the eased edges, and what each further metre in takes off it, twice.
    private static (double LengthM, double Bend) Rim(Outline outline, Func<int, bool> eased)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(eased);
        var (length, bend, n) = (0.0, 0.0, outline.Corners.Length);
        for (var i = 0; i < n; i++)
        {
            var before = (i + n - 1) % n;
            var turn = TurnRadians(outline, i);
            bend += (eased(before), eased(i)) switch
            {
                (true, true) => Math.Tan(turn / 2),
                // The edge that stays cuts the strip of the other off askew.
                (true, false) or (false, true) => Math.Abs(turn) < RunsOnRadians ? 0 : -1 / Math.Tan(turn) / 2,
                _ => 0,
            };
            if (eased(i))
            {
                length += outline.EdgeMetres(i);
                bend += SweepRadians(outline, i) / 2;
            }
        }

        return (length, bend);
    }

    // How far the outline turns at a corner, towards its inside positive; arcs by their tangents.
    private static double TurnRadians(Outline outline, int corner)
    {
        var before = (corner + outline.Corners.Length - 1) % outline.Corners.Length;
        var chords = outline.TurnDegrees(corner) * Math.PI / 180 * (outline.TurnsLeft ? 1 : -1);
        var turn = chords - ((SweepRadians(outline, before) + SweepRadians(outline, corner)) / 2);
        return Math.IEEERemainder(turn, 2 * Math.PI);
    }

    // Of an arc, bowing out positive.
    private static double SweepRadians(Outline outline, int edge) => outline.IsArc(edge) ? 4 * Math.Atan(2 * outline.Rises[edge] / outline.ChordMetres(edge)) : 0;
}
