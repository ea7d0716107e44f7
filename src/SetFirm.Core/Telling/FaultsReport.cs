using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Mending;
using SetFirm.Core.Planning;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Telling;

/// <summary>What may be seen on hard concrete, and what this job's record says of why.</summary>
/// <param name="Faults">Every sign; empty while the shape is not known.</param>
public sealed record FaultsReport(IReadOnlyList<FaultReport> Faults)
{
    /// <param name="plan">Of the job, with its log.</param>
    /// <param name="weather">The hours that it was planned with.</param>
    /// <param name="log">All that was told of it.</param>
    public static FaultsReport Of(JobPlan plan, HourlyWeather weather, IReadOnlyList<JobEvent>? log = null) => new([.. FaultPlan.Of(plan, Told.Of(log ?? []), weather).Select(One)]);

    /// <summary>One sign.</summary>
    public static FaultReport One(FaultPlan fault)
    {
        ArgumentNullException.ThrowIfNull(fault);
        return new FaultReport(
            fault.Sign, [.. fault.Causes.Select(c => new CauseReport(c.Cause, c.Evidence.Weight switch { > 0 => Verdict.Likely, null => Verdict.NotTold, _ => Verdict.Against }, c.Evidence.Measure, c.Evidence.Outside))],
            fault.Mend, fault.From);
    }
}

/// <summary>What the record says of a cause.</summary>
public enum Verdict
{
    Likely,

    /// <summary>It does not tell.</summary>
    NotTold,

    /// <summary>It speaks against it.</summary>
    Against,
}

/// <param name="Sign">What is seen.</param>
/// <param name="Causes">The likeliest first.</param>
/// <param name="Mend">With what.</param>
/// <param name="From">Not before; null where it may be done at once, or is not known.</param>
public sealed record FaultReport(FaultSign Sign, IReadOnlyList<CauseReport> Causes, MendWith Mend, Instant? From);

/// <param name="Cause">Why.</param>
/// <param name="Verdict">What the record says of it.</param>
/// <param name="Measure">What was looked at.</param>
/// <param name="Outside">By how much it lies outside, in the measure's unit; null where the record does not tell.</param>
public sealed record CauseReport(FaultCause Cause, Verdict Verdict, FaultMeasure Measure, double? Outside);
