using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>What about a planned day wants a decision: joints, weather, hands, light. Its limits are those of <see cref="DayJudge"/>.</summary>
/// <param name="plan">As planned.</param>
/// <param name="task">As said.</param>
/// <param name="weather">Hours at the site.</param>
/// <param name="judge">Of this pour.</param>
/// <param name="remarks">Takes findings and reasons.</param>
internal sealed class DayAdvice(DayPlan plan, PourTask task, HourlyWeather weather, DayJudge judge, Remarks remarks)
{
    /// <summary>Water hotter than this scalds, °C.</summary>
    private const double ScaldC = 50;

    private const double ColdestWaterC = 2;

    /// <summary>A mix as near as this to what is wanted has it, °C.</summary>
    private const double NearC = 0.5;

    private const int MostDaysLater = 14;

    private static readonly LocalTimePattern TimePattern = LocalTimePattern.CreateWithInvariantCulture("HH:mm");

    private readonly ConcreteMix mix = plan.Pour.Mix;
    private readonly double mixC = plan.Mix.Celsius;
    private readonly TaskPlaces at = task.At;

    public void Check()
    {
        Joint();
        Rain();
        Drying();
        if (!plan.Foreseen)
        {
            remarks.Note(at.Date, new Notice.WeatherEndsEarly(HoursGiven: weather.Count));
        }

        HeatAndCold();
        Water();
        if (mix.Family == MixFamily.Rapid)
        {
            remarks.Note(at.Mix.Bag, new Notice.RapidSetsAsPlaced());
        }

        Hands();
        Light();
        WorkingHours();
        TruckComes();
    }

    private Remedy StartAt(Mend does, LocalTime time) => new(does, [new Edit(at.Start, Text: TimePattern.Format(time))]);

    /// <summary>Whether each batch is still plastic when the next one meets it.</summary>
    private void Joint()
    {
        var (age, limit) = (plan.Schedule.JointAge, plan.JointLimit);
        remarks.Why(
            new Why.JointAge(LimitMin: limit.TotalMinutes, InitialSetH: mix.ToInitialSet.TotalHours, MixC: mixC, Progress: plan.Pour.JointProgress),
            age.TotalMinutes, Source.AstmC1074);
        if (age > limit)
        {
            remarks.Warn(at.Mixing.Hands, new Notice.ColdJoint(AgeMin: age.TotalMinutes, LimitMin: limit.TotalMinutes), [.. JointRemedies(age, limit)]);
        }
    }

    // Each with the age it would bring, or the limit: those that suffice first.
    private IEnumerable<Remedy> JointRemedies(Duration age, Duration limit)
    {
        var (load, crew) = (task.Load, task.Load.Crew);
        var found = new List<(Duration Over, Remedy Remedy)>();
        void Quicker(Crew with, Func<double, Mend> does, params IReadOnlyList<Edit> edits)
        {
            var sooner = Settled.Of(task, load.With(with), weather, plan.Start, DayPlanner.ManyPaths).Schedule.JointAge;
            if (sooner < age)
            {
                found.Add((sooner - limit, new Remedy(does(sooner.TotalMinutes), edits)));
            }
        }

        void Later(Duration newLimit, Remedy remedy)
        {
            if (newLimit > limit)
            {
                found.Add((age - newLimit, remedy));
            }
        }

        var (hands, mixers) = (crew.Hands + 1, crew.Mixers + 1);
        Quicker(crew with { Hands = hands }, minutes => new Mend.AddHand(hands, minutes, limit.TotalMinutes), new Edit(at.Mixing.Hands, Number: hands));
        var fed = Math.Max(crew.Hands, mixers);
        if (!ByTruck)
        {
            Quicker(
                new Crew(fed, mixers), minutes => new Mend.AddMixer(mixers, minutes, limit.TotalMinutes), new Edit(at.Mixing.Mixers, Number: mixers), new Edit(at.Mixing.Hands, Number: fed));
        }

        if (mix.Family != MixFamily.Rapid && task.Doses(Additive.Retarder) == 0)
        {
            var slowed = limit * Additives.SetFactor(new Dose(Additive.Retarder, 1));
            Later(slowed, new Remedy(new Mend.Retard(1, age.TotalMinutes, slowed.TotalMinutes), [new Edit(at.Mix.Additive(Additive.Retarder), Number: 1)]));
        }

        // The coolest full hour of the day between six and noon.
        var cool = Enumerable.Range(6, 7).Select(h => new LocalTime(h, 0)).MinBy(time => weather.At(plan.Start + Shift(time)).AirC);
        var coolC = plan.Pour.MixC(weather.At(plan.Start + Shift(cool)).AirC);
        var cooled = judge.JointLimit(coolC);
        Later(cooled, StartAt(new Mend.CoolerHour(coolC, age.TotalMinutes, cooled.TotalMinutes), cool));
        return found.OrderBy(f => f.Over > Duration.Zero).ThenBy(f => f.Over).Select(f => f.Remedy);
    }

