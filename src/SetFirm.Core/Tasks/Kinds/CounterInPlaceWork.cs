using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>A counter poured where it stays: the order of work. Source: site practice.</summary>
internal static class CounterInPlaceWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.CheckSupport, WorkTask.MakeDeck, WorkTask.LaySlipSheet, WorkTask.MaskNear, WorkTask.SetForms, WorkTask.BoxCutOuts, WorkTask.TapeScrews,
        WorkTask.SealSeams, WorkTask.SetSteel, WorkTask.OilForms, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Pour, WorkTask.TapEdges,
        WorkTask.FinishPasses, WorkTask.CleanTools, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.RubFace, WorkTask.PatchHoles, WorkTask.SoftenCorners,
        WorkTask.GrindFace, WorkTask.Coat, WorkTask.FirstLoad,
    ];
}
