using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>A pour's batches and zones where its own passes call hands away from the mixer: who floats the first zone does not wheel the last.</summary>
/// <remarks>
/// Found by going round: batches, then windows, then who is called away when, then batches again. What is late depends on what is early and hardly the other
/// way about, so that a few rounds settle it.
/// </remarks>
/// <param name="Schedule">Its batches.</param>
/// <param name="Pour">Its zones.</param>
/// <param name="Away">Who is called away when.</param>
public sealed record Settled(PourSchedule Schedule, DayPour Pour, ImmutableArray<Away> Away)
{
    private const int MostRounds = 8;

    /// <summary>Moved by less it is settled.</summary>
    private static readonly Duration Still = Duration.FromMinutes(0.5);

    /// <summary>A window that opens while it is mixed closes before this.</summary>
    private static readonly Duration Beyond = Duration.FromHours(3);

    /// <param name="task">As said.</param>
    /// <param name="load">Its batches.</param>
    /// <param name="weather">As foreseen.</param>
    /// <param name="start">First water.</param>
    /// <param name="model">Follows zones.</param>
    /// <param name="facts">What was told of it; null while nothing is.</param>
    /// <param name="plan">Its batches as planned, where something is told.</param>
    public static Settled Of(PourTask task, LoadPlan load, HourlyWeather weather, Instant start, ISlabModel model, DayFacts? facts = null, IReadOnlyList<PlannedBatch>? plan = null)
    {
        ArgumentNullException.ThrowIfNull(load);
        var soFar = facts?.SoFar(plan!);
        var schedule = PourSchedule.Of(load, start, [], soFar);
        ImmutableArray<Away> away = [];
        var foreseen = new Member(weather, 1, 1);
        DaySimulation? paths = null;
        for (var round = 1; ; round++)
        {
            var pour = DayPour.Of(task, load, schedule, weather, facts);
            if (round == MostRounds)
            {
                return new Settled(schedule, pour, away);
            }

            // Who is called away after the last batch lies is not missed.
            paths = new DaySimulation(
                pour, model, before: paths, until: schedule.MixingEnds - start + Beyond, progress: facts is null ? null : new DayProgress(facts, pour, start));
            paths.Run(foreseen, start);
            var called = CalledAway(paths.Tasks, pour.MixingEndsH);
            var again = PourSchedule.Of(load, start, called.AsSpan(), soFar);
            if (Gap(again.MixingEnds, schedule.MixingEnds) <= Still && Gap(again.Batches[^1].WaterAdded, schedule.Batches[^1].WaterAdded) <= Still)
            {
                return new Settled(schedule, pour, away);
            }

            (schedule, away) = (again, called);
        }
    }

    private static ImmutableArray<Away> CalledAway(ReadOnlySpan<PassTask> tasks, double mixingEndsH)
    {
        var away = new List<Away>();
        foreach (var task in tasks)
        {
            if (task.BeginsH < mixingEndsH)
            {
                away.Add(new Away(task.BeginsH, task.EndsH, task.Hands));
            }
        }

        return [.. away];
    }

    private static Duration Gap(Instant a, Instant b) => a > b ? a - b : b - a;
}
