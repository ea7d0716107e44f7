using System.Runtime.CompilerServices;
using SetFirm.Core.Formwork;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Takeoff;

/// <summary>What shops sell, and what it typically costs. Adding a thing is adding a line.</summary>
/// <remarks>Prices are starting values, made up within what is usual, and the user's own stand in their place; sizes are usual ones.</remarks>
public static class Goods
{
    /// <summary>Wet concrete sticks to a form; one litre of oil keeps this much of it clean, m2. Source: common labels.</summary>
    public const double OilCoversM2 = 12;

    /// <summary>A kilogram of wax, m2. Source: common labels.</summary>
    public const double WaxCoversM2 = 40;

    /// <summary>A litre of bond coat, m2. Source: common labels.</summary>
    public const double BondCoversM2 = 5;

    /// <summary>Curing compound, m2 to the litre. Source: common labels.</summary>
    public const double CompoundCoversM2 = 5;

    /// <summary>A cartridge of 300 mL fills so much of a crack 6 mm wide and 8 mm deep, m. Source: plane geometry.</summary>
    public const double CrackPerCartridgeM = 6.25;

    /// <summary>Resin that a mat and the two layers that it lies between take, L/m2. Source: common labels (tune).</summary>
    public const double ResinLPerM2 = 0.8;

    private const double MetricCementKg = 25;

    // The same bag is asked for at every point of a curve over volume.
    private static readonly ConditionalWeakTable<BagMix, Good> Bags = [];

    public static Good Bag(BagMix bag) => Bags.GetValue(bag, static b =>
        Of(GoodKind.Bag, GoodGroup.Concrete, GoodUnit.Piece, b.Mass.Kilograms, b.Id, 0, new Pack(1, Math.Round(b.Mass.Kilograms * BagPricePerKg(b.Kind), 2))));

    public static Good Cement(UnitSystem sold) => sold == UnitSystem.Us ? CementInSacks : CementInBags;

    private static Good CementInSacks { get; } = Of(GoodKind.Cement, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(Math.Round(Mass.FromPounds(94).Kilograms, 2), 15));

    private static Good CementInBags { get; } = Of(GoodKind.Cement, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(MetricCementKg, 6.5));

    public static Good Sand { get; } = Of(GoodKind.Sand, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(850, 62), new Pack(25, 3.2));

    public static Good Stone { get; } = Of(GoodKind.Stone, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(850, 66), new Pack(25, 3.4));

    public static Good Ballast { get; } = Of(GoodKind.Ballast, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(850, 64), new Pack(25, 3.3));

    /// <summary>Counted in doses for one bag.</summary>
    public static Good Additive(Additive additive) => Of(GoodKind.Additive, GoodGroup.Concrete, GoodUnit.Piece, 0.2, Camel(additive), 0, new Pack(10, 14));

    public static Good Pigment { get; } = Of(GoodKind.Pigment, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(5, 32), new Pack(1, 9));

    public static Good Polymer { get; } = Of(GoodKind.Polymer, GoodGroup.Concrete, GoodUnit.Kg, 1, "", 0, new Pack(5, 38), new Pack(1, 11));

    public static Good BaseStone { get; } = Of(GoodKind.BaseStone, GoodGroup.Ground, GoodUnit.Kg, 1, "", 0, new Pack(850, 48), new Pack(25, 3));

    public static Good Pebbles { get; } = Of(GoodKind.Pebbles, GoodGroup.Surface, GoodUnit.Kg, 1, "", 0, new Pack(20, 9));

    public static Good Board(LumberSize board, double stockM)
    {
        ArgumentNullException.ThrowIfNull(board);
        // By the wood in it.
        const double woodPerM3 = 620;
        const double woodKgPerM3 = 480;
        var wood = board.Thickness.Metres * board.Height.Metres * stockM;
        return Of(GoodKind.Board, GoodGroup.Forms, GoodUnit.Piece, wood * woodKgPerM3, board.Id, stockM, new Pack(1, Math.Round(wood * woodPerM3, 2)));
    }

    public static Good Stake { get; } = Of(GoodKind.Stake, GoodGroup.Forms, GoodUnit.Piece, 0.7, "", 0, new Pack(1, 1.3));

    public static Good SplicePlate { get; } = Of(GoodKind.SplicePlate, GoodGroup.Forms, GoodUnit.Piece, 0.2, "", 0, new Pack(1, 0.9));

