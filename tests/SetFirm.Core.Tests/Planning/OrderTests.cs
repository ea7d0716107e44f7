using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What comes after what, whatever is poured, of whatever, in whatever weather.</summary>
public sealed class OrderTests
{
    /// <summary>The first is never dated after the second, on one piece.</summary>
    private static readonly (Milestone Before, Milestone After)[] InOrder =
    [
        (Milestone.FreezeOnce, Milestone.Furniture), (Milestone.StripEdges, Milestone.Furniture), (Milestone.StripEdges, Milestone.Walk), (Milestone.TurnPiece, Milestone.Furniture),
        (Milestone.Walk, Milestone.Furniture), (Milestone.Furniture, Milestone.Cars), (Milestone.Sand, Milestone.Grind), (Milestone.FreezeOnce, Milestone.FreezeOften),
        (Milestone.Walk, Milestone.Full), (Milestone.Furniture, Milestone.Full), (Milestone.Sand, Milestone.Full), (Milestone.Grind, Milestone.Full), (Milestone.Cars, Milestone.Full),
    ];

    private static readonly (string Name, HourlyWeather Weather)[] Weathers =
        [("cold", Samples.Steady(7)), ("mild", Samples.Steady(16)), ("hot", Samples.Steady(33))];

    private static readonly (string Name, Func<MixDocument, MixDocument> Of)[] Mixes =
    [
        ("as it opens", m => m), ("by parts", _ => Samples.OneTwoThree()), ("by truck", _ => Samples.Ready()), ("rapid", m => Bag(m, "rapid-60lb")), ("rapid mortar", m => Bag(m, "rapid-mortar-55lb")),
        ("retarded", m => m with { Additives = m.Additives with { Retarder = 1 } }),
    ];

    public static TheoryData<StartKind> All => new(Enum.GetValues<StartKind>());

    [Theory]
    [MemberData(nameof(All))]
    public void Dates_of_one_pour_never_contradict_each_other(StartKind kind)
    {
        var start = StartingJob.Of("Order", UnitSystem.Metric, "Europe/Berlin", new LocalDate(2027, 5, 5), kind);
        foreach (var (mixed, of) in Mixes)
        {
            foreach (var (sky, weather) in Weathers)
            {
                var what = $"{kind}, {mixed}, {sky}";
                var plan = Plans.Of(start with { Mixes = [of(start.Mix)] }, weather);
                if (plan.Cure is not { } cure || plan.Day is not { } day)
                {
                    plan.Findings.ShouldNotBeEmpty(what);
                    continue;
                }

                var dates = cure.Milestones.Where(m => m.At is not null).ToDictionary(m => m.Milestone, m => m.At!.Value);
                foreach (var (before, after) in InOrder.Where(o => dates.ContainsKey(o.Before) && dates.ContainsKey(o.After)))
                {
                    dates[before].ShouldBeLessThanOrEqualTo(dates[after], $"{what}: {before} {after}");
                }

                // Later is never known before sooner: what has no date has none of what waits for it.
                foreach (var m in cure.Milestones.Where(m => m.Earliest is not null && m.Latest is not null))
                {
                    m.Earliest!.Value.ShouldBeLessThanOrEqualTo(m.Latest!.Value, what);
                }

                (cure.WetFrom + Duration.FromSeconds(1)).ShouldBeGreaterThanOrEqualTo(day.MixingEnds, what);
                cure.WetUntil.ShouldBeGreaterThanOrEqualTo(cure.WetFrom, what);
                (day.DoneBy + Duration.FromSeconds(1)).ShouldBeGreaterThanOrEqualTo(day.MixingEnds, what);
                foreach (var zone in day.Zones)
                {
                    foreach (var (one, next) in zone.Passes.Zip(zone.Passes.Skip(1)))
                    {
                        one.Opens.ShouldBeLessThanOrEqualTo(next.Opens, $"{what}: {one.Pass} {next.Pass}");
                    }
                }
            }
        }
    }

    [Theory]
    [MemberData(nameof(All))]
    public void Fewer_hands_longer_runs_and_more_concrete_never_end_the_mixing_sooner(StartKind kind)
    {
        var start = StartingJob.Of("Order", UnitSystem.Metric, "Europe/Berlin", new LocalDate(2027, 5, 5), kind);
        Never("hands", [4, 3, 2, 1], n => start with { Mixing = start.Mixing with { Hands = (int)n } });
        Never("run", [0, 5, 12, 30, 60], n => start with { Mixing = start.Mixing with { BarrowRun = $"{n} m" } });
        Never("waste", [0, 5, 10, 20, 40], n => start with { Elements = [start.Elements[0] with { WastePercent = n }] });

        void Never(string what, double[] steps, Func<double, JobDocument> of)
        {
            var ends = steps.Select(n => (N: n, Plans.Of(of(n), Weathers[1].Weather).Day!.MixingEnds)).ToArray();
            foreach (var (a, b) in ends.Zip(ends.Skip(1)))
            {
                (b.MixingEnds + Slack).ShouldBeGreaterThanOrEqualTo(a.MixingEnds, $"{kind} {what} {a.N} -> {b.N}");
            }
        }
    }

    [Theory]
    [InlineData(StartKind.Slab, 0.4)]
    [InlineData(StartKind.Curb, 0.4)]
    [InlineData(StartKind.Stones, 0.7)]
    [InlineData(StartKind.Counter, 0.7)]
    public void A_soft_mix_that_is_tapped_in_its_mould_takes_the_next_batch_for_longer(StartKind kind, double progress)
    {
        var plan = Plans.Of(StartingJob.Of("Joint", UnitSystem.Metric, "Europe/Berlin", new LocalDate(2027, 5, 5), kind), Samples.Steady(20));
        var told = plan.Explanations.Select(e => e.Says).OfType<Why.JointAge>().Single();
        (told.Progress, told.LimitMin).ShouldBe((progress, plan.Load!.JointLimitMin!.Value));
        told.LimitMin.ShouldBeInRange(progress * told.InitialSetH * 60 * 0.9, progress * told.InitialSetH * 60 * 1.3); // by the mix's temperature
    }

    /// <summary>More on the same face: each batch has a little less of it to strike off.</summary>
    private static readonly Duration Slack = Duration.FromSeconds(15);

    private static BaggedMixDocument Bag(MixDocument from, string bag) => new BaggedMixDocument
    {
        Id = from.Id,
        Exposure = from.Exposure,
        Containers = from.Containers,
        Additives = from.Additives,
        Bag = bag,
        WaterPerBag = "",
    };
}
