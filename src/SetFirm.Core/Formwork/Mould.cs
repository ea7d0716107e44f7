using System.Collections.Immutable;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Formwork;

/// <summary>A part of a mould, cut from sheet.</summary>
public enum MouldPart
{
    /// <summary>What the piece lies on.</summary>
    Bottom,
    Side,

    /// <summary>Round a cut-out.</summary>
    Box,

    /// <summary>Bent round a curve.</summary>
    BentSide,

    /// <summary>Inside of an apron, which stands down from the field.</summary>
    ApronInside,

    /// <summary>As deep as the step for a flange, and as large as the flange.</summary>
    RebateBlock,

    /// <summary>A side that leans with the face it forms.</summary>
    LeaningSide,

    /// <summary>Cut to the section.</summary>
    End,

    /// <summary>One half of a split mould, a layer of it.</summary>
    HalfShell,

    /// <summary>That halves are held together by.</summary>
    Flange,
}

/// <summary>Where the sides of a mould stand.</summary>
public enum MouldSides
{
    /// <summary>On its bottom: as high as the piece.</summary>
    OnBottom,

    /// <summary>Beside it: higher by the sheet.</summary>
    LapBottom,
}

/// <param name="Part">Which.</param>
/// <param name="AlongM">Longer way.</param>
/// <param name="AcrossM">Shorter way.</param>
/// <param name="Count">In one mould.</param>
public readonly record struct SheetPart(MouldPart Part, double AlongM, double AcrossM, int Count);

/// <summary>What a mould is cut from, and how it stands together.</summary>
/// <param name="SheetM">Thickness of the sheet.</param>
/// <param name="Sides">Where its sides stand.</param>
/// <param name="Bottom">False where it is cast onto what will carry it.</param>
public sealed record MouldForm(double SheetM, MouldSides Sides, bool Bottom)
{
    /// <summary>Sides that lap the bottom are so much higher.</summary>
    public double LapM => Bottom && Sides == MouldSides.LapBottom ? SheetM : 0;

    /// <summary>What the bottom stands out over the piece, both ways together.</summary>
    public double RimM => Sides == MouldSides.LapBottom ? 0 : 2 * (SheetM + Mould.MarginM);
}

/// <summary>One mould: its parts, and what holds and seals it.</summary>
public sealed record Mould(ImmutableArray<SheetPart> Parts, int Screws, double SeamM)
{
    /// <summary>Sheet as sold, metres.</summary>
    public const double SheetAlongM = 2.44;

    public const double SheetAcrossM = 1.22;

    /// <summary>Bottom stands out past the sides this much for screws, metres.</summary>
    public const double MarginM = 0.05;

    public const double ScrewSpacingM = 0.2;

    /// <summary>Between nails along a bent strip. Source: site practice.</summary>
    public const double NailSpacingM = 0.15;

    /// <summary>That fresh concrete touches: one layer of it, whatever it is laminated from, m2.</summary>
    public double InnerM2 { get; init; } = Parts.Sum(p => p.AlongM * p.AcrossM * p.Count);

    /// <summary>Between its layers, m2; 0 where it is of one.</summary>
    public double LaminatedM2 { get; init; }

    /// <summary>A 300 mL cartridge seals this much seam with a 5 mm bead: 0.3 L over 25 mm2.</summary>
    public const double SeamPerCartridgeM = 12;

    /// <param name="outline">The piece, already mirrored where it is cast face down.</param>
    /// <param name="sided">True for each edge that the mould closes.</param>
    /// <param name="heightM">Of the piece.</param>
    /// <param name="form">What it is cut from, and how.</param>
    /// <param name="aprons">Aprons, whose inside is formed too.</param>
    public static Mould Of(Outline outline, Func<int, bool> sided, double heightM, MouldForm form, IReadOnlyList<EdgeDrop> aprons)
    {
        ArgumentNullException.ThrowIfNull(form);
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(aprons);
        var parts = ImmutableArray.CreateBuilder<SheetPart>();
        double seams = 0;
        var (sheetM, sideM) = (form.SheetM, heightM + form.LapM);
        for (var i = 0; i < outline.Corners.Length; i++)
        {
            if (!sided(i))
            {
                continue;
            }

            var edge = outline.EdgeMetres(i);
            // Sides are set round like a pinwheel, each past one neighbour by the sheet.
            parts.Add(outline.IsArc(i)
                ? new SheetPart(MouldPart.BentSide, edge, sideM, 1)
                : new SheetPart(MouldPart.Side, edge + sheetM, sideM, 1));
            seams += edge + heightM;
        }

        foreach (var opening in outline.Openings)
        {
            seams += opening.Perimeter.Metres;
            if (opening.Rebate is { } rebate)
            {
                // A block as thick as the rebate is deep, its flange wider than the hole all round.
                var (a, b) = (opening.AlongM + (2 * rebate.Width.Metres), opening.AcrossM + (2 * rebate.Width.Metres));
                parts.Add(new SheetPart(MouldPart.RebateBlock, Math.Max(a, b), Math.Min(a, b), 1));
            }

            if (opening is Opening.Rectangular { Corner.Metres: 0 } box)
            {
                parts.Add(new SheetPart(MouldPart.Box, box.Width.Metres, heightM, 2));
                parts.Add(new SheetPart(MouldPart.Box, box.Depth.Metres, heightM, 2));
            }
            else
            {
                parts.Add(new SheetPart(MouldPart.BentSide, opening.Perimeter.Metres, heightM, 1));
            }
        }

        foreach (var apron in aprons)
        {
            var along = Math.Max(0.01, outline.EdgeMetres(apron.Edge) - apron.Width.Metres);
            parts.Add(new SheetPart(MouldPart.ApronInside, along, apron.Depth.Metres, 1));
            seams += along;
        }

        if (form.Bottom)
        {
            var (left, right, low, high) = Extents.Of(outline);
            parts.Insert(0, new SheetPart(MouldPart.Bottom, Math.Max(right - left, high - low) + form.RimM, Math.Min(right - left, high - low) + form.RimM, 1));
        }

        return new Mould(parts.ToImmutable(), Screwed(parts), seams);
    }

