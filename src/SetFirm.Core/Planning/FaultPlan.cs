using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Mending;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>A fault that one may see, with what this job's own record says of its causes.</summary>
/// <param name="Sign">What is seen.</param>
/// <param name="Causes">The likeliest first.</param>
/// <param name="Mend">With what.</param>
/// <param name="From">Not before; null where it may be done at once, or is not known.</param>
public sealed record FaultPlan(FaultSign Sign, ImmutableArray<(FaultCause Cause, Evidence Evidence)> Causes, MendWith Mend, Instant? From)
{
    /// <summary>Every sign, looked at by the record of the pour that is looked at.</summary>
    /// <param name="plan">Of the job, with its log.</param>
    /// <param name="told">All that was told of it.</param>
    /// <param name="weather">The hours that it was planned with.</param>
    public static ImmutableArray<FaultPlan> Of(JobPlan plan, Told told, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(weather);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(told);
        if (plan is not { Elements: { } elements, Pour: { } pour } || elements.Any(e => e.Build is null))
        {
            return [];
        }

        var record = new FaultRecord(plan, pour, told, weather);
        return [.. Enum.GetValues<FaultSign>().Select(sign => new FaultPlan(sign, FaultCatalogue.Ranked(sign, record.Of), FaultCatalogue.MendOf(sign), Opens(FaultCatalogue.MendOf(sign), pour)))];
    }

    private static Instant? Opens(MendWith mend, PourPlan pour)
    {
        Instant? At(Milestone milestone) => pour.Cure?.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At;
        return mend switch
        {
            // What was stripped to be rubbed is mended while it is young.
            MendWith.FillYoung or MendWith.Rub => (pour.StrippedEarly ? pour.Day?.DoneBy : null) ?? At(Milestone.StripEdges) ?? At(Milestone.TurnPiece),
            MendWith.Harden or MendWith.FillCrack or MendWith.Recoat or MendWith.DampOrGrind => At(Milestone.Full),
            // Into the stone: never before it is as hard as for grinding.
            MendWith.GrindOrTop or MendWith.PatchHard => At(Milestone.Grind) ?? At(Milestone.Cars) ?? At(Milestone.Sand) ?? At(Milestone.Furniture),
            MendWith.CastAgain or MendWith.Wait or MendWith.BraceNow => null,
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }
}
