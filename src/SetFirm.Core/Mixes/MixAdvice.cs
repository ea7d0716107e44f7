using System.Globalization;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>A mix as said and read. A closed set of kinds.</summary>
public abstract record MixSaid(Exposure Exposure, Containers Containers, IReadOnlyList<Dose> Doses)
{
    /// <param name="Bag">From the catalogue, or the user's own.</param>
    /// <param name="Water">To one bag.</param>
    /// <param name="CementAddedPct">Of the bag's mass.</param>
    /// <param name="Exposure">Where it will lie.</param>
    /// <param name="Containers">What it is measured with.</param>
    /// <param name="Doses">Stirred in.</param>
    public sealed record Bagged(BagMix Bag, Volume Water, double CementAddedPct, Exposure Exposure, Containers Containers, IReadOnlyList<Dose> Doses) : MixSaid(Exposure, Containers, Doses);

    /// <param name="Class">Strength class that is asked for.</param>
    /// <param name="StoneMm">Largest stone.</param>
    /// <param name="Consistency">How it is to move.</param>
    /// <param name="Air">It comes with air for frost.</param>
    /// <param name="Terms">The supplier's.</param>
    /// <param name="Exposure">Where it will lie.</param>
    /// <param name="Containers">Not used, and kept.</param>
    /// <param name="Doses">Put in at the plant.</param>
    public sealed record Ready(
        Strength Class, double StoneMm, Consistency Consistency, bool Air, TruckTerms Terms, Exposure Exposure, Containers Containers, IReadOnlyList<Dose> Doses) : MixSaid(Exposure, Containers, Doses);

    /// <param name="Parts">By loose volume.</param>
    /// <param name="StoneMm">Largest stone.</param>
    /// <param name="Consistency">How it is to move.</param>
    /// <param name="Moisture">Of sand and stone.</param>
    /// <param name="Exposure">Where it will lie.</param>
    /// <param name="Containers">What it is measured with.</param>
    /// <param name="Doses">Stirred in.</param>
    public sealed record ByParts(
        Parts Parts, double StoneMm, Consistency Consistency, Moisture Moisture, Exposure Exposure, Containers Containers, IReadOnlyList<Dose> Doses) : MixSaid(Exposure, Containers, Doses);
}

/// <summary>Another bag that would do.</summary>
/// <param name="Bag">Its id.</param>
/// <param name="WaterPerBag">Text for the job: empty takes the middle of its range.</param>
/// <param name="CementAddedPct">Of its mass.</param>
/// <param name="F28Mpa">To expect.</param>
/// <param name="CostMoney">Of all of it.</param>
public sealed record BagInstead(string Bag, string WaterPerBag, double CementAddedPct, double F28Mpa, double CostMoney);

/// <summary>From a mix as said to its recipe, and what the use and the winter ask of it.</summary>
public static class MixAdvice
{
    /// <summary>Water is proposed to this much, litres.</summary>
    private const double StepL = 0.05;

    /// <summary>Air that is measured to this much is there, 0-1.</summary>
    private const double AirSlack = 1e-9;

    /// <summary>Measured further off than this it is not the same mix, per cent. (tune)</summary>
    private const double MostRoundingPct = 8;

    /// <param name="said">As read.</param>
    /// <param name="at">Where it is said.</param>
    /// <param name="of">Which mix of the job, for its whys; empty is the first.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static Recipe Plan(MixSaid said, MixPlaces at, string of, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(remarks);
        Recipe recipe = said switch
        {
            MixSaid.Bagged bagged => Bagged(bagged, at, of, remarks),
            MixSaid.ByParts parts => ByParts(parts, at, of, remarks),
            MixSaid.Ready ready => Ready(ready, at, of, remarks),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        CheckDoses(recipe, at, remarks);
        Explain(recipe.Mix, of, remarks);
        return recipe;
    }

