using System.Collections.Immutable;
using System.Text.Json.Serialization;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>Something that is poured. A closed set of kinds: each is a file of this room, and a line here.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SlabDocument), "slab")]
[JsonDerivedType(typeof(TwoCourseDocument), "twoCourse")]
[JsonDerivedType(typeof(OverlayDocument), "overlay")]
[JsonDerivedType(typeof(PebbleBedDocument), "pebbleBed")]
[JsonDerivedType(typeof(BorderDocument), "border")]
[JsonDerivedType(typeof(CurbDocument), "curb")]
[JsonDerivedType(typeof(PieceDocument), "piece")]
[JsonDerivedType(typeof(ProfileDocument), "profile")]
[JsonDerivedType(typeof(RibbonDocument), "ribbon")]
[JsonDerivedType(typeof(CounterDocument), "counter")]
[JsonDerivedType(typeof(FootingDocument), "footing")]
public abstract record ElementDocument
{
    // A kind is a record of this program, or one made up in its tests.
    internal ElementDocument()
    {
    }

    /// <summary>What pours name it by; it stays.</summary>
    public string Id { get; init; } = "";

    public required string Name { get; init; }

    /// <summary>Id of its mix; null takes the job's first.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Mix { get; init; }

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

    /// <summary>How it is ground, where it is; null takes the usual grits.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public GrindDocument? Grind { get; init; }

    /// <summary>A length: its finished top over the ground; null takes what is usual of its kind.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Above { get; init; }

    /// <summary>What it is for the rooms that advise on it.</summary>
    internal abstract ElementTraits Traits { get; }

    /// <summary>What every kind comes down to, or null with a finding at each field that would not do.</summary>
    internal abstract CastShape? Cast(ElementGate gate);

    /// <summary>What each edge meets; the kinds without edges of their own meet form boards.</summary>
    internal virtual Meets MeetsAt(int edge) => Meets.Form;

    /// <summary>What is left open in it.</summary>
    internal virtual IReadOnlyList<OpeningDocument> OpeningsSaid => [];

    /// <summary>How water leaves it; null takes the advice.</summary>
    internal virtual FallDocument? FallSaid => null;

    /// <summary>Its joints; null takes those proposed.</summary>
    internal virtual IReadOnlyList<JointDocument>? JointsSaid => null;

    /// <summary>The edge that the barrow leaves over; null takes the first that is free.</summary>
    internal virtual int? WayOutSaid => null;

    /// <summary>Length of the cracks in what it lies on; null for none.</summary>
    internal virtual Length? CracksBelow(ElementGate gate) => null;

    /// <summary>From how many moulds, where it is cast again and again.</summary>
    internal virtual MouldsDocument? MouldsSaid => null;

    /// <summary>Where its days in the mould are said.</summary>
    internal virtual Place StripDaysAt(ElementPlaces at) => at.Self.At(nameof(PieceDocument.Casting)).At(nameof(MouldsDocument.StripDays));

    /// <summary>Every list that it holds, by its name in the job file: none may hold a null. A test walks the types and finds one that is missing.</summary>
    internal virtual IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [];

    /// <summary>Id of the mix of a course; null takes the element's, or for a slurry cement and water.</summary>
    internal virtual string? MixOf(Course course) => null;
}

/// <summary>An element drawn by its outline.</summary>
public abstract record OutlinedDocument : ElementDocument
{
    internal OutlinedDocument()
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

    internal override IReadOnlyList<OpeningDocument> OpeningsSaid => Openings;

    internal override FallDocument? FallSaid => Fall;

    internal override IReadOnlyList<JointDocument>? JointsSaid => Joints;

    internal override int? WayOutSaid => WayOut;

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists =>
        [("edges", Edges), ("openings", Openings), ("joints", Joints ?? []), .. Outline.Lists.Select(l => ($"outline.{l.Name}", l.Items))];
}

/// <summary>One edge of an outline: what it meets, and what hangs down along it.</summary>
public sealed record EdgeDocument
{
    public required Meets Meets { get; init; }

    /// <summary>A thickened edge or an apron; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public DropDocument? Drop { get; init; }

    /// <summary>Where edges of the top are chamfered or rounded, this one stays sharp.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Sharp { get; init; }
}

/// <summary>Extra depth along an edge, inside the outline.</summary>
public sealed record DropDocument
{
    /// <summary>A length, in from the edge.</summary>
    public required string Width { get; init; }

    /// <summary>A length, below the field.</summary>
    public required string Depth { get; init; }
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

    /// <summary>A length: room all round what is let in, so that the hole is that much larger than its sizes say; empty for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Clearance { get; init; }

    /// <summary>A step round it for a flange; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public RebateDocument? Rebate { get; init; }
}

/// <summary>A step round a cut-out that the flange of what is let in lies in.</summary>
public sealed record RebateDocument
{
    /// <summary>A length, outside the hole.</summary>
    public required string Width { get; init; }

    /// <summary>A length, below the face.</summary>
    public required string Depth { get; init; }
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

    /// <summary>A length: radius of its corners; empty where they are square.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Corner { get; init; }
}
