using NodaTime;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>When what is done, over every pour of a job.</summary>
/// <param name="Pours">In the order in which they are poured; those whose day is not known are left out.</param>
/// <param name="Days">Of work before and after them.</param>
public sealed record CalendarReport(IReadOnlyList<PourDates> Pours, IReadOnlyList<WorkDayReport> Days);

/// <summary>A day of work besides the pour: tasks that are open, and stand in no other line of the calendar.</summary>
/// <param name="At">Work begins.</param>
/// <param name="Minutes">All of them, one after the other.</param>
/// <param name="Tasks">In the order in which they are done.</param>
public sealed record WorkDayReport(Instant At, double Minutes, IReadOnlyList<TaskOfDay> Tasks);

/// <param name="Key">What the diary names it by.</param>
/// <param name="Task">Which.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
public sealed record TaskOfDay(string Key, WorkTask Task, int? Element);

/// <param name="Pour">Id of the pour.</param>
/// <param name="Number">From 1.</param>
/// <param name="Start">First water.</param>
/// <param name="DoneBy">The last pass is made.</param>
/// <param name="Passes">All zones as one.</param>
/// <param name="Cure">Its weeks after.</param>
public sealed record PourDates(string Pour, int Number, Instant Start, Instant DoneBy, IReadOnlyList<PassReport> Passes, CureReport Cure);
