using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using SetFirm.Core.Quantities;

namespace SetFirm.Web.Files.Outlines;

/// <summary>Reads a table of points: two columns, or columns named x and y, with or without units.</summary>
/// <remarks>A size may carry its own unit (<c>1.2 m</c>), or its column's name may end in one (<c>x_mm</c>, <c>x (ft)</c>); bare numbers else want one to be told.</remarks>
internal static class CsvOutline
{
    private static readonly Dictionary<string, double> ColumnUnits = new(StringComparer.OrdinalIgnoreCase)
    {
        ["mm"] = 0.001,
        ["cm"] = 0.01,
        ["m"] = 1,
        ["in"] = Length.MetresPerInch,
        ["ft"] = Length.MetresPerFoot,
    };

    public static FileOutline Read(string text)
    {
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            HasHeaderRecord = false,
            DetectDelimiter = true,
            DetectDelimiterValues = [";", ",", "\t"],
            BadDataFound = null,
            TrimOptions = TrimOptions.Trim,
            IgnoreBlankLines = true,
        };
        using var reader = new StringReader(text);
        using var csv = new CsvReader(reader, config);
        var (points, x, y, metres, united) = (new List<FilePoint>(), 0, 1, (double?)null, false);
        while (csv.Read())
        {
            var row = csv.Parser.Record ?? [];
            if (points.Count == 0 && row.Length >= 2 && Size(row[0]) is null && Size(row[1]) is null)
            {
                (x, y) = (Column(row, 'x', 0), Column(row, 'y', 1));
                metres = UnitOf(row[x]);
                continue;
            }

            if (row.Length <= Math.Max(x, y) || Size(row[x]) is not { } atX || Size(row[y]) is not { } atY)
            {
                throw OutlineFileException.Damaged(csv.Parser.RawRow, row.Length <= Math.Max(x, y) ? "incomplete" : "notANumber");
            }

            united |= atX.Said || atY.Said;
            points.Add(new FilePoint(atX.Value, atY.Value));
        }

        return points.Count == 0 ? throw OutlineFileException.Empty() : new FileOutline(points, united ? 1 : metres);
    }

    private static int Column(string[] names, char axis, int otherwise)
    {
        var found = Array.FindIndex(names, n => n.StartsWith(axis.ToString(), StringComparison.OrdinalIgnoreCase));
        return found < 0 ? otherwise : found;
    }

    private static double? UnitOf(string column)
    {
        var unit = column.Split(['_', ' ', '(', '[', ')', ']'], StringSplitOptions.RemoveEmptyEntries).LastOrDefault() ?? "";
        return ColumnUnits.TryGetValue(unit, out var metres) ? metres : null;
    }

    // A plain number, or a size with its unit in metres.
    private static (double Value, bool Said)? Size(string text)
    {
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
        {
            return double.IsFinite(number) ? (number, false) : null;
        }

        var back = text.StartsWith('-') || text.StartsWith('−');
        return QuantityText.Read(back ? text[1..] : text, Units.Lengths, UnitSystem.Metric) is Reading.Read { Bare: false } read ? ((back ? -1 : 1) * read.Si, true) : null;
    }
}
