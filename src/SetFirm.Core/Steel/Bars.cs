using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Steel;

/// <summary>A bar as sold.</summary>
public sealed record BarSize(string Id, Length Diameter, double KgPerM, Length GridSpacing, UnitSystem System);

/// <summary>Bars, their masses and the lengths they come in.</summary>
/// <remarks>Masses: ASTM A615 and EN 10080 nominal. Grids: #3 or 10 mm at 300 mm, #4 or 12 mm at 450; site practice.</remarks>
public static class Bars
{
    /// <summary>Lap in diameters, and at the least.</summary>
    public const double LapDiameters = 40;

    public const double LeastLapM = 0.3;

    public static ImmutableArray<BarSize> All { get; } =
    [
        Bar("8mm", 8, 0.395, 0.3, UnitSystem.Metric),
        Bar("10mm", 10, 0.617, 0.3, UnitSystem.Metric),
        Bar("12mm", 12, 0.888, 0.45, UnitSystem.Metric),
        Bar("10M", 11.3, 0.785, 0.3, UnitSystem.Metric),
        Bar("#3", 9.525, 0.560, 0.3, UnitSystem.Us),
        Bar("#4", 12.7, 0.994, 0.45, UnitSystem.Us),
    ];

    public static BarSize? Find(string id) => All.FirstOrDefault(b => b.Id == id);

    public static BarSize Usual(UnitSystem system) => Find(system == UnitSystem.Us ? "#3" : "10mm")!;

    /// <summary>As sold, metres.</summary>
    public static double StockM(UnitSystem system) => system == UnitSystem.Us ? Length.FromInches(20 * 12).Metres : 6;

    public static double LapM(BarSize bar)
    {
        ArgumentNullException.ThrowIfNull(bar);
        return Math.Max(LeastLapM, LapDiameters * bar.Diameter.Metres);
    }

    private static BarSize Bar(string id, double mm, double kgPerM, double spacingM, UnitSystem system) =>
        new(id, Length.FromMillimetres(mm), kgPerM, Length.FromMetres(spacingM), system);
}
