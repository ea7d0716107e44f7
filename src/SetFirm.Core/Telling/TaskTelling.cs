using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The order of work, with this job's numbers and dates: every one of them is the plan's.</summary>
public static class TaskTelling
{
    /// <summary>Sealant cures so long before it holds. Source: handling sheets; site practice.</summary>
    private static readonly Duration SealantCures = Duration.FromHours(24);

    /// <param name="plan">Of the job.</param>
    /// <param name="log">All that was told of it.</param>
    /// <param name="asOf">Now; null leaves out whether it is too early.</param>
    public static TasksReport Of(JobPlan plan, IReadOnlyList<JobEvent>? log = null, Instant? asOf = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (plan.Elements is not { } elements || elements.Any(e => e.Build is null))
        {
            return new TasksReport(plan.Pour?.Load.Sketch.Id, []);
        }

        var report = Teller.Tell(plan);
        if (report.Build is null)
        {
            return new TasksReport(report.Pour, []);
        }

        var told = Told.Of(log ?? []);
        var done = Done(told, report);
        var tasks = Listed(elements, report);
        return new TasksReport(report.Pour, [.. tasks.Select(t => Task(t, tasks, done, report, asOf))]);
    }

    // In a job file of long ago elements have no ids, and in one written by hand two may have the same.
    private static string NameOf(ElementPlan element, ImmutableArray<ElementPlan> all) => element.Read.Said.Id is { Length: > 0 } id && all.Count(e => e.Read.Said.Id == id) == 1
        ? id
        : (element.Index + 1).ToString(CultureInfo.InvariantCulture);

    // Phase by phase; in each, element by element in the order of its work.
    private static List<Entry> Listed(ImmutableArray<ElementPlan> elements, PlanReport report)
    {
        var tasks = new List<Entry>();
        foreach (var phase in Enum.GetValues<TaskPhase>())
        {
            foreach (var element in elements)
            {
                foreach (var task in WorkOrders.Of(element.Traits.Work).Where(t => TaskCatalogue.Of(t).Phase == phase))
                {
                    var traits = TaskCatalogue.Of(task);
                    if (traits.Once && tasks.Any(t => t.Task == task))
                    {
                        continue;
                    }

                    var figures = traits.Once ? elements.Where(e => WorkOrders.Of(e.Traits.Work).Contains(task)).Select(e => Numbers(task, e, report)).FirstOrDefault(f => f is not null) : Numbers(task, element, report);
                    if (figures is not null)
                    {
                        tasks.Add(new Entry(task, traits, traits.Once ? null : element.Index, traits.Once ? "" : NameOf(element, elements), figures));
                    }
                }
            }
        }

        return tasks;
    }

    private static TaskReport Task(Entry task, List<Entry> all, Dictionary<string, JobEvent> done, PlanReport report, Instant? asOf)
    {
        var (from, by) = When(task, report);
        var waits = all.Where(t => task.Traits.Needs.Contains(t.Task) && (t.Element is null || task.Element is null || t.Element == task.Element) && !done.ContainsKey(t.Key)).Select(t => t.Key).ToArray();
        var told = done.GetValueOrDefault(task.Key);
        var early = asOf is { } now && from is { } opens && now < opens;
        return new TaskReport(
            task.Key, task.Task, task.Traits.Phase, task.Element, task.Traits.People, task.Traits.Gear, task.Traits.Meets, task.Numbers, from, by,
            told is not null ? TaskState.Done : waits.Length > 0 || early ? TaskState.Waits : TaskState.Ready, waits, told?.At, told?.Device ?? "");
    }

    // What is done for the whole job counts whichever pour was looked at; from staging on each pour has its own.
    private static Dictionary<string, JobEvent> Done(Told told, PlanReport report)
    {
        var first = report.Pours.Count > 0 ? report.Pours[0].Id : "";
        var done = new Dictionary<string, JobEvent>();
        foreach (var line in told.Lines.OfType<JobEvent.TaskDone>())
        {
            var name = line.Task.Split(':')[0];
            var ofJob = Enum.TryParse<WorkTask>(name, ignoreCase: true, out var task) && Enum.IsDefined(task) && TaskCatalogue.Of(task).Phase < TaskPhase.Stage;
            if (ofJob || line.Pour == report.Pour || (line.Pour.Length == 0 && report.Pour == first))
            {
                done.TryAdd(line.Task, line);
            }
        }

        // What the board and the cure were told is not asked for again.
        foreach (var (task, line) in told.OfPour(report.Pour ?? "", report.Pour == first).Lines.Select(l => (Task: Same(l), Line: l)).Where(l => l.Task is not null))
        {
            done.TryAdd(Key(task!.Value, ""), line);
        }

        return done;
    }

