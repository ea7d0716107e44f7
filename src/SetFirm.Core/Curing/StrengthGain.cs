using SetFirm.Core.Mixes;

namespace SetFirm.Core.Curing;

/// <summary>Strength against equivalent age, and what stopping the wet cure costs.</summary>
/// <remarks>
/// Source: EN 1992-1-1 3.1.2, f = f28 exp(c (1 - sqrt(28/t))), t in equivalent days. Departure: not for the first hours;
/// before final set f = 0, from final set to three times final set a straight line up to the curve.
/// Shares for stopping early: ACI 308R's trend, site practice; the first equivalent day it lives on its own water. Never over f28.
/// </remarks>
public static class StrengthGain
{
    private const double HoursPerDay = 24;

    /// <summary>However early it is left dry, it lives on its own water until here, equivalent hours.</summary>
    private const double OwnWaterH = 24;

    private static readonly (double Days, double Share)[] Shares =
        [(0, 0.55), (1, 0.65), (3, 0.80), (7, 0.92), (14, 0.98), (28, 1.00)];

    /// <summary>MPa at this equivalent age, kept wet throughout.</summary>
    /// <param name="f28Mpa">28-day strength, MPa.</param>
    /// <param name="ageCoefficient">c.</param>
    /// <param name="finalSetHours">tf at 20 °C, additives included.</param>
    /// <param name="equivalentHours">Since water met cement.</param>
    public static double Moist(double f28Mpa, double ageCoefficient, double finalSetHours, double equivalentHours)
    {
        if (equivalentHours <= finalSetHours)
        {
            return 0;
        }

        var rampEnds = 3 * finalSetHours;
        return equivalentHours >= rampEnds
            ? Curve(f28Mpa, ageCoefficient, equivalentHours / HoursPerDay)
            : Curve(f28Mpa, ageCoefficient, rampEnds / HoursPerDay) * (equivalentHours - finalSetHours) / (rampEnds - finalSetHours);
    }

    public static double Moist(ConcreteMix mix, double equivalentHours) =>
        Moist(mix.F28.Megapascals, mix.AgeCoefficient, mix.ToFinalSet.TotalHours, equivalentHours);

    /// <summary>Equivalent hours at which a strength is reached, kept wet throughout; infinity for more than it ever reaches.</summary>
    public static double WhenMoist(ConcreteMix mix, double mpa)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var (f28, c, finalSet) = (mix.F28.Megapascals, mix.AgeCoefficient, mix.ToFinalSet.TotalHours);
        var atRampEnd = Curve(f28, c, 3 * finalSet / HoursPerDay);
        if (mpa <= atRampEnd)
        {
            return finalSet + (2 * finalSet * mpa / atRampEnd);
        }

        // f = f28 exp(c (1 - sqrt(28 / t))), solved for t.
        var root = 1 - (Math.Log(mpa / f28) / c);
        return root > 0 ? HoursPerDay * 28 / (root * root) : double.PositiveInfinity;
    }

    /// <summary>MPa when the wet cure stops after some equivalent hours: f(d) + (f - f(d)) (share f28 - f(d)) / (f28 - f(d)), never falling.</summary>
    public static double Stopped(ConcreteMix mix, double wetEquivalentHours, double equivalentHours) => new StoppedCure(mix, wetEquivalentHours).At(equivalentHours);

    /// <summary>Share of the 28-day moist-cured strength that this many wet equivalent days leave: straight to one day, then on log days.</summary>
    public static double ShareAfter(double days)
    {
        if (days <= 0)
        {
            return Shares[0].Share;
        }

        if (days >= Shares[^1].Days)
        {
            return 1;
        }

        var upper = Array.FindIndex(Shares, s => s.Days >= days);
        var (a, b) = (Shares[upper - 1], Shares[upper]);
        var along = upper == 1 ? days : Math.Log(days / a.Days) / Math.Log(b.Days / a.Days);
        return a.Share + (along * (b.Share - a.Share));
    }

    private static double Curve(double f28, double c, double days) => f28 * Math.Min(1, Math.Exp(c * (1 - Math.Sqrt(28 / days))));

    /// <summary>The strength of one mix whose wet cure stops at one age, for asking at many.</summary>
    public readonly struct StoppedCure
    {
        private readonly double f28;
        private readonly double c;
        private readonly double finalSet;
        private readonly double rampEnds;
        private readonly double atRampEnd;
        private readonly double stops;
        private readonly double atStop;
        private readonly double keeps;

        /// <param name="mix">What hardens.</param>
        /// <param name="wetEquivalentHours">It is wet until then; a rapid mix kept wet for its hours loses nothing.</param>
        public StoppedCure(ConcreteMix mix, double wetEquivalentHours)
        {
            ArgumentNullException.ThrowIfNull(mix);
            (f28, c, finalSet) = (mix.F28.Megapascals, mix.AgeCoefficient, mix.ToFinalSet.TotalHours);
            rampEnds = 3 * finalSet;
            atRampEnd = Curve(f28, c, rampEnds / HoursPerDay);
            stops = mix.Family == MixFamily.Rapid ? double.PositiveInfinity : Math.Max(OwnWaterH, wetEquivalentHours);
            atStop = double.IsInfinity(stops) ? 0 : Moist(mix, stops);
            keeps = double.IsInfinity(stops) || f28 - atStop < 1e-9 ? 1 : Math.Max(0, (ShareAfter(wetEquivalentHours / HoursPerDay) * f28) - atStop) / (f28 - atStop);
        }

        /// <summary>MPa at an equivalent age.</summary>
        public double At(double equivalentHours)
        {
            var moist = equivalentHours <= finalSet ? 0
                : equivalentHours >= rampEnds ? Curve(f28, c, equivalentHours / HoursPerDay)
                : atRampEnd * (equivalentHours - finalSet) / (rampEnds - finalSet);
            return equivalentHours <= stops ? moist : atStop + ((moist - atStop) * keeps);
        }
    }
}
