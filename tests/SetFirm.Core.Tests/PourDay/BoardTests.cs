using CsCheck;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.PourDay;
using SetFirm.Core.Telling;
using SetFirm.Core.Tests.Planning;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>The board of a day under way: what is told of it, and what is coming with what can be done.</summary>
public sealed class BoardTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Fact]
    public void Before_anything_is_told_the_board_has_the_plan_and_nothing_else_has_changed()
    {
        var report = Plans.Of(Samples.Terrace(), Mild);
        var board = report.Board!;
        board.Begun.ShouldBeFalse();
        board.Plan.Zones.Count.ShouldBe(report.Day!.Zones.Count);
        board.Plan.Batches.Count.ShouldBe(report.Load!.Batches.Count);
        board.Todo.Count.ShouldBe(report.Day.Zones.Sum(z => z.Passes.Count(p => p.Begins is not null)));
        board.Todo.Select(t => t.Begins).ShouldBeInOrder();
        // What is told after the day, and nothing of it, leaves the day as it was planned.
        var wetted = Plans.Of(Samples.Terrace(), Mild, [new JobEvent.Wetted { Id = Guid.NewGuid(), At = report.Day.DoneBy + Duration.FromHours(3) }], report.Day.DoneBy + Duration.FromHours(9));
        ReportText.Of(report with { Cure = null, Pours = [], Readings = [], Findings = [], Explanations = [] }).ShouldBe(ReportText.Of(wetted with { Cure = null, Pours = [], Readings = [], Findings = [], Explanations = [] }));
        // But that it lies.
        (report.Pours.Single().Poured, wetted.Pours.Single().Poured).ShouldBe((false, true));
    }

    [Fact]
    public void A_day_under_way_shows_what_is_done_and_the_plan_beside_it()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        var now = plan.Zones[1].Passes.First(p => p.Begins is not null).Begins!.Value;
        var report = Plans.Of(Samples.Terrace(), Mild, UntilThen(plan, now), now);
        var board = report.Board!;
        board.Begun.ShouldBeTrue();
        board.Plan.ShouldBe(plan);
        board.Mixing.Batches.Count.ShouldBe(plan.Batches.Count(b => b.Begun <= now));
        board.Todo.ShouldAllBe(t => t.Begun != null || t.Begins >= now - Duration.FromSeconds(1));
        report.Day!.Zones[0].Passes.Count(p => p.Done is not null).ShouldBeGreaterThan(0);
        // Its figures open to their reasons as before.
        report.Explanations.Select(e => e.Says.GetType()).ShouldContain(typeof(Why.PassWindow));
        report.Explanations.Select(e => e.Says.GetType()).ShouldContain(typeof(Why.DoneBy));
        foreach (var zone in report.Day.Zones)
        {
            zone.Stages[0].Is.ShouldBe(Readiness.Empty);
            zone.Stages.Select(s => s.From).ShouldBeInOrder();
            zone.Stages[^1].Is.ShouldBe(Readiness.Finished);
            zone.Face.Count.ShouldBeGreaterThan(0);
        }
    }

    [Fact]
    public void Signs_are_explained_with_what_was_believed_what_was_read_and_what_is_believed_now()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        var broom = plan.Zones[0].Passes.First(p => p.Pass == Pass.Broom).Opens;
        JobEvent[] log =
        [
            .. UntilThen(plan, broom).Where(l => l is not JobEvent.PassBegun and not JobEvent.PassDone),
            new JobEvent.SheenGone { Id = Guid.NewGuid(), At = plan.Zones[0].SheenGone!.Value + Duration.FromMinutes(12), Zone = 1 },
            new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = broom, Zone = 1, Mark = ThumbMark.SixMm },
        ];
        var report = Plans.Of(Samples.Terrace(), Mild, log, broom);
        var whys = report.Explanations.Select(e => e.Says).ToArray();
        whys.OfType<Why.ZoneSet>().Count().ShouldBe(plan.Zones.Count);
        var sign = whys.OfType<Why.SignRead>().ShouldHaveSingleItem();
        (sign.SaysLeast, sign.SaysMost).ShouldBe((0.4, 0.4), Within);
        whys.OfType<Why.SheenRead>().ShouldHaveSingleItem().LongerPct.ShouldBeGreaterThan(0);
        report.Explanations.Select(e => (e.Says.GetType(), e.Of)).ShouldBeUnique();
        var zone = report.Board!.Zones[0];
        zone.LaterPct.ShouldBeGreaterThan(5); // soft where the plan has it ready for the broom
        zone.DoubtPct.ShouldBeLessThan(report.Board.Zones[^1].DoubtPct);
        report.Board.Change!.Moved.ShouldContain(m => m.Zone == 1 && m.Pass == Pass.Broom && m.After.Opens > m.Before.Opens);
    }

    private static readonly IEqualityComparer<(double, double)> Within = EqualityComparer<(double, double)>.Create(
        (a, b) => Math.Abs(a.Item1 - b.Item1) < 1e-6 && Math.Abs(a.Item2 - b.Item2) < 1e-6, _ => 0);

    [Fact]
    public void The_batch_in_hand_has_its_moment_and_its_end_and_no_pass_comes_before_what_it_is_made_on_lies()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        var (whileInMixer, betweenTwo) = (0, 0);
        foreach (var batch in plan.Batches.SelectMany(b => new[] { (b.Begun, Waits: false), (b.Placed, Waits: false), (b.Placed, Waits: true) }))
        {
            var now = batch.Item1 + Duration.FromSeconds(30);
            JobEvent[] all = UntilThen(plan, now);
            // Who waits has not begun the next one yet.
            JobEvent[] log = [.. all.Where(l => !batch.Waits || l is not JobEvent.BatchMixing m || all.Any(o => o is JobEvent.BatchPlaced p && p.Batch == m.Batch))];
            var board = Plans.Of(Samples.Terrace(), Mild, log, now).Board!;
            // The next may be in the mixer while the one before it is still struck off: then that one lies.
            var (mixed, placed) = (board.Mixing.Batches.Count, board.Mixing.Batches.Count(b => b.Placed is not null));
            var inMixer = mixed > placed;
            board.Todo.ShouldAllBe(t => t.Batch == board.Plan.Zones[t.Zone - 1].LastBatch);
            board.Todo.ShouldAllBe(t => t.Begins >= plan.Batches[t.Batch - 1].Placed || t.Batch > placed);
            (board.Mixing.Lies is not null).ShouldBe(inMixer);
            (board.Mixing.By is not null).ShouldBe(placed > 0 && placed < board.Mixing.Of, $"{placed} lie");
            if (board.Mixing is { By: { } by, Lies: { } lies })
            {
                // Its joint is as old as it may be where it lies at the last moment.
                lies.ShouldBeLessThan(by);
                (by - log.OfType<JobEvent.BatchMixing>().Single(b => b.Batch == placed).At).TotalMinutes.ShouldBe(board.Mixing.JointLimitMin, 0.5);
                JobEvent[] joined = [.. log, new JobEvent.JointMade { Id = Guid.NewGuid(), At = now, Batch = placed }];
                Plans.Of(Samples.Terrace(), Mild, joined, now).Board!.Mixing.By.ShouldBeNull("a joint was made");
                whileInMixer++;
            }
            else if (board.Mixing is { By: { } begunBy, Next: { } next })
            {
                next.ShouldBeLessThan(begunBy);
                betweenTwo++;
            }
        }

        (whileInMixer > 3 && betweenTwo > 3).ShouldBeTrue($"{whileInMixer} {betweenTwo}");
    }

    [Fact]
    public void Who_is_at_a_late_pass_is_at_it_and_when_it_is_done_nothing_is_late()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        var broom = plan.Zones[^1].Passes.Single(p => p.Pass == Pass.Broom);
        var late = broom.Closes + Duration.FromMinutes(20);
        JobEvent[] log = [.. UntilThen(plan, late).Where(l => l is not (JobEvent.PassBegun { Pass: Pass.Broom } or JobEvent.PassDone { Pass: Pass.Broom }) || l is JobEvent.PassBegun b && b.Zone < plan.Zones.Count || l is JobEvent.PassDone d && d.Zone < plan.Zones.Count)];
        Readiness At(JobEvent[] told, Instant now) => Plans.Of(Samples.Terrace(), Mild, told, now).Day!.Zones[^1].Stages.Last(s => s.From <= now).Is;
        At(log, late).ShouldBe(Readiness.Late);
        var begun = new JobEvent.PassBegun { Id = Guid.NewGuid(), At = late, Zone = plan.Zones.Count, Pass = Pass.Broom };
        At([.. log, begun], late + Duration.FromMinutes(1)).ShouldBe(Readiness.InHand);
        var done = new JobEvent.PassDone { Id = Guid.NewGuid(), At = late + Duration.FromMinutes(8), Zone = plan.Zones.Count, Pass = Pass.Broom };
        JobEvent[] all = [.. log, begun, done];
        At(all, done.At + Duration.FromMinutes(1)).ShouldBe(Readiness.Finished);
        Ahead(all, done.At + Duration.FromMinutes(1)).ShouldNotContain(f => f.Says is Notice.ZonesCollide);
    }

    [Fact]
    public void Mixing_that_stands_still_is_a_joint_and_can_be_made_one()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        JobEvent[] log = [.. UntilThen(plan, plan.Batches[5].Begun).Where(l => l is JobEvent.DayBegun or JobEvent.BatchMixing or JobEvent.BatchPlaced)];
        var now = plan.Batches[5].Begun + Duration.FromHours(3);
        var found = Ahead(log, now).Single(f => f.Says is Notice.ColdJoint);
        var joint = found.Remedies.Select(r => r.Does).OfType<Mend.JointHere>().ShouldHaveSingleItem();
        JobEvent[] made = [.. log, new JobEvent.JointMade { Id = Guid.NewGuid(), At = now, Batch = joint.Batch }];
        Ahead(made, now).ShouldNotContain(f => f.Says is Notice.ColdJoint);
    }

    [Fact]
    public void Rain_on_its_way_is_told_until_the_cover_is_on()
    {
        var wet = Samples.Steady(Samples.Mild with { RainChance = 0.2, RainMm = 1 });
        var plan = Plans.Of(Samples.Terrace(), wet).Board!.Plan;
        var now = plan.Batches[3].Placed;
        var log = UntilThen(plan, now);
        Ahead(log, now, wet).Single(f => f.Says is Notice.RainBeforeSet).Remedies.ShouldContain(r => r.Does is Mend.CoverNow);
        Ahead([.. log, new JobEvent.CoverOn { Id = Guid.NewGuid(), At = now }], now, wet).ShouldNotContain(f => f.Says is Notice.RainBeforeSet);
        Ahead([.. log, new JobEvent.CoverOn { Id = Guid.NewGuid(), At = now }, new JobEvent.CoverOff { Id = Guid.NewGuid(), At = now + Duration.FromMinutes(1) }], now, wet)
            .ShouldContain(f => f.Says is Notice.RainBeforeSet);
    }

    [Fact]
    public void A_face_that_dries_is_told_until_it_is_misted_with_what_that_does()
    {
        var dry = Samples.Steady(Samples.Mild with { AirC = 32, Humidity = 0.25, WindKmh = 30, SunWm2 = 700 });
        var plan = Plans.Of(Samples.Terrace(), dry).Board!.Plan;
        var now = plan.Batches[3].Placed;
        var log = UntilThen(plan, now);
        var found = Ahead(log, now, dry).Single(f => f.Says is Notice.DriesBeforeItBleeds);
        found.Remedies.Select(r => r.Does).OfType<Mend.MistIt>().ShouldHaveSingleItem().PeakKgM2H.ShouldBeLessThan(((Notice.DriesBeforeItBleeds)found.Says).PeakKgM2H);
        Ahead([.. log, new JobEvent.Misted { Id = Guid.NewGuid(), At = now }], now, dry).ShouldNotContain(f => f.Says is Notice.DriesBeforeItBleeds);
    }

    [Fact]
    public void One_pair_of_hands_is_late_and_another_helps()
    {
        var job = Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Hands = 1 } };
        var warm = Samples.Steady(28);
        var plan = Plans.Of(job, warm).Board!.Plan;
        var now = plan.Batches[^4].Placed;
        var ahead = Plans.Of(job, warm, UntilThen(plan, now), now).Board!.Ahead;
        var found = ahead.First(f => f.Says is Notice.ZonesCollide or Notice.MixingStops);
        found.Remedies.ShouldContain(r => r.Does is Mend.AddHand);
        var more = Plans.Of(job, warm, [.. UntilThen(plan, now), new JobEvent.HandsChanged { Id = Guid.NewGuid(), At = now, Hands = 4 }], now).Board!;
        more.Hands.ShouldBe(4);
        more.Mixing.EndsAt.ShouldBeLessThanOrEqualTo(Plans.Of(job, warm, UntilThen(plan, now), now).Board!.Mixing.EndsAt);
    }

    [Fact]
    public void Who_stops_telling_is_taken_to_have_gone_on_and_a_closed_day_has_nothing_ahead()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        JobEvent[] log = [.. UntilThen(plan, plan.MixingEnds)];
        var next = Plans.Of(Samples.Terrace(), Mild, log, plan.DoneBy + Duration.FromHours(30));
        (next.Day!.DoneBy - plan.DoneBy).TotalMinutes.ShouldBe(0, 45); // not the next evening
        JobEvent[] closed = [.. log, new JobEvent.DayClosed { Id = Guid.NewGuid(), At = plan.DoneBy, Washed = true, HoldBackUsed = true, BagsLeft = 1 }];
        var board = Plans.Of(Samples.Terrace(), Mild, closed, plan.DoneBy + Duration.FromMinutes(5)).Board!;
        board.Ahead.ShouldBeEmpty();
        board.Closed!.BagsLeft.ShouldBe(1);
    }

    [Fact]
    public void A_plan_of_a_day_that_does_not_fit_the_job_any_more_is_left_aside()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        var thicker = Samples.Terrace().WithSlab(s => s with { Thickness = "150 mm" });
        var report = Plans.Of(thicker, Mild, UntilThen(plan, plan.Batches[4].Placed), plan.Batches[4].Placed);
        report.Day!.Zones[^1].LastBatch.ShouldBe(report.Load!.Batches.Count);
        report.Board!.Plan.ShouldBe(plan);
    }

    [Fact]
    public void Whatever_sound_looking_day_is_told_the_job_is_planned()
    {
        var plan = Plans.Of(Samples.Terrace(), Mild).Board!.Plan;
        Instant[] moments = [plan.Start, plan.Start, plan.MixingEnds, plan.DoneBy, plan.Start - Duration.FromHours(30), plan.DoneBy + Duration.FromDays(1), plan.Start + Duration.FromDays(3)];
        Instant[] far = [Instant.FromUtc(1990, 1, 1, 0, 0), Instant.FromUtc(2199, 12, 31, 0, 0)];
        Gen.Int[0, int.MaxValue - 1].Sample(
            seed =>
            {
                var luck = new Random(seed);
                Instant Moment() => moments[luck.Next(moments.Length)] + Duration.FromMinutes(luck.Next(0, 600));
                Instant Any() => luck.Next(12) == 0 ? far[luck.Next(2)] + Duration.FromMinutes(luck.Next(600)) : Moment();
                var count = luck.Next(3) == 0 ? luck.Next(1, 40) : plan.Batches.Count;
                var strange = new PlanOfDay
                {
                    Start = Moment(),
                    MixingEnds = Moment(),
                    DoneBy = Moment(),
                    Batches = [.. Enumerable.Range(0, count).Select(i => luck.Next(4) == 0 && i < plan.Batches.Count ? plan.Batches[i] : Moment() is var at ? new PlannedBatch(at, Instant.Max(at, Moment())) : null!)],
                    Zones =
                    [
                        .. Enumerable.Range(0, luck.Next(1, 12)).Select(_ =>
                        {
                            var (first, from) = (luck.Next(1, count + 1), luck.NextDouble() * 0.9);
                            return new PlannedZone(
                                luck.Next(8) == 0 ? luck.Next(900) : 0, first, luck.Next(first, count + 1), from, from + ((1 - from) * (0.01 + (0.99 * luck.NextDouble()))), luck.Next(2) == 0 ? Moment() : null,
                                [new PlannedPass(Pass.Broom, Moment(), Moment(), null)]);
                        }),
                    ],
                };
                var log = new List<JobEvent> { new JobEvent.DayBegun { Id = Guid.NewGuid(), At = Moment(), Plan = strange } };
                for (var i = luck.Next(0, 30); i > 0; i--)
                {
                    var (batch, zone, id, at) = (luck.Next(1, 60), luck.Next(1, 14), Guid.NewGuid(), Any());
                    log.Add(luck.Next(9) switch
                    {
                        0 => new JobEvent.BatchMixing { Id = id, At = at, Batch = batch },
                        1 => new JobEvent.BatchPlaced { Id = id, At = at, Batch = batch },
                        2 => new JobEvent.StruckOff { Id = id, At = at, Zone = zone },
                        3 => new JobEvent.SheenGone { Id = id, At = at, Zone = zone },
                        4 => new JobEvent.ThumbTest { Id = id, At = at, Zone = zone, Mark = (ThumbMark)luck.Next(5) },
                        5 => new JobEvent.PassBegun { Id = id, At = at, Zone = zone, Pass = (Pass)luck.Next(11) },
                        6 => new JobEvent.PassDone { Id = id, At = at, Zone = zone, Pass = (Pass)luck.Next(11) },
                        7 => new JobEvent.HandsChanged { Id = id, At = at, Hands = luck.Next(1, 9) },
                        _ => new JobEvent.Paused { Id = id, At = at },
                    });
                }

                if (log.Exists(l => EventLimits.WrongIn(l) is not null))
                {
                    return true; // refused where it is told
                }

                var clock = System.Diagnostics.Stopwatch.StartNew();
                var report = Plans.Of(Samples.Terrace(), Mild, log, luck.Next(2) == 0 ? Any() : null);
                ReportText.Of(report).ShouldNotBeEmpty(); // throws on NaN and infinity
                clock.Elapsed.TotalSeconds.ShouldBeLessThan(20); // has an end
                return report.Board is not null;
            },
            iter: 300);
    }

    private static IReadOnlyList<Finding> Ahead(IReadOnlyList<JobEvent> log, Instant now, HourlyWeather? weather = null) => Plans.Of(Samples.Terrace(), weather ?? Mild, log, now).Board!.Ahead;

    // Everything as planned until a moment.
    private static JobEvent[] UntilThen(PlanOfDay plan, Instant now)
    {
        var told = new List<JobEvent> { new JobEvent.DayBegun { Id = Guid.NewGuid(), At = plan.Start, Plan = plan } };
        told.AddRange(plan.Batches.SelectMany((b, i) => new JobEvent[]
        {
            new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = b.Begun, Batch = i + 1 }, new JobEvent.BatchPlaced { Id = Guid.NewGuid(), At = b.Placed, Batch = i + 1 },
        }));
        told.AddRange(plan.Zones.SelectMany((z, i) => z.Passes.Where(p => p.Begins is not null).SelectMany(p => new JobEvent[]
        {
            new JobEvent.PassBegun { Id = Guid.NewGuid(), At = p.Begins!.Value, Zone = i + 1, Pass = p.Pass }, new JobEvent.PassDone { Id = Guid.NewGuid(), At = p.Begins.Value + Duration.FromMinutes(6), Zone = i + 1, Pass = p.Pass },
        })));
        return [.. told.Where(l => l.At <= now).OrderBy(l => l.At)];
    }
}
