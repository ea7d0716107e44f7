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
/// <param name="OnGround">Else air is under it.</param>
/// <param name="AreaM2">Of its face.</param>
/// <param name="OldestWaterH">Water into its first batch.</param>
/// <param name="YoungestWaterH">Water into its last.</param>
/// <param name="FirstPlacedH">Its first batch lies in the form.</param>
/// <param name="PlacedH">All of it does.</param>
public sealed record DayZone(
    ImmutableArray<PassRule> Rules, Length Depth, bool OnGround, double AreaM2, double OldestWaterH, double YoungestWaterH, double FirstPlacedH, double PlacedH)
{
    /// <summary>Water into its middle.</summary>
    public double MiddleWaterH => (OldestWaterH + YoungestWaterH) / 2;

    /// <summary>One is between two others in all but age.</summary>
    internal bool Like(DayZone other) => Depth == other.Depth && OnGround == other.OnGround && Rules == other.Rules;
}

/// <summary>A day's pour, whichever hour it begins in.</summary>
public sealed record DayPour
{
    public required ConcreteMix Mix { get; init; }

    /// <summary>In pouring order; at least one.</summary>
    public required ImmutableArray<DayZone> Zones { get; init; }

    public required Crew Crew { get; init; }

    /// <summary>The last batch lies.</summary>
    public required double MixingEndsH { get; init; }

    /// <summary>Mixing water, °C.</summary>
    public required double WaterC { get; init; }

    public required Microclimate Site { get; init; }

    public required SlabCover Cover { get; init; }

    public double NightCoverM2KPerW { get; init; }

    /// <summary>There are lamps: the dark stops nobody.</summary>
    public bool Lit { get; init; }

    /// <summary>A cover stands ready: rain before set does no harm.</summary>
    public bool RainCover { get; init; }

    /// <summary>Materials stand out overnight: they are as warm as the air when mixing begins, °C.</summary>
    public double MixC(double airC) => FreshTemperature.Of(
        new HeatPart(Mix.SolidsKgPerM3, airC, FreshTemperature.SolidsKjPerKgK),
        new HeatPart(Mix.WaterKgPerM3, WaterC, FreshTemperature.WaterKjPerKgK));
}

/// <summary>What came of a day in one member. Hours from the first water.</summary>
/// <param name="DoneH">The last pass is made.</param>
/// <param name="FinalSetH">Of its youngest zone; infinite where it does not get so far.</param>
/// <param name="LateH">The most by which a pass is begun too late.</param>
/// <param name="LateTask">Which; -1 where none is.</param>
/// <param name="PeakDeficitKgM2H">Of all zones.</param>
/// <param name="PeakEvaporationKgM2H">Of all zones.</param>
/// <param name="FrozenYoung">Any of them.</param>
public readonly record struct DayOutcome(
    double DoneH, double FinalSetH, double LateH, int LateTask, double PeakDeficitKgM2H, double PeakEvaporationKgM2H, bool FrozenYoung);

/// <summary>Follows a day's pour through one member after another. Not for several threads at once: each has its own.</summary>
/// <remarks>
/// A zone is followed by its middle, and its ends by the time between them; where there are many like zones, some are followed and those
/// between lie between. The cost grows with members and with zones followed, and with nothing else.
/// </remarks>
public sealed class DayPaths
{
    /// <summary>Like zones in a row of which no more are followed.</summary>
    private const int MostInARow = 8;

    /// <summary>Longer than this no zone is followed: it is too cold to finish.</summary>
    public static readonly Duration Sight = Duration.FromHours(48);

    private readonly DayPour pour;
    private readonly ISlabModel model;
    private readonly (int Before, int After, double Share)[] between;
    private readonly int[] followed;
    private readonly int[] firstSpan;
    private readonly double[] reached;
    private readonly PassSpan[] spans;
    private readonly double[] finalSets;
    private readonly PassTask[] tasks;
    private readonly int[] order;
    private readonly PassClock[] clocks;
    private readonly int[] chainOf;
    private readonly Dictionary<double, MixPaths> mixes = [];
    private MixPaths mix;

