using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;

namespace SetFirm.Core.PourDay;

/// <summary>One batch on the clock.</summary>
/// <param name="Number">From 1.</param>
/// <param name="WaterAdded">Its clock starts here.</param>
/// <param name="Placed">It lies in the form.</param>
public readonly record struct BatchTime(int Number, Instant WaterAdded, Instant Placed);

/// <summary>The batches one after another.</summary>
/// <remarks>A batch takes its whole cycle from water to form whoever helps; helpers let the next one start sooner.</remarks>
public sealed record PourSchedule(ImmutableArray<BatchTime> Batches, Duration StartToStart, Duration JointAge)
{
    public Instant MixingEnds => Batches[^1].Placed;

    /// <param name="load">The batches, and who makes them.</param>
    /// <param name="start">Water into the first batch.</param>
    public static PourSchedule Of(LoadPlan load, Instant start)
    {
        ArgumentNullException.ThrowIfNull(load);
        return Of(load.Batches, load.Place.Mixer, load.Crew, load.Place.Barrow.Metres, start);
    }

    /// <summary>From the first water until the last batch lies.</summary>
    public Duration Mixing => MixingEnds - Batches[0].WaterAdded;

    /// <param name="plan">The loads.</param>
    /// <param name="mixer">Gives the cycle.</param>
    /// <param name="crew">Overlaps them.</param>
    /// <param name="barrowMetres">One way.</param>
    /// <param name="start">Water into the first batch.</param>
    public static PourSchedule Of(BatchPlan plan, Mixer mixer, Crew crew, double barrowMetres, Instant start)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(mixer);
        var times = ImmutableArray.CreateBuilder<BatchTime>(plan.Units.Length);
        var (water, oldestJoint, longestGap) = (start, Duration.Zero, Duration.Zero);
        for (var i = 0; i < plan.Units.Length; i++)
        {
            var cycle = mixer.Cycle(plan.Units[i] * plan.Unit.BagsWorth, barrowMetres);
            var placed = water + cycle;
            if (i > 0)
            {
                // When this batch meets the one before, that one is this old, from its own water.
                oldestJoint = Duration.Max(oldestJoint, placed - times[^1].WaterAdded);
            }

            times.Add(new BatchTime(i + 1, water, placed));
            var gap = cycle * crew.CycleFactor;
            longestGap = Duration.Max(longestGap, gap);
            water += gap;
        }

        return new PourSchedule(times.MoveToImmutable(), longestGap, oldestJoint);
    }
}
