using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Events;
using SetFirm.Core.Planning;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The order of work, as it is shown.</summary>
public static class TaskTelling
{
    /// <param name="plan">Of the job.</param>
    /// <param name="log">All that was told of it.</param>
    /// <param name="asOf">Now; null leaves out whether it is too early.</param>
    public static TasksReport Of(JobPlan plan, IReadOnlyList<JobEvent>? log = null, Instant? asOf = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var tasks = JobTasks.Of(plan, Told.Of(log ?? []), asOf);
        JobTask[] before = [.. tasks.Where(t => t.Traits.Phase < TaskPhase.Stage && t.Minutes is not null)];
        return new TasksReport(
            plan.Pour?.Load.Sketch.Id,
            before.Sum(t => t.Minutes!.Value),
            Local(before.Where(t => TaskEfforts.Of(t.Task)!.LeadDays == 0).Min(t => t.On)),
            asOf is { } now ? Local(JobTasks.EarliestPour(tasks, plan, now)) : null,
            [.. Series(plan)],
            [.. tasks.Select(t => new TaskReport(
                t.Key, t.Task, t.Traits.Phase, t.Element, t.People, t.Gear, [.. t.Goods.Select(g => new GoodUseReport(g.Good.Id, g.Good.Unit, g.Amount))],
                t.Traits.Meets, t.Numbers, t.Minutes, t.Parts, t.Cautions, Local(t.On), t.From, t.At, t.By, t.State, t.WaitsFor, t.Told?.At, t.Told?.Device ?? "", t.Ticked, t.OfThisPour, t.Late))]);
    }

    private static IEnumerable<CastingOf> Series(JobPlan plan)
    {
        foreach (var part in plan.Pour?.Load.Sketch.Parts.Where(p => p.Casting is not null) ?? [])
        {
            var dates = plan.Pours.Where(p => p.Sketch.Parts.Any(o => o.Element == part.Element)).Select(p => p.Sketch.Date).ToArray();
            if (dates.Length > 1)
            {
                var known = dates.OfType<LocalDate>().ToArray();
                int? every = known.Length < 2 ? null : known.Zip(known.Skip(1), (a, b) => Period.DaysBetween(a, b)).Min();
                yield return new CastingOf(part.Element, part.Casting!.Value, plan.Pours.SelectMany(p => p.Sketch.Parts).Count(p => p.Element == part.Element), every, Local(dates[^1]));
            }
        }
    }

    private static string? Local(LocalDate? date) => date is { } on ? LocalDatePattern.Iso.Format(on) : null;

    /// <summary>Days of work besides the pours, of what is open and has no line of its own in the calendar.</summary>
    /// <param name="plan">Of the job.</param>
    /// <param name="log">All that was told of it.</param>
    public static IReadOnlyList<WorkDayReport> Days(JobPlan plan, IReadOnlyList<JobEvent> log)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (plan.Pour?.Load.Task is not { Works: var works, Zone: var zone })
        {
            return [];
        }

        // What was not ticked before the first water is not done any more.
        var told = Told.Of(log);
        var begun = told.Lines.Any(l => l is JobEvent.DayBegun or JobEvent.BatchMixing);
        return
        [
            .. JobTasks.Of(plan, told).Where(t => !(begun && t.Traits.Phase <= TaskPhase.Stage) && t.On is not null && t.State != TaskState.Done && (t.Minutes is not null || t.Task == WorkTask.FirstWinter) && !HasALine(t.Task)).GroupBy(t => t.On!.Value).OrderBy(d => d.Key)
                .Select(day => new WorkDayReport(
                    // Not before the first of it may be begun.
                    day.Min(t => t.At) ?? (day.Key + (works?.From ?? LocalTime.Noon)).InZoneLeniently(zone).ToInstant(), day.Sum(t => t.Minutes ?? 0), [.. day.Select(t => new TaskOfDay(t.Key, t.Task, t.Element))])),
        ];
    }

    // The day, its passes, what the strength allows and the coats stand there by themselves.
    private static bool HasALine(WorkTask task) =>
        TaskCatalogue.Of(task).Phase is TaskPhase.PourDay or TaskPhase.Keep || task is WorkTask.StripForms or WorkTask.Demould or WorkTask.Coat;
}
