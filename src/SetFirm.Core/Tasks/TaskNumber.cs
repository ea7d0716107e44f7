namespace SetFirm.Core.Tasks;

/// <summary>Where a task stands.</summary>
public enum TaskState
{
    /// <summary>Something else is done first, or it is too early.</summary>
    Waits,
    Ready,
    Done,
}

/// <summary>A number of this job that belongs to a task; its unit ends its name, what has none is counted.</summary>
public enum TaskFigure
{
    StringAboveMm,
    LowestCornerMm,
    DigDepthMm,
    DigL,
    BaseMm,
    BaseLifts,
    BaseKg,
    BoardsM,
    Ties,
    CapMm,
    DiagonalM,
    Stakes,
    Screws,
    IsolationM,
    Sheets,
    Moulds,
    SeamM,
    Cartridges,
    BarsM,
    MeshSheets,
    Chairs,
    ScrimM2,
    Inspections,
    Batches,
    Bags,
    VolumeL,
    MixingMin,
    HoldBackL,
    Pieces,
    PieceKg,
    WetDays,
    RewetMin,
    Coats,
    BackfillL,
    AreaM2,
    PassesMin,
    GrindMin,
    CoatM2,
    LiftPeople,
    TopKg,

    /// <summary>What is brushed on takes fresh concrete so long.</summary>
    OpenMin,

    /// <summary>Joints that are made by hand are so deep.</summary>
    GrooveMm,

    /// <summary>Cracks in the old concrete.</summary>
    CracksM,

    /// <summary>Joints of the old concrete, repeated in what goes onto it.</summary>
    OldJointsM,
}

/// <summary>A number of a task.</summary>
/// <param name="Figure">Which.</param>
/// <param name="Value">In its unit.</param>
public sealed record TaskNumber(TaskFigure Figure, double Value);
