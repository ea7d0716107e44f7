using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Tests.Tasks;

/// <summary>What a kind of work has of its own, by hand: its tasks, what they take, and what is bought for them.</summary>
public sealed class KindsOfWorkTests
{
    private static JobPlan Plan(ElementDocument element, Func<JobDocument, JobDocument>? otherwise = null)
    {
        var job = Kinds.Job(element with { Id = "it" });
        return Planner.Plan(otherwise?.Invoke(job) ?? job, Samples.Steady(18));
    }

    private static JobTask? The(JobPlan plan, WorkTask task) => JobTasks.Of(plan, Told.Nothing).SingleOrDefault(t => t.Task == task);

    private static double Bought(JobPlan plan, Good good) => plan.Buy!.Lines.Where(l => l.Good.Id == good.Id).Sum(l => l.Used);

    [Fact]
    public void Mesh_lies_on_chairs_or_is_pulled_up_with_a_hook_as_the_concrete_goes_over_it()
    {
        var slab = Kinds.Slab(Kinds.Rectangle("4 m", "3 m"));
        var (onChairs, hooked) = (Plan(slab with { Steel = new SteelDocument { School = SteelSchool.Mesh } }), Plan(slab with { Steel = new SteelDocument { School = SteelSchool.Mesh, Mesh = MeshHeld.HookedUp } }));
        Bought(onChairs, Goods.Chair).ShouldBeGreaterThan(0);
        Bought(hooked, Goods.Chair).ShouldBe(0);
        hooked.Elements!.Value[0].Build!.Steel.SheetCount.ShouldBe(onChairs.Elements!.Value[0].Build!.Steel.SheetCount);
        The(onChairs, WorkTask.Pour)!.Gear.ShouldNotContain(Gear.PullHook);
        The(hooked, WorkTask.Pour)!.Gear.ShouldContain(Gear.PullHook);
        The(hooked, WorkTask.SetSteel)!.Minutes!.Value.ShouldBeLessThan(The(onChairs, WorkTask.SetSteel)!.Minutes!.Value);
        // Bars do not lie on the ground to be pulled up.
        The(Plan(slab with { Steel = new SteelDocument { School = SteelSchool.BarGrid, Mesh = MeshHeld.HookedUp } }), WorkTask.Pour)!.Gear.ShouldNotContain(Gear.PullHook);
    }

    [Fact]
    public void A_face_is_ground_from_the_grit_that_bares_what_is_wanted_to_the_look_that_is()
    {
        // A square metre without edges: 7 min with 60, 4 with 120, 3 with 200, 3 with 400.
        AfterCare.Grits(1, 0, 120).Cast<TaskPart.Grit>().Sum(g => g.Minutes).ShouldBe(7);
        AfterCare.Grits(1, 0, 60, 400).Cast<TaskPart.Grit>().Sum(g => g.Minutes).ShouldBe(17);
        AfterCare.Grits(1, 1, 60, 60).Cast<TaskPart.Grit>().Select(g => (g.Number, g.Edges)).ShouldBe([(60, false), (60, true)]);
        AfterCare.Grits(1, 1, 120, 400).Cast<TaskPart.Grit>().Select(g => (g.Number, g.Edges)).ShouldBe([(120, false), (200, false), (400, false), (150, true), (300, true)]);
        var top = Kinds.Counter() with { Finish = Finish.GroundLater };
        var (usual, sand) = (The(Plan(top), WorkTask.GrindFace)!, The(Plan(top with { Grind = new GrindDocument { From = 120 } }), WorkTask.GrindFace)!);
        sand.Parts.OfType<TaskPart.Grit>().ShouldNotContain(g => g.Number == 60);
        sand.Minutes!.Value.ShouldBeLessThan(usual.Minutes!.Value);
    }

    [Theory]
    [InlineData(59, null, "/elements/0/grind/from")]
    [InlineData(60, null, null)]
    [InlineData(400, null, null)]
    [InlineData(401, null, "/elements/0/grind/from")]
    [InlineData(120, 119, "/elements/0/grind/to")]
    [InlineData(120, 120, null)]
    [InlineData(210, 390, null)]
    [InlineData(null, 400, null)]
    [InlineData(null, 401, "/elements/0/grind/to")]
    public void A_grit_that_is_none_is_told_at_its_field_and_with_any_other_there_is_something_to_grind(int? from, int? to, string? at)
    {
        var top = Kinds.Counter() with { Finish = Finish.GroundLater, Grind = new GrindDocument { From = from, To = to } };
        var plan = Plan(top);
        plan.Findings.Where(f => f.Severity == Severity.Error).Select(f => f.Where.Path).ShouldBe(at is null ? [] : [at]);
        var grits = The(plan, WorkTask.GrindFace)!.Parts.OfType<TaskPart.Grit>().Where(g => !g.Edges).ToArray();
        grits.ShouldNotBeEmpty();
        grits.ShouldAllBe(g => g.Minutes > 0 && g.Number <= AfterCare.FinestGrit);
        // Of what is not ground nobody asks, nor tells of a field that is not there.
        Plan(top with { Finish = Finish.Steel }).Findings.ShouldNotContain(f => f.Severity == Severity.Error);
    }

