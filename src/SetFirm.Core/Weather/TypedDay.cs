using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using NodaTime;

namespace SetFirm.Core.Weather;

/// <summary>What a phone draws over a day.</summary>
public enum Sky
{
    Clear,
    Broken,
    Grey,
}

/// <summary>A day as a person reads it off a phone.</summary>
/// <param name="Date">Local date.</param>
/// <param name="LowC">Coldest, °C.</param>
/// <param name="HighC">Warmest, °C.</param>
/// <param name="WindKmh">At 10 m, by day.</param>
/// <param name="Sky">Over it.</param>
/// <param name="Humidity">Mean, 0-1; null where it is not told.</param>
/// <param name="Rain">Chance in the morning (6-12), afternoon (12-18), evening (18-24) and the night after (0-6), 0-1.</param>
public sealed record TypedDay(LocalDate Date, double LowC, double HighC, double WindKmh, Sky Sky, double? Humidity, (double Morning, double Afternoon, double Evening, double Night) Rain);

/// <summary>Turns days into hours: by the sun's course and a day's usual swing.</summary>
/// <remarks>
/// From the low at sunrise to the high two and a half hours after the sun's noon and back, by cosines; as much water in the air all day; wind at six tenths in the night;
/// of a clear sky's sun all, 0.65 or 0.28. Source: usual course of days (tune).
/// </remarks>
public static class TypedDays
{
    private const double PeakAfterNoonH = 2.5;
    private const double NightWind = 0.6;
    private const double RainMmWhereItRains = 1.5;

    private static readonly ConditionalWeakTable<HourlyWeather, Laid> Last = [];

    /// <summary>Weather with days that were typed laid over it; always the same object for the same ones, so that what is drawn from it is drawn once.</summary>
    /// <param name="weather">What was there.</param>
    /// <param name="days">Typed.</param>
    /// <param name="zone">Of their dates.</param>
    /// <param name="place">Of the sun.</param>
    public static HourlyWeather Over(HourlyWeather weather, ImmutableArray<TypedDay> days, DateTimeZone zone, SitePlace place)
    {
        ArgumentNullException.ThrowIfNull(weather);
        if (Last.TryGetValue(weather, out var laid) && laid.Zone.Equals(zone) && laid.Place == place && laid.Days.SequenceEqual(days))
        {
            return laid.Weather;
        }

        var by = days.ToDictionary(d => d.Date);
        var made = (days.IsEmpty ? weather : weather.Changed((hour, i) =>
        {
            var at = weather.Start + Duration.FromHours(i);
            var date = at.InZone(zone).Date;
            return by.TryGetValue(date, out var day) ? Hour(day, by.GetValueOrDefault(date.PlusDays(-1)), by.GetValueOrDefault(date.PlusDays(1)), at, zone, place)
                : by.TryGetValue(date.PlusDays(-1), out var before) && at.InZone(zone).Hour < 6 ? hour with { RainChance = Hourly(before.Rain.Night), RainMm = RainMmWhereItRains * Hourly(before.Rain.Night) }
                : hour;
        })).Beyond(new UsualWeather(place));
        Last.AddOrUpdate(weather, new Laid(days, zone, place, made));
        return made;
    }

    private static WeatherHour Hour(TypedDay day, TypedDay? before, TypedDay? after, Instant at, DateTimeZone zone, SitePlace place)
    {
        var (rises, noon, _) = Sun.Day(place, day.Date, zone);
        var peak = noon + Duration.FromHours(PeakAfterNoonH);
        double Between(Instant from, Instant to, double a, double b) => a + ((b - a) * (1 - Math.Cos(Math.PI * Math.Clamp((at - from) / (to - from), 0, 1))) / 2);
        var air = at < rises ? Between(peak - Duration.FromDays(1), rises, (before ?? day).HighC, day.LowC)
            : at < peak ? Between(rises, peak, day.LowC, day.HighC)
            : Between(peak, rises + Duration.FromDays(1), day.HighC, (after ?? day).LowC);
        var humidity = day.Humidity ?? day.Sky switch { Sky.Clear => 0.58, Sky.Broken => 0.68, _ => 0.82 };
        var vapour = humidity * Saturated((day.LowC + day.HighC) / 2);
        var clear = Sun.ClearSkyWm2(place, at);
        var hour = at.InZone(zone).Hour;
        var chance = Hourly(hour < 6 ? before?.Rain.Night ?? day.Rain.Night : hour < 12 ? day.Rain.Morning : hour < 18 ? day.Rain.Afternoon : day.Rain.Evening);
        return new WeatherHour
        {
            AirC = air,
            Humidity = Math.Clamp(vapour / Saturated(air), 0.1, 1),
            WindKmh = day.WindKmh * (clear > 0 ? 1 : NightWind),
            SunWm2 = clear * day.Sky switch { Sky.Clear => 1, Sky.Broken => 0.65, _ => 0.28 },
            RainChance = chance,
            RainMm = RainMmWhereItRains * chance,
        };
    }

    // Six hours of one chance each come to the chance of all.
    private static double Hourly(double chance) => 1 - Math.Pow(1 - Math.Clamp(chance, 0, 0.999), 1 / 6.0);

    // Tetens, kPa.
    private static double Saturated(double c) => 0.61078 * Math.Exp(17.269 * c / (c + 237.3));

    private sealed record Laid(ImmutableArray<TypedDay> Days, DateTimeZone Zone, SitePlace Place, HourlyWeather Weather);
}
