using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>Ranks the hours in which a pour might begin: each is planned as if it were chosen, and judged by the same checks.</summary>
internal static class Starts
{
    private const int Earliest = 5;
    private const int Latest = 18;
    private const int BestFew = 5;

    /// <summary>Two starts of one chance differ by less than this, 0-1.</summary>
    private const double SameChance = 0.05;

    /// <param name="plan">The day of a start, with its findings in the gate.</param>
    /// <param name="weather">Hours at the site; only what was given is ranked.</param>
    /// <param name="zone">Of the site.</param>
    public static StartsReport Rank(Func<Instant, Gate, PlannedDay> plan, HourlyWeather weather, DateTimeZone zone)
    {
        var hours = new List<StartHour>();
        var last = weather.End.InZone(zone).Date;
        for (var date = weather.Start.InZone(zone).Date; date <= last; date = date.PlusDays(1))
        {
            for (var hour = Earliest; hour <= Latest; hour++)
            {
                var at = (date + new LocalTime(hour, 0)).InZoneLeniently(zone).ToInstant();
                if (at >= weather.Start && at < weather.End && weather.At(at).SunWm2 > DayChecks.DarkWm2)
                {
                    hours.Add(Hour(plan, weather, at, date, hour));
                }
            }
        }

        // Of hours as likely, those that want no care; then the one that is done first, then the one nearest.
        var best = hours.Where(h => h.Faults.Count == 0).OrderByDescending(h => Math.Round(h.Chance / SameChance)).ThenBy(h => h.Care).ThenBy(h => h.DoneBy - h.At).ThenBy(h => h.At).Take(BestFew);
        return new StartsReport(hours, [.. best]);
    }

    private static StartHour Hour(Func<Instant, Gate, PlannedDay> plan, HourlyWeather weather, Instant at, LocalDate date, int hour)
    {
        var gate = new Gate(Quantities.UnitSystem.Metric);
        var day = plan(at, gate).Report;
        StartFault[] faults = [.. gate.Findings.Select(FaultOf).OfType<StartFault>().Distinct().Order()];
        var dry = 1 - day.RainChance;
        // Past the end of the forecast nothing is known.
        var known = (day.FinalSet ?? day.DoneBy) <= weather.End;
        return new StartHour(LocalDatePattern.Iso.Format(date), hour, at, known && faults.All(f => f == StartFault.Rain) ? dry : 0, day.DoneBy, gate.Findings.Any(Dries), faults);
    }

    private static bool Dries(Finding finding) => finding.Code is FindingCode.DryingFast or FindingCode.DriesBeforeItBleeds;

    private static StartFault? FaultOf(Finding finding) => finding.Code switch
    {
        FindingCode.RainBeforeSet => StartFault.Rain,
        FindingCode.DryingFast when finding.Facts["limitKgM2H"] >= Evaporation.ActKgPerM2H => StartFault.Drying,
        FindingCode.DriesBeforeItBleeds when finding.Facts["limitKgM2H"] >= DayChecks.DeficitAct => StartFault.Drying,
        FindingCode.ColdWeather or FindingCode.MixTooCold => StartFault.Cold,
        FindingCode.MixTooHot => StartFault.Hot,
        FindingCode.AfterDark => StartFault.Dark,
        FindingCode.ColdJoint => StartFault.Joint,
        FindingCode.HandsStillMixing => StartFault.Hands,
        _ => null,
    };
}
