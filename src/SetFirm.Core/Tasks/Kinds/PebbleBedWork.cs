using System.Collections.Immutable;

namespace SetFirm.Core.Tasks.Kinds;

/// <summary>Pebbles set in a bed: the order of work. Source: site practice.</summary>
internal static class PebbleBedWork
{
    public static ImmutableArray<WorkTask> Order { get; } =
    [
        WorkTask.ReadRules, WorkTask.FindServices, WorkTask.ClearAway, WorkTask.SetOut, WorkTask.Dig, WorkTask.CompactBase, WorkTask.SetForms,
        WorkTask.CutStakes, WorkTask.TapeScrews, WorkTask.OilForms, WorkTask.SetIsolation, WorkTask.MaskNear, WorkTask.LayPlastic, WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.Pour,
        WorkTask.SetPebbles, WorkTask.WashFace, WorkTask.CleanTools, WorkTask.FenceOff, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.StripForms,
        WorkTask.BackfillSides, WorkTask.FirstWalk, WorkTask.Coat, WorkTask.FirstLoad, WorkTask.FirstWinter,
    ];
}
