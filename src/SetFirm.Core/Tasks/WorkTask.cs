using System.Collections.Immutable;

namespace SetFirm.Core.Tasks;

/// <summary>When in a job a task is done.</summary>
public enum TaskPhase
{
    Ground,
    Build,
    Stage,
    PourDay,
    Keep,
    After,
}

/// <summary>Something to hold in the hand.</summary>
public enum Gear
{
    Barrow,
    Broom,
    Buckets,
    BullFloat,
    CartridgeGun,
    Cloth,
    Compactor,
    Cutter,
    Drill,
    DustMask,
    Edger,
    HandFloat,
    Grinder,
    Groover,
    Hammer,
    HammerDrill,
    Hoe,
    Hose,
    JointSaw,
    Kneeboards,
    Knife,
    Level,
    LiftingStraps,
    Mallet,
    MarginTrowel,
    Mixer,
    Paddle,
    PressureWasher,
    PryBar,
    PullHook,
    Rake,
    Rod,
    Roller,
    Sander,
    SandingBlock,
    Saw,
    Scales,
    Scraper,
    Shovel,
    SledgeHammer,
    Sponge,
    Sprayer,
    StrikeBoard,
    StringLine,
    Tape,
    TieTool,
    TinSnips,
    Trestles,
    Trowel,
    Tub,
    Wedges,
    WireBrush,
}

/// <summary>A mistake that many make once.</summary>
public enum CommonMistake
{
    /// <summary>Cut as it will be seen, cast face down: left is right.</summary>
    MouldNotMirrored,

    /// <summary>Boards set to the outside of the pour: all of it comes out too small.</summary>
    FormToTheOutside,

    /// <summary>Spacers at the top of the form: the edger rides over them.</summary>
    SpacersUnderEdger,

    /// <summary>A stake above the board: the strike board rides over it.</summary>
    StakesAboveBoard,

    /// <summary>Screw heads full of mortar: the form cannot be taken apart.</summary>
    ScrewsFilled,

    /// <summary>Sealant still wet, or none: paste leaks and leaves honeycomb.</summary>
    SeamsNotSealedADayBefore,

    /// <summary>Nothing between form and concrete: it sticks and chips.</summary>
    NoRelease,

    /// <summary>A board pulled outward: the edge goes with it.</summary>
    StrippingOutward,

    /// <summary>A bar against the piece: the edge chips.</summary>
    PryingAgainstThePiece,

    /// <summary>Sealed while water is still in it: it peels and whitens.</summary>
    SealingTooSoon,
}

/// <summary>A task, whatever kind of work it belongs to.</summary>
public enum WorkTask
{
    ReadRules,
    FindServices,
    ClearAway,
    CleanOld,
    PlanCracks,
    CheckSupport,
    SetOut,
    Dig,
    CompactBase,
    LevelBench,
    MakeDeck,
    LaySlipSheet,
    CutMould,
    BendStrips,
    SetForms,
    SpaceForms,
    CapEnds,
    CheckSquare,
    CutStakes,
    BoxCutOuts,
    TapeScrews,
    BackfillForms,
    SetIsolation,
    MaskNear,
    LayPlastic,
    SealSeams,
    SetSteel,
    OilForms,
    WaxMould,
    BuildRamp,
    LookOver,
    MeasureOut,
    Dampen,
    BondCoat,
    Pour,
    RoughenBase,
    TapEdges,
    SetAnchors,
    SetPebbles,
    FinishPasses,
    WashFace,
    CleanTools,
    FenceOff,
    CoverIt,
    KeepWet,
    StripForms,
    RubFace,
    Demould,
    PatchHoles,
    SoftenCorners,
    GrindFace,
    BackfillSides,
    FirstWalk,
    Coat,
    SetInPlace,
    FirstLoad,
    FirstWinter,
}

