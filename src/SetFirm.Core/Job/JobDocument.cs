using System.Text.Json.Serialization;
using SetFirm.Core.Curing;
using SetFirm.Core.Learning;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Job;

/// <summary>One job: what a person said, in their words and units. This is also the file they save.</summary>
/// <remarks>
/// Sizes are texts, as said: <c>12' 6"</c>, <c>3.81 m</c>, <c>3810</c>. A bare number is read in <see cref="Units"/>.
/// Nothing here is checked beyond its form: the planner answers anything doubtful with a finding.
/// </remarks>
public sealed record JobDocument
{
    public const string FormatName = "setfirm-job";
    public const int CurrentVersion = 6;

    /// <summary>Always <c>setfirm-job</c>.</summary>
    public required string Format { get; init; }

    /// <summary>Version of the format; 6. Older files are brought up to it as they are read.</summary>
    public required int Version { get; init; }

    /// <summary>What the person calls the job.</summary>
    public required string Name { get; init; }

    /// <summary>System it is shown in, and that bare numbers are read in.</summary>
    public required UnitSystem Units { get; init; }

    /// <summary>IANA zone of the site.</summary>
    public required string TimeZone { get; init; }

    /// <summary>What is poured, in pouring order.</summary>
    public required IReadOnlyList<ElementDocument> Elements { get; init; }

    public required BuildDocument Build { get; init; }

    /// <summary>The first is the job's; elements and courses may name another.</summary>
    public required IReadOnlyList<MixDocument> Mixes { get; init; }

    /// <summary>The job's own mix: the first.</summary>
    [JsonIgnore]
    public MixDocument Mix
    {
        get => Mixes[0];
        init => Mixes = [value, .. (Mixes ?? []).Skip(1)];
    }

    public required MixingDocument Mixing { get; init; }

    public required BuyDocument Buy { get; init; }

    /// <summary>What stands over and beside the pour.</summary>
    public required SiteDocument Site { get; init; }

    public required DayDocument Day { get; init; }

    /// <summary>What is poured when, as far as it is said; the rest is proposed.</summary>
    public required IReadOnlyList<PourDocument> Pours { get; init; }

    public required CureDocument Cure { get; init; }

    /// <summary>What was learnt and taken over: the yard's, and no part of the file.</summary>
    [JsonIgnore]
    public LearntValues Learnt { get; init; } = LearntValues.None;
}

/// <summary>What it is mixed in, by whom.</summary>
public sealed record MixingDocument
{
    public required MixerDocument Mixer { get; init; }

    /// <summary>People, 1-6.</summary>
    public required int Hands { get; init; }

    /// <summary>What the yard calls those who pour; null where they have no name. What was learnt of them goes by it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Crew { get; init; }

    /// <summary>How many like mixers are run at once, 1-4.</summary>
    public int Mixers { get; init; } = 1;

    /// <summary>One way from the mixer to the pour, a length.</summary>
    public required string BarrowRun { get; init; }

    /// <summary>Mixing water, °C.</summary>
    public required double WaterC { get; init; }

    /// <summary>What the concrete should have when it is mixed, °C; null takes it as it comes.</summary>
    public double? WantedMixC { get; init; }

    /// <summary>How fast this crew is, as far as it is said.</summary>
    public PaceDocument Pace { get; init; } = PaceDocument.Usual;
}

/// <summary>How the weather at the pour differs from that of the forecast.</summary>
public sealed record SiteDocument
{
    public required Shelter Shelter { get; init; }

    /// <summary>What the yard calls the place; null where it has no name. What was learnt there goes by it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Called { get; init; }

    public required Shade Shade { get; init; }

    /// <summary>Something breaks the wind.</summary>
    public required bool Windbreak { get; init; }

    /// <summary>Mist is sprayed over it while it is finished.</summary>
    public required bool Fog { get; init; }

    /// <summary>A cover stands ready in case it rains before it has set.</summary>
    public required bool RainCover { get; init; }

    /// <summary>Id of weather read from a file and kept by the service; empty takes the forecast.</summary>
    public required string WeatherFile { get; init; }

    /// <summary>Degrees north; null takes the place of the time zone.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Latitude { get; init; }

    /// <summary>Degrees east; null takes the place of the time zone.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Longitude { get; init; }

    /// <summary>Days read off a phone; null where none were typed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public TypedForecastDocument? Typed { get; init; }

    /// <summary>As the forecast has it.</summary>
    public static SiteDocument AsForecast { get; } = new() { Shelter = Shelter.Open, Shade = Shade.None, Windbreak = false, Fog = false, RainCover = false, WeatherFile = "" };
}

/// <summary>A forecast as a person read it off a phone.</summary>
public sealed record TypedForecastDocument
{
    /// <summary>Local date on which it was read.</summary>
    public required string On { get; init; }

    public required IReadOnlyList<TypedDayDocument> Days { get; init; }
}

/// <summary>A day of it.</summary>
public sealed record TypedDayDocument
{
    /// <summary>Local date.</summary>
    public required string Date { get; init; }

    /// <summary>°C.</summary>
    public double? LowC { get; init; }

    /// <summary>°C.</summary>
    public double? HighC { get; init; }

    /// <summary>km/h.</summary>
    public double? WindKmh { get; init; }

    public required Sky Sky { get; init; }

