using NodaTime;
using SetFirm.Core.Curing;

namespace SetFirm.Core.Plans.Report;

/// <summary>The weeks after.</summary>
/// <param name="WetFrom">When wetting begins: the surface takes water without marking.</param>
/// <param name="WetUntil">And ends.</param>
/// <param name="WetDays">Between them.</param>
/// <param name="AdvisedDays">What this mix and weather ask.</param>
/// <param name="RewetHours">Between wettings by this method.</param>
/// <param name="MeanEvaporation">Over the wet days, kg/m2/h.</param>
/// <param name="Milestones">With their moments.</param>
/// <param name="Curve">Strength against time.</param>
/// <param name="F28Mpa">What a full moist cure reaches.</param>
/// <param name="At28Mpa">What this cure reaches at 28 days.</param>
public sealed record CureReport(
    Instant WetFrom,
    Instant WetUntil,
    double WetDays,
    double AdvisedDays,
    double RewetHours,
    double MeanEvaporation,
    IReadOnlyList<MilestoneReport> Milestones,
    IReadOnlyList<StrengthPoint> Curve,
    double F28Mpa,
    double At28Mpa);

/// <param name="Milestone">What for.</param>
/// <param name="At">When; null when out of sight or withheld.</param>
/// <param name="NeedsMpa">Strength it needs.</param>
public sealed record MilestoneReport(Milestone Milestone, Instant? At, double NeedsMpa);

/// <param name="At">Moment.</param>
/// <param name="Mpa">With the planned cure.</param>
/// <param name="NoCureMpa">If it were never kept wet.</param>
public sealed record StrengthPoint(Instant At, double Mpa, double NoCureMpa);
