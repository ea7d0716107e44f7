using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>A task of a job.</summary>
/// <param name="Key">What the diary names it by.</param>
/// <param name="Task">Which.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
/// <param name="Numbers">This job's own.</param>
/// <param name="From">Not before; null where any time will do.</param>
/// <param name="By">To be done by then; null where it may wait.</param>
/// <param name="State">Where it stands.</param>
/// <param name="WaitsFor">Keys of what is done first and is not done yet.</param>
/// <param name="Told">That it is done; null while it is not.</param>
public sealed record JobTask(
    string Key, WorkTask Task, int? Element, ImmutableArray<TaskNumber> Numbers, Instant? From, Instant? By, TaskState State, ImmutableArray<string> WaitsFor, JobEvent? Told)
{
    public TaskTraits Traits => TaskCatalogue.Of(Task);

    /// <summary>By a tick, not by what the board or the cure was told.</summary>
    public bool Ticked => Told is JobEvent.TaskDone;
}

/// <summary>The order of work of a job around one of its pours: every number and date is the plan's.</summary>
public static class JobTasks
{
    /// <summary>Sealant cures so long before it holds. Source: handling sheets; site practice.</summary>
    private static readonly Duration SealantCures = Duration.FromHours(24);

    /// <param name="plan">Of the job.</param>
    /// <param name="told">All that was told of it.</param>
    /// <param name="asOf">Now; null leaves out whether it is too early.</param>
    public static ImmutableArray<JobTask> Of(JobPlan plan, Told told, Instant? asOf = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(told);
        if (plan.Elements is not { } elements || plan.Build is not { } build || elements.Any(e => e.Build is null))
        {
            return [];
        }

        var listed = Listed(elements, build, plan.Pour);
        var done = Done(listed, told, plan);
        return [.. listed.Select(t =>
        {
            var (from, by) = When(t.Task, plan.Pour);
            var waits = listed.Where(n => t.Traits.Needs.Contains(n.Task) && (n.Element is null || t.Element is null || n.Element == t.Element) && !done.ContainsKey(n.Key)).Select(n => n.Key).ToImmutableArray();
            var line = done.GetValueOrDefault(t.Key);
            var early = asOf is { } now && from is { } opens && now < opens;
            return new JobTask(
                t.Key, t.Task, t.Element, t.Numbers, from, by, line is not null ? TaskState.Done : waits.Length > 0 || early ? TaskState.Waits : TaskState.Ready, waits, line);
        })];
    }

    /// <summary>What there is to look over before the pour.</summary>
    public static IReadOnlyList<Inspection> LookedOver(ImmutableArray<ElementPlan> elements) => Inspections.For(Facts(elements));

    // Phase by phase; in each, element by element in the order of its work.
    private static List<Entry> Listed(ImmutableArray<ElementPlan> elements, BuildPlan build, PourPlan? pour)
    {
        var tasks = new List<Entry>();
        foreach (var phase in Enum.GetValues<TaskPhase>())
        {
            foreach (var element in elements)
            {
                foreach (var task in WorkOrders.Of(element.Traits.Work).Where(t => TaskCatalogue.Of(t).Phase == phase))
                {
                    var once = TaskCatalogue.Of(task).Once;
                    if (once && tasks.Any(t => t.Task == task))
                    {
                        continue;
                    }

                    var numbers = once
                        ? elements.Where(e => WorkOrders.Of(e.Traits.Work).Contains(task)).Select(e => Numbers(task, e, elements, build, pour)).FirstOrDefault(n => n is not null)
                        : Numbers(task, element, elements, build, pour);
                    if (numbers is { } known)
                    {
                        tasks.Add(new Entry(task, once ? null : element.Index, once ? "" : NameOf(element), known));
                    }
                }
            }
        }

        return tasks;
    }

    // In a job file of long ago elements have no ids.
    private static string NameOf(ElementPlan element) => element.Read.Said.Id is { Length: > 0 } id ? id : (element.Index + 1).ToString(CultureInfo.InvariantCulture);

    // What is done for the whole job counts whichever pour is looked at; from making ready on each pour has its own.
    private static Dictionary<string, JobEvent> Done(List<Entry> listed, Told told, JobPlan plan)
    {
        var pour = plan.Pour?.Load.Sketch.Id ?? "";
        var here = told.OfPour(pour, plan.Pours is [var first, ..] && first.Sketch.Id == pour);
        var done = new Dictionary<string, JobEvent>();
        foreach (var task in listed)
        {
            var lines = task.Traits.Phase < TaskPhase.Stage ? told : here;
            if ((lines.Lines.FirstOrDefault(l => l is JobEvent.TaskDone ticked && ticked.Task == task.Key) ?? here.Lines.FirstOrDefault(l => Tells(l, task.Task))) is { } line)
            {
                done.Add(task.Key, line);
            }
        }

        return done;
    }

