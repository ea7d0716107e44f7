namespace SetFirm.Core.Events;

/// <summary>What one sees, as a friend would say it.</summary>
public enum FaultSign
{
    DustyFace,
    Flaking,
    Blisters,

    /// <summary>The broom tore the face.</summary>
    TornLines,

    /// <summary>It left no lines.</summary>
    NoLines,
    Bulge,

    /// <summary>Hollows between stones.</summary>
    HolesInEdge,

    /// <summary>Round, small.</summary>
    BugHoles,
    StuckForm,
    ChippedEdge,

    /// <summary>Many, side by side.</summary>
    FineCracks,
    CornerCrack,
    CrackAcross,

    /// <summary>A long cast broke.</summary>
    Snapped,

    /// <summary>A line where two batches met.</summary>
    SeamLine,
    Blotches,
    Puddle,

    /// <summary>The form gave way.</summary>
    BlowOut,
    PeelingCoat,
    CurledEdge,
}
