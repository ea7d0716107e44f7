using NodaTime;
using SetFirm.Core.Batching;

namespace SetFirm.Core.Plans.Report;

/// <summary>The loads.</summary>
/// <param name="CapacityL">Wet concrete the mixer takes.</param>
/// <param name="Batches">In order.</param>
/// <param name="LoadingOrder">What goes in when.</param>
/// <param name="StartToStartMin">From one batch to the next.</param>
/// <param name="MixingMin">From the first water to the last batch placed.</param>
/// <param name="JointAgeMin">Oldest age at which a batch is met by the next.</param>
/// <param name="JointLimitMin">It must stay under this at the mix's temperature; null while the day is not known.</param>
/// <param name="HoldBackL">Kept under plastic for patches, included.</param>
public sealed record LoadReport(
    double CapacityL,
    IReadOnlyList<BatchReport> Batches,
    IReadOnlyList<LoadingStep> LoadingOrder,
    double StartToStartMin,
    double MixingMin,
    double JointAgeMin,
    double? JointLimitMin,
    double HoldBackL);

/// <summary>One batch.</summary>
/// <param name="Number">From 1.</param>
/// <param name="VolumeL">Placed.</param>
/// <param name="Bags">Where bagged.</param>
/// <param name="WaterL">To add.</param>
/// <param name="CementBuckets">Where by parts.</param>
/// <param name="SandBuckets">Where by parts.</param>
/// <param name="StoneBuckets">Where by parts.</param>
/// <param name="WaterAdded">Its clock starts; null while the day is not known.</param>
/// <param name="Placed">It lies in the form.</param>
public sealed record BatchReport(
    int Number,
    double VolumeL,
    double? Bags,
    double WaterL,
    double? CementBuckets,
    double? SandBuckets,
    double? StoneBuckets,
    Instant? WaterAdded,
    Instant? Placed);
