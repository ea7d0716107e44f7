using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Telling;

/// <summary>A day that is rehearsed: what is seen of it, and what was done wrong.</summary>
/// <param name="Zones">What one sees of each at the moment asked for.</param>
/// <param name="Faults">What passes made so far leave behind, in working order.</param>
/// <param name="Hidden">What was hidden of each zone; it is told when the day is closed.</param>
public sealed record RehearsalReport(IReadOnlyList<ZoneSeen> Zones, IReadOnlyList<PassFault> Faults, IReadOnlyList<HiddenZone>? Hidden);

/// <summary>What was hidden of a zone.</summary>
/// <param name="Number">From 1.</param>
/// <param name="LaterPct">It set so much later than planned, percent.</param>
/// <param name="SheenGone">Its sheen was gone; null where none showed.</param>
public sealed record HiddenZone(int Number, double LaterPct, Instant? SheenGone);

/// <summary>A rehearsed day, as it is shown.</summary>
public static class Rehearsals
{
    /// <param name="plan">Of the job, with what was done in the rehearsal.</param>
    /// <param name="weather">As foreseen.</param>
    /// <param name="seed">The same seed is the same day.</param>
    /// <param name="now">When one looks.</param>
    /// <returns>Null where the day is not known.</returns>
    public static RehearsalReport? Of(JobPlan plan, HourlyWeather weather, int seed, Instant now)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(weather);
        if (plan.Pour is not { Day: { } day, Load.Task: { } task })
        {
            return null;
        }

        var hidden = HiddenDay.Draw(task, Job.SiteWeather.Of(plan.Said, weather), seed, day.Zones.Length);
        if (day.Facts is not { } facts)
        {
            return new RehearsalReport([.. day.Zones.Select(z => new ZoneSeen(z.Number, false, false, null, true))], [], null);
        }

        var course = hidden.Went(facts, day.Planned);
        return new RehearsalReport(
            [.. Enumerable.Range(0, course.Zones).Select(z => course.Seen(z, now))],
            course.Faults(),
            facts.Closed is null
                ? null
                : [.. Enumerable.Range(0, course.Zones).Select(z => new HiddenZone(z + 1, Retiming.LaterPct(Math.Log(hidden.Truth.ZoneFactors[Math.Min(z, hidden.Truth.ZoneFactors.Length - 1)])), course.SheenGone(z)))]);
    }
}
