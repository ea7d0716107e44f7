using System.Collections.Immutable;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Takeoff;

/// <summary>So much of a thing is used, by one item of the order of work.</summary>
/// <param name="Good">Which.</param>
/// <param name="Amount">In its unit.</param>
/// <param name="For">The task that uses it up.</param>
/// <param name="Element">Index of the element it is for; null for the whole job.</param>
/// <param name="Pour">Number of the pour, from 1, where the task is done anew for each; null where it is done once.</param>
public readonly record struct Need(Good Good, double Amount, WorkTask For, int? Element = null, int? Pour = null);

/// <summary>So many of one size; of what is sold by any amount, so much.</summary>
public readonly record struct Bought(Pack Pack, double Count, double Price, string Date)
{
    public double Amount => Pack.Size * Count;

    public double Cost => Price * Count;
}

/// <summary>One line of what to buy.</summary>
/// <param name="Good">What.</param>
/// <param name="Used">In its unit.</param>
/// <param name="FromShed">Of that, there already.</param>
/// <param name="Packs">The cheapest that make up the rest.</param>
/// <param name="Needs">What uses it: their amounts add up to what is used.</param>
public sealed record BuyLine(Good Good, double Used, double FromShed, ImmutableArray<Bought> Packs, ImmutableArray<Need> Needs)
{
    public double Amount => Packs.Sum(p => p.Amount);

    public double Cost => Packs.Sum(p => p.Cost);

    public double Kg => Amount * Good.KgPerUnit;
}

/// <summary>Prices that the user noted, by the name of the size; the rest are typical.</summary>
public sealed class PriceBook(IReadOnlyDictionary<string, (double Price, string Date)> noted)
{
    public static PriceBook Typical { get; } = new(new Dictionary<string, (double, string)>());

    public (double Price, string Date) Of(Good good, Pack pack)
    {
        ArgumentNullException.ThrowIfNull(good);
        return noted.Count > 0 && noted.TryGetValue(good.PackId(pack), out var own) ? own : (pack.Price, "");
    }

    public bool Notes(string id) => noted.ContainsKey(id);

    /// <summary>A price that is no thing's: delivery, a truck's cubic metre.</summary>
    public double Of(string id, double typical) => noted.TryGetValue(id, out var own) ? own.Price : typical;
}

/// <summary>From what is used to what is bought.</summary>
public static class Buying
{
    /// <summary>More of one thing than this is a slip of the pen, in its unit.</summary>
    public const double Most = 1e7;

    private const double Slack = 1e-9;

    /// <summary>No thing is sold in more sizes.</summary>
    private const int MostPacks = 4;

    /// <param name="needs">What is used; the same thing may stand several times.</param>
    /// <param name="shed">What is there, by the thing's name, in its unit.</param>
    /// <param name="prices">Noted prices.</param>
    public static ImmutableArray<BuyLine> Lines(IEnumerable<Need> needs, IReadOnlyDictionary<string, double> shed, PriceBook prices)
    {
        ArgumentNullException.ThrowIfNull(needs);
        ArgumentNullException.ThrowIfNull(shed);
        ArgumentNullException.ThrowIfNull(prices);
        return
        [
            .. needs.Where(n => n.Amount > Slack).GroupBy(n => n.Good.Id).Select(group =>
            {
                var good = group.First().Good;
                var used = Math.Min(Most, group.Sum(n => n.Amount));
                var there = Math.Min(used, Math.Max(0, shed.GetValueOrDefault(good.Id)));
                return new BuyLine(good, used, there, Cheapest(good, used - there, prices), [.. group]);
            }).OrderBy(l => l.Good.Group).ThenBy(l => l.Good.Kind).ThenBy(l => l.Good.Id, StringComparer.Ordinal),
        ];
    }

