using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>What a pass made at the wrong time leaves behind.</summary>
public enum FinishFault
{
    /// <summary>Water that stood on the face was worked in: it dusts or flakes.</summary>
    WorkedInWater,

    /// <summary>The face was shut while water still rose under it: blisters.</summary>
    ShutOverBleeding,

    /// <summary>It was too soft: edges close again, lines tear.</summary>
    TooSoft,

    /// <summary>It was too hard: no lines, no closing, a burnt face.</summary>
    TooHard,
}

/// <summary>A pass that was made at the wrong time, and by how much.</summary>
/// <param name="Fault">What it leaves.</param>
/// <param name="Zone">From 1.</param>
/// <param name="Pass">Which.</param>
/// <param name="At">It was begun.</param>
/// <param name="Right">When it might have been: the nearest moment of its true window.</param>
/// <param name="LaterMin">So much later than it was begun; sooner under 0.</param>
/// <param name="Amount">Of water worked in or shut under, kg/m2; else by how much set progress it was off.</param>
/// <param name="Sign">What a thumb would have shown then; null where water stood on the face.</param>
public sealed record PassFault(FinishFault Fault, int Zone, Pass Pass, Instant At, Instant Right, double LaterMin, double Amount, ThumbMark? Sign);

/// <summary>How a zone really is at a moment.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Lies">All of it lies in the form.</param>
/// <param name="Sheen">Water stands on its face.</param>
/// <param name="Thumb">What a firm thumb leaves; null while it is not placed.</param>
/// <param name="LightPrint">A light finger leaves a print.</param>
public sealed record ZoneSeen(int Number, bool Lies, bool Sheen, ThumbMark? Thumb, bool LightPrint);

/// <summary>A day whose weather, set and sheen are drawn from what is in doubt, and hidden: it answers what is looked at, and judges what was done.</summary>
/// <remarks>
/// The same seed is the same day. Source of what a pass at the wrong time does: site practice, in line with ACI 302.1R; judged by set, film and bleeding of the same slab that plans are made of.
/// </remarks>
public sealed class HiddenDay
{
    /// <summary>Members of a plan are the first ways that weather may go: this one is none of them.</summary>
    private const int BeyondMembers = 1_000;

    /// <summary>Off by less than this nobody can tell.</summary>
    private static readonly Duration NobodyTells = Duration.FromMinutes(5);

    private static readonly HeatBalanceSlab Model = new();

    private readonly PourTask task;
    private readonly Member truth;

    private HiddenDay(PourTask task, Member truth) => (this.task, this.truth) = (task, truth);

    /// <summary>What is hidden: for reviews and tests.</summary>
    public Member Truth => truth;