    private Duration Shift(LocalTime time) => (time - task.Start).ToDuration();

    private void Rain()
    {
        remarks.Why(
            new Why.RainChance(Hours: ((plan.FinalSet ?? plan.DoneBy) - plan.Start).TotalHours, NoGoPct: DayJudge.RainNoGo * 100, WarnPct: DayJudge.RainWarn * 100),
            plan.RainChance * 100, Source.SitePractice);
        if (plan.RainChance <= DayJudge.RainWarn || !plan.Foreseen)
        {
            return;
        }

        // With a cover at hand rain is work, and does no harm.
        Remedy[] cover = task.RainCover ? [] : [new Remedy(new Mend.RainCoverReady(), [new Edit(Places.Site.RainCover, Yes: true)])];
        var limit = plan.RainChance > DayJudge.RainNoGo ? DayJudge.RainNoGo : DayJudge.RainWarn;
        remarks.Add(new Finding(
            task.RainCover ? Severity.Note : Severity.Warning, at.Date, new Notice.RainBeforeSet(ChancePct: plan.RainChance * 100, LimitPct: limit * 100),
            [.. cover, .. DrierDay() is { } later ? [later] : Array.Empty<Remedy>()]));
    }

    // The next day, at the same hour and for as long, on which rain is unlikely enough.
    private Remedy? DrierDay()
    {
        var length = (plan.FinalSet ?? plan.DoneBy) - plan.Start;
        for (var ahead = 1; ahead <= MostDaysLater; ahead++)
        {
            var start = plan.Start + Duration.FromDays(ahead);
            if (start + length > weather.End)
            {
                return null;
            }

            var chance = weather.RainChance(start, start + length);
            if (chance <= DayJudge.RainWarn)
            {
                return new Remedy(
                    new Mend.LaterDay(DaysLater: ahead, ChancePct: chance * 100), [new Edit(at.Date, Text: LocalDatePattern.Iso.Format(task.Date.PlusDays(ahead)))]);
            }
        }

        return null;
    }

    private void Drying()
    {
        var (peak, deficit) = (plan.PeakEvaporationKgM2H, plan.PeakDeficitKgM2H);
        remarks.Why(
            new Why.Evaporation(CareKgM2H: Evaporation.CareKgPerM2H, ActKgM2H: Evaporation.ActKgPerM2H, MixC: mixC), peak, Source.Uno1998, Source.Aci305);
        if (peak > Evaporation.CareKgPerM2H)
        {
            var limit = peak > Evaporation.ActKgPerM2H ? Evaporation.ActKgPerM2H : Evaporation.CareKgPerM2H;
            remarks.Warn(at.Start, new Notice.DryingFast(PeakKgM2H: peak, LimitKgM2H: limit), [.. DryingRemedies(o => o.PeakEvaporationKgM2H)]);
        }

        if (deficit > DayJudge.DeficitWarn)
        {
            var limit = deficit > DayJudge.DeficitAct ? DayJudge.DeficitAct : DayJudge.DeficitWarn;
            Remedy[] ways = peak > Evaporation.CareKgPerM2H ? [] : [.. DryingRemedies(o => o.PeakDeficitKgM2H)]; // else its neighbour offers them
            remarks.Warn(at.Start, new Notice.DriesBeforeItBleeds(PeakKgM2H: deficit, LimitKgM2H: limit), ways);
        }
    }

