namespace SetFirm.Core.Tasks;

/// <summary>Where people who do this well differ.</summary>
public enum Practice
{
    /// <summary>Two or three days, a week, or four.</summary>
    KeepWetDays,

    /// <summary>By the hose, under cloth, under plastic, or sealed in.</summary>
    KeepWetBy,

    /// <summary>What is in it against cracks.</summary>
    Steel,

    /// <summary>Stone under it, or none.</summary>
    Base,

    /// <summary>The least, the middle or the most of what the bag allows.</summary>
    WaterToBag,

    /// <summary>Turned out after one day, or later.</summary>
    MouldDays,

    /// <summary>Sealed by the label, after a week, or after four.</summary>
    SealAfterDays,
}

/// <summary>Which task a practice belongs to.</summary>
public static class Practices
{
    public static WorkTask TaskOf(Practice practice) => practice switch
    {
        Practice.KeepWetDays => WorkTask.KeepWet,
        Practice.KeepWetBy => WorkTask.CoverIt,
        Practice.Steel => WorkTask.SetSteel,
        Practice.Base => WorkTask.Dig,
        Practice.WaterToBag => WorkTask.MeasureOut,
        Practice.MouldDays => WorkTask.Demould,
        Practice.SealAfterDays => WorkTask.Coat,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
