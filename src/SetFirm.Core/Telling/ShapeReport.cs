using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>What is poured.</summary>
/// <param name="Elements">One for each element that is sound, in pouring order.</param>
/// <param name="AreaM2">All together, openings left out.</param>
/// <param name="NetL">Litres as drawn.</param>
/// <param name="OrderL">Litres with waste.</param>
public sealed record ShapeReport(IReadOnlyList<ElementReport> Elements, double AreaM2, double NetL, double OrderL);

/// <summary>One element as worked out; metres and litres.</summary>
public sealed record ElementReport
{
    /// <summary>Its place in the document.</summary>
    public required int Index { get; init; }

    public required string Name { get; init; }

    /// <summary>Start of each edge; of one piece where there are several.</summary>
    public required IReadOnlyList<PlanPoint> Corners { get; init; }

    public required IReadOnlyList<EdgeReport> Edges { get; init; }

    public required IReadOnlyList<OpeningReport> Openings { get; init; }

    /// <summary>Cast into the face of each piece.</summary>
    public required IReadOnlyList<InsertReport> Inserts { get; init; }

    /// <summary>Of all pieces, less openings.</summary>
    public required double AreaM2 { get; init; }

    /// <summary>Round the outside of one; along the middle of a path.</summary>
    public required double PerimeterM { get; init; }

    /// <summary>Of the greater part.</summary>
    public required double ThicknessMm { get; init; }

    /// <summary>By how much the tapes missed, spread already.</summary>
    public required double MisfitMm { get; init; }

    /// <summary>Pieces.</summary>
    public required int Count { get; init; }

    /// <summary>One piece, hardened.</summary>
    public required double PieceKg { get; init; }

    /// <summary>Where it follows a path: its stretches. Null where it is drawn by an outline.</summary>
    public required IReadOnlyList<StretchReport>? Stretches { get; init; }

    public required IReadOnlyList<PartReport> Parts { get; init; }

    public required SectionReport Section { get; init; }

    /// <summary>Null where it lies level by its nature.</summary>
    public required FallReport? Fall { get; init; }

    public required JointsReport Joints { get; init; }

    /// <summary>As drawn, of the job's mix.</summary>
    public required double NetL { get; init; }

    public required double WastePercent { get; init; }

    /// <summary>With waste.</summary>
    public required double OrderL { get; init; }
}

/// <param name="LengthM">Metres along it, measured or worked out.</param>
/// <param name="ChordM">Straight from end to end.</param>
/// <param name="TurnDegrees">Turn at its end, between the straight lines: left positive.</param>
/// <param name="RiseM">How far its middle bows out of the straight line; 0 is straight.</param>
/// <param name="RadiusM">Of its arc; 0 is straight.</param>
/// <param name="WorkedOut">True where the text was left empty.</param>
/// <param name="Meets">What it meets.</param>
public sealed record EdgeReport(double LengthM, double ChordM, double TurnDegrees, double RiseM, double RadiusM, bool WorkedOut, Meets Meets);

/// <param name="LengthM">Along its middle.</param>
/// <param name="RadiusM">Of its arc; 0 is straight.</param>
/// <param name="Middle">Half-way along it.</param>
public sealed record StretchReport(double LengthM, double RadiusM, PlanPoint Middle);

/// <param name="Name">Its name.</param>
/// <param name="Centre">Metres on the plan.</param>
/// <param name="WidthM">Across, along x; the diameter of a round one.</param>
/// <param name="DepthM">Along y.</param>
/// <param name="Round">A circle.</param>
/// <param name="CornerM">Radius of its corners.</param>
/// <param name="RebateM">Width of the step round it; 0 for none.</param>
/// <param name="RebateMm">Depth of that step.</param>
public sealed record OpeningReport(string Name, PlanPoint Centre, double WidthM, double DepthM, bool Round, double CornerM, double RebateM, double RebateMm);

/// <param name="Name">Its name.</param>
/// <param name="Centre">Metres on the plan.</param>
/// <param name="WidthM">Along x.</param>
/// <param name="DepthM">Along y.</param>
/// <param name="DeepMm">In the concrete.</param>
/// <param name="OutMm">Out of the face: the depth of its slot where the face lies on the mould.</param>
/// <param name="OverAllMm">The piece with what stands out of it.</param>
/// <param name="DisplacesL">Concrete that it takes the place of.</param>
public sealed record InsertReport(string Name, PlanPoint Centre, double WidthM, double DepthM, double DeepMm, double OutMm, double OverAllMm, double DisplacesL);

/// <param name="Part">Which part.</param>
/// <param name="Litres">As drawn.</param>
/// <param name="InMix">False where it is not of the job's mix.</param>
public sealed record PartReport(CastPart Part, double Litres, bool InMix);

/// <param name="Pieces">What shows; metres, y up from the top.</param>
/// <param name="GoesOn">True where it goes on past the right of the drawing.</param>
public sealed record SectionReport(IReadOnlyList<SectionPieceReport> Pieces, bool GoesOn);

public sealed record SectionPieceReport(CastPart Part, IReadOnlyList<PlanPoint> Points);

/// <param name="Percent">Down in a hundred along.</param>
/// <param name="Proposed">True where nothing was said.</param>
/// <param name="Direction">That water runs, of length 1; null where it runs to a drain or lies level.</param>
/// <param name="Drain">Where it runs to; null where it runs off.</param>
/// <param name="CornersMm">Of each corner, below the highest.</param>
/// <param name="DrainMm">Top of the drain, where there is one, below the highest corner.</param>
/// <param name="Copied">It is that of what lies below.</param>
public sealed record FallReport(double Percent, bool Proposed, PlanPoint? Direction, PlanPoint? Drain, IReadOnlyList<double> CornersMm, double? DrainMm, bool Copied);

/// <param name="Layout">How they are set out.</param>
/// <param name="Proposed">True where nothing was said.</param>
/// <param name="Lines">Joints that can be moved.</param>
/// <param name="Cuts">Where all joints run.</param>
/// <param name="Panels">In pouring order.</param>
/// <param name="SpacingM">No panel side is longer; 0 where there is no limit.</param>
/// <param name="DepthMm">Of a joint.</param>
/// <param name="WayOut">Where the barrow leaves; null where there is no surface to leave.</param>
/// <param name="WayOutEdge">Over which edge.</param>
public sealed record JointsReport(
    JointLayout Layout,
    bool Proposed,
    IReadOnlyList<JointLineReport> Lines,
    IReadOnlyList<PlanCut> Cuts,
    IReadOnlyList<PanelReport> Panels,
    double SpacingM,
    double DepthMm,
    PlanPoint? WayOut,
    int WayOutEdge);

/// <param name="Across">Square to the first edge; else along it.</param>
/// <param name="AtM">From the plan's origin.</param>
/// <param name="FromM">Where it begins; null runs from edge to edge.</param>
/// <param name="ToM">Where it ends.</param>
/// <param name="Method">How it is made.</param>
public sealed record JointLineReport(bool Across, double AtM, double? FromM, double? ToM, JointMethod Method);

/// <param name="Number">In pouring order, from 1.</param>
/// <param name="Middle">A place in it.</param>
/// <param name="AlongM">Extent along the first edge.</param>
/// <param name="AcrossM">Extent square to it.</param>
/// <param name="AreaM2">Less openings.</param>
/// <param name="DiagonalM">What a square panel of these sides measures from corner to corner.</param>
/// <param name="Corners">Round it, arcs as chords.</param>
public sealed record PanelReport(int Number, PlanPoint Middle, double AlongM, double AcrossM, double AreaM2, double DiagonalM, IReadOnlyList<PlanPoint> Corners);
