using System.Runtime.Intrinsics;

namespace SetFirm.Core.Weather;

/// <summary>What stands over the pour.</summary>
public enum Shelter
{
    /// <summary>Nothing: sun, rain and the night sky reach it.</summary>
    Open,

    /// <summary>A roof or a tent with open sides.</summary>
    Roof,

    /// <summary>Walls too.</summary>
    Indoors,
}

/// <summary>How much of the sun something else takes.</summary>
public enum Shade
{
    None,

    /// <summary>For half of the day.</summary>
    HalfDay,

    /// <summary>All day: only the light of the sky is left.</summary>
    AllDay,
}

/// <summary>How the weather at the pour differs from the forecast's: every number is read through it.</summary>
/// <remarks>
/// Source: ACI 305R's precautions with site practice: shade leaves 0.2 of the sun, a windbreak half of the wind, fog brings the air to 90 %.
/// Indoors the air swings about its mean by a third of what it does outside, and moves at 2 km/h (tune).
/// </remarks>
public sealed class Microclimate
{
    private const double Diffuse = 0.2;
    private const double WindbreakShare = 0.5;
    private const double FogHumidity = 0.9;
    private const double IndoorSwing = 1.0 / 3;
    private const double IndoorWindKmh = 2;

    private readonly Vector256<double> times;
    private readonly Vector256<double> plus;
    private readonly Vector256<double> least;

    private Microclimate(Vector256<double> times, Vector256<double> plus, Vector256<double> least, bool underSky) =>
        (this.times, this.plus, this.least, UnderSky) = (times, plus, least, underSky);

    /// <summary>As the forecast has it.</summary>
    public static Microclimate Open { get; } = Of(Shelter.Open, Shade.None, windbreak: false, fog: false, 0);

    /// <summary>Rain falls on it, and it looks at the night sky.</summary>
    public bool UnderSky { get; }

    /// <param name="shelter">Over it.</param>
    /// <param name="shade">On it.</param>
    /// <param name="windbreak">Beside it.</param>
    /// <param name="fog">Mist is sprayed over it while it is finished.</param>
    /// <param name="meanAirC">About which indoor air swings.</param>
    public static Microclimate Of(Shelter shelter, Shade shade, bool windbreak, bool fog, double meanAirC)
    {
        var sun = (shelter, shade) switch
        {
            (Shelter.Indoors, _) => 0,
            (Shelter.Roof, _) or (_, Shade.AllDay) => Diffuse,
            (_, Shade.HalfDay) => (1 + Diffuse) / 2,
            _ => 1,
        };
        var indoors = shelter == Shelter.Indoors;
        var swing = indoors ? IndoorSwing : 1;
        return new Microclimate(
            Vector256.Create(swing, 1, indoors ? 0 : windbreak ? WindbreakShare : 1, sun),
            Vector256.Create((1 - swing) * meanAirC, 0, indoors ? IndoorWindKmh : 0, 0),
            Vector256.Create(double.NegativeInfinity, fog ? FogHumidity : 0, 0, 0),
            shelter == Shelter.Open);
    }

    /// <summary>The air at the pour, of the air that was foreseen.</summary>
    public SurfaceAir Of(SurfaceAir air) => new(Vector256.Max((air.Packed * times) + plus, least));
}
