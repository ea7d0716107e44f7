using System.Collections.Immutable;

namespace SetFirm.Core.Batching;

/// <summary>What somebody or something does in a stretch of a round.</summary>
public readonly record struct RoundPart(PaceTask Task, double FromMin, double ToMin);

/// <summary>One pair of hands, or the mixers.</summary>
/// <param name="Hand">From 1; 0 is the mixer.</param>
/// <param name="Parts">In order; between them nothing is to do.</param>
public sealed record RoundLane(int Hand, ImmutableArray<RoundPart> Parts);

/// <summary>Where the minutes of a round go, once it runs: who does what when from one batch to the next.</summary>
/// <param name="Minutes">From one batch to the next.</param>
/// <param name="Bound">What sets them.</param>
/// <param name="Lanes">The mixer first, where a machine mixes, then every hand.</param>
/// <remarks>
/// Labour fills one hand after another in the order in which it comes up (McNaughton's rule: it fits, since the round is never shorter than all labour
/// over all hands). Several mixers are shown as one that is so many times as quick.
/// </remarks>
public sealed record RoundChart(double Minutes, PaceBound Bound, ImmutableArray<RoundLane> Lanes)
{
    private const double Nothing = 1e-9;

    public static RoundChart Of(LoadPlan load)
    {
        ArgumentNullException.ThrowIfNull(load);
        var (pace, hands) = (load.Pace, load.Crew.Hands);
        var batch = pace.Of(load.Batches.Units.Max());
        var (round, bound) = pace.Round(batch, hands);
        var machine = load.Place.Mixer.By is MixedBy.Machine or MixedBy.Plant;
        var lanes = Enumerable.Range(0, hands).Select(_ => new List<RoundPart>()).ToArray();
        var mixers = (double)Math.Min(load.Place.Crew.Mixers, hands);
        List<RoundPart> turning = [];
        Queue<(PaceTask Task, double Minutes)> rest = new();
        List<(int Hand, double From, double To)> room = [];
        var keeper = batch.Charge + (batch.Mix * PaceFigures.Watches);
        if (machine)
        {
            // The batch before has just been emptied; this one is charged, turns, and is emptied at the end.
            var at = 0.0;
            foreach (var (task, minutes) in new[] { (PaceTask.Charge, batch.Charge), (PaceTask.Mix, batch.Mix), (PaceTask.Empty, batch.Empty) })
            {
                turning.Add(new RoundPart(task, at, at + (minutes / mixers)));
                at += minutes / mixers;
            }
        }

        var kept = machine && hands > 1 && keeper + batch.Empty <= round;
        if (kept)
        {
            // One keeps the mixer going, and helps out while it turns; the others wheel and lay.
            lanes[0].Add(new RoundPart(PaceTask.Charge, 0, batch.Charge));
            lanes[0].Add(new RoundPart(PaceTask.Watch, batch.Charge, keeper));
            room.AddRange(Enumerable.Range(1, hands - 1).Select(h => (h, 0.0, round)));
            room.Add((0, keeper, round - batch.Empty));
        }
        else
        {
            rest.Enqueue((PaceTask.Charge, batch.Charge));
            if (!machine)
            {
                rest.Enqueue((PaceTask.Mix, batch.Mix));
            }
            else if (hands > 1)
            {
                rest.Enqueue((PaceTask.Watch, batch.Mix * PaceFigures.Watches));
            }

            rest.Enqueue((PaceTask.Empty, batch.Empty));
            room.AddRange(Enumerable.Range(0, hands).Select(h => (h, 0.0, round)));
        }

        foreach (var (task, minutes) in new[] { (PaceTask.Barrow, batch.Barrow), (PaceTask.Spread, batch.Spread), (PaceTask.StrikeOff, batch.StrikeOff) })
        {
            rest.Enqueue((task, minutes));
        }

        var (slot, from) = (0, room[0].From);
        while (rest.TryDequeue(out var next))
        {
            for (var left = next.Minutes; left > Nothing && slot < room.Count;)
            {
                var takes = Math.Min(left, room[slot].To - from);
                if (takes > Nothing)
                {
                    lanes[room[slot].Hand].Add(new RoundPart(next.Task, from, from + takes));
                }

                (left, from) = (left - Math.Max(0, takes), from + Math.Max(0, takes));
                if (room[slot].To - from <= Nothing && ++slot < room.Count)
                {
                    from = room[slot].From;
                }
            }
        }

        if (kept)
        {
            lanes[0].Add(new RoundPart(PaceTask.Empty, round - batch.Empty, round));
        }

        IEnumerable<RoundLane> all = lanes.Select((parts, i) => new RoundLane(i + 1, [.. parts]));
        return new RoundChart(round, bound, [.. machine ? all.Prepend(new RoundLane(0, [.. turning])) : all]);
    }
}
