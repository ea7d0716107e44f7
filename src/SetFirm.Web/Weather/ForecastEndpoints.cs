using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Weather;

/// <summary>Fourteen days, a line a day.</summary>
/// <param name="Simulated">True for the stand-in; the screen says so.</param>
/// <param name="Days">From today in the zone asked for, or from the day asked for.</param>
public sealed record ForecastDto(bool Simulated, IReadOnlyList<WeatherDay> Days);

internal static class ForecastEndpoints
{
    public static void MapForecast(this IEndpointRouteBuilder api) => api.MapGet(
            "/forecast",
            IResult (string? timeZone, string? file, string? from, JobWeather weather, IHourlyForecast forecast, IClock clock) =>
            {
                if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone ?? "UTC") is not { } zone)
                {
                    return Problems.UnknownTimeZone(timeZone ?? "");
                }

                var today = LocalDatePattern.Iso.Parse(from ?? "").TryGetValue(default, out var day) && day.Year is >= 2000 and <= 2200 ? day : clock.GetCurrentInstant().InZone(zone).Date;
                var hours = weather.Days(file, today);
                return TypedResults.Ok(new ForecastDto(
                    forecast.IsSimulated && hours.File is "",
                    [.. Enumerable.Range(0, JobWeather.ForecastDays).Select(d => WeatherDay.Of(today.PlusDays(d), zone, hours))]));
            })
        .WithName("GetForecast").Produces<ForecastDto>().ProducesProblem(422);
}
