using System.Collections.Concurrent;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Weather;

/// <summary>The weather a job is planned with: from its day, or from today where that is earlier, to the end of the forecast; or that of its file.</summary>
internal sealed class JobWeather(IHourlyForecast forecast, WeatherShelf shelf, IClock clock)
{
    public const int ForecastDays = 14;

    /// <summary>Looking back further than this would not change any date.</summary>
    private const int MostDays = 90;

    /// <summary>A job takes so many days of a file, from the day before it on.</summary>
    private const int FileDays = 75;

    private const int MostKept = 64;

    // A job is planned with every key pressed; its days change once a day.
    private readonly ConcurrentDictionary<(string File, SitePlace? Place, Instant From, int Days), HourlyWeather> recent = new();

    public HourlyWeather For(JobDocument job)
    {
        var today = Today();
        var day = Day(job) ?? today;
        if (InFile(job) is { } kept)
        {
            var length = FileDays + (LastDay(job) is { } last && last > day ? (last - day).Days : 0);
            return Recent(kept.Id, null, day, length, () => kept.Weather.Between(day, day + Duration.FromDays(length)).FromFile(kept.Id));
        }

        var from = Instant.Min(today, day);
        var days = Math.Min(MostDays, (today - from).Days + ForecastDays);
        var place = SiteWeather.Place(job);
        return Recent("", place, from, days, () => forecast.Hours(from, days * 24, place).IssuedAt(today).FromFile(""));
    }

    /// <summary>What is still ahead, from the hour that is running; of a file that ends before, the days from the job's on.</summary>
    public HourlyWeather Ahead(JobDocument job)
    {
        var now = clock.GetCurrentInstant();
        var hour = Instant.FromUnixTimeSeconds(now.ToUnixTimeSeconds() / 3600 * 3600);
        if (InFile(job) is { Weather: var weather } kept)
        {
            var from = weather.End > now ? Instant.Max(hour, weather.Start) : Day(job) ?? weather.Start;
            return Recent(kept.Id, null, from, -ForecastDays, () => weather.Between(from, from + Duration.FromDays(ForecastDays)).FromFile(kept.Id));
        }

        var today = Today();
        var place = SiteWeather.Place(job);
        return Recent("", place, hour, -ForecastDays, () => forecast.Hours(hour, (ForecastDays * 24) - (int)(hour - today).TotalHours, place).IssuedAt(today).FromFile(""));
    }

    /// <summary>Fourteen days from a day on; of a file where one is named, of the stand-in else.</summary>
    public HourlyWeather Days(string? file, LocalDate from, SitePlace? place)
    {
        var today = Midnight(from);
        return file is { Length: > 0 } && shelf.Find(file) is { } kept
            ? kept.Weather.Between(today, today + Duration.FromDays(ForecastDays)).FromFile(file)
            : forecast.Hours(today, ForecastDays * 24, place).FromFile("");
    }

    private HourlyWeather Recent(string file, SitePlace? place, Instant from, int days, Func<HourlyWeather> make)
    {
        if (recent.Count > MostKept)
        {
            recent.Clear();
        }

        return recent.GetOrAdd((file, place, from, days), _ => make());
    }

    private KeptWeather? InFile(JobDocument job) => job.Site.WeatherFile.Length == 0 ? null : shelf.Find(job.Site.WeatherFile);

    /// <summary>The day before the first pour that is said.</summary>
    private static Instant? Day(JobDocument job) => Days(job).Min();

    private static Instant? LastDay(JobDocument job) => Days(job).Max();

    private static IEnumerable<Instant?> Days(JobDocument job) => job.Pours.Select(p => p.Date).Append(job.Day.Date)
        .Select(said => LocalDatePattern.Iso.Parse(said).TryGetValue(default, out var date) && Moments.Has(date) ? Midnight(date.PlusDays(-1)) : (Instant?)null);

    private Instant Today() => Midnight(clock.GetCurrentInstant().InUtc().Date);

    private static Instant Midnight(LocalDate date) => date.AtMidnight().InUtc().ToInstant();
}