    private static WorkTask? Same(JobEvent line) => line switch
    {
        JobEvent.DayBegun => WorkTask.MeasureOut,
        JobEvent.DayClosed => WorkTask.FinishPasses,
        JobEvent.CoverOn { Zone: null } => WorkTask.CoverIt,
        _ => null,
    };

    private static (Instant? From, Instant? By) When(Entry task, PlanReport report)
    {
        var (day, cure) = (report.Day, report.Cure);
        Instant? At(Milestone milestone) => cure?.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At;
        return task.Task switch
        {
            WorkTask.SealSeams => (default(Instant?), day is null ? default(Instant?) : day.Start - SealantCures),
            WorkTask.Pour => (day?.Start, day?.MixingEnds),
            WorkTask.TapEdges or WorkTask.RoughenBase or WorkTask.SetAnchors or WorkTask.SetPebbles => (day?.Start, day?.MixingEnds),
            WorkTask.FinishPasses => (day is { Passes.Count: > 0 } ? day.Passes.Min(p => p.Opens) : day?.MixingEnds, day?.DoneBy),
            WorkTask.WashFace => (day?.MixingEnds, day?.DoneBy),
            WorkTask.CleanTools => (day?.MixingEnds, null),
            WorkTask.FenceOff => (day?.MixingEnds, At(Milestone.Walk)),
            WorkTask.CoverIt => (day?.DoneBy, cure?.WetFrom),
            WorkTask.KeepWet => (cure?.WetFrom, cure?.WetUntil),
            WorkTask.StripForms or WorkTask.RubFace => (At(Milestone.StripEdges), null),
            WorkTask.Demould => (At(Milestone.TurnPiece), null),
            WorkTask.SoftenCorners => (At(Milestone.Sand) ?? At(Milestone.TurnPiece), null),
            WorkTask.PatchHoles => (At(Milestone.StripEdges) ?? At(Milestone.TurnPiece) ?? day?.DoneBy, null),
            WorkTask.GrindFace or WorkTask.CutBack => (At(Milestone.Grind), null),
            WorkTask.BackfillSides or WorkTask.FirstWalk => (At(Milestone.Walk), null),
            WorkTask.SetInPlace => (At(Milestone.Furniture) ?? At(Milestone.Walk), null),
            WorkTask.FirstLoad => (At(Milestone.Cars) ?? At(Milestone.Furniture), null),
            WorkTask.FirstWinter => (At(Milestone.FreezeOnce), null),
            WorkTask.Coat => (cure is { Coats: [var coat, ..] } ? coat.At : default(Instant?), null),
            _ => (default(Instant?), day?.Start),
        };
    }

