using System.Text.Json.Nodes;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What is wrong or worth a decision: a finding at its field, with its numbers, and a way out that works.</summary>
public sealed class FindingsTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Theory]
    [InlineData("-100 mm", typeof(Notice.QuantityUnread))]
    [InlineData("", typeof(Notice.QuantityUnread))]
    [InlineData("1 mm", typeof(Notice.OutOfRange))]
    [InlineData("9 km", typeof(Notice.QuantityUnread))]
    [InlineData("900 m", typeof(Notice.OutOfRange))]
    public void A_thickness_that_cannot_be_is_named_at_its_field(string thickness, Type code)
    {
        var report = Plans.Of(Samples.Terrace().WithSlab(s => s with { Thickness = thickness }), Mild);
        report.Findings.ShouldContain(f => f.Says.GetType() == code && f.Severity == Severity.Error && f.Where.Path == "/elements/0/thickness");
        report.Shape.ShouldBeNull();
        report.Cure.ShouldBeNull();
        State(report, Step.Shape).ShouldBe(StepState.Blocked);
        State(report, Step.Cure).ShouldBe(StepState.Blocked);
    }

    [Fact]
    public void An_outline_that_crosses_itself_says_where()
    {
        var report = Plans.Of(
            Samples.Terrace().WithSlab(s => s.Walking(
                Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("2 m"), Samples.Edge("4 m", -90),
                Samples.Edge("1 m", -90), Samples.Edge("2 m"), Samples.Edge("1 m"), Samples.Edge("1 m"))),
            Mild);
        var crossing = Single<Notice.OutlineCrosses>(report);
        crossing.Where.Path.ShouldBe("/elements/0/outline");
        crossing.Says<Notice.OutlineCrosses>().InM.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void An_outline_that_does_not_close_says_by_how_much_and_offers_to_hold_or_to_spread_it()
    {
        var job = Samples.Terrace().WithSlab(s => s.Walking(Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("4.2 m"), Samples.Edge("3 m")));
        var gap = Single<Notice.OutlineGap>(Plans.Of(job, Mild));
        gap.Says<Notice.OutlineGap>().GapMm.ShouldBe(200, 1e-6);
        gap.Remedies.Select(r => r.Does.GetType()).ShouldBe([typeof(Mend.BlankLastEdge), typeof(Mend.SpreadGap)]);
        var held = Plans.Of(RemedyText.Taken(job, gap.Remedies[0]), Mild);
        held.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        held.Shape!.AreaM2.ShouldBe(12, 1e-9);
        var spread = Plans.Of(RemedyText.Taken(job, gap.Remedies[1]), Mild).Shape!.Elements[0];
        spread.MisfitMm.ShouldBe(200, 1e-6);
        spread.AreaM2.ShouldBeInRange(12, 12.6);
    }

    [Fact]
    public void An_opening_outside_or_in_another_is_named()
    {
        var job = Samples.Terrace();
        Single<Notice.OpeningOutside>(Plans.Of(Opening(job, "9 m"), Mild)).Where.Path.ShouldBe("/elements/0/openings/0");
        Single<Notice.OpeningsOverlap>(Plans.Of(Opening(job, "400 mm", "400 mm"), Mild)).Where.Path.ShouldBe("/elements/0/openings/1");
    }

    [Fact]
    public void A_mix_without_cement_is_refused_at_the_cement()
    {
        var report = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Cement = 0 } }, Mild);
        Single<Notice.MixWithoutCement>(report).Where.Path.ShouldBe("/mixes/0/cement");
        report.Shape.ShouldNotBeNull(); // the rest stays
        report.Mix.ShouldBeNull();
    }

    [Fact]
    public void Too_lean_a_mix_is_still_mixed_and_bought_but_nothing_relies_on_it()
    {
        var report = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Sand = 6, Stone = 8 } }, Mild);
        var off = Single<Notice.WaterCementOutsideTable>(report);
        off.Severity.ShouldBe(Severity.Warning);
        off.Says<Notice.WaterCementOutsideTable>().Lean.ShouldBeTrue();
        off.Says<Notice.WaterCementOutsideTable>().WaterCement.ShouldBeGreaterThan(0.87);
        (report.Load is not null && report.Buy is not null && report.Day is not null).ShouldBeTrue();
        report.Findings.ShouldContain(f => f.Says is Notice.ExposureStrength);
        report.Cure!.Milestones.ShouldNotContain(m => m.Milestone == SetFirm.Core.Curing.Milestone.Cars);
        report.Cure.Milestones.ShouldAllBe(m => m.NeedsMpa == 0);
    }

    [Fact]
    public void Too_rich_a_mix_has_at_least_the_strength_of_the_tables_end_and_blocks_nothing()
    {
        var report = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Sand = 1.5, Stone = 0 } }, Mild);
        Single<Notice.WaterCementOutsideTable>(report).Severity.ShouldBe(Severity.Note);
        report.Mix!.F28Mpa.ShouldBe(41.4, 1e-9);
        (report.Load is not null && report.Buy is not null && report.Cure is not null).ShouldBeTrue();
    }

    [Fact]
    public void Water_over_the_bags_limit_is_shown_in_strength_and_taken_back_with_a_tap()
    {
        var job = Bagged("general-80lb", "4.7 L");
        var over = Single<Notice.WaterOverBagLimit>(Plans.Of(job, Mild));
        over.Says<Notice.WaterOverBagLimit>().F28Mpa.ShouldBe(14.27, 0.1);
        over.Says<Notice.WaterOverBagLimit>().MostL.ShouldBe(3.8, 1e-9);
        var mended = Plans.Of(RemedyText.Taken(job, over.Remedies[0]), Mild);
        mended.Findings.ShouldNotContain(f => f.Says is Notice.WaterOverBagLimit);
        mended.Mix!.F28Mpa.ShouldBe(over.Remedies[0].Does<Mend.PlasticiseInstead>().F28Mpa, 1e-9);
    }

    [Fact]
    public void Where_it_freezes_a_bag_at_its_most_water_is_too_wet_and_less_water_mends_it()
    {
        var job = Bagged("general-80lb", "3.8 L");
        // Where it never freezes it is a word, no decision.
        Single<Notice.WetForOutdoors>(Plans.Of(job, Mild)).Severity.ShouldBe(Severity.Note);
        job = job with { Mix = job.Mix with { Exposure = Exposure.FreezesSeldomWet } };
        var wet = Single<Notice.ExposureWaterCement>(Plans.Of(job, Mild));
        wet.Says<Notice.ExposureWaterCement>().WaterCement.ShouldBe(0.621, 0.002);
        var mended = Plans.Of(RemedyText.Taken(job, wet.Remedies[0]), Mild);
        mended.Findings.ShouldNotContain(f => f.Says is Notice.ExposureWaterCement);
        mended.Mix!.WaterCement!.Value.ShouldBeLessThanOrEqualTo(0.55);
    }

    [Fact]
    public void Where_it_freezes_wet_a_bag_without_air_is_told_so()
    {
        var job = Samples.Terrace() with { Mix = ((BaggedMixDocument)Samples.Terrace().Mix) with { Exposure = Exposure.FreezesOftenWet } };
        var codes = Plans.Of(job, Mild).Findings.Select(f => f.Says.GetType()).ToArray();
        codes.ShouldContain(typeof(Notice.ExposureAir));
        codes.ShouldContain(typeof(Notice.ExposureStrength));
        codes.ShouldContain(typeof(Notice.ExposureWaterCement));
    }

    [Fact]
    public void A_thin_section_and_large_stone_do_not_go_together()
    {
        var thin = Samples.Terrace().WithSlab(s => s with { Thickness = "40 mm" });
        Single<Notice.ThicknessOutsideMix>(Plans.Of(thin, Mild)).Where.Path.ShouldBe("/elements/0/thickness");
        Single<Notice.StoneTooLarge>(Plans.Of(thin with { Mix = Samples.OneTwoThree() }, Mild)).Says<Notice.StoneTooLarge>().MostMm.ShouldBe(40 / 3.0, 1e-9);
    }

    [Fact]
    public void Alone_with_a_cubic_metre_wants_a_helper_and_taking_one_re_plans()
    {
        var job = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Hands = 1 } };
        var alone = Plans.Of(job, Mild);
        var wants = Single<Notice.WantsHelper>(alone);
        var helped = Plans.Of(RemedyText.Taken(job, wants.Remedies[0]), Mild);
        helped.Findings.ShouldNotContain(f => f.Says is Notice.WantsHelper);
        helped.Load!.MixingMin.ShouldBe(wants.Remedies[0].Does<Mend.AddHand>().MixingMin!.Value, 20);
        helped.Day!.MixingEnds.ShouldBeLessThan(alone.Day!.MixingEnds);
    }

    [Fact]
    public void Many_bags_by_hand_want_a_drum_and_one_too_small_is_refused()
    {
        var job = Samples.Terrace();
        var tub = job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "60 L" } } };
        var wants = Single<Notice.WantsMixer>(Plans.Of(tub, Mild));
        var drum = JobText.Set(JobText.Set(JobText.Node(tub), "/mixing/mixer/kind", "drum"), "/mixing/mixer/size", "140 L");
        JobText.Read(drum).Mixing.Mixer.Kind.ShouldBe(MixerKind.Drum);
        Plans.Of(RemedyText.Taken(tub, wants.Remedies[0]), Mild).Findings.ShouldNotContain(f => f.Says is Notice.WantsMixer);

        var small = Plans.Of(job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "5 L" } } }, Mild);
        Single<Notice.MixerTooSmall>(small).Says<Notice.MixerTooSmall>().UnitL.ShouldBe(5.85, 1e-9);
        small.Mix.ShouldNotBeNull(); // the bags to buy are still told
    }

    [Fact]
    public void A_mixer_too_small_or_a_batch_too_heavy_offers_a_drum_that_does_it()
    {
        var job = Samples.Terrace();
        JobDocument In(MixerDocument mixer, int hands, string bag = "general-25kg") =>
            Bagged(bag, "") with { Mixing = job.Mixing with { Mixer = mixer, Hands = hands } };
        var small = In(new MixerDocument { Kind = MixerKind.Tub, Size = "5 L" }, 2);
        var mended = RemedyText.Taken(small, Single<Notice.MixerTooSmall>(Plans.Of(small, Mild)).Remedies[0]);
        Plans.Of(mended, Mild).Load.ShouldNotBeNull();

        // A container of 80 L by hand: an eighth of it with its sand and stone is more than anybody mixes at once.
        var heavy = job with
        {
            Mix = Samples.OneTwoThree() with { Containers = Samples.Buckets("80 L") },
            Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "200 L" }, Hands = 1 },
        };
        var told = Single<Notice.BatchTooHeavy>(Plans.Of(heavy, Mild));
        told.Says<Notice.BatchTooHeavy>().UnitKg.ShouldBeGreaterThan(60);
        told.Says<Notice.BatchTooHeavy>().MostKg.ShouldBe(60);
        Plans.Of(RemedyText.Taken(heavy, told.Remedies[0]), Mild).Load.ShouldNotBeNull();

        // A bag of 25 kg in a pail: one batch, and a word about lifting, never a block.
        var bucket = Plans.Of(In(new MixerDocument { Kind = MixerKind.DrillBucket, Size = "20 L" }, 1), Mild);
        bucket.Load.ShouldNotBeNull().Recipes[0].Size.ShouldBe(1);
        Single<Notice.HeavyBatch>(bucket).Severity.ShouldBe(Severity.Caution);
        Single<Notice.HeavyBatch>(bucket).Says<Notice.HeavyBatch>().BatchKg.ShouldBe(27.25, 0.1);
        Single<Notice.DrillRests>(bucket).Says<Notice.DrillRests>().MostPct.ShouldBe(50);
        Single<Notice.WantsMixer>(bucket).Remedies.ShouldHaveSingleItem();
    }

    [Fact]
    public void A_long_pour_says_where_its_time_goes_and_every_way_to_shorten_it_takes_as_long_as_it_says()
    {
        var job = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Hands = 1, BarrowRun = "40 m" } };
        var before = Plans.Of(job, Mild).Load!.MixingMin;
        var told = Single<Notice.WhereTimeGoes>(Plans.Of(job, Mild));
        told.Says<Notice.WhereTimeGoes>().MixingMin.ShouldBe(before, 1e-6);
        told.Says<Notice.WhereTimeGoes>().Bound.ShouldBe(PaceBound.Hands);
        double Takes(Remedy remedy) => remedy.Does switch
        {
            Mend.AddHand hand => hand.MixingMin!.Value,
            Mend.SecondMixer mixer => mixer.MixingMin,
            Mend.MixNearer nearer => nearer.MixingMin,
            Mend.BiggerMixer bigger => bigger.MixingMin!.Value,
            var other => throw new InvalidOperationException($"{other}"),
        };
        told.Remedies.Count.ShouldBeGreaterThan(1);
        told.Remedies.Select(Takes).ShouldBeInOrder();
        foreach (var remedy in told.Remedies)
        {
            Takes(remedy).ShouldBeLessThan(before);
            // Who is called away when shifts with it.
            Plans.Of(RemedyText.Taken(job, remedy), Mild).Load!.MixingMin.ShouldBe(Takes(remedy), 0.1 * before);
        }
    }

    [Fact]
    public void A_pan_is_loaded_in_its_own_order_and_keeps_its_pace()
    {
        var job = Samples.Terrace();
        var pan = Plans.Of(job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Forced, Size = "60 L" }, Hands = 1 } }, Mild).Load.ShouldNotBeNull();
        pan.CapacityL.ShouldBe(60, 1e-9);
        pan.Round.Lanes.Select(l => l.Hand).ShouldBe([0, 1]);
        pan.LoadingOrder.ShouldContain(new LoadingMove(LoadingStep.MixOn, 180));
    }

    [Fact]
    public void A_cold_joint_names_its_age_and_its_limit_and_every_way_out_brings_the_age_or_the_limit_it_names()
    {
        var job = Bagged("fast-80lb", "") with { Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "70 L" }, Hands = 1, BarrowRun = "10 m", WaterC = 12 } };
        var joint = Single<Notice.ColdJoint>(Plans.Of(job, Samples.Steady(26)));
        joint.Says<Notice.ColdJoint>().AgeMin.ShouldBeGreaterThan(joint.Says<Notice.ColdJoint>().LimitMin);
        joint.Remedies.Select(r => r.Does.GetType()).ShouldBe([typeof(Mend.Retard), typeof(Mend.AddHand), typeof(Mend.AddMixer)], ignoreOrder: true);
        foreach (var remedy in joint.Remedies)
        {
            var (age, limit) = remedy.Does switch
            {
                Mend.Retard slower => (slower.AgeMin, slower.LimitMin),
                Mend.AddHand hand => (hand.AgeMin!.Value, hand.LimitMin!.Value),
                Mend.AddMixer mixer => (mixer.AgeMin, mixer.LimitMin),
                var other => throw new InvalidOperationException($"{other}"),
            };
            (age - limit).ShouldBeLessThan(joint.Says<Notice.ColdJoint>().AgeMin - joint.Says<Notice.ColdJoint>().LimitMin);
            var load = Plans.Of(RemedyText.Taken(job, remedy), Samples.Steady(26)).Load!;
            load.JointAgeMin.ShouldBe(age, 1);
            load.JointLimitMin!.Value.ShouldBe(limit, 1e-6);
        }
    }

    [Fact]
    public void Rain_before_it_sets_warns_over_15_per_cent_and_offers_the_next_dry_day()
    {
        var wet = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { RainChance = h < 48 ? 0.05 : 0 }));
        var job = Samples.Terrace();
        var rain = Single<Notice.RainBeforeSet>(Plans.Of(job, wet));
        rain.Says<Notice.RainBeforeSet>().LimitPct.ShouldBe(30);
        var dry = rain.Remedies.Single(r => r.Does is Mend.LaterDay);
        dry.Does<Mend.LaterDay>().DaysLater.ShouldBe(2);
        var later = Plans.Of(RemedyText.Taken(job, dry), wet);
        later.Findings.ShouldNotContain(f => f.Says is Notice.RainBeforeSet);
        (later.Day!.RainChance * 100).ShouldBe(dry.Does<Mend.LaterDay>().ChancePct, 1e-6);
        var covered = Plans.Of(RemedyText.Taken(job, rain.Remedies.Single(r => r.Does is Mend.RainCoverReady)), wet);
        Single<Notice.RainBeforeSet>(covered).Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void Heat_wind_and_dry_air_are_a_warning_with_the_limit_they_pass()
    {
        var report = Plans.Of(Samples.Terrace(), Samples.Steady(airC: 34, humidity: 0.2, windKmh: 40));
        Single<Notice.DryingFast>(report).Says<Notice.DryingFast>().LimitKgM2H.ShouldBe(1.0);
        var hot = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { WaterC = 45 } };
        Single<Notice.MixTooHot>(Plans.Of(hot, Samples.Steady(36))).Where.Path.ShouldBe("/mixing/waterC");
    }

    [Fact]
    public void Cold_warns_and_frost_before_it_is_strong_withholds_every_date()
    {
        var cold = Plans.Of(Samples.Terrace(), Samples.Steady(2));
        cold.Findings.Select(f => f.Says.GetType()).ShouldContain(typeof(Notice.ColdWeather));
        cold.Findings.Select(f => f.Says.GetType()).ShouldContain(typeof(Notice.MixTooCold));
        var frost = Plans.Of(Samples.Terrace(), Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = h < 14 ? 8 : -6 })));
        Single<Notice.FrozenYoung>(frost).Says<Notice.FrozenYoung>().SafeMpa.ShouldBe(3.5);
        frost.Cure!.Milestones.ShouldAllBe(m => m.At == null);
    }

    [Fact]
    public void A_cure_cut_short_is_priced_in_strength_and_the_advice_is_a_tap_away()
    {
        var job = Samples.Terrace().Cured(CuringMethod.Plastic, days: 2);
        var report = Plans.Of(job, Mild);
        var shortCure = Single<Notice.CureStoppedEarly>(report);
        shortCure.Says<Notice.CureStoppedEarly>().AdviceDays.ShouldBe(7);
        var full = Plans.Of(RemedyText.Taken(job, shortCure.Remedies[0]), Mild);
        full.Cure!.WetDays.ShouldBe(7);
        full.Cure.At28Mpa.ShouldBeGreaterThan(report.Cure!.At28Mpa);
    }

    [Fact]
    public void A_method_that_cannot_be_kept_up_is_named_and_covered()
    {
        var job = Samples.Terrace().Cured(CuringMethod.Bare);
        var bare = Single<Notice.CannotBeKeptWet>(Plans.Of(job, Mild));
        Plans.Of(RemedyText.Taken(job, bare.Remedies[0]), Mild).Findings.ShouldNotContain(f => f.Says is Notice.CannotBeKeptWet);
    }

    [Fact]
    public void A_day_beyond_the_forecast_is_planned_and_said_to_be_beyond_it() => Planner
        .Plan(Samples.Terrace() with { Day = DayDocument.At("2027-06-20", "08:00") }, Mild)
        .Findings.ShouldContain(f => f.Says is Notice.WeatherEndsEarly);

    [Theory]
    [InlineData("2027-13-40", "08:30", "/day/date")]
    [InlineData("tomorrow", "08:30", "/day/date")]
    [InlineData("9999-01-01", "08:30", "/day/date")]
    [InlineData("2027-05-04", "25:00", "/day/start")]
    [InlineData("2027-05-04", "", "/day/start")]
    public void A_date_or_time_that_is_none_is_named(string date, string start, string where)
    {
        var report = Plans.Of(Samples.Terrace() with { Day = DayDocument.At(date, start) }, Mild);
        report.Findings.ShouldContain(f => f.Where.Path == where && f.Severity == Severity.Error);
        report.Load.ShouldNotBeNull();
        report.Day.ShouldBeNull();
    }

    [Fact]
    public void Cautions_stand_where_the_hand_is_about_to_do_the_thing()
    {
        var heavy = Plans.Of(Bagged("general-80lb", ""), Mild).Findings.Where(f => f.Severity == Severity.Caution).ToArray();
        heavy.ShouldContain(f => f.Says is Notice.CausticCement && f.Where.Path == "/mixes/0");
        heavy.ShouldContain(f => f.Says is Notice.MarkServices && f.Where.Path == "/elements");
        heavy.ShouldContain(f => f.Says is Notice.MixerGuard && f.Where.Path == "/mixing/mixer");
        heavy.Single(f => f.Says is Notice.HeavyLift).Says<Notice.HeavyLift>().MassKg.ShouldBe(36.29, 0.01);
        Plans.Of(Samples.Terrace(), Mild).Findings.ShouldNotContain(f => f.Says is Notice.HeavyLift); // 25 kg is the limit itself
    }

    private static Finding Single<T>(PlanReport report)
        where T : Notice => report.Findings.Where(f => f.Says is T).ShouldHaveSingleItem();

    private static StepState State(PlanReport report, Step step) => report.Steps.Single(s => s.Step == step).State;

    private static JobDocument Bagged(string bag, string water) => Samples.Terrace() with
    {
        Mix = new BaggedMixDocument { Exposure = Exposure.NoFreezing, Containers = StartingJob.Containers(UnitSystem.Metric), Additives = new AdditivesDocument(), Bag = bag, WaterPerBag = water },
    };

    private static JobDocument Opening(JobDocument job, string along, string inFrom = "1 m") => job.WithSlab(s => s with
    {
        Openings = [((RoundOpeningDocument)s.Openings[0]) with { Along = along, In = inFrom }, s.Openings[1]],
    });
}
