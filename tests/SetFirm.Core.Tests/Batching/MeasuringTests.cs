using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Batching;

/// <summary>A recipe in the user's own containers: in quarters, and honest about what that does.</summary>
public sealed class MeasuringTests
{
    private static readonly Gen<(Proportions Mix, Moisture Moisture, double StoneMm, Containers Containers, Volume Cement)> Cases =
        from sand in Gen.Double[0.5, 4]
        from stone in Gen.Double[0, 4]
        from ballast in Gen.OneOf(Gen.Const(0.0), Gen.Double[0.5, 5])
        from ratio in Gen.Double[0.4, 0.8]
        from moisture in Gen.Enum<Moisture>()
        from sizes in Gen.Select(Gen.Double[2, 20], Gen.Double[1, 20], Gen.Double[1, 60], Gen.Double[0.2, 5])
        from quarters in Gen.Int[1, 24]
        let stoneMm = stone > 0 || ballast > 0 ? 20.0 : 0
        select (
            PartsMix.WithRatio(new Parts(1, sand, stone, ballast), stoneMm, ratio, MixingWater.EntrappedAir(stoneMm)), moisture, stoneMm,
            new Containers(Of(ContainerKind.Bucket, sizes.Item1), Of(ContainerKind.Shovel, sizes.Item2), Of(ContainerKind.Barrow, sizes.Item3), Of(ContainerKind.Jug, sizes.Item4)),
            Volume.FromLitres(sizes.Item1 * quarters / 4));

    [Fact]
    public void Everything_comes_in_quarters_none_more_than_half_of_one_off_unless_a_clean_count_is_within_a_twentieth() => Cases.Sample((mix, moisture, stoneMm, containers, cement) =>
    {
        var batch = Measuring.Of(mix, moisture, stoneMm, containers, cement);
        var scale = cement.CubicMetres * 1505 / mix.CementKg;
        (double Count, double Exact)[] all =
        [
            (batch.Cement, cement.Litres / containers.Cement.Size.Litres),
            (batch.Sand, mix.SandKg * scale * Moistures.SandBulking(moisture) / 1.6 / containers.Sand.Size.Litres),
            (batch.Stone, mix.StoneKg * scale / 1.55 / containers.Stone.Size.Litres),
            (batch.Water, Math.Max(0, (mix.WaterKg - mix.CarriedWaterKg(moisture)) * scale) / containers.Water.Size.Litres),
        ];
        return all.All(a => Math.Abs((a.Count * 4) - Math.Round(a.Count * 4)) < 1e-9
            && (Math.Abs(a.Count - a.Exact) <= Math.Max(0.125, 0.05 * a.Exact) + 1e-9 || (a.Count == 0.25 && a.Exact < 0.25))
            && a.Count > 0 == a.Exact > 0);
    });

    [Theory]
    [InlineData(2.04, 2)]
    [InlineData(1.92, 2)]
    [InlineData(4.8, 5)]
    [InlineData(2.4, 2.5)] // no whole near, a half
    [InlineData(2.25, 2.25)]
    [InlineData(0.3, 0.25)]
    [InlineData(0.05, 0.25)]
    public void Whole_buckets_are_counted_where_they_are_within_a_twentieth(double wanted, double counted) =>
        Of(ContainerKind.Bucket, 12).Counted(Volume.FromLitres(12 * wanted)).ShouldBe(counted);

