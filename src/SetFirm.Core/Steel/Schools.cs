using SetFirm.Core.Quantities;

namespace SetFirm.Core.Steel;

/// <summary>What is put in against cracks.</summary>
public enum SteelSchool
{
    None,
    Fibre,
    Mesh,
    BarGrid,
    TwoRows,
    Scrim,
}

/// <summary>What a pour carries.</summary>
public enum Load
{
    Foot,
    Vehicle,
}

/// <summary>What its section is like, for steel.</summary>
public enum SteelSection
{
    Slab,

    /// <summary>Long and narrow, and deep enough for two rows: a curb, a tread.</summary>
    Strip,

    /// <summary>A counter.</summary>
    Counter,

    /// <summary>A skim, a paver, a border: no room for cover.</summary>
    Thin,
    Footing,
}

/// <summary>Why a school does not fit.</summary>
public enum SteelMisfit
{
    /// <summary>It fits.</summary>
    None,

    /// <summary>The section has no room for it and its cover.</summary>
    TooThin,

    /// <summary>It does not hold what is carried.</summary>
    TooLight,

    /// <summary>Panels are too large to go without.</summary>
    PanelsTooLarge,

    /// <summary>It is made for another kind of section.</summary>
    OtherSection,

    /// <summary>A long piece wants bars.</summary>
    TooLong,

    /// <summary>What spans between supports wants bars.</summary>
    Spans,

    /// <summary>Bare earth under it rusts steel so near: stone or plastic between, not less steel.</summary>
    BareEarth,
}

/// <summary>A piece as its steel sees it.</summary>
/// <param name="Section">What it is.</param>
/// <param name="Load">What it carries.</param>
/// <param name="Thickness">Of the pour.</param>
/// <param name="Width">Across it; of a strip or a piece its narrower side.</param>
/// <param name="LongestM">The longest side of a panel or piece.</param>
/// <param name="BareEarth">It lies on soil, with neither stone nor plastic between.</param>
/// <param name="InMould">It is cast apart.</param>
/// <param name="Spans">It lies on supports and carries between them.</param>
public sealed record SteelPiece(SteelSection Section, Load Load, Length Thickness, Length Width, double LongestM, bool BareEarth = false, bool InMould = false, bool Spans = false)
{
    /// <summary>Concrete over its steel.</summary>
    public double CoverMm => InMould ? Schools.CoverCastMm : Schools.CoverMm;
}

/// <summary>Which school, and whether one fits.</summary>
/// <remarks>Source: site practice; cover by ACI 318 for what carries only itself and what stands on it. Structural work is not sized here.</remarks>
public static class Schools
{
    /// <summary>To the top, to a compacted stone base or plastic, and to the ends.</summary>
    public const double CoverMm = 38;

    public const double CoverToEarthMm = 75;

    /// <summary>Of what is cast in a mould and rained on.</summary>
    public const double CoverCastMm = 25;

    /// <summary>A side up to this may go without.</summary>
    public const double SmallPanelM = 1.5;

    /// <summary>A free piece longer than this takes bars.</summary>
    public const double LongPieceM = 1.2;

    /// <summary>Mesh wires, both ways: two of 5 mm.</summary>
    private const double MeshMm = 10;

    /// <summary>Cars stand on no less. Source: site practice: a light car on a jointed slab on a sound base.</summary>
    private const double LeastForCarsMm = 100;

    /// <summary>Least slab for a grid of bars at half depth.</summary>
    public static Length LeastForGrid(BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(bar);
        return Length.FromMillimetres((2 * CoverMm) + (2 * bar.Diameter.Millimetres));
    }

    /// <summary>Least slab for mesh at half depth.</summary>
    public static Length LeastForMesh => Length.FromMillimetres((2 * CoverMm) + MeshMm);

    /// <summary>Least section for two bars one over the other.</summary>
    public static Length LeastForStacked(SteelPiece piece, BarSize bar) => Length.FromMillimetres((2 * piece.CoverMm) + (2 * bar.Diameter.Millimetres));

    /// <summary>Least section for two bars side by side.</summary>
    public static Length LeastForRows(SteelPiece piece, BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(bar);
        return Length.FromMillimetres((2 * piece.CoverMm) + bar.Diameter.Millimetres);
    }

    /// <summary>Bars lie one over the other where there is room, and nothing to bear between supports.</summary>
    public static bool Stacked(SteelPiece piece, BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return !piece.Spans && !TradeSizes.Under(piece.Thickness.Millimetres, LeastForStacked(piece, bar).Millimetres);
    }

