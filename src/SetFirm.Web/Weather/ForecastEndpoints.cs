using Microsoft.EntityFrameworkCore;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;
using SetFirm.Web.Jobs;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Weather;

/// <summary>Where a day's weather comes from.</summary>
public enum WeatherSource
{
    /// <summary>The stand-in; the screen says so.</summary>
    Simulated,

    /// <summary>Read off a phone.</summary>
    Typed,
    File,
}

/// <summary>A day, and where its weather comes from.</summary>
/// <param name="Day">In a line.</param>
/// <param name="Source">Of its hours.</param>
public sealed record ForecastDay(WeatherDay Day, WeatherSource Source);

/// <summary>Fourteen days, a line a day.</summary>
/// <param name="Simulated">True where any of it is the stand-in; the screen says so.</param>
/// <param name="Days">From today in the zone, or from the day asked for.</param>
public sealed record ForecastDto(bool Simulated, IReadOnlyList<ForecastDay> Days);

internal static class ForecastEndpoints
{
    public static void MapForecast(this IEndpointRouteBuilder api)
    {
        api.MapGet(
            "/forecast",
            async Task<IResult> (string? timeZone, SetFirmDb db, JobWeather weather, IHourlyForecast forecast, IClock clock, CancellationToken cancellation) =>
            {
                if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone ?? "UTC") is not { } zone)
                {
                    return Problems.UnknownTimeZone(timeZone ?? "");
                }

                var today = clock.GetCurrentInstant().InZone(zone).Date;
                // Where the job lies that somebody worked on last.
                var last = await db.Jobs.AsNoTracking().Where(j => j.RemovedAt == null).OrderByDescending(j => j.UpdatedAt).Select(j => j.Document).FirstOrDefaultAsync(cancellation);
                var place = last is not null && KeptJob.Read(last) is JobRead.Ok { Document: var job } ? SiteWeather.Place(job) : SitePlace.OfZone(zone.Id);
                return TypedResults.Ok(Told(weather.Days(null, today, place), today, zone, forecast.IsSimulated, []));
            })
        .WithName("GetForecast").Produces<ForecastDto>().ProducesProblem(422);

        api.MapPost(
            "/days",
            async Task<IResult> (HttpRequest request, string? from, JobWeather weather, IHourlyForecast forecast, IClock clock, CancellationToken cancellation) =>
            {
                var body = await Bodies.ReadAsync(request, cancellation);
                if (body.Problem is { } unreadable)
                {
                    return unreadable;
                }

                var (job, refused) = Bodies.Job(body.Json);
                if (job is null)
                {
                    return refused!;
                }

                if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(job.TimeZone) is not { } zone)
                {
                    return Problems.UnknownTimeZone(job.TimeZone);
                }

                var today = clock.GetCurrentInstant().InZone(zone).Date;
                // Of a file the fortnight that is asked for; of a forecast what is ahead.
                var first = job.Site.WeatherFile.Length > 0 && LocalDatePattern.Iso.Parse(from ?? "").TryGetValue(default, out var day) && Moments.Has(day) ? day : today;
                var given = weather.Days(job.Site.WeatherFile, first, SiteWeather.Place(job));
                var typed = job.Site.Typed?.Days.Select(d => d.Date).ToHashSet() ?? [];
                return TypedResults.Ok(Told(SiteWeather.Of(job, given), first, zone, forecast.IsSimulated && given.File is "", typed));
            })
        .WithName("DaysAhead").ForLook().Accepts<JobDocument>("application/json").Produces<ForecastDto>().ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }

    private static ForecastDto Told(HourlyWeather hours, LocalDate first, DateTimeZone zone, bool simulated, HashSet<string> typed)
    {
        ForecastDay[] days =
        [
            .. Enumerable.Range(0, JobWeather.ForecastDays).Select(d => first.PlusDays(d)).Select(date => new ForecastDay(
                WeatherDay.Of(date, zone, hours),
                typed.Contains(LocalDatePattern.Iso.Format(date)) ? WeatherSource.Typed : simulated ? WeatherSource.Simulated : WeatherSource.File)),
        ];
        return new ForecastDto(days.Any(d => d.Source == WeatherSource.Simulated), days);
    }
}
