using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
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
    /// <summary>The cold-joint clock: set progress under which a batch still takes the next one.</summary>
    public const double JointProgress = 0.4;

    // Chance of 0.5 mm or more before final set, 0-1; site practice.
    private const double RainNoGo = 0.30;
    private const double RainWarn = WeatherDay.DryUpTo;

    // ACI 306R: cold weather begins, and what the mix must then have; ACI 305R: what it may have at the most.
    private const double ColdAirC = 4;
    private const double LeastMixColdC = 13;
    private const double MostMixC = 35;

    /// <summary>Under this much sun it is dark.</summary>
    public const double DarkWm2 = 1;

    // Drying over bleeding, kg/m2/h; site practice.
    private const double DeficitWarn = 0.3;
    public const double DeficitAct = 0.6;

    /// <summary>Water hotter than this scalds, °C; and hotter than the last it is not mixed with.</summary>
    private const double ScaldC = 50;

    public const double HottestWaterC = 60;
    private const double ColdestWaterC = 2;

    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    private static Duration JointLimit(ConcreteMix mix, double mixC) =>
        Duration.FromHours(JointProgress * mix.ToInitialSet.TotalHours / Math.Max(EquivalentAge.Rate(mixC), 0.01));

    /// <summary>Whether each batch is still plastic when the next one meets it.</summary>
    /// <returns>How old it may be at the mix's temperature.</returns>
    public static Duration Joint(ConcreteMix mix, double mixC, PourSchedule schedule, PlannedLoad load, JobDocument job, HourlyWeather weather, Gate gate)
    {
        var limit = JointLimit(mix, mixC);
        gate.Add(Explanation.For(
            WhyCode.JointAge, "", schedule.JointAge.TotalMinutes, Source.AstmC1074,
            ("limitMin", limit.TotalMinutes), ("initialSetH", mix.ToInitialSet.TotalHours), ("mixC", mixC), ("progress", JointProgress)));
        if (schedule.JointAge > limit)
        {
            gate.Add(Finding.Of(
                FindingCode.ColdJoint, Severity.Warning, "/mixing/hands", ("ageMin", schedule.JointAge.TotalMinutes), ("limitMin", limit.TotalMinutes)).WithRemedies(
                [.. JointRemedies(mix, schedule, load, limit, job, weather)]));
        }

        return limit;
    }

    // Each with the age it would bring, or the limit: those that suffice first.
    private static IEnumerable<Remedy> JointRemedies(ConcreteMix mix, PourSchedule schedule, PlannedLoad load, Duration limit, JobDocument job, HourlyWeather weather)
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
            var mixC = DayStep.MixTemperature(mix, weather.At(schedule.Batches[0].WaterAdded + shift).AirC, job.Mixing.WaterC);
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
    public static void Weather(DayReport day, ConcreteMix mix, HourlyWeather weather, JobDocument job, Gate gate)
    {
        gate.Add(Explanation.For(
            WhyCode.Evaporation, "", day.PeakEvaporation, Source.Uno1998,
            ("careKgM2H", Evaporation.CareKgPerM2H), ("actKgM2H", Evaporation.ActKgPerM2H), ("mixC", day.MixC)).And(Source.Aci305));
        gate.Add(Explanation.For(
            WhyCode.RainChance, "", day.RainChance * 100, Source.SitePractice,
            ("hours", ((day.FinalSet ?? day.DoneBy) - day.Start).TotalHours), ("noGoPct", RainNoGo * 100), ("warnPct", RainWarn * 100)));
        if (day.RainChance > RainWarn)
        {
            var finding = Finding.Of(
                FindingCode.RainBeforeSet, Severity.Warning, "/day/date",
                ("chancePct", day.RainChance * 100), ("limitPct", (day.RainChance > RainNoGo ? RainNoGo : RainWarn) * 100));
            gate.Add(LaterDay(day, weather, job) is { } later ? finding.WithRemedies(later) : finding);
        }

        if (day.PeakEvaporation > Evaporation.CareKgPerM2H)
        {
            var limit = day.PeakEvaporation > Evaporation.ActKgPerM2H ? Evaporation.ActKgPerM2H : Evaporation.CareKgPerM2H;
            gate.Add(Finding.Of(FindingCode.DryingFast, Severity.Warning, "/day/start", ("peakKgM2H", day.PeakEvaporation), ("limitKgM2H", limit)));
        }

        var deficit = day.Zones.Max(z => z.PeakDeficit);
        if (deficit > DeficitWarn)
        {
            gate.Add(Finding.Of(
                FindingCode.DriesBeforeItBleeds, Severity.Warning, "/day/start", ("peakKgM2H", deficit), ("limitKgM2H", deficit > DeficitAct ? DeficitAct : DeficitWarn)));
        }

        if (weather.End < (day.FinalSet ?? day.DoneBy))
        {
            gate.Add(Finding.Of(FindingCode.WeatherEndsEarly, Severity.Warning, "/day/date", ("hoursGiven", weather.Count)));
        }

        if (day.MixC > MostMixC)
        {
            gate.Add(Finding.Of(FindingCode.MixTooHot, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", MostMixC)).Mending(
                WaterFor(RemedyCode.CoolWater, MostMixC, mix, weather.At(day.Start).AirC)));
        }

        var coldest = day.Hours.Min(h => h.AirC);
        if (coldest < ColdAirC)
        {
            gate.Add(Finding.Of(FindingCode.ColdWeather, Severity.Warning, "/day/date", ("airC", coldest), ("limitC", ColdAirC)));
            if (day.MixC < LeastMixColdC)
            {
                gate.Add(Finding.Of(FindingCode.MixTooCold, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", LeastMixColdC)).Mending(
                    WaterFor(RemedyCode.WarmWater, LeastMixColdC, mix, weather.At(day.Start).AirC)));
            }
        }
    }

    /// <summary>The mix at a wanted temperature, by the water alone, and what hot water does to hands.</summary>
    public static void Water(ConcreteMix mix, double solidsC, double mixC, JobDocument job, double coldestC, Gate gate)
    {
        var mixing = job.Mixing;
        const string path = "/mixing/wantedMixC";
        const double near = 0.5;
        if (mixing.WantedMixC is { } wanted && gate.InRange(path, wanted, 5, MostMixC, "C") && Math.Abs(wanted - mixC) > near)
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

        var wish = mixing.WantedMixC ?? LeastMixColdC;
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

    /// <summary>Whether there are hands and light for every pass.</summary>
    public static void Hands(DayReport day, ConcreteMix mix, JobDocument job, HourlyWeather weather, Gate gate)
    {
        if (mix.Family == MixFamily.Rapid)
        {
            gate.Add(Finding.Of(FindingCode.RapidSetsAsPlaced, Severity.Note, "/mix/bag"));
        }

        // Striking off and bull floating belong to placing; any later pass needs hands of its own.
        foreach (var pass in day.Zones.SelectMany(z => z.Passes).Where(p => p.Pass > Pass.BullFloat && p.Closes < day.MixingEnds).Take(1))
        {
            gate.Add(Finding.Of(
                FindingCode.HandsStillMixing, Severity.Warning, "/mixing/hands", ("overlapMin", (day.MixingEnds - pass.Closes).TotalMinutes))
                .Naming("pass", Gate.CamelCase(pass.Pass.ToString())));
        }

        foreach (var pass in day.Passes.Where(p => weather.At(p.Closes).SunWm2 < DarkWm2).Take(1))
        {
            gate.Add(Finding.Of(FindingCode.AfterDark, Severity.Warning, "/day/start").Naming("pass", Gate.CamelCase(pass.Pass.ToString())));
        }
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
