using SetFirm.Core.Events;
using SetFirm.Core.Finishing;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record AntifreezeIsNoCover(double AirC, double BelowC) : Notice;

    public sealed record ColdJoint(double AgeMin, double LimitMin) : Notice;

    /// <summary>The mean day of what was given stands in after that.</summary>
    public sealed record WeatherEndsEarly(int HoursGiven) : Notice;

    public sealed record RainBeforeSet(double ChancePct, double LimitPct) : Notice;

    public sealed record DryingFast(double PeakKgM2H, double LimitKgM2H) : Notice;

    /// <summary>Drying outruns bleeding before first set.</summary>
    public sealed record DriesBeforeItBleeds(double PeakKgM2H, double LimitKgM2H) : Notice;

    public sealed record ColdWeather(double AirC, double LimitC) : Notice;

    public sealed record MixTooCold(double MixC, double LimitC) : Notice;

    public sealed record MixTooHot(double MixC, double LimitC) : Notice;

    /// <summary>As planned the mix has not the temperature that is wanted.</summary>
    public sealed record MixOutOfReach(double WantedC, double MixC, double WaterC, double LeastC, double MostC) : Notice;

    public sealed record WaterScalds(double WaterC, double LimitC) : Notice;

    /// <summary>Everybody is called away to a pass: the mixer stands after this batch. The joint nearest to it is where to leave off: behind this panel, full with that batch.</summary>
    public sealed record MixingStops(Pass Pass, int Zone, int Batch, double PauseMin, int Times, int? Panel, int? PanelBatch) : Notice;

    /// <summary>Hands are with another zone while this one closes.</summary>
    public sealed record ZonesCollide(Pass Pass, int Zone, double LateMin, int Hands) : Notice;

    /// <summary>The supplier does not come then.</summary>
    public sealed record TruckDoesNotCome(double HoursFrom, double HoursUntil, bool Saturdays) : Notice;

    /// <summary>Nobody begins at this hour.</summary>
    public sealed record OutsideWorkingHours(double HoursFrom, double HoursUntil) : Notice;

    /// <summary>The concrete asks for a pass when nobody begins any more.</summary>
    public sealed record PassAfterHours(Pass Pass, double BeginsH, double HoursFrom, double HoursUntil) : Notice;

    public sealed record AfterDark(Pass Pass) : Notice;

    public sealed record RapidSetsAsPlaced : Notice;
}

public abstract partial record Mend
{
    public sealed record WhenTruckComes(NodaTime.LocalDate Date, double StartH) : Mend;

    public sealed record AddMixer(int Mixers, double AgeMin, double LimitMin) : Mend;

    public sealed record Retard(double Doses, double AgeMin, double LimitMin) : Mend;

    public sealed record CoolerHour(double MixC, double AgeMin, double LimitMin) : Mend;

    public sealed record LaterDay(int DaysLater, double ChancePct) : Mend;

    public sealed record EarlierStart(double StartH, double DoneH) : Mend;

    public sealed record RainCoverReady : Mend;

    public sealed record ShadeIt(double PeakKgM2H) : Mend;

    public sealed record BreakWind(double PeakKgM2H) : Mend;

    public sealed record MistIt(double PeakKgM2H) : Mend;

    public sealed record WarmWater(double WaterC, double MixC) : Mend;

    /// <summary>A joint where this batch ends: the next one need not knit with it.</summary>
    public sealed record JointHere(int Batch) : Mend;

    /// <summary>The cover that stands ready goes on.</summary>
    public sealed record CoverNow : Mend;

    public sealed record CoolWater(double WaterC, double MixC) : Mend;
}

public abstract partial record Why
{
    /// <summary>What the signs say of a zone's set: what is believed before any, what was read, what is believed now.</summary>
    public sealed record ZoneSet(int Zone, int Signs, double SharedDoubtPct, double OwnDoubtPct, double PourPct, double DoubtPct) : Why;

    /// <summary>One sign: by the plan's clock, by the slab, and what that makes of the zone.</summary>
    public sealed record SignRead(int Zone, double PlannedAt, double SaysLeast, double SaysMost, double DoubtPct) : Why;

    /// <summary>The sheens that were seen gone, and how long they stay against what was reckoned.</summary>
    public sealed record SheenRead(int Seen, double DoubtPct, double LongerPct) : Why;

    public sealed record JointAge(double LimitMin, double InitialSetH, double MixC, double Progress) : Why;

    public sealed record PassWindow(double OpensAt, double ClosesAt, double InitialSetH, double ConcreteC, double DoubtPct, int Members) : Why;

    public sealed record Sheen(double BleedsKgM2, double WaterKg, double DepthMm, double WaterCement, double SheenKgM2, double DeficitKgM2H) : Why;

    public sealed record FirstSetOnSite(double SetH, double MixC) : Why;

    public sealed record FinalSetOnSite(double SetH, double MixC) : Why;

    public sealed record DoneBy(int Zones, double MixingMin) : Why;

    public sealed record Evaporation(double CareKgM2H, double ActKgM2H, double MixC) : Why;

    public sealed record RainChance(double Hours, double NoGoPct, double WarnPct) : Why;

    public sealed record StartChance(int Members, double SetDoubtPct) : Why;

    public sealed record MixTemperature(double SolidsKg, double SolidsC, double WaterKg, double WaterC) : Why;

    public sealed record WarmWater(double WantedC, double SolidsKg, double SolidsC, double WaterKg) : Why;
}
