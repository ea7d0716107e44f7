using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>From a task and the weather to the windows of its passes.</summary>
public static class DayPlanner
{
    /// <summary>Members that the bands of a plan are made of; the ranking of starts takes more.</summary>
    public const int BandMembers = 40;

    /// <summary>A pour of one day is shown from a history of so long; a longer one is followed as far as any.</summary>
    private static readonly Duration FollowShort = Duration.FromHours(20);

    private static readonly HeatBalanceSlab Fine = new();
    private static readonly HeatBalanceSlab Coarse = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    /// <summary>The model that hundreds of paths are followed with.</summary>
    public static ISlabModel ManyPaths => Coarse;

    /// <param name="task">As said.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static DayPlan Plan(PourTask task, HourlyWeather weather, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(weather);
        ArgumentNullException.ThrowIfNull(remarks);
        var (start, load) = (task.StartsAt, task.Load);
        var (fine, coarse) = (new WatchedSlab(Fine, remarks.Budget), new WatchedSlab(Coarse, remarks.Budget));
        var (schedule, pour, away) = Settled.Of(task, load, weather, start, coarse);
        LoadAdvice.CheckDay(load, task.Recipe, l => PourSchedule.Of(l, start, away.AsSpan()).Mixing, task.At.Mixing, remarks);
        var asForeseen = new Member(weather, 1, 1);
        var best = new DaySimulation(pour, fine, Closeness.Ends);
        var outcome = best.Run(asForeseen, start);
        var paths = new DaySimulation(pour, coarse);
        var members = Members.Of(weather, BandMembers);
        var bands = new PassBands(paths, asForeseen, start, members.Count);
        var judge = new DayJudge(pour, weather, schedule.JointAge);
        var odds = judge.Odds(start, members, paths, bands.Take);
        var (airC, mixC) = (judge.AirC(weather, start), judge.MixC(weather, start));
        var zones = Zones(task, load, schedule, pour, best, bands, start);
        ImmutableArray<PassTask> tasks = [.. best.Tasks.ToArray().Where(t => best.Spans[best.FirstSpanOf(t.Zone) + t.Pass].IsReached)];
        var doneBy = start + Duration.FromHours(Math.Max(pour.MixingEndsH, tasks.IsEmpty ? 0 : tasks.Max(t => t.EndsH)));
        Instant? Reached(double hours) => hours <= DaySimulation.Sight.TotalHours ? start + Duration.FromHours(hours) : null;
        var finalSet = Reached(best.Zones[^1].FinalSetH);
        var until = Instant.Max(finalSet ?? start + DaySimulation.Sight, doneBy);
        var first = pour.Zones[0];
        SlabHistory History(double waterH, double placedH) =>
            fine.Follow(pour.At(first, waterH, placedH, pour.Mix, mixC, start), weather, until - start < FollowShort ? FollowShort : DaySimulation.Sight);
        var oldest = History(first.OldestWaterH, first.FirstPlacedH);
        var youngest = first.YoungestWaterH == first.OldestWaterH ? oldest : History(first.YoungestWaterH, first.PlacedH);
        var last = pour.Zones[^1];
        // A compound is sprayed on at once; anything that is laid waits until it leaves no mark.
        var takesCover = youngest.WhenEquivalentHours(ZonePour.TakesCoverAt * pour.Mix.ToInitialSet.TotalHours) ?? doneBy;
        var coverFrom = Wetting.SprayedOn(task.Method) ? doneBy : Instant.Max(doneBy, takesCover);
        var plan = new DayPlan(
            pour, start, schedule, Temperature.FromCelsius(mixC), Temperature.FromCelsius(airC), Reached(best.Zones[0].InitialSetH), finalSet, doneBy, coverFrom,
            pour.Site.UnderSky ? weather.RainChance(start, finalSet ?? start + DaySimulation.Sight) : 0,
            outcome, odds, start >= weather.Start && (finalSet ?? doneBy) <= weather.End, judge.JointLimit(mixC), judge.Light(start), zones, tasks,
            Hours(oldest, weather, pour.Site, start, until),
            pour.At(last, last.YoungestWaterH, last.PlacedH, pour.Mix, mixC, start));
        Explain(plan, task, youngest, remarks);
        new DayAdvice(plan, task, weather, judge, remarks).Check();
        return plan;
    }

    /// <summary>What comes of a pour if nothing is off, as closely as many paths are followed.</summary>
    public static DayOutcome WhatIf(DayPour pour, HourlyWeather weather, Instant start, Budget budget) => new DaySimulation(pour, new WatchedSlab(Coarse, budget)).Run(new Member(weather, 1, 1), start);

    /// <summary>The same for a task with other batches, or another start.</summary>
    public static DayOutcome WhatIf(PourTask task, LoadPlan load, HourlyWeather weather, Instant start, Budget budget) =>
        WhatIf(Settled.Of(task, load, weather, start, new WatchedSlab(Coarse, budget)).Pour, weather, start, budget);

    private static ImmutableArray<ZonePlan> Zones(
        PourTask task, LoadPlan load, PourSchedule schedule, DayPour pour, DaySimulation best, PassBands bands, Instant start)
    {
        var cut = DayPour.Cut(task, load, schedule);
        var cap = DaySimulation.Sight.TotalHours;
        Instant At(double hours) => start + Duration.FromHours(Math.Min(hours, cap));
        var zones = ImmutableArray.CreateBuilder<ZonePlan>(cut.Length);
        for (var z = 0; z < cut.Length; z++)
        {
            var (first, last) = (schedule.Batches[cut[z].FirstBatch], schedule.Batches[cut[z].LastBatch]);
            var passes = ImmutableArray.CreateBuilder<PassPlan>();
            for (var p = 0; p < pour.Zones[z].Rules.Length; p++)
            {
                var span = best.Spans[best.FirstSpanOf(z) + p];
                if (!span.IsReached || span.ClosesH > cap)
                {
                    continue; // too cold to get so far
                }

                var rule = pour.Zones[z].Rules[p];
                var strikeOff = rule.Pass == Pass.StrikeOff;
                var band = bands.Of(z, p, span, strikeOff ? pour.Zones[z].FirstPlacedH : pour.Zones[z].StruckOffH);
                // Hours are rounded on the way; what lies there opens nothing sooner.
                var placed = strikeOff ? first.Placed : last.StruckOff;
                Instant Placed(double hours) => Instant.Max(placed, At(hours));
                PassTask? made = null;
                foreach (var t in best.Tasks)
                {
                    made = t.Zone == z && t.Pass == p ? t : made;
                }

                passes.Add(new PassPlan(
                    rule.Pass, Placed(span.OpensH), Placed(span.ClosesH), Placed(band.OpensEarly), Placed(band.OpensLate), Placed(band.ClosesEarly), Placed(band.ClosesLate),
                    made is { } b ? At(b.BeginsH) : null, Duration.FromHours(made?.WorkH ?? 0), made?.Hand, made?.Hands ?? 0));
            }

            var outcome = best.Zones[z];
            zones.Add(new ZonePlan(
                z + 1, task.Elements[cut[z].Element].Index, first.Number, last.Number, last.Placed,
                outcome.SheenGoneH is { } gone ? start + Duration.FromHours(gone) : null, outcome.PeakDeficitKgM2H, passes.ToImmutable()));
        }

        return zones.MoveToImmutable();
    }

    private static ImmutableArray<DayHour> Hours(SlabHistory slab, HourlyWeather weather, Microclimate site, Instant start, Instant until)
    {
        var hours = ImmutableArray.CreateBuilder<DayHour>();
        for (var at = Instant.FromUnixTimeSeconds((start.ToUnixTimeSeconds() / 3600) * 3600); at <= until + Duration.FromHours(1); at += Duration.FromHours(1))
        {
            var h = weather.At(at);
            var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours));
            var evaporation = Evaporation.Uno(slab.TemperatureAt(at), air.AirC, air.Humidity, air.WindKmh);
            hours.Add(new DayHour(at, Temperature.FromCelsius(air.AirC), air.Humidity, h.WindKmh, air.SunWm2, h.RainChance, h.RainMm, evaporation));
        }

        return hours.ToImmutable();
    }

    private static void Explain(DayPlan plan, PourTask task, SlabHistory youngest, Remarks remarks)
    {
        var (mix, mixC) = (plan.Pour.Mix, plan.Mix.Celsius);
        if (plan.Pour.WaterC is { } waterC)
        {
            remarks.Why(new Why.MixTemperature(SolidsKg: mix.SolidsKgPerM3, SolidsC: plan.Air.Celsius, WaterKg: mix.WaterKgPerM3, WaterC: waterC), mixC, Source.Aci305);
        }

        foreach (var (rule, window) in plan.Pour.Zones[0].Rules.SelectMany(r => plan.Zones[0].Passes.Where(p => p.Pass == r.Pass).Select(p => (r, p))))
        {
            var why = new Why.PassWindow(
                OpensAt: rule.Opens, ClosesAt: rule.Closes, InitialSetH: mix.ToInitialSet.TotalHours, ConcreteC: youngest.TemperatureAt(window.Opens),
                DoubtPct: Members.SetDoubt * 100, Members: BandMembers);
            remarks.WhyOf(
                System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(rule.Pass.ToString()), why, youngest.EquivalentHoursAt(window.Opens), Source.Aci302, Source.AstmC1074);
        }

        var (depth, newest) = (task.Elements[^1].Depth, plan.Zones[^1]);
        remarks.Why(
            new Why.Sheen(
                BleedsKgM2: Bleeding.Of(mix, depth.Metres).Whole, WaterKg: mix.WaterKgPerM3, DepthMm: depth.Millimetres, WaterCement: mix.WaterCement ?? 0,
                SheenKgM2: Bleeding.SheenKgM2, DeficitKgM2H: newest.PeakDeficitKgM2H),
            newest.SheenGone is { } gone ? (gone - plan.Youngest.WaterAdded).TotalHours : 0, Source.SitePractice, Source.Uno1998);
        if (plan.InitialSet is { } set)
        {
            remarks.Why(new Why.FirstSetOnSite(SetH: mix.ToInitialSet.TotalHours, MixC: mixC), (set - plan.Start).TotalHours, Source.AstmC1074);
        }

        if (plan.FinalSet is { } final)
        {
            remarks.Why(new Why.FinalSetOnSite(SetH: mix.ToFinalSet.TotalHours, MixC: mixC), (final - plan.Youngest.WaterAdded).TotalHours, Source.AstmC1074);
        }

        remarks.Why(
            new Why.DoneBy(Zones: plan.Zones.Length, MixingMin: plan.Schedule.Mixing.TotalMinutes), (plan.DoneBy - plan.Start).TotalHours, Source.Aci302);
        if (!plan.Foreseen)
        {
            return;
        }

        remarks.Why(new Why.StartChance(Members: BandMembers, SetDoubtPct: Members.SetDoubt * 100), plan.Odds.Chance * 100, Source.SitePractice, Source.Aci305);
    }
}
