using System.Text.Json;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>Each kind of work from its job file through its whole list: the files are those that newcomers open, in docs/examples.</summary>
public sealed class WorkedThroughTests
{
    public static TheoryData<WorkKind> Every => [.. Enum.GetValues<WorkKind>()];

    private static JobDocument Example(WorkKind kind)
    {
        using var file = JsonDocument.Parse(File.ReadAllText(Repository.File($"docs/examples/{JsonNamingPolicy.KebabCaseLower.ConvertName(kind.ToString())}.setfirm.json")));
        var job = JobFile.Read(file.RootElement).ShouldBeOfType<JobRead.Ok>().Document;
        job.Elements.Select(e => e.Traits.Work).ShouldContain(kind);
        return job;
    }

    [Theory]
    [MemberData(nameof(Every))]
    public void Ticked_from_the_top_every_task_is_ready_when_its_turn_comes_and_all_of_it_gets_done(WorkKind kind)
    {
        var plan = Planner.Plan(Example(kind), Samples.Steady(18));
        var log = new List<JobEvent>();
        var keys = TaskTelling.Of(plan).Tasks.Select(t => t.Key).ToArray();
        keys.Length.ShouldBeGreaterThan(12);
        foreach (var key in keys)
        {
            var before = TaskTelling.Of(plan, log).Tasks;
            before.Single(t => t.Key == key).State.ShouldBe(TaskState.Ready, $"{key} waits for {string.Join(", ", before.Single(t => t.Key == key).WaitsFor)}");
            log.Add(new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = key, Device = "Ines" });
        }

