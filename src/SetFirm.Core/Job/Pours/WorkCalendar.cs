using NodaTime;

namespace SetFirm.Core.Job;

/// <summary>On which days somebody pours, and from when.</summary>
internal static class WorkCalendar
{
    /// <summary>Nobody is home from work before.</summary>
    private static readonly LocalTime AfterWork = new(17, 0);

    public static bool Holds(WorkDays days, LocalDate date)
    {
        var weekend = date.DayOfWeek is IsoDayOfWeek.Saturday or IsoDayOfWeek.Sunday;
        return days switch
        {
            WorkDays.Any => true,
            WorkDays.Weekdays or WorkDays.Evenings => !weekend,
            WorkDays.Weekends => weekend,
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }

    /// <summary>The first working day from one on.</summary>
    public static LocalDate From(WorkDays days, LocalDate date)
    {
        while (!Holds(days, date))
        {
            date = date.PlusDays(1);
        }

        return date;
    }

    /// <summary>The last working day up to one.</summary>
    public static LocalDate Until(WorkDays days, LocalDate date)
    {
        while (!Holds(days, date))
        {
            date = date.PlusDays(-1);
        }

        return date;
    }

    /// <summary>When one begins, where the job says a time.</summary>
    public static LocalTime Start(WorkDays days, LocalTime said) => days == WorkDays.Evenings && said < AfterWork ? AfterWork : said;
}
