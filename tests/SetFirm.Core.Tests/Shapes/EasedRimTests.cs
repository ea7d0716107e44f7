using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>What easing chosen edges takes off a plate.</summary>
public sealed class EasedRimTests
{
    private static readonly Gen<(PlanPoint[] Corners, bool[] Eased, double Size)> Triangles =
        from base_ in Gen.Double[0.6, 1.5]
        from x in Gen.Double[0.2, 0.4]
        from y in Gen.Double[0.5, 1.2]
        from eased in Gen.Bool.Array[3]
        from size in Gen.Double[0.005, 0.04]
        select (new PlanPoint[] { new(0, 0), new(base_, 0), new(x, y) }, eased, size);

    [Fact]
    public void A_chamfer_on_chosen_edges_takes_what_the_slices_add_up_to() => Triangles.Sample(t =>
    {
        var outline = Of(t.Corners);
        var whole = outline.NetArea.SquareMetres;
        double Lost(double x) => whole - Left(t.Corners, t.Eased, x);
        // Quadratic in the height, so that three slices are exact.
        var lost = t.Size * (Lost(t.Size) + (4 * Lost(t.Size / 2)) + Lost(0)) / 6;
        EasedRim.LostM3(outline, i => t.Eased[i], EdgeEase.Chamfer, t.Size).ShouldBe(lost, 1e-9);
        // A radius: a thousand slices.
        var slices = Enumerable.Range(0, 1000).Select(i => (i + 0.5) / 1000 * t.Size).Sum(z => Lost(t.Size - Math.Sqrt((t.Size * t.Size) - Math.Pow(t.Size - z, 2))) * t.Size / 1000);
        EasedRim.LostM3(outline, i => t.Eased[i], EdgeEase.Round, t.Size).ShouldBe(slices, 1e-7 + (1e-3 * slices));
    });

    [Fact]
    public void A_round_slab_loses_the_ring_that_it_is() => Gen.Select(Gen.Double[0.2, 2], Gen.Double[0.003, 0.05]).Sample((radius, size) =>
    {
        var raw = OutlinePresets.Circle(Length.FromMetres(2 * radius));
        var outline = ((OutlineCheck.Sound)Outline.TryCreate(raw.Corners, [], raw.Rises)).Outline;
        // Pappus: a triangle of c²/2 turned round, its middle a third of the leg in.
        EasedRim.LostM3(outline, _ => true, EdgeEase.Chamfer, size).ShouldBe(size * size / 2 * 2 * Math.PI * (radius - (size / 3)), 1e-9);
    });

    [Fact]
    public void An_inner_corner_gives_more_edge_than_it_has_length()
    {
        // An L of 2 x 2 less 1 x 1: six edges, 8 m, five corners out and one in.
        PlanPoint[] ell = [new(0, 0), new(2, 0), new(2, 1), new(1, 1), new(1, 2), new(0, 2)];
        const double c = 0.03;
        EasedRim.LostM3(Of(ell), _ => true, EdgeEase.Chamfer, c).ShouldBe((8 * c * c / 2) - (4 * c * c * c / 3), 1e-12);
        EasedRim.LostM3(Of(ell), i => i == 0, EdgeEase.Chamfer, c).ShouldBe(2 * c * c / 2, 1e-12);
        EasedRim.LostM3(Of(ell), _ => false, EdgeEase.Round, c).ShouldBe(0);
        EasedRim.Fits(Of(ell), _ => true, 0.4).ShouldBeTrue();
        EasedRim.Fits(Of(ell), _ => true, 1.1).ShouldBeFalse();
    }

    private static Outline Of(PlanPoint[] corners) => ((OutlineCheck.Sound)Outline.TryCreate([.. corners], [])).Outline;

    // Half-planes cut one after the other.
    private static double Left(PlanPoint[] corners, bool[] eased, double x)
    {
        List<PlanPoint> ring = [.. corners];
        for (var i = 0; i < corners.Length; i++)
        {
            if (!eased[i])
            {
                continue;
            }

            var (a, b) = (corners[i], corners[(i + 1) % corners.Length]);
            var length = a.DistanceTo(b);
            double In(PlanPoint p) => (((b.X - a.X) * (p.Y - a.Y)) - ((b.Y - a.Y) * (p.X - a.X))) / length - x;
            List<PlanPoint> kept = [];
            for (var k = 0; k < ring.Count; k++)
            {
                var (p, q) = (ring[k], ring[(k + 1) % ring.Count]);
                var (dp, dq) = (In(p), In(q));
                if (dp >= 0)
                {
                    kept.Add(p);
                }

                if (dp >= 0 != dq >= 0)
                {
                    kept.Add(new PlanPoint(p.X + ((q.X - p.X) * dp / (dp - dq)), p.Y + ((q.Y - p.Y) * dp / (dp - dq))));
                }
            }

            ring = kept;
        }

        return ring.Select((p, i) => (p.X * ring[(i + 1) % ring.Count].Y) - (ring[(i + 1) % ring.Count].X * p.Y)).Sum() / 2;
    }
}
