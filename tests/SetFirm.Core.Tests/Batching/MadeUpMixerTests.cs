using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Batching;

/// <summary>A mixer that nobody has: all that is known of it stands in one place, and everything that is worked out with a mixer goes by that.</summary>
public sealed class MadeUpMixerTests
{
    private static readonly BatchUnit Bag = new(Volume.FromLitres(12), Volume.FromLitres(16), PerWhole: 1, Mass.FromKilograms(25), Mass.FromKilograms(27.5)) { Bag = Mass.FromKilograms(25) };

    /// <summary>A screw in a trough that a pump empties: whatever is put in at one end comes out mixed where it is wanted.</summary>
    private sealed record ScrewMixer : Mixer
    {
        public override Volume Capacity => Volume.FromLitres(50);

        public override MixedBy By => MixedBy.Machine;

        public override Mass? Carries => Mass.FromKilograms(90);

        public override double FirstWater => 0.9;

        public override bool IsWheeled => false;

        public override bool IsOutgrown(Volume common) => false;

        public override IEnumerable<LoadingMove?> Order(MixerLoad load) => [new(LoadingStep.Bags, 30), load.Colour ? new(LoadingStep.Colour, 10) : null, new(LoadingStep.MixOn, 60)];
    }

    [Fact]
    public void A_mixer_made_up_in_one_place_is_batched_paced_loaded_and_planned()
    {
        var place = new MixingPlace(new ScrewMixer(), new Crew(2), Length.FromMetres(12), null);
        // 90 kg carry three bags of 27.5 kg wet; ten bags go in as few batches, as like each other as can be.
        var plan = place.Fewest(Volume.FromLitres(120), Bag).ShouldBeOfType<Batched.Fits>().Plan;
        plan.Units.ShouldBe([3, 3, 2, 2]);
        var load = new LoadPlan(place, plan, Laying.Slab);
        load.FirstWater.ShouldBe(0.9);
        var (own, drum) = (load.Pace.Of(3), new Pace(place with { Mixer = new DrumMixer(Volume.FromLitres(140)) }, Bag, Laying.Slab).Of(3));
        own.Barrow.ShouldBe(0); // it is pumped
        drum.Barrow.ShouldBeGreaterThan(0);
        (own with { Barrow = drum.Barrow }).ShouldBe(drum);
        LoadingOrder.For(place.Mixer, MixerLoad.Of([])).Select(m => m.Step).ShouldBe([LoadingStep.Bags, LoadingStep.MixOn]);
        LoadingOrder.For(place.Mixer, MixerLoad.Of([]) with { Colour = true, Fibre = true }).Select(m => m.Step).ShouldBe([LoadingStep.Bags, LoadingStep.Colour, LoadingStep.Fibre, LoadingStep.MixOn]);
        var schedule = PourSchedule.Of(load, Samples.Morning);
        schedule.Mixing.TotalMinutes.ShouldBeGreaterThan(3 * own.ToPlaced / 2);
    }
}
