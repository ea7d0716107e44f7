using CsCheck;
using SetFirm.Core.Formwork;

namespace SetFirm.Core.Tests.Formwork;

public sealed class CutLayoutTests
{
    private const double Kerf = 3;
    private static readonly double[] Stock = [2400, 3000, 3600, 4800];

    /// <summary>Two hundred lists of a few to many cuts.</summary>
    private static readonly double[][] Lists = [.. Enumerable.Range(0, 200).Select(List)];

    [Fact]
    public void Never_worse_than_first_fit_decreasing()
    {
        foreach (var cuts in Lists)
        {
            CuttingStock.Lay(cuts, Stock, Kerf).Boards.Length.ShouldBeLessThanOrEqualTo(FirstFitDecreasing(cuts));
        }
    }

    [Fact]
    public void Twelve_lengths_of_stock_and_forty_boards_are_answered()
    {
        // 48 thousand million ways of buying them.
        double[] many = [.. Enumerable.Range(0, 12).Select(i => 2400.0 + (i * 200))];
        double[] cuts = [.. Enumerable.Range(0, 80).Select(i => 2000.0 + ((i * 37) % 300))];
        var layout = CuttingStock.Lay(cuts, many, Kerf);
        layout.Boards.Length.ShouldBe(40);
        layout.StockMm.ShouldBeGreaterThanOrEqualTo(cuts.Sum());
        layout.StockMm.ShouldBeLessThanOrEqualTo(40 * 4600);
    }

    [Fact]
    public void The_fewest_boards_and_of_those_the_least_length_where_every_way_can_be_tried()
    {
        var compared = 0;
        foreach (var cuts in Lists.Where(c => c.Length <= 12))
        {
            var layout = CuttingStock.Lay(cuts, Stock, Kerf);
            var (boards, length) = Exact(cuts);
            layout.Boards.Length.ShouldBe(boards);
            layout.StockMm.ShouldBe(length, 1e-6);
            layout.Verdict.ShouldNotBe(LayoutVerdict.SearchStopped);
            compared++;
        }

        compared.ShouldBeGreaterThan(50);
    }

    [Fact]
    public void Every_cut_lies_on_one_board_and_fits_with_its_kerfs() => Gen.Double[50, 4800].Array[1, 60].Sample(cuts =>
    {
        var layout = CuttingStock.Lay(cuts, Stock, Kerf, effort: 2000);
        return layout.Boards.SelectMany(b => b.Cuts).Order().SequenceEqual(Enumerable.Range(0, cuts.Length))
            && layout.Boards.All(b => Stock.Contains(b.StockMm) && b.Cuts.Sum(i => cuts[i] + Kerf) - Kerf <= b.StockMm + 1e-6)
            && layout.Boards.Length >= layout.LowerBound
            && (layout.Boards.Length == layout.LowerBound) == (layout.Verdict == LayoutVerdict.ReachesBound);
    });

    [Fact]
    public void More_boards_than_the_total_asks_for_are_explained()
    {
        // Three pieces over half a board each: 7.5 m would go on two boards of 4.8 m by length alone.
        var layout = CuttingStock.Lay([2500, 2500, 2500], [4800], Kerf);
        (layout.Boards.Length, layout.LowerBound, layout.Verdict).ShouldBe((3, 2, LayoutVerdict.PiecesDoNotShare));
    }

    [Fact]
    public void Nothing_to_cut_takes_nothing() => CuttingStock.Lay([], Stock, Kerf).Boards.ShouldBeEmpty();

    [Fact]
    public void A_cut_longer_than_any_board_is_a_bug_of_the_caller() => Should.Throw<ArgumentException>(() => CuttingStock.Lay([5000], Stock, Kerf));

    private static double[] List(int seed)
    {
        var random = new Random(seed);
        return [.. Enumerable.Range(0, random.Next(3, seed % 2 == 0 ? 13 : 46)).Select(_ => Math.Round(random.NextDouble() < 0.3 ? random.Next(1200, 4700) : random.Next(150, 2600) + random.NextDouble(), 1))];
    }

    private static int FirstFitDecreasing(double[] cuts)
    {
        var boards = new List<double>();
        foreach (var cut in cuts.OrderDescending())
        {
            var at = boards.FindIndex(b => b + cut + Kerf <= Stock[^1] + Kerf + 1e-6);
            if (at < 0)
            {
                boards.Add(cut + Kerf);
            }
            else
            {
                boards[at] += cut + Kerf;
            }
        }

        return boards.Count;
    }

    // Every partition of the cuts, by sets: the best way to buy for a set is its best first board and the best way for the rest.
    private static (int Boards, double Length) Exact(double[] cuts)
    {
        var all = (1 << cuts.Length) - 1;
        var load = new double[all + 1];
        var best = new (int Boards, double Length)[all + 1];
        for (var set = 1; set <= all; set++)
        {
            var lowest = set & -set;
            load[set] = load[set ^ lowest] + cuts[System.Numerics.BitOperations.TrailingZeroCount(lowest)] + Kerf;
            best[set] = (int.MaxValue, double.MaxValue);
            for (var board = set; board > 0; board = (board - 1) & set)
            {
                if ((board & lowest) == 0 || Smallest(load[board]) is not { } bought)
                {
                    continue;
                }

                var rest = best[set ^ board];
                var here = (rest.Boards + 1, rest.Length + bought);
                best[set] = here.CompareTo(best[set]) < 0 ? here : best[set];
            }
        }

        return best[all];
    }

    private static double? Smallest(double load) => Stock.Where(s => s + Kerf + 1e-6 >= load).Select(s => (double?)s).FirstOrDefault();
}
