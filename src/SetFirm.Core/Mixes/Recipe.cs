using System.Collections.Immutable;
using System.Text.Json;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>A mix that can be measured out: what one unit of a batch holds, and what the whole job takes. A closed set of kinds.</summary>
public abstract record Recipe(ConcreteMix Mix, BatchUnit Unit, double StoneMm, IReadOnlyList<Dose> Doses, Containers Containers)
{
    /// <summary>Doses are meant for a bag, or for this much cement, kg.</summary>
    public const double CementBagKg = 25;

    /// <summary>How old it is when it reaches the site.</summary>
    public virtual NodaTime.Duration Age => NodaTime.Duration.Zero;

    /// <summary>A batch of so many units, measured out.</summary>
    /// <param name="units">Of this recipe.</param>
    /// <param name="batches">How many like it.</param>
    /// <param name="firstWater">Share of its water that goes in first.</param>
    public abstract BatchRecipe Batch(int units, int batches, double firstWater);

    /// <summary>Strength at other waters.</summary>
    public abstract IReadOnlyList<WaterStrength> Ladder();

    /// <summary>Bags or what is as heavy, kg: what one person lifts at once.</summary>
    public abstract double LiftKg { get; }

    /// <summary>Cement of one unit, kg; null where the bag does not tell.</summary>
    protected abstract double? UnitCementKg { get; }

    /// <summary>How many bags' doses one unit takes.</summary>
    protected abstract double UnitDoses { get; }

    /// <summary>What is weighed against the cement, in so many units; null where the bag does not tell its cement.</summary>
    public double? OfCementKg(Additive kind, int units) => Doses.FirstOrDefault(d => d.Kind == kind) is { Amount: > 0 } dose ? UnitCementKg * units * dose.Amount / 100 : 0;

    /// <summary>Doses of an additive in so many units; of what is weighed against the cement see <see cref="OfCementKg"/>.</summary>
    public double DosesIn(Dose dose, int units) => dose.Amount * UnitDoses * units;

    protected IEnumerable<Measure> MeasuredDoses(int units)
    {
        foreach (var dose in Doses)
        {
            yield return Additives.OfCement(dose.Kind)
                ? new Measure(dose.Kind == Additive.Pigment ? MeasuredThing.Pigment : MeasuredThing.Polymer, "", null, 0, 0, OfCementKg(dose.Kind, units) ?? 0)
                : new Measure(MeasuredThing.Additive, JsonNamingPolicy.CamelCase.ConvertName(dose.Kind.ToString()), null, DosesIn(dose, units), 0, 0);
        }
    }
}

