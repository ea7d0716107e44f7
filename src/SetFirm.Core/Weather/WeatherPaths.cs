namespace SetFirm.Core.Weather;

/// <summary>How the weather might turn out: seeded paths about a forecast, each as likely as the next.</summary>
/// <remarks>
/// Air and humidity are off by amounts, wind and sun by factors, that drift over about a day and grow with the lead from
/// <see cref="HourlyWeather.Issued"/>; rain falls in an hour or not, so that over the paths it falls as often as its chance says, in spells of
/// a few hours. Hours before the forecast was issued are as they were. Source: typical errors of forecasts of hourly weather (tune).
/// </remarks>
public static class WeatherPaths
{
    /// <summary>Doubt grows up to here, hours.</summary>
    private const double FullLeadH = 14 * 24;

    /// <summary>Standard deviations at once and at full lead.</summary>
    private static readonly (double Now, double Late) AirK = (0.8, 3.0);

    private static readonly (double Now, double Late) HumidityOff = (0.05, 0.12);
    private static readonly (double Now, double Late) WindLog = (0.20, 0.40);
    private static readonly (double Now, double Late) SunLog = (0.15, 0.40);

    /// <summary>An error fades by 1/e in so many hours; rain's in fewer.</summary>
    private const double DriftH = 18;

    private const double SpellH = 3;

    /// <summary>Less than this is no rain, mm.</summary>
    private const double LeastRainMm = 0.5;

    /// <summary>One path.</summary>
    /// <param name="forecast">About which.</param>
    /// <param name="seed">Which.</param>
    public static HourlyWeather Path(HourlyWeather forecast, int seed)
    {
        ArgumentNullException.ThrowIfNull(forecast);
        var chance = new Normals(seed);
        var (air, humidity, wind, sun, rain) = (chance.Next(), chance.Next(), chance.Next(), chance.Next(), chance.Next());
        var issued = (forecast.Issued - forecast.Start).TotalHours;
        return forecast.Changed((hour, i) =>
        {
            (air, humidity, wind, sun) = (Drift(air, DriftH), Drift(humidity, DriftH), Drift(wind, DriftH), Drift(sun, DriftH));
            rain = Drift(rain, SpellH);
            if (i < issued)
            {
                return hour;
            }

            var lead = Math.Min(1, (i - issued) / FullLeadH);
            double Off((double Now, double Late) sd) => sd.Now + (lead * (sd.Late - sd.Now));
            var rains = Share(rain) > 1 - hour.RainChance;
            return new WeatherHour
            {
                AirC = Math.Clamp(hour.AirC + (air * Off(AirK)), -60, 60),
                Humidity = Math.Clamp(hour.Humidity + (humidity * Off(HumidityOff)), 0.05, 1),
                WindKmh = Math.Min(250, hour.WindKmh * Math.Exp(wind * Off(WindLog))),
                SunWm2 = Math.Min(1500, hour.SunWm2 * Math.Exp(sun * Off(SunLog))),
                RainChance = rains ? 1 : 0,
                RainMm = rains ? Math.Clamp(hour.RainMm / Math.Max(hour.RainChance, 0.01), LeastRainMm, 500) : 0,
            };
        });

        double Drift(double at, double hours)
        {
            var stays = Math.Exp(-1 / hours);
            return (at * stays) + (Math.Sqrt(1 - (stays * stays)) * chance.Next());
        }
    }

    /// <summary>Share of a normal distribution below x. Source: Abramowitz and Stegun 26.2.17, within 1e-7.</summary>
    private static double Share(double x)
    {
        var t = 1 / (1 + (0.2316419 * Math.Abs(x)));
        var tail = Math.Exp(-x * x / 2) / Math.Sqrt(2 * Math.PI) * t
            * (0.319381530 + (t * (-0.356563782 + (t * (1.781477937 + (t * (-1.821255978 + (t * 1.330274429))))))));
        return x >= 0 ? 1 - tail : tail;
    }
}
