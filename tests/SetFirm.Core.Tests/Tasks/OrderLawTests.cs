using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mending;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Shapes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>What must hold of the order of work of any job: the list is made of the plan, and never says what the plan contradicts.</summary>
public sealed class OrderLawTests
{
    private static readonly string[] Bags = ["general-25kg", "fast-80lb", "rapid-60lb"];

    private static readonly (MixerKind Kind, string Size)[] Mixers = [.. Enum.GetValues<MixerKind>().Select(k => (k, k == MixerKind.DrillBucket ? "25 L" : k is MixerKind.Barrow or MixerKind.Tub ? "80 L" : "140 L"))];

    private static readonly HourlyWeather[] Weathers =
    [
        Samples.Steady(18), Samples.Steady(29, 0.35, 22), Samples.Steady(8), Samples.Steady(4, 0.9, 3), Samples.Steady(23, 0.85, 5), Samples.Steady(13, 0.5, 30),
    ];

    /// <summary>Each comes after what stands before it, as far as a job has both.</summary>
    private static readonly WorkTask[][] Chains =
    [
        [WorkTask.Pour, WorkTask.FinishPasses, WorkTask.CoverIt, WorkTask.KeepWet],
        [WorkTask.Pour, WorkTask.StripForms, WorkTask.PatchHoles, WorkTask.GrindFace, WorkTask.SetInPlace, WorkTask.FirstLoad],
        [WorkTask.Pour, WorkTask.Demould, WorkTask.SoftenCorners, WorkTask.SetInPlace, WorkTask.FirstLoad],
        [WorkTask.StripForms, WorkTask.RubFace], [WorkTask.StripForms, WorkTask.BackfillSides], [WorkTask.FirstWalk, WorkTask.FirstLoad], [WorkTask.GrindFace, WorkTask.Coat, WorkTask.SetInPlace],
        [WorkTask.RoughenBase, WorkTask.CoverIt], [WorkTask.Pour, WorkTask.WashFace, WorkTask.CoverIt],
    ];

    public static TheoryData<int> Indexes => [.. Enumerable.Range(0, Kinds.All().Count)];

    /// <summary>Every finish of a kind, and along with it every mixer, number of hands, mix, cure and weather, in turns of different length so that they meet in many ways.</summary>
    private static IEnumerable<JobDocument> Jobs(int index)
    {
        var finishes = Enum.GetValues<Finish>();
        var methods = Enum.GetValues<CuringMethod>();
        for (var i = 0; i < 4 * finishes.Length; i++)
        {
            var element = Kinds.All()[index] with { Finish = finishes[i % finishes.Length], Id = "it" };
            var job = Kinds.Job(element);
            var (kind, size) = Mixers[i % Mixers.Length];
            yield return job with
            {
                Mix = (i % 8) switch
                {
                    3 => Samples.OneTwoThree() with { Id = job.Mix.Id },
                    7 => Samples.Ready() with { Id = job.Mix.Id },
                    _ => ((BaggedMixDocument)job.Mix) with { Bag = Bags[i % Bags.Length] },
                },
                Mixing = job.Mixing with { Hands = 1 + (i % 3), Mixer = job.Mixing.Mixer with { Kind = kind, Size = size } },
                Cure = job.Cure with { Method = methods[i % methods.Length] },
                Day = job.Day with { WorkDays = (WorkDays)(i % 4) },
            };
        }
    }

    /// <summary>Those of which a day is known: most of them, or the laws would hold of nothing.</summary>
    private static JobPlan[] Plans(int index)
    {
        JobPlan[] plans = [.. Every(index).Where(p => p.Pour?.Day is not null)];
        plans.Length.ShouldBeGreaterThan(Enum.GetValues<Finish>().Length);
        return plans;
    }

    private static IEnumerable<JobPlan> Every(int index) => Jobs(index).SelectMany((job, i) =>
    {
        var plan = Planner.Plan(job, Weathers[i % Weathers.Length]);
        // The last pour of many, and one between, as well as the first.
        return plan.Pours.Length < 2 ? [plan] : new[] { 0, plan.Pours.Length / 2, plan.Pours.Length - 1 }.Distinct().Select(n => Planner.Plan(job, Weathers[i % Weathers.Length], pour: plan.Pours[n].Sketch.Id));
    });

    /// <summary>All of them of each plan: it is planned once.</summary>
    [Theory]
    [MemberData(nameof(Indexes))]
    public void Of_each_kind_however_it_is_made_the_laws_of_the_order_of_work_hold(int index)
    {
        foreach (var plan in Plans(index))
        {
            Nothing_is_done_before_what_it_follows_and_never_by_more_hands_than_there_are(plan);
            Whoever_works_when_nobody_begins_any_more_is_asked_by_the_concrete_and_told(plan);
            A_task_stands_there_where_the_job_does_the_thing_and_only_there(plan);
            Every_moment_of_a_thing_is_the_same_wherever_it_is_told(plan);
        }
    }

