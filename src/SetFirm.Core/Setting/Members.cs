using System.Runtime.CompilerServices;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>One way the day might go: a path of the weather, and what nobody knows of the mix.</summary>
/// <param name="Weather">The path.</param>
/// <param name="SetFactor">It sets in this many times the time that its label says.</param>
/// <param name="SheenFactor">Its sheen stays this many times as long.</param>
public sealed record Member(HourlyWeather Weather, double SetFactor, double SheenFactor);

/// <summary>Ways the day might go, each as likely as the next.</summary>
public static class Members
{
    /// <summary>Doubt in a set time that no log has corrected yet: four in five lie within this share of it (tune).</summary>
    public const double SetDoubt = 0.15;

    /// <summary>Four sheens in five stay between this part and this many times as long (tune).</summary>
    public const double SheenDoubt = 1.5;

    /// <summary>Deviations from the middle to the tenth on either side of a normal distribution.</summary>
    private const double ToTenth = 1.2816;

    private static readonly ConditionalWeakTable<HourlyWeather, Member[]> Known = [];

    private static readonly double SetLog = Math.Log(1 + SetDoubt) / ToTenth;
    private static readonly double SheenLog = Math.Log(SheenDoubt) / ToTenth;

    /// <summary>The first so many; always the same for the same forecast.</summary>
    public static IReadOnlyList<Member> Of(HourlyWeather forecast, int count)
    {
        ArgumentNullException.ThrowIfNull(forecast);
        if (!Known.TryGetValue(forecast, out var made) || made.Length < count)
        {
            var first = made ?? [];
            Known.AddOrUpdate(forecast, made = [.. first, .. Enumerable.Range(first.Length, count - first.Length).Select(i => Along(WeatherPaths.Path(forecast, i), i))]);
        }

        return new ArraySegment<Member>(made, 0, count);
    }

    /// <summary>The value that a share of the cases lies under, between neighbours in a straight line.</summary>
    /// <param name="sorted">Rising; not empty.</param>
    /// <param name="share">0-1.</param>
    public static double Quantile(ReadOnlySpan<double> sorted, double share)
    {
        // Weibull's position: the middle of the gaps, so that a tenth of new cases falls outside on either side.
        var at = Math.Clamp((share * (sorted.Length + 1)) - 1, 0, sorted.Length - 1);
        var below = (int)at;
        var above = Math.Min(below + 1, sorted.Length - 1);
        return sorted[below] == sorted[above] ? sorted[below] : sorted[below] + ((at - below) * (sorted[above] - sorted[below]));
    }

    // Spread evenly: two factors by Box and Muller from a sequence of little discrepancy (Roberts 2018), so that few members do.
    private static Member Along(HourlyWeather path, int i)
    {
        const double plastic = 1.32471795724474602596;
        var u = Fraction(0.5 + ((i + 1) / plastic));
        var v = Fraction(0.5 + ((i + 1) / (plastic * plastic)));
        var r = Math.Sqrt(-2 * Math.Log(Math.Max(u, 1e-12)));
        return new Member(path, Math.Exp(SetLog * r * Math.Cos(2 * Math.PI * v)), Math.Exp(SheenLog * r * Math.Sin(2 * Math.PI * v)));
    }

    private static double Fraction(double x) => x - Math.Floor(x);
}