    /// <returns>Null where this job has no such task.</returns>
    private static TaskNumber[]? Numbers(WorkTask task, ElementPlan element, PlanReport report)
    {
        var built = report.Build!.Elements.Single(e => e.Index == element.Index);
        var (dig, forms, mould, steel, traits) = (built.Dig, built.Forms, built.Mould, built.Steel, element.Traits);
        var pour = report.Pours.FirstOrDefault(p => p.Id == report.Pour);
        TaskNumber[]? Where(bool has, params (TaskFigure Figure, double Value)[] numbers) => has ? [.. numbers.Where(n => n.Value > 0).Select(n => new TaskNumber(n.Figure, n.Value))] : null;
        return task switch
        {
            WorkTask.FindServices or WorkTask.ClearAway => Where(dig is not null),
            WorkTask.Dig => Where(dig is not null, (TaskFigure.DigDepthMm, dig?.DepthMm ?? 0), (TaskFigure.DigM3, dig?.BankM3 ?? 0)),
            WorkTask.CompactBase => Where(dig is { BaseMm: > 0 }, (TaskFigure.BaseMm, dig?.BaseMm ?? 0), (TaskFigure.BaseLifts, dig?.Lifts ?? 0), (TaskFigure.BaseKg, dig?.BaseKg ?? 0)),
            WorkTask.SetOut => Where(true, (TaskFigure.StringAboveMm, report.Build.StringMm), (TaskFigure.LowestCornerMm, built.Corners.DefaultIfEmpty(0).Max())),
            WorkTask.SetForms => Where(forms is not null, (TaskFigure.BoardsM, (forms?.Runs.Sum(r => r.CutM) ?? 0) + (forms?.BendsM ?? 0))),
            WorkTask.SpaceForms => Where(forms is { Ties: > 0 }, (TaskFigure.Ties, forms?.Ties ?? 0)),
            WorkTask.CapEnds => Where(forms is { Rip: not null }, (TaskFigure.CapMm, forms?.Rip?.CapMm ?? 0)),
            WorkTask.CheckSquare => Where(built.Diagonals.Count > 0, (TaskFigure.DiagonalM, built.Diagonals.Select(d => d.LengthM).DefaultIfEmpty(0).Max())),
            WorkTask.CutStakes or WorkTask.BackfillForms => Where(forms is { Nailed: false, Stakes.Count: > 0 }, (TaskFigure.Stakes, forms?.Stakes.Count ?? 0)),
            WorkTask.TapeScrews => Where(forms is not null || mould is not null, (TaskFigure.Screws, mould?.Screws ?? 0)),
            WorkTask.SetIsolation => Where(built.IsolationM + built.BondBreakerM > 0, (TaskFigure.IsolationM, built.IsolationM + built.BondBreakerM)),
            WorkTask.MaskNear => Where(built.IsolationM > 0 || traits.OnOldConcrete || traits.Section == SteelSection.Counter || traits.Work == WorkKind.PebbleBed),
            WorkTask.LevelBench or WorkTask.WaxMould => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds ?? 0)),
            WorkTask.CutMould or WorkTask.BendStrips => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds ?? 0), (TaskFigure.Sheets, mould?.Sheets ?? 0)),
            WorkTask.SealSeams => Where(mould is { SeamM: > 0 }, (TaskFigure.SeamM, mould?.SeamM ?? 0), (TaskFigure.Cartridges, mould?.Cartridges ?? 0)),
            WorkTask.OilForms => Where(forms is not null || mould is not null),
            WorkTask.SetSteel => Where(
                steel.SheetCount > 0 || steel.BarM > 0 || steel.ScrimM2 > 0, (TaskFigure.MeshSheets, steel.SheetCount), (TaskFigure.BarsM, steel.BarM), (TaskFigure.Chairs, steel.Chairs),
                (TaskFigure.ScrimM2, steel.ScrimM2)),
            WorkTask.BuildRamp => Where(forms is not null),
            WorkTask.BoxCutOuts or WorkTask.CutBack => Where(element.Read.OpeningsFor(OpeningUse.CutOut).Any()),
            WorkTask.LookOver => Where(true, (TaskFigure.Inspections, report.Build.Inspections.Count)),
            WorkTask.MeasureOut => Where(true, (TaskFigure.Batches, pour?.Batches ?? 0), (TaskFigure.Bags, pour?.Bags ?? 0)),
            WorkTask.Dampen => Where(traits.OnGround || traits.OnOldConcrete),
            WorkTask.Pour => Where(true, (TaskFigure.VolumeL, pour?.VolumeL ?? 0), (TaskFigure.Batches, pour?.Batches ?? 0), (TaskFigure.MixingMin, pour?.MixingMin ?? 0)),
            WorkTask.PatchHoles => Where(true, (TaskFigure.HoldBackL, pour?.HoldBackL ?? 0)),
            WorkTask.Demould or WorkTask.SetInPlace => Where(true, (TaskFigure.Pieces, element.Cast.Count), (TaskFigure.PieceKg, element.PieceMass.Kilograms)),
            WorkTask.KeepWet => Where(true, (TaskFigure.WetDays, report.Cure?.WetDays ?? 0), (TaskFigure.RewetHours, report.Cure?.RewetHours ?? 0)),
            WorkTask.StripForms => Where(forms is not null || mould is not null),
            WorkTask.GrindFace => Where(report.Cure?.Milestones.Any(m => m.Milestone == Milestone.Grind) == true),
            WorkTask.BackfillSides => Where(dig is { BackM3: > 0 }, (TaskFigure.BackfillM3, dig?.BackM3 ?? 0)),
            WorkTask.Coat => Where(report.Cure is { Coats.Count: > 0 }, (TaskFigure.Coats, report.Cure?.Coats.Count ?? 0)),
            _ => Where(true),
        };
    }

    private static string Key(WorkTask task, string element) => JsonNamingPolicy.CamelCase.ConvertName(task.ToString()) + (element.Length == 0 ? "" : $":{element}");

    private sealed record Entry(WorkTask Task, TaskTraits Traits, int? Element, string ElementId, IReadOnlyList<TaskNumber> Numbers)
    {
        public string Key { get; } = TaskTelling.Key(Task, ElementId);
    }
}
