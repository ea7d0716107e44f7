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

    /// <summary>And those of a day under way, where one pour is planned and not a job with every key.</summary>
    public const int BoardMembers = 200;

    /// <summary>A pour of one day is shown from a history of so long; a longer one is followed as far as any.</summary>
    private static readonly Duration FollowShort = Duration.FromHours(20);

    private static readonly HeatBalanceSlab Fine = new();
    private static readonly HeatBalanceSlab Coarse = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    /// <summary>The model that hundreds of paths are followed with.</summary>
    public static ISlabModel ManyPaths => Coarse;

    /// <param name="task">As said.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    /// <param name="facts">What was told of the day; null while nothing is.</param>
    public static DayPlan Plan(PourTask task, HourlyWeather weather, Remarks remarks, DayFacts? facts = null)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(weather);
        ArgumentNullException.ThrowIfNull(remarks);
        var (fine, coarse) = (new WatchedSlab(Fine, remarks.Budget), new WatchedSlab(Coarse, remarks.Budget));
        var load = facts?.Hands is { } hands ? task.Load.With(task.Load.Crew with { Hands = hands }) : task.Load;
        var (start, schedule, pour, away, retimed) = Known(task, load, weather, facts, fine, coarse);
        if (facts is null)
        {
            LoadAdvice.CheckDay(load, task.Recipe, l => PourSchedule.Of(l, start, away.AsSpan()).Mixing, task.At.Mixing, remarks);
        }

        var progress = facts is null ? null : new DayProgress(facts, pour, start);
        var asForeseen = retimed?.Likeliest(weather) ?? new Member(weather, 1, 1);
        var best = new DaySimulation(pour, fine, Closeness.Ends, progress: progress);
        var outcome = best.Run(asForeseen, start);
        var judge = new DayJudge(pour, weather, schedule.JointAge);
        var count = remarks.Budget.Members(retimed is null ? BandMembers : BoardMembers);
        var doubt = new DayDoubt(count, () =>
        {
            var paths = new DaySimulation(pour, coarse, progress: progress);
            var bands = new PassBands(paths, asForeseen, start, count, facts is null ? task.PaceDoubt : 0);
            var members = retimed is null ? Members.Of(weather, count) : Members.Of(weather, count, retimed.Set, retimed.Sheen);
            return (judge.Odds(start, members, paths, bands.Take), bands);
        });
        var (airC, mixC) = (judge.AirC(weather, start), judge.MixC(weather, start));
        var zones = Zones(task, load, schedule, pour, best, doubt, start, facts, progress);
        ImmutableArray<PassTask> tasks = [.. best.Tasks.ToArray().Where(t => best.Spans[best.FirstSpanOf(t.Zone) + t.Pass].IsReached)];
        var doneBy = start + Duration.FromHours(progress is null
            ? Math.Max(pour.MixingEndsH, tasks.IsEmpty ? 0 : tasks.Max(t => t.EndsH))
            : Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours));
        Instant? Reached(double hours) => hours <= DaySimulation.Sight.TotalHours ? start + Duration.FromHours(hours) : null;
        var finalSet = Reached(best.Zones[^1].FinalSetH);
        var until = Instant.Max(finalSet ?? start + DaySimulation.Sight, doneBy);
        var first = pour.Zones[0];
        SlabHistory History(double waterH, double placedH) =>
            fine.Follow(pour.At(first, waterH, placedH, pour.Mix, mixC, start), weather, until - start < FollowShort ? FollowShort : DaySimulation.Sight);
        var youngest = History(first.YoungestWaterH, first.PlacedH);
        SlabHistory Oldest() => first.YoungestWaterH == first.OldestWaterH ? youngest : History(first.OldestWaterH, first.FirstPlacedH);
        var last = pour.Zones[^1];
        // A compound is sprayed on at once; anything that is laid waits until it leaves no mark.
        var takesCover = youngest.WhenEquivalentHours(ZonePour.TakesCoverAt * pour.Mix.ToInitialSet.TotalHours) ?? doneBy;
        var coverFrom = Wetting.SprayedOn(task.Method) ? doneBy : Instant.Max(doneBy, takesCover);
        var plan = new DayPlan(
            pour, start, schedule, Temperature.FromCelsius(mixC), Temperature.FromCelsius(airC), Reached(best.Zones[0].InitialSetH), finalSet, doneBy, coverFrom,
            pour.Site.UnderSky ? weather.RainChance(start, finalSet ?? start + DaySimulation.Sight) : 0,
            outcome, doubt, start >= weather.Start && (finalSet ?? doneBy) <= weather.End, judge.JointLimit(mixC), judge.Light(start), zones, tasks,
            AirRange(weather, pour.Site, start, until), new(() => Hours(Oldest(), weather, pour.Site, start, until)),
            pour.At(last, last.YoungestWaterH, last.PlacedH, retimed is null ? pour.Mix : pour.Mix.Setting(Math.Exp(retimed.Set.Zones[^1].Mean)), mixC, start))
        {
            Retimed = retimed,
            Facts = facts,
            Planned = facts?.Plan ?? PlanOf(task, load, schedule, zones, start, doneBy),
            LastChange = retimed is null ? null : SignEffects.Of(task, weather, facts!, fine, coarse, zones, retimed),
        };
        DayReasons.Explain(plan, task, youngest, remarks);
        if (facts is not null)
        {
            // What a plan may still decide is past: what can be done now is told of the board.
            DayReasons.ExplainSigns(plan, remarks);
            (double, Instant) WithHands(int h)
            {
                var (begins, rounds, more, _, timed) = Known(task, task.Load.With(task.Load.Crew with { Hands = h }), weather, facts, fine, coarse);
                var would = new DaySimulation(more, coarse, progress: new DayProgress(facts, more, begins)).Run(timed!.Likeliest(weather), begins);
                return (would.LateH, rounds.MixingEnds);
            }

            return plan with { Ahead = new BoardAdvice(plan, task, weather, judge, WithHands).Check() };
        }

        new DayAdvice(plan, task, weather, judge, remarks).Check();
        return plan;
    }

    // The batches as they go, and what the signs say of the clock.
    internal static (Instant Start, PourSchedule Schedule, DayPour Pour, ImmutableArray<Away> Away, Retiming? Retimed) Known(
        PourTask task, LoadPlan load, HourlyWeather weather, DayFacts? facts, ISlabModel fine, ISlabModel coarse)
    {
        if (facts is null)
        {
            var planned = Settled.Of(task, load, weather, task.StartsAt, coarse);
            return (task.StartsAt, planned.Schedule, planned.Pour, planned.Away, null);
        }

        IReadOnlyList<PlannedBatch> batches = facts.Plan is { } plan && plan.Batches.Count == load.Batches.Units.Length
            ? plan.Batches
            : [.. PourSchedule.Of(task.Load, task.StartsAt).Batches.Select(b => new PlannedBatch(b.Begun, b.Placed))];
        var start = facts.Start(task, batches);
        var (schedule, pour, away) = Settled.Of(task, load, weather, start, coarse, facts, batches);
        return (start, schedule, pour, away, Retiming.Of(pour, fine, weather, start, facts, facts.SoFar(batches)));
    }

    private static PlanOfDay PlanOf(PourTask task, LoadPlan load, PourSchedule schedule, ImmutableArray<ZonePlan> zones, Instant start, Instant doneBy)
    {
        var cut = DayPour.Cut(task, load, schedule);
        return new PlanOfDay
        {
            Start = start,
            MixingEnds = schedule.MixingEnds,
            DoneBy = doneBy,
            Batches = [.. schedule.Batches.Select(b => new PlannedBatch(b.Begun, b.Placed))],
            Zones =
            [
                .. zones.Select((z, i) => new PlannedZone(
                    z.Element, z.FirstBatch, z.LastBatch, cut[i].From, cut[i].To, z.SheenGone, [.. z.Passes.Select(p => new PlannedPass(p.Pass, p.Opens, p.Closes, p.Begins))])),
            ],
        };
    }

    /// <summary>What comes of a pour if nothing is off, as closely as many paths are followed.</summary>
    public static DayOutcome WhatIf(DayPour pour, HourlyWeather weather, Instant start, Budget budget) => new DaySimulation(pour, new WatchedSlab(Coarse, budget)).Run(new Member(weather, 1, 1), start);

    /// <summary>The same for a task with other batches, or another start.</summary>
    public static DayOutcome WhatIf(PourTask task, LoadPlan load, HourlyWeather weather, Instant start, Budget budget) =>
        WhatIf(Settled.Of(task, load, weather, start, new WatchedSlab(Coarse, budget)).Pour, weather, start, budget);

    private static ImmutableArray<ZonePlan> Zones(
        PourTask task, LoadPlan load, PourSchedule schedule, DayPour pour, DaySimulation best, DayDoubt doubt, Instant start, DayFacts? facts, DayProgress? progress)
    {
        var cut = DayPour.Cut(task, load, schedule, facts);
        var cap = DaySimulation.Sight.TotalHours;
        Instant At(double hours) => start + Duration.FromHours(Math.Min(hours, cap));
        Instant? Told(double hours) => double.IsNaN(hours) ? null : start + Duration.FromHours(hours);
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
                // Hours are rounded on the way; what lies there opens nothing sooner.
                var placed = strikeOff ? first.Placed : last.StruckOff;
                Instant Placed(double hours) => Instant.Max(placed, At(hours));
                PassTask? made = null;
                foreach (var t in best.Tasks)
                {
                    made = t.Zone == z && t.Pass == p ? t : made;
                }

                passes.Add(new PassPlan(
                    rule.Pass, Placed(span.OpensH), Placed(span.ClosesH),
                    made is { } b ? At(b.BeginsH) : null, Duration.FromHours(made?.WorkH ?? 0), made?.Hand, made?.Hands ?? 0)
                {
                    Band = doubt.Band(z, p, span, strikeOff ? pour.Zones[z].FirstPlacedH : pour.Zones[z].StruckOffH, Placed),
                    Begun = progress is null ? null : Told(progress.BegunH(z, p)),
                    Done = progress is null ? null : Told(progress.DoneH(z, p)),
                });
            }

            var outcome = best.Zones[z];
            zones.Add(new ZonePlan(
                z + 1, task.Elements[cut[z].Element].Index, first.Number, last.Number, last.Placed,
                outcome.SheenGoneH is { } gone ? start + Duration.FromHours(gone) : null, outcome.PeakDeficitKgM2H, passes.ToImmutable()));
        }

        return zones.MoveToImmutable();
    }

    private static IEnumerable<Instant> FullHours(Instant start, Instant until)
    {
        for (var at = Instant.FromUnixTimeSeconds((start.ToUnixTimeSeconds() / 3600) * 3600); at <= until + Duration.FromHours(1); at += Duration.FromHours(1))
        {
            yield return at;
        }
    }

    private static (Temperature Least, Temperature Most) AirRange(HourlyWeather weather, Microclimate site, Instant start, Instant until)
    {
        var (least, most) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var at in FullHours(start, until))
        {
            var airC = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC;
            (least, most) = (Math.Min(least, airC), Math.Max(most, airC));
        }

        return (Temperature.FromCelsius(least), Temperature.FromCelsius(most));
    }

    private static ImmutableArray<DayHour> Hours(SlabHistory slab, HourlyWeather weather, Microclimate site, Instant start, Instant until)
    {
        var hours = ImmutableArray.CreateBuilder<DayHour>();
        foreach (var at in FullHours(start, until))
        {
            var h = weather.At(at);
            var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours));
            var evaporation = Evaporation.Uno(slab.TemperatureAt(at), air.AirC, air.Humidity, air.WindKmh);
            hours.Add(new DayHour(at, Temperature.FromCelsius(air.AirC), air.Humidity, h.WindKmh, air.SunWm2, h.RainChance, h.RainMm, evaporation));
        }

        return hours.ToImmutable();
    }
}
