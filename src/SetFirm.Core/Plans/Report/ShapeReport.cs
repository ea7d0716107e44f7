using SetFirm.Core.Plans.Document;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans.Report;

/// <summary>What is poured.</summary>
/// <param name="Elements">One for each element that is sound, in pouring order.</param>
/// <param name="AreaM2">All together, openings left out.</param>
/// <param name="NetL">Litres as drawn.</param>
/// <param name="OrderL">Litres with waste.</param>
public sealed record ShapeReport(IReadOnlyList<SlabReport> Elements, double AreaM2, double NetL, double OrderL);

/// <summary>One slab as worked out; metres and litres.</summary>
/// <param name="Index">Its place in the document.</param>
/// <param name="Name">Its name.</param>
/// <param name="Corners">Start of each edge.</param>
/// <param name="Edges">Lengths, and what they meet.</param>
/// <param name="Openings">Holes.</param>
/// <param name="AreaM2">Less openings.</param>
/// <param name="PerimeterM">Round the outside.</param>
/// <param name="ThicknessMm">Poured depth.</param>
/// <param name="MisfitMm">By how much the tapes missed, spread already.</param>
/// <param name="NetL">As drawn.</param>
/// <param name="WastePercent">Added to it.</param>
/// <param name="OrderL">With waste.</param>
public sealed record SlabReport(
    int Index,
    string Name,
    IReadOnlyList<PlanPoint> Corners,
    IReadOnlyList<EdgeReport> Edges,
    IReadOnlyList<OpeningReport> Openings,
    double AreaM2,
    double PerimeterM,
    double ThicknessMm,
    double MisfitMm,
    double NetL,
    double WastePercent,
    double OrderL);

/// <param name="LengthM">Metres, measured or worked out.</param>
/// <param name="WorkedOut">True where the text was left empty.</param>
/// <param name="Meets">What it meets.</param>
public sealed record EdgeReport(double LengthM, bool WorkedOut, Meets Meets);

/// <param name="Name">Its name.</param>
/// <param name="Centre">Metres on the plan.</param>
/// <param name="WidthM">Across, along x; the diameter of a round one.</param>
/// <param name="DepthM">Along y.</param>
/// <param name="Round">A circle.</param>
public sealed record OpeningReport(string Name, PlanPoint Centre, double WidthM, double DepthM, bool Round);
