using CsCheck;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Shapes;

public sealed class OutlineWalkTests
{
    [Fact]
    public void An_L_with_two_blanks_is_worked_out()
    {
        var walked = OutlineWalk.Walk([Edge(4.8), Edge(3.4), Edge(2.0), Edge(1.2, -90), Blank(), Blank()]).ShouldBeOfType<Walked.Closed>();
        walked.LengthsMetres[4].ShouldBe(2.8, 1e-12);
        walked.LengthsMetres[5].ShouldBe(2.2, 1e-12);
        walked.Corners[^1].ShouldBe(new PlanPoint(0, 2.2));
        walked.MisfitMetres.ShouldBe(0, 1e-12);
    }

    [Fact]
    public void It_may_be_walked_the_other_way_round()
    {
        var walked = OutlineWalk.Walk([Edge(3, -90), Edge(2, -90), Blank(-90), Blank(-90)]).ShouldBeOfType<Walked.Closed>();
        walked.LengthsMetres.ShouldBe([3, 2, 3, 2]);
        walked.Corners[2].Y.ShouldBe(-2);
    }

    [Fact]
    public void A_small_misfit_is_spread_and_told()
    {
        var walked = OutlineWalk.Walk([Edge(3.000), Edge(2.000), Edge(3.004), Edge(2.000)]).ShouldBeOfType<Walked.Closed>();
        walked.MisfitMetres.ShouldBe(0.004, 1e-12);
        var outline = Outline.TryCreate(walked.Corners, []).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        outline.GrossArea.SquareMetres.ShouldBe(6.004, 0.001);
    }

    [Fact]
    public void A_large_misfit_is_never_hidden() =>
        OutlineWalk.Walk([Edge(3), Edge(2), Edge(3.1), Edge(2)]).ShouldBeOfType<Walked.Gap>().Metres.ShouldBe(0.1, 1e-12);

    [Fact]
    public void Refusals_name_what_is_wrong()
    {
        OutlineWalk.Walk([Edge(3), Edge(2)]).ShouldBeOfType<Walked.TooFewEdges>();
        OutlineWalk.Walk([Edge(3), Edge(2), Edge(3, 80), Edge(2)]).ShouldBe(new Walked.TurnsOff(350));
        OutlineWalk.Walk([Blank(), Edge(2), Blank(), Edge(2)]).ShouldBe(new Walked.NotSolvable(2));
        OutlineWalk.Walk([Blank(), Blank(), Blank(), Edge(2)]).ShouldBe(new Walked.NotSolvable(3));
        OutlineWalk.Walk([Edge(2), Edge(3), Edge(4), Edge(1, -90), Blank(), Blank()]).ShouldBeOfType<Walked.Backwards>().Edge.ShouldBe(4);
    }

    [Fact]
    public void Any_two_blanks_that_are_not_parallel_come_back() =>
        Gen.Select(Gen.Double[0.2, 20], Gen.Double[0.2, 20], Gen.Double[0.1, 0.9], Gen.Double[0.1, 0.9], Gen.Int[0, 5], Gen.Int[0, 5])
            .Where((_, _, _, _, i, j) => i < j && (i + j) % 2 == 1)
            .Sample((w, h, cutX, cutY, i, j) =>
            {
                double[] lengths = [w, h, w * (1 - cutX), h * cutY, w * cutX, h * (1 - cutY)];
                double[] turns = [90, 90, 90, -90, 90, 90];
                var taped = lengths.Select((l, k) => k == i || k == j ? Blank(turns[k]) : Edge(l, turns[k])).ToArray();
                return OutlineWalk.Walk(taped) is Walked.Closed closed
                    && closed.LengthsMetres.Zip(lengths).All(p => Math.Abs(p.First - p.Second) < 1e-9);
            });

    [Fact]
    public void Squares_stay_exactly_square()
    {
        var walked = OutlineWalk.Walk([Edge(3), Edge(2), Edge(3), Edge(2)]).ShouldBeOfType<Walked.Closed>();
        walked.Corners.ShouldBe([new(0, 0), new(3, 0), new(3, 2), new(0, 2)]);
    }

    [Fact]
    public void An_octagon_by_its_turns_closes()
    {
        var edges = Enumerable.Repeat(Edge(1, 45), 8).ToArray();
        var walked = OutlineWalk.Walk(edges).ShouldBeOfType<Walked.Closed>();
        var outline = Outline.TryCreate(walked.Corners, []).ShouldBeOfType<OutlineCheck.Sound>().Outline;
        outline.GrossArea.SquareMetres.ShouldBe(2 * (1 + Math.Sqrt(2)), 1e-9);
        outline.Perimeter.Metres.ShouldBe(8, 1e-9);
    }

    private static TapedEdge Edge(double metres, double turn = 90) => new(Length.FromMetres(metres), turn);

    private static TapedEdge Blank(double turn = 90) => new(null, turn);
}
