using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>A base and a topping, each a pour: the order of work. Source: site practice.</summary>
internal static class TwoCourseWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.FindServices, WorkTask.ClearAway, WorkTask.SetOut, WorkTask.Dig, WorkTask.CompactBase, WorkTask.SetForms,
        WorkTask.CheckSquare, WorkTask.CutStakes, WorkTask.TapeScrews, WorkTask.BackfillForms, WorkTask.SetIsolation, WorkTask.MaskNear, WorkTask.LayPlastic, WorkTask.SetSteel, WorkTask.OilForms,
        WorkTask.BuildRamp, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.BondCoat, WorkTask.Pour, WorkTask.RoughenBase, WorkTask.FinishPasses,
        WorkTask.CleanTools, WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms, WorkTask.PatchHoles, WorkTask.BackfillSides,
        WorkTask.FirstWalk, WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
