using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Curing;

/// <summary>What probes in a slab read, put together.</summary>
/// <remarks>Source: ASTM C1074 takes maturity from the temperature in the concrete where that is known.</remarks>
public sealed class ProbeLog
{
    /// <summary>Over a longer gap nothing is known.</summary>
    private static readonly Duration LongestGap = Duration.FromHours(3);

    private readonly ImmutableArray<ProbeReading> readings;

    private ProbeLog(ImmutableArray<ProbeReading> readings) => this.readings = readings;

    /// <summary>Null where no probe was told of. Of two readings of one moment the later told counts.</summary>
    public static ProbeLog? Of(Told told)
    {
        ArgumentNullException.ThrowIfNull(told);
        var all = new SortedDictionary<Instant, double>();
        foreach (var reading in told.Lines.OfType<JobEvent.ProbeRead>().SelectMany(p => p.Readings))
        {
            all[reading.At] = reading.Celsius;
        }

        return all.Count < 2 ? null : new ProbeLog([.. all.Select(r => new ProbeReading(r.Key, r.Value))]);
    }

    /// <summary>A slab as they read it.</summary>
    public SlabHistory Of(SlabHistory model)
    {
        ArgumentNullException.ThrowIfNull(model);
        return model.AsRead(At);
    }

    private double? At(Instant moment)
    {
        if (moment < readings[0].At || moment > readings[^1].At)
        {
            return null;
        }

        var (low, high) = (0, readings.Length - 1);
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = readings[middle].At <= moment ? (middle, high) : (low, middle);
        }

        var (a, b) = (readings[low], readings[high]);
        var gap = b.At - a.At;
        return gap > LongestGap ? (moment == a.At ? a.Celsius : moment == b.At ? b.Celsius : null) : a.Celsius + ((b.Celsius - a.Celsius) * ((moment - a.At) / gap));
    }
}