    // What ACI 305R names, as far as it is not done yet; the best first.
    private IEnumerable<Remedy> DryingRemedies(Func<DayOutcome, double> peak)
    {
        var (site, now) = (task.Site, peak(DayPlanner.WhatIf(plan.Pour, weather, plan.Start, remarks.Budget)));
        (Func<double, Mend> Does, SiteConditions Site, Edit Edit)[] ways =
        [
            (e => new Mend.MistIt(e), site with { Fog = true }, new Edit(Places.Site.Fog, Yes: true)),
            (e => new Mend.BreakWind(e), site with { Windbreak = true }, new Edit(Places.Site.Windbreak, Yes: true)),
            (e => new Mend.ShadeIt(e), site with { Shade = Shade.AllDay },
                new Edit(Places.Site.Shade, Text: System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(nameof(Shade.AllDay)))),
        ];
        return ways.Where(w => w.Site != site)
            .Select(w => (w.Does, w.Edit, Peak: peak(DayPlanner.WhatIf(plan.Pour.Under(w.Site, weather), weather, plan.Start, remarks.Budget))))
            .Where(w => w.Peak < now - 0.01).OrderBy(w => w.Peak).Select(w => new Remedy(w.Does(w.Peak), [w.Edit]));
    }

    private void HeatAndCold()
    {
        if (mixC > DayJudge.MostMixC)
        {
            remarks.Add(new Finding(Severity.Warning, ByTruck ? at.Date : at.Mixing.WaterC, new Notice.MixTooHot(MixC: mixC, LimitC: DayJudge.MostMixC)).Mending(
                WaterFor(warmer: false, DayJudge.MostMixC)));
        }

        if (plan.AirRange.Least.Celsius is var coldest && coldest < DayJudge.ColdAirC)
        {
            remarks.Warn(at.Date, new Notice.ColdWeather(AirC: coldest, LimitC: DayJudge.ColdAirC));
            if (mixC < DayJudge.LeastMixColdC)
            {
                remarks.Add(new Finding(Severity.Warning, ByTruck ? at.Date : at.Mixing.WaterC, new Notice.MixTooCold(MixC: mixC, LimitC: DayJudge.LeastMixColdC)).Mending(
                    WaterFor(warmer: true, DayJudge.LeastMixColdC)));
            }
        }
    }

    /// <summary>The mix at a wanted temperature, by the water alone, and what hot water does to hands.</summary>
    private void Water()
    {
        if (!(task.SaidWaterC >= 0 && task.SaidWaterC <= PourTask.HottestWaterC))
        {
            remarks.Fault(at.Mixing.WaterC, new Notice.OutOfRange(task.SaidWaterC, 0, PourTask.HottestWaterC, RangeUnit.C));
        }

        if (plan.AirRange.Least.Celsius is var coldest && coldest < Additives.AntifreezeBelowC && task.Doses(Additive.Antifreeze) > 0)
        {
            remarks.Note(at.Mix.Additive(Additive.Antifreeze), new Notice.AntifreezeIsNoCover(AirC: coldest, BelowC: Additives.AntifreezeBelowC));
        }

        if (ByTruck)
        {
            return;
        }

        if (task.WantedMixC is { } wanted)
        {
            if (!(wanted >= 5 && wanted <= DayJudge.MostMixC))
            {
                remarks.Fault(at.Mixing.WantedMixC, new Notice.OutOfRange(wanted, 5, DayJudge.MostMixC, RangeUnit.C));
            }
            else if (Math.Abs(wanted - mixC) > NearC)
            {
                remarks.Add(new Finding(
                    Severity.Note, at.Mixing.WantedMixC,
                    new Notice.MixOutOfReach(WantedC: wanted, MixC: mixC, WaterC: ExactWaterC(wanted), LeastC: ColdestWaterC, MostC: PourTask.HottestWaterC))
                    .Mending(WaterFor(warmer: wanted > mixC, wanted)));
            }
        }

        if (task.SaidWaterC > ScaldC)
        {
            remarks.Caution(at.Mixing.WaterC, new Notice.WaterScalds(WaterC: task.SaidWaterC, LimitC: ScaldC));
        }

        var wish = task.WantedMixC ?? DayJudge.LeastMixColdC;
        remarks.Why(
            new Why.WarmWater(WantedC: wish, SolidsKg: mix.SolidsKgPerM3, SolidsC: plan.Air.Celsius, WaterKg: mix.WaterKgPerM3), ExactWaterC(wish), Source.Aci306);
    }

