using CsCheck;
using SetFirm.Core.Ground;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Ground;

public sealed class GroundTests
{
    [Theory]
    [InlineData(Soil.Sound, Frost.None, 10, 0)]
    [InlineData(Soil.Sound, Frost.None, 1.5, 25)]
    [InlineData(Soil.Wet, Frost.None, 10, 75)]
    [InlineData(Soil.Sound, Frost.Light, 10, 75)]
    [InlineData(Soil.Soft, Frost.Hard, 10, 125)]
    public void Base_follows_ground_and_frost(Soil soil, Frost frost, double areaM2, double mm) =>
        BaseCourse.Advised(soil, frost, Area.FromSquareMetres(areaM2)).Millimetres.ShouldBe(mm);

    [Fact]
    public void What_is_dug_swells_and_what_is_laid_is_bought_loose()
    {
        var dig = Dig.Of(Area.FromSquareMetres(10), Length.FromMillimetres(100), Volume.FromCubicMetres(0.2), Length.FromMillimetres(150));
        dig.Depth.Millimetres.ShouldBe(250, 1e-9);
        dig.Bank.CubicMetres.ShouldBe(2.7, 1e-9);
        dig.Spoil.CubicMetres.ShouldBe(2.7 * 1.25, 1e-9);
        dig.BaseLoose.CubicMetres.ShouldBe(1.5 * 1.2, 1e-9);
        dig.BaseMass.Kilograms.ShouldBe(1.8 * 1550, 1e-6);
        dig.Lifts.ShouldBe(2);
    }

    [Theory]
    [InlineData(100, 75, 30, 145, 75)]
    [InlineData(100, 0, 30, 70, 0)]
    [InlineData(140, 0, 140, 0, 0)] // a kerb stands on the ground
    [InlineData(100, 25, 160, 0, 60)] // made up, not dug
    public void It_is_dug_to_the_pour_and_its_base_less_what_stands_above_the_ground(double pourMm, double baseMm, double aboveMm, double depthMm, double laidMm)
    {
        static Length Mm(double mm) => Length.FromMillimetres(mm);
        var dig = Dig.Of(Area.FromSquareMetres(10), Mm(pourMm), default, Mm(baseMm), Mm(aboveMm), Length.FromMetres(13));
        dig.Depth.Millimetres.ShouldBe(depthMm, 1e-9);
        dig.BaseDepth.Millimetres.ShouldBe(laidMm, 1e-9);
        dig.Base.CubicMetres.ShouldBe(10 * laidMm / 1000, 1e-9);
        // Thirteen metres of board want nine centimetres beside the pour, and that goes back.
        dig.Bank.CubicMetres.ShouldBe((10 + (13 * 0.09)) * depthMm / 1000, 1e-9);
        dig.GoesBack.CubicMetres.ShouldBe(13 * 0.09 * 1.25 * depthMm / 1000, 1e-9);
    }

    [Fact]
    public void Water_runs_square_off_its_edge_whichever_way_the_outline_is_walked()
    {
        var left = Samples.Rectangle(4, 3);
        var right = Outline.TryCreate([new(0, 0), new(0, 3), new(4, 3), new(4, 0)], []).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        foreach (var (outline, edge) in new[] { (left, 0), (right, 3) })
        {
            var down = Fall.OffEdge(outline, edge, 0.02).From(outline.Corners);
            down(new PlanPoint(1, 0)).ShouldBe(0, 1e-12);
            down(new PlanPoint(1, 3)).ShouldBe(0.06, 1e-12);
        }
    }

    [Fact]
    public void To_a_drain_every_place_falls_by_its_distance() => Gen.Select(Gen.Double[0, 4], Gen.Double[0, 3]).Sample((x, y) =>
    {
        var (outline, drain) = (Samples.Rectangle(4, 3), new PlanPoint(1, 1));
        var down = new Fall.ToDrain(drain, 0.02).From(outline.Corners);
        var at = new PlanPoint(x, y);
        return Math.Abs(down(drain) - down(at) - (0.02 * at.DistanceTo(drain))) < 1e-12 && down(drain) >= down(at);
    });

    [Fact]
    public void Heights_count_from_the_highest_corner() => ShouldBeFromTheTop(new Fall.Away(0.6, 0.8, 0.015));

    [Fact]
    public void A_four_sided_outline_has_both_its_diagonals_and_they_are_equal_when_square()
    {
        var both = Squareness.Of(Samples.Rectangle(4, 3));
        both.Length.ShouldBe(2);
        both.ShouldAllBe(d => Math.Abs(d.LengthM - 5) < 1e-12);
        Squareness.Of(ArcTriangle()).ShouldBeEmpty();
    }

    private static Outline ArcTriangle() => Outline.TryCreate([new(0, 0), new(3, 0), new(0, 4)], []).ShouldBeOfType<OutlineCheck.Sound>().Outline;

    private static void ShouldBeFromTheTop(Fall fall)
    {
        var corners = Samples.Rectangle(4, 3).Corners;
        var down = fall.From(corners);
        corners.Min(down).ShouldBe(0, 1e-12);
        corners.Max(down).ShouldBe(0.015 * ((4 * 0.6) + (3 * 0.8)), 1e-12);
    }
}
