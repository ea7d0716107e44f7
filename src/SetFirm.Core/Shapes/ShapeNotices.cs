namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record TooFewEdges(double Count) : Notice;

    /// <summary>More corners that turn sharply than are planned, all elements together.</summary>
    public sealed record TooManyCorners(int Count, double Most) : Notice;

    public sealed record TurnsDoNotClose(double SumDegrees) : Notice;

    public sealed record OutlineGap(double GapMm, double LimitMm) : Notice;

    /// <summary>At most two blanks, and those two not parallel.</summary>
    public sealed record OutlineNotSolvable(int Blanks) : Notice;

    public sealed record EdgeBackwards(double LengthMm) : Notice;

    public sealed record OutlineCrosses(double AlongM, double InM) : Notice;

    public sealed record OpeningOutside : Notice;

    public sealed record OpeningsOverlap(int Other) : Notice;

    /// <summary>Two tapes that together do not span the nails.</summary>
    public sealed record TapesTooShort(double SumMm, double ApartMm) : Notice;

    /// <summary>Two tapes that differ by more than the nails are apart.</summary>
    public sealed record TapesTooFarApart(double DifferenceMm, double ApartMm) : Notice;

    public sealed record CheckTapeMisfit(double MisfitMm, double TapedMm, double WorkedOutMm) : Notice;

    /// <summary>A notch as large as its sides, a kidney as wide as it is long.</summary>
    public sealed record PresetCannotBe(double AlongMm, double AcrossMm) : Notice;

    /// <summary>A path bends tighter than half its width.</summary>
    public sealed record BendTooTight(double RadiusMm, double LeastMm) : Notice;

    public sealed record TooNarrow(double WidthMm, double LeastMm) : Notice;

    /// <summary>Of base, top and batter two are wanted.</summary>
    public sealed record CurbWantsTwo(double Given) : Notice;

    /// <summary>The faces meet below the top.</summary>
    public sealed record CurbLeansAway(double BatterDegrees, double HeightMm) : Notice;

    public sealed record EaseTooLarge(double EaseMm, double TopMm) : Notice;

    /// <summary>A step for a flange leaves too little under it; 0 where nothing is let into such a thing.</summary>
    public sealed record RebateTooDeep(double RebateMm, double MostMm) : Notice;

    /// <summary>It reaches over the edge, or into another opening.</summary>
    public sealed record RebateOverEdge(double RebateMm) : Notice;

    /// <summary>It stands over the edge of its piece, into another, or deeper than the piece is.</summary>
    public sealed record InsertTooLarge(double AlongMm, double AcrossMm, double DeepMm, double ThicknessMm) : Notice;

    /// <summary>Concrete behind it is thin and breaks out.</summary>
    public sealed record InsertNearlyThrough(double LeftMm, double LeastMm) : Notice;

    /// <summary>Steel at the face rusts and stains.</summary>
    public sealed record InsertRusts : Notice;

    /// <summary>A free edge stands out further than plain concrete carries.</summary>
    public sealed record OverhangWantsBrackets(double OverhangMm, double MostMm, double ThicknessMm) : Notice;

    /// <summary>A tube is filled where it stands; it is no piece.</summary>
    public sealed record TubeStandsInPlace : Notice;

    public sealed record FieldTooThin(double ThicknessMm, double LeastMm) : Notice;

    public sealed record TwoPours(double BaseMm, double ToppingMm) : Notice;

    public sealed record NoProbes(double Count, double Most) : Notice;
}

public abstract partial record Mend
{
    public sealed record BlankLastEdge : Mend;

    public sealed record SpreadGap(double GapMm, int Sides) : Mend;
}

public abstract partial record Why
{
    public sealed record Area(double GrossM2, double OpeningsM2, int Pieces) : Why;

    public sealed record Perimeter(int Edges) : Why;

    public sealed record PathLength(int Stretches) : Why;

    public sealed record NetVolume(double? AreaM2 = null, double? MeanDepthMm = null, double? SlabL = null, double? ThickEdgesL = null, double? FieldL = null, double? ApronsL = null, double? FootingL = null, double? TubeL = null, double? BaseCourseL = null, double? ToppingL = null, double? PebbleBedL = null) : Why;

    public sealed record OrderVolume(double NetL, double WastePct) : Why;

    public sealed record PieceMass(double PieceL, double HardKg) : Why;
}
