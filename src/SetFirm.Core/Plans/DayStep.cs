using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>A pour day worked out, with what the cure goes on from.</summary>
/// <param name="Report">What is told of it.</param>
/// <param name="Schedule">The batches.</param>
/// <param name="Pour">Whichever hour it begins in.</param>
/// <param name="Youngest">The last batch.</param>
/// <param name="JointLimit">How old a batch may be when the next meets it.</param>
internal sealed record PlannedDay(DayReport Report, PourSchedule Schedule, DayPour Pour, ZonePour Youngest, Duration JointLimit);

/// <summary>From batches, a start and the weather to pass windows.</summary>
internal static class DayStep
{
    /// <summary>Members that the bands of a plan are made of; the ranking of starts takes more.</summary>
    private const int BandMembers = 40;

    private static readonly HeatBalanceSlab CoarseModel = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    private static readonly Duration FollowFirst = Duration.FromHours(20);

    /// <summary>The day is shown no longer than this many times final set.</summary>
    private const double LatestOverFinal = 1.7;

    /// <summary>The start of the pour as a moment; an hour that a clock change skips or repeats is read leniently (later, or first).</summary>
    public static (Instant Start, DateTimeZone Zone)? Start(JobDocument job, Gate gate)
    {
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(job.TimeZone);
        if (zone is null)
        {
            gate.Add(Finding.Of(FindingCode.UnknownTimeZone, Severity.Error, "/timeZone").Naming("given", job.TimeZone));
        }

        var date = gate.Date("/day/date", job.Day.Date);
        var time = gate.Time("/day/start", job.Day.Start);
        return zone is not null && date is { } d && time is { } t ? ((d + t).InZoneLeniently(zone).ToInstant(), zone) : null;
    }

    /// <summary>What is poured, whichever hour it begins in.</summary>
    public static DayPour Pour(JobDocument job, PlannedShape shape, Recipe recipe, PlannedLoad load, HourlyWeather weather)
    {
        var mix = recipe.Mix;
        var schedule = load.Schedule(Instant.MinValue);
        var zero = schedule.Batches[0].WaterAdded;
        double Hours(Instant at) => (at - zero).TotalHours;
        var chains = new Dictionary<(Finish, bool), ImmutableArray<PassRule>>();
        ImmutableArray<PassRule> Rules(PlannedElement element)
        {
            var key = (element.Said.Finish, Sawn(element));
            if (!chains.TryGetValue(key, out var rules))
            {
                rules = Finishes.Chain(element.Said.Finish, mix.Family == MixFamily.Rapid);
                chains[key] = rules = key.Item2 && mix.Family != MixFamily.Rapid ? [.. rules, Finishes.Sawing(mix)] : rules;
            }

            return rules;
        }

        return new DayPour
        {
            Mix = mix,
            Zones =
            [
                .. CutZones(shape, mix, load, schedule).Select(z =>
                {
                    var (element, first, last) = (shape.Elements[z.Element], schedule.Batches[z.FirstBatch], schedule.Batches[z.LastBatch]);
                    return new DayZone(
                        Rules(element), element.Cast.Depth, element.Said.Traits.OnGround, FaceM2(element) * (z.To - z.From),
                        Hours(first.WaterAdded), Hours(last.WaterAdded), Hours(first.Placed), Hours(last.Placed));
                }),
            ],
            Crew = load.Crew,
            MixingEndsH = Hours(schedule.MixingEnds),
            WaterC = WaterC(job.Mixing, weather),
            Site = SiteOf(job.Site, weather),
            Cover = CoverOf(job.Cure.Method),
            NightCoverM2KPerW = FrostGuards.Resistance(job.Cure.Frost),
            RainCover = job.Site.RainCover,
            Lit = job.Site.Shelter == Shelter.Indoors,
        };
    }

