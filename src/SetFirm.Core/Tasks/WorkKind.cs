using System.Collections.Immutable;
using SetFirm.Core.Tasks.Kinds;

namespace SetFirm.Core.Tasks;

/// <summary>A kind of work: what is done before and after the pour differs for each.</summary>
public enum WorkKind
{
    /// <summary>Slab, patio, pad.</summary>
    Slab,

    /// <summary>A way to walk.</summary>
    Walk,

    /// <summary>Cars stand on it.</summary>
    Drive,

    /// <summary>A base and a topping, each a pour.</summary>
    TwoCourse,

    /// <summary>A skim or an overlay on old concrete.</summary>
    Overlay,

    /// <summary>Pebbles set in a bed.</summary>
    PebbleBed,

    /// <summary>A border or mowing strip.</summary>
    Border,

    /// <summary>A kerb that stands on the ground.</summary>
    CurbOnGround,

    /// <summary>A kerb on an old slab.</summary>
    CurbOnSlab,

    /// <summary>Treads, cast to be set.</summary>
    Tread,

    /// <summary>Blocks.</summary>
    Block,

    /// <summary>Stepping stones.</summary>
    Stone,

    /// <summary>Pavers.</summary>
    Paver,

    /// <summary>Copings and caps cast to a profile.</summary>
    Coping,

    /// <summary>Ribbons between bent strips.</summary>
    Ribbon,

    /// <summary>A counter poured where it stays.</summary>
    CounterInPlace,

    /// <summary>A top cast face down.</summary>
    CounterFaceDown,

    /// <summary>Footings and piers cast in the ground.</summary>
    FootingInGround,

    /// <summary>Footings cast as pieces.</summary>
    FootingPiece,
}

/// <summary>The order of work of each kind; it lives in the file of the kind.</summary>
public static class WorkOrders
{
    public static ImmutableArray<WorkTask> Of(WorkKind kind) => kind switch
    {
        WorkKind.Slab => SlabWork.Order,
        WorkKind.Walk => WalkWork.Order,
        WorkKind.Drive => DriveWork.Order,
        WorkKind.TwoCourse => TwoCourseWork.Order,
        WorkKind.Overlay => OverlayWork.Order,
        WorkKind.PebbleBed => PebbleBedWork.Order,
        WorkKind.Border => BorderWork.Order,
        WorkKind.CurbOnGround => CurbOnGroundWork.Order,
        WorkKind.CurbOnSlab => CurbOnSlabWork.Order,
        WorkKind.Tread => TreadWork.Order,
        WorkKind.Block => BlockWork.Order,
        WorkKind.Stone => StoneWork.Order,
        WorkKind.Paver => PaverWork.Order,
        WorkKind.Coping => CopingWork.Order,
        WorkKind.Ribbon => RibbonWork.Order,
        WorkKind.CounterInPlace => CounterInPlaceWork.Order,
        WorkKind.CounterFaceDown => CounterFaceDownWork.Order,
        WorkKind.FootingInGround => FootingInGroundWork.Order,
        WorkKind.FootingPiece => FootingPieceWork.Order,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
