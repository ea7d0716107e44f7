using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>From the day to the weeks after: wetting, strength and dates.</summary>
internal static class CureStep
{
    private const double MostDays = 60;
    private const int MostCoats = 12;
    private const double MostCoatsOfOne = 6;
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

    /// <summary>Dry for less is not told, hours.</summary>
    private const double LeastDryH = 0.5;

    private static readonly HeatBalanceSlab CoarseModel = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    /// <param name="job">As said.</param>
    /// <param name="day">The pour.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="model">Follows the slab.</param>
    /// <param name="zone">Of the site.</param>
    /// <param name="log">What was told of so far.</param>
    /// <param name="asOf">Now, where that matters; null before anything was poured.</param>
    /// <param name="gate">Takes findings and reasons.</param>
    public static CureReport? Plan(
        JobDocument job, PlannedDay day, HourlyWeather weather, ISlabModel model, DateTimeZone zone, IReadOnlyList<LogEntry> log, Instant? asOf, Gate gate)
    {
        var said = job.Cure;
        var daysSound = said.Days is not { } given || gate.InRange("/cure/days", given, 0, MostDays, "Days");
        if (!daysSound || Waking("/cure/wakeFrom", said.WakeFrom, "/cure/wakeUntil", said.WakeUntil, zone, gate) is not { } awake
            || Waking("/day/workFrom", job.Day.WorkFrom, "/day/workUntil", job.Day.WorkUntil, zone, gate) is not { } works || Coats(said, gate) is not { } products)
        {
            return null;
        }

        var mix = day.Youngest.Mix;
        var history = model.Follow(day.Youngest, weather, Sight);
        var wetFrom = day.Report.FinalSet ?? day.Report.DoneBy;
        var advised = Advice(mix, history, weather, wetFrom, gate);
        var days = said.Days ?? advised;
        var wetUntil = wetFrom + Duration.FromDays(days);
        var diary = Diary.Of(log);
        var (evaporation, interval) = Rewetting(said.Method, day.Pour.Site, history, weather, wetFrom, days, gate);
        var wetting = Wetted(said.Method, day.Pour.Site, history, weather, wetFrom, wetUntil, awake, diary, asOf, gate);
        var kept = history.EquivalentHoursAt(wetUntil);
        var wetHours = kept - wetting.Dry.Sum(d => history.EquivalentHoursAt(d.Until) - history.EquivalentHoursAt(d.From));
        CheckDays(days, advised, mix, kept, gate);
        var frozen = FrozenYoung(said, day.Youngest, mix, history, weather, model, gate);
        CheckCold(said, weather, day.Pour.Site, wetFrom, Instant.Min(wetUntil, weather.End), gate);
        var nights = Nights(mix, history, weather, day.Pour.Site, wetUntil);
        CheckNights(nights, said, day.Youngest, mix, weather, model, frozen, gate);
        var paths = Paths(day, weather, wetUntil, wetHours / Math.Max(kept, 1e-9));
        var (stopped, never, whole) = (new StrengthGain.StoppedCure(mix, wetHours), new StrengthGain.StoppedCure(mix, 0), new StrengthGain.StoppedCure(mix, kept));
        double At(double hours, StrengthGain.StoppedCure cure) => cure.At(history.EquivalentHoursAt(history.WaterAdded + Duration.FromHours(hours)));
        var lost = At(28 * 24, whole) - At(28 * 24, stopped);
        var dryH = wetting.Dry.Sum(d => (d.Until - d.From).TotalHours);
        if (dryH > LeastDryH)
        {
            gate.Add(Finding.Of(FindingCode.WettingMissed, Severity.Warning, "/cure/method", ("dryH", dryH), ("lostMpa", lost)));
        }

        gate.Add(Explanation.For(
            WhyCode.Strength, "", At(28 * 24, stopped), Source.En1992,
            ("f28Mpa", mix.F28.Megapascals), ("ageCoefficient", mix.AgeCoefficient), ("finalSetH", mix.ToFinalSet.TotalHours),
            ("wetEquivalentDays", wetHours / 24), ("share", StrengthGain.ShareAfter(wetHours / 24))).And(Source.Aci308));
        var inMould = job.Elements.Any(e => e.Traits.InMould);
        return new CureReport(
            wetFrom,
            wetUntil,
            days,
            advised,
            interval,
            evaporation,
            wetting.Due,
            [.. diary.Select(e => new DiaryReport(e.Id, e.At, e.Kind, e.Product, e.Note))],
            dryH,
            lost,
            nights,
            CoatTimes(said, products, day, wetUntil, works, weather, diary, gate),
            [.. Milestones.For(mix, inMould).Select(rule => Reach(rule, mix, history, stopped, paths, frozen, gate))],
            [.. CurveHours.Select(h => Point(h, At(h, stopped), At(h, never), paths))],
            mix.F28.Megapascals,
            At(28 * 24, stopped));
    }

