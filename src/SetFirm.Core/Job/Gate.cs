using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Job;

/// <summary>Where said things become checked values. What does not pass leaves a finding at its field and a null.</summary>
/// <param name="system">What bare numbers are in.</param>
/// <param name="budget">What the plan may take; null takes one of its own.</param>
internal sealed class Gate(UnitSystem system, Budget? budget = null) : Remarks(budget)
{
    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");
    private readonly List<TextRead> readings = [];

    public IReadOnlyList<TextRead> Readings => readings;

    /// <summary>A length between limits, or null with a finding.</summary>
    public Length? Length(Place path, string? text, double leastMm, double mostMm) =>
        Quantity(path, text, Units.Lengths, Dimension.Length) is { } metres
        && InRange(path, metres * 1000, leastMm, mostMm, RangeUnit.Mm) ? Quantities.Length.FromMetres(metres) : null;

    /// <summary>A length that may run backwards behind a minus sign, metres.</summary>
    public double? SignedLength(Place path, string? text, double mostMm)
    {
        var back = text?.TrimStart() is ['-' or '−', ..];
        var magnitude = back ? text!.TrimStart()[1..] : text;
        return Length(path, magnitude, 0, mostMm) is { } length ? (back ? -1 : 1) * length.Metres : null;
    }

    public Volume? Volume(Place path, string? text, double leastL, double mostL, UnitTable? table = null) =>
        Quantity(path, text, table ?? Units.Volumes, Dimension.Volume) is { } cubicMetres
        && InRange(path, cubicMetres * 1000, leastL, mostL, RangeUnit.L) ? Quantities.Volume.FromCubicMetres(cubicMetres) : null;

    public Mass? Mass(Place path, string? text, double leastKg, double mostKg) =>
        Quantity(path, text, Units.Masses, Dimension.Mass) is { } kilograms
        && InRange(path, kilograms, leastKg, mostKg, RangeUnit.Kg) ? Quantities.Mass.FromKilograms(kilograms) : null;

    /// <summary>True when a plain number lies within limits; else a finding.</summary>
    public bool InRange(Place path, double value, double least, double most, RangeUnit unit = RangeUnit.None)
    {
        if (value >= least && value <= most)
        {
            return true;
        }

        Fault(path, new Notice.OutOfRange(value, least, most, unit));
        return false;
    }

    public LocalDate? Date(Place path, string? text)
    {
        if (!LocalDatePattern.Iso.Parse(text ?? "").TryGetValue(default, out var date))
        {
            Unread(path, UnreadReason.NotANumber, 0);
            return null;
        }

        return InRange(path, date.Year, Moments.FirstYear, Moments.LastYear, RangeUnit.Year) ? date : null;
    }

    public LocalTime? Time(Place path, string? text)
    {
        if (TimePattern.Parse(text ?? "").TryGetValue(default, out var time))
        {
            return time;
        }

        Unread(path, UnreadReason.NotANumber, 0);
        return null;
    }

    private double? Quantity(Place path, string? text, UnitTable table, Dimension dimension)
    {
        switch (QuantityText.Read(text, table, system))
        {
            case Reading.Read read:
                readings.Add(new TextRead(path, dimension, read.Si, read.Bare, Exact(read.Si, table)));
                return read.Si;
            case Reading.Unread unread:
                Unread(path, unread.Reason, unread.At);
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private string Exact(double si, UnitTable table) => QuantityText.Exact(si, table.BareIn(system));

    private void Unread(Place path, UnreadReason reason, int at) =>
        Fault(path, new Notice.QuantityUnread(At: at, Reason: reason));

    public static string CamelCase(string name) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(name);
}
