using System.Collections.Immutable;
using SetFirm.Core.Events;

namespace SetFirm.Core.Mending;

/// <summary>Why it came.</summary>
public enum FaultCause
{
    FinishedInBleedWater,
    TooMuchWater,
    TooStiff,
    FrozenYoung,
    CureTooShort,
    DriedOut,
    ClosedTooEarly,
    BroomedTooEarly,
    BroomedTooLate,
    StrippedTooEarly,
    PulledOutward,
    NotTapped,
    DryForms,
    LeakingSeam,
    NoRelease,
    SharpEdge,
    DriedFasterThanBled,
    NoJointAtCorner,
    JointsTooFarApart,
    NoIsolation,
    NoSteel,
    WaitedBetweenBatches,
    UnevenWetting,
    NoFall,
    FormNotHeld,
    SealedTooSoon,
    RecoatMissed,
}

/// <summary>What to mend it with, from when it may be done.</summary>
public enum MendWith
{
    /// <summary>Hard enough to rub: brush off, wet, a hardener when it is dry.</summary>
    Harden,

    /// <summary>Into the stone: grind, or lay a thin topping.</summary>
    GrindOrTop,

    /// <summary>Kept mix pressed in while it is young.</summary>
    FillYoung,

    /// <summary>Patch of the same sand and cement, on a bond coat.</summary>
    PatchHard,

    /// <summary>Rub it with a stone.</summary>
    Rub,

    /// <summary>Seal it, or saw a joint beside it.</summary>
    FillCrack,

    /// <summary>Cast it again.</summary>
    CastAgain,

    /// <summary>Wash, and wait: most of it fades.</summary>
    Wait,

    /// <summary>Strip the coat, let it dry, coat anew.</summary>
    Recoat,

    /// <summary>At once: scrape, brace, fill.</summary>
    BraceNow,

    /// <summary>Damp it from above, dry below, or grind the lip.</summary>
    DampOrGrind,
}

/// <summary>What of the record speaks of a cause, and in which unit.</summary>
public enum FaultMeasure
{
    /// <summary>Minutes before the sheen was gone.</summary>
    BeforeSheenMin,

    /// <summary>Water over the most that the mix takes, per cent.</summary>
    WaterOverPct,

    /// <summary>Under the least.</summary>
    WaterUnderPct,

    /// <summary>Coldest that it was while young, °C under freezing.</summary>
    ColdC,

    /// <summary>Days of wetting under what is advised.</summary>
    WetDaysShort,

    /// <summary>Hours that it lay dry.</summary>
    DryH,

    /// <summary>Minutes before its window opened.</summary>
    BeforeWindowMin,

    /// <summary>Minutes after it closed.</summary>
    AfterWindowMin,

    /// <summary>Hours before it was strong enough.</summary>
    BeforeStrongH,

    /// <summary>A task of the order of work was not ticked, though others were.</summary>
    NotTicked,

    /// <summary>Hours that sealant had, under the day that it wants.</summary>
    SealantShortH,

    /// <summary>Drying over bleeding, above what a fresh face bears, kg/m2 an hour.</summary>
    DeficitKgM2H,

    /// <summary>Corners without a joint.</summary>
    OpenCorners,

    /// <summary>Panels over their length.</summary>
    LongPanels,

    /// <summary>Steel that does not fit, or is missing.</summary>
    SteelMissing,

    /// <summary>Minutes over the age at which the next batch still knits.</summary>
    JointOverMin,

    /// <summary>Fall under the least, per cent of grade.</summary>
    FallShortPct,

    /// <summary>Days before the label allows it.</summary>
    SealedEarlyDays,

    /// <summary>Hours after the recoat window.</summary>
    RecoatLateH,
}

/// <summary>What the record says of a cause.</summary>
/// <param name="Measure">What was looked at.</param>
/// <param name="Outside">By how much it lies outside, in the measure's unit; 0 or less lies inside; null where the record does not tell.</param>
/// <param name="Scale">So much outside is as likely as any other cause by its own: what measures in different units are weighed by.</param>
public readonly record struct Evidence(FaultMeasure Measure, double? Outside, double Scale)
{
    /// <summary>How far outside, in its scale; under zero inside; null where it is not known.</summary>
    public double? Weight => Outside / Scale;
}

