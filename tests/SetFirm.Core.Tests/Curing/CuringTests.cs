using CsCheck;
using SetFirm.Core.Curing;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Tests.Curing;

public sealed class CuringTests
{
    [Fact]
    public void Before_final_set_there_is_no_strength_and_afterwards_it_never_falls() =>
        Gen.Select(Gen.Double[12, 45], Gen.Double[0.045, 0.38], Gen.Double[0.5, 14], Gen.Double[0, 2000], Gen.Double[0, 500]).Sample((f28, c, tf, hours, more) =>
        {
            var now = StrengthGain.Moist(f28, c, tf, hours);
            var later = StrengthGain.Moist(f28, c, tf, hours + more);
            return (hours > tf || now == 0) && later >= now - 1e-9 && now <= f28 * Math.Exp(c) + 1e-9;
        });

    [Fact]
    public void The_ramp_meets_the_curve_without_a_step()
    {
        var before = StrengthGain.Moist(25, 0.25, 7, 21 - 1e-9);
        var after = StrengthGain.Moist(25, 0.25, 7, 21 + 1e-9);
        before.ShouldBe(after, 1e-6);
    }

    [Fact]
    public void At_28_days_a_moist_cure_is_the_stated_strength() => StrengthGain.Moist(25, 0.25, 7, 28 * 24).ShouldBe(25, 1e-9);

    [Fact]
    public void Wetting_longer_never_lowers_strength_and_stopping_never_makes_it_fall() =>
        Gen.Select(Gen.Double[0, 700], Gen.Double[0, 300], Gen.Double[0, 1500], Gen.Double[0, 300]).Sample((wet, wetter, at, later) =>
        {
            var mix = Samples.Mix();
            var now = StrengthGain.Stopped(mix, wet, at);
            return StrengthGain.Stopped(mix, wet + wetter, at) >= now - 1e-9
                && StrengthGain.Stopped(mix, wet, at + later) >= now - 1e-9
                && now <= StrengthGain.Moist(mix, at) + 1e-9;
        });

    [Fact]
    public void A_rapid_mix_kept_wet_for_its_hours_loses_nothing()
    {
        var mix = Samples.Mix(45, 0.045, 0.33, 0.6, MixFamily.Rapid);
        StrengthGain.Stopped(mix, wetEquivalentHours: 4, equivalentHours: 500).ShouldBe(StrengthGain.Moist(mix, 500));
    }

    [Fact]
    public void Shares_rise_with_wet_days_from_055_to_1()
    {
        StrengthGain.ShareAfter(-1).ShouldBe(0.55);
        StrengthGain.ShareAfter(1).ShouldBe(0.65, 1e-12);
        StrengthGain.ShareAfter(28).ShouldBe(1);
        Enumerable.Range(0, 60).Select(d => StrengthGain.ShareAfter(d / 2.0)).ShouldBeInOrder();
    }

    [Fact]
    public void The_interval_is_clipped_and_a_method_that_dries_in_an_hour_is_refused()
    {
        Wetting.IntervalHours(Wetting.Store(CuringMethod.Bare), 0).ShouldBe(Wetting.LongestHours);
        Wetting.IntervalHours(Wetting.Store(CuringMethod.Bare), 5).ShouldBe(Wetting.ShortestHours);
        Wetting.CannotBeKept(Wetting.Store(CuringMethod.Bare), 0.2).ShouldBeTrue();
        Wetting.CannotBeKept(Wetting.Store(CuringMethod.Plastic), 2).ShouldBeFalse();
        Enum.GetValues<CuringMethod>().Select(Wetting.Store).ShouldBeInOrder();
    }

    [Fact]
    public void Days_of_wetting_follow_the_mix_and_the_cold()
    {
        Wetting.AdvisedDays(MixFamily.Portland, meanAirC: 15, daysToColdShare: 9).ShouldBe(7);
        Wetting.AdvisedDays(MixFamily.Portland, meanAirC: 6, daysToColdShare: 11.3).ShouldBe(12);
        Wetting.AdvisedDays(MixFamily.Portland, meanAirC: 2, daysToColdShare: null).ShouldBe(28);
        Wetting.AdvisedDays(MixFamily.HighEarly, meanAirC: 2, daysToColdShare: null).ShouldBe(3);
        Wetting.AdvisedDays(MixFamily.Rapid, meanAirC: 15, daysToColdShare: 1).ShouldBeLessThan(1);
    }

