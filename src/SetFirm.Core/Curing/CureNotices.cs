using SetFirm.Core.Curing;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record CureStoppedEarly(double WetDays, double AdviceDays, double SharePct) : Notice;

    public sealed record CannotBeKeptWet(double IntervalH, CuringMethod Method) : Notice;

    /// <summary>It dries out while everybody sleeps.</summary>
    public sealed record DriesOverNight(double DryH, CuringMethod Method) : Notice;

    /// <summary>A night brings it near frost while it is young.</summary>
    public sealed record FrostNight(double LeastC, double StrengthMpa, double SafeMpa) : Notice;

    /// <summary>Air of the wet days is so cold that it wants a cover.</summary>
    public sealed record ColdCure(double AirC, double LimitC) : Notice;

    /// <summary>It lay dry for so long.</summary>
    public sealed record WettingMissed(double DryH, double LostMpa) : Notice;

    /// <summary>No hour is free in its window.</summary>
    public sealed record CoatTooLate(int Coat, double LateH, string Product) : Notice;

    public sealed record FrozenYoung(double StrengthMpa, double SafeMpa) : Notice;

    /// <summary>So warm in its first days that it ends up weaker. Carino.</summary>
    public sealed record WeakerFromHeat(double MeanC, double LimitC, double MostLossPct) : Notice;

    public sealed record MilestoneOutOfSight(double NeededMpa, Milestone Milestone) : Notice;
}

public abstract partial record Mend
{
    public sealed record LongerCure(double AdviceDays) : Mend;

    public sealed record CoverUnderPlastic(double IntervalH) : Mend;

    public sealed record PondIt(double IntervalH) : Mend;

    public sealed record CoverAtNight(double LeastC, FrostGuard Guard) : Mend;
}

public abstract partial record Why
{
    public sealed record WetDays(double MeanAirC, double WarmC, double ColdSharePct) : Why;

    public sealed record Rewetting(double StoreKgM2, double EvaporationKgM2H) : Why;

    public sealed record MeanEvaporation(double Hours, double PeakKgM2H) : Why;

    public sealed record Strength(double F28Mpa, double AgeCoefficient, double FinalSetH, double WetEquivalentDays, double Share) : Why;

    public sealed record Milestone(double NeedsMpa, double SharePct, double LeastHours, double LeastEquivalentHours, double F28Mpa) : Why;

    public sealed record NextWetting(double StoreKgM2, double EvaporationKgM2H, double DriesH) : Why;

    public sealed record CoatWindow(double FromDays, double LeastH, double MostH, double DryH, int Coats) : Why;
}
