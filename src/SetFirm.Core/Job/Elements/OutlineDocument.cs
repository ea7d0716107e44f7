using System.Text.Json.Serialization;

namespace SetFirm.Core.Job;

/// <summary>An outline, said the way it was measured.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(WalkedOutlineDocument), "walked")]
[JsonDerivedType(typeof(PresetOutlineDocument), "preset")]
[JsonDerivedType(typeof(TapedOutlineDocument), "taped")]
[JsonDerivedType(typeof(PointsOutlineDocument), "points")]
public abstract record OutlineDocument
{
    private protected OutlineDocument()
    {
    }

    /// <inheritdoc cref="ElementDocument.Lists"/>
    internal virtual IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [];
}

/// <summary>Edge lengths and turns, from corner to corner round the outside.</summary>
public sealed record WalkedOutlineDocument : OutlineDocument
{
    public required IReadOnlyList<SideDocument> Sides { get; init; }

    /// <summary>Spread a gap over all sides, however wide it is.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Spread { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("sides", Sides)];
}

/// <summary>One side as taped.</summary>
public sealed record SideDocument
{
    /// <summary>A length straight from end to end, or empty to have it worked out; at most two may be empty.</summary>
    public required string Length { get; init; }

    /// <summary>Turn at its end, degrees: left positive, right negative.</summary>
    public required double Turn { get; init; }

    /// <summary>How far the middle bows out of the straight line, a length; behind a minus sign it bows in. Empty is straight.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public string? Rise { get; init; }
}

/// <summary>Outlines that are said by their dimensions.</summary>
public enum PresetShape
{
    Rectangle,
    LShape,
    UShape,
    Circle,
    HalfCircle,
    QuarterCircle,
    Kidney,
    Hexagon,
    Octagon,
}

/// <summary>A common outline by its dimensions.</summary>
public sealed record PresetOutlineDocument : OutlineDocument
{
    public required PresetShape Shape { get; init; }

    /// <summary>A length: over all along, the diameter, the radius of a quarter, or from flat to flat.</summary>
    public required string Along { get; init; }

    /// <summary>A length: over all across. Not used by round and regular shapes.</summary>
    public string Across { get; init; } = "";

    /// <summary>A length: the notch of an L or a U, along.</summary>
    public string NotchAlong { get; init; } = "";

    /// <summary>A length: the notch, across.</summary>
    public string NotchAcross { get; init; } = "";
}

/// <summary>Corners by two tapes from two nails.</summary>
public sealed record TapedOutlineDocument : OutlineDocument
{
    /// <summary>A length between nail A and nail B.</summary>
    public required string Nails { get; init; }

    public required IReadOnlyList<TapedCornerDocument> Corners { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("corners", Corners)];
}

public sealed record TapedCornerDocument
{
    /// <summary>A length from nail A.</summary>
    public required string A { get; init; }

    /// <summary>A length from nail B.</summary>
    public required string B { get; init; }

    /// <summary>A length to the corner before, as a check; empty where none was taped.</summary>
    public string Check { get; init; } = "";
}

/// <summary>Corners by their coordinates, as a survey, a table or a drawing file gives them.</summary>
public sealed record PointsOutlineDocument : OutlineDocument
{
    public required IReadOnlyList<PointDocument> Points { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("points", Points)];
}

/// <summary>Metres on the plan.</summary>
public sealed record PointDocument
{
    public required double X { get; init; }

    public required double Y { get; init; }

    /// <summary>How far the edge to the next corner bows out, metres; below 0 it bows in.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public double Rise { get; init; }
}