/// <summary>Signs, their causes and what mends them. Source: handbooks of the trade, site practice.</summary>
public static class FaultCatalogue
{
    private static readonly ImmutableDictionary<FaultSign, (ImmutableArray<FaultCause> Causes, MendWith Mend)> All = new Dictionary<FaultSign, (ImmutableArray<FaultCause>, MendWith)>
    {
        [FaultSign.DustyFace] = ([FaultCause.FinishedInBleedWater, FaultCause.TooMuchWater, FaultCause.CureTooShort, FaultCause.DriedOut, FaultCause.FrozenYoung], MendWith.Harden),
        [FaultSign.Flaking] = ([FaultCause.FinishedInBleedWater, FaultCause.FrozenYoung, FaultCause.TooMuchWater], MendWith.GrindOrTop),
        [FaultSign.Blisters] = ([FaultCause.ClosedTooEarly], MendWith.GrindOrTop),
        [FaultSign.TornLines] = ([FaultCause.BroomedTooEarly], MendWith.GrindOrTop),
        [FaultSign.NoLines] = ([FaultCause.BroomedTooLate], MendWith.GrindOrTop),
        [FaultSign.Bulge] = ([FaultCause.FormNotHeld, FaultCause.StrippedTooEarly, FaultCause.PulledOutward], MendWith.Rub),
        [FaultSign.HolesInEdge] = ([FaultCause.NotTapped, FaultCause.TooStiff, FaultCause.LeakingSeam, FaultCause.DryForms], MendWith.FillYoung),
        [FaultSign.BugHoles] = ([FaultCause.NotTapped, FaultCause.TooStiff, FaultCause.NoRelease], MendWith.FillYoung),
        [FaultSign.StuckForm] = ([FaultCause.NoRelease, FaultCause.DryForms], MendWith.PatchHard),
        [FaultSign.ChippedEdge] = ([FaultCause.StrippedTooEarly, FaultCause.NoRelease, FaultCause.PulledOutward, FaultCause.SharpEdge], MendWith.PatchHard),
        [FaultSign.FineCracks] = ([FaultCause.DriedFasterThanBled, FaultCause.TooMuchWater], MendWith.FillCrack),
        [FaultSign.CornerCrack] = ([FaultCause.NoJointAtCorner, FaultCause.NoIsolation], MendWith.FillCrack),
        [FaultSign.CrackAcross] = ([FaultCause.JointsTooFarApart, FaultCause.NoIsolation, FaultCause.CureTooShort, FaultCause.DriedOut], MendWith.FillCrack),
        [FaultSign.Snapped] = ([FaultCause.NoSteel, FaultCause.StrippedTooEarly], MendWith.CastAgain),
        [FaultSign.SeamLine] = ([FaultCause.WaitedBetweenBatches], MendWith.PatchHard),
        [FaultSign.Blotches] = ([FaultCause.UnevenWetting, FaultCause.TooMuchWater], MendWith.Wait),
        [FaultSign.Puddle] = ([FaultCause.NoFall], MendWith.GrindOrTop),
        [FaultSign.BlowOut] = ([FaultCause.FormNotHeld], MendWith.BraceNow),
        [FaultSign.PeelingCoat] = ([FaultCause.SealedTooSoon, FaultCause.RecoatMissed], MendWith.Recoat),
        [FaultSign.CurledEdge] = ([FaultCause.DriedFasterThanBled, FaultCause.CureTooShort, FaultCause.DriedOut], MendWith.DampOrGrind),
    }.ToImmutableDictionary();

    public static ImmutableArray<FaultCause> CausesOf(FaultSign sign) => All[sign].Causes;

    public static MendWith MendOf(FaultSign sign) => All[sign].Mend;

    /// <summary>Likely ones first, by how far each lies outside; then those that the record does not tell of; then those that it speaks against.</summary>
    /// <param name="sign">What is seen.</param>
    /// <param name="evidence">What the record says of each.</param>
    public static ImmutableArray<(FaultCause Cause, Evidence Evidence)> Ranked(FaultSign sign, Func<FaultCause, Evidence> evidence)
    {
        ArgumentNullException.ThrowIfNull(evidence);
        return [.. CausesOf(sign).Select(c => (Cause: c, Evidence: evidence(c))).OrderBy(c => c.Evidence.Weight switch { > 0 => 0, null => 1, _ => 2 }).ThenByDescending(c => c.Evidence.Weight ?? 0)];
    }
}
