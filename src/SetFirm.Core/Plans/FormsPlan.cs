using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Plans;

/// <summary>Boards, strips and stakes of one element.</summary>
internal static class FormsPlan
{
    /// <summary>An outline of more edges is a drawn curve: one strip is bent along it.</summary>
    private const int MostBoards = 200;

    /// <summary>Side pressure of fresh concrete, kPa for each metre down. Source: fluid pressure, site practice.</summary>
    private const double PressureKpaPerM = 24;

    /// <returns>Null where the ground itself is the form, or a form cannot be chosen.</returns>
    public static FormsReport? Of(PlannedElement element, BuildSite site, CutGroups cuts, Gate gate)
    {
        var (said, cast) = (element.Said, element.Cast);
        var height = cast.FormHeight;
        if (said.Traits.Section == SteelSection.Footing || Board(element, site, gate) is not { } board)
        {
            return null;
        }

        var gap = Math.Max(0, height.Millimetres - board.Height.Millimetres);
        if (!Lumber.Holds(board, height))
        {
            gate.Add(Finding.Of(FindingCode.BoardTooLow, Severity.Warning, $"{element.Path}/forms/board", ("boardMm", board.Height.Millimetres), ("pourMm", height.Millimetres))
                .Mending(said.Forms?.Board is null ? null : new Remedy(RemedyCode.AnyBoard, [new Edit($"{element.Path}/forms/board")], new Dictionary<string, double>())));
        }
        else if (gap > 1)
        {
            gate.Add(Finding.Of(FindingCode.DigBelowBoard, Severity.Note, $"{element.Path}", ("gapMm", gap), ("boardMm", board.Height.Millimetres)));
        }

        bool Formed(int edge) => said.MeetsAt(edge) == Meets.Form;
        var scheme = said.Forms?.Corners ?? CornerScheme.ButtedPair;
        var forms = cast.Plan.Corners.Length > MostBoards
            ? Drawn(element, gate)
            : FormBoards.Of(cast.Plan, Formed, board, scheme, height, site.StockMm.Max(), Strip(element, gate), element.Joints.Bulkheads);
        foreach (var run in forms.Boards)
        {
            foreach (var piece in run.PiecesM)
            {
                cuts.Add(board.Id, piece, $"{element.Index + 1}.{run.Edge + 1}");
            }
        }

        foreach (var bulkhead in forms.BulkheadsM.Where(b => b * 1000 <= site.StockMm.Max() && b > 0))
        {
            cuts.Add(board.Id, bulkhead, $"{element.Index + 1}.J");
        }

        CheckBends(element, forms, gate);
        Explain(element, forms, gate);
        var down = element.Fall?.DownM;
        return new FormsReport(
            board.Id,
            board.Height.Millimetres,
            board.Thickness.Millimetres,
            gap,
            scheme,
            [.. forms.Boards.Select(b => new RunReport(b.Edge, b.InsideM, b.CutM, b.PiecesM.Length))],
            [.. forms.Bends.Select(b => new BendReport(b.Edge, b.RadiusM, b.InsideM, b.CutM, b.Strip.Kind, b.Strip.Thickness.Millimetres, b.Strip.LeastRadius.Metres))],
            [.. forms.Stakes.Select(s => new StakeReport(s.At, s.Why, (site.StringM + (down?.Invoke(s.At) ?? 0)) * 1000))],
            Stakes.Spacing(height, board.Thickness).Metres,
            forms.Boards.Sum(b => b.PiecesM.Length - 1),
            said is CurbDocument ? (int)Math.Ceiling((cast.Line!.Length.Metres / Stakes.TieM) - 1e-9) + 1 : 0,
            PressureKpaPerM * height.Metres);
    }

    private static LumberSize? Board(PlannedElement element, BuildSite site, Gate gate)
    {
        if (element.Said.Forms?.Board is not { } id)
        {
            return Lumber.For(element.Cast.FormHeight, site.Said.Sold);
        }

        var found = Lumber.Find(id);
        if (found is null)
        {
            gate.Add(Finding.Of(FindingCode.UnknownBoard, Severity.Error, $"{element.Path}/forms/board").Naming("given", id));
        }

        return found;
    }

    private static Func<double, StripStock> Strip(PlannedElement element, Gate gate)
    {
        if (element.Said.Forms?.PlyMm is not { } ply)
        {
            return BentStrip.For;
        }

        if (BentStrip.OfPly(ply, 100) is null)
        {
            gate.Fault(FindingCode.OutOfRange, $"{element.Path}/forms/plyMm", ("valueMm", ply), ("leastMm", BentStrip.PlyThicknessesMm[0]), ("mostMm", BentStrip.PlyThicknessesMm[^1]));
            return BentStrip.For;
        }

        return radius => BentStrip.OfPly(ply, radius)!;
    }

    private static void CheckBends(PlannedElement element, FormBoards forms, Gate gate)
    {
        foreach (var bend in forms.Bends)
        {
            if (bend.Strip.LeastRadius.Metres > bend.RadiusM + 1e-9)
            {
                gate.Add(Finding.Of(
                    FindingCode.PlyTooStiff, Severity.Warning, $"{element.Path}/forms/plyMm",
                    ("radiusMm", bend.RadiusM * 1000), ("leastMm", bend.Strip.LeastRadius.Millimetres), ("plyMm", bend.Strip.Thickness.Millimetres)).WithRemedies(
                    new Remedy(RemedyCode.AnyPly, [new Edit($"{element.Path}/forms/plyMm")], new Dictionary<string, double> { ["plyMm"] = BentStrip.For(bend.RadiusM).Thickness.Millimetres })));
                return;
            }
        }

        if (forms.Bends.FirstOrDefault(b => b.Strip.Kind == StripKind.KerfedOrSheet) is { } tight)
        {
            gate.Add(Finding.Of(FindingCode.BendNeedsKerfs, Severity.Note, element.Path, ("radiusMm", tight.RadiusM * 1000)));
        }
    }

    // A curve of hundreds of short edges: one strip along all of it.
    private static FormBoards Drawn(PlannedElement element, Gate gate)
    {
        var plan = element.Cast.Plan;
        var formed = Enumerable.Range(0, plan.Corners.Length).Where(i => element.Said.MeetsAt(i) == Meets.Form).Sum(plan.EdgeMetres);
        gate.Add(Finding.Of(FindingCode.CurveOfManyEdges, Severity.Note, element.Path, ("edges", plan.Corners.Length), ("lengthM", formed)));
        return new FormBoards([], [], [], []);
    }

    private static void Explain(PlannedElement element, FormBoards forms, Gate gate)
    {
        if (forms.Bends.MinBy(b => b.RadiusM) is { } tightest)
        {
            gate.Add(Explanation.For(
                WhyCode.Bends, element.Path, forms.Bends.Sum(b => b.CutM), Source.ApaForming,
                ("tightestM", tightest.RadiusM), ("leastM", tightest.Strip.LeastRadius.Metres), ("stripMm", tightest.Strip.Thickness.Millimetres), ("insideM", forms.Bends.Sum(b => b.InsideM))));
        }
    }
}
