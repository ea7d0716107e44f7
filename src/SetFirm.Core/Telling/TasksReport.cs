using NodaTime;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The order of work of a job, around one of its pours.</summary>
/// <param name="Pour">Id of the pour; null while there is none.</param>
/// <param name="Tasks">In the order in which they are done.</param>
public sealed record TasksReport(string? Pour, IReadOnlyList<TaskReport> Tasks);

/// <summary>A task, with what this job makes of it.</summary>
/// <param name="Key">What the diary names it by.</param>
/// <param name="Task">Which.</param>
/// <param name="Phase">When in the job.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
/// <param name="People">That it takes.</param>
/// <param name="Gear">To have at hand.</param>
/// <param name="Meets">The mistake that it keeps off; null where none is common.</param>
/// <param name="Figures">This job's own numbers.</param>
/// <param name="From">Not before; null where any time will do.</param>
/// <param name="By">To be done by then; null where it may wait.</param>
/// <param name="State">Where it stands.</param>
/// <param name="WaitsFor">Keys of what is done first and is not done yet.</param>
/// <param name="DoneAt">When it was done; null while it is not.</param>
/// <param name="DoneBy">Who told of it.</param>
/// <param name="Ticked">It was ticked here, and can be taken back here; false also where the board or the cure was told of it.</param>
public sealed record TaskReport(
    string Key, WorkTask Task, TaskPhase Phase, int? Element, int People, IReadOnlyList<Gear> Gear, CommonMistake? Meets, IReadOnlyList<TaskNumber> Figures, Instant? From, Instant? By,
    TaskState State, IReadOnlyList<string> WaitsFor, Instant? DoneAt, string DoneBy, bool Ticked);
