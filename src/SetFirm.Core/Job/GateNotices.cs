using SetFirm.Core.Quantities;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record QuantityUnread(UnreadReason Reason, int At) : Notice;

    public sealed record UnknownTimeZone(string Given) : Notice;

    public sealed record NothingToPour : Notice;

    /// <summary>What stands there cannot be read.</summary>
    public sealed record FileDamaged(int Line, string Reason) : Notice;

    /// <summary>The file does not say what its numbers measure.</summary>
    public sealed record FileUnitUnknown : Notice;

    /// <summary>A unit that no slab is drawn in.</summary>
    public sealed record FileUnitUnsupported(double Unit) : Notice;

    /// <summary>Nothing closed is drawn in it.</summary>
    public sealed record FileWithoutOutline : Notice;

    public sealed record FileTooManyPoints(double Count, double Most) : Notice;

    /// <summary>Weather from a file was named that the service does not have; the forecast stands in.</summary>
    public sealed record WeatherFileMissing : Notice;

    /// <summary>A number is wanted.</summary>
    public sealed record NumberMissing : Notice;

    public sealed record LowAboveHigh(double LowC, double HighC) : Notice;

    public sealed record DayTypedTwice : Notice;
}
