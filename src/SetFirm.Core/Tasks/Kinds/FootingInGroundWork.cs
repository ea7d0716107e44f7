using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>Footings and piers cast in the ground: the order of work. Source: site practice.</summary>
internal static class FootingInGroundWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.FindServices, WorkTask.ClearAway, WorkTask.SetOut, WorkTask.Dig, WorkTask.LayPlastic, WorkTask.SetSteel, WorkTask.LookOver,
        WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.Pour, WorkTask.SetAnchors, WorkTask.FinishPasses, WorkTask.CleanTools, WorkTask.FenceOff,
        WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.BackfillSides, WorkTask.FirstLoad,
    ];
}
