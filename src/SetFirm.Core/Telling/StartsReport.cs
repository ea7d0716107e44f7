using NodaTime;

namespace SetFirm.Core.Telling;

/// <summary>Every hour of the coming days in which one might begin.</summary>
/// <param name="Hours">By day and hour.</param>
/// <param name="Best">The best few, the best first; none where none will do.</param>
/// <param name="Members">Ways it may go that each hour was judged by.</param>
public sealed record StartsReport(IReadOnlyList<StartHour> Hours, IReadOnlyList<StartHour> Best, int Members);

/// <param name="Date">Local date.</param>
/// <param name="Hour">Local hour, 0-23.</param>
/// <param name="At">First water.</param>
/// <param name="Chance">That all goes well, 0-1.</param>
/// <param name="DoneBy">The last pass is made: the middle of the cases.</param>
/// <param name="DoneEarliest">One case in ten is done earlier.</param>
/// <param name="DoneLatest">One in ten later.</param>
/// <param name="Faults">What goes wrong when it does, the most frequent first; only what happens in a case of twenty or more.</param>
public sealed record StartHour(
    string Date, int Hour, Instant At, double Chance, Instant DoneBy, Instant DoneEarliest, Instant DoneLatest, IReadOnlyList<FaultShare> Faults);
