using System.Collections.Immutable;
using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>What about a planned day wants a decision: joints, weather, hands.</summary>
internal static class DayChecks
{
    // Chance of 0.5 mm or more before final set, 0-1; site practice.
    private const double RainNoGo = 0.30;
    private const double RainWarn = WeatherDay.DryUpTo;

    // Drying over bleeding, kg/m2/h; site practice.
    private const double DeficitWarn = 0.3;
    private const double DeficitAct = DayJudge.DeficitAct;

    /// <summary>Water hotter than this scalds, °C; and hotter than the last it is not mixed with.</summary>
    private const double ScaldC = 50;

    public const double HottestWaterC = 60;
    private const double ColdestWaterC = 2;

    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    private static Duration JointLimit(ConcreteMix mix, double mixC) =>
        Duration.FromHours(DayJudge.JointProgress * mix.ToInitialSet.TotalHours / Math.Max(EquivalentAge.Rate(mixC), 0.01));

    /// <summary>Whether each batch is still plastic when the next one meets it.</summary>
    /// <returns>How old it may be at the mix's temperature.</returns>
    public static Duration Joint(ConcreteMix mix, double mixC, PourSchedule schedule, PlannedLoad load, DayPour pour, JobDocument job, HourlyWeather weather, Gate gate)
    {
        var limit = JointLimit(mix, mixC);
        gate.Add(Explanation.For(
            WhyCode.JointAge, "", schedule.JointAge.TotalMinutes, Source.AstmC1074,
            ("limitMin", limit.TotalMinutes), ("initialSetH", mix.ToInitialSet.TotalHours), ("mixC", mixC), ("progress", DayJudge.JointProgress)));
        if (schedule.JointAge > limit)
        {
            gate.Add(Finding.Of(
                FindingCode.ColdJoint, Severity.Warning, "/mixing/hands", ("ageMin", schedule.JointAge.TotalMinutes), ("limitMin", limit.TotalMinutes)).WithRemedies(
                [.. JointRemedies(mix, schedule, load, limit, pour, job, weather)]));
        }

        return limit;
    }

    // Each with the age it would bring, or the limit: those that suffice first.
    private static IEnumerable<Remedy> JointRemedies(ConcreteMix mix, PourSchedule schedule, PlannedLoad load, Duration limit, DayPour pour, JobDocument job, HourlyWeather weather)
    {
        var (hands, mixers) = (load.Crew.Hands, load.Crew.Mixers);
        var found = new List<(Duration Over, Remedy Remedy)>();
        void Quicker(RemedyCode code, PlannedLoad with, string unit, double count, params ReadOnlySpan<Edit> edits)
        {
            var age = with.Schedule(default).JointAge;
            if (age < schedule.JointAge)
            {
                found.Add((age - limit, new Remedy(
                    code, edits.ToArray(), new Dictionary<string, double> { [unit] = count, ["ageMin"] = age.TotalMinutes, ["limitMin"] = limit.TotalMinutes })));
            }
        }

        void Later(RemedyCode code, Duration newLimit, string unit, double count, params ReadOnlySpan<Edit> edits)
        {
            if (newLimit > limit)
            {
                found.Add((schedule.JointAge - newLimit, new Remedy(
                    code, edits.ToArray(), new Dictionary<string, double> { [unit] = count, ["ageMin"] = schedule.JointAge.TotalMinutes, ["limitMin"] = newLimit.TotalMinutes })));
            }
        }

        Quicker(RemedyCode.AddHand, load with { Crew = load.Crew with { Hands = hands + 1 } }, "hands", hands + 1, new Edit("/mixing/hands", Number: hands + 1));
        Quicker(
            RemedyCode.AddMixer, load with { Crew = new Crew(Math.Max(hands, mixers + 1), mixers + 1) }, "mixers", mixers + 1,
            new Edit("/mixing/mixers", Number: mixers + 1), new Edit("/mixing/hands", Number: Math.Max(hands, mixers + 1)));
        if (mix.Family != MixFamily.Rapid && job.Mix.Additives.Retarder == 0)
        {
            Later(RemedyCode.Retard, limit * Additives.SetFactor(new Dose(Additive.Retarder, 1)), "doses", 1, new Edit(AdditiveChecks.Path(Additive.Retarder), Number: 1));
        }

        if (CoolestHour(schedule.Batches[0].WaterAdded, weather, job) is var (shift, start))
        {
            var mixC = pour.MixC(weather.At(schedule.Batches[0].WaterAdded + shift).AirC);
            Later(
                RemedyCode.CoolerHour, JointLimit(mix, mixC), "mixC", mixC, new Edit("/day/start", Text: start));
        }

        return found.OrderBy(f => f.Over > Duration.Zero).ThenBy(f => f.Over).Select(f => f.Remedy);
    }

