using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Web.Jobs;

/// <summary>A job with its version, which If-Match names when it is changed.</summary>
public sealed record JobDto(Guid Id, int Version, Instant CreatedAt, Instant UpdatedAt, JobDocument Document);

/// <summary>Whether a line says what the plan says.</summary>
public enum LineState
{
    Made,

    /// <summary>It is being made: ask again in a moment.</summary>
    Pending,

    /// <summary>The job cannot be read, or not be planned in time; opening it says what is wrong.</summary>
    Unplannable,
}

/// <summary>A job that was removed.</summary>
public sealed record RemovedJobDto(Guid Id, string Name, Instant RemovedAt);

/// <summary>A job as it stood before: which version, and since when.</summary>
public sealed record PastVersionDto(int Version, Instant SavedAt);

/// <summary>A job in the yard: a line of what it is and where it stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Its version.</param>
/// <param name="Name">Its name.</param>
/// <param name="Units">The system it is shown in.</param>
/// <param name="TimeZone">Of the site.</param>
/// <param name="UpdatedAt">Last change.</param>
/// <param name="Phase">By its plan, now: what presses most among its pours.</param>
/// <param name="Pours">How many pours it has.</param>
/// <param name="NextPour">Number, from 1, of the pour that is under way or comes next; null when all are done.</param>
/// <param name="OrderL">Concrete to mix; null while its shape is unsound.</param>
/// <param name="Bags">Whole bags, where it is bagged.</param>
/// <param name="Start">First water of the next pour, or of the last that was.</param>
/// <param name="DoneBy">Its last pass closes.</param>
/// <param name="WetUntil">Keep it wet until; the latest of what is poured, or of the next pour.</param>
/// <param name="RewetHours">Between wettings.</param>
/// <param name="NextWetting">When it is to be wetted next.</param>
/// <param name="WalkFrom">Strong enough to walk on; null once it is, or while not known.</param>
/// <param name="Decisions">Warnings and errors that wait.</param>
/// <param name="Today">Tasks that are ready and whose day has come.</param>
/// <param name="Outline">The first element in plan, for its small drawing.</param>
/// <param name="State">Whether it was planned.</param>
public sealed record JobLineDto(
    Guid Id,
    int Version,
    string Name,
    UnitSystem Units,
    string TimeZone,
    Instant UpdatedAt,
    JobPhase Phase,
    int Pours,
    int? NextPour,
    double? OrderL,
    int? Bags,
    Instant? Start,
    Instant? DoneBy,
    Instant? WetUntil,
    double? RewetHours,
    Instant? NextWetting,
    Instant? WalkFrom,
    int Decisions,
    IReadOnlyList<TodayDto> Today,
    SketchDto? Outline,
    LineState State)
{
    /// <summary>It was put away: kept, and out of the way.</summary>
    public bool PutAway { get; init; }
}

/// <summary>A task whose day has come.</summary>
/// <param name="Task">Which.</param>
/// <param name="Element">Name of the element; empty where it is done once for the job.</param>
/// <param name="Minutes">It takes; null where it is no work of its own.</param>
public sealed record TodayDto(WorkTask Task, string Element, double? Minutes);

/// <summary>An element in plan: start of each edge, and the edges.</summary>
public sealed record SketchDto(IReadOnlyList<PlanPoint> Corners, IReadOnlyList<EdgeReport> Edges);

/// <summary>A ready-made day to rehearse.</summary>
/// <param name="Lesson">Which.</param>
/// <param name="Document">Its job; it is kept nowhere.</param>
internal sealed record LessonDto(Lesson Lesson, JobDocument Document);