    /// <summary>Money and mass of needs for different things, nothing there already.</summary>
    public static (double Cost, double Kg) Total(IEnumerable<Need> needs, PriceBook prices)
    {
        ArgumentNullException.ThrowIfNull(needs);
        ArgumentNullException.ThrowIfNull(prices);
        var (cost, kg) = (0.0, 0.0);
        Span<int> counts = stackalloc int[MostPacks];
        foreach (var (good, amount, _, _, _) in needs)
        {
            if (good.Step > 0)
            {
                cost += amount > Slack ? Ordered(good, Math.Min(Most, amount)) * prices.Of(good, good.Packs[0]).Price : 0;
                continue;
            }

            Choose(good, Math.Min(Most, amount), prices, counts);
            for (var i = 0; i < good.Packs.Length; i++)
            {
                var pack = good.Packs[i];
                cost += counts[i] > 0 ? counts[i] * prices.Of(good, pack).Price : 0;
                kg += counts[i] * pack.Size * good.KgPerUnit;
            }
        }

        return (cost, kg);
    }

    /// <summary>The sizes that cover an amount for the least money; of equals, the least left over.</summary>
    public static ImmutableArray<Bought> Cheapest(Good good, double amount, PriceBook prices)
    {
        ArgumentNullException.ThrowIfNull(good);
        ArgumentNullException.ThrowIfNull(prices);
        if (good.Step > 0)
        {
            var (each, noted) = prices.Of(good, good.Packs[0]);
            return amount > Slack && Ordered(good, amount) is var ordered ? [new Bought(good.Packs[0], ordered, each, noted)] : [];
        }

        Span<int> counts = stackalloc int[MostPacks];
        Choose(good, amount, prices, counts);
        var chosen = ImmutableArray.CreateBuilder<Bought>(good.Packs.Length);
        for (var i = 0; i < good.Packs.Length; i++)
        {
            if (counts[i] > 0)
            {
                var (price, date) = prices.Of(good, good.Packs[i]);
                chosen.Add(new Bought(good.Packs[i], counts[i], price, date));
            }
        }

        return chosen.DrainToImmutable();
    }

    private static double Ordered(Good good, double amount) => Math.Ceiling((amount / good.Step) - Slack) * good.Step;

    // How many of each size.
    private static void Choose(Good good, double amount, PriceBook prices, Span<int> best)
    {
        best.Clear();
        if (!(amount > Slack))
        {
            return;
        }

        Span<double> price = stackalloc double[MostPacks];
        for (var i = 0; i < good.Packs.Length; i++)
        {
            price[i] = prices.Of(good, good.Packs[i]).Price;
        }

        Span<int> counts = stackalloc int[MostPacks];
        var least = (Cost: double.PositiveInfinity, Over: double.PositiveInfinity);
        Try(good.Packs.AsSpan(), price, 0, amount, 0, counts, best, ref least);
    }

    private static void Try(ReadOnlySpan<Pack> packs, ReadOnlySpan<double> prices, int size, double rest, double cost, Span<int> counts, Span<int> best, ref (double Cost, double Over) least)
    {
        var all = Math.Max(0, (int)Math.Ceiling((rest / packs[size].Size) - Slack));
        var last = size == packs.Length - 1;
        // The last size makes up whatever is left; of the others every number up to enough is tried.
        for (var count = last ? all : 0; count <= all; count++)
        {
            counts[size] = count;
            var (left, spent) = (rest - (count * packs[size].Size), cost + (count * prices[size]));
            if (!last)
            {
                Try(packs, prices, size + 1, left, spent, counts, best, ref least);
            }
            else if (spent < least.Cost - Slack || (spent < least.Cost + Slack && -left < least.Over))
            {
                least = (spent, -left);
                counts.CopyTo(best);
            }
        }
    }

    /// <summary>How often the car goes.</summary>
    public static int Trips(double kg, double payloadKg) => kg <= 0 ? 0 : (int)Math.Min(int.MaxValue, Math.Ceiling((kg / payloadKg) - Slack));
}
