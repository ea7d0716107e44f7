using CsCheck;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>The quick way through a day comes to what the whole histories say.</summary>
public sealed class DaySimulationTests
{
    private static readonly HeatBalanceSlab Fine = new();
    private static readonly HeatBalanceSlab Coarse = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    private static readonly Gen<(double Air, double Humidity, double Wind, double Sun, double Depth)> Airs =
        Gen.Select(Gen.Double[3, 33], Gen.Double[0.25, 0.95], Gen.Double[0, 30], Gen.Double[0, 800], Gen.Double[30, 200]);

    [Fact]
    public void Marks_are_what_the_history_of_the_same_steps_holds() => Airs.Sample((air, humidity, wind, sun, depth) =>
    {
        var (weather, zone) = (Day(air, humidity, wind, sun), Samples.Zone(air, depth) with { ToPlaced = Duration.FromMinutes(20) });
        var clock = new PassClock(Finishes.Chain(Finish.Steel, rapid: false), Samples.Mix());
        var reached = new double[clock.Ages.Length];
        var marks = Fine.Mark(zone, weather, clock.Ages, 0, Duration.FromHours(48), reached);
        var history = Fine.Follow(zone, weather, Duration.FromHours(48));
        for (var i = 0; i < reached.Length; i++)
        {
            var at = history.WhenEquivalentHours(clock.Ages[i]);
            (at is null ? double.PositiveInfinity : (at.Value - zone.WaterAdded).TotalHours).ShouldBe(reached[i], 1e-6);
        }

        if (history.WhenEquivalentHours(clock.Ages[^1]) is not null)
        {
            marks.SheenGoneH.ShouldBe(history.Marks.SheenGoneH);
            marks.PeakDeficitKgM2H.ShouldBe(history.Marks.PeakDeficitKgM2H);
        }
    });

