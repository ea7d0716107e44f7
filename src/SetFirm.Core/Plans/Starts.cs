using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>Ranks the hours in which a pour might begin: each is followed through many ways the weather and the mix may go.</summary>
internal static class Starts
{
    /// <summary>Ways it may go.</summary>
    public const int MemberCount = 200;

    private const int BestFew = 5;

    /// <summary>Two starts of one chance differ by less than this, 0-1.</summary>
    private const double SameChance = 0.05;

    /// <summary>An hour that goes well less often is not proposed.</summary>
    private const double LeastChance = 0.5;

    /// <summary>What happens less often is not told.</summary>
    private const double Rare = 0.05;

    /// <param name="pour">Whichever hour it begins in.</param>
    /// <param name="jointAge">How old a batch is when the next one meets it.</param>
    /// <param name="weather">Hours at the site; only what was given is ranked.</param>
    /// <param name="zone">Of the site.</param>
    /// <param name="from">First hour of the day in which one begins, 0-23.</param>
    /// <param name="until">And the last.</param>
    public static StartsReport Rank(DayPour pour, Duration jointAge, HourlyWeather weather, DateTimeZone zone, int from, int until)
    {
        var starts = Hours(weather, zone, from, until);
        var odds = DayStep.Rank(pour, jointAge, [.. starts.Select(s => s.At)], weather, MemberCount);
        StartHour[] hours = [.. starts.Zip(odds, Hour)];
        // Of hours as likely the one that is done first, then the one nearest.
        var best = hours.Where(h => h.Chance >= LeastChance).OrderByDescending(h => Math.Round(h.Chance / SameChance)).ThenBy(h => h.DoneBy - h.At).ThenBy(h => h.At).Take(BestFew);
        return new StartsReport(hours, [.. best], MemberCount);
    }

    private static List<(LocalDateTime Local, Instant At)> Hours(HourlyWeather weather, DateTimeZone zone, int from, int until)
    {
        var hours = new List<(LocalDateTime, Instant)>();
        var last = weather.End.InZone(zone).Date;
        for (var date = weather.Start.InZone(zone).Date; date <= last; date = date.PlusDays(1))
        {
            for (var hour = from; hour <= until; hour++)
            {
                var local = date + new LocalTime(hour, 0);
                var at = local.InZoneLeniently(zone).ToInstant();
                // Past the end of the forecast nothing is known: the day must have room in it.
                if (at >= weather.Start && at + Duration.FromHours(12) <= weather.End && weather.At(at).SunWm2 > DayJudge.DarkWm2)
                {
                    hours.Add((local, at));
                }
            }
        }

        return hours;
    }

    private static StartHour Hour((LocalDateTime Local, Instant At) start, StartOdds odds)
    {
        Instant After(double hours) => start.At + Duration.FromHours(hours);
        return new StartHour(
            LocalDatePattern.Iso.Format(start.Local.Date), start.Local.Hour, start.At, odds.Chance, After(odds.DoneH.Median), After(odds.DoneH.Early), After(odds.DoneH.Late),
            [.. odds.Faults.Where(f => f.Share >= Rare).Select(f => new FaultShare(f.Fault, f.Share))]);
    }
}