    private static readonly CureUse Everything = new(Boarded: true, Moulded: true, 72, Walked: true, Driven: true, Sanded: true, Ground: true);

    [Fact]
    public void Milestones_stand_in_order_of_what_they_need_and_have_their_floors()
    {
        double Hours(Milestone milestone, CureUse use) => Milestones.For(Samples.Mix(), use).Single(m => m.Milestone == milestone).Hours;
        Milestones.For(Samples.Mix(), Everything).Where(m => m.Milestone is Milestone.StripEdges or Milestone.Walk or Milestone.Furniture or Milestone.Sand or Milestone.Grind)
            .Select(m => m.Mpa).ShouldBeInOrder();
        Hours(Milestone.Cars, CureUse.Slab).ShouldBe(168);
        Hours(Milestone.StripEdges, CureUse.Slab).ShouldBe(24);
        Hours(Milestone.Walk, CureUse.Slab).ShouldBe(24);
        Hours(Milestone.Furniture, CureUse.Slab).ShouldBe(72);
        Hours(Milestone.TurnPiece, Everything).ShouldBe(72);
        // Full is an age, not a date.
        Milestones.For(Samples.Mix(), CureUse.Slab).Single(m => m.Milestone == Milestone.Full).EquivalentHours.ShouldBe(28 * 24);
    }

    [Fact]
    public void A_rapid_mix_counts_in_its_own_set_times_and_is_stripped_the_same_day()
    {
        var rules = Milestones.For(Samples.Mix(initialSetH: 0.33, finalSetH: 0.6, family: MixFamily.Rapid), Everything);
        rules.ShouldAllBe(r => r.Hours == 0);
        rules.Single(r => r.Milestone == Milestone.TurnPiece).EquivalentHours.ShouldBe(1.8, 1e-9);
        rules.Single(r => r.Milestone == Milestone.Cars).EquivalentHours.ShouldBe(3.6, 1e-9);
    }

    [Fact]
    public void Nobody_drives_on_a_counter_walks_on_a_curb_or_takes_a_slab_out_of_a_mould()
    {
        Milestone[] Of(CureUse use) => [.. Milestones.For(Samples.Mix(), use).Select(m => m.Milestone)];
        Of(new CureUse(true, false, 0, Walked: false, Driven: false, Sanded: true, Ground: true)).ShouldBe(
            [Milestone.FreezeOnce, Milestone.StripEdges, Milestone.Sand, Milestone.Grind, Milestone.Full]);
        Of(CureUse.Slab).ShouldNotContain(Milestone.TurnPiece);
        Of(CureUse.Slab).ShouldNotContain(Milestone.FreezeOften);
        // Stones: out of the mould, then walked on.
        var stones = Milestones.For(Samples.Mix(), new CureUse(false, true, 48, Walked: true, Driven: false, Sanded: true, Ground: false));
        stones.Select(m => m.Milestone).ShouldNotContain(Milestone.Cars);
        stones.Single(m => m.Milestone == Milestone.Walk).Hours.ShouldBe(48);
        stones.Single(m => m.Milestone == Milestone.Walk).Mpa.ShouldBe(10);
    }

    [Fact]
    public void What_is_under_the_table_carries_no_car_and_what_is_never_wetted_lives_a_day_on_its_own_water()
    {
        Milestones.For(Samples.Mix() with { Known = StrengthKnown.Under }, CureUse.Slab).ShouldNotContain(m => m.Milestone == Milestone.Cars);
        StrengthGain.Stopped(Samples.Mix(), 0, 20).ShouldBe(StrengthGain.Moist(Samples.Mix(), 20), 1e-9);
        Gen.Select(Gen.Double[0, 28 * 24], Gen.Double[1, 5000]).Sample((wet, age) => StrengthGain.Stopped(Samples.Mix(), wet, age) <= 25 + 1e-9
            && StrengthGain.Stopped(Samples.Mix(), wet, age + 5) >= StrengthGain.Stopped(Samples.Mix(), wet, age) - 1e-9);
    }
}
