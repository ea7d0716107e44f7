using SetFirm.Core.Batching;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record MixersWithoutHands(int Mixers, int Hands) : Notice;

    public sealed record MixerTooSmall(double UnitL, double CapacityL) : Notice;

    public sealed record BatchTooHeavy(double UnitKg, double MostKg, bool ByPlate) : Notice;

    public sealed record DrillRests(double MostPct) : Notice;

    public sealed record WantsMixer(double DryKg, double LimitKg) : Notice;

    /// <summary>It is shovelled out, or two lift it.</summary>
    public sealed record HeavyBatch(double BatchKg, double LimitKg) : Notice;

    /// <summary>A long pour: what sets its pace.</summary>
    public sealed record WhereTimeGoes(double MixingMin, double RoundMin, PaceBound Bound) : Notice;

    /// <summary>So few hands do not get it off before the supplier, or its set, asks for it.</summary>
    public sealed record TruckNotOffInTime(double OffMin, double LimitMin, double AgeMin, double VolumeM3) : Notice;

    /// <summary>Longer at the site than is in its price.</summary>
    public sealed record TruckWaits(double SiteMin, double PaidMin) : Notice;

    public sealed record WantsHelper(double VolumeM3, double LimitM3) : Notice;

    public sealed record MoreThanADay(double VolumeM3, double ComfortM3, double ExhaustionM3, int Hands) : Notice;
}

public abstract partial record Mend
{
    public sealed record AddHand(int Hands, double? AgeMin = null, double? LimitMin = null, double? MixingMin = null, double? ComfortM3 = null, double? LateMin = null) : Mend;

    public sealed record BiggerMixer(double SizeL, double? MixingMin = null) : Mend;

    public sealed record SecondMixer(int Mixers, double MixingMin) : Mend;

    public sealed record MixNearer(double RunM, double MixingMin) : Mend;
}

public abstract partial record Why
{
    public sealed record Capacity(double UnitL, double UnitLooseL, double LooseLimitL) : Why;

    public sealed record BatchCount(double OrderL, double HoldBackL, double CapacityL, double UnitL) : Why;

    public sealed record WholeBags(double OrderL, double HoldBackL, double WholeL) : Why;

    public sealed record BagsMass(double Bags, double BagKg) : Why;

    public sealed record HoldBack(double LeastL, double MostL) : Why;

    public sealed record Round(
        double ChargeMin, double MixMin, double EmptyMin, double BarrowMin, double SpreadMin, double StrikeMin, double LabourMin, int Hands, int Mixers) : Why;

    public sealed record MixingTime(int Batches, double RoundMin, double LastMin, double RestMin, double TonnesAHand, double SlowerPct, double AwayMin) : Why;

    public sealed record HandsWanted(double VolumeM3, double ComfortM3, double ExhaustionM3) : Why;
}