    public static PlannedDay Plan(
        JobDocument job, PlannedShape shape, Recipe recipe, PlannedLoad load, Instant start, HourlyWeather weather, ISlabModel model, Gate gate)
    {
        var (mix, schedule, pour) = (recipe.Mix, load.Schedule(start), Pour(job, shape, recipe, load, weather));
        var airC = pour.Site.Of(weather.SurfaceAt((start - weather.Start).TotalHours)).AirC;
        gate.InRange("/mixing/waterC", job.Mixing.WaterC, 0, DayChecks.HottestWaterC, "C");
        var mixC = pour.MixC(airC);
        gate.Add(Explanation.For(
            WhyCode.MixTemperature, "", mixC, Source.Aci305,
            ("solidsKg", mix.SolidsKgPerM3), ("solidsC", airC), ("waterKg", mix.WaterKgPerM3), ("waterC", pour.WaterC)));
        var cut = CutZones(shape, mix, load, schedule);
        var best = new BestGuess(pour, mixC, start, weather, model);
        var paths = new DayPaths(pour, CoarseModel);
        var members = Members.Of(weather, BandMembers);
        var judge = new DayJudge(pour, weather, schedule.JointAge);
        var bands = new PassBands(paths, new Member(weather, 1, 1), start, members.Count);
        var odds = judge.Odds(start, members, paths, bands.Take);
        var zones = ZonesOf(cut, schedule, pour, best, bands, start, gate);
        var jointLimit = DayChecks.Joint(mix, mixC, schedule, load, pour, job, weather, gate);
        var newest = best.History(pour.Zones.Length - 1, oldest: false);
        var first = best.History(0, oldest: true);
        var initialSet = first.WhenEquivalentHours(mix.ToInitialSet.TotalHours);
        var finalSet = newest.WhenEquivalentHours(mix.ToFinalSet.TotalHours);
        var passes = Together(zones);
        var doneBy = start + Duration.FromHours(Math.Max(pour.MixingEndsH, best.Tasks.Length == 0 ? 0 : best.Tasks.Max(t => t.EndsH)));
        var until = Instant.Max(finalSet ?? start + DayPaths.Sight, doneBy);
        var hours = Hours(first, weather, pour.Site, start, until);
        var report = new DayReport(
            start,
            schedule.MixingEnds,
            doneBy,
            mixC,
            initialSet,
            finalSet,
            pour.Site.UnderSky ? weather.RainChance(start, finalSet ?? start + DayPaths.Sight) : 0,
            hours.Where(h => h.At < (finalSet ?? until)).Max(h => h.EvaporationKgM2H),
            Evaporation.CareKgPerM2H,
            Evaporation.ActKgPerM2H,
            odds.Chance,
            [.. odds.Faults.Select(f => new FaultShare(f.Fault, f.Share))],
            Light(weather, start),
            pour.Crew.Hands,
            zones,
            passes,
            hours);
        ExplainSet(report, mix, schedule, gate);
        ExplainSheen(newest, mix, shape.Elements[^1].Cast.Depth, gate);
        gate.Add(Explanation.For(
            WhyCode.StartChance, "", odds.Chance * 100, Source.SitePractice, ("members", BandMembers), ("setDoubtPct", Members.SetDoubt * 100)).And(Source.Aci305));
        var asForeseen = new Member(weather, 1, 1);
        DayOutcome WhatIf(JobDocument changed, PlannedLoad with, double shiftH) =>
            new DayPaths(Pour(changed, shape, recipe, with, weather), CoarseModel).Run(asForeseen, start + Duration.FromHours(shiftH));
        DayChecks.Weather(report, mix, weather, job, changed => WhatIf(changed, load, 0), gate);
        DayChecks.Water(mix, airC, mixC, job, hours.Min(h => h.AirC), gate);
        DayChecks.Hands(
            report, pour, best.Tasks, judge, job, hands => WhatIf(job, load with { Crew = load.Crew with { Hands = hands } }, 0), shift => WhatIf(job, load, shift), gate);
        return new PlannedDay(report, schedule, pour, best.Pour(pour.Zones.Length - 1, oldest: false), jointLimit);
    }

    /// <summary>Every hour judged over many ways it may go.</summary>
    public static StartOdds[] Rank(DayPour pour, Duration jointAge, IReadOnlyList<Instant> starts, HourlyWeather weather, int members) =>
        new DayJudge(pour, weather, jointAge).Odds(starts, Members.Of(weather, members), CoarseModel);

