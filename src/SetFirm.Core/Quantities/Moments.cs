using NodaTime;

namespace SetFirm.Core.Quantities;

/// <summary>Moments that are planned with: nobody pours before, and no plan is made for after.</summary>
public static class Moments
{
    public const int FirstYear = 1990;
    public const int LastYear = 2200;

    /// <summary>From here on.</summary>
    public static Instant First { get; } = Instant.FromUtc(FirstYear, 1, 1, 0, 0);

    /// <summary>Before this.</summary>
    public static Instant End { get; } = Instant.FromUtc(LastYear + 1, 1, 1, 0, 0);

    public static bool Has(Instant moment) => moment >= First && moment < End;

    /// <summary>Weather may run over the edges: a day is planned with what comes before and after it.</summary>
    public static bool NearlyHas(Instant moment) => moment >= First - Over && moment < End + Over;

    private static readonly Duration Over = Duration.FromDays(400);

    public static bool Has(LocalDate date) => date.Year is >= FirstYear and <= LastYear;
}
