using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>A mixer, a crew and the batches they make.</summary>
internal sealed record PlannedLoad(Mixer Mixer, Crew Crew, double BarrowMetres, BatchPlan Batches)
{
    /// <summary>Share of the water that goes in first. Source: site practice.</summary>
    public double FirstWater => Mixer is Mixer.Drum ? 0.5 : 0.8;

    public PourSchedule Schedule(Instant start) => PourSchedule.Of(Batches, Mixer, Crew, BarrowMetres, start);
}

/// <summary>What it is mixed in, by whom, and how far away.</summary>
/// <param name="Mixer">One of them.</param>
/// <param name="Crew">Hands, and how many mixers.</param>
/// <param name="BarrowMetres">One way.</param>
/// <param name="Plate">What the mixer's plate allows; null where nothing is said.</param>
internal sealed record MixingPlace(Mixer Mixer, Crew Crew, double BarrowMetres, Mass? Plate)
{
    /// <summary>True where the plate allows less than who tips it.</summary>
    public bool LimitedByPlate => Plate is { } plate && !(Mixer.MostMass(Crew) is { } lifted && lifted.Kilograms <= plate.Kilograms);

    /// <summary>What one batch may weigh: by the plate, and by who tips it.</summary>
    public Mass? MostMass => LimitedByPlate ? Plate : Mixer.MostMass(Crew);
}

/// <summary>From a volume, a mixer and hands to batches.</summary>
internal static class LoadStep
{
    /// <summary>Kept under plastic for patches.</summary>
    public const double HoldBackL = 1.5;

    public const int MostHands = 6;
    private const int MostMixers = 4;
    private const double MostBarrowMm = 200_000;

    /// <summary>Mixer, crew and barrow run, checked.</summary>
    public static MixingPlace? Place(MixingDocument mixing, Gate gate)
    {
        var size = gate.Volume("/mixing/mixer/size", mixing.Mixer.Size, 4, 2_000);
        var barrow = gate.Length("/mixing/barrowRun", mixing.BarrowRun, 0, MostBarrowMm);
        var hands = gate.InRange("/mixing/hands", mixing.Hands, 1, MostHands) & gate.InRange("/mixing/mixers", mixing.Mixers, 1, MostMixers);
        var (said, mass) = (!string.IsNullOrWhiteSpace(mixing.Mixer.MostMass), (Mass?)null);
        if (said)
        {
            mass = gate.Mass("/mixing/mixer/mostMass", mixing.Mixer.MostMass, 5, 5_000);
        }

        if (size is not { } volume || barrow is not { } run || !hands || (said && mass is null))
        {
            return null;
        }

        if (mixing.Mixers > mixing.Hands)
        {
            gate.Add(Finding.Of(FindingCode.MixersWithoutHands, Severity.Warning, "/mixing/mixers", ("mixers", mixing.Mixers), ("hands", mixing.Hands)).Mending(
                mixing.Mixers > MostHands ? null : new Remedy(
                    RemedyCode.AddHand, [new Edit("/mixing/hands", Number: mixing.Mixers)], new Dictionary<string, double> { ["hands"] = mixing.Mixers })));
        }

        return new MixingPlace(mixing.Mixer.Of(volume), new Crew(mixing.Hands, mixing.Mixers), run.Metres, mass);
    }

