using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;

namespace SetFirm.Core.PourDay;

/// <summary>What was told of a pour's day so far: the same whatever order it was told in.</summary>
public sealed record DayFacts
{
    private DayFacts(ImmutableArray<JobEvent> lines, Instant now, Told all)
    {
        (Lines, Now, All) = (lines, now, all);
        Plan = lines.OfType<JobEvent.DayBegun>().FirstOrDefault()?.Plan;
        foreach (var line in lines)
        {
            switch (line)
            {
                case JobEvent.BatchMixing e:
                    Batches[e.Batch - 1] = Batches.GetValueOrDefault(e.Batch - 1) is { Begun: null } so ? so with { Begun = e.At } : Batches[e.Batch - 1];
                    break;
                case JobEvent.BatchPlaced e:
                    Batches[e.Batch - 1] = Batches.GetValueOrDefault(e.Batch - 1) is { Placed: null } lies ? lies with { Placed = e.At } : Batches[e.Batch - 1];
                    break;
                case JobEvent.StruckOff e:
                    struckOff.TryAdd(e.Zone - 1, e.At);
                    break;
                case JobEvent.SheenGone e:
                    sheenGone.TryAdd(e.Zone - 1, e.At);
                    break;
                case JobEvent.PassBegun e:
                    begun.TryAdd((e.Zone - 1, e.Pass), e.At);
                    break;
                case JobEvent.PassDone e:
                    done.TryAdd((e.Zone - 1, e.Pass), e.At);
                    break;
                case JobEvent.HandsChanged e:
                    Hands = e.Hands;
                    break;
            }
        }
    }

    private readonly Dictionary<int, Instant> struckOff = [];
    private readonly Dictionary<int, Instant> sheenGone = [];
    private readonly Dictionary<(int Zone, Pass Pass), Instant> begun = [];
    private readonly Dictionary<(int Zone, Pass Pass), Instant> done = [];

    /// <summary>Null where nothing of the day is told.</summary>
    /// <param name="told">Of this pour.</param>
    /// <param name="asOf">Now; null takes the last that was told.</param>
    public static DayFacts? Of(Told told, Instant? asOf)
    {
        ArgumentNullException.ThrowIfNull(told);
        ImmutableArray<JobEvent> all = [.. told.Lines.Where(IsOfTheDay)];
        if (all.IsEmpty)
        {
            return null;
        }

        // What lies days from its beginning was told with another day's date.
        var begins = all.FirstOrDefault(l => l is JobEvent.DayBegun)?.At ?? all[0].At;
        ImmutableArray<JobEvent> lines = [.. all.Where(l => l.At - begins < DaySimulation.Sight && begins - l.At < DaySimulation.Sight)];

        // A clock that goes fast tells of what is to come: then it is that late. Who tells nothing for long has stopped telling: the rest went as it would.
        var last = lines[^1].At;
        var silent = lines[^1] is JobEvent.DayClosed || (asOf ?? last) - last > Silence;
        return new DayFacts(lines, silent ? last : Instant.Max(asOf ?? last, last), told);
    }

    /// <summary>Who has told nothing for so long has stopped telling. Longer than the longest wait between two passes.</summary>
    private static readonly Duration Silence = Duration.FromHours(4);

    /// <summary>In the order in which they happened.</summary>
    public ImmutableArray<JobEvent> Lines { get; }

    /// <summary>And what else was told of the pour.</summary>
    public Told All { get; }

    /// <summary>What is not done by then is done later.</summary>
    public Instant Now { get; }

    /// <summary>As it was planned when the day began; null where nobody said that it does.</summary>
    public PlanOfDay? Plan { get; }

    /// <summary>By index.</summary>
    public Dictionary<int, BatchSoFar> Batches { get; } = [];

    /// <summary>That are there now; null where it is as planned.</summary>
    public int? Hands { get; }

    /// <summary>Batches after which a joint was made.</summary>
    public ImmutableHashSet<int> JointsAfter => [.. Lines.OfType<JobEvent.JointMade>().Select(j => j.Batch)];

    public JobEvent.DayClosed? Closed => Lines.OfType<JobEvent.DayClosed>().LastOrDefault();

    public Instant? StruckOff(int zone) => At(struckOff, zone);

    public Instant? SheenGone(int zone) => At(sheenGone, zone);

    public Instant? Begun(int zone, Pass pass) => At(begun, (zone, pass));

    public Instant? Done(int zone, Pass pass) => At(done, (zone, pass));

    /// <summary>The same day before its last sign was told; null where none was.</summary>
    public (DayFacts? Before, JobEvent Sign)? BeforeLastSign()
    {
        var at = Lines.LastOrDefault(l => l is JobEvent.ThumbTest or JobEvent.SheenGone or JobEvent.PassBegun or JobEvent.PassDone or JobEvent.BatchMixing or JobEvent.BatchPlaced);
        return at is null ? null : (Lines.Length == 1 ? null : new DayFacts(Lines.Remove(at), Now, new Told(All.Lines.Remove(at))), at);
    }

    /// <summary>First water, or when the first truck stands at the form; as planned where nothing is in the mixer yet, and no sooner than now.</summary>
    public Instant Start(PourTask task, IReadOnlyList<PlannedBatch> plan)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(plan);
        // What is told of batches that there are not any more says nothing.
        var first = BatchesSoFar.Of(Now, Batches, plan, []).Batches is [{ Begun: { } begun }, ..] ? begun : Instant.Max(plan[0].Begun, Now);
        return first - task.Load.Age;
    }

    /// <summary>How far the batches have come.</summary>
    public BatchesSoFar SoFar(IReadOnlyList<PlannedBatch> plan) => BatchesSoFar.Of(Now, Batches, plan, [.. Lines.OfType<JobEvent.Paused>().Select(p => p.At)]);

    /// <summary>Its zones as they were when the day began, where they still fit what is poured; null where they do not, or where nothing says.</summary>
    public ImmutableArray<Zone>? Zones(PourTask task)
    {
        ArgumentNullException.ThrowIfNull(task);
        if (Plan is not { } plan || plan.Batches.Count != task.Load.Batches.Units.Length)
        {
            return null;
        }

        var zones = ImmutableArray.CreateBuilder<Zone>(plan.Zones.Count);
        foreach (var z in plan.Zones)
        {
            var element = task.Elements.ToList().FindIndex(e => e.Index == z.Element);
            if (element < 0)
            {
                return null;
            }

            zones.Add(new Zone(element, z.FirstBatch - 1, z.LastBatch - 1, z.From, z.To));
        }

        return zones.MoveToImmutable();
    }

    private static bool IsOfTheDay(JobEvent line) => line is JobEvent.DayBegun or JobEvent.BatchMixing or JobEvent.BatchPlaced or JobEvent.StruckOff or JobEvent.WaterAdded
        or JobEvent.SheenGone or JobEvent.ThumbTest or JobEvent.PassBegun or JobEvent.PassDone or JobEvent.Paused or JobEvent.HandsChanged or JobEvent.JointMade or JobEvent.DayClosed;

    private static Instant? At<T>(Dictionary<T, Instant> of, T key)
        where T : notnull => of.TryGetValue(key, out var at) ? at : null;
}