    /// <summary>Per cent; null where the phone does not tell.</summary>
    public double? HumidityPct { get; init; }

    /// <summary>Chance of rain from six to noon, per cent.</summary>
    public double? RainMorningPct { get; init; }

    /// <summary>From noon to six.</summary>
    public double? RainAfternoonPct { get; init; }

    /// <summary>From six to midnight.</summary>
    public double? RainEveningPct { get; init; }

    /// <summary>In the night after, until six.</summary>
    public double? RainNightPct { get; init; }
}

/// <summary>When it is poured.</summary>
public sealed record DayDocument
{
    /// <summary>Local date, <c>2026-05-02</c>.</summary>
    public required string Date { get; init; }

    /// <summary>Local time of the first water, <c>08:30</c>.</summary>
    public required string Start { get; init; }

    /// <summary>Local time from which one may begin.</summary>
    public required string WorkFrom { get; init; }

    /// <summary>Local time after which nobody begins.</summary>
    public required string WorkUntil { get; init; }

    /// <summary>Days on which somebody pours.</summary>
    public WorkDays WorkDays { get; init; }

    /// <summary>How what is not said is shared out among days.</summary>
    public PourSplit Split { get; init; }

    /// <summary>A start, and the hours in which people usually begin.</summary>
    public static DayDocument At(string date, string start) => new() { Date = date, Start = start, WorkFrom = "06:00", WorkUntil = "18:00" };
}

/// <summary>Days on which somebody pours.</summary>
public enum WorkDays
{
    Any,
    Weekdays,

    /// <summary>Of weekdays, after work.</summary>
    Evenings,
    Weekends,
}

/// <summary>How a job is shared out among days where nothing is said.</summary>
public enum PourSplit
{
    /// <summary>In one go, save what comes from few moulds, in courses, or is more than the crew places in a day.</summary>
    AsNeeded,

    /// <summary>Every other panel first: nobody has to reach over wet concrete.</summary>
    EveryOther,
}

/// <summary>One pour of a job: what of it, and when.</summary>
public sealed record PourDocument
{
    /// <summary>What the diary names it by; it stays.</summary>
    public required string Id { get; init; }

    /// <summary>Elements, or parts of them.</summary>
    public required IReadOnlyList<PartDocument> Parts { get; init; }

    /// <summary>Local date.</summary>
    public required string Date { get; init; }

    /// <summary>Local time of the first water; empty takes the job's.</summary>
    public string Start { get; init; } = "";

    /// <summary>People; null takes the job's.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public int? Hands { get; init; }

    /// <summary>What it is mixed in; null takes the job's.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public MixingDocument? Mixing { get; init; }
}

/// <summary>What a pour has of an element: all of it, or some panels, one casting, one course.</summary>
public sealed record PartDocument
{
    /// <summary>Id of the element.</summary>
    public required string Element { get; init; }

    /// <summary>Numbers of its panels, from 1; null has all of them.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<int>? Panels { get; init; }

    /// <summary>Number of the casting, from 1.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public int? Casting { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Course? Course { get; init; }
}

/// <summary>How it is kept wet, kept from frost, and coated.</summary>
public sealed record CureDocument
{
    public required CuringMethod Method { get; init; }

    /// <summary>Days of wetting; null takes the advice.</summary>
    public double? Days { get; init; }

    /// <summary>Local time from which somebody is up to wet it.</summary>
    public required string WakeFrom { get; init; }

    /// <summary>Local time until which.</summary>
    public required string WakeUntil { get; init; }

    /// <summary>What is laid over it in the nights.</summary>
    public required FrostGuard Frost { get; init; }

    /// <summary>Sealers, paints and stains, in the order in which they go on.</summary>
    public required IReadOnlyList<CoatDocument> Coats { get; init; }

    /// <summary>A method, with usual waking hours, nothing against frost and no coats.</summary>
    public static CureDocument By(CuringMethod method, double? days = null) => new() { Method = method, Days = days, WakeFrom = "07:00", WakeUntil = "22:00", Frost = FrostGuard.None, Coats = [] };
}

/// <summary>A product that goes on the hard concrete, as its label has it.</summary>
public sealed record CoatDocument
{
    public required string Name { get; init; }

    /// <summary>How many coats.</summary>
    public required int Coats { get; init; }

    /// <summary>Age of the concrete before the first, days.</summary>
    public required double FromDays { get; init; }

    /// <summary>From one coat to the next at the least, hours.</summary>
    public required double RecoatLeastH { get; init; }

    /// <summary>And at the most; later the coat is scuffed first.</summary>
    public required double RecoatMostH { get; init; }

    /// <summary>Each coat is kept wet for so long, hours; 0 for a product that dries.</summary>
    public required double KeepWetH { get; init; }

    /// <summary>Concrete wants to be dry on top; a product that is laid on damp concrete does not.</summary>
    public required bool OnDry { get; init; }

    /// <summary>Water to one of product, by volume; 0 goes on as it is.</summary>
    public required double Dilution { get; init; }

    /// <summary>After the last coat until it is used, hours.</summary>
    public required double CureH { get; init; }

    /// <summary>Square metres to a litre of what is laid; null takes what is usual.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? CoversM2PerL { get; init; }

    /// <summary>Mixed, it is used up within so many minutes; null where it keeps.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? PotLifeMin { get; init; }
}
