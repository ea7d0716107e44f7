namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record MixersWithoutHands(int Mixers, int Hands) : Notice;

    public sealed record MixerTooSmall(double UnitL, double CapacityL) : Notice;

    public sealed record BatchTooHeavy(double UnitKg, double MostKg, int Hands, bool ByPlate) : Notice;

    public sealed record DrillRests(double CycleMin) : Notice;

    public sealed record WantsMixer(double Count, double Limit) : Notice;

    public sealed record WantsHelper(double VolumeM3, double LimitM3) : Notice;

    public sealed record MoreThanADay(double VolumeM3, double ComfortM3, double ExhaustionM3, int Hands) : Notice;
}

public abstract partial record Mend
{
    public sealed record AddHand(int Hands, double? AgeMin = null, double? LimitMin = null, double? MixingMin = null, double? ComfortM3 = null, double? LateMin = null) : Mend;

    public sealed record BiggerMixer(double SizeL) : Mend;
}

public abstract partial record Why
{
    public sealed record Capacity(double UnitL, double UnitLooseL, double LooseLimitL) : Why;

    public sealed record BatchCount(double OrderL, double HoldBackL, double CapacityL, double UnitL) : Why;

    public sealed record WholeBags(double OrderL, double HoldBackL, double WholeL) : Why;

    public sealed record BagsMass(double Bags, double BagKg) : Why;

    public sealed record HoldBack(double LeastL, double MostL) : Why;

    public sealed record Cycle(double CycleMin, double BarrowM, int Hands, int Mixers, double CrewFactor) : Why;

    public sealed record HandsWanted(double VolumeM3, double ComfortM3, double ExhaustionM3) : Why;
}
