using System.Collections.Immutable;

namespace SetFirm.Core.Formwork;

/// <summary>One board from stock and the cuts laid on it.</summary>
/// <param name="StockMm">Its length.</param>
/// <param name="Cuts">Indexes into the list of cuts.</param>
public sealed record StockBoard(double StockMm, ImmutableArray<int> Cuts);

/// <summary>Why a layout takes more boards than their total length alone would.</summary>
public enum LayoutVerdict
{
    /// <summary>As many boards as the total length asks: none fewer can do.</summary>
    ReachesBound,

    /// <summary>Every way of sharing was tried: none takes fewer.</summary>
    PiecesDoNotShare,

    /// <summary>The search stopped before trying every way.</summary>
    SearchStopped,
}

/// <summary>Cuts laid on stock.</summary>
/// <param name="Boards">In the order found.</param>
/// <param name="LowerBound">Total length over the longest stock, rounded up.</param>
/// <param name="Verdict">Whether it is the fewest.</param>
public sealed record CutLayout(ImmutableArray<StockBoard> Boards, int LowerBound, LayoutVerdict Verdict)
{
    public double StockMm => Boards.Sum(b => b.StockMm);
}

/// <summary>Lays cuts on stock: fewest boards, then least length bought.</summary>
/// <remarks>
/// One-dimensional cutting stock, as bin packing: first-fit decreasing gives a start, a depth-first search with the volume bound
/// improves it within a set effort (Martello and Toth 1990, chapter 8, give the bounds and the start). A second search of the same
/// effort takes shorter stock where as many boards hold the cuts. Every cut but one that ends a board costs the saw's kerf.
/// </remarks>
public static class CuttingStock
{
    /// <summary>Nodes searched at the most; some tens of milliseconds.</summary>
    public const int UsualEffort = 60_000;

    private const double Slack = 1e-6;

    /// <param name="cutsMm">Each above zero, and no longer than the longest stock.</param>
    /// <param name="stockMm">Lengths sold.</param>
    /// <param name="kerfMm">Lost at each cut.</param>
    /// <param name="effort">Nodes each search may visit.</param>
    public static CutLayout Lay(IReadOnlyList<double> cutsMm, IReadOnlyList<double> stockMm, double kerfMm, int effort = UsualEffort)
    {
        ArgumentNullException.ThrowIfNull(cutsMm);
        ArgumentNullException.ThrowIfNull(stockMm);
        if (cutsMm.Count == 0)
        {
            return new CutLayout([], 0, LayoutVerdict.ReachesBound);
        }

        // With a kerf after every cut, a board holds its own length and one kerf more.
        var stock = stockMm.Order().Select(s => s + kerfMm).ToArray();
        var order = Enumerable.Range(0, cutsMm.Count).OrderByDescending(i => cutsMm[i]).ToArray();
        var sizes = order.Select(i => cutsMm[i] + kerfMm).ToArray();
        if (sizes[0] > stock[^1] + Slack)
        {
            throw new ArgumentException("a cut is longer than any stock", nameof(cutsMm));
        }

        var bound = (int)Math.Ceiling((cutsMm.Sum() / stockMm.Max()) - 1e-9);
        var search = new Packing(sizes, stock, effort);
        var bins = search.Best;
        var boards = bins.Select(bin => new StockBoard(
            stock.First(s => s + Slack >= bin.Sum(i => sizes[i])) - kerfMm, [.. bin.Select(i => order[i])])).ToImmutableArray();
        return new CutLayout(boards, bound, boards.Length <= bound ? LayoutVerdict.ReachesBound : search.Proven ? LayoutVerdict.PiecesDoNotShare : LayoutVerdict.SearchStopped);
    }

    /// <summary>First-fit decreasing, the start of the search.</summary>
    /// <remarks>Room left is kept in a tree of greatest values, so that thousands of bars are laid as fast as they are counted. Source: Johnson 1973.</remarks>
    private static List<List<int>> FirstFit(double[] sizes, double capacity)
    {
        var leaves = (int)System.Numerics.BitOperations.RoundUpToPowerOf2((uint)sizes.Length);
        var room = new double[2 * leaves];
        Array.Fill(room, capacity);
        var bins = new List<List<int>>();
        for (var i = 0; i < sizes.Length; i++)
        {
            // The first with room: a board not begun has room for anything.
            var at = 1;
            while (at < leaves)
            {
                at = room[2 * at] + Slack >= sizes[i] ? 2 * at : (2 * at) + 1;
            }

            var bin = at - leaves;
            if (bin == bins.Count)
            {
                bins.Add([]);
            }

            bins[bin].Add(i);
            room[at] -= sizes[i];
            for (at /= 2; at > 0; at /= 2)
            {
                room[at] = Math.Max(room[2 * at], room[(2 * at) + 1]);
            }
        }

        return bins;
    }

    /// <summary>Depth-first search over where each cut goes, longest first.</summary>
    private sealed class Packing
    {
        /// <summary>Up to so many ways of buying the boards are counted, each; past that the total length is the bound.</summary>
        private const int MostWays = 20_000;

        private readonly double[] sizes;
        private readonly double[] stock;
        private readonly double[] restFrom;
        private readonly int effort;
        private readonly double[] loads;
        private readonly int[] place;
        private readonly double leastBought;
        private int bins;
        private double bought;
        private int nodes;
        private int bestBins;
        private double bestStock;
        private int[] bestPlace;

