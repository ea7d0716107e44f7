using System.Collections.Immutable;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Overlay;
using NetTopologySuite.Operation.OverlayNG;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

public sealed class PanelTests
{
    private static readonly Gen<PlanCut> Cuts = Gen.Select(Gen.Double[0, 10], Gen.Double[0, 10], Gen.Double[0, 10], Gen.Double[0, 10], Gen.Int[0, 2]).Select((a, b, c, d, way) =>
        way == 0 ? new PlanCut(new(a, -1), new(a, 11)) : way == 1 ? new PlanCut(new(-1, b), new(11, b)) : new PlanCut(new(a, b), new(c, d)));

    [Fact]
    public void Panels_tile_the_outline_exactly_and_none_lies_over_another() => Gen.Select(ArcTests.Bowed, Cuts.Array[0, 6]).Sample((outline, cuts) =>
    {
        if (outline is null)
        {
            return true;
        }

        var panels = Panels.Of(outline, cuts);
        var whole = outline.Net.Area;
        var apart = panels.Select((p, i) => panels.Skip(i + 1).Sum(q => OverlayNGRobust.Overlay(Ring(p), Ring(q), SpatialFunction.Intersection).Area)).Sum();
        return Math.Abs(panels.Sum(p => p.AreaM2) - whole) < 1e-7 * whole && (outline.Openings.Length > 0 || apart < 1e-7 * whole)
            && panels.All(p => Within(outline, p.Middle));
    }, iter: 150);

    [Fact]
    public void The_fast_clip_agrees_with_the_geometry_library() => Gen.Select(ArcTests.Bowed, Cuts).Sample((outline, cut) =>
    {
        if (outline is null)
        {
            return true;
        }

        var line = new LineString([new(cut.From.X, cut.From.Y), new(cut.To.X, cut.To.Y)]);
        var parts = Panels.Clip(outline, cut);
        return Math.Abs(parts.Sum(p => p.LengthM) - line.Intersection(outline.Net).Length) < 1e-6
            && parts.All(p => Within(outline, p.From.Towards(p.To, 0.5)));
    }, iter: 300);

    [Fact]
    public void The_fast_area_agrees_with_the_geometry_library() => Gen.Select(ArcTests.Bowed, Gen.Double[0, 8], Gen.Double[0, 8], Gen.Double[0.2, 4], Gen.Double[0.2, 4]).Sample((outline, x, y, w, h) =>
    {
        if (outline is null)
        {
            return true;
        }

        var box = new GeometryFactory().ToGeometry(new Envelope(x, x + w, y, y + h));
        return Math.Abs(Inside.Of(outline, 0).SharedM2(x, y, x + w, y + h) - outline.Net.Buffer(0).Intersection(box).Area) < 1e-9;
    }, iter: 300);

    [Fact]
    public void A_cut_along_an_edge_is_no_cut()
    {
        var l = ArcTests.Made(OutlinePresets.LShape(Length.FromMetres(4.8), Length.FromMetres(3.4), Length.FromMetres(2.8), Length.FromMetres(1.2))!);
        var level = Panels.Clip(l, new PlanCut(new(-1, 2.2), new(6, 2.2))).ShouldHaveSingleItem();
        level.From.X.ShouldBe(2.8, 1e-9);
        level.To.X.ShouldBe(4.8, 1e-9);
        Panels.Clip(l, new PlanCut(new(-1, 0), new(6, 0))).ShouldBeEmpty();
    }

    private static bool Within(Outline outline, PlanPoint at) => outline.Net.Contains(new Point(at.X, at.Y));

    private static Polygon Ring(Panel panel) => Outline.Ring(panel.Corners);
}
