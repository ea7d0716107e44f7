using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Web.Files.WeatherFiles;

/// <summary>Reads a table of weather with a header: a time, and columns whose names begin with what they are and end in their unit.</summary>
/// <remarks>
/// <c>time, temp_c, humidity_%, wind_kmh, sun_wm2, cloud_%, rain_chance_%, rain_mm</c>, or °F, m/s, mph, knots, inches. A unit that is not said is asked
/// for, never guessed. Times may carry an offset or Z; else they are local, and the two hours of a clock change are told.
/// </remarks>
internal static class CsvWeather
{
    private const double KelvinAtZero = 273.15;

    private static readonly string[] Nothing = ["", "nan", "na", "n/a", "null", "-", "-9999", "-999"];

    private static readonly (WeatherColumn Column, string[] Names)[] Names =
    [
        (WeatherColumn.RainChance, ["rain_chance", "rainchance", "chance", "pop", "precip_prob"]),
        (WeatherColumn.RainMm, ["rain", "precip"]),
        (WeatherColumn.AirC, ["temp", "air"]),
        (WeatherColumn.Humidity, ["humid", "rh", "relative"]),
        (WeatherColumn.WindKmh, ["wind"]),
        (WeatherColumn.SunWm2, ["sun", "ghi", "radiation", "solar"]),
        (WeatherColumn.Cloud, ["cloud", "sky"]),
    ];

    private static readonly Dictionary<WeatherColumn, Dictionary<string, Func<double, double>>> Units = new()
    {
        [WeatherColumn.AirC] = new() { ["c"] = v => v, ["f"] = v => (v - 32) / 1.8, ["k"] = v => v - KelvinAtZero },
        [WeatherColumn.Humidity] = new() { ["%"] = v => v / 100, ["pct"] = v => v / 100, ["percent"] = v => v / 100, ["share"] = v => v, ["0-1"] = v => v },
        [WeatherColumn.WindKmh] = new() { ["kmh"] = v => v, ["km/h"] = v => v, ["ms"] = v => v * 3.6, ["m/s"] = v => v * 3.6, ["mph"] = v => v * 1.609344, ["kn"] = v => v * 1.852, ["knots"] = v => v * 1.852 },
        [WeatherColumn.SunWm2] = new() { ["wm2"] = v => v, ["w/m2"] = v => v, ["w/m²"] = v => v },
        [WeatherColumn.Cloud] = new() { ["%"] = v => v / 100, ["pct"] = v => v / 100, ["percent"] = v => v / 100, ["share"] = v => v, ["oktas"] = v => v / 8, ["0-1"] = v => v },
        [WeatherColumn.RainChance] = new() { ["%"] = v => v / 100, ["pct"] = v => v / 100, ["percent"] = v => v / 100, ["share"] = v => v, ["0-1"] = v => v },
        [WeatherColumn.RainMm] = new() { ["mm"] = v => v, ["in"] = MmFromInches, ["inch"] = MmFromInches },
    };

    private static double MmFromInches(double inches) => inches * Length.MetresPerInch * 1000;

    private static readonly WeatherColumn[] Wanted = [WeatherColumn.AirC, WeatherColumn.Humidity, WeatherColumn.WindKmh];

