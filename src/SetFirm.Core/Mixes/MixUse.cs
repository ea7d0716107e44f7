using System.Collections.Immutable;

namespace SetFirm.Core.Mixes;

/// <summary>What concrete is used for, as far as its mix goes.</summary>
public enum MixUse
{
    Footing,
    Slab,

    /// <summary>A slab that cars stand on.</summary>
    Drive,

    /// <summary>Curbs, blocks, treads: worn edges.</summary>
    Curb,

    /// <summary>A border beside a bed or a lawn.</summary>
    Border,

    /// <summary>A paver or stone in a mould.</summary>
    Moulded,

    /// <summary>A bed under pebbles.</summary>
    PebbleBed,

    /// <summary>A skim over old concrete.</summary>
    Skim,
    Counter,
}

/// <summary>How one part of a way of mixing by parts is called; each is a school with its own reasons.</summary>
public enum PartsSchool
{
    OneTwoThree,
    OneFourBallast,
    OneTwoFour,
    OneSixBallast,
    LeanSplit,
    RichSplit,
    RichBallast,
    FineSand,
    SandBed,
    PolymerSand,
}

/// <summary>A mix by parts that is usual for a use.</summary>
public sealed record UsualParts(PartsSchool School, Parts Parts, double StoneMm, Consistency Consistency);

/// <summary>What the concrete has to be.</summary>
/// <param name="LeastMpa">At 28 days; 0 asks none.</param>
/// <param name="MostWaterCement">By mass; null where nothing limits it.</param>
/// <param name="AirShare">0-1 of the volume; 0 asks none.</param>
/// <param name="MostStoneMm">A third of the thinnest section.</param>
/// <param name="ThinnestMm">The thinnest section.</param>
/// <param name="ThickestMm">The thickest.</param>
/// <param name="Stiffest">Consistency it wants at the stiffest.</param>
/// <param name="Softest">And at the softest.</param>
public sealed record MixDemand(
    double LeastMpa, double? MostWaterCement, double AirShare, double MostStoneMm, double ThinnestMm, double ThickestMm, Consistency Stiffest, Consistency Softest);

/// <summary>What a use asks of its mix, and the ways to get it by parts. Source: site practice; ACI 318 for exposure, ACI 211.1 for stone.</summary>
public static class MixUses
{
    /// <summary>Stone may be this share of the thickness. ACI 211.1.</summary>
    public const double StoneShareOfThickness = 1.0 / 3;

    /// <summary>Strength that a use aims at, MPa at 28 days; 0 aims at none.</summary>
    public static double LeastMpa(MixUse use) => use switch
    {
        MixUse.Footing => 15,
        MixUse.Slab or MixUse.Moulded or MixUse.Border => 20,
        MixUse.Drive => 25,
        MixUse.Curb => 30,
        MixUse.Counter => 40,
        MixUse.Skim or MixUse.PebbleBed => 0,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    public static (Consistency Stiffest, Consistency Softest) Consistency(MixUse use) => use switch
    {
        MixUse.Slab or MixUse.Drive => (Mixes.Consistency.Plastic, Mixes.Consistency.Plastic),
        MixUse.Footing or MixUse.Curb or MixUse.Border => (Mixes.Consistency.Stiff, Mixes.Consistency.Plastic),
        MixUse.Skim => (Mixes.Consistency.Soft, Mixes.Consistency.Soft),
        MixUse.Counter or MixUse.Moulded => (Mixes.Consistency.Soft, Mixes.Consistency.Pouring),
        MixUse.PebbleBed => (Mixes.Consistency.Balling, Mixes.Consistency.Balling),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>What uses poured of one mix ask together, with or without steel, with sections from the thinnest to the thickest, mm.</summary>
    public static MixDemand Demand(IReadOnlyCollection<MixUse> uses, Exposure exposure, bool steel, double thinnestMm, double thickestMm)
    {
        ArgumentNullException.ThrowIfNull(uses);
        var stone = thinnestMm * StoneShareOfThickness;
        var limits = ExposureLimits.Of(exposure, stone, steel);
        var moves = uses.Select(Consistency).ToArray();
        return new MixDemand(
            Math.Max(uses.Max(LeastMpa), limits.LeastMpa), limits.MostWaterCement, limits.AirShare, stone, thinnestMm, thickestMm, moves.Min(m => m.Stiffest), moves.Max(m => m.Softest));
    }

    /// <summary>The schools, the one that is proposed first.</summary>
    public static ImmutableArray<UsualParts> Ways(MixUse use) => use switch
    {
        MixUse.Footing => [AllIn(PartsSchool.OneSixBallast, 1, 6, Mixes.Consistency.Stiff), Split(PartsSchool.LeanSplit, 2.5, 4, 20, Mixes.Consistency.Stiff)],
        MixUse.Slab or MixUse.Drive =>
        [
            Split(PartsSchool.OneTwoThree, 2, 3, 20, Mixes.Consistency.Plastic),
            AllIn(PartsSchool.OneFourBallast, 1, 4, Mixes.Consistency.Plastic),
            Split(PartsSchool.OneTwoFour, 2, 4, 20, Mixes.Consistency.Stiff),
        ],
        MixUse.Curb or MixUse.Border =>
        [
            Split(PartsSchool.RichSplit, 2, 2, 10, Mixes.Consistency.Stiff),
            AllIn(PartsSchool.RichBallast, 1.5, 5, Mixes.Consistency.Stiff),
        ],
        MixUse.Moulded => [Mortar(PartsSchool.FineSand, 3, Mixes.Consistency.Soft)],
        MixUse.PebbleBed => [Mortar(PartsSchool.SandBed, 4, Mixes.Consistency.Balling)],
        MixUse.Counter => [Mortar(PartsSchool.PolymerSand, 1.5, Mixes.Consistency.Soft)],
        MixUse.Skim => [],
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static UsualParts Split(PartsSchool school, double sand, double stone, double stoneMm, Consistency consistency) => new(school, new(1, sand, stone), stoneMm, consistency);

    private static UsualParts AllIn(PartsSchool school, double cement, double ballast, Consistency consistency) => new(school, new(cement, 0, 0, ballast), 20, consistency);

    private static UsualParts Mortar(PartsSchool school, double sand, Consistency consistency) => new(school, new(1, sand, 0), 0, consistency);
}
