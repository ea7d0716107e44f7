using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Methods;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Plans;

/// <summary>What the whole job is built with, checked.</summary>
internal sealed record BuildSite(BuildDocument Said, Length? Base, double StringM, IReadOnlyList<double> StockMm);

/// <summary>From shapes to what is dug, set out, boarded and tied.</summary>
internal static class BuildStep
{
    private const double MostBaseMm = 600;
    private const double MostStringMm = 2_000;
    private const int MostStock = 12;

    /// <summary>Two people lift this; over it a machine does, kg.</summary>
    private const double MachineLiftKg = 50;

    public static BuildReport? Plan(JobDocument job, PlannedShape? shape, Gate gate)
    {
        var site = Site(job, gate);
        if (site is null || shape is null)
        {
            return null;
        }

        var (boards, bars) = (new CutGroups(), new CutGroups());
        var elements = shape.Elements.Select(e => Element(e, site, boards, bars, gate)).ToArray();
        var dig = Together(elements);
        var boardLists = boards.Lists(id => site.StockMm, Lumber.KerfMm);
        var stakes = elements.Sum(e => e.Forms?.Stakes.Count ?? 0);
        Explain(dig, boardLists, stakes, elements, gate);
        return new BuildReport(
            elements,
            dig,
            site.StringM * 1000,
            boardLists,
            bars.Lists(id => [Bars.StockM(job.Build.Sold) * 1000], 0),
            stakes,
            Inspections.For(Facts(shape, elements)));
    }

    private static BuildSite? Site(JobDocument job, Gate gate)
    {
        var said = job.Build;
        Length? baseDepth = string.IsNullOrWhiteSpace(said.Base) ? null : gate.Length("/build/base", said.Base, 0, MostBaseMm);
        var baseSound = string.IsNullOrWhiteSpace(said.Base) || baseDepth is not null;
        var string_ = gate.Length("/build/stringAbove", said.StringAbove, 0, MostStringMm);
        if (said.Stock.Count > MostStock)
        {
            gate.Fault(FindingCode.TooMany, "/build/stock", ("count", said.Stock.Count), ("most", MostStock));
            return null;
        }

        var stock = said.Stock.Select((s, i) => gate.Length($"/build/stock/{i}", s, 300, 12_000)).ToArray();
        return !baseSound || string_ is not { } above || stock.Any(s => s is null) ? null : new BuildSite(
            said, baseDepth, above.Metres, stock.Length == 0 ? Lumber.StockMm(said.Sold) : [.. stock.Select(s => s!.Value.Millimetres).Distinct()]);
    }

    private static ElementBuildReport Element(PlannedElement element, BuildSite site, CutGroups boards, CutGroups bars, Gate gate)
    {
        var (said, cast) = (element.Said, element.Cast);
        var isolation = Enumerable.Range(0, cast.Plan.Corners.Length).Where(i => said.MeetsAt(i) is Meets.Wall or Meets.OldSlab).Sum(cast.Plan.EdgeMetres)
            + (said is OutlinedDocument outlined ? outlined.Openings.Zip(cast.Plan.Openings).Where(o => o.First.Use is OpeningUse.Post or OpeningUse.Drain).Sum(o => o.Second.Perimeter.Metres) : 0);
        var bond = Enumerable.Range(0, cast.Plan.Corners.Length).Where(i => said.MeetsAt(i) == Meets.EarlierPanel).Sum(cast.Plan.EdgeMetres);
        var mould = MouldPlan.Of(element, site, gate);
        Weigh(element, gate);
        return new ElementBuildReport(
            element.Index,
            Excavated(element, site, gate),
            [.. cast.Plan.Corners.Select(c => (site.StringM + (element.Fall?.DownM(c) ?? 0)) * 1000)],
            cast.Line is null ? Squareness.Of(cast.Plan) : [],
            mould is null ? FormsPlan.Of(element, site, boards, gate) : null,
            mould,
            SteelPlan.Of(element, site, bars, gate),
            isolation,
            bond);
    }

    private static DigReport? Excavated(PlannedElement element, BuildSite site, Gate gate)
    {
        var (traits, cast) = (element.Said.Traits, element.Cast);
        if (!traits.OnGround)
        {
            return null;
        }

        var area = Area.FromSquareMetres(cast.Plan.NetArea.SquareMetres * cast.Count);
        var footing = traits.Section == SteelSection.Footing;
        var advised = footing ? default : BaseCourse.Advised(site.Said.Soil, site.Said.Frost, area);
        var depth = footing ? default : site.Base ?? advised;
        if (depth < advised)
        {
            gate.Add(Finding.Of(
                FindingCode.BaseThinnerThanAdvised, Severity.Warning, "/build/base", ("baseMm", depth.Millimetres), ("advisedMm", advised.Millimetres)).WithRemedies(
                new Remedy(RemedyCode.AdvisedBase, [new Edit("/build/base", Text: "")], new Dictionary<string, double> { ["baseMm"] = advised.Millimetres })));
        }

        if (footing)
        {
            gate.Add(Finding.Of(FindingCode.FootingBelowFrost, Severity.Caution, element.Path, ("deepMm", cast.FormHeight.Millimetres)));
        }

        // A footing's own volume is dug; a slab is dug to its depth all over, and deeper where it hangs down.
        var hung = cast.Parts.Where(p => p.Part == CastPart.ThickEdges).Aggregate(default(Volume), (sum, p) => sum + p.Volume);
        return Report(Dig.Of(area, cast.FormHeight, hung, depth));
    }

    private static DigReport Report(Dig dig) => new(
        dig.Depth.Millimetres, dig.BaseDepth.Millimetres, dig.Bank.CubicMetres, dig.Spoil.CubicMetres, dig.Base.CubicMetres, dig.BaseLoose.CubicMetres, dig.BaseMass.Kilograms, dig.Lifts);

