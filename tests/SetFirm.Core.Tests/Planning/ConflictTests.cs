using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What stands in the way of a day, and ways out whose numbers hold.</summary>
public sealed class ConflictTests
{
    private static readonly HourlyWeather Hot = Sunny(30, 0.3, 20, 750);
    private static readonly HourlyWeather Mild = Sunny(17, 0.75, 6, 200);

    [Fact]
    public void Fast_drying_offers_shade_windbreak_and_mist_with_what_each_leaves()
    {
        var job = Samples.Terrace();
        var drying = Plans.Of(job, Hot).Findings.Single(f => f.Says is Notice.DryingFast);
        drying.Remedies.Select(r => r.Does.GetType()).ShouldBe([typeof(Mend.ShadeIt), typeof(Mend.BreakWind), typeof(Mend.MistIt)], ignoreOrder: true);
        drying.Remedies.Select(Peak).ShouldBeInOrder();
        foreach (var remedy in drying.Remedies)
        {
            var taken = RemedyText.Taken(job, remedy);
            Peak(remedy).ShouldBeLessThan(drying.Says<Notice.DryingFast>().PeakKgM2H);
            Plans.Of(taken, Hot).Findings.Where(f => f.Says is Notice.DryingFast).SelectMany(f => f.Remedies).ShouldNotContain(r => r.Does.GetType() == remedy.Does.GetType());
        }
    }

    [Fact]
    public void Indoors_nothing_rains_and_nothing_is_dark()
    {
        var wet = Samples.Weather(Enumerable.Range(0, 24 * 10).Select(h => Samples.Mild with { RainChance = 0.3, SunWm2 = h % 24 is > 7 and < 16 ? 200 : 0 }));
        var job = Samples.Terrace() with { Site = SiteDocument.AsForecast with { Shelter = Shelter.Indoors }, Day = Samples.Terrace().Day with { Start = "14:00" } };
        var report = Plans.Of(job, wet);
        report.Day!.RainChance.ShouldBe(0);
        report.Findings.ShouldNotContain(f => f.Says is Notice.RainBeforeSet || f.Says is Notice.AfterDark);
    }

    [Fact]
    public void A_pass_in_the_dark_offers_the_latest_hour_that_is_done_in_the_light()
    {
        var job = Samples.Terrace() with { Day = Samples.Terrace().Day with { Start = "17:00" } };
        var dark = Plans.Of(job, Mild).Findings.Single(f => f.Says is Notice.AfterDark);
        var remedy = dark.Remedies.ShouldHaveSingleItem();
        var earlier = Plans.Of(RemedyText.Taken(job, remedy), Mild);
        earlier.Findings.ShouldNotContain(f => f.Says is Notice.AfterDark);
        (earlier.Day!.DoneBy - earlier.Day.Start).TotalHours.ShouldBe(remedy.Does<Mend.EarlierStart>().DoneH - remedy.Does<Mend.EarlierStart>().StartH, 0.25);
        earlier.Day.DoneBy.ShouldBeLessThanOrEqualTo(earlier.Day.Light.Dusk + Duration.FromMinutes(20));
    }

