using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Batching;

public sealed class BatchesTests
{
    [Fact]
    public void Whole_bags_are_preferred_where_they_cost_no_batch()
    {
        var plan = Split(160, HalfBag, 26);
        plan.Units.ShouldAllBe(u => u % 2 == 0);
        plan.Units.Length.ShouldBe(7);
    }

    [Fact]
    public void Seven_level_batches_beat_six_and_a_scrap()
    {
        // 14 bags where two fit: seven of two.
        var plan = Split(14 * 11.7, HalfBag, 25);
        plan.Units.ShouldBe(Enumerable.Repeat(4, 7));
    }

    [Theory]
    [InlineData(5.3, 1)] // a stone of half a bag opens no second half
    [InlineData(11.7, 2)]
    [InlineData(15.1, 3)] // a tread of one bag and a third: one and a half, not two
    [InlineData(23.0, 4)]
    public void A_small_pour_takes_half_bags_where_whole_ones_are_too_much(double litres, int halves) => Split(litres, HalfBag, 60).Units.Sum().ShouldBe(halves);

    [Theory]
    [InlineData(98, 44)] // a twentieth over: eleven whole buckets
    [InlineData(21.0, 10)] // halves of one
    [InlineData(4.4, 2)]
    [InlineData(6.0, 3)] // quarters where halves are too much
    public void Containers_come_whole_else_in_halves_else_in_quarters(double litres, int quarters) =>
        Split(litres, new BatchUnit(Volume.FromLitres(2.25), Volume.FromLitres(2.25), PerWhole: 4, Mass.FromKilograms(4.6), Mass.FromKilograms(5)), 400).Units.Sum().ShouldBe(quarters);

    [Fact]
    public void A_bag_that_fits_to_the_millilitre_fits() => Split(11.7, HalfBag, 11.7).Units.ShouldBe([2]);

    [Fact]
    public void A_mixer_too_small_for_the_least_unit_is_refused_with_both_sizes() => Batches
        .Split(Volume.FromLitres(100), HalfBag, BatchLimit.Of(Volume.FromLitres(5))).ShouldBe(new Batched.MixerTooSmall(HalfBag.Yield, Volume.FromLitres(5)));

    [Fact]
    public void More_batches_than_anyone_would_mix_are_refused() =>
        Batches.Split(Volume.FromCubicMetres(1e9), HalfBag, BatchLimit.Of(Volume.FromLitres(20))).ShouldBeOfType<Batched.TooMany>().Count.ShouldBeGreaterThan(Batches.Most);

    [Fact]
    public void Batches_cover_the_volume_never_exceed_a_limit_and_are_level() => Cases.Sample((litres, unit, capacity) =>
    {
        if (Batches.Split(Volume.FromLitres(litres), unit, BatchLimit.Of(Volume.FromLitres(capacity))) is not Batched.Fits { Plan: var plan })
        {
            return true;
        }

        var covered = plan.Total.Litres >= litres - 1e-6;
        var fits = plan.Units.All(u => u * unit.Yield.Litres <= capacity + 1e-6 && u * unit.LooseVolume.Litres <= (capacity * Mixer.LooseOverCapacity) + 1e-6);
        var step = new[] { unit.PerWhole, Math.Max(1, unit.PerWhole / 2), 1 }.First(s => plan.Units.All(u => u % s == 0));
        var level = plan.Units.Max() - plan.Units.Min() <= step && plan.Units.SequenceEqual(plan.Units.OrderDescending());
        // Nothing to spare that what it is measured in could be taken off, and of more than the least no more than a twentieth over.
        var spare = plan.Total.Litres - litres < (step * unit.Yield.Litres) + 1e-6;
        var least = Math.Max(1, Math.Ceiling((litres / unit.Yield.Litres) - 1e-9));
        spare &= step == 1 || plan.Units.Sum() <= least * 1.05;
        return covered && fits && level && spare && plan.Units.All(u => u > 0);
    });