    private static void Whoever_works_when_nobody_begins_any_more_is_asked_by_the_concrete_and_told(JobPlan plan)
    {
        var asks = plan.Pour!.Day!.Zones.SelectMany(z => z.Passes).Any(p => p.Begins is { } at && !plan.Curing!.Works.Holds(at));
        plan.Findings.Any(f => f.Says is Notice.PassAfterHours or Notice.OutsideWorkingHours).ShouldBe(asks, $"{plan.Said.Elements[0].Finish}, {plan.Said.Cure.Method}, pour {plan.Pour.Load.Number}");
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Nothing_is_done_before_what_it_follows_where_two_kinds_are_poured_together_or_apart(int index)
    {
        var all = Kinds.All();
        for (var i = 0; i < Weathers.Length; i++)
        {
            var (one, next) = (all[index] with { Id = "one" }, all[(index + 1 + (3 * i)) % all.Count] with { Id = "next", Finish = (Finish)(i % Enum.GetValues<Finish>().Length) });
            var job = Kinds.Job(one, next);
            var plan = Planner.Plan(job with { Mixing = job.Mixing with { Hands = 1 + (i % 3) }, Cure = job.Cure with { Method = (CuringMethod)(i % Enum.GetValues<CuringMethod>().Length) } }, Weathers[i]);
            foreach (var pour in Planner.Pours(plan, Weathers[i]).Where(p => p.Day is not null))
            {
                Nothing_is_done_before_what_it_follows_and_never_by_more_hands_than_there_are(plan with { Pour = pour });
            }
        }
    }

    // Each thing by itself, with what is done for all of the job.
    private static void Nothing_is_done_before_what_it_follows_and_never_by_more_hands_than_there_are(JobPlan plan)
    {
        var tasks = JobTasks.Of(plan, Told.Nothing);
        var what = $"{plan.Said.Elements[0].Finish}, {plan.Said.Mixing.Mixer.Kind}, {plan.Said.Cure.Method}, pour {plan.Pour!.Load.Number} of {plan.Pours.Length}";
        foreach (var subject in tasks.Select(t => t.Element).Distinct())
        {
            foreach (var chain in Chains)
            {
                // What is done once is none of the business of what never has it done.
                var own = subject is { } index ? WorkOrders.Of(plan.Elements!.Value[index].Traits.Work) : [.. chain];
                JobTask[] here = [.. chain.Where(own.Contains).Select(t => tasks.FirstOrDefault(o => o.Task == t && (o.Element is null || o.Element == subject))).OfType<JobTask>().Where(t => t.From is not null)];
                foreach (var (before, after) in here.Zip(here.Skip(1)))
                {
                    after.From!.Value.ShouldBeGreaterThanOrEqualTo(before.From!.Value, $"{after.Key} before {before.Key}: {what}");
                    (after.At ?? after.From)!.Value.ShouldBeGreaterThanOrEqualTo((before.At ?? before.From)!.Value, $"{after.Key} before {before.Key}: {what}");
                }
            }
        }

        tasks.ShouldAllBe(t => t.People >= 1 && t.People <= plan.Pour.Load.Load!.Crew.Hands);
        foreach (var task in tasks.Where(t => t.Traits.Phase == TaskPhase.After && t.By is null && t.At is not null))
        {
            plan.Curing!.Works.Holds(task.At!.Value).ShouldBeTrue($"{task.Key} at {task.At}, when nobody works: {what}");
        }

        // Where concrete lies it is struck off, floated and finished in turn, and covered after the last pass.
        var day = plan.Pour.Day!;
        foreach (var zone in day.Zones)
        {
            PassPlan[] inTurn = [.. zone.Passes.OrderBy(p => p.Opens)];
            // The screed follows the batches; the rest waits until all of the zone lies.
            var first = day.Schedule.Batches.Single(b => b.Number == zone.FirstBatch).Placed;
            inTurn.ShouldAllBe(p => p.Opens >= (p.Pass == Pass.StrikeOff ? first : zone.Placed) && p.Closes >= p.Opens, what);
            inTurn.Where(p => p.Pass != Pass.StripAndRub).Select(p => p.Pass).ShouldBeInOrder(SortDirection.Ascending, what);
            inTurn.Where(p => p.Pass != Pass.SawJoints).ShouldAllBe(p => p.Begins == null || p.Begins <= day.CoverFrom, what);
        }
    }

    private static void A_task_stands_there_where_the_job_does_the_thing_and_only_there(JobPlan plan)
    {
        var (element, day) = (plan.Elements!.Value[0], plan.Pour!.Day!);
        var tasks = JobTasks.Of(plan, Told.Nothing);
        var passes = day.Zones.SelectMany(z => z.Passes).Select(p => p.Pass).ToHashSet();
        bool Has(WorkTask task) => tasks.Any(t => t.Task == task);
        var what = $"{element.Finish}, {plan.Said.Mixing.Mixer.Kind}, {plan.Said.Cure.Method}, pour {plan.Pour.Load.Number} of {plan.Pours.Length}";
        var boards = element.Build!.Forms is { } forms && forms.Boards.Boards.Sum(b => b.CutM) + forms.Boards.Bends.Sum(b => b.CutM) > 0;
        var mould = element.Build.Mould is not null;
        WorkTask[] ofForms = [WorkTask.SetForms, WorkTask.TapeScrews, WorkTask.OilForms, WorkTask.StripForms, WorkTask.CheckSquare];
        (boards || mould || !ofForms.Any(Has)).ShouldBeTrue($"nothing is formed: {what}");
        Has(WorkTask.CutStakes).ShouldBe(WorkOrders.Of(element.Traits.Work).Contains(WorkTask.CutStakes) && element.Build.Forms is { StakeCount: > 0 }, what);
        Has(WorkTask.FinishPasses).ShouldBe(WorkOrders.Of(element.Traits.Work).Contains(WorkTask.FinishPasses) && passes.Any(p => p != Pass.StrikeOff), what);
        Has(WorkTask.WashFace).ShouldBe(plan.Pour.Load.Sketch.Parts.Any(p => p.Course == Course.Slurry), what);
        Has(WorkTask.SetPebbles).ShouldBe(plan.Pour.Load.Sketch.Parts.Any(p => p.Course == Course.Bed), what);
        Has(WorkTask.RoughenBase).ShouldBe(plan.Pour.Load.Sketch.Parts.Any(p => p.Course == Course.Base), what);
        (Has(WorkTask.KeepWet) && !Wetting.WantsWater(plan.Said.Cure.Method)).ShouldBeFalse($"it keeps its own water: {what}");
        // Of what lies under another course nothing is stripped, walked on or loaded.
        var under = plan.Pour.Load.Sketch.Parts[0].Course is not null && plan.Pour.Load.Number < plan.Pours.Length;
        (under && tasks.Any(t => t.Task is WorkTask.StripForms or WorkTask.FirstWalk or WorkTask.FirstLoad or WorkTask.PatchHoles or WorkTask.BackfillSides)).ShouldBeFalse(what);
        foreach (var gear in tasks.SelectMany(t => t.Gear))
        {
            var wanted = gear switch
            {
                Gear.Broom => passes.Contains(Pass.Broom) || Has(WorkTask.RoughenBase) || Has(WorkTask.BondCoat),
                Gear.Edger or Gear.MarginTrowel => passes.Contains(Pass.EdgeAndFloat),
                Gear.BullFloat => passes.Contains(Pass.BullFloat) && !element.Traits.Narrow,
                Gear.Mixer => plan.Pour.Load.Load!.Place.Mixer.By == MixedBy.Machine,
                Gear.Paddle => plan.Pour.Load.Load!.Place.Mixer.By == MixedBy.Drill,
                Gear.Hoe or Gear.Tub => plan.Pour.Load.Load!.Place.Mixer.By == MixedBy.Hoe,
                Gear.Groover => element.Joints.Lines.Any(l => l.Method == Core.Joints.JointMethod.Tooled),
                _ => true,
            };
            wanted.ShouldBeTrue($"{gear}: {what}");
        }

        // Plastic is laid where it lies under, what goes onto hard concrete is bonded, and a rubbed face is rubbed again while it can be.
        Has(WorkTask.LayPlastic).ShouldBe(WorkOrders.Of(element.Traits.Work).Contains(WorkTask.LayPlastic) && plan.Said.Build.Plastic && element.Build.Dig is not null, what);
        var onHard = element.Traits.Work == WorkKind.Overlay || (plan.Pour.Load.Sketch.Parts.Any(p => p.Course == Course.Topping) && plan.Pours[0].Sketch.Date != plan.Pour.Load.Sketch.Date);
        Has(WorkTask.BondCoat).ShouldBe(onHard, what);
        Has(WorkTask.BondCoat).ShouldBe(plan.Buy!.Lines.Any(l => l.Good.Kind == GoodKind.BondCoat) && onHard, what);
        if (tasks.FirstOrDefault(t => t.Task == WorkTask.RubFace) is { From: { } rubs, By: { } hard } rub)
        {
            Instant[] each = [.. rub.Parts.OfType<TaskPart.RubOnce>().Select(p => p.At)];
            each[0].ShouldBe(rubs, what);
            each.ShouldAllBe(at => at >= rubs && at <= hard);
            each.Zip(each.Skip(1)).ShouldAllBe(p => p.Second - p.First == Duration.FromMinutes(40));
        }

        // A joint made by hand says how deep, before the groover is bought.
        var grooved = tasks.Where(t => t.Gear.Contains(Gear.Groover)).SelectMany(t => t.Numbers).Where(n => n.Figure == TaskFigure.GrooveMm).ToArray();
        (grooved.Length > 0).ShouldBe(tasks.Any(t => t.Gear.Contains(Gear.Groover)), what);
        (passes.Contains(Pass.Broom) && !tasks.Any(t => t.Gear.Contains(Gear.Broom))).ShouldBeFalse(what);
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void What_each_pour_is_told_to_do_comes_to_the_whole_job(int index)
    {
        var job = Kinds.Job(Kinds.All()[index] with { Id = "it" });
        var plan = Planner.Plan(job, Weathers[0]);
        var element = plan.Elements!.Value[0];
        JobPlan[] each = [.. plan.Pours.Select(p => Planner.Plan(job, Weathers[0], pour: p.Sketch.Id))];
        double Sum(WorkTask task, TaskFigure figure) => each.Sum(p => JobTasks.Of(p, Told.Nothing).Where(t => t.Task == task).SelectMany(t => t.Numbers).Where(n => n.Figure == figure).Sum(n => n.Value));
        if (element.Traits.InMould)
        {
            Sum(WorkTask.Demould, TaskFigure.Pieces).ShouldBe(element.Cast.Count);
            Sum(WorkTask.SetInPlace, TaskFigure.Pieces).ShouldBe(element.Cast.Count);
            Sum(WorkTask.SetSteel, TaskFigure.BarsM).ShouldBe(element.Build!.Steel.BarM, 1e-6);
        }

        var boards = (element.Build!.Forms?.Boards.Boards.Sum(b => b.CutM) ?? 0) + (element.Build.Forms?.Boards.Bends.Sum(b => b.CutM) ?? 0);
        Sum(WorkTask.StripForms, TaskFigure.BoardsM).ShouldBe(WorkOrders.Of(element.Traits.Work).Contains(WorkTask.StripForms) ? boards : 0, 1e-6);
        Sum(WorkTask.Pour, TaskFigure.VolumeL).ShouldBe(plan.Pours.Sum(p => p.Sketch.Litres), 1e-6);
    }

    /// <summary>What is bought is what the items of the order of work use up, no more and no less: those of every pour, and once those that are done once.</summary>
    private static void IsBoughtByItsItems(JobDocument job, HourlyWeather weather)
    {
        var plan = Planner.Plan(job, weather);
        var (used, once) = (new Dictionary<string, double>(), new HashSet<string>());
        foreach (var pour in Planner.Pours(plan, weather))
        {
            foreach (var task in JobTasks.Of(plan with { Pour = pour }, Told.Nothing).Where(t => t.OfThisPour || once.Add(t.Key)))
            {
                foreach (var (good, amount) in task.Goods)
                {
                    used[good.Id] = used.GetValueOrDefault(good.Id) + amount;
                }
            }
        }

        var what = $"{string.Join(" and ", plan.Elements!.Value.Select(e => $"{e.Traits.Work} {e.Finish}"))}, {job.Mixing.Mixer.Kind}, {job.Cure.Method}, {plan.Pours.Length} pours";
        used.Keys.Order().ShouldBe(plan.Buy!.Lines.Select(l => l.Good.Id).Order(), what);
        foreach (var line in plan.Buy.Lines)
        {
            used[line.Good.Id].ShouldBe(line.Used, 1e-9 * Math.Max(1, line.Used), $"{line.Good.Id}: {what}");
        }
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void What_is_bought_is_the_sum_of_what_its_items_use_up(int index)
    {
        var coats = CoatCatalogue.All;
        foreach (var (job, i) in Jobs(index).Select((j, i) => (j, i)))
        {
            var element = job.Elements[0];
            var walled = element is OutlinedDocument outlined && i % 3 == 1 ? outlined with { Edges = [new EdgeDocument { Meets = Meets.Wall }] } : element;
            var said = job with
            {
                Elements = [walled],
                Build = job.Build with { Plastic = i % 2 == 0, Base = i % 5 == 0 ? "100 mm" : job.Build.Base },
                Cure = job.Cure with { Coats = i % 4 == 1 ? [coats[i % coats.Length]] : [] },
            };
            // Where a wall stands across what is to be turned over, it cannot be.
            IsBoughtByItsItems(Planner.Plan(said, Weathers[0]).Buy is null ? said with { Elements = [element] } : said, Weathers[0]);
        }
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Of_two_things_poured_together_or_apart_too(int index)
    {
        var all = Kinds.All();
        var (one, next) = (all[index] with { Id = "one" }, all[(index + 1) % all.Count] with { Id = "next" });
        IsBoughtByItsItems(Kinds.Job(one, next), Weathers[0]);
        IsBoughtByItsItems(Kinds.Job(next, Kinds.Slab(Kinds.Rectangle("9 m", "6 m")) with { Id = "panels" }, one), Weathers[1]);
    }

    /// <summary>What is held in the hand is what the items of all pours want, whichever of them is looked at.</summary>
    [Theory]
    [MemberData(nameof(Indexes))]
    public void Gear_is_that_of_the_items_of_every_pour_whichever_is_looked_at(int index)
    {
        var all = Kinds.All();
        var (one, next) = (all[index] with { Id = "one" }, all[(index + 5) % all.Count] with { Id = "next", Finish = Finish.Steel });
        var job = Kinds.Job(one, next, Kinds.Stones() with { Id = "stones" });
        job = job with { Buy = job.Buy with { Gear = [.. Enum.GetValues<Gear>().Select(g => new GearDocument { Gear = g, From = GearSource.Hire, Price = 10 })] } };
        var plan = Planner.Plan(job, Weathers[0]);
        JobTask[] items = [.. Planner.Pours(plan, Weathers[0]).SelectMany(p => JobTasks.Of(plan with { Pour = p }, Told.Nothing))];
        plan.Gear.Select(g => g.Gear).ShouldBe(items.SelectMany(t => t.Gear).Distinct().Order());
        foreach (var line in plan.Gear)
        {
            line.For.Order().ShouldBe(items.Where(t => t.Gear.Contains(line.Gear)).Select(t => t.Task).Distinct().Order(), $"{line.Gear}");
            line.Days.ShouldContain(items.Where(t => t.Gear.Contains(line.Gear)).Min(t => t.On)!.Value, $"{line.Gear}");
        }

        plan.Buy!.GearMoney.ShouldBe(plan.Gear.Sum(g => g.Days.Length * 10.0));
        plan.Pours.Length.ShouldBeGreaterThan(1);
        var last = Planner.Plan(job, Weathers[0], pour: plan.Pours[^1].Sketch.Id);
        last.Gear.Select(g => (g.Gear, string.Join(' ', g.For), string.Join(' ', g.Days))).ShouldBe(plan.Gear.Select(g => (g.Gear, string.Join(' ', g.For), string.Join(' ', g.Days))));
        last.Buy!.CostMoney.ShouldBe(plan.Buy.CostMoney, 1e-9);
    }

    /// <summary>What goes into a form that still holds concrete, or against a panel whose board still stands, is said at its day.</summary>
    [Theory]
    [MemberData(nameof(Indexes))]
    public void No_form_is_filled_again_before_it_may_come_off_and_nothing_said(int index)
    {
        var element = Kinds.All()[index];
        var many = element switch
        {
            PieceDocument piece => piece with { Casting = piece.Casting with { Pieces = 4, Moulds = 1, StripDays = 1, CleanDays = 0 } },
            ProfileDocument profile => profile with { Casting = profile.Casting with { Pieces = 3, Moulds = 1, StripDays = 1, CleanDays = 0 } },
            RibbonDocument ribbon => ribbon with { Casting = ribbon.Casting with { Pieces = 3, Moulds = 1, StripDays = 1, CleanDays = 0 } },
            TwoCourseDocument or PebbleBedDocument => element,
            _ => Kinds.Slab(Kinds.Rectangle("9 m", "6 m")) with { Finish = element.Finish, Id = "panels" },
        };
        var (held, free) = (0, 0);
        foreach (var weather in Weathers)
        {
            var plan = Planner.Plan(Kinds.Job(many with { Id = "it" }), weather);
            plan.Pours.Length.ShouldBeGreaterThan(1);
            foreach (var one in plan.Pours.SkipLast(1).Select(p => Planner.Plan(plan.Said, weather, pour: p.Sketch.Id)).Where(p => p.Pour!.Cure is not null))
            {
                var here = one.Pour!.Load;
                if (here.Sketch.Parts[0].Course is not null)
                {
                    // Courses share a form: nobody takes it off between them.
                    JobTasks.Of(one, Told.Nothing).ShouldNotContain(t => t.Task == WorkTask.StripForms);
                    free++;
                    continue;
                }

                var mould = here.Sketch.Parts[0].Casting is not null;
                var off = one.Pour.Cure!.Milestones.Single(m => m.Milestone == (mould ? Milestone.TurnPiece : Milestone.StripEdges)).At;
                var panels = one.Elements!.Value[0].Joints.Panels;
                bool Beside(int a, int b) => PanelSeams.Shared(panels.First(p => p.Number == a).Shape, panels.First(p => p.Number == b).Shape).Any();
                foreach (var next in one.Pours.Skip(here.Number).Where(p => mould ? p.Number == here.Number + 1 : p.Sketch.Parts[0].Panels.Any(a => here.Sketch.Parts[0].Panels.Any(b => Beside(a, b)))))
                {
                    // Some hours short, of a mould that is said in days, is no news.
                    var waits = off is null || off > next.Task!.StartsAt + (mould ? Duration.FromHours(4) : Duration.Zero);
                    one.Findings.Any(f => f.Says is Notice.FormStillHolds { Pour: var number } && number == next.Number).ShouldBe(waits, $"pour {here.Number}: off {off}, {next.Number} at {next.Task!.StartsAt}");
                    _ = waits ? held++ : free++;
                }
            }
        }

        (held + free).ShouldBeGreaterThanOrEqualTo(Weathers.Length);
    }

    [Fact]
    public void A_kerb_that_is_rubbed_is_stripped_in_the_window_of_that_pass()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Curb() with { Id = "kerb", Finish = Finish.Rubbed }), Samples.Steady(18));
        var passes = plan.Pour!.Day!.Zones.SelectMany(z => z.Passes).Where(p => p.Pass == Pass.StripAndRub).ToArray();
        passes.ShouldNotBeEmpty();
        foreach (var task in JobTasks.Of(plan, Told.Nothing).Where(t => t.Task is WorkTask.StripForms or WorkTask.RubFace))
        {
            (task.From, task.At, task.By).ShouldBe((passes.Min(p => p.Opens), passes.Min(p => p.Opens), passes.Max(p => p.Closes)));
        }

        // Nor do the faults blame it for being early.
        Verdict Off(Instant at)
        {
            JobEvent[] log = [new JobEvent.BoardsOff { Id = Guid.NewGuid(), At = at }];
            return FaultsReport.Of(Planner.Plan(plan.Said, Samples.Steady(18), log), Samples.Steady(18), log).Faults.Single(f => f.Sign == FaultSign.Bulge).Causes.Single(c => c.Cause == FaultCause.StrippedTooEarly).Verdict;
        }

        Off(passes.Max(p => p.Closes) - Duration.FromMinutes(1)).ShouldBe(Verdict.Against);
        Off(passes.Min(p => p.Opens) - Duration.FromHours(7)).ShouldBe(Verdict.Likely);
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void The_calendar_sends_nobody_out_before_the_first_of_a_day_may_be_begun(int index)
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.All()[index] with { Id = "it" }), Samples.Steady(18));
        var tasks = JobTasks.Of(plan, Told.Nothing).ToDictionary(t => t.Key);
        foreach (var day in TaskTelling.Days(plan, []))
        {
            (day.Tasks.Min(t => tasks[t.Key].At) ?? day.At).ShouldBe(day.At);
        }
    }

    /// <summary>One date, one home: whatever is told of a moment, by whichever part of the program, is that moment, to the minute.</summary>
    private static void Every_moment_of_a_thing_is_the_same_wherever_it_is_told(JobPlan plan)
    {
        var pour = plan.Pour!;
        var (report, tasks) = (Teller.Tell(plan), TaskTelling.Of(plan).Tasks);
        var (day, cure, board) = (report.Day!, report.Cure!, report.Board!);
        var calendar = Teller.Tell(plan, [pour]);
        var dates = calendar.Pours.ShouldHaveSingleItem();
        var faults = FaultsReport.Of(plan, Weathers[0], []).Faults;
        var what = $"{plan.Elements!.Value[0].Finish}, {plan.Said.Mixing.Mixer.Kind}, {plan.Said.Cure.Method}, pour {pour.Load.Number} of {plan.Pours.Length}";
        TaskReport? The(WorkTask task) => tasks.FirstOrDefault(t => t.Task == task);
        var told = new Dictionary<string, List<(string By, Instant At)>>();
        void Says(string thing, string by, Instant? at)
        {
            if (at is { } moment)
            {
                told.TryAdd(thing, []);
                told[thing].Add((by, moment));
            }
        }

        Says("first water", "pours", report.Pours[pour.Load.Number - 1].StartsAt);
        Says("first water", "day", day.Start);
        Says("first water", "board", board.Plan.Start);
        Says("first water", "order of work", The(WorkTask.Pour)?.From);
        Says("first water", "calendar", dates.Start);
        Says("all lies", "day", day.MixingEnds);
        Says("all lies", "board", board.Mixing.EndsAt);
        Says("all lies", "plan of the day", board.Plan.MixingEnds);
        Says("all lies", "order of work", The(WorkTask.Pour)?.By);
        Says("all lies", "tools", The(WorkTask.CleanTools)?.From);
        Says("done", "day", day.DoneBy);
        Says("done", "board", board.Plan.DoneBy);
        Says("done", "calendar", dates.DoneBy);
        Says("done", "order of work", The(WorkTask.FinishPasses)?.By);
        Says("wet until", "cure", cure.WetUntil);
        Says("wet until", "calendar", dates.Cure.WetUntil);
        Says("wet until", "order of work", The(WorkTask.KeepWet)?.By);
        Says("wet from", "cure", cure.WetFrom);
        Says("wet from", "order of work", The(WorkTask.KeepWet)?.From);
        foreach (var (task, milestone) in Hardened)
        {
            // What is rubbed is stripped in the window of that pass, and by nothing else.
            var early = task is WorkTask.StripForms && pour.StrippedEarly;
            Says($"{task}", "order of work", The(task)?.From);
            Says($"{task}", "cure", The(task) is null || early ? null : cure.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At);
            Says($"{task}", "calendar", The(task) is null || early ? null : dates.Cure.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At);
            early.ShouldBe(early && cure.Milestones.All(m => m.Milestone != Milestone.StripEdges), what);
        }

        if (pour.StrippedEarly)
        {
            var passes = day.Zones.SelectMany(z => z.Passes).Where(p => p.Pass == Pass.StripAndRub).ToArray();
            Says("StripForms", "passes", passes.Min(p => p.Opens));
            Says("StripForms", "rubbed", The(WorkTask.RubFace)?.From);
            Says("rubbed by", "passes", passes.Max(p => p.Closes));
            Says("rubbed by", "order of work", The(WorkTask.RubFace)?.By);
        }

        Says("holes", "order of work", The(WorkTask.PatchHoles)?.From);
        Says("holes", "faults", The(WorkTask.PatchHoles) is null ? null : faults.First(f => f.Mend == MendWith.FillYoung).From);
        foreach (var coat in cure.Coats)
        {
            var name = $"coat {coat.Name} {coat.Number}";
            Says(name, "cure", coat.At);
            Says(name, "calendar", dates.Cure.Coats.Single(c => (c.Name, c.Number) == (coat.Name, coat.Number)).At);
            Says(name, "order of work", The(WorkTask.Coat)?.Parts.OfType<TaskPart.CoatOn>().Single(c => (c.Product, c.Number) == (coat.Name, coat.Number)).At);
        }

        // Minutes of mixing too, in the pours, in Load, on the day and in the order of work.
        var mixing = (day.MixingEnds - day.Start).TotalMinutes;
        report.Pours[pour.Load.Number - 1].MixingMin!.Value.ShouldBe(mixing, 1e-6, what);
        report.Load!.MixingMin.ShouldBe(mixing, 1e-6, what);
        The(WorkTask.Pour)!.Figures.Single(n => n.Figure == TaskFigure.MixingMin).Value.ShouldBe(mixing, 1e-6, what);
        told.Count.ShouldBeGreaterThan(4, what);
        foreach (var (thing, homes) in told)
        {
            homes.ShouldAllBe(h => h.At == homes[0].At, $"{thing}: {string.Join(", ", homes.Select(h => $"{h.By} {h.At}"))}: {what}");
        }

        // What is days away is told by the hour, wherever; what is rounded in one place is rounded in all.
        cure.Milestones.Select(m => m.At).Append(cure.WetUntil).OfType<Instant>().ShouldAllBe(at => at.ToUnixTimeSeconds() % 3600 == 0);
    }

    /// <summary>Tasks that wait for a strength, and for which.</summary>
    private static readonly (WorkTask Task, Milestone Milestone)[] Hardened =
        [(WorkTask.StripForms, Milestone.StripEdges), (WorkTask.Demould, Milestone.TurnPiece), (WorkTask.FirstWalk, Milestone.Walk), (WorkTask.GrindFace, Milestone.Grind)];

    [Fact]
    public void A_border_bears_nothing_before_its_boards_are_off_and_a_counter_nothing_before_it_is_ground()
    {
        JobTask[] Of(ElementDocument element) => [.. JobTasks.Of(Planner.Plan(Kinds.Job(element with { Id = "it" }), Samples.Steady(18)), Told.Nothing)];
        var border = Of(Kinds.Border());
        border.Single(t => t.Task == WorkTask.FirstLoad).From!.Value.ShouldBeGreaterThanOrEqualTo(border.Single(t => t.Task == WorkTask.StripForms).From!.Value);
        var counter = Of(Kinds.Counter() with { Finish = Finish.GroundLater });
        counter.Single(t => t.Task == WorkTask.FirstLoad).From!.Value.ShouldBeGreaterThanOrEqualTo(counter.Single(t => t.Task == WorkTask.GrindFace).From!.Value);
    }

    [Theory]
    [InlineData("600 mm", "300 mm", "60 mm", 1)]
    [InlineData("900 mm", "450 mm", "80 mm", 1)]
    [InlineData("900 mm", "450 mm", "80 mm", 4)]
    public void What_takes_more_people_than_there_are_says_so_and_asks_for_help(string along, string across, string thick, int hands)
    {
        var job = Kinds.Job(Kinds.Stones() with { Id = "stone", Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = along, Across = across }, Thickness = thick });
        var plan = Planner.Plan(job with { Mixing = job.Mixing with { Hands = hands } }, Samples.Steady(18));
        var wants = AfterCare.Lifters(plan.Elements!.Value[0].PieceMass.Kilograms)!.Value;
        var found = plan.Findings.Where(f => f.Says is Notice.WantsHelp).ToArray();
        found.Length.ShouldBe(wants > hands ? 1 : 0, $"{wants}");
        found.ShouldAllBe(f => f.Says.Equals(new Notice.WantsHelp(wants, hands, plan.Elements!.Value[0].PieceMass.Kilograms)) && f.Where == Places.Mixing.Hands);
        JobTasks.Of(plan, Told.Nothing).ShouldAllBe(t => t.People <= hands);
    }

    [Fact]
    public void Of_what_is_cast_again_and_again_each_casting_is_told_by_itself()
    {
        var job = Kinds.Job(Kinds.Stones() with { Id = "stone", Casting = new MouldsDocument { Pieces = 24, Moulds = 1 } });
        var plan = Planner.Plan(job, Samples.Steady(18));
        plan.Pours.Length.ShouldBe(24);
        var planned = Planner.Plan(job, Samples.Steady(18), pour: plan.Pours[4].Sketch.Id);
        TaskTelling.Of(planned).Series.ShouldBe([new CastingOf(0, 5, 24, Period.DaysBetween(plan.Pours[0].Sketch.Date!.Value, plan.Pours[1].Sketch.Date!.Value), NodaTime.Text.LocalDatePattern.Iso.Format(plan.Pours[23].Sketch.Date!.Value))]);
        var fifth = JobTasks.Of(planned, Told.Nothing);
        // Nobody ticked the mould, and four castings came out of it: it is late no more.
        JobTasks.Of(planned, Told.Nothing, plan.Pours[3].Task!.StartsAt).ShouldAllBe(t => !t.Late);
        foreach (var task in fifth.Where(t => t.Task is WorkTask.Demould or WorkTask.SetInPlace))
        {
            task.Numbers.Single(n => n.Figure == TaskFigure.Pieces).Value.ShouldBe(1);
            task.Minutes!.Value.ShouldBeLessThan(60); // nobody turns out two dozen of one mould
            task.People.ShouldBe(AfterCare.Lifters(plan.Elements!.Value[0].PieceMass.Kilograms)!.Value); // one person carries a stone
        }
    }

    [Fact]
    public void All_of_what_goes_before_is_looked_over_and_everything_is_measured_out_on_the_day_before()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" }), Samples.Steady(18));
        var tasks = JobTasks.Of(plan, Told.Nothing);
        var look = tasks.Single(t => t.Task == WorkTask.LookOver);
        look.WaitsFor.ShouldBe(tasks.Where(t => t.Traits.Phase < TaskPhase.Stage).Select(t => t.Key));
        var pour = plan.Pour!.Load.Task!.Date;
        tasks.Where(t => t.Task is WorkTask.LookOver or WorkTask.MeasureOut).ShouldAllBe(t => t.On < pour);
        tasks.Single(t => t.Task == WorkTask.Dampen).On.ShouldBe(pour);
        // And what it is measured out with is wanted then.
        plan.Gear.Single(g => g.Gear == Gear.Scales).Days.ShouldBe([tasks.Single(t => t.Task == WorkTask.MeasureOut).On!.Value]);
    }

    [Fact]
    public void What_should_have_begun_on_a_day_that_is_gone_is_told_with_the_first_day_on_which_it_can_be_poured()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" }), Samples.Steady(18));
        var pour = plan.Pour!.Load.Task!;
        var first = JobTasks.Of(plan, Told.Nothing).Min(t => t.On)!.Value;
        Instant On(LocalDate date) => (date + new LocalTime(9, 0)).InZoneLeniently(pour.Zone).ToInstant();
        (LocalDate? Earliest, WorkTask[] Late) At(Instant now, params JobEvent[] log)
        {
            var tasks = JobTasks.Of(plan, Told.Of(log), now);
            return (JobTasks.EarliestPour(tasks, plan, now), [.. tasks.Where(t => t.Late).Select(t => t.Task)]);
        }

        var today = At(On(first));
        today.Earliest.ShouldBeNull();
        today.Late.ShouldBeEmpty();
        var later = At(On(first.PlusDays(2)));
        later.Earliest.ShouldBe(pour.Date.PlusDays(2));
        later.Late.ShouldContain(WorkTask.ReadRules);
        // What is done is late no more; of a pour that has begun nothing is.
        JobEvent[] done = [.. JobTasks.Of(plan, Told.Nothing).Where(t => t.Traits.Phase < TaskPhase.Stage).Select(t => new JobEvent.TaskDone { Id = Guid.NewGuid(), At = On(first), Task = t.Key })];
        At(On(first.PlusDays(2)), done).Earliest.ShouldBeNull();
        At(pour.StartsAt + Duration.FromHours(1)).Late.ShouldBeEmpty();
    }
}
