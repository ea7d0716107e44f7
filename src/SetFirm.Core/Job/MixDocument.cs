using System.Text.Json.Serialization;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Job;

/// <summary>Which concrete. A closed set of kinds.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(BaggedMixDocument), "bagged")]
[JsonDerivedType(typeof(PartsMixDocument), "parts")]
[JsonDerivedType(typeof(ReadyMixDocument), "ready")]
public abstract record MixDocument
{
    private protected MixDocument()
    {
    }

    /// <summary>What elements and courses name it by; it stays.</summary>
    public string Id { get; init; } = "";

    public required Exposure Exposure { get; init; }

    /// <summary>What it is measured out with.</summary>
    public required ContainersDocument Containers { get; init; }

    /// <summary>What is stirred in besides.</summary>
    public required AdditivesDocument Additives { get; init; }
}

public sealed record BaggedMixDocument : MixDocument
{
    /// <summary>Id in the catalogue of bags, or of a bag of the user's own.</summary>
    public required string Bag { get; init; }

    /// <summary>Water to one bag, a volume; empty takes the middle of the bag's range.</summary>
    public required string WaterPerBag { get; init; }

    /// <summary>Cement added, per cent of the bag's mass: an enriched mortar.</summary>
    public double CementAdded { get; init; }
}

/// <summary>Parts by loose volume.</summary>
public sealed record PartsMixDocument : MixDocument
{
    public required double Cement { get; init; }

    public required double Sand { get; init; }

    public required double Stone { get; init; }

    /// <summary>All-in: sand and stone as dug.</summary>
    public double Ballast { get; init; }

    /// <summary>Largest stone, mm, 10-25.</summary>
    public required double StoneMm { get; init; }

    public required Consistency Consistency { get; init; }

    public required Moisture Moisture { get; init; }
}

/// <summary>Brought by a truck.</summary>
public sealed record ReadyMixDocument : MixDocument
{
    /// <summary>Strength class that is asked for, MPa at 28 days.</summary>
    public required double StrengthMpa { get; init; }

    /// <summary>Largest stone, mm, 10-25.</summary>
    public required double StoneMm { get; init; }

    public required Consistency Consistency { get; init; }

    /// <summary>With air, against frost.</summary>
    public bool Air { get; init; }

    /// <summary>Minutes from its water to the site.</summary>
    public double AgeMin { get; init; } = TruckTerms.UsualAgeMin;

    /// <summary>Minutes at the site that are in its price.</summary>
    public double OnSiteMin { get; init; } = TruckTerms.UsualOnSiteMin;

    /// <summary>Minutes from its water until it has to be off.</summary>
    public double LimitMin { get; init; } = TruckTerms.UsualLimitMin;

    /// <summary>Its chute reaches the pour; else it is wheeled.</summary>
    public bool Chute { get; init; }

    /// <summary>The supplier comes on Saturdays too.</summary>
    public bool Saturdays { get; init; }

    /// <summary>The supplier comes from this time of day, HH:mm.</summary>
    public string ComesFrom { get; init; } = "07:00";

    /// <summary>Until this.</summary>
    public string ComesUntil { get; init; } = "16:00";
}

/// <summary>The user's own containers; ballast goes by the stone's.</summary>
public sealed record ContainersDocument
{
    public required ContainerDocument Cement { get; init; }

    public required ContainerDocument Sand { get; init; }

    public required ContainerDocument Stone { get; init; }

    public required ContainerDocument Water { get; init; }

    [JsonIgnore]
    public IEnumerable<ContainerDocument> All => [Cement, Sand, Stone, Water];
}

/// <summary>A container, filled as it is always filled.</summary>
public sealed record ContainerDocument
{
    public required ContainerKind Kind { get; init; }

    /// <summary>What it holds: a volume, or a mass where it was weighed full of the dry thing.</summary>
    public required string Size { get; init; }

    /// <summary>What the yard calls it; null where it has no name. Chosen by it, it brings what it holds along.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Called { get; init; }
}

/// <summary>How much of each additive: doses to a bag (or to 25 kg of cement); 0 has none.</summary>
public sealed record AdditivesDocument
{
    public double Retarder { get; init; }

    public double Accelerator { get; init; }

    public double ChlorideAccelerator { get; init; }

    public double Plasticiser { get; init; }

    public double AirEntrainer { get; init; }

    public double Antifreeze { get; init; }

    /// <summary>Per cent of the cement by mass.</summary>
    public double Pigment { get; init; }

    /// <summary>Per cent of the cement by mass, by what is solid of it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double Polymer { get; init; }

    internal double Of(Additive additive) => additive switch
    {
        Additive.Retarder => Retarder,
        Additive.Accelerator => Accelerator,
        Additive.ChlorideAccelerator => ChlorideAccelerator,
        Additive.Plasticiser => Plasticiser,
        Additive.AirEntrainer => AirEntrainer,
        Additive.Antifreeze => Antifreeze,
        Additive.Pigment => Pigment,
        Additive.Polymer => Polymer,
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
