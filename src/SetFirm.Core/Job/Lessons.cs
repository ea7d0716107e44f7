using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Job;

/// <summary>A day that everybody meets once, to be rehearsed before it is real.</summary>
public enum Lesson
{
    /// <summary>The face dries before it is ready: mist, shade, and no time between two passes.</summary>
    HotWindyAfternoon,

    /// <summary>Nothing happens for hours, and it gets dark: patience, and no float on water.</summary>
    ColdSlowDay,

    /// <summary>The first zone wants its float while the last is still mixed: another hand, or a joint.</summary>
    MixingOutlastsFirstZone,
}

/// <summary>Ready-made days. Source: site practice.</summary>
public static class Lessons
{
    private static readonly LocalDatePattern Iso = LocalDatePattern.Iso;

    /// <summary>The job of a lesson: a plain slab, in weather of its own.</summary>
    /// <param name="lesson">Which.</param>
    /// <param name="units">Theirs.</param>
    /// <param name="timeZone">IANA zone: where the sun stands as they know it.</param>
    /// <param name="day">On which it is set.</param>
    public static JobDocument Of(Lesson lesson, UnitSystem units, string timeZone, LocalDate day)
    {
        var job = StartingJob.Of("", units, timeZone, day);
        var (weather, start, hands, metric, imperial) = lesson switch
        {
            Lesson.HotWindyAfternoon => (Weather(24, 36, 28, 30), "12:30", 3, ("3 m", "2.4 m"), ("10'", "8'")),
            Lesson.ColdSlowDay => (Weather(4, 8, 6, 80), "09:00", 3, ("3 m", "2.4 m"), ("10'", "8'")),
            _ => (Weather(19, 29, 8, 55), "09:00", 2, ("4.5 m", "3 m"), ("15'", "10'")),
        };
        return job with
        {
            Elements = [StartKinds.Patio(units, metric, imperial) with { Id = job.Elements[0].Id }],
            Mixing = job.Mixing with { Hands = hands },
            Day = job.Day with { Start = start },
            Site = job.Site with
            {
                // The night before and after too: what lies open feels them.
                Typed = new TypedForecastDocument { On = Iso.Format(day), Days = [.. Enumerable.Range(-1, 3).Select(d => weather with { Date = Iso.Format(day.PlusDays(d)) })] },
            },
        };
    }

    private static TypedDayDocument Weather(double lowC, double highC, double windKmh, double humidityPct) => new()
    {
        Date = "",
        LowC = lowC,
        HighC = highC,
        WindKmh = windKmh,
        HumidityPct = humidityPct,
        Sky = humidityPct < 60 ? Sky.Clear : Sky.Grey,
        RainMorningPct = 0,
        RainAfternoonPct = 0,
        RainEveningPct = 0,
        RainNightPct = 0,
    };
}
