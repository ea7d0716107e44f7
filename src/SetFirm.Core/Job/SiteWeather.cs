using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Job;

/// <summary>The hours that a job is planned with: what was given, with what its people typed laid over it, and beyond it what is usual at its place.</summary>
public static class SiteWeather
{
    public const int MostDays = 14;

    /// <summary>For whoever plans nothing: findings are left to the plan.</summary>
    public static HourlyWeather Of(JobDocument job, HourlyWeather given)
    {
        ArgumentNullException.ThrowIfNull(job);
        return Of(job, given, new Gate(job.Units));
    }

    /// <summary>Where it lies, for whoever plans nothing; null where neither the job nor its time zone tells.</summary>
    public static SitePlace? Place(JobDocument job)
    {
        ArgumentNullException.ThrowIfNull(job);
        return Place(job, new Gate(job.Units));
    }

    internal static HourlyWeather Of(JobDocument job, HourlyWeather given, Gate gate)
    {
        var days = Typed(job.Site.Typed, gate);
        return Place(job, gate) is { } place && DateTimeZoneProviders.Tzdb.GetZoneOrNull(job.TimeZone) is { } zone ? TypedDays.Over(given, days, zone, place) : given;
    }

    /// <summary>Where it lies: as said, or as its time zone has it; null where neither tells.</summary>
    internal static SitePlace? Place(JobDocument job, Gate gate)
    {
        var (site, at) = (job.Site, Places.Site);
        var sound = (site.Latitude is not { } north || gate.InRange(at.Latitude, north, -90, 90, RangeUnit.Degrees))
            & (site.Longitude is not { } east || gate.InRange(at.Longitude, east, -180, 180, RangeUnit.Degrees));
        var guess = SitePlace.OfZone(job.TimeZone) ?? ByClock(job.TimeZone);
        return sound && (site.Latitude ?? guess?.Latitude) is { } latitude && (site.Longitude ?? guess?.Longitude) is { } longitude ? new SitePlace(latitude, longitude) : guess;
    }

    private static ImmutableArray<TypedDay> Typed(TypedForecastDocument? said, Gate gate)
    {
        if (said is null)
        {
            return [];
        }

        var at = Places.Site.Typed;
        if (said.Days.Count > MostDays)
        {
            gate.Fault(at.Self, new Notice.TooMany(Count: said.Days.Count, Most: MostDays));
            return [];
        }

        var (days, dates) = (ImmutableArray.CreateBuilder<TypedDay>(), new HashSet<LocalDate>());
        for (var i = 0; i < said.Days.Count; i++)
        {
            // A line that nobody has written a number into yet waits.
            if (IsEmpty(said.Days[i]) || Day(said.Days[i], at.Day(i), gate) is not { } day)
            {
                continue;
            }

            if (!dates.Add(day.Date))
            {
                gate.Fault(at.Day(i).At(nameof(TypedDayDocument.Date)), new Notice.DayTypedTwice());
                continue;
            }

            days.Add(day);
        }

        return days.ToImmutable();
    }

    // A zone that names no place tells how far east it lies; halfway to the pole is as good a guess as any.
    private static SitePlace? ByClock(string zone)
    {
        const double halfway = 45, degreesAnHour = 15;
        return DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is { } known
            ? new SitePlace(halfway, Math.Clamp(known.GetZoneInterval(Instant.FromUtc(2027, 1, 1, 0, 0)).StandardOffset.ToTimeSpan().TotalHours * degreesAnHour, -180, 180))
            : null;
    }

    private static bool IsEmpty(TypedDayDocument d) =>
        d is { LowC: null, HighC: null, WindKmh: null, HumidityPct: null, RainMorningPct: null, RainAfternoonPct: null, RainEveningPct: null, RainNightPct: null };

    private static TypedDay? Day(TypedDayDocument said, Place at, Gate gate)
    {
        double? Number(string name, double? value, double least, double most, RangeUnit unit)
        {
            var place = at.At(name);
            if (value is null)
            {
                gate.Fault(place, new Notice.NumberMissing());
            }

            return value is { } v && gate.InRange(place, v, least, most, unit) ? v : null;
        }

        var date = gate.Date(at.At(nameof(said.Date)), said.Date);
        var (low, high) = (Number(nameof(said.LowC), said.LowC, -50, 55, RangeUnit.C), Number(nameof(said.HighC), said.HighC, -50, 55, RangeUnit.C));
        var wind = Number(nameof(said.WindKmh), said.WindKmh, 0, 200, RangeUnit.None);
        var humid = said.HumidityPct is not { } h || gate.InRange(at.At(nameof(said.HumidityPct)), h, 1, 100, RangeUnit.Pct);
        double? Chance(string name, double? value) => Number(name, value, 0, 100, RangeUnit.Pct) / 100;
        var rain = (
            Chance(nameof(said.RainMorningPct), said.RainMorningPct), Chance(nameof(said.RainAfternoonPct), said.RainAfternoonPct),
            Chance(nameof(said.RainEveningPct), said.RainEveningPct), Chance(nameof(said.RainNightPct), said.RainNightPct));
        if (low > high)
        {
            gate.Fault(at.At(nameof(said.LowC)), new Notice.LowAboveHigh(LowC: low.Value, HighC: high.Value));
            return null;
        }

        return date is { } d && low is { } l && high is { } t && wind is { } w && humid && rain is ({ } morning, { } afternoon, { } evening, { } night)
            ? new TypedDay(d, l, t, w, said.Sky, said.HumidityPct / 100, (morning, afternoon, evening, night))
            : null;
    }
}
