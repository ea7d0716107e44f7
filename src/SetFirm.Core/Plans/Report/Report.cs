using NodaTime;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Plans.Report;

/// <summary>The whole plan of a job. A part that could not be worked out is null, and a finding says why.</summary>
public sealed record PlanReport
{
    public required ShapeReport? Shape { get; init; }

    public required BuildReport? Build { get; init; }

    public required MixReport? Mix { get; init; }

    public required LoadReport? Load { get; init; }

    public required BuyReport? Buy { get; init; }

    public required DayReport? Day { get; init; }

    public required CureReport? Cure { get; init; }

    /// <summary>How each text was understood.</summary>
    public required IReadOnlyList<ReadingReport> Readings { get; init; }

    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Why each figure is what it is.</summary>
    public required IReadOnlyList<Explanation> Explanations { get; init; }

    /// <summary>Whose formulas those are, each once.</summary>
    public required IReadOnlyList<Citation> Citations { get; init; }

    /// <summary>The steps in working order, with their state.</summary>
    public required IReadOnlyList<StepReport> Steps { get; init; }
}

/// <summary>The steps of a job, in working order.</summary>
public enum Step
{
    Shape,
    Build,
    Mix,
    Load,
    Buy,
    Day,
    Cure,
}

public enum StepState
{
    /// <summary>Planned, nothing to decide.</summary>
    Settled,

    /// <summary>Planned, but a warning wants a decision.</summary>
    WantsDecision,

    /// <summary>Something must be mended before it can be planned.</summary>
    Blocked,
}

public sealed record StepReport(Step Step, StepState State);

public enum Dimension
{
    Length,
    Volume,
    Mass,
}

/// <summary>How a text was understood.</summary>
/// <param name="Path">JSON pointer of the text.</param>
/// <param name="Dimension">What it measures.</param>
/// <param name="Si">Metres, cubic metres or kilograms.</param>
/// <param name="Bare">True when it named no unit.</param>
/// <param name="Exact">The same with its unit, to stand in its place when the job changes system.</param>
public sealed record ReadingReport(string Path, Dimension Dimension, double Si, bool Bare, string Exact);

/// <summary>A stretch of time, start included, end not.</summary>
public sealed record SpanReport(Instant From, Instant To);
