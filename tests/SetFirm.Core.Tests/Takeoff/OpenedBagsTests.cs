using CsCheck;
using NodaTime;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Tests.Takeoff;

/// <summary>Half bags from one pour to the next: what an opened bag is good for, and when it is lost.</summary>
public sealed class OpenedBagsTests
{
    private static readonly LocalDate First = new(2027, 5, 3);
    private static readonly BagMix General = BagCatalogue.Find(BagCatalogue.DefaultMetric)!;
    private static readonly BagMix Topping = BagCatalogue.Find("topping-60lb")!;

    [Theory]
    [InlineData(0, 4)] // the other half goes on the same day
    [InlineData(7, 4)] // to the last day that it keeps
    [InlineData(8, 5)] // a day later it is gone, and half a bag with it
    public void The_rest_of_a_bag_is_good_for_a_week(int days, int units) =>
        Settle(Pour(General, 0, 1), Pour(General, days, 3)).ShouldBe(units);

    [Fact]
    public void A_rest_is_as_old_as_the_bag_it_came_from_and_one_that_is_used_up_is_not_lost()
    {
        Settle(Pour(General, 0, 3), Pour(General, 6, 1), Pour(General, 12, 2)).ShouldBe(6);
        // A pour that takes none of it does not make it younger.
        Settle(Pour(General, 0, 1), Pour(General, 3, 0), Pour(General, 7, 1)).ShouldBe(2);
        Settle(Pour(General, 0, 1), Pour(General, 3, 0), Pour(General, 8, 1)).ShouldBe(3);
    }

    [Fact]
    public void A_rest_of_one_bag_does_nothing_for_another() =>
        Settle(Pour(General, 0, 1), Pour(Topping, 1, 1), Pour(General, 2, 1), Pour(Topping, 3, 1)).ShouldBe(4);

    [Fact]
    public void Where_no_day_is_known_nothing_is_carried_over_and_nothing_is_lost() =>
        Settle(Pour(General, null, 1), Pour(General, null, 3), Pour(General, null, 5)).ShouldBe(9);

    [Fact]
    public void What_is_measured_by_parts_opens_no_bag()
    {
        var parts = PartsRecipe.Of(new Parts(1, 2, 3), 20, Consistency.Plastic, Moisture.Damp, Samples.Containers(), [])!;
        PourMeasured[] pours = [new(1, parts, First, 5, 0, []), new(2, parts, First.PlusDays(30), 7, 0, [])];
        OpenedBags.Settle(pours).ShouldBe(pours);
    }

    [Fact]
    public void Nothing_is_ever_bought_that_is_not_used_or_lost_and_no_more_is_lost_than_a_rest_a_pour() =>
        Gen.Select(Gen.Int[0, 12], Gen.Int[0, 30]).Array[1, 12].Sample(gaps =>
        {
            var (day, pours) = (0, new List<PourMeasured>());
            foreach (var (gap, units) in gaps)
            {
                day += gap;
                pours.Add(Pour(General, day, units));
            }

            var settled = OpenedBags.Settle(pours).ToArray();
            settled.Length.ShouldBe(pours.Count);
            for (var i = 0; i < pours.Count; i++)
            {
                (settled[i].Units - pours[i].Units).ShouldBeInRange(0, BaggedRecipe.UnitsPerBag - 1);
                settled[i].ShouldBe(pours[i] with { Units = settled[i].Units });
            }

            // Whole bags are opened: what is lost makes up what one opened and did not use.
            if (gaps.Skip(1).All(g => g.Item1 <= 0))
            {
                settled.ShouldBe(pours);
            }
        }, iter: 300);

    private static int Settle(params PourMeasured[] pours) => OpenedBags.Settle(pours).Sum(p => p.Units);

    private static PourMeasured Pour(BagMix bag, int? day, int units) =>
        new(1, BaggedRecipe.Of(bag, bag.MiddleWater, 0, Samples.Containers(), [])!, day is { } d ? First.PlusDays(d) : null, units, 0, []);
}
