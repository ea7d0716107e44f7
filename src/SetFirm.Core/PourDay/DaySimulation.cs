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

/// <summary>What came of a day in one member. Hours from the first water.</summary>
/// <param name="DoneH">The last pass is made.</param>
/// <param name="FinalSetH">Of its youngest zone; infinite where it does not get so far.</param>
/// <param name="LateH">The most by which a pass is begun too late.</param>
/// <param name="LateTask">Which; -1 where none is.</param>
/// <param name="PeakDeficitKgM2H">Of all zones.</param>
/// <param name="PeakEvaporationKgM2H">Of all zones.</param>
/// <param name="FrozenYoung">Any of them.</param>
public readonly record struct DayOutcome(
    double DoneH, double FinalSetH, double LateH, int LateTask, double PeakDeficitKgM2H, double PeakEvaporationKgM2H, bool FrozenYoung)
{
    /// <summary>By how much the tightest pass is begun after it should be; negative where there is room.</summary>
    public double TightH { get; init; }
}

/// <summary>How closely a zone is followed.</summary>
public enum Closeness
{
    /// <summary>Every zone by its oldest and its youngest batch: for one path.</summary>
    Ends,

    /// <summary>By its middle, its ends by the time between them; of many like zones some, those between lie between: for hundreds.</summary>
    Middles,

    /// <summary>The same by fewer zones: for the tens of thousands of a ranking.</summary>
    Few,
}

/// <summary>What came of one zone. Hours from the first water, infinite where it does not get so far.</summary>
/// <param name="SheenGoneH">The sheen of bled water is gone; null where none shows.</param>
/// <param name="PeakDeficitKgM2H">The most by which drying outran bleeding.</param>
/// <param name="InitialSetH">Of its oldest batch.</param>
/// <param name="FinalSetH">Of its youngest.</param>
public readonly record struct ZoneOutcome(double? SheenGoneH, double PeakDeficitKgM2H, double InitialSetH, double FinalSetH);

/// <summary>Follows a day's pour through one member after another: the best guess is the member that nothing is off in. Not for several threads at once.</summary>
/// <remarks>The cost grows with members and with zones followed, and with nothing else.</remarks>
public sealed class DaySimulation : IPassRests
{
    /// <summary>Like zones in a row of which no more are followed.</summary>
    private static int MostInARow(Closeness closeness) => closeness == Closeness.Few ? 3 : 5;

    /// <summary>Longer than this no zone is followed: it is too cold to finish.</summary>
    public static readonly Duration Sight = Duration.FromHours(48);

    private readonly DayPour pour;
    private readonly ISlabModel model;
    private readonly Duration? until;
    private readonly DayProgress? progress;
    private readonly PassClock[] own;
    private readonly (int Before, int After, double Share)[] between;
    private readonly int[] followed;
    private readonly int[] firstSpan;
    private readonly double[][] youngReached;
    private readonly double[] oldReached;
    private readonly ZoneOutcome[] outcomes;
    private readonly Dictionary<(int Chain, Length Depth, Below Below, double WaterH), (double[] Reached, SlabMarks Marks)>? ends;
    private readonly PassSpan[] spans;
    private readonly PassTask[] tasks;
    private readonly int[] heads;
    private readonly PassClock[] clocks;
    private readonly int[] chainOf;
    private readonly Dictionary<double, MixPaths> mixes;
    private MixPaths mix;
    private (double DeficitKgM2H, double EvaporationKgM2H, bool Frozen) peaks;
    private ImmutableArray<double> factors = [];

