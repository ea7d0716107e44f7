using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>The loads.</summary>
/// <param name="CapacityL">Wet concrete the mixer takes.</param>
/// <param name="Batches">In order.</param>
/// <param name="Recipes">The different batches there are, the largest first.</param>
/// <param name="MeasureOut">Everything measured out beforehand, all batches together.</param>
/// <param name="LoadingOrder">What goes in when, and for how long.</param>
/// <param name="StartToStartMin">From one batch to the next.</param>
/// <param name="MixingMin">From the first water to the last batch placed.</param>
/// <param name="JointAgeMin">Oldest age at which a batch is met by the next.</param>
/// <param name="JointLimitMin">It must stay under this at the mix's temperature; null while the day is not known.</param>
/// <param name="HoldBackL">Kept under plastic for patches, included.</param>
/// <param name="HandsWanted">People for whom this is a day in comfort.</param>
/// <param name="Tasks">Who does what.</param>
/// <param name="Round">Where the minutes go from one batch to the next.</param>
/// <param name="Pace">The figures it is worked out with: the usual, or the crew's own.</param>
/// <param name="Truck">Where one brings it.</param>
/// <param name="Placing">How the air is got out of each element of the pour.</param>
public sealed record LoadReport(
    double CapacityL,
    IReadOnlyList<BatchReport> Batches,
    IReadOnlyList<BatchRecipe> Recipes,
    IReadOnlyList<Measure> MeasureOut,
    IReadOnlyList<LoadingMove> LoadingOrder,
    double StartToStartMin,
    double MixingMin,
    double JointAgeMin,
    double? JointLimitMin,
    double HoldBackL,
    int HandsWanted,
    IReadOnlyList<CrewTask> Tasks,
    RoundChart Round,
    PaceFigures Pace,
    TruckReport? Truck,
    IReadOnlyList<PlacingReport> Placing);

/// <param name="Loads">So often it comes.</param>
/// <param name="VolumeL">All that is placed.</param>
/// <param name="ArrivesAt">The first; null while the day is not known.</param>
/// <param name="AgeMin">Of what it brings, when it comes.</param>
/// <param name="OnSiteMin">Of the one that is there the longest, until it is empty.</param>
/// <param name="OffMin">From the water in it until the last of it lies.</param>
public sealed record TruckReport(int Loads, double VolumeL, Instant? ArrivesAt, double AgeMin, double OnSiteMin, double OffMin);

/// <param name="Element">Index of the element.</param>
/// <param name="How">By what.</param>
/// <param name="Lifts">Layers it is filled in.</param>
/// <param name="LiftMm">Of each.</param>
public sealed record PlacingReport(int Element, Consolidation How, int Lifts, double LiftMm);

/// <summary>One batch.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Recipe">Which of the recipes, from 0.</param>
/// <param name="VolumeL">Placed.</param>
/// <param name="WaterAdded">Its clock starts; null while the day is not known.</param>
/// <param name="Placed">It lies in the form.</param>
/// <param name="Fills">Where it lies.</param>
public sealed record BatchReport(int Number, int Recipe, double VolumeL, Instant? WaterAdded, Instant? Placed, IReadOnlyList<FillReport> Fills);

/// <summary>Where a batch lies.</summary>
/// <param name="Element">Index of the element.</param>
/// <param name="Pieces">Round each part of it, in the plan of the element; empty where the element is not drawn by batches.</param>
public sealed record FillReport(int Element, IReadOnlyList<IReadOnlyList<PlanPoint>> Pieces);
