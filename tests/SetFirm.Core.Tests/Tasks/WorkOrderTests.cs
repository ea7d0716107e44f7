using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>Each kind of work has its own order: nothing comes before what it needs, and every number and date is the plan's.</summary>
public sealed class WorkOrderTests
{
    public static TheoryData<WorkKind> Every => [.. Enum.GetValues<WorkKind>()];

    public static TheoryData<StartKind, UnitSystem> Starts
    {
        get
        {
            var data = new TheoryData<StartKind, UnitSystem>();
            foreach (var kind in Enum.GetValues<StartKind>())
            {
                data.Add(kind, UnitSystem.Metric);
                data.Add(kind, UnitSystem.Us);
            }

            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Every))]
    public void Every_kind_has_an_order_in_which_nothing_comes_before_what_it_needs(WorkKind kind)
    {
        var order = WorkOrders.Of(kind);
        order.ShouldBeUnique();
        order.Length.ShouldBeGreaterThan(12);
        for (var i = 0; i < order.Length; i++)
        {
            var traits = TaskCatalogue.Of(order[i]);
            foreach (var need in traits.Needs.Where(order.Contains))
            {
                order.IndexOf(need).ShouldBeLessThan(i, $"{order[i]} needs {need}");
            }

            (i == 0 || TaskCatalogue.Of(order[i - 1]).Phase <= traits.Phase).ShouldBeTrue($"{order[i]} stands after {order[Math.Max(0, i - 1)]}");
        }

        WorkTask[] always = [WorkTask.LookOver, WorkTask.MeasureOut, WorkTask.Pour, WorkTask.CleanTools, WorkTask.CoverIt, WorkTask.KeepWet, WorkTask.FirstLoad];
        always.Except(order).ShouldBeEmpty();
    }

    [Fact]
    public void Every_task_belongs_to_some_kind_and_has_its_traits()
    {
        var all = Enum.GetValues<WorkKind>().SelectMany(k => WorkOrders.Of(k)).ToHashSet();
        Enum.GetValues<WorkTask>().Except(all).ShouldBeEmpty();
        foreach (var task in Enum.GetValues<WorkTask>())
        {
            TaskCatalogue.Of(task).People.ShouldBeInRange(1, 3, $"{task}");
            TaskCatalogue.Of(task).Needs.ShouldNotContain(task);
        }
    }

    // Which kinds each mistake is made in; docs/mistakes.md has the same table.
    [Theory]
    [InlineData(CommonMistake.FormToTheOutside, WorkKind.Slab, WorkKind.Walk, WorkKind.Drive, WorkKind.TwoCourse, WorkKind.Border, WorkKind.CurbOnGround, WorkKind.CurbOnSlab, WorkKind.CounterInPlace)]
    [InlineData(CommonMistake.NoRelease, WorkKind.Slab, WorkKind.Border, WorkKind.CurbOnGround, WorkKind.Tread, WorkKind.Stone, WorkKind.Ribbon, WorkKind.CounterInPlace, WorkKind.CounterFaceDown)]
    [InlineData(CommonMistake.SeamsNotSealedADayBefore, WorkKind.Tread, WorkKind.Block, WorkKind.Stone, WorkKind.Paver, WorkKind.Coping, WorkKind.Ribbon, WorkKind.CounterInPlace, WorkKind.CounterFaceDown)]
    [InlineData(CommonMistake.ScrewsFilled, WorkKind.Slab, WorkKind.Border, WorkKind.CurbOnSlab, WorkKind.Tread, WorkKind.CounterInPlace)]
    [InlineData(CommonMistake.SpacersUnderEdger, WorkKind.Border, WorkKind.CurbOnGround, WorkKind.CurbOnSlab)]
    [InlineData(CommonMistake.StakesAboveBoard, WorkKind.Slab, WorkKind.Walk, WorkKind.Drive, WorkKind.TwoCourse, WorkKind.Border, WorkKind.CurbOnGround)]
    [InlineData(CommonMistake.MouldNotMirrored, WorkKind.Tread, WorkKind.Stone, WorkKind.Paver, WorkKind.Coping, WorkKind.CounterFaceDown)]
    [InlineData(CommonMistake.PryingAgainstThePiece, WorkKind.Tread, WorkKind.Block, WorkKind.Stone, WorkKind.Paver, WorkKind.Coping, WorkKind.Ribbon, WorkKind.CounterFaceDown, WorkKind.FootingPiece)]
    [InlineData(CommonMistake.StrippingOutward, WorkKind.Slab, WorkKind.Walk, WorkKind.Drive, WorkKind.Border, WorkKind.CurbOnGround, WorkKind.CounterInPlace)]
    [InlineData(CommonMistake.SealingTooSoon, WorkKind.Slab, WorkKind.Drive, WorkKind.Overlay, WorkKind.Tread, WorkKind.CounterInPlace, WorkKind.CounterFaceDown)]
    public void A_common_mistake_is_met_by_a_task_before_it_can_happen(CommonMistake mistake, params WorkKind[] kinds)
    {
        foreach (var kind in kinds)
        {
            WorkOrders.Of(kind).Count(t => TaskCatalogue.Of(t).Meets == mistake).ShouldBe(1, $"{kind}");
        }

        File.ReadAllText(Repository.File("docs/mistakes.md")).ShouldContain($"`{mistake}`");
    }

    [Theory]
    [MemberData(nameof(Starts))]
    public void The_numbers_and_the_dates_of_every_kind_are_those_of_its_plan(StartKind kind, UnitSystem units)
    {
        var job = StartingJob.Of("Tasks", units, "Europe/Berlin", new LocalDate(2027, 5, 4), kind);
        var plan = Planner.Plan(job, Samples.Steady(18));
        var report = Teller.Tell(plan);
        var tasks = TaskTelling.Of(plan).Tasks;
        tasks.Select(t => t.Key).ShouldBeUnique();
        var pour = report.Pours[0];
        double? Of(WorkTask task, TaskFigure figure) => tasks.FirstOrDefault(t => t.Task == task)?.Figures.FirstOrDefault(f => f.Figure == figure)?.Value;
        Of(WorkTask.Pour, TaskFigure.VolumeL).ShouldBe(pour.VolumeL);
        Of(WorkTask.Pour, TaskFigure.Batches).ShouldBe(pour.Batches);
        Of(WorkTask.MeasureOut, TaskFigure.Bags).ShouldBe(pour.Bags);
        // Slurry goes over its bed on the same day: the bed is not kept wet.
        Of(WorkTask.KeepWet, TaskFigure.WetDays).ShouldBe(kind == StartKind.PebbleBed ? null : report.Cure!.WetDays);
        var built = report.Build!.Elements[0];
        (Of(WorkTask.Dig, TaskFigure.DigL) / 1000).ShouldBe(built.Dig?.BankM3);
        Of(WorkTask.Pour, TaskFigure.MixingMin)!.Value.ShouldBe((report.Day!.MixingEnds - report.Day.Start).TotalMinutes, 1e-9);
        Of(WorkTask.LookOver, TaskFigure.Inspections).ShouldBe(report.Build.Inspections.Count);
        Of(WorkTask.SealSeams, TaskFigure.SeamM).ShouldBe(built.Mould is { SeamM: > 0 } mould ? mould.SeamM : null);
        (Of(WorkTask.CutStakes, TaskFigure.Stakes) ?? 0).ShouldBe(built.Forms is { Nailed: false } forms ? forms.Stakes.Count : 0);
        tasks.Single(t => t.Task == WorkTask.Pour).From.ShouldBe(report.Day!.Start);
        foreach (var task in tasks)
        {
            (task.From is null || task.By is null || task.From <= task.By).ShouldBeTrue($"{task.Key}");
            (task.Phase >= TaskPhase.PourDay || task.By is { } by && by <= report.Day.Start).ShouldBeTrue($"{task.Key} is to be done before the first water");
            (task.Phase != TaskPhase.After || task.From is null || task.From >= report.Day.Start).ShouldBeTrue($"{task.Key}");
            foreach (var figure in task.Figures)
            {
                double.IsFinite(figure.Value).ShouldBeTrue($"{task.Key} {figure.Figure}");
            }
        }

        if (tasks.FirstOrDefault(t => t.Task == WorkTask.SealSeams) is { } seams)
        {
            (report.Day.Start - seams.By!.Value).ShouldBe(Duration.FromHours(24));
        }
    }

    [Fact]
    public void Ticking_what_it_needs_makes_a_task_ready_and_taking_it_back_makes_it_wait_again()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });
        var plan = Planner.Plan(job, Samples.Steady(18));
        var log = new List<JobEvent>();
        TaskReport Task(WorkTask task) => TaskTelling.Of(plan, log).Tasks.Single(t => t.Task == task);
        void Tick(string key) => log.Add(new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = key, Device = "Odd" });
        Task(WorkTask.SetForms).State.ShouldBe(TaskState.Waits);
        Task(WorkTask.SetForms).WaitsFor.ShouldBe(["setOut:pad"]);
        Tick("setOut:pad");
        Task(WorkTask.SetForms).State.ShouldBe(TaskState.Ready);
        var ticked = Task(WorkTask.SetOut);
        (ticked.State, ticked.DoneBy, ticked.DoneAt).ShouldBe((TaskState.Done, "Odd", Samples.Morning));
        log.Add(new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = Samples.Morning, Line = log[0].Id });
        Task(WorkTask.SetForms).State.ShouldBe(TaskState.Waits);
    }

    [Fact]
    public void It_is_too_early_to_strip_until_the_plan_says_so_whatever_is_ticked()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });
        var plan = Planner.Plan(job, Samples.Steady(18));
        var strips = Teller.Tell(plan).Cure!.Milestones.Single(m => m.Milestone == Milestone.StripEdges).At!.Value;
        var log = TaskTelling.Of(plan).Tasks.Where(t => t.Task != WorkTask.StripForms)
            .Select(t => (JobEvent)new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = t.Key }).ToList();
        TaskReport At(Instant now) => TaskTelling.Of(plan, log, now).Tasks.Single(t => t.Task == WorkTask.StripForms);
        At(strips - Duration.FromMinutes(1)).State.ShouldBe(TaskState.Waits);
        At(strips).State.ShouldBe(TaskState.Ready);
        At(strips).From.ShouldBe(strips);
    }

    [Fact]
    public void What_the_board_was_told_is_not_asked_for_again_and_a_key_of_no_task_changes_nothing()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });
        var plan = Planner.Plan(job, Samples.Steady(18));
        WorkTask[] After(JobEvent line)
        {
            var tasks = TaskTelling.Of(plan, [line, new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = "paintItBlue:pad" }]).Tasks;
            tasks.ShouldAllBe(t => !t.Ticked); // it was told elsewhere, and is taken back there
            return [.. tasks.Where(t => t.State == TaskState.Done).Select(t => t.Task)];
        }

        After(new JobEvent.CoverOn { Id = Guid.NewGuid(), At = Samples.Morning }).ShouldBe([WorkTask.CoverIt]);
        After(new JobEvent.CoverOn { Id = Guid.NewGuid(), At = Samples.Morning, Zone = 1 }).ShouldBeEmpty();
        After(new JobEvent.BoardsOff { Id = Guid.NewGuid(), At = Samples.Morning }).ShouldBe([WorkTask.StripForms]);
        After(new JobEvent.DayClosed { Id = Guid.NewGuid(), At = Samples.Morning, Washed = true, HoldBackUsed = false, BagsLeft = 0 }).ShouldBe([WorkTask.Pour, WorkTask.FinishPasses, WorkTask.CleanTools]);
        After(new JobEvent.DayClosed { Id = Guid.NewGuid(), At = Samples.Morning, Washed = false, HoldBackUsed = false, BagsLeft = 0 }).ShouldBe([WorkTask.Pour, WorkTask.FinishPasses]);
    }

    [Fact]
    public void What_is_done_for_the_job_counts_for_every_pour_and_what_is_made_ready_for_its_own()
    {
        var slab = Kinds.Slab(Kinds.Rectangle("3 m", "2 m"));
        var job = Kinds.Job(slab with { Id = "a" }, slab with { Id = "b" });
        PourDocument Pour(string id, string element, string date) => new() { Id = id, Date = date, Parts = [new PartDocument { Element = element }] };
        job = job with { Pours = [Pour("one", "a", "2027-05-04"), Pour("two", "b", "2027-05-06")] };
        JobEvent Tick(string key, string pour) => new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = key, Pour = pour };
        JobEvent[] log = [Tick("setOut:a", "two"), Tick("measureOut", "one"), Tick("lookOver", "")];
        WorkTask[] Done(string pour) => [.. TaskTelling.Of(Planner.Plan(job, Samples.Steady(18), pour: pour), log).Tasks.Where(t => t.State == TaskState.Done).Select(t => t.Task)];
        Done("one").ShouldBe([WorkTask.SetOut, WorkTask.LookOver, WorkTask.MeasureOut]); // a line that names no pour is the first's
        Done("two").ShouldBe([WorkTask.SetOut]);
    }

    [Fact]
    public void Elements_without_a_name_of_their_own_are_told_by_their_number()
    {
        var slab = Kinds.Slab(Kinds.Rectangle("3 m", "2 m"));
        var tasks = TaskTelling.Of(Planner.Plan(Kinds.Job(slab, slab), Samples.Steady(18))).Tasks;
        tasks.Select(t => t.Key).ShouldBeUnique();
        tasks.Select(t => t.Key).ShouldContain("setOut:2");
    }

    [Fact]
    public void Of_two_elements_each_has_its_own_forms_and_the_job_is_looked_over_once()
    {
        var slab = Kinds.Slab(Kinds.Rectangle("3 m", "2 m"));
        var tasks = TaskTelling.Of(Planner.Plan(Kinds.Job(slab with { Id = "a" }, slab with { Id = "b" }, Kinds.Stones() with { Id = "c" }), Samples.Steady(18))).Tasks;
        tasks.Count(t => t.Task == WorkTask.SetForms).ShouldBe(2);
        tasks.Count(t => t.Task == WorkTask.LookOver).ShouldBe(1);
        tasks.Count(t => t.Task == WorkTask.CutMould).ShouldBe(1);
        tasks.Single(t => t.Task == WorkTask.LookOver).WaitsFor.ShouldContain("setForms:b");
        tasks.Single(t => t is { Task: WorkTask.CutStakes, Element: 1 }).WaitsFor.ShouldNotContain("setForms:a");
    }
}
