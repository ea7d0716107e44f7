namespace SetFirm.Core.Shapes;

/// <summary>An arc as people tape it: the straight distance between its ends, and how far its middle stands off that line.</summary>
/// <remarks>Plane geometry, exact: radius (c²/4 + h²)/(2h), sweep 4 atan(2h/c), segment r²/2 (θ − sin θ).</remarks>
public static class Arcs
{
    /// <summary>Arcs are cut to chords that leave the curve by no more than this, metres; areas and lengths stay exact.</summary>
    public const double ChordErrorM = 0.001;

    /// <summary>Less rise than this is a straight edge, metres.</summary>
    public const double StraightM = 1e-6;

    public static double RadiusM(double chordM, double riseM) => ((chordM * chordM / 4) + (riseM * riseM)) / (2 * Math.Abs(riseM));

    public static double SweepRadians(double chordM, double riseM) => 4 * Math.Atan(2 * Math.Abs(riseM) / chordM);

    public static double LengthM(double chordM, double riseM) =>
        Math.Abs(riseM) < StraightM ? chordM : RadiusM(chordM, riseM) * SweepRadians(chordM, riseM);

    /// <summary>Area between the arc and its chord, square metres.</summary>
    public static double SegmentM2(double chordM, double riseM)
    {
        if (Math.Abs(riseM) < StraightM)
        {
            return 0;
        }

        var (r, sweep) = (RadiusM(chordM, riseM), SweepRadians(chordM, riseM));
        // Below a tenth of a radian the difference cancels; its series does not (next term: sweep^7/5040).
        var lens = sweep < 0.1 ? (Math.Pow(sweep, 3) / 6) - (Math.Pow(sweep, 5) / 120) : sweep - Math.Sin(sweep);
        return r * r * lens / 2;
    }

    /// <summary>Rise over the chord of a given sweep and radius, metres; its chord is 2 r sin(sweep/2).</summary>
    public static double RiseM(double radiusM, double sweepRadians) => radiusM * (1 - Math.Cos(sweepRadians / 2));

    /// <summary>Points on the arc between its ends, both left out.</summary>
    /// <param name="from">Where it starts.</param>
    /// <param name="to">Where it ends.</param>
    /// <param name="riseToRightM">Rise, positive to the right of the way from start to end.</param>
    public static IEnumerable<PlanPoint> Between(PlanPoint from, PlanPoint to, double riseToRightM)
    {
        var chord = from.DistanceTo(to);
        if (Math.Abs(riseToRightM) < StraightM || chord <= 0)
        {
            yield break;
        }

        var (radius, sweep) = (RadiusM(chord, riseToRightM), SweepRadians(chord, riseToRightM));
        var pieces = Chords(radius, sweep);
        var side = Math.Sign(riseToRightM);
        var (ux, uy) = ((to.X - from.X) / chord, (to.Y - from.Y) / chord);
        var (mx, my) = ((from.X + to.X) / 2, (from.Y + to.Y) / 2);
        // Towards the bulge the arc's middle lies at the rise; the centre lies a radius back from it.
        var (nx, ny) = (uy * side, -ux * side);
        var back = radius - Math.Abs(riseToRightM);
        for (var i = 1; i < pieces; i++)
        {
            var a = sweep * ((i / (double)pieces) - 0.5);
            var (along, out_) = (radius * Math.Sin(a), (radius * Math.Cos(a)) - back);
            yield return new PlanPoint(mx + (ux * along) + (nx * out_), my + (uy * along) + (ny * out_));
        }
    }

    /// <summary>How many chords keep within <see cref="ChordErrorM"/>: the sagitta of one is r (1 − cos(sweep/2n)).</summary>
    internal static int Chords(double radiusM, double sweepRadians) => radiusM <= ChordErrorM
        ? 8
        : (int)Math.Clamp(Math.Ceiling(sweepRadians / (2 * Math.Acos(1 - (ChordErrorM / radiusM)))), 1, 720);
}
