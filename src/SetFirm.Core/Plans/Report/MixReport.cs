using SetFirm.Core.Batching;
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
/// <param name="Demand">What it has to be.</param>
/// <param name="Ways">How to get it, the proposed one first.</param>
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
    IReadOnlyList<WaterStrength> Ladder,
    MixDemand Demand,
    IReadOnlyList<WayReport> Ways);

/// <summary>One rung: what strength a water gives.</summary>
/// <param name="WaterL">To a bag, or to a container of cement.</param>
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
/// <param name="CementAddedKg">To all bags.</param>
public sealed record BaggedReport(
    string Bag, int Count, double BagKg, double TotalKg, double YieldL, double WaterL, double LeastWaterL, double MostWaterL, double CementAddedKg);

/// <param name="Cement">For the whole job.</param>
/// <param name="Sand">As it lies: damp sand takes more room.</param>
/// <param name="Stone">As it lies.</param>
/// <param name="Ballast">As it lies.</param>
/// <param name="WaterL">To add, what sand and stone carry taken off.</param>
/// <param name="WaterPerContainerL">To add to one container of cement with its sand and stone.</param>
/// <param name="CementBags25">25 kg bags to have.</param>
/// <param name="YieldPerContainerL">Placed from one container of cement.</param>
/// <param name="SlumpMm">Aimed at.</param>
/// <param name="AirPct">Of the volume.</param>
public sealed record PartsReport(
    IngredientReport Cement,
    IngredientReport Sand,
    IngredientReport Stone,
    IngredientReport Ballast,
    double WaterL,
    double WaterPerContainerL,
    int CementBags25,
    double YieldPerContainerL,
    double SlumpMm,
    double AirPct);

/// <param name="Kg">Dry mass.</param>
/// <param name="LooseL">As measured out.</param>
/// <param name="In">What it is measured with.</param>
/// <param name="Containers">How many of them.</param>
public sealed record IngredientReport(double Kg, double LooseL, ContainerKind In, double Containers);

/// <summary>How the concrete is got.</summary>
public enum WayKind
{
    Bagged,
    Parts,
    Truck,
}

/// <summary>Why a way does not do.</summary>
public enum WayMisfit
{
    TooWeak,
    TooMuchWater,
    NoAir,
    SectionTooThin,
    SectionTooThick,
    StoneTooLarge,
    NotInThisMixer,
}

/// <summary>One way to get the concrete.</summary>
/// <param name="Kind">How.</param>
/// <param name="Bag">Id of the bag; null where it is none.</param>
/// <param name="WaterPerBag">Text for the job: empty takes the middle of the bag's range.</param>
/// <param name="CementAddedPct">Cement added to a bag, of its mass.</param>
/// <param name="School">Which parts; null where they are none.</param>
/// <param name="Parts">By loose volume.</param>
/// <param name="StoneMm">Largest stone.</param>
/// <param name="Consistency">It is meant for.</param>
/// <param name="AirEntrained">Air is stirred in.</param>
/// <param name="F28Mpa">To expect.</param>
/// <param name="WaterCement">By mass; null where not told.</param>
/// <param name="Cost">What is in it, as bought; money.</param>
/// <param name="PerLitre">Money for a litre placed.</param>
/// <param name="Hours">Of work, all hands together; null where it cannot be batched here.</param>
/// <param name="Kg">To carry.</param>
/// <param name="Misfits">Why it does not do; none where it does.</param>
/// <param name="Proposed">The cheapest that does, work counted.</param>
/// <param name="Taken">It is the job's own.</param>
public sealed record WayReport(
    WayKind Kind,
    string? Bag,
    string? WaterPerBag,
    double CementAddedPct,
    PartsSchool? School,
    Parts? Parts,
    double StoneMm,
    Consistency? Consistency,
    bool AirEntrained,
    double F28Mpa,
    double? WaterCement,
    double Cost,
    double PerLitre,
    double? Hours,
    double Kg,
    IReadOnlyList<WayMisfit> Misfits,
    bool Proposed,
    bool Taken);
