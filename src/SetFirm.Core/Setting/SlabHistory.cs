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
    internal SlabHistory(Instant waterAdded, Duration toPlaced, double[] hours, SlabTrack track)
    {
        (WaterAdded, Placed) = (waterAdded, waterAdded + toPlaced);
        this.hours = hours;
        this.track = track;
        temperatureC = track.TemperatureC;
        equivalentHours = track.EquivalentH;
        for (var i = 1; i < hours.Length; i++)
        {
            PeakDeficitKgM2H = Math.Max(PeakDeficitKgM2H, track.DeficitKgM2H[i]);
            if (track.FilmKgM2[i] > Bleeding.SheenKgM2)
            {
                // To where the film falls to the least that shows, on the way to the next step.
                var next = i + 1 < hours.Length ? track.FilmKgM2[i + 1] : 0;
                var share = next >= Bleeding.SheenKgM2 ? 1 : (track.FilmKgM2[i] - Bleeding.SheenKgM2) / (track.FilmKgM2[i] - next);
                SheenGone = WaterAdded + Duration.FromHours(hours[i] + (share * (hours[Math.Min(i + 1, hours.Length - 1)] - hours[i])));
            }
        }
    }

    /// <summary>It lies in the form.</summary>
    public Instant Placed { get; }

    /// <summary>When the sheen of bled water is gone; null where none ever shows, because it dries as fast as it bleeds.</summary>
    public Instant? SheenGone { get; }

    /// <summary>Water still stood on it when it had to be dragged off.</summary>
    public bool WaterDragged => track.Dragged;

    /// <summary>The most by which drying outran bleeding before first set, kg/m2/h.</summary>
    public double PeakDeficitKgM2H { get; }

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

    /// <summary>From when on it bleeds no faster than this, kg/m2/h; null where not within the span.</summary>
    public Instant? WhenBleedsLess(double kgM2H)
    {
        for (var i = hours.Length - 1; i > 0; i--)
        {
            if (track.BleedKgM2H[i] > kgM2H)
            {
                return i + 1 < hours.Length ? WaterAdded + Duration.FromHours(hours[i]) : null;
            }
        }

        return Placed;
    }

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