    [Fact]
    public void One_pair_of_hands_stops_mixing_for_a_pass_and_a_helper_lets_it_go_on()
    {
        var job = Big(hands: 1, "75 L");
        var report = Plans.Of(job, Mild);
        var stops = report.Findings.Single(f => f.Says is Notice.MixingStops);
        var says = stops.Says<Notice.MixingStops>();
        says.PauseMin.ShouldBeGreaterThan(0);
        says.Batch.ShouldBeInRange(1, report.Load!.Batches.Count - 1);
        // It leaves off at the joint nearest to there: behind a panel that is full with the batch that is told.
        var panels = report.Shape!.Elements[0].Joints.Panels;
        panels.Count.ShouldBeGreaterThan(1);
        double Full(int panel) => panels.Where(p => p.Number <= panel).Sum(p => p.AreaM2) / panels.Sum(p => p.AreaM2) * report.Shape.OrderL;
        double Poured(int batch) => report.Load.Batches.Take(batch).Sum(b => b.VolumeL);
        says.Panel!.Value.ShouldBeInRange(1, panels.Count - 1);
        Enumerable.Range(1, panels.Count - 1).MinBy(p => Math.Abs(Full(p) - Poured(says.Batch))).ShouldBe(says.Panel.Value);
        Poured(says.PanelBatch!.Value).ShouldBeGreaterThanOrEqualTo(Full(says.Panel.Value) - 1e-6);
        Poured(says.PanelBatch.Value - 1).ShouldBeLessThan(Full(says.Panel.Value));
        // While it floats, nothing goes into the mixer.
        foreach (var pass in report.Day!.Zones.SelectMany(z => z.Passes).Where(p => p.Begins is { } at && at < report.Day.MixingEnds))
        {
            var (from, to) = (pass.Begins!.Value, pass.Begins.Value + Duration.FromMinutes(pass.WorkMin));
            report.Load.Batches.ShouldNotContain(b => b.WaterAdded > from + Duration.FromMinutes(2) && b.WaterAdded < to - Duration.FromMinutes(2));
        }

        var helped = Plans.Of(RemedyText.Taken(job, stops.Remedies.Single()), Mild);
        helped.Findings.ShouldNotContain(f => f.Says is Notice.MixingStops);
        (helped.Day!.MixingEnds - helped.Day.Start).ShouldBeLessThan(report.Day!.MixingEnds - report.Day.Start);
    }

    [Fact]
    public void Zones_that_are_ready_at_once_are_told_with_the_hands_that_would_do()
    {
        // A thin, wide face is soon poured and long trowelled.
        var job = Big(hands: 2, "140 L", Finish.Steel, "12 m", "30 mm");
        var report = Plans.Of(job, Hot);
        var collide = report.Findings.Where(f => f.Says is Notice.ZonesCollide).ShouldHaveSingleItem();
        collide.Says.GetType().ShouldBe(typeof(Notice.ZonesCollide));
        collide.Says<Notice.ZonesCollide>().LateMin.ShouldBeGreaterThan(10);
        report.Day!.Faults.ShouldContain(f => f.Fault == DayFault.Hands);
    }

    [Fact]
    public void More_hands_are_offered_only_where_they_come_less_late()
    {
        var offered = 0;
        foreach (var (hands, drum, along) in new[] { (1, "75 L", "6 m"), (2, "75 L", "9 m"), (2, "140 L", "9 m"), (3, "140 L", "9 m"), (3, "75 L", "12 m"), (3, "600 L", "12 m") })
        {
            foreach (var finding in Plans.Of(Big(hands, drum, Finish.Steel, along, "30 mm"), Hot).Findings.Where(f => f.Says is Notice.ZonesCollide))
            {
                foreach (var more in finding.Remedies)
                {
                    offered++;
                    more.Does<Mend.AddHand>().Hands.ShouldBeGreaterThan(hands);
                    if (finding.Says is Notice.ZonesCollide)
                    {
                        more.Does<Mend.AddHand>().LateMin!.Value.ShouldBeLessThan(finding.Says<Notice.ZonesCollide>().LateMin);
                    }
                }
            }
        }

        offered.ShouldBeGreaterThan(2);
    }

    [Fact]
    public void A_chance_is_a_share_and_names_what_goes_wrong_the_worst_first()
    {
        foreach (var weather in new[] { Hot, Mild, Sunny(4, 0.8, 10, 100) })
        {
            var day = Plans.Of(Samples.Terrace(), weather).Day!;
            day.Chance!.Value.ShouldBeInRange(0, 1);
            day.Faults.Select(f => f.Share).ShouldBeInOrder(SortDirection.Descending);
            day.Faults.ShouldAllBe(f => f.Share > 0 && f.Share <= 1 - day.Chance!.Value + 1e-9);
        }

        Plans.Of(Samples.Terrace(), Mild).Day!.Chance!.Value.ShouldBeGreaterThan(0.9);
        Plans.Of(Samples.Terrace(), Hot).Day!.Chance!.Value.ShouldBeLessThan(0.2);
    }

