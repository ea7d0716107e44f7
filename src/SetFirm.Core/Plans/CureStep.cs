using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>From the day to the weeks after: wetting, strength and dates.</summary>
internal static class CureStep
{
    private const double MostDays = 60;
    private static readonly Duration Sight = Duration.FromDays(60);
    private static readonly double[] CurveHours = [0, 6, 12, 18, 24, 36, .. Enumerable.Range(2, 27).Select(d => d * 24.0)];

    public static CureReport? Plan(CureDocument said, PlannedDay day, HourlyWeather weather, ISlabModel model, Gate gate)
    {
        if (said.Days is { } given && !gate.InRange("/cure/days", given, 0, MostDays, "Days"))
        {
            return null;
        }

        var mix = day.Youngest.Mix;
        var history = model.Follow(day.Youngest, weather, Sight);
        var wetFrom = day.Report.FinalSet ?? day.Report.DoneBy;
        var advised = Advice(mix, history, weather, wetFrom, gate);
        var days = said.Days ?? advised;
        var wetUntil = wetFrom + Duration.FromDays(days);
        var wetHours = history.EquivalentHoursAt(wetUntil);
        var (evaporation, interval) = Rewetting(said.Method, history, weather, wetFrom, days, gate);
        CheckDays(days, advised, mix, wetHours, gate);
        var frozen = FrozenYoung(mix, history, gate);
        double At(double hours, double wet) => StrengthGain.Stopped(mix, wet, history.EquivalentHoursAt(history.WaterAdded + Duration.FromHours(hours)));
        gate.Add(Explanation.For(
            WhyCode.Strength, "", At(28 * 24, wetHours), Source.En1992,
            ("f28Mpa", mix.F28.Megapascals), ("ageCoefficient", mix.AgeCoefficient), ("finalSetH", mix.ToFinalSet.TotalHours),
            ("wetEquivalentDays", wetHours / 24), ("share", StrengthGain.ShareAfter(wetHours / 24))).And(Source.Aci308));
        return new CureReport(
            wetFrom,
            wetUntil,
            days,
            advised,
            interval,
            evaporation,
            [.. Milestones.For(mix.Family).Select(rule => Reach(rule, mix, history, wetHours, frozen, gate))],
            [.. CurveHours.Select(h => new StrengthPoint(history.WaterAdded + Duration.FromHours(h), At(h, wetHours), At(h, 0)))],
            mix.F28.Megapascals,
            At(28 * 24, wetHours));
    }

    private static double Advice(ConcreteMix mix, SlabHistory history, HourlyWeather weather, Instant from, Gate gate)
    {
        var mean = Enumerable.Range(0, 7 * 24).Average(h => weather.At(from + Duration.FromHours(h)).AirC);
        double? coldDays = WhenStrong(mix, history, Wetting.ColdShare * mix.F28.Megapascals, wetEquivalentHours: double.MaxValue) is { } when
            ? (when - from).TotalDays
            : null;
        var advised = Wetting.AdvisedDays(mix.Family, mean, coldDays);
        gate.Add(Explanation.For(
            WhyCode.WetDays, "", advised, Source.Aci308, ("meanAirC", mean), ("warmC", Wetting.WarmEnoughC), ("coldSharePct", Wetting.ColdShare * 100)));
        return advised;
    }

    private static (double Evaporation, double Interval) Rewetting(
        CuringMethod method, SlabHistory history, HourlyWeather weather, Instant from, double days, Gate gate)
    {
        var hours = Math.Max(1, (int)Math.Ceiling(days * 24));
        double sum = 0, worst = 0;
        for (var i = 0; i < hours; i++)
        {
            var at = from + Duration.FromHours(i);
            var h = weather.At(at);
            var e = Evaporation.Uno(history.TemperatureAt(at), h.AirC, h.Humidity, h.SlabWindKmh);
            sum += e;
            worst = Math.Max(worst, e);
        }

        var (mean, store) = (sum / hours, Wetting.Store(method));
        var interval = Wetting.IntervalHours(store, mean);
        gate.Add(Explanation.For(WhyCode.Rewetting, "", interval, Source.SitePractice, ("storeKgM2", store), ("evaporationKgM2H", mean)));
        gate.Add(Explanation.For(WhyCode.MeanEvaporation, "", mean, Source.Uno1998, ("hours", hours), ("peakKgM2H", worst)));
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

    private static bool FrozenYoung(ConcreteMix mix, SlabHistory history, Gate gate)
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
                    FindingCode.FrozenYoung, Severity.Warning, "/day/date", ("strengthMpa", strength), ("safeMpa", Milestones.FrostSafeMpa)));
                return true;
            }
        }

        return false;
    }

    private static MilestoneReport Reach(MilestoneRule rule, ConcreteMix mix, SlabHistory history, double wetEquivalentHours, bool frozen, Gate gate)
    {
        var needs = Math.Max(rule.Mpa, rule.ShareOfF28 * mix.F28.Megapascals);
        var name = Gate.CamelCase(rule.Milestone.ToString());
        var strong = WhenStrong(mix, history, needs, wetEquivalentHours);
        if (strong is null)
        {
            gate.Add(Finding.Of(FindingCode.MilestoneOutOfSight, Severity.Note, "/cure", ("neededMpa", needs)).Naming("milestone", name));
        }

        Instant? at = strong is { } s && !frozen ? Instant.Max(s, history.WaterAdded + Duration.FromHours(rule.Hours)) : null;
        gate.Add(Explanation.For(
            WhyCode.Milestone, name, needs, Source.SitePractice,
            ("needsMpa", rule.Mpa), ("sharePct", rule.ShareOfF28 * 100), ("leastHours", rule.Hours), ("f28Mpa", mix.F28.Megapascals)));
        return new MilestoneReport(rule.Milestone, at, needs);
    }

    /// <summary>First step at which the strength is there; never before final set. Strength never falls, so halving finds it.</summary>
    private static Instant? WhenStrong(ConcreteMix mix, SlabHistory history, double mpa, double wetEquivalentHours)
    {
        var finalSet = mix.ToFinalSet.TotalHours;
        var (from, to) = (0, history.StepHours.Length);
        while (from < to)
        {
            var middle = (from + to) / 2;
            var equivalent = history.StepEquivalentHours[middle];
            if (equivalent >= finalSet && StrengthGain.Stopped(mix, wetEquivalentHours, equivalent) >= mpa)
            {
                to = middle;
            }
            else
            {
                from = middle + 1;
            }
        }

        return from == history.StepHours.Length ? null : history.WaterAdded + Duration.FromHours(history.StepHours[from]);
    }
}
