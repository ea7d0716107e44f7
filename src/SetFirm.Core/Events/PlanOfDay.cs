using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Events;

/// <summary>A pour's day as it was planned when it began: what is told of names its batches and zones.</summary>
public sealed record PlanOfDay
{
    /// <summary>Of batches, and of zones.</summary>
    public const int MostParts = 1_000;

    /// <summary>Of a zone.</summary>
    public const int MostPasses = 20;

    /// <summary>First water.</summary>
    public required Instant Start { get; init; }

    /// <summary>The last batch is struck off.</summary>
    public required Instant MixingEnds { get; init; }

    /// <summary>The last pass is made.</summary>
    public required Instant DoneBy { get; init; }

    /// <summary>One after another.</summary>
    public required IReadOnlyList<PlannedBatch> Batches { get; init; }

    /// <summary>In pouring order; at least one.</summary>
    public required IReadOnlyList<PlannedZone> Zones { get; init; }

    /// <summary>The first moment or number in it that cannot be; null where all is well.</summary>
    /// <returns>Its place, as a path of names.</returns>
    internal string? Wrong()
    {
        if (!Moments.Has(Start) || !IsNear(MixingEnds) || !IsNear(DoneBy))
        {
            return nameof(Start);
        }

        if (Batches is not { Count: > 0 and <= MostParts } || Batches.Any(b => b is null || !IsNear(b.Begun) || !IsNear(b.Placed) || b.Placed < b.Begun))
        {
            return nameof(Batches);
        }

        return Zones is not { Count: > 0 and <= MostParts } || Zones.Any(z => z?.IsSound(this) != true) ? nameof(Zones) : null;
    }

    /// <summary>It may be of this day.</summary>
    internal bool IsNear(Instant moment) => Moments.Has(moment) && moment - Start < Longest && Start - moment < Longest;

    /// <summary>No day of a pour, with all that follows of it on the same concrete, is longer.</summary>
    private static readonly Duration Longest = Duration.FromDays(4);
}

/// <summary>A batch of the plan.</summary>
/// <param name="Begun">Water goes in, or a truck stands at the form.</param>
/// <param name="Placed">It lies.</param>
public sealed record PlannedBatch(Instant Begun, Instant Placed);

/// <summary>A part that is finished as one.</summary>
/// <param name="Element">Index of the element in the job.</param>
/// <param name="FirstBatch">From 1.</param>
/// <param name="LastBatch">From 1.</param>
/// <param name="From">Where it begins, share of the element's volume in this pour, 0-1.</param>
/// <param name="To">Where it ends.</param>
/// <param name="SheenGone">Null where none shows.</param>
/// <param name="Passes">In working order.</param>
public sealed record PlannedZone(int Element, int FirstBatch, int LastBatch, double From, double To, Instant? SheenGone, IReadOnlyList<PlannedPass> Passes)
{
    internal bool IsSound(PlanOfDay of) =>
        Element is >= 0 and < PlanOfDay.MostParts && FirstBatch >= 1 && LastBatch >= FirstBatch && LastBatch <= of.Batches.Count && From is >= 0 and <= 1 && To > From && To <= 1
        && (SheenGone is not { } gone || of.IsNear(gone)) && Passes is { Count: <= PlanOfDay.MostPasses } && Passes.All(p => p is not null && of.IsNear(p.Opens) && of.IsNear(p.Closes) && (p.Begins is not { } begins || of.IsNear(begins)));
}

/// <summary>A pass of the plan.</summary>
/// <param name="Pass">Which.</param>
/// <param name="Opens">Best guess.</param>
/// <param name="Closes">Best guess.</param>
/// <param name="Begins">When the crew gets to it; null for what goes along with placing.</param>
public sealed record PlannedPass(Pass Pass, Instant Opens, Instant Closes, Instant? Begins);
