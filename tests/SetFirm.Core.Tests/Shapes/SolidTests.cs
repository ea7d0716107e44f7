using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>Paths, profiles, drops and footings against closed forms and slow sums.</summary>
public sealed class SolidTests
{
    private static readonly Gen<CentreLine> Paths = Gen.Select(
        Gen.Bool, Gen.Double[0.4, 3], Gen.Double[0.6, 2], Gen.Double[20, 80]).Select((bend, length, radius, sweep) =>
            bend ? (Stretch)new Stretch.Arc(Length.FromMetres(radius), sweep) : new Stretch.Straight(Length.FromMetres(length), 0))
        .Array[1, 4].Select(s => new CentreLine([.. s]));

    [Fact]
    public void A_band_holds_its_length_times_its_width() => Gen.Select(Paths, Gen.Double[0.08, 0.3]).Sample((path, width) =>
    {
        var (corners, rises) = path.Band(Length.FromMetres(width));
        return Outline.TryCreate(corners, [], rises) is not OutlineCheck.Sound { Outline: var band } // a path may run into itself
            || (Math.Abs(band.NetArea.SquareMetres - (path.Length.Metres * width)) < 1e-9
                && Math.Abs(band.NetArea.SquareMetres - Widths.Area(band, 30_000)) < 0.002 * band.NetArea.SquareMetres);
    }, iter: 40);

    [Fact]
    public void A_kink_is_mitred_and_neither_gains_nor_loses()
    {
        var path = new CentreLine([new Stretch.Straight(Length.FromMetres(2), 60), new Stretch.Straight(Length.FromMetres(1.5), 0)]);
        var (corners, rises) = path.Band(Length.FromMetres(0.2));
        Outline.TryCreate(corners, [], rises).ShouldBeOfType<OutlineCheck.Sound>().Outline.NetArea.SquareMetres.ShouldBe(3.5 * 0.2, 1e-9);
    }

    [Fact]
    public void A_bend_to_the_right_mirrors_a_bend_to_the_left()
    {
        CentreLine Bent(double sweep) => new([new Stretch.Straight(Length.FromMetres(1), 0), new Stretch.Arc(Length.FromMetres(0.8), sweep)]);
        var ((left, _), (right, _)) = (Bent(75).At(1.5), Bent(-75).At(1.5));
        right.X.ShouldBe(left.X, 1e-12);
        right.Y.ShouldBe(-left.Y, 1e-12);
    }

    [Fact]
    public void A_profile_has_the_area_of_its_drawn_points()
    {
        foreach (var ease in Enum.GetValues<EdgeEase>())
        {
            Gen.Select(Gen.Double[150, 300], Gen.Double[80, 250], Gen.Double[-10, 20], Gen.Int[1, 2], Gen.Double[5, 30]).Sample((foot, height, batter, faces, size) =>
            {
                var (b, h) = (Length.FromMillimetres(foot), Length.FromMillimetres(height));
                if (CurbProfile.TopFrom(b, h, faces, batter) is not { } top)
                {
                    return true;
                }

                var profile = new CurbProfile(b, top, h, faces, ease, ease == EdgeEase.Sharp ? default : Length.FromMillimetres(size));
                // Rounds are drawn with chords, which lie inside: within a millimetre along a quarter of a small circle.
                return !profile.EaseFits || Math.Abs(Shoelace(profile.Points()) - profile.Area.SquareMetres) < (ease == EdgeEase.Round ? 1e-4 : 1e-12);
            });
        }
    }

    [Fact]
    public void Base_from_top_undoes_top_from_base() => Gen.Select(Gen.Double[100, 400], Gen.Double[50, 300], Gen.Int[1, 2], Gen.Double[-15, 15]).Sample((foot, height, faces, batter) =>
    {
        var (b, h) = (Length.FromMillimetres(foot), Length.FromMillimetres(height));
        return CurbProfile.TopFrom(b, h, faces, batter) is not { } top || Math.Abs(CurbProfile.BaseFrom(top, h, faces, batter)!.Value.Metres - b.Metres) < 1e-12;
    });

    [Fact]
    public void A_thickened_L_mitres_its_inner_corner()
    {
        var outline = ArcTests.Made(OutlinePresets.LShape(Length.FromMetres(4), Length.FromMetres(3), Length.FromMetres(2), Length.FromMetres(1))!);
        var all = Enumerable.Range(0, 6).Select(e => new EdgeDrop(e, Length.FromMetres(0.2), Length.FromMetres(0.1))).ToArray();
        // The L less the L that is left inside: 0.2 in from every edge.
        var inner = (3.6 * 2.6) - (2.0 * 1.0);
        EdgeDrops.Extra(outline, all).CubicMetres.ShouldBe((10 - inner) * 0.1, 1e-9);
    }

