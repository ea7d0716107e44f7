using System.Collections.Immutable;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Curing;

/// <summary>What the concrete is strong enough for.</summary>
public enum Milestone
{
    /// <summary>One night of frost does no more harm.</summary>
    FreezeOnce,
    StripEdges,

    /// <summary>A cast piece is taken out of its mould and turned.</summary>
    TurnPiece,
    Walk,
    Furniture,

    /// <summary>Rubbed by hand.</summary>
    Sand,

    /// <summary>Into the stone.</summary>
    Grind,
    Cars,

    /// <summary>Winters do no harm; only with air in it.</summary>
    FreezeOften,
    Full,
}

/// <summary>What a pour is used for once it has set: nobody drives on a counter.</summary>
/// <param name="Boarded">Something is cast where it stays, between boards that come off.</param>
/// <param name="Moulded">Something is cast in a mould; false where nothing is.</param>
/// <param name="MouldHours">It stays in the mould so long at the least.</param>
/// <param name="Walked">On.</param>
/// <param name="Driven">On.</param>
/// <param name="Sanded">By hand.</param>
/// <param name="Ground">By machine, into the stone.</param>
public sealed record CureUse(bool Boarded, bool Moulded, double MouldHours, bool Walked, bool Driven, bool Sanded, bool Ground)
{
    /// <summary>A slab between boards.</summary>
    public static CureUse Slab { get; } = new(Boarded: true, Moulded: false, 0, Walked: true, Driven: true, Sanded: false, Ground: false);
}

/// <summary>What a milestone needs; all of it.</summary>
/// <param name="Milestone">Which.</param>
/// <param name="Mpa">Strength, MPa.</param>
/// <param name="ShareOfF28">0-1.</param>
/// <param name="Hours">Least age by the clock.</param>
/// <param name="EquivalentHours">Least age at 20 °C.</param>
public sealed record MilestoneRule(Milestone Milestone, double Mpa, double ShareOfF28, double Hours, double EquivalentHours = 0);

/// <summary>Source: site practice, with ACI 306R for frost. Floors by the clock are for Portland; rapid mixes have theirs in set times.</summary>
public static class Milestones
{
    /// <summary>Below this strength frost destroys it, MPa. ACI 306R.</summary>
    public const double FrostSafeMpa = 3.5;

    /// <summary>Air that stands winters, 0-1. ACI 318.</summary>
    private const double WinterAir = 0.04;

    private const double DayH = 24;

    /// <summary>Final sets of a rapid mix until it is stripped and walked on, and until the rest.</summary>
    private const double RapidSoon = 3;

    private const double RapidLater = 6;

    private static readonly ImmutableArray<(MilestoneRule Rule, double RapidFinals)> Rules =
    [
        (new(Milestone.FreezeOnce, FrostSafeMpa, 0, 0), 0),
        (new(Milestone.StripEdges, 3.5, 0, DayH), RapidSoon),
        (new(Milestone.TurnPiece, 10, 0, DayH), RapidSoon),
        (new(Milestone.Walk, 5, 0, DayH), RapidSoon),
        (new(Milestone.Furniture, 10, 0, 3 * DayH), RapidLater),
        (new(Milestone.Sand, 15, 0, DayH), RapidLater),
        (new(Milestone.Grind, 20, 0, DayH), RapidLater),
        (new(Milestone.Cars, 20, 0.70, 7 * DayH), RapidLater),
        (new(Milestone.FreezeOften, 24, 0, 0), 0),
        (new(Milestone.Full, 0, 0, 0, 28 * DayH), 0),
    ];

    /// <param name="mix">A rapid one counts in its own set times.</param>
    /// <param name="use">Of what was poured.</param>
    public static ImmutableArray<MilestoneRule> For(ConcreteMix mix, CureUse use)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(use);
        bool Fits(Milestone milestone) => milestone switch
        {
            Milestone.StripEdges => use.Boarded,
            Milestone.TurnPiece => use.Moulded,
            Milestone.Walk or Milestone.Furniture => use.Walked,
            Milestone.Sand => use.Sanded,
            Milestone.Grind => use.Ground,
            Milestone.Cars => use.Driven && mix.Known != StrengthKnown.Under,
            Milestone.FreezeOften => mix.AirShare >= WinterAir,
            _ => true,
        };
        MilestoneRule Timed(MilestoneRule rule, double finals)
        {
            if (mix.Family == MixFamily.Rapid)
            {
                return rule with { Hours = 0, EquivalentHours = Math.Max(rule.EquivalentHours, finals * mix.ToFinalSet.TotalHours) };
            }

            // What stays in its mould is not walked on, sanded or ground before it has come out.
            var inMould = rule.Milestone == Milestone.TurnPiece || (rule.Milestone is Milestone.Walk or Milestone.Furniture or Milestone.Sand or Milestone.Grind && use is { Moulded: true, Boarded: false });
            return inMould ? rule with { Hours = Math.Max(rule.Hours, use.MouldHours), Mpa = Math.Max(rule.Mpa, TurnMpa) } : rule;
        }

        return [.. Rules.Where(r => Fits(r.Rule.Milestone)).Select(r => Timed(r.Rule, r.RapidFinals))];
    }

    private const double TurnMpa = 10;
}
