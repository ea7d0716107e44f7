namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    /// <summary>Nothing was read.</summary>
    public sealed record WeatherFileDamaged(int Line, string Column, string Reason, string Given) : Notice;

    public sealed record WeatherColumnMissing(int Line, string Column) : Notice;

    /// <summary>Its name does not end in a unit.</summary>
    public sealed record WeatherUnitUnknown(int Line, string Column, string Given) : Notice;

    /// <summary>Filled by straight lines, or refused.</summary>
    public sealed record WeatherGap(int Line, double Hours, double Most) : Notice;

    public sealed record WeatherValueMissing(int Line, string Column, double Hours, double Most) : Notice;

    /// <summary>The clocks skip that hour; it was left out.</summary>
    public sealed record WeatherHourSkipped(int Line, string Given) : Notice;

    /// <summary>The clocks have that hour twice.</summary>
    public sealed record WeatherHourTwice(int Line, string Given) : Notice;

    public sealed record WeatherTooLong(int Line, int Count, int Most) : Notice;

    /// <summary>The file says nothing of it.</summary>
    public sealed record WeatherWithout(int Line, string Column) : Notice;

    /// <summary>A year put together from many.</summary>
    public sealed record WeatherTypicalYear(int Line, string Given) : Notice;

    /// <summary>The file has no 29 February; the day before stands in.</summary>
    public sealed record WeatherLeapDay(int Line) : Notice;
}