    private static WakingHours? Waking(string fromPath, string from, string untilPath, string until, DateTimeZone zone, Gate gate)
    {
        var (begins, ends) = (gate.Time(fromPath, from), gate.Time(untilPath, until));
        return begins is { } b && ends is { } e ? new WakingHours(zone, b, e) : null;
    }

    private static CoatProduct[]? Coats(CureDocument said, Gate gate)
    {
        if (said.Coats.Count > MostCoats)
        {
            gate.Fault(FindingCode.TooMany, "/cure/coats", ("count", said.Coats.Count), ("most", MostCoats));
            return null;
        }

        var sound = true;
        for (var i = 0; i < said.Coats.Count; i++)
        {
            var (coat, path) = (said.Coats[i], $"/cure/coats/{i}");
            const double mostH = 24 * 90;
            sound &= gate.InRange($"{path}/coats", coat.Coats, 1, MostCoatsOfOne) & gate.InRange($"{path}/fromDays", coat.FromDays, 0, 365, "Days")
                & gate.InRange($"{path}/recoatLeastH", coat.RecoatLeastH, 0, mostH, "H") & gate.InRange($"{path}/recoatMostH", coat.RecoatMostH, Math.Max(0, coat.RecoatLeastH), mostH, "H")
                & gate.InRange($"{path}/keepWetH", coat.KeepWetH, 0, mostH, "H") & gate.InRange($"{path}/cureH", coat.CureH, 0, mostH, "H") & gate.InRange($"{path}/dilution", coat.Dilution, 0, 20);
        }

        return sound ? [.. said.Coats.Select(c => new CoatProduct(c.Coats, c.FromDays, c.RecoatLeastH, c.RecoatMostH, c.OnDry, c.CureH))] : null;
    }

    private static IReadOnlyList<CoatReport> CoatTimes(
        CureDocument said, CoatProduct[] products, PlannedDay day, Instant wetUntil, WakingHours works, HourlyWeather weather, IReadOnlyList<LogEntry> diary, Gate gate)
    {
        bool Dry(Instant at) => !day.Pour.Site.UnderSky || weather.RainChance(at, at + Duration.FromHours(CoatPlan.DryAfterH)) <= WeatherDay.DryUpTo;
        var coats = CoatPlan.Of(products, day.Youngest.WaterAdded, wetUntil, works, Dry);
        foreach (var late in coats.Where(c => c.Late))
        {
            gate.Add(Finding.Of(FindingCode.CoatTooLate, Severity.Caution, $"/cure/coats/{late.Product}", ("coat", late.Number), ("lateH", (late.At - late.Closes!.Value).TotalHours))
                .Naming("product", said.Coats[late.Product].Name));
        }

        for (var i = 0; i < products.Length; i++)
        {
            gate.Add(Explanation.For(
                WhyCode.CoatWindow, $"{i}", products[i].FromDays, Source.SitePractice,
                ("fromDays", products[i].FromDays), ("leastH", products[i].RecoatLeastH), ("mostH", products[i].RecoatMostH), ("dryH", products[i].OnDry ? CoatPlan.DryingH : 0), ("coats", products[i].Coats)));
        }

        return
        [
            .. coats.Select(c => new CoatReport(
                c.Product, said.Coats[c.Product].Name, c.Number, c.Opens, c.Closes, c.At, c.Late, said.Coats[c.Product].KeepWetH,
                diary.Count(e => e.Kind == LogKind.Coated && e.Product == c.Product) >= c.Number)),
        ];
    }