    /// <summary>The coolest full hour of the day between six and noon, and how far off it is.</summary>
    private static (Duration Shift, string Start)? CoolestHour(Instant start, HourlyWeather weather, JobDocument job)
    {
        if (!TimePattern.Parse(job.Day.Start).TryGetValue(default, out var said))
        {
            return null;
        }

        var hours = Enumerable.Range(6, 7).Select(h => (Shift: Duration.FromMinutes((h * 60) - (said.Hour * 60) - said.Minute), Start: TimePattern.Format(new LocalTime(h, 0))));
        return hours.MinBy(h => weather.At(start + h.Shift).AirC);
    }

    /// <summary>Rain, drying, heat and cold, from the first water to final set.</summary>
    public static void Weather(DayReport day, ConcreteMix mix, HourlyWeather weather, JobDocument job, Func<JobDocument, DayOutcome> whatIf, Gate gate)
    {
        gate.Add(Explanation.For(
            WhyCode.Evaporation, "", day.PeakEvaporation, Source.Uno1998,
            ("careKgM2H", Evaporation.CareKgPerM2H), ("actKgM2H", Evaporation.ActKgPerM2H), ("mixC", day.MixC)).And(Source.Aci305));
        gate.Add(Explanation.For(
            WhyCode.RainChance, "", day.RainChance * 100, Source.SitePractice,
            ("hours", ((day.FinalSet ?? day.DoneBy) - day.Start).TotalHours), ("noGoPct", RainNoGo * 100), ("warnPct", RainWarn * 100)));
        if (day.RainChance > RainWarn)
        {
            // With a cover at hand rain is work, and does no harm.
            Remedy[] ways = job.Site.RainCover ? [] : [new Remedy(RemedyCode.RainCoverReady, [new Edit("/site/rainCover", Yes: true)], new Dictionary<string, double>())];
            gate.Add(Finding.Of(
                FindingCode.RainBeforeSet, job.Site.RainCover ? Severity.Note : Severity.Warning, "/day/date",
                ("chancePct", day.RainChance * 100), ("limitPct", (day.RainChance > RainNoGo ? RainNoGo : RainWarn) * 100))
                .WithRemedies([.. ways, .. LaterDay(day, weather, job) is { } later ? [later] : Array.Empty<Remedy>()]));
        }

        if (day.PeakEvaporation > Evaporation.CareKgPerM2H)
        {
            var limit = day.PeakEvaporation > Evaporation.ActKgPerM2H ? Evaporation.ActKgPerM2H : Evaporation.CareKgPerM2H;
            gate.Add(Finding.Of(FindingCode.DryingFast, Severity.Warning, "/day/start", ("peakKgM2H", day.PeakEvaporation), ("limitKgM2H", limit))
                .WithRemedies([.. DryingRemedies(job, whatIf, o => o.PeakEvaporationKgM2H)]));
        }

        var deficit = day.Zones.Max(z => z.PeakDeficit);
        if (deficit > DeficitWarn)
        {
            gate.Add(Finding.Of(
                FindingCode.DriesBeforeItBleeds, Severity.Warning, "/day/start", ("peakKgM2H", deficit), ("limitKgM2H", deficit > DeficitAct ? DeficitAct : DeficitWarn))
                .WithRemedies(day.PeakEvaporation > Evaporation.CareKgPerM2H ? [] : [.. DryingRemedies(job, whatIf, o => o.PeakDeficitKgM2H)])); // else its neighbour offers them
        }

        if (weather.End < (day.FinalSet ?? day.DoneBy))
        {
            gate.Add(Finding.Of(FindingCode.WeatherEndsEarly, Severity.Warning, "/day/date", ("hoursGiven", weather.Count)));
        }

        if (day.MixC > DayJudge.MostMixC)
        {
            gate.Add(Finding.Of(FindingCode.MixTooHot, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", DayJudge.MostMixC)).Mending(
                WaterFor(RemedyCode.CoolWater, DayJudge.MostMixC, mix, weather.At(day.Start).AirC)));
        }

        var coldest = day.Hours.Min(h => h.AirC);
        if (coldest < DayJudge.ColdAirC)
        {
            gate.Add(Finding.Of(FindingCode.ColdWeather, Severity.Warning, "/day/date", ("airC", coldest), ("limitC", DayJudge.ColdAirC)));
            if (day.MixC < DayJudge.LeastMixColdC)
            {
                gate.Add(Finding.Of(FindingCode.MixTooCold, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", DayJudge.LeastMixColdC)).Mending(
                    WaterFor(RemedyCode.WarmWater, DayJudge.LeastMixColdC, mix, weather.At(day.Start).AirC)));
            }
        }
    }

