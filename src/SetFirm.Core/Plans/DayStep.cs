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

/// <summary>A pour day worked out, with the history that the cure goes on from.</summary>
internal sealed record PlannedDay(DayReport Report, PourSchedule Schedule, ZonePour Youngest, Duration JointLimit);

/// <summary>From batches, a start and the weather to pass windows.</summary>
internal static class DayStep
{
    /// <summary>Passes and final set lie within this, or it is too cold to finish.</summary>
    private static readonly Duration FollowZones = Duration.FromHours(48);

    private static readonly Duration FollowFirst = Duration.FromHours(20);

    /// <summary>No pass closes later than this many times final set, at its slowest.</summary>
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

    public static PlannedDay Plan(
        JobDocument job, PlannedShape shape, Recipe recipe, PlannedLoad load, Instant start, HourlyWeather weather, ISlabModel model, Gate gate)
    {
        var mix = recipe.Mix;
        var schedule = load.Schedule(start);
        var airC = weather.At(start).AirC;
        var mixC = MixTemperature(mix, airC, job.Mixing.WaterC, gate);
        var cover = CoverOf(job.Cure.Method);
        ZonePour Pour(PlannedElement element, BatchTime batch) => new(mix, element.Cast.Depth, mixC, batch.WaterAdded)
        {
            ToPlaced = batch.Placed - batch.WaterAdded,
            OnGround = element.Said.Traits.OnGround,
            Cover = cover,
        };
        var histories = new ZoneHistories(Pour, weather, model);
        var zones = ZonesOf(shape, mix, load, schedule, histories, gate);
        var jointLimit = DayChecks.Joint(mix, mixC, schedule, load, job, weather, gate);
        var last = shape.Elements[^1];
        var youngest = Pour(last, schedule.Batches[^1]);
        var first = histories.Of(shape.Elements[0], schedule.Batches[0]);
        var newest = histories.Of(last, schedule.Batches[^1]);
        var initialSet = first.WhenEquivalentHours(mix.ToInitialSet.TotalHours);
        var finalSet = newest.WhenEquivalentHours(mix.ToFinalSet.TotalHours);
        var passes = Together(zones);
        var doneBy = passes.Count == 0 ? schedule.MixingEnds : passes.Max(p => p.Closes);
        var until = Instant.Max(finalSet ?? start + FollowZones, doneBy);
        var hours = Hours(first, weather, start, until);
        var report = new DayReport(
            start,
            schedule.MixingEnds,
            doneBy,
            mixC,
            initialSet,
            finalSet,
            weather.RainChance(start, finalSet ?? start + FollowZones),
            hours.Where(h => h.At < (finalSet ?? until)).Max(h => h.EvaporationKgM2H),
            Evaporation.CareKgPerM2H,
            Evaporation.ActKgPerM2H,
            zones,
            passes,
            hours);
        ExplainSet(report, mix, schedule, gate);
        ExplainSheen(newest, mix, last.Cast.Depth, gate);
        DayChecks.Weather(report, mix, weather, job, gate);
        DayChecks.Water(mix, airC, mixC, job, hours.Min(h => h.AirC), gate);
        DayChecks.Hands(report, mix, job, weather, gate);
        return new PlannedDay(report, schedule, youngest, jointLimit);
    }

    /// <summary>Materials stand out overnight: they are as warm as the air when mixing begins.</summary>
    public static double MixTemperature(ConcreteMix mix, double airC, double waterC) => FreshTemperature.Of(
        new HeatPart(mix.SolidsKgPerM3, airC, FreshTemperature.SolidsKjPerKgK),
        new HeatPart(mix.WaterKgPerM3, waterC, FreshTemperature.WaterKjPerKgK));

    private static double MixTemperature(ConcreteMix mix, double airC, double waterC, Gate gate)
    {
        var sound = gate.InRange("/mixing/waterC", waterC, 0, DayChecks.HottestWaterC, "C");
        var water = sound ? waterC : Math.Clamp(double.IsNaN(waterC) ? airC : waterC, 0, DayChecks.HottestWaterC);
        var mixC = MixTemperature(mix, airC, water);
        gate.Add(Explanation.For(
            WhyCode.MixTemperature, "", mixC, Source.Aci305,
            ("solidsKg", mix.SolidsKgPerM3), ("solidsC", airC), ("waterKg", mix.WaterKgPerM3), ("waterC", water)));
        return mixC;
    }

