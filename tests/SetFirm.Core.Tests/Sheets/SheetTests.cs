using System.Globalization;
using System.Xml.Linq;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Sheets;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Tests.Sheets;

/// <summary>Drawings to scale: what is drawn of a plan, and how it is written.</summary>
public sealed class SheetTests
{
    private static Sheet Plan(params IReadOnlyList<ElementDocument> elements) => SheetOf.Plan(Planner.Plan(Kinds.Job(elements), Samples.Steady(18)));

    [Fact]
    public void A_slab_is_its_outline_in_millimetres_from_nought()
    {
        var path = Plan(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))).Strokes.OfType<Stroke.Path>().Single(p => p.Layer == Layer.Outline);
        path.Closed.ShouldBeTrue();
        path.Points.Select(p => (Math.Round(p.X, 6), Math.Round(p.Y, 6))).ShouldBe([(0, 0), (3000, 0), (3000, 2000), (0, 2000)]);
        path.Bulges.ShouldAllBe(b => b == 0);
    }

    [Fact]
    public void The_terrace_has_its_drain_its_post_its_joints_and_a_number_for_each_panel()
    {
        var plan = Planner.Plan(Samples.Terrace(), Samples.Steady(18));
        var sheet = SheetOf.Plan(plan);
        sheet.Strokes.OfType<Stroke.Circle>().Single().RadiusMm.ShouldBe(75, 1e-6);
        sheet.Strokes.OfType<Stroke.Path>().Single(p => p.Layer == Layer.Opening).Points.Length.ShouldBe(4);
        var joints = plan.Elements!.Value[0].Joints;
        sheet.Strokes.Count(s => s.Layer == Layer.Joint).ShouldBe(joints.Cuts.Length);
        joints.Cuts.Length.ShouldBeGreaterThan(0);
        sheet.Strokes.OfType<Stroke.Word>().Select(w => w.Text).ShouldBe([.. joints.Panels.Select(p => p.Number.ToString(CultureInfo.InvariantCulture)), "Terrace"], ignoreOrder: true);
    }

    [Fact]
    public void Elements_stand_side_by_side_and_do_not_touch()
    {
        var outlines = Plan(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "a" }, Kinds.Slab(Kinds.Rectangle("1 m", "4 m")) with { Id = "b" })
            .Strokes.OfType<Stroke.Path>().Where(p => p.Layer == Layer.Outline).ToArray();
        outlines[1].Points.Min(p => p.X).ShouldBeGreaterThan(outlines[0].Points.Max(p => p.X) + 100);
        outlines.ShouldAllBe(o => o.Points.Min(p => p.Y) == 0);
    }

    [Fact]
    public void Boards_hold_their_cuts_within_their_length()
    {
        var plan = Planner.Plan(Samples.Terrace(), Samples.Steady(18));
        var sheet = SheetOf.Boards(plan);
        sheet.Strokes.Count(s => s.Layer == Layer.Board).ShouldBe(plan.Build!.Boards.Sum(b => b.Layout.Boards.Length));
        // A word for each cut, and one for each kind of board.
        sheet.Strokes.OfType<Stroke.Word>().Count().ShouldBe(plan.Build.Boards.Sum(b => b.Cuts.Length) + plan.Build.Boards.Length);
        var longest = plan.Build.Boards.SelectMany(b => b.Layout.Boards).Max(b => b.StockMm);
        sheet.Strokes.OfType<Stroke.Path>().Where(p => p.Layer == Layer.Cut).ShouldAllBe(c => c.Points[0].X > 0 && c.Points[0].X < longest);
    }

    [Fact]
    public void Steel_in_place_is_every_bar_and_every_sheet_of_mesh_inside_its_outline()
    {
        foreach (var school in new[] { SteelSchool.BarGrid, SteelSchool.Mesh })
        {
            var slab = Kinds.Slab(Kinds.Rectangle("3 m", "2 m"));
            var plan = Planner.Plan(Kinds.Job(slab with { Steel = new SteelDocument { School = school } }), Samples.Steady(18));
            var layout = plan.Elements!.Value[0].Build!.Steel.Layout;
            var steel = SheetOf.Steel(plan).Strokes.OfType<Stroke.Path>().Where(p => p.Layer == Layer.Steel).ToArray();
            steel.Length.ShouldBe(layout.Bars.Length + layout.Sheets.Length, school.ToString());
            steel.Length.ShouldBeGreaterThan(0);
            steel.SelectMany(p => p.Points).ShouldAllBe(p => p.X >= 0 && p.X <= 3000 && p.Y >= 0 && p.Y <= 2000);
        }
    }

    [Fact]
    public void Mould_sheets_are_as_many_as_are_bought_and_hold_every_part_once()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Stones()), Samples.Steady(18));
        var sheet = SheetOf.Ply(plan);
        var group = plan.Build!.Sheets.ShouldHaveSingleItem();
        sheet.Strokes.Count(s => s.Layer == Layer.Board).ShouldBe(group.Needed.Count);
        sheet.Strokes.Count(s => s.Layer == Layer.Cut).ShouldBeGreaterThanOrEqualTo(group.Cuts.Length);
    }

    [Fact]
    public void Parts_laid_on_sheets_lie_within_them_touch_no_other_and_are_as_many_as_were_wanted()
    {
        var random = new Random(5);
        for (var round = 0; round < 300; round++)
        {
            var cutting = new SheetCutting(2.44, 1.22, round % 2 == 0 ? 0.003 : 0);
            SheetCut[] cuts = [.. Enumerable.Range(0, random.Next(1, 40)).Select(_ => new SheetCut(0.05 + (random.NextDouble() * 3), 0.05 + random.NextDouble(), random.Next(3)))];
            var laid = cutting.Layout(cuts);
            (laid.Max(p => p.Sheet) + 1).ShouldBe(cutting.Of(cuts).Count);
            laid.Sum(p => p.AlongM * p.AcrossM).ShouldBe(cuts.Sum(c => c.AlongM * c.AcrossM), 1e-9);
            laid.ShouldAllBe(p => p.LeftM >= 0 && p.LowM >= 0 && p.LeftM + p.AlongM <= 2.44 + 1e-9 && p.LowM + p.AcrossM <= 1.22 + 1e-9);
            foreach (var on in laid.GroupBy(p => p.Sheet).Select(g => g.ToArray()))
            {
                for (var i = 0; i < on.Length; i++)
                {
                    for (var j = 0; j < i; j++)
                    {
                        var (a, b) = (on[i], on[j]);
                        (a.LeftM + a.AlongM <= b.LeftM + 1e-9 || b.LeftM + b.AlongM <= a.LeftM + 1e-9 || a.LowM + a.AcrossM <= b.LowM + 1e-9 || b.LowM + b.AcrossM <= a.LowM + 1e-9).ShouldBeTrue();
                    }
                }
            }
        }
    }

    [Fact]
    public void Of_a_job_that_cannot_be_shaped_nothing_is_drawn()
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("wide", "2 m"))), Samples.Steady(18));
        new[] { SheetOf.Plan(plan), SheetOf.Boards(plan), SheetOf.Bars(plan), SheetOf.Steel(plan), SheetOf.Ply(plan) }.ShouldAllBe(s => s.Strokes.IsEmpty);
        DrawingsReport.Of(plan).Files.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(1, -1000)] // half a circle, to the right of the way: below
    [InlineData(-1, 1000)]
    public void A_bulge_over_nought_bows_to_the_right_of_the_way_in_bounds_and_in_both_files(double bulge, double reaches)
    {
        var sheet = new Sheet([new Stroke.Path(Layer.Outline, [new(0, 0), new(2000, 0)], [bulge, 0], Closed: false)]);
        var (low, high) = sheet.Bounds();
        (reaches < 0 ? low.Y : high.Y).ShouldBe(reaches, 1);
        (reaches < 0 ? high.Y : low.Y).ShouldBe(0, 1e-9);
        DxfR12.Write(sheet).ShouldContain($" 42\r\n{bulge.ToString(CultureInfo.InvariantCulture)}\r\n");
        // Clockwise on a screen is sweep 1; below the way is anticlockwise.
        var d = XDocument.Parse(SvgDrawing.Write(sheet)).Descendants().Single(e => e.Name.LocalName == "path").Attribute("d")!.Value;
        d.ShouldContain(bulge > 0 ? "A1000 1000 0 0 0 " : "A1000 1000 0 0 1 ");
    }

    [Fact]
    public void A_file_names_its_release_its_unit_its_layers_and_its_end()
    {
        var dxf = DxfR12.Write(Plan(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"))));
        dxf.ShouldContain("AC1009");
        dxf.ShouldContain("  9\r\n$INSUNITS\r\n 70\r\n4\r\n");
        foreach (var layer in Enum.GetValues<Layer>())
        {
            dxf.ShouldContain($"  0\r\nLAYER\r\n  2\r\n{layer.ToString().ToUpperInvariant()}\r\n");
        }

        dxf.ShouldEndWith("  0\r\nEOF\r\n");
        // Pairs of a code and a value: never one without the other.
        (dxf.Split("\r\n").Length % 2).ShouldBe(1);
    }

    [Fact]
    public void An_empty_drawing_is_a_file_all_the_same()
    {
        var empty = new Sheet([]);
        empty.Bounds().ShouldBe((default(PlanPoint), default(PlanPoint)));
        XDocument.Parse(SvgDrawing.Write(empty)).Root!.Elements().ShouldBeEmpty();
        DxfR12.Write(empty).ShouldContain("ENTITIES\r\n  0\r\nENDSEC");
    }
}
