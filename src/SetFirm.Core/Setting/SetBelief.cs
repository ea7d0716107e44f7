using System.Collections.Immutable;

namespace SetFirm.Core.Setting;

/// <summary>What a sign says of a zone's set: the logarithm of its set factor lies between two values, give or take.</summary>
/// <param name="Zone">Index of the zone.</param>
/// <param name="Least">No less than this; minus infinity says nothing.</param>
/// <param name="Most">No more than this, no less than <paramref name="Least"/>; infinity says nothing.</param>
/// <param name="Doubt">Standard deviation of either end, over 0.</param>
public readonly record struct SetReading(int Zone, double Least, double Most, double Doubt);

/// <summary>A value and its standard deviation.</summary>
public readonly record struct Guess(double Mean, double Deviation);

/// <summary>What is believed of how slowly each zone of a pour sets, as logarithms of its set factor (time to set, as a share of the plan's).</summary>
/// <remarks>
/// Source: Bayes on two levels, a part that the whole pour shares (one mix, one water, one day) and a part of each zone's own; both normal in the logarithm.
/// A sign that gives a span moves the belief only as far as the belief lies outside it: the most probable set factors are found (a convex sum of squares with hinges),
/// and their deviations by the signs that pull there. The same whatever order the signs came in. Departure: a sign that does not pull narrows nothing.
/// </remarks>
/// <param name="Common">Of what all zones share.</param>
/// <param name="Zones">Of each zone.</param>
/// <param name="Alone">Deviation of each zone where what all share is known.</param>
/// <param name="Follows">How much of a change in what all share each zone follows, 0-1.</param>
public sealed record SetBelief(Guess Common, ImmutableArray<Guess> Zones, ImmutableArray<double> Alone, ImmutableArray<double> Follows)
{
    /// <summary>Doubt about what a pour's zones share. Starting value (tune).</summary>
    public const double SharedDoubt = 0.14;

    /// <summary>And about each zone's own. Starting value (tune).</summary>
    public const double OwnDoubt = 0.05;

    /// <summary>Steps of halving: the last moves nothing that a clock could show.</summary>
    private const int Halvings = 60;

    /// <summary>No mix sets in less than a tenth or more than ten times its time.</summary>
    private const double Sight = 2.4;

    /// <param name="zones">How many.</param>
    /// <param name="learnt">Logarithm of the median factor of earlier pours; 0 where nothing is learnt.</param>
    /// <param name="readings">In any order; their zones are there.</param>
    /// <param name="shared">Doubt about what all share, before any sign.</param>
    public static SetBelief Of(int zones, double learnt, IEnumerable<SetReading> readings, double shared = SharedDoubt)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(zones);
        var byZone = new SetReading[zones][];
        // Sums of the same numbers in the same order are the same to the last bit.
        var sorted = readings.OrderBy(r => r.Zone).ThenBy(r => r.Least).ThenBy(r => r.Most).ThenBy(r => r.Doubt).ToLookup(r => r.Zone);
        for (var z = 0; z < zones; z++)
        {
            byZone[z] = [.. sorted[z]];
        }

        var common = Root(u =>
        {
            var slope = (u - learnt) / Square(shared);
            foreach (var own in byZone)
            {
                slope += own.Length == 0 ? 0 : (u - Zone(own, u)) / Square(OwnDoubt);
            }

            return slope;
        });
        var precision = 1 / Square(shared);
        var (alone, follows, means) = (new double[zones], new double[zones], new double[zones]);
        for (var z = 0; z < zones; z++)
        {
            means[z] = byZone[z].Length == 0 ? common : Zone(byZone[z], common);
            var pull = 0.0;
            foreach (var r in byZone[z])
            {
                pull += r.Least == r.Most || means[z] < r.Least || means[z] > r.Most ? 1 / Square(r.Doubt) : 0;
            }

            precision += pull == 0 ? 0 : 1 / (Square(OwnDoubt) + (1 / pull));
            alone[z] = 1 / Math.Sqrt((1 / Square(OwnDoubt)) + pull);
            follows[z] = Square(alone[z]) / Square(OwnDoubt);
        }

        var left = 1 / Math.Sqrt(precision);
        return new SetBelief(
            new Guess(common, left),
            [.. means.Select((m, z) => new Guess(m, Math.Sqrt(Square(alone[z]) + Square(follows[z] * left))))], [.. alone], [.. follows]);
    }

    /// <summary>One way it may be: the logarithm of a zone's factor.</summary>
    /// <param name="zone">Index of the zone.</param>
    /// <param name="shared">How many deviations what all share is off.</param>
    /// <param name="own">How many the zone itself is off.</param>
    public double At(int zone, double shared, double own) => Zones[zone].Mean + (Follows[zone] * shared * Common.Deviation) + (own * Alone[zone]);

    // The most probable value of a zone where what all share is known.
    private static double Zone(SetReading[] own, double common) => Root(w =>
    {
        var slope = (w - common) / Square(OwnDoubt);
        foreach (var r in own)
        {
            slope += (w < r.Least ? w - r.Least : w > r.Most ? w - r.Most : 0) / Square(r.Doubt);
        }

        return slope;
    });

    // Where a rising function passes nothing.
    private static double Root(Func<double, double> slope)
    {
        var (low, high) = (-Sight, Sight);
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = slope(middle) > 0 ? (low, middle) : (middle, high);
        }

        // Nothing is nothing, to the last bit.
        return Math.Abs(low + high) < 1e-15 ? 0 : (low + high) / 2;
    }

    private static double Square(double x) => x * x;
}
