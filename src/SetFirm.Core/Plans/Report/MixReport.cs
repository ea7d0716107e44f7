using SetFirm.Core.Mixes;

namespace SetFirm.Core.Plans.Report;

/// <summary>The mix and what it takes for the whole job.</summary>
/// <param name="Family">How it sets.</param>
/// <param name="F28Mpa">Strength to expect at 28 days, kept wet.</param>
/// <param name="WaterCement">By mass; null where the bag does not tell.</param>
/// <param name="CementKgPerM3">In a cubic metre; null where the bag does not tell.</param>
/// <param name="WaterKgPerM3">All mixing water.</param>
/// <param name="InitialSetH">At 20 °C.</param>
/// <param name="FinalSetH">At 20 °C.</param>
/// <param name="Bagged">Where it comes in bags.</param>
/// <param name="Parts">Where it is mixed by parts.</param>
/// <param name="Ladder">Strength at other waters, for the drawing: w/c against MPa over what the mix can take.</param>
public sealed record MixReport(
    MixFamily Family,
    double F28Mpa,
    double? WaterCement,
    double? CementKgPerM3,
    double WaterKgPerM3,
    double InitialSetH,
    double FinalSetH,
    BaggedReport? Bagged,
    PartsReport? Parts,
    IReadOnlyList<WaterStrength> Ladder);

/// <summary>One rung: what strength a water gives.</summary>
/// <param name="WaterL">To a bag, or to a bucket of cement.</param>
/// <param name="Mpa">At 28 days.</param>
public sealed record WaterStrength(double WaterL, double Mpa);

/// <param name="Bag">Id in the catalogue.</param>
/// <param name="Count">Whole bags to have, hold-back included.</param>
/// <param name="BagKg">One bag.</param>
/// <param name="TotalKg">All bags.</param>
/// <param name="YieldL">Of one bag.</param>
/// <param name="WaterL">Planned, to a bag.</param>
/// <param name="LeastWaterL">The bag's least.</param>
/// <param name="MostWaterL">The bag's most.</param>
public sealed record BaggedReport(
    string Bag, int Count, double BagKg, double TotalKg, double YieldL, double WaterL, double LeastWaterL, double MostWaterL);

/// <param name="Cement">For the whole job.</param>
/// <param name="Sand">As it lies: damp sand takes more room.</param>
/// <param name="Stone">As it lies.</param>
/// <param name="WaterL">To add, what sand and stone carry taken off.</param>
/// <param name="WaterPerBucketL">To add to one bucket of cement with its sand and stone.</param>
/// <param name="CementBags25">25 kg bags to have.</param>
/// <param name="YieldPerBucketL">Placed from one bucket of cement.</param>
/// <param name="SlumpMm">Aimed at.</param>
public sealed record PartsReport(
    IngredientReport Cement,
    IngredientReport Sand,
    IngredientReport Stone,
    double WaterL,
    double WaterPerBucketL,
    int CementBags25,
    double YieldPerBucketL,
    double SlumpMm);

/// <param name="Kg">Dry mass.</param>
/// <param name="LooseL">As measured out.</param>
/// <param name="Buckets">Of the user's own.</param>
public sealed record IngredientReport(double Kg, double LooseL, double Buckets);
