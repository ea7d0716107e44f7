using SetFirm.Core.Events;
using SetFirm.Core.Planning;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The list to hold in a shop, as it is shown.</summary>
public static class ShopTelling
{
    /// <param name="plan">Of the job.</param>
    /// <param name="log">All that was told of it.</param>
    public static ShopReport Of(JobPlan plan, IReadOnlyList<JobEvent>? log = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var lines = ShopList.Of(plan, Told.Of(log ?? []));
        var gear = plan.Gear;
        return new ShopReport(
            [.. lines.Select(l => Line(l, plan))],
            lines.Count(l => l.State != ShopState.Bought),
            lines.Sum(l => l.SpentMoney),
            lines.Sum(l => l.LeftMoney),
            [.. gear.Select(g => new GearReport(g.Gear, g.For, [.. g.Days.Select(NodaTime.Text.LocalDatePattern.Iso.Format)], g.From, g.Price, g.Money))],
            gear.Sum(g => g.Money));
    }

    private static ShopLineReport Line(ShopLine line, JobPlan plan)
    {
        var prices = plan.Terms!.Prices;
        return new ShopLineReport(
            BuyTelling.Line(line.Line, prices),
            [.. line.Line.Needs.GroupBy(n => (n.For, n.Element)).OrderBy(g => TaskCatalogue.Of(g.Key.For).Phase).ThenBy(g => g.Key.For).ThenBy(g => g.Key.Element)
                .Select(g => new UsedByReport(g.Key.For, g.Key.Element, g.Sum(n => n.Amount)))],
            line.State,
            line.InCar,
            [.. line.Left.Select(p => BuyTelling.Pack(line.Line.Good, p, prices))],
            line.LeftAmount,
            line.Told?.At,
            line.Told?.Device ?? "",
            line.State != ShopState.NotToBeHad ? [] : [.. ShopList.Without(plan, line.Line.Good).Select(i => new InsteadReport(i.Way, MixTelling.Taking(i.Way, plan.Said.Mix), i.MoreMoney, i.MoreHours))]);
    }
}
