using System.Collections.Immutable;
using System.Security.Cryptography;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Learning;

/// <summary>A crew with its own pace, waste and feel for the slab, hidden: it pours days that differ, and tells of them as people do.</summary>
internal sealed class SimulatedCrew
{
    /// <summary>Between crews, sites and mixes, as logarithms.</summary>
    private const double CrewSet = 0.10, CrewPace = 0.11, CrewFinishing = 0.11, CrewWaste = 0.03, CrewSheen = 0.10;

    /// <summary>And from day to day of one.</summary>
    private const double DaySet = 0.13, DayPace = 0.10, DayFinishing = 0.10, DayWaste = 0.02, DaySheen = 0.13;

    private readonly Random luck;

    public SimulatedCrew(int seed)
    {
        // Seeds side by side give days side by side, unless they are stirred.
        luck = new Random(BitConverter.ToInt32(SHA256.HashData(BitConverter.GetBytes(seed))));
        Hidden = LearntValues.Of([(Set, Off(CrewSet)), (Pace, Off(CrewPace)), (Finishing, Off(CrewFinishing)), (Waste, Off(CrewWaste)), (Sheen, Off(CrewSheen))]);
    }

    public static JobDocument Job { get; } = Samples.Terrace();

    public static LearntKey Set => LearntKeys.Set(Job.Mix, Job.Buy, Job.Mixing);

    public static LearntKey Pace => LearntKeys.Pace(Job.Mixing);

    public static LearntKey Finishing => LearntKeys.Finishing(Job.Mixing);

    public static LearntKey Waste => LearntKeys.Waste(Bed.Levelled);

    public static LearntKey Sheen => LearntKeys.Sheen(Job.Site);

    public static ImmutableArray<LearntKey> Keys => [Set, Pace, Finishing, Waste, Sheen];

    /// <summary>What nobody knows of it.</summary>
    public LearntValues Hidden { get; }

    /// <summary>The values of a day: the crew's, and what is different that day.</summary>
    /// <param name="wild">Everything goes so many times as slowly, and takes as much more.</param>
    public LearntValues Today(double wild = 1) => LearntValues.Of(
    [
        (Set, Hidden.Factor(Set) * Off(DaySet) * wild), (Pace, Hidden.Factor(Pace) * Off(DayPace) * wild), (Finishing, Hidden.Factor(Finishing) * Off(DayFinishing) * wild),
        (Waste, Hidden.Factor(Waste) * Off(DayWaste) * Math.Sqrt(wild)), (Sheen, Hidden.Factor(Sheen) * Off(DaySheen) * wild),
    ]);

    /// <summary>A day, as it is told: every batch, two thumbs, what sheens were seen, the passes, the bags.</summary>
    /// <param name="plan">With nothing learnt.</param>
    /// <param name="weather">As it came.</param>
    /// <param name="today">The day's values.</param>
    public JobEvent[] Pours(JobPlan plan, HourlyWeather weather, LearntValues today)
    {
        var day = plan.Pour!.Day!;
        var told = new List<JobEvent> { new JobEvent.DayBegun { Id = Guid.NewGuid(), At = day.Start, Plan = day.Planned } };
        var at = day.Start;
        for (var i = 0; i < day.Planned.Batches.Count; i++)
        {
            var batch = day.Planned.Batches[i];
            told.Add(new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = at, Batch = i + 1 });
            told.Add(new JobEvent.BatchPlaced { Id = Guid.NewGuid(), At = at + ((batch.Placed - batch.Begun) * today.Factor(Pace)), Batch = i + 1 });
            at += i + 1 < day.Planned.Batches.Count ? (day.Planned.Batches[i + 1].Begun - batch.Begun) * (today.Factor(Pace) * Math.Exp((0.25 * Normal()) - 0.03)) : Duration.Zero;
        }

        var factors = Enumerable.Range(0, day.Zones.Length).Select(_ => today.Factor(Set) * Off(0.05)).ToImmutableArray();
        var course = HiddenDay.Of(plan.Pour.Load.Task!, new Member(weather, today.Factor(Set), today.Factor(Sheen)) { ZoneFactors = factors })
            .Went(DayFacts.Of(Told.Of(told), told[^1].At)!, day.Planned);
        for (var z = 0; z < course.Zones; z++)
        {
            if (course.SheenGone(z) is { } gone && z % 2 == 0)
            {
                var placed = told.OfType<JobEvent.BatchPlaced>().First(b => b.Batch == day.Zones[z].LastBatch).At;
                told.Add(new JobEvent.SheenGone { Id = Guid.NewGuid(), At = placed + ((gone - placed) * Off(0.15)), Zone = z + 1 });
            }

            if (z % 2 == 0)
            {
                told.Add(new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = course.When(z, 0.60 + (0.08 * Normal()))!.Value, Zone = z + 1, Mark = ThumbMark.ThreeMm });
            }

            var free = day.Start;
            foreach (var rule in day.Pour.Zones[z].Rules.Where(r => r.PaceM2H > 0))
            {
                var pass = day.Zones[z].Passes.First(p => p.Pass == rule.Pass);
                var begun = Instant.Max(course.Window(z, rule)!.Value.Opens, free);
                var done = begun + (pass.Work / pass.Hands * (today.Factor(Finishing) * Off(0.2)));
                told.Add(new JobEvent.PassBegun { Id = Guid.NewGuid(), At = begun, Zone = z + 1, Pass = rule.Pass });
                told.Add(new JobEvent.PassDone { Id = Guid.NewGuid(), At = done, Zone = z + 1, Pass = rule.Pass });
                free = done + Duration.FromMinutes(15);
            }
        }

        var net = plan.Elements!.Value.Sum(e => e.Cast.Net.Litres);
        var unit = plan.Recipe!.Unit;
        var bags = ((net * (1 + Core.Shapes.Waste.Share(Bed.Levelled)) * today.Factor(Waste)) + plan.Pour.Load.HoldBackL) / (unit.Yield.Litres * unit.PerWhole);
        told.Add(new JobEvent.DayClosed { Id = Guid.NewGuid(), At = told.Max(l => l.At) + Duration.FromMinutes(20), Washed = true, HoldBackUsed = true, BagsLeft = 0, BagsUsed = Math.Round(bags) });
        return [.. told];
    }

    private double Off(double deviation) => Math.Exp(deviation * Normal());

    private double Normal() => Math.Sqrt(-2 * Math.Log(1 - luck.NextDouble())) * Math.Cos(2 * Math.PI * luck.NextDouble());
}
