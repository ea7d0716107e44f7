using CsCheck;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Formwork;

/// <summary>Moulds of every make, what is let into a face, and what is cut together.</summary>
public sealed class MouldTests
{
    private static readonly MouldForm Stands = new(0.018, MouldSides.OnBottom, Bottom: true);
    private static readonly MouldForm Laps = new(0.018, MouldSides.LapBottom, Bottom: true);

    [Fact]
    public void Sides_that_lap_are_higher_by_the_sheet_and_their_bottom_is_the_piece()
    {
        var (on, beside) = (Mould.Of(Samples.Rectangle(0.9, 0.4), _ => true, 0.1, Stands, []), Mould.Of(Samples.Rectangle(0.9, 0.4), _ => true, 0.1, Laps, []));
        on.Parts.Where(p => p.Part == MouldPart.Side).ShouldAllBe(p => Math.Abs(p.AcrossM - 0.1) < 1e-12);
        beside.Parts.Where(p => p.Part == MouldPart.Side).ShouldAllBe(p => Math.Abs(p.AcrossM - 0.118) < 1e-12);
        var bottom = beside.Parts.Single(p => p.Part == MouldPart.Bottom);
        (bottom.AlongM, bottom.AcrossM).ShouldBe((0.9, 0.4));
        on.Parts.Single(p => p.Part == MouldPart.Bottom).AlongM.ShouldBe(0.9 + (2 * 0.068), 1e-12);
    }

    [Fact]
    public void A_section_lies_either_way_up_on_what_of_it_lies_below()
    {
        var profile = new CurbProfile(Mm(280), Mm(240), Mm(80), 2, EdgeEase.Sharp, default);
        var (up, down) = (Mould.OfProfile(profile, 0.9, Laps, topDown: false), Mould.OfProfile(profile, 0.9, Laps, topDown: true));
        up.Parts.Single(p => p.Part == MouldPart.Bottom).AcrossM.ShouldBe(0.28, 1e-12);
        down.Parts.Single(p => p.Part == MouldPart.Bottom).AcrossM.ShouldBe(0.24, 1e-12);
        var side = up.Parts.Single(p => p.Part == MouldPart.LeaningSide);
        side.Count.ShouldBe(2);
        side.AcrossM.ShouldBe(Math.Sqrt((80 * 80) + (20 * 20)) / 1000 + 0.018, 1e-12);
        side.AlongM.ShouldBe(0.936, 1e-12);
        up.Parts.Single(p => p.Part == MouldPart.End).ShouldBe(new SheetPart(MouldPart.End, 0.28, 0.098, 2));
        Mould.OfProfile(profile with { Faces = 1 }, 0.9, Laps, false).Parts.Count(p => p.Part is MouldPart.Side or MouldPart.LeaningSide).ShouldBe(2);
    }

    [Fact]
    public void Half_shells_hold_the_cone_they_are_rolled_to() => Gen.Select(Gen.Double[0.15, 0.6], Gen.Double[0.1, 0.6], Gen.Double[0.2, 1]).Sample((foot, top, high) =>
    {
        var shell = Mould.OfCone(foot, top, high, 6).Parts.Single(p => p.Part == MouldPart.HalfShell);
        var slant = Math.Sqrt(Math.Pow((foot - top) / 2, 2) + (high * high));
        var skin = Math.PI * (foot + top) / 2 * slant; // of a whole cone's side
        shell.Count.ShouldBe(12);
        (2 * shell.AlongM * shell.AcrossM).ShouldBeGreaterThan(skin - 1e-9);
        (2 * shell.AlongM * shell.AcrossM).ShouldBeLessThan(2.2 * skin);
    });

