using System.Collections.Immutable;
using CsCheck;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>A day that re-times itself by what is seen, against days whose truth is drawn and hidden.</summary>
public sealed class RetimingTests(ITestOutputHelper output)
{
    private const int Days = 400;

    /// <summary>Of them, on so many the board's bands are looked at too.</summary>
    private const int BoardDays = 100;
    private static readonly HeatBalanceSlab Fine = new();
    private static readonly HourlyWeather Mild = Samples.Weather(Enumerable.Range(0, 24 * 6).Select(h => Samples.Mild with
    {
        AirC = 17 + (5 * Math.Cos(2 * Math.PI * (h - 15) / 24)),
        SunWm2 = Math.Max(0, 500 * Math.Sin(Math.PI * ((h % 24) - 4) / 15)),
    }));

    private static readonly PourTask Task = Planner.Plan(Samples.Terrace().WithSlab(s => s with { Finish = Core.Finishing.Finish.Steel }), Mild).Pour!.Load.Task!;
    private static readonly Member Plain = new(Mild, 1, 1) { ZoneFactors = [1] };
    private static readonly DayPlan Planned = DayPlanner.Plan(Task, Mild, new Remarks());

    [Fact]
    public void A_sign_lowers_the_error_of_later_windows_here_and_elsewhere_and_bands_stay_honest()
    {
        var errors = new Dictionary<(bool Own, int Signs), List<(double Before, double After)>>();
        var (held, all) = (0, 0);
        for (var day = 0; day < Days; day++)
        {
            var luck = new Random(900 + day);
            var hidden = HiddenDay.Draw(Task, Mild, day, Planned.Zones.Length);
            var (made, truth) = Day(hidden);
            var course = hidden.Went(DayFacts.Of(Told.Of(made), made[^1].At)!, Planned.Planned);
            var seen = luck.Next(Planned.Zones.Length - 2);
            JobEvent[] thumbs = [Thumb(course, seen, luck), Thumb(course, seen + 1, luck), Thumb(course, seen + 2, luck)];
            foreach (var signs in new[] { 1, 3 })
            {
                var now = thumbs[signs - 1].At;
                // By the concrete alone: what the sign says of it.
                var clock = At(now, [.. Placed(), .. thumbs[..signs]]).Retimed!.Likeliest(Mild);
                var facts = DayFacts.Of(Told.Of(Placed()), now)!;
                HiddenDay.Course Reckoned(Member by) => HiddenDay.Of(Task, by).Went(facts, Planned.Planned);
                var (was, says, really) = (Reckoned(Plain), Reckoned(clock), hidden.Went(facts, Planned.Planned));
                // And as the board tells it, with what was done by then.
                var board = day >= BoardDays ? null : At(now, [.. made.Where(e => e.At <= now), .. thumbs[..signs]]);
                for (var z = 0; z < Planned.Zones.Length; z++)
                {
                    foreach (var rule in Planned.Pour.Zones[z].Rules.Where(r => r.PaceM2H > 0 && !r.WaitsForSheen))
                    {
                        var ((opens, closes), (opened, closed), (right, over)) = (was.Window(z, rule)!.Value, says.Window(z, rule)!.Value, really.Window(z, rule)!.Value);
                        var of = errors.TryGetValue((z == seen, signs), out var known) ? known : errors[(z == seen, signs)] = [];
                        of.AddRange(new[] { (right, opens, opened), (over, closes, closed) }.Where(w => w.Item1 > now)
                            .Select(w => (Math.Abs((w.Item2 - w.Item1).TotalMinutes), Math.Abs((w.Item3 - w.Item1).TotalMinutes))));
                    }

                    foreach (var pass in (board?.Zones[z].Passes ?? []).Where(p => p.Done is null && p.Begun is null))
                    {
                        var right = truth[z][pass.Pass];
                        Count(right.Opens, pass.OpensEarliest, pass.OpensLatest);
                        Count(right.Closes, pass.ClosesEarliest, pass.ClosesLatest);
                    }

                    void Count(Instant right, Instant early, Instant late)
                    {
                        if (right > now)
                        {
                            (held, all) = (held + (right >= early && right <= late ? 1 : 0), all + 1);
                        }
                    }
                }
            }
        }

        double Lower(bool own, int signs) => 1 - (Median(errors[(own, signs)].Select(e => e.After)) / Median(errors[(own, signs)].Select(e => e.Before)));
        foreach (var (which, of) in errors.OrderBy(e => e.Key))
        {
            output.WriteLine(FormattableString.Invariant(
                $"{(which.Own ? "its own zone" : "other zones")}, {which.Signs} seen: {of.Count} windows of {Days} days, median error {Median(of.Select(e => e.Before)):0.0} -> {Median(of.Select(e => e.After)):0.0} min, lower by {Lower(which.Own, which.Signs):P0}"));
        }

        output.WriteLine(FormattableString.Invariant($"their bands hold {100.0 * held / all:0.0} % of {all}"));
        Lower(own: true, 1).ShouldBeGreaterThan(0.30);
        Lower(own: false, 1).ShouldBeGreaterThan(0.20);
        Lower(own: true, 3).ShouldBeGreaterThan(0.45);
        Lower(own: false, 3).ShouldBeGreaterThan(0.30);
        (100.0 * held / all).ShouldBeInRange(75, 85);
    }

