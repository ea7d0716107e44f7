using SetFirm.Core.Quantities;
using static SetFirm.Core.Batching.LoadingOrder;

namespace SetFirm.Core.Batching;

/// <summary>A paddle on a drill, in a bucket that is tipped by hand.</summary>
/// <param name="Bucket">Volume of the whole bucket.</param>
public sealed record DrillMixer(Volume Bucket) : Mixer
{
    /// <summary>So much of the bucket is mixed without spilling: a bag of 27 kg in a pail of 19 L.</summary>
    public const double BucketShare = 0.75;

    public override Volume Capacity => Bucket * BucketShare;

    public override MixedBy By => MixedBy.Drill;

    // Colour goes into the water, any other additive last.
    public override IEnumerable<LoadingMove?> Order(MixerLoad load) =>
        [new(LoadingStep.MostOfTheWater, 15), Colour(load, 20), new(LoadingStep.PowderSlowly, 90), new(LoadingStep.MixOn, 120), Additive(load), new(LoadingStep.RestOfWaterByEye, 20)];
}
