using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>The fast answers that plans lean on: places inside, reach, and curves made plain.</summary>
public sealed class PlainTests
{
    [Fact]
    public void Inside_agrees_with_the_geometry_library() => Gen.Select(ArcTests.Bowed, Gen.Double[1, 9], Gen.Double[1, 9]).Sample((outline, x, y) =>
    {
        if (outline is null)
        {
            return true;
        }

        var at = new NetTopologySuite.Geometries.Point(x, y);
        return outline.Net.Boundary.Distance(at) < 1e-7 || outline.Region.Contains(new PlanPoint(x, y)) == outline.Net.Contains(at);
    }, iter: 1000);

    [Fact]
    public void The_deepest_place_of_a_rectangle_is_half_its_width_from_its_edges_and_all_of_it_from_one()
    {
        var slab = Samples.Rectangle(4, 2);
        Within.DeepestM(slab, new HashSet<int> { 0, 1, 2, 3 }).ShouldBe(1, 0.06);
        Within.DeepestM(slab, new HashSet<int> { 0 }).ShouldBe(2, 0.06);
        Within.DeepestM(slab, new HashSet<int>()).ShouldBe(double.PositiveInfinity);
    }

    [Fact]
    public void Reach_is_the_same_by_index_and_by_looking_at_every_edge()
    {
        // The same circle in few and in many edges: the second goes by the library's index.
        var (few, many) = (Samples.Curve(200, 2, 0), Samples.Curve(500, 2, 0));
        var all = Enumerable.Range(0, 500).ToHashSet();
        Within.DeepestM(many, all).ShouldBe(Within.DeepestM(few, all), 0.02);
    }

    [Fact]
    public void What_is_left_of_a_simplified_ring_stays_within_its_tolerance() => Gen.Select(Gen.Double[0, 1].Array[12, 60], Gen.Double[0.01, 0.3]).Sample((radii, tolerance) =>
    {
        var ring = radii.Select((r, i) => new PlanPoint((2 + r) * Math.Cos(2 * Math.PI * i / radii.Length), (2 + r) * Math.Sin(2 * Math.PI * i / radii.Length))).ToArray();
        var kept = Simplified.Keep([.. ring], tolerance);
        return kept.SequenceEqual(kept.Order().Distinct()) && kept.Length >= 2 && ring.All(p => kept.Select((k, i) => p.DistanceToSegment(ring[k], ring[kept[(i + 1) % kept.Length]])).Min() <= tolerance + 1e-12);
    });

    [Fact]
    public void Legs_are_panels_without_openings()
    {
        var slab = Samples.Rectangle(4, 2, new Opening.Round(new(1, 1), Length.FromMetres(0.3)));
        PlanCut[] cut = [new(new(2, -1), new(2, 3))];
        Panels.Legs(slab, cut).Sum(p => p.AreaM2).ShouldBe(8, 1e-9);
        Panels.Of(slab, cut).Sum(p => p.AreaM2).ShouldBe(8 - slab.Openings[0].Area.SquareMetres, 1e-3);
    }

    [Fact]
    public void An_inset_of_a_rectangle_takes_off_both_sides() => Samples.Rectangle(4, 2).InsetM2(0.1).ShouldBe(3.8 * 1.8, 1e-9);

    [Fact]
    public void A_turn_is_told_at_its_corner()
    {
        var slab = Samples.Rectangle(4, 2);
        Enumerable.Range(0, 4).Select(slab.TurnDegrees).ShouldAllBe(t => Math.Abs(t - 90) < 1e-9);
        Enumerable.Range(0, 4).Select(slab.Mirrored().TurnDegrees).ShouldAllBe(t => Math.Abs(t + 90) < 1e-9);
    }
}
