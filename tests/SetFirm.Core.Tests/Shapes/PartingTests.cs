using System.Collections.Immutable;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;
using SetFirm.Core.Joints;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>Panels are parted by a quick noding: the geometry library's slow and careful union is the oracle.</summary>
public sealed class PartingTests
{
    private static readonly Gen<Outline> Ls = Gen.Select(Gen.Double[2.5, 9], Gen.Double[2.5, 9], Gen.Double[0.2, 0.8], Gen.Double[0.2, 0.8])
        .Select((along, across, x, y) => ArcTests.Made(OutlinePresets.LShape(
            Length.FromMetres(along), Length.FromMetres(across), Length.FromMetres(along * x), Length.FromMetres(across * y))!));

    private static readonly Gen<JointLine[]> Lines = Gen.Select(Gen.Bool, Gen.Int[1, 19]).Array[0, 7].Select(lines => lines.Select(l => new JointLine(l.Item1, l.Item2 * 0.5)).ToArray());

    [Fact]
    public void A_grid_on_an_L_leaves_the_panels_that_the_oracle_finds() => Gen.Select(Ls, Lines).Sample((outline, lines) =>
        Same(outline, [.. lines.SelectMany(l => l.Within(outline))]), iter: 200);

    [Fact]
    public void So_do_cuts_on_one_another_cuts_from_corners_and_cuts_that_end_on_a_cut() => Gen.Select(Ls, Lines, Gen.Int[0, 5]).Sample((outline, lines, corner) =>
    {
        var cuts = lines.SelectMany(l => l.Within(outline)).ToList();
        var from = outline.Corners[corner];
        foreach (var line in new[] { new JointLine(true, from.X), new JointLine(false, from.Y) })
        {
            cuts.AddRange(line.Within(outline));
        }

        // The same once more, and half of it.
        foreach (var cut in cuts.Take(3).ToArray())
        {
            cuts.Add(cut);
            cuts.Add(new PlanCut(cut.From.Towards(cut.To, 0.25), cut.To));
        }

        return Same(outline, cuts);
    }, iter: 200);

    [Fact]
    public void Openings_between_and_on_the_cuts_are_where_the_oracle_has_them() => Gen.Select(Gen.Double[0.4, 5.6], Gen.Double[0.4, 3.6], Gen.Bool, Lines).Sample((x, y, round, lines) =>
    {
        var (left, right) = (new PlanPoint(x, y), new PlanPoint(8 + x, 4 - y));
        var slab = Samples.Rectangle(14, 4, Hole(left, round), Hole(right, !round));
        // Slits from openings to the edge, as a proposal makes them, and lines that run through.
        PlanCut[] cuts = [.. lines.SelectMany(l => l.Within(slab)), .. new JointLine(true, left.X, 0, left.Y).Within(slab), .. new JointLine(false, right.Y, right.X, 14).Within(slab)];
        return Same(slab, cuts) && Same(slab, cuts[^2..]);
    }, iter: 300);

    private static Opening Hole(PlanPoint at, bool round) =>
        round ? new Opening.Round(at, Length.FromMetres(0.2)) : new Opening.Rectangular(at, Length.FromMetres(0.3), Length.FromMetres(0.15));

    [Fact]
    public void A_cut_that_ends_in_the_open_parts_nothing()
    {
        var slab = Samples.Rectangle(6, 4);
        Panels.Of(slab, [new PlanCut(new(3, 0), new(3, 2))]).ShouldHaveSingleItem().AreaM2.ShouldBe(24, 1e-9);
        // Where another meets its end it parts a corner off.
        Panels.Of(slab, [new PlanCut(new(3, 0), new(3, 2)), new PlanCut(new(3, 2), new(6, 2))]).Select(p => p.AreaM2).Order().ShouldBe([6, 18], 1e-9);
    }

    [Fact]
    public void Cuts_that_miss_each_other_by_rounding_meet()
    {
        var slab = Samples.Rectangle(6, 4);
        var panels = Panels.Of(slab, [new PlanCut(new(3, 1e-12), new(3, 2 - 1e-10)), new PlanCut(new(0, 2), new(6 - 1e-10, 2))]);
        panels.Select(p => p.AreaM2).Order().ShouldBe([6, 6, 12], 1e-6);
    }

    [Fact]
    public void A_joint_from_the_inner_corner_parts_the_slab_even_a_hair_beside_it() => Gen.Select(Ls, Gen.Double[-1e-10, 1e-10]).Sample((outline, off) =>
    {
        var inner = outline.Corners[Proposal.ReentrantCorners(outline).Single()];
        return Panels.Of(outline, [.. new JointLine(true, inner.X + off).Within(outline)]).Count(p => Counts(p.AreaM2)) == 2
            && Panels.Of(outline, [.. new JointLine(false, inner.Y + off).Within(outline)]).Count(p => Counts(p.AreaM2)) == 2;
    }, iter: 300);