    /// <summary>The mix at a wanted temperature, by the water alone, and what hot water does to hands.</summary>
    public static void Water(ConcreteMix mix, double solidsC, double mixC, JobDocument job, double coldestC, Gate gate)
    {
        var mixing = job.Mixing;
        const string path = "/mixing/wantedMixC";
        const double near = 0.5;
        if (mixing.WantedMixC is { } wanted && gate.InRange(path, wanted, 5, DayJudge.MostMixC, "C") && Math.Abs(wanted - mixC) > near)
        {
            var code = wanted > mixC ? RemedyCode.WarmWater : RemedyCode.CoolWater;
            gate.Add(Finding.Of(
                FindingCode.MixOutOfReach, Severity.Note, path,
                ("wantedC", wanted), ("mixC", mixC), ("waterC", FreshTemperature.WaterFor(wanted, mix.SolidsKgPerM3, solidsC, mix.WaterKgPerM3)), ("leastC", ColdestWaterC), ("mostC", HottestWaterC))
                .Mending(WaterFor(code, wanted, mix, solidsC)));
        }

        if (mixing.WaterC > ScaldC)
        {
            gate.Add(Finding.Of(FindingCode.WaterScalds, Severity.Caution, "/mixing/waterC", ("waterC", mixing.WaterC), ("limitC", ScaldC)));
        }

        if (coldestC < Additives.AntifreezeBelowC && job.Mix.Additives.Antifreeze > 0)
        {
            gate.Add(Finding.Of(FindingCode.AntifreezeIsNoCover, Severity.Note, AdditiveChecks.Path(Additive.Antifreeze), ("airC", coldestC), ("belowC", Additives.AntifreezeBelowC)));
        }

        var wish = mixing.WantedMixC ?? DayJudge.LeastMixColdC;
        gate.Add(Explanation.For(
            WhyCode.WarmWater, "", FreshTemperature.WaterFor(wish, mix.SolidsKgPerM3, solidsC, mix.WaterKgPerM3), Source.Aci306,
            ("wantedC", wish), ("solidsKg", mix.SolidsKgPerM3), ("solidsC", solidsC), ("waterKg", mix.WaterKgPerM3)));
    }

