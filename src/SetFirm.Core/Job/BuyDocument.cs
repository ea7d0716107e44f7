using System.Text.Json.Serialization;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>Where things come from and what they cost. Prices are in the money that <see cref="Currency"/> names.</summary>
public sealed record BuyDocument
{
    /// <summary>A sign or a short name, written before amounts of money.</summary>
    public required string Currency { get; init; }

    /// <summary>What was paid or asked, by thing; the rest has a typical price.</summary>
    public required IReadOnlyList<PriceDocument> Prices { get; init; }

    /// <summary>What is in the shed already.</summary>
    public required IReadOnlyList<ShedDocument> Shed { get; init; }

    /// <summary>Things besides.</summary>
    public required IReadOnlyList<ExtraDocument> Extras { get; init; }

    /// <summary>Where things to hold in the hand come from; what is not said is there.</summary>
    public IReadOnlyList<GearDocument> Gear { get; init; } = [];

    /// <summary>Bags that the catalogue does not have.</summary>
    public required IReadOnlyList<OwnBagDocument> Bags { get; init; }

    /// <summary>A mass: what the car or trailer carries at once.</summary>
    public required string Payload { get; init; }

    /// <summary>What an hour of work counts when ways are compared, in money; 0 counts money alone.</summary>
    public required double HourWorth { get; init; }
}

/// <summary>A price in the price book.</summary>
public sealed record PriceDocument
{
    /// <summary>Id of the thing.</summary>
    public required string Good { get; init; }

    /// <summary>For one as sold.</summary>
    public required double Price { get; init; }

    /// <summary>When it was asked, a local date; empty where not noted.</summary>
    public required string Date { get; init; }
}

/// <summary>Something that need not be bought.</summary>
public sealed record ShedDocument
{
    /// <summary>Id of the thing.</summary>
    public required string Good { get; init; }

    /// <summary>In the unit that the thing is counted in: bags, kg, m, m², L or pieces.</summary>
    public required double Amount { get; init; }
}

/// <summary>A thing that the plan does not know of.</summary>
public sealed record ExtraDocument
{
    public required string Name { get; init; }

    public required double Count { get; init; }

    /// <summary>For one.</summary>
    public required double Price { get; init; }
}

/// <summary>Where a thing to hold in the hand comes from.</summary>
public sealed record GearDocument
{
    public required Gear Gear { get; init; }

    public required GearSource From { get; init; }

    /// <summary>For a day where it is hired, for the thing where it is bought.</summary>
    public double Price { get; init; }
}

/// <summary>A bag of the user's own, as its label has it.</summary>
public sealed record OwnBagDocument
{
    /// <summary>Its id in documents; begins with <c>own-</c>.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>A mass.</summary>
    public required string Mass { get; init; }

    /// <summary>A volume, placed.</summary>
    public required string Yield { get; init; }

    /// <summary>A volume.</summary>
    public required string LeastWater { get; init; }

    /// <summary>A volume.</summary>
    public required string MostWater { get; init; }

    /// <summary>MPa at 28 days, at the middle of its water.</summary>
    public required double F28Mpa { get; init; }

    /// <summary>At 20 °C.</summary>
    public required double InitialSetH { get; init; }

    /// <summary>At 20 °C.</summary>
    public required double FinalSetH { get; init; }

    /// <summary>mm.</summary>
    public required double LeastThicknessMm { get; init; }

    /// <summary>mm; null has no limit.</summary>
    public double? MostThicknessMm { get; init; }

    /// <summary>mm; 0 has none.</summary>
    public required double StoneMm { get; init; }

    public required Mixes.MixFamily Family { get; init; }

    /// <summary>Air that its maker has put in, per cent; null where it is not air-entrained.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? AirPct { get; init; }

    /// <summary>Cement, per cent of its mass; null where it does not tell: no w/c is shown.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? CementPct { get; init; }
}
