using System.Collections.Immutable;
using SetFirm.Core.Events;
using SetFirm.Core.Mixes;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Planning;

/// <summary>Where a thing to buy stands.</summary>
public enum ShopState
{
    Open,

    /// <summary>As much as the plan wants is in the car.</summary>
    Bought,

    /// <summary>The shop had none.</summary>
    NotToBeHad,
}

/// <summary>A thing to buy, with what was told of it.</summary>
/// <param name="Line">As planned.</param>
/// <param name="InCar">So much is in the car, in its unit.</param>
/// <param name="Left">The cheapest that make up the rest.</param>
/// <param name="State">Where it stands.</param>
/// <param name="Told">Last of it; null where nothing was told.</param>
public sealed record ShopLine(BuyLine Line, double InCar, ImmutableArray<Bought> Left, ShopState State, JobEvent? Told)
{
    /// <summary>Of what was taken, at the price of the plan.</summary>
    public double SpentMoney => Line.Amount > 0 ? Line.Cost * InCar / Line.Amount : 0;

    public double LeftMoney => Left.Sum(p => p.Cost);

    public double LeftAmount => Left.Sum(p => p.Amount);
}

/// <summary>Another way to get the concrete, against the one that is planned.</summary>
/// <param name="Way">What it is.</param>
/// <param name="MoreMoney">Against the planned one.</param>
/// <param name="MoreHours">Work of all hands; null where that is not known.</param>
public sealed record Instead(Way Way, double MoreMoney, double? MoreHours);

/// <summary>The list to hold in a shop: what is planned, less what was told to be in the car.</summary>
public static class ShopList
{
    private const double Slack = 1e-9;

    /// <summary>More than these nobody weighs in an aisle.</summary>
    private const int MostInstead = 6;

    /// <param name="plan">Of the job.</param>
    /// <param name="told">All that was told of it.</param>
    public static ImmutableArray<ShopLine> Of(JobPlan plan, Told told)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(told);
        if (plan.Buy is not { } buy || plan.Terms is not { } terms)
        {
            return [];
        }

        return [.. buy.Lines.Where(l => l.Packs.Length > 0).Select(line =>
        {
            JobEvent[] lines = [.. told.Lines.Where(e => e is JobEvent.GoodBought b && b.Good == line.Good.Id || e is JobEvent.GoodMissing m && m.Good == line.Good.Id)];
            var inCar = lines.OfType<JobEvent.GoodBought>().Sum(b => b.Amount);
            // Where the plan has changed since, only what is wanting is still to be bought.
            var left = Buying.Cheapest(line.Good, Math.Max(0, line.Used - line.FromShed - inCar), terms.Prices);
            return new ShopLine(
                line, inCar, left, left.IsEmpty && inCar > Slack ? ShopState.Bought : lines is [.., JobEvent.GoodMissing] ? ShopState.NotToBeHad : ShopState.Open, lines.LastOrDefault());
        })];
    }

    /// <summary>Ways to get the concrete without a thing that is not to be had, those that do: first of the same kind, then the nearest in money; empty where it is no part of the concrete.</summary>
    /// <param name="plan">Of the job.</param>
    /// <param name="good">What the shop has none of.</param>
    public static ImmutableArray<Instead> Without(JobPlan plan, Good good)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(good);
        var taken = plan.Ways.FirstOrDefault(w => w.Taken);
        return good.Group != GoodGroup.Concrete || taken is null
            ? []
            : [.. plan.Ways.Where(w => !w.Taken && w.Misfits.IsEmpty && !Uses(w, good)).OrderBy(w => w.Kind != taken.Kind).ThenBy(w => Math.Abs(w.Cost - taken.Cost)).Take(MostInstead).Select(w => new Instead(w, w.Cost - taken.Cost, w.Hours - taken.Hours))];
    }

    private static bool Uses(Way way, Good good) => good.Kind switch
    {
        GoodKind.Bag => way.Bag == good.Of,
        GoodKind.Cement => way.Kind == WayKind.Parts,
        GoodKind.Sand => way.Parts is { Sand: > 0 },
        GoodKind.Stone => way.Parts is { Stone: > 0 },
        GoodKind.Ballast => way.Parts is { Ballast: > 0 },
        GoodKind.Truck => way.Kind == WayKind.Truck,
        _ => false,
    };
}
