using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>Footings cast as pieces: the order of work. Source: site practice.</summary>
internal static class FootingPieceWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.LevelBench, WorkTask.CutMould, WorkTask.SealSeams, WorkTask.TapeScrews, WorkTask.SetSteel, WorkTask.WaxMould,
        WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Pour, WorkTask.TapEdges, WorkTask.SetAnchors, WorkTask.FinishPasses, WorkTask.CleanTools,
        WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.Demould, WorkTask.PatchHoles, WorkTask.SetInPlace, WorkTask.FirstLoad,
    ];
}