    [Fact]
    public void Who_goes_by_the_slab_spoils_nothing_and_who_goes_by_the_clock_does_and_a_blister_comes_only_of_shutting_a_bleeding_face()
    {
        const int days = 100;
        var task = Planner.Plan(Samples.Terrace(), Mild).Pour!.Load.Task!;
        var planned = DayPlanner.Plan(task, Mild, new Remarks());
        var (perfect, byClock, kinds) = (0, 0, new SortedDictionary<FinishFault, int>());
        for (var day = 0; day < days; day++)
        {
            var hidden = HiddenDay.Draw(task, Mild, 5_000 + day, planned.Zones.Length);
            JobEvent[] made = [.. Placed(planned), .. BySlab(hidden, planned)];
            perfect += hidden.Went(DayFacts.Of(Told.Of(made), made[^1].At)!, planned.Planned).Faults().IsEmpty ? 1 : 0;
            JobEvent[] clock = [.. Placed(planned), .. planned.Zones.SelectMany(z => z.Passes.Where(p => p.Begins is not null).Select(p => Begun(p.Begins!.Value, z.Number, p.Pass)))];
            var course = hidden.Went(DayFacts.Of(Told.Of(clock), clock.Max(e => e.At))!, planned.Planned);
            var faults = course.Faults();
            byClock += faults.IsEmpty ? 1 : 0;
            foreach (var fault in faults)
            {
                kinds[fault.Fault] = kinds.GetValueOrDefault(fault.Fault) + 1;
                fault.Amount.ShouldBeGreaterThan(0);
                var seen = course.Seen(fault.Zone - 1, fault.At);
                // What is said to have been shown is what the slab shows.
                (fault.Fault == FinishFault.WorkedInWater).ShouldBe(fault.Sign is null);
                fault.Sign.ShouldBe(fault.Sign is null ? null : seen.Thumb);
                if (fault.Fault == FinishFault.ShutOverBleeding)
                {
                    course.BleedsKgM2H(fault.Zone - 1, fault.At).ShouldBeGreaterThan(Bleeding.LittleKgM2H);
                }
            }
        }

        output.WriteLine($"of {days} days without a fault: by the slab {perfect}, by the clock alone {byClock} ({string.Join(", ", kinds.Select(k => $"{k.Key} {k.Value}"))})");
        perfect.ShouldBeGreaterThanOrEqualTo(95);
        byClock.ShouldBeLessThan(perfect - 20);
    }