    /// <summary>The mould of a straight piece by its section: two sides, one ripped or both, two ends cut to the section, and a bottom as wide as what lies on it.</summary>
    /// <param name="profile">Of the piece.</param>
    /// <param name="lengthM">Of it.</param>
    /// <param name="form">What it is cut from, and how.</param>
    /// <param name="topDown">Its narrower top lies on the bottom.</param>
    public static Mould OfProfile(CurbProfile profile, double lengthM, MouldForm form, bool topDown)
    {
        ArgumentNullException.ThrowIfNull(profile);
        ArgumentNullException.ThrowIfNull(form);
        var (high, sheet, lap) = (profile.Height.Metres, form.SheetM, form.LapM);
        var wide = Math.Max(profile.Base.Metres, profile.Top.Metres);
        var lies = topDown ? profile.Top.Metres : profile.Base.Metres;
        // Sides run past the ends.
        var side = lengthM + (2 * sheet);
        var parts = ImmutableArray.CreateBuilder<SheetPart>();
        parts.Add(new SheetPart(MouldPart.Bottom, lengthM + form.RimM, lies + form.RimM, 1));
        parts.Add(new SheetPart(MouldPart.LeaningSide, side, profile.FaceHeight.Metres + lap, profile.Faces));
        if (profile.Faces == 1)
        {
            parts.Add(new SheetPart(MouldPart.Side, side, high + lap, 1));
        }

        parts.Add(new SheetPart(MouldPart.End, Math.Max(wide, high + lap), Math.Min(wide, high + lap), 2));
        var seams = (2 * (lengthM + lies)) + (2 * (high + profile.FaceHeight.Metres));
        return new Mould(parts.ToImmutable(), Screwed(parts), seams);
    }

    /// <summary>The mould of a cone or a tube in two halves with flanges, bent from sheet in so many layers.</summary>
    /// <param name="wideM">Its greater diameter.</param>
    /// <param name="narrowM">Its lesser.</param>
    /// <param name="highM">Of it.</param>
    /// <param name="layers">Of thin sheet, one over the other.</param>
    /// <remarks>Developed on the plane: half of a ring of outer radius R s/(R − r), s along the slant, that spans π (R − r)/s; of a tube a rectangle. Source: plane geometry.</remarks>
    public static Mould OfCone(double wideM, double narrowM, double highM, int layers)
    {
        var (wide, narrow) = (Math.Max(wideM, narrowM) / 2, Math.Min(wideM, narrowM) / 2);
        var slant = Math.Sqrt(((wide - narrow) * (wide - narrow)) + (highM * highM));
        var (along, across) = (Math.PI * wide, slant);
        if (wide - narrow > 1e-6)
        {
            var outer = wide * slant / (wide - narrow);
            var span = Math.Min(Math.PI, Math.PI * (wide - narrow) / slant);
            (along, across) = (2 * outer * Math.Sin(span / 2), outer - ((outer - slant) * Math.Cos(span / 2)));
        }

        var parts = ImmutableArray.Create(
            new SheetPart(MouldPart.HalfShell, Math.Max(along, across), Math.Min(along, across), 2 * layers), new SheetPart(MouldPart.Flange, slant, FlangeM, 4));
        // Flanges are bolted; each further layer is screwed to the one under it.
        // The mantle of the frustum.
        var shellM2 = Math.PI * (wide + narrow) * slant;
        return new Mould(parts, Screwed(parts), (2 * slant) + (2 * Math.PI * wide)) { InnerM2 = shellM2, LaminatedM2 = (layers - 1) * shellM2 };
    }

    /// <summary>Flanges that the halves of a split mould are held together by, metres. Source: site practice.</summary>
    public const double FlangeM = 0.05;

    private static int Screwed(IEnumerable<SheetPart> parts) =>
        parts.Where(p => p.Part != MouldPart.Bottom).Sum(p => p.Count * (int)Math.Max(2, Math.Ceiling(p.AlongM / ScrewSpacingM) + 1));

    /// <summary>Its parts as they are cut for so many moulds.</summary>
    public IEnumerable<SheetCut> Cuts(int moulds, int element) => Parts.SelectMany(p => Enumerable.Repeat(new SheetCut(p.AlongM, p.AcrossM, element), p.Count * moulds));

    /// <summary>Sheets for so many moulds.</summary>
    public int Sheets(int moulds) => Stock.Count([.. Cuts(moulds, 0).Select(c => (c.AlongM, c.AcrossM))]);

    /// <summary>Of sheet as it is sold.</summary>
    public static SheetCutting Stock { get; } = new(SheetAlongM, SheetAcrossM, Lumber.KerfMm / 1000);
}
