using System.Collections.Frozen;
using System.Collections.Immutable;

namespace SetFirm.Core.Tasks;

/// <summary>How long a task takes the people that it asks for, and how long before what follows it is begun.</summary>
/// <param name="Base">Minutes, whatever the job.</param>
/// <param name="Each">Minutes for one of a number of the job, in the unit of that number.</param>
/// <param name="LeadDays">Somebody else answers, or it dries: so many days go by after it.</param>
public sealed record TaskEffort(double Base, ImmutableArray<(TaskFigure Figure, double Minutes)> Each, int LeadDays = 0);

/// <summary>Minutes of tasks. Source: site practice of people who do this a few times a year; starting values (tune).</summary>
/// <remarks>What is told by the day or the cure, or is no work of its own (walking on it, the first frost), has none.</remarks>
public static class TaskEfforts
{
    /// <summary>Setting pebbles into a bed, one person, minutes to the square metre. Site practice (tune).</summary>
    public const double SetPebblesMinPerM2 = 60;

    private static readonly FrozenDictionary<WorkTask, TaskEffort> All = new Dictionary<WorkTask, TaskEffort>
    {
        [WorkTask.ReadRules] = Of(30, 7),
        [WorkTask.FindServices] = Of(45, 5),
        [WorkTask.ClearAway] = Of(60, (TaskFigure.AreaM2, 5)),
        [WorkTask.CleanOld] = Of(30, (TaskFigure.AreaM2, 6)),
        [WorkTask.PlanCracks] = Of(10, (TaskFigure.CracksM, 6), (TaskFigure.OldJointsM, 2)),
        [WorkTask.CheckSupport] = Of(30),
        [WorkTask.SetOut] = Of(45),
        // Two people with shovels and a barrow: two thirds of a cubic metre an hour.
        [WorkTask.Dig] = Of(15, (TaskFigure.DigL, 0.09)),
        [WorkTask.CompactBase] = Of(30, (TaskFigure.BaseKg, 0.05)),
        [WorkTask.LevelBench] = Of(15),
        [WorkTask.MakeDeck] = Of(60, (TaskFigure.AreaM2, 60)),
        [WorkTask.LaySlipSheet] = Of(5, (TaskFigure.AreaM2, 2)),
        [WorkTask.CutMould] = Of(15, (TaskFigure.Moulds, 15), (TaskFigure.Screws, 1)),
        [WorkTask.BendStrips] = Of(15, (TaskFigure.Moulds, 40)),
        [WorkTask.SetForms] = Of(30, (TaskFigure.BoardsM, 8), (TaskFigure.Sheets, 60)),
        [WorkTask.SpaceForms] = Of(5, (TaskFigure.Ties, 3)),
        [WorkTask.CapEnds] = Of(15),
        [WorkTask.CheckSquare] = Of(20),
        [WorkTask.CutStakes] = Of(5, (TaskFigure.Stakes, 1.5)),
        [WorkTask.BoxCutOuts] = Of(45),
        [WorkTask.TapeScrews] = Of(3, (TaskFigure.Screws, 0.25)),
        [WorkTask.BackfillForms] = Of(20),
        [WorkTask.SetIsolation] = Of(10, (TaskFigure.IsolationM, 3)),
        [WorkTask.MaskNear] = Of(10, (TaskFigure.AreaM2, 3)),
        [WorkTask.LayPlastic] = Of(10, (TaskFigure.AreaM2, 1)),
        [WorkTask.SealSeams] = Of(10, (TaskFigure.SeamM, 4)),
        [WorkTask.SetSteel] = Of(10, (TaskFigure.MeshSheets, 20), (TaskFigure.BarsM, 2), (TaskFigure.ScrimM2, 4), (TaskFigure.Chairs, 0.5)),
        [WorkTask.OilForms] = Of(5, (TaskFigure.BoardsM, 0.75)),
        [WorkTask.WaxMould] = Of(5, (TaskFigure.Moulds, 8)),
        [WorkTask.BuildRamp] = Of(30),
        [WorkTask.LookOver] = Of(5, (TaskFigure.Inspections, 2)),
        [WorkTask.MeasureOut] = Of(5, (TaskFigure.Batches, 3)),
        [WorkTask.Dampen] = Of(10),
        [WorkTask.BondCoat] = Of(5, (TaskFigure.AreaM2, 2)),
        [WorkTask.Pour] = Of(0, (TaskFigure.MixingMin, 1)),
        [WorkTask.RoughenBase] = Of(15),
        [WorkTask.SetAnchors] = Of(15),
        [WorkTask.SetPebbles] = Of(10, (TaskFigure.AreaM2, SetPebblesMinPerM2 / TaskCatalogue.Of(WorkTask.SetPebbles).People)),
        [WorkTask.FinishPasses] = Of(0, (TaskFigure.PassesMin, 1)),
        [WorkTask.WashFace] = Of(20, (TaskFigure.AreaM2, 15)),
        [WorkTask.CleanTools] = Of(10, (TaskFigure.Batches, 1)),
        [WorkTask.FenceOff] = Of(20),
        [WorkTask.CoverIt] = Of(10, (TaskFigure.AreaM2, 1)),
        [WorkTask.StripForms] = Of(10, (TaskFigure.BoardsM, 3)),
        [WorkTask.RubFace] = Of(15, (TaskFigure.AreaM2, 20)),
        [WorkTask.Demould] = Of(10, (TaskFigure.Pieces, 12)),
        [WorkTask.PatchHoles] = Of(10, (TaskFigure.HoldBackL, 4)),
        [WorkTask.SoftenCorners] = Of(15, (TaskFigure.Pieces, 5)),
        [WorkTask.GrindFace] = Of(20, (TaskFigure.GrindMin, 1)),
        [WorkTask.BackfillSides] = Of(15, (TaskFigure.BackfillL, 0.12)),
        [WorkTask.Coat] = Of(15, (TaskFigure.CoatM2, 1 / AfterCare.CoatM2PerMin)),
        [WorkTask.SetInPlace] = Of(20, (TaskFigure.Pieces, 25)),
    }.ToFrozenDictionary();

    /// <summary>Null where it is no work of its own.</summary>
    public static TaskEffort? Of(WorkTask task) => All.GetValueOrDefault(task);

    /// <param name="task">Which.</param>
    /// <param name="numbers">Of this job.</param>
    /// <returns>Minutes for the people that it asks for; null where it is no work of its own.</returns>
    public static double? Minutes(WorkTask task, ImmutableArray<TaskNumber> numbers) =>
        Of(task) is { } effort && effort.Base + effort.Each.Sum(e => e.Minutes * numbers.Where(n => n.Figure == e.Figure).Sum(n => n.Value)) is > 0 and var minutes ? minutes : null;

    private static TaskEffort Of(double minutes, params ReadOnlySpan<(TaskFigure, double)> each) => new(minutes, [.. each]);

    private static TaskEffort Of(double minutes, int leadDays) => new(minutes, [], leadDays);
}