    [Fact]
    public void Fewer_like_zones_move_the_end_of_a_day_by_minutes() => Airs.Sample(
        (air, humidity, wind, sun, _) =>
        {
            var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("6 m", "4 m")));
            var day = Core.Planning.Planner.Plan(job with { Mixing = job.Mixing with { Hands = 3 } }, Day(air + 6, humidity, wind, sun)).Pour!.Day!;
            day.Pour.Zones.Length.ShouldBeGreaterThan(5);
            var asForeseen = new Member(Day(air + 6, humidity, wind, sun), 1, 1);
            DayOutcome By(Closeness closeness) => new DaySimulation(day.Pour, Coarse, closeness).Run(asForeseen, day.Start);
            var (few, middles) = (By(Closeness.Few), By(Closeness.Middles));
            few.DoneH.ShouldBe(middles.DoneH, 0.2);
            few.FinalSetH.ShouldBe(middles.FinalSetH, 0.1);
        },
        iter: 40);

    [Fact]
    public void Concrete_that_freezes_just_as_it_sets_has_set_when_it_did_and_not_when_it_thaws()
    {
        var weather = Samples.Weather(Enumerable.Range(0, 96).Select(h => Samples.Mild with { AirC = h < 20 ? 4 : -15, SunWm2 = 0 }));
        var history = Fine.Follow(Samples.Zone(8, 40), weather, Duration.FromHours(60));
        var last = history.StepEquivalentHours[^1];
        history.StepEquivalentHours.ToArray().Count(a => a == last).ShouldBeGreaterThan(10);
        var first = history.StepHours[history.StepEquivalentHours.IndexOf(last)];
        (history.WhenEquivalentHours(last)!.Value - history.WaterAdded).TotalHours.ShouldBe(first, 1e-6);
    }

    [Fact]
    public void A_mix_that_is_frozen_from_its_first_minute_has_its_first_age_then_and_no_other() => Gen.Double[-30, -5].Sample(air =>
    {
        var clock = new PassClock(Finishes.Chain(Finish.Broom, rapid: false), Samples.Mix());
        var reached = new double[clock.Ages.Length];
        Fine.Mark(Samples.Zone(air, 100) with { MixC = air }, Day(air, 0.8, 10, 0), clock.Ages, 0, Duration.FromHours(48), reached);
        reached.ShouldBe([0, .. Enumerable.Repeat(double.PositiveInfinity, reached.Length - 1)]);
    });

    [Fact]
    public void Coarse_steps_move_a_window_by_under_five_minutes_or_a_little_of_a_long_wait() => Airs.Sample(
        (air, humidity, wind, sun, depth) =>
        {
            // Near 0 °C, where hardening stops at once, no two steps agree; it is then too cold to pour.
            var weather = Day(air + 6, humidity, wind, sun);
            var zone = Samples.Zone(air + 6, depth);
            var clock = new PassClock(Finishes.Chain(Finish.Broom, rapid: false), Samples.Mix());
            double[] fine = new double[clock.Ages.Length], coarse = new double[clock.Ages.Length];
            Fine.Mark(zone, weather, clock.Ages, 0, Duration.FromHours(48), fine);
            Coarse.Mark(zone, weather, clock.Ages, 0, Duration.FromHours(48), coarse);
            for (var i = 0; i < fine.Length; i++)
            {
                if (double.IsFinite(fine[i]) && double.IsFinite(coarse[i]))
                {
                    coarse[i].ShouldBe(fine[i], Math.Max(5.0 / 60, 0.015 * fine[i]));
                }
            }
        },
        iter: 400);

    [Fact]
    public void Zones_between_two_that_are_followed_lie_where_they_would_be_followed_to()
    {
        var weather = Day(18, 0.6, 12, 500);
        var rules = Finishes.Chain(Finish.Broom, rapid: false);
        DayPour Of(IEnumerable<DayZone> zones) => Pour([.. zones]) with { Crew = new Crew(PassCrew.MostHands) };
        var many = Enumerable.Range(0, 40).Select(z => Zone(rules, 0.12 * z)).ToArray();
        var all = new DaySimulation(Of(many), Fine);
        all.Run(new Member(weather, 1, 1), Samples.Morning);
        foreach (var z in new[] { 3, 14, 33 })
        {
            var one = new DaySimulation(Of([many[z]]), Fine);
            one.Run(new Member(weather, 1, 1), Samples.Morning);
            // A zone on its own has its mix mixed now, not at the hour of the first: the same mix here, since the first hour's air is the same.
            for (var p = 0; p < rules.Length; p++)
            {
                all.Spans[all.FirstSpanOf(z) + p].OpensH.ShouldBe(one.Spans[p].OpensH, 0.06);
                all.Spans[all.FirstSpanOf(z) + p].ClosesH.ShouldBe(one.Spans[p].ClosesH, 0.06);
            }
        }
    }

    [Fact]
    public void A_slower_set_moves_every_pass_and_its_own_frost_age()
    {
        var paths = new DaySimulation(Pour([Zone(Finishes.Chain(Finish.Steel, rapid: false), 0)]), Fine);
        var weather = Day(15, 0.7, 8, 300);
        paths.Run(new Member(weather, 1, 1), Samples.Morning);
        var plain = paths.Spans.ToArray();
        paths.Run(new Member(weather, 1.3, 1), Samples.Morning);
        paths.Spans.ToArray().Zip(plain).Skip(3).ShouldAllBe(p => p.First.OpensH > p.Second.OpensH && p.First.ClosesH > p.Second.ClosesH);
    }

    [Fact]
    public void The_age_of_a_strength_is_where_the_strength_is() => Gen.Select(Gen.Double[10, 50], Gen.Double[0.045, 0.38], Gen.Double[0.5, 12], Gen.Double[0.5, 1]).Sample((f28, c, finalH, share) =>
    {
        var mix = Samples.Mix(f28, c, finalH * 0.7, finalH);
        foreach (var mpa in new[] { 3.5 * share, f28 * share })
        {
            var age = StrengthGain.WhenMoist(mix, mpa);
            (double.IsPositiveInfinity(age) || Math.Abs(StrengthGain.Moist(mix, age) - mpa) < 1e-6 * f28).ShouldBeTrue();
        }
    });

    [Fact]
    public void A_night_of_frost_harms_young_concrete_unless_something_lies_on_it()
    {
        bool Frozen(FrostGuard guard)
        {
            var weather = Samples.Weather(Enumerable.Range(0, 96).Select(h => Samples.Mild with { AirC = h is > 20 and < 32 ? -7 : 12, SunWm2 = 0, WindKmh = 15 }));
            var pour = Pour([Zone(Finishes.Chain(Finish.Mag, rapid: false), 0)]) with { NightCoverM2KPerW = FrostGuards.Resistance(guard) };
            return new DaySimulation(pour, Fine).Run(new Member(weather, 1, 1), Samples.Morning).FrozenYoung;
        }

        Frozen(FrostGuard.None).ShouldBeTrue();
        Frozen(FrostGuard.Straw).ShouldBeFalse();
    }

    private static HourlyWeather Day(double air, double humidity, double wind, double sun) => Samples.Weather(Enumerable.Range(0, 96).Select(h => Samples.Mild with
    {
        AirC = air + (4 * Math.Cos(2 * Math.PI * (h - 15) / 24)),
        Humidity = humidity,
        WindKmh = wind,
        SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 4) / 14)),
    }));

    private static DayZone Zone(System.Collections.Immutable.ImmutableArray<PassRule> rules, double atH) => new(rules, Length.FromMillimetres(100), Below.Soil, 3, atH, atH + 0.1, atH + 0.1, atH + 0.2, atH + 0.2);

    private static DayPour Pour(DayZone[] zones) => new()
    {
        Mix = Samples.Mix(),
        Zones = [.. zones],
        Crew = new Crew(2),
        MixingEndsH = zones[^1].PlacedH,
        WaterC = 15,
        Conditions = new SiteConditions(Shelter.Open, Shade.None, false, false),
        Site = Microclimate.Open,
        Cover = SlabCover.Shut,
    };
}
