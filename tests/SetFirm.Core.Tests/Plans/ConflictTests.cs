using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Plans;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.PourDay;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Plans;

/// <summary>What stands in the way of a day, and ways out whose numbers hold.</summary>
public sealed class ConflictTests
{
    private static readonly HourlyWeather Hot = Sunny(30, 0.3, 20, 750);
    private static readonly HourlyWeather Mild = Sunny(17, 0.75, 6, 200);

    [Fact]
    public void Fast_drying_offers_shade_windbreak_and_mist_with_what_each_leaves()
    {
        var job = Samples.Terrace();
        var drying = Planner.Plan(job, Hot).Findings.Single(f => f.Code == FindingCode.DryingFast);
        drying.Remedies.Select(r => r.Code).ShouldBe([RemedyCode.ShadeIt, RemedyCode.BreakWind, RemedyCode.MistIt], ignoreOrder: true);
        drying.Remedies.Select(r => r.Effect["peakKgM2H"]).ShouldBeInOrder();
        foreach (var remedy in drying.Remedies)
        {
            var taken = RemedyText.Taken(job, remedy);
            remedy.Effect["peakKgM2H"].ShouldBeLessThan(drying.Facts["peakKgM2H"]);
            Planner.Plan(taken, Hot).Findings.Where(f => f.Code == FindingCode.DryingFast).SelectMany(f => f.Remedies).ShouldNotContain(r => r.Code == remedy.Code);
        }
    }

    [Fact]
    public void Indoors_nothing_rains_and_nothing_is_dark()
    {
        var wet = Samples.Weather(Enumerable.Range(0, 24 * 10).Select(h => Samples.Mild with { RainChance = 0.3, SunWm2 = h % 24 is > 7 and < 16 ? 200 : 0 }));
        var job = Samples.Terrace() with { Site = SiteDocument.AsForecast with { Shelter = Shelter.Indoors }, Day = Samples.Terrace().Day with { Start = "14:00" } };
        var report = Planner.Plan(job, wet);
        report.Day!.RainChance.ShouldBe(0);
        report.Findings.ShouldNotContain(f => f.Code == FindingCode.RainBeforeSet || f.Code == FindingCode.AfterDark);
    }

    [Fact]
    public void A_pass_in_the_dark_offers_the_latest_hour_that_is_done_in_the_light()
    {
        var job = Samples.Terrace() with { Day = Samples.Terrace().Day with { Start = "17:00" } };
        var dark = Planner.Plan(job, Mild).Findings.Single(f => f.Code == FindingCode.AfterDark);
        var remedy = dark.Remedies.ShouldHaveSingleItem();
        var earlier = Planner.Plan(RemedyText.Taken(job, remedy), Mild);
        earlier.Findings.ShouldNotContain(f => f.Code == FindingCode.AfterDark);
        (earlier.Day!.DoneBy - earlier.Day.Start).TotalHours.ShouldBe(remedy.Effect["doneH"] - remedy.Effect["startH"], 0.25);
        earlier.Day.DoneBy.ShouldBeLessThanOrEqualTo(earlier.Day.Light.Dusk + Duration.FromMinutes(20));
    }

    [Fact]
    public void One_pair_of_hands_that_still_mixes_while_the_first_part_closes_is_told_and_a_helper_mends_it()
    {
        var job = Big(hands: 1, "75 L");
        var report = Planner.Plan(job, Hot);
        var busy = report.Findings.Single(f => f.Code == FindingCode.HandsStillMixing);
        busy.Facts["overlapMin"].ShouldBeGreaterThan(0);
        var helped = Planner.Plan(RemedyText.Taken(job, busy.Remedies.Single()), Hot);
        (helped.Day!.MixingEnds - helped.Day.Start).ShouldBeLessThan(report.Day!.MixingEnds - report.Day.Start);
    }