    /// <param name="pour">Whichever hour it begins in.</param>
    /// <param name="model">Follows a zone.</param>
    /// <param name="closeness">How closely.</param>
    /// <param name="before">One of the same mix and finishes, whose clocks are taken over.</param>
    /// <param name="until">Followed no further; what is reached later is as if it were never.</param>
    /// <param name="progress">What was told of its passes; null while nothing is. Each zone is then followed for itself.</param>
    public DaySimulation(
        DayPour pour, ISlabModel model, Closeness closeness = Closeness.Middles, DaySimulation? before = null, Duration? until = null, DayProgress? progress = null)
    {
        ArgumentNullException.ThrowIfNull(pour);
        (this.pour, this.model, this.until, this.progress) = (pour, model, until, progress);
        var zones = pour.Zones;
        ImmutableArray<PassRule>[] chains = [.. zones.Select(z => z.Rules).Distinct()];
        var same = before is not null && before.pour.Mix == pour.Mix && before.clocks.Length == chains.Length && before.clocks.Zip(chains).All(p => p.First.Rules.SequenceEqual(p.Second));
        clocks = same ? before!.clocks : [.. chains.Select(rules => new PassClock(rules, pour.Mix))];
        mixes = same ? before!.mixes : [];
        chainOf = [.. zones.Select(z => Array.IndexOf(chains, z.Rules))];
        firstSpan = [.. zones.Select((_, z) => zones.Take(z).Sum(before => before.Rules.Length))];
        spans = new PassSpan[zones.Sum(z => z.Rules.Length)];
        tasks = new PassTask[zones.Select((zone, z) => zone.Rules.Where((r, p) => r.PaceM2H > 0 && progress?.IsDone(z, p) != true).Count()).Sum()];
        own = progress is null ? [] : new PassClock[zones.Length];
        heads = new int[tasks.Length];
        outcomes = new ZoneOutcome[zones.Length];
        ends = closeness == Closeness.Ends ? [] : null;
        between = ends is null && progress is null ? Between(zones, MostInARow(closeness)) : [.. zones.Select((_, z) => (z, z, 0.0))];
        followed = [.. Enumerable.Range(0, zones.Length).Where(z => between[z].Share == 0)];
        var ages = clocks.Max(c => c.Ages.Length);
        (youngReached, oldReached) = ([.. zones.Select((_, z) => between[z].Share == 0 ? new double[ages] : [])], new double[ages]);
        mix = Mix(1);
    }

    /// <summary>Of the last member run, zone by zone and pass by pass.</summary>
    public ReadOnlySpan<PassSpan> Spans => spans;

    /// <summary>Which of <see cref="Spans"/> is the first of a zone.</summary>
    public int FirstSpanOf(int zone) => firstSpan[zone];

    /// <summary>How many spans a zone has.</summary>
    public int PassesOf(int zone) => pour.Zones[zone].Rules.Length;

    /// <summary>Water into a zone's last batch, hours from the first.</summary>
    public double YoungestWaterH(int zone) => pour.Zones[zone].YoungestWaterH;

    /// <summary>And into its first.</summary>
    public double OldestWaterH(int zone) => pour.Zones[zone].OldestWaterH;

    /// <summary>Of the last member run, zone by zone.</summary>
    public ReadOnlySpan<ZoneOutcome> Zones => outcomes;

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
        peaks = default;
        ends?.Clear();
        factors = member.ZoneFactors;
        foreach (var z in followed)
        {
            var zone = pour.Zones[z];
            if (!factors.IsEmpty)
            {
                own[z] = clocks[chainOf[z]].Setting(factors[z]);
            }

            SlabMarks oldest, youngest;
            if (ends is null)
            {
                var toPlaced = zone.PlacedH - zone.YoungestWaterH;
                youngest = oldest = Seen(z, zone.MiddleWaterH, Mark(z, zone.MiddleWaterH, zone.MiddleWaterH + toPlaced, mixC, start, member, youngReached[z]));
            }
            else
            {
                oldest = Seen(z, zone.OldestWaterH, End(z, zone.OldestWaterH, zone.FirstPlacedH, mixC, start, member, oldReached));
                youngest = Seen(z, zone.YoungestWaterH, End(z, zone.YoungestWaterH, zone.PlacedH, mixC, start, member, youngReached[z]));
            }

            Take(z, member, oldest, youngest);
        }

