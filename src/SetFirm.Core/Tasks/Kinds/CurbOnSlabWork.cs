using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>A kerb on an old slab: the order of work. Source: site practice.</summary>
internal static class CurbOnSlabWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.CleanOld, WorkTask.SetOut, WorkTask.SetForms, WorkTask.SpaceForms, WorkTask.CapEnds, WorkTask.TapeScrews, WorkTask.SetIsolation, WorkTask.MaskNear,
        WorkTask.SetSteel, WorkTask.OilForms, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.Pour, WorkTask.TapEdges,
        WorkTask.FinishPasses, WorkTask.CleanTools, WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.RubFace,
        WorkTask.PatchHoles, WorkTask.FirstWalk, WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