    // To the whole degree; null where water alone cannot do it.
    private static Remedy? WaterFor(RemedyCode code, double wantedC, ConcreteMix mix, double solidsC)
    {
        var exact = FreshTemperature.WaterFor(wantedC, mix.SolidsKgPerM3, solidsC, mix.WaterKgPerM3);
        var waterC = code == RemedyCode.WarmWater ? Math.Ceiling(exact) : Math.Floor(exact);
        return waterC is < ColdestWaterC or > HottestWaterC ? null : new Remedy(
            code, [new Edit("/mixing/waterC", Number: waterC)], new Dictionary<string, double> { ["waterC"] = waterC, ["mixC"] = wantedC });
    }

    // What ACI 305R names, as far as it is not done yet; the best first.
    private static IEnumerable<Remedy> DryingRemedies(JobDocument job, Func<JobDocument, DayOutcome> whatIf, Func<DayOutcome, double> peak)
    {
        var site = job.Site;
        var now = peak(whatIf(job));
        (RemedyCode Code, SiteDocument Site, Edit Edit)[] ways =
        [
            (RemedyCode.MistIt, site with { Fog = true }, new Edit("/site/fog", Yes: true)),
            (RemedyCode.BreakWind, site with { Windbreak = true }, new Edit("/site/windbreak", Yes: true)),
            (RemedyCode.ShadeIt, site with { Shade = Shade.AllDay }, new Edit("/site/shade", Text: Gate.CamelCase(nameof(Shade.AllDay)))),
        ];
        return ways.Where(w => w.Site != site).Select(w => (w.Code, w.Edit, Peak: peak(whatIf(job with { Site = w.Site })))).Where(w => w.Peak < now - 0.01).OrderBy(w => w.Peak)
            .Select(w => new Remedy(w.Code, [w.Edit], new Dictionary<string, double> { ["peakKgM2H"] = w.Peak }));
    }

    /// <summary>Whether there are hands and light for every pass.</summary>
    /// <param name="day">As planned.</param>
    /// <param name="pour">Whichever hour it begins in.</param>
    /// <param name="tasks">Passes with hands of their own, as the crew gets to them.</param>
    /// <param name="judge">Knows the dark.</param>
    /// <param name="job">As said.</param>
    /// <param name="withHands">What comes of the day with another number of hands; null where none would do.</param>
    /// <param name="startingAt">What comes of it from another hour on, as a shift in hours.</param>
    /// <param name="gate">Takes the findings.</param>
    public static void Hands(
        DayReport day, DayPour pour, ImmutableArray<PassTask> tasks, DayJudge judge, JobDocument job, Func<int, DayOutcome> withHands, Func<double, DayOutcome> startingAt, Gate gate)
    {
        if (pour.Mix.Family == MixFamily.Rapid)
        {
            gate.Add(Finding.Of(FindingCode.RapidSetsAsPlaced, Severity.Note, "/mix/bag"));
        }

        string Name(PassTask task) => Gate.CamelCase(pour.Zones[task.Zone].Rules[task.Pass].Pass.ToString());
        if (tasks.Length > 0 && tasks.MaxBy(t => t.LateH) is var late && late.LateH > PassCrew.SlackH)
        {
            var mixing = PassCrew.FreeWhileMixing(pour.Crew) == 0 && pour.MixingEndsH > late.ClosesH;
            var finding = mixing
                ? Finding.Of(FindingCode.HandsStillMixing, Severity.Warning, "/mixing/hands", ("overlapMin", (pour.MixingEndsH - late.ClosesH) * 60), ("zone", late.Zone + 1))
                : Finding.Of(FindingCode.ZonesCollide, Severity.Warning, "/mixing/hands", ("lateMin", late.LateH * 60), ("zone", late.Zone + 1), ("hands", pour.Crew.Hands));
            gate.Add(finding.Naming("pass", Name(late)).Mending(MoreHands(pour, late.LateH, withHands)));
        }

        if (tasks.Where(t => judge.IsDark(day.Start + Duration.FromHours(Math.Min(t.EndsH, DayPaths.Sight.TotalHours)))).OrderBy(t => t.EndsH).Take(1).ToArray() is [var dark])
        {
            gate.Add(Finding.Of(FindingCode.AfterDark, Severity.Warning, "/day/start").Naming("pass", Name(dark)).Mending(EarlierStart(day.Start, judge, job, startingAt)));
        }

        // Working hours that cannot be read are told where the coats are laid into them.
        if (TimePattern.Parse(job.Day.WorkFrom).TryGetValue(default, out var from) && TimePattern.Parse(job.Day.WorkUntil).TryGetValue(default, out var until) && TimePattern.Parse(job.Day.Start).TryGetValue(default, out var said)
            && (said < from || said > until))
        {
            gate.Add(Finding.Of(FindingCode.OutsideWorkingHours, Severity.Note, "/day/start", ("hoursFrom", Hours(from)), ("hoursUntil", Hours(until))));
        }
    }

