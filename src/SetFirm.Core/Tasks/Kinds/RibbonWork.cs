using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>Ribbons between bent strips: the order of work. Source: site practice.</summary>
internal static class RibbonWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.LevelBench, WorkTask.BendStrips, WorkTask.SealSeams, WorkTask.SetSteel, WorkTask.WaxMould, WorkTask.LookOver,
        WorkTask.MeasureOut, WorkTask.Pour, WorkTask.TapEdges, WorkTask.FinishPasses, WorkTask.CleanTools, WorkTask.CoverIt, WorkTask.KeepWet,
        WorkTask.Demould, WorkTask.PatchHoles, WorkTask.SoftenCorners, WorkTask.Coat, WorkTask.SetInPlace, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
