using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>One way the day might go: a path of the weather, and what nobody knows of the mix.</summary>
/// <param name="Weather">The path.</param>
/// <param name="SetFactor">It sets in this many times the time that its label says.</param>
/// <param name="SheenFactor">Its sheen stays this many times as long.</param>
public sealed record Member(HourlyWeather Weather, double SetFactor, double SheenFactor)
{
    /// <summary>And each zone in this many times that time; empty where they are all alike.</summary>
    public ImmutableArray<double> ZoneFactors { get; init; } = [];
}

/// <summary>Ways the day might go, each as likely as the next.</summary>
public static class Members
{
    /// <summary>Doubt in the logarithm of how long a sheen stays. Starting value (tune).</summary>
    public const double SheenDoubt = 0.32;

    /// <summary>Deviations from the middle to the tenth on either side of a normal distribution.</summary>
    private const double ToTenth = 1.2816;

    private static readonly ConditionalWeakTable<HourlyWeather, Member[]> Known = [];

    /// <summary>In the logarithm of a zone's set factor that no sign has told of yet.</summary>
    private static readonly double SetLog = Math.Sqrt((SetBelief.SharedDoubt * SetBelief.SharedDoubt) + (SetBelief.OwnDoubt * SetBelief.OwnDoubt));

    /// <summary>Four set times in five lie within this share of the label's, 0-1.</summary>
    public static double SetDoubt => Math.Exp(ToTenth * SetLog) - 1;

    /// <summary>The first so many; always the same for the same forecast.</summary>
    public static IReadOnlyList<Member> Of(HourlyWeather forecast, int count)
    {
        ArgumentNullException.ThrowIfNull(forecast);
        if (!Known.TryGetValue(forecast, out var made) || made.Length < count)
        {
            var (first, more) = (made ?? [], new Member[count]);
            first.CopyTo(more, 0);
            // Each by itself: drawing some hundred takes longer than following them.
            Parallel.For(first.Length, count, i => more[i] = Along(WeatherPaths.Path(forecast, i), i));
            Known.AddOrUpdate(forecast, made = more);
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

    /// <summary>How many times as long as planned a round takes in one way.</summary>
    /// <param name="i">Which way.</param>
    /// <param name="doubt">As a logarithm.</param>
    public static double Pace(int i, double doubt) => Math.Exp(doubt * Spread(i, 2).A);

    private static Member Along(HourlyWeather path, int i)
    {
        var (set, sheen) = Spread(i, 0);
        return new Member(path, Math.Exp(SetLog * set), Math.Exp(SheenDoubt * sheen));
    }

    /// <summary>The same ways, with what is believed of the set and of the sheen by now in place of what nobody knew before.</summary>
    /// <param name="forecast">As foreseen.</param>
    /// <param name="count">Ways.</param>
    /// <param name="set">Of each zone.</param>
    /// <param name="sheen">Logarithm of how many times as long a sheen stays.</param>
    public static IReadOnlyList<Member> Of(HourlyWeather forecast, int count, SetBelief set, Guess sheen)
    {
        ArgumentNullException.ThrowIfNull(set);
        var ways = new Member[count];
        var plain = Of(forecast, count);
        for (var i = 0; i < count; i++)
        {
            var (shared, stays) = Spread(i, 0);
            var factors = new double[set.Zones.Length];
            for (var z = 0; z < factors.Length; z += 2)
            {
                var (a, b) = Spread(i, 1 + z);
                factors[z] = Math.Exp(set.At(z, shared, a));
                if (z + 1 < factors.Length)
                {
                    factors[z + 1] = Math.Exp(set.At(z + 1, shared, b));
                }
            }

            ways[i] = new Member(plain[i].Weather, Math.Exp(set.Common.Mean + (shared * set.Common.Deviation)), Math.Exp(sheen.Mean + (stays * sheen.Deviation))) { ZoneFactors = [.. factors] };
        }

        return ways;
    }

    // Spread evenly: two normal values by Box and Muller from a sequence of little discrepancy (Roberts 2018), so that few members do; each turn begins elsewhere.
    private static (double A, double B) Spread(int i, int turn)
    {
        const double plastic = 1.32471795724474602596;
        const double golden = 1.61803398874989484820;
        var u = Fraction(0.5 + ((i + 1) / plastic) + (turn / golden));
        var v = Fraction(0.5 + ((i + 1) * (1 + turn) / (plastic * plastic)));
        var r = Math.Sqrt(-2 * Math.Log(Math.Max(u, 1e-12)));
        return (r * Math.Cos(2 * Math.PI * v), r * Math.Sin(2 * Math.PI * v));
    }

    private static double Fraction(double x) => x - Math.Floor(x);
}
