using System.Text.Json.Serialization;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Plans.Document;

/// <summary>Which concrete. A closed set of kinds.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(BaggedMixDocument), "bagged")]
[JsonDerivedType(typeof(PartsMixDocument), "parts")]
public abstract record MixDocument
{
    private protected MixDocument()
    {
    }

    public required Exposure Exposure { get; init; }

    /// <summary>The user's own bucket, filled to its mark: a volume.</summary>
    public required string Bucket { get; init; }
}

public sealed record BaggedMixDocument : MixDocument
{
    /// <summary>Id in the catalogue of bags.</summary>
    public required string Bag { get; init; }

    /// <summary>Water to one bag, a volume; empty takes the middle of the bag's range.</summary>
    public required string WaterPerBag { get; init; }
}

/// <summary>Parts by loose volume.</summary>
public sealed record PartsMixDocument : MixDocument
{
    public required double Cement { get; init; }

    public required double Sand { get; init; }

    public required double Stone { get; init; }

    /// <summary>Largest stone, mm, 10-25.</summary>
    public required double StoneMm { get; init; }

    public required Consistency Consistency { get; init; }

    public required Moisture Moisture { get; init; }
}
