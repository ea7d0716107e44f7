using System.Text.Json.Nodes;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Plans;

/// <summary>What is wrong or worth a decision: a finding at its field, with its numbers, and a way out that works.</summary>
public sealed class FindingsTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Theory]
    [InlineData("-100 mm", FindingCode.QuantityUnread)]
    [InlineData("", FindingCode.QuantityUnread)]
    [InlineData("1 mm", FindingCode.OutOfRange)]
    [InlineData("9 km", FindingCode.QuantityUnread)]
    [InlineData("900 m", FindingCode.OutOfRange)]
    public void A_thickness_that_cannot_be_is_named_at_its_field(string thickness, FindingCode code)
    {
        var report = Planner.Plan(Samples.Terrace().WithSlab(s => s with { Thickness = thickness }), Mild);
        report.Findings.ShouldContain(f => f.Code == code && f.Severity == Severity.Error && f.Where == "/elements/0/thickness");
        report.Shape.ShouldBeNull();
        report.Cure.ShouldBeNull();
        State(report, Step.Shape).ShouldBe(StepState.Blocked);
        State(report, Step.Cure).ShouldBe(StepState.Blocked);
    }

    [Fact]
    public void An_outline_that_crosses_itself_says_where()
    {
        var report = Planner.Plan(
            Samples.Terrace().WithSlab(s => s.Walking(
                Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("2 m"), Samples.Edge("4 m", -90),
                Samples.Edge("1 m", -90), Samples.Edge("2 m"), Samples.Edge("1 m"), Samples.Edge("1 m"))),
            Mild);
        var crossing = Single(report, FindingCode.OutlineCrosses);
        crossing.Where.ShouldBe("/elements/0/outline");
        crossing.Facts["yM"].ShouldBe(0, 1e-9);
    }

    [Fact]
    public void An_outline_that_does_not_close_says_by_how_much_and_offers_to_hold_or_to_spread_it()
    {
        var job = Samples.Terrace().WithSlab(s => s.Walking(Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("4.2 m"), Samples.Edge("3 m")));
        var gap = Single(Planner.Plan(job, Mild), FindingCode.OutlineGap);
        gap.Facts["gapMm"].ShouldBe(200, 1e-6);
        gap.Remedies.Select(r => r.Code).ShouldBe([RemedyCode.BlankLastEdge, RemedyCode.SpreadGap]);
        var held = Planner.Plan(RemedyText.Taken(job, gap.Remedies[0]), Mild);
        held.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        held.Shape!.AreaM2.ShouldBe(12, 1e-9);
        var spread = Planner.Plan(RemedyText.Taken(job, gap.Remedies[1]), Mild).Shape!.Elements[0];
        spread.MisfitMm.ShouldBe(200, 1e-6);
        spread.AreaM2.ShouldBeInRange(12, 12.6);
    }

    [Fact]
    public void An_opening_outside_or_in_another_is_named()
    {
        var job = Samples.Terrace();
        Single(Planner.Plan(Opening(job, "9 m"), Mild), FindingCode.OpeningOutside).Where.ShouldBe("/elements/0/openings/0");
        Single(Planner.Plan(Opening(job, "400 mm", "400 mm"), Mild), FindingCode.OpeningsOverlap).Where.ShouldBe("/elements/0/openings/1");
    }

    [Fact]
    public void A_mix_without_cement_is_refused_at_the_cement()
    {
        var report = Planner.Plan(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Cement = 0 } }, Mild);
        Single(report, FindingCode.MixWithoutCement).Where.ShouldBe("/mix/cement");
        report.Shape.ShouldNotBeNull(); // the rest stays
        report.Mix.ShouldBeNull();
    }

    [Fact]
    public void Too_lean_a_mix_is_refused_with_the_range_that_is_known()
    {
        var report = Planner.Plan(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Sand = 6, Stone = 8 } }, Mild);
        var off = Single(report, FindingCode.WaterCementOutsideTable);
        off.Facts["most"].ShouldBe(0.87, 1e-9);
        off.Facts["waterCement"].ShouldBeGreaterThan(0.87);
    }

    [Fact]
    public void Water_over_the_bags_limit_is_shown_in_strength_and_taken_back_with_a_tap()
    {
        var job = Bagged("general-80lb", "4.7 L");
        var over = Single(Planner.Plan(job, Mild), FindingCode.WaterOverBagLimit);
        over.Facts["f28Mpa"].ShouldBe(17.64, 0.1);
        over.Facts["mostL"].ShouldBe(3.8, 1e-9);
        var mended = Planner.Plan(RemedyText.Taken(job, over.Remedies[0]), Mild);
        mended.Findings.ShouldNotContain(f => f.Code == FindingCode.WaterOverBagLimit);
        mended.Mix!.F28Mpa.ShouldBe(over.Remedies[0].Effect["f28Mpa"], 1e-9);
    }

    [Fact]
    public void A_general_bag_at_its_most_water_fails_the_mildest_exposure_and_less_water_mends_it()
    {
        var job = Bagged("general-80lb", "3.8 L");
        var wet = Single(Planner.Plan(job, Mild), FindingCode.ExposureWaterCement);
        wet.Facts["waterCement"].ShouldBe(0.676, 0.002);
        var mended = Planner.Plan(RemedyText.Taken(job, wet.Remedies[0]), Mild);
        mended.Findings.ShouldNotContain(f => f.Code == FindingCode.ExposureWaterCement);
        mended.Mix!.WaterCement!.Value.ShouldBeLessThanOrEqualTo(0.60);
    }

    [Fact]
    public void Where_it_freezes_wet_a_bag_without_air_is_told_so()
    {
        var job = Samples.Terrace() with { Mix = ((BaggedMixDocument)Samples.Terrace().Mix) with { Exposure = Exposure.FreezesOftenWet } };
        var codes = Planner.Plan(job, Mild).Findings.Select(f => f.Code).ToArray();
        codes.ShouldContain(FindingCode.ExposureAir);
        codes.ShouldContain(FindingCode.ExposureStrength);
        codes.ShouldContain(FindingCode.ExposureWaterCement);
    }

    [Fact]
    public void A_thin_section_and_large_stone_do_not_go_together()
    {
        var thin = Samples.Terrace().WithSlab(s => s with { Thickness = "40 mm" });
        Single(Planner.Plan(thin, Mild), FindingCode.ThicknessOutsideMix).Where.ShouldBe("/elements/0/thickness");
        Single(Planner.Plan(thin with { Mix = Samples.OneTwoThree() }, Mild), FindingCode.StoneTooLarge).Facts["mostMm"].ShouldBe(40 / 3.0, 1e-9);
    }

    [Fact]
    public void Alone_with_a_cubic_metre_wants_a_helper_and_taking_one_re_plans()
    {
        var job = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Hands = 1 } };
        var alone = Planner.Plan(job, Mild);
        var wants = Single(alone, FindingCode.WantsHelper);
        var helped = Planner.Plan(RemedyText.Taken(job, wants.Remedies[0]), Mild);
        helped.Findings.ShouldNotContain(f => f.Code == FindingCode.WantsHelper);
        helped.Load!.MixingMin.ShouldBe(wants.Remedies[0].Effect["mixingMin"], 1e-6);
        helped.Day!.MixingEnds.ShouldBeLessThan(alone.Day!.MixingEnds);
    }

    [Fact]
    public void Many_bags_by_hand_want_a_drum_and_one_too_small_is_refused()
    {
        var job = Samples.Terrace();
        var tub = job with { Mixing = job.Mixing with { Mixer = new TubDocument { Size = "60 L" } } };
        var wants = Single(Planner.Plan(tub, Mild), FindingCode.WantsMixer);
        var drum = JobText.Set(JobText.Set(JobText.Node(tub), "/mixing/mixer/kind", "drum"), "/mixing/mixer/size", "140 L");
        JobText.Read(drum).Mixing.Mixer.ShouldBeOfType<DrumDocument>();
        Planner.Plan(RemedyText.Taken(tub, wants.Remedies[0]), Mild).Findings.ShouldNotContain(f => f.Code == FindingCode.WantsMixer);

        var small = Planner.Plan(job with { Mixing = job.Mixing with { Mixer = new TubDocument { Size = "5 L" } } }, Mild);
        Single(small, FindingCode.MixerTooSmall).Facts["unitL"].ShouldBe(5.85, 1e-9);
        small.Mix.ShouldNotBeNull(); // the bags to buy are still told
    }

    [Fact]
    public void A_mixer_too_small_or_a_batch_too_heavy_offers_a_drum_that_does_it()
    {
        var job = Samples.Terrace();
        JobDocument In(MixerDocument mixer, int hands, string bag = "general-25kg") =>
            Bagged(bag, "") with { Mixing = job.Mixing with { Mixer = mixer, Hands = hands } };
        var small = In(new TubDocument { Size = "5 L" }, 2);
        var mended = RemedyText.Taken(small, Single(Planner.Plan(small, Mild), FindingCode.MixerTooSmall).Remedies[0]);
        Planner.Plan(mended, Mild).Load.ShouldNotBeNull();

        // What a quarter of this bucket makes fits, but weighs 27 kg, and one lifts 25.
        var heavy = job with
        {
            Mix = Samples.OneTwoThree() with { Containers = Samples.Buckets("10.6 L") },
            Mixing = job.Mixing with { Mixer = new DrillBucketDocument { Size = "25 L" }, Hands = 1 },
        };
        var told = Single(Planner.Plan(heavy, Mild), FindingCode.BatchTooHeavy);
        told.Facts["unitKg"].ShouldBeInRange(25.5, 29);
        told.Facts["mostKg"].ShouldBe(25);
        Planner.Plan(RemedyText.Taken(heavy, told.Remedies[0]), Mild).Load.ShouldNotBeNull();
        Planner.Plan(heavy with { Mixing = heavy.Mixing with { Hands = 2 } }, Mild).Findings.ShouldNotContain(f => f.Code == FindingCode.BatchTooHeavy);

        // Half a bag of 80 lb is 20 kg with its water: one tips it, but never a whole one.
        var bucket = Planner.Plan(In(new DrillBucketDocument { Size = "20 L" }, 1, "general-80lb"), Mild);
        bucket.Load.ShouldNotBeNull().Recipes.ShouldAllBe(r => r.Size == 0.5);
        Single(bucket, FindingCode.DrillRests).Facts["cycleMin"].ShouldBe(7);
        Single(bucket, FindingCode.WantsMixer).Remedies.ShouldHaveSingleItem();
    }

    [Fact]
    public void A_pan_is_loaded_in_its_own_order_and_keeps_its_pace()
    {
        var job = Samples.Terrace();
        var pan = Planner.Plan(job with { Mixing = job.Mixing with { Mixer = new ForcedDocument { Size = "60 L" }, Hands = 1 } }, Mild).Load.ShouldNotBeNull();
        pan.CapacityL.ShouldBe(60, 1e-9);
        pan.StartToStartMin.ShouldBe(6, 1e-9);
        pan.LoadingOrder.ShouldContain(new LoadingMove(LoadingStep.MixOn, 180));
    }

    [Fact]
    public void A_cold_joint_names_its_age_and_its_limit_and_every_way_out_brings_the_age_or_the_limit_it_names()
    {
        var job = Bagged("fast-80lb", "") with { Mixing = new MixingDocument { Mixer = new TubDocument { Size = "70 L" }, Hands = 1, BarrowRun = "10 m", WaterC = 12 } };
        var joint = Single(Planner.Plan(job, Samples.Steady(26)), FindingCode.ColdJoint);
        joint.Facts["ageMin"].ShouldBeGreaterThan(joint.Facts["limitMin"]);
        joint.Remedies.Select(r => r.Code).ShouldBe([RemedyCode.Retard, RemedyCode.AddHand, RemedyCode.AddMixer], ignoreOrder: true);
        foreach (var remedy in joint.Remedies)
        {
            var (age, limit) = (remedy.Effect["ageMin"], remedy.Effect["limitMin"]);
            (age - limit).ShouldBeLessThan(joint.Facts["ageMin"] - joint.Facts["limitMin"]);
            var load = Planner.Plan(RemedyText.Taken(job, remedy), Samples.Steady(26)).Load!;
            load.JointAgeMin.ShouldBe(age, 1e-6);
            load.JointLimitMin!.Value.ShouldBe(limit, 1e-6);
        }
    }

    [Fact]
    public void Rain_before_it_sets_warns_over_15_per_cent_and_offers_the_next_dry_day()
    {
        var wet = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { RainChance = h < 48 ? 0.05 : 0 }));
        var job = Samples.Terrace();
        var rain = Single(Planner.Plan(job, wet), FindingCode.RainBeforeSet);
        rain.Facts["limitPct"].ShouldBe(30);
        var dry = rain.Remedies.Single(r => r.Code == RemedyCode.LaterDay);
        dry.Effect["daysLater"].ShouldBe(2);
        var later = Planner.Plan(RemedyText.Taken(job, dry), wet);
        later.Findings.ShouldNotContain(f => f.Code == FindingCode.RainBeforeSet);
        (later.Day!.RainChance * 100).ShouldBe(dry.Effect["chancePct"], 1e-6);
        var covered = Planner.Plan(RemedyText.Taken(job, rain.Remedies.Single(r => r.Code == RemedyCode.RainCoverReady)), wet);
        Single(covered, FindingCode.RainBeforeSet).Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void Heat_wind_and_dry_air_are_a_warning_with_the_limit_they_pass()
    {
        var report = Planner.Plan(Samples.Terrace(), Samples.Steady(airC: 34, humidity: 0.2, windKmh: 40));
        Single(report, FindingCode.DryingFast).Facts["limitKgM2H"].ShouldBe(1.0);
        var hot = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { WaterC = 45 } };
        Single(Planner.Plan(hot, Samples.Steady(36)), FindingCode.MixTooHot).Where.ShouldBe("/mixing/waterC");
    }

    [Fact]
    public void Cold_warns_and_frost_before_it_is_strong_withholds_every_date()
    {
        var cold = Planner.Plan(Samples.Terrace(), Samples.Steady(2));
        cold.Findings.Select(f => f.Code).ShouldContain(FindingCode.ColdWeather);
        cold.Findings.Select(f => f.Code).ShouldContain(FindingCode.MixTooCold);
        var frost = Planner.Plan(Samples.Terrace(), Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = h < 14 ? 8 : -6 })));
        Single(frost, FindingCode.FrozenYoung).Facts["safeMpa"].ShouldBe(3.5);
        frost.Cure!.Milestones.ShouldAllBe(m => m.At == null);
    }

    [Fact]
    public void A_cure_cut_short_is_priced_in_strength_and_the_advice_is_a_tap_away()
    {
        var job = Samples.Terrace().Cured(CuringMethod.Plastic, days: 2);
        var report = Planner.Plan(job, Mild);
        var shortCure = Single(report, FindingCode.CureStoppedEarly);
        shortCure.Facts["adviceDays"].ShouldBe(7);
        var full = Planner.Plan(RemedyText.Taken(job, shortCure.Remedies[0]), Mild);
        full.Cure!.WetDays.ShouldBe(7);
        full.Cure.At28Mpa.ShouldBeGreaterThan(report.Cure!.At28Mpa);
    }

    [Fact]
    public void A_method_that_cannot_be_kept_up_is_named_and_covered()
    {
        var job = Samples.Terrace().Cured(CuringMethod.Bare);
        var bare = Single(Planner.Plan(job, Mild), FindingCode.CannotBeKeptWet);
        Planner.Plan(RemedyText.Taken(job, bare.Remedies[0]), Mild).Findings.ShouldNotContain(f => f.Code == FindingCode.CannotBeKeptWet);
    }

    [Fact]
    public void A_day_beyond_the_forecast_is_planned_and_said_to_be_beyond_it() => Planner
        .Plan(Samples.Terrace() with { Day = DayDocument.At("2027-06-20", "08:00") }, Mild)
        .Findings.ShouldContain(f => f.Code == FindingCode.WeatherEndsEarly);

    [Theory]
    [InlineData("2027-13-40", "08:30", "/day/date")]
    [InlineData("tomorrow", "08:30", "/day/date")]
    [InlineData("9999-01-01", "08:30", "/day/date")]
    [InlineData("2027-05-04", "25:00", "/day/start")]
    [InlineData("2027-05-04", "", "/day/start")]
    public void A_date_or_time_that_is_none_is_named(string date, string start, string where)
    {
        var report = Planner.Plan(Samples.Terrace() with { Day = DayDocument.At(date, start) }, Mild);
        report.Findings.ShouldContain(f => f.Where == where && f.Severity == Severity.Error);
        report.Load.ShouldNotBeNull();
        report.Day.ShouldBeNull();
    }

    [Fact]
    public void Cautions_stand_where_the_hand_is_about_to_do_the_thing()
    {
        var heavy = Planner.Plan(Bagged("general-80lb", ""), Mild).Findings.Where(f => f.Severity == Severity.Caution).ToArray();
        heavy.ShouldContain(f => f.Code == FindingCode.CausticCement && f.Where == "/mix");
        heavy.ShouldContain(f => f.Code == FindingCode.MarkServices && f.Where == "/elements");
        heavy.ShouldContain(f => f.Code == FindingCode.MixerGuard && f.Where == "/mixing/mixer");
        heavy.Single(f => f.Code == FindingCode.HeavyLift).Facts["massKg"].ShouldBe(36.29, 0.01);
        Planner.Plan(Samples.Terrace(), Mild).Findings.ShouldNotContain(f => f.Code == FindingCode.HeavyLift); // 25 kg is the limit itself
    }

    private static Finding Single(PlanReport report, FindingCode code) =>
        report.Findings.Where(f => f.Code == code).ShouldHaveSingleItem();

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
