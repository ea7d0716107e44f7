using System.Globalization;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>From the chosen mix to a recipe, with what the use and the weather ask of it.</summary>
internal static class MixStep
{
    private const double LeastBucketL = 1;
    private const double MostBucketL = 60;
    private const double MostPart = 30;
    private const double MostBagWaterL = 20;

    /// <summary>Stone may be this share of the thickness. ACI 211.1.</summary>
    private const double StoneShareOfThickness = 1.0 / 3;

    public static Recipe? Plan(MixDocument mix, Gate gate)
    {
        var bucket = gate.Volume("/mix/bucket", mix.Bucket, LeastBucketL, MostBucketL);
        Recipe? recipe = mix switch
        {
            BaggedMixDocument bagged => Bagged(bagged, bucket, gate),
            PartsMixDocument parts => bucket is { } b ? ByParts(parts, b, gate) : null,
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        if (recipe is not null)
        {
            CheckExposure(mix.Exposure, recipe, gate);
            Explain(recipe.Mix, gate);
        }

        return recipe;
    }

    /// <summary>What the section asks: a bag has its range of thickness, a stone its least.</summary>
    public static void CheckSections(Recipe recipe, IReadOnlyList<PlannedElement> elements, Gate gate)
    {
        foreach (var element in elements)
        {
            var thickness = element.Cast.Thinnest;
            var path = element.ThicknessPath;
            var mostStone = thickness.Millimetres * StoneShareOfThickness;
            if (recipe is BaggedRecipe { Bag: var bag } && (thickness < bag.LeastThickness || thickness > bag.MostThickness))
            {
                gate.Add(Finding.Of(
                    FindingCode.ThicknessOutsideMix, Severity.Warning, path,
                    ("thicknessMm", thickness.Millimetres), ("leastMm", bag.LeastThickness.Millimetres), ("mostMm", bag.MostThickness?.Millimetres ?? 0)));
            }
            else if (recipe.StoneMm > mostStone)
            {
                gate.Add(Finding.Of(
                    FindingCode.StoneTooLarge, Severity.Warning, path,
                    ("stoneMm", recipe.StoneMm), ("mostMm", mostStone), ("thicknessMm", thickness.Millimetres)));
            }
        }
    }

    private static BaggedRecipe? Bagged(BaggedMixDocument said, Volume? bucket, Gate gate)
    {
        if (BagCatalogue.Find(said.Bag) is not { } bag)
        {
            gate.Add(Finding.Of(FindingCode.UnknownBag, Severity.Error, "/mix/bag").Naming("given", said.Bag));
            return null;
        }

        const string path = "/mix/waterPerBag";
        var table = bucket is { } b ? Units.VolumesWithBucket(b) : Units.Volumes;
        var water = string.IsNullOrWhiteSpace(said.WaterPerBag) ? bag.MiddleWater : gate.Volume(path, said.WaterPerBag, 0.1, MostBagWaterL, table);
        if (water is not { } litres || Told(bag.StrengthWith(litres), bag.WaterCementWith(litres), path, gate) is not { } f28)
        {
            return null;
        }

        CheckBagWater(bag, litres, f28, path, gate);
        gate.Add(Explanation.For(
            WhyCode.BagWater, "", litres.Litres, Source.SitePractice, ("leastL", bag.LeastWater.Litres), ("mostL", bag.MostWater.Litres)));
        gate.Add(Explanation.For(
            WhyCode.BagStrength, "", f28.Megapascals, Source.Aci211,
            ("f28Mpa", bag.F28.Megapascals), ("waterCement", bag.WaterCementWith(litres) ?? 0), ("atMostWaterCement", bag.WaterCementWith(bag.MostWater) ?? 0),
            ("mostCredit", BagMix.MostCredit)));
        return new BaggedRecipe(bag.MixedWith(litres, f28), bag, litres);
    }

    private static void CheckBagWater(BagMix bag, Volume water, Strength f28, string path, Gate gate)
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
            gate.Add(Finding.Of(
                FindingCode.WaterOverBagLimit, Severity.Warning, path,
                ("waterL", water.Litres), ("mostL", bag.MostWater.Litres), ("f28Mpa", f28.Megapascals), ("bestF28Mpa", bag.F28.Megapascals)).WithRemedies(middle));
        }
        else if (water.Litres < bag.LeastWater.Litres - slackL)
        {
            gate.Add(Finding.Of(
                FindingCode.WaterUnderBagLimit, Severity.Warning, path,
                ("waterL", water.Litres), ("leastL", bag.LeastWater.Litres)).WithRemedies(middle));
        }
    }

    private static PartsRecipe? ByParts(PartsMixDocument said, Volume bucket, Gate gate)
    {
        if (!(said.Cement > 0))
        {
            gate.Fault(FindingCode.MixWithoutCement, "/mix/cement");
            return null;
        }

        if (!(gate.InRange("/mix/cement", said.Cement, 0, MostPart) & gate.InRange("/mix/sand", said.Sand, 0, MostPart)
            & gate.InRange("/mix/stone", said.Stone, 0, MostPart) & gate.InRange("/mix/stoneMm", said.StoneMm, 10, 25, "Mm")))
        {
            return null;
        }

        var parts = new Parts(said.Cement, said.Sand, said.Stone);
        var stoneMm = said.Stone > 0 ? said.StoneMm : 0;
        var slump = Consistencies.SlumpMm(said.Consistency);
        var mix = PartsMix.WithWater(parts, stoneMm, MixingWater.KgPerM3(stoneMm, slump, airEntrained: false), MixingWater.EntrappedAir(stoneMm));
        if (Told(WaterCementStrength.Of(mix.WaterCement, airEntrained: false), mix.WaterCement, "/mix/cement", gate) is not { } f28)
        {
            return null;
        }

        gate.Add(Explanation.For(
            WhyCode.PartsWater, "", mix.WaterKg, Source.Aci211, ("stoneMm", stoneMm), ("slumpMm", slump), ("airPct", mix.AirShare * 100)));
        gate.Add(Explanation.For(
            WhyCode.PartsCement, "", mix.CementKg, Source.Aci211,
            ("cementParts", parts.Cement), ("sandParts", parts.Sand), ("stoneParts", parts.Stone), ("yieldL", PartsMix.YieldPerCementLitre(mix))));
        gate.Add(Explanation.For(
            WhyCode.PartsSand, "", mix.SandKg, Source.SitePractice,
            ("sandParts", parts.Sand), ("bulking", Moistures.SandBulking(said.Moisture)), ("waterPct", Moistures.SandWaterShare(said.Moisture) * 100)));
        gate.Add(Explanation.For(
            WhyCode.PartsStone, "", mix.StoneKg, Source.SitePractice,
            ("stoneParts", parts.Stone), ("waterPct", Moistures.StoneWaterShare(said.Moisture) * 100)));
        gate.Add(Explanation.For(WhyCode.PartsStrength, "", f28.Megapascals, Source.Aci211, ("waterCement", mix.WaterCement)));
        return new PartsRecipe(PartsMix.Mixed(mix, f28), mix, parts, stoneMm, said.Moisture, slump, bucket);
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
            gate.Add(Finding.Of(FindingCode.ExposureAir, Severity.Warning, path, ("airPct", mix.AirShare * 100), ("wantedPct", limits.AirShare * 100)));
        }
    }

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
