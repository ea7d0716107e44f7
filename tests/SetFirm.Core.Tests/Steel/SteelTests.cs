using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tests.Shapes;

namespace SetFirm.Core.Tests.Steel;

public sealed class SteelTests
{
    private static readonly BarSize Ten = Bars.Find("10mm")!;

    [Theory]
    [InlineData(true, 110)]
    [InlineData(false, 135)]
    public void A_grid_wants_cover_two_bars_and_cover(bool plastic, double mm) =>
        Schools.LeastForGrid(Ten, plastic).Millimetres.ShouldBe(mm); // 40 + 2 x 10 + 50 on plastic, 75 to earth

    [Theory]
    [InlineData(SteelSection.Slab, Load.Foot, 100, 1.4, SteelSchool.None)]
    [InlineData(SteelSection.Slab, Load.Foot, 100, 3.0, SteelSchool.Mesh)]
    [InlineData(SteelSection.Slab, Load.Foot, 70, 2.0, SteelSchool.Fibre)]
    [InlineData(SteelSection.Slab, Load.Vehicle, 150, 3.0, SteelSchool.BarGrid)]
    [InlineData(SteelSection.Slab, Load.Vehicle, 100, 3.0, SteelSchool.Mesh)]
    [InlineData(SteelSection.Strip, Load.Foot, 150, 2.5, SteelSchool.TwoRows)]
    [InlineData(SteelSection.Strip, Load.Foot, 150, 1.0, SteelSchool.None)]
    [InlineData(SteelSection.Counter, Load.Foot, 38, 1.6, SteelSchool.Scrim)]
    [InlineData(SteelSection.Thin, Load.Foot, 20, 2.7, SteelSchool.Fibre)]
    public void A_school_is_advised_by_section_load_and_size(SteelSection section, Load load, double mm, double longest, SteelSchool school) =>
        Schools.Advised(section, load, Length.FromMillimetres(mm), longest, Ten, plastic: false).ShouldBe(school);

    [Fact]
    public void What_is_advised_fits_unless_nothing_does() => Gen.Select(
        Gen.Enum<SteelSection>(), Gen.Enum<Load>(), Gen.Double[10, 300], Gen.Double[0.3, 5], Gen.Bool).Sample((section, load, mm, longest, plastic) =>
        {
            var t = Length.FromMillimetres(mm);
            var advised = Schools.Advised(section, load, t, longest, Ten, plastic);
            return Schools.Fits(advised, section, load, t, longest, Ten, plastic) == SteelMisfit.None
                || Enum.GetValues<SteelSchool>().All(s => Schools.Fits(s, section, load, t, longest, Ten, plastic) != SteelMisfit.None || load == Load.Vehicle);
        });

    [Fact]
    public void Bars_keep_their_cover_and_their_spacing() => Gen.Select(ArcTests.Bowed, Gen.Double[0.15, 0.45]).Sample((outline, spacing) =>
    {
        if (outline is null)
        {
            return true;
        }

        var layout = SteelLayout.Grid(outline, Ten, spacing, 6);
        var cover = Schools.CoverToWeatherMm / 1000;
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
        var layout = SteelLayout.Rows([2.5, 2.5], Ten, 6, []);
        layout.PiecesM.Length.ShouldBe(4);
        layout.PiecesM.ShouldAllBe(p => Math.Abs(p - 2.42) < 1e-9); // end cover off both ends
        layout.CrossPieces.ShouldBe(2 * 6);
    }
}
