using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A named part of what is poured.</summary>
public enum CastPart
{
    Slab,
    ThickEdges,
    Border,
    Curb,
    Pieces,
    Field,
    Aprons,
    Footing,
    Tube,
    Skim,
    BaseCourse,
    Topping,
    PebbleBed,
    Slurry,
}

/// <param name="Part">Which part.</param>
/// <param name="Volume">As drawn, all pieces.</param>
/// <param name="InMix">False where it is not of the job's mix: the slurry over pebbles.</param>
public readonly record struct PartVolume(CastPart Part, Volume Volume, bool InMix = true);

/// <summary>A part as it shows where the element is cut through.</summary>
/// <param name="Part">Which part.</param>
/// <param name="Points">x from the drawn edge, y up from the top; metres.</param>
public sealed record SectionPiece(CastPart Part, ImmutableArray<PlanPoint> Points);

/// <summary>A cut through an element.</summary>
/// <param name="Pieces">What shows.</param>
/// <param name="GoesOn">True where the element goes on past the right of the drawing.</param>
public sealed record Section(ImmutableArray<SectionPiece> Pieces, bool GoesOn);

/// <summary>What every kind of element comes down to: where it lies, how it is cut, what it holds.</summary>
/// <param name="Plan">Seen from above; of one piece where there are several.</param>
/// <param name="Section">Cut through.</param>
/// <param name="Parts">Volumes.</param>
/// <param name="Depth">Of the greater part: what warms, sets and dries together.</param>
/// <param name="Thinnest">What stone and mix must fit.</param>
/// <param name="FormHeight">What its boards hold back.</param>
/// <param name="Count">How many pieces.</param>
/// <param name="Line">Its middle, where it follows a path.</param>
public sealed record CastShape(
    Outline Plan,
    Section Section,
    ImmutableArray<PartVolume> Parts,
    Length Depth,
    Length Thinnest,
    Length FormHeight,
    int Count = 1,
    CentreLine? Line = null)
{
    /// <summary>What hangs down along edges.</summary>
    public ImmutableArray<EdgeDrop> Drops { get; init; } = [];

    /// <summary>Nothing along its edges or in its face tells one side from the other.</summary>
    public bool SidesAlike { get; init; } = true;

    /// <summary>What is cast into the face of each piece.</summary>
    public ImmutableArray<Insert> Inserts { get; init; } = [];

    /// <summary>Diameters, where it is turned: a cone, a tube.</summary>
    public (Length Foot, Length Top)? Turned { get; init; }

    /// <summary>Its cross-section, where its faces may lean.</summary>
    public CurbProfile? Profile { get; init; }

    /// <summary>How high a board that holds it is, along its face.</summary>
    public Length FaceHeight => Profile?.FaceHeight ?? FormHeight;

    /// <summary>Hardened concrete, kg/m3. Source: site practice.</summary>
    public const double HardKgPerM3 = 2_350;

    /// <summary>And mortar, without stone.</summary>
    public const double MortarKgPerM3 = 2_150;

    /// <summary>One piece, hardened.</summary>
    /// <param name="mortar">Of a mix without stone.</param>
    public Mass PieceMass(bool mortar) => Mass.FromKilograms(Net.CubicMetres * (mortar ? MortarKgPerM3 : HardKgPerM3) / Count);

    /// <summary>Poured one after the other, the first below; none where it is poured in one.</summary>
    public ImmutableArray<CastCourse> Courses { get; init; } = [];

    /// <summary>Stones set in it, as they lie without the gaps between them.</summary>
    public Volume Pebbles { get; init; }

    /// <summary>Of the job's mix.</summary>
    public Volume Net => Volume.FromCubicMetres(Parts.Where(p => p.InMix).Sum(p => p.Volume.CubicMetres));

    /// <summary>As far as a section is drawn in from the edge before it is broken off, metres.</summary>
    public static double DrawnM(Outline plan, Length depth)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var (across, deep) = (Math.Min(Extent(plan.Flat.Select(p => p.X)), Extent(plan.Flat.Select(p => p.Y))), depth.Metres);
        return Math.Min(across, Math.Max(0.6, 6 * deep));
    }

    /// <summary>A plain layer between two depths below the top.</summary>
    public static SectionPiece Layer(CastPart part, double widthM, double topM, double bottomM, double fromM = 0) =>
        new(part, [new(fromM, -bottomM), new(fromM + widthM, -bottomM), new(fromM + widthM, -topM), new(fromM, -topM)]);

    private static double Extent(IEnumerable<double> values)
    {
        var (least, most) = (double.MaxValue, double.MinValue);
        foreach (var v in values)
        {
            (least, most) = (Math.Min(least, v), Math.Max(most, v));
        }

        return most - least;
    }
}
