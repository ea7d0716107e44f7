using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>A mixer, a crew and the batches they make.</summary>
internal sealed record PlannedLoad(Mixer Mixer, Crew Crew, double BarrowMetres, BatchPlan Batches)
{
    public PourSchedule Schedule(Instant start) => PourSchedule.Of(Batches, Mixer, Crew, BarrowMetres, start);
}

/// <summary>From a volume, a mixer and hands to batches.</summary>
internal static class LoadStep
{
    /// <summary>Kept under plastic for patches.</summary>
    public const double HoldBackL = 1.5;

    private const int MostHands = 6;
    private const double MostBarrowMm = 200_000;

    public static PlannedLoad? Plan(MixingDocument mixing, Recipe? recipe, double? orderL, Gate gate)
    {
        var size = gate.Volume("/mixing/mixer/size", mixing.Mixer.Size, 4, 2_000);
        var barrow = gate.Length("/mixing/barrowRun", mixing.BarrowRun, 0, MostBarrowMm);
        var hands = gate.InRange("/mixing/hands", mixing.Hands, 1, MostHands);
        if (size is not { } volume || barrow is not { } run || !hands || recipe is null || orderL is not { } litres)
        {
            return null;
        }

        var mixer = mixing.Mixer.Of(volume);
        switch (Batching.Batches.Split(Volume.FromLitres(litres + HoldBackL), recipe.Unit, mixer.Capacity, mixer.MostMass(new Crew(mixing.Hands))))
        {
            case Batched.Fits fits:
                var load = new PlannedLoad(mixer, new Crew(mixing.Hands), run.Metres, fits.Plan);
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
                    ("unitKg", heavy.Unit.Kilograms), ("mostKg", heavy.Most.Kilograms), ("hands", mixing.Hands)).Mending(DrumFor(recipe.Unit.Yield)));
                return null;
            case Batched.TooMany many:
                gate.Fault(FindingCode.TooMany, "/mixing/mixer", ("count", many.Count), ("most", Batching.Batches.Most));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

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
                ["mixingMin"] = (load with { Crew = new Crew(hands + 1) }).MixingTime().TotalMinutes,
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
    private static Remedy? DrumFor(Volume unit)
    {
        const double sizeL = 140;
        return new Mixer.Drum(Volume.FromLitres(sizeL)).Capacity < unit
            ? null
            : new Remedy(
                RemedyCode.BiggerMixer,
                [new Edit("/mixing/mixer/kind", Text: "drum"), new Edit("/mixing/mixer/size", Text: "140 L")],
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
        var biggest = plan.Units.Max() * plan.Unit.BagsWorth;
        gate.Add(Explanation.For(
            WhyCode.Cycle, "", load.Mixer.Cycle(biggest, load.BarrowMetres).TotalMinutes * load.Crew.CycleFactor, Source.SitePractice,
            ("cycleMin", load.Mixer.Cycle(biggest, load.BarrowMetres).TotalMinutes), ("barrowM", load.BarrowMetres), ("hands", load.Crew.Hands),
            ("crewFactor", load.Crew.CycleFactor)));
    }
}