    private double ExactWaterC(double wantedC) => FreshTemperature.WaterFor(wantedC, mix.SolidsKgPerM3, plan.Air.Celsius, mix.WaterKgPerM3);

    // A truck has one chute, and its water went in at the plant.
    private bool ByTruck => task.Recipe is ReadyRecipe;

    // To the whole degree; null where water alone cannot do it, or is not ours to warm.
    private Remedy? WaterFor(bool warmer, double wantedC)
    {
        var exact = ExactWaterC(wantedC);
        var waterC = warmer ? Math.Ceiling(exact) : Math.Floor(exact);
        return ByTruck || waterC is < ColdestWaterC or > PourTask.HottestWaterC ? null : new Remedy(
            warmer ? new Mend.WarmWater(waterC, wantedC) : new Mend.CoolWater(waterC, wantedC), [new Edit(at.Mixing.WaterC, Number: waterC)]);
    }

    private Pass Made(PassTask made) => plan.Pour.Zones[made.Zone].Rules[made.Pass].Pass;

    // Of the joints of what is being filled the one nearest to where a batch ends, and the batch with which the panel before it is full; the last panel ends in no joint.
    private (int Panel, int Batch)? JointNear(int batch)
    {
        var batches = task.Load.Batches;
        double Poured(int upTo) => Enumerable.Range(0, upTo).Sum(b => batches.VolumeOf(b).Litres);
        var (there, before) = (Poured(batch), 0.0);
        foreach (var element in task.Elements)
        {
            if (there <= before + element.PourL + 1e-6 && element.PanelEnds.Length > 1)
            {
                var from = before;
                var (panel, full) = element.PanelEnds.SkipLast(1).Select((end, i) => (Panel: i + 1, FullL: from + (end * element.PourL))).MinBy(p => Math.Abs(p.FullL - there));
                var with = Enumerable.Range(1, batches.Units.Length).First(b => Poured(b) >= full - 1e-6 || b == batches.Units.Length);
                return (panel, with);
            }

            before += element.PourL;
        }

        return null;
    }

    /// <summary>Whether there are hands for every pass.</summary>
    private void Hands()
    {
        var crew = plan.Pour.Crew;
        // Where everybody is called away the mixer stands.
        var stops = plan.Tasks.Where(t => t.BeginsH < plan.Pour.MixingEndsH && t.Hands >= crew.Hands).OrderBy(t => t.BeginsH).ToArray();
        if (stops is [var stop, ..])
        {
            var batch = plan.Schedule.Batches.Last(b => b.WaterAdded <= plan.Start + Duration.FromHours(stop.BeginsH)).Number;
            var joint = JointNear(batch);
            remarks.Note(
                at.Mixing.Hands,
                new Notice.MixingStops(
                    Pass: Made(stop), Zone: stop.Zone + 1, Batch: batch, PauseMin: stops.Sum(t => t.EndsH - t.BeginsH) * 60, Times: stops.Length, Panel: joint?.Panel, PanelBatch: joint?.Batch),
                crew.Hands < LoadAdvice.MostHands ? [new Remedy(new Mend.AddHand(Hands: crew.Hands + 1), [new Edit(at.Mixing.Hands, Number: crew.Hands + 1)])] : []);
        }

        if (plan.Tasks.All(t => t.LateH <= PassCrew.SlackH))
        {
            return;
        }

        var worst = plan.Tasks.MaxBy(t => t.LateH);
        remarks.Add(new Finding(Severity.Warning, at.Mixing.Hands, new Notice.ZonesCollide(Made(worst), worst.Zone + 1, worst.LateH * 60, crew.Hands)).Mending(MoreHands(worst.LateH)));
    }

