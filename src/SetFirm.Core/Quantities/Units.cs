using System.Collections.Immutable;

namespace SetFirm.Core.Quantities;

/// <summary>One unit a person may write.</summary>
/// <param name="Symbol">How we write it back; unique within a table.</param>
/// <param name="Si">Metres, cubic metres or kilograms in one.</param>
/// <param name="System">Terms of one quantity stay within a system; null fits either.</param>
/// <param name="Spellings">Lower-case spellings that are understood, the symbol included.</param>
/// <param name="Smaller">The symbol of the unit that a bare number after this one means: inches after feet.</param>
public sealed record Unit(string Symbol, double Si, UnitSystem? System, ImmutableArray<string> Spellings, string? Smaller = null);

/// <summary>The units of one kind of quantity, and what a bare number means in each system.</summary>
public sealed record UnitTable(ImmutableArray<Unit> Units, string BareMetric, string BareUs)
{
    public Unit BareIn(UnitSystem system) => BySymbol(system == UnitSystem.Us ? BareUs : BareMetric);

    public Unit BySymbol(string symbol) => Units.First(u => u.Symbol == symbol);

    public Unit? BySpelling(ReadOnlySpan<char> spelling)
    {
        foreach (var unit in Units)
        {
            foreach (var known in unit.Spellings)
            {
                if (spelling.Equals(known, StringComparison.OrdinalIgnoreCase))
                {
                    return unit;
                }
            }
        }

        return null;
    }
}

/// <summary>The units that Set Firm reads. Factors are built from the exact definitions.</summary>
public static class Units
{
    public static UnitTable Lengths { get; } = new(
        [
            new("m", 1, UnitSystem.Metric, ["m", "metre", "metres", "meter", "meters"]),
            new("cm", 0.01, UnitSystem.Metric, ["cm"]),
            new("mm", 0.001, UnitSystem.Metric, ["mm"]),
            new("yd", Length.MetresPerYard, UnitSystem.Us, ["yd", "yds", "yard", "yards"]),
            new("ft", Length.MetresPerFoot, UnitSystem.Us, ["ft", "'", "foot", "feet"], Smaller: "in"),
            new("in", Length.MetresPerInch, UnitSystem.Us, ["in", "\"", "inch", "inches"]),
        ],
        "mm",
        "in");

    public static UnitTable Masses { get; } = new(
        [
            new("t", 1000, UnitSystem.Metric, ["t", "tonne", "tonnes"]),
            new("kg", 1, UnitSystem.Metric, ["kg", "kilo", "kilos"]),
            new("g", 0.001, UnitSystem.Metric, ["g", "gram", "grams"]),
            new("lb", Mass.KilogramsPerPound, UnitSystem.Us, ["lb", "lbs", "pound", "pounds"], Smaller: "oz"),
            new("oz", Mass.KilogramsPerPound / 16, UnitSystem.Us, ["oz", "ounce", "ounces"]),
        ],
        "kg",
        "lb");

    /// <summary>Volumes in litres, gallons and the rest.</summary>
    public static UnitTable Volumes { get; } = new(
        [
            new("m3", 1, UnitSystem.Metric, ["m3", "m³", "cbm"]),
            new("L", 0.001, UnitSystem.Metric, ["l", "litre", "litres", "liter", "liters", "ltr"]),
            new("mL", 0.000001, UnitSystem.Metric, ["ml"]),
            new("yd3", Volume.CubicMetresPerCubicYard, UnitSystem.Us, ["yd3", "yd³", "cuyd"]),
            new("ft3", Volume.CubicMetresPerCubicFoot, UnitSystem.Us, ["ft3", "ft³", "cuft"]),
            new("gal", Volume.CubicMetresPerUsGallon, UnitSystem.Us, ["gal", "gallon", "gallons"]),
            new("qt", Volume.CubicMetresPerUsGallon / 4, UnitSystem.Us, ["qt", "quart", "quarts"]),
            new("pt", Volume.CubicMetresPerUsGallon / 8, UnitSystem.Us, ["pt", "pint", "pints"]),
        ],
        "L",
        "gal");

    /// <summary><see cref="Volumes"/> and the user's own container, filled to its mark.</summary>
    public static UnitTable VolumesWithBucket(Volume bucket) => Volumes with
    {
        Units = [.. Volumes.Units, new("bucket", bucket.CubicMetres, null, ["bucket", "buckets"])],
    };

    /// <summary><see cref="Volumes"/>, or what fills them by weight: a container weighed full tells its volume.</summary>
    public static UnitTable VolumesWeighed(double kgPerM3) => Volumes with
    {
        Units = [.. Volumes.Units, .. Masses.Units.Select(u => u with { Si = u.Si / kgPerM3 })],
    };
}
