using System.Text.Json.Serialization;
using SetFirm.Core.Finishing;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans.Document;

/// <summary>Something that is poured. A closed set of kinds.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SlabDocument), "slab")]
public abstract record ElementDocument
{
    private protected ElementDocument()
    {
    }

    public required string Name { get; init; }
}

/// <summary>A slab, patio, pad, walk or drive panel.</summary>
public sealed record SlabDocument : ElementDocument
{
    /// <summary>Round the outline from its first corner.</summary>
    public required IReadOnlyList<EdgeDocument> Edges { get; init; }

    public required IReadOnlyList<OpeningDocument> Openings { get; init; }

    /// <summary>A length.</summary>
    public required string Thickness { get; init; }

    public required Bed Bed { get; init; }

    /// <summary>Waste in per cent of the drawn volume; null takes the bed's.</summary>
    public double? WastePercent { get; init; }

    public required Finish Finish { get; init; }
}

/// <summary>One edge of an outline.</summary>
public sealed record EdgeDocument
{
    /// <summary>A length, or empty to have it worked out; at most two may be empty.</summary>
    public required string Length { get; init; }

    /// <summary>Turn at its end, degrees: left positive, right negative.</summary>
    public required double Turn { get; init; }

    public required Meets Meets { get; init; }
}

/// <summary>What an edge meets.</summary>
public enum Meets
{
    /// <summary>A form board.</summary>
    Form,

    /// <summary>A wall of the house.</summary>
    Wall,

    /// <summary>A slab that is there already.</summary>
    OldSlab,

    /// <summary>A panel poured earlier in this job.</summary>
    EarlierPanel,

    /// <summary>Nothing: it is left open.</summary>
    Open,
}

/// <summary>A hole in a slab. Its middle is measured from the first corner: along the first edge, and in from it.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(RoundOpeningDocument), "round")]
[JsonDerivedType(typeof(RectangularOpeningDocument), "rectangular")]
public abstract record OpeningDocument
{
    private protected OpeningDocument()
    {
    }

    public required string Name { get; init; }

    /// <summary>A length along the first edge; a minus sign goes back past the corner.</summary>
    public required string Along { get; init; }

    /// <summary>A length in from the first edge.</summary>
    public required string In { get; init; }
}

public sealed record RoundOpeningDocument : OpeningDocument
{
    /// <summary>A length.</summary>
    public required string Diameter { get; init; }
}

public sealed record RectangularOpeningDocument : OpeningDocument
{
    /// <summary>A length, along the first edge.</summary>
    public required string Width { get; init; }

    /// <summary>A length, in from it.</summary>
    public required string Depth { get; init; }
}
