using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>A zone whichever hour the pour begins in. Hours from the first water.</summary>
/// <param name="Rules">Its passes.</param>
/// <param name="Depth">Of its section.</param>
/// <param name="Below">What lies under it.</param>
/// <param name="AreaM2">Of its face.</param>
/// <param name="OldestWaterH">Water into its first batch.</param>
/// <param name="YoungestWaterH">Water into its last.</param>
/// <param name="FirstPlacedH">Its first batch lies in the form.</param>
/// <param name="PlacedH">All of it does.</param>
/// <param name="StruckOffH">And is struck off.</param>
/// <param name="Back">What lies open is its back.</param>
public sealed record DayZone(
    ImmutableArray<PassRule> Rules, Length Depth, Below Below, double AreaM2, double OldestWaterH, double YoungestWaterH, double FirstPlacedH, double PlacedH, double StruckOffH, bool Back = false)
{
    /// <summary>Water into its middle.</summary>
    public double MiddleWaterH => (OldestWaterH + YoungestWaterH) / 2;

    /// <summary>Its last pass is done and it takes a cover, set progress.</summary>
    public double CoveredAt { get; } = Math.Max(ZonePour.TakesCoverAt, Rules.Where(r => r.PaceM2H > 0).Select(r => r.Opens + DoneAfter).DefaultIfEmpty(0).Max());

    /// <summary>A pass is done so long after it opens, set progress.</summary>
    private const double DoneAfter = 0.05;

    /// <summary>One is between two others in all but age.</summary>
    internal bool Like(DayZone other) => Depth == other.Depth && Below == other.Below && Rules == other.Rules;
}

/// <summary>A day's pour, whichever hour it begins in.</summary>
public sealed record DayPour
{
    public required ConcreteMix Mix { get; init; }

    /// <summary>In pouring order; at least one.</summary>
    public required ImmutableArray<DayZone> Zones { get; init; }

    public required Crew Crew { get; init; }

    /// <summary>The cold-joint clock: set progress under which a batch still takes the next one.</summary>
    public double JointProgress { get; init; } = HandTamped;

    private const double HandTamped = 0.4;

    /// <summary>A soft mix that is tapped in its mould as it lands knits longer. (tune)</summary>
    private const double Tapped = 0.7;

    /// <summary>The last batch lies.</summary>
    public required double MixingEndsH { get; init; }

    /// <summary>Mixing water, °C; null where it is as warm as all else.</summary>
    public required double? WaterC { get; init; }

    /// <summary>What stands over and beside it.</summary>
    public required SiteConditions Conditions { get; init; }

    /// <summary>The weather at the pour, of the weather foreseen.</summary>
    public required Microclimate Site { get; init; }

    public required SlabCover Cover { get; init; }

    public double NightCoverM2KPerW { get; init; }

    /// <summary>Its sheen stays so many times as long as the weather alone has it.</summary>
    public double SheenFactor { get; init; } = 1;

    /// <summary>There are lamps: the dark stops nobody.</summary>
    public bool Lit { get; init; }

    /// <summary>A cover stands ready: rain before set does no harm.</summary>
    public bool RainCover { get; init; }

    /// <summary>Materials stand out overnight: they are as warm as the air when mixing begins, °C.</summary>
    public double MixC(double airC) => WaterC is not { } waterC ? airC : FreshTemperature.Of(
        new HeatPart(Mix.SolidsKgPerM3, airC, FreshTemperature.SolidsKjPerKgK),
        new HeatPart(Mix.WaterKgPerM3, waterC, FreshTemperature.WaterKjPerKgK));

    /// <summary>The same where something else stands over and beside it.</summary>
    public DayPour Under(SiteConditions conditions, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(conditions);
        return this with { Conditions = conditions, Site = conditions.In(weather) };
    }