    [Fact]
    public void No_plan_has_fewer_batches_by_exhaustive_search() =>
        Gen.Select(Gen.Int[1, 24], Gen.Int[1, 6]).Sample((needed, mostUnits) =>
        {
            var unit = new BatchUnit(Volume.FromLitres(6), Volume.FromLitres(6), PerWhole: 1, Mass.FromKilograms(12.5), Mass.FromKilograms(14));
            var plan = ((Batched.Fits)Batches.Split(Volume.FromLitres(needed * 6), unit, BatchLimit.Of(Volume.FromLitres(mostUnits * 6)))).Plan;
            var (fewest, spread) = Exhaustive(needed, mostUnits);
            return plan.Units.Length == fewest && plan.Units.Max() - plan.Units.Min() == spread;
        });

    [Fact]
    public void More_volume_never_takes_fewer_batches_nor_a_bigger_mixer_more() => Cases.Sample((litres, unit, capacity) =>
    {
        int? Count(double l, double c) => Batches.Split(Volume.FromLitres(l), unit, BatchLimit.Of(Volume.FromLitres(c))) is Batched.Fits f ? f.Plan.Units.Length : null;
        var here = Count(litres, capacity);
        return here is null || ((Count(litres * 1.3, capacity) ?? int.MaxValue) >= here && (Count(litres, capacity * 1.3) ?? 0) <= here);
    });

    private static readonly MixerLoad Nothing = new(Bagged: false, Ballast: false, Stone: false, AddedCement: false, Colour: false, Additive: false);

    [Fact]
    public void Every_mixer_has_a_loading_order_with_the_last_water_by_eye()
    {
        var size = Volume.FromLitres(60);
        foreach (var mixer in new Mixer[] { new DrumMixer(size), new PanMixer(size), new DrillMixer(size), new HandMixer(size) })
        {
            var (bags, parts) = (LoadingOrder.For(mixer, Nothing with { Bagged = true }), LoadingOrder.For(mixer, Nothing with { Stone = true }));
            bags.ShouldContain(m => m.Step == LoadingStep.RestOfWaterByEye);
            parts.ShouldContain(m => m.Step == LoadingStep.RestOfWaterByEye);
            parts.ShouldNotContain(m => m.Step == LoadingStep.Bags);
            bags.Concat(parts).ShouldAllBe(m => m.Seconds > 0);
        }
    }

    [Theory]
    [InlineData(19, 14.25)] // a bag of 27 kg is one batch of a pail
    [InlineData(25, 18.75)]
    public void A_bucket_takes_three_quarters_of_itself(double bucketL, double capacityL)
    {
        var bucket = new DrillMixer(Volume.FromLitres(bucketL));
        bucket.Capacity.Litres.ShouldBe(capacityL, 1e-9);
        var rapid = new BatchUnit(Volume.FromLitres(7.1), Volume.FromLitres(8.5), PerWhole: 2, Mass.FromKilograms(12.5), Mass.FromKilograms(14.3)) { Bag = Mass.FromKilograms(25) };
        At(bucket, 1).Fewest(Volume.FromLitres(14.2 * 6), rapid).ShouldBeOfType<Batched.Fits>().Plan.Units.ShouldBe(Enumerable.Repeat(2, 6));
    }

    [Fact]
    public void A_drum_takes_five_bags_of_25_kg_not_seven_unless_its_plate_says_so()
    {
        var drum = At(new DrumMixer(Volume.FromLitres(140)), 2);
        var bag = new BatchUnit(Volume.FromLitres(5.85), Volume.FromLitres(7.8), PerWhole: 2, Mass.FromKilograms(12.5), Mass.FromKilograms(13.63)) { Bag = Mass.FromKilograms(25) };
        Most(drum).ShouldBe(10);
        Most(drum with { Plate = Mass.FromKilograms(400) }).ShouldBe(15); // then by its volume
        Most(drum with { Plate = Mass.FromKilograms(100) }).ShouldBe(7);
        int Most(MixingPlace place) => place.Fewest(Volume.FromLitres(5.85 * 105), bag).ShouldBeOfType<Batched.Fits>().Plan.Units.Max();
    }

