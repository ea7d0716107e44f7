using System.Collections.Immutable;

namespace SetFirm.Core.Takeoff;

/// <summary>What it is bought for: one part of the budget.</summary>
public enum GoodGroup
{
    Concrete,
    Ground,
    Forms,
    Steel,
    Surface,
    Hands,
}

/// <summary>What kind of thing; the browser has its words.</summary>
public enum GoodKind
{
    /// <summary>Of: id in the catalogue of bags.</summary>
    Bag,
    Cement,
    Sand,
    Stone,
    Ballast,

    /// <summary>Of: the additive.</summary>
    Additive,
    Pigment,
    Polymer,
    BaseStone,

    /// <summary>Set in a bed.</summary>
    Pebbles,

    /// <summary>Of: id of the board. Length: as sold.</summary>
    Board,
    Stake,
    SplicePlate,
    FormScrew,

    /// <summary>Into holes drilled in old concrete.</summary>
    MasonryNail,

    /// <summary>Length: its thickness.</summary>
    Sheet,
    BendStrip,
    MouldScrew,

    /// <summary>That bent strips stand between.</summary>
    StripNail,

    /// <summary>Between the layers of a laminated mould.</summary>
    LaminateResin,
    LaminateMat,
    SeamSealant,

    /// <summary>Under a counter that is poured where it stays.</summary>
    DeckBoard,

    /// <summary>Under a counter that comes off again.</summary>
    DeckPly,
    ReleaseOil,

    /// <summary>For moulds that are cast in again.</summary>
    ReleaseWax,

    /// <summary>Of: id of the bar. Length: as sold.</summary>
    Bar,
    MeshSheet,
    Fibre,
    Scrim,
    Chair,
    TieWire,
    IsolationStrip,
    BondBreaker,

    /// <summary>For cracks in old concrete.</summary>
    CrackFiller,

    /// <summary>Brushed into hard concrete just ahead of what goes onto it.</summary>
    BondCoat,
    Plastic,
    Tape,
    Burlap,
    CuringCompound,
    CureAndSeal,

    /// <summary>Of: id in the catalogue of coats; own for a product that it does not have.</summary>
    Coating,
    Gloves,
    Goggles,
    DustMask,
    Truck,
}

/// <summary>What it is counted in.</summary>
public enum GoodUnit
{
    Piece,
    Kg,
    L,
    M,
    M2,
    M3,
    Min,
}

/// <summary>One size that a thing is sold in.</summary>
/// <param name="Size">In its unit.</param>
/// <param name="Price">Typical, for one; a starting value.</param>
public readonly record struct Pack(double Size, double Price);

/// <summary>A thing as sold, by generic name.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Of">Which of its kind; empty where there is one.</param>
/// <param name="LengthM">Length or thickness that it is sold in; 0 where that does not matter.</param>
/// <param name="Group">Part of the budget.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="Packs">Sizes it is sold in, the largest first.</param>
/// <param name="KgPerUnit">To carry.</param>
public sealed record Good(GoodKind Kind, string Of, double LengthM, GoodGroup Group, GoodUnit Unit, ImmutableArray<Pack> Packs, double KgPerUnit)
{
    /// <summary>Sold by any amount, rounded up to this much of its unit and priced by it; 0 is sold in its packs.</summary>
    public double Step { get; init; }

    /// <summary>Stable name in job files: <c>sand</c>, <c>board/47x100/3000</c>.</summary>
    public string Id { get; } = string.Join('/', Parts(Kind, Of, LengthM));

    /// <summary>Name of one of its sizes in the price book: the thing's own where there is one size, else with the size.</summary>
    public string PackId(Pack pack) => Packs.Length == 1 ? Id : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Id}:{pack.Size:0.###}");

    private static IEnumerable<string> Parts(GoodKind kind, string of, double lengthM)
    {
        yield return System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());
        if (of.Length > 0)
        {
            yield return of;
        }

        if (lengthM > 0)
        {
            yield return Math.Round(lengthM * 1000).ToString(System.Globalization.CultureInfo.InvariantCulture);
        }
    }
}