        FillBetween();
        return Outcome();
    }

    /// <summary>Numbers that a day followed in one member comes down to; see <see cref="Follow"/>.</summary>
    public int MarksLength => followed.Length * (oldReached.Length + SlabNumbers.Count);

    /// <summary>It is followed as the other is: zones as many, of the same depth and finish, and of the same mix, so that their numbers mean the same.</summary>
    public bool IsLike(DaySimulation other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return ReferenceEquals(clocks, other.clocks) && followed.AsSpan().SequenceEqual(other.followed)
            && pour.Zones.Length == other.pour.Zones.Length && pour.Zones.Zip(other.pour.Zones).All(z => z.First.Like(z.Second));
    }

    /// <summary>Follows the slabs of a day, by their middles, and no more.</summary>
    /// <param name="member">One way it may go.</param>
    /// <param name="start">First water.</param>
    /// <param name="marks">Takes what windows are made of, zone by zone: hours to each age, then the marks of the face. The same of a start near by lie near by.</param>
    public void Follow(Member member, Instant start, Span<double> marks)
    {
        ArgumentNullException.ThrowIfNull(member);
        mix = Mix(member.SetFactor);
        var mixC = pour.MixC(pour.Site.Of(member.Weather.SurfaceAt((start - member.Weather.Start).TotalHours)).AirC);
        foreach (var z in followed)
        {
            var zone = pour.Zones[z];
            var ages = mix.Clocks[chainOf[z]].Ages.Length;
            var face = Mark(z, zone.MiddleWaterH, zone.MiddleWaterH + (zone.PlacedH - zone.YoungestWaterH), mixC, start, member, marks[..ages]);
            marks[ages..oldReached.Length].Clear();
            SlabNumbers.Write(face, marks[oldReached.Length..]);
            marks = marks[(oldReached.Length + SlabNumbers.Count)..];
        }
    }

    /// <summary>What comes of a day whose slabs went so: the same as <see cref="Run"/> where they were followed from its own start.</summary>
    /// <param name="member">The way it went.</param>
    /// <param name="marks">As <see cref="Follow"/> has them.</param>
    public DayOutcome Of(Member member, ReadOnlySpan<double> marks)
    {
        ArgumentNullException.ThrowIfNull(member);
        mix = Mix(member.SetFactor);
        peaks = default;
        factors = [];
        foreach (var z in followed)
        {
            marks[..oldReached.Length].CopyTo(youngReached[z]);
            var face = SlabNumbers.Read(marks[oldReached.Length..]);
            Take(z, member, face, face);
            marks = marks[(oldReached.Length + SlabNumbers.Count)..];
        }

        FillBetween();
        return Outcome();
    }

    /// <summary>Of two starts near by the one may have it and the other not, and hardly a window moves: the last of a sheen, water that is dragged off.</summary>
    /// <param name="mark">Its place among the marks.</param>
    public bool Jumps(int mark) => SlabNumbers.Jumps((mark % (oldReached.Length + SlabNumbers.Count)) - oldReached.Length);

    /// <summary>What is judged by its greatest value, and from which on it is too much; null for all else.</summary>
    /// <param name="mark">Its place among the marks.</param>
    public double? PeakLimit(int mark) => ((mark % (oldReached.Length + SlabNumbers.Count)) - oldReached.Length) switch
    {
        SlabNumbers.Deficit => DayJudge.DeficitAct,
        SlabNumbers.Evaporation => Setting.Evaporation.ActKgPerM2H,
        _ => null,
    };

    private void Take(int z, Member member, in SlabMarks oldest, in SlabMarks youngest)
    {
        var zone = pour.Zones[z];
        Spread(z, new ZoneCourse
        {
            OldestWaterH = zone.OldestWaterH,
            YoungestWaterH = zone.YoungestWaterH,
            FirstPlacedH = zone.FirstPlacedH,
            PlacedH = zone.PlacedH,
            StruckOffH = zone.StruckOffH,
            OldestReachedH = ends is null ? youngReached[z] : oldReached,
            YoungestReachedH = youngReached[z],
            Oldest = oldest,
            Youngest = youngest,
            SheenFactor = progress is null || double.IsNaN(progress.SheenGoneH(z)) ? member.SheenFactor * pour.SheenFactor : 1,
        });
        // A back dries as it likes.
        peaks.DeficitKgM2H = zone.Back ? peaks.DeficitKgM2H : Math.Max(peaks.DeficitKgM2H, Math.Max(oldest.PeakDeficitKgM2H, youngest.PeakDeficitKgM2H));
        peaks.EvaporationKgM2H = zone.Back ? peaks.EvaporationKgM2H : Math.Max(peaks.EvaporationKgM2H, Math.Max(oldest.PeakEvaporationKgM2H, youngest.PeakEvaporationKgM2H));
        peaks.Frozen |= oldest.FrozenYoung || youngest.FrozenYoung;
    }

    private PassClock ClockOf(int z) => factors.IsEmpty ? mix.Clocks[chainOf[z]] : own[z];

    // What was seen stands in place of what is reckoned.
    private SlabMarks Seen(int z, double waterH, in SlabMarks marks) => progress?.SheenGoneH(z) is { } gone && !double.IsNaN(gone)
        ? marks with { SheenGoneH = gone - waterH, ToDragH = double.PositiveInfinity }
        : marks;

    private SlabMarks Mark(int z, double waterH, double placedH, double mixC, Instant start, Member member, Span<double> reached) => model.Mark(
        pour.At(pour.Zones[z], waterH, placedH, mix.Mix, mixC, start), member.Weather, ClockOf(z).Ages, mix.FrostSafeH, SightFrom(waterH), reached);

    // In whole hours, so that steps are shared.
    private Duration SightFrom(double waterH) => until is { } end ? Duration.FromHours(Math.Clamp(Math.Ceiling(end.TotalHours - waterH), 1, Sight.TotalHours)) : Sight;

    // Zones of one finish, depth, ground and age have one history; it is followed once.
    private SlabMarks End(int z, double waterH, double placedH, double mixC, Instant start, Member member, double[] reached)
    {
        var zone = pour.Zones[z];
        var key = (factors.IsEmpty ? chainOf[z] : -1 - z, zone.Depth, zone.Below, waterH);
        if (!ends!.TryGetValue(key, out var known))
        {
            var marks = Mark(z, waterH, placedH, mixC, start, member, reached);
            ends.Add(key, (reached.ToArray(), marks));
            return marks;
        }

        known.Reached.CopyTo(reached, 0);
        return known.Marks;
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
        var clock = ClockOf(z);
        for (var p = 0; p < clock.Rules.Length; p++)
        {
            spans[firstSpan[z] + p] = clock.Span(p, course);
        }

        outcomes[z] = new ZoneOutcome(
            course.Youngest.SheenGoneH + course.YoungestWaterH, pour.Zones[z].Back ? 0 : course.Youngest.PeakDeficitKgM2H,
            course.OldestWaterH + course.OldestReachedH[clock.InitialSet], course.YoungestWaterH + course.YoungestReachedH[clock.FinalSet]);
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

            outcomes[z] = outcomes[a] with { FinalSetH = Between(outcomes[a].FinalSetH, outcomes[b].FinalSetH, share) };
        }
    }

    private static double Between(double a, double b, double share) => double.IsFinite(a) && double.IsFinite(b) ? a + (share * (b - a)) : double.PositiveInfinity;

    private DayOutcome Outcome()
    {
        var (n, lastH) = (0, pour.MixingEndsH);
        for (var z = 0; z < pour.Zones.Length; z++)
        {
            var zone = pour.Zones[z];
            var doneH = double.NaN;
            for (var p = 0; p < zone.Rules.Length; p++)
            {
                if (zone.Rules[p].PaceM2H is not (> 0 and var pace))
                {
                    continue;
                }

                if (progress?.IsDone(z, p) == true)
                {
                    doneH = progress.DoneH(z, p);
                    lastH = Math.Max(lastH, doneH);
                }
                else
                {
                    var span = spans[firstSpan[z] + p];
                    // What is never reached is put off to the end of what is followed: the day is then too cold, and says so.
                    var task = new PassTask(z, p, Math.Min(span.OpensH, Sight.TotalHours), Math.Min(span.ClosesH, Sight.TotalHours), zone.AreaM2 / pace);
                    if (progress is not null)
                    {
                        task = task with { BegunH = progress.BegunH(z, p) };
                        if (!double.IsNaN(doneH))
                        {
                            (task.OpensH, task.ClosesH) = ((IPassRests)this).After(task, doneH);
                            doneH = double.NaN; // the one after it waits for this one
                        }
                    }

                    tasks[n++] = task;
                }
            }
        }

        PassCrew.Schedule(tasks, pour.Crew.Hands, PassCrew.CalledAway(pour.Crew), pour.MixingEndsH, this, heads, progress?.NowH ?? double.NegativeInfinity);
        foreach (var task in tasks)
        {
            // A window opens when the pass before it is done and rested.
            ref var span = ref spans[firstSpan[task.Zone] + task.Pass];
            span = span.IsReached ? new PassSpan(Math.Max(span.OpensH, task.OpensH), Math.Max(Math.Max(span.ClosesH, task.ClosesH), task.OpensH)) : span;
        }

        var (done, late, which, tight) = (lastH, PassCrew.SlackH, -1, double.NegativeInfinity);
        for (var i = 0; i < tasks.Length; i++)
        {
            done = Math.Max(done, tasks[i].EndsH);
            tight = Math.Max(tight, tasks[i].BeginsH - tasks[i].ClosesH);
            (late, which) = tasks[i].LateH > late ? (tasks[i].LateH, i) : (late, which);
        }

        return new DayOutcome(done, FinalSetH(), which < 0 ? 0 : late, which, peaks.DeficitKgM2H, peaks.EvaporationKgM2H, peaks.Frozen) { TightH = tight };
    }

    (double OpensH, double ClosesH) IPassRests.After(in PassTask task, double doneH)
    {
        var z = task.Zone;
        var (before, after, share) = between[z];
        var of = share < 0.5 ? before : after;
        var (rule, clock, reached) = (pour.Zones[z].Rules[task.Pass], ClockOf(z), youngReached[of]);
        // Like zones go alike, each from its own water.
        var water = ends is null ? pour.Zones[z].MiddleWaterH : pour.Zones[z].YoungestWaterH;
        var opens = Math.Max(task.OpensH, clock.After(doneH, water, reached, rule.Rest, double.PositiveInfinity));
        return (opens, rule.ClosesLatest > 0 && double.IsFinite(opens)
            ? Math.Max(task.ClosesH, water + clock.HoursAt(Math.Min(rule.ClosesLatest, clock.ProgressAt(opens - water, reached) + PassRule.OpenAfterRest), reached))
            : task.ClosesH);
    }

    private double FinalSetH()
    {
        var last = 0.0;
        foreach (var zone in outcomes)
        {
            last = Math.Max(last, zone.FinalSetH);
        }

        return last;
    }

    // For each zone the two followed ones it lies between, and how far along; a followed one lies at itself.
    private static (int Before, int After, double Share)[] Between(ImmutableArray<DayZone> zones, int most)
    {
        var between = new (int, int, double)[zones.Length];
        for (var from = 0; from < zones.Length;)
        {
            var to = from;
            while (to + 1 < zones.Length && zones[to + 1].Like(zones[from]))
            {
                to++;
            }

            var steps = Math.Min(to - from, most - 1);
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
