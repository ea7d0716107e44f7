using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>Where said things become checked values. What does not pass leaves a finding at its field and a null.</summary>
internal sealed class Gate(UnitSystem system)
{
    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");
    private readonly List<Finding> findings = [];
    private readonly List<ReadingReport> readings = [];
    private readonly List<Explanation> explanations = [];

    public IReadOnlyList<Finding> Findings => findings;

    public IReadOnlyList<ReadingReport> Readings => readings;

    public IReadOnlyList<Explanation> Explanations => explanations;

    public void Add(Finding finding) => findings.Add(finding);

    public void Add(Explanation explanation) => explanations.Add(explanation);

    public void Fault(FindingCode code, string path, params ReadOnlySpan<(string Name, double Value)> facts) =>
        findings.Add(Finding.Of(code, Severity.Error, path, facts));

    /// <summary>A length between limits, or null with a finding.</summary>
    public Length? Length(string path, string? text, double leastMm, double mostMm) =>
        Quantity(path, text, Units.Lengths, Dimension.Length) is { } metres
        && InRange(path, metres * 1000, leastMm, mostMm, "Mm") ? Quantities.Length.FromMetres(metres) : null;

    /// <summary>A length that may run backwards behind a minus sign, metres.</summary>
    public double? SignedLength(string path, string? text, double mostMm)
    {
        var back = text?.TrimStart() is ['-' or '−', ..];
        var magnitude = back ? text!.TrimStart()[1..] : text;
        return Length(path, magnitude, 0, mostMm) is { } length ? (back ? -1 : 1) * length.Metres : null;
    }

    public Volume? Volume(string path, string? text, double leastL, double mostL, UnitTable? table = null) =>
        Quantity(path, text, table ?? Units.Volumes, Dimension.Volume) is { } cubicMetres
        && InRange(path, cubicMetres * 1000, leastL, mostL, "L") ? Quantities.Volume.FromCubicMetres(cubicMetres) : null;

    public Mass? Mass(string path, string? text, double leastKg, double mostKg) =>
        Quantity(path, text, Units.Masses, Dimension.Mass) is { } kilograms
        && InRange(path, kilograms, leastKg, mostKg, "Kg") ? Quantities.Mass.FromKilograms(kilograms) : null;

    /// <summary>True when a plain number lies within limits; else a finding.</summary>
    public bool InRange(string path, double value, double least, double most, string unit = "")
    {
        if (value >= least && value <= most)
        {
            return true;
        }

        Fault(FindingCode.OutOfRange, path, ("value" + unit, value), ("least" + unit, least), ("most" + unit, most));
        return false;
    }

    public LocalDate? Date(string path, string? text)
    {
        if (!LocalDatePattern.Iso.Parse(text ?? "").TryGetValue(default, out var date))
        {
            Unread(path, UnreadReason.NotANumber, 0);
            return null;
        }

        return InRange(path, date.Year, 2000, 2200, "Year") ? date : null;
    }

    public LocalTime? Time(string path, string? text)
    {
        if (TimePattern.Parse(text ?? "").TryGetValue(default, out var time))
        {
            return time;
        }

        Unread(path, UnreadReason.NotANumber, 0);
        return null;
    }

    private double? Quantity(string path, string? text, UnitTable table, Dimension dimension)
    {
        switch (QuantityText.Read(text, table, system))
        {
            case Reading.Read read:
                readings.Add(new ReadingReport(path, dimension, read.Si, read.Bare, Exact(read.Si, table)));
                return read.Si;
            case Reading.Unread unread:
                Unread(path, unread.Reason, unread.At);
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private string Exact(double si, UnitTable table) => QuantityText.Exact(si, table.BareIn(system));

    private void Unread(string path, UnreadReason reason, int at) =>
        findings.Add(Finding.Of(FindingCode.QuantityUnread, Severity.Error, path, ("at", at)).Naming("reason", CamelCase(reason.ToString())));

    public static string CamelCase(string name) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(name);
}