    /// <summary>What the section asks: a bag has its range of thickness, a stone its least.</summary>
    /// <param name="recipe">The mix.</param>
    /// <param name="thinnest">Of the element.</param>
    /// <param name="at">Where that is said.</param>
    /// <param name="mix">Where the mix is said.</param>
    /// <param name="other">A bag that would do, weighed when one is wanted; null where none is known.</param>
    /// <param name="remarks">Takes the finding.</param>
    public static void CheckSection(Recipe recipe, Length thinnest, Place at, MixPlaces mix, Lazy<BagInstead?>? other, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        var mostStone = thinnest.Millimetres * MixUses.StoneShareOfThickness;
        if (recipe is BaggedRecipe { Bag: var bag } && !bag.Takes(thinnest.Millimetres, thinnest.Millimetres))
        {
            remarks.Add(new Finding(
                Severity.Warning, at,
                new Notice.ThicknessOutsideMix(
                    ThicknessMm: thinnest.Millimetres, LeastMm: bag.LeastThickness.Millimetres, MostMm: bag.MostThickness?.Millimetres ?? 0)).Mending(Other()));
        }
        else if (TradeSizes.Over(recipe.StoneMm, mostStone))
        {
            remarks.Add(new Finding(
                Severity.Warning, at, new Notice.StoneTooLarge(StoneMm: recipe.StoneMm, MostMm: mostStone, ThicknessMm: thinnest.Millimetres)).Mending(Other() ?? NoStone(recipe, mix)));
        }

        Remedy? Other() => recipe is BaggedRecipe && other?.Value is { } instead ? Take(instead, mix) : null;
    }

    /// <summary>Coarse stone sinks in a plasticised mix that stands deep.</summary>
    public static void CheckDepth(Recipe recipe, Length deepest, MixPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        if (recipe.Doses.Any(d => d.Kind == Additive.Plasticiser) && recipe.StoneMm >= Additives.CoarseMm && deepest.Metres > Additives.PlasticisedDeepM)
        {
            remarks.Warn(
                at.Additive(Additive.Plasticiser),
                new Notice.PlasticisedSegregates(StoneMm: recipe.StoneMm, DeepMm: deepest.Millimetres, MostMm: Additives.PlasticisedDeepM * 1000), Without(Additive.Plasticiser, at));
        }
    }

    /// <summary>What measuring in quarters of a container does to the mix.</summary>
    public static void CheckRounding(IReadOnlyList<BatchRecipe> recipes, MixPlaces at, string of, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        var worst = recipes.MaxBy(r => Math.Abs(r.WaterCementOffPct))!;
        if (worst.WaterCement is { } ratio && worst.WaterCementOffPct != 0)
        {
            remarks.WhyOf(of, new Why.Rounding(WaterCement: ratio, YieldPct: worst.YieldOffPct, StepShare: Container.Step), worst.WaterCementOffPct, Source.Aci211);
        }

        if (Math.Abs(worst.WaterCementOffPct) > MostRoundingPct || recipes.Any(r => Math.Abs(r.YieldOffPct) > MostRoundingPct))
        {
            remarks.Warn(at.Containers, new Notice.CoarselyMeasured(OffPct: worst.WaterCementOffPct, YieldPct: recipes.MaxBy(r => Math.Abs(r.YieldOffPct))!.YieldOffPct));
        }
    }

    private static Remedy Take(BagInstead bag, MixPlaces at) => new(
        new Mend.OtherBag(F28Mpa: bag.F28Mpa, CostMoney: bag.CostMoney, Bag: bag.Bag),
        [new Edit(at.Bag, Text: bag.Bag), new Edit(at.WaterPerBag, Text: bag.WaterPerBag), new Edit(at.CementAdded, Number: bag.CementAddedPct)]);

    private static Remedy? NoStone(Recipe recipe, MixPlaces at) =>
        recipe is not PartsRecipe { Parts.Sand: > 0, Parts.Ballast: 0 } ? null : new Remedy(new Mend.NoStone(), [new Edit(at.Stone, Number: 0)]);

    private static Remedy Without(Additive kind, MixPlaces at) => new(new Mend.WithoutAdditive(), [new Edit(at.Additive(kind), Number: 0)]);