    public DayPaths(DayPour pour, ISlabModel model)
    {
        ArgumentNullException.ThrowIfNull(pour);
        (this.pour, this.model) = (pour, model);
        var zones = pour.Zones;
        ImmutableArray<PassRule>[] chains = [.. zones.Select(z => z.Rules).Distinct()];
        clocks = [.. chains.Select(rules => new PassClock(rules, pour.Mix))];
        chainOf = [.. zones.Select(z => Array.IndexOf(chains, z.Rules))];
        firstSpan = [.. zones.Select((_, z) => zones.Take(z).Sum(before => before.Rules.Length))];
        spans = new PassSpan[zones.Sum(z => z.Rules.Length)];
        tasks = new PassTask[zones.Sum(z => z.Rules.Count(r => r.PaceM2H > 0))];
        order = new int[tasks.Length];
        finalSets = new double[zones.Length];
        between = Between(zones);
        followed = [.. Enumerable.Range(0, zones.Length).Where(z => between[z].Share == 0)];
        reached = new double[(3 * zones.Max(z => z.Rules.Length)) + 1];
        mix = Mix(1);
    }

    /// <summary>Of the last member run, zone by zone and pass by pass.</summary>
    public ReadOnlySpan<PassSpan> Spans => spans;

    /// <summary>Which of <see cref="Spans"/> is the first of a zone.</summary>
    public int FirstSpanOf(int zone) => firstSpan[zone];

    /// <summary>Every pass with hands of its own, as the crew gets to it.</summary>
    public ReadOnlySpan<PassTask> Tasks => tasks;

    /// <param name="member">One way it may go.</param>
    /// <param name="start">First water.</param>
    public DayOutcome Run(Member member, Instant start)
    {
        ArgumentNullException.ThrowIfNull(member);
        mix = Mix(member.SetFactor);
        var airC = pour.Site.Of(member.Weather.SurfaceAt((start - member.Weather.Start).TotalHours)).AirC;
        var mixC = pour.MixC(airC);
        var (deficit, evaporation, frozen) = (0.0, 0.0, false);
        foreach (var z in followed)
        {
            var zone = pour.Zones[z];
            var clock = mix.Clocks[chainOf[z]];
            var toPlaced = zone.PlacedH - zone.YoungestWaterH;
            var marks = model.Mark(
                new ZonePour(mix.Mix, zone.Depth, mixC, start + Duration.FromHours(zone.MiddleWaterH))
                {
                    ToPlaced = Duration.FromHours(toPlaced),
                    OnGround = zone.OnGround,
                    Cover = pour.Cover,
                    NightCoverM2KPerW = pour.NightCoverM2KPerW,
                    Site = pour.Site,
                },
                member.Weather,
                clock.Ages,
                mix.FrostSafeH,
                Sight,
                reached);
            Spread(z, new ZoneCourse
            {
                OldestWaterH = zone.OldestWaterH,
                YoungestWaterH = zone.YoungestWaterH,
                FirstPlacedH = zone.FirstPlacedH,
                PlacedH = zone.PlacedH,
                OldestReachedH = reached,
                YoungestReachedH = reached,
                Oldest = marks,
                Youngest = marks,
                SheenFactor = member.SheenFactor,
            });
            (deficit, evaporation) = (Math.Max(deficit, marks.PeakDeficitKgM2H), Math.Max(evaporation, marks.PeakEvaporationKgM2H));
            frozen |= marks.FrozenYoung;
        }

        FillBetween();
        return Outcome(deficit, evaporation, frozen);
    }

    // A mix that sets faster or slower is made once, however many starts it is followed from.
    private MixPaths Mix(double setFactor)
    {
        if (!mixes.TryGetValue(setFactor, out var made))
        {
            var set = pour.Mix.Setting(setFactor);
            var of = new PassClock[clocks.Length];
            for (var i = 0; i < of.Length; i++)
            {
                of[i] = clocks[i].Setting(setFactor);
            }

            made = new MixPaths(set, of, StrengthGain.WhenMoist(set, Milestones.FrostSafeMpa));
            mixes.Add(setFactor, made);
        }

        return made;
    }

