using System.Collections.Frozen;
using NodaTime.TimeZones;

namespace SetFirm.Core.Weather;

/// <summary>Where a site lies.</summary>
/// <param name="Latitude">Degrees, north of the equator.</param>
/// <param name="Longitude">Degrees, east of Greenwich.</param>
public readonly record struct SitePlace(double Latitude, double Longitude)
{
    private static readonly FrozenDictionary<string, SitePlace> Zones =
        (TzdbDateTimeZoneSource.Default.ZoneLocations ?? []).DistinctBy(l => l.ZoneId).ToFrozenDictionary(l => l.ZoneId, l => new SitePlace(l.Latitude, l.Longitude));

    /// <summary>The place that a time zone is named after: a first guess; null where it is named after none.</summary>
    public static SitePlace? OfZone(string zone) => Zones.TryGetValue(zone, out var place) ? place : null;
}
