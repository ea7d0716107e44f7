using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;

namespace SetFirm.Core.Telling;

/// <summary>A pour's day as it was, beside what was planned.</summary>
/// <param name="Told">Something of the day was told.</param>
/// <param name="Closed">It is over.</param>
/// <param name="Planned">When the day began; as it is planned now where nothing was told.</param>
/// <param name="Batches">As planned and as told.</param>
/// <param name="Passes">As planned, as the concrete let them be made, and as made.</param>
/// <param name="Sheens">As planned and as seen.</param>
/// <param name="Stood">What was not as planned.</param>
/// <param name="Bags">Null where they were not counted.</param>
/// <param name="CostMoney">Of the whole job, as bought; null while that is not known.</param>
/// <param name="WaterAddedL">Beyond the plan.</param>
/// <param name="Temperatures">As read.</param>
/// <param name="Covers">Laid on and taken off.</param>
/// <param name="Hours">Weather, and what it took from the slab.</param>
/// <param name="Strength">By how it was really kept; null while that is not known.</param>
/// <param name="Faults">That were seen, with their causes.</param>
/// <param name="Readings">What it says of later plans.</param>
/// <param name="Keys">All values that plans of this job ask for.</param>
public sealed record LookBackReport(
    bool Told,
    bool Closed,
    PlanOfDay Planned,
    IReadOnlyList<BatchLook> Batches,
    IReadOnlyList<PassLook> Passes,
    IReadOnlyList<SheenLook> Sheens,
    IReadOnlyList<Standout> Stood,
    BagsLook? Bags,
    double? CostMoney,
    double WaterAddedL,
    IReadOnlyList<ReadTemperature> Temperatures,
    IReadOnlyList<CoverLook> Covers,
    IReadOnlyList<HourReport> Hours,
    StrengthLook? Strength,
    IReadOnlyList<SeenFault> Faults,
    IReadOnlyList<LearntReading> Readings,
    IReadOnlyList<LearntKey> Keys)
{
    /// <param name="look">Null while the day cannot be planned.</param>
    /// <param name="plan">Of the job as it stands: what it cost.</param>
    public static LookBackReport? Of(LookBack? look, JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (look is not { Pour: { Day: { } day } pour })
        {
            return null;
        }

        var lines = pour.Told.Lines;
        return new LookBackReport(
            day.Facts is not null,
            day.Facts?.Closed is not null,
            look.Planned,
            look.Batches,
            look.Passes,
            look.Sheens,
            look.Stood,
            look.Bags,
            plan.Buy?.CostMoney,
            lines.OfType<JobEvent.WaterAdded>().Sum(w => w.Litres),
            [.. lines.OfType<JobEvent.TemperatureTold>().Select(t => new ReadTemperature(t.At, t.Of, t.Celsius))],
            [.. lines.Where(l => l is JobEvent.CoverOn or JobEvent.CoverOff).Select(l => new CoverLook(l.At, l is JobEvent.CoverOn, l is JobEvent.CoverOn on ? on.Zone : ((JobEvent.CoverOff)l).Zone))],
            DayTelling.Hours(day),
            pour.Cure is { } cure ? new StrengthLook(cure.At28Mpa, cure.F28Mpa, cure.Dry.TotalHours, cure.LostMpa, lines.Count(l => l is JobEvent.Wetted), lines.Any(l => l is JobEvent.ProbeRead)) : null,
            [.. look.Faults.Select(f => new SeenFault(f.Seen, FaultsReport.One(f.Why)))],
            look.Readings,
            [.. LearntKeys.Of(plan.Said)]);
    }
}

/// <param name="At">When.</param>
/// <param name="Of">Whose.</param>
/// <param name="C">What it read, °C.</param>
public sealed record ReadTemperature(Instant At, ToldTemperature Of, double C);

/// <param name="At">When.</param>
/// <param name="On">Laid on; else taken off.</param>
/// <param name="Zone">From 1; null where all of it is meant.</param>
public sealed record CoverLook(Instant At, bool On, int? Zone);

/// <param name="At28Mpa">By how it was kept.</param>
/// <param name="F28Mpa">What a full moist cure reaches.</param>
/// <param name="DryH">That it lay dry.</param>
/// <param name="LostMpa">What that cost.</param>
/// <param name="Wettings">That were told.</param>
/// <param name="Probed">A probe in it says how warm it was.</param>
public sealed record StrengthLook(double At28Mpa, double F28Mpa, double DryH, double LostMpa, int Wettings, bool Probed);

/// <param name="Seen">As told, with its place and picture.</param>
/// <param name="Why">Its causes, mending and when.</param>
public sealed record SeenFault(JobEvent.FaultSeen Seen, FaultReport Why);