    private void Spread(int z, in ZoneCourse course)
    {
        var clock = mix.Clocks[chainOf[z]];
        for (var p = 0; p < clock.Rules.Length; p++)
        {
            spans[firstSpan[z] + p] = clock.Span(p, course);
        }

        finalSets[z] = course.YoungestWaterH + course.YoungestReachedH[clock.FinalSet];
    }

    private void FillBetween()
    {
        for (var z = 0; z < between.Length; z++)
        {
            var (a, b, share) = between[z];
            if (share == 0)
            {
                continue;
            }

            for (var p = 0; p < pour.Zones[z].Rules.Length; p++)
            {
                var (x, y) = (spans[firstSpan[a] + p], spans[firstSpan[b] + p]);
                spans[firstSpan[z] + p] = new PassSpan(Between(x.OpensH, y.OpensH, share), Between(x.ClosesH, y.ClosesH, share));
            }

            finalSets[z] = Between(finalSets[a], finalSets[b], share);
        }
    }

    private static double Between(double a, double b, double share) => double.IsFinite(a) && double.IsFinite(b) ? a + (share * (b - a)) : double.PositiveInfinity;

    private DayOutcome Outcome(double deficit, double evaporation, bool frozen)
    {
        var n = 0;
        for (var z = 0; z < pour.Zones.Length; z++)
        {
            var zone = pour.Zones[z];
            for (var p = 0; p < zone.Rules.Length; p++)
            {
                if (zone.Rules[p].PaceM2H is > 0 and var pace)
                {
                    var span = spans[firstSpan[z] + p];
                    // What is never reached is put off to the end of what is followed: the day is then too cold, and says so.
                    tasks[n++] = new PassTask(z, p, Math.Min(span.OpensH, Sight.TotalHours), Math.Min(span.ClosesH, Sight.TotalHours), zone.AreaM2 / pace);
                }
            }
        }

        PassCrew.Schedule(tasks, pour.Crew.Hands, PassCrew.FreeWhileMixing(pour.Crew), pour.MixingEndsH, order);
        var (done, late, which) = (pour.MixingEndsH, PassCrew.SlackH, -1);
        for (var i = 0; i < tasks.Length; i++)
        {
            done = Math.Max(done, tasks[i].EndsH);
            (late, which) = tasks[i].LateH > late ? (tasks[i].LateH, i) : (late, which);
        }

        return new DayOutcome(done, finalSets.Max(), which < 0 ? 0 : late, which, deficit, evaporation, frozen);
    }

    // For each zone the two followed ones it lies between, and how far along; a followed one lies at itself.
    private static (int Before, int After, double Share)[] Between(ImmutableArray<DayZone> zones)
    {
        var between = new (int, int, double)[zones.Length];
        for (var from = 0; from < zones.Length;)
        {
            var to = from;
            while (to + 1 < zones.Length && zones[to + 1].Like(zones[from]))
            {
                to++;
            }

            var steps = Math.Min(to - from, MostInARow - 1);
            for (var z = from; z <= to; z++)
            {
                var cell = steps == 0 ? 0 : (int)((long)(z - from) * steps / (to - from));
                var (a, b) = (At(cell), At(Math.Min(cell + 1, steps)));
                var gap = zones[b].MiddleWaterH - zones[a].MiddleWaterH;
                between[z] = z == a || gap <= 0 ? (z, z, 0) : z == b ? (z, z, 0) : (a, b, (zones[z].MiddleWaterH - zones[a].MiddleWaterH) / gap);
            }

            int At(int step) => steps == 0 ? from : from + (int)((long)step * (to - from) / steps);
            from = to + 1;
        }

        return between;
    }

    /// <summary>A mix of one set, with its clocks.</summary>
    private sealed record MixPaths(ConcreteMix Mix, PassClock[] Clocks, double FrostSafeH);
}
