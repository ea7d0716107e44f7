namespace SetFirm.Core.Weather;

/// <summary>How the weather at the pour differs from the forecast's, as said.</summary>
/// <param name="Shelter">Over it.</param>
/// <param name="Shade">On it.</param>
/// <param name="Windbreak">Beside it.</param>
/// <param name="Fog">Mist is sprayed over it while it is finished.</param>
public sealed record SiteConditions(Shelter Shelter, Shade Shade, bool Windbreak, bool Fog)
{
    public Microclimate In(HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(weather);
        return Microclimate.Of(Shelter, Shade, Windbreak, Fog, weather.MeanAirC);
    }
}