    // What the board and the cure were told is not asked for again.
    private static bool Tells(JobEvent line, WorkTask task) => line switch
    {
        JobEvent.DayBegun => task is WorkTask.MeasureOut or WorkTask.LookOver,
        JobEvent.DayClosed closed => task is WorkTask.Pour or WorkTask.TapEdges or WorkTask.FinishPasses || (task is WorkTask.CleanTools && closed.Washed),
        JobEvent.CoverOn { Zone: null } => task is WorkTask.CoverIt,
        JobEvent.BoardsOff => task is WorkTask.StripForms,
        JobEvent.CastLifted => task is WorkTask.Demould,
        _ => false,
    };

    private static (Instant? From, Instant? By) When(WorkTask task, PourPlan? pour)
    {
        var (day, cure) = (pour?.Day, pour?.Cure);
        var (start, mixed, done) = (day?.Start, day?.Schedule.MixingEnds, day?.DoneBy);
        Instant? At(Milestone milestone) => cure?.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At;
        return task switch
        {
            WorkTask.SealSeams => (null, start is { } water ? water - SealantCures : default(Instant?)),
            WorkTask.Pour or WorkTask.TapEdges or WorkTask.RoughenBase or WorkTask.SetAnchors or WorkTask.SetPebbles => (start, mixed),
            WorkTask.FinishPasses => (day?.Zones.SelectMany(z => z.Passes).Select(p => (Instant?)p.Opens).Min() ?? mixed, done),
            WorkTask.WashFace => (mixed, done),
            WorkTask.CleanTools => (mixed, null),
            WorkTask.FenceOff => (mixed, At(Milestone.Walk)),
            WorkTask.CoverIt => (done, null),
            WorkTask.KeepWet => (cure?.WetFrom, cure?.WetUntil),
            WorkTask.StripForms or WorkTask.RubFace => (At(Milestone.StripEdges), null),
            WorkTask.Demould => (At(Milestone.TurnPiece), null),
            WorkTask.SoftenCorners => (At(Milestone.Sand) ?? At(Milestone.TurnPiece), null),
            WorkTask.PatchHoles => (At(Milestone.StripEdges) ?? At(Milestone.TurnPiece) ?? done, null),
            WorkTask.GrindFace or WorkTask.CutBack => (At(Milestone.Grind), null),
            WorkTask.BackfillSides or WorkTask.FirstWalk => (At(Milestone.Walk), null),
            WorkTask.SetInPlace => (At(Milestone.Furniture) ?? At(Milestone.Walk), null),
            WorkTask.FirstLoad => (At(Milestone.Cars) ?? At(Milestone.Furniture), null),
            WorkTask.FirstWinter => (At(Milestone.FreezeOnce), null),
            WorkTask.Coat => (cure is { Coats: [var coat, ..] } ? coat.Time.At : default(Instant?), null),
            _ => (null, start),
        };
    }

