using System.Runtime.CompilerServices;
using System.Runtime.Intrinsics;

namespace SetFirm.Core.Setting;

/// <summary>What lies under a section.</summary>
public enum Below
{
    /// <summary>A deck, a bench, a mould on trestles.</summary>
    Air,

    Soil,

    /// <summary>A dry base of stone.</summary>
    Stone,

    /// <summary>An old slab, or the base course.</summary>
    Concrete,
}

/// <summary>What the ground remembers of how the section on it has warmed since it was placed: eight modes, the quick ones first, K.</summary>
internal readonly record struct GroundMemory(Vector256<double> Quick, Vector256<double> Slow);

/// <summary>The ground as a half-space: heat flow e (Tg - T) / sqrt(pi t) from placing on, and -e dT / sqrt(pi t) from every change of T since.</summary>
/// <remarks>
/// 1 / sqrt(pi t) = 2/pi times the integral of exp(-t w^2) over w, taken as eight exponentials a factor e^0.8 apart in w, the slow end lumped into the last: within 1 % from
/// 5 min to 14 days. The jump at placing is taken exactly, and within a step a change as a ramp. Source: Carslaw and Jaeger 1959, 2.4.
/// </remarks>
internal sealed class GroundHeat
{
    private const double Apart = 0.8;
    private const double Quickest = 3.6;
    private const int Modes = 8;

    /// <summary>Steps of a few lengths come again and again.</summary>
    private const int Kept = 64;

    private static readonly (Vector256<double> Quick, Vector256<double> Slow) Rates = Pack(k => Math.Exp(-2 * Apart * k) * Quickest * Quickest);

    private static readonly (Vector256<double> Quick, Vector256<double> Slow) Weights = Pack(
        k => 2 / Math.PI * Apart * Quickest * (Math.Exp(-Apart * k) + (k == Modes - 1 ? Math.Exp(-Apart * Modes) / (1 - Math.Exp(-Apart)) : 0)));

    [ThreadStatic]
    private static GroundHeat?[]? known;

    private double hours;
    private Vector256<double> quickStays;
    private Vector256<double> slowStays;
    private Vector256<double> quickMean;
    private Vector256<double> slowMean;

    private void Become(double step)
    {
        hours = step;
        quickStays = Map(Rates.Quick, step);
        slowStays = Map(Rates.Slow, step);
        quickMean = Means(Rates.Quick, quickStays, step);
        slowMean = Means(Rates.Slow, slowStays, step);
        // A ramp over the step: its mean flow for the mean change.
        RampPerK = 8 / (3 * Math.Sqrt(Math.PI * step));
    }

    /// <summary>Flow for a kelvin of mean change over the step, and an effusivity of 1, 1/sqrt(h).</summary>
    public double RampPerK { get; private set; }

    /// <summary>For a step of so many hours.</summary>
    /// <remarks>Good until the next step is asked for: steps of odd lengths come by the hundred thousand, and are worked out in the place of an older one.</remarks>
    public static GroundHeat Of(double hours)
    {
        known ??= new GroundHeat?[Kept];
        ref var slot = ref known[(int)((ulong)(BitConverter.DoubleToInt64Bits(hours) * -7046029254386353131L) >> 58)];
        if (slot is null || slot.hours != hours)
        {
            (slot ??= new GroundHeat()).Become(hours);
        }

        return slot;
    }

    /// <summary>W s^0.5 / (m2 K); 0 where there is no ground. (tune)</summary>
    public static double Effusivity(Below below) => below switch
    {
        Below.Soil => 1500,
        Below.Stone => 900,
        Below.Concrete => 2100,
        _ => 0,
    };

    /// <summary>What flows down over a step from the jump at placing, for an effusivity and a jump of 1, 1/sqrt(h).</summary>
    /// <param name="fromH">Hours since placing.</param>
    /// <param name="toH">Likewise.</param>
    public static double Jump(double fromH, double toH) => 2 / Math.Sqrt(Math.PI) * (Math.Sqrt(toH) - Math.Sqrt(Math.Max(0, fromH))) / (toH - fromH);

    /// <summary>What flows down over the step from changes before it, for an effusivity of 1, K/sqrt(h).</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public double Before(in GroundMemory memory) => Vector256.Sum((memory.Quick * quickMean * Weights.Quick) + (memory.Slow * slowMean * Weights.Slow));

    /// <summary>After the step, in which it warmed by so much.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public GroundMemory After(in GroundMemory memory, double warmedK) => new((memory.Quick * quickStays) + (quickMean * warmedK), (memory.Slow * slowStays) + (slowMean * warmedK));

    private static (Vector256<double>, Vector256<double>) Pack(Func<int, double> of) =>
        (Vector256.Create(of(0), of(1), of(2), of(3)), Vector256.Create(of(4), of(5), of(6), of(7)));

    private static Vector256<double> Map(Vector256<double> rates, double hours) => Vector256.Create(
        Math.Exp(-rates.GetElement(0) * hours), Math.Exp(-rates.GetElement(1) * hours), Math.Exp(-rates.GetElement(2) * hours), Math.Exp(-rates.GetElement(3) * hours));

    private static Vector256<double> Means(Vector256<double> rates, Vector256<double> stays, double hours) => Vector256.ConditionalSelect(
        Vector256.LessThan(rates * hours, Vector256.Create(1e-6)), Vector256<double>.One, (Vector256<double>.One - stays) / (rates * hours));
}