    [Fact]
    public void The_same_seed_is_the_same_day_and_another_is_another()
    {
        HiddenDay.Draw(Task, Mild, 7, 4).Truth.ZoneFactors.ShouldBe(HiddenDay.Draw(Task, Mild, 7, 4).Truth.ZoneFactors);
        HiddenDay.Draw(Task, Mild, 7, 4).Truth.SetFactor.ShouldNotBe(HiddenDay.Draw(Task, Mild, 8, 4).Truth.SetFactor);
    }

    [Fact]
    public void In_whatever_order_a_day_is_told_it_ends_the_same()
    {
        var (made, _) = Day(HiddenDay.Draw(Task, Mild, 3, Planned.Zones.Length));
        JobEvent[] day = [.. made.Where((_, i) => i % 3 != 0 || i < 4), Sign(made[40].At, 1, ThumbMark.SixMm), Sign(made[50].At, 2, ThumbMark.NoLightPrint), Gone(made[30].At, 1)];
        var told = Text(At(made[60].At, day));
        Gen.Shuffle(day).Sample(shuffled => Text(At(made[60].At, shuffled)) == told, iter: 12);
    }

    [Fact]
    public void Passes_within_their_windows_as_told_never_move_the_clock() => Gen.Select(Gen.Int[0, 2], Gen.Int[-30, 60], Gen.Enum<ThumbMark>(), Gen.Double[0.02, 0.98]).Sample((zone, minutes, mark, share) =>
    {
        JobEvent[] log = [.. Placed(), Sign(Planned.Zones[zone].Passes.First(p => p.Pass == Pass.SecondFloat).Opens + Duration.FromMinutes(minutes), zone + 1, mark)];
        var board = At(log[^1].At, log);
        var set = board.Retimed!.Set;
        // One pass after another, zone by zone, somewhere in its window.
        foreach (var pass in new[] { Pass.EdgeAndFloat, Pass.SecondFloat, Pass.FirstTrowel })
        {
            var window = board.Zones[zone].Passes.First(p => p.Pass == pass);
            var at = window.Opens + ((window.Closes - window.Opens) * share);
            log = [.. log, Begun(at, zone + 1, pass), new JobEvent.PassDone { Id = Guid.NewGuid(), At = at + Duration.FromMinutes(5), Zone = zone + 1, Pass = pass }];
            board = At(log.Max(l => l.At), log);
        }

        return board.Retimed!.Set.Zones.Zip(set.Zones, (a, b) => Math.Abs(a.Mean - b.Mean)).Max() < 0.002;
    }, iter: 40);

    [Fact]
    public void A_pass_far_outside_its_window_reads_as_the_nearer_edge()
    {
        var broom = Planned.Zones[0].Passes.First(p => p.Pass == Pass.FirstTrowel);
        SetBelief After(Instant at) => At(at, [.. Placed(), Begun(at, 1, Pass.FirstTrowel)]).Retimed!.Set;
        After(broom.Opens - Duration.FromMinutes(50)).Zones[0].Mean.ShouldBeLessThan(-0.01);
        After(broom.Opens + Duration.FromMinutes(5)).Zones[0].Mean.ShouldBe(0, 0.001);
        After(broom.Closes + Duration.FromMinutes(60)).Zones[0].Mean.ShouldBeGreaterThan(0.01);
    }

