using System.Text.Json.Serialization;
using SetFirm.Core.Batching;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Job;

/// <summary>What it is mixed in. A closed set of kinds, each of which knows its mixer.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(DrumDocument), "drum")]
[JsonDerivedType(typeof(ForcedDocument), "forced")]
[JsonDerivedType(typeof(DrillBucketDocument), "drillBucket")]
[JsonDerivedType(typeof(TubDocument), "tub")]
[JsonDerivedType(typeof(BarrowDocument), "barrow")]
public abstract record MixerDocument
{
    private protected MixerDocument()
    {
    }

    /// <summary>A volume: of the whole drum or bucket, or what the others can mix at once.</summary>
    public required string Size { get; init; }

    /// <summary>A mass: what its motor or its stand takes at once, as the plate says; empty where nothing is said.</summary>
    public string MostMass { get; init; } = "";

    /// <summary>What the yard calls it; null where it has no name. What was learnt at it goes by it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Called { get; init; }

    internal abstract Mixer Of(Volume size);
}

public sealed record DrumDocument : MixerDocument
{
    internal override Mixer Of(Volume size) => new Mixer.Drum(size);
}

public sealed record ForcedDocument : MixerDocument
{
    internal override Mixer Of(Volume size) => new Mixer.Forced(size);
}

public sealed record DrillBucketDocument : MixerDocument
{
    internal override Mixer Of(Volume size) => new Mixer.DrillBucket(size);
}

public sealed record TubDocument : MixerDocument
{
    internal override Mixer Of(Volume size) => new Mixer.Tub(size);
}

public sealed record BarrowDocument : MixerDocument
{
    internal override Mixer Of(Volume size) => new Mixer.Barrow(size);
}
