using System.Globalization;
using System.Text;
using CsvHelper;
using Microsoft.AspNetCore.Mvc;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Web.Sharing;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Files.WeatherFiles;

/// <summary>What a probe in the slab wrote, as it was understood.</summary>
/// <param name="Readings">From the earliest to the latest; empty where the file could not be used.</param>
/// <param name="LongestGapH">Between two of them, hours: over a long one nothing is known.</param>
/// <param name="Findings">What is wrong with it, by line.</param>
public sealed record ProbeRead(IReadOnlyList<ProbeReading> Readings, double LongestGapH, IReadOnlyList<Finding> Findings);

/// <summary>Reads a table of a probe: a time, and a column that begins with slab, probe, concrete, core or temp and ends in its unit.</summary>
/// <remarks>Times, units and clock changes are as in tables of weather; gaps are left, since over them nothing is known.</remarks>
internal static class CsvProbe
{
    private const long MostBytes = 2_000_000;

    private static readonly string[] Names = ["slab", "probe", "concrete", "core", "temp"];

    public static void MapProbes(this IEndpointRouteBuilder api) => api.MapPost("/probes", ReadAsync).WithName("ReadProbe").ForCrew()
        .Accepts<string>("text/plain").WithMetadata(new RequestSizeLimitAttribute(MostBytes)).Produces<ProbeRead>().ProducesProblem(413).ProducesProblem(422);

    private static async Task<IResult> ReadAsync(string timeZone, HttpRequest request, CancellationToken cancellation)
    {
        if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone) is not { } zone)
        {
            return Problems.UnknownTimeZone(timeZone);
        }

        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        return TypedResults.Ok(Read(await reader.ReadToEndAsync(cancellation), zone));
    }

    /// <param name="text">The whole file.</param>
    /// <param name="zone">Times that name no zone of their own are local ones of it.</param>
    public static ProbeRead Read(string text, DateTimeZone zone)
    {
        var findings = new WeatherFindings();
        using var reader = new StringReader(text);
        using var csv = new CsvReader(reader, CsvWeather.Form());
        string[] header = csv.Read() ? csv.Parser.Record ?? [] : [];
        var time = CsvWeather.TimeColumn(header);
        var column = Array.FindIndex(header, h => Names.Any(n => h.StartsWith(n, StringComparison.OrdinalIgnoreCase)));
        if (time < 0 || column < 0)
        {
            findings.Add(Severity.Error, 1, new Notice.WeatherColumnMissing(1, time < 0 ? "time" : "slab"));
            return new ProbeRead([], 0, findings.All);
        }

        if (CsvWeather.UnitOf(header[column], WeatherColumn.AirC) is not { } toC)
        {
            findings.Add(Severity.Error, 1, new Notice.WeatherUnitUnknown(1, "slab", WeatherFindings.Shortened(header[column])));
            return new ProbeRead([], 0, findings.All);
        }

        var (readings, last) = (new SortedDictionary<Instant, double>(), (LocalDateTime?)null);
        while (csv.Read())
        {
            var (line, cells) = (csv.Parser.RawRow, csv.Parser.Record ?? []);
            if (cells.Length <= Math.Max(time, column))
            {
                findings.Damaged(line, "slab", "incomplete");
                continue;
            }

            var at = CsvWeather.Moment(cells[time], zone, line, ref last, findings);
            if (CsvWeather.IsNothing(cells[column]) || at is not { } moment)
            {
                continue;
            }

            if (!Moments.Has(moment))
            {
                findings.Damaged(line, "time", "beyondYears", cells[time]);
            }
            else if (!double.TryParse(cells[column], NumberStyles.Float, CultureInfo.InvariantCulture, out var number) || toC(number) is not (>= -60 and <= 100))
            {
                findings.Damaged(line, "slab", double.IsFinite(number) && number != 0 ? "impossible" : "notANumber", cells[column]);
            }
            else if (!readings.TryAdd(moment, toC(number)))
            {
                findings.Damaged(line, "time", "repeated", cells[time]);
            }
        }

        if (readings.Count < 2 && !findings.Refused)
        {
            findings.Damaged(1, "time", "tooFewRows");
        }

        if (findings.Refused)
        {
            return new ProbeRead([], 0, findings.All);
        }

        var all = readings.Select(r => new ProbeReading(r.Key, Math.Round(r.Value, 2))).ToList();
        // A probe that wrote every minute says no more than one that wrote every ten.
        var keep = (all.Count + EventLimits.MostReadings - 1) / EventLimits.MostReadings;
        all = [.. all.Where((_, i) => i % keep == 0)];
        return new ProbeRead(all, all.Zip(all.Skip(1), (a, b) => (b.At - a.At).TotalHours).DefaultIfEmpty(0).Max(), findings.All);
    }
}
