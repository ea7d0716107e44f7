namespace SetFirm.Core.Setting;

/// <summary>Water that leaves the surface.</summary>
public static class Evaporation
{
    /// <summary>ACI 305: from here take care.</summary>
    public const double CareKgPerM2H = 0.5;

    /// <summary>ACI 305: from here take precautions.</summary>
    public const double ActKgPerM2H = 1.0;

    /// <summary>Evaporation, kg/m2/h: E = 5 [(Tc+18)^2.5 - r (Ta+18)^2.5] (V+4) 1e-6, never below 0.</summary>
    /// <param name="concreteC">Surface of the concrete, °C.</param>
    /// <param name="airC">Air, °C.</param>
    /// <param name="humidity">0-1.</param>
    /// <param name="windKmh">At 0.5 m above the slab, km/h; a forecast's 10 m wind times 0.6.</param>
    /// <remarks>Source: Uno, ACI Materials Journal 1998. Departure: T + 18 is never below 0.</remarks>
    public static double Uno(double concreteC, double airC, double humidity, double windKmh) => Into(airC, humidity, windKmh).From(concreteC);

    /// <summary>The air's side of it, for one air and several surfaces; see <see cref="Uno"/>.</summary>
    internal static Drying Into(double airC, double humidity, double windKmh) => new(humidity * Raised(Math.Max(0, airC + 18)), 5e-6 * (windKmh + 4));

    /// <summary>Menzel's form, the cross-check: E = 0.315 (e0 - r ea)(0.253 + 0.060 V), kg/m2/h, e in kPa.</summary>
    /// <remarks>Source: Menzel 1954; vapour pressure by Tetens. Within 10 % of <see cref="Uno"/> where concrete is as warm as air.</remarks>
    public static double Menzel(double concreteC, double airC, double humidity, double windKmh) =>
        Math.Max(0, 0.315 * (VapourPressureKPa(concreteC) - (humidity * VapourPressureKPa(airC))) * (0.253 + (0.060 * windKmh)));

    private static double VapourPressureKPa(double c) => 0.61078 * Math.Exp(17.269 * c / (c + 237.3));

    // x^2.5 without the cost of Pow.
    private static double Raised(double x) => x * x * Math.Sqrt(x);

    internal readonly struct Drying(double holds, double takes)
    {
        /// <summary>kg/m2/h from a surface of so many °C.</summary>
        public double From(double concreteC) => Math.Max(0, (Raised(Math.Max(0, concreteC + 18)) - holds) * takes);
    }
}
