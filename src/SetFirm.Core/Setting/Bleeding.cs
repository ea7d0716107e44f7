using SetFirm.Core.Mixes;

namespace SetFirm.Core.Setting;

/// <summary>Water that rises to the face of fresh concrete: B(te) = Binf (1 - exp(-te/tb)).</summary>
/// <remarks>
/// Binf = 0.015 W d (w/c / 0.5)^1.5 kg/m2 (W kg of water in a cubic metre, d m), half when air-entrained, a tenth for rapid mixes;
/// tb = 0.15 ti. Source: site practice (tune). The sheen is the least certain figure of the day: the eye decides.
/// </remarks>
public readonly struct Bleeding
{
    /// <summary>Water on the face shows as a sheen over this, kg/m2.</summary>
    public const double SheenKgM2 = 0.005;

    /// <summary>So little that a pass may shut the surface over it, kg/m2/h.</summary>
    public const double LittleKgM2H = 0.05;

    private const double AirEntrained = 0.04;
    private const double UntoldWaterCement = 0.50;

    private readonly double wholeKgM2;
    private readonly double timeH;

    private Bleeding(double wholeKgM2, double timeH) => (this.wholeKgM2, this.timeH) = (wholeKgM2, timeH);

    /// <param name="mix">What was mixed.</param>
    /// <param name="depthM">Of the section.</param>
    public static Bleeding Of(ConcreteMix mix, double depthM)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var ratio = (mix.WaterCement ?? UntoldWaterCement) / 0.5;
        var whole = 0.015 * mix.WaterKgPerM3 * depthM * ratio * Math.Sqrt(ratio);
        var part = mix.Family == MixFamily.Rapid ? 0.1 : mix.AirShare >= AirEntrained ? 0.5 : 1;
        return new Bleeding(whole * part, 0.15 * mix.ToInitialSet.TotalHours);
    }

    /// <summary>All that ever bleeds, kg/m2.</summary>
    public double Whole => wholeKgM2;

    /// <summary>Share that has still to bleed.</summary>
    public double StillAt(double equivalentH) => Math.Exp(-equivalentH / timeH);

    /// <summary>Share that has still to bleed some equivalent hours on, of the share now.</summary>
    internal double StillAfter(double still, double hours) => still < 1e-9 ? 0 : still * Decay.Of(hours / timeH);

    /// <summary>kg/m2 for an equivalent hour, with so much still to bleed.</summary>
    public double RateWith(double still) => wholeKgM2 / timeH * still;

    /// <summary>Between two equivalent ages, kg/m2.</summary>
    public double Between(double fromH, double toH) => wholeKgM2 * (StillAt(fromH) - StillAt(toH));
}