    [Fact]
    public void Cracks_below_an_overlay_are_filled_first_and_what_fills_them_is_bought()
    {
        var skim = (OverlayDocument)Kinds.All().Single(e => e is OverlayDocument);
        var (sound, cracked) = (Plan(skim), Plan(skim with { Cracks = "12.5 m" }));
        Bought(sound, Goods.CrackFiller).ShouldBe(0);
        // 12.5 m of a groove of 6 by 8 mm are 600 mL.
        Bought(cracked, Goods.CrackFiller).ShouldBe(2);
        var (marks, fills) = (The(sound, WorkTask.PlanCracks)!, The(cracked, WorkTask.PlanCracks)!);
        marks.Gear.ShouldBeEmpty();
        fills.Gear.ShouldContain(Gear.CartridgeGun);
        (fills.Minutes!.Value - marks.Minutes!.Value).ShouldBe(75, 1e-9);
        Plan(skim with { Cracks = "no" }).Findings.Where(f => f.Severity == Severity.Error).ShouldHaveSingleItem().Where.Path.ShouldBe("/elements/0/cracks");
        Plan(skim with { Cracks = "500 m" }).Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        Plan(skim with { Cracks = "500.1 m" }).Findings.Where(f => f.Severity == Severity.Error).ShouldHaveSingleItem().Where.Path.ShouldBe("/elements/0/cracks");
    }

    [Fact]
    public void A_top_that_comes_off_again_lies_on_a_slip_sheet_over_ply_and_its_lip_form_is_bought_either_way()
    {
        var (stays, comesOff) = (Plan(Kinds.Counter()), Plan(Kinds.Counter() with { Deck = CounterDeck.ComesOff }));
        The(stays, WorkTask.LaySlipSheet).ShouldBeNull();
        The(comesOff, WorkTask.LaySlipSheet)!.Goods.Select(g => g.Good).ShouldBe([Goods.Plastic]);
        foreach (var (plan, on, not) in new[] { (stays, Goods.DeckBoard, Goods.DeckPly), (comesOff, Goods.DeckPly, Goods.DeckBoard) })
        {
            // The deck is as large as the face, and a tenth goes over.
            Bought(plan, on).ShouldBe(plan.Elements!.Value[0].FaceM2 * 1.1, 1e-9);
            Bought(plan, not).ShouldBe(0);
            The(plan, WorkTask.MakeDeck)!.Goods.ShouldHaveSingleItem().Good.ShouldBe(on);
            The(plan, WorkTask.SetForms)!.Goods.ShouldContain(g => g.Good.Kind == GoodKind.Sheet && g.Amount > 0);
        }

        // What it is cast in face down has no deck.
        The(Plan(Kinds.Counter(CounterCasting.FaceDown) with { Deck = CounterDeck.ComesOff }), WorkTask.LaySlipSheet).ShouldBeNull();
    }

    [Fact]
    public void A_top_whose_lip_is_rubbed_is_stripped_early_and_rubbed_while_it_can_be()
    {
        var plan = Plan(Kinds.Counter() with { Finish = Finish.Rubbed });
        var rub = The(plan, WorkTask.RubFace)!;
        rub.Parts.OfType<TaskPart.RubOnce>().ShouldNotBeEmpty();
        rub.From.ShouldBe(The(plan, WorkTask.StripForms)!.From);
        The(Plan(Kinds.Counter()), WorkTask.RubFace).ShouldBeNull();
    }

    [Fact]
    public void Two_stones_from_a_mould_are_prepared_in_an_afternoon_with_nobody_asked()
    {
        var plan = Plan(Kinds.Stones() with { Casting = new MouldsDocument { Pieces = 2, Moulds = 2 } });
        JobTask[] before = [.. JobTasks.Of(plan, Told.Nothing).Where(t => t.Traits.Phase < TaskPhase.PourDay)];
        before.ShouldNotContain(t => t.Task == WorkTask.ReadRules);
        before.Sum(t => t.Minutes ?? 0).ShouldBeLessThan(3.5 * 60);
        // Of two dozen moulds that is not so.
        var many = Plan(Kinds.Stones() with { Casting = new MouldsDocument { Pieces = 24, Moulds = 24 } });
        JobTasks.Of(many, Told.Nothing).Where(t => t.Traits.Phase < TaskPhase.PourDay).Sum(t => t.Minutes ?? 0).ShouldBeGreaterThan(7 * 60);
        // But of what lies on ground, or spans, somebody is asked.
        The(Plan(Kinds.Border()), WorkTask.ReadRules).ShouldNotBeNull();
        The(Plan(Kinds.Counter()), WorkTask.ReadRules).ShouldNotBeNull();
        The(Plan(Kinds.Footing()), WorkTask.ReadRules).ShouldNotBeNull();
    }

