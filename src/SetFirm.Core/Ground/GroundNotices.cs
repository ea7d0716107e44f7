namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record FallTooFlat(double GradePct, double LeastPct) : Notice;

    public sealed record FallFlatAtHouse(double GradePct, double LeastPct, double WithinM) : Notice;

    public sealed record FallToWall(int Edge) : Notice;

    public sealed record BaseThinnerThanAdvised(double BaseMm, double AdvisedMm) : Notice;

    public sealed record FootingBelowFrost(double DeepMm) : Notice;
}

public abstract partial record Mend
{
    public sealed record SteeperFall(double GradePct) : Mend;

    public sealed record FallOffWall(int Edge) : Mend;

    public sealed record AdvisedBase(double BaseMm) : Mend;
}

public abstract partial record Why
{
    public sealed record Fall(double GradePct, double LeastPct, double AtHousePct) : Why;

    public sealed record Excavation(double DepthMm, double BaseMm, double AboveMm, double RoomMm) : Why;

    public sealed record Spoil(double BankM3, double Swell) : Why;

    public sealed record BaseStone(double CompactedM3, double Loosening, double LooseM3, int Lifts, double LiftMm) : Why;
}
