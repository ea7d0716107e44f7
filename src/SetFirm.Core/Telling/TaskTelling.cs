using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Planning;

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
        return new TasksReport(
            plan.Pour?.Load.Sketch.Id,
            [.. JobTasks.Of(plan, Told.Of(log ?? []), asOf).Select(t => new TaskReport(
                t.Key, t.Task, t.Traits.Phase, t.Element, t.Traits.People, t.Traits.Gear, t.Traits.Meets, t.Numbers, t.From, t.By, t.State, t.WaitsFor, t.Told?.At, t.Told?.Device ?? "", t.Ticked))]);
    }
}