    [Fact]
    public void Zones_that_are_ready_at_once_are_told_with_the_hands_that_would_do()
    {
        // A tub of ready mix at a time: three hands pour it fast, and one finishes while the others mix.
        var job = Big(hands: 3, "600 L", Finish.Steel, "12 m");
        var report = Planner.Plan(job, Hot);
        var collide = report.Findings.Where(f => f.Code is FindingCode.ZonesCollide or FindingCode.HandsStillMixing).ShouldHaveSingleItem();
        collide.Code.ShouldBe(FindingCode.ZonesCollide);
        collide.Facts["lateMin"].ShouldBeGreaterThan(10);
        report.Day!.Faults.ShouldContain(f => f.Fault == DayFault.Hands);
    }

    [Fact]
    public void More_hands_are_offered_only_where_they_come_less_late()
    {
        var offered = 0;
        foreach (var (hands, drum, along) in new[] { (1, "75 L", "9 m"), (2, "75 L", "9 m"), (2, "140 L", "9 m"), (3, "140 L", "9 m"), (3, "75 L", "12 m"), (3, "600 L", "12 m") })
        {
            foreach (var finding in Planner.Plan(Big(hands, drum, Finish.Steel, along), Hot).Findings.Where(f => f.Code is FindingCode.ZonesCollide or FindingCode.HandsStillMixing))
            {
                foreach (var more in finding.Remedies)
                {
                    offered++;
                    more.Effect["hands"].ShouldBeGreaterThan(hands);
                    if (finding.Code == FindingCode.ZonesCollide)
                    {
                        more.Effect["lateMin"].ShouldBeLessThan(finding.Facts["lateMin"]);
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
            var day = Planner.Plan(Samples.Terrace(), weather).Day!;
            day.Chance.ShouldBeInRange(0, 1);
            day.Faults.Select(f => f.Share).ShouldBeInOrder(SortDirection.Descending);
            day.Faults.ShouldAllBe(f => f.Share > 0 && f.Share <= 1 - day.Chance + 1e-9);
        }

        Planner.Plan(Samples.Terrace(), Mild).Day!.Chance.ShouldBeGreaterThan(0.9);
        Planner.Plan(Samples.Terrace(), Hot).Day!.Chance.ShouldBeLessThan(0.2);
    }

    [Fact]
    public void Sawn_joints_come_into_the_day_from_final_set_on()
    {
        var slab = (SlabDocument)Samples.Terrace().Elements[0];
        var job = Samples.Terrace() with { Elements = [slab with { Joints = [new JointDocument { Across = true, At = "1 m", Method = JointMethod.Sawn }] }] };
        var day = Planner.Plan(job, Mild).Day!;
        var saw = day.Passes.Single(p => p.Pass == Pass.SawJoints);
        var last = day.Zones[^1].Passes.Single(p => p.Pass == Pass.SawJoints);
        (last.Opens - day.FinalSet!.Value).TotalMinutes.ShouldBe(0, 2);
        saw.Begins.ShouldBeNull(); // it may wait for the morning
    }

    [Fact]
    public void A_start_outside_the_hours_one_works_is_noted()
    {
        var job = Samples.Terrace() with { Day = Samples.Terrace().Day with { Start = "05:00" } };
        Planner.Plan(job, Mild).Findings.Single(f => f.Code == FindingCode.OutsideWorkingHours).Severity.ShouldBe(Severity.Note);
    }

    private static JobDocument Big(int hands, string drum, Finish finish = Finish.Broom, string along = "9 m")
    {
        var job = Samples.Terrace().WithSlab(s => s with { Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = along, Across = "4 m" }, Openings = [], Edges = [], Finish = finish });
        return job with { Mixing = job.Mixing with { Hands = hands, Mixer = new DrumDocument { Size = drum } } };
    }

    private static HourlyWeather Sunny(double air, double humidity, double wind, double sun) => Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with
    {
        AirC = air,
        Humidity = humidity,
        WindKmh = wind,
        SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 4) / 14)),
    }));
}
