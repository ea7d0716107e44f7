using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;

namespace SetFirm.Core.Telling;

/// <summary>The weeks after.</summary>
/// <param name="WetFrom">When wetting begins: the surface takes water without marking.</param>
/// <param name="WetUntil">And ends.</param>
/// <param name="WetDays">Between them.</param>
/// <param name="AdvisedDays">What this mix and weather ask.</param>
/// <param name="RewetHours">Between wettings by this method; null where it wants none.</param>
/// <param name="MeanEvaporation">Over the wet days, kg/m2/h.</param>
/// <param name="NextWetting">Due next, an overdue one included; null where none is.</param>
/// <param name="Wettings">Still to be made, from the last that was told of.</param>
/// <param name="Diary">What was told of, mistakes left out.</param>
/// <param name="DryHours">That it lay dry, by the diary.</param>
/// <param name="LostMpa">What that costs at 28 days.</param>
/// <param name="Nights">Cold ones while it is young or wet.</param>
/// <param name="Coats">Laid into free hours.</param>
/// <param name="Milestones">With their moments.</param>
/// <param name="Curve">Strength against time.</param>
/// <param name="F28Mpa">What a full moist cure reaches.</param>
/// <param name="At28Mpa">What this cure reaches at 28 days.</param>
public sealed record CureReport(
    Instant WetFrom,
    Instant WetUntil,
    double WetDays,
    double AdvisedDays,
    double? RewetHours,
    double MeanEvaporation,
    Instant? NextWetting,
    IReadOnlyList<WettingReport> Wettings,
    IReadOnlyList<JobEvent> Diary,
    double DryHours,
    double LostMpa,
    IReadOnlyList<NightReport> Nights,
    IReadOnlyList<CoatReport> Coats,
    IReadOnlyList<MilestoneReport> Milestones,
    IReadOnlyList<StrengthPoint> Curve,
    double F28Mpa,
    double At28Mpa);

/// <param name="At">When it is due.</param>
/// <param name="LastsUntil">What the method then holds has dried off.</param>
public sealed record WettingReport(Instant At, Instant LastsUntil);

/// <param name="From">It gets cold.</param>
/// <param name="Until">It is over.</param>
/// <param name="LeastAirC">Coldest air.</param>
/// <param name="LeastSlabC">Coldest concrete, covered as planned.</param>
/// <param name="Young">Frost would still harm it.</param>
public sealed record NightReport(Instant From, Instant Until, double LeastAirC, double LeastSlabC, bool Young);

/// <param name="Product">Which, from 0.</param>
/// <param name="Name">Its name.</param>
/// <param name="Number">Which coat, from 1.</param>
/// <param name="Opens">Not before.</param>
/// <param name="Closes">Later it is scuffed first; null for a first coat.</param>
/// <param name="At">The hour it is laid into.</param>
/// <param name="Late">After its window.</param>
/// <param name="KeepWetH">It is kept wet so long, hours; 0 where it dries.</param>
/// <param name="Done">It is told of.</param>
public sealed record CoatReport(int Product, string Name, int Number, Instant Opens, Instant? Closes, Instant At, bool Late, double KeepWetH, bool Done);

/// <param name="Milestone">What for.</param>
/// <param name="At">When; null when out of sight or withheld.</param>
/// <param name="Earliest">One case in ten comes earlier.</param>
/// <param name="Latest">One in ten later.</param>
/// <param name="NeedsMpa">Strength it needs.</param>
public sealed record MilestoneReport(Milestone Milestone, Instant? At, Instant? Earliest, Instant? Latest, double NeedsMpa);

/// <param name="At">Moment.</param>
/// <param name="Mpa">With the planned cure.</param>
/// <param name="LeastMpa">One case in ten has less.</param>
/// <param name="MostMpa">One in ten more.</param>
/// <param name="NoCureMpa">If it were never kept wet.</param>
public sealed record StrengthPoint(Instant At, double Mpa, double LeastMpa, double MostMpa, double NoCureMpa);
