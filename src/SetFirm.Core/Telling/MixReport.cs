using SetFirm.Core.Batching;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Telling;

/// <summary>The mix and what it takes for the whole job.</summary>
/// <param name="Id">What elements name it by.</param>
/// <param name="Index">Its place in the document; null for the slurry that nobody said a mix for.</param>
/// <param name="Family">How it sets.</param>
/// <param name="F28Mpa">Strength to expect at 28 days, kept wet.</param>
/// <param name="WaterCement">By mass; null where the bag does not tell.</param>
/// <param name="CementKgPerM3">In a cubic metre; null where the bag does not tell.</param>
/// <param name="WaterKgPerM3">All mixing water.</param>
/// <param name="InitialSetH">At 20 °C.</param>
/// <param name="FinalSetH">At 20 °C.</param>
/// <param name="Bagged">Where it comes in bags.</param>
/// <param name="Parts">Where it is mixed by parts.</param>
/// <param name="Ready">Where a truck brings it.</param>
/// <param name="Ladder">Strength at other waters, for the drawing: w/c against MPa over what the mix can take.</param>
/// <param name="Demand">What it has to be; told of the job's first.</param>
/// <param name="Ways">How to get it, the proposed one first.</param>
public sealed record MixReport(
    string Id,
    int? Index,
    MixFamily Family,
    double F28Mpa,
    double? WaterCement,
    double? CementKgPerM3,
    double WaterKgPerM3,
    double InitialSetH,
    double FinalSetH,
    BaggedReport? Bagged,
    PartsReport? Parts,
    ReadyReport? Ready,
    IReadOnlyList<WaterStrength> Ladder,
    MixDemand? Demand,
    IReadOnlyList<WayReport> Ways);

/// <param name="OrderL">By the tenth of a cubic metre, hold-back included.</param>
/// <param name="Loads">So often it comes.</param>
/// <param name="ClassMpa">That is asked for.</param>
/// <param name="StoneMm">Largest.</param>
/// <param name="SlumpMm">Aimed at.</param>
/// <param name="AirPct">Of the volume.</param>
/// <param name="Chute">It runs off the chute where it is wanted.</param>
public sealed record ReadyReport(double OrderL, int Loads, double ClassMpa, double StoneMm, double SlumpMm, double AirPct, bool Chute);

/// <param name="Bag">Id in the catalogue.</param>
/// <param name="Count">Whole bags to have, hold-back included.</param>
/// <param name="BagKg">One bag.</param>
/// <param name="TotalKg">All bags.</param>
/// <param name="YieldL">Of one bag.</param>
/// <param name="WaterL">Planned, to a bag.</param>
/// <param name="LeastWaterL">The bag's least.</param>
/// <param name="MostWaterL">The bag's most.</param>
/// <param name="CementAddedKg">To all bags.</param>
/// <param name="TotalWaterL">To all that is mixed.</param>
public sealed record BaggedReport(
    string Bag, int Count, double BagKg, double TotalKg, double YieldL, double WaterL, double LeastWaterL, double MostWaterL, double CementAddedKg, double TotalWaterL);

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

/// <summary>A way to get the concrete, and the mix that takes it.</summary>
/// <param name="Way">What it is.</param>
/// <param name="Takes">The job's mix as this way would have it; null where it cannot be taken.</param>
public sealed record WayReport(Way Way, MixDocument? Takes);