    private static BaggedRecipe Bagged(MixSaid.Bagged said, MixPlaces at, string of, Remarks remarks)
    {
        var (bag, water) = (said.Bag, said.Water);
        var enriched = bag.Enriched(bag.Mass.Kilograms * said.CementAddedPct / 100);
        var recipe = BaggedRecipe.Of(bag, water, said.CementAddedPct, said.Containers, said.Doses);
        var f28 = recipe.Mix.F28;
        CheckKnown(recipe.Mix, at.WaterPerBag, remarks);
        CheckBagWater(said, f28, at, remarks);
        remarks.WhyOf(of, new Why.BagWater(LeastL: bag.LeastWater.Litres, MostL: bag.MostWater.Litres), water.Litres, Source.SitePractice);
        remarks.WhyOf(
            of,
            new Why.BagStrength(
                F28Mpa: bag.F28.Megapascals, WaterCement: enriched.WaterCementWith(water) ?? 0, MiddleWaterCement: enriched.WaterCementWith(bag.MiddleWater) ?? 0,
                SoakedPct: BagMix.SoaksUp * 100),
            f28.Megapascals, Source.Aci211);
        return recipe;
    }

    private static void CheckBagWater(MixSaid.Bagged said, Strength f28, MixPlaces at, Remarks remarks)
    {
        const double slackL = 1e-6;
        var (bag, water) = (said.Bag, said.Water);
        var (middleL, middleMpa) = (bag.MiddleWater.Litres, bag.StrengthWith(bag.MiddleWater).Strength.Megapascals);
        var back = new Edit(at.WaterPerBag, Text: "");
        var middle = new Remedy(new Mend.BagMiddleWater(WaterL: middleL, F28Mpa: middleMpa), [back]);
        if (water.Litres > bag.MostWater.Litres + slackL)
        {
            // It moves as if it had more water, and keeps the strength of the bag.
            var plasticised = new Remedy(new Mend.PlasticiseInstead(WaterL: middleL, F28Mpa: middleMpa), [back, new Edit(at.Additive(Additive.Plasticiser), Number: 1)]);
            var known = bag.Family == MixFamily.Rapid || said.Doses.Any(d => d.Kind == Additive.Plasticiser);
            remarks.Warn(
                at.WaterPerBag,
                new Notice.WaterOverBagLimit(WaterL: water.Litres, MostL: bag.MostWater.Litres, F28Mpa: f28.Megapascals, BestF28Mpa: bag.F28.Megapascals),
                known ? [middle] : [plasticised, middle]);
        }
        else if (water.Litres < bag.LeastWater.Litres - slackL)
        {
            remarks.Warn(at.WaterPerBag, new Notice.WaterUnderBagLimit(WaterL: water.Litres, LeastL: bag.LeastWater.Litres), middle);
        }
    }

    private static PartsRecipe ByParts(MixSaid.ByParts said, MixPlaces at, string of, Remarks remarks)
    {
        var parts = said.Parts;
        var recipe = PartsRecipe.Of(parts, said.StoneMm, said.Consistency, said.Moisture, said.Containers, said.Doses);
        var (mix, f28) = (recipe.Proportions, recipe.Mix.F28);
        CheckKnown(recipe.Mix, at.Cement, remarks);
        var moisture = said.Moisture;
        remarks.WhyOf(
            of, new Why.PartsWater(StoneMm: recipe.StoneMm, SlumpMm: recipe.SlumpMm, AirPct: mix.AirShare * 100, CarriedKg: mix.CarriedWaterKg(moisture)), mix.WaterKg, Source.Aci211);
        remarks.WhyOf(
            of,
            new Why.PartsCement(
                CementParts: parts.Cement, SandParts: parts.Sand, StoneParts: parts.Stone, BallastParts: parts.Ballast, YieldL: PartsMix.YieldPerCementLitre(mix)),
            mix.CementKg, Source.Aci211);
        remarks.WhyOf(
            of, new Why.PartsSand(SandParts: parts.Sand, Bulking: Moistures.SandBulking(moisture), WaterPct: Moistures.SandWaterShare(moisture) * 100), mix.SandKg, Source.SitePractice);
        remarks.WhyOf(of, new Why.PartsStone(StoneParts: parts.Stone, WaterPct: Moistures.StoneWaterShare(moisture) * 100), mix.StoneKg, Source.SitePractice);
        remarks.WhyOf(
            of,
            new Why.PartsBallast(
                BallastParts: parts.Ballast, SandPct: Ingredients.SandShareOfBallast * 100, Bulking: Moistures.BallastBulking(moisture),
                WaterPct: Moistures.BallastWaterShare(moisture) * 100),
            mix.BallastKg, Source.SitePractice);
        remarks.WhyOf(of, new Why.PartsStrength(WaterCement: mix.WaterCement), f28.Megapascals, Source.Aci211);
        return recipe;
    }

