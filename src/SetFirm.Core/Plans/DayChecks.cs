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

    private const double DarkWm2 = 1;

    /// <summary>Whether each batch is still plastic when the next one meets it.</summary>
    /// <returns>How old it may be at the mix's temperature.</returns>
    public static Duration Joint(ConcreteMix mix, double mixC, PourSchedule schedule, PlannedLoad load, Gate gate)
    {
        var rate = Math.Max(EquivalentAge.Rate(mixC), 0.01);
        var limit = Duration.FromHours(JointProgress * mix.ToInitialSet.TotalHours / rate);
        gate.Add(Explanation.For(
            WhyCode.JointAge, "", schedule.JointAge.TotalMinutes, Source.AstmC1074,
            ("limitMin", limit.TotalMinutes), ("initialSetH", mix.ToInitialSet.TotalHours), ("mixC", mixC), ("progress", JointProgress)));
        if (schedule.JointAge > limit)
        {
            var hands = load.Crew.Hands;
            var quicker = (load with { Crew = new Crew(hands + 1) }).Schedule(default).JointAge;
            var finding = Finding.Of(
                FindingCode.ColdJoint, Severity.Warning, "/mixing/hands", ("ageMin", schedule.JointAge.TotalMinutes), ("limitMin", limit.TotalMinutes));
            gate.Add(quicker < schedule.JointAge
                ? finding.WithRemedies(new Remedy(
                    RemedyCode.AddHand,
                    [new Edit("/mixing/hands", Number: hands + 1)],
                    new Dictionary<string, double> { ["hands"] = hands + 1, ["ageMin"] = quicker.TotalMinutes, ["limitMin"] = limit.TotalMinutes }))
                : finding);
        }

        return limit;
    }

    /// <summary>Rain, drying, heat and cold, from the first water to final set.</summary>
    public static void Weather(DayReport day, HourlyWeather weather, JobDocument job, Gate gate)
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

        if (weather.End < (day.FinalSet ?? day.DoneBy))
        {
            gate.Add(Finding.Of(FindingCode.WeatherEndsEarly, Severity.Warning, "/day/date", ("hoursGiven", weather.Count)));
        }

        if (day.MixC > MostMixC)
        {
            gate.Add(Finding.Of(FindingCode.MixTooHot, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", MostMixC)));
        }

        var coldest = day.Hours.Min(h => h.AirC);
        if (coldest < ColdAirC)
        {
            gate.Add(Finding.Of(FindingCode.ColdWeather, Severity.Warning, "/day/date", ("airC", coldest), ("limitC", ColdAirC)));
            if (day.MixC < LeastMixColdC)
            {
                gate.Add(Finding.Of(FindingCode.MixTooCold, Severity.Warning, "/mixing/waterC", ("mixC", day.MixC), ("limitC", LeastMixColdC)));
            }
        }
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