    private static DigReport? Together(IReadOnlyList<ElementBuildReport> elements)
    {
        var digs = elements.Select(e => e.Dig).OfType<DigReport>().ToArray();
        return digs.Length == 0 ? null : new DigReport(
            digs.Max(d => d.DepthMm), digs.Max(d => d.BaseMm), digs.Sum(d => d.BankM3), digs.Sum(d => d.SpoilM3), digs.Sum(d => d.BaseM3), digs.Sum(d => d.BaseLooseM3),
            digs.Sum(d => d.BaseKg), digs.Max(d => d.Lifts));
    }

    private static void Weigh(PlannedElement element, Gate gate)
    {
        var moved = element.Said is PieceDocument or RibbonDocument or CounterDocument { Casting: CounterCasting.FaceDown };
        var kg = element.Cast.Net.CubicMetres * ShapeStep.HardKgPerM3 / element.Cast.Count;
        gate.Add(Explanation.For(WhyCode.PieceMass, element.Path, kg, Source.SitePractice, ("pieceL", element.Cast.Net.Litres / element.Cast.Count), ("hardKg", ShapeStep.HardKgPerM3)));
        if (moved && kg > Cautions.LiftKg)
        {
            gate.Add(Finding.Of(FindingCode.HeavyPiece, Severity.Caution, element.Path, ("massKg", kg), ("limitKg", Cautions.LiftKg), ("machineKg", MachineLiftKg)));
        }
    }

    private static InspectionFacts Facts(PlannedShape shape, IReadOnlyList<ElementBuildReport> built) => new()
    {
        Boards = built.Any(b => b.Forms is not null),
        Stakes = built.Any(b => b.Forms is { Stakes.Count: > 0 }),
        Falls = shape.Elements.Any(e => e.Fall is { Report.Percent: > 0 }),
        Base = built.Any(b => b.Dig is { BaseMm: > 0 }),
        Ground = built.Any(b => b.Dig is not null),
        Steel = built.Any(b => b.Steel.School is SteelSchool.Mesh or SteelSchool.BarGrid or SteelSchool.TwoRows),
        Scrim = built.Any(b => b.Steel.School == SteelSchool.Scrim),
        Isolation = built.Any(b => b.IsolationM > 0),
        BondBreaker = built.Any(b => b.BondBreakerM > 0),
        Drain = shape.Elements.Any(e => e.Said is OutlinedDocument o && o.Openings.Any(x => x.Use == OpeningUse.Drain)),
        Mould = built.Any(b => b.Mould is not null),
        Overlay = shape.Elements.Any(e => e.Said is OverlayDocument),
    };

    private static void Explain(DigReport? dig, IReadOnlyList<CutListReport> boards, int stakes, IReadOnlyList<ElementBuildReport> elements, Gate gate)
    {
        if (dig is not null)
        {
            gate.Add(Explanation.For(WhyCode.Excavation, "", dig.BankM3, Source.SitePractice, ("depthMm", dig.DepthMm), ("baseMm", dig.BaseMm)));
            gate.Add(Explanation.For(WhyCode.Spoil, "", dig.SpoilM3, Source.SitePractice, ("bankM3", dig.BankM3), ("swell", Dig.Swell)));
            gate.Add(Explanation.For(
                WhyCode.BaseStone, "", dig.BaseKg, Source.SitePractice,
                ("compactedM3", dig.BaseM3), ("loosening", Dig.BaseLoosening), ("looseM3", dig.BaseLooseM3), ("lifts", dig.Lifts), ("liftMm", BaseCourse.LiftMm)));
        }

        foreach (var list in boards)
        {
            gate.Add(Explanation.For(
                WhyCode.Boards, list.Stock, list.Boards.Count, Source.MartelloToth1990,
                ("cutM", list.CutM), ("stockM", list.StockM), ("lowerBound", list.LowerBound), ("kerfMm", Lumber.KerfMm)));
        }

        if (stakes > 0)
        {
            gate.Add(Explanation.For(
                WhyCode.Stakes, "", stakes, Source.SitePractice, ("spacingM", elements.Where(e => e.Forms is not null).Min(e => e.Forms!.StakeSpacingM)), ("bentM", Stakes.BentM)));
        }
    }
}

/// <summary>Cuts of a job, gathered by what they are cut from.</summary>
internal sealed class CutGroups
{
    /// <summary>Past so many cuts no search is made: first-fit alone is near enough, and fast.</summary>
    private const int MostSearched = 240;

    private readonly Dictionary<string, List<(double Mm, string For)>> groups = [];

    public void Add(string stock, double metres, string @for)
    {
        if (!groups.TryGetValue(stock, out var cuts))
        {
            groups.Add(stock, cuts = []);
        }

        cuts.Add((metres * 1000, @for));
    }

    public IReadOnlyList<CutListReport> Lists(Func<string, IReadOnlyList<double>> stockMm, double kerfMm) =>
    [
        .. groups.Select(group =>
        {
            var layout = CuttingStock.Lay([.. group.Value.Select(c => c.Mm)], stockMm(group.Key), kerfMm, group.Value.Count > MostSearched ? 0 : CuttingStock.UsualEffort);
            return new CutListReport(
                group.Key,
                [.. layout.Boards.Select(b => new StockReport(b.StockMm / 1000, [.. b.Cuts.Select(i => new CutReport(group.Value[i].Mm / 1000, group.Value[i].For))]))],
                layout.LowerBound,
                layout.Verdict,
                group.Value.Sum(c => c.Mm) / 1000,
                layout.StockMm / 1000);
        }),
    ];
}
