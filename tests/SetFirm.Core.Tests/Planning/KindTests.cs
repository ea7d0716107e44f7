using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Every kind of element through the planner: its volume, its parts, its section, and what is wrong with it.</summary>
public sealed class KindTests
{
    public static TheoryData<int> Indexes => [.. Enumerable.Range(0, Kinds.All().Count)];

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Every_kind_is_wholly_planned_by_itself(int index)
    {
        var report = Plan(Kinds.All()[index]);
        report.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        report.Cure.ShouldNotBeNull();
        report.Build.ShouldNotBeNull().Elements.ShouldHaveSingleItem();
        var element = report.Shape!.Elements[0];
        element.NetL.ShouldBe(element.Parts.Where(p => p.InMix).Sum(p => p.Litres), 1e-9);
        element.Section.Pieces.ShouldNotBeEmpty();
        element.Section.Pieces.ShouldAllBe(p => p.Points.Count >= 3 && p.Points.All(q => q.Y <= 1e-9));
        element.PieceKg.ShouldBe(element.NetL * 2.35 / element.Count, 1e-6);
    }

    [Fact]
    public void Every_kind_is_tried_above() =>
        Kinds.All().Select(e => e.GetType()).Distinct().ShouldBe(
            typeof(ElementDocument).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(ElementDocument)) && !t.IsAbstract), ignoreOrder: true);

    [Fact]
    public void A_section_shows_as_much_concrete_as_there_is()
    {
        // Where a section is cut square through all of a path or a footing, its area times the length is the volume.
        var curb = Drawn(Kinds.Curb());
        (SectionArea(curb) * 5 * 1000).ShouldBe(curb.NetL, 0.001 * curb.NetL);
        var border = Drawn(Kinds.Border());
        (SectionArea(border) * border.PerimeterM * 1000).ShouldBe(border.NetL, 1e-6);
    }

    [Fact]
    public void A_thickened_edge_and_an_apron_are_parts_of_their_own()
    {
        var slab = Drawn(Kinds.Slab(Kinds.Rectangle("4 m", "3 m")) with { Edges = [.. Enumerable.Repeat(Kinds.Dropped("200 mm", "100 mm"), 4)] });
        slab.NetL.ShouldBe(1464, 1e-6);
        slab.Parts.Select(p => p.Part).ShouldBe([CastPart.Slab, CastPart.ThickEdges]);
        var counter = Drawn(Kinds.Counter());
        counter.Parts.Single(p => p.Part == CastPart.Field).Litres.ShouldBe(((1.6 * 0.62) - (Math.PI * 0.165 * 0.165)) * 40, 1e-6);
        // Two aprons share their corner once.
        counter.Parts.Single(p => p.Part == CastPart.Aprons).Litres.ShouldBe(((1.6 * 0.04) + (0.58 * 0.04)) * 25, 1e-6);
    }

    [Fact]
    public void An_overlay_goes_by_the_mean_of_its_probes_each_for_its_share()
    {
        var skim = Drawn(Kinds.All().OfType<OverlayDocument>().Single());
        skim.NetL.ShouldBe(2.7 * 1.6 * ((14 + (2 * 20)) / 3.0), 1e-9);
    }

    [Fact]
    public void Pebbles_leave_the_bed_under_them_and_slurry_between_them()
    {
        var bed = Drawn(Kinds.All().OfType<PebbleBedDocument>().Single());
        bed.NetL.ShouldBe(40, 1e-9);
        bed.Parts.Single(p => p.Part == CastPart.Slurry).ShouldBe(new PartReport(CastPart.Slurry, 30 * 0.4, InMix: false));
    }

    [Fact]
    public void A_chamfer_takes_off_what_a_pyramid_of_slices_says()
    {
        var block = new PieceDocument
        {
            Name = "Block",
            Use = PieceUse.Block,
            Outline = Kinds.Rectangle("400 mm", "200 mm"),
            Edges = [],
            Openings = [],
            Thickness = "150 mm",
            Chamfer = "10 mm",
            Casting = new MouldsDocument { Pieces = 3, Moulds = 1 },
            Bed = Bed.Rigid,
            Finish = Core.Finishing.Finish.Mag,
        };
        var slices = Enumerable.Range(0, 10_000).Sum(i => (0.4 - (2 * 0.01 * (i + 0.5) / 10_000)) * (0.2 - (2 * 0.01 * (i + 0.5) / 10_000)) * 0.01 / 10_000);
        Drawn(block).NetL.ShouldBe(3000 * ((0.4 * 0.2 * 0.14) + slices), 1e-5);
    }

    [Fact]
    public void Pieces_from_few_moulds_are_poured_over_several_days()
    {
        var report = Plan(Kinds.Stones());
        var mould = report.Build!.Elements[0].Mould!;
        mould.Castings.Select(c => (c.Pieces, c.CastDay)).ShouldBe([(2, 0), (2, 2), (2, 4)]);
        var day = report.Load!.Batches.Sum(b => b.VolumeL);
        day.ShouldBeGreaterThanOrEqualTo((report.Shape!.OrderL / 3) + 1.5 - 1e-6);
        day.ShouldBeLessThan(report.Shape.OrderL); // one casting, not all
        (report.Mix!.Bagged!.Count * report.Mix.Bagged.YieldL).ShouldBeGreaterThanOrEqualTo(report.Shape.OrderL); // all bags, not one casting's
    }

    [Fact]
    public void A_curb_is_the_same_from_any_two_of_base_top_and_batter()
    {
        var top = 180 - (140 * Math.Tan(10 * Math.PI / 180));
        var net = Drawn(Kinds.Curb()).NetL;
        Drawn(Kinds.Curb() with { Batter = null, Top = $"{top:0.000000} mm" }).NetL.ShouldBe(net, 1e-4);
        Drawn(Kinds.Curb() with { Base = "", Top = $"{top:0.000000} mm" }).NetL.ShouldBe(net, 1e-4);
    }

    [Fact]
    public void A_face_down_top_is_moulded_as_its_mirror()
    {
        var report = Plan(Kinds.Counter(CounterCasting.FaceDown));
        var mould = report.Build!.Elements[0].Mould!;
        mould.Mirrored.ShouldBeTrue();
        mould.Outline.Select(p => p.X).Min().ShouldBe(-1.6, 1e-12);
        Plan(Kinds.Counter()).Build!.Elements[0].Mould!.Mirrored.ShouldBeFalse();
    }

    [Theory]
    [InlineData("4 m", "1 m", "2.5 m", typeof(Notice.TapesTooShort), "a")]
    [InlineData("4 m", "6 m", "1 m", typeof(Notice.TapesTooFarApart), "a")]
    public void Tapes_that_cannot_meet_are_named_at_their_corner(string nails, string a, string b, Type code, string field)
    {
        var outline = new TapedOutlineDocument
        {
            Nails = nails,
            Corners = [Tape("1 m", "4 m"), Tape("5 m", "3 m"), Tape(a, b)],
        };
        Plan(Kinds.Slab(outline)).Findings.ShouldContain(f => f.Says.GetType() == code && f.Where.Path == $"/elements/0/outline/corners/2/{field}" && f.Severity == Severity.Error);
    }

    [Fact]
    public void A_check_tape_that_disagrees_says_by_how_much()
    {
        var slab = (SlabDocument)Kinds.All()[3];
        var taped = (TapedOutlineDocument)slab.Outline;
        var off = slab with { Outline = taped with { Corners = [taped.Corners[0], taped.Corners[1] with { Check = "4.05 m" }, .. taped.Corners.Skip(2)] } };
        var misfit = Plan(off).Findings.Single(f => f.Says is Notice.CheckTapeMisfit);
        misfit.Where.Path.ShouldBe("/elements/0/outline/corners/1/check");
        misfit.Says<Notice.CheckTapeMisfit>().MisfitMm.ShouldBe(50, 1);
    }

    public static TheoryData<string, Type, string> Wrong => new()
    {
        { nameof(PresetCannotBe), typeof(Notice.PresetCannotBe), "outline/notchAlong" },
        { nameof(TightPath), typeof(Notice.BendTooTight), "path/0/radius" },
        { nameof(ThreeOfThree), typeof(Notice.CurbWantsTwo), "batter" },
        { nameof(OneOfThree), typeof(Notice.CurbWantsTwo), "top" },
        { nameof(LeansAway), typeof(Notice.CurbLeansAway), "batter" },
        { nameof(RoundedAway), typeof(Notice.EaseTooLarge), "easeSize" },
        { nameof(NoProbes), typeof(Notice.NoProbes), "probes" },
        { nameof(ThickPebbles), typeof(Notice.OutOfRange), "pebbles" },
        { nameof(CrossingPoints), typeof(Notice.OutlineCrosses), "outline" },
        { nameof(FarPoint), typeof(Notice.OutOfRange), "outline/points/1/x" },
        { nameof(NoStretch), typeof(Notice.NothingToPour), "path" },
        { nameof(ZeroThickness), typeof(Notice.OutOfRange), "thickness" },
        { nameof(HoleOutside), typeof(Notice.OpeningOutside), "openings/0" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_cannot_be_is_named_at_its_field(string what, Type code, string field)
    {
        var element = (ElementDocument)typeof(KindTests).GetMethod(what, System.Reflection.BindingFlags.NonPublic | System.Reflection.BindingFlags.Static)!.Invoke(null, [])!;
        var report = Plan(element);
        report.Findings.ShouldContain(f => f.Says.GetType() == code && f.Severity == Severity.Error && f.Where.Path == $"/elements/0/{field}");
        report.Shape.ShouldBeNull();
    }

    [Fact]
    public void Ten_thousand_corners_are_planned()
    {
        var curve = Samples.Curve(10_000, 5, 0.02);
        var slab = Kinds.Slab(new PointsOutlineDocument { Points = [.. curve.Corners.Select(c => new PointDocument { X = c.X, Y = c.Y })] });
        var report = Plan(slab);
        report.Cure.ShouldNotBeNull();
        report.Shape!.AreaM2.ShouldBe(curve.NetArea.SquareMetres, 1e-9);
        report.Findings.ShouldContain(f => f.Says is Notice.CurveOfManyEdges);
    }

    private static SlabDocument PresetCannotBe() =>
        Kinds.Slab(new PresetOutlineDocument { Shape = PresetShape.LShape, Along = "2 m", Across = "2 m", NotchAlong = "2 m", NotchAcross = "1 m" });

    private static BorderDocument TightPath() => Kinds.Border() with { Path = [new ArcDocument { Radius = "50 mm", Sweep = 90 }] };

    private static CurbDocument ThreeOfThree() => Kinds.Curb() with { Top = "155 mm" };

    private static CurbDocument OneOfThree() => Kinds.Curb() with { Batter = null };

    private static CurbDocument LeansAway() => Kinds.Curb() with { Batter = 45, Height = "400 mm" };

    private static CurbDocument RoundedAway() => Kinds.Curb() with { EaseSize = "250 mm" };

    private static OverlayDocument NoProbes() => Kinds.All().OfType<OverlayDocument>().Single() with { Probes = [] };

    private static PebbleBedDocument ThickPebbles() => Kinds.All().OfType<PebbleBedDocument>().Single() with { Pebbles = "70 mm" };

    private static SlabDocument CrossingPoints() => Kinds.Slab(Points((0, 0), (2, 2), (2, 0), (0, 2)));

    private static SlabDocument FarPoint() => Kinds.Slab(Points((0, 0), (1e9, 0), (2, 2)));

    private static BorderDocument NoStretch() => Kinds.Border() with { Path = [] };

    private static SlabDocument ZeroThickness() => Kinds.Slab(Kinds.Rectangle("2 m", "1 m"), "0");

    private static SlabDocument HoleOutside() => Kinds.Slab(Kinds.Rectangle("2 m", "1 m")) with
    {
        Openings = [new RoundOpeningDocument { Name = "Post", Along = "3 m", In = "0.5 m", Diameter = "100 mm" }],
    };

    private static PointsOutlineDocument Points(params (double X, double Y)[] points) =>
        new() { Points = [.. points.Select(p => new PointDocument { X = p.X, Y = p.Y })] };

    private static TapedCornerDocument Tape(string a, string b) => new() { A = a, B = b };

    private static double SectionArea(ElementReport element) => element.Section.Pieces.Sum(piece => Math.Abs(piece.Points.Select((a, i) =>
    {
        var b = piece.Points[(i + 1) % piece.Points.Count];
        return (a.X * b.Y) - (b.X * a.Y);
    }).Sum() / 2));

    private static ElementReport Drawn(ElementDocument element) => Plan(element).Shape!.Elements[0];

    private static PlanReport Plan(ElementDocument element) => Plans.Of(Kinds.Job(element), Samples.Steady(18));
}
