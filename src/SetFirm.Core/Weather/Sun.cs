using NodaTime;

namespace SetFirm.Core.Weather;

/// <summary>The sun's course over a place, and what a clear sky lets through.</summary>
/// <remarks>Sources: NOAA's solar equations (Meeus), within a minute or two of sunrise away from the poles; clear sky by Haurwitz 1945.</remarks>
public static class Sun
{
    /// <summary>The rim of the sun, bent by the air, shows from here, degrees of altitude.</summary>
    private const double RisesDegrees = -0.833;

    /// <summary>Altitude over the horizon, degrees, the air's bending left out.</summary>
    public static double AltitudeDegrees(SitePlace place, Instant at)
    {
        var (declination, equationMin) = Course(at);
        var solarMin = (at.ToUnixTimeSeconds() / 60.0 % 1440) + equationMin + (4 * place.Longitude);
        var hourAngle = Radians((solarMin / 4) - 180);
        var latitude = Radians(place.Latitude);
        return Degrees(Math.Asin(Math.Clamp((Math.Sin(latitude) * Math.Sin(declination)) + (Math.Cos(latitude) * Math.Cos(declination) * Math.Cos(hourAngle)), -1, 1)));
    }

    /// <summary>On level ground from a clear sky, W/m2: 1098 cos z exp(-0.057 / cos z).</summary>
    public static double ClearSkyWm2(SitePlace place, Instant at)
    {
        var height = Math.Sin(Radians(AltitudeDegrees(place, at)));
        return height <= 0 ? 0 : 1098 * height * Math.Exp(-0.057 / height);
    }

    /// <summary>Of the sun's day about a local date: sunrise, solar noon and sunset; rise and set are both noon where it does not rise, and half a day away where it does not set.</summary>
    public static (Instant Rises, Instant Noon, Instant Sets) Day(SitePlace place, LocalDate date, DateTimeZone zone)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var midday = (date + new LocalTime(12, 0)).InZoneLeniently(zone).ToInstant();
        var (declination, equationMin) = Course(midday);
        // Solar noon of the day whose clock noon it is.
        var solarMin = (midday.ToUnixTimeSeconds() / 60.0 % 1440) + equationMin + (4 * place.Longitude);
        var off = 720 - solarMin;
        off -= 1440 * Math.Round(off / 1440);
        var noon = midday + Duration.FromMinutes(off);
        var latitude = Radians(place.Latitude);
        var cos = (Math.Sin(Radians(RisesDegrees)) - (Math.Sin(latitude) * Math.Sin(declination))) / (Math.Cos(latitude) * Math.Cos(declination));
        var half = Duration.FromMinutes(4 * Degrees(Math.Acos(Math.Clamp(cos, -1, 1))));
        return (noon - half, noon, noon + half);
    }

    // Declination, radians, and the equation of time, minutes.
    private static (double Declination, double EquationMin) Course(Instant at)
    {
        var century = (at.ToUnixTimeSeconds() / 86_400.0 - 10_957.5) / 36_525; // Julian centuries from 2000
        var meanLongitude = Radians((280.46646 + (century * (36_000.76983 + (century * 0.0003032)))) % 360);
        var anomaly = Radians(357.52911 + (century * (35_999.05029 - (0.0001537 * century))));
        var eccentricity = 0.016708634 - (century * (0.000042037 + (0.0000001267 * century)));
        var centre = Radians(
            (Math.Sin(anomaly) * (1.914602 - (century * (0.004817 + (0.000014 * century))))) + (Math.Sin(2 * anomaly) * (0.019993 - (0.000101 * century))) + (Math.Sin(3 * anomaly) * 0.000289));
        var node = Radians(125.04 - (1934.136 * century));
        var apparent = meanLongitude + centre - Radians(0.00569) - (Radians(0.00478) * Math.Sin(node));
        var obliquity = Radians(23.439291 - (0.0130042 * century) + (0.00256 * Math.Cos(node)));
        var y = Math.Pow(Math.Tan(obliquity / 2), 2);
        var equation = (y * Math.Sin(2 * meanLongitude)) - (2 * eccentricity * Math.Sin(anomaly)) + (4 * eccentricity * y * Math.Sin(anomaly) * Math.Cos(2 * meanLongitude))
            - (0.5 * y * y * Math.Sin(4 * meanLongitude)) - (1.25 * eccentricity * eccentricity * Math.Sin(2 * anomaly));
        return (Math.Asin(Math.Sin(obliquity) * Math.Sin(apparent)), 4 * Degrees(equation));
    }

    private static double Radians(double degrees) => degrees * Math.PI / 180;

    private static double Degrees(double radians) => radians * 180 / Math.PI;
}
