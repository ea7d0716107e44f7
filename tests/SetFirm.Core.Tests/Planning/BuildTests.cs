using System.Text.Json.Nodes;
using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What holds a pour: ground, strings, boards, steel, and a way out of each finding.</summary>
public sealed class BuildTests
{
    private static readonly JobDocument Terrace = Samples.Terrace();

    [Fact]
    public void Ground_and_frost_decide_the_base_unless_it_is_said()
    {
        Plan(With(Terrace, b => b with { Soil = Soil.Wet })).Build!.Dig!.BaseMm.ShouldBe(75);
        var thin = With(Terrace, b => b with { Frost = Frost.Hard, Base = "50 mm" });
        var report = Plan(thin);
        report.Build!.Dig!.BaseMm.ShouldBe(50, 1e-9);
        var finding = report.Findings.Single(f => f.Says is Notice.BaseThinnerThanAdvised);
        finding.Says<Notice.BaseThinnerThanAdvised>().AdvisedMm.ShouldBe(125);
        Plan(RemedyText.Taken(thin, finding.Remedies[0])).Build!.Dig!.BaseMm.ShouldBe(125);
    }

    [Fact]
    public void Every_stake_and_corner_is_told_from_the_string()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("4 m", "3 m")) with { Fall = new EdgeFallDocument { Edge = 0, Percent = 2 } });
        var element = Plan(With(job, b => b with { StringAbove = "100 mm" })).Build!.Elements[0];
        element.Corners.ShouldBe([100, 100, 160, 160], 1e-6);
        element.Forms!.Stakes.ShouldAllBe(s => Math.Abs(s.DownMm - (100 + (s.At.Y * 20))) < 1e-6);
        element.Diagonals.ShouldAllBe(d => Math.Abs(d.LengthM - 5) < 1e-9);
    }

    [Fact]
    public void Isolation_and_bond_breaker_follow_from_what_the_edges_meet()
    {
        var slab = Kinds.Slab(Kinds.Rectangle("4 m", "3 m"), "100 mm", Meets.Wall, Meets.EarlierPanel, Meets.OldSlab, Meets.Form) with
        {
            Openings = [new RoundOpeningDocument { Name = "Drain", Along = "2 m", In = "1 m", Diameter = "200 mm", Use = OpeningUse.Drain }],
        };
        var element = Plan(Kinds.Job(slab)).Build!.Elements[0];
        element.IsolationM.ShouldBe(8 + (Math.PI * 0.2), 1e-9);
        element.BondBreakerM.ShouldBe(3, 1e-9);
        element.Forms!.Runs.ShouldHaveSingleItem().Edge.ShouldBe(3);
    }

    [Fact]
    public void Boards_of_all_elements_are_cut_from_one_stock()
    {
        var two = Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")), Kinds.Slab(Kinds.Rectangle("2 m", "1 m")));
        var list = Plan(two).Build!.Boards.ShouldHaveSingleItem();
        list.Boards.SelectMany(b => b.Cuts).Select(c => c.For).Distinct().Count().ShouldBe(8);
        list.Boards.Count.ShouldBeLessThanOrEqualTo(2 * Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")))).Build!.Boards[0].Boards.Count);
        list.Boards.ShouldAllBe(b => b.Cuts.Sum(c => c.LengthM) <= b.LengthM + 1e-9);
    }

    [Fact]
    public void Stock_that_is_said_is_the_stock_that_is_cut() =>
        Plan(With(Terrace, b => b with { Stock = ["5.4 m"] })).Build!.Boards[0].Boards.ShouldAllBe(b => b.LengthM == 5.4);

    [Fact]
    public void Showing_a_job_in_the_other_system_changes_no_board()
    {
        var job = Terrace with { Elements = [Samples.TerraceSlab() with { Openings = [] }] };
        ReportText.Of(Plan(job with { Units = UnitSystem.Us }).Build!).ShouldBe(ReportText.Of(Plan(job).Build!));
        Plan(job).Build!.Boards[0].Stock.ShouldBe("47x100");
    }

    [Fact]
    public void A_low_nominal_board_has_the_base_dug_below_it()
    {
        var us = Kinds.Job(Kinds.Slab(Kinds.Rectangle("8 ft", "5 ft"), "100 mm"));
        var report = Plan(With(us, b => b with { Sold = UnitSystem.Us }));
        report.Build!.Elements[0].Forms!.Board.ShouldBe("2x4");
        report.Findings.Single(f => f.Says is Notice.DigBelowBoard).Says<Notice.DigBelowBoard>().GapMm.ShouldBe(11, 1e-9);
    }

    [Fact]
    public void A_board_too_low_is_named_and_taken_back()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"), "150 mm") with { Forms = new FormsDocument { Board = "22x100" } });
        var low = Plan(job).Findings.Single(f => f.Says is Notice.BoardTooLow);
        low.Where.Path.ShouldBe("/elements/0/forms/board");
        Plan(RemedyText.Taken(job, low.Remedies[0])).Build!.Elements[0].Forms!.Board.ShouldBe("47x150");
        Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Forms = new FormsDocument { Board = "9x9" } }))
            .Findings.ShouldContain(f => f.Says is Notice.UnknownBoard && f.Severity == Severity.Error);
    }

    [Fact]
    public void Ply_too_stiff_for_its_curve_is_named_at_its_field_and_another_taken()
    {
        var circle = new PresetOutlineDocument { Shape = PresetShape.Circle, Along = "3 m" };
        var job = Kinds.Job(Kinds.Slab(circle) with { Forms = new FormsDocument { PlyMm = 18 } });
        var stiff = Plan(job).Findings.Single(f => f.Says is Notice.PlyTooStiff);
        (stiff.Where.Path, Math.Round(stiff.Says<Notice.PlyTooStiff>().RadiusMm), stiff.Says<Notice.PlyTooStiff>().LeastMm).ShouldBe(("/elements/0/forms/plyMm", 1500, 3700));
        var mended = Plan(RemedyText.Taken(job, stiff.Remedies[0]));
        mended.Findings.ShouldNotContain(f => f.Says is Notice.PlyTooStiff);
        mended.Build!.Elements[0].Forms!.Bends.ShouldAllBe(b => b.LeastRadiusM <= b.RadiusM);
        State(Plan(job), Step.Build).ShouldBe(StepState.WantsDecision);
        State(Plan(job), Step.Shape).ShouldBe(StepState.Settled);
    }

    [Fact]
    public void A_very_tight_curve_wants_kerfs_or_sheet_metal() => Plan(Kinds.Job(Kinds.Border() with { Path = [new ArcDocument { Radius = "200 mm", Sweep = 170 }] }))
        .Findings.ShouldContain(f => f.Says is Notice.BendNeedsKerfs);

    [Fact]
    public void Steel_that_does_not_fit_says_what_would_and_a_tap_takes_it()
    {
        var thin = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3.4 m", "3.4 m"), "88 mm") with { Steel = new SteelDocument { School = SteelSchool.BarGrid } });
        var finding = Plan(thin).Findings.Single(f => f.Says is Notice.SteelDoesNotFit);
        var says = finding.Says<Notice.SteelDoesNotFit>();
        (says.Misfit, says.Better, says.LeastMm).ShouldBe((SteelMisfit.TooThin, SteelSchool.Mesh, 96));
        Plan(RemedyText.Taken(thin, finding.Remedies[0])).Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.Mesh);
        var thick = Plan(RemedyText.Taken(thin, finding.Remedies[1]));
        thick.Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
        thick.Build!.Elements[0].Steel.CoverMm.ShouldBeGreaterThanOrEqualTo(38 - 1e-6);
    }

    [Fact]
    public void A_car_on_a_thin_slab_is_told_so_and_is_never_offered_less_steel()
    {
        var drive = Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "3 m"), "90 mm") with { Use = SlabUse.Drive });
        var finding = Plan(drive).Findings.Single(f => f.Says is Notice.SteelDoesNotFit);
        finding.Says<Notice.SteelDoesNotFit>().Misfit.ShouldBe(SteelMisfit.TooLight);
        var mended = Plan(RemedyText.Taken(drive, finding.Remedies[^1]));
        mended.Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
        mended.Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.BarGrid);
        // At 100 mm what people build stands.
        Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "3 m")) with { Use = SlabUse.Drive })).Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
    }

    [Fact]
    public void On_bare_earth_both_ways_out_keep_the_steel()
    {
        var job = With(Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "3 m"))), b => b with { Plastic = false });
        var finding = Plan(job).Findings.Single(f => f.Says is Notice.SteelDoesNotFit);
        finding.Says<Notice.SteelDoesNotFit>().Misfit.ShouldBe(SteelMisfit.BareEarth);
        finding.Remedies.Select(r => r.Does.GetType()).ShouldBe([typeof(Mend.PlasticUnder), typeof(Mend.StoneUnder)]);
        foreach (var remedy in finding.Remedies)
        {
            var mended = Plan(RemedyText.Taken(job, remedy));
            mended.Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
            mended.Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.Mesh);
        }
    }

    [Fact]
    public void No_way_out_takes_steel_out_of_a_piece_that_needs_it() => Gen.Select(
        Gen.Int[0, Kinds.All().Count - 1], Gen.Enum<SteelSchool>(), Gen.Double[40, 160], Gen.Bool).Sample((kind, school, mm, plastic) =>
    {
        var element = Kinds.All()[kind] is SlabDocument slab ? slab with { Thickness = $"{mm:0} mm" } : Kinds.All()[kind];
        var job = With(Kinds.Job(element with { Steel = new SteelDocument { School = school } }), b => b with { Plastic = plastic });
        var before = Plan(job);
        foreach (var remedy in before.Findings.Where(f => f.Says is Notice.SteelDoesNotFit).SelectMany(f => f.Remedies))
        {
            var (was, now) = (before.Build!.Elements[0].Steel, Plan(RemedyText.Taken(job, remedy)).Build!.Elements[0].Steel);
            var needs = before.Findings.Select(f => f.Says).OfType<Notice.SteelDoesNotFit>().First().LongestM > Schools.SmallPanelM || element is SlabDocument { Use: SlabUse.Drive };
            (Schools.Holds(was.School) && needs && !Schools.Holds(now.School)).ShouldBeFalse($"{element.Name} {school}: {remedy.Does}");
        }
    }, iter: 60);

    [Fact]
    public void A_bench_top_that_spans_wants_bars_and_is_thickened_for_them()
    {
        var bench = Kinds.LetIn() with { Openings = [], Spans = true };
        var job = Kinds.Job(bench);
        var told = Plan(job).Findings.Single(f => f.Says is Notice.SteelDoesNotFit);
        told.Says<Notice.SteelDoesNotFit>().Misfit.ShouldBe(SteelMisfit.Spans);
        var thicker = Plan(RemedyText.Taken(job, told.Remedies.Single(r => r.Does is Mend.ThickerSlab)));
        thicker.Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
        thicker.Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.TwoRows);
        Plan(Kinds.Job(bench with { Spans = false })).Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit || f.Says is Notice.SpansBetweenSupports);
    }

    [Fact]
    public void A_tread_spans_unless_it_is_said_to_lie_on_something_and_says_who_sizes_its_steel()
    {
        var tread = Kinds.Stones() with { Use = PieceUse.Tread, Outline = Kinds.Rectangle("1.1 m", "350 mm"), Thickness = "100 mm", Chamfer = "" };
        var plan = Plan(Kinds.Job(tread));
        plan.Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.TwoRows);
        plan.Findings.ShouldContain(f => f.Says is Notice.SpansBetweenSupports);
        // Low when it lies: on the bottom of a mould that is filled face up, near the open side of one that is filled face down.
        var down = Plan(Kinds.Job(tread with { FaceDown = true })).Build!.Elements[0].Steel;
        (plan.Build.Elements[0].Steel.HeightsMm.Single(), plan.Build.Elements[0].Steel.CoverMm).ShouldBe((70, 25));
        (down.HeightsMm.Single(), down.CoverMm).ShouldBe((70, 65));
        down.Bars.Count.ShouldBe(2); // side by side
        Plan(Kinds.Job(tread with { Spans = false })).Build!.Elements[0].Steel.School.ShouldBe(SteelSchool.None);
        // Too thin for bars: thicker, with bars.
        var thin = Kinds.Job(tread with { Thickness = "50 mm" });
        var finding = Plan(thin).Findings.Single(f => f.Says is Notice.SteelDoesNotFit);
        finding.Says<Notice.SteelDoesNotFit>().Misfit.ShouldBe(SteelMisfit.Spans);
        Plan(RemedyText.Taken(thin, finding.Remedies.Single(r => r.Does is Mend.ThickerSlab))).Findings.ShouldNotContain(f => f.Says is Notice.SteelDoesNotFit);
    }

    [Fact]
    public void Fibre_is_in_every_batch_in_its_order_and_on_the_list()
    {
        var plan = Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("1.4 m", "1.2 m")) with { Steel = new SteelDocument { School = SteelSchool.Fibre } }));
        foreach (var recipe in plan.Load!.Recipes)
        {
            recipe.Measures.Single(m => m.What == MeasuredThing.Fibre).Kg.ShouldBe(0.75 * recipe.VolumeL / 1000, 0.05 * 0.75 * recipe.VolumeL / 1000);
        }

        plan.Load.MeasureOut.ShouldContain(m => m.What == MeasuredThing.Fibre);
        plan.Load.LoadingOrder.ShouldContain(m => m.Step == LoadingStep.Fibre);
        plan.Buy!.Lines.ShouldContain(l => l.Kind == Core.Takeoff.GoodKind.Fibre);
        Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("1.4 m", "1.2 m")))).Load!.LoadingOrder.ShouldNotContain(m => m.Step == LoadingStep.Fibre);
    }

    [Fact]
    public void A_kerb_takes_two_rows_with_cover_above_and_below()
    {
        var steel = Plan(Kinds.Job(Kinds.Curb())).Build!.Elements[0].Steel;
        (steel.School, steel.Advised, steel.HeightsMm.Count).ShouldBe((SteelSchool.TwoRows, SteelSchool.TwoRows, 2));
        steel.HeightsMm.Min().ShouldBe(43, 1e-9);
        steel.CoverMm.ShouldBe(38, 1e-9);
        steel.CrossPieces.ShouldBeGreaterThan(4);
    }

    [Fact]
    public void A_kerb_on_a_slab_is_nailed_to_it_and_one_on_the_ground_is_staked()
    {
        var (ground, slab) = (Plan(Kinds.Job(Kinds.Curb())), Plan(Kinds.Job(Kinds.Curb() with { OnSlab = true })));
        var (staked, nailed) = (ground.Build!.Elements[0].Forms!, slab.Build!.Elements[0].Forms!);
        (staked.Nailed, nailed.Nailed, nailed.Stakes.Count).ShouldBe((false, true, staked.Stakes.Count));
        (ground.Build.Stakes, slab.Build.Stakes).ShouldBe((staked.Stakes.Count, 0));
        nailed.Ties.ShouldBe(6); // 5 m, no further apart than 1.2
        slab.Build.Dig.ShouldBeNull();
        ground.Build.Dig!.DepthMm.ShouldBe(ground.Build.Dig.BaseMm, 1e-9); // it stands on the ground: dug for its base alone
        slab.Buy!.Lines.ShouldNotContain(l => l.Kind == Core.Takeoff.GoodKind.Stake);
        slab.Buy.Lines.Single(l => l.Kind == Core.Takeoff.GoodKind.MasonryNail).Used.ShouldBe(nailed.Stakes.Count, 1e-9);
        ground.Buy!.Lines.ShouldNotContain(l => l.Kind == Core.Takeoff.GoodKind.MasonryNail);
        slab.Build.Inspections.ShouldContain(Core.Tasks.Inspection.SurfaceClean);
        slab.Build.Inspections.ShouldNotContain(Core.Tasks.Inspection.StakesCut);
        slab.Findings.ShouldNotContain(f => f.Says is Notice.MarkServices);
    }

    [Fact]
    public void The_board_behind_a_battered_face_is_ripped_to_its_lean_and_the_ends_are_capped()
    {
        var rip = Plan(Kinds.Job(Kinds.Curb())).Build!.Elements[0].Forms!.Rip.ShouldNotBeNull();
        rip.Degrees.ShouldBe(10, 1e-9);
        rip.FaceMm.ShouldBe(140 / Math.Cos(10 * Math.PI / 180), 1e-9);
        (rip.CapBaseMm, rip.CapMm, rip.Faces).ShouldBe((180, 140, 1));
        rip.CapTopMm.ShouldBe(180 - (140 * Math.Tan(10 * Math.PI / 180)), 1e-9);
        Plan(Kinds.Job(Kinds.Border())).Build!.Elements[0].Forms!.Rip.ShouldBeNull();
    }

    [Fact]
    public void How_far_the_top_stands_above_the_ground_is_asked_and_a_bad_answer_is_told_there()
    {
        var high = Plan(Terrace.WithSlab(s => s with { Above = "80 mm" })).Build!.Dig!;
        var usual = Plan(Terrace).Build!.Dig!;
        (usual.AboveMm, high.AboveMm).ShouldBe((30, 80));
        high.DepthMm.ShouldBe(usual.DepthMm - 50, 1e-9);
        var bad = Plan(Terrace.WithSlab(s => s with { Above = "a hand" }));
        bad.Findings.Single(f => f.Severity == Severity.Error).Where.Path.ShouldBe("/elements/0/above");
        bad.Build!.Dig!.AboveMm.ShouldBe(30);
    }

    [Theory]
    [InlineData(0.5, typeof(Notice.FallTooFlat))]
    [InlineData(1.5, typeof(Notice.FallFlatAtHouse))]
    public void A_flat_fall_is_warned_of_and_made_steeper(double percent, Type code)
    {
        var job = Terrace.WithSlab(s => s with { Fall = new EdgeFallDocument { Edge = 4, Percent = percent } });
        var flat = Plan(job).Findings.Single(f => f.Says.GetType() == code);
        Plan(RemedyText.Taken(job, flat.Remedies[0])).Findings.ShouldNotContain(f => f.Says is Notice.FallTooFlat || f.Says is Notice.FallFlatAtHouse);
    }

    [Fact]
    public void Water_to_the_wall_is_warned_of()
    {
        var job = Terrace.WithSlab(s => s with { Fall = new EdgeFallDocument { Edge = 0, Percent = 2 } });
        var wet = Plan(job).Findings.Single(f => f.Says is Notice.FallToWall);
        Plan(RemedyText.Taken(job, wet.Remedies[0])).Findings.ShouldNotContain(f => f.Says is Notice.FallToWall);
    }

    [Fact]
    public void A_drain_lies_lower_than_every_corner()
    {
        var fall = Plan(Terrace.WithSlab(s => s with { Fall = new DrainFallDocument { Opening = 0, Percent = 2 } })).Shape!.Elements[0].Fall!;
        fall.DrainMm!.Value.ShouldBeGreaterThan(fall.CornersMm.Max() + 24);
    }

    [Fact]
    public void The_list_before_the_pour_is_made_from_the_job()
    {
        var slab = Plan(Terrace).Build!.Inspections;
        slab.ShouldContain(Inspection.Fall);
        slab.ShouldContain(Inspection.StakesCut);
        slab.ShouldContain(Inspection.Drain);
        slab.ShouldNotContain(Inspection.SeamsCured);
        var cast = Plan(Kinds.Job(Kinds.Counter())).Build!.Inspections;
        cast.ShouldContain(Inspection.SeamsCured);
        cast.ShouldContain(Inspection.ScrimReady);
        cast.ShouldNotContain(Inspection.StakesCut);
        var skim = Plan(Kinds.Job(Kinds.All().OfType<OverlayDocument>().Single())).Build!.Inspections;
        skim.ShouldContain(Inspection.SurfaceClean);
    }

    [Fact]
    public void A_heavy_piece_says_who_or_what_lifts_it() => Plan(Kinds.Job(Kinds.Counter(CounterCasting.FaceDown)))
        .Findings.Single(f => f.Says is Notice.HeavyPiece).Says<Notice.HeavyPiece>().MassKg.ShouldBeInRange(80, 100);

    [Fact]
    public void A_formed_joint_gets_a_board_and_stakes()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "3 m")) with { Joints = [new JointDocument { Across = true, At = "2.5 m", Method = JointMethod.Formed }] });
        var build = Plan(job).Build!;
        build.Boards[0].Boards.SelectMany(b => b.Cuts).ShouldContain(c => c.For == "1.J" && Math.Abs(c.LengthM - 3) < 1e-9);
        build.Elements[0].Forms!.Stakes.ShouldContain(s => s.Why == StakeAt.Bulkhead);
    }

    [Fact]
    public void A_job_of_version_one_is_brought_up_and_plans_the_same_slab()
    {
        var old = JobText.TryRead(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Planning/job-file.version-1.json"))).ShouldBeOfType<JobRead.Ok>().Document;
        old.Version.ShouldBe(JobDocument.CurrentVersion);
        var slab = old.Elements.ShouldHaveSingleItem().ShouldBeOfType<SlabDocument>();
        slab.Edges.Select(e => e.Meets).ShouldBe([Meets.Form, Meets.Form, Meets.Form, Meets.Wall, Meets.Wall, Meets.Form]);
        Plan(old).Shape!.AreaM2.ShouldBe(Plan(Terrace).Shape!.AreaM2, 1e-9);
        JobText.TryRead("{\"format\":\"setfirm-job\",\"version\":1,\"elements\":7}").ShouldBeOfType<JobRead.Unreadable>();
        JobText.TryRead("{\"format\":\"setfirm-job\",\"version\":1,\"elements\":[{\"edges\":[null,3,{\"meets\":null}]}]}").ShouldBeOfType<JobRead.Unreadable>();
    }

    private static JobDocument With(JobDocument job, Func<BuildDocument, BuildDocument> change) => job with { Build = change(job.Build) };

    private static PlanReport Plan(JobDocument job) => Plans.Of(job, Samples.Steady(18));

    private static StepState State(PlanReport report, Step step) => report.Steps.Single(s => s.Step == step).State;
}
