using NodaTime;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Takeoff;

/// <summary>Part bags from one pour to the next.</summary>
public static class OpenedBags
{
    /// <summary>What is left of an opened bag is good for so long, days. (tune)</summary>
    public const int KeepDays = 7;

    /// <summary>What each pour takes from the shop: what is left of an opened bag goes to the next pour within a week, else it is lost.</summary>
    /// <param name="pours">In the order in which they are poured.</param>
    public static IEnumerable<PourMeasured> Settle(IEnumerable<PourMeasured> pours)
    {
        ArgumentNullException.ThrowIfNull(pours);
        return Settled(pours);
    }

    private static IEnumerable<PourMeasured> Settled(IEnumerable<PourMeasured> pours)
    {
        var open = new Dictionary<string, OpenBag>();
        foreach (var pour in pours)
        {
            var lost = 0;
            if (pour is { Recipe: BaggedRecipe { Bag.Id: var bag }, Date: { } date })
            {
                var rest = pour.Units;
                if (open.Remove(bag, out var left))
                {
                    var good = Period.DaysBetween(left.Opened, date) <= KeepDays;
                    var taken = good ? Math.Min(left.Units, rest) : 0;
                    (rest, lost) = (rest - taken, good ? 0 : left.Units);
                    if (good && left.Units > taken)
                    {
                        open[bag] = left with { Units = left.Units - taken };
                    }
                }

                if (rest % BaggedRecipe.UnitsPerBag is > 0 and var used)
                {
                    open[bag] = new OpenBag(BaggedRecipe.UnitsPerBag - used, date);
                }
            }

            yield return pour with { Units = pour.Units + lost };
        }
    }

    private readonly record struct OpenBag(int Units, LocalDate Opened);
}
