using CsCheck;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.PourDay;

public sealed class PourDayTests
{
    private static readonly Mixer Drum = new Mixer.Drum(Volume.FromLitres(140));

    [Fact]
    public void One_person_mixes_and_places_one_batch_after_another()
    {
        var schedule = PourSchedule.Of(Plan(4, 4, 4), Drum, new Crew(1), barrowMetres: 30, Samples.Morning);
        schedule.StartToStart.TotalMinutes.ShouldBe(7, 1e-9);
        (schedule.MixingEnds - Samples.Morning).TotalMinutes.ShouldBe(21, 1e-9);
        schedule.JointAge.TotalMinutes.ShouldBe(14, 1e-9); // placed 14 minutes after the one before it met water
    }

    [Fact]
    public void A_helper_overlaps_but_a_batch_still_takes_its_whole_cycle()
    {
        var schedule = PourSchedule.Of(Plan(4, 4, 4), Drum, new Crew(2), barrowMetres: 30, Samples.Morning);
        schedule.StartToStart.TotalMinutes.ShouldBe(3.85, 1e-9);
        (schedule.MixingEnds - Samples.Morning).TotalMinutes.ShouldBe((2 * 3.85) + 7, 1e-9);
    }

    [Fact]
    public void More_hands_never_finish_later_nor_make_older_joints() =>
        Gen.Select(Gen.Int[1, 40], Gen.Int[1, 6], Gen.Int[1, 5], Gen.Double[0, 90]).Sample((batches, units, hands, run) =>
        {
            var plan = Plan([.. Enumerable.Repeat(units, batches)]);
            var some = PourSchedule.Of(plan, Drum, new Crew(hands), run, Samples.Morning);
            var more = PourSchedule.Of(plan, Drum, new Crew(hands + 1), run, Samples.Morning);
            return more.MixingEnds <= some.MixingEnds && more.JointAge <= some.JointAge;
        });

    [Fact]
    public void Zones_tile_every_element_and_use_batches_in_order() =>
        Gen.Select(Gen.Double[5, 400].Array[1, 5], Gen.Int[1, 8], Gen.Double[0.3, 8]).Sample((elementLitres, unitsEach, initialH) =>
        {
            var total = elementLitres.Sum();
            var batches = (int)Math.Ceiling(total / (unitsEach * 6.0));
            var plan = Plan([.. Enumerable.Repeat(unitsEach, batches)]);
            var schedule = PourSchedule.Of(plan, Drum, new Crew(1), 12, Samples.Morning);
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
        new([.. units], new BatchUnit(Volume.FromLitres(6), Volume.FromLitres(8), PerWhole: 2, BagsWorth: 0.5, Mass.FromKilograms(14)));
}
