using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Formwork;

/// <summary>What is to be held while it sets.</summary>
/// <param name="Cast">The element.</param>
/// <param name="Meets">What an edge meets, from 0.</param>
/// <param name="Bulkheads">Joints that are formed with a board.</param>
/// <param name="Tied">Its forms are tied across the top.</param>
/// <param name="Nailed">They stand on old concrete: nails in drilled holes hold them, no stakes.</param>
public sealed record FormSite(CastShape Cast, Func<int, Meets> Meets, ImmutableArray<PlanCut> Bulkheads, bool Tied, bool Nailed);

/// <summary>Boards as said.</summary>
/// <param name="Board">Id; null takes the lowest that holds it.</param>
/// <param name="Corners">How boards meet.</param>
/// <param name="PlyMm">Ply that curves are bent from; null takes the stiffest that bends.</param>
/// <param name="Sold">Whose boards.</param>
/// <param name="LongestMm">Of the lengths that they are sold in.</param>
public sealed record FormsSaid(string? Board, CornerScheme Corners, double? PlyMm, UnitSystem Sold, double LongestMm);

/// <summary>Boards, strips and stakes of one element.</summary>
/// <param name="Board">Which board.</param>
/// <param name="Gap">By how much the pour is deeper.</param>
/// <param name="Corners">How boards meet.</param>
/// <param name="Boards">Laid out.</param>
/// <param name="StakeSpacing">No further apart.</param>
/// <param name="Ties">Across the top.</param>
/// <param name="PressureKpa">At the foot of the form.</param>
/// <param name="Nailed">Where stakes would stand it is nailed to old concrete.</param>
/// <param name="Profile">Of what it holds, where a face leans: it is ripped to it, and capped with it.</param>
public sealed record FormsPlan(LumberSize Board, Length Gap, CornerScheme Corners, FormBoards Boards, Length StakeSpacing, int Ties, double PressureKpa, bool Nailed, CurbProfile? Profile)
{
    /// <summary>Driven into the ground.</summary>
    public int StakeCount => Nailed ? 0 : Boards.Stakes.Length;

    /// <summary>Nailed to old concrete.</summary>
    public int NailCount => Nailed ? Boards.Stakes.Length : 0;
}

/// <summary>What holds an element, and whether it does.</summary>
public static class FormsAdvice
{
    /// <summary>An outline of more edges is a drawn curve: one strip is bent along it.</summary>
    private const int MostBoards = 200;

    /// <summary>Side pressure of fresh concrete, kPa for each metre down. Source: fluid pressure, site practice.</summary>
    private const double PressureKpaPerM = 24;

    /// <summary>The base is dug lower only for more than this, mm.</summary>
    private const double LeastGapMm = 1;

    /// <returns>Null where a form cannot be chosen.</returns>
    /// <param name="said">As said.</param>
    /// <param name="site">What is held.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static FormsPlan? Plan(FormsSaid said, FormSite site, ElementPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(remarks);
        var (cast, height) = (site.Cast, site.Cast.FaceHeight);
        if (Board(said, height, at, remarks) is not { } board)
        {
            return null;
        }

        var gap = Length.FromMillimetres(Math.Max(0, height.Millimetres - board.Height.Millimetres));
        if (!Lumber.Holds(board, height))
        {
            Remedy[] any = said.Board is null ? [] : [new Remedy(new Mend.AnyBoard(), [new Edit(at.Forms.Board)])];
            remarks.Warn(at.Forms.Board, new Notice.BoardTooLow(BoardMm: board.Height.Millimetres, PourMm: height.Millimetres), any);
        }
        else if (gap.Millimetres > LeastGapMm)
        {
            remarks.Note(at.Self, new Notice.DigBelowBoard(GapMm: gap.Millimetres, BoardMm: board.Height.Millimetres));
        }

        var boards = cast.Plan.Corners.Length > MostBoards
            ? Drawn(site, at, remarks)
            : FormBoards.Of(cast.Plan, edge => site.Meets(edge) == Meets.Form, board, said.Corners, height, said.LongestMm, BendAdvice.Strip(said.PlyMm, at, remarks), site.Bulkheads);
        BendAdvice.Check(boards.Bends, at, remarks);
        Explain(boards, at, remarks);
        return new FormsPlan(
            board, gap, said.Corners, boards, Stakes.Spacing(height, board.Thickness),
            site.Tied && cast.Line is { } line ? (int)Math.Ceiling((line.Length.Metres / Stakes.TieM) - 1e-9) + 1 : 0,
            PressureKpaPerM * cast.FormHeight.Metres,
            site.Nailed,
            cast.Profile);
    }

    /// <summary>What of it is cut, marked by element and edge.</summary>
    public static void Cut(FormsPlan plan, int element, double longestMm, CutGroups cuts)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(cuts);
        foreach (var run in plan.Boards.Boards)
        {
            foreach (var piece in run.PiecesM)
            {
                cuts.Add(plan.Board.Id, piece, element, $".{run.Edge + 1}");
            }
        }

        foreach (var bulkhead in plan.Boards.BulkheadsM.Where(b => b * 1000 <= longestMm && b > 0))
        {
            cuts.Add(plan.Board.Id, bulkhead, element, ".J");
        }
    }

    /// <summary>All stakes of a job.</summary>
    public static void ExplainStakes(IReadOnlyCollection<FormsPlan> plans, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(plans);
        ArgumentNullException.ThrowIfNull(remarks);
        var stakes = plans.Sum(p => p.StakeCount);
        if (stakes > 0)
        {
            remarks.Why(new Why.Stakes(SpacingM: plans.Where(p => p.StakeCount > 0).Min(p => p.StakeSpacing.Metres), BentM: Stakes.BentM), stakes, Source.SitePractice);
        }
    }

    private static LumberSize? Board(FormsSaid said, Length height, ElementPlaces at, Remarks remarks)
    {
        if (said.Board is not { } id)
        {
            return Lumber.For(height, said.Sold);
        }

        var found = Lumber.Find(id);
        if (found is null)
        {
            remarks.Fault(at.Forms.Board, new Notice.UnknownBoard(Given: id));
        }

        return found;
    }

    // A curve of hundreds of short edges: one strip along all of it.
    private static FormBoards Drawn(FormSite site, ElementPlaces at, Remarks remarks)
    {
        var plan = site.Cast.Plan;
        var formed = Enumerable.Range(0, plan.Corners.Length).Where(i => site.Meets(i) == Meets.Form).Sum(plan.EdgeMetres);
        remarks.Note(at.Self, new Notice.CurveOfManyEdges(Edges: plan.Corners.Length, LengthM: formed));
        return new FormBoards([], [], [], []);
    }

    private static void Explain(FormBoards boards, ElementPlaces at, Remarks remarks)
    {
        if (boards.Bends.MinBy(b => b.RadiusM) is { } tightest)
        {
            var why = new Why.Bends(
                TightestM: tightest.RadiusM, LeastM: tightest.Strip.LeastRadius.Metres, StripMm: tightest.Strip.Thickness.Millimetres, InsideM: boards.Bends.Sum(b => b.InsideM));
            remarks.WhyOf(at.Self.Path, why, boards.Bends.Sum(b => b.CutM), Source.ApaForming);
        }
    }
}