/// <summary>Bags, halved at the least.</summary>
public sealed record BaggedRecipe(ConcreteMix Mix, BagMix Bag, Volume Water, double CementAddedKg, Containers Containers, IReadOnlyList<Dose> Doses)
    : Recipe(
        Mix, UnitOf(Bag, Water, CementAddedKg), Bag.StoneMm, Doses, Containers)
{
    public const int UnitsPerBag = 2;
    private const int Rungs = 13;
    private const double DriestRung = 0.95;
    private const double WettestRung = 1.25;

    public override double LiftKg => Bag.Mass.Kilograms;

    protected override double? UnitCementKg => ((Bag.Mass.Kilograms * Bag.Cement) + CementAddedKg) / UnitsPerBag;

    protected override double UnitDoses => 1.0 / UnitsPerBag;

    /// <summary>A bag with cement added: it yields more, and its w/c and strength follow.</summary>
    public static BaggedRecipe Of(BagMix bag, Volume water, double cementAddedPercent, Containers containers, IReadOnlyList<Dose> doses)
    {
        var added = bag.Mass.Kilograms * cementAddedPercent / 100;
        var (enriched, strength) = (bag.Enriched(added), bag.Enriched(added).StrengthWith(water));
        return new BaggedRecipe(Additives.Into(enriched.MixedWith(water, strength.Strength) with { Known = strength.Known }, doses), bag, water, added, containers, doses);
    }

    public override BatchRecipe Batch(int units, int batches, double firstWater)
    {
        var bags = (double)units / UnitsPerBag;
        var water = Water.Litres * bags;
        var measures = new List<Measure> { new(MeasuredThing.Bag, Bag.Id, null, bags, 0, Bag.Mass.Kilograms * bags) };
        if (CementAddedKg > 0)
        {
            var kg = CementAddedKg * bags;
            measures.Add(new(MeasuredThing.AddedCement, "", null, 0, kg / Ingredients.CementLooseKgPerM3 * 1000, kg));
        }

        measures.AddRange(MeasuredDoses(units));
        measures.Add(new(MeasuredThing.Water, "", Containers.Water.Kind, water / Containers.Water.Size.Litres, water, water));
        return new BatchRecipe(
            units, bags, batches, (Unit.Yield * units).Litres, Unit.Mass.Kilograms * units, [.. measures], water * firstWater, water, Mix.WaterCement, 0, 0);
    }

    public override IReadOnlyList<WaterStrength> Ladder()
    {
        var (from, to) = (Bag.LeastWater.Litres * DriestRung, Bag.MostWater.Litres * WettestRung);
        var (bag, rungs) = (Bag.Enriched(CementAddedKg), new List<WaterStrength>(Rungs));
        for (var i = 0; i < Rungs; i++)
        {
            var litres = from + ((to - from) * i / (Rungs - 1));
            if (bag.StrengthWith(Volume.FromLitres(litres)) is { Known: not StrengthKnown.Under } told)
            {
                rungs.Add(new WaterStrength(litres, told.Strength.Megapascals));
            }
        }

        return rungs;
    }

    private static Volume YieldOf(BagMix bag, double cementKg) => bag.Enriched(cementKg).Yield;

    // Dry powder and stone of a bag lie at about 1,600 kg/m3.
    private static Volume LooseOf(BagMix bag, double cementKg) => Volume.FromCubicMetres(
        ((bag.Mass.Kilograms / Ingredients.SandLooseKgPerM3) + (cementKg / Ingredients.CementLooseKgPerM3)) / UnitsPerBag);

    private static BatchUnit UnitOf(BagMix bag, Volume water, double cementKg) => new(
        YieldOf(bag, cementKg) * (1.0 / UnitsPerBag), LooseOf(bag, cementKg), UnitsPerBag, Mass.FromKilograms((bag.Mass.Kilograms + cementKg) / UnitsPerBag),
        Mass.FromKilograms((bag.Mass.Kilograms + cementKg + water.Litres) / UnitsPerBag))
    { Bag = bag.Mass };
}