    [Fact]
    public void A_mould_of_layers_takes_resin_and_mat_between_them_and_wax_on_its_inner_face_alone()
    {
        // Radii 175 and 110 mm, 300 mm high: pi (R + r) s.
        var face = Math.PI * 0.285 * Math.Sqrt((0.065 * 0.065) + 0.09);
        foreach (var layers in new[] { 1, 2, 4 })
        {
            var mould = Mould.OfCone(0.35, 0.22, 0.3, layers);
            mould.InnerM2.ShouldBe(face, 1e-12);
            mould.LaminatedM2.ShouldBe((layers - 1) * face, 1e-12);
        }

        var plan = Plan(Kinds.Loose());
        var built = plan.Elements!.Value[0].Build!.Mould!;
        built.Mould.InnerM2.ShouldBe(face, 1e-9);
        Bought(plan, Goods.LaminateResin).ShouldBe(built.LaminatedM2 * Goods.ResinLPerM2, 1e-9);
        Bought(plan, Goods.LaminateMat).ShouldBeGreaterThanOrEqualTo(built.LaminatedM2);
        // Two moulds, twice each.
        (built.Moulds, built.Castings.Length).ShouldBe((2, 2));
        Bought(plan, Goods.ReleaseWax).ShouldBe(2 * 2 * face / Goods.WaxCoversM2, 1e-9);
    }

    [Fact]
    public void Strips_are_bent_round_nails_in_a_template()
    {
        var ribbon = Plan(Kinds.All().Single(e => e is RibbonDocument));
        The(ribbon, WorkTask.TapeScrews).ShouldBeNull();
        The(ribbon, WorkTask.BendStrips)!.Goods.ShouldContain(g => g.Good == Goods.StripNail && g.Amount > 0);
        Bought(ribbon, Goods.StripNail).ShouldBe(ribbon.Elements!.Value[0].Build!.Mould!.Nails);
        Bought(Plan(Kinds.Stones()), Goods.StripNail).ShouldBe(0);
    }

    [Fact]
    public void A_wall_beside_it_is_covered_whatever_is_poured()
    {
        static EdgeDocument[] Edges(Meets last) => [.. Enumerable.Repeat(Meets.Form, 3).Append(last).Select(m => new EdgeDocument { Meets = m })];
        foreach (var element in Kinds.All().OfType<OutlinedDocument>().Where(e => !e.Traits.InMould && e.Outline is PresetOutlineDocument { Shape: PresetShape.Rectangle } && e is not CounterDocument))
        {
            var (walled, free) = (Plan(element with { Edges = Edges(Meets.Wall), Joints = null }), Plan(element with { Edges = Edges(Meets.Form), Joints = null }));
            The(walled, WorkTask.MaskNear)!.Goods.ShouldContain(g => g.Amount > 0, element.Name);
            The(free, WorkTask.MaskNear).ShouldBeNull(element.Name);
        }
    }

    [Fact]
    public void Diagonals_prove_what_has_corners_and_no_circle()
    {
        The(Plan(Kinds.Slab(Kinds.Rectangle("4 m", "3 m"))), WorkTask.CheckSquare)!.Numbers.ShouldContain(new TaskNumber(TaskFigure.DiagonalM, 5));
        The(Plan(Kinds.Slab(new PresetOutlineDocument { Shape = PresetShape.Circle, Along = "3 m" })), WorkTask.CheckSquare).ShouldBeNull();
    }

    [Fact]
    public void What_is_hired_for_a_day_is_hired_for_the_day_of_its_task()
    {
        var plan = Plan(Kinds.Slab(Kinds.Rectangle("4 m", "3 m")));
        var tasks = JobTasks.Of(plan, Told.Nothing);
        foreach (var gear in plan.Gear)
        {
            var wanted = tasks.Where(t => t.Gear.Contains(gear.Gear)).ToArray();
            wanted.ShouldNotBeEmpty($"{gear.Gear} is for no task");
            gear.Days.ShouldAllBe(d => wanted.Any(t => t.On <= d), $"{gear.Gear}");
        }

        plan.Gear.Single(g => g.Gear == Gear.StrikeBoard).Days.ShouldContain(plan.Pour!.Load.Task!.Date);
    }
}
