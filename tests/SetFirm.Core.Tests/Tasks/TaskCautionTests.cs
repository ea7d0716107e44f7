using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;
using SetFirm.Tests;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>A caution stands where the hand is about to do the thing, with this job's own figures, and nowhere else.</summary>
public sealed class TaskCautionTests
{
    private static IReadOnlyList<Notice> Of(JobDocument job, WorkTask task, int element = 0)
    {
        var told = TaskTelling.Of(Planner.Plan(job, Samples.Steady(18))).Tasks.Single(t => t.Task == task && (t.Element ?? element) == element).Cautions;
        foreach (var notice in told)
        {
            Raised.Note(System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(notice.GetType().Name));
        }

        return told;
    }

    [Fact]
    public void A_high_form_is_pushed_by_so_much_to_the_metre_and_a_low_one_is_not_worth_a_word()
    {
        // 24 kN/m3 x 0.3 m at the foot, half of it in the mean, over 0.3 m: 1.08 kN to the metre.
        var high = Of(Kinds.Job(Kinds.Curb() with { Height = "300 mm" }), WorkTask.SetForms).OfType<Notice.FormPush>().Single();
        high.PushKgPerM.ShouldBe(24_000 * 0.3 * 0.3 / 2 / 9.80665, 0.5);
        Of(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))), WorkTask.SetForms).ShouldBeEmpty();
    }

    [Fact]
    public void Of_this_piece_the_weight_is_told_where_it_is_lifted()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Nosed()), Samples.Steady(18));
        var kg = plan.Elements!.Value[0].PieceMass.Kilograms;
        Of(Kinds.Job(Kinds.Nosed()), WorkTask.Demould).OfType<Notice.HeavyPiece>().Single().MassKg.ShouldBe(kg);
        Of(Kinds.Job(Kinds.Nosed()), WorkTask.SetInPlace).ShouldBeEmpty(); // told once; its figures say it again

        Of(Kinds.Job(Kinds.Stones()), WorkTask.Demould).ShouldBeEmpty();
    }

    [Fact]
    public void What_a_top_weighs_is_told_before_it_lies_on_its_support()
    {
        var rests = Of(Kinds.Job(Kinds.Counter()), WorkTask.CheckSupport).OfType<Notice.RestsOn>().Single();
        rests.MassKg.ShouldBeInRange(70, 120); // a metre and a half of 40 mm concrete
        (rests.MassKg / rests.KgPerM2).ShouldBe(Planner.Plan(Kinds.Job(Kinds.Counter()), Samples.Steady(18)).Elements!.Value[0].FaceM2, 1e-9);
    }

    [Fact]
    public void A_hole_that_can_fall_in_on_someone_says_so()
    {
        var deep = Kinds.Footing() with { Form = new FrustumTubeFootingDocument { Foot = "500 mm", Top = "300 mm", Depth = "600 mm", Tube = "250 mm", TubeDepth = "800 mm" } };
        Of(Kinds.Job(deep), WorkTask.Dig).OfType<Notice.DeepDig>().Single().DepthMm.ShouldBeGreaterThan(1_000);
        Of(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))), WorkTask.FindServices).ShouldBe([new Notice.MarkServices()]);
        Of(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))), WorkTask.Dig).ShouldBeEmpty();
    }

    [Fact]
    public void Bars_are_capped_where_there_are_bars_and_the_gravest_comes_first()
    {
        Of(Kinds.Job(Kinds.Nosed()), WorkTask.SetSteel).ShouldBe([new Notice.BarEnds()]);
        var pour = Of(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))), WorkTask.Pour);
        pour.Select(n => n.GetType()).ShouldBe([typeof(Notice.MixerGuard), typeof(Notice.CausticCement)]); // dust is told where bags are first tipped
    }

    [Fact]
    public void Every_caution_of_the_job_stands_with_some_task()
    {
        var hazards = new Hazards(Dug: true, Carries: true, Ground: true, Solvent: true, LiftKg: 40, Machine: true, Hot: true);
        var remarks = new Gate(Core.Quantities.UnitSystem.Metric);
        Cautions.Check(hazards, Places.Mix(0), remarks);
        var told = Cautions.OfJob(hazards).SelectMany(n => n).Select(n => n.GetType()).ToHashSet();
        remarks.Findings.Select(f => f.Says.GetType()).Except(told).ShouldBeEmpty();
    }
}
