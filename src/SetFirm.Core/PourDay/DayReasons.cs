using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;

namespace SetFirm.Core.PourDay;

/// <summary>Why the figures of a day are what they are.</summary>
internal static class DayReasons
{
    /// <summary>No sign speaks of more set progress.</summary>
    private const double MostProgress = 9;

    public static void Explain(DayPlan plan, PourTask task, SlabHistory youngest, Remarks remarks)
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
                DoubtPct: Members.SetDoubt * 100, Members: plan.Members);
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
    }

    /// <summary>Why its chance is what it is; null where none is told.</summary>
    public static Explanation? Chance(DayPlan plan) => plan.Foreseen
        ? new(new Why.StartChance(Members: plan.Members, SetDoubtPct: Members.SetDoubt * 100), "", plan.Odds.Chance * 100, Source.SitePractice, Source.Aci305)
        : null;

    public static void ExplainSigns(DayPlan plan, Remarks remarks)
    {
        var (set, sheen, signs) = (plan.Retimed!.Set, plan.Retimed.Sheen, plan.Retimed.Signs);
        for (var z = 0; z < set.Zones.Length; z++)
        {
            var count = signs.Count(s => s.Zone == z && s.Line is not JobEvent.SheenGone);
            remarks.WhyOf(
                FormattableString.Invariant($"zone-{z + 1}"),
                new Why.ZoneSet(z + 1, count, SetBelief.SharedDoubt * 100, SetBelief.OwnDoubt * 100, Retiming.LaterPct(set.Common.Mean), set.Zones[z].Deviation * 100), Retiming.LaterPct(set.Zones[z].Mean), Source.AstmC1074);
        }

        foreach (var sign in signs.Where(s => s.Line is not JobEvent.SheenGone))
        {
            var says = sign.Says;
            // Back from the factor to the set progress that the slab shows.
            double Shown(double log) => double.IsFinite(log) ? sign.PlannedAt / Math.Exp(log) : log < 0 ? MostProgress : 0;
            remarks.WhyOf(
                sign.Line.Id.ToString("D"), new Why.SignRead(sign.Zone + 1, sign.PlannedAt, Shown(says.Most), Shown(says.Least), says.Doubt * 100), Retiming.LaterPct(set.Zones[sign.Zone].Mean), Source.Aci302);
        }

        if (signs.Count(s => s.Line is JobEvent.SheenGone) is > 0 and var seen)
        {
            remarks.Why(new Why.SheenRead(seen, Members.SheenDoubt * 100, Retiming.LaterPct(sheen.Mean)), Math.Exp(sheen.Mean), Source.SitePractice);
        }
    }
}
