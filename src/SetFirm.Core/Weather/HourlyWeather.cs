using System.Collections.Immutable;
using NodaTime;

namespace SetFirm.Core.Weather;

/// <summary>A checked run of hourly weather. Between hours it is a straight line; outside it, the mean day of the run.</summary>
public sealed class HourlyWeather
{
    /// <summary>A leap year of hours; more is refused.</summary>
    public const int MostHours = 24 * 366;

    private readonly ImmutableArray<WeatherHour> hours;
    private readonly WeatherHour[] meanDay;

    private HourlyWeather(Instant start, ImmutableArray<WeatherHour> hours)
    {
        Start = start;
        this.hours = hours;
        meanDay = MeanDay(hours);
        MeanAirC = hours.Average(h => h.AirC);
    }

    /// <summary>Of all hours given, °C.</summary>
    public double MeanAirC { get; }

    /// <summary>The moment of the first hour.</summary>
    public Instant Start { get; }

    public int Count => hours.Length;

    /// <summary>The last moment that was given, not stood in for.</summary>
    public Instant End => Start + Duration.FromHours(hours.Length - 1);

    /// <summary>Checks every value; the first that cannot be is named.</summary>
    public static WeatherCheck TryCreate(Instant start, ImmutableArray<WeatherHour> hours)
    {
        if (hours.IsDefaultOrEmpty || hours.Length > MostHours)
        {
            return new WeatherCheck.Unusable(0, "hours");
        }

        for (var i = 0; i < hours.Length; i++)
        {
            if (Fault(hours[i]) is { } field)
            {
                return new WeatherCheck.Unusable(i, field);
            }
        }

        return new WeatherCheck.Sound(new HourlyWeather(start, hours));
    }

    public WeatherHour At(Instant moment) => At((moment - Start).TotalHours);

    /// <param name="hoursFromStart">May lie outside the run.</param>
    public WeatherHour At(double hoursFromStart)
    {
        var before = (int)Math.Floor(hoursFromStart);
        return Between(Hour(before), Hour(before + 1), hoursFromStart - before);
    }

    /// <summary>Chance of rain between two moments: 1 - product of (1 - hourly chance), part hours in proportion.</summary>
    public double RainChance(Instant from, Instant to)
    {
        var (first, last) = ((from - Start).TotalHours, (to - Start).TotalHours);
        double dry = 1;
        for (var hour = Math.Floor(first); hour < last; hour++)
        {
            var share = Math.Min(last, hour + 1) - Math.Max(first, hour);
            dry *= Math.Pow(1 - Hour((int)hour).RainChance, share);
        }

        return 1 - dry;
    }

    private static string? Fault(WeatherHour h) =>
        !(h.AirC is >= -60 and <= 60) ? "airC"
        : !(h.Humidity is >= 0 and <= 1) ? "humidity"
        : !(h.WindKmh is >= 0 and <= 250) ? "windKmh"
        : !(h.SunWm2 is >= 0 and <= 1500) ? "sunWm2"
        : !(h.RainChance is >= 0 and <= 1) ? "rainChance"
        : !(h.RainMm is >= 0 and <= 500) ? "rainMm"
        : null;

    private static WeatherHour[] MeanDay(ImmutableArray<WeatherHour> hours)
    {
        var mean = new WeatherHour[24];
        for (var h = 0; h < 24; h++)
        {
            WeatherHour sum = default;
            var n = 0;
            for (var i = h; i < hours.Length; i += 24, n++)
            {
                sum = Sum(sum, hours[i], 1);
            }

            // A run of under a day lacks some hours of it: its nearest end stands in.
            mean[h] = n == 0 ? hours[^1] : Sum(default, sum, 1.0 / n);
        }

        return mean;
    }

    private static WeatherHour Between(WeatherHour a, WeatherHour b, double share) => Sum(Sum(default, a, 1 - share), b, share);

    private static WeatherHour Sum(WeatherHour a, WeatherHour b, double times) => new()
    {
        AirC = a.AirC + (times * b.AirC),
        Humidity = a.Humidity + (times * b.Humidity),
        WindKmh = a.WindKmh + (times * b.WindKmh),
        SunWm2 = a.SunWm2 + (times * b.SunWm2),
        RainChance = a.RainChance + (times * b.RainChance),
        RainMm = a.RainMm + (times * b.RainMm),
    };

    private WeatherHour Hour(int index) =>
        index >= 0 && index < hours.Length ? hours[index] : meanDay[((index % 24) + 24) % 24];
}

/// <summary>What the check of a run of weather found.</summary>
public abstract record WeatherCheck
{
    private WeatherCheck()
    {
    }

    public sealed record Sound(HourlyWeather Weather) : WeatherCheck;

    public sealed record Unusable(int Hour, string Field) : WeatherCheck;
}
