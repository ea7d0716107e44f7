namespace SetFirm.Core.Batching;

/// <summary>One step of loading a mixer; the browser has its words.</summary>
public enum LoadingStep
{
    HalfTheWater,
    Stone,
    Sand,
    Cement,
    Bags,
    DryMaterial,
    MixDry,
    MostOfTheWater,
    FirstBagWet,
    SecondBagToPlan,
    PowderSlowly,
    ThreeMinutes,
    RestOfWaterByEye,
}

/// <summary>In which order things go in. Source: site practice.</summary>
public static class LoadingOrder
{
    public static IReadOnlyList<LoadingStep> For(Mixer mixer, bool bagged) => (mixer, bagged) switch
    {
        (Mixer.Drum, true) => [LoadingStep.HalfTheWater, LoadingStep.Bags, LoadingStep.RestOfWaterByEye],
        (Mixer.Drum, false) => [LoadingStep.HalfTheWater, LoadingStep.Stone, LoadingStep.Sand, LoadingStep.Cement, LoadingStep.RestOfWaterByEye],
        (Mixer.Forced, true) => [LoadingStep.MostOfTheWater, LoadingStep.Bags, LoadingStep.ThreeMinutes, LoadingStep.RestOfWaterByEye],
        (Mixer.Forced, false) =>
            [LoadingStep.MostOfTheWater, LoadingStep.Sand, LoadingStep.Stone, LoadingStep.Cement, LoadingStep.ThreeMinutes, LoadingStep.RestOfWaterByEye],
        (Mixer.DrillBucket, _) => [LoadingStep.MostOfTheWater, LoadingStep.PowderSlowly, LoadingStep.RestOfWaterByEye],
        (_, true) => [LoadingStep.MostOfTheWater, LoadingStep.FirstBagWet, LoadingStep.SecondBagToPlan, LoadingStep.RestOfWaterByEye],
        (_, false) => [LoadingStep.DryMaterial, LoadingStep.MixDry, LoadingStep.MostOfTheWater, LoadingStep.RestOfWaterByEye],
    };
}
