using System.Collections.Immutable;
using CsCheck;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Tests.Takeoff;

/// <summary>What is bought covers what is used, for the least money that the sizes sold allow.</summary>
public sealed class BuyingTests
{
    private static readonly Gen<(Good Good, double Used, double Shed)> Cases =
        from packs in Gen.Select(Gen.Double[0.5, 40], Gen.Double[1, 30], Gen.Double[0.4, 1.2]).Select((small, times, thrift) => ImmutableArray.Create(
            new Pack(small * times, small * times * thrift), new Pack(small, small)))
        from one in Gen.Bool
        from used in Gen.OneOf(Gen.Const(0.0), Gen.Double[0.01, 900])
        from shed in Gen.Double[0, 300]
        select (new Good(GoodKind.Sand, "", 0, GoodGroup.Concrete, GoodUnit.Kg, one ? [packs[1]] : packs, 1), used, shed);

    [Fact]
    public void What_is_bought_and_what_is_there_cover_what_is_used_and_no_pack_could_be_left_out() => Cases.Sample((good, used, shed) =>
    {
        var lines = Buying.Lines([new Need(good, used * 0.25, WorkTask.Pour), new Need(good, used * 0.75, WorkTask.Pour)], new Dictionary<string, double> { [good.Id] = shed }, PriceBook.Typical);
        if (used <= 1e-9)
        {
            return lines.IsEmpty;
        }

        var line = lines.ShouldHaveSingleItem();
        var smallest = line.Packs.Length == 0 ? 0 : line.Packs.Min(p => p.Pack.Size);
        return line.Amount + line.FromShed >= used - 1e-6
            && line.FromShed <= shed + 1e-9
            && (line.Packs.Length == 0 ? shed >= used - 1e-6 : line.Amount - smallest < used - line.FromShed + 1e-6);
    });

    [Fact]
    public void No_other_mixture_of_sizes_costs_less_by_exhaustive_search() => Cases.Sample((good, used, _) =>
    {
        var bought = Buying.Cheapest(good, used, PriceBook.Typical).Sum(b => b.Cost);
        var (large, small) = (good.Packs[0], good.Packs[^1]);
        var least = double.PositiveInfinity;
        for (var n = 0; used > 1e-9 && n <= Math.Ceiling(used / large.Size) && good.Packs.Length == 2; n++)
        {
            for (var m = 0; m <= Math.Ceiling(used / small.Size); m++)
            {
                least = (n * large.Size) + (m * small.Size) >= used - 1e-9 ? Math.Min(least, (n * large.Price) + (m * small.Price)) : least;
            }
        }

        return good.Packs.Length == 1 || used <= 1e-9 ? bought <= (Math.Ceiling(used / small.Size) * small.Price) + 1e-6 : Math.Abs(bought - least) < 1e-6;
    }, iter: 200);

    [Fact]
    public void A_noted_price_stands_in_for_the_typical_one_and_may_turn_the_choice()
    {
        double Bags(PriceBook prices) => Buying.Cheapest(Goods.Sand, 200, prices).Where(b => b.Pack.Size == 25).Sum(b => b.Count);
        Bags(PriceBook.Typical).ShouldBe(8);
        var dear = new PriceBook(new Dictionary<string, (double, string)> { ["sand:25"] = (9, "2026-11-25") });
        Bags(dear).ShouldBe(0);
        dear.Of(Goods.Sand, Goods.Sand.Packs[1]).ShouldBe((9, "2026-11-25"));
        dear.Of("trip", 6).ShouldBe(6);
    }

