using SetFirm.Core.Planning;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>Where people who do this well differ, and what comes of each way in this job.</summary>
/// <param name="Practices">Each with its ways.</param>
public sealed record PracticesReport(IReadOnlyList<PracticeReport> Practices)
{
    /// <param name="practices">As planned.</param>
    public static PracticesReport Of(IEnumerable<PracticePlan> practices) => new([.. practices.Select(p => new PracticeReport(p.Practice, Tasks.Practices.TaskOf(p.Practice), p.Element, p.Choices))]);
}

/// <param name="Practice">What about.</param>
/// <param name="Task">It belongs to.</param>
/// <param name="Element">Index of the element; null for the whole job.</param>
/// <param name="Choices">Each with what comes of it.</param>
public sealed record PracticeReport(Practice Practice, WorkTask Task, int? Element, IReadOnlyList<PracticeChoice> Choices);
