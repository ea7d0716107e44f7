using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>What is coming at a day that is under way, and what can be done about it now. Its limits are those of <see cref="DayJudge"/>.</summary>
/// <param name="plan">As it goes.</param>
/// <param name="task">As said.</param>
/// <param name="weather">Hours at the site.</param>
/// <param name="judge">Of this pour.</param>
/// <param name="withHands">How late passes would be begun, and when mixing would end, with other hands.</param>
internal sealed class BoardAdvice(DayPlan plan, PourTask task, HourlyWeather weather, DayJudge judge, Func<int, (double LateH, Instant MixingEnds)> withHands)
{
    private readonly Remarks remarks = new();
    private readonly Told told = plan.Facts!.All;
    private readonly Instant now = plan.Facts!.Now;
    private readonly TaskPlaces at = task.At;

    /// <summary>The gravest first.</summary>
    public ImmutableArray<Finding> Check()
    {
        if (plan.Facts!.Closed is null)
        {
            Joint();
            Mixing();
            Zones();
            Rain();
            Drying();
            Dark();
        }

        return [.. remarks.Findings.OrderByDescending(f => f.Severity)];
    }

    private double Hours(Instant moment) => (moment - plan.Start).TotalHours;

    // A batch to come meets one that is too old to knit with.
    private void Joint()
    {
        var limit = plan.KnitsWithin;
        var batches = plan.Schedule.Batches;
        for (var i = 1; i < batches.Length; i++)
        {
            var age = batches[i].Placed - batches[i - 1].WaterAdded;
            if (batches[i].Placed > now && age > limit && !plan.Facts!.JointsAfter.Contains(i))
            {
                remarks.Warn(at.Mixing.Self, new Notice.ColdJoint(age.TotalMinutes, limit.TotalMinutes), new Remedy(new Mend.JointHere(Batch: i), []));
                return;
            }
        }
    }

    // Everybody is called away before the last batch lies.
    private void Mixing()
    {
        var nowH = Hours(now);
        var stops = plan.Tasks.Where(t => t.BeginsH >= nowH && t.BeginsH < plan.Pour.MixingEndsH && t.Hands >= plan.Crew.Hands).OrderBy(t => t.BeginsH).ToArray();
        if (stops is not [var stop, ..])
        {
            return;
        }

        var batch = plan.Schedule.Batches.LastOrDefault(b => b.Begun <= plan.Start + Duration.FromHours(stop.BeginsH)).Number;
        remarks.Warn(
            at.Mixing.Hands,
            new Notice.MixingStops(Pass(stop), stop.Zone + 1, batch, stops.Sum(t => t.EndsH - t.BeginsH) * 60, stops.Length, null, null),
            [.. OneMore(mixing: true), .. batch > 0 && batch < plan.Schedule.Batches.Length ? new[] { new Remedy(new Mend.JointHere(Batch: batch), []) } : []]);
    }

    // Two zones are due at once, and hands are with the other.
    private void Zones()
    {
        var nowH = Hours(now);
        var late = plan.Tasks.Where(t => t.ClosesH >= nowH && t.LateH > PassCrew.SlackH).ToArray();
        if (late.Length > 0)
        {
            var worst = late.MaxBy(t => t.LateH);
            remarks.Warn(at.Mixing.Hands, new Notice.ZonesCollide(Pass(worst), worst.Zone + 1, worst.LateH * 60, plan.Crew.Hands), [.. OneMore(mixing: false)]);
        }
    }

    private Remedy[] OneMore(bool mixing)
    {
        var hands = plan.Crew.Hands + 1;
        if (hands > LoadAdvice.MostHands)
        {
            return [];
        }

        var (late, ends) = withHands(hands);
        return [new Remedy(mixing ? new Mend.AddHand(Hands: hands, MixingMin: Math.Max(0, (ends - now).TotalMinutes)) : new Mend.AddHand(Hands: hands, LateMin: late * 60), [])];
    }

    private void Rain()
    {
        if (!plan.Pour.Site.UnderSky || plan.SetBy <= now || IsCovered())
        {
            return;
        }

        var chance = weather.RainChance(now, plan.SetBy);
        if (chance > DayJudge.RainWarn)
        {
            remarks.Warn(at.Date, new Notice.RainBeforeSet(chance * 100, DayJudge.RainWarn * 100), new Remedy(new Mend.CoverNow(), []));
        }
    }

    // By what was told last.
    private bool IsCovered() => told.Lines.LastOrDefault(l => l is JobEvent.CoverOn { Zone: null } or JobEvent.CoverOff { Zone: null }) is JobEvent.CoverOn;

    private void Drying()
    {
        var worst = plan.Zones.Where(z => z.Passes.Any(p => p.Done is null && p.Begins is not null) && z.Passes.Any(p => p.Closes > now)).MaxBy(z => z.PeakDeficitKgM2H);
        var misted = told.Lines.OfType<JobEvent.Misted>().Any(m => now - m.At < Duration.FromHours(1));
        if (worst is not { PeakDeficitKgM2H: > DayJudge.DeficitWarn } || misted)
        {
            return;
        }

        var foggy = DayPlanner.WhatIf(plan.Pour.Under(plan.Pour.Conditions with { Fog = true }, weather), weather, plan.Start, remarks.Budget);
        remarks.Add(new Finding(
            worst.PeakDeficitKgM2H > DayJudge.DeficitAct ? Severity.Error : Severity.Warning, at.Date, new Notice.DriesBeforeItBleeds(worst.PeakDeficitKgM2H, DayJudge.DeficitWarn),
            [new Remedy(new Mend.MistIt(foggy.PeakDeficitKgM2H), [])]));
    }

    private void Dark()
    {
        var dark = plan.Tasks.Where(t => judge.IsDark(plan.Start + Duration.FromHours(Math.Min(t.EndsH, DaySimulation.Sight.TotalHours)))).OrderBy(t => t.EndsH).Take(1).ToArray();
        if (dark is [var first])
        {
            remarks.Warn(at.Start, new Notice.AfterDark(Pass(first)));
        }
    }

    private Pass Pass(PassTask of) => plan.Pour.Zones[of.Zone].Rules[of.Pass].Pass;
}
