using System.Collections.Immutable;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Curing;

/// <summary>What the concrete is strong enough for.</summary>
public enum Milestone
{
    StripEdges,
    Walk,
    Furniture,
    Grind,
    Cars,
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
        new(Milestone.StripEdges, 3.5, 0, 24),
        new(Milestone.Walk, 5, 0, 0),
        new(Milestone.Furniture, 10, 0, 0),
        new(Milestone.Grind, 15, 0, 0),
        new(Milestone.Cars, 20, 0.70, 7 * 24),
        new(Milestone.Full, 0, 0, 28 * 24),
    ];

    /// <summary>A rapid mix carries cars at its strength, without the seven days.</summary>
    public static ImmutableArray<MilestoneRule> For(MixFamily family) => family == MixFamily.Rapid
        ? [.. Rules.Select(r => r.Milestone == Milestone.Cars ? r with { Hours = 0 } : r)]
        : Rules;
}