    [Theory]
    [InlineData(25, null, 4)] // two bags
    [InlineData(36, null, 3)] // 60 kg is one and a half
    [InlineData(20, null, 4)] // two bags, though 60 kg were three
    [InlineData(25, 110.0, 8)] // four bags at the most
    [InlineData(36, 300.0, 6)] // whatever is asked for
    public void By_hand_a_batch_is_two_bags_or_60_kg_and_four_or_110_where_it_is_asked_for(double bagKg, double? plateKg, int halves)
    {
        var bag = new BatchUnit(Volume.FromLitres(bagKg * 0.235), Volume.FromLitres(bagKg * 0.3125), PerWhole: 2, Mass.FromKilograms(bagKg / 2), Mass.FromKilograms(bagKg * 0.545)) { Bag = Mass.FromKilograms(bagKg) };
        foreach (var mixer in new[] { new HandMixer(Volume.FromLitres(300)) })
        {
            var place = At(mixer, 1) with { Plate = plateKg is { } kg ? Mass.FromKilograms(kg) : null };
            place.Fewest(bag.Yield * (halves * 20), bag).ShouldBeOfType<Batched.Fits>().Plan.Units.Max().ShouldBe(halves);
        }
    }

    private static MixingPlace At(Mixer mixer, int hands) => new(mixer, new Crew(hands), Length.FromMetres(10), null);

    [Fact]
    public void Mass_limits_batches_as_volume_does()
    {
        // Half bags of 13.7 kg: one at a time for one, three for two, whatever the room.
        Heaviest(25).Units.ShouldAllBe(u => u == 1);
        Heaviest(50).Units.Max().ShouldBeLessThanOrEqualTo(3);
        Batches.Split(Volume.FromLitres(100), HalfBag, BatchLimit.Of(Volume.FromLitres(60), Mass.FromKilograms(10)))
            .ShouldBe(new Batched.TooHeavy(HalfBag.Mass, Mass.FromKilograms(10)));
        static BatchPlan Heaviest(double kg) => Batches
            .Split(Volume.FromLitres(100), HalfBag, BatchLimit.Of(Volume.FromLitres(60), Mass.FromKilograms(kg))).ShouldBeOfType<Batched.Fits>().Plan;
    }

    [Fact]
    public void No_batch_outweighs_its_limit_and_a_higher_limit_never_takes_more() =>
        Gen.Select(Cases, Gen.Double[5, 200]).Sample((batch, kg) =>
        {
            var (litres, unit, capacity) = batch;
            int? Count(double most) => Batches.Split(Volume.FromLitres(litres), unit, BatchLimit.Of(Volume.FromLitres(capacity), Mass.FromKilograms(most))) is Batched.Fits { Plan: var plan }
                && plan.Units.All(u => u * unit.Mass.Kilograms <= most + 1e-6) ? plan.Units.Length : null;
            var fits = Batches.Split(Volume.FromLitres(litres), unit, BatchLimit.Of(Volume.FromLitres(capacity), Mass.FromKilograms(kg))) is Batched.Fits;
            return fits == Count(kg) is not null && (Count(kg) is not { } here || Count(kg * 1.5) <= here);
        });

    private static BatchUnit HalfBag => new(Volume.FromLitres(5.85), Volume.FromLitres(7.8), PerWhole: 2, Mass.FromKilograms(12.5), Mass.FromKilograms(13.7));

    private static BatchPlan Split(double litres, BatchUnit unit, double capacityL) =>
        Batches.Split(Volume.FromLitres(litres), unit, BatchLimit.Of(Volume.FromLitres(capacityL))).ShouldBeOfType<Batched.Fits>().Plan;

    private static Gen<(double, BatchUnit, double)> Cases => Gen.Select(
        Gen.Double[1, 3000], Gen.Double[1, 15], Gen.Double[1, 20], Gen.Int[1, 4], Gen.Double[5, 200],
        (litres, yield, loose, whole, capacity) => (litres, new BatchUnit(Volume.FromLitres(yield), Volume.FromLitres(loose), whole, Mass.FromKilograms(yield * 2.1), Mass.FromKilograms(yield * 2.3)), capacity));

    // Tries every non-rising split: fewest batches first, then the least spread.
    private static (int Fewest, int Spread) Exhaustive(int needed, int most)
    {
        for (var batches = 1; ; batches++)
        {
            var best = int.MaxValue;
            void Try(int left, int count, int largest, int first)
            {
                if (count == 0)
                {
                    best = left == 0 ? Math.Min(best, first - largest) : best;
                    return;
                }

                for (var u = Math.Min(left, largest); u >= 1; u--)
                {
                    Try(left - u, count - 1, u, first == 0 ? u : first);
                }
            }

            Try(needed, batches, most, 0);
            if (best != int.MaxValue)
            {
                return (batches, best);
            }
        }
    }
}