    [Fact]
    public void A_job_by_parts_overshoots_by_a_twentieth_or_an_eighth_of_a_container_whichever_is_more() =>
        Gen.Select(Gen.Double[20, 900], Gen.Int[1, 3], Gen.Double[8, 20], Gen.Double[75, 180]).Sample((litres, sand, bucket, drum) =>
        {
            var containers = new Containers(Of(ContainerKind.Bucket, bucket), Of(ContainerKind.Bucket, bucket), Of(ContainerKind.Bucket, bucket), Of(ContainerKind.Bucket, bucket));
            var unit = PartsRecipe.Of(new Parts(1, sand, sand + 1), 20, Consistency.Plastic, Moisture.Damp, containers, []).Unit;
            var place = new MixingPlace(new DrumMixer(Volume.FromLitres(drum)), new Crew(2), Length.FromMetres(10), null);
            if (place.Fewest(Volume.FromLitres(litres), unit) is not Batched.Fits { Plan: var plan })
            {
                return true;
            }

            var over = plan.Total.Litres - litres;
            return over >= -1e-6 && over <= Math.Max(0.05 * Math.Ceiling(litres / unit.Yield.Litres) * unit.Yield.Litres, 0) + unit.Yield.Litres + 1e-6;
        });

    [Fact]
    public void The_containers_hold_the_water_cement_ratio_and_the_volume_within_the_error_that_is_stated() => Cases.Sample((mix, moisture, stoneMm, containers, cement) =>
    {
        var batch = Measuring.Of(mix, moisture, stoneMm, containers, cement);
        // By hand from the counts: kilograms in each container, and the water that comes with them.
        var cementKg = batch.Cement * containers.Cement.Size.Litres * 1.505;
        var sandKg = batch.Sand * containers.Sand.Size.Litres * 1.6 / Moistures.SandBulking(moisture);
        var stoneKg = batch.Stone * containers.Stone.Size.Litres * (stoneMm > 0 ? 1.55 : 1.52);
        var ballastKg = batch.Ballast * containers.Stone.Size.Litres * 1.75 / (1 + (0.38 * (Moistures.SandBulking(moisture) - 1)));
        var (wet, damp) = (Moistures.SandWaterShare(moisture), Moistures.StoneWaterShare(moisture));
        var water = (batch.Water * containers.Water.Size.Litres) + (sandKg * wet) + (stoneKg * damp) + (ballastKg * ((0.38 * wet) + (0.62 * damp)));
        var volume = ((cementKg / 3150) + ((sandKg + (0.38 * ballastKg)) / 2650) + ((stoneKg + (0.62 * ballastKg)) / 2680) + (water / 1000)) / (1 - mix.AirShare);
        return Math.Abs((water / cementKg) - (mix.WaterCement * (1 + batch.WaterCementOff))) < 1e-9
            && Math.Abs(volume - (cementKg / mix.CementKg * (1 + batch.YieldOff))) < 1e-9
            && Math.Abs(batch.WaterCement - (water / cementKg)) < 1e-9;
    });

    [Fact]
    public void Smaller_containers_are_never_coarser_on_the_water()
    {
        var mix = PartsMix.WithRatio(new Parts(1, 2, 3), 20, 0.55, 0.02);
        double Off(double jugL) => Math.Abs(Measuring.Of(mix, Moisture.Dry, 20, new Containers(
            Of(ContainerKind.Bucket, 12), Of(ContainerKind.Bucket, 12), Of(ContainerKind.Bucket, 12), Of(ContainerKind.Jug, jugL)), Volume.FromLitres(24)).WaterCementOff);
        Off(0.1).ShouldBeLessThan(0.002);
        Off(0.1).ShouldBeLessThanOrEqualTo(Off(12));
    }

    [Theory]
    [InlineData(1, 1, "Everything 1")]
    [InlineData(2, 1, "Mixes 1, WheelsAndPlaces 1")]
    [InlineData(3, 1, "Mixes 1, Wheels 1, Places 1")]
    [InlineData(2, 2, "Everything 2")]
    [InlineData(6, 2, "Mixes 2, Wheels 2, Places 2")]
    [InlineData(1, 3, "Everything 1")]
    public void Everyone_of_the_crew_has_a_task(int hands, int mixers, string tasks)
    {
        var crew = new Crew(hands, mixers);
        string.Join(", ", crew.Tasks.Select(t => $"{t.Role} {t.People}")).ShouldBe(tasks);
        crew.Tasks.Sum(t => t.People).ShouldBe(hands);
    }

    private static Container Of(ContainerKind kind, double litres) => new(kind, Volume.FromLitres(litres));
}