    /// <param name="task">As said.</param>
    /// <param name="forecast">As foreseen.</param>
    /// <param name="seed">The same seed is the same day.</param>
    /// <param name="zones">Of the pour.</param>
    public static HiddenDay Draw(PourTask task, HourlyWeather forecast, int seed, int zones)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(forecast);
        var luck = new SplitMix((ulong)seed);
        var shared = SetBelief.SharedDoubt * luck.Normal();
        var sheen = Math.Exp(Members.SheenDoubt * luck.Normal());
        ImmutableArray<double> factors = [.. Enumerable.Range(0, zones).Select(_ => Math.Exp(shared + (SetBelief.OwnDoubt * luck.Normal())))];
        return new HiddenDay(task, new Member(WeatherPaths.Path(forecast, BeyondMembers + (int)(luck.Next() % 1_000_000)), Math.Exp(shared), sheen) { ZoneFactors = factors });
    }

    /// <summary>The day as it goes where nothing is hidden.</summary>
    /// <param name="task">As said.</param>
    /// <param name="member">How it goes; with a factor for each zone.</param>
    public static HiddenDay Of(PourTask task, Member member)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(member);
        return new HiddenDay(task, member);
    }

    /// <summary>The day as it went, by what was done of it.</summary>
    /// <param name="facts">What was done.</param>
    /// <param name="plan">As planned.</param>
    public Course Went(DayFacts facts, PlanOfDay plan)
    {
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(plan);
        var start = facts.Start(task, plan.Batches);
        var schedule = PourSchedule.Of(task.Load, start, [], facts.SoFar(plan.Batches));
        return new Course(this, DayPour.Of(task, task.Load, schedule, truth.Weather, facts), start, facts);
    }

    /// <summary>One course of the hidden day.</summary>
    public sealed class Course
    {
        private readonly HiddenDay day;
        private readonly DayPour pour;
        private readonly Instant start;
        private readonly DayFacts facts;
        private readonly double mixC;
        private readonly Dictionary<(int Zone, double WaterH), SlabHistory> paths = [];

        internal Course(HiddenDay day, DayPour pour, Instant start, DayFacts facts)
        {
            (this.day, this.pour, this.start, this.facts) = (day, pour, start, facts);
            mixC = pour.MixC(pour.Site.Of(day.truth.Weather.SurfaceAt((start - day.truth.Weather.Start).TotalHours)).AirC);
        }

        public int Zones => pour.Zones.Length;

        /// <summary>Set progress of a zone's middle.</summary>
        public double Progress(int zone, Instant at) => Path(zone, pour.Zones[zone].MiddleWaterH).EquivalentHoursAt(at) / Mix(zone).ToInitialSet.TotalHours;

        /// <summary>When a zone's middle has come so far; null where not within two days.</summary>
        public Instant? When(int zone, double progress) => Path(zone, pour.Zones[zone].MiddleWaterH).WhenEquivalentHours(progress * Mix(zone).ToInitialSet.TotalHours);

        /// <summary>Its sheen is gone; null where none shows.</summary>
        public Instant? SheenGone(int zone)
        {
            var path = Path(zone, pour.Zones[zone].YoungestWaterH);
            // What still stands when it has to be dragged off is dragged off.
            return path.SheenGone is { } gone
                ? Instant.Min(path.Placed + ((gone - path.Placed) * day.truth.SheenFactor * pour.SheenFactor), path.WaterAdded + Duration.FromHours(Math.Min(path.Marks.ToDragH, DaySimulation.Sight.TotalHours)))
                : null;
        }

        /// <summary>How much water rises to a zone's face, kg/m2/h.</summary>
        public double BleedsKgM2H(int zone, Instant at)
        {
            var path = Path(zone, pour.Zones[zone].YoungestWaterH);
            var bleeding = Bleeding.Of(Mix(zone), pour.Zones[zone].Depth.Metres);
            return bleeding.RateWith(bleeding.StillAt(path.EquivalentHoursAt(at))) * EquivalentAge.Rate(path.TemperatureAt(at));
        }

        /// <summary>What is seen of a zone at a moment.</summary>
        /// <param name="zone">Index.</param>
        /// <param name="at">When one looks.</param>
        public ZoneSeen Seen(int zone, Instant at)
        {
            var lies = at >= start + Duration.FromHours(pour.Zones[zone].PlacedH);
            var s = Progress(zone, at);
            return new ZoneSeen(zone + 1, lies, lies && SheenGone(zone) is { } gone && at < gone, lies ? ThumbSign.Left(s) : null, s < ThumbSign.NoLightPrint);
        }

        /// <summary>What the passes made so far leave behind.</summary>
        public ImmutableArray<PassFault> Faults()
        {
            var found = ImmutableArray.CreateBuilder<PassFault>();
            for (var z = 0; z < pour.Zones.Length; z++)
            {
                foreach (var rule in pour.Zones[z].Rules.Where(r => r.PaceM2H > 0))
                {
                    if ((facts.Begun(z, rule.Pass) ?? facts.Done(z, rule.Pass)) is { } at && Fault(z, rule, at) is { } fault)
                    {
                        found.Add(fault);
                    }
                }
            }

            return found.ToImmutable();
        }

        /// <summary>When a pass may really be made, by the concrete alone; null where it never gets so far.</summary>
        public (Instant Opens, Instant Closes)? Window(int zone, PassRule rule)
        {
            ArgumentNullException.ThrowIfNull(rule);
            var (young, old) = (Path(zone, pour.Zones[zone].YoungestWaterH), Path(zone, pour.Zones[zone].OldestWaterH));
            var initial = Mix(zone).ToInitialSet.TotalHours;
            if (young.WhenEquivalentHours(rule.Opens * initial) is not { } opens || old.WhenEquivalentHours(Math.Max(rule.Closes, rule.ClosesLatest) * initial) is not { } closes)
            {
                return null;
            }

            opens = rule.WaitsForSheen && SheenGone(zone) is { } gone ? Instant.Max(opens, gone) : opens;
            opens = rule.ShutsSurface ? Instant.Max(opens, BleedsLittle(zone)) : opens;
            // What opens late stays open for a while.
            var late = old.WhenEquivalentHours(old.EquivalentHoursAt(opens) + (PassRule.OpenAfterRest * initial)) ?? opens;
            return (opens, Instant.Max(late, closes));
        }

        private PassFault? Fault(int z, PassRule rule, Instant at)
        {
            if (Window(z, rule) is not var (opens, closes))
            {
                return null;
            }

            var sign = Seen(z, at).Thumb;
            var right = at < opens ? opens : closes;
            PassFault Of(FinishFault fault, double amount, ThumbMark? told) => new(fault, z + 1, rule.Pass, at, right, (right - at).TotalMinutes, amount, told);
            var path = Path(z, pour.Zones[z].YoungestWaterH);
            if (at >= opens - NobodyTells && at <= closes + NobodyTells)
            {
                return null;
            }

            if (rule.WaitsForSheen && SheenGone(z) is { } gone && at < gone)
            {
                return Of(FinishFault.WorkedInWater, Math.Max(path.FilmAt(at), Bleeding.SheenKgM2), null);
            }

            var age = path.EquivalentHoursAt(at);
            if (rule.ShutsSurface && BleedsKgM2H(z, at) > Bleeding.LittleKgM2H)
            {
                var bleeding = Bleeding.Of(Mix(z), pour.Zones[z].Depth.Metres);
                return Of(FinishFault.ShutOverBleeding, bleeding.Whole * bleeding.StillAt(age), sign);
            }

            var initial = Mix(z).ToInitialSet.TotalHours;
            var young = age / initial;
            if (young < rule.Opens)
            {
                return Of(FinishFault.TooSoft, rule.Opens - young, sign);
            }

            var old = Path(z, pour.Zones[z].OldestWaterH).EquivalentHoursAt(at) / initial;
            var latest = Path(z, pour.Zones[z].OldestWaterH).EquivalentHoursAt(closes) / initial;
            return at > closes ? Of(FinishFault.TooHard, old - latest, sign) : null;
        }

        private Instant BleedsLittle(int z)
        {
            var path = Path(z, pour.Zones[z].YoungestWaterH);
            return path.WaterAdded + Duration.FromHours(path.Marks.BleedsLittleH);
        }

        private ConcreteMix Mix(int z) => day.task.Mix.Setting(day.truth.ZoneFactors[Math.Min(z, day.truth.ZoneFactors.Length - 1)]);

        private SlabHistory Path(int z, double waterH)
        {
            if (!paths.TryGetValue((z, waterH), out var path))
            {
                var zone = pour.Zones[z];
                var toPlaced = waterH == zone.OldestWaterH ? zone.FirstPlacedH - zone.OldestWaterH : zone.PlacedH - zone.YoungestWaterH;
                path = Model.Follow(pour.At(zone, waterH, waterH + toPlaced, Mix(z), mixC, start), day.truth.Weather, DaySimulation.Sight);
                paths.Add((z, waterH), path);
            }

            return path;
        }
    }

    /// <summary>Numbers that a seed alone decides, on any machine.</summary>
    /// <remarks>Source: Steele, Lea and Flood 2014 (SplitMix64); normal values by Box and Muller.</remarks>
    private struct SplitMix(ulong seed)
    {
        private ulong state = seed;

        public ulong Next()
        {
            var z = state += 0x9E3779B97F4A7C15UL;
            z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
            z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
            return z ^ (z >> 31);
        }

        public double Normal() => Math.Sqrt(-2 * Math.Log(1 - Fraction())) * Math.Cos(2 * Math.PI * Fraction());

        private double Fraction() => (Next() >> 11) / (double)(1UL << 53);
    }
}
