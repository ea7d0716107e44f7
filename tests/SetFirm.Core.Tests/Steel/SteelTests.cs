using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tests.Shapes;

namespace SetFirm.Core.Tests.Steel;

public sealed class SteelTests
{
    private static readonly BarSize Ten = Bars.Find("10mm")!;

    private static SteelPiece Piece(SteelSection section, Load load, double mm, double longest, double widthMm = 2000) =>
        new(section, load, Length.FromMillimetres(mm), Length.FromMillimetres(widthMm), longest);

    [Theory]
    [InlineData(SteelSection.Slab, Load.Foot, 100, 1.4, SteelSchool.None)]
    [InlineData(SteelSection.Slab, Load.Foot, 100, 3.0, SteelSchool.Mesh)]
    [InlineData(SteelSection.Slab, Load.Foot, 88.9, 3.0, SteelSchool.Mesh)] // a form of nominal 2x4
    [InlineData(SteelSection.Slab, Load.Foot, 70, 2.0, SteelSchool.Fibre)]
    [InlineData(SteelSection.Slab, Load.Vehicle, 150, 3.0, SteelSchool.BarGrid)]
    [InlineData(SteelSection.Slab, Load.Vehicle, 100, 3.0, SteelSchool.BarGrid)]
    [InlineData(SteelSection.Strip, Load.Foot, 150, 2.5, SteelSchool.TwoRows)]
    [InlineData(SteelSection.Strip, Load.Foot, 150, 1.0, SteelSchool.None)]
    [InlineData(SteelSection.Strip, Load.Foot, 60, 2.0, SteelSchool.Scrim)] // too thin for cover: never plain fibre, it snaps
    [InlineData(SteelSection.Counter, Load.Foot, 38, 1.6, SteelSchool.Scrim)]
    [InlineData(SteelSection.Thin, Load.Foot, 20, 2.7, SteelSchool.Fibre)]
    public void A_school_is_advised_by_section_load_and_size(SteelSection section, Load load, double mm, double longest, SteelSchool school) =>
        Schools.Advised(Piece(section, load, mm, longest), Ten).ShouldBe(school);

    [Theory]
    [InlineData(101.6, "#3", SteelSchool.BarGrid)] // what people build: 4 in with #3 on chairs, on a base
    [InlineData(100, "10mm", SteelSchool.BarGrid)]
    [InlineData(100, "10mm", SteelSchool.Mesh)]
    [InlineData(88.9, "10mm", SteelSchool.Mesh)]
    public void What_people_build_on_a_base_is_no_complaint(double mm, string bar, SteelSchool school)
    {
        foreach (var load in Enum.GetValues<Load>())
        {
            if (load == Load.Foot || mm >= 100)
            {
                Schools.Fits(school, Piece(SteelSection.Slab, load, mm, 3), Bars.Find(bar)!).ShouldBe(SteelMisfit.None, $"{load}");
            }
        }
    }

    [Fact]
    public void On_bare_earth_stone_or_plastic_is_the_way_out_never_less_steel()
    {
        var piece = Piece(SteelSection.Slab, Load.Foot, 100, 3) with { BareEarth = true };
        Schools.Fits(SteelSchool.Mesh, piece, Ten).ShouldBe(SteelMisfit.BareEarth);
        Schools.Fits(SteelSchool.BarGrid, piece, Ten).ShouldBe(SteelMisfit.BareEarth);
        Schools.Fits(SteelSchool.Mesh, piece with { Thickness = Length.FromMillimetres(125) }, Ten).ShouldBe(SteelMisfit.None);
        Schools.Fits(SteelSchool.Fibre, piece with { LongestM = 1.4 }, Ten).ShouldBe(SteelMisfit.None);
    }

    [Theory]
    [InlineData(100, 350, SteelSchool.TwoRows)]
    [InlineData(50, 350, SteelSchool.Scrim)] // nothing fits: thicken it
    public void What_spans_always_wants_bars(double mm, double wideMm, SteelSchool advised)
    {
        var tread = Piece(SteelSection.Strip, Load.Foot, mm, 1.1, wideMm) with { InMould = true, Spans = true };
        Schools.Advised(tread, Ten).ShouldBe(advised);
        foreach (var school in new[] { SteelSchool.None, SteelSchool.Fibre, SteelSchool.Scrim })
        {
            Schools.Fits(school, tread, Ten).ShouldBe(SteelMisfit.Spans);
        }

        Schools.Fits(SteelSchool.TwoRows, tread, Ten).ShouldBe(mm >= 60 ? SteelMisfit.None : SteelMisfit.TooThin);
    }

    [Fact]
    public void Rows_lie_over_one_another_only_where_there_is_room_for_both_and_their_cover()
    {
        Schools.Stacked(Piece(SteelSection.Strip, Load.Foot, 140, 3, 180), Ten).ShouldBeTrue();
        Schools.Stacked(Piece(SteelSection.Strip, Load.Foot, 90, 3, 180), Ten).ShouldBeFalse();
        Schools.Fits(SteelSchool.TwoRows, Piece(SteelSection.Strip, Load.Foot, 90, 3, 180), Ten).ShouldBe(SteelMisfit.None); // side by side
        Schools.Fits(SteelSchool.TwoRows, Piece(SteelSection.Strip, Load.Foot, 90, 3, 70), Ten).ShouldBe(SteelMisfit.TooThin);
    }