    public static Good FormScrew { get; } = Of(GoodKind.FormScrew, GoodGroup.Forms, GoodUnit.Piece, 0.005, "", 0, new Pack(200, 15), new Pack(50, 5));

    public static Good MasonryNail { get; } = Of(GoodKind.MasonryNail, GoodGroup.Forms, GoodUnit.Piece, 0.02, "", 0, new Pack(50, 9), new Pack(10, 3));

    public static Good Sheet(double thicknessMm) => Of(
        GoodKind.Sheet, GoodGroup.Forms, GoodUnit.Piece, Mould.SheetAlongM * Mould.SheetAcrossM * thicknessMm / 1000 * 680, "", thicknessMm / 1000, new Pack(1, Math.Round(12 + (1.9 * thicknessMm), 2)));

    public static Good BendStrip { get; } = Of(GoodKind.BendStrip, GoodGroup.Forms, GoodUnit.M, 0.5, "", 0, new Pack(2.4, 7));

    public static Good MouldScrew { get; } = Of(GoodKind.MouldScrew, GoodGroup.Forms, GoodUnit.Piece, 0.004, "", 0, new Pack(200, 13), new Pack(50, 4.5));

    public static Good StripNail { get; } = Of(GoodKind.StripNail, GoodGroup.Forms, GoodUnit.Piece, 0.003, "", 0, new Pack(250, 6), new Pack(100, 3));

    /// <summary>With its hardener.</summary>
    public static Good LaminateResin { get; } = Of(GoodKind.LaminateResin, GoodGroup.Forms, GoodUnit.L, 1.1, "", 0, new Pack(5, 58), new Pack(1, 15));

    public static Good LaminateMat { get; } = Of(GoodKind.LaminateMat, GoodGroup.Forms, GoodUnit.M2, 0.3, "", 0, new Pack(10, 32), new Pack(2, 9));

    public static Good SeamSealant { get; } = Of(GoodKind.SeamSealant, GoodGroup.Forms, GoodUnit.Piece, 0.4, "", 0, new Pack(1, 6.5));

    /// <summary>Cement board, 12 mm; it stays.</summary>
    public static Good DeckBoard { get; } = Of(GoodKind.DeckBoard, GoodGroup.Forms, GoodUnit.M2, 15, "", 0, new Pack(1.08, 19));

    /// <summary>Ply, 18 mm, by the sheet.</summary>
    public static Good DeckPly { get; } = Of(GoodKind.DeckPly, GoodGroup.Forms, GoodUnit.M2, 11, "", 0, new Pack(2.98, 46));

    public static Good ReleaseOil { get; } = Of(GoodKind.ReleaseOil, GoodGroup.Forms, GoodUnit.L, 0.9, "", 0, new Pack(5, 29), new Pack(1, 8.5));

    public static Good ReleaseWax { get; } = Of(GoodKind.ReleaseWax, GoodGroup.Forms, GoodUnit.Kg, 1, "", 0, new Pack(1, 16), new Pack(0.4, 8));

    public static Good Bar(BarSize bar, double stockM)
    {
        ArgumentNullException.ThrowIfNull(bar);
        const double steelPerKg = 1.7;
        var kg = bar.KgPerM * stockM;
        return Of(GoodKind.Bar, GoodGroup.Steel, GoodUnit.Piece, kg, bar.Id, stockM, new Pack(1, Math.Round(kg * steelPerKg, 2)));
    }

    public static Good MeshSheet { get; } = Of(GoodKind.MeshSheet, GoodGroup.Steel, GoodUnit.Piece, 6, "", 0, new Pack(1, 17));

    public static Good Fibre { get; } = Of(GoodKind.Fibre, GoodGroup.Steel, GoodUnit.Kg, 1, "", 0, new Pack(0.6, 11));

    public static Good Scrim { get; } = Of(GoodKind.Scrim, GoodGroup.Steel, GoodUnit.M2, 0.15, "", 0, new Pack(50, 44), new Pack(10, 13));

    public static Good Chair { get; } = Of(GoodKind.Chair, GoodGroup.Steel, GoodUnit.Piece, 0.03, "", 0, new Pack(50, 12));

    /// <summary>Counted in ties.</summary>
    public static Good TieWire { get; } = Of(GoodKind.TieWire, GoodGroup.Steel, GoodUnit.Piece, 0.002, "", 0, new Pack(500, 7));