    /// <summary>Slab that keeps steel of so much height clear of bare earth.</summary>
    public static Length LeastOnEarth(double steelMm) => Length.FromMillimetres(CoverMm + steelMm + CoverToEarthMm);

    private static bool Room(Length has, Length wants) => !TradeSizes.Under(has.Millimetres, wants.Millimetres);

    private static bool RoomForRows(SteelPiece piece, BarSize bar) => Room(piece.Thickness, LeastForRows(piece, bar)) && Room(piece.Width, LeastForStacked(piece, bar));

    private static bool Long(SteelPiece piece) => piece.LongestM > LongPieceM;

    /// <summary>What is usual for such a piece.</summary>
    public static SteelSchool Advised(SteelPiece piece, BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(piece);
        if (piece.Spans)
        {
            return RoomForRows(piece, bar) ? SteelSchool.TwoRows : SteelSchool.Scrim;
        }

        return piece.Section switch
        {
            SteelSection.Counter => SteelSchool.Scrim,
            SteelSection.Footing => SteelSchool.None,
            SteelSection.Strip => !Long(piece) ? SteelSchool.None : RoomForRows(piece, bar) ? SteelSchool.TwoRows : SteelSchool.Scrim,
            // Bedded all over, or carried by what is under it.
            SteelSection.Thin => piece.LongestM <= SmallPanelM ? SteelSchool.None : SteelSchool.Fibre,
            _ => piece.Load == Load.Vehicle && Room(piece.Thickness, LeastForGrid(bar)) ? SteelSchool.BarGrid
                : piece.Load == Load.Foot && piece.LongestM <= SmallPanelM ? SteelSchool.None
                : Room(piece.Thickness, LeastForMesh) ? SteelSchool.Mesh
                : SteelSchool.Fibre,
        };
    }

    /// <summary>Why a school does not do; none where it does.</summary>
    public static SteelMisfit Fits(SteelSchool school, SteelPiece piece, BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(bar);
        var (section, thickness) = (piece.Section, piece.Thickness);
        return school switch
        {
            SteelSchool.None or SteelSchool.Fibre or SteelSchool.Scrim when piece.Spans => SteelMisfit.Spans,
            SteelSchool.None or SteelSchool.Fibre when section == SteelSection.Strip && Long(piece) => SteelMisfit.TooLong,
            SteelSchool.None or SteelSchool.Fibre when piece.Load == Load.Vehicle => SteelMisfit.TooLight,
            SteelSchool.None when section == SteelSection.Slab && piece.LongestM > SmallPanelM => SteelMisfit.PanelsTooLarge,
            SteelSchool.None when section == SteelSection.Counter => SteelMisfit.PanelsTooLarge,
            SteelSchool.Mesh when section is SteelSection.Strip => SteelMisfit.OtherSection,
            SteelSchool.Mesh when section is SteelSection.Slab && !Room(thickness, LeastForMesh) => SteelMisfit.TooThin,
            SteelSchool.Mesh when piece.Load == Load.Vehicle && TradeSizes.Under(thickness.Millimetres, LeastForCarsMm) => SteelMisfit.TooLight,
            SteelSchool.Mesh when piece.BareEarth && !Room(thickness, LeastOnEarth(MeshMm)) => SteelMisfit.BareEarth,
            SteelSchool.BarGrid when section is SteelSection.Counter or SteelSection.Strip => SteelMisfit.OtherSection,
            SteelSchool.BarGrid when !Room(thickness, LeastForGrid(bar)) => SteelMisfit.TooThin,
            SteelSchool.BarGrid when piece.BareEarth && !Room(thickness, LeastOnEarth(2 * bar.Diameter.Millimetres)) => SteelMisfit.BareEarth,
            SteelSchool.TwoRows when section is SteelSection.Slab => SteelMisfit.OtherSection,
            SteelSchool.TwoRows when !RoomForRows(piece, bar) => SteelMisfit.TooThin,
            SteelSchool.Scrim when section is SteelSection.Slab or SteelSection.Footing => SteelMisfit.OtherSection,
            _ => SteelMisfit.None,
        };
    }

    /// <summary>It holds a piece together: taking it out of one that needs it is no way out.</summary>
    public static bool Holds(SteelSchool school) => school is SteelSchool.Mesh or SteelSchool.BarGrid or SteelSchool.TwoRows;
}
