using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>What is dug, set out, boarded and tied before the pour.</summary>
/// <param name="Elements">One for each element.</param>
/// <param name="Dig">All together; null where nothing is dug.</param>
/// <param name="StringMm">Over the highest finished top.</param>
/// <param name="Boards">Cut lists, one for each size of board.</param>
/// <param name="Bars">Cut lists, one for each size of bar.</param>
/// <param name="BoardCount">Boards to have, of every size.</param>
/// <param name="BarCount">Bars to have.</param>
/// <param name="Stakes">How many.</param>
/// <param name="Sheets">For all moulds, cut together.</param>
/// <param name="MeshSheets">For all elements, cut together.</param>
/// <param name="Cartridges">Of sealant, for all moulds.</param>
/// <param name="Inspections">To be looked over before the pour.</param>
public sealed record BuildReport(
    IReadOnlyList<ElementBuildReport> Elements,
    DigReport? Dig,
    double StringMm,
    IReadOnlyList<CutListReport> Boards,
    IReadOnlyList<CutListReport> Bars,
    int BoardCount,
    int BarCount,
    int Stakes,
    IReadOnlyList<SheetReport> Sheets,
    int MeshSheets,
    int Cartridges,
    IReadOnlyList<Inspection> Inspections);

/// <param name="ThicknessMm">Of the sheet.</param>
/// <param name="Count">As sold.</param>
public sealed record SheetReport(double ThicknessMm, int Count);

/// <param name="Index">Its place in the document.</param>
/// <param name="Dig">Null where nothing is dug.</param>
/// <param name="Corners">How far down from the string each corner's finished top lies, mm.</param>
/// <param name="Diagonals">That prove it square.</param>
/// <param name="Forms">Boards and stakes; null where it is cast in a mould or in the ground.</param>
/// <param name="Mould">Null where it is not cast in one.</param>
/// <param name="Steel">What is in it.</param>
/// <param name="IsolationM">Strip where it meets a wall, an old slab, a post or a drain.</param>
/// <param name="BondBreakerM">Where it meets a panel poured earlier.</param>
public sealed record ElementBuildReport(
    int Index,
    DigReport? Dig,
    IReadOnlyList<double> Corners,
    IReadOnlyList<Diagonal> Diagonals,
    FormsReport? Forms,
    MouldReport? Mould,
    SteelReport Steel,
    double IsolationM,
    double BondBreakerM);

/// <param name="DepthMm">Below the ground; of the deepest where several are summed.</param>
/// <param name="BaseMm">Compacted.</param>
/// <param name="BankM3">As it lies.</param>
/// <param name="SpoilM3">Loose.</param>
/// <param name="BaseM3">Compacted.</param>
/// <param name="BaseLooseM3">To buy.</param>
/// <param name="BaseKg">To buy.</param>
/// <param name="Lifts">To compact it in.</param>
/// <param name="AboveMm">Of the finished top over the ground.</param>
/// <param name="BackM3">Of the loose spoil, what goes back beside the pour.</param>
public sealed record DigReport(
    double DepthMm, double BaseMm, double BankM3, double SpoilM3, double BaseM3, double BaseLooseM3, double BaseKg, int Lifts, double AboveMm, double BackM3);

/// <param name="Board">Id of the board.</param>
/// <param name="BoardMm">Its height.</param>
/// <param name="BoardThickMm">Its thickness.</param>
/// <param name="GapMm">How far the base lies below the board.</param>
/// <param name="Corners">How boards meet.</param>
/// <param name="Runs">Straight boards.</param>
/// <param name="Bends">Bent strips.</param>
/// <param name="BendsM">Bent strip, all together.</param>
/// <param name="Stakes">Where they stand.</param>
/// <param name="StakeSpacingM">No further apart on straight boards.</param>
/// <param name="Splices">Plates.</param>
/// <param name="Ties">Across the top of a curb.</param>
/// <param name="PressureKpa">At the foot of the form.</param>
/// <param name="Nailed">To old concrete, where stakes would stand.</param>
/// <param name="Rip">How boards and caps are ripped to the profile; null where all is plumb.</param>
public sealed record FormsReport(
    string Board,
    double BoardMm,
    double BoardThickMm,
    double GapMm,
    CornerScheme Corners,
    IReadOnlyList<RunReport> Runs,
    IReadOnlyList<BendReport> Bends,
    double BendsM,
    IReadOnlyList<StakeReport> Stakes,
    double StakeSpacingM,
    int Splices,
    int Ties,
    double PressureKpa,
    bool Nailed,
    RipReport? Rip);

/// <param name="FaceMm">Of the board behind a battered face, from foot to top along it.</param>
/// <param name="Degrees">Both its long edges are ripped so far off square, the same way, so that it stands flat and ends level; under zero where it hangs over.</param>
/// <param name="Faces">How many such boards: 1 or 2; with 1 the other stands plumb.</param>
/// <param name="CapBaseMm">Foot of an end cap between the boards.</param>
/// <param name="CapTopMm">Its top.</param>
/// <param name="CapMm">Its height.</param>
public sealed record RipReport(double FaceMm, double Degrees, int Faces, double CapBaseMm, double CapTopMm, double CapMm);

