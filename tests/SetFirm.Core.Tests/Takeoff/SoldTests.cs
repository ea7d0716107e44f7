using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Tests.Takeoff;

/// <summary>Which bags one is offered where.</summary>
public sealed class SoldTests
{
    [Theory]
    [InlineData(UnitSystem.Metric)]
    [InlineData(UnitSystem.Us)]
    public void Each_market_is_offered_what_its_shops_have_and_what_every_shop_has(UnitSystem sold)
    {
        var offered = Offered(sold);
        foreach (var bag in BagCatalogue.All)
        {
            offered.Contains(bag.Id).ShouldBe(bag.Sold is null || bag.Sold == sold, bag.Id);
        }

        BagCatalogue.All.Where(b => b.Kind == BagKind.General).ShouldAllBe(b => b.Sold != null && (b.Sold == UnitSystem.Us) == (Math.Abs((b.Mass.Kilograms / 5) - Math.Round(b.Mass.Kilograms / 5)) > 1e-9));
    }

    [Theory]
    [InlineData(UnitSystem.Metric)]
    [InlineData(UnitSystem.Us)]
    public void A_bag_of_ones_own_is_offered_wherever_it_is(UnitSystem sold) => Offered(sold).ShouldContain("own-1");

    private static string[] Offered(UnitSystem sold)
    {
        var job = Samples.Terrace();
        var own = new OwnBagDocument
        {
            Id = "own-1",
            Name = "Garden mix",
            Mass = "25 kg",
            Yield = "12 L",
            LeastWater = "2.2 L",
            MostWater = "3 L",
            F28Mpa = 32,
            InitialSetH = 5,
            FinalSetH = 7,
            LeastThicknessMm = 50,
            StoneMm = 10,
            Family = MixFamily.Portland,
        };
        var plan = Planner.Plan(job with { Build = job.Build with { Sold = sold }, Buy = job.Buy with { Bags = [own] } }, Samples.Steady(18));
        return [.. plan.Ways.Where(w => w.Kind == WayKind.Bagged).Select(w => w.Bag!)];
    }
}
