using NodaTime;
using SetFirm.Core.Planning;

namespace SetFirm.Core.Telling;

/// <summary>Where a job stands at a moment, by its plan.</summary>
public enum JobPhase
{
    /// <summary>Not yet worked out to the end.</summary>
    Unfinished,
    Planned,
    Pouring,

    /// <summary>Its day is gone, and nobody told whether it was poured.</summary>
    WentBy,
    KeepWet,
    Hardening,
    Done,
}

/// <summary>Where a pour stands, and a job of several.</summary>
public static class JobPhases
{
    private static readonly Duration FullStrength = Duration.FromDays(28);

    /// <summary>What wants somebody most stands first.</summary>
    private static readonly JobPhase[] Pressing = [JobPhase.Unfinished, JobPhase.Pouring, JobPhase.WentBy, JobPhase.KeepWet, JobPhase.Planned, JobPhase.Hardening, JobPhase.Done];

    public static JobPhase At(PourPlan? pour, Instant now) => pour is not { Day: { } day, Cure: { } cure } ? JobPhase.Unfinished
        : now < day.Start ? JobPhase.Planned
        : now < day.DoneBy ? JobPhase.Pouring
        : pour.WentBy(now) ? JobPhase.WentBy
        : now < cure.WetUntil ? JobPhase.KeepWet
        : now < day.Start + FullStrength ? JobPhase.Hardening
        : JobPhase.Done;

    /// <summary>Of a job: what presses most among its pours.</summary>
    public static JobPhase At(IReadOnlyCollection<PourPlan> pours, Instant now)
    {
        ArgumentNullException.ThrowIfNull(pours);
        var phases = pours.Select(p => At(p, now)).ToHashSet();
        return phases.Count == 0 ? JobPhase.Unfinished : Pressing.First(phases.Contains);
    }
}
