using System.Collections.Immutable;
using NodaTime;

namespace SetFirm.Core.Events;

/// <summary>What stands of all that was told: a fold over the log, the same whatever order it comes in.</summary>
/// <param name="Lines">Each line once, withdrawn ones left out, in the order in which things happened.</param>
public sealed record Told(ImmutableArray<JobEvent> Lines)
{
    public static Told Nothing { get; } = new(ImmutableArray<JobEvent>.Empty);

    public static Told Of(IEnumerable<JobEvent> log)
    {
        var once = log.DistinctBy(e => e.Id).ToArray();
        var withdrawn = once.OfType<JobEvent.Withdrawn>().Select(w => w.Line).ToHashSet();
        return new Told([.. once.Where(e => e is not JobEvent.Withdrawn && !withdrawn.Contains(e.Id)).OrderBy(e => e.At).ThenBy(e => e.Id)]);
    }

    /// <summary>Of one pour; a line that names none belongs to the first.</summary>
    /// <param name="pour">Its id.</param>
    /// <param name="first">It is the first of the job.</param>
    public Told OfPour(string pour, bool first) => new([.. Lines.Where(e => e.Pour == pour || (first && e.Pour.Length == 0))]);

    /// <summary>Something was told that can only be told of what was poured; notes, goods and what is made ready are told before.</summary>
    public bool OfConcrete => Lines.Any(l => l is JobEvent.DayBegun or JobEvent.BatchMixing or JobEvent.BatchPlaced or JobEvent.StruckOff or JobEvent.WaterAdded or JobEvent.SheenGone or JobEvent.ThumbTest
        or JobEvent.PassBegun or JobEvent.PassDone or JobEvent.CoverOn or JobEvent.CoverOff or JobEvent.Wetted or JobEvent.BoardsOff or JobEvent.Coated or JobEvent.CastLifted or JobEvent.JointMade or JobEvent.Misted
        or JobEvent.DayClosed or JobEvent.FaultSeen or JobEvent.ProbeRead);

    /// <summary>When it was wetted.</summary>
    public ImmutableArray<Instant> Wetted => [.. Lines.OfType<JobEvent.Wetted>().Select(e => e.At)];

    /// <summary>Coats of a product that went on.</summary>
    public int Coats(int product) => Lines.OfType<JobEvent.Coated>().Count(e => e.Product == product);
}
