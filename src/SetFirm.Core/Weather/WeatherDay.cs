using NodaTime;

namespace SetFirm.Core.Weather;

/// <summary>A day's weather in a line, for choosing among days.</summary>
/// <param name="Date">Local date.</param>
/// <param name="LeastC">Coldest hour, °C.</param>
/// <param name="MostC">Warmest hour, °C.</param>
/// <param name="RainChance">Of rain in working hours, 0-1.</param>
/// <param name="WindKmh">Strongest hour's wind at 10 m in working hours, km/h.</param>
public sealed record WeatherDay(LocalDate Date, double LeastC, double MostC, double RainChance, double WindKmh)
{
    /// <summary>Chance of rain, 0-1, up to which work goes ahead without a word; site practice.</summary>
    public const double DryUpTo = 0.15;

    private static readonly LocalTime WorkBegins = new(7, 0);
    private const int WorkHours = 13;

    /// <summary>Rain in working hours is unlikely enough.</summary>
    public bool Dry => RainChance <= DryUpTo;

    public static WeatherDay Of(LocalDate date, DateTimeZone zone, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(zone);
        ArgumentNullException.ThrowIfNull(weather);
        var midnight = zone.AtStartOfDay(date).ToInstant();
        var begins = (date + WorkBegins).InZoneLeniently(zone).ToInstant();
        var air = Enumerable.Range(0, 24).Select(h => weather.At(midnight + Duration.FromHours(h)).AirC).ToArray();
        return new WeatherDay(
            date,
            air.Min(),
            air.Max(),
            weather.RainChance(begins, begins + Duration.FromHours(WorkHours)),
            Enumerable.Range(0, WorkHours).Max(h => weather.At(begins + Duration.FromHours(h)).WindKmh));
    }
}