    /// <returns>Null where this job has no such task.</returns>
    private static ImmutableArray<TaskNumber>? Numbers(WorkTask task, ElementPlan element, ImmutableArray<ElementPlan> elements, BuildPlan build, PourPlan? pour)
    {
        var built = element.Build!;
        var (dig, forms, mould, steel, traits, load, cure) = (built.Dig, built.Forms, built.Mould, built.Steel, element.Traits, pour?.Load, pour?.Cure);
        ImmutableArray<TaskNumber>? Where(bool has, params ReadOnlySpan<(TaskFigure Figure, double? Value)> numbers)
        {
            if (!has)
            {
                return null;
            }

            var some = ImmutableArray.CreateBuilder<TaskNumber>();
            foreach (var (figure, value) in numbers)
            {
                if (value is > 0 and var known)
                {
                    some.Add(new TaskNumber(figure, known));
                }
            }

            return some.ToImmutable();
        }

        return task switch
        {
            WorkTask.FindServices or WorkTask.ClearAway => Where(dig is not null),
            WorkTask.Dig => Where(dig is not null, (TaskFigure.DigDepthMm, dig?.Depth.Millimetres), (TaskFigure.DigL, dig?.Bank.Litres)),
            WorkTask.CompactBase => Where(
                dig is { BaseDepth.Metres: > 0 }, (TaskFigure.BaseMm, dig?.BaseDepth.Millimetres), (TaskFigure.BaseLifts, dig?.Lifts), (TaskFigure.BaseKg, dig?.BaseMass.Kilograms)),
            WorkTask.SetOut => Where(true, (TaskFigure.StringAboveMm, build.StringMm), (TaskFigure.LowestCornerMm, built.CornersMm.DefaultIfEmpty(0).Max())),
            WorkTask.SetForms => Where(forms is not null, (TaskFigure.BoardsM, forms?.Boards.Boards.Sum(b => b.CutM) + forms?.Boards.Bends.Sum(b => b.CutM))),
            WorkTask.SpaceForms => Where(forms is { Ties: > 0 }, (TaskFigure.Ties, forms?.Ties)),
            WorkTask.CapEnds => Where(forms is { Profile: not null }, (TaskFigure.CapMm, forms?.Profile?.Height.Millimetres)),
            WorkTask.CheckSquare => Where(built.Diagonals.Length > 0, (TaskFigure.DiagonalM, built.Diagonals.Select(d => d.LengthM).DefaultIfEmpty(0).Max())),
            WorkTask.CutStakes => Where(forms is { StakeCount: > 0 }, (TaskFigure.Stakes, forms?.StakeCount)),
            WorkTask.BackfillForms => Where(forms is { StakeCount: > 0 }),
            WorkTask.TapeScrews => Where(forms is not null || mould is not null, (TaskFigure.Screws, mould?.Screws)),
            WorkTask.SetIsolation => Where(built.IsolationM + built.BondBreakerM > 0, (TaskFigure.IsolationM, built.IsolationM + built.BondBreakerM)),
            WorkTask.MaskNear => Where(built.IsolationM > 0 || traits.Section != SteelSection.Slab),
            WorkTask.LevelBench or WorkTask.WaxMould => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds)),
            WorkTask.CutMould or WorkTask.BendStrips => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds), (TaskFigure.Sheets, mould?.Sheets)),
            WorkTask.SealSeams => Where(mould is { SeamM: > 0 }, (TaskFigure.SeamM, mould?.SeamM), (TaskFigure.Cartridges, mould?.Cartridges)),
            WorkTask.OilForms or WorkTask.StripForms => Where(forms is not null || mould is not null),
            WorkTask.BuildRamp => Where(forms is not null),
            WorkTask.SetSteel => Where(
                steel.SheetCount > 0 || steel.BarM > 0 || steel.ScrimM2 > 0, (TaskFigure.MeshSheets, steel.SheetCount), (TaskFigure.BarsM, steel.BarM), (TaskFigure.Chairs, steel.Layout.Chairs),
                (TaskFigure.ScrimM2, steel.ScrimM2)),
            WorkTask.BoxCutOuts or WorkTask.CutBack => Where(element.Read.OpeningsFor(OpeningUse.CutOut).Any()),
            WorkTask.LookOver => Where(true, (TaskFigure.Inspections, LookedOver(elements).Count)),
            WorkTask.MeasureOut => Where(true, (TaskFigure.Batches, load?.Batches), (TaskFigure.Bags, load?.Bags)),
            WorkTask.Dampen => Where(traits.OnGround || traits.OnOldConcrete),
            // As it goes on the day: passes call hands away from the mixer.
            WorkTask.Pour => Where(
                true, (TaskFigure.VolumeL, load?.Sketch.Litres), (TaskFigure.Batches, load?.Batches), (TaskFigure.MixingMin, pour?.Day is { } day ? (day.Schedule.MixingEnds - day.Start).TotalMinutes : null)),
            WorkTask.PatchHoles => Where(true, (TaskFigure.HoldBackL, load?.HoldBackL)),
            WorkTask.Demould or WorkTask.SetInPlace => Where(true, (TaskFigure.Pieces, element.Cast.Count), (TaskFigure.PieceKg, element.PieceMass.Kilograms)),
            WorkTask.KeepWet => Where(true, (TaskFigure.WetDays, cure?.WetDays), (TaskFigure.RewetMin, cure?.RewetHours * 60)),
            WorkTask.GrindFace => Where(cure?.Milestones.Any(m => m.Milestone == Milestone.Grind) == true),
            WorkTask.BackfillSides => Where(dig is { GoesBack.Litres: > 0 }, (TaskFigure.BackfillL, dig?.GoesBack.Litres)),
            WorkTask.Coat => Where(cure is { Coats.Length: > 0 }, (TaskFigure.Coats, cure?.Coats.Length)),
            _ => Where(true),
        };
    }

    private static InspectionFacts Facts(ImmutableArray<ElementPlan> elements) => new()
    {
        Boards = elements.Any(e => e.Build!.Forms is not null),
        Stakes = elements.Any(e => e.Build!.Forms is { StakeCount: > 0 }),
        Falls = elements.Any(e => e.Fall is { Fall.Grade: > 0 }),
        Base = elements.Any(e => e.Build!.Dig is { BaseDepth.Metres: > 0 }),
        Ground = elements.Any(e => e.Build!.Dig is not null),
        Steel = elements.Any(e => e.Build!.Steel.Rusts),
        Scrim = elements.Any(e => e.Build!.Steel.School == SteelSchool.Scrim),
        Isolation = elements.Any(e => e.Build!.IsolationM > 0),
        BondBreaker = elements.Any(e => e.Build!.BondBreakerM > 0),
        Drain = elements.Any(e => e.Read.OpeningsFor(OpeningUse.Drain).Any()),
        Mould = elements.Any(e => e.Build!.Mould is not null),
        Overlay = elements.Any(e => e.Traits.OnOldConcrete),
    };

    private sealed record Entry(WorkTask Task, int? Element, string Of, ImmutableArray<TaskNumber> Numbers)
    {
        public TaskTraits Traits => TaskCatalogue.Of(Task);

        public string Key { get; } = JsonNamingPolicy.CamelCase.ConvertName(Task.ToString()) + (Of.Length == 0 ? "" : $":{Of}");
    }
}
