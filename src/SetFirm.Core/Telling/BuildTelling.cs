using System.Collections.Immutable;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>What is dug, set out, boarded and tied, as it is shown.</summary>
internal static class BuildTelling
{
    /// <summary>Pieces of steel that are drawn, of all elements together.</summary>
    private const int MostDrawn = 2_000;

    /// <summary>Boards or bars of one kind whose cuts are shown one by one.</summary>
    private const int MostBoards = 400;

    public static BuildReport Of(ImmutableArray<ElementPlan> elements, BuildPlan plan) => new(
        [.. elements.Select(e => Element(e, e.Build!, plan.StringMm, MostDrawn / elements.Length))],
        plan.Dig is null ? null : Dig(plan.Dig),
        plan.StringMm,
        [.. plan.Boards.Select(Cuts)],
        [.. plan.Bars.Select(Cuts)],
        plan.Boards.Sum(l => l.Layout.Boards.Length),
        plan.Bars.Sum(l => l.Layout.Boards.Length),
        plan.Stakes,
        [.. plan.Sheets.Select(s => new SheetReport(s.Mm, s.Needed.Count))],
        plan.Mesh.Count,
        BuildPlan.Cartridges(elements.Select(e => e.Build!.Mould).OfType<MouldPlan>()),
        JobTasks.LookedOver(elements));

    private static ElementBuildReport Element(ElementPlan element, ElementBuild built, double stringMm, int mostDrawn) => new(
        element.Index,
        built.Dig is null ? null : Dig(built.Dig),
        built.CornersMm,
        built.Diagonals,
        built.Forms is null ? null : Forms(built.Forms, element, stringMm),
        built.Mould is null ? null : Mould(built.Mould),
        Steel(built.Steel, mostDrawn),
        built.IsolationM,
        built.BondBreakerM);

    private static DigReport Dig(Dig dig) => new(
        dig.Depth.Millimetres, dig.BaseDepth.Millimetres, dig.Bank.CubicMetres, dig.Spoil.CubicMetres, dig.Base.CubicMetres, dig.BaseLoose.CubicMetres, dig.BaseMass.Kilograms, dig.Lifts,
        dig.Above.Millimetres, dig.GoesBack.CubicMetres);

    private static FormsReport Forms(FormsPlan plan, ElementPlan element, double stringMm)
    {
        var forms = plan.Boards;
        return new FormsReport(
            plan.Board.Id,
            plan.Board.Height.Millimetres,
            plan.Board.Thickness.Millimetres,
            plan.Gap.Millimetres,
            plan.Corners,
            [.. forms.Boards.Select(b => new RunReport(b.Edge, b.InsideM, b.CutM, b.PiecesM.Length))],
            [.. forms.Bends.Select(Bend)],
            forms.Bends.Sum(b => b.CutM),
            [.. forms.Stakes.Select(s => new StakeReport(s.At, s.Why, stringMm + ((element.Fall?.DownM(s.At) ?? 0) * 1000)))],
            plan.StakeSpacing.Metres,
            forms.Boards.Sum(b => b.PiecesM.Length - 1),
            plan.Ties,
            plan.PressureKpa,
            plan.Nailed,
            plan.Profile is { } profile
                ? new RipReport(profile.FaceHeight.Millimetres, profile.BatterRadians * 180 / Math.PI, profile.Faces, profile.Base.Millimetres, profile.Top.Millimetres, profile.Height.Millimetres)
                : null);
    }

    private static MouldReport Mould(MouldPlan plan) => new(
        plan.Mirrored, plan.Outline.Flat, plan.Mould.Parts, plan.Moulds, plan.SheetMm, plan.Sheets, plan.Screws, plan.SeamM, plan.Cartridges, plan.Sides, [.. plan.Bends.Select(Bend)], plan.StripM, plan.Castings);

    private static BendReport Bend(BentRun b) => new(b.Edge, b.RadiusM, b.InsideM, b.CutM, b.Strip.Kind, b.Strip.Thickness.Millimetres, b.Strip.LeastRadius.Metres);

    private static SteelReport Steel(SteelPlan plan, int most) => new(
        plan.School,
        plan.Advised,
        plan.Misfit,
        plan.Barred ? plan.Bar.Id : "",
        plan.Barred ? plan.Bar.Diameter.Millimetres : 0,
        plan.School == SteelSchool.BarGrid ? plan.Spacing.Metres : 0,
        [.. plan.Layout.Sheets.Take(most)],
        plan.SheetCount,
        [.. plan.Layout.Bars.Take(most)],
        plan.BarM,
        plan.Barred ? plan.BarMass.Kilograms : plan.Fibre.Kilograms,
        plan.Layout.LapM,
        plan.Layout.Chairs,
        plan.Layout.Ties,
        plan.Layout.CrossPieces,
        plan.HeightsMm,
        plan.CoverBelowMm,
        plan.Layout.OffcutM2,
        plan.ScrimM2,
        plan.LongestM,
        Math.Max(0, plan.Layout.Sheets.Length - most) + Math.Max(0, plan.Layout.Bars.Length - most));

    private static CutListReport Cuts(CutList list) => new(
        list.Stock,
        list.Layout.Boards.Length,
        [.. list.Layout.Boards.Take(MostBoards).Select(b => new StockReport(b.StockMm / 1000, [.. b.Cuts.Select(i => new CutReport(list.Cuts[i].LengthM, list.Cuts[i].For))]))],
        list.Layout.LowerBound,
        list.Layout.Verdict,
        list.CutM,
        list.Layout.StockMm / 1000);
}
