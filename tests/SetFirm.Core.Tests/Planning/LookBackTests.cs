using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A day told of, beside its plan: what stood out, when each pass could really be made, and what it says of the next.</summary>
public sealed class LookBackTests
{
    private static readonly JobDocument Pad = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });

    private static readonly DayPlan Day = Planner.Plan(Pad, Samples.Steady(18)).Pour!.Day!;

    private static Instant Later(double hours) => Day.Start + Duration.FromHours(hours);

    // Every batch so many times as slow, from a first water so much later.
    private static IEnumerable<JobEvent> Batches(double pace = 1, double lateMin = 0) => Day.Planned.Batches.SelectMany((b, i) =>
    {
        var begun = Day.Start + Duration.FromMinutes(lateMin) + ((b.Begun - Day.Start) * pace);
        return new JobEvent[] { new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = begun, Batch = i + 1 }, new JobEvent.BatchPlaced { Id = Guid.NewGuid(), At = begun + ((b.Placed - b.Begun) * pace), Batch = i + 1 } };
    });

    private static JobEvent.DayBegun Begun() => new() { Id = Guid.NewGuid(), At = Day.Start, Plan = Day.Planned };

    private static JobEvent.DayClosed Closed(double? used = null, double hours = 9) => new() { Id = Guid.NewGuid(), At = Later(hours), Washed = true, HoldBackUsed = false, BagsLeft = 0, BagsUsed = used };

    private static Duration Work(Pass pass) => Day.Zones[0].Passes.Single(p => p.Pass == pass) is var made ? made.Work / made.Hands : default;

    private static LookBack Look(params IEnumerable<JobEvent> log) => LookBack.Of(Pad, Samples.Steady(18), [.. log], Later(60)).ShouldNotBeNull();

    private static double? Says(LearntOf of, params IEnumerable<JobEvent> log) => Look(log).Readings.FirstOrDefault(r => r.Key.Of == of)?.Factor;

    [Fact]
    public void A_day_that_goes_as_planned_stands_out_in_nothing_and_teaches_that_all_is_as_it_is_taken()
    {
        var look = Look([Begun(), .. Batches(), Closed()]);
        look.Stood.ShouldBeEmpty();
        look.Batches.ShouldAllBe(b => b.Begun == b.PlannedBegun && b.Placed == b.PlannedPlaced);
        look.Readings.Single(r => r.Key.Of == LearntOf.Pace).Factor.ShouldBe(1, 1e-6);
        var counted = Look([Begun(), .. Batches(), Closed(used: 40)]).Bags!;
        Look([Begun(), .. Batches(), Closed(used: counted.Planned)]).Stood.ShouldBeEmpty();
    }

    [Fact]
    public void Bags_that_nobody_counted_teach_nothing_and_are_not_told()
    {
        var look = Look([Begun(), .. Batches(), Closed()]);
        look.Bags.ShouldBeNull();
        look.Readings.ShouldNotContain(r => r.Key.Of == LearntOf.Waste);
        // What is left over unopened was counted.
        var left = Look([Begun(), .. Batches(), Closed() with { BagsLeft = 2 }]);
        left.Bags!.Used.ShouldBe(left.Bags.Planned - 2);
        left.Readings.ShouldContain(r => r.Key.Of == LearntOf.Waste && r.Factor < 1);
    }

    [Fact]
    public void Of_a_job_that_was_not_told_of_only_the_plan_stands()
    {
        var look = Look();
        look.Pour.Told.Lines.ShouldBeEmpty();
        look.Stood.ShouldBeEmpty();
        look.Readings.ShouldBeEmpty();
        look.Bags.ShouldBeNull();
        look.Passes.ShouldAllBe(p => p.Begun == null && p.Opens == null);
    }

    [Fact]
    public void Every_way_in_which_a_day_may_stand_out_is_told_when_it_does()
    {
        var wet = Pad with { Cure = Pad.Cure with { Method = CuringMethod.Burlap } };
        var zone = Day.Zones[0].Number;
        JobEvent[] log =
        [
            Begun(), .. Batches(1.5, lateMin: 40),
            new JobEvent.Paused { Id = Guid.NewGuid(), At = Later(1) }, new JobEvent.Rain { Id = Guid.NewGuid(), At = Later(2) },
            new JobEvent.WaterAdded { Id = Guid.NewGuid(), At = Later(1), Batch = 2, Litres = 1.5 },
            new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = Later(5.6), Zone = zone, Mark = ThumbMark.ThreeMm },
            new JobEvent.SheenGone { Id = Guid.NewGuid(), At = Day.Zones[0].SheenGone!.Value + Duration.FromHours(5), Zone = zone },
            new JobEvent.PassBegun { Id = Guid.NewGuid(), At = Later(2.2), Zone = zone, Pass = Pass.EdgeAndFloat },
            new JobEvent.PassDone { Id = Guid.NewGuid(), At = Later(2.2) + (2 * Work(Pass.EdgeAndFloat)), Zone = zone, Pass = Pass.EdgeAndFloat },
            new JobEvent.PassDone { Id = Guid.NewGuid(), At = Day.DoneBy + Duration.FromHours(3), Zone = zone, Pass = Pass.Broom },
            Closed(used: 99, hours: 14), new JobEvent.Wetted { Id = Guid.NewGuid(), At = Later(16) },
        ];
        var stood = LookBack.Of(wet, Samples.Steady(18), log, Later(24 * 6))!.Stood;
        stood.Select(s => s.GetType()).Distinct().ShouldBe(typeof(Standout).GetNestedTypes().Where(typeof(Standout).IsAssignableFrom), ignoreOrder: true);
        stood.OfType<Standout.Begun>().Single().LaterMin.ShouldBe(40, 0.1);
        var mixing = stood.OfType<Standout.Mixing>().Single();
        (mixing.TookMin / mixing.PlannedMin).ShouldBe(1.5, 0.01);
        (mixing.RoundMin / mixing.PlannedRoundMin).ShouldBe(1.5, 0.01);
        stood.OfType<Standout.MoreWater>().Single().ShouldBe(new Standout.MoreWater(1.5, 1));
        stood.OfType<Standout.PassOff>().Single(p => p.Pass == Pass.EdgeAndFloat).LaterMin.ShouldBeLessThan(-30);
        stood.OfType<Standout.Setting>().Single().LaterPct.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void A_pass_that_was_made_does_not_move_the_window_that_it_is_held_against()
    {
        var zone = Day.Zones[0];
        var broom = zone.Passes.Single(p => p.Pass == Pass.Broom);
        var made = new JobEvent.PassBegun { Id = Guid.NewGuid(), At = broom.Opens - Duration.FromMinutes(70), Zone = zone.Number, Pass = Pass.Broom };
        PassLook Of(LookBack look) => look.Passes.Single(p => p.Zone == zone.Number && p.Pass == Pass.Broom);
        var (with, without) = (Of(Look([Begun(), .. Batches(), made, Closed()])), Of(Look([Begun(), .. Batches(), Closed()])));
        (with.Opens, with.Closes).ShouldBe((without.Opens, without.Closes));
        // And by the concrete alone: nobody's waiting for a pass before it, nor the hour at which somebody looks.
        (with.Opens!.Value - broom.Opens).TotalMinutes.ShouldBe(0, 20);
        Look([Begun(), .. Batches(), made, Closed()]).Stood.OfType<Standout.PassOff>().ShouldContain(p => p.Pass == Pass.Broom && p.LaterMin < -50);
    }

    [Fact]
    public void A_pace_is_read_from_first_and_last_alone_and_pauses_and_forgotten_taps_do_not_count()
    {
        JobEvent[] all = [.. Batches(1.3)];
        Says(LearntOf.Pace, [Begun(), .. all, Closed()])!.Value.ShouldBe(1.3, 0.01);
        Says(LearntOf.Pace, [Begun(), all[0], all[^1], Closed()])!.Value.ShouldBe(1.3, 0.01);
        Says(LearntOf.Pace, [Begun(), all[0], Closed()]).ShouldBeNull();
        // An hour's pause between the third and the fourth batch, told of.
        JobEvent Moved(JobEvent e) => e switch
        {
            JobEvent.BatchMixing b when b.Batch > 3 => b with { At = b.At + Duration.FromHours(1) },
            JobEvent.BatchPlaced b when b.Batch > 3 => b with { At = b.At + Duration.FromHours(1) },
            _ => e,
        };
        var paused = new JobEvent.Paused { Id = Guid.NewGuid(), At = all.OfType<JobEvent.BatchMixing>().Single(b => b.Batch == 3).At + Duration.FromMinutes(4) };
        Says(LearntOf.Pace, [Begun(), .. all.Select(Moved), paused, Closed()])!.Value.ShouldBe(1.3, 0.02);
        // With more hands than planned it is no reading of these.
        Says(LearntOf.Pace, [Begun(), new JobEvent.HandsChanged { Id = Guid.NewGuid(), At = Day.Start, Hands = 3 }, .. all, Closed()]).ShouldBeNull();
    }

    [Theory]
    [InlineData(1.25)]
    [InlineData(0.85)]
    public void What_the_signs_say_of_the_set_does_not_hang_on_what_was_believed_before(double factor)
    {
        var truth = HiddenDay.Of(Planner.Plan(Pad, Samples.Steady(18)).Pour!.Load.Task!, new Member(Samples.Steady(18), factor, 1) { ZoneFactors = [factor] });
        JobEvent[] batches = [Begun(), .. Batches()];
        var course = truth.Went(DayFacts.Of(Told.Of(batches), batches[^1].At)!, Day.Planned);
        var thumb = new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = course.When(0, 0.6)!.Value, Zone = 1, Mark = ThumbMark.ThreeMm };
        Says(LearntOf.Set, [.. batches, thumb, Closed(hours: 20)])!.Value.ShouldBe(factor, 0.02);
        // Nor on what plans are made with by now.
        var learnt = Pad with { Learnt = LearntValues.Of([(LearntKeys.Set(Pad.Mix, Pad.Buy, Pad.Mixing), 1.4), (LearntKeys.Pace(Pad.Mixing), 0.7)]) };
        LookBack.Of(learnt, Samples.Steady(18), [.. batches, thumb, Closed(hours: 20)], Later(60))!.Readings.Single(r => r.Key.Of == LearntOf.Set).Factor.ShouldBe(factor, 0.02);
    }

    [Fact]
    public void Bags_speak_of_one_bed_and_of_none_where_there_are_two()
    {
        var planned = Look([Begun(), .. Batches(), Closed(used: 40)]).Bags!.Planned;
        Says(LearntOf.Waste, [Begun(), .. Batches(), Closed(planned * 1.1)])!.Value.ShouldBe(1.1, 0.03);
        var two = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" }, Kinds.Slab(Kinds.Rectangle("1 m", "1 m")) with { Id = "step", Bed = Core.Shapes.Bed.HandDug });
        LookBack.Of(two, Samples.Steady(18), [Begun(), .. Batches(), Closed(planned)], Later(60))!.Readings.ShouldNotContain(r => r.Key.Of == LearntOf.Waste);
    }

    [Fact]
    public void A_probe_counts_where_it_read_and_the_model_over_a_long_gap_and_beyond()
    {
        var slab = new HeatBalanceSlab().Follow(Samples.Zone(), Samples.Steady(18), Duration.FromDays(3));
        ProbeReading At(double hours, double c) => new(Samples.Morning + Duration.FromHours(hours), c);
        SlabHistory Read(params ProbeReading[] readings) => ProbeLog.Of(Told.Of([new JobEvent.ProbeRead { Id = Guid.NewGuid(), At = Samples.Morning, Readings = readings }]))!.Of(slab);
        var read = Read(At(10, 30), At(12, 34), At(20, 10));
        read.TemperatureAt(At(11, 0).At).ShouldBe(32, 0.01);
        read.TemperatureAt(At(15, 0).At).ShouldBe(slab.TemperatureAt(At(15, 0).At), 0.01); // eight hours without a reading
        read.TemperatureAt(At(30, 0).At).ShouldBe(slab.TemperatureAt(At(30, 0).At), 1e-9);
        read.EquivalentHoursAt(At(9, 0).At).ShouldBe(slab.EquivalentHoursAt(At(9, 0).At), 1e-9);
        read.EquivalentHoursAt(At(60, 0).At).ShouldBeGreaterThan(slab.EquivalentHoursAt(At(60, 0).At));
        // By hand: five hours at 30 degrees.
        var even = Read([.. Enumerable.Range(0, 11).Select(i => At(10 + (i / 2.0), 30))]);
        (even.EquivalentHoursAt(At(15, 0).At) - even.EquivalentHoursAt(At(10, 0).At)).ShouldBe(EquivalentAge.Hours([(30, 5)]), 0.02);
        ProbeLog.Of(Told.Nothing).ShouldBeNull();
    }
}
