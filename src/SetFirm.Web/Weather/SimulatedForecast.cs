using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Weather;

/// <summary>A stand-in for a forecast: changeable weather about what is usual for the season and the place.</summary>
/// <remarks>A function of the hour, the place and the seed only, so every run sees the same weather for the same day.</remarks>
internal sealed class SimulatedForecast(ulong seed = SimulatedForecast.DefaultSeed) : IHourlyForecast
{
    public const ulong DefaultSeed = 20260502;

    /// <summary>Where nobody says where: a mild river town.</summary>
    private static readonly SitePlace Somewhere = new(50, 10);

    private enum Channel : ulong
    {
        Warmth = 1,
        Swing,
        Cloud,
        Wind,
        Wet,
        ShowerHour,
    }

    public bool IsSimulated => true;

    public HourlyWeather Hours(Instant from, int hours, SitePlace? place = null)
    {
        var usual = new UsualWeather(place ?? Somewhere);
        var first = from.ToUnixTimeSeconds() / 3600;
        var made = ImmutableArray.CreateBuilder<WeatherHour>(hours);
        for (var i = 0; i < hours; i++)
        {
            made.Add(Hour(first + i, usual));
        }

        return HourlyWeather.TryCreate(Instant.FromUnixTimeSeconds(first * 3600), made.MoveToImmutable()) is WeatherCheck.Sound sound
            ? sound.Weather
            : throw new InvalidOperationException("the stand-in made impossible weather");
    }

    private WeatherHour Hour(long unixHour, UsualWeather usual)
    {
        var at = Instant.FromUnixTimeSeconds(unixHour * 3600);
        // Days turn at the sun's midnight there.
        var (day, hour) = (((double)unixHour / 24) + (usual.Place.Longitude / 360), usual.SolarHour(at));
        var cloud = Smooth(Channel.Cloud, day);
        var wet = Math.Clamp((Smooth(Channel.Wet, day) - 0.55) / 0.3, 0, 1) * cloud;
        var swing = (3 + (4 * Smooth(Channel.Swing, day))) * (1 - (0.5 * cloud));
        var mean = usual.MeanC(at) + (9 * (Smooth(Channel.Warmth, day * 0.6) - 0.5));
        var air = mean + (swing * Math.Cos(2 * Math.PI * (hour - 15) / 24));
        var afternoon = Math.Max(0, Math.Sin(Math.PI * (hour - 6) / 18));
        var wind = 4 + (16 * Smooth(Channel.Wind, day)) + (6 * afternoon);
        var humidity = Math.Clamp(0.70 - (0.06 * usual.Season(at)) - (0.028 * (air - mean)) + (0.22 * wet) - (0.004 * (wind - 12)), 0.3, 0.97);
        var shower = Math.Exp(-Math.Pow((hour - (8 + (12 * Noise(Channel.ShowerHour, (long)Math.Floor(day))))) / 3, 2));
        var chance = Math.Clamp((wet * 0.12) + (wet * 0.45 * shower) + (cloud * 0.004), 0, 0.9);
        var sun = Sun.ClearSkyWm2(usual.Place, at) * (1 - (0.72 * cloud));
        return new WeatherHour
        {
            AirC = Math.Round(Math.Clamp(air, -55, 55), 1),
            Humidity = Math.Round(humidity, 2),
            WindKmh = Math.Round(wind, 1),
            SunWm2 = Math.Round(Math.Max(0, sun)),
            RainChance = Math.Round(chance, 3),
            RainMm = Math.Round(chance > 0.05 ? chance * 1.8 : 0, 1),
        };
    }

    // Value noise: whole days are random, between them a smooth step.
    private double Smooth(Channel channel, double day)
    {
        var whole = (long)Math.Floor(day);
        var share = day - whole;
        share = share * share * (3 - (2 * share));
        return (Noise(channel, whole) * (1 - share)) + (Noise(channel, whole + 1) * share);
    }

    // SplitMix64 (Steele, Lea and Flood 2014) of seed, channel and day, to 0-1.
    private double Noise(Channel channel, long day)
    {
        var z = seed + (unchecked((ulong)day) * 0x9E3779B97F4A7C15) + ((ulong)channel * 0xD1B54A32D192ED03);
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        z ^= z >> 31;
        return (z >> 11) * (1.0 / (1UL << 53));
    }
}
