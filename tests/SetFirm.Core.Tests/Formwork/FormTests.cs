using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Formwork;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Tests.Shapes;

namespace SetFirm.Core.Tests.Formwork;

public sealed class FormTests
{
    private static readonly LumberSize Board = Lumber.Find("47x100")!;

    [Fact]
    public void Stakes_are_never_further_apart_than_allowed() => Gen.Select(Gen.Double[0.1, 25], Gen.Double[60, 250], Gen.Double[19, 47], Gen.Double[0.1, 24].Array[0, 4]).Sample((length, height, thick, splices) =>
    {
        var spacing = Stakes.Spacing(Length.FromMillimetres(height), Length.FromMillimetres(thick)).Metres;
        var at = Stakes.Along(length, spacing, splices.Select(s => (s, StakeAt.Splice)));
        var gaps = at.Zip(at.Skip(1), (a, b) => b.AtM - a.AtM).ToArray();
        return at[0].AtM == 0 && at[^1].AtM == length && gaps.All(g => g >= 0 && g <= spacing + 1e-9)
            && splices.Where(s => s < length - 1e-6).All(s => at.Any(a => a.AtM == s));
    });

    [Theory]
    [InlineData(100, 47, 1.2)]
    [InlineData(150, 47, 0.9)]
    [InlineData(200, 47, 0.6)]
    [InlineData(100, 19, 0.6)]
    public void Higher_and_thinner_boards_want_closer_stakes(double height, double thick, double metres) =>
        Stakes.Spacing(Length.FromMillimetres(height), Length.FromMillimetres(thick)).Metres.ShouldBe(metres);

    [Theory]
    [InlineData(CornerScheme.ButtedPair, 4.094, 3, 4.094, 3)]
    [InlineData(CornerScheme.Pinwheel, 4.047, 3.047, 4.047, 3.047)]
    [InlineData(CornerScheme.Mitred, 4.094, 3.094, 4.094, 3.094)]
    public void The_inside_is_the_pour_and_boards_run_past_by_the_scheme(CornerScheme scheme, double first, double second, double third, double fourth)
    {
        var forms = Forms(Samples.Rectangle(4, 3), scheme);
        forms.Boards.Select(b => Math.Round(b.CutM, 6)).ShouldBe([first, second, third, fourth]);
        forms.Boards.Select(b => b.InsideM).ShouldBe([4, 3, 4, 3]);
    }

    [Fact]
    public void The_corners_of_a_form_close_whichever_the_scheme() => Gen.Select(Gen.Double[1, 6], Gen.Double[1, 6], Gen.Double[0.2, 0.8], Gen.Double[0.2, 0.8]).Sample((a, b, c, d) =>
    {
        // Round an outline the boards' ends fill each plain corner once and give way once in each notch.
        var l = ArcTests.Made(OutlinePresets.LShape(Length.FromMetres(a), Length.FromMetres(b), Length.FromMetres(a * c), Length.FromMetres(b * d))!);
        var t = Board.Thickness.Metres;
        return new[] { CornerScheme.ButtedPair, CornerScheme.Pinwheel }.All(scheme =>
            Math.Abs(Forms(l, scheme).Boards.Sum(r => r.CutM - r.InsideM) - ((5 * t) - t)) < 1e-9);
    });

    [Fact]
    public void No_cut_is_longer_than_its_stock_and_pieces_add_up() => Gen.Select(Gen.Double[0.3, 30], Gen.Double[0.3, 30], Gen.Double[2.4, 4.8]).Sample((a, b, stock) =>
    {
        var forms = FormBoards.Of(Samples.Rectangle(a, b), _ => true, Board, CornerScheme.Pinwheel, Board.Height, stock * 1000, BentStrip.For, []);
        return forms.Boards.All(r => r.PiecesM.All(p => p > 0 && p <= stock + 1e-9) && Math.Abs(r.PiecesM.Sum() - r.CutM) < 1e-9);
    });

    [Fact]
    public void Every_corner_splice_and_bulkhead_has_its_stake()
    {
        PlanCut bulkhead = new(new(2.5, 0), new(2.5, 3));
        var forms = FormBoards.Of(Samples.Rectangle(6, 3), e => e != 2, Board, CornerScheme.ButtedPair, Board.Height, 4800, BentStrip.For, [bulkhead]);
        foreach (var at in new PlanPoint[] { new(0, 0), new(6, 0), new(6, 3), new(0, 3), new(2.5, 0) })
        {
            forms.Stakes.ShouldContain(s => s.At.DistanceTo(at) < 1e-6, $"{at}");
        }

        forms.Stakes.ShouldContain(s => s.Why == StakeAt.Splice);
        forms.Stakes.ShouldContain(s => s.Why == StakeAt.Bulkhead && Math.Abs(s.At.X - 2.5) < 1e-9 && s.At.Y > 0.1);
        forms.BulkheadsM.ShouldBe([3]);
    }

