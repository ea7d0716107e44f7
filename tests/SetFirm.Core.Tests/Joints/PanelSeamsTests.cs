using CsCheck;
using SetFirm.Core.Joints;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Joints;

/// <summary>Where panels that are not poured together meet, by simple rectangles that are added up by hand.</summary>
public sealed class PanelSeamsTests
{
    [Fact]
    public void Two_panels_side_by_side_share_their_whole_edge()
    {
        var cut = PanelSeams.Shared(Box(0, 0, 3, 2), Box(3, 0, 3, 2)).ShouldHaveSingleItem();
        cut.LengthM.ShouldBe(2, 1e-9);
        cut.From.X.ShouldBe(3, 1e-9);
    }

    [Fact]
    public void A_panel_that_is_set_off_shares_only_what_lies_along_both() =>
        PanelSeams.Shared(Box(0, 0, 3, 2), Box(3, 1.5, 3, 2)).ShouldHaveSingleItem().LengthM.ShouldBe(0.5, 1e-9);

    [Theory]
    [InlineData(3.0, 2.0)] // they touch at a corner
    [InlineData(3.5, 0.0)] // a gap lies between them
    [InlineData(0.0, 2.5)]
    public void Panels_that_touch_at_a_corner_or_not_at_all_share_nothing(double x, double y) =>
        PanelSeams.Shared(Box(0, 0, 3, 2), Box(x, y, 3, 2)).ShouldBeEmpty();

    [Fact]
    public void What_two_panels_share_is_the_same_from_either_side() => Gen.Select(Gen.Double[0.5, 5], Gen.Double[0.5, 5], Gen.Double[-3, 3], Gen.Double[0.5, 5]).Sample((wide, high, off, other) =>
    {
        var (a, b) = (Box(0, 0, wide, high), Box(wide, off, 2, other));
        PanelSeams.Shared(a, b).Sum(c => c.LengthM).ShouldBe(PanelSeams.Shared(b, a).Sum(c => c.LengthM), 1e-6);
        var along = Math.Max(0, Math.Min(high, off + other) - Math.Max(0, off));
        PanelSeams.Shared(a, b).Sum(c => c.LengthM).ShouldBe(along < 1e-4 ? 0 : along, 2e-4);
    }, iter: 200);

    [Fact]
    public void Only_panels_of_different_pours_have_a_seam_and_boards_go_from_pour_to_pour()
    {
        // Four in a row: 1 and 3 first, then 2, then 4.
        NumberedPanel[] row = [.. Enumerable.Range(0, 4).Select(i => new NumberedPanel(i + 1, Box(3 * i, 0, 3, 2)))];
        var pours = new Dictionary<int, int> { [1] = 0, [3] = 0, [2] = 1, [4] = 2 };
        var seams = PanelSeams.Of([.. row], n => pours[n]);
        seams.All.Sum(c => c.LengthM).ShouldBe(3 * 2, 1e-9);
        seams.AtOnce.Sum(c => c.LengthM).ShouldBeLessThanOrEqualTo(3 * 2);
        PanelSeams.Of([.. row], _ => 0).All.ShouldBeEmpty();
    }

    [Fact]
    public void Two_rounds_over_a_row_need_their_boards_once()
    {
        NumberedPanel[] row = [.. Enumerable.Range(0, 5).Select(i => new NumberedPanel(i + 1, Box(2 * i, 0, 2, 1.5)))];
        var seams = PanelSeams.Of([.. row], n => n % 2 == 1 ? 0 : 1);
        seams.All.Sum(c => c.LengthM).ShouldBe(4 * 1.5, 1e-9);
        seams.AtOnce.Sum(c => c.LengthM).ShouldBe(4 * 1.5, 1e-9);
    }

    private static Panel Box(double x, double y, double wide, double high) => new(
        new PlanPoint(x + (wide / 2), y + (high / 2)), [new(x, y), new(x + wide, y), new(x + wide, y + high), new(x, y + high)], wide * high, wide, high);
}
