using System.Text.Json.Serialization;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Joints;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>The ground, what is in the shed, and what was looked over before the pour.</summary>
public sealed record BuildDocument
{
    /// <summary>Whose boards, bars and sheet are sold here. It stays when the job is shown in the other system.</summary>
    public required UnitSystem Sold { get; init; }

    public required Soil Soil { get; init; }

    public required Frost Frost { get; init; }

    /// <summary>A length: compacted base; empty takes the advice.</summary>
    public required string Base { get; init; }

    /// <summary>Plastic lies under the pour.</summary>
    public required bool Plastic { get; init; }

    /// <summary>A length: how far over the highest finished top the string is stretched.</summary>
    public required string StringAbove { get; init; }

    /// <summary>Lengths that boards are sold in; empty takes the usual ones.</summary>
    public required IReadOnlyList<string> Stock { get; init; }

    /// <summary>What was looked over and found good.</summary>
    public required IReadOnlyList<Inspection> Ticked { get; init; }
}

/// <summary>How water leaves a surface.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(LevelFallDocument), "level")]
[JsonDerivedType(typeof(EdgeFallDocument), "offEdge")]
[JsonDerivedType(typeof(DrainFallDocument), "toDrain")]
public abstract record FallDocument
{
    private protected FallDocument()
    {
    }
}

/// <summary>Indoors, or under cover.</summary>
public sealed record LevelFallDocument : FallDocument;

/// <summary>Square off an edge, as off a house wall.</summary>
public sealed record EdgeFallDocument : FallDocument
{
    /// <summary>From 0.</summary>
    public required int Edge { get; init; }

    /// <summary>Down in a hundred along.</summary>
    public required double Percent { get; init; }
}

/// <summary>From all sides to a drain.</summary>
public sealed record DrainFallDocument : FallDocument
{
    /// <summary>Which opening, from 0.</summary>
    public required int Opening { get; init; }

    /// <summary>Down in a hundred along.</summary>
    public required double Percent { get; init; }
}

/// <summary>One joint, along or across the first edge.</summary>
public sealed record JointDocument
{
    /// <summary>True runs square to the first edge, false along it.</summary>
    public required bool Across { get; init; }

    /// <summary>A length from the plan's origin to it.</summary>
    public required string At { get; init; }

    /// <summary>A length to where it begins; empty runs from edge to edge.</summary>
    public string From { get; init; } = "";

    /// <summary>A length to where it ends.</summary>
    public string To { get; init; } = "";

    public JointMethod Method { get; init; }
}

/// <summary>What is put in against cracks.</summary>
public sealed record SteelDocument
{
    /// <summary>Null takes the advice.</summary>
    public SteelSchool? School { get; init; }

    /// <summary>Id of a bar; null takes the usual one.</summary>
    public string? Bar { get; init; }

    /// <summary>A length between bars of a grid; empty takes the bar's own.</summary>
    public string Spacing { get; init; } = "";

    /// <summary>How a mesh comes to lie at its height.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public MeshHeld Mesh { get; init; }
}

/// <summary>How far a face is ground, and with what it is begun: people stop at the look that they want.</summary>
public sealed record GrindDocument
{
    /// <summary>First grit; null begins with the coarsest, down to the stone.</summary>
    public int? From { get; init; }

    /// <summary>Last grit; null goes to 200.</summary>
    public int? To { get; init; }
}

/// <summary>What holds a pour while it sets.</summary>
public sealed record FormsDocument
{
    /// <summary>Id of a board; null takes the lowest that holds it.</summary>
    public string? Board { get; init; }

    public CornerScheme Corners { get; init; }

    /// <summary>Thickness of the ply that curves are bent from, mm; null takes the stiffest that bends.</summary>
    public double? PlyMm { get; init; }

    /// <summary>Thickness of the sheet of a mould, mm; null takes 18 (US: 19).</summary>
    public double? SheetMm { get; init; }

    /// <summary>Where the sides of a mould stand.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public MouldSides Sides { get; init; }
}
