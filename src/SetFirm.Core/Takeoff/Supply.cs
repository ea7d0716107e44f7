using System.Collections.Immutable;

namespace SetFirm.Core.Takeoff;

/// <summary>How the concrete comes.</summary>
public enum SupplyKind
{
    Bags,
    Loose,
    Truck,
}

/// <summary>What a truck asks. Typical; the user's own prices stand in their place.</summary>
/// <param name="PerM3">Concrete.</param>
/// <param name="MinimumM3">Under it each missing cubic metre is charged.</param>
/// <param name="ShortPerM3">For each missing cubic metre.</param>
/// <param name="Delivery">Each time.</param>
public sealed record TruckPrice(double PerM3, double MinimumM3, double ShortPerM3, double Delivery)
{
    public const string PerM3Id = "truck/m3";
    public const string ShortId = "truck/short";
    public const string DeliveryId = "truck/delivery";

    /// <summary>Ordered to a tenth of a cubic metre.</summary>
    public const double StepM3 = 0.1;

    /// <summary>Under so much, what is missing is charged. Source: common terms.</summary>
    public const double LeastM3 = 3;

    public static TruckPrice Of(PriceBook prices)
    {
        ArgumentNullException.ThrowIfNull(prices);
        double Each(Good good) => prices.Of(good, good.Packs[0]).Price;
        return new(Each(Goods.TruckM3), LeastM3, Each(Goods.TruckShort), Each(Goods.TruckDelivery));
    }

    /// <summary>Rounded up to what is sold.</summary>
    public static double OrderedM3(double wantedM3) => Math.Ceiling((wantedM3 / StepM3) - 1e-9) * StepM3;

    public double Cost(double wantedM3)
    {
        var ordered = OrderedM3(wantedM3);
        return (ordered * PerM3) + (Math.Max(0, MinimumM3 - ordered) * ShortPerM3) + (Loads(ordered) * Delivery);
    }

    /// <summary>So often it comes.</summary>
    public static int Loads(double orderedM3) => (int)Math.Clamp(Math.Ceiling((orderedM3 / Mixes.ReadyRecipe.LoadM3) - 1e-9), 1, 1e6);
}

/// <summary>One way of getting a volume: money and hours as functions of it.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Cost">Money for so many cubic metres.</param>
/// <param name="Hours">Hours of work, all hands together, from mixing to placing.</param>
/// <param name="Kg">To carry home; 0 where it is brought.</param>
public sealed record SupplyWay(SupplyKind Kind, Func<double, double> Cost, Func<double, double> Hours, Func<double, double> Kg);

/// <summary>A way at one volume.</summary>
public sealed record SupplyAt(SupplyKind Kind, double Cost, double Hours, double Kg, double PerLitre);

/// <summary>Ways at one volume of the curve.</summary>
public sealed record SupplyPoint(double M3, ImmutableArray<double> Costs);

/// <summary>Bags against loose against truck.</summary>
/// <param name="Here">Each way for this job's volume.</param>
/// <param name="Curve">Money, and hours at their worth, over volume; in the order of the ways.</param>
/// <param name="Crossings">From which volume on the second is cheaper than the first.</param>
public sealed record SupplyComparison(ImmutableArray<SupplyAt> Here, ImmutableArray<SupplyPoint> Curve, ImmutableArray<SupplyCrossing> Crossings)
{
    private const int Points = 25;

    /// <summary>Between two points of the curve a crossing is found to this many halvings.</summary>
    private const int Halvings = 8;

    /// <param name="ways">To compare.</param>
    /// <param name="m3">Of this job.</param>
    /// <param name="hourWorth">What an hour counts.</param>
    public static SupplyComparison Of(IReadOnlyList<SupplyWay> ways, double m3, double hourWorth)
    {
        ArgumentNullException.ThrowIfNull(ways);
        double All(SupplyWay way, double v) => way.Cost(v) + (way.Hours(v) * hourWorth);
        var most = Math.Max(2, Math.Min(2 * m3, 20));
        var curve = Enumerable.Range(1, Points).Select(i => most * i / Points).Select(v => new SupplyPoint(v, [.. ways.Select(w => All(w, v))])).ToImmutableArray();
        var crossings = ImmutableArray.CreateBuilder<SupplyCrossing>();
        for (var first = 0; first < ways.Count; first++)
        {
            for (var second = first + 1; second < ways.Count; second++)
            {
                // The last point at which the first is no dearer; steps of whole packs may cross more than once before.
                var last = Points - 1;
                while (last >= 0 && curve[last].Costs[first] > curve[last].Costs[second])
                {
                    last--;
                }

                if (last >= 0 && last < Points - 1)
                {
                    var (low, high) = (curve[last].M3, curve[last + 1].M3);
                    for (var i = 0; i < Halvings; i++)
                    {
                        var middle = (low + high) / 2;
                        (low, high) = All(ways[first], middle) <= All(ways[second], middle) ? (middle, high) : (low, middle);
                    }

                    crossings.Add(new SupplyCrossing(ways[first].Kind, ways[second].Kind, high));
                }
            }
        }

        return new SupplyComparison(
            [.. ways.Select(w => new SupplyAt(w.Kind, w.Cost(m3), w.Hours(m3), w.Kg(m3), m3 > 0 ? w.Cost(m3) / (m3 * 1000) : 0))], curve, crossings.ToImmutable());
    }
}

/// <summary>From this volume on the second way costs less than the first.</summary>
public readonly record struct SupplyCrossing(SupplyKind From, SupplyKind To, double M3);