    /// <summary>Water as said; where that cannot be, something near it, and the finding says so.</summary>
    private static double WaterC(MixingDocument mixing, HourlyWeather weather) =>
        Math.Clamp(double.IsNaN(mixing.WaterC) ? weather.MeanAirC : mixing.WaterC, 0, DayChecks.HottestWaterC);

    private static Microclimate SiteOf(SiteDocument site, HourlyWeather weather) =>
        Microclimate.Of(site.Shelter, site.Shade, site.Windbreak, site.Fog, weather.MeanAirC);

    private static bool Sawn(PlannedElement element) =>
        element.Joints.Report.Lines.Any(j => j.Method == JointMethod.Sawn);

    private static double FaceM2(PlannedElement element) =>
        element.Cast.Plan.NetArea.SquareMetres * element.Cast.Count * element.PourL / element.OrderL;

    private static ImmutableArray<Zone> CutZones(PlannedShape shape, ConcreteMix mix, PlannedLoad load, PourSchedule schedule) =>
        Zones.Cut(load.Batches, schedule, [.. shape.Elements.Select(s => s.PourL)], mix.ToInitialSet);

    // The run of daylight that the pour begins in, or the next one.
    private static LightReport Light(HourlyWeather weather, Instant start)
    {
        bool Lit(double hour) => weather.SurfaceAt(hour).SunWm2 >= DayJudge.DarkWm2;
        const double step = 0.25;
        const double sight = 24;
        var from = (start - weather.Start).TotalHours;
        var dawn = from;
        for (; !Lit(dawn) && dawn < from + sight; dawn += step)
        {
        }

        for (; Lit(dawn - step) && dawn > from - sight; dawn -= step)
        {
        }

        var dusk = Math.Max(from, dawn);
        for (; Lit(dusk) && dusk < from + (2 * sight); dusk += step)
        {
        }

        return new LightReport(weather.Start + Duration.FromHours(dawn), weather.Start + Duration.FromHours(dusk));
    }

    private static SlabCover CoverOf(CuringMethod method) =>
        Wetting.ShutsIn(method) ? SlabCover.Shut : Wetting.WantsWater(method) ? SlabCover.KeptWet : SlabCover.None;

    private static List<ZoneReport> ZonesOf(
        ImmutableArray<Zone> cut, PourSchedule schedule, DayPour pour, BestGuess best, PassBands bands, Instant start, Gate gate)
    {
        var zones = new List<ZoneReport>();
        var cap = DayPaths.Sight.TotalHours;
        Instant At(double hours) => start + Duration.FromHours(Math.Min(hours, cap));
        for (var z = 0; z < cut.Length; z++)
        {
            var (first, last) = (schedule.Batches[cut[z].FirstBatch], schedule.Batches[cut[z].LastBatch]);
            var youngest = best.History(z, oldest: false);
            var passes = new List<PassReport>();
            for (var p = 0; p < pour.Zones[z].Rules.Length; p++)
            {
                var span = best.Span(z, p);
                if (!span.IsReached || span.ClosesH > cap)
                {
                    continue; // too cold to get so far
                }

                var rule = pour.Zones[z].Rules[p];
                var band = bands.Of(z, p, span, rule.Pass == Pass.StrikeOff ? pour.Zones[z].FirstPlacedH : pour.Zones[z].PlacedH);
                var task = best.TaskOf(z, p);
                // Hours are rounded on the way; what lies there opens nothing sooner.
                var placed = rule.Pass == Pass.StrikeOff ? first.Placed : last.Placed;
                var window = new PassReport(
                    rule.Pass, Instant.Max(placed, At(span.OpensH)), Instant.Max(placed, At(span.ClosesH)), Instant.Max(placed, At(band.OpensEarly)), Instant.Max(placed, At(band.OpensLate)), Instant.Max(placed, At(band.ClosesEarly)), Instant.Max(placed, At(band.ClosesLate)),
                    task is { } t ? At(t.BeginsH) : null, task is { } w ? w.WorkH * 60 : 0, task?.Hand);
                passes.Add(window);
                Explain(rule, pour.Mix, z + 1, youngest, window, gate);
            }

            zones.Add(new ZoneReport(z + 1, cut[z].Element, first.Number, last.Number, last.Placed, youngest.SheenGone, youngest.Marks.PeakDeficitKgM2H, passes));
        }

        return zones;
    }

