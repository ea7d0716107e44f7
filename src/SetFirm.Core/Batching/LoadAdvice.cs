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

    /// <summary>Over this it is asked where the time goes, minutes.</summary>
    private const double LongMin = 90;

    /// <summary>What saves less is not worth a word, minutes.</summary>
    private const double WorthMin = 5;

    /// <summary>A mixer beside the pour, m.</summary>
    private const double NearM = 5;

    /// <param name="place">Mixer and crew.</param>
    /// <param name="recipe">What is mixed.</param>
    /// <param name="orderL">To be placed, waste included.</param>
    /// <param name="holdBackL">Kept back besides.</param>
    /// <param name="laying">Where it goes.</param>
    /// <param name="at">Where the mixing is said.</param>
    /// <param name="remarks">Takes what stands in the way.</param>
    public static LoadPlan? Plan(MixingPlace place, Recipe recipe, double orderL, double holdBackL, Laying laying, MixingPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(recipe);
        ArgumentNullException.ThrowIfNull(remarks);
        switch (place.Soonest(Volume.FromLitres(orderL + holdBackL), recipe.Unit, laying))
        {
            case Batched.Fits fits:
                return new LoadPlan(place, fits.Plan, laying) { Age = recipe.Age };
            case Batched.MixerTooSmall small:
                remarks.Add(new Finding(
                    Severity.Error, at.Mixer.Size, new Notice.MixerTooSmall(UnitL: small.Unit.Litres, CapacityL: small.Capacity.Litres)).Mending(DrumFor(recipe.Unit, at)));
                return null;
            case Batched.TooHeavy heavy:
                remarks.Add(new Finding(
                    Severity.Error, at.Mixer.Size,
                    new Notice.BatchTooHeavy(UnitKg: heavy.Unit.Kilograms, MostKg: heavy.Most.Kilograms, ByPlate: place.Plate is not null))
                    .Mending(DrumFor(recipe.Unit, at)));
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
        if (recipe is ReadyRecipe truck)
        {
            CheckTruck(load, truck, at, remarks);
            return;
        }

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

        var (place, unit) = (load.Place, recipe.Unit);
        if (place.Mixer.By == MixedBy.Drill && load.Batches.Units.Length > 1)
        {
            remarks.Note(at.Mixer.Self, new Notice.DrillRests(MostPct: PaceFigures.DrillDuty * 100));
        }

        var dryKg = load.Batches.Units.Sum() * unit.Dry.Kilograms;
        if (place.Mixer.By != MixedBy.Machine)
        {
            var heaviest = load.Batches.Units.Max() * unit.Mass.Kilograms;
            var lifted = Crew.LiftKg * Math.Min(hands, 2);
            if (heaviest > lifted)
            {
                remarks.Caution(at.Mixer.Self, new Notice.HeavyBatch(BatchKg: heaviest, LimitKg: lifted));
            }

            if (dryKg > Crew.ByHandKg)
            {
                remarks.Add(new Finding(Severity.Warning, at.Mixer.Self, new Notice.WantsMixer(DryKg: dryKg, LimitKg: Crew.ByHandKg)).Mending(DrumFor(unit, at)));
            }
        }

        var minutes = mixing(load).TotalMinutes;
        if (minutes > LongMin)
        {
            var chart = RoundChart.Of(load);
            remarks.Note(at.Self, new Notice.WhereTimeGoes(MixingMin: minutes, RoundMin: chart.Minutes, Bound: chart.Bound), [.. Quicker(load, mixing, minutes, at)]);
        }
    }

    // Off within its limit, and what it costs to let it wait.
    private static void CheckTruck(LoadPlan load, ReadyRecipe recipe, MixingPlaces at, Remarks remarks)
    {
        double OffMin(LoadPlan with) => PourSchedule.Of(with, default) is var s ? s.Batches.Max(b => (b.Placed - b.WaterAdded).TotalMinutes) : 0;
        var (terms, hands, off) = (recipe.Terms, load.Crew.Hands, OffMin(load));
        var site = PourSchedule.Of(load, default).OnSite(recipe.Age).Max().TotalMinutes;
        var ways = new List<Remedy>();
        for (var more = hands + 1; more <= MostHands && ways.Count == 0; more++)
        {
            var with = load.With(load.Crew with { Hands = more });
            if (OffMin(with) <= terms.Limit.TotalMinutes)
            {
                ways.Add(new Remedy(new Mend.AddHand(Hands: more, MixingMin: OffMin(with) - recipe.Age.TotalMinutes), [new Edit(at.Hands, Number: more)]));
            }
        }

        if (off > terms.Limit.TotalMinutes)
        {
            remarks.Warn(at.Hands, new Notice.TruckNotOffInTime(OffMin: off, LimitMin: terms.Limit.TotalMinutes, AgeMin: recipe.Age.TotalMinutes, VolumeM3: load.Batches.Total.CubicMetres), [.. ways]);
        }

        if (site > terms.OnSite.TotalMinutes)
        {
            remarks.Note(at.Hands, new Notice.TruckWaits(SiteMin: site, PaidMin: terms.OnSite.TotalMinutes));
        }
    }

    // What would shorten it, the most first: each with the time it would take then.
    private static IEnumerable<Remedy> Quicker(LoadPlan load, Func<LoadPlan, Duration> mixing, double minutes, MixingPlaces at)
    {
        var (place, crew, total) = (load.Place, load.Crew, load.Batches.Total);
        var found = new List<(double Minutes, Remedy Remedy)>();
        void Try(LoadPlan? with, Func<double, Mend> does, params IReadOnlyList<Edit> edits)
        {
            if (with is not null && mixing(with).TotalMinutes is var takes && takes < minutes - WorthMin)
            {
                found.Add((takes, new Remedy(does(takes), edits)));
            }
        }

        LoadPlan? In(MixingPlace other) => other.Soonest(total, load.Batches.Unit, load.Laying) is Batched.Fits fits ? load with { Place = other, Batches = fits.Plan } : null;
        if (crew.Hands < MostHands)
        {
            Try(load.With(crew with { Hands = crew.Hands + 1 }), m => new Mend.AddHand(Hands: crew.Hands + 1, MixingMin: m), new Edit(at.Hands, Number: crew.Hands + 1));
        }

        if (crew.Mixers < crew.Hands)
        {
            Try(load.With(crew with { Mixers = crew.Mixers + 1 }), m => new Mend.SecondMixer(Mixers: crew.Mixers + 1, MixingMin: m), new Edit(at.Mixers, Number: crew.Mixers + 1));
        }

        if (place.Mixer.IsOutgrown(Volume.FromLitres(CommonDrumL)) && DrumFor(load.Batches.Unit, at) is { Edits: var edits })
        {
            Try(In(place with { Mixer = new DrumMixer(Volume.FromLitres(CommonDrumL)), Plate = null }), m => new Mend.BiggerMixer(SizeL: CommonDrumL, MixingMin: m), [.. edits]);
        }

        if (place.Barrow.Metres > NearM)
        {
            Try(
                load with { Place = place with { Barrow = Length.FromMetres(NearM) } }, m => new Mend.MixNearer(RunM: NearM, MixingMin: m),
                new Edit(at.BarrowRun, Text: string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{NearM} m")));
        }

        return found.OrderBy(f => f.Minutes).Select(f => f.Remedy);
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
    /// <param name="load">The batches.</param>
    /// <param name="recipe">What is mixed.</param>
    /// <param name="fibreKgPerM3">Stirred in; 0 for none.</param>
    public static IReadOnlyList<BatchRecipe> Recipes(LoadPlan load, Recipe recipe, double fibreKgPerM3 = 0)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(recipe);
        BatchRecipe One(int units) => recipe.Batch(units, load.Batches.Units.Count(u => u == units), load.FirstWater);
        BatchRecipe WithFibre(BatchRecipe batch) => fibreKgPerM3 <= 0
            ? batch
            : batch with { Measures = batch.Measures.Insert(batch.Measures.Length - 1, new Measure(MeasuredThing.Fibre, "", null, 0, 0, fibreKgPerM3 * batch.VolumeL / 1000)) };
        return [.. load.Batches.Units.Distinct().OrderDescending().Select(s => WithFibre(One(s)))];
    }

    /// <summary>What goes into the mixer, as far as the order goes.</summary>
    public static MixerLoad Order(Recipe recipe, bool fibre = false)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        var load = MixerLoad.Of(recipe.Doses) with { Fibre = fibre };
        return recipe switch
        {
            BaggedRecipe bagged => load with { Bagged = true, AddedCement = bagged.CementAddedKg > 0 },
            PartsRecipe { Parts: var parts } => load with { Ballast = parts.Ballast > 0, Stone = parts.Stone > 0 },
            ReadyRecipe => load,
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
        var (pace, units) = (load.Pace, plan.Units.Max());
        var (batch, round) = (pace.Of(units), RoundChart.Of(load));
        remarks.Why(
            new Why.Round(
                ChargeMin: batch.Charge, MixMin: batch.Mix, EmptyMin: batch.Empty, BarrowMin: batch.Barrow, SpreadMin: batch.Spread, StrikeMin: batch.StrikeOff,
                LabourMin: pace.Labour(batch, crew.Hands), Hands: crew.Hands, Mixers: crew.Running),
            round.Minutes, Source.SitePractice);
    }

    /// <summary>Says where the time from the first water to the last batch goes.</summary>
    /// <param name="load">The batches, and who makes them.</param>
    /// <param name="mixing">As the day has it; null while no day is known.</param>
    /// <param name="remarks">Takes the reason.</param>
    public static void ExplainMixing(LoadPlan load, Duration? mixing, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(remarks);
        var (plan, pace) = (load.Batches, load.Pace);
        var together = PourSchedule.Of(load, default).Mixing;
        remarks.Why(
            new Why.MixingTime(
                Batches: plan.Units.Length, RoundMin: RoundChart.Of(load).Minutes, LastMin: pace.Of(plan.Units[^1]).Whole, RestMin: load.Place.Figures.RestMin,
                TonnesAHand: plan.Units.Sum(u => pace.TonnesAHand(u)), SlowerPct: PaceFigures.SlowerATonne * 100, AwayMin: mixing is { } real ? (real - together).TotalMinutes : 0),
            (mixing ?? together).TotalMinutes, Source.SitePractice);
    }

    // The common drum; null where it would be too small itself.
    private static Remedy? DrumFor(BatchUnit unit, MixingPlaces at)
    {
        var drum = new MixingPlace(new DrumMixer(Volume.FromLitres(CommonDrumL)), new Crew(1), default, null);
        return drum.Fewest(unit.Yield, unit) is not Batched.Fits ? null : new Remedy(
            new Mend.BiggerMixer(SizeL: CommonDrumL), [new Edit(at.Mixer.Kind, Text: "drum"), new Edit(at.Mixer.Size, Text: "140 L"), new Edit(at.Mixer.MostMass, Text: "")]);
    }
}
