using NodaTime;

namespace SetFirm.Core.Setting;

/// <summary>Temperature, equivalent age and the water on the face of a zone through time.</summary>
/// <remarks>Between steps a straight line. Equivalent age never falls, so it can be read backwards.</remarks>
public sealed class SlabHistory
{
    private readonly double[] hours;
    private readonly double[] temperatureC;
    private readonly double[] equivalentHours;
    private readonly SlabTrack track;

    /// <summary>Takes the arrays over; all of one length, hours rising from 0.</summary>
    internal SlabHistory(Instant waterAdded, Duration toPlaced, double[] hours, SlabTrack track, SlabMarks marks)
    {
        (WaterAdded, Placed, Marks) = (waterAdded, waterAdded + toPlaced, marks);
        this.hours = hours;
        this.track = track;
        temperatureC = track.TemperatureC;
        equivalentHours = track.EquivalentH;
    }

    /// <summary>What happens on its face.</summary>
    public SlabMarks Marks { get; }

    /// <summary>It lies in the form.</summary>
    public Instant Placed { get; }

    /// <summary>When the sheen of bled water is gone; null where none ever shows, because it dries as fast as it bleeds.</summary>
    public Instant? SheenGone => Marks.SheenGoneH is { } gone ? WaterAdded + Duration.FromHours(gone) : null;

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

    /// <summary>Water on its face, kg/m2.</summary>
    public double FilmAt(Instant moment) => Along(hours, track.FilmKgM2, (moment - WaterAdded).TotalHours);

    /// <summary>The same slab as a probe in it read: where it has readings they take the model's place, and age follows from them.</summary>
    /// <param name="readC">What it read at a moment, °C; null where it read nothing.</param>
    public SlabHistory AsRead(Func<Instant, double?> readC)
    {
        ArgumentNullException.ThrowIfNull(readC);
        var read = new SlabTrack(hours.Length);
        for (var i = 0; i < hours.Length; i++)
        {
            var probe = readC(WaterAdded + Duration.FromHours(hours[i]));
            read.TemperatureC[i] = probe ?? temperatureC[i];
            read.FilmKgM2[i] = track.FilmKgM2[i];
            if (i > 0)
            {
                // Where neither end was read the model's own step stands.
                var byModel = probe is null && readC(WaterAdded + Duration.FromHours(hours[i - 1])) is null;
                read.EquivalentH[i] = read.EquivalentH[i - 1] + (byModel
                    ? equivalentHours[i] - equivalentHours[i - 1]
                    : (EquivalentAge.Rate(read.TemperatureC[i - 1]) + EquivalentAge.Rate(read.TemperatureC[i])) / 2 * (hours[i] - hours[i - 1]));
            }
        }

        return new SlabHistory(WaterAdded, Placed - WaterAdded, hours, read, Marks);
    }

    private static double Along(double[] xs, double[] ys, double x)
    {
        var found = Array.BinarySearch(xs, x);
        if (found >= 0)
        {
            // Of equal ones the first: frozen concrete stands at one age.
            while (found > 0 && xs[found - 1] == x)
            {
                found--;
            }

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
