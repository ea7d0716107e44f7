using CsCheck;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Mixes;

public sealed class MixTests
{
    [Theory]
    [InlineData(0.41, false, 41.4)]
    [InlineData(0.48, false, 34.5)]
    [InlineData(0.57, false, 27.6)]
    [InlineData(0.68, false, 20.7)]
    [InlineData(0.82, false, 13.8)]
    [InlineData(0.40, true, 34.5)]
    [InlineData(0.48, true, 27.6)]
    [InlineData(0.59, true, 20.7)]
    [InlineData(0.74, true, 13.8)]
    public void The_strength_table_comes_out_exactly_at_its_points(double ratio, bool air, double mpa) =>
        WaterCementStrength.Of(ratio, air).Strength.Megapascals.ShouldBe(mpa, 1e-9);

    [Theory]
    [InlineData(0.50, StrengthKnown.Table)]
    [InlineData(0.86, StrengthKnown.Extrapolated)]
    [InlineData(0.88, StrengthKnown.Under)] // under the table's end, and nothing may rely on it
    [InlineData(0.35, StrengthKnown.AtLeast)]
    [InlineData(double.NaN, StrengthKnown.Under)]
    public void Beyond_the_table_by_a_little_it_goes_on_and_by_more_it_says_at_least_or_under(double ratio, StrengthKnown known)
    {
        var told = WaterCementStrength.Of(ratio, airEntrained: false);
        told.Known.ShouldBe(known);
        (known is StrengthKnown.AtLeast or StrengthKnown.Under ? told.Strength.Megapascals : 0).ShouldBe(known switch { StrengthKnown.AtLeast => 41.4, StrengthKnown.Under => 13.8, _ => 0 });
    }

    [Fact]
    public void More_water_is_never_stronger() =>
        Gen.Select(Gen.Double[0.37, 0.86], Gen.Double[0.37, 0.86]).Sample((a, b) =>
            (Mpa(a) <= Mpa(b)) == (a >= b) || a == b);

    [Theory]
    [InlineData(10, 37.5, false, 207)]
    [InlineData(10, 162.5, false, 243)]
    [InlineData(12.5, 87.5, false, 216)]
    [InlineData(19, 87.5, false, 205)]
    [InlineData(25, 162.5, false, 202)]
    [InlineData(10, 87.5, true, 202)]
    [InlineData(19, 37.5, true, 168)]
    [InlineData(0, 100, false, 270)]
    [InlineData(19, 500, false, 216)]
    [InlineData(40, 37.5, false, 179)]
    [InlineData(19, 62.5, false, 197.5)]
    public void The_water_table_comes_out_at_its_points_between_and_beyond(double stoneMm, double slumpMm, bool air, double kg) =>
        MixingWater.KgPerM3(stoneMm, slumpMm, air).ShouldBe(kg, 1e-9);

    [Fact]
    public void Every_recipe_fills_a_cubic_metre_by_absolute_volume() => PartsAndStone.Sample((parts, stoneMm) =>
    {
        var mix = PartsMix.WithWater(parts, stoneMm, MixingWater.KgPerM3(stoneMm, 87.5, airEntrained: false), MixingWater.EntrappedAir(stoneMm));
        var filled = (mix.CementKg / Ingredients.CementKgPerM3) + (mix.SandKg / Ingredients.SandKgPerM3)
            + (mix.StoneKg / Ingredients.StoneKgPerM3) + (mix.WaterKg / 1000) + mix.AirShare;
        return Math.Abs(filled - 1) < 1e-12;
    });

    [Fact]
    public void A_recipe_is_the_same_whether_told_by_its_water_or_by_its_ratio() => PartsAndStone.Sample((parts, stoneMm) =>
    {
        var byWater = PartsMix.WithWater(parts, stoneMm, 205, 0.02);
        var byRatio = PartsMix.WithRatio(parts, stoneMm, byWater.WaterCement, 0.02);
        return Math.Abs(byWater.CementKg - byRatio.CementKg) < 1e-6 && Math.Abs(byWater.SandKg - byRatio.SandKg) < 1e-6;
    });

    [Fact]
    public void Doubling_every_part_changes_nothing() => PartsAndStone.Sample((parts, stoneMm) =>
    {
        var one = PartsMix.WithWater(parts, stoneMm, 205, 0.02);
        var two = PartsMix.WithWater(new Parts(2 * parts.Cement, 2 * parts.Sand, 2 * parts.Stone), stoneMm, 205, 0.02);
        return Math.Abs(one.CementKg - two.CementKg) < 1e-9 * one.CementKg;
    });