/// <summary>Parts by volume in the user's own containers, to the quarter container of cement, and the eighth where a quarter overshoots.</summary>
public sealed record PartsRecipe(
    ConcreteMix Mix, Proportions Proportions, Parts Parts, double StoneMm, Moisture Moisture, double SlumpMm, Containers Containers, IReadOnlyList<Dose> Doses)
    : Recipe(Mix, UnitOf(Proportions, Moisture, StoneMm, Containers), StoneMm, Doses, Containers)
{
    public const int UnitsPerContainer = 8;

    private double UnitM3 => Unit.Yield.CubicMetres;

    public override double LiftKg => CementBagKg;

    protected override double? UnitCementKg => Proportions.CementKg * UnitM3;

    protected override double UnitDoses => Proportions.CementKg * UnitM3 / CementBagKg;

    private bool AirEntrained => Entrained(Doses);

    /// <summary>Parts brought to the table's water for their stone and consistency.</summary>
    public static (Proportions Mix, TableStrength Strength) Proportion(Parts parts, double stoneMm, Consistency consistency, IReadOnlyList<Dose> doses)
    {
        var entrained = Entrained(doses);
        var stone = parts.HasStone ? stoneMm : 0;
        // An entrainer brings what the hardest winters ask.
        var air = entrained ? ExposureLimits.Air(Exposure.FreezesOftenWet, stone) : MixingWater.EntrappedAir(stone);
        var mix = Brought(parts, stone, consistency, doses, air);
        return (mix, WaterCementStrength.Of(mix.WaterCement, entrained));
    }

    public static PartsRecipe Of(Parts parts, double stoneMm, Consistency consistency, Moisture moisture, Containers containers, IReadOnlyList<Dose> doses)
    {
        var (mix, strength) = Proportion(parts, stoneMm, consistency, doses);
        return new PartsRecipe(
            Additives.Into(PartsMix.Mixed(mix, strength.Strength) with { Known = strength.Known }, doses), mix, parts, parts.HasStone ? stoneMm : 0, moisture, Consistencies.SlumpMm(consistency), containers,
            doses);
    }

    public override BatchRecipe Batch(int units, int batches, double firstWater)
    {
        var cement = Containers.Cement.Size * ((double)units / UnitsPerContainer);
        var measured = Measuring.Of(Proportions, Moisture, StoneMm, Containers, cement);
        var got = Measuring.Contents(measured, Moisture, StoneMm, Containers);
        var water = Containers.Water.Size.Litres * measured.Water;
        Measure?[] measures =
        [
            Filled(MeasuredThing.Cement, Containers.Cement, measured.Cement, got.CementKg),
            Filled(MeasuredThing.Sand, Containers.Sand, measured.Sand, got.SandKg),
            Filled(MeasuredThing.Stone, Containers.Stone, measured.Stone, got.StoneKg),
            Filled(MeasuredThing.Ballast, Containers.Stone, measured.Ballast, got.BallastKg),
            .. MeasuredDoses(units),
            Filled(MeasuredThing.Water, Containers.Water, measured.Water, water),
        ];
        return new BatchRecipe(
            units, (double)units / UnitsPerContainer, batches, (Unit.Yield * units).Litres, Unit.Mass.Kilograms * units, [.. measures.OfType<Measure>()], water * firstWater, water,
            measured.WaterCement, measured.WaterCementOff * 100, measured.YieldOff * 100);
    }

    public override IReadOnlyList<WaterStrength> Ladder()
    {
        var rungs = new List<WaterStrength>();
        foreach (var consistency in Enum.GetValues<Consistency>())
        {
            var mix = Brought(Parts, StoneMm, consistency, Doses, Proportions.AirShare);
            if (WaterCementStrength.Of(mix.WaterCement, AirEntrained) is { Known: StrengthKnown.Table or StrengthKnown.Extrapolated } told)
            {
                rungs.Add(new WaterStrength(WaterToAdd(mix.WaterKg) * UnitM3 * UnitsPerContainer, told.Strength.Megapascals));
            }
        }

        return [.. rungs.DistinctBy(r => r.WaterL)];
    }

    // To the table's water, or a slurry to its own.
    private static Proportions Brought(Parts parts, double stoneMm, Consistency consistency, IReadOnlyList<Dose> doses, double air) => parts.IsSlurry
        ? PartsMix.WithRatio(parts, 0, PartsMix.SlurryWaterCement, 0)
        : PartsMix.WithWater(parts, stoneMm, Water(stoneMm, consistency, doses), air);

    private static bool Entrained(IReadOnlyList<Dose> doses) => doses.Any(d => d.Kind == Additive.AirEntrainer);

    private static double Water(double stoneMm, Consistency consistency, IReadOnlyList<Dose> doses) =>
        MixingWater.KgPerM3(stoneMm, Consistencies.SlumpMm(consistency), Entrained(doses)) * (doses.Any(d => d.Kind == Additive.Plasticiser) ? 1 - Additives.PlasticiserSaves : 1);

    private static Measure? Filled(MeasuredThing what, Container container, double count, double kg) =>
        count > 0 || what == MeasuredThing.Water ? new Measure(what, "", container.Kind, count, container.Size.Litres * count, kg) : null;

    private static BatchUnit UnitOf(Proportions mix, Moisture moisture, double stoneMm, Containers containers)
    {
        var cement = containers.Cement.Size * (1.0 / UnitsPerContainer);
        var yield = cement * PartsMix.YieldPerCementLitre(mix);
        var (sandKgM3, stoneKgM3, ballastKgM3) = Measuring.AsItLies(moisture, stoneMm);
        var loose = cement + (yield * ((mix.SandKg / sandKgM3) + (mix.StoneKg / stoneKgM3) + (mix.BallastKg / ballastKgM3)));
        return new BatchUnit(
            yield, loose, UnitsPerContainer, Mass.FromKilograms(yield.CubicMetres * mix.SolidsKg), Mass.FromKilograms(yield.CubicMetres * (mix.SolidsKg + mix.WaterKg)))
        { Shovelled = containers.Sand.Kind == ContainerKind.Shovel, Ordinary = UnitsPerContainer / 4 };
    }

    /// <summary>Of a water in a cubic metre, what is poured in: what sand and stone carry counts as mixing water.</summary>
    public double WaterToAdd(double kgPerM3) => Math.Max(0, kgPerM3 - Proportions.CarriedWaterKg(Moisture));
}