    [Fact]
    public void What_is_advised_fits_or_wants_a_thicker_piece_or_something_under_it() => Gen.Select(
        Gen.Enum<SteelSection>(), Gen.Enum<Load>(), Gen.Double[10, 300], Gen.Double[0.3, 5], Gen.Double[40, 3000], Gen.Bool, Gen.Bool).Sample((section, load, mm, longest, wide, earth, spans) =>
        {
            var piece = Piece(section, load, mm, longest, wide) with { BareEarth = earth, Spans = spans };
            return Schools.Fits(Schools.Advised(piece, Ten), piece, Ten) is SteelMisfit.None or SteelMisfit.BareEarth
                || spans || load == Load.Vehicle || Enum.GetValues<SteelSchool>().All(s => Schools.Fits(s, piece, Ten) != SteelMisfit.None);
        });

    [Theory]
    [InlineData(3.0, 2.4, 0.3)]
    [InlineData(14, 0.6, 0.3)]
    [InlineData(1.8, 1.2, 0.45)]
    public void The_outermost_bars_lie_at_the_cover_and_none_is_lost(double along, double across, double spacing)
    {
        var layout = SteelLayout.Grid(Samples.Rectangle(along, across), Ten, spacing, 6);
        var inset = (Schools.CoverMm + 5) / 1000;
        int Wanted(double extent) => (int)Math.Ceiling(((extent - (2 * inset)) / spacing) - 1e-3) + 1;
        var columns = layout.Bars.Where(b => Math.Abs(b.From.X - b.To.X) < 1e-9).Select(b => b.From.X).Order().ToArray();
        var rows = layout.Bars.Where(b => Math.Abs(b.From.Y - b.To.Y) < 1e-9).Select(b => b.From.Y).Order().ToArray();
        (columns.Length, rows.Length).ShouldBe((Wanted(along), Wanted(across)));
        columns[0].ShouldBe(inset, 1e-3);
        columns[^1].ShouldBe(along - inset, 1e-3);
        rows[0].ShouldBe(inset, 1e-3);
    }

    [Theory]
    [InlineData(14, 0.6, 13)] // one row: a chair at every 1.2 m
    [InlineData(3.0, 2.4, 12)]
    [InlineData(0.5, 0.5, 2)]
    public void Chairs_stand_in_rows_no_further_apart_than_1_2_m_both_ways(double along, double across, int least)
    {
        SteelLayout.Mesh(Samples.Rectangle(along, across)).Chairs.ShouldBeGreaterThanOrEqualTo(least);
        SteelLayout.Grid(Samples.Rectangle(along, across), Ten, 0.3, 6).Chairs.ShouldBeInRange(least, least + 2);
    }

    [Fact]
    public void Bars_keep_their_cover_and_their_spacing() => Gen.Select(ArcTests.Bowed, Gen.Double[0.15, 0.45]).Sample((outline, spacing) =>
    {
        if (outline is null)
        {
            return true;
        }

        var layout = SteelLayout.Grid(outline, Ten, spacing, 6);
        var cover = Schools.CoverMm / 1000;
        var edge = outline.Net.Boundary;
        var xs = layout.Bars.Where(b => Math.Abs(b.From.X - b.To.X) < 1e-9).Select(b => b.From.X).Distinct().Order().ToArray();
        return layout.Bars.All(b => edge.Distance(new NetTopologySuite.Geometries.LineString([new(b.From.X, b.From.Y), new(b.To.X, b.To.Y)])) >= cover - 0.002)
            && xs.Zip(xs.Skip(1), (p, q) => q - p).All(gap => gap <= spacing + 1e-6);
    }, iter: 60);

    [Fact]
    public void Mesh_covers_all_that_lies_inside_the_cover() => ArcTests.Bowed.Sample(outline =>
    {
        if (outline is null)
        {
            return true;
        }

        var sheets = SteelLayout.Mesh(outline).Sheets;
        for (var ix = 0; ix < 40; ix++)
        {
            for (var iy = 0; iy < 40; iy++)
            {
                var at = new PlanPoint(1 + (ix * 0.2), 1 + (iy * 0.2));
                var point = new NetTopologySuite.Geometries.Point(at.X, at.Y);
                if (outline.Net.Contains(point) && outline.Net.Boundary.Distance(point) > 0.15
                    && !sheets.Any(s => at.X >= s.Left - 1e-9 && at.X <= s.Right + 1e-9 && at.Y >= s.Low - 1e-9 && at.Y <= s.High + 1e-9))
                {
                    return false;
                }
            }
        }

        return true;
    }, iter: 40);

    [Fact]
    public void A_long_run_is_lapped_from_bars_as_sold() => Gen.Select(Gen.Double[0.2, 40], Gen.Double[3, 12], Gen.Double[0.3, 0.6]).Sample((run, stock, lap) =>
    {
        var pieces = SteelLayout.Lapped([run], stock, lap);
        return pieces.All(p => p > 0 && p <= stock + 1e-9) && Math.Abs(pieces.Sum() - (lap * (pieces.Length - 1)) - run) < 1e-9;
    });

    [Fact]
    public void Laps_are_forty_diameters_and_never_under_300_mm()
    {
        Bars.LapM(Bars.Find("12mm")!).ShouldBe(0.48, 1e-12);
        Bars.LapM(Bars.Find("8mm")!).ShouldBe(0.32, 1e-12);
        Bars.LapM(Ten with { Diameter = Length.FromMillimetres(6) }).ShouldBe(0.3, 1e-12);
    }

    [Fact]
    public void Two_rows_are_two_bars_held_by_cross_pieces()
    {
        var layout = SteelLayout.Rows([2.5, 2.5], Ten, 6, [], 38);
        layout.PiecesM.Length.ShouldBe(4);
        layout.PiecesM.ShouldAllBe(p => Math.Abs(p - 2.424) < 1e-9); // end cover off both ends
        layout.CrossPieces.ShouldBe(2 * 6);
    }
}
