using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>A kerb that stands on the ground: the order of work. Source: site practice.</summary>
internal static class CurbOnGroundWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.FindServices, WorkTask.ClearAway, WorkTask.SetOut, WorkTask.Dig, WorkTask.CompactBase, WorkTask.SetForms,
        WorkTask.SpaceForms, WorkTask.CapEnds, WorkTask.CutStakes, WorkTask.TapeScrews, WorkTask.SetIsolation, WorkTask.MaskNear, WorkTask.LayPlastic, WorkTask.SetSteel, WorkTask.OilForms,
        WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.Pour, WorkTask.TapEdges, WorkTask.FinishPasses, WorkTask.CleanTools,
        WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.RubFace, WorkTask.PatchHoles, WorkTask.BackfillSides,
        WorkTask.FirstWalk, WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
