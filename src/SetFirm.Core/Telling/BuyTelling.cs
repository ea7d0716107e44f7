using SetFirm.Core.Planning;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Telling;

/// <summary>What is bought, as it is shown.</summary>
internal static class BuyTelling
{
    public static BuyReport Of(JobPlan plan, BuyPlan buy)
    {
        var (prices, carry) = (plan.Terms!.Prices, buy.Carry);
        return new BuyReport(
            [.. buy.Lines.Select(l => Line(l, prices))],
            buy.ExtrasMoney,
            buy.GearMoney,
            buy.CostMoney,
            [.. buy.Lines.GroupBy(l => l.Good.Group).Select(g => new GroupCost(g.Key, g.Sum(l => l.Cost)))],
            [.. buy.ElementMoney.Select(e => new ElementCost(e.Element, e.Money))],
            plan.OrderL > 0 ? buy.ConcreteMoney / plan.OrderL : 0,
            buy.Kg,
            new CarryReport(carry.Trips, carry.PayloadKg, carry.TripsMoney, carry.DeliveryMoney, carry.Delivered),
            new SupplyReport(buy.M3, buy.Supply.Here, buy.Supply.Curve, buy.Supply.Crossings, plan.Terms.HourWorth),
            [.. Standing(prices)]);
    }

    public static BuyLineReport Line(BuyLine line, PriceBook prices) => new(
        line.Good.Id, line.Good.Kind, line.Good.Of, line.Good.LengthM, line.Good.Group, line.Good.Unit, line.Used, line.FromShed,
        [.. line.Packs.Select(p => Pack(line.Good, p, prices))],
        line.Cost,
        line.Kg);

    public static PackReport Pack(Good good, Bought pack, PriceBook prices) =>
        new(good.PackId(pack.Pack), pack.Pack.Size, pack.Count, pack.Price, prices.Notes(good.PackId(pack.Pack)), pack.Date);

    private static IEnumerable<StandingPrice> Standing(PriceBook prices)
    {
        var truck = TruckPrice.Of(prices);
        (string Id, double Price)[] all =
        [
            (BuyAdvice.TripId, prices.Of(BuyAdvice.TripId, BuyAdvice.TripPrice)), (BuyAdvice.DeliveryId, prices.Of(BuyAdvice.DeliveryId, BuyAdvice.DeliveryPrice)),
            (TruckPrice.PerM3Id, truck.PerM3), (TruckPrice.ShortId, truck.ShortPerM3), (TruckPrice.DeliveryId, truck.Delivery),
        ];
        return all.Select(s => new StandingPrice(s.Id, s.Price, prices.Notes(s.Id)));
    }
}
