using System.Collections.Immutable;

namespace SetFirm.Core.Finishing;

/// <summary>One pass over the surface, in working order.</summary>
public enum Pass
{
    StrikeOff,
    BullFloat,

    /// <summary>Cut from the form, edge, groove and the first mag float, which levels and does not close.</summary>
    EdgeAndFloat,
    SecondFloat,
    Broom,
    FirstTrowel,
    HardTrowel,
}

/// <summary>A finish is a chain of passes.</summary>
public enum Finish
{
    Mag,
    Broom,
    Steel,
}

/// <summary>When a pass may be made, in set progress s = equivalent age over initial set.</summary>
/// <param name="Pass">Which pass.</param>
/// <param name="Opens">s; 0 is at placing.</param>
/// <param name="Closes">s.</param>
public sealed record PassRule(Pass Pass, double Opens, double Closes)
{
    /// <summary>Until the sheen of bled water is gone nothing touches the surface.</summary>
    public bool WaitsForSheen { get; init; }

    /// <summary>Where water had to be dragged off it may close later, s; 0 keeps to <see cref="Closes"/>.</summary>
    public double ClosesDragged { get; init; }

    /// <summary>It shuts the surface: what still bleeds would be caught under it.</summary>
    public bool ShutsSurface { get; init; }
}

/// <summary>The table of passes and the chains of finishes.</summary>
/// <remarks>Source: site practice, in line with ACI 302.1R; the sign on the slab decides, the window says when to look.</remarks>
public static class Finishes
{
    /// <summary>A rapid mix is struck off and floated as it is placed, in the time to this much set progress; nothing after.</summary>
    public const double RapidCloses = 0.6;

    private static readonly ImmutableArray<PassRule> Rules =
    [
        new(Pass.StrikeOff, 0, 0.40),
        new(Pass.BullFloat, 0, 0.40),
        new(Pass.EdgeAndFloat, 0.12, 0.45) { WaitsForSheen = true, ClosesDragged = 0.60 },
        new(Pass.SecondFloat, 0.40, 0.75) { ShutsSurface = true },
        new(Pass.Broom, 0.55, 1.05),
        new(Pass.FirstTrowel, 0.65, 1.00) { ShutsSurface = true },
        new(Pass.HardTrowel, 0.95, 1.40) { ShutsSurface = true },
    ];

    private static readonly ImmutableArray<PassRule> RapidRules =
        [new(Pass.StrikeOff, 0, RapidCloses), new(Pass.BullFloat, 0, RapidCloses)];

    public static ImmutableArray<PassRule> Chain(Finish finish, bool rapid)
    {
        if (rapid)
        {
            return RapidRules;
        }

        Pass[] tail = finish switch
        {
            Finish.Mag => [],
            Finish.Broom => [Pass.Broom],
            Finish.Steel => [Pass.FirstTrowel, Pass.HardTrowel],
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        return [.. Rules.Where(r => r.Pass <= Pass.SecondFloat || tail.Contains(r.Pass))];
    }
}
