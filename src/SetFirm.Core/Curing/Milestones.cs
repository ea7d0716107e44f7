using System.Collections.Immutable;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Curing;

/// <summary>What the concrete is strong enough for.</summary>
public enum Milestone
{
    /// <summary>One night of frost does no more harm.</summary>
    FreezeOnce,
    StripEdges,
    Walk,

    /// <summary>A cast piece is taken out of its mould and turned.</summary>
    TurnPiece,
    Furniture,
    Grind,
    Cars,

    /// <summary>Winters do no harm; only with air in it.</summary>
    FreezeOften,
    Full,
}

/// <summary>What a milestone needs; all of it.</summary>
/// <param name="Milestone">Which.</param>
/// <param name="Mpa">Strength, MPa.</param>
/// <param name="ShareOfF28">0-1.</param>
/// <param name="Hours">Least age by the clock.</param>
public sealed record MilestoneRule(Milestone Milestone, double Mpa, double ShareOfF28, double Hours);

/// <summary>Source: site practice, with ACI 306R for frost.</summary>
public static class Milestones
{
    /// <summary>Below this strength frost destroys it, MPa. ACI 306R.</summary>
    public const double FrostSafeMpa = 3.5;

    private static readonly ImmutableArray<MilestoneRule> Rules =
    [
        new(Milestone.FreezeOnce, FrostSafeMpa, 0, 0),
        new(Milestone.StripEdges, 3.5, 0, 24),
        new(Milestone.Walk, 5, 0, 0),
        new(Milestone.TurnPiece, 10, 0, 24),
        new(Milestone.Furniture, 10, 0, 0),
        new(Milestone.Grind, 15, 0, 0),
        new(Milestone.Cars, 20, 0.70, 7 * 24),
        new(Milestone.FreezeOften, 24, 0, 0),
        new(Milestone.Full, 0, 0, 28 * 24),
    ];

    /// <summary>Air that stands winters, 0-1. ACI 318.</summary>
    private const double WinterAir = 0.04;

    /// <param name="mix">A rapid one carries cars at its strength, without the seven days.</param>
    /// <param name="inPlace">Something is cast where it stays, between boards.</param>
    /// <param name="inMould">Something is cast in a mould.</param>
    public static ImmutableArray<MilestoneRule> For(ConcreteMix mix, bool inPlace, bool inMould)
    {
        ArgumentNullException.ThrowIfNull(mix);
        return
        [
            .. Rules.Where(r => (inMould || r.Milestone != Milestone.TurnPiece) && (inPlace || r.Milestone != Milestone.StripEdges) && (mix.AirShare >= WinterAir || r.Milestone != Milestone.FreezeOften))
                .Select(r => r.Milestone == Milestone.Cars && mix.Family == MixFamily.Rapid ? r with { Hours = 0 } : r),
        ];
    }
}
