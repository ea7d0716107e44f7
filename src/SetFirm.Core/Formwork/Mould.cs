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
}

/// <param name="Part">Which.</param>
/// <param name="AlongM">Longer way.</param>
/// <param name="AcrossM">Shorter way.</param>
/// <param name="Count">In one mould.</param>
public readonly record struct SheetPart(MouldPart Part, double AlongM, double AcrossM, int Count);

/// <summary>One mould: its parts, and what holds and seals it.</summary>
public sealed record Mould(ImmutableArray<SheetPart> Parts, int Screws, double SeamM)
{
    /// <summary>Sheet as sold, metres.</summary>
    public const double SheetAlongM = 2.44;

    public const double SheetAcrossM = 1.22;

    /// <summary>Bottom stands out past the sides this much for screws, metres.</summary>
    public const double MarginM = 0.05;

    public const double ScrewSpacingM = 0.2;

    /// <summary>A 300 mL cartridge seals this much seam with a 5 mm bead: 0.3 L over 25 mm2.</summary>
    public const double SeamPerCartridgeM = 12;

    /// <param name="outline">The piece, already mirrored where it is cast face down.</param>
    /// <param name="sided">True for each edge that the mould closes.</param>
    /// <param name="heightM">What the sides hold.</param>
    /// <param name="sheetM">Thickness of the sheet.</param>
    /// <param name="bottom">False where it is cast onto what will carry it.</param>
    /// <param name="aprons">Aprons, whose inside is formed too.</param>
    public static Mould Of(Outline outline, Func<int, bool> sided, double heightM, double sheetM, bool bottom, IReadOnlyList<EdgeDrop> aprons)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(aprons);
        var parts = ImmutableArray.CreateBuilder<SheetPart>();
        double seams = 0;
        for (var i = 0; i < outline.Corners.Length; i++)
        {
            if (!sided(i))
            {
                continue;
            }

            var edge = outline.EdgeMetres(i);
            // Sides are set round like a pinwheel, each past one neighbour by the sheet.
            parts.Add(outline.IsArc(i)
                ? new SheetPart(MouldPart.BentSide, edge, heightM, 1)
                : new SheetPart(MouldPart.Side, edge + sheetM, heightM, 1));
            seams += edge + heightM;
        }

        foreach (var opening in outline.Openings)
        {
            seams += opening.Perimeter.Metres;
            if (opening is Opening.Rectangular box)
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

        var screws = parts.Sum(p => p.Count * (int)Math.Max(2, Math.Ceiling(p.AlongM / ScrewSpacingM) + 1));
        if (bottom)
        {
            var (left, right, low, high) = Extents.Of(outline);
            var rim = 2 * (sheetM + MarginM);
            parts.Insert(0, new SheetPart(MouldPart.Bottom, Math.Max(right - left, high - low) + rim, Math.Min(right - left, high - low) + rim, 1));
        }

        return new Mould(parts.ToImmutable(), screws, seams);
    }

    /// <summary>Sheets for so many moulds, laid in rows across the sheet; parts larger than a sheet are joined from several.</summary>
    /// <remarks>Next-fit decreasing height: strips first-fit into rows, rows into sheets. Never fewer than the area asks.</remarks>
    public int Sheets(int moulds)
    {
        var rows = new List<(double High, double Used)>();
        var wide = Parts.SelectMany(p => Enumerable.Repeat(p, p.Count * moulds)).SelectMany(Fitting).OrderByDescending(p => p.AcrossM).ThenByDescending(p => p.AlongM);
        foreach (var (along, across) in wide)
        {
            var at = rows.FindIndex(r => r.Used + along <= SheetAlongM + 1e-9 && across <= r.High + 1e-9);
            if (at < 0)
            {
                rows.Add((across, along));
            }
            else
            {
                rows[at] = (rows[at].High, rows[at].Used + along + (Lumber.KerfMm / 1000));
            }
        }

        var sheets = new List<double>();
        foreach (var row in rows.OrderByDescending(r => r.High))
        {
            var at = sheets.FindIndex(used => used + row.High <= SheetAcrossM + 1e-9);
            if (at < 0)
            {
                sheets.Add(row.High + (Lumber.KerfMm / 1000));
            }
            else
            {
                sheets[at] += row.High + (Lumber.KerfMm / 1000);
            }
        }

        return sheets.Count;
    }

    // A part longer or wider than a sheet comes in several.
    private static IEnumerable<(double AlongM, double AcrossM)> Fitting(SheetPart part)
    {
        var (nx, ny) = ((int)Math.Ceiling((part.AlongM / SheetAlongM) - 1e-9), (int)Math.Ceiling((part.AcrossM / SheetAcrossM) - 1e-9));
        var (nxLeast, nyLeast) = (Math.Clamp(nx, 1, 100), Math.Clamp(ny, 1, 100));
        return Enumerable.Repeat((Math.Min(SheetAlongM, part.AlongM / nxLeast), Math.Min(SheetAcrossM, part.AcrossM / nyLeast)), nxLeast * nyLeast);
    }
}
