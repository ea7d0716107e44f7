using System.Collections.Immutable;
using System.Text.Json.Serialization;
using SetFirm.Core.Finishing;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans.Document;

/// <summary>Something that is poured. A closed set of kinds: each is a file of this room, and a line here.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SlabDocument), "slab")]
[JsonDerivedType(typeof(TwoCourseDocument), "twoCourse")]
[JsonDerivedType(typeof(OverlayDocument), "overlay")]
[JsonDerivedType(typeof(PebbleBedDocument), "pebbleBed")]
[JsonDerivedType(typeof(BorderDocument), "border")]
[JsonDerivedType(typeof(CurbDocument), "curb")]
[JsonDerivedType(typeof(PieceDocument), "piece")]
[JsonDerivedType(typeof(RibbonDocument), "ribbon")]
[JsonDerivedType(typeof(CounterDocument), "counter")]
[JsonDerivedType(typeof(FootingDocument), "footing")]
public abstract record ElementDocument
{
    private protected ElementDocument()
    {
    }

    public required string Name { get; init; }

    public required Bed Bed { get; init; }

    /// <summary>Waste in per cent of the drawn volume; null takes the bed's.</summary>
    public double? WastePercent { get; init; }

    public required Finish Finish { get; init; }

    /// <summary>What is in it against cracks; null takes the advice.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public SteelDocument? Steel { get; init; }

    /// <summary>What holds it while it sets; null takes the advice.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public FormsDocument? Forms { get; init; }

    /// <summary>What it is for the rooms that advise on it.</summary>
    internal abstract ElementTraits Traits { get; }

    /// <summary>What every kind comes down to, or null with a finding at each field that would not do.</summary>
    internal abstract CastShape? Cast(ElementGate gate);

    /// <summary>What each edge meets; the kinds without edges of their own meet form boards.</summary>
    internal virtual Meets MeetsAt(int edge) => Meets.Form;
}

/// <summary>How an element is treated by the rooms that advise on it.</summary>
/// <param name="OnGround">It lies on the ground: it is dug for, and falls.</param>
/// <param name="Flat">It has a surface that water must leave.</param>
/// <param name="Jointed">How its contraction joints are set out.</param>
/// <param name="InMould">It is cast in a mould that is made from sheet and used again.</param>
/// <param name="Load">What it carries.</param>
/// <param name="Section">What its steel has to follow.</param>
/// <param name="Mix">What its mix is used for.</param>
internal sealed record ElementTraits(bool OnGround, bool Flat, Joints.JointLayout Jointed, bool InMould, Steel.Load Load, Steel.SteelSection Section, Mixes.MixUse Mix);

/// <summary>An element drawn by its outline.</summary>
public abstract record OutlinedDocument : ElementDocument
{
    private protected OutlinedDocument()
    {
    }

    public required OutlineDocument Outline { get; init; }

    /// <summary>What the edges meet, from the first on; edges past the end of the list meet form boards.</summary>
    public required IReadOnlyList<EdgeDocument> Edges { get; init; }

    public required IReadOnlyList<OpeningDocument> Openings { get; init; }

    /// <summary>How water leaves it; null takes the advice.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public FallDocument? Fall { get; init; }

    /// <summary>Its joints; null takes those proposed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<JointDocument>? Joints { get; init; }

    /// <summary>The edge that the barrow leaves over; null takes the first that is free.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public int? WayOut { get; init; }

    internal override Meets MeetsAt(int edge) => edge < Edges.Count ? Edges[edge].Meets : Meets.Form;
}

/// <summary>One edge of an outline: what it meets, and what hangs down along it.</summary>
public sealed record EdgeDocument
{
    public required Meets Meets { get; init; }

    /// <summary>A thickened edge or an apron; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public DropDocument? Drop { get; init; }
}

/// <summary>Extra depth along an edge, inside the outline.</summary>
public sealed record DropDocument
{
    /// <summary>A length, in from the edge.</summary>
    public required string Width { get; init; }

    /// <summary>A length, below the field.</summary>
    public required string Depth { get; init; }
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

/// <summary>What an opening is for.</summary>
public enum OpeningUse
{
    Hole,
    Post,
    Drain,

    /// <summary>A basin or hob let into a counter.</summary>
    CutOut,
}

/// <summary>A hole in a slab. Its middle is measured from the plan's origin: along the first edge, and in from it.</summary>
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

    /// <summary>A drain takes the water of the slab.</summary>
    public OpeningUse Use { get; init; }
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
