using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Files.WeatherFiles;

/// <summary>What came of reading a file of hourly weather.</summary>
/// <param name="Start">First hour.</param>
/// <param name="Hours">An hour each; empty where the file could not be used.</param>
/// <param name="TypicalYear">A year put together from many, not a forecast.</param>
/// <param name="Findings">What is wrong with it, with the line; an error means that nothing was read.</param>
internal sealed record WeatherRead(Instant Start, ImmutableArray<WeatherHour> Hours, bool TypicalYear, IReadOnlyList<Finding> Findings)
{
    public static WeatherRead Refused(IReadOnlyList<Finding> findings) => new(default, [], false, findings);
}

/// <summary>One row of a file: a moment, and what it says of it; NaN where it says nothing.</summary>
/// <param name="Line">From 1.</param>
/// <param name="At">Moment.</param>
/// <param name="Values">By <see cref="WeatherColumn"/>.</param>
internal sealed record WeatherRow(int Line, Instant At, double[] Values);

/// <summary>What a row may say.</summary>
internal enum WeatherColumn
{
    AirC,
    Humidity,
    WindKmh,
    SunWm2,
    Cloud,
    RainChance,
    RainMm,
}

/// <summary>Gathers findings, a few of each kind: a file may be wrong in every line.</summary>
internal sealed class WeatherFindings
{
    private const int MostOfAKind = 8;
    private readonly List<Finding> found = [];

    public IReadOnlyList<Finding> All => found;

    public bool Refused => found.Exists(f => f.Severity == Severity.Error);

    public void Add(Severity severity, int line, Notice says)
    {
        if (found.Count(f => f.Says.GetType() == says.GetType()) < MostOfAKind)
        {
            found.Add(new Finding(severity, Place.Line(line), says));
        }
    }

    public void Damaged(int line, string column, string reason, string given = "") =>
        Add(Severity.Error, line, new Notice.WeatherFileDamaged(line, column, reason, Shortened(given)));

    /// <summary>What a cell holds, as far as it is worth showing.</summary>
    public static string Shortened(string given) => given.Length <= 40 ? given : given[..40] + "…";
}

/// <summary>Reads hourly weather from a file's text; which kind of file it is shows in the text.</summary>
internal static class WeatherFile
{
    /// <summary>A hole of so many hours is filled by straight lines, with a word; a longer one is not.</summary>
    public const int MostFilledH = 3;

    /// <summary>Wetter than this is rain, mm in the hour.</summary>
    public const double RainsMm = 0.5;

    private static readonly (double Least, double Most)[] Possible =
        [(-60, 60), (0, 1), (0, 250), (0, 1500), (0, 1), (0, 1), (0, 500)];

    /// <param name="text">The whole file.</param>
    /// <param name="zone">Times that name no zone of their own are local ones of it.</param>
    /// <param name="year">A typical year is laid on this one.</param>
    public static WeatherRead Read(string text, DateTimeZone zone, int year) =>
        text.AsSpan().TrimStart("\uFEFF \t\r\n").StartsWith("LOCATION,", StringComparison.OrdinalIgnoreCase) ? EpwWeather.Read(text, year) : CsvWeather.Read(text, zone);

    /// <summary>Says so where a value cannot be; it then counts as missing.</summary>
    public static double Checked(double value, WeatherColumn column, int line, string given, WeatherFindings findings)
    {
        var (least, most) = Possible[(int)column];
        if (double.IsNaN(value) || (value >= least && value <= most))
        {
            return value;
        }

        findings.Damaged(line, NameOf(column), "impossible", given);
        return double.NaN;
    }

    public static string NameOf(WeatherColumn column) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(column.ToString());

