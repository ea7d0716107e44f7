using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.PourDay;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>The day of the pour.</summary>
/// <param name="Start">First water.</param>
/// <param name="MixingEnds">Last batch placed.</param>
/// <param name="DoneBy">The last pass closes; the day is over.</param>
/// <param name="MixC">Temperature as mixed.</param>
/// <param name="InitialSet">Of the first batch, there and then.</param>
/// <param name="FinalSet">Of the last batch.</param>
/// <param name="RainChance">Of rain from the first water to final set, 0-1.</param>
/// <param name="PeakEvaporation">Most in those hours, kg/m2/h.</param>
/// <param name="CareEvaporation">From here take care, kg/m2/h.</param>
/// <param name="ActEvaporation">From here take precautions, kg/m2/h.</param>
/// <param name="Chance">That all goes well, 0-1: weather, set and crew; null where it is too far ahead to say.</param>
/// <param name="Faults">What goes wrong when it does, the most frequent first.</param>
/// <param name="Light">Of the day.</param>
/// <param name="Hands">People.</param>
/// <param name="Zones">Parts finished as one.</param>
/// <param name="Passes">All zones together, in working order.</param>
/// <param name="Hours">Weather and evaporation, hour by hour.</param>
public sealed record DayReport(
    Instant Start,
    Instant MixingEnds,
    Instant DoneBy,
    double MixC,
    Instant? InitialSet,
    Instant? FinalSet,
    double RainChance,
    double PeakEvaporation,
    double CareEvaporation,
    double ActEvaporation,
    double? Chance,
    IReadOnlyList<FaultShare> Faults,
    LightReport Light,
    int Hands,
    IReadOnlyList<ZoneReport> Zones,
    IReadOnlyList<PassReport> Passes,
    IReadOnlyList<HourReport> Hours);

/// <param name="Number">From 1, over the whole job.</param>
/// <param name="Element">Index into the document.</param>
/// <param name="FirstBatch">Number of its oldest batch.</param>
/// <param name="LastBatch">Number of its youngest.</param>
/// <param name="Placed">All of it lies in the form.</param>
/// <param name="SheenGone">The sheen of bled water is gone; null where none shows.</param>
/// <param name="PeakDeficit">The most by which drying outruns bleeding before first set, kg/m2/h.</param>
/// <param name="Passes">Windows of this zone.</param>
public sealed record ZoneReport(
    int Number, int Element, int FirstBatch, int LastBatch, Instant Placed, Instant? SheenGone, double PeakDeficit, IReadOnlyList<PassReport> Passes)
{
    /// <summary>What it is ready for through the day, one stage after another.</summary>
    public required IReadOnlyList<ZoneStage> Stages { get; init; }

    /// <summary>Where it lies on the plan of its element: rings of points; none where it is not drawn.</summary>
    public required IReadOnlyList<IReadOnlyList<PlanPoint>> Face { get; init; }
}

/// <summary>When a pass opens and closes; the band holds four cases in five.</summary>
/// <param name="Pass">Which.</param>
/// <param name="Opens">Best guess.</param>
/// <param name="Closes">Best guess.</param>
/// <param name="OpensEarliest">One case in ten opens earlier.</param>
/// <param name="OpensLatest">One in ten later.</param>
/// <param name="ClosesEarliest">One in ten closes earlier.</param>
/// <param name="ClosesLatest">One in ten later.</param>
/// <param name="Begins">When the crew gets to it; null for what goes along with placing.</param>
/// <param name="WorkMin">What it takes one person.</param>
/// <param name="Hand">Which pair of hands, from 0; null for what goes along with placing, and for all zones together.</param>
/// <param name="Hands">How many share it; 0 for what goes along with placing, and for all zones together.</param>
public sealed record PassReport(
    Pass Pass, Instant Opens, Instant Closes, Instant OpensEarliest, Instant OpensLatest, Instant ClosesEarliest, Instant ClosesLatest, Instant? Begins, double WorkMin, int? Hand,
    int Hands)
{
    /// <summary>When it was told to be begun; null where it was not.</summary>
    public Instant? Begun { get; init; }

    /// <summary>When it was told to be done; null where it was not.</summary>
    public Instant? Done { get; init; }
}

/// <param name="Fault">What goes wrong.</param>
/// <param name="Share">How often, 0-1.</param>
public sealed record FaultShare(DayFault Fault, double Share);

/// <param name="Dawn">It is light from here.</param>
/// <param name="Dusk">To here.</param>
public sealed record LightReport(Instant Dawn, Instant Dusk);

/// <param name="At">Start of the hour.</param>
/// <param name="AirC">Air.</param>
/// <param name="Humidity">0-1.</param>
/// <param name="WindKmh">At 10 m.</param>
/// <param name="SunWm2">On level ground.</param>
/// <param name="RainChance">0-1.</param>
/// <param name="RainMm">Expected.</param>
/// <param name="EvaporationKgM2H">From this slab.</param>
public sealed record HourReport(
    Instant At, double AirC, double Humidity, double WindKmh, double SunWm2, double RainChance, double RainMm, double EvaporationKgM2H);