    private static void Explain(PassRule rule, ConcreteMix mix, int zone, SlabHistory youngest, PassReport window, Gate gate)
    {
        if (zone == 1)
        {
            gate.Add(Explanation.For(
                WhyCode.PassWindow, Gate.CamelCase(rule.Pass.ToString()), youngest.EquivalentHoursAt(window.Opens), Source.Aci302,
                ("opensAt", rule.Opens), ("closesAt", rule.Closes), ("initialSetH", mix.ToInitialSet.TotalHours),
                ("concreteC", youngest.TemperatureAt(window.Opens)), ("doubtPct", Members.SetDoubt * 100), ("members", BandMembers)).And(Source.AstmC1074));
        }
    }

    private static void ExplainSheen(SlabHistory newest, ConcreteMix mix, Length depth, Gate gate) => gate.Add(Explanation.For(
        WhyCode.Sheen, "", newest.SheenGone is { } gone ? (gone - newest.WaterAdded).TotalHours : 0, Source.SitePractice,
        ("bleedsKgM2", Bleeding.Of(mix, depth.Metres).Whole), ("waterKg", mix.WaterKgPerM3), ("depthMm", depth.Millimetres), ("waterCement", mix.WaterCement ?? 0),
        ("sheenKgM2", Bleeding.SheenKgM2), ("deficitKgM2H", newest.Marks.PeakDeficitKgM2H)).And(Source.Uno1998));

    private static void ExplainSet(DayReport day, ConcreteMix mix, PourSchedule schedule, Gate gate)
    {
        if (day.InitialSet is { } first)
        {
            gate.Add(Explanation.For(
                WhyCode.FirstSetOnSite, "", (first - day.Start).TotalHours, Source.AstmC1074, ("setH", mix.ToInitialSet.TotalHours), ("mixC", day.MixC)));
        }

        if (day.FinalSet is { } final)
        {
            var age = final - schedule.Batches[^1].WaterAdded;
            gate.Add(Explanation.For(
                WhyCode.FinalSetOnSite, "", age.TotalHours, Source.AstmC1074, ("setH", mix.ToFinalSet.TotalHours), ("mixC", day.MixC)));
        }

        gate.Add(Explanation.For(
            WhyCode.DoneBy, "", (day.DoneBy - day.Start).TotalHours, Source.Aci302,
            ("zones", day.Zones.Count), ("mixingMin", (day.MixingEnds - day.Start).TotalMinutes)));
    }

    /// <summary>All zones as one: a pass opens with its first zone and closes with its last.</summary>
    private static List<PassReport> Together(List<ZoneReport> zones) =>
    [
        .. zones.SelectMany(z => z.Passes).GroupBy(p => p.Pass).OrderBy(g => g.Key).Select(g => new PassReport(
            g.Key, g.Min(p => p.Opens), g.Max(p => p.Closes), g.Min(p => p.OpensEarliest), g.Min(p => p.OpensLatest), g.Max(p => p.ClosesEarliest), g.Max(p => p.ClosesLatest),
            g.Min(p => p.Begins), g.Sum(p => p.WorkMin), null)),
    ];

