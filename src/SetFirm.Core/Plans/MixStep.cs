using System.Collections.Immutable;
using System.Globalization;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>From the chosen mix to a recipe, with what the use and the weather ask of it.</summary>
internal static class MixStep
{
    private const double LeastContainerL = 0.1;
    private const double MostContainerL = 200;
    private const double MostPart = 30;
    private const double MostBagWaterL = 20;
    private const double MostCementAdded = 20;
    private const double MostDoses = 4;
    private const double MostPigment = 20;

    public static Recipe? Plan(MixDocument mix, ImmutableArray<BagMix> own, Gate gate)
    {
        var containers = Measured(mix, gate);
        var doses = Doses(mix, gate);
        if (containers is null || doses is null)
        {
            return null;
        }

        Recipe? recipe = mix switch
        {
            BaggedMixDocument bagged => Bagged(bagged, own, containers, doses, gate),
            PartsMixDocument parts => ByParts(parts, containers, doses, gate),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        if (recipe is not null)
        {
            CheckExposure(mix.Exposure, recipe, gate);
            AdditiveChecks.Recipe(recipe, mix, gate);
            Explain(recipe.Mix, gate);
        }

        return recipe;
    }

    /// <summary>What the section asks: a bag has its range of thickness, a stone its least.</summary>
    public static void CheckSections(Recipe recipe, IReadOnlyList<PlannedElement> elements, IReadOnlyList<WayReport> ways, Gate gate)
    {
        var other = ways.FirstOrDefault(w => w.Kind == WayKind.Bagged && w.Misfits.Count == 0);
        foreach (var element in elements)
        {
            var thickness = element.Cast.Thinnest;
            var path = element.ThicknessPath;
            var mostStone = thickness.Millimetres * MixUses.StoneShareOfThickness;
            if (recipe is BaggedRecipe { Bag: var bag } && (thickness < bag.LeastThickness || thickness > bag.MostThickness))
            {
                gate.Add(Finding.Of(
                    FindingCode.ThicknessOutsideMix, Severity.Warning, path,
                    ("thicknessMm", thickness.Millimetres), ("leastMm", bag.LeastThickness.Millimetres), ("mostMm", bag.MostThickness?.Millimetres ?? 0)).Mending(Take(recipe, other)));
            }
            else if (recipe.StoneMm > mostStone)
            {
                gate.Add(Finding.Of(
                    FindingCode.StoneTooLarge, Severity.Warning, path,
                    ("stoneMm", recipe.StoneMm), ("mostMm", mostStone), ("thicknessMm", thickness.Millimetres)).Mending(Take(recipe, other) ?? NoStone(recipe)));
            }
        }
    }

    // Another bag, where the job's mix comes in bags.
    private static Remedy? Take(Recipe recipe, WayReport? way) => recipe is not BaggedRecipe || way is not { Bag: { } bag, WaterPerBag: { } water } ? null : new Remedy(
        RemedyCode.OtherBag,
        [new Edit("/mix/bag", Text: bag), new Edit("/mix/waterPerBag", Text: water), new Edit("/mix/cementAdded", Number: way.CementAddedPct)],
        new Dictionary<string, double> { ["f28Mpa"] = way.F28Mpa, ["costMoney"] = way.Cost }).Naming("bag", bag);

    private static Remedy? NoStone(Recipe recipe) => recipe is not PartsRecipe { Parts.Sand: > 0, Parts.Ballast: 0 } ? null : new Remedy(
        RemedyCode.NoStone, [new Edit("/mix/stone", Number: 0)], new Dictionary<string, double>());

    private static Containers? Measured(MixDocument mix, Gate gate)
    {
        var said = mix.Containers;
        Container? One(string name, ContainerDocument of, double kgPerM3) =>
            gate.Volume($"/mix/containers/{name}/size", of.Size, LeastContainerL, MostContainerL, Units.VolumesWeighed(kgPerM3)) is { } size ? new Container(of.Kind, size) : null;
        var cement = One("cement", said.Cement, Ingredients.CementLooseKgPerM3);
        var sand = One("sand", said.Sand, Ingredients.SandLooseKgPerM3);
        // It holds ballast where there is any, else the job's own stone.
        var stone = One("stone", said.Stone, mix switch
        {
            PartsMixDocument { Ballast: > 0 } => Ingredients.BallastLooseKgPerM3,
            PartsMixDocument { StoneMm: var mm } => Ingredients.StoneLooseKgPerM3(mm),
            _ => Ingredients.StoneLooseKgPerM3(UsualStoneMm),
        });
        var water = One("water", said.Water, Ingredients.WaterKgPerM3);
        return cement is { } c && sand is { } s && stone is { } st && water is { } w ? new Containers(c, s, st, w) : null;
    }

    private const double UsualStoneMm = 20;

    private static List<Dose>? Doses(MixDocument mix, Gate gate)
    {
        var (doses, sound) = (new List<Dose>(), true);
        foreach (var kind in Enum.GetValues<Additive>())
        {
            var amount = mix.Additives.Of(kind);
            sound &= gate.InRange(AdditiveChecks.Path(kind), amount, 0, kind == Additive.Pigment ? MostPigment : MostDoses, kind == Additive.Pigment ? "Pct" : "");
            if (amount > 0)
            {
                doses.Add(new Dose(kind, amount));
            }
        }

        return sound ? doses : null;
    }

    private static BaggedRecipe? Bagged(BaggedMixDocument said, ImmutableArray<BagMix> own, Containers containers, List<Dose> doses, Gate gate)
    {
        if (OwnBags.Find(said.Bag, own) is not { } bag)
        {
            gate.Add(Finding.Of(FindingCode.UnknownBag, Severity.Error, "/mix/bag").Naming("given", said.Bag));
            return null;
        }

        const string path = "/mix/waterPerBag";
        var water = string.IsNullOrWhiteSpace(said.WaterPerBag)
            ? bag.MiddleWater
            : gate.Volume(path, said.WaterPerBag, 0.1, MostBagWaterL, Units.VolumesWithBucket(containers.Cement.Size));
        var added = gate.InRange("/mix/cementAdded", said.CementAdded, 0, MostCementAdded, "Pct");
        if (water is not { } litres || !added)
        {
            return null;
        }

        var enriched = bag.Enriched(bag.Mass.Kilograms * said.CementAdded / 100);
        if (Told(enriched.StrengthWith(litres), enriched.WaterCementWith(litres), path, gate) is not { } f28
            || BaggedRecipe.Of(bag, litres, said.CementAdded, containers, doses) is not { } recipe)
        {
            return null;
        }

        CheckBagWater(bag, litres, f28, path, doses, gate);
        gate.Add(Explanation.For(
            WhyCode.BagWater, "", litres.Litres, Source.SitePractice, ("leastL", bag.LeastWater.Litres), ("mostL", bag.MostWater.Litres)));
        gate.Add(Explanation.For(
            WhyCode.BagStrength, "", f28.Megapascals, Source.Aci211,
            ("f28Mpa", bag.F28.Megapascals), ("waterCement", enriched.WaterCementWith(litres) ?? 0), ("atMostWaterCement", enriched.WaterCementWith(bag.MostWater) ?? 0),
            ("mostCredit", BagMix.MostCredit)));
        return recipe;
    }

    private static void CheckBagWater(BagMix bag, Volume water, Strength f28, string path, List<Dose> doses, Gate gate)
    {
        const double slackL = 1e-6;
        var middle = new Remedy(
            RemedyCode.BagMiddleWater,
            [new Edit(path, Text: "")],
            new Dictionary<string, double>
            {
                ["waterL"] = bag.MiddleWater.Litres,
                ["f28Mpa"] = bag.StrengthWith(bag.MiddleWater) is StrengthFromWaterCement.Told told ? told.Strength.Megapascals : f28.Megapascals,
            });
        if (water.Litres > bag.MostWater.Litres + slackL)
        {
            // It moves as if it had more water, and keeps the strength of the bag.
            var plasticised = middle with
            {
                Code = RemedyCode.PlasticiseInstead,
                Edits = [.. middle.Edits, new Edit(AdditiveChecks.Path(Additive.Plasticiser), Number: 1)],
            };
            var finding = Finding.Of(
                FindingCode.WaterOverBagLimit, Severity.Warning, path,
                ("waterL", water.Litres), ("mostL", bag.MostWater.Litres), ("f28Mpa", f28.Megapascals), ("bestF28Mpa", bag.F28.Megapascals));
            gate.Add(bag.Family == MixFamily.Rapid || doses.Any(d => d.Kind == Additive.Plasticiser) ? finding.WithRemedies(middle) : finding.WithRemedies(plasticised, middle));
        }
        else if (water.Litres < bag.LeastWater.Litres - slackL)
        {
            gate.Add(Finding.Of(
                FindingCode.WaterUnderBagLimit, Severity.Warning, path,
                ("waterL", water.Litres), ("leastL", bag.LeastWater.Litres)).WithRemedies(middle));
        }
    }

    private static PartsRecipe? ByParts(PartsMixDocument said, Containers containers, List<Dose> doses, Gate gate)
    {
        if (!(said.Cement > 0))
        {
            gate.Fault(FindingCode.MixWithoutCement, "/mix/cement");
            return null;
        }

        if (!(gate.InRange("/mix/cement", said.Cement, 0, MostPart) & gate.InRange("/mix/sand", said.Sand, 0, MostPart)
            & gate.InRange("/mix/stone", said.Stone, 0, MostPart) & gate.InRange("/mix/ballast", said.Ballast, 0, MostPart)
            & gate.InRange("/mix/stoneMm", said.StoneMm, 10, 25, "Mm")))
        {
            return null;
        }

        var parts = new Parts(said.Cement, said.Sand, said.Stone, said.Ballast);
        var (mix, strength) = PartsRecipe.Proportion(parts, said.StoneMm, said.Consistency, doses);
        if (Told(strength, mix.WaterCement, "/mix/cement", gate) is not { } f28
            || PartsRecipe.Of(parts, said.StoneMm, said.Consistency, said.Moisture, containers, doses) is not { } recipe)
        {
            return null;
        }

        gate.Add(Explanation.For(
            WhyCode.PartsWater, "", mix.WaterKg, Source.Aci211, ("stoneMm", recipe.StoneMm), ("slumpMm", recipe.SlumpMm), ("airPct", mix.AirShare * 100),
            ("carriedKg", mix.CarriedWaterKg(said.Moisture))));
        gate.Add(Explanation.For(
            WhyCode.PartsCement, "", mix.CementKg, Source.Aci211,
            ("cementParts", parts.Cement), ("sandParts", parts.Sand), ("stoneParts", parts.Stone), ("ballastParts", parts.Ballast), ("yieldL", PartsMix.YieldPerCementLitre(mix))));
        gate.Add(Explanation.For(
            WhyCode.PartsSand, "", mix.SandKg, Source.SitePractice,
            ("sandParts", parts.Sand), ("bulking", Moistures.SandBulking(said.Moisture)), ("waterPct", Moistures.SandWaterShare(said.Moisture) * 100)));
        gate.Add(Explanation.For(
            WhyCode.PartsStone, "", mix.StoneKg, Source.SitePractice,
            ("stoneParts", parts.Stone), ("waterPct", Moistures.StoneWaterShare(said.Moisture) * 100)));
        gate.Add(Explanation.For(
            WhyCode.PartsBallast, "", mix.BallastKg, Source.SitePractice,
            ("ballastParts", parts.Ballast), ("sandPct", Ingredients.SandShareOfBallast * 100), ("bulking", Moistures.BallastBulking(said.Moisture)),
            ("waterPct", Moistures.BallastWaterShare(said.Moisture) * 100)));
        gate.Add(Explanation.For(WhyCode.PartsStrength, "", f28.Megapascals, Source.Aci211, ("waterCement", mix.WaterCement)));
        return recipe;
    }

    private static Strength? Told(StrengthFromWaterCement answer, double? ratio, string path, Gate gate)
    {
        switch (answer)
        {
            case StrengthFromWaterCement.Told told:
                return told.Strength;
            case StrengthFromWaterCement.OffTable off:
                gate.Fault(FindingCode.WaterCementOutsideTable, path, ("waterCement", ratio ?? 0), ("least", off.Least), ("most", off.Most));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static void CheckExposure(Exposure exposure, Recipe recipe, Gate gate)
    {
        const string path = "/mix/exposure";
        var (mix, limits) = (recipe.Mix, ExposureLimits.Of(exposure, recipe.StoneMm));
        if (mix.WaterCement is { } ratio && ratio > limits.MostWaterCement)
        {
            var finding = Finding.Of(FindingCode.ExposureWaterCement, Severity.Warning, path, ("waterCement", ratio), ("most", limits.MostWaterCement));
            gate.Add(recipe is BaggedRecipe bagged && LessWater(bagged.Bag, limits.MostWaterCement) is { } less ? finding.WithRemedies(less) : finding);
        }

        if (mix.F28.Megapascals < limits.LeastMpa)
        {
            gate.Add(Finding.Of(FindingCode.ExposureStrength, Severity.Warning, path, ("f28Mpa", mix.F28.Megapascals), ("leastMpa", limits.LeastMpa)));
        }

        if (mix.AirShare < limits.AirShare)
        {
            gate.Add(Finding.Of(FindingCode.ExposureAir, Severity.Warning, path, ("airPct", mix.AirShare * 100), ("wantedPct", limits.AirShare * 100))
                .Mending(recipe is PartsRecipe ? AirIn() : null));
        }
    }

    private static Remedy AirIn() => new(RemedyCode.StirInAir, [new Edit(AdditiveChecks.Path(Additive.AirEntrainer), Number: 1)], new Dictionary<string, double>());

    /// <summary>The most water, to 50 mL, that keeps a bag within a limit; null where the bag cannot be mixed so dry.</summary>
    private static Remedy? LessWater(BagMix bag, double mostWaterCement)
    {
        const double stepL = 0.05;
        var litres = Math.Floor(mostWaterCement * bag.Mass.Kilograms * (bag.Cement ?? 0) / stepL) * stepL;
        if (litres < bag.LeastWater.Litres || bag.StrengthWith(Volume.FromLitres(litres)) is not StrengthFromWaterCement.Told told)
        {
            return null;
        }

        return new Remedy(
            RemedyCode.LessWater,
            [new Edit("/mix/waterPerBag", Text: string.Create(CultureInfo.InvariantCulture, $"{litres:0.00} L"))],
            new Dictionary<string, double> { ["waterL"] = litres, ["f28Mpa"] = told.Strength.Megapascals });
    }

    private static void Explain(ConcreteMix mix, Gate gate)
    {
        gate.Add(Explanation.For(
            WhyCode.InitialSet, "", mix.ToInitialSet.TotalHours, Source.AstmC403,
            ("waterCement", mix.WaterCement ?? 0), ("finalSetH", mix.ToFinalSet.TotalHours)));
        if (mix is { WaterCement: { } ratio, CementKgPerM3: { } cement })
        {
            gate.Add(Explanation.For(WhyCode.WaterCement, "", ratio, Source.Aci211, ("waterKg", mix.WaterKgPerM3), ("cementKg", cement)));
        }
    }
}
