using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>Cars stand on it: the order of work. Source: site practice.</summary>
internal static class DriveWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.FindServices, WorkTask.ClearAway, WorkTask.SetOut, WorkTask.Dig, WorkTask.CompactBase, WorkTask.SetForms,
        WorkTask.CheckSquare, WorkTask.CutStakes, WorkTask.TapeScrews, WorkTask.BackfillForms, WorkTask.SetIsolation, WorkTask.MaskNear, WorkTask.LayPlastic, WorkTask.SetSteel, WorkTask.OilForms,
        WorkTask.BuildRamp, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.Pour, WorkTask.FinishPasses, WorkTask.CleanTools,
        WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.PatchHoles, WorkTask.BackfillSides, WorkTask.FirstWalk,
        WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