    private static double EvaporationAt(Instant at, Microclimate site, SlabHistory history, HourlyWeather weather)
    {
        var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours));
        // What evaporates cools the layer it evaporates from, however warm the slab under it is.
        return Evaporation.Uno(Math.Min(history.TemperatureAt(at), air.AirC + HeatBalanceSlab.DryingAboveAirK), air.AirC, air.Humidity, air.WindKmh);
    }

    private static (IReadOnlyList<WettingReport> Due, IReadOnlyList<DrySpell> Dry) Wetted(
        CuringMethod method, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, Instant until, WakingHours awake, IReadOnlyList<LogEntry> diary, Instant? asOf, Gate gate)
    {
        if (!Wetting.WantsWater(method) || from >= until)
        {
            return ([], []);
        }

        var plan = new WettingPlan(Wetting.Store(method), at => EvaporationAt(at, site, history, weather));
        var wetted = diary.Where(e => e.Kind == LogKind.Wetted && e.At > from).Select(e => e.At).ToArray();
        var now = asOf is { } moment ? Instant.Min(moment, until) : from;
        // Nobody who tells of nothing is told that they missed it: only a diary that was begun has gaps.
        IReadOnlyList<DrySpell> dry = wetted.Length == 0 ? [] : plan.Dry(from, wetted, Instant.Max(now, wetted.Max()));
        var last = wetted.Where(w => w <= until).DefaultIfEmpty(from).Max();
        var (due, dryNight) = plan.From(last, wetted.Length == 0 ? from : Instant.Max(now, last), until, awake);
        if (dryNight.TotalHours > LeastDryH)
        {
            gate.Add(Finding.Of(FindingCode.DriesOverNight, Severity.Warning, "/cure/method", ("dryH", dryNight.TotalHours))
                .Naming("method", Gate.CamelCase(method.ToString()))
                .WithRemedies([.. Overnight(method, site, history, weather, from, until, awake)]));
        }

        var first = due.IsEmpty ? until : due[0];
        gate.Add(Explanation.For(
            WhyCode.NextWetting, "", (first - last).TotalHours, Source.SitePractice,
            ("storeKgM2", Wetting.Store(method)), ("evaporationKgM2H", Wetting.Store(method) / Math.Max(1e-9, (plan.DriesAt(last) - last).TotalHours)), ("driesH", (plan.DriesAt(last) - last).TotalHours)));
        return ([.. due.Select(at => new WettingReport(at, plan.DriesAt(at)))], dry);
    }

    // Methods that last the night, those that want the least first.
    private static IEnumerable<Remedy> Overnight(CuringMethod method, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, Instant until, WakingHours awake)
    {
        (CuringMethod Method, RemedyCode Code)[] ways = [(CuringMethod.BurlapUnderPlastic, RemedyCode.CoverUnderPlastic), (CuringMethod.Ponding, RemedyCode.PondIt)];
        foreach (var (other, code) in ways.Where(w => w.Method != method))
        {
            var (due, dry) = new WettingPlan(Wetting.Store(other), at => EvaporationAt(at, site, history, weather)).From(from, from, until, awake);
            if (dry.TotalHours <= LeastDryH)
            {
                yield return new Remedy(
                    code, [new Edit("/cure/method", Text: Gate.CamelCase(other.ToString()))],
                    new Dictionary<string, double> { ["intervalH"] = due.IsEmpty ? Wetting.LongestHours : (until - from).TotalHours / (due.Length + 1) });
            }
        }
    }

    private static List<NightReport> Nights(ConcreteMix mix, SlabHistory history, HourlyWeather weather, Microclimate site, Instant wetUntil)
    {
        var (nights, safeAge) = (new List<NightReport>(), StrengthGain.WhenMoist(mix, Milestones.FrostSafeMpa));
        var until = Instant.Min(weather.End, Instant.Max(wetUntil, history.WhenEquivalentHours(safeAge) ?? weather.End));
        NightReport? open = null;
        for (var at = history.Placed; at <= until; at += Duration.FromHours(1))
        {
            var air = site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC;
            if (air >= ColdNightC)
            {
                nights.AddRange(open is null ? [] : [open]);
                open = null;
                continue;
            }

            var slab = history.TemperatureAt(at);
            open = open is null
                ? new NightReport(at, at + Duration.FromHours(1), air, slab, history.EquivalentHoursAt(at) < safeAge)
                : open with { Until = at + Duration.FromHours(1), LeastAirC = Math.Min(open.LeastAirC, air), LeastSlabC = Math.Min(open.LeastSlabC, slab) };
        }

        nights.AddRange(open is null ? [] : [open]);
        return nights;
    }

    private static void CheckCold(CureDocument said, HourlyWeather weather, Microclimate site, Instant from, Instant until, Gate gate)
    {
        var coldest = double.PositiveInfinity;
        for (var at = from; at <= until; at += Duration.FromHours(1))
        {
            coldest = Math.Min(coldest, site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC);
        }

        if (coldest < ColdCureC && said.Frost == FrostGuard.None)
        {
            gate.Add(Finding.Of(FindingCode.ColdCure, Severity.Note, "/cure/frost", ("airC", coldest), ("limitC", ColdCureC)));
        }
    }

    private static void CheckNights(
        List<NightReport> nights, CureDocument said, ZonePour pour, ConcreteMix mix, HourlyWeather weather, ISlabModel model, bool frozen, Gate gate)
    {
        if (frozen || nights.Where(n => n.Young).MinBy(n => n.LeastSlabC) is not { } worst || worst.LeastSlabC >= ColdNightC)
        {
            return;
        }

        var span = worst.Until - pour.WaterAdded;
        var strength = StrengthGain.Moist(mix, model.Follow(pour, weather, span).StepEquivalentHours[^1]);
        gate.Add(Finding.Of(FindingCode.FrostNight, Severity.Warning, "/cure/frost", ("leastC", worst.LeastSlabC), ("strengthMpa", strength), ("safeMpa", Milestones.FrostSafeMpa))
            .WithRemedies([.. Covers(said, pour, weather, model, span)]));
    }

    // Better covers than the one that is planned, each with how cold it leaves the concrete; the least that help.
    private static IEnumerable<Remedy> Covers(CureDocument said, ZonePour pour, HourlyWeather weather, ISlabModel model, Duration span)
    {
        double LeastC(FrostGuard guard) =>
            model.Follow(pour with { NightCoverM2KPerW = FrostGuards.Resistance(guard) }, weather, span).StepTemperaturesC.ToArray().Min();
        var now = LeastC(said.Frost);
        return Enum.GetValues<FrostGuard>().Where(g => FrostGuards.Resistance(g) > FrostGuards.Resistance(said.Frost)).Select(g => (Guard: g, LeastC: LeastC(g))).Where(g => g.LeastC > now).Take(2)
            .Select(g => new Remedy(
                RemedyCode.CoverAtNight, [new Edit("/cure/frost", Text: Gate.CamelCase(g.Guard.ToString()))], new Dictionary<string, double> { ["leastC"] = g.LeastC })
                .Naming("guard", Gate.CamelCase(g.Guard.ToString())));
    }

    // The same cure in other ways the weather and the mix may go.
    private static (StrengthGain.StoppedCure Cure, SlabHistory History)[] Paths(PlannedDay day, HourlyWeather weather, Instant wetUntil, double wetShare) =>
    [
        .. Members.Of(weather, BandMembers).Select(m =>
        {
            var mix = day.Youngest.Mix.Setting(m.SetFactor);
            var history = CoarseModel.Follow(day.Youngest with { Mix = mix }, m.Weather, BandSight);
            return (new StrengthGain.StoppedCure(mix, history.EquivalentHoursAt(wetUntil) * wetShare), history);
        }),
    ];

    private static StrengthPoint Point(double hours, double mpa, double noCure, (StrengthGain.StoppedCure Cure, SlabHistory History)[] paths)
    {
        var values = paths.Select(p => p.Cure.At(p.History.EquivalentHoursAt(p.History.WaterAdded + Duration.FromHours(hours)))).Order().ToArray();
        return new StrengthPoint(
            paths[0].History.WaterAdded + Duration.FromHours(hours), mpa, Math.Min(mpa, Members.Quantile(values, Tenth)), Math.Max(mpa, Members.Quantile(values, 1 - Tenth)), noCure);
    }

    private static double Advice(ConcreteMix mix, SlabHistory history, HourlyWeather weather, Instant from, Gate gate)
    {
        var mean = Enumerable.Range(0, 7 * 24).Average(h => weather.At(from + Duration.FromHours(h)).AirC);
        double? coldDays = WhenStrong(new StrengthGain.StoppedCure(mix, double.MaxValue), history, Wetting.ColdShare * mix.F28.Megapascals) is { } when
            ? (when - from).TotalDays
            : null;
        var advised = Wetting.AdvisedDays(mix.Family, mean, coldDays);
        gate.Add(Explanation.For(
            WhyCode.WetDays, "", advised, Source.Aci308, ("meanAirC", mean), ("warmC", Wetting.WarmEnoughC), ("coldSharePct", Wetting.ColdShare * 100)));
        return advised;
    }

    private static (double Evaporation, double? Interval) Rewetting(
        CuringMethod method, Microclimate site, SlabHistory history, HourlyWeather weather, Instant from, double days, Gate gate)
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
        gate.Add(Explanation.For(WhyCode.MeanEvaporation, "", mean, Source.Uno1998, ("hours", hours), ("peakKgM2H", worst)));
        if (!Wetting.WantsWater(method))
        {
            return (mean, null);
        }

        var interval = Wetting.IntervalHours(store, mean);
        gate.Add(Explanation.For(WhyCode.Rewetting, "", interval, Source.SitePractice, ("storeKgM2", store), ("evaporationKgM2H", mean)));
        if (Wetting.CannotBeKept(store, worst))
        {
            gate.Add(Finding.Of(FindingCode.CannotBeKeptWet, Severity.Warning, "/cure/method", ("intervalH", store / worst))
                .Naming("method", Gate.CamelCase(method.ToString()))
                .WithRemedies(new Remedy(
                    RemedyCode.CoverUnderPlastic,
                    [new Edit("/cure/method", Text: Gate.CamelCase(nameof(CuringMethod.BurlapUnderPlastic)))],
                    new Dictionary<string, double> { ["intervalH"] = Wetting.IntervalHours(Wetting.Store(CuringMethod.BurlapUnderPlastic), mean) })));
        }

        return (mean, interval);
    }

    private static void CheckDays(double days, double advised, ConcreteMix mix, double wetEquivalentHours, Gate gate)
    {
        if (days < advised - 1e-9)
        {
            var share = mix.Family == MixFamily.Rapid ? 1 : StrengthGain.ShareAfter(wetEquivalentHours / 24);
            gate.Add(Finding.Of(
                FindingCode.CureStoppedEarly, Severity.Warning, "/cure/days", ("wetDays", days), ("adviceDays", advised), ("sharePct", share * 100))
                .WithRemedies(new Remedy(
                    RemedyCode.LongerCure, [new Edit("/cure/days")], new Dictionary<string, double> { ["adviceDays"] = advised })));
        }
    }

    private static bool FrozenYoung(CureDocument said, ZonePour pour, ConcreteMix mix, SlabHistory history, HourlyWeather weather, ISlabModel model, Gate gate)
    {
        for (var i = 0; i < history.StepHours.Length; i++)
        {
            var strength = StrengthGain.Moist(mix, history.StepEquivalentHours[i]);
            if (strength >= Milestones.FrostSafeMpa)
            {
                return false;
            }

            if (history.StepTemperaturesC[i] < 0)
            {
                gate.Add(Finding.Of(
                    FindingCode.FrozenYoung, Severity.Warning, "/day/date", ("strengthMpa", strength), ("safeMpa", Milestones.FrostSafeMpa))
                    .WithRemedies([.. Covers(said, pour, weather, model, Duration.FromHours(history.StepHours[i]) + Duration.FromHours(12))]));
                return true;
            }
        }

        return false;
    }

    private static MilestoneReport Reach(
        MilestoneRule rule, ConcreteMix mix, SlabHistory history, StrengthGain.StoppedCure cure, (StrengthGain.StoppedCure Cure, SlabHistory History)[] paths, bool frozen, Gate gate)
    {
        var needs = Math.Max(rule.Mpa, rule.ShareOfF28 * mix.F28.Megapascals);
        var name = Gate.CamelCase(rule.Milestone.ToString());
        var strong = WhenStrong(cure, history, needs);
        if (strong is null)
        {
            gate.Add(Finding.Of(FindingCode.MilestoneOutOfSight, Severity.Note, "/cure", ("neededMpa", needs)).Naming("milestone", name));
        }

        var byClock = history.WaterAdded + Duration.FromHours(rule.Hours);
        Instant? at = strong is { } s && !frozen ? Instant.Max(s, byClock) : null;
        gate.Add(Explanation.For(
            WhyCode.Milestone, name, needs, Source.SitePractice,
            ("needsMpa", rule.Mpa), ("sharePct", rule.ShareOfF28 * 100), ("leastHours", rule.Hours), ("f28Mpa", mix.F28.Megapascals)));
        if (at is not { } best)
        {
            return new MilestoneReport(rule.Milestone, null, null, null, needs);
        }

        var hours = paths.Select(p => ((WhenStrong(p.Cure, p.History, needs) ?? Instant.Max(best, history.WaterAdded + BandSight)) - history.WaterAdded).TotalHours).Order().ToArray();
        Instant Band(double share) => Instant.Max(byClock, history.WaterAdded + Duration.FromHours(Members.Quantile(hours, share)));
        return new MilestoneReport(rule.Milestone, best, Instant.Min(best, Band(Tenth)), Instant.Max(best, Band(1 - Tenth)), needs);
    }

    /// <summary>First step at which the strength is there; never before final set. Strength never falls, so halving finds it.</summary>
    private static Instant? WhenStrong(StrengthGain.StoppedCure cure, SlabHistory history, double mpa)
    {
        var ages = history.StepEquivalentHours;
        var (from, to) = (0, ages.Length);
        while (from < to)
        {
            var middle = (from + to) / 2;
            (from, to) = cure.At(ages[middle]) is > 0 and var strength && strength >= mpa ? (from, middle) : (middle + 1, to);
        }

        return from == ages.Length ? null : history.WaterAdded + Duration.FromHours(history.StepHours[from]);
    }
}