/// <param name="Edge">From 0.</param>
/// <param name="InsideM">The pour's own edge.</param>
/// <param name="CutM">Over all.</param>
/// <param name="Pieces">How many it is spliced from.</param>
public sealed record RunReport(int Edge, double InsideM, double CutM, int Pieces);

/// <param name="Edge">From 0.</param>
/// <param name="RadiusM">Of the poured edge.</param>
/// <param name="InsideM">Along the poured edge.</param>
/// <param name="CutM">Of the strip.</param>
/// <param name="Strip">What it is bent from.</param>
/// <param name="ThicknessMm">Of it.</param>
/// <param name="LeastRadiusM">It takes no tighter bend.</param>
public sealed record BendReport(int Edge, double RadiusM, double InsideM, double CutM, StripKind Strip, double ThicknessMm, double LeastRadiusM);

/// <param name="At">On the line of the form.</param>
/// <param name="Why">Reason.</param>
/// <param name="DownMm">From the string to the top of the form there.</param>
public sealed record StakeReport(PlanPoint At, StakeAt Why, double DownMm);

/// <param name="Mirrored">Cut as the mirror of the piece.</param>
/// <param name="Outline">As it is cut: corners, arcs cut to chords.</param>
/// <param name="Parts">Of one mould.</param>
/// <param name="Moulds">How many.</param>
/// <param name="SheetMm">Thickness.</param>
/// <param name="Sheets">For all moulds.</param>
/// <param name="Screws">For all moulds.</param>
/// <param name="SeamM">For all moulds.</param>
/// <param name="Cartridges">Of sealant.</param>
/// <param name="Sides">Where they stand.</param>
/// <param name="Bends">Of one mould.</param>
/// <param name="StripM">Bent strip for one mould: both sides of a ribbon, or round a curve.</param>
/// <param name="Castings">When.</param>
public sealed record MouldReport(
    bool Mirrored,
    IReadOnlyList<PlanPoint> Outline,
    IReadOnlyList<SheetPart> Parts,
    int Moulds,
    double SheetMm,
    int Sheets,
    int Screws,
    double SeamM,
    int Cartridges,
    MouldSides Sides,
    IReadOnlyList<BendReport> Bends,
    double StripM,
    IReadOnlyList<Casting> Castings);

/// <param name="School">What was chosen.</param>
/// <param name="Advised">What would be.</param>
/// <param name="Misfit">Why what was chosen does not fit.</param>
/// <param name="Bar">Id of the bar; empty where there is none.</param>
/// <param name="BarMm">Its diameter.</param>
/// <param name="SpacingM">Of a grid; 0 else.</param>
/// <param name="Sheets">Of mesh, as they lie in one piece.</param>
/// <param name="SheetCount">For all pieces.</param>
/// <param name="Bars">As they lie.</param>
/// <param name="BarM">All bars, laps included.</param>
/// <param name="Kg">Of bars, or of fibre.</param>
/// <param name="LapM">Of sheets or bars.</param>
/// <param name="Chairs">That hold it up.</param>
/// <param name="Ties">Of wire.</param>
/// <param name="CrossPieces">That hold two rows apart.</param>
/// <param name="HeightsMm">Of its centre lines, below the top as it will lie.</param>
/// <param name="CoverMm">Under it.</param>
/// <param name="OffcutM2">Of mesh.</param>
/// <param name="ScrimM2">Of scrim, laps included.</param>
/// <param name="LongestM">The longest side of a panel, a bay or a piece: what a choice goes by.</param>
/// <param name="NotDrawn">Sheets or bars more than are drawn; they are cut and counted with the rest.</param>
public sealed record SteelReport(
    SteelSchool School,
    SteelSchool Advised,
    SteelMisfit Misfit,
    string Bar,
    double BarMm,
    double SpacingM,
    IReadOnlyList<MeshSheet> Sheets,
    int SheetCount,
    IReadOnlyList<PlanCut> Bars,
    double BarM,
    double Kg,
    double LapM,
    int Chairs,
    int Ties,
    int CrossPieces,
    IReadOnlyList<double> HeightsMm,
    double CoverMm,
    double OffcutM2,
    double ScrimM2,
    double LongestM,
    int NotDrawn);

/// <summary>Cuts laid on stock.</summary>
/// <param name="Stock">Id of the board or bar.</param>
/// <param name="Count">How many to have.</param>
/// <param name="Boards">Each with its cuts; of very many the first.</param>
/// <param name="LowerBound">Fewer cannot do.</param>
/// <param name="Verdict">Whether it is the fewest, or why more.</param>
/// <param name="CutM">All cuts.</param>
/// <param name="StockM">All bought.</param>
public sealed record CutListReport(string Stock, int Count, IReadOnlyList<StockReport> Boards, int LowerBound, LayoutVerdict Verdict, double CutM, double StockM);

/// <param name="LengthM">As sold.</param>
/// <param name="Cuts">Laid on it, longest first.</param>
public sealed record StockReport(double LengthM, IReadOnlyList<CutReport> Cuts);

/// <param name="LengthM">To cut.</param>
/// <param name="For">Element and edge, both from 1: 1.4.</param>
public sealed record CutReport(double LengthM, string For);
