using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

public sealed class ArcTests
{
    /// <summary>Corners at rising angles round a point with bows between them, now and then holes: mostly sound.</summary>
    public static Gen<Outline?> Bowed { get; } = Gen.Select(
        Gen.Double[1.5, 3.5].Array[4, 9], Gen.Double[-0.35, 0.35].Array[9], Gen.Bool, Gen.Double[0.1, 0.5]).Select((radii, bows, holed, hole) =>
        {
            var n = radii.Length;
            var corners = radii.Select((r, i) => new PlanPoint(5 + (r * Math.Cos(2 * Math.PI * i / n)), 5 + (r * Math.Sin(2 * Math.PI * i / n)))).ToImmutableArray();
            ImmutableArray<Opening> openings = holed
                ? [new Opening.Round(new(5, 5), Length.FromMetres(hole)), new Opening.Rectangular(new(5.6, 5.4), Length.FromMetres(hole / 2), Length.FromMetres(hole / 3))]
                : [];
            return Outline.TryCreate(corners, openings, [.. bows.Take(n)]) is OutlineCheck.Sound sound ? sound.Outline : null;
        });

    [Fact]
    public void Areas_with_arcs_and_holes_agree_with_thin_strips_within_two_in_a_thousand() => Bowed.Sample(
        outline => outline is null || Math.Abs(outline.NetArea.SquareMetres - Widths.Area(outline)) < 0.002 * outline.NetArea.SquareMetres, iter: 60);

    [Fact]
    public void Chords_stay_within_a_millimetre_of_their_arc() =>
        Gen.Select(Gen.Double[0.05, 6], Gen.Double[-2, 2]).Where((chord, rise) => Math.Abs(rise) > 0.002).Sample((chord, rise) =>
        {
            var (a, b) = (new PlanPoint(1, 2), new PlanPoint(1 + chord, 2));
            PlanPoint[] points = [a, .. Arcs.Between(a, b, rise), b];
            var radius = Arcs.RadiusM(chord, rise);
            var centre = new PlanPoint(1 + (chord / 2), 2 - rise + (Math.Sign(rise) * radius)); // right of the way is down
            return points.All(p => Math.Abs(p.DistanceTo(centre) - radius) < 1e-9)
                && points.Zip(points.Skip(1), (p, q) => radius - p.Towards(q, 0.5).DistanceTo(centre)).All(off => off <= Arcs.ChordErrorM * 1.0001);
        });

    [Fact]
    public void A_circle_from_four_arcs_is_a_circle()
    {
        var circle = Made(OutlinePresets.Circle(Length.FromMetres(3)));
        circle.NetArea.SquareMetres.ShouldBe(Math.PI * 2.25, 1e-9);
        circle.Perimeter.Metres.ShouldBe(Math.PI * 3, 1e-9);
    }

    [Fact]
    public void Presets_have_the_areas_of_their_closed_forms()
    {
        Length M(double m) => Length.FromMetres(m);
        Made(OutlinePresets.Quarter(M(2))).NetArea.SquareMetres.ShouldBe(Math.PI, 1e-9);
        Made(OutlinePresets.Half(M(2))).NetArea.SquareMetres.ShouldBe(Math.PI / 2, 1e-9);
        Made(OutlinePresets.LShape(M(5), M(3.6), M(2), M(1.4))!).NetArea.SquareMetres.ShouldBe((5 * 3.6) - 2.8, 1e-9);
        Made(OutlinePresets.UShape(M(5), M(3), M(2), M(1))!).NetArea.SquareMetres.ShouldBe(13, 1e-9);
        Made(OutlinePresets.Regular(6, M(2))).NetArea.SquareMetres.ShouldBe(2 * Math.Sqrt(3), 1e-9); // 2 sqrt(3) r2, r the inner radius
        // A band with round ends: width times its middle line, and a circle (Pappus).
        var (along, across) = (2.0, 0.5);
        var reach = (along - across) / 2;
        var radius = Math.Max(across, reach / Math.Sin(0.3 * Math.PI));
        Made(OutlinePresets.Kidney(M(along), M(across))!).NetArea.SquareMetres.ShouldBe(
            (across * 2 * Math.Asin(reach / radius) * radius) + (Math.PI * across * across / 4), 1e-9);
    }

    [Fact]
    public void A_preset_that_cannot_be_is_told_so()
    {
        Length M(double m) => Length.FromMetres(m);
        OutlinePresets.LShape(M(2), M(2), M(2), M(1)).ShouldBeNull();
        OutlinePresets.UShape(M(2), M(2), M(1), M(2)).ShouldBeNull();
        OutlinePresets.Kidney(M(0.5), M(0.5)).ShouldBeNull();
    }

    [Fact]
    public void Mirrored_twice_is_the_same_and_mirrored_once_has_the_same_area() => Bowed.Sample(outline =>
    {
        if (outline is null)
        {
            return true;
        }

        var (once, twice) = (outline.Mirrored(), outline.Mirrored().Mirrored());
        return twice.Corners.SequenceEqual(outline.Corners) && twice.Flat.SequenceEqual(outline.Flat) && twice.Rises.SequenceEqual(outline.Rises)
            && twice.Openings.SequenceEqual(outline.Openings) && twice.TurnsLeft == outline.TurnsLeft
            && once.TurnsLeft != outline.TurnsLeft && Math.Abs(once.NetArea.SquareMetres - outline.NetArea.SquareMetres) < 1e-12
            && once.Corners.Zip(outline.Corners).All(p => p.First.X == -p.Second.X && p.First.Y == p.Second.Y);
    });

    [Fact]
    public void A_drawn_curve_is_made_plain_without_leaving_it()
    {
        var curve = Samples.Curve(4000, 5, wave: 0.02);
        curve.Plain.Corners.Length.ShouldBeLessThanOrEqualTo(Outline.MostDetailed);
        curve.Plain.NetArea.SquareMetres.ShouldBe(curve.NetArea.SquareMetres, 0.01 * curve.NetArea.SquareMetres);
        var rectangle = Samples.Rectangle(3, 2);
        rectangle.Plain.ShouldBeSameAs(rectangle);
    }

    internal static Outline Made(RawOutline raw) => Outline.TryCreate(raw.Corners, [], raw.Rises).ShouldBeOfType<OutlineCheck.Sound>().Outline;
}
