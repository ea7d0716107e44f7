using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>A mix that can be measured out: what one unit of a batch holds, and what the whole job takes. A closed set of kinds.</summary>
internal abstract record Recipe(ConcreteMix Mix, BatchUnit Unit, double StoneMm)
{
    /// <summary>Water to add to one unit.</summary>
    public abstract Volume WaterPerUnit { get; }

    public abstract BatchReport Batch(int number, int units);

    public abstract MixReport Report(int units);

    /// <summary>Bags or what is as heavy, kg: what one person lifts at once.</summary>
    public abstract double LiftKg { get; }

    private protected MixReport Common(IReadOnlyList<WaterStrength> ladder) => new(
        Mix.Family,
        Mix.F28.Megapascals,
        Mix.WaterCement,
        Mix.CementKgPerM3,
        Mix.WaterKgPerM3,
        Mix.ToInitialSet.TotalHours,
        Mix.ToFinalSet.TotalHours,
        Bagged: null,
        Parts: null,
        ladder);

    private protected BatchReport Plain(int number, int units) => new(
        number, (Unit.Yield * units).Litres, null, (WaterPerUnit * units).Litres, null, null, null, null, null);
}

/// <summary>Bags, halved at the least.</summary>
internal sealed record BaggedRecipe(ConcreteMix Mix, BagMix Bag, Volume Water)
    : Recipe(Mix, new BatchUnit(Bag.Yield * (1.0 / UnitsPerBag), LooseOf(Bag), UnitsPerBag, 1.0 / UnitsPerBag, MassOf(Bag, Water)), Bag.StoneMm)
{
    private const int UnitsPerBag = 2;
    private const int Rungs = 13;
    private const double DriestRung = 0.95;
    private const double WettestRung = 1.25;

    public override Volume WaterPerUnit => Water * (1.0 / UnitsPerBag);

    public override double LiftKg => Bag.Mass.Kilograms;

    public override BatchReport Batch(int number, int units) => Plain(number, units) with { Bags = (double)units / UnitsPerBag };

    public override MixReport Report(int units)
    {
        var count = (int)Math.Ceiling((double)units / UnitsPerBag);
        var kg = Bag.Mass.Kilograms;
        return Common([.. Ladder()]) with
        {
            Bagged = new BaggedReport(
                Bag.Id, count, kg, count * kg, Bag.Yield.Litres, Water.Litres, Bag.LeastWater.Litres, Bag.MostWater.Litres),
        };
    }

    // Dry powder and stone of a bag lie at about 1,600 kg/m3.
    private static Volume LooseOf(BagMix bag) => Volume.FromCubicMetres(bag.Mass.Kilograms / Ingredients.SandLooseKgPerM3 / UnitsPerBag);

    private static Mass MassOf(BagMix bag, Volume water) => Mass.FromKilograms((bag.Mass.Kilograms + water.Litres) / UnitsPerBag);

    private IEnumerable<WaterStrength> Ladder()
    {
        var (from, to) = (Bag.LeastWater.Litres * DriestRung, Bag.MostWater.Litres * WettestRung);
        for (var i = 0; i < Rungs; i++)
        {
            var litres = from + ((to - from) * i / (Rungs - 1));
            if (Bag.StrengthWith(Volume.FromLitres(litres)) is StrengthFromWaterCement.Told told)
            {
                yield return new WaterStrength(litres, told.Strength.Megapascals);
            }
        }
    }
}

/// <summary>Parts by volume in the user's own bucket, to the quarter bucket of cement.</summary>
internal sealed record PartsRecipe(ConcreteMix Mix, Proportions Proportions, Parts Parts, double StoneMm, Moisture Moisture, double SlumpMm, Volume Bucket)
    : Recipe(Mix, UnitOf(Proportions, Parts, Moisture, Bucket), StoneMm)
{
    private const int UnitsPerBucket = 4;
    private const double CementBagKg = 25;

    /// <summary>A bag of concrete in litres, to pace mixing by hand.</summary>
    private const double BagLitres = 12;

    private double UnitM3 => Unit.Yield.CubicMetres;

    public override Volume WaterPerUnit => Volume.FromLitres(WaterToAdd(Mix.WaterKgPerM3) * UnitM3);

    public override double LiftKg => CementBagKg;

    public override BatchReport Batch(int number, int units)
    {
        var cement = (double)units / UnitsPerBucket;
        return Plain(number, units) with
        {
            CementBuckets = cement,
            SandBuckets = cement * Parts.Sand / Parts.Cement * Moistures.SandBulking(Moisture),
            StoneBuckets = cement * Parts.Stone / Parts.Cement,
        };
    }

    public override MixReport Report(int units)
    {
        var total = UnitM3 * units;
        var cement = Proportions.CementKg * total;
        return Common([.. Ladder()]) with
        {
            Parts = new PartsReport(
                Measured(cement, Ingredients.CementLooseKgPerM3),
                Measured(Proportions.SandKg * total, Ingredients.SandLooseKgPerM3 / Moistures.SandBulking(Moisture)),
                Measured(Proportions.StoneKg * total, Ingredients.StoneLooseKgPerM3(StoneMm)),
                WaterPerUnit.Litres * units,
                WaterPerUnit.Litres * UnitsPerBucket,
                (int)Math.Ceiling((cement / CementBagKg) - 1e-9),
                Unit.Yield.Litres * UnitsPerBucket,
                SlumpMm),
        };
    }

    private static BatchUnit UnitOf(Proportions mix, Parts parts, Moisture moisture, Volume bucket)
    {
        var cement = bucket * (1.0 / UnitsPerBucket);
        var yield = cement * PartsMix.YieldPerCementLitre(mix);
        var loose = cement * ((parts.Cement + (parts.Sand * Moistures.SandBulking(moisture)) + parts.Stone) / parts.Cement);
        var wet = yield.CubicMetres * (mix.CementKg + mix.SandKg + mix.StoneKg + mix.WaterKg);
        return new BatchUnit(yield, loose, UnitsPerBucket, yield.Litres / BagLitres, Mass.FromKilograms(wet));
    }

    // What sand and stone carry counts as mixing water.
    private double WaterToAdd(double kgPerM3) => Math.Max(
        0,
        kgPerM3 - (Proportions.SandKg * Moistures.SandWaterShare(Moisture)) - (Proportions.StoneKg * Moistures.StoneWaterShare(Moisture)));

    private IngredientReport Measured(double kg, double looseKgPerM3)
    {
        var litres = kg / looseKgPerM3 * 1000;
        return new IngredientReport(kg, litres, litres / Bucket.Litres);
    }

    private IEnumerable<WaterStrength> Ladder()
    {
        foreach (var consistency in Enum.GetValues<Consistency>())
        {
            var water = MixingWater.KgPerM3(StoneMm, Consistencies.SlumpMm(consistency), airEntrained: false);
            var mix = PartsMix.WithWater(Parts, StoneMm, water, Proportions.AirShare);
            if (WaterCementStrength.Of(mix.WaterCement, airEntrained: false) is StrengthFromWaterCement.Told told)
            {
                yield return new WaterStrength(WaterToAdd(mix.WaterKg) * UnitM3 * UnitsPerBucket, told.Strength.Megapascals);
            }
        }
    }
}