    [Fact]
    public void Every_thing_has_sizes_and_prices_above_nothing_the_largest_first_and_a_name_of_its_own()
    {
        Good[] all =
        [
            .. typeof(Goods).GetProperties().Where(p => p.PropertyType == typeof(Good)).Select(p => (Good)p.GetValue(null)!),
            .. Core.Mixes.BagCatalogue.All.Select(Goods.Bag), Goods.Cement(Core.Quantities.UnitSystem.Metric),
            .. Enum.GetValues<Core.Mixes.Additive>().Select(Goods.Additive), .. Core.Formwork.Lumber.All.Select(l => Goods.Board(l, 3)), .. Core.Steel.Bars.All.Select(b => Goods.Bar(b, 6)),
            Goods.Sheet(18), Goods.Sheet(19), .. Core.Job.CoatCatalogue.All.Select(c => Goods.Coating(c.Name)), Goods.Coating("own"),
        ];
        all.Select(g => g.Id).ShouldBeUnique();
        all.ShouldAllBe(g => g.Packs.Length > 0 && g.Packs.All(p => p.Size > 0 && p.Price > 0) && (g.KgPerUnit > 0 || g.Kind == GoodKind.Truck));
        all.ShouldAllBe(g => g.Packs.Select(p => p.Size).SequenceEqual(g.Packs.Select(p => p.Size).OrderDescending()));
        all.SelectMany(g => g.Packs.Select(g.PackId)).ShouldBeUnique();
        Enum.GetValues<GoodKind>().Except(all.Select(g => g.Kind)).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(0, 400, 0)]
    [InlineData(400, 400, 1)]
    [InlineData(400.1, 400, 2)]
    [InlineData(3000, 400, 8)]
    public void The_car_goes_as_often_as_its_load_asks(double kg, double payload, int trips) => Buying.Trips(kg, payload).ShouldBe(trips);

    [Theory]
    [InlineData(0.4, 0.4, 1)]
    [InlineData(0.41, 0.5, 1)]
    [InlineData(3, 3, 1)]
    [InlineData(7, 7, 2)]
    public void A_truck_is_ordered_in_tenths_pays_for_what_is_missing_and_comes_as_often_as_it_must(double wanted, double ordered, int loads)
    {
        var price = new TruckPrice(PerM3: 100, MinimumM3: 3, ShortPerM3: 40, Delivery: 50);
        TruckPrice.OrderedM3(wanted).ShouldBe(ordered, 1e-9);
        price.Cost(wanted).ShouldBe((100 * ordered) + (40 * Math.Max(0, 3 - ordered)) + (50 * loads), 1e-9);
    }

    [Fact]
    public void From_the_volume_it_names_one_way_costs_less_than_the_other_and_before_it_does_not() => Gen.Select(Gen.Double[200, 700], Gen.Double[60, 160], Gen.Double[50, 300]).Sample((bag, truck, coming) =>
    {
        SupplyWay[] ways =
        [
            new(SupplyKind.Bags, v => bag * v, _ => 0, _ => 0),
            new(SupplyKind.Truck, v => coming + (truck * v), _ => 0, _ => 0),
        ];
        var compared = SupplyComparison.Of(ways, 1, 0);
        var exact = coming / (bag - truck);
        // Under the least volume that is weighed nothing is named.
        return exact < 0.1 ? compared.Crossings.Length <= 1 : exact >= 2 - 0.01
            ? compared.Crossings.IsEmpty || Math.Abs(compared.Crossings[0].M3 - exact) < 0.011
            : compared.Crossings.Single() is var c && c.From == SupplyKind.Bags && c.To == SupplyKind.Truck && c.M3 >= exact - 1e-9 && c.M3 - exact < 0.011;
    });

    [Fact]
    public void Hours_count_at_their_worth_in_the_curve_and_not_in_the_money()
    {
        SupplyWay[] ways = [new(SupplyKind.Bags, v => 100 * v, v => 10 * v, _ => 7), new(SupplyKind.Truck, v => 180 * v, _ => 0, _ => 0)];
        SupplyComparison.Of(ways, 1, 0).Crossings.ShouldBeEmpty();
        var counted = SupplyComparison.Of(ways, 1, 20);
        counted.Here[0].ShouldBe(new SupplyAt(SupplyKind.Bags, 100, 10, 7, 0.1));
        counted.Curve[^1].Costs[0].ShouldBe(600, 1e-9);
        counted.Curve[^1].Costs[1].ShouldBe(360, 1e-9);
    }
}
