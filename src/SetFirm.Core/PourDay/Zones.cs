using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;

namespace SetFirm.Core.PourDay;

/// <summary>A part of an element placed within so short a time that it can be finished as one.</summary>
/// <param name="Element">Index of the element.</param>
/// <param name="FirstBatch">Index of its oldest batch.</param>
/// <param name="LastBatch">Index of its youngest.</param>
/// <param name="From">Where it begins, share of the element's volume, 0-1.</param>
/// <param name="To">Where it ends, likewise.</param>
public readonly record struct Zone(int Element, int FirstBatch, int LastBatch, double From, double To);

/// <summary>Cuts a pour into zones by the age of its batches.</summary>
public static class Zones
{
    /// <summary>Batches whose water went in within this share of initial set are one zone: half an hour for a plain mix.</summary>
    public const double SpreadOfInitialSet = 0.1;

    /// <summary>Litres that sums of volumes may be off by.</summary>
    private const double Slack = 1e-9;

    /// <param name="plan">The loads.</param>
    /// <param name="schedule">Their times.</param>
    /// <param name="elementLitres">What each element takes, waste included, in pouring order.</param>
    /// <param name="toInitialSet">Of the mix.</param>
    public static ImmutableArray<Zone> Cut(
        BatchPlan plan, PourSchedule schedule, IReadOnlyList<double> elementLitres, Duration toInitialSet)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(schedule);
        ArgumentNullException.ThrowIfNull(elementLitres);
        var spread = toInitialSet * SpreadOfInitialSet;
        var zones = ImmutableArray.CreateBuilder<Zone>();
        var (batch, batchEnds, poured) = (0, plan.VolumeOf(0).Litres, 0.0);
        for (var element = 0; element < elementLitres.Count; element++)
        {
            var (begins, ends) = (poured, poured + elementLitres[element]);
            if (batchEnds <= begins + Slack && batch < plan.Units.Length - 1)
            {
                batch++; // the last batch went into the element before to the drop
                batchEnds += plan.VolumeOf(batch).Litres;
            }

            var (first, from) = (batch, 0.0);
            while (batchEnds < ends - Slack && batch < plan.Units.Length - 1)
            {
                var next = schedule.Batches[batch + 1];
                if (next.WaterAdded - schedule.Batches[first].WaterAdded > spread)
                {
                    var to = (batchEnds - begins) / elementLitres[element];
                    zones.Add(new Zone(element, first, batch, from, to));
                    (first, from) = (batch + 1, to);
                }

                batch++;
                batchEnds += plan.VolumeOf(batch).Litres;
            }

            zones.Add(new Zone(element, first, batch, from, 1));
            poured = ends;
        }

        return zones.ToImmutable();
    }
}