    public static Good IsolationStrip { get; } = Of(GoodKind.IsolationStrip, GoodGroup.Surface, GoodUnit.M, 0.1, "", 0, new Pack(10, 9));

    public static Good BondBreaker { get; } = Of(GoodKind.BondBreaker, GoodGroup.Surface, GoodUnit.M, 0.05, "", 0, new Pack(25, 8));

    public static Good CrackFiller { get; } = Of(GoodKind.CrackFiller, GoodGroup.Surface, GoodUnit.Piece, 0.5, "", 0, new Pack(1, 9.5));

    public static Good BondCoat { get; } = Of(GoodKind.BondCoat, GoodGroup.Surface, GoodUnit.L, 1, "", 0, new Pack(5, 32), new Pack(1, 9));

    public static Good Plastic { get; } = Of(GoodKind.Plastic, GoodGroup.Surface, GoodUnit.M2, 0.18, "", 0, new Pack(100, 42), new Pack(20, 12));

    public static Good Tape { get; } = Of(GoodKind.Tape, GoodGroup.Surface, GoodUnit.M, 0.01, "", 0, new Pack(50, 6));

    public static Good CuringCompound { get; } = Of(GoodKind.CuringCompound, GoodGroup.Surface, GoodUnit.L, 1, "", 0, new Pack(10, 38), new Pack(2.5, 14));

    public static Good CureAndSeal { get; } = Of(GoodKind.CureAndSeal, GoodGroup.Surface, GoodUnit.L, 1, "", 0, new Pack(10, 62), new Pack(2.5, 21));

    public static Good Burlap { get; } = Of(GoodKind.Burlap, GoodGroup.Surface, GoodUnit.M2, 0.3, "", 0, new Pack(10, 14));

    /// <summary>A product that goes on in coats; one that the user named is nobody's in particular.</summary>
    /// <param name="id">In the catalogue of coats, or own.</param>
    public static Good Coating(string id) => Of(GoodKind.Coating, GoodGroup.Surface, GoodUnit.L, 1, id, 0, new Pack(5, 64), new Pack(1, 17));

    public static Good Gloves { get; } = Of(GoodKind.Gloves, GoodGroup.Hands, GoodUnit.Piece, 0.1, "", 0, new Pack(1, 4));

    public static Good Goggles { get; } = Of(GoodKind.Goggles, GoodGroup.Hands, GoodUnit.Piece, 0.1, "", 0, new Pack(1, 7));

    public static Good DustMask { get; } = Of(GoodKind.DustMask, GoodGroup.Hands, GoodUnit.Piece, 0.02, "", 0, new Pack(1, 3));

    private static double BagPricePerKg(BagKind kind) => kind switch
    {
        BagKind.General => 0.20,
        BagKind.HighStrength or BagKind.FibreCrackResisting => 0.24,
        BagKind.FastHighStrength => 0.32,
        BagKind.RapidHardening or BagKind.RapidMortar => 0.62,
        BagKind.Topping or BagKind.Mortar => 0.26,
        BagKind.Countertop => 1.9,
        BagKind.Own => 0.30,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static string Camel(Additive additive) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(additive.ToString());

    /// <summary>What a truck brings, and what it asks besides: by the tenth of a cubic metre, for what is missing of its least, each time, and by the minute that it waits.</summary>
    public static Good TruckM3 { get; } = Of(GoodKind.Truck, GoodGroup.Concrete, GoodUnit.M3, 0, "m3", 0, new Pack(1, 145)) with { Step = 0.1 };

    public static Good TruckShort { get; } = Of(GoodKind.Truck, GoodGroup.Concrete, GoodUnit.M3, 0, "short", 0, new Pack(1, 35)) with { Step = 0.1 };

    public static Good TruckDelivery { get; } = Of(GoodKind.Truck, GoodGroup.Concrete, GoodUnit.Piece, 0, "delivery", 0, new Pack(1, 65));

    public static Good TruckWait { get; } = Of(GoodKind.Truck, GoodGroup.Concrete, GoodUnit.Min, 0, "wait", 0, new Pack(1, 1.5)) with { Step = 1 };

    private static Good Of(GoodKind kind, GoodGroup group, GoodUnit unit, double kgPerUnit, string of, double lengthM, params ReadOnlySpan<Pack> packs) =>
        new(kind, of, lengthM, group, unit, [.. packs], kgPerUnit);
}