    private static ReadyRecipe Ready(MixSaid.Ready said, MixPlaces at, string of, Remarks remarks)
    {
        var recipe = ReadyRecipe.Of(said.Class, said.StoneMm, said.Consistency, said.Air, said.Terms, said.Containers, said.Doses);
        remarks.Note(at.Self, new Notice.NoWaterBeyondTheTicket());
        remarks.WhyOf(of, new Why.ReadyStrength(WaterCement: recipe.Mix.WaterCement ?? 0, Air: said.Air), said.Class.Megapascals, Source.Aci211);
        return recipe;
    }

    // Off the table a mix can be mixed as ever; only what relies on its strength cannot.
    private static void CheckKnown(ConcreteMix mix, Place at, Remarks remarks)
    {
        if (mix is { WaterCement: { } ratio, Known: StrengthKnown.AtLeast or StrengthKnown.Under })
        {
            var lean = mix.Known == StrengthKnown.Under;
            remarks.Add(new Finding(
                lean ? Severity.Warning : Severity.Note, at, new Notice.WaterCementOutsideTable(WaterCement: ratio, EndMpa: mix.F28.Megapascals, Lean: lean)));
        }
    }

    /// <summary>What winters ask of it.</summary>
    /// <param name="exposure">Where it lies.</param>
    /// <param name="recipe">The mix.</param>
    /// <param name="steel">There is steel in something that is cast of it.</param>
    /// <param name="at">Where it is said.</param>
    /// <param name="remarks">Takes the findings.</param>
    public static void CheckExposure(Exposure exposure, Recipe recipe, bool steel, MixPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        var (mix, limits) = (recipe.Mix, ExposureLimits.Of(exposure, recipe.StoneMm, steel));
        if (mix.WaterCement is { } ratio && limits.MostWaterCement is { } most && ratio > most)
        {
            var less = recipe is BaggedRecipe bagged ? LessWater(bagged.Bag, most, at) : null;
            remarks.Add(new Finding(Severity.Warning, at.Exposure, new Notice.ExposureWaterCement(WaterCement: ratio, Most: most)).Mending(less));
        }
        else if (exposure == Exposure.NoFreezing && mix.WaterCement > ExposureLimits.GoodOutdoors)
        {
            remarks.Note(at.Exposure, new Notice.WetForOutdoors(WaterCement: mix.WaterCement.Value, Good: ExposureLimits.GoodOutdoors));
        }

        if (mix.F28.Megapascals < limits.LeastMpa || mix.Known == StrengthKnown.Under)
        {
            remarks.Warn(at.Exposure, new Notice.ExposureStrength(F28Mpa: mix.F28.Megapascals, LeastMpa: limits.LeastMpa));
        }

        if (mix.AirShare < limits.AirShare - AirSlack)
        {
            Remedy[] air = recipe is PartsRecipe ? [new Remedy(new Mend.StirInAir(), [new Edit(at.Additive(Additive.AirEntrainer), Number: 1)])] : [];
            remarks.Warn(at.Exposure, new Notice.ExposureAir(AirPct: mix.AirShare * 100, WantedPct: limits.AirShare * 100), air);
        }
    }

