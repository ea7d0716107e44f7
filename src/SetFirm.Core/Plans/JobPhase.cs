using NodaTime;
using SetFirm.Core.Plans.Report;

namespace SetFirm.Core.Plans;

/// <summary>Where a job stands at a moment, by its plan.</summary>
public enum JobPhase
{
    /// <summary>Not yet worked out to the end.</summary>
    Unfinished,
    Planned,
    Pouring,
    KeepWet,
    Hardening,
    Done,
}

public static class JobPhases
{
    private static readonly Duration FullStrength = Duration.FromDays(28);

    public static JobPhase At(PlanReport report, Instant now)
    {
        ArgumentNullException.ThrowIfNull(report);
        return report is not { Day: { } day, Cure: { } cure } ? JobPhase.Unfinished
            : now < day.Start ? JobPhase.Planned
            : now < day.DoneBy ? JobPhase.Pouring
            : now < cure.WetUntil ? JobPhase.KeepWet
            : now < day.Start + FullStrength ? JobPhase.Hardening
            : JobPhase.Done;
    }
}