    [Fact]
    public void A_general_bag_runs_from_0_43_to_0_62_of_net_water_to_cement()
    {
        var bag = BagCatalogue.Find("general-80lb")!;
        bag.WaterCementWith(bag.LeastWater)!.Value.ShouldBe(0.443, 0.005);
        bag.WaterCementWith(bag.MiddleWater)!.Value.ShouldBe(0.532, 0.005);
        bag.WaterCementWith(bag.MostWater)!.Value.ShouldBe(0.621, 0.005);
    }

    [Fact]
    public void A_bag_keeps_its_promise_at_the_middle_of_its_water_and_never_claims_more()
    {
        foreach (var bag in BagCatalogue.All)
        {
            Told(bag, bag.MiddleWater).ShouldBe(bag.F28.Megapascals, 1e-9);
            Told(bag, bag.LeastWater).ShouldBe(bag.F28.Megapascals, 1e-9);
            Told(bag, bag.MostWater).ShouldBeLessThanOrEqualTo(bag.F28.Megapascals);
        }
    }

    [Fact]
    public void Water_moves_both_set_times_of_a_bag_and_never_those_of_a_rapid_one()
    {
        foreach (var bag in BagCatalogue.All.Where(b => b.LeastWater.Litres < b.MostWater.Litres))
        {
            var (dry, wet) = (bag.MixedWith(bag.LeastWater, bag.F28), bag.MixedWith(bag.MostWater, bag.F28));
            bag.MixedWith(bag.MiddleWater, bag.F28).ToInitialSet.ShouldBe(bag.ToInitialSet);
            (dry.ToInitialSet < wet.ToInitialSet && dry.ToFinalSet < wet.ToFinalSet).ShouldBe(bag.Family != MixFamily.Rapid, bag.Id);
        }
    }

    [Fact]
    public void Bags_have_unique_names_and_rising_ranges()
    {
        BagCatalogue.All.Select(b => b.Id).ShouldBeUnique();
        BagCatalogue.All.ShouldAllBe(b => b.LeastWater.Litres <= b.MostWater.Litres && b.ToInitialSet < b.ToFinalSet);
        BagCatalogue.Find(BagCatalogue.DefaultMetric).ShouldNotBeNull();
        BagCatalogue.Find(BagCatalogue.DefaultUs).ShouldNotBeNull();
        BagCatalogue.Find("no-such-bag").ShouldBeNull();
    }

    [Fact]
    public void A_mix_by_parts_sets_sooner_the_less_water_it_has()
    {
        var stiff = PartsMix.Mixed(PartsMix.WithRatio(new Parts(1, 2, 3), 20, 0.45, 0.02), Strength.FromMegapascals(30));
        var wet = PartsMix.Mixed(PartsMix.WithRatio(new Parts(1, 2, 3), 20, 0.65, 0.02), Strength.FromMegapascals(30));
        stiff.ToInitialSet.ShouldBeLessThan(wet.ToInitialSet);
        PartsMix.Mixed(PartsMix.WithRatio(new Parts(1, 2, 3), 20, 0.55, 0.02), Strength.FromMegapascals(30)).ToInitialSet.TotalHours.ShouldBe(5, 1e-9);
    }

    [Fact]
    public void Every_exposure_moisture_and_consistency_has_its_figures()
    {
        foreach (var exposure in Enum.GetValues<Exposure>())
        {
            ExposureLimits.Of(exposure, 10, steel: false).AirShare.ShouldBeGreaterThanOrEqualTo(ExposureLimits.Of(exposure, 20, steel: false).AirShare);
        }

        Enum.GetValues<Moisture>().ShouldAllBe(m => Moistures.SandWaterShare(m) <= 0.08 && Moistures.SandBulking(m) >= 1 && Moistures.StoneWaterShare(m) <= 0.02);
        Enum.GetValues<Consistency>().Select(Consistencies.SlumpMm).ShouldBeInOrder();
    }

    private static readonly double[] StonesMm = [0, 10, 12.5, 20, 25];

    private static Gen<(Parts, double)> PartsAndStone => Gen.Select(
        Gen.Double[0.5, 3], Gen.Double[0, 5], Gen.Double[0, 6], Gen.Int[0, 4].Select(i => StonesMm[i]), (c, s, g, mm) => (new Parts(c, s, g), mm));

    private static double Mpa(double ratio) =>
        WaterCementStrength.Of(ratio, airEntrained: false).Strength.Megapascals;

    private static double Told(BagMix bag, Volume water) =>
        bag.StrengthWith(water).Strength.Megapascals;
}
