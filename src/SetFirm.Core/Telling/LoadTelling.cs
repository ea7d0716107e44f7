using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;

namespace SetFirm.Core.Telling;

/// <summary>The loads of one pour, as they are shown.</summary>
internal static class LoadTelling
{
    public static LoadReport? Of(PourPlan pour, ImmutableArray<ElementPlan> elements)
    {
        if (pour.Load is not { Load: { } load, Mix: { } mix } loads)
        {
            return null;
        }

        var (day, plan) = (pour.Day, load.Batches);
        var schedule = day?.Schedule ?? PourSchedule.Of(load, default);
        var sizes = plan.Units.Distinct().OrderDescending().ToArray();
        var fills = Fills.Of(loads.Sketch, elements, plan);
        return new LoadReport(
            load.Place.Mixer.Capacity.Litres,
            [
                .. plan.Units.Select((units, i) => new BatchReport(
                    i + 1, Array.IndexOf(sizes, units), plan.VolumeOf(i).Litres, day is null ? null : schedule.Batches[i].WaterAdded, day is null ? null : schedule.Batches[i].Placed, fills[i])),
            ],
            loads.Recipes,
            loads.MeasuredOut,
            LoadingOrder.For(load.Place.Mixer, LoadAdvice.Order(mix.Recipe, loads.Recipes.Any(r => r.Measures.Any(m => m.What == MeasuredThing.Fibre)))),
            schedule.StartToStart.TotalMinutes,
            schedule.Mixing.TotalMinutes,
            schedule.JointAge.TotalMinutes,
            day?.JointLimit.TotalMinutes,
            loads.HoldBackL,
            Crew.ComfortFor(plan.Total),
            load.Crew.Tasks,
            RoundChart.Of(load),
            load.Place.Figures,
            mix.Recipe is ReadyRecipe ? Truck(load, schedule, day?.Start + load.Age) : null,
            [
                .. elements.Where(e => loads.Sketch.Parts.Any(p => p.Element == e.Index))
                    .Select(e => new PlacingReport(e.Index, e.Consolidating.How, e.Consolidating.Lifts, e.Consolidating.LiftMm)),
            ]);
    }

    private static TruckReport Truck(LoadPlan load, PourSchedule schedule, Instant? arrives)
    {
        Duration[] sites = [.. schedule.OnSite(load.Age)];
        return new TruckReport(sites.Length, load.Batches.Total.Litres, arrives, load.Age.TotalMinutes, sites.Max().TotalMinutes, schedule.Batches.Max(b => b.Placed - b.WaterAdded).TotalMinutes);
    }
}
