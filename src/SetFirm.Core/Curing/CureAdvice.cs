using System.Collections.Immutable;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Curing;

/// <summary>From the day to the weeks after: wetting, strength and dates, and what about them wants a decision.</summary>
public static class CureAdvice
{
    private static readonly Duration Sight = Duration.FromDays(60);
    private static readonly double[] CurveHours = [0, 6, 12, 18, 24, 36, .. Enumerable.Range(2, 27).Select(d => d * 24.0)];

    /// <summary>Members that the bands of strength and dates are made of.</summary>
    private const int BandMembers = 10;

    /// <summary>Members are followed until the curve ends.</summary>
    private static readonly Duration BandSight = Duration.FromDays(28);

    private const double Tenth = 0.1;

    /// <summary>So cold that a night counts as one with frost: forecasts are off by a degree or two, °C.</summary>
    private const double ColdNightC = 2;

    /// <summary>Colder air than this wants a cover while it cures, °C. ACI 308R, site practice.</summary>
    private const double ColdCureC = 5;

    /// <summary>Warmer than this through its first days it ends up to a tenth weaker, °C. Carino (crossover).</summary>
    private const double HotC = 25;

    private const int HotDays = 3;
    private const double MostHeatLossPct = 10;

    /// <summary>Dry for less is not told, hours.</summary>
    private const double LeastDryH = 0.5;

    /// <summary>A cover is looked at for so long after the hour in which it would freeze without.</summary>
    private static readonly Duration AfterFrost = Duration.FromHours(12);

    private static readonly HeatBalanceSlab Fine = new();
    private static readonly HeatBalanceSlab Coarse = new(stepsInHour: 1);

    /// <param name="said">How it is to be kept.</param>
    /// <param name="site">What is cured.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="told">What was told of the pour so far.</param>
    /// <param name="asOf">Now, where that matters; null before anything was poured.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static CurePlan Plan(CureSaid said, CureSite site, HourlyWeather weather, Told told, Instant? asOf, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(weather);
        ArgumentNullException.ThrowIfNull(told);
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.Budget.GoOn();
        var (mix, climate, wetFrom) = (site.Mix, site.Site, site.WetFrom);
        var probe = ProbeLog.Of(told);
        SlabHistory AsRead(SlabHistory model) => probe?.Of(model) ?? model;
        var history = AsRead(Fine.Follow(site.Youngest, weather, Sight));
        var advised = Advice(mix, history, weather, wetFrom, remarks);
        var days = said.Days ?? advised;
        var wetUntil = UpToHour(wetFrom + Duration.FromDays(days));
        var (evaporation, interval) = Rewetting(said.Method, climate, history, weather, wetFrom, days, remarks);
        var wetting = Wetted(said, climate, history, weather, wetFrom, wetUntil, told, asOf, remarks);
        var kept = history.EquivalentHoursAt(wetUntil);
        var wetHours = kept - wetting.Dry.Sum(d => history.EquivalentHoursAt(d.Until) - history.EquivalentHoursAt(d.From));
        CheckDays(days, advised, mix, kept, remarks);
        var firstDays = Enumerable.Range(1, HotDays * 24).Average(h => history.TemperatureAt(history.WaterAdded + Duration.FromHours(h)));
        if (mix.Family != MixFamily.Rapid && firstDays > HotC)
        {
            remarks.Note(Places.Cure.Self, new Notice.WeakerFromHeat(MeanC: firstDays, LimitC: HotC, MostLossPct: MostHeatLossPct));
        }

        var frozen = FrozenYoung(said, site, history, weather, remarks);
        CheckCold(said, weather, climate, wetFrom, Instant.Min(wetUntil, weather.End), remarks);
        var nights = Nights(mix, history, weather, climate, wetUntil);
        CheckNights(nights, said, site, weather, frozen, remarks);
        // Ten other ways for a month: only where somebody looks at the bands.
        var paths = new Lazy<(StrengthGain.StoppedCure Cure, SlabHistory History)[]>(() => Paths(site.Youngest, weather, wetUntil, wetHours / Math.Max(kept, 1e-9), AsRead));
        var (stopped, never, whole) = (new StrengthGain.StoppedCure(mix, wetHours), new StrengthGain.StoppedCure(mix, 0), new StrengthGain.StoppedCure(mix, kept));
        double At(double hours, StrengthGain.StoppedCure cure) => cure.At(history.EquivalentHoursAt(history.WaterAdded + Duration.FromHours(hours)));
        var lost = At(28 * 24, whole) - At(28 * 24, stopped);
        var dryH = wetting.Dry.Sum(d => (d.Until - d.From).TotalHours);
        if (dryH > LeastDryH)
        {
            remarks.Warn(Places.Cure.Method, new Notice.WettingMissed(DryH: dryH, LostMpa: lost));
        }