    [Fact]
    public void Sawn_joints_come_into_the_day_from_final_set_on()
    {
        var slab = (SlabDocument)Samples.Terrace().Elements[0];
        var job = Samples.Terrace() with { Elements = [slab with { Joints = [new JointDocument { Across = true, At = "1 m", Method = JointMethod.Sawn }] }] };
        var day = Plans.Of(job, Mild).Day!;
        var saw = day.Passes.Single(p => p.Pass == Pass.SawJoints);
        var last = day.Zones[^1].Passes.Single(p => p.Pass == Pass.SawJoints);
        (last.Opens - day.FinalSet!.Value).TotalMinutes.ShouldBe(0, 2);
        saw.Begins.ShouldBeNull(); // it may wait for the morning
    }

    [Fact]
    public void A_start_outside_the_hours_one_works_is_noted()
    {
        var job = Samples.Terrace() with { Day = Samples.Terrace().Day with { Start = "05:00" } };
        Plans.Of(job, Mild).Findings.Single(f => f.Says is Notice.OutsideWorkingHours).Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void What_the_concrete_asks_for_when_nobody_begins_any_more_is_said_with_its_hour()
    {
        var job = Samples.Terrace() with { Day = Samples.Terrace().Day with { Start = "11:00" } };
        var report = Plans.Of(job, Samples.Steady(8));
        var says = report.Findings.Select(f => f.Says).OfType<Notice.PassAfterHours>().Single();
        (says.HoursFrom, says.HoursUntil).ShouldBe((6, 18));
        var zone = NodaTime.DateTimeZoneProviders.Tzdb[job.TimeZone];
        var begun = report.Day!.Zones.SelectMany(z => z.Passes).Where(p => p.Begins is not null).Select(p => (p.Pass, Hour: p.Begins!.Value.InZone(zone).TimeOfDay.TickOfDay / (double)NodaTime.NodaConstants.TicksPerHour)).Where(p => p.Hour > 18).MinBy(p => p.Hour);
        says.Pass.ShouldBe(begun.Pass);
        says.BeginsH.ShouldBe(begun.Hour, 1.0 / 60);
        Plans.Of(job with { Day = job.Day with { WorkUntil = "23:30" } }, Samples.Steady(8)).Findings.ShouldNotContain(f => f.Says is Notice.PassAfterHours);
    }

    private static JobDocument Big(int hands, string drum, Finish finish = Finish.Broom, string along = "9 m", string thickness = "100 mm")
    {
        var job = Samples.Terrace().WithSlab(s => s with
        {
            Id = "slab",
            Thickness = thickness,
            Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = along, Across = "4 m" },
            Openings = [],
            Edges = [],
            Finish = finish,
        });
        // In one go, as somebody insists: left to itself it would be shared out among days.
        return job with
        {
            Mixing = job.Mixing with { Hands = hands, Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = drum } },
            Pours = [new PourDocument { Id = "all", Date = job.Day.Date, Parts = [new PartDocument { Element = "slab" }] }],
        };
    }

    private static HourlyWeather Sunny(double air, double humidity, double wind, double sun) => Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with
    {
        AirC = air,
        Humidity = humidity,
        WindKmh = wind,
        SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 4) / 14)),
    }));

    private static double Peak(Remedy remedy) => remedy.Does switch
    {
        Mend.ShadeIt it => it.PeakKgM2H,
        Mend.BreakWind it => it.PeakKgM2H,
        Mend.MistIt it => it.PeakKgM2H,
        var other => throw new InvalidOperationException($"{other}"),
    };
}