    private static readonly IPattern<LocalDateTime>[] LocalPatterns =
    [
        LocalDateTimePattern.ExtendedIso, LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd'T'HH:mm"), LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd HH:mm"),
        LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd HH:mm:ss"),
    ];

    private static readonly OffsetDateTimePattern OffsetPattern = OffsetDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd'T'HH:mmo<G>");

    public static WeatherRead Read(string text, DateTimeZone zone)
    {
        var findings = new WeatherFindings();
        using var reader = new StringReader(text);
        using var csv = new CsvReader(reader, Form());
        if (!csv.Read() || Header(csv.Parser.Record ?? [], findings) is not { } header)
        {
            if (!findings.Refused)
            {
                findings.Add(Severity.Error, 1, new Notice.WeatherColumnMissing(1, "time"));
            }

            return WeatherRead.Refused(findings.All);
        }

        var (rows, last) = (new List<WeatherRow>(), (LocalDateTime?)null);
        while (csv.Read())
        {
            var (line, cells) = (csv.Parser.RawRow, csv.Parser.Record ?? []);
            if (cells.Length <= header.Time)
            {
                findings.Damaged(line, "time", "incomplete");
                continue;
            }

            if (Moment(cells[header.Time], zone, line, ref last, findings) is { } at)
            {
                if (!Moments.Has(at) || !Moments.Has(at + Duration.FromDays(366)))
                {
                    findings.Damaged(line, "time", "beyondYears", cells[header.Time]);
                    continue;
                }

                rows.Add(new WeatherRow(line, at, Values(cells, header, line, findings)));
            }
        }

        if (rows.Count < 2 && !findings.Refused)
        {
            findings.Damaged(1, "time", "tooFewRows");
        }

        // What is left out altogether is said, and taken so that it warns of nothing it does not know.
        if (!header.Columns.Any(c => c.Column is WeatherColumn.SunWm2 or WeatherColumn.Cloud))
        {
            findings.Add(Severity.Caution, 1, new Notice.WeatherWithout(1, "sunWm2"));
        }

        WithRain(rows, header, findings);
        var sky = ClearSky.For(zone);
        var hours = WeatherFile.Hourly(rows, sky.Under, findings, out var start);
        return findings.Refused ? WeatherRead.Refused(findings.All) : new WeatherRead(start, hours, false, findings.All);
    }

    /// <summary>How such tables are written.</summary>
    public static CsvConfiguration Form() => new(CultureInfo.InvariantCulture)
    {
        HasHeaderRecord = false,
        DetectDelimiter = true,
        DetectDelimiterValues = [";", ",", "\t"],
        BadDataFound = null,
        TrimOptions = TrimOptions.Trim,
        IgnoreBlankLines = true,
        Comment = '#',
        AllowComments = true,
    };

    /// <summary>A cell that says nothing.</summary>
    public static bool IsNothing(string cell) => Nothing.Contains(cell.ToLowerInvariant());

    /// <summary>Where the time stands; under 0 where nowhere.</summary>
    public static int TimeColumn(string[] names) => Array.FindIndex(names, n => n.StartsWith("time", StringComparison.OrdinalIgnoreCase) || n.StartsWith("date", StringComparison.OrdinalIgnoreCase));

    private static (int Time, List<(int At, WeatherColumn Column, Func<double, double> ToSi)> Columns)? Header(string[] names, WeatherFindings findings)
    {
        var time = TimeColumn(names);
        if (time < 0)
        {
            findings.Add(Severity.Error, 1, new Notice.WeatherColumnMissing(1, "time"));
            return null;
        }

        var columns = new List<(int, WeatherColumn, Func<double, double>)>();
        for (var i = 0; i < names.Length; i++)
        {
            var name = names[i];
            var known = Names.FirstOrDefault(n => n.Names.Any(p => name.StartsWith(p, StringComparison.OrdinalIgnoreCase)));
            if (i == time || known.Names is null || columns.Exists(c => c.Item2 == known.Column))
            {
                continue;
            }

            if (UnitOf(name, known.Column) is not { } toSi)
            {
                findings.Add(Severity.Error, 1, new Notice.WeatherUnitUnknown(1, WeatherFile.NameOf(known.Column), WeatherFindings.Shortened(name)));
                continue;
            }

            columns.Add((i, known.Column, toSi));
        }

        foreach (var wanted in Wanted.Where(w => !columns.Exists(c => c.Item2 == w) && !findings.All.Any(f => f.Says is Notice.WeatherUnitUnknown unknown && unknown.Column == WeatherFile.NameOf(w))))
        {
            findings.Add(Severity.Error, 1, new Notice.WeatherColumnMissing(1, WeatherFile.NameOf(wanted)));
        }

        return findings.Refused ? null : (time, columns);
    }

    /// <summary>From the unit that a name ends in; null where it is not said.</summary>
    public static Func<double, double>? UnitOf(string name, WeatherColumn column)
    {
        var unit = name.Split(['_', ' ', '(', '[', ')', ']', '°'], StringSplitOptions.RemoveEmptyEntries).LastOrDefault() ?? "";
        return Units[column].GetValueOrDefault(unit.ToLowerInvariant());
    }

    private static double[] Values(string[] cells, (int Time, List<(int At, WeatherColumn Column, Func<double, double> ToSi)> Columns) header, int line, WeatherFindings findings)
    {
        var values = Enumerable.Repeat(double.NaN, Enum.GetValues<WeatherColumn>().Length).ToArray();
        foreach (var (at, column, toSi) in header.Columns)
        {
            if (at >= cells.Length)
            {
                findings.Damaged(line, WeatherFile.NameOf(column), "incomplete");
            }
            else if (double.TryParse(cells[at], NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) && !Nothing.Contains(cells[at]))
            {
                values[(int)column] = WeatherFile.Checked(toSi(number), column, line, cells[at], findings);
            }
            else if (!Nothing.Contains(cells[at].ToLowerInvariant()))
            {
                findings.Damaged(line, WeatherFile.NameOf(column), "notANumber", cells[at]);
            }
        }

        return values;
    }

    private static void WithRain(List<WeatherRow> rows, (int Time, List<(int At, WeatherColumn Column, Func<double, double> ToSi)> Columns) header, WeatherFindings findings)
    {
        var (chance, depth) = (header.Columns.Exists(c => c.Column == WeatherColumn.RainChance), header.Columns.Exists(c => c.Column == WeatherColumn.RainMm));
        if (!chance && !depth)
        {
            findings.Add(Severity.Caution, 1, new Notice.WeatherWithout(1, "rainChance"));
        }

        foreach (var row in rows)
        {
            var mm = row.Values[(int)WeatherColumn.RainMm];
            if (!chance)
            {
                row.Values[(int)WeatherColumn.RainChance] = mm >= WeatherFile.RainsMm ? 1 : 0;
            }

            if (!depth)
            {
                row.Values[(int)WeatherColumn.RainMm] = 0;
            }
        }
    }

    /// <summary>A time as a cell has it; null where it cannot be read, with a finding.</summary>
    public static Instant? Moment(string cell, DateTimeZone zone, int line, ref LocalDateTime? last, WeatherFindings findings)
    {
        if (InstantPattern.ExtendedIso.Parse(cell).TryGetValue(default, out var utc))
        {
            return utc;
        }

        if (OffsetDateTimePattern.ExtendedIso.Parse(cell).TryGetValue(default, out var offset) || OffsetPattern.Parse(cell).TryGetValue(default, out offset))
        {
            return offset.ToInstant();
        }

        foreach (var pattern in LocalPatterns)
        {
            if (pattern.Parse(cell).TryGetValue(default, out var local))
            {
                return Local(local, zone, line, ref last, findings);
            }
        }

        findings.Damaged(line, "time", "timeUnread", cell);
        return null;
    }

    // Of an hour that comes twice the first is taken, and the second where it stands a second time; an hour that never is is told and left out.
    private static Instant? Local(LocalDateTime local, DateTimeZone zone, int line, ref LocalDateTime? last, WeatherFindings findings)
    {
        var mapping = zone.MapLocal(local);
        var again = last == local || (last is { } before && mapping.Count == 2 && before > local);
        last = local;
        switch (mapping.Count)
        {
            case 0:
                findings.Add(Severity.Caution, line, new Notice.WeatherHourSkipped(line, WeatherFindings.Shortened(cellOf(local))));
                return null;
            case 2:
                findings.Add(Severity.Caution, line, new Notice.WeatherHourTwice(line, WeatherFindings.Shortened(cellOf(local))));
                return (again ? mapping.Last() : mapping.First()).ToInstant();
            default:
                return mapping.First().ToInstant();
        }

        static string cellOf(LocalDateTime at) => LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd HH:mm").Format(at);
    }
}