        TaskTelling.Of(plan, log).Tasks.ShouldAllBe(t => t.State == TaskState.Done && t.Ticked);
    }

    private static LocalDate On(TaskReport task) => LocalDatePattern.Iso.Parse(task.On!).Value;

    [Theory]
    [MemberData(nameof(Every))]
    public void Its_days_run_in_its_order_before_the_pour_by_hands_and_hours_and_after_it_by_the_cure(WorkKind kind)
    {
        var job = Example(kind);
        var plan = Planner.Plan(job, Samples.Steady(18));
        var tasks = TaskTelling.Of(plan).Tasks;
        var pour = plan.Pour!.Day!.Start.InZone(plan.Pour.Load.Task!.Zone).Date;
        TaskReport[] before = [.. tasks.Where(t => t.Phase < TaskPhase.Stage)];
        before.ShouldAllBe(t => On(t) < pour);
        var hands = before.Where(t => TaskEfforts.Of(t.Task)!.LeadDays == 0).ToArray();
        hands.Zip(hands.Skip(1)).ShouldAllBe(p => On(p.First) <= On(p.Second));
        // Of a job for one or two people, what goes before is a day or two of work, never a month and never minutes.
        var days = Period.DaysBetween(hands.Min(On), pour);
        var minutes = hands.Sum(t => t.Minutes!.Value);
        days.ShouldBeInRange(1, 7);
        minutes.ShouldBeInRange(60, days * 7 * 60);
        foreach (var lead in before.Where(t => TaskEfforts.Of(t.Task)!.LeadDays > 0))
        {
            Period.DaysBetween(On(lead), pour).ShouldBeGreaterThanOrEqualTo(TaskEfforts.Of(lead.Task)!.LeadDays);
        }

        tasks.Where(t => t.Phase == TaskPhase.Stage && t.Task != WorkTask.Dampen).ShouldAllBe(t => On(t) < pour);
        tasks.Where(t => t.Task == WorkTask.Dampen).ShouldAllBe(t => On(t) == pour);
        foreach (var task in tasks.Where(t => t.Phase == TaskPhase.After))
        {
            task.From!.Value.ShouldBeGreaterThan(plan.Pour.Day.Start, $"{task.Key}");
            foreach (var need in tasks.Where(n => TaskCatalogue.Of(task.Task).Needs.Contains(n.Task) && n.From is not null))
            {
                task.From.Value.ShouldBeGreaterThanOrEqualTo(need.From!.Value, $"{task.Key} comes before {need.Key}");
            }
        }
    }

    [Theory]
    [MemberData(nameof(Every))]
    public void Its_gear_and_its_goods_stand_in_what_is_bought_and_all_that_is_bought_is_for_a_task(WorkKind kind)
    {
        var plan = Planner.Plan(Example(kind), Samples.Steady(18));
        TaskReport[] tasks = [.. plan.Pours.SelectMany(p => TaskTelling.Of(Planner.Plan(Example(kind), Samples.Steady(18), pour: p.Sketch.Id)).Tasks)];
        var shop = ShopTelling.Of(plan);
        tasks.SelectMany(t => t.Gear).Distinct().Order().ShouldBe(shop.Gear.Select(g => g.Gear));
        foreach (var gear in shop.Gear)
        {
            gear.For.ShouldBe(tasks.Where(t => t.Gear.Contains(gear.Gear)).OrderBy(t => t.Phase).Select(t => t.Task).Distinct());
            gear.Days.ShouldNotBeEmpty($"{gear.Gear}");
        }

        // Each thing in the shop says what it is for, and how much of it.
        foreach (var line in shop.Lines)
        {
            line.For.ShouldNotBeEmpty(line.Line.Good);
            line.For.Sum(f => f.Amount).ShouldBe(line.Line.Used, 1e-9 * Math.Max(1, line.Line.Used), line.Line.Good);
        }

        // What a task cannot be done without is bought.
        (WorkTask Task, GoodKind[] OneOf)[] wanted =
        [
            (WorkTask.MeasureOut, [GoodKind.Bag, GoodKind.Cement]), (WorkTask.SealSeams, [GoodKind.SeamSealant]), (WorkTask.WaxMould, [GoodKind.ReleaseWax]), (WorkTask.BondCoat, [GoodKind.BondCoat]), (WorkTask.LayPlastic, [GoodKind.Plastic]), (WorkTask.OilForms, [GoodKind.ReleaseOil]),
            (WorkTask.CompactBase, [GoodKind.BaseStone]), (WorkTask.SetIsolation, [GoodKind.IsolationStrip, GoodKind.BondBreaker]), (WorkTask.CutMould, [GoodKind.Sheet]),
            (WorkTask.SetSteel, [GoodKind.Bar, GoodKind.MeshSheet, GoodKind.Scrim]), (WorkTask.CoverIt, [GoodKind.Plastic, GoodKind.Burlap]), (WorkTask.Coat, [GoodKind.Coating]), (WorkTask.MaskNear, [GoodKind.Plastic]), (WorkTask.BendStrips, [GoodKind.StripNail]),
            (WorkTask.Pour, [GoodKind.Gloves]),
        ];
        foreach (var (task, oneOf) in wanted.Where(w => tasks.Any(t => t.Task == w.Task)))
        {
            plan.Buy!.Lines.ShouldContain(l => oneOf.Contains(l.Good.Kind), $"{task}");
        }
    }

    [Fact]
    public void On_weekends_only_work_is_laid_into_weekends_and_on_evenings_it_takes_more_of_them()
    {
        var job = Example(WorkKind.Slab);
        IReadOnlyList<LocalDate> Days(WorkDays days)
        {
            var tasks = TaskTelling.Of(Planner.Plan(job with { Day = job.Day with { WorkDays = days } }, Samples.Steady(18))).Tasks;
            return [.. tasks.Where(t => t.Phase < TaskPhase.Stage && TaskEfforts.Of(t.Task)!.LeadDays == 0).Select(On).Distinct()];
        }

        Days(WorkDays.Weekends).ShouldAllBe(d => d.DayOfWeek == IsoDayOfWeek.Saturday || d.DayOfWeek == IsoDayOfWeek.Sunday);
        Days(WorkDays.Evenings).ShouldAllBe(d => d.DayOfWeek != IsoDayOfWeek.Saturday && d.DayOfWeek != IsoDayOfWeek.Sunday);
        Days(WorkDays.Evenings).Count.ShouldBeGreaterThan(Days(WorkDays.Any).Count);
    }

    [Theory]
    [InlineData("Europe/Berlin", "2027-05-08", "2027-11-01")]
    [InlineData("Europe/Berlin", "2027-12-08", "2027-12")]
    [InlineData("Europe/Berlin", "2027-03-08", "2027-03")]
    [InlineData("Australia/Hobart", "2027-12-08", "2028-05-01")]
    [InlineData("Australia/Hobart", "2027-02-08", "2027-05-01")]
    public void The_first_winter_comes_when_it_comes_there(string zone, string poured, string winter)
    {
        var job = Example(WorkKind.Slab) with { TimeZone = zone };
        var plan = Planner.Plan(job with { Day = job.Day with { Date = poured } }, Samples.Steady(18));
        TaskTelling.Of(plan).Tasks.Single(t => t.Task == WorkTask.FirstWinter).On!.ShouldStartWith(winter);
    }

    [Fact]
    public void The_calendar_has_each_day_of_work_once_less_what_is_done_and_nothing_before_once_it_is_poured()
    {
        var plan = Planner.Plan(Example(WorkKind.Slab), Samples.Steady(18));
        var tasks = TaskTelling.Of(plan).Tasks;
        var days = TaskTelling.Days(plan, []);
        days.Select(d => d.At).ShouldBeUnique();
        days.Select(d => d.At).ShouldBe(days.Select(d => d.At).Order());
        days.Sum(d => d.Minutes).ShouldBe(days.SelectMany(d => d.Tasks).Sum(t => tasks.Single(o => o.Key == t.Key).Minutes ?? 0), 1e-9);
        string[] told = [.. days.SelectMany(d => d.Tasks).Select(t => t.Key)];
        told.ShouldBeUnique();
        tasks.Where(t => t.Phase <= TaskPhase.Stage && t.Minutes is not null).Select(t => t.Key).Except(told).ShouldBeEmpty();
        told.Select(k => tasks.Single(t => t.Key == k).Phase).ShouldNotContain(TaskPhase.PourDay); // it has its own lines
        JobEvent tick = new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = told[0] };
        TaskTelling.Days(plan, [tick]).SelectMany(d => d.Tasks).Select(t => t.Key).ShouldBe(told[1..]);
        JobEvent water = new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = plan.Pour!.Day!.Start, Batch = 1 };
        TaskTelling.Days(plan, [water]).SelectMany(d => d.Tasks).ShouldAllBe(t => TaskCatalogue.Of(t.Task).Phase == TaskPhase.After);
    }

    [Fact]
    public void Today_has_what_is_ready_and_due_and_stops_asking()
    {
        var plan = Planner.Plan(Example(WorkKind.Slab), Samples.Steady(18));
        var start = plan.Pour!.Day!.Start;
        WorkTask[] At(Instant now, params JobEvent[] log) => [.. JobTasks.Today(plan, Told.Of(log), now).Select(t => t.Task)];
        At(start - Duration.FromDays(30)).ShouldBeEmpty();
        At(start - Duration.FromDays(4)).ShouldBe([WorkTask.ReadRules, WorkTask.FindServices]);
        At(start + Duration.FromHours(1)).ShouldBeEmpty(); // the day has its board
        var all = TaskTelling.Of(plan).Tasks.Select(t => (JobEvent)new JobEvent.TaskDone { Id = Guid.NewGuid(), At = Samples.Morning, Task = t.Key }).ToArray();
        var strip = TaskTelling.Of(plan).Tasks.Single(t => t.Task == WorkTask.StripForms);
        JobEvent[] rest = [.. all.Where(e => ((JobEvent.TaskDone)e).Task != strip.Key)];
        At(strip.From!.Value + Duration.FromHours(1), rest).ShouldBe([WorkTask.StripForms]);
        At(strip.From.Value + Duration.FromDays(20), rest).ShouldBeEmpty();
        At(strip.From.Value + Duration.FromHours(1), all).ShouldBeEmpty();
    }
}