    private static double Hours(LocalTime time) => time.TickOfDay / (double)NodaConstants.TicksPerHour;

    // The fewest hands more with which nobody is late, or the most with which it is better.
    private static Remedy? MoreHands(DayPour pour, double lateH, Func<int, DayOutcome> withHands)
    {
        var ways = Enumerable.Range(pour.Crew.Hands + 1, Math.Max(0, Math.Min(LoadStep.MostHands, pour.Crew.Hands + 2) - pour.Crew.Hands)).Select(h => (Hands: h, LateH: withHands(h).LateH)).ToArray();
        var best = ways.FirstOrDefault(w => w.LateH <= 0, ways.MinBy(w => w.LateH));
        return ways.Length == 0 || best.LateH >= lateH ? null : new Remedy(
            RemedyCode.AddHand, [new Edit("/mixing/hands", Number: best.Hands)], new Dictionary<string, double> { ["hands"] = best.Hands, ["lateMin"] = best.LateH * 60 });
    }

    // The latest full hour of the morning from which everything is done in the light.
    private static Remedy? EarlierStart(Instant start, DayJudge judge, JobDocument job, Func<double, DayOutcome> startingAt)
    {
        if (!TimePattern.Parse(job.Day.Start).TryGetValue(default, out var said) || !TimePattern.Parse(job.Day.WorkFrom).TryGetValue(default, out var from))
        {
            return null;
        }

        for (var hour = (int)Math.Ceiling(Hours(said)) - 1; hour >= Hours(from); hour--)
        {
            var shift = hour - Hours(said);
            var begins = start + Duration.FromHours(shift);
            var done = begins + Duration.FromHours(Math.Min(startingAt(shift).DoneH, DayPaths.Sight.TotalHours));
            if (!judge.IsDark(done) && !judge.IsDark(begins))
            {
                return new Remedy(
                    RemedyCode.EarlierStart, [new Edit("/day/start", Text: TimePattern.Format(new LocalTime(hour, 0)))],
                    new Dictionary<string, double> { ["startH"] = hour, ["doneH"] = hour + (done - begins).TotalHours });
            }
        }

        return null;
    }

    /// <summary>The next day, at the same hour and for as long, on which rain is unlikely enough.</summary>
    private static Remedy? LaterDay(DayReport day, HourlyWeather weather, JobDocument job)
    {
        var length = (day.FinalSet ?? day.DoneBy) - day.Start;
        for (var ahead = 1; ahead <= 14; ahead++)
        {
            var start = day.Start + Duration.FromDays(ahead);
            if (start + length > weather.End)
            {
                return null;
            }

            var chance = weather.RainChance(start, start + length);
            if (chance <= RainWarn && LocalDatePattern.Iso.Parse(job.Day.Date).TryGetValue(default, out var date))
            {
                return new Remedy(
                    RemedyCode.LaterDay,
                    [new Edit("/day/date", Text: LocalDatePattern.Iso.Format(date.PlusDays(ahead)))],
                    new Dictionary<string, double> { ["daysLater"] = ahead, ["chancePct"] = chance * 100 });
            }
        }

        return null;
    }
}