    [Fact]
    public void What_is_cut_together_takes_no_more_than_each_alone_and_no_less_than_its_area() =>
        Gen.Select(Gen.Double[0.1, 2.4], Gen.Double[0.05, 1.2]).Select((a, b) => new SheetCut(Math.Max(a, b), Math.Min(a, b), 0)).Array[1, 12].Select(Gen.Int[1, 4]).Sample((cuts, elements) =>
        {
            SheetCut[] whose = [.. cuts.Select((c, i) => c with { Element = i % elements })];
            var together = Mould.Stock.Of(whose);
            var alone = whose.GroupBy(c => c.Element).Sum(g => Mould.Stock.Of([.. g]).Count);
            together.Count.ShouldBeLessThanOrEqualTo(alone);
            together.Count.ShouldBeGreaterThanOrEqualTo((int)Math.Ceiling((whose.Sum(c => c.AlongM * c.AcrossM) / (Mould.SheetAlongM * Mould.SheetAcrossM)) - 1e-9));
            together.Shares.Sum(s => s.Sheets).ShouldBe(together.Count, 1e-9);
        });

    [Fact]
    public void Where_cutting_two_together_would_cost_a_sheet_they_are_cut_apart()
    {
        // Each alone fills one sheet; by height, together, they break each other's rows and would take three.
        SheetCut[] Rows(int element, params double[] high) => [.. high.Select(h => new SheetCut(2.3, h, element))];
        SheetCut[] whose = [.. Rows(0, 0.528, 0.336, 0.336), .. Rows(1, 0.432, 0.432, 0.336)];
        Mould.Stock.Count([.. whose.Select(c => (c.AlongM, c.AcrossM))]).ShouldBe(3);
        Mould.Stock.Of(whose).Count.ShouldBe(2);
    }

    [Fact]
    public void Too_many_parts_to_lay_out_are_told_by_their_area()
    {
        var many = Enumerable.Repeat(new SheetCut(0.5, 0.1, 0), SheetCutting.MostParts + 1).ToArray();
        Mould.Stock.Of(many).Count.ShouldBe((int)Math.Ceiling(many.Length * 0.05 / (Mould.SheetAlongM * Mould.SheetAcrossM * 0.8)));
    }

    [Fact]
    public void Sheets_and_sealant_of_two_tops_are_bought_together()
    {
        var one = Kinds.Counter(CounterCasting.FaceDown) with { Id = "a", Outline = Kinds.Rectangle("600 mm", "300 mm"), Edges = [], Openings = [] };
        PlanReport Of(params ElementDocument[] elements) => Plans.Of(Kinds.Job(elements), Samples.Steady(18));
        var (single, both) = (Of(one), Of(one, one with { Id = "b" }));
        single.Build!.Sheets.Single().Count.ShouldBe(1);
        both.Build!.Sheets.Single().Count.ShouldBe(1); // two bottoms of 736 x 436 and their sides lie on one sheet
        both.Buy!.Lines.Single(l => l.Kind == Core.Takeoff.GoodKind.Sheet).Used.ShouldBe(1, 1e-9);
        both.Build.Cartridges.ShouldBe(1);
        both.Build.Elements.Sum(e => e.Mould!.Cartridges).ShouldBe(2);
    }

    [Theory]
    [InlineData(PresetShape.Rectangle, true)]
    [InlineData(PresetShape.Circle, true)]
    [InlineData(PresetShape.Hexagon, true)]
    [InlineData(PresetShape.LShape, false)]
    [InlineData(PresetShape.QuarterCircle, true)]
    public void A_face_down_piece_is_cut_mirrored_unless_it_is_its_own_mirror(PresetShape shape, bool own)
    {
        var piece = Kinds.Stones() with
        {
            FaceDown = true,
            Outline = new PresetOutlineDocument { Shape = shape, Along = "500 mm", Across = "400 mm", NotchAlong = "200 mm", NotchAcross = "100 mm" },
        };
        Plans.Of(Kinds.Job(piece), Samples.Steady(18)).Build!.Elements[0].Mould!.Mirrored.ShouldBe(!own);
        Plans.Of(Kinds.Job(piece with { FaceDown = false }), Samples.Steady(18)).Build!.Elements[0].Mould!.Mirrored.ShouldBeFalse();
        // An edge left sharp tells one side from the other.
        Plans.Of(Kinds.Job(piece with { Edges = [new EdgeDocument { Meets = Meets.Form, Sharp = true }] }), Samples.Steady(18)).Build!.Elements[0].Mould!.Mirrored.ShouldBeTrue();
    }

