using System.Collections.Immutable;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Steel;

/// <summary>A mesh sheet as it lies, laps under its neighbours included.</summary>
public readonly record struct MeshSheet(double Left, double Low, double Right, double High);

/// <summary>Steel laid out.</summary>
/// <param name="Sheets">Of mesh.</param>
/// <param name="Bars">Straight runs, as they lie.</param>
/// <param name="PiecesM">Cut lengths: runs longer than a bar are lapped.</param>
/// <param name="LapM">Of sheets or bars.</param>
/// <param name="Chairs">That hold it at its height.</param>
/// <param name="Ties">Wire ties at crossings.</param>
/// <param name="CrossPieces">Short pieces that hold two rows apart.</param>
/// <param name="OffcutM2">Mesh cut away.</param>
public sealed record SteelLayout(
    ImmutableArray<MeshSheet> Sheets, ImmutableArray<PlanCut> Bars, ImmutableArray<double> PiecesM, double LapM, int Chairs, int Ties, int CrossPieces, double OffcutM2)
{
    public const double ChairSpacingM = 1.2;

    /// <summary>Cross pieces of two rows, no further apart.</summary>
    public const double CrossSpacingM = 0.6;

    /// <summary>Squares of the mesh.</summary>
    public const double MeshSquareM = 0.15;

    /// <summary>Sheets lap one square and 50 mm.</summary>
    public const double MeshLapM = MeshSquareM + 0.05;

    /// <summary>Sheet as sold.</summary>
    public const double SheetAlongM = 2.4;

    public const double SheetAcrossM = 1.2;

    /// <summary>Sheets are cut with nippers: nothing is lost to a blade.</summary>
    public static SheetCutting Stock { get; } = new(SheetAlongM, SheetAcrossM, 0);

    /// <summary>Mesh keeps clear of edges.</summary>
    public const double EdgeCoverM = 0.04;

    /// <summary>A strip of steel no wider than this stands on one row of chairs.</summary>
    private const double OneRowM = 0.6;

    /// <summary>A line along an edge of where steel may be is drawn this far inside, so that it is inside.</summary>
    private const double Hair = 1e-4;

    private const int Most = 2_000;

    public static SteelLayout Nothing { get; } = new([], [], [], 0, 0, 0, 0, 0);

    /// <summary>The same in so many like pieces: drawn once, cut and counted for all.</summary>
    public SteelLayout Times(int pieces) => this with
    {
        PiecesM = [.. Enumerable.Repeat(PiecesM, pieces).SelectMany(p => p)],
        Chairs = Chairs * pieces,
        Ties = Ties * pieces,
        CrossPieces = CrossPieces * pieces,
        OffcutM2 = OffcutM2 * pieces,
    };

    /// <summary>Sheets over all that lies inside the cover, turned the way that takes fewer.</summary>
    public static SteelLayout Mesh(Outline outline)
    {
        var inside = Inside.Of(outline, EdgeCoverM);
        if (inside.IsEmpty)
        {
            return Nothing;
        }

        var along = Tiles(inside, SheetAlongM, SheetAcrossM);
        var across = Tiles(inside, SheetAcrossM, SheetAlongM);
        var sheets = across.Length < along.Length ? across : along;
        var offcut = Math.Max(0, (sheets.Length * SheetAlongM * SheetAcrossM) - inside.AreaM2 - LapsM2(inside, sheets));
        return new SteelLayout(sheets, [], [], MeshLapM, ChairsFor(inside), sheets.Length * 4, 0, offcut);
    }

    /// <summary>Bars both ways at a spacing, the outer ones at the cover.</summary>
    public static SteelLayout Grid(Outline outline, BarSize bar, double spacingM, double stockM)
    {
        ArgumentNullException.ThrowIfNull(bar);
        var inside = Inside.Of(outline, (Schools.CoverMm / 1000) + (bar.Diameter.Metres / 2));
        var (left, right, low, high) = inside.Box;
        if (inside.IsEmpty || (right - left) / spacingM > Most || (high - low) / spacingM > Most)
        {
            return Nothing;
        }

        var columns = Even(left + Hair, right - Hair, spacingM).SelectMany(x => inside.Clip(new PlanCut(new(x, low - 1), new(x, high + 1)))).ToArray();
        var rows = Even(low + Hair, high - Hair, spacingM).SelectMany(y => inside.Clip(new PlanCut(new(left - 1, y), new(right + 1, y)))).ToArray();
        ImmutableArray<PlanCut> bars = [.. rows.Concat(columns).Where(b => b.LengthM > 0.1)];
        var lap = Steel.Bars.LapM(bar);
        // Every other crossing is tied, and all round the edge; half of all crossings is what that comes to, and the edge once more.
        var crossings = rows.Sum(r => columns.Count(c => Crosses(r, c)));
        return new SteelLayout([], bars, Lapped(bars.Select(b => b.LengthM), stockM, lap), lap, ChairsFor(inside), (crossings / 2) + rows.Length + columns.Length, 0, 0);
    }

    /// <summary>Two bars along a strip, one above the other.</summary>
    /// <param name="lengthsM">Of the pieces; each gets two bars, less end cover.</param>
    /// <param name="bar">Which bar.</param>
    /// <param name="stockM">As sold.</param>
    /// <param name="line">For the drawing: where both lie, seen from above.</param>
    /// <param name="coverMm">Left at both ends.</param>
    public static SteelLayout Rows(IReadOnlyList<double> lengthsM, BarSize bar, double stockM, ImmutableArray<PlanCut> line, double coverMm)
    {
        ArgumentNullException.ThrowIfNull(lengthsM);
        var lap = Steel.Bars.LapM(bar);
        var runs = lengthsM.Select(l => Math.Max(0, l - (2 * coverMm / 1000))).Where(l => l > 0.1).ToArray();
        var crosses = runs.Sum(l => (int)Math.Ceiling((l / CrossSpacingM) - 1e-9) + 1);
        return new SteelLayout([], line, Lapped(runs.SelectMany(l => new[] { l, l }), stockM, lap), lap, crosses, crosses * 2, crosses, 0);
    }

    /// <summary>Cut lengths for runs: whole bars lapped one on the next.</summary>
    public static ImmutableArray<double> Lapped(IEnumerable<double> runsM, double stockM, double lapM)
    {
        var pieces = ImmutableArray.CreateBuilder<double>();
        foreach (var run in runsM)
        {
            var rest = run;
            while (rest > stockM + 1e-9 && pieces.Count < 20_000)
            {
                pieces.Add(stockM);
                rest -= stockM - lapM;
            }

            pieces.Add(rest);
        }

        return pieces.ToImmutable();
    }

    // In rows no further apart than their spacing both ways, under the lower layer; at least two.
    private static int ChairsFor(Inside inside)
    {
        var (left, right, low, high) = inside.Box;
        // Rows run along the longer side.
        var along = right - left >= high - low;
        var (from, to) = along ? (low, high) : (left, right);
        var rows = to - from <= OneRowM ? [(from + to) / 2] : Even(from + Hair, to - Hair, ChairSpacingM);
        var runs = rows.SelectMany(r => inside.Clip(along ? new PlanCut(new(left - 1, r), new(right + 1, r)) : new PlanCut(new(r, low - 1), new(r, high + 1))));
        return Math.Max(2, runs.Sum(r => (int)Math.Ceiling((r.LengthM / ChairSpacingM) - 1e-9) + 1));
    }

    private static IEnumerable<double> Even(double from, double to, double spacing)
    {
        var bays = (int)Math.Ceiling(((to - from) / spacing) - 1e-9);
        return bays <= 0 ? [from] : Enumerable.Range(0, bays + 1).Select(i => from + ((to - from) * i / bays));
    }

    private static bool Crosses(PlanCut row, PlanCut column) =>
        column.From.X >= Math.Min(row.From.X, row.To.X) - 1e-9 && column.From.X <= Math.Max(row.From.X, row.To.X) + 1e-9
        && row.From.Y >= Math.Min(column.From.Y, column.To.Y) - 1e-9 && row.From.Y <= Math.Max(column.From.Y, column.To.Y) + 1e-9;

    private static ImmutableArray<MeshSheet> Tiles(Inside inside, double wide, double high)
    {
        var (left, right, low, top) = inside.Box;
        var (nx, ny) = (Across(right - left, wide), Across(top - low, high));
        if ((long)nx * ny > Most)
        {
            return [];
        }

        var sheets = ImmutableArray.CreateBuilder<MeshSheet>();
        for (var j = 0; j < ny; j++)
        {
            for (var i = 0; i < nx; i++)
            {
                var (x, y) = (left + (i * (wide - MeshLapM)), low + (j * (high - MeshLapM)));
                var sheet = new MeshSheet(x, y, Math.Min(right, x + wide), Math.Min(top, y + high));
                if (inside.SharedM2(sheet.Left, sheet.Low, sheet.Right, sheet.High) > 0.01)
                {
                    sheets.Add(sheet);
                }
            }
        }

        return sheets.ToImmutable();
    }

    private static int Across(double extent, double sheet) => Math.Max(1, (int)Math.Ceiling(((extent - MeshLapM) / (sheet - MeshLapM)) - 1e-9));

    private static double LapsM2(Inside inside, ImmutableArray<MeshSheet> sheets) =>
        Math.Max(0, sheets.Sum(s => inside.SharedM2(s.Left, s.Low, s.Right, s.High)) - inside.AreaM2);
}
