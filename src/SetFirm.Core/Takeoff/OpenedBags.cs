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
        var open = new Dictionary<string, (int Units, LocalDate Opened)>();
        foreach (var pour in pours)
        {
            var lost = 0;
            if (pour is { Recipe: BaggedRecipe { Bag.Id: var bag }, Date: { } date })
            {
                var rest = pour.Units;
                if (open.Remove(bag, out var left))
                {
                    var good = Period.DaysBetween(left.Opened, date) <= KeepDays;
                    (rest, lost) = (good ? Math.Max(0, pour.Units - left.Units) : pour.Units, good ? 0 : left.Units);
                }

                if (rest % BaggedRecipe.UnitsPerBag is > 0 and var used)
                {
                    open[bag] = (BaggedRecipe.UnitsPerBag - used, date);
                }
            }

            yield return pour with { Units = pour.Units + lost };
        }
    }
}