    [Fact]
    public void A_hole_on_the_axis_leaves_a_plate_its_own_mirror_and_one_beside_it_does_not()
    {
        Outline With(double x, double y) => ((OutlineCheck.Sound)Outline.TryCreate(Samples.Rectangle(1, 0.5).Corners, [new Opening.Round(new(x, y), Mm(100))])).Outline;
        With(0.3, 0.25).IsItsOwnMirror.ShouldBeTrue();
        With(0.5, 0.1).IsItsOwnMirror.ShouldBeTrue();
        With(0.3, 0.1).IsItsOwnMirror.ShouldBeFalse();
    }

    [Fact]
    public void A_ribbon_s_strips_are_checked_against_its_bends_and_its_ends_are_closed()
    {
        var ribbon = Kinds.All().OfType<RibbonDocument>().First();
        var plan = Plans.Of(Kinds.Job(ribbon), Samples.Steady(18));
        var mould = plan.Build!.Elements[0].Mould!;
        // 200 and 300 mm by the middle, 80 mm wide: 160, 240, 260, 340.
        mould.Bends.Select(b => Math.Round(b.RadiusM, 3)).Order().ShouldBe([0.16, 0.24, 0.26, 0.34]);
        mould.Bends.ShouldAllBe(b => b.LeastRadiusM <= b.RadiusM + 1e-9);
        mould.Parts.Where(p => p.Part == MouldPart.Side).ShouldAllBe(p => Math.Abs(p.AlongM - 0.098) < 1e-9);
        mould.Parts.Where(p => p.Part == MouldPart.Side).Sum(p => p.Count).ShouldBe(2);
        plan.Findings.ShouldContain(f => f.Says is Notice.BendNeedsKerfs);
        var stiff = Plans.Of(Kinds.Job(ribbon with { Forms = new FormsDocument { PlyMm = 9 } }), Samples.Steady(18)).Findings.Single(f => f.Says is Notice.PlyTooStiff);
        stiff.Remedies.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_loose_pier_is_cast_in_halves_and_lifted()
    {
        var plan = Plans.Of(Kinds.Job(Kinds.Loose()), Samples.Steady(18));
        var mould = plan.Build!.Elements[0].Mould.ShouldNotBeNull();
        mould.Parts.ShouldContain(p => p.Part == MouldPart.HalfShell);
        mould.Moulds.ShouldBe(2);
        mould.Castings.Count.ShouldBe(2);
        plan.Build.Elements[0].Dig.ShouldNotBeNull();
        var tube = Plans.Of(Kinds.Job(Kinds.Footing() with { AsPiece = true }), Samples.Steady(18)).Findings.Single(f => f.Says is Notice.TubeStandsInPlace);
        (tube.Severity, tube.Where.Path).ShouldBe((Severity.Error, "/elements/0/asPiece"));
    }

    [Fact]
    public void A_rebate_takes_its_ring_and_its_block_stands_in_the_mould()
    {
        var plan = Plans.Of(Kinds.Job(Kinds.LetIn()), Samples.Steady(18));
        var said = Plans.Of(Kinds.Job(Kinds.LetIn() with { Openings = [] }), Samples.Steady(18));
        // 506 x 356 with corners of 43, a step of 15 x 8 mm round it, in 40 mm.
        var hole = (506 * 356) - ((4 - Math.PI) * 43 * 43);
        var ring = (15 * ((2 * (506 + 356)) - ((8 - (2 * Math.PI)) * 43))) + (Math.PI * 15 * 15);
        (said.Shape!.NetL - plan.Shape!.NetL).ShouldBe(((hole * 40) + (ring * 8)) / 1e6, 1e-6);
        var block = plan.Build!.Elements[0].Mould!.Parts.Single(p => p.Part == MouldPart.RebateBlock);
        (block.AlongM, block.AcrossM).ShouldBe((0.536, 0.386));
        var opening = plan.Shape.Elements[0].Openings.Single();
        (Math.Round(opening.CornerM, 9), opening.RebateM, opening.RebateMm).ShouldBe((0.043, 0.015, 8));
    }

    [Fact]
    public void An_insert_has_its_place_its_slot_and_its_over_all_size()
    {
        var plan = Plans.Of(Kinds.Job(Kinds.Nosed()), Samples.Steady(18));
        var insert = plan.Shape!.Elements[0].Inserts.Single();
        (insert.Centre, insert.OutMm, insert.OverAllMm).ShouldBe((new PlanPoint(0.15, 0.15), 12, 112));
        insert.DisplacesL.ShouldBe(0.06 * 0.04 * 0.03 * 1000, 1e-9);
        (Plans.Of(Kinds.Job(Kinds.Nosed() with { Inserts = null }), Samples.Steady(18)).Shape!.NetL - plan.Shape.NetL).ShouldBe(2 * insert.DisplacesL, 1e-9);
        plan.Findings.ShouldContain(f => f.Says is Notice.InsertRusts);
        // One edge of 1.1 m rounded to 15 mm.
        var sharp = Plans.Of(Kinds.Job(Kinds.Nosed() with { Chamfer = "" }), Samples.Steady(18)).Shape!.NetL;
        (sharp - plan.Shape.NetL).ShouldBe(2 * 1.1 * 0.015 * 0.015 * (1 - (Math.PI / 4)) * 1000, 1e-9);
    }

    [Theory]
    [InlineData("1.2 m", "150 mm", "60 mm", "30 mm", "width")] // beside it
    [InlineData("150 mm", "150 mm", "400 mm", "30 mm", "width")] // over its edge
    [InlineData("150 mm", "150 mm", "60 mm", "120 mm", "deep")] // through and beyond
    public void An_insert_larger_than_its_piece_is_told_at_its_field_and_nothing_is_lost(string along, string across, string width, string deep, string field)
    {
        var job = Kinds.Job(Kinds.Nosed() with { Inserts = [Kinds.Socket() with { Along = along, In = across, Width = width, Deep = deep }] });
        var found = Plans.Of(job, Samples.Steady(18)).Findings.Single(f => f.Says is Notice.InsertTooLarge);
        (found.Severity, found.Where.Path).ShouldBe((Severity.Error, $"/elements/0/inserts/0/{field}"));
    }

    [Fact]
    public void What_is_let_in_too_deep_or_nearly_through_or_hangs_far_over_is_told()
    {
        Finding Told<T>(ElementDocument element) => Plans.Of(Kinds.Job(element), Samples.Steady(18)).Findings.Single(f => f.Says is T);
        var top = Kinds.LetIn();
        var deep = Told<Notice.RebateTooDeep>(top with { Openings = [top.Openings[0] with { Rebate = new RebateDocument { Width = "15 mm", Depth = "25 mm" } }] });
        (deep.Severity, deep.Where.Path).ShouldBe((Severity.Error, "/elements/0/openings/0/rebate/depth"));
        var wide = Told<Notice.RebateOverEdge>(top with { Openings = [top.Openings[0] with { Rebate = new RebateDocument { Width = "150 mm", Depth = "5 mm" } }] });
        (wide.Severity, wide.Where.Path).ShouldBe((Severity.Error, "/elements/0/openings/0/rebate/width"));
        var bed = Kinds.All().OfType<PebbleBedDocument>().First();
        Told<Notice.RebateTooDeep>(bed with { Outline = top.Outline, Openings = top.Openings }).Severity.ShouldBe(Severity.Error);
        Told<Notice.InsertNearlyThrough>(Kinds.Nosed() with { Inserts = [Kinds.Socket() with { Deep = "90 mm" }] }).Where.Path.ShouldBe("/elements/0/inserts/0/deep");
        Told<Notice.OverhangWantsBrackets>(top with { Overhang = "161 mm" }).Where.Path.ShouldBe("/elements/0/overhang");
        Plans.Of(Kinds.Job(top with { Overhang = "160 mm" }), Samples.Steady(18)).Findings.ShouldNotContain(f => f.Says is Notice.OverhangWantsBrackets);
    }

    [Fact]
    public void Coping_holds_its_section_times_its_length()
    {
        var plan = Plans.Of(Kinds.Job(Kinds.Coping() with { Ease = EdgeEase.Sharp, EaseSize = "" }), Samples.Steady(18));
        plan.Shape!.NetL.ShouldBe(5 * 0.9 * 0.26 * 0.08 * 1000, 1e-9);
        plan.Build!.Elements[0].Mould!.Mirrored.ShouldBeFalse();
        Plans.Of(Kinds.Job(Kinds.Coping() with { TopDown = true }), Samples.Steady(18)).Build!.Elements[0].Mould!.Parts.Single(p => p.Part == MouldPart.Bottom).AcrossM
            .ShouldBe(0.24 + (2 * 0.068), 1e-9);
        var wrong = Plans.Of(Kinds.Job(Kinds.Coping() with { Batter = 5 }), Samples.Steady(18)).Findings.Single(f => f.Says is Notice.CurbWantsTwo);
        wrong.Where.Path.ShouldBe("/elements/0/batter");
    }

    [Fact]
    public void A_skim_copies_the_fall_of_what_it_lies_on()
    {
        var skim = Kinds.All().OfType<OverlayDocument>().First();
        var copied = Plans.Of(Kinds.Job(skim with { Fall = new EdgeFallDocument { Edge = 0, Percent = 0.5 } }), Samples.Steady(18));
        var fall = copied.Shape!.Elements[0].Fall!;
        (fall.Copied, fall.Percent).ShouldBe((true, 0.5));
        fall.CornersMm.Max().ShouldBe(8, 1e-9); // 1.6 m at 1 in 200
        copied.Findings.Single(f => f.Says is Notice.FallTooFlat).Remedies.ShouldBeEmpty(); // it would have to be a wedge
        Plans.Of(Samples.Terrace(), Samples.Steady(18)).Shape!.Elements[0].Fall!.Copied.ShouldBeFalse();
    }

    [Fact]
    public void Every_kind_is_told_how_the_air_gets_out_of_it()
    {
        foreach (var element in Kinds.All())
        {
            var placing = Plans.Of(Kinds.Job(element), Samples.Steady(18)).Load?.Placing.ShouldHaveSingleItem();
            (placing is null || (placing.Lifts * placing.LiftMm > 0 && placing.LiftMm <= 500)).ShouldBeTrue($"{element.Name}");
        }

        Core.Finishing.Consolidation How(ElementDocument element) => Plans.Of(Kinds.Job(element), Samples.Steady(18)).Load!.Placing[0].How;
        How(Kinds.Slab(Kinds.Rectangle("2 m", "1 m"))).ShouldBe(Core.Finishing.Consolidation.SpadeEdges);
        How(Kinds.Curb()).ShouldBe(Core.Finishing.Consolidation.RodAndTap);
        How(Kinds.Stones()).ShouldBe(Core.Finishing.Consolidation.TapMould);
        How(Kinds.Counter()).ShouldBe(Core.Finishing.Consolidation.Sander);
        var pier = Plans.Of(Kinds.Job(Kinds.Footing()), Samples.Steady(18)).Load!.Placing[0];
        (pier.How, pier.Lifts).ShouldBe((Core.Finishing.Consolidation.RodAndTap, 6)); // 800 mm in lifts of 133
    }

    private static Length Mm(double mm) => Length.FromMillimetres(mm);
}
