using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

public sealed class OutlineTests
{
    [Theory]
    [InlineData(1e-200)]
    [InlineData(5e-324)]
    [InlineData(1e-9)]
    public void Corners_that_lie_as_good_as_on_each_other_are_one_place(double apart)
    {
        var outline = Outline.TryCreate([new(0, 0), new(apart, 0), new(3, 0), new(3, 2), new(0, 2), new(0, -apart)], []).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        outline.NetArea.SquareMetres.ShouldBe(6, 1e-6);
        Inside.Of(outline, 0.05).AreaM2.ShouldBe(2.9 * 1.9, 1e-6);
        outline.InsetM2(0.05).ShouldBe(2.9 * 1.9, 1e-6);
    }

    [Fact]
    public void An_edge_that_bows_out_and_ends_where_it_begins_crosses_itself() => Outline.TryCreate(
        [new(0, 0), new(3, 0), new(3, 2), new(3, 2), new(0, 2)], [], [0, 0, 0.3, 0, 0]).ShouldBeOfType<OutlineCheck.Crosses>().At.ShouldBe(new PlanPoint(3, 2));

    [Fact]
    public void A_crossing_is_named_with_its_place() => Outline.TryCreate([new(0, 0), new(2, 2), new(2, 0), new(0, 2)], [])
        .ShouldBe(new OutlineCheck.Crosses(new PlanPoint(1, 1)));

    [Fact]
    public void Edges_that_fold_back_on_themselves_are_refused() =>
        Outline.TryCreate([new(0, 0), new(3, 0), new(3, 2), new(3, -1), new(0, 2)], []).ShouldBeOfType<OutlineCheck.Crosses>();

    [Fact]
    public void An_opening_must_lie_inside_and_clear_of_others()
    {
        var post = new Opening.Rectangular(new PlanPoint(0.5, 0.5), Length.FromMillimetres(120), Length.FromMillimetres(120));
        var drain = new Opening.Round(new PlanPoint(0.55, 0.5), Length.FromMillimetres(150));
        var outside = new Opening.Round(new PlanPoint(2.95, 1), Length.FromMillimetres(150));
        ImmutableArray<PlanPoint> corners = [new(0, 0), new(3, 0), new(3, 2), new(0, 2)];
        Outline.TryCreate(corners, [post, outside]).ShouldBe(new OutlineCheck.OpeningOutside(1));
        Outline.TryCreate(corners, [post, drain]).ShouldBe(new OutlineCheck.OpeningsOverlap(1, 0));
        Outline.TryCreate(corners, [post]).ShouldBeOfType<OutlineCheck.Sound>();
    }

    [Fact]
    public void Openings_are_taken_off_exactly() => Samples
        .Rectangle(3, 2, new Opening.Round(new PlanPoint(1, 1), Length.FromMetres(0.3)), new Opening.Rectangular(new PlanPoint(2, 1), Length.FromMetres(0.2), Length.FromMetres(0.1)))
        .NetArea.SquareMetres.ShouldBe(6 - (Math.PI * 0.0225) - 0.02, 1e-12);

    [Fact]
    public void Area_agrees_with_counting_points_on_a_fine_grid() => Stars.Sample(
        corners =>
        {
            if (Outline.TryCreate(corners, []) is not OutlineCheck.Sound { Outline: var outline })
            {
                return true; // neighbours too close in angle can cross; the check of crossings has its own test
            }

            return Math.Abs(outline.GrossArea.SquareMetres - GridArea(corners, 400)) < 0.01 * outline.GrossArea.SquareMetres;
        },
        iter: 20);

    [Fact]
    public void Volume_scales_with_the_cube_of_size() =>
        Gen.Select(Gen.Double[0.5, 8], Gen.Double[0.5, 8], Gen.Double[0.04, 0.3], Gen.Double[0.5, 3]).Sample((w, d, t, k) =>
        {
            var one = (Samples.Rectangle(w, d).NetArea * Length.FromMetres(t)).CubicMetres;
            var scaled = (Samples.Rectangle(k * w, k * d).NetArea * Length.FromMetres(k * t)).CubicMetres;
            return Math.Abs(scaled - (k * k * k * one)) < 1e-9 * scaled;
        });

    [Fact]
    public void Area_does_not_depend_on_where_one_starts_or_which_way_one_walks() => Stars.Sample(
        corners =>
        {
            ImmutableArray<PlanPoint> elsewhere = [.. corners[2..], .. corners[..2]];
            ImmutableArray<PlanPoint> backwards = [.. corners.Reverse()];
            return (Outline.TryCreate(corners, []), Outline.TryCreate(elsewhere, []), Outline.TryCreate(backwards, [])) switch
            {
                (OutlineCheck.Sound a, OutlineCheck.Sound b, OutlineCheck.Sound c) =>
                    Math.Abs(a.Outline.NetArea.SquareMetres - b.Outline.NetArea.SquareMetres) < 1e-9
                    && Math.Abs(a.Outline.NetArea.SquareMetres - c.Outline.NetArea.SquareMetres) < 1e-9,
                var (a, b, c) => a is OutlineCheck.Crosses && b is OutlineCheck.Crosses && c is OutlineCheck.Crosses,
            };
        },
        iter: 50);

    /// <summary>Corners at rising angles round a point, at odd distances: mostly sound outlines with notches.</summary>
    private static Gen<ImmutableArray<PlanPoint>> Stars => Gen.Double[0.6, 4].Array[5, 14].Select(radii => radii
        .Select((r, i) => new PlanPoint(5 + (r * Math.Cos(2 * Math.PI * i / radii.Length)), 5 + (r * Math.Sin(2 * Math.PI * i / radii.Length))))
        .ToImmutableArray());

    // Even-odd rule over the middles of a grid: slow, and shares nothing with the shoelace sum.
    private static double GridArea(ImmutableArray<PlanPoint> corners, int cells)
    {
        const double side = 10;
        var inside = 0;
        for (var ix = 0; ix < cells; ix++)
        {
            for (var iy = 0; iy < cells; iy++)
            {
                var (x, y) = ((ix + 0.5) * side / cells, (iy + 0.5) * side / cells);
                var odd = false;
                for (var i = 0; i < corners.Length; i++)
                {
                    var (a, b) = (corners[i], corners[(i + 1) % corners.Length]);
                    odd ^= (a.Y > y) != (b.Y > y) && x < ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y)) + a.X;
                }

                inside += odd ? 1 : 0;
            }
        }

        return inside * side * side / (cells * cells);
    }
}
