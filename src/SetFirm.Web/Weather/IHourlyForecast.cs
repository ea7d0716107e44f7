using NodaTime;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Weather;

/// <summary>Hourly weather at the site: what has been and what is foreseen.</summary>
internal interface IHourlyForecast
{
    /// <summary>True for a stand-in: the screen then says so.</summary>
    bool IsSimulated { get; }

    /// <param name="from">First hour.</param>
    /// <param name="hours">How many.</param>
    /// <param name="place">Where; null takes a river town somewhere mild.</param>
    HourlyWeather Hours(Instant from, int hours, SitePlace? place = null);
}
