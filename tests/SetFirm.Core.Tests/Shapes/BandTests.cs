using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

/// <summary>Bands of a plan have the shares of its area that were asked for, and together are the plan.</summary>
public sealed class BandTests
{
    private static readonly Gen<ImmutableArray<PlanPoint>> Rings = Gen.Select(Gen.Double[0.5, 6].Array[5, 12], Gen.Double[0, 6.28]).Select((radii, turn) =>
        (ImmutableArray<PlanPoint>)[.. radii.Select((r, i) => (A: turn + (2 * Math.PI * i / radii.Length), R: r)).Select(p => new PlanPoint(p.R * Math.Cos(p.A), p.R * Math.Sin(p.A)))]);

    [Fact]
    public void Each_band_has_its_share_and_they_add_up_to_the_whole() => Gen.Select(Rings, Gen.Double[0, 6.28], Gen.Int[1, 9]).Sample((ring, heading, count) =>
    {
        var towards = new PlanPoint(Math.Cos(heading), Math.Sin(heading));
        var fronts = Bands.Fronts(ring, towards, [.. Enumerable.Range(0, count + 1).Select(i => (double)i / count)]);
        var whole = Bands.Area(ring);
        var areas = fronts.Zip(fronts.Skip(1), (from, to) => Bands.Area(Bands.Between(ring, towards, from, to))).ToArray();
        return areas.All(a => Math.Abs(a - (whole / count)) < 1e-6 * whole) && Math.Abs(areas.Sum() - whole) < 1e-6 * whole;
    });

    [Fact]
    public void A_band_of_a_path_is_as_long_as_its_share_and_as_wide_as_the_path()
    {
        var line = new CentreLine([new Stretch.Straight(Length.FromMetres(2.4), 0), new Stretch.Arc(Length.FromMetres(1.5), 90)]);
        var bent = Bands.Between(line, 0.11, 0, 1);
        Bands.Area(bent).ShouldBe(line.Length.Metres * 0.11, 0.002 * line.Length.Metres * 0.11);
        Bands.Area(Bands.Between(line, 0.11, 0, 0.25)).ShouldBe(line.Length.Metres * 0.25 * 0.11, 1e-6);
    }
}
