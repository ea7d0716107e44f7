using NodaTime;

namespace SetFirm.Core.Setting;

/// <summary>Temperature and equivalent age of a zone through time.</summary>
/// <remarks>Between steps a straight line. Equivalent age never falls, so it can be read backwards.</remarks>
public sealed class SlabHistory
{
    private readonly double[] hours;
    private readonly double[] temperatureC;
    private readonly double[] equivalentHours;

    /// <summary>Takes the arrays over; all of one length, hours rising from 0.</summary>
    internal SlabHistory(Instant waterAdded, double[] hours, double[] temperatureC, double[] equivalentHours)
    {
        WaterAdded = waterAdded;
        this.hours = hours;
        this.temperatureC = temperatureC;
        this.equivalentHours = equivalentHours;
    }

    public Instant WaterAdded { get; }

    public Duration Span => Duration.FromHours(hours[^1]);

    public ReadOnlySpan<double> StepHours => hours;

    public ReadOnlySpan<double> StepTemperaturesC => temperatureC;

    public ReadOnlySpan<double> StepEquivalentHours => equivalentHours;

    /// <summary>Concrete temperature, °C; the ends hold outside the span.</summary>
    public double TemperatureAt(Instant moment) => Along(hours, temperatureC, (moment - WaterAdded).TotalHours);

    /// <summary>Hours at 20 °C since water was added; the ends hold outside the span.</summary>
    public double EquivalentHoursAt(Instant moment) => Along(hours, equivalentHours, (moment - WaterAdded).TotalHours);

    /// <summary>When this equivalent age is reached, or null when not within the span.</summary>
    public Instant? WhenEquivalentHours(double wanted) => wanted > equivalentHours[^1]
        ? null
        : WaterAdded + Duration.FromHours(Along(equivalentHours, hours, wanted));

    private static double Along(double[] xs, double[] ys, double x)
    {
        var found = Array.BinarySearch(xs, x);
        if (found >= 0)
        {
            return ys[found];
        }

        var upper = ~found;
        if (upper == 0)
        {
            return ys[0];
        }

        if (upper == xs.Length)
        {
            return ys[^1];
        }

        var share = (x - xs[upper - 1]) / (xs[upper] - xs[upper - 1]);
        return ys[upper - 1] + (share * (ys[upper] - ys[upper - 1]));
    }
}