    public static PlannedLoad? Plan(MixingPlace? place, Recipe? recipe, double? orderL, Gate gate)
    {
        if (place is not { Mixer: var mixer, Crew: var crew } || recipe is null || orderL is not { } litres)
        {
            return null;
        }

        switch (Batching.Batches.Split(Volume.FromLitres(litres + HoldBackL), recipe.Unit, mixer.Capacity, place.MostMass))
        {
            case Batched.Fits fits:
                var load = new PlannedLoad(mixer, crew, place.BarrowMetres, fits.Plan);
                CheckDay(load, recipe, gate);
                Explain(load, litres, recipe, gate);
                return load;
            case Batched.MixerTooSmall small:
                gate.Add(Finding.Of(
                    FindingCode.MixerTooSmall, Severity.Error, "/mixing/mixer/size",
                    ("unitL", small.Unit.Litres), ("capacityL", small.Capacity.Litres)).Mending(DrumFor(small.Unit)));
                return null;
            case Batched.TooHeavy heavy:
                gate.Add(Finding.Of(
                    FindingCode.BatchTooHeavy, Severity.Error, "/mixing/mixer/size",
                    ("unitKg", heavy.Unit.Kilograms), ("mostKg", heavy.Most.Kilograms), ("hands", crew.Hands)).Naming("by", place.LimitedByPlate ? "plate" : "lift").Mending(DrumFor(recipe.Unit.Yield)));
                return null;
            case Batched.TooMany many:
                gate.Fault(FindingCode.TooMany, "/mixing/mixer", ("count", many.Count), ("most", Batching.Batches.Most));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    /// <summary>Everything measured out beforehand: of each thing, what all batches take.</summary>
    public static IReadOnlyList<MeasureReport> MeasureOut(IReadOnlyList<BatchRecipeReport> recipes) =>
    [
        .. recipes.SelectMany(r => r.Measures.Select(m => (m, r.Batches))).GroupBy(x => (x.m.What, x.m.Of)).Select(g => g.First().m with
        {
            Count = g.Sum(x => x.m.Count * x.Batches),
            Litres = g.Sum(x => x.m.Litres * x.Batches),
            Kg = g.Sum(x => x.m.Kg * x.Batches),
        }),
    ];

    /// <summary>What measuring in quarters does to the mix.</summary>
    public static void CheckRounding(IReadOnlyList<BatchRecipeReport> recipes, Gate gate)
    {
        var worst = recipes.MaxBy(r => Math.Abs(r.WaterCementOffPct))!;
        if (worst.WaterCement is { } ratio && worst.WaterCementOffPct != 0)
        {
            gate.Add(Explanation.For(
                WhyCode.Rounding, "", worst.WaterCementOffPct, Source.Aci211, ("waterCement", ratio), ("yieldPct", worst.YieldOffPct), ("stepShare", Container.Step)));
        }

        if (Math.Abs(worst.WaterCementOffPct) > MostRoundingPct || recipes.Any(r => Math.Abs(r.YieldOffPct) > MostRoundingPct))
        {
            gate.Add(Finding.Of(FindingCode.CoarselyMeasured, Severity.Warning, "/mix/containers", ("offPct", worst.WaterCementOffPct), ("yieldPct", recipes.MaxBy(r => Math.Abs(r.YieldOffPct))!.YieldOffPct)));
        }
    }

    /// <summary>Further off than this it is not the same mix, per cent. (tune)</summary>
    private const double MostRoundingPct = 8;

    private static void CheckDay(PlannedLoad load, Recipe recipe, Gate gate)
    {
        var (volume, hands) = (load.Batches.Total.CubicMetres, load.Crew.Hands);
        var helper = new Remedy(
            RemedyCode.AddHand,
            [new Edit("/mixing/hands", Number: hands + 1)],
            new Dictionary<string, double>
            {
                ["hands"] = hands + 1,
                ["comfortM3"] = Crew.ComfortM3 * (hands + 1),
                ["mixingMin"] = (load with { Crew = load.Crew with { Hands = hands + 1 } }).MixingTime().TotalMinutes,
            });
        if (hands == 1 && volume > Crew.AloneM3)
        {
            gate.Add(Finding.Of(
                FindingCode.WantsHelper, Severity.Warning, "/mixing/hands", ("volumeM3", volume), ("limitM3", Crew.AloneM3)).WithRemedies(helper));
        }
        else if (volume > Crew.ComfortM3 * hands)
        {
            var finding = Finding.Of(
                FindingCode.MoreThanADay, Severity.Warning, "/mixing/hands",
                ("volumeM3", volume), ("comfortM3", Crew.ComfortM3 * hands), ("exhaustionM3", Crew.ExhaustionM3 * hands), ("hands", hands));
            gate.Add(hands < MostHands ? finding.WithRemedies(helper) : finding);
        }

        if (load.Mixer is Mixer.DrillBucket && load.Batches.Units.Length > 1)
        {
            gate.Add(Finding.Of(FindingCode.DrillRests, Severity.Note, "/mixing/mixer", ("cycleMin", load.Mixer.Cycle(1, 0).TotalMinutes)));
        }

        var bags = load.Batches.Units.Sum() * recipe.Unit.BagsWorth;
        if (load.Mixer.ForFewBags && bags > Crew.ByHandBags)
        {
            gate.Add(Finding.Of(
                FindingCode.WantsMixer, Severity.Warning, "/mixing/mixer", ("count", Math.Ceiling(bags)), ("limit", Crew.ByHandBags)).Mending(DrumFor(recipe.Unit.Yield)));
        }
    }

    /// <summary>The common drum; null where it would be too small itself.</summary>
    public static Remedy? DrumFor(Volume unit)
    {
        const double sizeL = 140;
        return new Mixer.Drum(Volume.FromLitres(sizeL)).Capacity < unit
            ? null
            : new Remedy(
                RemedyCode.BiggerMixer,
                [new Edit("/mixing/mixer/kind", Text: "drum"), new Edit("/mixing/mixer/size", Text: "140 L"), new Edit("/mixing/mixer/mostMass", Text: "")],
                new Dictionary<string, double> { ["sizeL"] = sizeL });
    }

    private static Duration MixingTime(this PlannedLoad load)
    {
        var schedule = load.Schedule(default);
        return schedule.MixingEnds - schedule.Batches[0].WaterAdded;
    }

    private static void Explain(PlannedLoad load, double orderL, Recipe recipe, Gate gate)
    {
        var plan = load.Batches;
        gate.Add(Explanation.For(
            WhyCode.Capacity, "", load.Mixer.Capacity.Litres, Source.SitePractice,
            ("unitL", plan.Unit.Yield.Litres), ("unitLooseL", plan.Unit.LooseVolume.Litres), ("looseLimitL", load.Mixer.Capacity.Litres * Mixer.LooseOverCapacity)));
        gate.Add(Explanation.For(
            WhyCode.BatchCount, "", plan.Units.Length, Source.SitePractice,
            ("orderL", orderL), ("holdBackL", HoldBackL), ("capacityL", load.Mixer.Capacity.Litres), ("unitL", plan.Unit.Yield.Litres)));
        var wholes = Math.Ceiling((double)plan.Units.Sum() / plan.Unit.PerWhole);
        gate.Add(Explanation.For(
            WhyCode.Bags, "", wholes, Source.SitePractice,
            ("orderL", orderL), ("holdBackL", HoldBackL), ("wholeL", plan.Unit.Yield.Litres * plan.Unit.PerWhole)));
        if (recipe is BaggedRecipe bagged)
        {
            var bagKg = bagged.Bag.Mass.Kilograms;
            gate.Add(Explanation.For(WhyCode.BagsMass, "", wholes * bagKg, Source.SitePractice, ("bags", wholes), ("bagKg", bagKg)));
        }

        gate.Add(Explanation.For(WhyCode.HoldBack, "", HoldBackL, Source.SitePractice, ("leastL", 1), ("mostL", 2)));
        gate.Add(Explanation.For(
            WhyCode.HandsWanted, "", Crew.ComfortFor(plan.Total), Source.SitePractice, ("volumeM3", plan.Total.CubicMetres), ("comfortM3", Crew.ComfortM3), ("exhaustionM3", Crew.ExhaustionM3)));
        var biggest = plan.Units.Max() * plan.Unit.BagsWorth;
        gate.Add(Explanation.For(
            WhyCode.Cycle, "", load.Mixer.Cycle(biggest, load.BarrowMetres).TotalMinutes * load.Crew.CycleFactor, Source.SitePractice,
            ("cycleMin", load.Mixer.Cycle(biggest, load.BarrowMetres).TotalMinutes), ("barrowM", load.BarrowMetres), ("hands", load.Crew.Hands),
            ("mixers", load.Crew.Running),
            ("crewFactor", load.Crew.CycleFactor)));
    }
}
