using System.Text.Json.Serialization;
using SetFirm.Core.Batching;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Job;

/// <summary>What it is mixed in.</summary>
public sealed record MixerDocument
{
    public required MixerKind Kind { get; init; }

    /// <summary>A volume: of the whole drum or bucket, or what the others can mix at once.</summary>
    public required string Size { get; init; }

    /// <summary>A mass: what its motor or its stand takes at once, as the plate says; empty where nothing is said.</summary>
    public string MostMass { get; init; } = "";

    /// <summary>What the yard calls it; null where it has no name. What was learnt at it goes by it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Called { get; init; }

    internal MixedBy By => Of(Volume.FromLitres(1)).By;

    internal Mixer Of(Volume size) => Mixers.Of(Kind, size);
}
