using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Takeoff;

/// <summary>What a recipe is made of, to be bought.</summary>
public static class RecipeNeeds
{
    /// <param name="recipe">Of the mix.</param>
    /// <param name="units">Of it.</param>
    /// <param name="sold">Where.</param>
    /// <param name="measured">Dry kilograms that measuring in quarters takes, of a thing; null where nothing is batched yet.</param>
    public static IEnumerable<Need> Of(Recipe recipe, int units, UnitSystem sold, Func<MeasuredThing, double?> measured)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(measured);
        var dry = recipe switch
        {
            BaggedRecipe bagged => Bags(bagged, units, sold),
            PartsRecipe parts => Parts(parts, units, sold, measured),
            ReadyRecipe ready => Truck(ready, units),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        // What goes into a truck goes in at the plant.
        return recipe.Doses.Count == 0 || recipe is ReadyRecipe ? dry : dry.Concat(Doses(recipe, units));
    }

    private static IEnumerable<Need> Truck(ReadyRecipe recipe, int units)
    {
        var ordered = TruckPrice.OrderedM3(recipe.Unit.Yield.CubicMetres * units);
        return [new Need(Goods.TruckM3, ordered, WorkTask.Pour), new Need(Goods.TruckShort, Math.Max(0, TruckPrice.LeastM3 - ordered), WorkTask.Pour), new Need(Goods.TruckDelivery, TruckPrice.Loads(ordered), WorkTask.Pour)];
    }

    private static IEnumerable<Need> Bags(BaggedRecipe recipe, int units, UnitSystem sold)
    {
        var count = (double)units / BaggedRecipe.UnitsPerBag;
        return [Measured(Goods.Bag(recipe.Bag), count), Measured(Goods.Cement(sold), count * recipe.CementAddedKg)];
    }

    // Bought as it lies: the water that sand and stone carry is weighed with them.
    private static IEnumerable<Need> Parts(PartsRecipe recipe, int units, UnitSystem sold, Func<MeasuredThing, double?> measured)
    {
        var (total, mix) = (recipe.Unit.Yield.CubicMetres * units, recipe.Proportions);
        double Kg(MeasuredThing what, double perM3) => measured(what) ?? perM3 * total;
        return
        [
            Measured(Goods.Cement(sold), Kg(MeasuredThing.Cement, mix.CementKg)),
            Measured(Goods.Sand, Kg(MeasuredThing.Sand, mix.SandKg) * (1 + Moistures.SandWaterShare(recipe.Moisture))),
            Measured(Goods.Stone, Kg(MeasuredThing.Stone, mix.StoneKg) * (1 + Moistures.StoneWaterShare(recipe.Moisture))),
            Measured(Goods.Ballast, Kg(MeasuredThing.Ballast, mix.BallastKg) * (1 + Moistures.BallastWaterShare(recipe.Moisture))),
        ];
    }

    private static IEnumerable<Need> Doses(Recipe recipe, int units) => recipe.Doses.Select(dose => Additives.OfCement(dose.Kind)
        ? Measured(dose.Kind == Additive.Pigment ? Goods.Pigment : Goods.Polymer, recipe.OfCementKg(dose.Kind, units) ?? 0)
        : Measured(Goods.Additive(dose.Kind), recipe.DosesIn(dose, units)));

    private static Need Measured(Good good, double amount) => new(good, amount, WorkTask.MeasureOut);
}
