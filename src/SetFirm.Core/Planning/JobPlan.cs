using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>A whole job worked out: what its elements are and what follows from them, every pour's batches, and one pour in full. A part that could not be worked out is null, and a finding says why.</summary>
public sealed record JobPlan
{
    /// <summary>As said.</summary>
    public required JobDocument Said { get; init; }

    public required ImmutableArray<ElementPlan>? Elements { get; init; }

    public required BuildPlan? Build { get; init; }

    /// <summary>Every mix that could be read, the job's first one first.</summary>
    public required ImmutableArray<MixPlan> Mixes { get; init; }

    /// <summary>What the first mix has to be; null while the shape is not known.</summary>
    public required WaysContext? Wanted { get; init; }

    /// <summary>Ways to get it, the proposed one first.</summary>
    public IReadOnlyList<Way> Ways => Weighed.Value;

    /// <summary>Made when somebody looks at them.</summary>
    internal Lazy<IReadOnlyList<Way>> Weighed { get; init; } = new([]);

    /// <summary>What is held in the hand, for whichever pour.</summary>
    public ImmutableArray<GearLine> Gear => Held.Value;

    /// <summary>Made when somebody looks at it.</summary>
    internal Lazy<ImmutableArray<GearLine>> Held { get; init; } = new([]);

    /// <summary>In the order in which they are poured; empty while the shape is not known.</summary>
    public required ImmutableArray<PourLoad> Pours { get; init; }

    /// <summary>The one that was asked for, in full.</summary>
    public required PourPlan? Pour { get; init; }

    /// <summary>All that was told of it.</summary>
    public Told Told { get; init; } = Told.Nothing;

    /// <summary>When it was asked; null where no time counts.</summary>
    public Instant? AsOf { get; init; }

    /// <summary>How it is kept wet, as read; null where it cannot be.</summary>
    public required CureSaid? Curing { get; init; }

    /// <summary>What of it can hurt someone.</summary>
    public required Hazards Hazards { get; init; }

    public required BuyTerms? Terms { get; init; }

    public required BuyPlan? Buy { get; init; }

    /// <summary>How each text was understood.</summary>
    public required IReadOnlyList<TextRead> Readings { get; init; }

    /// <summary>The gravest first.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    public required IReadOnlyList<Explanation> Explanations { get; init; }

    /// <summary>The job's first mix; null while it cannot be read.</summary>
    public Recipe? Recipe => Mixes.FirstOrDefault(m => m.Index == 0)?.Recipe;

    /// <summary>Litres of the job's own mixes, waste included.</summary>
    public double OrderL => Elements?.Sum(e => e.OrderL) ?? 0;
}
