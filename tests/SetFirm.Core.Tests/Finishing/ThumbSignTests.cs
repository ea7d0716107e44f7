using CsCheck;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;

namespace SetFirm.Core.Tests.Finishing;

/// <summary>What a thumb leaves, and what is read of it.</summary>
public sealed class ThumbSignTests
{
    [Theory]
    [InlineData(ThumbMark.SixMm, 0.40, 0.40)]
    [InlineData(ThumbMark.ThreeMm, 0.60, 0.60)]
    [InlineData(ThumbMark.Deeper, 0, 0.40)]
    [InlineData(ThumbMark.None, 0.85, double.PositiveInfinity)]
    [InlineData(ThumbMark.NoLightPrint, 0.60, double.PositiveInfinity)]
    public void Each_mark_says_what_the_trade_says(ThumbMark mark, double least, double most) => ThumbSign.Of(mark).ShouldBe(new ThumbSign(least, most));

    [Fact]
    public void Every_mark_says_something_and_a_mark_that_was_left_is_read_within_a_mark_of_the_truth()
    {
        Enum.GetValues<ThumbMark>().Select(ThumbSign.Of).ShouldAllBe(s => s.Least > 0 || s.Most < double.PositiveInfinity);
        Gen.Double[0.05, 1.5].Sample(s =>
        {
            var (least, most) = ThumbSign.Of(ThumbSign.Left(s));
            return s >= least - 0.13 && s <= most + 0.13;
        });
        // The harder, the less it leaves.
        Gen.Select(Gen.Double[0, 1.5], Gen.Double[0, 1.5]).Sample((a, b) => a > b || ThumbSign.Left(a) <= ThumbSign.Left(b));
    }
}
