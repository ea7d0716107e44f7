using NodaTime;

namespace SetFirm.Core.Telling;

/// <summary>When what is done, over every pour of a job.</summary>
/// <param name="Pours">In the order in which they are poured; those whose day is not known are left out.</param>
public sealed record CalendarReport(IReadOnlyList<PourDates> Pours);

/// <param name="Pour">Id of the pour.</param>
/// <param name="Number">From 1.</param>
/// <param name="Start">First water.</param>
/// <param name="DoneBy">The last pass is made.</param>
/// <param name="Passes">All zones as one.</param>
/// <param name="Cure">Its weeks after.</param>
public sealed record PourDates(string Pour, int Number, Instant Start, Instant DoneBy, IReadOnlyList<PassReport> Passes, CureReport Cure);
