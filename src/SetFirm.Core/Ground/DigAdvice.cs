using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Ground;

/// <summary>What is dug, and what goes back under the pour.</summary>
public static class DigAdvice
{
    /// <summary>Under a slab, patio, border or kerb.</summary>
    /// <param name="plan">Seen from above, all pieces.</param>
    /// <param name="poured">Depth of the pour.</param>
    /// <param name="hung">What hangs below it: thickened edges.</param>
    /// <param name="above">Of the finished top over the ground.</param>
    /// <param name="formed">Sides that boards hold, all pieces.</param>
    /// <param name="soil">Where it is dug.</param>
    /// <param name="frost">How winters are.</param>
    /// <param name="said">Base as said; null takes the advice.</param>
    /// <param name="remarks">Takes findings.</param>
    public static Dig Plan(Area plan, Length poured, Volume hung, Length above, Length formed, Soil soil, Frost frost, Length? said, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        var advised = BaseCourse.Advised(soil, frost, plan);
        var depth = said ?? advised;
        if (depth < advised)
        {
            remarks.Warn(
                Places.Build.Base, new Notice.BaseThinnerThanAdvised(BaseMm: depth.Millimetres, AdvisedMm: advised.Millimetres),
                new Remedy(new Mend.AdvisedBase(BaseMm: advised.Millimetres), [new Edit(Places.Build.Base, Text: "")]));
        }

        return Dig.Of(plan, poured, hung, depth, above, formed);
    }

    /// <summary>For a footing: its own volume, and nothing under it.</summary>
    public static Dig Footing(Area plan, Length poured, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.Caution(at, new Notice.FootingBelowFrost(DeepMm: poured.Millimetres));
        return Dig.Of(plan, poured, default, default);
    }

    /// <summary>All that is dug for a job.</summary>
    public static void Explain(Dig dig, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(dig);
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.Why(new Why.Excavation(DepthMm: dig.Depth.Millimetres, BaseMm: dig.BaseDepth.Millimetres, AboveMm: dig.Above.Millimetres, RoomMm: Dig.Room.Millimetres), dig.Bank.CubicMetres, Source.SitePractice);
        remarks.Why(new Why.Spoil(BankM3: dig.Bank.CubicMetres, Swell: Dig.Swell), dig.Spoil.CubicMetres, Source.SitePractice);
        remarks.Why(
            new Why.BaseStone(CompactedM3: dig.Base.CubicMetres, Loosening: Dig.BaseLoosening, LooseM3: dig.BaseLoose.CubicMetres, Lifts: dig.Lifts, LiftMm: BaseCourse.LiftMm),
            dig.BaseMass.Kilograms, Source.SitePractice);
    }
}
