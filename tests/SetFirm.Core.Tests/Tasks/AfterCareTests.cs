using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>Grit by grit, coat by coat, and who lifts: by hand, and in a plan.</summary>
public sealed class AfterCareTests
{
    [Fact]
    public void A_bench_top_is_ground_in_three_grits_and_its_edges_in_three_of_their_own()
    {
        var grits = AfterCare.Grits(1, 2).Cast<TaskPart.Grit>().ToArray();
        grits.Select(g => (g.Number, g.Edges, g.Minutes)).ShouldBe([(60, false, 7), (120, false, 4), (200, false, 3), (60, true, 2), (150, true, 1.4), (300, true, 1)]);
        AfterCare.Grits(1, 0).Length.ShouldBe(3);
        // As people take for a bench top of a square metre, edges and all.
        AfterCare.Grits(1, 4).Cast<TaskPart.Grit>().Sum(g => g.Minutes).ShouldBeInRange(20, 25);
    }

    [Theory]
    [InlineData(20, 10, 0, null, 2, 0, 1)] // 20 m2 at 10 m2/L
    [InlineData(20, 10, 1, null, 1, 1, 1)] // half of it water
    [InlineData(20, 10, 0, 20, 2, 0, 3)] // 20 m2 take an hour; a lot lasts 20 min
    [InlineData(20, 10, 0, 60, 2, 0, 1)]
    [InlineData(3, 6, 0.5, 30, 1.0 / 3, 1.0 / 6, 1)]
    public void A_coat_is_mixed_in_as_many_lots_as_its_pot_life_asks_for(double areaM2, double covers, double water, int? potLifeMin, double productL, double waterL, int lots)
    {
        var mix = AfterCare.ToMix(areaM2, covers, water, potLifeMin);
        mix.ProductL.ShouldBe(productL, 1e-12);
        mix.WaterL.ShouldBe(waterL, 1e-12);
        mix.Lots.ShouldBe(lots);
    }

    [Theory]
    [InlineData(10, 1)]
    [InlineData(25, 1)]
    [InlineData(25.1, 2)]
    [InlineData(74, 3)]
    [InlineData(100, 4)]
    [InlineData(100.1, null)]
    public void A_piece_is_lifted_by_so_many_or_by_a_machine(double kg, int? people) => AfterCare.Lifters(kg).ShouldBe(people);

    [Fact]
    public void The_coats_of_a_job_stand_with_the_task_as_the_label_has_them_and_in_what_is_bought()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "4 m")));
        var coat = CoatCatalogue.All[0] with { Coats = 2, Dilution = 1, CoversM2PerL = 8, PotLifeMin = 30, KeepWetH = 2 };
        var plan = Planner.Plan(job with { Cure = job.Cure with { Coats = [coat] } }, Samples.Steady(18));
        var parts = TaskTelling.Of(plan).Tasks.Single(t => t.Task == WorkTask.Coat).Parts.Cast<TaskPart.CoatOn>().ToArray();
        parts.Select(p => p.Number).ShouldBe([1, 2]);
        parts.ShouldAllBe(p => Math.Abs(p.ProductL - 1.25) < 1e-9 && Math.Abs(p.WaterL - 1.25) < 1e-9 && p.Lots == 2 && p.KeepWetH == 2 && p.PotLifeMin == 30);
        parts.Select(p => p.At).ShouldBe(plan.Pour!.Cure!.Coats.Select(c => c.Time.At));
        parts[0].Closes.ShouldBeNull();
        parts[1].Closes.ShouldBe(plan.Pour.Cure.Coats[1].Time.Closes);
        plan.Buy!.Lines.Single(l => l.Good.Id == "coating/penetratingSealer").Used.ShouldBe(2.5, 1e-9);
        var own = Planner.Plan(job with { Cure = job.Cure with { Coats = [coat with { Name = "Aunt's wax" }] } }, Samples.Steady(18));
        own.Buy!.Lines.ShouldContain(l => l.Good.Id == "coating/own");
    }

    [Fact]
    public void What_a_label_cannot_say_is_told_at_its_field()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "4 m")));
        var plan = Planner.Plan(job with { Cure = job.Cure with { Coats = [CoatCatalogue.All[0] with { CoversM2PerL = 0, PotLifeMin = 0 }] } }, Samples.Steady(18));
        plan.Findings.Where(f => f.Severity == Severity.Error).Select(f => f.Where.Path).ShouldBe(["/cure/coats/0/coversM2PerL", "/cure/coats/0/potLifeMin"], ignoreOrder: true);
    }
}
