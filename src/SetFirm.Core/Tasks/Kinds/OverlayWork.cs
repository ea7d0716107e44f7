using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>A skim or an overlay on old concrete: the order of work. Source: site practice.</summary>
internal static class OverlayWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.CleanOld, WorkTask.PlanCracks, WorkTask.MaskNear, WorkTask.SetForms, WorkTask.CheckSquare, WorkTask.CutStakes,
        WorkTask.TapeScrews, WorkTask.SetIsolation, WorkTask.OilForms, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.BondCoat, WorkTask.Pour, WorkTask.FinishPasses,
        WorkTask.CleanTools, WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.PatchHoles, WorkTask.FirstWalk,
        WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
