using System.Collections.Immutable;

namespace SetFirm.Core.Learning;

/// <summary>What one pour says of a value.</summary>
/// <param name="Key">Of what.</param>
/// <param name="Factor">So many times what is taken where nothing is learnt.</param>
/// <param name="Weight">How surely it says so, 0-1: 1 is as sure as one pour can be of the next.</param>
public sealed record LearntReading(LearntKey Key, double Factor, double Weight);

/// <summary>What pours together say of a value.</summary>
/// <param name="Factor">So many times what is taken where nothing is learnt.</param>
/// <param name="Low">One case in ten lies lower.</param>
/// <param name="High">One in ten higher.</param>
/// <param name="Pours">From how many.</param>
/// <remarks>
/// The most probable logarithm under a prior that counts as four pours, each reading a pour; the last counts most (half-life ten pours), and a reading beyond 1.5 deviations pulls
/// no harder than one at 1.5 (Huber 1964). Convex, so that there is one answer, whatever order it is sought in. No single pour moves it by more than 1.5 deviations over four: with
/// 0.12 by 4.5 %. Departure: readings that weigh less than one count as that much of a pour. (tune)
/// </remarks>
public sealed record Estimate(double Factor, double Low, double High, int Pours)
{
    /// <summary>The prior counts as so many pours.</summary>
    public const double PriorPours = 4;

    /// <summary>After so many pours a reading counts half.</summary>
    public const double HalfLifePours = 10;

    /// <summary>Deviations within which a reading pulls in full.</summary>
    public const double Wild = 1.5;

    /// <summary>From pour to pour, as a logarithm. Starting value (tune).</summary>
    private const double Deviation = 0.12;

    /// <summary>The same for how much concrete a bed takes.</summary>
    private const double WasteDeviation = 0.03;

    private const double ToTenth = 1.2816;
    private const int Halvings = 60;

    /// <summary>Nothing is learnt.</summary>
    public static Estimate Nothing { get; } = new(1, 1, 1, 0);

    /// <summary>How pours differ where all else is alike, as a logarithm.</summary>
    public static double DeviationOf(LearntOf of) => of == LearntOf.Waste ? WasteDeviation : Deviation;

    /// <param name="of">What is learnt.</param>
    /// <param name="readings">The oldest first, one a pour.</param>
    public static Estimate Of(LearntOf of, IReadOnlyList<LearntReading> readings)
    {
        ArgumentNullException.ThrowIfNull(readings);
        if (readings.Count == 0)
        {
            return Nothing;
        }

        var deviation = DeviationOf(of);
        ImmutableArray<(double Value, double Weight)> said =
            [.. readings.Select((r, i) => (Math.Log(r.Factor) / deviation, Math.Clamp(r.Weight, 0, 1) * Math.Pow(0.5, (readings.Count - 1 - i) / HalfLifePours)))];
        var (low, high) = (Math.Min(0, said.Min(s => s.Value)), Math.Max(0, said.Max(s => s.Value)));
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            var slope = PriorPours * middle;
            foreach (var (value, weight) in said)
            {
                slope += weight * Math.Clamp(middle - value, -Wild, Wild);
            }

            (low, high) = slope > 0 ? (low, middle) : (middle, high);
        }

        var most = (low + high) / 2;
        var doubt = ToTenth / Math.Sqrt(PriorPours + said.Sum(s => Math.Abs(s.Value - most) <= Wild ? s.Weight : 0));
        double At(double value) => Math.Exp(value * deviation);
        return new Estimate(At(most), At(most - doubt), At(most + doubt), readings.Count);
    }
}
