using System.Text.Json.Serialization;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>A part of a plan's report that can be asked for by itself.</summary>
public enum PlanPart
{
    Shape,
    Build,
    Mix,
    Load,
    Buy,
    Day,
    Board,
    Cure,
}

/// <summary>Several parts: the bit of each is that of its place in <see cref="PlanPart"/>.</summary>
[Flags]
public enum PlanParts
{
    None = 0,
}

/// <summary>Parts, one by one.</summary>
public static class PlanPartFlags
{
    public static PlanParts Flag(this PlanPart part) => (PlanParts)(1 << (int)part);
}

/// <summary>The plan of a job. A part that could not be worked out is null, and a finding says why; so is one that was not asked for.</summary>
public sealed record PlanReport
{
    public required ShapeReport? Shape { get; init; }

    public required BuildReport? Build { get; init; }

    public required MixReport? Mix { get; init; }

    /// <summary>Mixes of the job besides its first.</summary>
    public required IReadOnlyList<MixReport> OtherMixes { get; init; }

    /// <summary>Every pour in short, in the order in which they are poured.</summary>
    public required IReadOnlyList<PourReport> Pours { get; init; }

    /// <summary>Id of the pour that load, day and cure are told of; null while there is none.</summary>
    public required string? Pour { get; init; }

    public required LoadReport? Load { get; init; }

    public required BuyReport? Buy { get; init; }

    public required DayReport? Day { get; init; }

    /// <summary>Of the day under way, or to come.</summary>
    public required BoardReport? Board { get; init; }

    public required CureReport? Cure { get; init; }

    /// <summary>How each text was understood.</summary>
    public required IReadOnlyList<TextRead> Readings { get; init; }

    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Why each figure is what it is.</summary>
    public required IReadOnlyList<Explanation> Explanations { get; init; }

    /// <summary>Whose formulas those are, each once.</summary>
    public required IReadOnlyList<Citation> Citations { get; init; }

    /// <summary>The steps in working order, with their state.</summary>
    public required IReadOnlyList<StepReport> Steps { get; init; }

    /// <summary>What was learnt that this plan goes by; left out where nothing is.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<LearntInUse>? Learnt { get; init; }
}

/// <summary>A step and where it stands.</summary>
public sealed record StepReport(Step Step, StepState State);

/// <summary>A pour in short.</summary>
/// <param name="Id">What the diary names it by.</param>
/// <param name="Number">From 1, in the order in which they are poured.</param>
/// <param name="Said">Its place in the document; null where it is proposed.</param>
/// <param name="Parts">What of the job.</param>
/// <param name="Mix">Id of its mix.</param>
/// <param name="Date">Local date; null where it cannot be read.</param>
/// <param name="Start">Local time; null where it cannot be read.</param>
/// <param name="StartsAt">First water; null while the day is not known.</param>
/// <param name="VolumeL">To be placed, waste included.</param>
/// <param name="HoldBackL">Kept back for patches.</param>
/// <param name="Bags">Bags or containers of cement that it measures out; null where it cannot be mixed.</param>
/// <param name="Batches">How many; null where it cannot be batched.</param>
/// <param name="MixingMin">From the first water to the last batch placed.</param>
/// <param name="Poured">Something was told of it that is told of what lies.</param>
/// <param name="WentBy">Its day is gone, and nothing was.</param>
public sealed record PourReport(
    string Id, int Number, int? Said, IReadOnlyList<PartReportOf> Parts, string Mix, string? Date, string? Start, Instant? StartsAt, double VolumeL, double HoldBackL, double? Bags, int? Batches,
    double? MixingMin, bool Poured, bool WentBy);

/// <param name="Element">Index of the element.</param>
/// <param name="Panels">Numbers, from 1; empty has all.</param>
/// <param name="Casting">Number, from 1; null where it is cast once.</param>
/// <param name="Course">Null where it is poured in one.</param>
public sealed record PartReportOf(int Element, IReadOnlyList<int> Panels, int? Casting, Course? Course);

/// <param name="Key">Of what.</param>
/// <param name="Factor">So many times what would be taken without it.</param>
public sealed record LearntInUse(LearntKey Key, double Factor);
