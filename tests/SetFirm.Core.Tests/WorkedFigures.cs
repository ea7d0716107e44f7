using System.Collections.Immutable;
using System.Text.Json;
using SetFirm.Core.Curing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests;

/// <summary>The figures of worked.json, each with its source and tolerance, against the room that computes them.</summary>
public sealed class WorkedFigures
{
    private static readonly JsonElement All =
        JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "worked.json"))).RootElement;

    private static readonly Dictionary<string, Func<JsonElement, JsonElement, double>> Compute = new()
    {
        ["evaporation"] = (i, _) => Evaporation.Uno(D(i, "concreteC"), D(i, "airC"), D(i, "humidity"), D(i, "windKmh")),
        ["evaporationMenzel"] = (i, _) => Evaporation.Uno(D(i, "concreteC"), D(i, "airC"), D(i, "humidity"), D(i, "windKmh")),
        ["equivalentAge"] = (i, _) => EquivalentAge.Hours(i.GetProperty("profile").EnumerateArray().Select(s => (s[0].GetDouble(), s[1].GetDouble()))),
        ["freshTemperature"] = (i, _) => FreshTemperature.Of(
            [.. i.GetProperty("parts_kg_C_kJkgK").EnumerateArray().Select(p => new HeatPart(p[0].GetDouble(), p[1].GetDouble(), p[2].GetDouble()))]),
        ["warmWater"] = (i, _) => FreshTemperature.WaterFor(D(i, "wantedC"), D(i, "solidsKg"), D(i, "solidsC"), D(i, "waterKg")),
        ["strengthFromWaterCement"] = (i, _) => WaterCementStrength.Of(D(i, "wc"), i.GetProperty("kind").GetString() == "air").Strength.Megapascals,
        ["strengthAtAge"] = (i, _) => StrengthGain.Moist(D(i, "f28"), D(i, "s"), finalSetHours: 0.5, D(i, "days") * 24),
        ["cureShare"] = (i, _) => StrengthGain.ShareAfter(D(i, "days")),
        ["rewet"] = (i, _) => Wetting.IntervalHours(D(i, "store"), D(i, "E")),
        ["strengthEarly"] = (i, _) => StrengthGain.Moist(D(i, "f28"), D(i, "c"), D(i, "tfHours"), D(i, "teHours")),
        ["stoppedCuring"] = (i, _) => StrengthGain.Stopped(Samples.Mix(D(i, "f28"), D(i, "c"), finalSetH: D(i, "tfHours")), D(i, "wetDays") * 24, D(i, "days") * 24),
        ["bagWater"] = (i, _) => BagCatalogue.Find(i.GetProperty("bag").GetString())!.StrengthWith(Volume.FromLitres(D(i, "waterL"))).Strength.Megapascals,
        ["bagWaterRatio"] = (i, _) => BagCatalogue.Find(i.GetProperty("bag").GetString())!.WaterCementWith(Volume.FromLitres(D(i, "waterL")))!.Value,
        ["bagSet"] = (i, _) => BagCatalogue.Find(i.GetProperty("bag").GetString())! is var bag
            ? bag.MixedWith(Volume.FromLitres(D(i, "waterL")), bag.F28).ToInitialSet.TotalHours
            : 0,
        ["frustum"] = (i, _) => Footing.FrustumVolume(M(i, "footM"), M(i, "topM"), M(i, "heightM")).Litres,
        ["thickEdge"] = (i, _) => ThickEdge(i).CubicMetres,
        ["borderArc"] = (i, _) => (new CentreLine([new Stretch.Straight(M(i, "straightM"), 0), new Stretch.Arc(M(i, "radiusM"), D(i, "sweepDegrees"))]).Length
            * Mm(i, "widthMm") * Mm(i, "depthMm")).Litres,
        ["curbProfile"] = (i, _) => Curb(i).Area.SquareMetres * 1e6,
        ["tapedX"] = (i, _) => TapedCorners.Of(D(i, "a"), D(i, "b"), D(i, "d")).ShouldBeOfType<TapedCorner.Meets>().At.X,
        ["tapedY"] = (i, _) => TapedCorners.Of(D(i, "a"), D(i, "b"), D(i, "d")).ShouldBeOfType<TapedCorner.Meets>().At.Y,
        ["tapedShortBy"] = (i, _) => TapedCorners.Of(D(i, "a"), D(i, "b"), D(i, "d")).ShouldBeOfType<TapedCorner.TooShort>() is var far ? far.ApartM - far.SumM : 0,
        ["castings"] = (i, _) => Castings(i).Length,
        ["lastStripDay"] = (i, _) => Castings(i)[^1].StripDay,
        ["panelsAlong"] = (i, _) => Panels(i).Along,
        ["panelsAcross"] = (i, _) => Panels(i).Across,
        ["lPatio"] = (i, _) => LPatio(i).CubicMetres,
    };

    public static TheoryData<string> Ids => [.. All.EnumerateArray().Select(f => f.GetProperty("id").GetString()!)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void Comes_out_as_worked_by_hand(string id)
    {
        var figure = All.EnumerateArray().Single(f => f.GetProperty("id").GetString() == id);
        figure.GetProperty("source").GetString().ShouldNotBeNullOrWhiteSpace();
        var (input, expected, tolerance) = (figure.GetProperty("input"), figure.GetProperty("expected"), figure.GetProperty("tolerance"));
        var kind = figure.GetProperty("kind").GetString()!;
        if (kind == "parts")
        {
            var mix = PartsMix.WithRatio(new Parts(D(input, "cement"), D(input, "sand"), D(input, "stone")), stoneMm: 20, D(input, "wc"), airShare: 0.02);
            Near(PartsMix.YieldPerCementLitre(mix), expected.GetProperty("yield_l").GetDouble(), tolerance);
            Near(mix.CementKg, expected.GetProperty("cement_kg_m3").GetDouble(), tolerance);
            Near(mix.WaterKg, expected.GetProperty("water_kg_m3").GetDouble(), tolerance);
            return;
        }

        Near(Compute[kind](input, expected), expected.GetDouble(), tolerance);
    }

    private static Volume ThickEdge(JsonElement input)
    {
        var outline = Samples.Rectangle(D(input, "alongM"), D(input, "acrossM"));
        var drops = Enumerable.Range(0, 4).Select(e => new EdgeDrop(e, Mm(input, "widthMm"), Mm(input, "extraMm"))).ToArray();
        return (outline.NetArea * Mm(input, "thicknessMm")) + EdgeDrops.Extra(outline, drops);
    }

    private static CurbProfile Curb(JsonElement input)
    {
        var (foot, height, faces) = (Mm(input, "baseMm"), Mm(input, "heightMm"), (int)D(input, "faces"));
        return new CurbProfile(foot, CurbProfile.TopFrom(foot, height, faces, D(input, "batterDegrees"))!.Value, height, faces, EdgeEase.Round, Mm(input, "radiusMm"));
    }

    private static ImmutableArray<Casting> Castings(JsonElement input) =>
        MouldCalendar.Of((int)D(input, "pieces"), (int)D(input, "moulds"), D(input, "stripDays"), cleanDays: 0);

    private static (int Along, int Across) Panels(JsonElement input) =>
        EqualPanels.Fewest(D(input, "alongM"), D(input, "acrossM"), D(input, "spacingM"), JointRules.MostRatio)!.Value;

    private static Length M(JsonElement from, string name) => Length.FromMetres(D(from, name));

    private static Length Mm(JsonElement from, string name) => Length.FromMillimetres(D(from, name));

    private static Volume LPatio(JsonElement input)
    {
        var edges = input.GetProperty("edgesM").EnumerateArray()
            .Select(e => new TapedEdge(Length.FromMetres(e[0].GetDouble()), e[1].GetDouble())).ToArray();
        var at = input.GetProperty("holeAtM");
        var hole = new Opening.Round(new PlanPoint(at[0].GetDouble(), at[1].GetDouble()), Length.FromMetres(D(input, "holeDiameterM")));
        var walked = OutlineWalk.Walk(edges).ShouldBeOfType<Walked.Closed>();
        var outline = Outline.TryCreate(walked.Corners, [hole]).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        return outline.NetArea * Length.FromMillimetres(D(input, "thicknessMm"));
    }

    private static void Near(double actual, double expected, JsonElement tolerance) => actual.ShouldBe(
        expected,
        tolerance.TryGetProperty("abs", out var abs) ? abs.GetDouble() : Math.Abs(expected) * tolerance.GetProperty("rel").GetDouble());

    private static double D(JsonElement from, string name) => from.GetProperty(name).GetDouble();
}
