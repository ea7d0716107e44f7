using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Batching;

/// <summary>One batch on the clock.</summary>
/// <param name="Number">From 1.</param>
/// <param name="WaterAdded">Its clock starts here.</param>
/// <param name="Begun">Hands are at it: with its water, save what a truck brings.</param>
/// <param name="Placed">It lies in the form.</param>
/// <param name="StruckOff">It is level with the form.</param>
public readonly record struct BatchTime(int Number, Instant WaterAdded, Instant Begun, Instant Placed, Instant StruckOff);

/// <summary>Hands that are called away from mixing and placing, hours from the first water.</summary>
/// <param name="FromH">From here.</param>
/// <param name="ToH">Until here.</param>
/// <param name="Hands">How many.</param>
public readonly record struct Away(double FromH, double ToH, int Hands);

/// <summary>The batches one after another.</summary>
/// <remarks>
/// What a truck brings has one water, as old as the way it came; trucks follow each other as they are empty.
/// A batch takes its own minutes from water to form whoever helps; from one to the next it takes a round of <see cref="Pace"/>, slower with weariness, with rests after
/// the first hour, and with fewer hands while some are called away.
/// </remarks>
public sealed record PourSchedule(ImmutableArray<BatchTime> Batches, Duration StartToStart, Duration JointAge)
{
    /// <summary>The last batch is struck off.</summary>
    public Instant MixingEnds => Batches[^1].StruckOff;

    /// <summary>From the first water until the last batch is struck off.</summary>
    public Duration Mixing => MixingEnds - Batches[0].WaterAdded;

    /// <summary>Each truck's time at the site, from when it comes until its last is off it.</summary>
    /// <param name="age">Of what it brings.</param>
    public IEnumerable<Duration> OnSite(Duration age) => Batches.GroupBy(b => b.WaterAdded).Select(truck => truck.Max(b => b.Placed) - (truck.Key + age));

    /// <summary>Nobody is called away.</summary>
    /// <param name="load">The batches, and who makes them.</param>
    /// <param name="start">Water into the first batch.</param>
    public static PourSchedule Of(LoadPlan load, Instant start) => Of(load, start, []);

    /// <param name="load">The batches, and who makes them.</param>
    /// <param name="start">Water into the first batch.</param>
    /// <param name="away">Who is not there when.</param>
    /// <param name="soFar">What is done of it; null while nothing is.</param>
    public static PourSchedule Of(LoadPlan load, Instant start, ReadOnlySpan<Away> away, BatchesSoFar? soFar = null)
    {
        ArgumentNullException.ThrowIfNull(load);
        var (plan, pace, hands) = (load.Batches, load.Pace, load.Crew.Hands);
        var times = ImmutableArray.CreateBuilder<BatchTime>(plan.Units.Length);
        var (tonnes, oldestJointH, longestH, ageH) = (0.0, 0.0, 0.0, load.Age.TotalHours);
        // From when hands are at it; water goes in then, or went in at the plant.
        var (beginsH, joint, truckH, loaded) = (ageH, 0.0, 0.0, 0.0);
        var (nowH, slower) = soFar is null ? (double.NegativeInfinity, 1.0) : ((soFar.Now - start).TotalHours, soFar.PaceFactor);
        for (var i = 0; i < plan.Units.Length; i++)
        {
            var done = soFar?.IsBegun(i) == true ? soFar.Batches[i] : default;
            beginsH = done.Begun is { } began ? (began - start).TotalHours : Math.Max(beginsH, nowH);
            var batch = pace.Of(plan.Units[i], Pace.Weary(tonnes));
            tonnes += pace.TonnesAHand(plan.Units[i]);
            if (load.Place.Mixer.By == MixedBy.Plant && (loaded += plan.VolumeOf(i).CubicMetres) > ReadyRecipe.LoadM3)
            {
                (truckH, loaded) = (beginsH - ageH, plan.VolumeOf(i).CubicMetres);
            }

            var waterH = load.Place.Mixer.By == MixedBy.Plant ? truckH : beginsH;
            // What lies was told; what is in the mixer comes out no sooner than now.
            var placedH = done.Placed is { } lay ? (lay - start).TotalHours : Math.Max(beginsH + (slower * batch.ToPlaced / 60), nowH);
            // When this batch meets the one before, that one is this old, from its own water.
            oldestJointH = i > 0 ? Math.Max(oldestJointH, placedH - joint) : 0;
            var struckH = soFar is null ? beginsH + (batch.Whole / 60) : placedH + (slower * (batch.Whole - batch.ToPlaced) / 60);
            times.Add(new BatchTime(
                i + 1, start + Duration.FromHours(waterH), start + Duration.FromHours(beginsH), start + Duration.FromHours(placedH), start + Duration.FromHours(struckH)));
            joint = waterH;
            if (i < plan.Units.Length - 1)
            {
                var before = beginsH;
                beginsH = After(beginsH, 1 + ageH, batch, pace, hands, away, slower);
                longestH = Math.Max(longestH, beginsH - before);
            }
        }

        return new PourSchedule(times.MoveToImmutable(), Duration.FromHours(plan.Units.Length > 1 ? longestH : pace.Of(plan.Units[0]).Whole / 60), Duration.FromHours(oldestJointH));
    }

    // The next batch begins when a round's work is done, by those who are there.
    private static double After(double from, double restsFromH, in BatchMinutes batch, in Pace pace, int hands, ReadOnlySpan<Away> away, double slower)
    {
        var (at, left) = (from, 1.0);
        while (true)
        {
            var (there, until) = (hands, at < restsFromH ? restsFromH : double.PositiveInfinity);
            foreach (var a in away)
            {
                if (a.FromH <= at && at < a.ToH)
                {
                    (there, until) = (there - a.Hands, Math.Min(until, a.ToH));
                }
                else if (a.FromH > at)
                {
                    until = Math.Min(until, a.FromH);
                }
            }

            if (there > 0)
            {
                var needs = slower * left * pace.Round(batch, there).Minutes / 60 / (at < restsFromH ? 1 : pace.WorkShare);
                if (at + needs <= until)
                {
                    return at + needs;
                }

                left *= 1 - ((until - at) / needs);
            }

            at = until;
        }
    }
}