/// <summary>What is true of a task in every kind of work.</summary>
/// <param name="Phase">When.</param>
/// <param name="People">That it takes.</param>
/// <param name="Once">For the whole job, not for each element.</param>
/// <param name="Needs">What must be done before, where the work has it.</param>
/// <param name="Gear">To have at hand.</param>
/// <param name="Meets">The mistake that it keeps off.</param>
public sealed record TaskTraits(TaskPhase Phase, int People, bool Once, ImmutableArray<WorkTask> Needs, ImmutableArray<Gear> Gear, CommonMistake? Meets = null)
{
    /// <summary>Of what is cast again and again, done anew for each casting.</summary>
    public bool EachCasting { get; init; }

    /// <summary>It waits for all work of the phases before, whatever that is.</summary>
    public bool AfterAll { get; init; }
}

/// <summary>Each task, once. Source: site practice.</summary>
public static class TaskCatalogue
{
    private static readonly ImmutableArray<TaskTraits> All = InOrder(new Dictionary<WorkTask, TaskTraits>
    {
        [WorkTask.ReadRules] = new(TaskPhase.Ground, 1, true, [], []),
        [WorkTask.FindServices] = new(TaskPhase.Ground, 1, true, [], []),
        [WorkTask.ClearAway] = new(TaskPhase.Ground, 1, true, [WorkTask.FindServices], [Tasks.Gear.Shovel, Tasks.Gear.Barrow]),
        [WorkTask.CleanOld] = new(TaskPhase.Ground, 1, false, [], [Tasks.Gear.WireBrush, Tasks.Gear.PressureWasher]),
        [WorkTask.PlanCracks] = new(TaskPhase.Ground, 1, false, [WorkTask.CleanOld], [Tasks.Gear.WireBrush, Tasks.Gear.CartridgeGun]),
        [WorkTask.CheckSupport] = new(TaskPhase.Ground, 1, false, [WorkTask.ReadRules], [Tasks.Gear.Level]),
        [WorkTask.SetOut] = new(TaskPhase.Ground, 2, false, [WorkTask.ClearAway, WorkTask.CleanOld], [Tasks.Gear.StringLine, Tasks.Gear.Tape, Tasks.Gear.Level]),
        [WorkTask.Dig] = new(TaskPhase.Ground, 2, false, [WorkTask.FindServices, WorkTask.SetOut], [Tasks.Gear.Shovel, Tasks.Gear.Barrow]),
        [WorkTask.CompactBase] = new(TaskPhase.Ground, 1, false, [WorkTask.Dig], [Tasks.Gear.Compactor, Tasks.Gear.Rake]),
        [WorkTask.LevelBench] = new(TaskPhase.Build, 1, false, [], [Tasks.Gear.Level, Tasks.Gear.Trestles]),
        [WorkTask.MakeDeck] = new(TaskPhase.Build, 1, false, [WorkTask.CheckSupport], [Tasks.Gear.Drill, Tasks.Gear.Saw]),
        [WorkTask.LaySlipSheet] = new(TaskPhase.Build, 1, false, [WorkTask.MakeDeck], [Tasks.Gear.Knife]),
        [WorkTask.CutMould] = new(TaskPhase.Build, 1, false, [WorkTask.LevelBench], [Tasks.Gear.Saw, Tasks.Gear.Drill], CommonMistake.MouldNotMirrored),
        [WorkTask.BendStrips] = new(TaskPhase.Build, 2, false, [WorkTask.LevelBench], [Tasks.Gear.TinSnips, Tasks.Gear.Hammer]),
        [WorkTask.SetForms] = new(TaskPhase.Build, 2, false, [WorkTask.SetOut, WorkTask.CompactBase, WorkTask.MakeDeck, WorkTask.LaySlipSheet], [Tasks.Gear.Saw, Tasks.Gear.Drill, Tasks.Gear.SledgeHammer, Tasks.Gear.Level], CommonMistake.FormToTheOutside),
        [WorkTask.SpaceForms] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms], [Tasks.Gear.Saw], CommonMistake.SpacersUnderEdger),
        [WorkTask.CapEnds] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms], [Tasks.Gear.Saw]),
        [WorkTask.CheckSquare] = new(TaskPhase.Build, 2, false, [WorkTask.SetForms], [Tasks.Gear.Tape]),
        [WorkTask.CutStakes] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms, WorkTask.CheckSquare], [Tasks.Gear.Saw], CommonMistake.StakesAboveBoard),
        [WorkTask.BoxCutOuts] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms], [Tasks.Gear.Saw, Tasks.Gear.Drill]),
        [WorkTask.TapeScrews] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms, WorkTask.CutMould, WorkTask.BendStrips], [], CommonMistake.ScrewsFilled),
        [WorkTask.BackfillForms] = new(TaskPhase.Build, 1, false, [WorkTask.CutStakes], [Tasks.Gear.Shovel]),
        [WorkTask.SetIsolation] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms], [Tasks.Gear.Knife]),
        [WorkTask.MaskNear] = new(TaskPhase.Build, 1, false, [], [Tasks.Gear.Knife]),
        [WorkTask.LayPlastic] = new(TaskPhase.Build, 2, false, [WorkTask.CompactBase, WorkTask.Dig, WorkTask.SetForms], [Tasks.Gear.Knife]),
        [WorkTask.SealSeams] = new(TaskPhase.Build, 1, false, [WorkTask.CutMould, WorkTask.BendStrips, WorkTask.SetForms, WorkTask.BoxCutOuts], [Tasks.Gear.CartridgeGun], CommonMistake.SeamsNotSealedADayBefore),
        [WorkTask.SetSteel] = new(TaskPhase.Build, 2, false, [WorkTask.SetForms, WorkTask.CutMould, WorkTask.BendStrips, WorkTask.Dig, WorkTask.SpaceForms, WorkTask.LayPlastic], [Tasks.Gear.Cutter, Tasks.Gear.TieTool]) { EachCasting = true },
        [WorkTask.OilForms] = new(TaskPhase.Build, 1, false, [WorkTask.SetForms, WorkTask.SealSeams], [Tasks.Gear.Sprayer], CommonMistake.NoRelease),
        [WorkTask.WaxMould] = new(TaskPhase.Build, 1, false, [WorkTask.CutMould, WorkTask.BendStrips, WorkTask.SealSeams], [Tasks.Gear.Cloth], CommonMistake.NoRelease) { EachCasting = true },
        [WorkTask.BuildRamp] = new(TaskPhase.Build, 1, true, [WorkTask.SetForms], [Tasks.Gear.Barrow]),
        [WorkTask.LookOver] = new(TaskPhase.Stage, 1, true, [], [Tasks.Gear.Level, Tasks.Gear.Tape]) { AfterAll = true },
        [WorkTask.MeasureOut] = new(TaskPhase.Stage, 1, true, [WorkTask.LookOver], [Tasks.Gear.Buckets, Tasks.Gear.Scales]),
        [WorkTask.Dampen] = new(TaskPhase.Stage, 1, true, [WorkTask.LookOver], [Tasks.Gear.Hose]),
        [WorkTask.BondCoat] = new(TaskPhase.PourDay, 1, false, [WorkTask.Dampen], [Tasks.Gear.Buckets, Tasks.Gear.Broom]),
        [WorkTask.Pour] = new(TaskPhase.PourDay, 2, true, [WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Dampen, WorkTask.BondCoat], [Tasks.Gear.Mixer, Tasks.Gear.Barrow, Tasks.Gear.StrikeBoard, Tasks.Gear.Rake]),
        [WorkTask.RoughenBase] = new(TaskPhase.PourDay, 1, false, [WorkTask.Pour], [Tasks.Gear.Broom]),
        [WorkTask.TapEdges] = new(TaskPhase.PourDay, 1, false, [WorkTask.Pour], [Tasks.Gear.Mallet]),
        [WorkTask.SetAnchors] = new(TaskPhase.PourDay, 1, false, [WorkTask.Pour], [Tasks.Gear.Level]),
        [WorkTask.SetPebbles] = new(TaskPhase.PourDay, 2, false, [WorkTask.Pour], [Tasks.Gear.Mallet, Tasks.Gear.Kneeboards]),
        [WorkTask.FinishPasses] = new(TaskPhase.PourDay, 2, true, [WorkTask.Pour, WorkTask.TapEdges, WorkTask.SetAnchors], [Tasks.Gear.HandFloat, Tasks.Gear.Edger, Tasks.Gear.Kneeboards, Tasks.Gear.Trowel, Tasks.Gear.Broom]),
        [WorkTask.WashFace] = new(TaskPhase.PourDay, 1, false, [WorkTask.SetPebbles], [Tasks.Gear.Sprayer, Tasks.Gear.Sponge]),
        [WorkTask.CleanTools] = new(TaskPhase.PourDay, 1, true, [WorkTask.Pour], [Tasks.Gear.Buckets, Tasks.Gear.Scraper]),
        [WorkTask.FenceOff] = new(TaskPhase.Keep, 1, true, [WorkTask.Pour], [Tasks.Gear.Tape]),
        [WorkTask.CoverIt] = new(TaskPhase.Keep, 1, true, [WorkTask.FinishPasses, WorkTask.WashFace], []),
        [WorkTask.KeepWet] = new(TaskPhase.Keep, 1, true, [WorkTask.CoverIt], [Tasks.Gear.Hose]),
        [WorkTask.StripForms] = new(TaskPhase.After, 1, false, [WorkTask.Pour, WorkTask.FinishPasses], [Tasks.Gear.Hammer, Tasks.Gear.PryBar], CommonMistake.StrippingOutward),
        [WorkTask.RubFace] = new(TaskPhase.After, 1, false, [WorkTask.StripForms], [Tasks.Gear.HandFloat]),
        [WorkTask.Demould] = new(TaskPhase.After, 2, false, [WorkTask.Pour, WorkTask.FinishPasses], [Tasks.Gear.Mallet, Tasks.Gear.Wedges], CommonMistake.PryingAgainstThePiece),
        [WorkTask.PatchHoles] = new(TaskPhase.After, 1, false, [WorkTask.StripForms, WorkTask.Demould, WorkTask.Pour], [Tasks.Gear.Trowel]),
        [WorkTask.SoftenCorners] = new(TaskPhase.After, 1, false, [WorkTask.StripForms, WorkTask.Demould], [Tasks.Gear.SandingBlock]),
        [WorkTask.GrindFace] = new(TaskPhase.After, 1, false, [WorkTask.StripForms, WorkTask.Demould, WorkTask.PatchHoles], [Tasks.Gear.Grinder, Tasks.Gear.DustMask]),
        [WorkTask.BackfillSides] = new(TaskPhase.After, 1, false, [WorkTask.StripForms, WorkTask.Pour], [Tasks.Gear.Shovel]),
        [WorkTask.FirstWalk] = new(TaskPhase.After, 1, true, [WorkTask.Pour], []),
        [WorkTask.Coat] = new(TaskPhase.After, 1, true, [WorkTask.KeepWet, WorkTask.PatchHoles, WorkTask.GrindFace], [Tasks.Gear.Roller], CommonMistake.SealingTooSoon),
        [WorkTask.SetInPlace] = new(TaskPhase.After, 2, false, [WorkTask.Demould, WorkTask.PatchHoles, WorkTask.SoftenCorners, WorkTask.GrindFace, WorkTask.Coat], [Tasks.Gear.LiftingStraps, Tasks.Gear.Level]),
        [WorkTask.FirstLoad] = new(TaskPhase.After, 1, false, [WorkTask.Pour, WorkTask.StripForms, WorkTask.Demould, WorkTask.PatchHoles, WorkTask.SoftenCorners, WorkTask.GrindFace, WorkTask.FirstWalk, WorkTask.SetInPlace], []),
        [WorkTask.FirstWinter] = new(TaskPhase.After, 1, true, [WorkTask.Pour], []),
    });

    public static TaskTraits Of(WorkTask task) => All[(int)task];

    // It is asked for at every turn.
    private static ImmutableArray<TaskTraits> InOrder(Dictionary<WorkTask, TaskTraits> all) => [.. Enum.GetValues<WorkTask>().Select(t => all[t])];
}