        public Packing(double[] sizes, double[] stock, int effort)
        {
            (this.sizes, this.stock, this.effort) = (sizes, stock, effort);
            (place, loads) = (new int[sizes.Length], new double[sizes.Length + 1]);
            restFrom = new double[sizes.Length + 1];
            for (var i = sizes.Length - 1; i >= 0; i--)
            {
                restFrom[i] = restFrom[i + 1] + sizes[i];
            }

            var start = FirstFit(sizes, Most);
            bestPlace = new int[sizes.Length];
            for (var b = 0; b < start.Count; b++)
            {
                start[b].ForEach(i => bestPlace[i] = b);
            }

            (bestBins, bestStock) = (start.Count, start.Sum(b => Least(b.Sum(i => sizes[i]))));
            var least = Math.Max((int)Math.Ceiling((restFrom[0] / Most) - 1e-9), sizes.Count(s => s > (Most / 2) + Slack));
            FewestProven = bestBins == least || Fewer(0, least);
            (nodes, bins, bought) = (0, 0, 0);
            Array.Clear(loads);
            Proven = FewestProven;
            leastBought = Ways(stock.Length, bestBins) <= MostWays ? LeastBought(stock, bestBins, restFrom[0]) : restFrom[0];
            Shorter(0);
        }

        /// <summary>True when no way of taking fewer boards is left untried.</summary>
        public bool Proven { get; }

        public IEnumerable<IReadOnlyList<int>> Best =>
            Enumerable.Range(0, sizes.Length).GroupBy(i => bestPlace[i]).OrderBy(g => g.Key).Select(g => (IReadOnlyList<int>)[.. g]);

        private bool FewestProven { get; }

        private double Most => stock[^1];

        private double Least(double load)
        {
            if (load <= 0)
            {
                return 0;
            }

            foreach (var s in stock)
            {
                if (s + Slack >= load)
                {
                    return s;
                }
            }

            return double.PositiveInfinity;
        }

        // True when the search ended by itself: what stands is the fewest.
        private bool Fewer(int item, int goal)
        {
            if (bestBins <= goal)
            {
                return true;
            }

            if (++nodes > effort)
            {
                return false;
            }

            if (item == sizes.Length)
            {
                (bestBins, bestStock, bestPlace) = (bins, bought, [.. place]);
                return true;
            }

            var free = (bins * Most) - (restFrom[0] - restFrom[item]);
            var wanted = bins + (int)Math.Ceiling(Math.Max(0, ((restFrom[item] - free) / Most) - 1e-9));
            if (wanted >= bestBins)
            {
                return true;
            }

            for (var b = From(item); b < Math.Min(bins + 1, bestBins - 1); b++)
            {
                if (loads[b] + sizes[item] <= Most + Slack && !SameBefore(b, item))
                {
                    var (ownBins, ownBought, load) = Put(item, b);
                    var ended = Fewer(item + 1, goal);
                    (bins, bought, loads[b]) = (ownBins, ownBought, load);
                    if (!ended)
                    {
                        return false;
                    }
                }
            }

            return true;
        }

        // As many boards as found, of less length in all.
        private bool Shorter(int item)
        {
            if (++nodes > effort)
            {
                return false;
            }

            if (Math.Max(bought, leastBought) >= bestStock - Slack)
            {
                return true;
            }

            if (item == sizes.Length)
            {
                (bestPlace, bestStock, bestBins) = ([.. place], bought, bins);
                return true;
            }

            for (var b = From(item); b < Math.Min(bins + 1, bestBins); b++)
            {
                if (loads[b] + sizes[item] <= Most + Slack && !SameBefore(b, item))
                {
                    var (ownBins, ownBought, load) = Put(item, b);
                    var ended = Shorter(item + 1);
                    (bins, bought, loads[b]) = (ownBins, ownBought, load);
                    if (!ended)
                    {
                        return false;
                    }
                }
            }

            return true;
        }

        // Cuts of one size are alike: each goes no earlier than the one before it.
        private int From(int item) => item > 0 && Math.Abs(sizes[item] - sizes[item - 1]) < Slack ? place[item - 1] : 0;

        private (int Bins, double Bought, double Load) Put(int item, int bin)
        {
            var before = (bins, bought, loads[bin]);
            bought += Least(loads[bin] + sizes[item]) - (bin < bins ? Least(loads[bin]) : 0);
            bins = Math.Max(bins, bin + 1);
            loads[bin] += sizes[item];
            place[item] = bin;
            return before;
        }

        // Boards filled alike are alike; of those only the first is tried. (Alike cuts may need a later one.)
        private bool SameBefore(int bin, int item)
        {
            for (var b = From(item); b < bin; b++)
            {
                if (Math.Abs(loads[b] - loads[bin]) < Slack)
                {
                    return true;
                }
            }

            return false;
        }

        // How many ways there are of buying so many boards in so many lengths: (boards + lengths - 1) over (lengths - 1).
        private static double Ways(int lengths, int boards)
        {
            var ways = 1.0;
            for (var i = 1; i < lengths; i++)
            {
                ways *= (double)(boards + i) / i;
            }

            return ways;
        }

        // The least length that so many boards can have and still hold all: every count of each length, the rest the shortest.
        private static double LeastBought(double[] stock, int boards, double total)
        {
            var best = double.PositiveInfinity;
            void Try(int size, int left, double sum)
            {
                if (size == 0 || left == 0)
                {
                    var whole = sum + (left * stock[0]);
                    best = whole + Slack >= total ? Math.Min(best, whole) : best;
                    return;
                }

                for (var n = 0; n <= left; n++)
                {
                    Try(size - 1, left - n, sum + (n * stock[size]));
                }
            }

            Try(stock.Length - 1, boards, 0);
            return best;
        }
    }
}
