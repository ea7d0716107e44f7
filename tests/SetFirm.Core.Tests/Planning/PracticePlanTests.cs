using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Where people differ: every choice of every kind can be taken, and its effect is the difference of two plans.</summary>
public sealed class PracticePlanTests
{
    public static TheoryData<StartKind, UnitSystem> Starts
    {
        get
        {
            var data = new TheoryData<StartKind, UnitSystem>();
            foreach (var kind in Enum.GetValues<StartKind>())
            {
                data.Add(kind, kind is StartKind.Slab or StartKind.Counter ? UnitSystem.Us : UnitSystem.Metric);
            }

            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Starts))]
    public void Each_choice_once_taken_is_the_one_that_is_taken_and_costs_what_was_told(StartKind kind, UnitSystem units)
    {
        var job = StartingJob.Of("Practices", units, "Europe/Berlin", new NodaTime.LocalDate(2027, 5, 4), kind);
        job = job with { Cure = job.Cure with { Coats = [CoatCatalogue.All[0]] } };
        var weather = Samples.Steady(18);
        var plan = Planner.Plan(job, weather);
        var practices = PracticePlan.Of(plan, weather);
        practices.ShouldNotBeEmpty();
        foreach (var practice in practices)
        {
            practice.Choices.Select(c => c.Value).ShouldBeUnique();
            practice.Choices.Count(c => c.Taken).ShouldBeLessThanOrEqualTo(1);
            foreach (var choice in practice.Choices.Where(c => !c.Taken))
            {
                var effect = choice.Effect.ShouldNotBeNull($"{practice.Practice} {choice.Value}");
                var other = Planner.Plan(JobEdits.Made(job, choice.Edits).ShouldNotBeNull(), weather);
                effect.MoreMoney.ShouldBe(other.Buy!.CostMoney - plan.Buy!.CostMoney, 1e-9);
                effect.MoreMpa.ShouldBe(other.Pour!.Cure!.At28Mpa - plan.Pour!.Cure!.At28Mpa);
            }

            if (practice.Choices.FirstOrDefault(c => !c.Taken) is { } first)
            {
                PracticePlan.Of(Planner.Plan(JobEdits.Made(job, first.Edits)!, weather), weather).Single(p => p.Practice == practice.Practice && p.Element == practice.Element)
                    .Choices.Single(c => c.Taken).Value.ShouldBe(first.Value, $"{practice.Practice}");
            }
        }
    }

    [Fact]
    public void A_short_cure_is_weaker_and_warned_of_and_a_long_one_stronger()
    {
        var weather = Samples.Steady(18);
        var days = PracticePlan.Of(Planner.Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))), weather), weather).Single(p => p.Practice == Practice.KeepWetDays);
        var (shorter, longer) = (days.Choices.Single(c => c.Value == "3").Effect!, days.Choices.Single(c => c.Value == "28").Effect!);
        shorter.MoreMpa!.Value.ShouldBeInRange(-8, -1);
        shorter.Warns.OfType<Notice.CureStoppedEarly>().ShouldHaveSingleItem();
        longer.MoreMpa!.Value.ShouldBeInRange(0.5, 5);
        (shorter.MoreWetDays, longer.MoreWetDays).ShouldBe((-4, 21));
        longer.Warns.ShouldBeEmpty();
    }

    [Fact]
    public void Every_practice_is_open_in_some_job_and_belongs_to_a_task_of_it()
    {
        var weather = Samples.Steady(18);
        var slab = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")), Kinds.Stones());
        slab = slab with { Cure = slab.Cure with { Coats = [CoatCatalogue.All[0]] } };
        var plan = Planner.Plan(slab, weather);
        var open = PracticePlan.Of(plan, weather);
        Enum.GetValues<Practice>().Except(open.Select(p => p.Practice)).ShouldBeEmpty();
        var tasks = JobTasks.Of(plan, Core.Events.Told.Nothing).Select(t => t.Task).ToHashSet();
        open.Where(p => p.Practice is not Practice.Steel).ShouldAllBe(p => tasks.Contains(Practices.TaskOf(p.Practice)));
    }

    [Fact]
    public void Days_in_the_mould_move_the_last_casting()
    {
        var weather = Samples.Steady(18);
        var days = PracticePlan.Of(Planner.Plan(Kinds.Job(Kinds.Stones()), weather), weather).Single(p => p.Practice == Practice.MouldDays);
        // Six from two moulds are three castings: two waits of so many days.
        days.Choices.Single(c => c.Value == "4").Effect!.LongerDays.ShouldBe(4);
        days.Choices.Single(c => c.Value == "1").Effect!.LongerDays.ShouldBe(-2);
    }

    [Fact]
    public void Edits_reach_into_what_is_not_there_yet_and_what_makes_no_job_is_refused()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")));
        job.Elements[0].Steel.ShouldBeNull();
        JobEdits.Made(job, [new Edit(Places.Element(0).Steel.School, Text: "mesh")])!.Elements[0].Steel!.School.ShouldBe(Core.Steel.SteelSchool.Mesh);
        JobEdits.Made(job, [new Edit(Places.Cure.Method, Text: "prayer")]).ShouldBeNull();
        JobEdits.Made(job, [new Edit(Places.Cure.Method, Text: "ponding")])!.Cure.Method.ShouldBe(CuringMethod.Ponding);
        JobEdits.Made(job, [new Edit(Places.Cure.Days, Number: 5), new Edit(Places.Cure.Days)])!.Cure.Days.ShouldBeNull();
    }
}
