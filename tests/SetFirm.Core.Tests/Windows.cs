using NodaTime;
using SetFirm.Core.Finishing;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Tests;

/// <summary>A window read off whole histories, in moments.</summary>
internal static class Windows
{
    public static (Instant Opens, Instant Closes)? Of(PassRule rule, SlabHistory oldest, SlabHistory youngest, Instant placed, double initialH = 5)
    {
        var clock = new PassClock([rule], Samples.Mix(initialSetH: initialH, finalSetH: initialH + 2));
        double Hours(Instant at) => (at - Samples.Morning).TotalHours;
        var span = clock.Span(0, new ZoneCourse
        {
            OldestWaterH = Hours(oldest.WaterAdded),
            YoungestWaterH = Hours(youngest.WaterAdded),
            FirstPlacedH = Hours(oldest.Placed),
            PlacedH = Hours(placed),
            StruckOffH = Hours(placed),
            OldestReachedH = Reached(oldest, clock),
            YoungestReachedH = Reached(youngest, clock),
            Oldest = oldest.Marks,
            Youngest = youngest.Marks,
            SheenFactor = 1,
        });
        return span.IsReached ? (Samples.Morning + Duration.FromHours(span.OpensH), Samples.Morning + Duration.FromHours(span.ClosesH)) : null;
    }

    private static double[] Reached(SlabHistory history, PassClock clock) =>
        [.. clock.Ages.ToArray().Select(age => history.WhenEquivalentHours(age) is { } at ? (at - history.WaterAdded).TotalHours : double.PositiveInfinity)];
}