    // The most water, to 50 mL, that keeps a bag within a limit; null where the bag cannot be mixed so dry.
    private static Remedy? LessWater(BagMix bag, double mostWaterCement, MixPlaces at)
    {
        var litres = DriestFor(bag, mostWaterCement);
        return litres < bag.LeastWater.Litres ? null : new Remedy(
            new Mend.LessWater(WaterL: litres, F28Mpa: bag.StrengthWith(Volume.FromLitres(litres)).Strength.Megapascals),
            [new Edit(at.WaterPerBag, Text: string.Create(CultureInfo.InvariantCulture, $"{litres:0.00} L"))]);
    }

    /// <summary>The most water to a bag, to 50 mL, that keeps its net w/c within a limit, litres.</summary>
    public static double DriestFor(BagMix bag, double mostWaterCement)
    {
        ArgumentNullException.ThrowIfNull(bag);
        var soaked = bag.MostWater.Litres - bag.NetLitres(bag.MostWater);
        return Math.Floor(((mostWaterCement * bag.Mass.Kilograms * (bag.Cement ?? 0)) + soaked + 1e-9) / StepL) * StepL;
    }

    private static void CheckDoses(Recipe recipe, MixPlaces at, Remarks remarks)
    {
        foreach (var (kind, amount) in recipe.Doses.Select(d => (d.Kind, d.Amount)))
        {
            var place = at.Additive(kind);
            switch (kind)
            {
                case Additive.Retarder or Additive.Plasticiser when recipe.Mix.Family == MixFamily.Rapid:
                    // Its maker's set control and flow aid, a matched pair, are the usual way to place it thin.
                    remarks.Note(place, new Notice.RapidTakesItsOwn(kind));
                    break;
                case var _ when recipe.Mix.Family == MixFamily.Rapid:
                    remarks.Warn(place, new Notice.RapidTakesItsOwn(kind), Without(kind, at));
                    break;
                case Additive.Retarder when amount > Additives.MostRetarder:
                    remarks.Warn(
                        place, new Notice.TooMuchRetarder(Doses: amount, Most: Additives.MostRetarder),
                        new Remedy(new Mend.OneDose(Doses: Additives.MostRetarder), [new Edit(place, Number: Additives.MostRetarder)]));
                    break;
                case Additive.Pigment when amount > Additives.UsualPigmentPercent:
                    remarks.Add(new Finding(
                        amount > Additives.MostPigmentPercent ? Severity.Warning : Severity.Note, place,
                        new Notice.TooMuchPigment(GivenPct: amount, UsualPct: Additives.UsualPigmentPercent, MostPct: Additives.MostPigmentPercent)).Mending(
                        new Remedy(new Mend.UsualPigment(PigmentPct: Additives.UsualPigmentPercent), [new Edit(place, Number: Additives.UsualPigmentPercent)])));
                    break;
                case Additive.AirEntrainer when recipe is BaggedRecipe:
                    remarks.Warn(place, new Notice.AirNotForBags(), Without(kind, at));
                    break;
                case Additive.Accelerator or Additive.ChlorideAccelerator when recipe.Doses.Any(d => d.Kind == Additive.Retarder):
                    remarks.Warn(place, new Notice.RetardedAndAccelerated(), Without(kind, at));
                    break;
                case var weighed when Additives.OfCement(weighed) && recipe.OfCementKg(weighed, 1) is null:
                    remarks.Note(place, new Notice.PigmentByLabel());
                    break;
            }
        }
    }

    private static void Explain(ConcreteMix mix, string of, Remarks remarks)
    {
        remarks.WhyOf(of, new Why.InitialSet(WaterCement: mix.WaterCement ?? 0, FinalSetH: mix.ToFinalSet.TotalHours), mix.ToInitialSet.TotalHours, Source.AstmC403);
        if (mix is { WaterCement: { } ratio, CementKgPerM3: { } cement })
        {
            remarks.WhyOf(of, new Why.WaterToCement(WaterKg: mix.WaterKgPerM3, CementKg: cement), ratio, Source.Aci211);
        }
    }
}
