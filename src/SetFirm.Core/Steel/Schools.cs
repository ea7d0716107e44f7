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
}

/// <summary>Which school, and whether one fits.</summary>
/// <remarks>Source: site practice; cover ACI 318. Structural work is not sized here.</remarks>
public static class Schools
{
    public const double CoverToWeatherMm = 40;
    public const double CoverToEarthMm = 75;

    /// <summary>On a base with plastic under the pour.</summary>
    public const double CoverToPlasticMm = 50;

    /// <summary>A side up to this may go without.</summary>
    public const double SmallPanelM = 1.5;

    /// <summary>A curb, block or tread longer than this takes bars.</summary>
    public const double LongPieceM = 1.2;

    /// <summary>Mesh wires, both ways: two of 5 mm.</summary>
    private const double MeshMm = 10;

    public static Length CoverBelow(bool plastic) => Length.FromMillimetres(plastic ? CoverToPlasticMm : CoverToEarthMm);

    /// <summary>Least slab for a grid of bars: cover above, two bars, cover below.</summary>
    public static Length LeastForGrid(BarSize bar, bool plastic)
    {
        ArgumentNullException.ThrowIfNull(bar);
        return Length.FromMillimetres(CoverToWeatherMm + (2 * bar.Diameter.Millimetres) + CoverBelow(plastic).Millimetres);
    }

    /// <summary>Least slab for mesh in the middle of its depth, cover to weather on both faces.</summary>
    public static Length LeastForMesh => Length.FromMillimetres((2 * CoverToWeatherMm) + MeshMm);

    /// <summary>Least section for two rows.</summary>
    public static Length LeastForRows(BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(bar);
        return Length.FromMillimetres((2 * CoverToWeatherMm) + (2 * bar.Diameter.Millimetres));
    }

    /// <param name="section">What it is.</param>
    /// <param name="load">What it carries.</param>
    /// <param name="thickness">Of the pour.</param>
    /// <param name="longestM">The longest side of a panel or piece.</param>
    /// <param name="bar">Bars at hand.</param>
    /// <param name="plastic">Plastic lies under it.</param>
    public static SteelSchool Advised(SteelSection section, Load load, Length thickness, double longestM, BarSize bar, bool plastic) => section switch
    {
        SteelSection.Counter => SteelSchool.Scrim,
        SteelSection.Footing => SteelSchool.None,
        SteelSection.Strip => longestM > LongPieceM && thickness >= LeastForRows(bar) ? SteelSchool.TwoRows : longestM > LongPieceM ? SteelSchool.Fibre : SteelSchool.None,
        SteelSection.Thin => longestM <= SmallPanelM ? SteelSchool.None : SteelSchool.Fibre,
        _ => load == Load.Vehicle && thickness >= LeastForGrid(bar, plastic) ? SteelSchool.BarGrid
            : load == Load.Foot && longestM <= SmallPanelM ? SteelSchool.None
            : thickness >= LeastForMesh ? SteelSchool.Mesh
            : SteelSchool.Fibre,
    };

    public static SteelMisfit Fits(SteelSchool school, SteelSection section, Load load, Length thickness, double longestM, BarSize bar, bool plastic) => school switch
    {
        SteelSchool.None when section == SteelSection.Strip && longestM > LongPieceM => SteelMisfit.TooLong,
        SteelSchool.None when load == Load.Vehicle => SteelMisfit.TooLight,
        SteelSchool.None when section == SteelSection.Slab && longestM > SmallPanelM => SteelMisfit.PanelsTooLarge,
        SteelSchool.None when section == SteelSection.Counter => SteelMisfit.PanelsTooLarge,
        SteelSchool.Fibre when load == Load.Vehicle => SteelMisfit.TooLight,
        SteelSchool.Mesh when section is SteelSection.Counter or SteelSection.Strip => SteelMisfit.OtherSection,
        SteelSchool.Mesh when thickness < LeastForMesh => SteelMisfit.TooThin,
        SteelSchool.Mesh when load == Load.Vehicle => SteelMisfit.TooLight,
        SteelSchool.BarGrid when section is SteelSection.Counter or SteelSection.Strip => SteelMisfit.OtherSection,
        SteelSchool.BarGrid when thickness < LeastForGrid(bar, plastic) => SteelMisfit.TooThin,
        SteelSchool.TwoRows when section is SteelSection.Slab or SteelSection.Counter => SteelMisfit.OtherSection,
        SteelSchool.TwoRows when thickness < LeastForRows(bar) => SteelMisfit.TooThin,
        SteelSchool.Scrim when section is not SteelSection.Counter => SteelMisfit.OtherSection,
        _ => SteelMisfit.None,
    };
}