    [Fact]
    public void Where_two_drops_cross_the_deeper_one_counts()
    {
        var outline = Samples.Rectangle(2, 1);
        var drops = new[] { new EdgeDrop(0, Length.FromMetres(0.2), Length.FromMetres(0.1)), new EdgeDrop(1, Length.FromMetres(0.3), Length.FromMetres(0.05)) };
        EdgeDrops.Extra(outline, drops).CubicMetres.ShouldBe((2 * 0.2 * 0.1) + (0.3 * 0.8 * 0.05), 1e-9);
        EdgeDrops.Extra(outline, []).CubicMetres.ShouldBe(0);
    }

    [Fact]
    public void Drops_agree_with_counting_cells() => Gen.Select(Gen.Double[1, 4], Gen.Double[1, 3], Gen.Double[0.05, 0.4], Gen.Int[1, 15]).Sample((w, d, width, mask) =>
    {
        var edges = Enumerable.Range(0, 4).Where(e => (mask >> e & 1) == 1).ToArray();
        const int cells = 400;
        var inside = 0;
        for (var ix = 0; ix < cells; ix++)
        {
            for (var iy = 0; iy < cells; iy++)
            {
                var (x, y) = ((ix + 0.5) * w / cells, (iy + 0.5) * d / cells);
                double[] off = [y, w - x, d - y, x];
                inside += edges.Any(e => off[e] < width) ? 1 : 0;
            }
        }

        var counted = inside * w * d / (cells * (double)cells) * 0.1;
        var extra = EdgeDrops.Extra(Samples.Rectangle(w, d), [.. edges.Select(e => new EdgeDrop(e, Length.FromMetres(width), Length.FromMetres(0.1)))]).CubicMetres;
        return Math.Abs(extra - counted) <= 2 * w * d / cells * 0.1; // half a cell along every edge
    }, iter: 40);

    [Fact]
    public void Footings_have_the_volumes_of_their_closed_forms()
    {
        Length Mm(double mm) => Length.FromMillimetres(mm);
        new Footing.Box(Mm(400), Mm(300), Mm(500)).Volume.Litres.ShouldBe(60, 1e-9);
        new Footing.Cylinder(Mm(250), Mm(800)).Volume.Litres.ShouldBe(Math.PI * 1.25 * 1.25 * 8, 1e-9);
        new Footing.Frustum(Mm(300), Mm(300), Mm(800)).Volume.ShouldBe(new Footing.Cylinder(Mm(300), Mm(800)).Volume);
        // A cone in thin slices.
        var slices = Enumerable.Range(0, 10_000).Sum(i => Math.PI * Math.Pow(0.25 - (0.1 * (i + 0.5) / 10_000), 2) * 0.6 / 10_000);
        new Footing.Frustum(Mm(500), Mm(300), Mm(600)).Volume.CubicMetres.ShouldBe(slices, 1e-8);
        new Footing.FrustumWithTube(Mm(500), Mm(300), Mm(600), Mm(250), Mm(500)).Volume.Litres.ShouldBe((slices * 1000) + (Math.PI * 1.25 * 1.25 * 5), 1e-5);
    }

    [Fact]
    public void Tapes_that_meet_give_back_their_own_lengths() => Gen.Select(Gen.Double[-3, 6], Gen.Double[0.1, 6], Gen.Double[0.5, 5]).Sample((x, y, apart) =>
    {
        var corner = new PlanPoint(x, y);
        var met = (TapedCorner.Meets)TapedCorners.Of(corner.DistanceTo(new(0, 0)), corner.DistanceTo(new(apart, 0)), apart);
        return met.At.DistanceTo(corner) < 1e-6;
    });

    [Fact]
    public void Tapes_that_cannot_meet_say_why()
    {
        TapedCorners.Of(1, 2.5, 4).ShouldBeOfType<TapedCorner.TooShort>();
        TapedCorners.Of(6, 1, 4).ShouldBeOfType<TapedCorner.TooFarApart>();
        TapedCorners.Of(1, 3, 4).ShouldBeOfType<TapedCorner.Meets>().At.Y.ShouldBe(0, 1e-9); // just reach
    }

    private static double Shoelace(ImmutableArray<PlanPoint> points) => Math.Abs(points.Select((a, i) =>
    {
        var b = points[(i + 1) % points.Length];
        return (a.X * b.Y) - (b.X * a.Y);
    }).Sum() / 2);
}
