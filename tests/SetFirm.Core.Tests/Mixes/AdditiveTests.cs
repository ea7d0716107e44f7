using CsCheck;
using NodaTime;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Tests.Mixes;

/// <summary>Additives scale the clock; uses ask for what they need, and their schools give it.</summary>
public sealed class AdditiveTests
{
    [Theory]
    [InlineData(Additive.Retarder, 1, 2)]
    [InlineData(Additive.Retarder, 0.5, 1.41421356)]
    [InlineData(Additive.Accelerator, 1, 0.6)]
    [InlineData(Additive.ChlorideAccelerator, 1, 0.6)]
    [InlineData(Additive.Accelerator, 3, 0.6)] // more does no more
    [InlineData(Additive.Plasticiser, 1, 1)]
    [InlineData(Additive.Pigment, 6, 1)]
    [InlineData(Additive.Polymer, 12, 1)]
    public void A_dose_scales_both_set_times(Additive kind, double amount, double factor)
    {
        var plain = Samples.Mix(initialSetH: 5, finalSetH: 7);
        var mixed = Additives.Into(plain, [new Dose(kind, amount)]);
        mixed.ToInitialSet.TotalHours.ShouldBe(5 * factor, 1e-6);
        mixed.ToFinalSet.TotalHours.ShouldBe(7 * factor, 1e-6);
        mixed.F28.ShouldBe(plain.F28);
    }

    [Fact]
    public void Doses_multiply_in_any_order() => Gen.Select(Gen.Double[0, 2], Gen.Double[0, 1]).Sample((retarder, accelerator) =>
    {
        Dose[] doses = [new(Additive.Retarder, retarder), new(Additive.Accelerator, accelerator)];
        return Math.Abs(Additives.SetFactor(doses) - Additives.SetFactor(doses.Reverse())) < 1e-12
            && Additives.Into(Samples.Mix(), doses).ToInitialSet >= Duration.FromHours(5 * 0.6) - Duration.FromSeconds(1);
    });

    [Fact]
    public void Every_use_is_told_what_it_asks_and_its_schools_reach_the_strength_they_aim_at()
    {
        foreach (var use in Enum.GetValues<MixUse>())
        {
            var (stiffest, softest) = MixUses.Consistency(use);
            (stiffest <= softest).ShouldBeTrue($"{use}");
            foreach (var way in MixUses.Ways(use))
            {
                var stone = way.Parts.HasStone ? way.StoneMm : 0;
                var mix = PartsMix.WithWater(way.Parts, stone, MixingWater.KgPerM3(stone, Consistencies.SlumpMm(way.Consistency), airEntrained: false), MixingWater.EntrappedAir(stone));
                var strength = WaterCementStrength.Of(mix.WaterCement, airEntrained: false);
                if (way.School == PartsSchool.PolymerSand)
                {
                    strength.Known.ShouldBe(StrengthKnown.AtLeast); // richer than the table goes
                }
                else if ((use, way.School) != (MixUse.Drive, PartsSchool.OneTwoFour)) // for paths: under cars the report calls it too weak
                {
                    strength.Strength.Megapascals.ShouldBeGreaterThanOrEqualTo(MixUses.LeastMpa(use), $"{use} {way.School}");
                }
            }
        }
    }

    [Theory]
    [InlineData(Exposure.NoFreezing, 20, null, 0)]
    [InlineData(Exposure.FreezesSeldomWet, 24, 0.55, 0.045)] // a third of 100 mm is a large stone
    [InlineData(Exposure.FreezesOftenWet, 31, 0.45, 0.06)]
    [InlineData(Exposure.DeIcingSalt, 34.5, 0.40, 0.06)] // with steel
    public void Winter_raises_what_a_slab_asks(Exposure exposure, double mpa, double? waterCement, double air)
    {
        var demand = MixUses.Demand([MixUse.Slab], exposure, steel: true, 100, 100);
        demand.AirShare.ShouldBe(air, 1e-9);
        demand.ShouldBe(new MixDemand(mpa, waterCement, demand.AirShare, 100 * MixUses.StoneShareOfThickness, 100, 100, Consistency.Plastic, Consistency.Plastic));
    }

    [Theory]
    [InlineData(10, 0.06, 0.075)]
    [InlineData(12.5, 0.055, 0.07)]
    [InlineData(16.25, 0.0525, 0.065)]
    [InlineData(20, 0.05, 0.06)]
    [InlineData(25, 0.045, 0.06)]
    public void Air_goes_by_the_stone(double stoneMm, double seldom, double often)
    {
        ExposureLimits.Air(Exposure.FreezesSeldomWet, stoneMm).ShouldBe(seldom, 1e-9);
        ExposureLimits.Air(Exposure.FreezesOftenWet, stoneMm).ShouldBe(often, 1e-9);
        ExposureLimits.Of(Exposure.DeIcingSalt, stoneMm, steel: false).ShouldBe(new ExposureLimits(0.45, 31, ExposureLimits.Air(Exposure.DeIcingSalt, stoneMm)));
    }

    [Fact]
    public void Of_several_uses_the_hardest_counts_and_every_consistency_is_allowed()
    {
        var demand = MixUses.Demand([MixUse.Slab, MixUse.Curb], Exposure.NoFreezing, steel: false, 60, 140);
        demand.LeastMpa.ShouldBe(30);
        (demand.Stiffest, demand.Softest).ShouldBe((Consistency.Stiff, Consistency.Plastic));
        demand.MostStoneMm.ShouldBe(20, 1e-9);
    }

    [Fact]
    public void Ballast_is_its_sand_and_its_stone_by_mass()
    {
        var all = PartsMix.WithRatio(new Parts(1, 0, 0, 4), 20, 0.5, 0.02);
        var sandKg = all.BallastKg * 0.38;
        var stoneKg = all.BallastKg * 0.62;
        var volume = (all.CementKg / 3150) + (sandKg / 2650) + (stoneKg / 2680) + (all.WaterKg / 1000) + 0.02;
        volume.ShouldBe(1, 1e-12);
        all.CarriedWaterKg(Moisture.Wet).ShouldBe((sandKg * 0.06) + (stoneKg * 0.02), 1e-9);
        all.CarriedWaterKg(Moisture.Dry).ShouldBe(0);
        Moistures.BallastBulking(Moisture.Wet).ShouldBe(1 + (0.38 * 0.25), 1e-12);
    }

    [Fact]
    public void Cement_on_top_of_a_bag_yields_its_own_volume_and_lowers_the_water_cement_ratio()
    {
        var bag = BagCatalogue.Find("topping-60lb")!;
        var rich = bag.Enriched(2);
        (rich.Mass.Kilograms - bag.Mass.Kilograms).ShouldBe(2, 1e-9);
        (rich.Yield.Litres - bag.Yield.Litres).ShouldBe(2 / 3.15, 1e-9);
        (rich.Mass.Kilograms * rich.Cement!.Value).ShouldBe((bag.Mass.Kilograms * bag.Cement!.Value) + 2, 1e-9);
        rich.WaterCementWith(bag.MiddleWater)!.Value.ShouldBeLessThan(bag.WaterCementWith(bag.MiddleWater)!.Value);
        BagCatalogue.Find("mortar-60lb")!.Enriched(2).Cement.ShouldBeNull();
        bag.Enriched(0).ShouldBe(bag);
    }
}