    /// <summary>Rows at any moments to an hour each: straight lines between rows, holes told or refused.</summary>
    public static ImmutableArray<WeatherHour> Hourly(IReadOnlyList<WeatherRow> rows, Func<Instant, double, double> sunUnder, WeatherFindings findings, out Instant start)
    {
        start = default;
        Filled(rows, findings);
        for (var i = 1; i < rows.Count && !findings.Refused; i++)
        {
            var gap = (rows[i].At - rows[i - 1].At).TotalHours;
            if (gap <= 0)
            {
                findings.Damaged(rows[i].Line, "time", gap == 0 ? "repeated" : "outOfOrder");
            }
            else if (gap > MostFilledH + 1e-6)
            {
                findings.Add(Severity.Error, rows[i].Line, new Notice.WeatherGap(rows[i].Line, gap, MostFilledH));
            }
            else if (gap > 1 + 1e-6)
            {
                findings.Add(Severity.Caution, rows[i].Line, new Notice.WeatherGap(rows[i].Line, gap, MostFilledH));
            }
        }

        if (findings.Refused || rows.Count < 2)
        {
            return [];
        }

        var first = Instant.FromUnixTimeSeconds((long)Math.Ceiling(rows[0].At.ToUnixTimeSeconds() / 3600.0) * 3600);
        start = first;
        var count = (int)Math.Floor((rows[^1].At - first).TotalHours + 1e-9) + 1;
        if (count > HourlyWeather.MostHours)
        {
            findings.Add(Severity.Error, rows[^1].Line, new Notice.WeatherTooLong(rows[^1].Line, count, HourlyWeather.MostHours));
            return [];
        }

        var hours = ImmutableArray.CreateBuilder<WeatherHour>(count);
        var after = 0;
        for (var i = 0; i < count; i++)
        {
            var at = first + Duration.FromHours(i);
            while (rows[after].At < at)
            {
                after++;
            }

            var (a, b) = (rows[Math.Max(0, after - 1)], rows[after]);
            var span = (b.At - a.At).TotalHours;
            var share = span <= 0 ? 1 : (at - a.At).TotalHours / span;
            double Value(WeatherColumn column) => a.Values[(int)column] + (share * (b.Values[(int)column] - a.Values[(int)column]));
            hours.Add(new WeatherHour
            {
                AirC = Value(WeatherColumn.AirC),
                Humidity = Value(WeatherColumn.Humidity),
                WindKmh = Value(WeatherColumn.WindKmh),
                SunWm2 = double.IsNaN(Value(WeatherColumn.SunWm2)) ? sunUnder(at, Value(WeatherColumn.Cloud)) : Value(WeatherColumn.SunWm2),
                RainChance = Value(WeatherColumn.RainChance),
                RainMm = Value(WeatherColumn.RainMm),
            });
        }

        return hours.ToImmutable();
    }

    // Single holes in a column that is there are filled from their neighbours; long ones are refused.
    private static void Filled(IReadOnlyList<WeatherRow> rows, WeatherFindings findings)
    {
        foreach (var column in Enum.GetValues<WeatherColumn>())
        {
            var c = (int)column;
            if (rows.All(r => double.IsNaN(r.Values[c])))
            {
                continue;
            }

            for (var i = 0; i < rows.Count; i++)
            {
                if (!double.IsNaN(rows[i].Values[c]))
                {
                    continue;
                }

                var (before, after) = (i - 1, i);
                while (after < rows.Count && double.IsNaN(rows[after].Values[c]))
                {
                    after++;
                }

                var ends = before < 0 || after >= rows.Count;
                var (a, b) = ends ? (Math.Max(0, before), Math.Min(after, rows.Count - 1)) : (before, after);
                var wide = ends ? after - i : (rows[b].At - rows[a].At).TotalHours - 1;
                findings.Add(
                    wide > MostFilledH + 1e-6 ? Severity.Error : Severity.Caution, rows[i].Line, new Notice.WeatherValueMissing(rows[i].Line, NameOf(column), wide, MostFilledH));
                for (var k = i; k < after; k++)
                {
                    var share = ends ? 0 : (rows[k].At - rows[a].At).TotalHours / (rows[b].At - rows[a].At).TotalHours;
                    rows[k].Values[c] = before < 0 ? rows[b].Values[c] : after >= rows.Count ? rows[a].Values[c] : rows[a].Values[c] + (share * (rows[b].Values[c] - rows[a].Values[c]));
                }

                i = after;
            }
        }
    }
}
