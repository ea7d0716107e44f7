using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>Something to hold in the hand, and where it comes from.</summary>
/// <param name="Gear">What.</param>
/// <param name="For">The tasks that want it, in the order in which they are done.</param>
/// <param name="Days">On which it is wanted.</param>
/// <param name="From">Where it comes from.</param>
/// <param name="Price">For a day where it is hired, else for the thing.</param>
/// <param name="Money">It costs this job.</param>
public sealed record GearLine(Gear Gear, ImmutableArray<WorkTask> For, ImmutableArray<LocalDate> Days, GearSource From, double Price, double Money);

/// <summary>The gear of a job, by its tasks.</summary>
public static class GearPlan
{
    /// <param name="plan">Of the job.</param>
    public static ImmutableArray<GearLine> Of(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var pours = plan.Pours.Select(p => p.Sketch.Date).OfType<LocalDate>().Distinct().Order().ToImmutableArray();
        return
        [
            .. JobTasks.Of(plan, Told.Nothing).SelectMany(t => t.Gear.Select(g => (Gear: g, Task: t))).GroupBy(g => g.Gear).OrderBy(g => g.Key).Select(group =>
            {
                var days = group.SelectMany(g => DaysOf(g.Task, pours, plan.Pour?.Load.Sketch.Date, plan.Said.Day.WorkDays)).Distinct().Order().ToImmutableArray();
                var said = plan.Said.Buy.Gear.FirstOrDefault(g => g.Gear == group.Key);
                var (from, price) = (said?.From ?? GearSource.Own, said?.Price ?? 0);
                var times = from switch
                {
                    GearSource.Own or GearSource.Borrow => 0,
                    // Where no day is known it is still wanted on one.
                    GearSource.Hire => Math.Max(1, days.Length),
                    GearSource.Buy => 1,
                    _ => throw new System.Diagnostics.UnreachableException(),
                };
                return new GearLine(group.Key, [.. group.Select(g => g.Task.Task).Distinct()], days, from, price, price * times);
            }),
        ];
    }

    // What is done for every pour wants it for every pour, as many days before as for this one; the rest on each day on which somebody works, as long as its task takes.
    private static IEnumerable<LocalDate> DaysOf(JobTask task, ImmutableArray<LocalDate> pours, LocalDate? own, WorkDays days) => task switch
    {
        { Traits.Phase: TaskPhase.Stage, On: { } on } when own is { } date => pours.Select(p => p.PlusDays(Period.DaysBetween(date, on))),
        { Traits.Phase: TaskPhase.Stage or TaskPhase.PourDay } => pours,
        { On: { } on, Until: { } until } => Enumerable.Range(0, Period.DaysBetween(on, until) + 1).Select(on.PlusDays).Where(d => d == on || WorkCalendar.Holds(days, d)),
        _ => [],
    };
}
