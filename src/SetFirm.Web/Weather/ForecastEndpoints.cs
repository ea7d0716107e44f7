using NodaTime;
using SetFirm.Core.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Weather;

/// <summary>Fourteen days, a line a day.</summary>
/// <param name="Simulated">True for the stand-in; the screen says so.</param>
/// <param name="Days">From today in the zone asked for.</param>
public sealed record ForecastDto(bool Simulated, IReadOnlyList<WeatherDay> Days);

internal static class ForecastEndpoints
{
    public static void MapForecast(this IEndpointRouteBuilder api) => api.MapGet(
            "/forecast",
            IResult (string? timeZone, JobWeather weather, IHourlyForecast forecast, IClock clock) =>
            {
                if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone ?? "UTC") is not { } zone)
                {
                    return Problems.UnknownTimeZone(timeZone ?? "");
                }

                var hours = weather.Forecast();
                var today = clock.GetCurrentInstant().InZone(zone).Date;
                return TypedResults.Ok(new ForecastDto(
                    forecast.IsSimulated,
                    [.. Enumerable.Range(0, JobWeather.ForecastDays).Select(d => WeatherDay.Of(today.PlusDays(d), zone, hours))]));
            })
        .WithName("GetForecast").Produces<ForecastDto>().ProducesProblem(422);
}
