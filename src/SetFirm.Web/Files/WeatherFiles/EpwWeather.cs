using System.Collections.Immutable;
using System.Globalization;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Files.WeatherFiles;

/// <summary>Reads a weather file for building simulation (EPW): eight lines of header, then 8,760 or 8,784 hours in local standard time.</summary>
/// <remarks>
/// Source: the format's auxiliary guide. Hour 1 is the hour up to one o'clock; what it says is laid at its middle. The year is put together from many, so it is laid on the year that is asked
/// for; a 29 February that it lacks is a second 28th. The chance of rain is how often it rains in these three weeks of the file.
/// </remarks>
internal static class EpwWeather
{
    private const int HeaderLines = 8;
    private const int Fields = 22;
    private const int RainField = 33;
    private const double MissingFrom = 99;
    private const int ChanceDays = 10;

    public static WeatherRead Read(string text, int year)
    {
        var findings = new WeatherFindings();
        var lines = text.TrimStart('\uFEFF').Split('\n');
        var place = lines[0].TrimEnd('\r').Split(',');
        if (place.Length < 9 || !double.TryParse(place[8], NumberStyles.Float, CultureInfo.InvariantCulture, out var zoneH) || Math.Abs(zoneH) > 14)
        {
            findings.Damaged(1, "time", "zoneUnread", place.Length < 9 ? "" : place[8]);
            return WeatherRead.Refused(findings.All);
        }

        var rows = new List<WeatherRow>();
        for (var i = HeaderLines; i < lines.Length; i++)
        {
            if (lines[i].AsSpan().Trim().IsEmpty)
            {
                continue;
            }

            if (Row(lines[i].TrimEnd('\r').Split(','), i + 1, year, zoneH, findings) is { } row)
            {
                rows.Add(row);
            }
        }

        if (rows.Count < 2 && !findings.Refused)
        {
            findings.Damaged(lines.Length, "time", "tooFewRows");
        }

        LeapDay(rows, year, zoneH, findings);
        RainChances(rows);
        var hours = WeatherFile.Hourly(rows, (_, _) => 0, findings, out var start);
        if (!findings.Refused)
        {
            findings.Add(Severity.Note, 1, new Notice.WeatherTypicalYear(1, WeatherFindings.Shortened(place.Length > 1 ? place[1] : "")));
        }

        return findings.Refused ? WeatherRead.Refused(findings.All) : new WeatherRead(start, hours, true, findings.All);
    }

    private static WeatherRow? Row(string[] cells, int line, int year, double zoneH, WeatherFindings findings)
    {
        if (cells.Length < Fields)
        {
            findings.Damaged(line, "time", "incomplete");
            return null;
        }

        if (!(Whole(cells[1]) is { } month and >= 1 and <= 12) || !(Whole(cells[2]) is { } day and >= 1) || day > CalendarSystem.Iso.GetDaysInMonth(2028, month) || !(Whole(cells[3]) is { } hour and >= 1 and <= 24))
        {
            findings.Damaged(line, "time", "timeUnread", string.Join('-', cells.Take(4)));
            return null;
        }

        if (month == 2 && day == 29 && !CalendarSystem.Iso.IsLeapYear(year))
        {
            return null; // the year that it is laid on has none
        }

        double Cell(int at, WeatherColumn column, Func<double, double> toSi, double missing)
        {
            if (at >= cells.Length || !double.TryParse(cells[at], NumberStyles.Float, CultureInfo.InvariantCulture, out var value) || !double.IsFinite(value))
            {
                findings.Damaged(line, WeatherFile.NameOf(column), at >= cells.Length ? "incomplete" : "notANumber", at < cells.Length ? cells[at] : "");
                return double.NaN;
            }

            // The format says nothing by nines.
            return value == missing ? double.NaN : WeatherFile.Checked(toSi(value), column, line, cells[at], findings);
        }

        var rain = cells.Length > RainField && double.TryParse(cells[RainField], NumberStyles.Float, CultureInfo.InvariantCulture, out var mm) && mm is >= 0 and < MissingFrom ? mm : 0;
        return new WeatherRow(
            line,
            At(year, month, day, hour, zoneH),
            [
                Cell(6, WeatherColumn.AirC, v => v, 99.9),
                Cell(8, WeatherColumn.Humidity, v => Math.Min(1, v / 100), 999),
                Cell(21, WeatherColumn.WindKmh, v => v * 3.6, 999),
                Cell(13, WeatherColumn.SunWm2, v => v, 9999),
                double.NaN,
                0,
                rain,
            ]);
    }

    private static Instant At(int year, int month, int day, int hour, double zoneH) =>
        new LocalDate(year, month, day).AtMidnight().InUtc().ToInstant() + Duration.FromHours(hour - 0.5 - zoneH);

    private static void LeapDay(List<WeatherRow> rows, int year, double zoneH, WeatherFindings findings)
    {
        if (!CalendarSystem.Iso.IsLeapYear(year) || rows.Count == 0)
        {
            return;
        }

        var (from, until) = (At(year, 2, 29, 1, zoneH), At(year, 3, 1, 1, zoneH));
        if (rows[0].At >= from || rows[^1].At < until || rows.Exists(r => r.At >= from && r.At < until))
        {
            return;
        }

        var day = Duration.FromDays(1);
        var at = rows.FindIndex(r => r.At >= until);
        var before = rows.Where(r => r.At >= from - day && r.At < from).Select(r => new WeatherRow(r.Line, r.At + day, [.. r.Values])).ToArray();
        rows.InsertRange(at, before);
        findings.Add(Severity.Note, rows[at].Line, new Notice.WeatherLeapDay(rows[at].Line));
    }

    private static void RainChances(List<WeatherRow> rows)
    {
        const int reach = ChanceDays * 24;
        var sums = new int[rows.Count + 1];
        for (var i = 0; i < rows.Count; i++)
        {
            sums[i + 1] = sums[i] + (rows[i].Values[(int)WeatherColumn.RainMm] >= WeatherFile.RainsMm ? 1 : 0);
        }

        for (var i = 0; i < rows.Count; i++)
        {
            var (from, to) = (Math.Max(0, i - reach), Math.Min(rows.Count, i + reach + 1));
            rows[i].Values[(int)WeatherColumn.RainChance] = (double)(sums[to] - sums[from]) / (to - from);
        }
    }

    private static int? Whole(string cell) => int.TryParse(cell, NumberStyles.Integer, CultureInfo.InvariantCulture, out var n) ? n : null;
}
