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
    private static List<List<int>> FirstFit(double[] sizes, double capacity)
    {
        var (bins, loads) = (new List<List<int>>(), new List<double>());
        for (var i = 0; i < sizes.Length; i++)
        {
            var at = loads.FindIndex(l => l + sizes[i] <= capacity + Slack);
            if (at < 0)
            {
                (at, _) = (bins.Count, 0);
                bins.Add([]);
                loads.Add(0);
            }

            bins[at].Add(i);
            loads[at] += sizes[i];
        }

        return bins;
    }

    /// <summary>Depth-first search over where each cut goes, longest first.</summary>
    private sealed class Packing
    {
        private readonly double[] sizes;
        private readonly double[] stock;
        private readonly double[] restFrom;
        private readonly int effort;
        private readonly List<double> loads = [];
        private readonly int[] place;
        private int nodes;
        private int bestBins;
        private double bestStock;
        private int[] bestPlace;

        public Packing(double[] sizes, double[] stock, int effort)
        {
            (this.sizes, this.stock, this.effort) = (sizes, stock, effort);
            place = new int[sizes.Length];
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
            nodes = 0;
            loads.Clear();
            Proven = FewestProven;
            Shorter(0, 0);
        }

        /// <summary>True when no way of taking fewer boards is left untried.</summary>
        public bool Proven { get; }

        public IEnumerable<IReadOnlyList<int>> Best =>
            Enumerable.Range(0, sizes.Length).GroupBy(i => bestPlace[i]).OrderBy(g => g.Key).Select(g => (IReadOnlyList<int>)[.. g]);

        private bool FewestProven { get; }

        private double Most => stock[^1];

        private double Least(double load)
        {
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
                (bestBins, bestPlace) = (loads.Count, [.. place]);
                bestStock = loads.Sum(Least);
                return true;
            }

            var free = (loads.Count * Most) - (restFrom[0] - restFrom[item]);
            var wanted = loads.Count + (int)Math.Ceiling(Math.Max(0, ((restFrom[item] - free) / Most) - 1e-9));
            if (wanted >= bestBins)
            {
                return true;
            }

            var ended = true;
            for (var b = 0; b < loads.Count && ended; b++)
            {
                if (loads[b] + sizes[item] <= Most + Slack && !SameBefore(b))
                {
                    ended = Placed(item, b, () => Fewer(item + 1, goal));
                }
            }

            if (ended && loads.Count + 1 < bestBins)
            {
                loads.Add(0);
                ended = Placed(item, loads.Count - 1, () => Fewer(item + 1, goal));
                loads.RemoveAt(loads.Count - 1);
            }

            return ended;
        }

        // As many boards as found, of less length in all.
        private bool Shorter(int item, double bought)
        {
            if (++nodes > effort)
            {
                return false;
            }

            var sum = loads.Sum(Least);
            if (Math.Max(sum, restFrom[0]) >= bestStock - Slack)
            {
                return true;
            }

            if (item == sizes.Length)
            {
                (bestPlace, bestStock, bestBins) = ([.. place], sum, loads.Count);
                return true;
            }

            var ended = true;
            for (var b = 0; b < loads.Count && ended; b++)
            {
                if (loads[b] + sizes[item] <= Most + Slack && !SameBefore(b))
                {
                    ended = Placed(item, b, () => Shorter(item + 1, bought));
                }
            }

            if (ended && loads.Count < bestBins)
            {
                loads.Add(0);
                ended = Placed(item, loads.Count - 1, () => Shorter(item + 1, bought));
                loads.RemoveAt(loads.Count - 1);
            }

            return ended;
        }

        private bool SameBefore(int bin)
        {
            for (var b = 0; b < bin; b++)
            {
                if (Math.Abs(loads[b] - loads[bin]) < Slack)
                {
                    return true;
                }
            }

            return false;
        }

        private bool Placed(int item, int bin, Func<bool> then)
        {
            loads[bin] += sizes[item];
            place[item] = bin;
            var ended = then();
            loads[bin] -= sizes[item];
            return ended;
        }
    }
}