    [Fact]
    public void A_cut_along_an_edge_or_a_hair_beside_it_ends_and_parts_nothing_worth_a_name() => Gen.Select(Ls, Gen.Int[0, 5], Gen.Double[-9, -6], Gen.Bool).Sample((outline, edge, power, inwards) =>
    {
        var off = Math.Pow(10, power) * (inwards ? 1 : -1);
        var (from, to) = (outline.Corners[edge], outline.Corners[(edge + 1) % 6]);
        var across = Math.Abs(from.X - to.X) < 1e-9;
        var panels = Panels.Of(outline, [.. new JointLine(across, (across ? from.X : from.Y) + off).Within(outline), new PlanCut(from, to)]);
        // Beside an edge of the inner corner it goes on and parts the slab; beside any other it does not.
        return panels.Count(p => p.AreaM2 > 1e-3) is 1 or 2 && Math.Abs(panels.Sum(p => p.AreaM2) - outline.Net.Area) < 1e-6;
    }, iter: 500);

    [Fact]
    public void A_cut_through_an_opening_parts_the_slab_and_one_that_ends_in_it_does_not()
    {
        var slab = Samples.Rectangle(6, 4, new Opening.Rectangular(new(3, 2), Length.FromMetres(1), Length.FromMetres(1)));
        PlanCut[] through = [.. new JointLine(true, 3).Within(slab)];
        through.Length.ShouldBe(2);
        Panels.Of(slab, through).Select(p => p.AreaM2).ShouldBe([11.5, 11.5], 1e-9);
        Panels.Of(slab, through[..1]).ShouldHaveSingleItem().AreaM2.ShouldBe(23, 1e-9);
        // Without its opening the half cut parts nothing either, and the whole one still lacks its middle.
        Panels.Legs(slab, through).ShouldHaveSingleItem().AreaM2.ShouldBe(24, 1e-9);
    }

    [Fact]
    public void A_large_slab_is_parted_as_a_small_one()
    {
        var slab = Samples.Rectangle(400, 300);
        PlanCut[] cuts = [.. Enumerable.Range(1, 9).SelectMany(i => new JointLine(true, i * 40).Within(slab)), .. Enumerable.Range(1, 5).SelectMany(i => new JointLine(false, i * 50).Within(slab))];
        var panels = Panels.Of(slab, cuts);
        panels.Length.ShouldBe(60);
        panels.ShouldAllBe(p => Math.Abs(p.AreaM2 - 2000) < 1e-6);
    }

    [Fact]
    public void A_middle_lies_in_its_panel_even_where_the_centroid_does_not()
    {
        // A horseshoe: its centroid lies in the gap.
        var shoe = Outline.TryCreate([new(0, 0), new(6, 0), new(6, 6), new(5, 6), new(5, 1), new(1, 1), new(1, 6), new(0, 6)], []).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        var only = Panels.Of(shoe, []).ShouldHaveSingleItem();
        shoe.Region.Contains(only.Middle).ShouldBeTrue();
        Panels.Of(shoe, [.. new JointLine(false, 3).Within(shoe)]).Length.ShouldBe(3);
    }

    private static bool Same(Outline outline, IReadOnlyList<PlanCut> cuts)
    {
        var (found, oracle) = (Panels.Of(outline, cuts).Select(p => p.AreaM2).Where(Counts).Order().ToArray(), Oracle(outline, cuts).Where(Counts).Order().ToArray());
        return found.Length == oracle.Length && found.Zip(oracle, (a, b) => Math.Abs(a - b)).All(off => off < 1e-6);
    }

    // What lies between two lines that are all but one is no panel to anybody.
    private static bool Counts(double areaM2) => areaM2 > 1e-6;

    private static IEnumerable<double> Oracle(Outline outline, IReadOnlyList<PlanCut> cuts)
    {
        var pieces = new Polygonizer();
        pieces.Add(UnaryUnionOp.Union(cuts.Select(c => (Geometry)Line(c)).Append(outline.Net.Boundary).ToList()));
        return pieces.GetPolygons().Cast<Polygon>().Where(p => outline.Net.Contains(p.InteriorPoint)).Select(p => p.Area);
    }

    private static LineString Line(PlanCut cut)
    {
        var (from, to) = (cut.From.Towards(cut.To, -1e-7), cut.From.Towards(cut.To, 1 + 1e-7));
        return new LineString([new(from.X, from.Y), new(to.X, to.Y)]);
    }
}
