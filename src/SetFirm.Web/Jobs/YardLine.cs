using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Jobs;

/// <summary>One job's line in the yard, from its plan.</summary>
internal static class YardLine
{
    /// <summary>A line of a job that is not planned: it stays in the yard, so that it is not lost from sight.</summary>
    public static JobLineDto Bare(Guid id, int version, string name, Instant updatedAt, LineState state) => new(
        id, version, name, UnitSystem.Metric, DateTimeZone.Utc.Id, updatedAt, JobPhase.Unfinished, 0, null, null, null, null, null, null, null, null, null,
        state == LineState.Unplannable ? 1 : 0, [], null, state);

    /// <param name="row">As kept.</param>
    /// <param name="job">What stands in it.</param>
    /// <param name="hours">It is planned with.</param>
    /// <param name="log">What was told of it.</param>
    /// <param name="now">The line is for.</param>
    /// <param name="budget">What it may take.</param>
    public static JobLineDto Of(JobRow row, JobDocument job, HourlyWeather hours, IReadOnlyList<JobEvent> log, Instant now, Budget budget)
    {
        var plan = Planner.Plan(job, hours, log, now, budget: budget);
        var pours = Planner.Pours(plan, hours, log, now, budget);
        var report = Teller.Tell(plan);
        PourPlan[] known = [.. pours.Where(p => p is { Day: not null, Cure: not null })];
        var next = known.FirstOrDefault(p => p.Day!.DoneBy > now);
        var shown = next ?? known.LastOrDefault();
        PourPlan[] lying = [.. known.Where(p => p.Day!.Start <= now)];
        return new JobLineDto(
            row.Id,
            row.Version,
            row.Name,
            job.Units,
            job.TimeZone,
            row.UpdatedAt,
            JobPhases.At(pours, now),
            pours.Length,
            next?.Load.Number,
            report.Shape?.OrderL,
            report.Mix?.Bagged?.Count,
            shown?.Day!.Start,
            shown?.Day!.DoneBy,
            (lying.Length > 0 ? lying : [.. known.Take(1)]).Max(p => (Instant?)p.Cure!.WetUntil),
            shown?.Cure!.RewetHours,
            known.Min(p => p.Cure!.NextWetting(now)),
            known.SelectMany(p => p.Cure!.Milestones).Where(m => m.Milestone == Milestone.Walk && m.At > now).Min(m => m.At),
            report.Findings.Count(f => f.Severity >= Severity.Warning),
            [.. JobTasks.Today(next is null || next == plan.Pour ? plan : plan with { Pour = next }, Told.Of(log), now).Select(t => new TodayDto(t.Task, t.Element is { } of && job.Elements.Count > 1 ? job.Elements[of].Name : "", t.Minutes))],
            report.Shape?.Elements[0] is { } first ? new SketchDto(first.Corners, first.Edges) : null,
            LineState.Made);
    }
}
