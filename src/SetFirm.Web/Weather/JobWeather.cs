using System.Collections.Concurrent;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Weather;

/// <summary>The weather a job is planned with: from its day, or from today where that is earlier, to the end of the forecast.</summary>
internal sealed class JobWeather(IHourlyForecast forecast, IClock clock)
{
    public const int ForecastDays = 14;

    /// <summary>Looking back further than this would not change any date.</summary>
    private const int MostDays = 90;

    private const int MostKept = 64;

    // A job is planned with every key pressed; its days change once a day.
    private readonly ConcurrentDictionary<(Instant From, int Days), HourlyWeather> recent = new();

    public HourlyWeather For(JobDocument job)
    {
        var today = Midnight(clock.GetCurrentInstant().InUtc().Date);
        var day = LocalDatePattern.Iso.Parse(job.Day.Date).TryGetValue(default, out var date) && date.Year is >= 2000 and <= 2200
            ? Midnight(date.PlusDays(-1))
            : today;
        var from = Instant.Min(today, day);
        var days = Math.Min(MostDays, (today - from).Days + ForecastDays);
        if (recent.Count > MostKept)
        {
            recent.Clear();
        }

        return recent.GetOrAdd((from, days), run => forecast.Hours(run.From, run.Days * 24));
    }

    /// <summary>What is still ahead of the forecast, from the hour that is running.</summary>
    public HourlyWeather Ahead()
    {
        var now = clock.GetCurrentInstant();
        var hour = Instant.FromUnixTimeSeconds(now.ToUnixTimeSeconds() / 3600 * 3600);
        return forecast.Hours(hour, (ForecastDays * 24) - (int)(hour - Midnight(now.InUtc().Date)).TotalHours);
    }

    public HourlyWeather Forecast() => forecast.Hours(Midnight(clock.GetCurrentInstant().InUtc().Date), ForecastDays * 24);

    private static Instant Midnight(LocalDate date) => date.AtMidnight().InUtc().ToInstant();
}
