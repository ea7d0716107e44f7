using NodaTime;

namespace SetFirm.Core.Plans.Report;

/// <summary>Every hour of the coming days in which one might begin.</summary>
/// <param name="Hours">By day and hour.</param>
/// <param name="Best">The best few, the best first; none where none will do.</param>
public sealed record StartsReport(IReadOnlyList<StartHour> Hours, IReadOnlyList<StartHour> Best);

/// <summary>Why an hour will not do.</summary>
public enum StartFault
{
    /// <summary>Rain before it has set is too likely.</summary>
    Rain,

    /// <summary>It dries so fast that it has to be protected.</summary>
    Drying,

    /// <summary>The air, or the mix, is too cold.</summary>
    Cold,

    /// <summary>The mix is too hot.</summary>
    Hot,

    /// <summary>A pass falls into the dark.</summary>
    Dark,

    /// <summary>A batch is too old when the next one meets it.</summary>
    Joint,

    /// <summary>A pass is due while hands still mix.</summary>
    Hands,
}

/// <param name="Date">Local date.</param>
/// <param name="Hour">Local hour, 0-23.</param>
/// <param name="At">First water.</param>
/// <param name="Chance">That it stays dry until it has set, 0-1; 0 where anything else is in the way.</param>
/// <param name="DoneBy">The last pass closes.</param>
/// <param name="Care">It will do, but dries so fast that care is wanted.</param>
/// <param name="Faults">Why it will not do; none where it does.</param>
public sealed record StartHour(string Date, int Hour, Instant At, double Chance, Instant DoneBy, bool Care, IReadOnlyList<StartFault> Faults);