    /// <summary>One batch's place in the slab as its clock sees it.</summary>
    /// <param name="zone">Which zone.</param>
    /// <param name="waterH">Water into it, hours from the first.</param>
    /// <param name="placedH">It lies.</param>
    /// <param name="mix">As it sets.</param>
    /// <param name="mixC">As mixed.</param>
    /// <param name="start">First water.</param>
    public ZonePour At(DayZone zone, double waterH, double placedH, ConcreteMix mix, double mixC, Instant start)
    {
        ArgumentNullException.ThrowIfNull(zone);
        return new ZonePour(mix, zone.Depth, mixC, start + Duration.FromHours(waterH))
        {
            ToPlaced = Duration.FromHours(placedH - waterH),
            Below = zone.Below,
            Cover = Cover,
            NightCoverM2KPerW = NightCoverM2KPerW,
            CoveredAt = zone.CoveredAt,
            Site = Site,
        };
    }

    /// <summary>A task with the batches that a crew makes of it, in the weather's site.</summary>
    /// <param name="task">As said.</param>
    /// <param name="load">Its batches.</param>
    /// <param name="schedule">When each is mixed and placed.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="facts">What was told of it; null while nothing is.</param>
    public static DayPour Of(PourTask task, LoadPlan load, PourSchedule schedule, HourlyWeather weather, DayFacts? facts = null)
    {
        ArgumentNullException.ThrowIfNull(schedule);
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(weather);
        var mix = task.Mix;
        var zero = schedule.Batches[0].WaterAdded;
        double Hours(Instant at) => (at - zero).TotalHours;
        var rapid = mix.Family == MixFamily.Rapid;
        var chains = new Dictionary<(Finish, bool), ImmutableArray<PassRule>>();
        ImmutableArray<PassRule> Rules(PourElement element)
        {
            var key = (element.Finish, element.Sawn);
            if (!chains.TryGetValue(key, out var rules))
            {
                rules = Finishes.Chain(element.Finish, rapid);
                rules = task.FinishingFactor == 1 ? rules : [.. rules.Select(r => r with { PaceM2H = r.PaceM2H / task.FinishingFactor })];
                chains[key] = rules = element.Sawn && !rapid ? [.. rules, Finishes.Sawing(mix)] : rules;
            }

            return rules;
        }

        return new DayPour
        {
            JointProgress = task.Elements.All(e => e.Tapped) ? Tapped : HandTamped,
            Mix = mix,
            Zones =
            [
                .. Cut(task, load, schedule, facts).Select((z, number) =>
                {
                    var (element, first, last) = (task.Elements[z.Element], schedule.Batches[z.FirstBatch], schedule.Batches[z.LastBatch]);
                    return new DayZone(
                        Rules(element), element.Depth, element.Below, element.FaceM2 * (z.To - z.From),
                        Hours(first.WaterAdded), Hours(last.WaterAdded), Hours(first.Placed), Hours(last.Placed),
                        Hours(facts?.StruckOff(number) is { } struck ? Instant.Max(struck, last.Placed) : last.StruckOff), element.Back);
                }),
            ],
            Crew = load.Crew,
            MixingEndsH = Hours(schedule.MixingEnds),
            WaterC = task.WaterC(weather),
            Conditions = task.Site,
            Site = task.Site.In(weather),
            Cover = Wetting.Cover(task.Method),
            NightCoverM2KPerW = FrostGuards.Resistance(task.Frost),
            RainCover = task.RainCover,
            Lit = task.Site.Shelter == Shelter.Indoors,
            SheenFactor = task.SheenFactor,
        };
    }

    /// <summary>Its zones, by batches and elements: as they were when the day began, else as the batches make them.</summary>
    public static ImmutableArray<Zone> Cut(PourTask task, LoadPlan load, PourSchedule schedule, DayFacts? facts = null)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(load);
        return facts?.Zones(task) ?? PourDay.Zones.Cut(load.Batches, schedule, [.. task.Elements.Select(e => e.PourL)], task.Mix.ToInitialSet);
    }
}
