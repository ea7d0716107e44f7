using NodaTime;

namespace SetFirm.Core.Weather;

/// <summary>The usual weather of a month and a place: what stands in where nobody knows better.</summary>
/// <remarks>
/// A year's mean of 28 - 0.007 latitude^2 °C and a swing of 0.2 K for each degree of latitude, warmest late in July north of the equator and in January south of it; by
/// day a swing of 5 K about it. A plain picture of lowland climates (tune): seas and mountains differ, and it says so where it is used.
/// </remarks>
public sealed class UsualWeather(SitePlace place)
{
    /// <summary>Half of a usual day's span, K.</summary>
    public const double DaySwingK = 5;

    private const double WarmestDay = 203;
    private const double YearDays = 365.25;

    /// <summary>Of a clear sky's sun, a usual day lets through so much.</summary>
    private const double SunShare = 0.6;

    private const double WindKmh = 12;
    private const double RainChanceHour = 0.02;
    private const double RainMm = 1;

    public SitePlace Place => place;

    /// <summary>Mean air of the days about a moment, °C.</summary>
    public double MeanC(Instant at)
    {
        var year = 28 - (0.007 * place.Latitude * place.Latitude);
        return year + (0.2 * Math.Abs(place.Latitude) * Season(at));
    }

    /// <summary>1 in the warmest days of the year, -1 in the coldest.</summary>
    public double Season(Instant at)
    {
        var day = (at.ToUnixTimeSeconds() / 86_400.0) % YearDays;
        return Math.Cos(2 * Math.PI * (day - WarmestDay) / YearDays) * (place.Latitude < 0 ? -1 : 1);
    }

    /// <summary>Solar hour of the day, 0-24.</summary>
    public double SolarHour(Instant at)
    {
        var hour = (at.ToUnixTimeSeconds() / 3600.0 % 24) + (place.Longitude / 15);
        return ((hour % 24) + 24) % 24;
    }

    /// <summary>An hour of it.</summary>
    public WeatherHour At(Instant at)
    {
        // Warmest at three in the afternoon.
        var warm = Math.Cos(2 * Math.PI * (SolarHour(at) - 15) / 24);
        return new WeatherHour
        {
            AirC = Math.Clamp(MeanC(at) + (DaySwingK * warm), -60, 60),
            Humidity = Math.Clamp(0.72 - (0.08 * Season(at)) - (0.14 * warm), 0.2, 0.97),
            WindKmh = WindKmh + (4 * warm),
            SunWm2 = SunShare * Sun.ClearSkyWm2(place, at),
            RainChance = RainChanceHour,
            RainMm = RainMm * RainChanceHour,
        };
    }
}