    private static SlabCover CoverOf(CuringMethod method) => method switch
    {
        CuringMethod.Plastic or CuringMethod.BurlapUnderPlastic => SlabCover.Shut,
        CuringMethod.Bare or CuringMethod.Burlap => SlabCover.KeptWet,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static List<ZoneReport> ZonesOf(
        PlannedShape shape, ConcreteMix mix, PlannedLoad load, PourSchedule schedule, ZoneHistories histories, Gate gate)
    {
        var zones = new List<ZoneReport>();
        foreach (var zone in Zones.Cut(load.Batches, schedule, [.. shape.Elements.Select(s => s.PourL)], mix.ToInitialSet))
        {
            var element = shape.Elements[zone.Element];
            var (first, last) = (schedule.Batches[zone.FirstBatch], schedule.Batches[zone.LastBatch]);
            var (oldest, youngest) = (histories.Of(element, first), histories.Of(element, last));
            var number = zones.Count + 1;
            var passes = new List<PassReport>();
            foreach (var rule in Finishes.Chain(element.Said.Finish, mix.Family == MixFamily.Rapid))
            {
                // Striking off follows the batches as they come; everything after waits until the zone is full.
                var placed = rule.Pass == Pass.StrikeOff ? first.Placed : last.Placed;
                if (PassWindows.Of(rule, oldest, youngest, placed, mix.ToInitialSet) is { } window)
                {
                    passes.Add(new PassReport(
                        window.Pass, window.Opens, window.Closes, window.OpensEarliest, window.OpensLatest, window.ClosesEarliest, window.ClosesLatest));
                    Explain(rule, mix, number, youngest, window, gate);
                }
            }

            zones.Add(new ZoneReport(number, element.Index, first.Number, last.Number, last.Placed, youngest.SheenGone, youngest.PeakDeficitKgM2H, passes));
        }

        return zones;
    }

    private static void Explain(PassRule rule, ConcreteMix mix, int zone, SlabHistory youngest, PassWindow window, Gate gate)
    {
        if (zone == 1)
        {
            gate.Add(Explanation.For(
                WhyCode.PassWindow, Gate.CamelCase(rule.Pass.ToString()), youngest.EquivalentHoursAt(window.Opens), Source.Aci302,
                ("opensAt", rule.Opens), ("closesAt", rule.Closes), ("initialSetH", mix.ToInitialSet.TotalHours),
                ("concreteC", youngest.TemperatureAt(window.Opens)), ("doubtPct", PassWindows.SetDoubt * 100)).And(Source.AstmC1074));
        }
    }

    private static void ExplainSheen(SlabHistory newest, ConcreteMix mix, Length depth, Gate gate) => gate.Add(Explanation.For(
        WhyCode.Sheen, "", newest.SheenGone is { } gone ? (gone - newest.WaterAdded).TotalHours : 0, Source.SitePractice,
        ("bleedsKgM2", Bleeding.Of(mix, depth.Metres).Whole), ("waterKg", mix.WaterKgPerM3), ("depthMm", depth.Millimetres), ("waterCement", mix.WaterCement ?? 0),
        ("sheenKgM2", Bleeding.SheenKgM2), ("deficitKgM2H", newest.PeakDeficitKgM2H)).And(Source.Uno1998));

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
            g.Key, g.Min(p => p.Opens), g.Max(p => p.Closes), g.Min(p => p.OpensEarliest), g.Min(p => p.OpensLatest), g.Max(p => p.ClosesEarliest), g.Max(p => p.ClosesLatest))),
    ];

    private static List<HourReport> Hours(SlabHistory slab, HourlyWeather weather, Instant start, Instant until)
    {
        var hours = new List<HourReport>();
        for (var at = Instant.FromUnixTimeSeconds((start.ToUnixTimeSeconds() / 3600) * 3600); at <= until + Duration.FromHours(1); at += Duration.FromHours(1))
        {
            var h = weather.At(at);
            var evaporation = Evaporation.Uno(slab.TemperatureAt(at), h.AirC, h.Humidity, h.SlabWindKmh);
            hours.Add(new HourReport(at, h.AirC, h.Humidity, h.WindKmh, h.SunWm2, h.RainChance, h.RainMm, evaporation));
        }

        return hours;
    }

    /// <summary>Zones of one depth, ground and age have one history; it is followed once.</summary>
    private sealed class ZoneHistories(Func<PlannedElement, BatchTime, ZonePour> pour, HourlyWeather weather, ISlabModel model)
    {
        private readonly Dictionary<(Length Depth, bool OnGround, Instant WaterAdded), SlabHistory> known = [];

        public SlabHistory Of(PlannedElement element, BatchTime batch)
        {
            var key = (element.Cast.Depth, element.Said.Traits.OnGround, batch.WaterAdded);
            if (!known.TryGetValue(key, out var history))
            {
                // A day is enough, unless it is cold.
                var zone = pour(element, batch);
                history = model.Follow(zone, weather, FollowFirst);
                if (history.WhenEquivalentHours(zone.Mix.ToFinalSet.TotalHours * LatestOverFinal) is null)
                {
                    history = model.Follow(zone, weather, FollowZones);
                }

                known.Add(key, history);
            }

            return history;
        }
    }
}