    [Fact]
    public void A_curve_is_bent_from_the_stiffest_strip_that_bends_to_it()
    {
        BentStrip.For(7).ShouldBe(new StripStock(StripKind.PlyAlong, Length.FromMillimetres(18), Length.FromMetres(6.1)));
        BentStrip.For(4).ShouldBe(new StripStock(StripKind.PlyAcross, Length.FromMillimetres(18), Length.FromMetres(3.7)));
        BentStrip.For(0.7).ShouldBe(new StripStock(StripKind.PlyAcross, Length.FromMillimetres(6), Length.FromMetres(0.6)));
        BentStrip.For(0.4).Kind.ShouldBe(StripKind.Hardboard);
        BentStrip.For(0.1).Kind.ShouldBe(StripKind.KerfedOrSheet);
        Gen.Double[0.05, 12].Sample(r => BentStrip.For(r).LeastRadius.Metres <= r);
    }

    [Fact]
    public void Bent_strips_develop_along_their_middle()
    {
        var circle = ArcTests.Made(OutlinePresets.Circle(Length.FromMetres(3)));
        var forms = FormBoards.Of(circle, _ => true, Board, CornerScheme.ButtedPair, Board.Height, 4800, BentStrip.For, []);
        var t = forms.Bends[0].Strip.Thickness.Metres;
        forms.Bends.Sum(b => b.InsideM).ShouldBe(Math.PI * 3, 1e-9);
        forms.Bends.Sum(b => b.CutM).ShouldBe(2 * Math.PI * (1.5 + (t / 2)), 1e-9);
        var at = forms.Stakes.Select(s => s.At).ToArray();
        at.ShouldAllBe(p => Math.Abs(p.DistanceTo(new PlanPoint(1.5, 1.5)) - 1.5) < 1e-9);
        at.Zip(at.Skip(1), (p, q) => p.DistanceTo(q)).Max().ShouldBeLessThanOrEqualTo(Stakes.BentM + 1e-9);
    }

    [Theory]
    [InlineData(100, UnitSystem.Metric, "47x100")]
    [InlineData(101.6, UnitSystem.Us, "2x4")]
    [InlineData(140, UnitSystem.Metric, "47x150")]
    [InlineData(20, UnitSystem.Metric, "22x50")]
    [InlineData(150, UnitSystem.Us, "2x6")]
    public void The_lowest_board_that_holds_a_pour_is_advised(double mm, UnitSystem system, string id) => Lumber.For(Length.FromMillimetres(mm), system).Id.ShouldBe(id);

    [Fact]
    public void A_mould_closes_every_edge_and_takes_no_less_than_its_area() => Gen.Select(Gen.Double[0.2, 2.4], Gen.Double[0.2, 1.1], Gen.Double[0.03, 0.15], Gen.Int[1, 6]).Sample((a, b, h, moulds) =>
    {
        var mould = Mould.Of(Samples.Rectangle(a, b), _ => true, h, new MouldForm(0.018, MouldSides.OnBottom, Bottom: true), []);
        var area = mould.Parts.Sum(p => p.AlongM * p.AcrossM * p.Count) * moulds;
        return mould.Parts.Where(p => p.Part == MouldPart.Side).Sum(p => p.AlongM) > 2 * (a + b)
            && mould.Sheets(moulds) >= area / (Mould.SheetAlongM * Mould.SheetAcrossM) - 1e-9;
    });

    [Fact]
    public void Castings_make_every_piece_and_each_mould_is_free_again() => Gen.Select(Gen.Int[1, 60], Gen.Int[1, 9], Gen.Double[0.5, 7], Gen.Double[0, 2]).Sample((pieces, moulds, strip, clean) =>
    {
        var castings = MouldCalendar.Of(pieces, moulds, strip, clean);
        return castings.Sum(c => c.Pieces) == pieces && castings.All(c => c.Pieces >= 1 && c.Pieces <= moulds)
            && castings.Zip(castings.Skip(1)).All(p => p.Second.CastDay >= p.First.StripDay - 1e-9);
    });

    private static FormBoards Forms(Outline outline, CornerScheme scheme) =>
        FormBoards.Of(outline, _ => true, Board, scheme, Board.Height, 100_000, BentStrip.For, ImmutableArray<PlanCut>.Empty);
}
