using NodaTime;
using NodaTime.TimeZones;

namespace SetFirm.Web.Files.WeatherFiles;

/// <summary>Sun on level ground under a share of cloud.</summary>
/// <remarks>Source: Kasten and Czeplak, Solar Energy 1980, with Cooper's declination; the equation of time (up to 16 min) is left out.</remarks>
internal sealed class ClearSky(double latitudeDegrees, double longitudeDegrees)
{
    /// <summary>Where no cloud is given either.</summary>
    public const double UnknownCloud = 0.5;

    /// <summary>At the place that the time zone is named for; at the middle of its hour where it is named for none.</summary>
    public static ClearSky For(DateTimeZone zone)
    {
        var place = TzdbDateTimeZoneSource.Default.ZoneLocations?.FirstOrDefault(l => l.ZoneId == zone.Id);
        return place is null ? new ClearSky(45, zone.GetUtcOffset(Instant.FromUtc(2027, 1, 1, 0, 0)).ToTimeSpan().TotalHours * 15) : new ClearSky(place.Latitude, place.Longitude);
    }

    /// <summary>W/m2.</summary>
    public double Under(Instant at, double cloud)
    {
        var utc = at.InUtc();
        var declination = Radians(23.45) * Math.Sin(2 * Math.PI * (284 + utc.DayOfYear) / 365);
        var solar = (utc.TimeOfDay.TickOfDay / (double)NodaConstants.TicksPerHour) + (longitudeDegrees / 15);
        var hour = Math.PI * (solar - 12) / 12;
        var latitude = Radians(latitudeDegrees);
        var height = (Math.Sin(latitude) * Math.Sin(declination)) + (Math.Cos(latitude) * Math.Cos(declination) * Math.Cos(hour));
        var clear = Math.Max(0, (910 * height) - 30);
        var share = double.IsNaN(cloud) ? UnknownCloud : cloud;
        return clear * (1 - (0.75 * Math.Pow(share, 3.4)));
    }

    private static double Radians(double degrees) => degrees * Math.PI / 180;
}
