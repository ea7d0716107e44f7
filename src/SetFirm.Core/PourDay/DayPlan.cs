using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;

namespace SetFirm.Core.PourDay;

/// <summary>When a pass opens and closes for a zone; the band holds four cases in five. Opens &lt;= Closes throughout.</summary>
/// <param name="Pass">Which.</param>
/// <param name="Opens">Best guess.</param>
/// <param name="Closes">Best guess.</param>
/// <param name="Begins">When the crew gets to it; null for what goes along with placing.</param>
/// <param name="Work">What it takes one person.</param>
/// <param name="Hand">Which pair of hands, from 0; null for what goes along with placing.</param>
/// <param name="Hands">How many share it.</param>
public sealed record PassPlan(Pass Pass, Instant Opens, Instant Closes, Instant? Begins, Duration Work, int? Hand, int Hands)
{
    /// <summary>One case in ten opens earlier.</summary>
    public Instant OpensEarliest => Band.Value.OpensEarliest;

    /// <summary>One in ten later.</summary>
    public Instant OpensLatest => Band.Value.OpensLatest;

    /// <summary>One in ten closes earlier.</summary>
    public Instant ClosesEarliest => Band.Value.ClosesEarliest;

    /// <summary>One in ten later.</summary>
    public Instant ClosesLatest => Band.Value.ClosesLatest;

    /// <summary>Made when it is looked at.</summary>
    public required Lazy<PassMoments> Band { get; init; }

    /// <summary>When it was told to be begun.</summary>
    public Instant? Begun { get; init; }

    /// <summary>When it was told to be done, or something after it was.</summary>
    public Instant? Done { get; init; }
}

/// <summary>A pass's band as moments.</summary>
public sealed record PassMoments(Instant OpensEarliest, Instant OpensLatest, Instant ClosesEarliest, Instant ClosesLatest);

/// <summary>A part finished as one.</summary>
/// <param name="Number">From 1, over the whole pour.</param>
/// <param name="Element">Index of the element in the job.</param>
/// <param name="FirstBatch">Number of its oldest batch.</param>
/// <param name="LastBatch">Number of its youngest.</param>
/// <param name="Placed">All of it lies in the form.</param>
/// <param name="SheenGone">The sheen of bled water is gone; null where none shows.</param>
/// <param name="PeakDeficitKgM2H">The most by which drying outruns bleeding before first set.</param>
/// <param name="Passes">Windows of this zone; those that it does not get to are left out.</param>
public sealed record ZonePlan(
    int Number, int Element, int FirstBatch, int LastBatch, Instant Placed, Instant? SheenGone, double PeakDeficitKgM2H, ImmutableArray<PassPlan> Passes);

/// <summary>Weather of an hour, and what it takes from this slab.</summary>
/// <param name="At">Start of the hour.</param>
/// <param name="Air">At the pour.</param>
/// <param name="Humidity">0-1.</param>
/// <param name="WindKmh">At 10 m.</param>
/// <param name="SunWm2">On level ground, at the pour.</param>
/// <param name="RainChance">0-1.</param>
/// <param name="RainMm">Expected.</param>
/// <param name="EvaporationKgM2H">From this slab.</param>
public readonly record struct DayHour(
    Instant At, Temperature Air, double Humidity, double WindKmh, double SunWm2, double RainChance, double RainMm, double EvaporationKgM2H);

/// <summary>A pour day worked out.</summary>
/// <param name="Pour">Whichever hour it begins in.</param>
/// <param name="Start">First water.</param>
/// <param name="Schedule">The batches.</param>
/// <param name="Mix">Temperature as mixed.</param>
/// <param name="Air">When mixing begins.</param>
/// <param name="InitialSet">Of the first batch, there and then.</param>
/// <param name="FinalSet">Of the last batch; null where it does not get so far in two days.</param>
/// <param name="DoneBy">The last pass is made; the day is over.</param>
/// <param name="CoverFrom">And its youngest part takes a cover: wet curing begins.</param>
/// <param name="RainChance">Of rain from the first water to final set, 0-1.</param>
/// <param name="Best">What comes of it if nothing is off.</param>
/// <param name="Doubt">And in many ways it may go.</param>
/// <param name="Foreseen">Its weather is known until it has set; else only what is usual stands in, and no chance is told.</param>
/// <param name="JointLimit">How old a batch may be when the next meets it.</param>
/// <param name="Light">The run of daylight that it begins in, or the next one.</param>
/// <param name="Zones">Parts finished as one.</param>
/// <param name="Tasks">Passes with hands of their own, as the crew gets to them.</param>
/// <param name="AirRange">The coldest and the warmest air at the pour, at full hours.</param>
/// <param name="ByHour">Weather and evaporation, made when it is looked at.</param>
/// <param name="Youngest">The last batch: the cure goes on from it.</param>
public sealed record DayPlan(
    DayPour Pour,
    Instant Start,
    PourSchedule Schedule,
    Temperature Mix,
    Temperature Air,
    Instant? InitialSet,
    Instant? FinalSet,
    Instant DoneBy,
    Instant CoverFrom,
    double RainChance,
    DayOutcome Best,
    DayDoubt Doubt,
    bool Foreseen,
    Duration JointLimit,
    Interval Light,
    ImmutableArray<ZonePlan> Zones,
    ImmutableArray<PassTask> Tasks,
    (Temperature Least, Temperature Most) AirRange,
    Lazy<ImmutableArray<DayHour>> ByHour,
    ZonePour Youngest)
{
    /// <summary>It has set, or as far as the day is followed.</summary>
    public Instant SetBy => FinalSet ?? Start + DaySimulation.Sight;

    /// <summary>What the signs told of it say; null while nothing of the day is told.</summary>
    public Retiming? Retimed { get; init; }

    /// <summary>How old a batch may be when the next meets it, by what the signs told.</summary>
    public Duration KnitsWithin => JointLimit * (Retimed is { } timed ? Math.Exp(timed.Set.Common.Mean) : 1);

    /// <summary>Ways that the weather and the mix may go that its bands are made of.</summary>
    public int Members => Doubt.Members;

    /// <summary>What the last of them changed; null where there is none.</summary>
    public SignEffect? LastChange { get; init; }

    /// <summary>What its batches and zones were when the day began, or are now where it has not.</summary>
    public required PlanOfDay Planned { get; init; }

    /// <summary>What is coming at a day under way, with what can be done now, the gravest first.</summary>
    public ImmutableArray<Finding> Ahead { get; init; } = [];

    /// <summary>What was told of it; null while nothing is.</summary>
    public DayFacts? Facts { get; init; }

    /// <summary>Weather and evaporation.</summary>
    public ImmutableArray<DayHour> Hours => ByHour.Value;

    /// <summary>What comes of it in many ways it may go.</summary>
    public StartOdds Odds => Doubt.Odds;

    public double PeakEvaporationKgM2H => Best.PeakEvaporationKgM2H;

    public double PeakDeficitKgM2H => Zones.Max(z => z.PeakDeficitKgM2H);

    public Crew Crew => Pour.Crew;
}
