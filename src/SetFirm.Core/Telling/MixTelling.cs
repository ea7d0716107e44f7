using System.Globalization;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Telling;

/// <summary>A mix and what it takes for the whole job, as it is shown.</summary>
internal static class MixTelling
{
    public static MixReport Of(JobPlan plan, MixPlan mix)
    {
        var (concrete, recipe, units) = (mix.Recipe.Mix, mix.Recipe, plan.Pours.Where(p => p.Mix?.Id == mix.Id).Sum(p => p.Units));
        var first = mix.Index == 0;
        return new MixReport(
            mix.Id,
            mix.Index < 0 ? null : mix.Index,
            concrete.Family,
            concrete.F28.Megapascals,
            concrete.WaterCement,
            concrete.CementKgPerM3,
            concrete.WaterKgPerM3,
            concrete.ToInitialSet.TotalHours,
            concrete.ToFinalSet.TotalHours,
            recipe is BaggedRecipe bagged ? Bagged(bagged, units) : null,
            recipe is PartsRecipe parts ? Parts(parts, units) : null,
            recipe is ReadyRecipe ready ? Ready(ready, units) : null,
            recipe.Ladder(),
            first ? plan.Wanted?.Demand : null,
            first ? [.. plan.Ways.Select(w => new WayReport(w, Taking(w, plan.Said.Mix)))] : []);
    }

    /// <summary>The mix as a way would have it: containers, exposure and what is stirred in stay.</summary>
    internal static MixDocument? Taking(Way way, MixDocument said) => way switch
    {
        { Kind: WayKind.Bagged, Bag: { } bag } => new BaggedMixDocument
        {
            Id = said.Id,
            Exposure = said.Exposure,
            Containers = said.Containers,
            Additives = said.Additives,
            Bag = bag,
            WaterPerBag = way.WaterPerBag ?? "",
            CementAdded = way.CementAddedPct,
        },
        { Kind: WayKind.Parts, Parts: { } parts } => new PartsMixDocument
        {
            Id = said.Id,
            Exposure = said.Exposure,
            Containers = said.Containers,
            Additives = way.AirEntrained && said.Additives.AirEntrainer == 0 ? said.Additives with { AirEntrainer = 1 } : said.Additives,
            Cement = parts.Cement,
            Sand = parts.Sand,
            Stone = parts.Stone,
            Ballast = parts.Ballast,
            StoneMm = way.StoneMm > 0 ? way.StoneMm : said is PartsMixDocument { StoneMm: var mm } ? mm : 20,
            Consistency = way.Consistency ?? Consistency.Plastic,
            Moisture = said is PartsMixDocument { Moisture: var moisture } ? moisture : Moisture.Damp,
        },
        { Kind: WayKind.Truck } => new ReadyMixDocument
        {
            Id = said.Id,
            Exposure = said.Exposure,
            Containers = said.Containers,
            Additives = said.Additives with { AirEntrainer = 0 },
            StrengthMpa = way.F28Mpa,
            StoneMm = way.StoneMm,
            Consistency = way.Consistency ?? Consistency.Plastic,
            Air = way.AirEntrained,
        },
        _ => null,
    };

    private static BaggedReport Bagged(BaggedRecipe recipe, int units)
    {
        var count = (int)Math.Ceiling((double)units / BaggedRecipe.UnitsPerBag);
        var (bag, kg) = (recipe.Bag, recipe.Bag.Mass.Kilograms);
        return new BaggedReport(
            bag.Id, count, kg, count * kg, recipe.Unit.Yield.Litres * BaggedRecipe.UnitsPerBag, recipe.Water.Litres, bag.LeastWater.Litres, bag.MostWater.Litres, count * recipe.CementAddedKg,
            recipe.Water.Litres * units / BaggedRecipe.UnitsPerBag);
    }

    private static ReadyReport Ready(ReadyRecipe recipe, int units)
    {
        var ordered = TruckPrice.OrderedM3(recipe.Unit.Yield.CubicMetres * units);
        return new ReadyReport(ordered * 1000, TruckPrice.Loads(ordered), recipe.Class.Megapascals, recipe.StoneMm, recipe.SlumpMm, recipe.Mix.AirShare * 100, recipe.Terms.Chute);
    }

    private static PartsReport Parts(PartsRecipe recipe, int units)
    {
        var (mix, unitM3, containers) = (recipe.Proportions, recipe.Unit.Yield.CubicMetres, recipe.Containers);
        var total = unitM3 * units;
        var cement = mix.CementKg * total;
        var (sandKgM3, stoneKgM3, ballastKgM3) = Measuring.AsItLies(recipe.Moisture, recipe.StoneMm);
        var water = recipe.WaterToAdd(mix.WaterKg);
        return new PartsReport(
            Lies(cement, Ingredients.CementLooseKgPerM3, containers.Cement),
            Lies(mix.SandKg * total, sandKgM3, containers.Sand),
            Lies(mix.StoneKg * total, stoneKgM3, containers.Stone),
            Lies(mix.BallastKg * total, ballastKgM3, containers.Stone),
            water * total,
            water * unitM3 * PartsRecipe.UnitsPerContainer,
            (int)Math.Ceiling((cement / Recipe.CementBagKg) - 1e-9),
            recipe.Unit.Yield.Litres * PartsRecipe.UnitsPerContainer,
            recipe.SlumpMm,
            mix.AirShare * 100);
    }

    private static IngredientReport Lies(double kg, double kgPerM3, Container container)
    {
        var litres = kg / kgPerM3 * 1000;
        return new IngredientReport(kg, litres, container.Kind, litres / container.Size.Litres);
    }
}
