using System.Text.Json;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;

namespace SetFirm.Core.Finishing;

/// <summary>What a finish and a mix have to do with each other.</summary>
public static class FinishAdvice
{
    /// <summary>Concrete with air is never steel-trowelled. ACI 302.1R.</summary>
    /// <param name="finish">Of the element.</param>
    /// <param name="doses">Of its mix.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes the finding.</param>
    /// <returns>True where it was said.</returns>
    public static bool CheckAir(Finish finish, IReadOnlyList<Dose> doses, ElementPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (!Finishes.IsTrowelled(finish) || doses.All(d => d.Kind != Additive.AirEntrainer))
        {
            return false;
        }

        remarks.Warn(
            at.Finish, new Notice.AirNeverTrowelled(),
            new Remedy(new Mend.BroomInstead(), [new Edit(at.Finish, Text: JsonNamingPolicy.CamelCase.ConvertName(nameof(Finish.Broom)))]));
        return true;
    }
}
