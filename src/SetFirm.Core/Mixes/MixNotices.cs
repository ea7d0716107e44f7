using SetFirm.Core.Mixes;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record UnknownBag(string Given) : Notice;

    public sealed record MixWithoutCement : Notice;

    public sealed record WaterOverBagLimit(double WaterL, double MostL, double F28Mpa, double BestF28Mpa) : Notice;

    public sealed record WaterUnderBagLimit(double WaterL, double LeastL) : Notice;

    public sealed record WaterCementOutsideTable(double WaterCement, double EndMpa, bool Lean) : Notice;

    public sealed record ThicknessOutsideMix(double ThicknessMm, double LeastMm, double MostMm) : Notice;

    public sealed record StoneTooLarge(double StoneMm, double MostMm, double ThicknessMm) : Notice;

    public sealed record ExposureWaterCement(double WaterCement, double Most) : Notice;

    /// <summary>Where it never freezes nothing forbids it; drier is better outdoors.</summary>
    public sealed record WetForOutdoors(double WaterCement, double Good) : Notice;

    public sealed record ExposureStrength(double F28Mpa, double LeastMpa) : Notice;

    public sealed record ExposureAir(double AirPct, double WantedPct) : Notice;

    /// <summary>A rapid mix takes only its own maker's.</summary>
    public sealed record RapidTakesItsOwn(Additive Additive) : Notice;

    public sealed record TooMuchRetarder(double Doses, double Most) : Notice;

    public sealed record TooMuchPigment(double GivenPct, double UsualPct, double MostPct) : Notice;

    public sealed record AirNotForBags : Notice;

    public sealed record RetardedAndAccelerated : Notice;

    public sealed record PigmentByLabel : Notice;

    public sealed record PlasticisedSegregates(double StoneMm, double DeepMm, double MostMm) : Notice;

    /// <summary>What measuring in quarters does to the w/c.</summary>
    public sealed record CoarselyMeasured(double OffPct, double YieldPct) : Notice;
}

public abstract partial record Notice
{
    /// <summary>What the ticket says is in it; water at the site is nobody's to answer for.</summary>
    public sealed record NoWaterBeyondTheTicket : Notice;

    public sealed record ComesUntilBeforeFrom : Notice;
}

public abstract partial record Why
{
    public sealed record ReadyStrength(double WaterCement, bool Air) : Why;
}

public abstract partial record Mend
{
    public sealed record OtherBag(double F28Mpa, double CostMoney, string Bag) : Mend;

    public sealed record NoStone : Mend;

    public sealed record PlasticiseInstead(double WaterL, double F28Mpa) : Mend;

    public sealed record StirInAir : Mend;

    public sealed record OneDose(double Doses) : Mend;

    public sealed record UsualPigment(double PigmentPct) : Mend;

    public sealed record WithoutAdditive : Mend;

    public sealed record BagMiddleWater(double WaterL, double F28Mpa) : Mend;

    public sealed record LessWater(double WaterL, double F28Mpa) : Mend;
}

public abstract partial record Why
{
    public sealed record BagWater(double LeastL, double MostL) : Why;

    public sealed record BagStrength(double F28Mpa, double WaterCement, double MiddleWaterCement, double SoakedPct) : Why;

    public sealed record PartsWater(double StoneMm, double SlumpMm, double AirPct, double CarriedKg) : Why;

    public sealed record PartsCement(double CementParts, double SandParts, double StoneParts, double BallastParts, double YieldL) : Why;

    public sealed record PartsSand(double SandParts, double Bulking, double WaterPct) : Why;

    public sealed record PartsStone(double StoneParts, double WaterPct) : Why;

    public sealed record PartsBallast(double BallastParts, double SandPct, double Bulking, double WaterPct) : Why;

    public sealed record PartsStrength(double WaterCement) : Why;

    public sealed record WaterToCement(double WaterKg, double CementKg) : Why;

    public sealed record InitialSet(double WaterCement, double FinalSetH) : Why;

    public sealed record Rounding(double WaterCement, double YieldPct, double StepShare) : Why;
}
