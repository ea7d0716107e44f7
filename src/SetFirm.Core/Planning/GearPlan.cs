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

/// <summary>The gear of a job, by the tasks of all its pours.</summary>
public static class GearPlan
{
    /// <param name="plan">Of the job.</param>
    /// <param name="inFull">One of its pours, with its day and cure.</param>
    internal static ImmutableArray<GearLine> Of(JobPlan plan, Func<PourLoad, PourPlan> inFull)
    {
        var days = plan.Said.Day.WorkDays;
        return
        [
            .. Used(plan, inFull).GroupBy(u => u.Gear).OrderBy(g => g.Key).Select(group =>
            {
                var on = group.SelectMany(u => DaysOf(u.Task, u.Pours, days)).Distinct().Order().ToImmutableArray();
                var said = plan.Said.Buy.Gear.FirstOrDefault(g => g.Gear == group.Key);
                var (from, price) = (said?.From ?? GearSource.Own, said?.Price ?? 0);
                var times = from switch
                {
                    GearSource.Own or GearSource.Borrow => 0,
                    // Where no day is known it is still wanted on one.
                    GearSource.Hire => Math.Max(1, on.Length),
                    GearSource.Buy => 1,
                    _ => throw new System.Diagnostics.UnreachableException(),
                };
                return new GearLine(group.Key, [.. group.Select(u => u.Task).OrderBy(t => t.Traits.Phase).Select(t => t.Task).Distinct()], on, from, price, price * times);
            }),
        ];
    }

    // Pours that have the same to do are told by the first of them: castings of a mould, panels of a slab. What is done once counts once.
    private static IEnumerable<(Gear Gear, JobTask Task, ImmutableArray<LocalDate> Pours)> Used(JobPlan plan, Func<PourLoad, PourPlan> inFull)
    {
        var once = new HashSet<string>();
        var alike = plan.Pours.Length == 0
            ? [(Tasks: JobTasks.Of(plan, Told.Nothing), Dates: ImmutableArray<LocalDate>.Empty)]
            : plan.Pours.GroupBy(p => string.Join(',', p.Sketch.Parts.Select(t => (t.Element, t.Course)).Distinct()))
                .Select(g => (Tasks: JobTasks.Of(plan with { Pour = inFull(g.First()) }, Told.Nothing), Dates: g.Select(p => p.Sketch.Date).OfType<LocalDate>().ToImmutableArray()));
        return alike.SelectMany(a => a.Tasks.Where(t => t.OfThisPour || once.Add(t.Key)).SelectMany(t => t.Gear.Select(g => (g, t, t.OfThisPour ? a.Dates : []))));
    }

    // On each day on which somebody works, as long as its task takes; and so many days from every other pour as from the first.
    private static IEnumerable<LocalDate> DaysOf(JobTask task, ImmutableArray<LocalDate> pours, WorkDays days)
    {
        if (task is not { On: { } on, Until: { } until })
        {
            return [];
        }

        var own = Enumerable.Range(0, Period.DaysBetween(on, until) + 1).Select(on.PlusDays).Where(d => d == on || WorkCalendar.Holds(days, d));
        return pours is [var first, .. var later]
            ? own.SelectMany(d => later.Select(p => Working(d.PlusDays(Period.DaysBetween(first, p)), task, days)).Prepend(d))
            : own;
    }

    // What is made ready is so before; what follows waits for a day on which somebody works.
    private static LocalDate Working(LocalDate date, JobTask task, WorkDays days) => task.Traits.Phase switch
    {
        TaskPhase.PourDay => date,
        <= TaskPhase.Stage => WorkCalendar.Until(days, date),
        _ => WorkCalendar.From(days, date),
    };
}
