using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The order of work of a job, around one of its pours.</summary>
/// <param name="Pour">Id of the pour; null while there is none.</param>
/// <param name="BeforeMinutes">Work before the pour, by the people that its tasks ask for.</param>
/// <param name="BeginOn">Local date on which hands begin with it; null while the day of the pour is not known.</param>
/// <param name="EarliestPour">Local date of the first day on which it can be poured, where work should have been begun on a day that is gone; null where nothing is late.</param>
/// <param name="Series">Of what is cast again and again in the same moulds: which casting this is.</param>
/// <param name="Tasks">In the order in which they are done.</param>
public sealed record TasksReport(string? Pour, double BeforeMinutes, string? BeginOn, string? EarliestPour, IReadOnlyList<CastingOf> Series, IReadOnlyList<TaskReport> Tasks);

/// <summary>A casting among others from the same moulds.</summary>
/// <param name="Element">Index of the element.</param>
/// <param name="Casting">From 1.</param>
/// <param name="Of">How many there are.</param>
/// <param name="EveryDays">From one to the next, at the least; null where their days are not known.</param>
/// <param name="Last">Local date of the last one; null where it is not known.</param>
public sealed record CastingOf(int Element, int Casting, int Of, int? EveryDays, string? Last);

/// <summary>So much of a thing is used up.</summary>
/// <param name="Good">Its id, in the things to buy.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="Amount">In that unit.</param>
public sealed record GoodUseReport(string Good, GoodUnit Unit, double Amount);

/// <summary>A task, with what this job makes of it.</summary>
/// <param name="Key">What the diary names it by.</param>
/// <param name="Task">Which.</param>
/// <param name="Phase">When in the job.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
/// <param name="People">That do it: never more than there are.</param>
/// <param name="Gear">To have at hand.</param>
/// <param name="Goods">What it uses up, of the things to buy.</param>
/// <param name="Meets">The mistake that it keeps off; null where none is common.</param>
/// <param name="Figures">This job's own numbers.</param>
/// <param name="Minutes">For those people; null where it is no work of its own.</param>
/// <param name="Parts">What of it is done in turns.</param>
/// <param name="Cautions">The gravest first.</param>
/// <param name="On">Local date on which it is begun; null while the day of the pour is not known.</param>
/// <param name="From">Not before; null where any time will do.</param>
/// <param name="At">Begun: then, or as soon after as somebody works; null where any time will do.</param>
/// <param name="By">To be done by then; null where it may wait.</param>
/// <param name="State">Where it stands.</param>
/// <param name="WaitsFor">Keys of what is done first and is not done yet.</param>
/// <param name="DoneAt">When it was done; null while it is not.</param>
/// <param name="DoneBy">Who told of it.</param>
/// <param name="Ticked">It was ticked here, and can be taken back here; false also where the board or the cure was told of it.</param>
/// <param name="EachPour">It is done anew for every pour; else once for the job.</param>
/// <param name="Late">It should have been begun on a day that is gone.</param>
public sealed record TaskReport(
    string Key, WorkTask Task, TaskPhase Phase, int? Element, int People, IReadOnlyList<Gear> Gear, IReadOnlyList<GoodUseReport> Goods, CommonMistake? Meets, IReadOnlyList<TaskNumber> Figures, double? Minutes, IReadOnlyList<TaskPart> Parts,
    IReadOnlyList<Notice> Cautions, string? On, Instant? From, Instant? At, Instant? By, TaskState State, IReadOnlyList<string> WaitsFor, Instant? DoneAt, string DoneBy, bool Ticked, bool EachPour, bool Late);