    [Fact]
    public void A_sheen_that_was_seen_gone_opens_the_first_float_there_and_tells_of_the_others()
    {
        var first = Planned.Zones[0].Passes.First(p => p.Pass == Pass.EdgeAndFloat);
        var late = first.Opens + Duration.FromMinutes(25);
        JobEvent[] placed = [.. Placed().Where(e => e.At <= late)];
        var (before, after) = (At(late, placed), At(late, [.. placed, Gone(late, 1)]));
        (after.Zones[0].Passes.First(p => p.Pass == Pass.EdgeAndFloat).Opens - late).TotalMinutes.ShouldBe(0, 1);
        after.Zones[2].Passes.First(p => p.Pass == Pass.EdgeAndFloat).Opens.ShouldBeGreaterThan(before.Zones[2].Passes.First(p => p.Pass == Pass.EdgeAndFloat).Opens + Duration.FromMinutes(5));
        after.Retimed!.Set.Common.Mean.ShouldBe(0); // it says nothing of the set
        after.LastChange!.Sign.ShouldBeOfType<JobEvent.SheenGone>();
        after.LastChange.Moved.ShouldContain(m => m.Zone == 1 && m.Pass == Pass.EdgeAndFloat && m.After.Opens > m.Before.Opens);
    }

    [Fact]
    public void A_withdrawn_sign_leaves_nothing_behind()
    {
        JobEvent[] placed = [.. Placed()];
        var sign = Sign(Planned.Zones[1].Passes.First(p => p.Pass == Pass.SecondFloat).Opens, 2, ThumbMark.ThreeMm);
        var back = new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = sign.At + Duration.FromMinutes(1), Line = sign.Id };
        At(sign.At, [.. placed, sign]).Retimed!.Set.Common.Mean.ShouldNotBe(0);
        Text(At(sign.At, [.. placed, sign, back])).ShouldBe(Text(At(sign.At, placed)));
    }

    [Fact]
    public void Mixing_that_is_slow_moves_what_comes_after_and_the_plan_of_the_day_stands()
    {
        // Five rounds at one and a half times their time.
        var planned = Planned.Planned;
        JobEvent[] log =
        [
            .. Placed().Take(1),
            .. Enumerable.Range(0, 6).Select(i => (JobEvent)new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = planned.Start + ((planned.Batches[i].Begun - planned.Start) * 1.5), Batch = i + 1 }),
        ];
        var board = At(log[^1].At, log);
        board.Retimed!.SoFar.PaceFactor.ShouldBeInRange(1.15, 1.5);
        board.Schedule.MixingEnds.ShouldBeGreaterThan(planned.MixingEnds + Duration.FromMinutes(40));
        board.Planned.ShouldBe(planned);
        board.Zones.Length.ShouldBe(Planned.Zones.Length); // numbered as they were, whatever the pace
        board.Zones.Select(z => (z.FirstBatch, z.LastBatch)).ShouldBe(Planned.Zones.Select(z => (z.FirstBatch, z.LastBatch)));
    }

    private static double Median(IEnumerable<double> of)
    {
        var sorted = of.Order().ToArray();
        return Members.Quantile(sorted, 0.5);
    }

    private static DayPlan At(Instant now, params JobEvent[] log) => DayPlanner.Plan(Task, Mild, new Remarks(), DayFacts.Of(Told.Of(log), now));

    private static IEnumerable<JobEvent> Placed(DayPlan? of = null)
    {
        var plan = (of ?? Planned).Planned;
        yield return new JobEvent.DayBegun { Id = Guid.NewGuid(), At = plan.Start, Plan = plan };
        foreach (var (batch, i) in plan.Batches.Select((b, i) => (b, i)))
        {
            yield return new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = batch.Begun, Batch = i + 1 };
            yield return new JobEvent.BatchPlaced { Id = Guid.NewGuid(), At = batch.Placed, Batch = i + 1 };
        }
    }

    private static JobEvent.ThumbTest Sign(Instant at, int zone, ThumbMark mark) => new() { Id = Guid.NewGuid(), At = at, Zone = zone, Mark = mark };

    private static JobEvent.SheenGone Gone(Instant at, int zone) => new() { Id = Guid.NewGuid(), At = at, Zone = zone };

    private static JobEvent.PassBegun Begun(Instant at, int zone, Pass pass) => new() { Id = Guid.NewGuid(), At = at, Zone = zone, Pass = pass };

    private static string Text(DayPlan plan) => string.Join('\n', plan.Zones.SelectMany(z => z.Passes.Select(p => $"{z.Number} {p}"))) + plan.Retimed!.Set.Common;

    // A thumb that goes in 3 mm, give or take.
    private static JobEvent.ThumbTest Thumb(HiddenDay.Course course, int zone, Random luck)
    {
        var off = 0.08 * Math.Sqrt(-2 * Math.Log(1 - luck.NextDouble())) * Math.Cos(2 * Math.PI * luck.NextDouble());
        return new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = course.When(zone, 0.60 + off)!.Value, Zone = zone + 1, Mark = ThumbMark.ThreeMm };
    }

    // Two people who look at the slab every minute: whichever pass is open there and closes first is made by whoever is free.
    private static IEnumerable<JobEvent> BySlab(HiddenDay hidden, DayPlan planned)
    {
        JobEvent[] placed = [.. Placed(planned)];
        var course = hidden.Went(DayFacts.Of(Told.Of(placed), placed[^1].At)!, planned.Planned);
        var free = new[] { planned.Start, planned.Planned.MixingEnds }; // one stays at the mixer
        var next = planned.Pour.Zones.Select(z => new Queue<Core.Finishing.PassRule>(z.Rules.Where(r => r.PaceM2H > 0))).ToArray();
        var rested = planned.Pour.Zones.Select(_ => planned.Start).ToArray();
        for (var now = planned.Start; now < planned.Start + Duration.FromHours(20); now += Duration.FromMinutes(1))
        {
            for (var hand = 0; hand < free.Length; hand++)
            {
                var open = next.Select((q, z) => (Zone: z, Rule: q.Count > 0 ? q.Peek() : null)).Where(n => n.Rule is not null && rested[n.Zone] <= now)
                    .Select(n => (n.Zone, n.Rule, Window: course.Window(n.Zone, n.Rule!)!.Value)).Where(n => n.Window.Opens <= now).OrderBy(n => n.Window.Closes).ToArray();
                if (free[hand] <= now && open is [var first, ..])
                {
                    next[first.Zone].Dequeue();
                    free[hand] = now + Duration.FromHours(planned.Pour.Zones[first.Zone].AreaM2 / first.Rule!.PaceM2H);
                    rested[first.Zone] = free[hand] + Duration.FromMinutes(15);
                    yield return Begun(now, first.Zone + 1, first.Rule.Pass);
                }
            }
        }
    }

    // Batches as planned; each pass when the concrete lets it be made and hands are free: what was done, and the true windows.
    private static (JobEvent[] Made, Dictionary<Pass, (Instant Opens, Instant Closes)>[] Windows) Day(HiddenDay hidden)
    {
        JobEvent[] placed = [.. Placed()];
        var plan = At(placed[^1].At, placed);
        var paths = new DaySimulation(plan.Pour, Fine, Closeness.Ends, progress: new DayProgress(DayFacts.Of(Told.Of(placed[..1]), placed[0].At)!, plan.Pour, plan.Start));
        paths.Run(hidden.Truth, plan.Start);
        Instant Moment(double hours) => plan.Start + Duration.FromHours(hours);
        var made = new List<JobEvent>(placed);
        foreach (var work in paths.Tasks)
        {
            var pass = plan.Pour.Zones[work.Zone].Rules[work.Pass].Pass;
            made.Add(Begun(Moment(work.BeginsH), work.Zone + 1, pass));
            made.Add(new JobEvent.PassDone { Id = Guid.NewGuid(), At = Moment(work.EndsH), Zone = work.Zone + 1, Pass = pass });
        }

        return ([.. made.OrderBy(e => e.At)], [.. plan.Pour.Zones.Select((zone, z) => zone.Rules.Select((r, p) => (r.Pass, Span: paths.Spans[paths.FirstSpanOf(z) + p]))
            .Where(s => s.Span.IsReached).ToDictionary(s => s.Pass, s => (Moment(s.Span.OpensH), Moment(s.Span.ClosesH))))]);
    }
}
