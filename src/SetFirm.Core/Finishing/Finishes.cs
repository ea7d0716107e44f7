using System.Collections.Immutable;
using SetFirm.Core.Events;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Finishing;

/// <summary>A finish is a chain of passes: a name here and a row in <see cref="Finishes"/>.</summary>
public enum Finish
{
    Mag,
    Broom,

    /// <summary>Trowelled twice, the second time hard.</summary>
    Steel,

    /// <summary>Trowelled once.</summary>
    SteelOnce,

    /// <summary>The form comes off early and the face is rubbed.</summary>
    Rubbed,

    /// <summary>The stones of the mix stand out.</summary>
    Exposed,

    /// <summary>Set pebbles, washed clean.</summary>
    Pebbles,

    /// <summary>Left flat, and ground when it is strong enough.</summary>
    GroundLater,

    /// <summary>Struck off and left: a base under a topping, a back.</summary>
    AsCast,
}

/// <summary>When a pass may be made, in set progress s = equivalent age over initial set.</summary>
/// <param name="Pass">Which pass.</param>
/// <param name="Opens">s; 0 is at placing.</param>
/// <param name="Closes">s.</param>
public sealed record PassRule(Pass Pass, double Opens, double Closes)
{
    /// <summary>Between one pass and the next, s.</summary>
    private const double UsualRest = 0.05;

    /// <summary>A pass that waited for its sheen closes so long after it, s; and stays open so long at the least.</summary>
    public const double AfterSheen = 0.15;

    public const double OpenAfterSheen = 0.10;

    /// <summary>A pass that had to rest first stays open so long, s.</summary>
    public const double OpenAfterRest = 0.10;

    /// <summary>Until the sheen of bled water is gone nothing touches the surface.</summary>
    public bool WaitsForSheen { get; init; }

    /// <summary>So long after the pass before it is done in the same zone, s.</summary>
    public double Rest { get; init; } = UsualRest;

    /// <summary>Where it opens late it closes later, but no later than this, s; 0 keeps to <see cref="Closes"/>.</summary>
    public double ClosesLatest { get; init; }

    /// <summary>It shuts the surface: what still bleeds would be caught under it.</summary>
    public bool ShutsSurface { get; init; }

    /// <summary>What one person finishes in an hour, m2; 0 where it goes along with placing, or may wait for the morning. Starting values (tune).</summary>
    public double PaceM2H { get; init; }
}

/// <summary>The table of passes and the chains of finishes.</summary>
/// <remarks>Source: site practice, in line with ACI 302.1R; the sign on the slab decides, the window says when to look.</remarks>
public static class Finishes
{
    /// <summary>A rapid mix is struck off and floated as it is placed, in the time to this much set progress; nothing after.</summary>
    public const double RapidCloses = 0.6;

    /// <summary>Joints are sawn from final set to this many times final set.</summary>
    private const double SawnUntilFinals = 3;

    private static readonly ImmutableArray<PassRule> Rules =
    [
        new(Pass.StrikeOff, 0, 0.40),
        new(Pass.BullFloat, 0, 0.40),
        new(Pass.WashSlurry, 0.20, 0.40) { PaceM2H = 8 },
        new(Pass.EdgeAndFloat, 0.12, 0.45) { WaitsForSheen = true, ClosesLatest = 0.60, PaceM2H = 20 },
        new(Pass.SecondFloat, 0.40, 0.75) { ShutsSurface = true, Rest = 0.08, ClosesLatest = 0.90, PaceM2H = 20 },
        new(Pass.ExposeStone, 0.45, 0.80) { PaceM2H = 10 },
        new(Pass.Broom, 0.55, 1.05) { PaceM2H = 60 },
        new(Pass.FirstTrowel, 0.65, 1.00) { ShutsSurface = true, PaceM2H = 15 },
        new(Pass.StripAndRub, 0.75, 1.10) { PaceM2H = 6 },
        new(Pass.HardTrowel, 0.95, 1.40) { ShutsSurface = true, PaceM2H = 15 },
    ];

    private static readonly ImmutableArray<PassRule> RapidRules =
        [new(Pass.StrikeOff, 0, RapidCloses), new(Pass.BullFloat, 0, RapidCloses)];

    /// <summary>What makes each finish, a row each; a slab is struck off and bull floated besides, but for what is left as cast.</summary>
    private static Pass[] Makes(Finish finish) => finish switch
    {
        Finish.Mag or Finish.GroundLater => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat],
        Finish.Broom => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat, Pass.Broom],
        Finish.Steel => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat, Pass.FirstTrowel, Pass.HardTrowel],
        Finish.SteelOnce => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat, Pass.FirstTrowel],
        Finish.Rubbed => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat, Pass.StripAndRub],
        Finish.Exposed => [Pass.BullFloat, Pass.EdgeAndFloat, Pass.ExposeStone],
        Finish.Pebbles => [Pass.BullFloat, Pass.WashSlurry],
        Finish.AsCast => [],
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <param name="finish">What it is to look like.</param>
    /// <param name="rapid">A rapid mix.</param>
    public static ImmutableArray<PassRule> Chain(Finish finish, bool rapid) => rapid ? RapidRules : Chain(Makes(finish));

    /// <summary>The chain of any passes, in the order in which concrete allows them; it is always struck off.</summary>
    public static ImmutableArray<PassRule> Chain(IReadOnlyCollection<Pass> passes) => [.. Rules.Where(r => r.Pass == Pass.StrikeOff || passes.Contains(r.Pass))];

    /// <summary>A steel trowel shuts its skin.</summary>
    public static bool IsTrowelled(Finish finish) => Chain(finish, rapid: false).Any(r => r.Pass is Pass.FirstTrowel or Pass.HardTrowel);

    /// <summary>Sawing, which goes by final set; a rapid mix is not sawn on the day.</summary>
    public static PassRule Sawing(ConcreteMix mix)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var final = mix.ToFinalSet / mix.ToInitialSet;
        return new PassRule(Pass.SawJoints, final, SawnUntilFinals * final);
    }
}