    private static List<HourReport> Hours(SlabHistory slab, HourlyWeather weather, Microclimate site, Instant start, Instant until)
    {
        var hours = new List<HourReport>();
        for (var at = Instant.FromUnixTimeSeconds((start.ToUnixTimeSeconds() / 3600) * 3600); at <= until + Duration.FromHours(1); at += Duration.FromHours(1))
        {
            var h = weather.At(at);
            var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours));
            var evaporation = Evaporation.Uno(slab.TemperatureAt(at), air.AirC, air.Humidity, air.WindKmh);
            hours.Add(new HourReport(at, air.AirC, air.Humidity, h.WindKmh, air.SunWm2, h.RainChance, h.RainMm, evaporation));
        }

        return hours;
    }

    /// <summary>The day as it goes if nothing is off: zone by zone, by its oldest and its youngest batch.</summary>
    private sealed class BestGuess
    {
        private readonly DayPour pour;
        private readonly double mixC;
        private readonly Instant start;
        private readonly HourlyWeather weather;
        private readonly ISlabModel model;
        private readonly PassSpan[][] spans;

        // Zones of one depth, ground and age have one history; it is followed once.
        private readonly Dictionary<(Length Depth, bool OnGround, double WaterH), SlabHistory> known = [];

        public BestGuess(DayPour pour, double mixC, Instant start, HourlyWeather weather, ISlabModel model)
        {
            (this.pour, this.mixC, this.start, this.weather, this.model) = (pour, mixC, start, weather, model);
            spans = [.. Enumerable.Range(0, pour.Zones.Length).Select(Spans)];
            var tasks = Enumerable.Range(0, pour.Zones.Length).SelectMany(z => pour.Zones[z].Rules.Select((r, p) => (z, p, r)))
                .Where(t => t.r.PaceM2H > 0 && spans[t.z][t.p].IsReached)
                .Select(t => new PassTask(t.z, t.p, spans[t.z][t.p].OpensH, spans[t.z][t.p].ClosesH, pour.Zones[t.z].AreaM2 / t.r.PaceM2H)).ToArray();
            PassCrew.Schedule(tasks, pour.Crew.Hands, PassCrew.FreeWhileMixing(pour.Crew), pour.MixingEndsH, new int[tasks.Length]);
            Tasks = [.. tasks];
        }

        public ImmutableArray<PassTask> Tasks { get; }

        public PassSpan Span(int zone, int pass) => spans[zone][pass];

        public PassTask? TaskOf(int zone, int pass)
        {
            foreach (var task in Tasks)
            {
                if (task.Zone == zone && task.Pass == pass)
                {
                    return task;
                }
            }

            return null;
        }

        public ZonePour Pour(int zone, bool oldest)
        {
            var z = pour.Zones[zone];
            var (water, placed) = oldest ? (z.OldestWaterH, z.FirstPlacedH) : (z.YoungestWaterH, z.PlacedH);
            return new ZonePour(pour.Mix, z.Depth, mixC, start + Duration.FromHours(water))
            {
                ToPlaced = Duration.FromHours(placed - water),
                OnGround = z.OnGround,
                Cover = pour.Cover,
                NightCoverM2KPerW = pour.NightCoverM2KPerW,
                Site = pour.Site,
            };
        }

        public SlabHistory History(int zone, bool oldest)
        {
            var z = pour.Zones[zone];
            var key = (z.Depth, z.OnGround, oldest ? z.OldestWaterH : z.YoungestWaterH);
            if (!known.TryGetValue(key, out var history))
            {
                // A day is enough, unless it is cold.
                var one = Pour(zone, oldest);
                history = model.Follow(one, weather, FollowFirst);
                if (history.WhenEquivalentHours(one.Mix.ToFinalSet.TotalHours * LatestOverFinal) is null)
                {
                    history = model.Follow(one, weather, DayPaths.Sight);
                }

                known.Add(key, history);
            }

            return history;
        }

        private PassSpan[] Spans(int zone)
        {
            var z = pour.Zones[zone];
            var clock = new PassClock(z.Rules, pour.Mix);
            var (old, young) = (History(zone, oldest: true), History(zone, oldest: false));
            double[] oldReached = Reached(old, clock), youngReached = Reached(young, clock);
            var course = new ZoneCourse
            {
                OldestWaterH = z.OldestWaterH,
                YoungestWaterH = z.YoungestWaterH,
                FirstPlacedH = z.FirstPlacedH,
                PlacedH = z.PlacedH,
                OldestReachedH = oldReached,
                YoungestReachedH = youngReached,
                Oldest = old.Marks,
                Youngest = young.Marks,
                SheenFactor = 1,
            };
            var found = new PassSpan[z.Rules.Length];
            for (var p = 0; p < found.Length; p++)
            {
                found[p] = clock.Span(p, course);
            }

            return found;
        }

        private static double[] Reached(SlabHistory history, PassClock clock)
        {
            var reached = new double[clock.Ages.Length];
            for (var i = 0; i < reached.Length; i++)
            {
                reached[i] = history.WhenEquivalentHours(clock.Ages[i]) is { } at ? (at - history.WaterAdded).TotalHours : double.PositiveInfinity;
            }

            return reached;
        }
    }
}
