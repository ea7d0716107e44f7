using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>The bags that ship with Set Firm, by generic kind. Adding one is adding a line.</summary>
/// <remarks>Source: common label values. Water scales with the mass of the bag.</remarks>
public static class BagCatalogue
{
    public const string DefaultMetric = "general-25kg";
    public const string DefaultUs = "general-80lb";

    private static readonly Mass EightyPounds = Mass.FromPounds(80);

    public static ImmutableArray<BagMix> All { get; } =
    [
        .. new[] { (20.0, 9.3), (25, 11.7), (30, 14.0) }.Select(b =>
            Concrete($"general-{b.Item1}kg", BagKind.General, Mass.FromKilograms(b.Item1), b.Item2, (1.9 * b.Item1 / 25, 2.6 * b.Item1 / 25), 25, (5, 7)) with { Sold = UnitSystem.Metric }),
        .. new[] { (40.0, 8.5), (50, 10.6), (60, 12.7), (80, 17.0) }.Select(b =>
            Concrete($"general-{b.Item1}lb", BagKind.General, Mass.FromPounds(b.Item1), b.Item2, (2.8 * b.Item1 / 80, 3.8 * b.Item1 / 80), 28, (5, 7)) with { Sold = UnitSystem.Us }),
        Concrete("high-strength-80lb", BagKind.HighStrength, EightyPounds, 17.0, (2.8, 3.8), 35, (4.5, 6.5)),
        Concrete("fibre-80lb", BagKind.FibreCrackResisting, EightyPounds, 17.0, (2.8, 3.8), 28, (5, 7)),
        Concrete("fast-80lb", BagKind.FastHighStrength, EightyPounds, 17.0, (2.8, 3.8), 45, (1.25, 2.5)) with { Family = MixFamily.HighEarly },
        Concrete("rapid-60lb", BagKind.RapidHardening, Mass.FromPounds(60), 14.2, (2.8, 4.7), 45, (0.33, 0.6)) with
        {
            Family = MixFamily.Rapid,
            MostThickness = Length.FromMillimetres(600),
            Cement = null,
        },
        Fine("rapid-mortar-55lb", BagKind.RapidMortar, Mass.FromPounds(55), 14.2, (2.8, 4.7), 45, (0.33, 0.6), (13, 150), cement: null) with { Family = MixFamily.Rapid },
        Fine("topping-60lb", BagKind.Topping, Mass.FromPounds(60), 14.2, (3.3, 3.3), 35, (4.5, 6.5), (13, 50), BagMix.ToppingCementShare),
        Fine("mortar-60lb", BagKind.Mortar, Mass.FromPounds(60), 14.2, (3.8, 3.8), 12, (5, 8), (6, 25), cement: null),
        // A bag of sand mix with its 5 kg of modifier.
        Fine("countertop-60lb", BagKind.Countertop, Mass.FromKilograms(Mass.FromPounds(60).Kilograms + 5), 17, (4.7, 4.7), 40, (3.5, 5.5), (25, 75), cement: null),
    ];

    public static BagMix? Find(string? id) => All.FirstOrDefault(b => b.Id == id);

    private static BagMix Concrete(
        string id, BagKind kind, Mass mass, double yieldLitres, (double Least, double Most) water, double f28, (double Initial, double Final) set) => new(
            id,
            kind,
            mass,
            Volume.FromLitres(yieldLitres),
            Volume.FromLitres(water.Least),
            Volume.FromLitres(water.Most),
            Strength.FromMegapascals(f28),
            Duration.FromHours(set.Initial),
            Duration.FromHours(set.Final),
            LeastThickness: Length.FromMillimetres(50),
            MostThickness: null,
            MixFamily.Portland,
            StoneMm: 10,
            Cement: BagMix.CementShare);

    // Without stone.
    private static BagMix Fine(
        string id, BagKind kind, Mass mass, double yieldLitres, (double Least, double Most) water, double f28, (double Initial, double Final) set,
        (double LeastMm, double MostMm) thickness, double? cement) => Concrete(id, kind, mass, yieldLitres, water, f28, set) with
        {
            LeastThickness = Length.FromMillimetres(thickness.LeastMm),
            MostThickness = Length.FromMillimetres(thickness.MostMm),
            StoneMm = 0,
            Cement = cement,
        };
}
