using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Formwork;

/// <summary>A board as sold.</summary>
/// <param name="Id">In the job file.</param>
/// <param name="Thickness">Actual.</param>
/// <param name="Height">Actual: what it holds back.</param>
/// <param name="System">Where it is sold.</param>
public sealed record LumberSize(string Id, Length Thickness, Length Height, UnitSystem System);

/// <summary>Boards, and the lengths they come in. Actual sizes of nominal lumber; generic.</summary>
public static class Lumber
{
    /// <summary>A pour may stand this much higher than its board, the base being dug lower; source: site practice.</summary>
    public const double MostGapShare = 0.15;

    public const double KerfMm = 3;

    public static ImmutableArray<LumberSize> All { get; } =
    [
        Size("1x2", 19, 38, UnitSystem.Us),
        Size("1x4", 19, 89, UnitSystem.Us),
        Size("1x6", 19, 140, UnitSystem.Us),
        Size("2x2", 38, 38, UnitSystem.Us),
        Size("2x4", 38, 89, UnitSystem.Us),
        Size("2x6", 38, 140, UnitSystem.Us),
        Size("2x8", 38, 184, UnitSystem.Us),
        Size("22x50", 22, 50, UnitSystem.Metric),
        Size("22x100", 22, 100, UnitSystem.Metric),
        Size("47x100", 47, 100, UnitSystem.Metric),
        Size("47x150", 47, 150, UnitSystem.Metric),
        Size("47x200", 47, 200, UnitSystem.Metric),
    ];

    private static readonly ImmutableArray<double> MetricStockMm = [2400, 3000, 3600, 4800];

    private static readonly ImmutableArray<double> UsStockFeet = [8, 10, 12, 16];

    /// <summary>Lengths sold, mm.</summary>
    public static ImmutableArray<double> StockMm(UnitSystem system) =>
        system == UnitSystem.Us ? [.. UsStockFeet.Select(feet => Length.FromInches(feet * 12).Millimetres)] : MetricStockMm;

    public static LumberSize? Find(string id) => All.FirstOrDefault(l => l.Id == id);

    /// <summary>The lowest stiff board that holds a pour, or the highest there is.</summary>
    public static LumberSize For(Length height, UnitSystem system)
    {
        var sold = All.Where(l => l.System == system && (l.Thickness.Millimetres > 30 || height.Millimetres < 60)).OrderBy(l => l.Height.Metres).ThenBy(l => l.Thickness.Metres).ToArray();
        return sold.FirstOrDefault(l => Holds(l, height)) ?? sold[^1];
    }

    /// <summary>True where the board is as high as the pour, or so little lower that the base is dug below it.</summary>
    public static bool Holds(LumberSize board, Length height)
    {
        ArgumentNullException.ThrowIfNull(board);
        return board.Height.Metres >= height.Metres * (1 - MostGapShare) - 1e-9;
    }

    private static LumberSize Size(string id, double thicknessMm, double heightMm, UnitSystem system) =>
        new(id, Length.FromMillimetres(thicknessMm), Length.FromMillimetres(heightMm), system);
}