    // The fewest hands more with which nobody is late, or the most with which it is better.
    private Remedy? MoreHands(double lateH)
    {
        var crew = plan.Pour.Crew;
        var more = Enumerable.Range(crew.Hands + 1, Math.Max(0, Math.Min(LoadAdvice.MostHands, crew.Hands + 2) - crew.Hands));
        var ways = more.Select(h => (Hands: h, DayPlanner.WhatIf(task, task.Load.With(crew with { Hands = h }), weather, plan.Start, remarks.Budget).LateH)).ToArray();
        if (ways.Length == 0)
        {
            return null; // there are as many as a plan takes
        }

        var best = ways.FirstOrDefault(w => w.LateH <= 0, ways.MinBy(w => w.LateH));
        return best.LateH >= lateH ? null : new Remedy(
            new Mend.AddHand(Hands: best.Hands, LateMin: best.LateH * 60), [new Edit(at.Mixing.Hands, Number: best.Hands)]);
    }

    /// <summary>Whether there is light for every pass.</summary>
    private void Light()
    {
        Instant Ends(PassTask made) => plan.Start + Duration.FromHours(Math.Min(made.EndsH, DaySimulation.Sight.TotalHours));
        if (plan.Tasks.Where(t => judge.IsDark(Ends(t))).OrderBy(t => t.EndsH).Take(1).ToArray() is [var dark])
        {
            remarks.Add(new Finding(Severity.Warning, at.Start, new Notice.AfterDark(Made(dark))).Mending(EarlierStart()));
        }
    }

    // The latest full hour of the morning from which everything is done in the light.
    private Remedy? EarlierStart()
    {
        if (task.Works is not { } works)
        {
            return null;
        }

        for (var hour = (int)Math.Ceiling(Hours(task.Start)) - 1; hour >= Hours(works.From); hour--)
        {
            var begins = plan.Start + Duration.FromHours(hour - Hours(task.Start));
            var done = begins + Duration.FromHours(Math.Min(DayPlanner.WhatIf(task, task.Load, weather, begins, remarks.Budget).DoneH, DaySimulation.Sight.TotalHours));
            if (!judge.IsDark(done) && !judge.IsDark(begins))
            {
                return StartAt(new Mend.EarlierStart(StartH: hour, DoneH: hour + (done - begins).TotalHours), new LocalTime(hour, 0));
            }
        }

        return null;
    }

    // A supplier has days and hours of its own.
    private void TruckComes()
    {
        if (task.Recipe is not ReadyRecipe { Terms: var terms } || terms.Comes(task.Date + task.Start))
        {
            return;
        }

        var time = task.Start < terms.From ? terms.From : task.Start > terms.Until ? terms.Until : task.Start;
        var day = terms.NextDay(task.Date);
        remarks.Warn(
            task.At.Date, new Notice.TruckDoesNotCome(HoursFrom: Hours(terms.From), HoursUntil: Hours(terms.Until), Saturdays: terms.Saturdays),
            new Remedy(
                new Mend.WhenTruckComes(Date: day, StartH: Hours(time)),
                [new Edit(task.At.Date, Text: NodaTime.Text.LocalDatePattern.Iso.Format(day)), new Edit(task.At.Start, Text: time.ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture))]));
    }

    private void WorkingHours()
    {
        if (task.Works is not var (from, until))
        {
            return;
        }

        if (task.Start < from || task.Start > until)
        {
            remarks.Note(at.Start, new Notice.OutsideWorkingHours(HoursFrom: Hours(from), HoursUntil: Hours(until)));
            return;
        }

        LocalTime Begins(PassTask made) => (plan.Start + Duration.FromHours(Math.Min(made.BeginsH, DaySimulation.Sight.TotalHours))).InZone(task.Zone).TimeOfDay;
        if (plan.Tasks.Where(t => Begins(t) is var time && (time < from || time > until)).OrderBy(t => t.BeginsH).Take(1).ToArray() is [var late])
        {
            remarks.Note(at.Start, new Notice.PassAfterHours(Made(late), Hours(Begins(late)), Hours(from), Hours(until)));
        }
    }

    private static double Hours(LocalTime time) => time.TickOfDay / (double)NodaConstants.TicksPerHour;
}
