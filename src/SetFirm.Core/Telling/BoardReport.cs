using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.PourDay;

namespace SetFirm.Core.Telling;

/// <summary>The board of a pour's day: how far it has come, what is next, and what the signs say.</summary>
/// <param name="Plan">As it was planned when the day began, and is not rewritten; before that as it is planned now: it is told along with the beginning.</param>
/// <param name="Begun">Something of the day was told.</param>
/// <param name="Closed">What was told when it was closed; null while it is not.</param>
/// <param name="Now">What is not done by then is done later; null before it began.</param>
/// <param name="Hands">People that are there.</param>
/// <param name="MostHands">More cannot be told.</param>
/// <param name="Mixing">How the batches go.</param>
/// <param name="Zones">What is believed of each.</param>
/// <param name="Todo">Passes that are not done, the soonest first.</param>
/// <param name="Change">What the last thing told changed; null where it changed nothing.</param>
/// <param name="Ahead">What is coming, with what can be done now.</param>
public sealed record BoardReport(
    PlanOfDay Plan,
    bool Begun,
    JobEvent.DayClosed? Closed,
    Instant? Now,
    int Hands,
    int MostHands,
    BoardMixing Mixing,
    IReadOnlyList<BoardZone> Zones,
    IReadOnlyList<BoardTask> Todo,
    SignEffect? Change,
    IReadOnlyList<Finding> Ahead);

/// <summary>How the batches go.</summary>
/// <param name="Batches">What was told of each that was begun; the rest is to come.</param>
/// <param name="Of">All of them.</param>
/// <param name="Next">When the next one is begun; null where none is left.</param>
/// <param name="Lies">When the one in the mixer is placed; null where none is.</param>
/// <param name="By">The one in the mixer is placed by then, or the next one begun where none is, or it meets concrete too old to knit with; null where it meets none.</param>
/// <param name="EndsAt">The last is struck off, at this pace.</param>
/// <param name="PlannedEnd">And as planned when the day began.</param>
/// <param name="PaceFactor">A round takes so many times as long as planned.</param>
/// <param name="JointAgeMin">The oldest that a batch is when the next meets it.</param>
/// <param name="JointLimitMin">And may be, by what the signs told.</param>
public sealed record BoardMixing(
    IReadOnlyList<BoardBatch> Batches, int Of, Instant? Next, Instant? Lies, Instant? By, Instant EndsAt, Instant PlannedEnd, double PaceFactor, double JointAgeMin, double JointLimitMin);

/// <summary>A batch that was begun.</summary>
/// <param name="Begun">Water went in.</param>
/// <param name="Placed">It lies; null while it is in the mixer.</param>
public sealed record BoardBatch(Instant Begun, Instant? Placed);

/// <summary>What is believed of a zone.</summary>
/// <param name="Number">From 1.</param>
/// <param name="LaterPct">It sets so much later than planned, percent; sooner where it is under 0.</param>
/// <param name="DoubtPct">Give or take.</param>
/// <param name="Signs">That were read of it.</param>
/// <param name="SheenSeen">When it was told that its sheen is gone; null where it was not.</param>
public sealed record BoardZone(int Number, double LaterPct, double DoubtPct, int Signs, Instant? SheenSeen);

/// <summary>A pass to make.</summary>
/// <param name="Zone">From 1.</param>
/// <param name="Pass">Which.</param>
/// <param name="Batch">Number of the last batch of its zone: nobody is on it before that is placed.</param>
/// <param name="Opens">Best guess.</param>
/// <param name="Closes">Best guess.</param>
/// <param name="Begins">When the crew gets to it.</param>
/// <param name="Ends">And is done with it.</param>
/// <param name="Hands">How many share it.</param>
/// <param name="Begun">When it was told to be begun; null where it was not.</param>
public sealed record BoardTask(int Zone, Pass Pass, int Batch, Instant Opens, Instant Closes, Instant Begins, Instant Ends, int Hands, Instant? Begun);
