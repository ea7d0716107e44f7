using System.Collections.Immutable;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Formwork;

/// <summary>One cut: how long, and what for.</summary>
/// <param name="LengthM">Cut length.</param>
/// <param name="Element">Index of the element it is for.</param>
/// <param name="For">Where it belongs, as it is marked: 1.3 is the third edge of the first element, J a joint.</param>
public readonly record struct Cut(double LengthM, int Element, string For);

/// <summary>Cuts of one thing laid on the lengths that it is sold in.</summary>
/// <param name="Stock">Id of the board or bar.</param>
/// <param name="Cuts">What is cut.</param>
/// <param name="Layout">On what.</param>
public sealed record CutList(string Stock, ImmutableArray<Cut> Cuts, CutLayout Layout)
{
    public double CutM => Cuts.Sum(c => c.LengthM);

    /// <summary>Of the pieces of stock, each length by itself, what each element takes: its share of what is cut from them.</summary>
    public IEnumerable<(double StockMm, int Element, double Pieces)> Shares()
    {
        foreach (var stock in Layout.Boards.GroupBy(b => b.StockMm))
        {
            var cut = new SortedDictionary<int, double>();
            var (pieces, all) = (0, 0.0);
            foreach (var board in stock)
            {
                pieces++;
                foreach (var index in board.Cuts)
                {
                    var (length, element) = (Cuts[index].LengthM, Cuts[index].Element);
                    cut[element] = cut.GetValueOrDefault(element) + length;
                    all += length;
                }
            }

            foreach (var (element, length) in cut)
            {
                yield return (stock.Key, element, pieces * length / all);
            }
        }
    }
}

/// <summary>Cuts of a job, gathered by what they are cut from.</summary>
public sealed class CutGroups
{
    /// <summary>Past so many cuts no search is made: first-fit alone is near enough, and fast.</summary>
    private const int MostSearched = 240;

    private readonly Dictionary<string, List<Cut>> groups = [];

    /// <param name="stock">Id of the board or bar.</param>
    /// <param name="metres">Cut length.</param>
    /// <param name="element">Index of the element it is for.</param>
    /// <param name="mark">After the element's number: its edge, or a joint.</param>
    public void Add(string stock, double metres, int element, string mark = "")
    {
        if (!groups.TryGetValue(stock, out var cuts))
        {
            groups.Add(stock, cuts = []);
        }

        cuts.Add(new Cut(metres, element, $"{element + 1}{mark}"));
    }

    /// <param name="stockMm">Lengths that the thing is sold in.</param>
    /// <param name="kerfMm">Lost with each cut.</param>
    public ImmutableArray<CutList> Lists(IReadOnlyList<double> stockMm, double kerfMm) =>
    [
        .. groups.Select(group => new CutList(
            group.Key,
            [.. group.Value],
            CuttingStock.Lay([.. group.Value.Select(c => c.LengthM * 1000)], stockMm, kerfMm, group.Value.Count > MostSearched ? 0 : CuttingStock.UsualEffort))),
    ];

    /// <summary>Why so many boards.</summary>
    public static void Explain(CutList list, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.WhyOf(
            list.Stock, new Why.Boards(CutM: list.CutM, StockM: list.Layout.StockMm / 1000, LowerBound: list.Layout.LowerBound, KerfMm: Lumber.KerfMm),
            list.Layout.Boards.Length, Source.MartelloToth1990);
    }
}
