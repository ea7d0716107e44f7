using NodaTime;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Finishing;

/// <summary>A topping on its base: fresh on fresh within its time, or later, bonded.</summary>
/// <remarks>Source: site practice; ACI 302.1R, two-course slabs.</remarks>
public static class ToppingAdvice
{
    /// <summary>A base is walked on, roughened and damped from here.</summary>
    private static readonly Duration Hard = Duration.FromHours(24);

    /// <param name="age">Of the base when the topping begins.</param>
    /// <param name="fresh">So old it still takes fresh concrete.</param>
    /// <param name="at">Where the day is said.</param>
    /// <param name="remarks">Takes the finding.</param>
    public static void Check(Duration age, Duration fresh, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (age >= Hard)
        {
            remarks.Note(at, new Notice.ToppingBonded(AgeDays: age.TotalDays));
        }
        else if (age > fresh)
        {
            remarks.Warn(at, new Notice.ToppingBetween(AgeH: age.TotalHours, FreshH: fresh.TotalHours, HardH: Hard.TotalHours));
        }
    }
}
