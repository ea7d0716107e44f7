using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Plans;

/// <summary>What forbids an additive: the bag, the steel, the depth, the finish, the cold.</summary>
internal static class AdditiveChecks
{
    public static string Path(Additive kind) => $"/mix/additives/{Gate.CamelCase(kind.ToString())}";

    /// <summary>By the recipe alone.</summary>
    public static void Recipe(Recipe recipe, MixDocument said, Gate gate)
    {
        foreach (var (kind, amount) in recipe.Doses.Select(d => (d.Kind, d.Amount)))
        {
            var path = Path(kind);
            if (recipe.Mix.Family == MixFamily.Rapid)
            {
                gate.Add(Named(FindingCode.RapidTakesItsOwn, Severity.Warning, kind).Mending(Without(kind)));
                continue;
            }

            switch (kind)
            {
                case Additive.Retarder when amount > Additives.MostRetarder:
                    gate.Add(Finding.Of(FindingCode.TooMuchRetarder, Severity.Warning, path, ("doses", amount), ("most", Additives.MostRetarder)).Mending(
                        new Remedy(RemedyCode.OneDose, [new Edit(path, Number: Additives.MostRetarder)], new Dictionary<string, double> { ["doses"] = Additives.MostRetarder })));
                    break;
                case Additive.Pigment when amount > Additives.UsualPigmentPercent:
                    gate.Add(Finding.Of(
                        FindingCode.TooMuchPigment, amount > Additives.MostPigmentPercent ? Severity.Warning : Severity.Note, path,
                        ("givenPct", amount), ("usualPct", Additives.UsualPigmentPercent), ("mostPct", Additives.MostPigmentPercent)).Mending(
                        new Remedy(RemedyCode.UsualPigment, [new Edit(path, Number: Additives.UsualPigmentPercent)], new Dictionary<string, double> { ["pigmentPct"] = Additives.UsualPigmentPercent })));
                    break;
                case Additive.AirEntrainer when said is BaggedMixDocument:
                    gate.Add(Named(FindingCode.AirNotForBags, Severity.Warning, kind).Mending(Without(kind)));
                    break;
                case Additive.Accelerator or Additive.ChlorideAccelerator when recipe.Doses.Any(d => d.Kind == Additive.Retarder):
                    gate.Add(Named(FindingCode.RetardedAndAccelerated, Severity.Warning, kind).Mending(Without(kind)));
                    break;
                case Additive.Pigment when recipe.PigmentKg(1) is null:
                    gate.Add(Named(FindingCode.PigmentByLabel, Severity.Note, kind));
                    break;
            }
        }
    }

    /// <summary>By what is poured and what is in it.</summary>
    public static void Elements(Recipe recipe, IReadOnlyList<PlannedElement> elements, BuildReport? build, Gate gate)
    {
        if (recipe.Doses.Any(d => d.Kind == Additive.ChlorideAccelerator) && build is not null
            && build.Elements.Any(e => e.Steel.School is SteelSchool.Mesh or SteelSchool.BarGrid or SteelSchool.TwoRows))
        {
            gate.Add(Named(FindingCode.ChlorideRustsSteel, Severity.Warning, Additive.ChlorideAccelerator).WithRemedies(new Remedy(
                RemedyCode.WithoutChloride, [new Edit(Path(Additive.ChlorideAccelerator), Number: 0), new Edit(Path(Additive.Accelerator), Number: 1)], new Dictionary<string, double>())));
        }

        var deepest = elements.Max(e => e.Cast.FormHeight.Metres);
        if (recipe.Doses.Any(d => d.Kind == Additive.Plasticiser) && recipe.StoneMm >= Additives.CoarseMm && deepest > Additives.PlasticisedDeepM)
        {
            gate.Add(Finding.Of(
                FindingCode.PlasticisedSegregates, Severity.Warning, Path(Additive.Plasticiser),
                ("stoneMm", recipe.StoneMm), ("deepMm", deepest * 1000), ("mostMm", Additives.PlasticisedDeepM * 1000)).Mending(Without(Additive.Plasticiser)));
        }

        if (recipe.Doses.Any(d => d.Kind == Additive.AirEntrainer) && elements.FirstOrDefault(e => e.Said.Finish == Finish.Steel) is { } steel)
        {
            gate.Add(Finding.Of(FindingCode.AirNeverTrowelled, Severity.Warning, $"{steel.Path}/finish").WithRemedies(
                new Remedy(RemedyCode.BroomInstead, [new Edit($"{steel.Path}/finish", Text: "broom")], new Dictionary<string, double>())));
        }
    }

    private static Finding Named(FindingCode code, Severity severity, Additive kind) =>
        Finding.Of(code, severity, Path(kind)).Naming("additive", Gate.CamelCase(kind.ToString()));

    private static Remedy Without(Additive kind) => new(RemedyCode.WithoutAdditive, [new Edit(Path(kind), Number: 0)], new Dictionary<string, double>());
}
