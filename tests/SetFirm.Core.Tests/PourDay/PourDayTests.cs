using CsCheck;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.PourDay;

public sealed class PourDayTests
{
    [Fact]
    public void Zones_tile_every_element_and_use_batches_in_order() =>
        Gen.Select(Gen.Double[5, 400].Array[1, 5], Gen.Int[1, 8], Gen.Double[0.3, 8]).Sample((elementLitres, unitsEach, initialH) =>
        {
            var total = elementLitres.Sum();
            var batches = (int)Math.Ceiling(total / (unitsEach * 6.0));
            var plan = Plan([.. Enumerable.Repeat(unitsEach, batches)]);
            var schedule = PourSchedule.Of(new LoadPlan(new MixingPlace(new DrumMixer(Volume.FromLitres(140)), new Crew(1), Length.FromMetres(12), null), plan, Laying.Slab), Samples.Morning);
            var initial = Duration.FromHours(initialH);
            var zones = Zones.Cut(plan, schedule, elementLitres, initial);
            var spread = initial * Zones.SpreadOfInitialSet;
            for (var e = 0; e < elementLitres.Length; e++)
            {
                var own = zones.Where(z => z.Element == e).ToArray();
                if (own.Length == 0 || own[0].From != 0 || own[^1].To != 1 || own.Zip(own.Skip(1)).Any(p => Math.Abs(p.First.To - p.Second.From) > 1e-12))
                {
                    return false;
                }
            }

            return zones.All(z => z.FirstBatch <= z.LastBatch && z.To > z.From
                    && schedule.Batches[z.LastBatch].WaterAdded - schedule.Batches[z.FirstBatch].WaterAdded <= spread)
                && zones.Zip(zones.Skip(1)).All(p => p.First.LastBatch <= p.Second.FirstBatch && p.First.Element <= p.Second.Element);
        });

    private static BatchPlan Plan(params int[] units) =>
        new([.. units], new BatchUnit(Volume.FromLitres(6), Volume.FromLitres(8), PerWhole: 2, Mass.FromKilograms(12.5), Mass.FromKilograms(14)));
}
