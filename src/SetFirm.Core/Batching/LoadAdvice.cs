using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>From a volume, a mixer and hands to batches, and whether it is too much for them.</summary>
public static class LoadAdvice
{
    /// <summary>Kept under plastic for patches, litres.</summary>
    public const double HoldBackL = 1.5;

    public const int MostHands = 6;

    /// <summary>The common drum, litres.</summary>
    private const double CommonDrumL = 140;

    /// <param name="place">Mixer and crew.</param>
    /// <param name="recipe">What is mixed.</param>
    /// <param name="orderL">To be placed, waste included.</param>
    /// <param name="holdBackL">Kept back besides.</param>
    /// <param name="at">Where the mixing is said.</param>
    /// <param name="remarks">Takes what stands in the way.</param>
    public static LoadPlan? Plan(MixingPlace place, Recipe recipe, double orderL, double holdBackL, MixingPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        switch (place.Split(Volume.FromLitres(orderL + holdBackL), recipe.Unit))
        {
            case Batched.Fits fits:
                return new LoadPlan(place, fits.Plan);
            case Batched.MixerTooSmall small:
                remarks.Add(new Finding(
                    Severity.Error, at.Mixer.Size, new Notice.MixerTooSmall(UnitL: small.Unit.Litres, CapacityL: small.Capacity.Litres)).Mending(DrumFor(small.Unit, at)));
                return null;
            case Batched.TooHeavy heavy:
                remarks.Add(new Finding(
                    Severity.Error, at.Mixer.Size,
                    new Notice.BatchTooHeavy(UnitKg: heavy.Unit.Kilograms, MostKg: heavy.Most.Kilograms, Hands: place.Crew.Hands, ByPlate: place.LimitedByPlate))
                    .Mending(DrumFor(recipe.Unit.Yield, at)));
                return null;
            case Batched.TooMany many:
                remarks.Fault(at.Mixer.Self, new Notice.TooMany(Count: many.Count, Most: Batches.Most));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    /// <summary>Mixers without anyone to feed them.</summary>
    public static void CheckCrew(Crew crew, MixingPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (crew.Mixers > crew.Hands)
        {
            remarks.Add(new Finding(Severity.Warning, at.Mixers, new Notice.MixersWithoutHands(Mixers: crew.Mixers, Hands: crew.Hands)).Mending(
                crew.Mixers > MostHands ? null : new Remedy(new Mend.AddHand(Hands: crew.Mixers), [new Edit(at.Hands, Number: crew.Mixers)])));
        }
    }

    /// <summary>Whether it is a day's work for so many.</summary>
    /// <param name="load">The batches.</param>
    /// <param name="recipe">What is mixed.</param>
    /// <param name="mixing">How long mixing takes with another crew.</param>
    /// <param name="at">Where the mixing is said.</param>
    /// <param name="remarks">Takes findings.</param>
    public static void CheckDay(LoadPlan load, Recipe recipe, Func<LoadPlan, Duration> mixing, MixingPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(mixing);
        ArgumentNullException.ThrowIfNull(remarks);
        var (volume, hands) = (load.Batches.Total.CubicMetres, load.Crew.Hands);
        Remedy Helper() => new(
            new Mend.AddHand(
                Hands: hands + 1, ComfortM3: Crew.ComfortM3 * (hands + 1), MixingMin: mixing(load.With(load.Crew with { Hands = hands + 1 })).TotalMinutes),
            [new Edit(at.Hands, Number: hands + 1)]);
        if (hands == 1 && volume > Crew.AloneM3)
        {
            remarks.Warn(at.Hands, new Notice.WantsHelper(VolumeM3: volume, LimitM3: Crew.AloneM3), Helper());
        }
        else if (volume > Crew.ComfortM3 * hands)
        {
            var says = new Notice.MoreThanADay(VolumeM3: volume, ComfortM3: Crew.ComfortM3 * hands, ExhaustionM3: Crew.ExhaustionM3 * hands, Hands: hands);
            remarks.Warn(at.Hands, says, hands < MostHands ? [Helper()] : []);
        }

        if (load.Place.Mixer is Mixer.DrillBucket && load.Batches.Units.Length > 1)
        {
            remarks.Note(at.Mixer.Self, new Notice.DrillRests(CycleMin: load.Place.Mixer.Cycle(1, 0).TotalMinutes));
        }

        var bags = load.Batches.Units.Sum() * recipe.Unit.BagsWorth;
        if (load.Place.Mixer.ForFewBags && bags > Crew.ByHandBags)
        {
            remarks.Add(new Finding(Severity.Warning, at.Mixer.Self, new Notice.WantsMixer(Count: Math.Ceiling(bags), Limit: Crew.ByHandBags)).Mending(DrumFor(recipe.Unit.Yield, at)));
        }
    }

    /// <summary>Of each thing, what all batches take: everything is measured out beforehand.</summary>
    public static IReadOnlyList<Measure> MeasureOut(IReadOnlyList<BatchRecipe> recipes) =>
    [
        .. recipes.SelectMany(r => r.Measures.Select(m => (m, r.Batches))).GroupBy(x => (x.m.What, x.m.Of)).Select(g => g.First().m with
        {
            Count = g.Sum(x => x.m.Count * x.Batches),
            Litres = g.Sum(x => x.m.Litres * x.Batches),
            Kg = g.Sum(x => x.m.Kg * x.Batches),
        }),
    ];

    /// <summary>The different batches of a plan, the largest first.</summary>
    public static IReadOnlyList<BatchRecipe> Recipes(LoadPlan load, Recipe recipe)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(recipe);
        return [.. load.Batches.Units.Distinct().OrderDescending().Select(s => recipe.Batch(s, load.Batches.Units.Count(u => u == s), load.FirstWater))];
    }

    /// <summary>What goes into the mixer, as far as the order goes.</summary>
    public static MixerLoad Order(Recipe recipe)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        var load = MixerLoad.Of(recipe.Doses);
        return recipe switch
        {
            BaggedRecipe bagged => load with { Bagged = true, AddedCement = bagged.CementAddedKg > 0 },
            PartsRecipe { Parts: var parts } => load with { Ballast = parts.Ballast > 0, Stone = parts.Stone > 0 },
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }

    public static void Explain(LoadPlan load, Recipe recipe, double orderL, double holdBackL, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        var (plan, mixer, crew) = (load.Batches, load.Place.Mixer, load.Crew);
        var (unitL, capacityL) = (plan.Unit.Yield.Litres, mixer.Capacity.Litres);
        remarks.Why(new Why.Capacity(UnitL: unitL, UnitLooseL: plan.Unit.LooseVolume.Litres, LooseLimitL: capacityL * Mixer.LooseOverCapacity), capacityL, Source.SitePractice);
        remarks.Why(new Why.BatchCount(OrderL: orderL, HoldBackL: holdBackL, CapacityL: capacityL, UnitL: unitL), plan.Units.Length, Source.SitePractice);
        var wholes = Math.Ceiling((double)plan.Units.Sum() / plan.Unit.PerWhole);
        remarks.Why(new Why.WholeBags(OrderL: orderL, HoldBackL: holdBackL, WholeL: unitL * plan.Unit.PerWhole), wholes, Source.SitePractice);
        if (recipe is BaggedRecipe { Bag.Mass.Kilograms: var bagKg })
        {
            remarks.Why(new Why.BagsMass(Bags: wholes, BagKg: bagKg), wholes * bagKg, Source.SitePractice);
        }

        remarks.Why(new Why.HoldBack(LeastL: 1, MostL: 2), holdBackL, Source.SitePractice);
        remarks.Why(
            new Why.HandsWanted(VolumeM3: plan.Total.CubicMetres, ComfortM3: Crew.ComfortM3, ExhaustionM3: Crew.ExhaustionM3), Crew.ComfortFor(plan.Total), Source.SitePractice);
        var cycle = mixer.Cycle(plan.Units.Max() * plan.Unit.BagsWorth, load.Place.Barrow.Metres).TotalMinutes;
        remarks.Why(
            new Why.Cycle(CycleMin: cycle, BarrowM: load.Place.Barrow.Metres, Hands: crew.Hands, Mixers: crew.Running, CrewFactor: crew.CycleFactor), cycle * crew.CycleFactor, Source.SitePractice);
    }

    // The common drum; null where it would be too small itself.
    private static Remedy? DrumFor(Volume unit, MixingPlaces at) => new Mixer.Drum(Volume.FromLitres(CommonDrumL)).Capacity < unit
        ? null
        : new Remedy(
            new Mend.BiggerMixer(SizeL: CommonDrumL), [new Edit(at.Mixer.Kind, Text: "drum"), new Edit(at.Mixer.Size, Text: "140 L"), new Edit(at.Mixer.MostMass, Text: "")]);
}