        var why = new Why.Strength(
            F28Mpa: mix.F28.Megapascals, AgeCoefficient: mix.AgeCoefficient, FinalSetH: mix.ToFinalSet.TotalHours, WetEquivalentDays: wetHours / 24,
            Share: StrengthGain.ShareAfter(wetHours / 24));
        remarks.Why(why, At(28 * 24, stopped), Source.En1992, Source.Aci308);
        return new CurePlan(
            wetFrom,
            wetUntil,
            days,
            advised,
            interval,
            evaporation,
            wetting.Due,
            Duration.FromHours(dryH),
            lost,
            nights,
            CoatTimes(said, site, wetUntil, weather, told, remarks),
            [.. Milestones.For(mix, site.Use).Select(rule => Reach(rule, mix, history, stopped, paths, frozen, remarks))],
            new(() => [.. CurveHours.Select(h => Point(h, At(h, stopped), At(h, never), paths.Value))]),
            mix.F28.Megapascals,
            At(28 * 24, stopped));
    }

    private static string Named<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());

    private static ImmutableArray<PlannedCoat> CoatTimes(CureSaid said, CureSite site, Instant wetUntil, HourlyWeather weather, Told told, Remarks remarks)
    {
        bool Dry(Instant at) => !site.Site.UnderSky || weather.RainChance(at, at + Duration.FromHours(CoatPlan.DryAfterH)) <= WeatherDay.DryUpTo;
        var coats = CoatPlan.Of([.. said.Coats.Select(c => c.Product)], site.Youngest.WaterAdded, wetUntil, said.Works, Dry);
        foreach (var late in coats.Where(c => c.Late))
        {
            remarks.Caution(
                Places.Cure.Coats[late.Product],
                new Notice.CoatTooLate(Coat: late.Number, LateH: (late.At - late.Closes!.Value).TotalHours, Product: said.Coats[late.Product].Name));
        }

        for (var i = 0; i < said.Coats.Length; i++)
        {
            var product = said.Coats[i].Product;
            var why = new Why.CoatWindow(
                FromDays: product.FromDays, LeastH: product.RecoatLeastH, MostH: product.RecoatMostH, DryH: product.OnDry ? CoatPlan.DryingH : 0, Coats: product.Coats);
            remarks.WhyOf($"{i}", why, product.FromDays, Source.SitePractice);
        }

        return [.. coats.Select(c => new PlannedCoat(c, said.Coats[c.Product], told.Coats(c.Product) >= c.Number))];
    }

    private static double EvaporationAt(Instant at, Microclimate site, SlabHistory history, HourlyWeather weather)
    {
        var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours));
        // What evaporates cools the layer it evaporates from, however warm the slab under it is.
        return Evaporation.Uno(Math.Min(history.TemperatureAt(at), air.AirC + HeatBalanceSlab.DryingAboveAirK), air.AirC, air.Humidity, air.WindKmh);
    }

    private static (ImmutableArray<WettingDue> Due, ImmutableArray<DrySpell> Dry) Wetted(
        CureSaid said, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, Instant until, Told told, Instant? asOf, Remarks remarks)
    {
        var method = said.Method;
        if (!Wetting.WantsWater(method) || from >= until)
        {
            return ([], []);
        }

        var plan = new WettingPlan(Wetting.Store(method), at => EvaporationAt(at, site, history, weather));
        var wetted = told.Wetted.Where(at => at > from).ToArray();
        var now = asOf is { } moment ? Instant.Min(moment, until) : from;
        // Nobody who tells of nothing is told that they missed it: only a diary that was begun has gaps.
        ImmutableArray<DrySpell> dry = wetted.Length == 0 ? [] : plan.Dry(from, wetted, Instant.Max(now, wetted.Max()));
        var last = wetted.Where(w => w <= until).DefaultIfEmpty(from).Max();
        var (due, dryNight) = plan.From(last, wetted.Length == 0 ? from : Instant.Max(now, last), until, said.Awake);
        if (dryNight.TotalHours > LeastDryH)
        {
            remarks.Warn(
                Places.Cure.Method, new Notice.DriesOverNight(DryH: dryNight.TotalHours, Method: method), [.. Overnight(said, site, history, weather, from, until)]);
        }

        var (first, driesH) = (due.IsEmpty ? until : due[0], (plan.DriesAt(last) - last).TotalHours);
        remarks.Why(
            new Why.NextWetting(StoreKgM2: Wetting.Store(method), EvaporationKgM2H: Wetting.Store(method) / Math.Max(1e-9, driesH), DriesH: driesH),
            (first - last).TotalHours, Source.SitePractice);
        return ([.. due.Select(at => new WettingDue(at, plan.DriesAt(at)))], dry);
    }

    // Methods that last the night, those that want the least first.
    private static IEnumerable<Remedy> Overnight(CureSaid said, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, Instant until)
    {
        (CuringMethod Method, Func<double, Mend> Does)[] ways =
            [(CuringMethod.BurlapUnderPlastic, h => new Mend.CoverUnderPlastic(h)), (CuringMethod.Ponding, h => new Mend.PondIt(h))];
        foreach (var (other, does) in ways.Where(w => w.Method != said.Method))
        {
            var (due, dry) = new WettingPlan(Wetting.Store(other), at => EvaporationAt(at, site, history, weather)).From(from, from, until, said.Awake);
            if (dry.TotalHours <= LeastDryH)
            {
                var hours = due.IsEmpty ? Wetting.LongestHours : (until - from).TotalHours / (due.Length + 1);
                yield return new Remedy(does(hours), [new Edit(Places.Cure.Method, Text: Named(other))]);
            }
        }
    }

    private static ImmutableArray<ColdNight> Nights(ConcreteMix mix, SlabHistory history, HourlyWeather weather, Microclimate site, Instant wetUntil)
    {
        var (nights, safeAge) = (ImmutableArray.CreateBuilder<ColdNight>(), StrengthGain.WhenMoist(mix, Milestones.FrostSafeMpa));
        var until = Instant.Min(weather.End, Instant.Max(wetUntil, history.WhenEquivalentHours(safeAge) ?? weather.End));
        ColdNight? open = null;
        for (var at = history.Placed; at <= until; at += Duration.FromHours(1))
        {
            var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC;
            if (air >= ColdNightC)
            {
                Close();
                continue;
            }

            var slab = history.TemperatureAt(at);
            open = open is null
                ? new ColdNight(at, at + Duration.FromHours(1), air, slab, history.EquivalentHoursAt(at) < safeAge)
                : open with { Until = at + Duration.FromHours(1), LeastAirC = Math.Min(open.LeastAirC, air), LeastSlabC = Math.Min(open.LeastSlabC, slab) };
        }

        Close();
        return nights.ToImmutable();

        void Close()
        {
            if (open is not null)
            {
                nights.Add(open);
                open = null;
            }
        }
    }

    private static void CheckCold(CureSaid said, HourlyWeather weather, Microclimate site, Instant from, Instant until, Remarks remarks)
    {
        var coldest = double.PositiveInfinity;
        for (var at = from; at <= until; at += Duration.FromHours(1))
        {
            coldest = Math.Min(coldest, site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC);
        }

        if (coldest < ColdCureC && said.Frost == FrostGuard.None)
        {
            remarks.Note(Places.Cure.Frost, new Notice.ColdCure(AirC: coldest, LimitC: ColdCureC));
        }
    }

    private static void CheckNights(ImmutableArray<ColdNight> nights, CureSaid said, CureSite site, HourlyWeather weather, bool frozen, Remarks remarks)
    {
        if (frozen || nights.Where(n => n.Young).MinBy(n => n.LeastSlabC) is not { } worst || worst.LeastSlabC >= ColdNightC)
        {
            return;
        }

        var span = worst.Until - site.Youngest.WaterAdded;
        var strength = StrengthGain.Moist(site.Mix, Fine.Follow(site.Youngest, weather, span).StepEquivalentHours[^1]);
        remarks.Warn(
            Places.Cure.Frost, new Notice.FrostNight(LeastC: worst.LeastSlabC, StrengthMpa: strength, SafeMpa: Milestones.FrostSafeMpa),
            [.. Covers(said, site.Youngest, weather, span)]);
    }

    // Better covers than the one that is planned, each with how cold it leaves the concrete; the least that help.
    private static IEnumerable<Remedy> Covers(CureSaid said, ZonePour pour, HourlyWeather weather, Duration span)
    {
        double LeastC(FrostGuard guard) =>
            Fine.Follow(pour with { NightCoverM2KPerW = FrostGuards.Resistance(guard) }, weather, span).StepTemperaturesC.ToArray().Min();
        var now = LeastC(said.Frost);
        return Enum.GetValues<FrostGuard>().Where(g => FrostGuards.Resistance(g) > FrostGuards.Resistance(said.Frost)).Select(g => (Guard: g, LeastC: LeastC(g))).Where(g => g.LeastC > now).Take(2)
            .Select(g => new Remedy(new Mend.CoverAtNight(LeastC: g.LeastC, Guard: g.Guard), [new Edit(Places.Cure.Frost, Text: Named(g.Guard))]));
    }

    // The same cure in other ways the weather and the mix may go.
    private static (StrengthGain.StoppedCure Cure, SlabHistory History)[] Paths(ZonePour youngest, HourlyWeather weather, Instant wetUntil, double wetShare, Func<SlabHistory, SlabHistory> asRead) =>
    [
        .. Members.Of(weather, BandMembers).Select(m =>
        {
            var mix = youngest.Mix.Setting(m.SetFactor);
            var history = asRead(Coarse.Follow(youngest with { Mix = mix }, m.Weather, BandSight));
            return (new StrengthGain.StoppedCure(mix, history.EquivalentHoursAt(wetUntil) * wetShare), history);
        }),
    ];

    private static StrengthAt Point(double hours, double mpa, double noCure, (StrengthGain.StoppedCure Cure, SlabHistory History)[] paths)
    {
        Span<double> values = stackalloc double[paths.Length];
        for (var i = 0; i < paths.Length; i++)
        {
            values[i] = paths[i].Cure.At(paths[i].History.EquivalentHoursAt(paths[i].History.WaterAdded + Duration.FromHours(hours)));
        }

        values.Sort();
        return new StrengthAt(
            paths[0].History.WaterAdded + Duration.FromHours(hours), mpa, Math.Min(mpa, Members.Quantile(values, Tenth)), Math.Max(mpa, Members.Quantile(values, 1 - Tenth)), noCure);
    }

    private static double Advice(ConcreteMix mix, SlabHistory history, HourlyWeather weather, Instant from, Remarks remarks)
    {
        var mean = Enumerable.Range(0, 7 * 24).Average(h => weather.At(from + Duration.FromHours(h)).AirC);
        double? coldDays = WhenStrong(new StrengthGain.StoppedCure(mix, double.MaxValue), history, Wetting.ColdShare * mix.F28.Megapascals) is { } when
            ? (when - from).TotalDays
            : null;
        var advised = Wetting.AdvisedDays(mix.Family, mean, coldDays);
        remarks.Why(new Why.WetDays(MeanAirC: mean, WarmC: Wetting.WarmEnoughC, ColdSharePct: Wetting.ColdShare * 100), advised, Source.Aci308);
        return advised;
    }

    private static (double Evaporation, double? Interval) Rewetting(
        CuringMethod method, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, double days, Remarks remarks)
    {
        var hours = Math.Max(1, (int)Math.Ceiling(days * 24));
        double sum = 0, worst = 0;
        for (var i = 0; i < hours; i++)
        {
            var e = EvaporationAt(from + Duration.FromHours(i), site, history, weather);
            sum += e;
            worst = Math.Max(worst, e);
        }

        var (mean, store) = (sum / hours, Wetting.Store(method));
        remarks.Why(new Why.MeanEvaporation(Hours: hours, PeakKgM2H: worst), mean, Source.Uno1998);
        if (!Wetting.WantsWater(method))
        {
            return (mean, null);
        }

        var interval = Wetting.IntervalHours(store, mean);
        remarks.Why(new Why.Rewetting(StoreKgM2: store, EvaporationKgM2H: mean), interval, Source.SitePractice);
        if (Wetting.CannotBeKept(store, worst))
        {
            var covered = Wetting.IntervalHours(Wetting.Store(CuringMethod.BurlapUnderPlastic), mean);
            remarks.Warn(
                Places.Cure.Method, new Notice.CannotBeKeptWet(IntervalH: store / worst, Method: method),
                new Remedy(new Mend.CoverUnderPlastic(IntervalH: covered), [new Edit(Places.Cure.Method, Text: Named(CuringMethod.BurlapUnderPlastic))]));
        }

        return (mean, interval);
    }

    private static void CheckDays(double days, double advised, ConcreteMix mix, double wetEquivalentHours, Remarks remarks)
    {
        if (days < advised - 1e-9)
        {
            var share = mix.Family == MixFamily.Rapid ? 1 : StrengthGain.ShareAfter(wetEquivalentHours / 24);
            remarks.Warn(
                Places.Cure.Days, new Notice.CureStoppedEarly(WetDays: days, AdviceDays: advised, SharePct: share * 100),
                new Remedy(new Mend.LongerCure(AdviceDays: advised), [new Edit(Places.Cure.Days)]));
        }
    }

    private static bool FrozenYoung(CureSaid said, CureSite site, SlabHistory history, HourlyWeather weather, Remarks remarks)
    {
        for (var i = 0; i < history.StepHours.Length; i++)
        {
            var strength = StrengthGain.Moist(site.Mix, history.StepEquivalentHours[i]);
            if (strength >= Milestones.FrostSafeMpa)
            {
                return false;
            }

            if (history.StepTemperaturesC[i] < 0)
            {
                remarks.Warn(
                    site.Date, new Notice.FrozenYoung(StrengthMpa: strength, SafeMpa: Milestones.FrostSafeMpa),
                    [.. Covers(said, site.Youngest, weather, Duration.FromHours(history.StepHours[i]) + AfterFrost)]);
                return true;
            }
        }

        return false;
    }

    /// <summary>What is days away is known no finer than by the hour: it is told so wherever it is told, and never too early.</summary>
    private static Instant UpToHour(Instant moment) => Instant.FromUnixTimeSeconds((long)Math.Ceiling(moment.ToUnixTimeTicks() / (double)NodaConstants.TicksPerHour) * NodaConstants.SecondsPerHour);

    private static MilestoneDate Reach(
        MilestoneRule rule, ConcreteMix mix, SlabHistory history, StrengthGain.StoppedCure cure, Lazy<(StrengthGain.StoppedCure Cure, SlabHistory History)[]> paths, bool frozen, Remarks remarks)
    {
        // Where nobody knows its strength only its age counts.
        var needs = mix.Known == StrengthKnown.Under ? 0 : Math.Max(rule.Mpa, rule.ShareOfF28 * mix.F28.Megapascals);
        var name = Named(rule.Milestone);
        var strong = WhenStrong(cure, history, needs);
        if (strong is null || history.WhenEquivalentHours(rule.EquivalentHours) is null)
        {
            remarks.Note(Places.Cure.Self, new Notice.MilestoneOutOfSight(NeededMpa: needs, Milestone: rule.Milestone));
        }

        var byClock = history.WaterAdded + Duration.FromHours(rule.Hours);
        var aged = history.WhenEquivalentHours(rule.EquivalentHours);
        Instant? at = strong is { } s && aged is { } old && !frozen ? UpToHour(Instant.Max(Instant.Max(s, byClock), old)) : null;
        remarks.WhyOf(name, new Why.Milestone(NeedsMpa: rule.Mpa, SharePct: rule.ShareOfF28 * 100, LeastHours: rule.Hours, LeastEquivalentHours: rule.EquivalentHours, F28Mpa: mix.F28.Megapascals), needs, Source.SitePractice);
        if (at is not { } best)
        {
            return new MilestoneDate(rule.Milestone, null, null, needs);
        }

        Instant When((StrengthGain.StoppedCure Cure, SlabHistory History) path) =>
            WhenStrong(path.Cure, path.History, needs) is { } m && path.History.WhenEquivalentHours(rule.EquivalentHours) is { } o ? Instant.Max(m, o) : Instant.Max(best, history.WaterAdded + BandSight);
        return new MilestoneDate(rule.Milestone, best, new(() =>
        {
            var hours = paths.Value.Select(p => (When(p) - history.WaterAdded).TotalHours).Order().ToArray();
            Instant Band(double share) => Instant.Max(byClock, history.WaterAdded + Duration.FromHours(Members.Quantile(hours, share)));
            return (Instant.Min(best, Band(Tenth)), Instant.Max(best, Band(1 - Tenth)));
        }), needs);
    }

    /// <summary>When the strength is there; never before final set. It never falls, so halving finds the step, and between its ends the age is a line.</summary>
    private static Instant? WhenStrong(StrengthGain.StoppedCure cure, SlabHistory history, double mpa)
    {
        var ages = history.StepEquivalentHours;
        var (from, to) = (0, ages.Length);
        while (from < to)
        {
            var middle = (from + to) / 2;
            (from, to) = cure.At(ages[middle]) is > 0 and var strength && strength >= mpa ? (from, middle) : (middle + 1, to);
        }

        if (from == ages.Length)
        {
            return null;
        }

        var (low, high) = (from == 0 ? 0 : ages[from - 1], ages[from]);
        for (var i = 0; i < 24; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = cure.At(middle) is > 0 and var strength && strength >= mpa ? (low, middle) : (middle, high);
        }

        return history.WhenEquivalentHours(high);
    }
}
