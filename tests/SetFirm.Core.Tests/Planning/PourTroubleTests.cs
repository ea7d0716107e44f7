using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What is wrong with the pours of a job is told at its place, and what they leave out is still poured.</summary>
public sealed class PourTroubleTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Fact]
    public void A_part_in_two_pours_belongs_to_the_first_and_the_second_is_told()
    {
        var plan = Plan(Panels(), Pour("a", "2027-05-04", Of("slab", panels: [1, 2])), Pour("b", "2027-05-06", Of("slab", panels: [2, 3])));
        plan.Findings.ShouldContain(f => f.Says == new Notice.PouredTwice(1) && f.Where == Places.Pour(1).Part(0).Element && f.Severity == Severity.Error);
        Parts(plan, "b").ShouldBe([3]);
        WhollyPoured(plan);
    }

    [Fact]
    public void An_unknown_element_and_an_unknown_mix_are_told_where_they_are_named()
    {
        var plan = Plan(Panels(), Pour("a", "2027-05-04", Of("shed")));
        plan.Findings.ShouldContain(f => f.Says == new Notice.UnknownElement("shed") && f.Where == Places.Pour(0).Part(0).Element);
        WhollyPoured(plan);
        var job = Panels();
        var mixed = Plans.Of(job with { Elements = [((SlabDocument)job.Elements[0]) with { Mix = "mud" }] }, Mild);
        mixed.Findings.ShouldContain(f => f.Says == new Notice.UnknownMix("mud") && f.Where == Places.Element(0).Mix && f.Severity == Severity.Error);
        var topped = Plans.Of(Kinds.Job(TwoCourse() with { ToppingMix = "mud" }), Mild);
        topped.Findings.ShouldContain(f => f.Says == new Notice.UnknownMix("mud"));
    }

    [Theory]
    [InlineData(7)]
    [InlineData(0)]
    [InlineData(-1)]
    [InlineData(int.MaxValue)]
    public void A_casting_beyond_the_count_is_told_with_how_many_there_are(int number)
    {
        var plan = Plan(Stones(), Pour("a", "2027-05-04", Of("stones", casting: number)));
        plan.Findings.ShouldContain(f => f.Says == new Notice.NoSuchCasting(number, 6) && f.Where == Places.Pour(0).Part(0).Casting);
        WhollyPoured(plan);
    }

    [Fact]
    public void Which_casting_and_which_course_is_asked_where_it_is_not_said()
    {
        var castings = Plan(Stones(), Pour("a", "2027-05-04", Of("stones")));
        castings.Findings.ShouldContain(f => f.Says == new Notice.WhichCasting(6) && f.Where == Places.Pour(0).Part(0).Casting);
        WhollyPoured(castings);
        var course = Plan(Kinds.Job(TwoCourse()), Pour("a", "2027-05-04", Of("floor")));
        course.Findings.ShouldContain(f => f.Says is Notice.NoSuchCourse && f.Where == Places.Pour(0).Part(0).Course);
        WhollyPoured(course);
        Plan(Panels(), Pour("a", "2027-05-04", Of("slab", course: Course.Slurry))).Findings.ShouldContain(f => f.Says is Notice.NoSuchCourse);
        Plan(Panels(), Pour("a", "2027-05-04", Of("slab", casting: 2))).Findings.ShouldContain(f => f.Says is Notice.NoSuchCasting);
    }

    [Theory]
    [InlineData(4)]
    [InlineData(0)]
    public void A_panel_that_is_not_there_is_told_with_how_many_there_are(int number)
    {
        var plan = Plan(Panels(), Pour("a", "2027-05-04", Of("slab", panels: [1, number])));
        plan.Findings.ShouldContain(f => f.Says == new Notice.NoSuchPanel(number, 3) && f.Where == Places.Pour(0).Part(0).Panels);
        WhollyPoured(plan);
    }

    [Fact]
    public void Pours_that_wait_for_each_other_are_told_and_none_of_them_is_lost()
    {
        var job = Kinds.Job(TwoCourse(), TwoCourse() with { Id = "step" });
        var plan = Plan(
            job,
            Pour("a", "2027-05-04", Of("floor", course: Course.Base), Of("step", course: Course.Topping)),
            Pour("b", "2027-05-06", Of("step", course: Course.Base), Of("floor", course: Course.Topping)));
        plan.Findings.ShouldContain(f => f.Says == new Notice.PoursWaitForEachOther(1, 2) && f.Severity == Severity.Error);
        WhollyPoured(plan);
    }

    [Fact]
    public void Five_hundred_pours_are_refused_as_too_many_and_the_job_is_planned_as_if_none_were_said()
    {
        var plan = Plan(Stones(), [.. Enumerable.Range(1, 500).Select(n => Pour($"p{n}", "2027-05-04", Of("stones", casting: 1)))]);
        plan.Findings.ShouldContain(f => f.Says == new Notice.TooMany(500, Limits.MostPours) && f.Where == Places.Pours);
        WhollyPoured(plan);
        Plan(Stones(), Pour("a", "2027-05-04", [.. Enumerable.Repeat(Of("stones", casting: 1), 2_000)])).Findings.ShouldContain(f => f.Says is Notice.TooMany && f.Where == Places.Pour(0).Parts);
    }

    [Fact]
    public void Two_pours_of_one_name_two_mixes_of_one_name_and_an_empty_pour_are_told()
    {
        var plan = Plan(Panels(), Pour("a", "2027-05-04", Of("slab", panels: [1])), Pour("a", "2027-05-05", Of("slab", panels: [2])));
        plan.Findings.ShouldContain(f => f.Says == new Notice.SameId("a") && f.Where == Places.Pour(1).Id);
        WhollyPoured(plan);
        Plan(Panels(), Pour("a", "2027-05-04")).Findings.ShouldContain(f => f.Says is Notice.EmptyPour && f.Where == Places.Pour(0).Parts);
        var job = Panels();
        Plans.Of(job with { Mixes = [job.Mix, job.Mix] }, Mild).Findings.ShouldContain(f => f.Says is Notice.SameId && f.Where == Places.Mix(1).Id);
        Plans.Of(job with { Elements = [job.Elements[0], job.Elements[0]] }, Mild).Findings.ShouldContain(f => f.Says is Notice.SameId && f.Where == Places.Element(1).Id);
    }

    [Fact]
    public void Two_mixes_do_not_share_a_mixer()
    {
        var job = Panels();
        job = job with
        {
            Mixes = [job.Mix, ((BaggedMixDocument)job.Mix) with { Id = "other", Bag = "high-strength-80lb" }],
            Elements = [job.Elements[0], TwoCourse() with { Mix = "other" }],
        };
        var plan = Plan(job, Pour("a", "2027-05-04", Of("slab"), Of("floor", course: Course.Base)));
        plan.Findings.ShouldContain(f => f.Says is Notice.TwoMixesInOnePour && f.Where == Places.Pour(0).Parts);
        WhollyPoured(plan);
    }

    [Fact]
    public void A_mould_that_is_still_full_is_told_with_the_day_that_it_is_free()
    {
        var plan = Plan(Stones(), Pour("a", "2027-05-04", Of("stones", casting: 1)), Pour("b", "2027-05-05", Of("stones", casting: 2)));
        var full = plan.Findings.Single(f => f.Says is Notice.MouldStillFull { Casting: 2 });
        full.Says.ShouldBe(new Notice.MouldStillFull(2, 1, 2));
        full.Where.ShouldBe(Places.Pour(1).Date);
        var later = full.Remedies.ShouldHaveSingleItem();
        later.Does<Mend.PourLater>().DaysLater.ShouldBe(1);
        Plans.Of(RemedyText.Taken(With(Stones(), Pour("a", "2027-05-04", Of("stones", casting: 1)), Pour("b", "2027-05-05", Of("stones", casting: 2))), later), Mild)
            .Findings.ShouldNotContain(f => f.Says is Notice.MouldStillFull);
        Plan(Stones(), Pour("a", "2027-05-04", Of("stones", casting: 1), Of("stones", casting: 2))).Findings.ShouldContain(f => f.Says is Notice.MouldStillFull && f.Severity == Severity.Error);
    }

    [Fact]
    public void What_goes_on_top_comes_after_and_a_board_between_panels_stands_a_day()
    {
        var upside = Plan(Kinds.Job(TwoCourse()), Pour("a", "2027-05-06", Of("floor", course: Course.Base)), Pour("b", "2027-05-04", Of("floor", course: Course.Topping)));
        upside.Findings.ShouldContain(f => f.Says == new Notice.PouredBeforeItsBase(Course.Topping) && f.Where == Places.Pour(1).Date);
        var hasty = Plan(Panels(), Pour("a", "2027-05-04", Of("slab", panels: [1, 2])), Pour("b", "2027-05-04", Of("slab", panels: [3])));
        hasty.Findings.ShouldContain(f => f.Says is Notice.BulkheadStillStands && f.Where == Places.Pour(1).Date);
    }

    [Theory]
    [InlineData(18)]
    [InlineData(26)]
    [InlineData(9)]
    [InlineData(5)]
    public void A_pour_that_wants_the_form_of_another_comes_after_it_may_come_off_or_is_told_by_how_much_not(double airC)
    {
        var weather = Samples.Steady(airC);
        var notes = 0;
        foreach (var start in new[] { "07:00", "09:00", "12:00", "15:00" })
        {
            foreach (var days in new[] { 1, 2, 3 })
            {
                PourDocument[] pours = [Pour("a", "2027-05-04", Of("slab", panels: [1, 2])) with { Start = "09:00" }, Pour("b", $"2027-05-0{4 + days}", Of("slab", panels: [3])) with { Start = start }];
                var plan = Planner.Plan(With(Panels(), pours), weather, pour: "a");
                var (off, begins) = (plan.Pour!.Cure!.Milestones.Single(m => m.Milestone == Milestone.StripEdges).At, plan.Pours[1].Task!.StartsAt);
                var told = plan.Findings.Where(f => f.Says is Notice.FormStillHolds).ToArray();
                told.Length.ShouldBe(off > begins ? 1 : 0, $"{off} {begins}");
                if (told is [{ } found])
                {
                    notes++;
                    var says = (Notice.FormStillHolds)found.Says;
                    (says.Pour, says.Mould, found.Where).ShouldBe((2, false, Places.Pour(1).Date));
                    (says.WantedH - says.AgeH).ShouldBe((off!.Value - begins).TotalHours, 1e-6);
                    Planner.Plan(RemedyText.Taken(With(Panels(), pours), found.Remedies.ShouldHaveSingleItem()), weather, pour: "a").Findings.ShouldNotContain(f => f.Says is Notice.FormStillHolds);
                    // Once the boards are told to be off it is no matter any more.
                    JobEvent[] log = [new JobEvent.BoardsOff { Id = Guid.NewGuid(), At = begins - NodaTime.Duration.FromMinutes(10), Pour = "a" }];
                    Planner.Plan(With(Panels(), pours), weather, log, pour: "a").Findings.ShouldNotContain(f => f.Says is Notice.FormStillHolds);
                }
            }
        }

        notes.ShouldBeGreaterThan(0);
        // Panels that do not meet want no board of each other.
        var panels = Planner.Plan(Panels(), weather).Elements!.Value[0].Joints.Panels;
        var far = panels.First(p => !PanelSeams.Shared(panels[0].Shape, p.Shape).Any() && p.Number != panels[0].Number).Number;
        var apart = Planner.Plan(With(Panels(), Pour("a", "2027-05-04", Of("slab", panels: [panels[0].Number])), Pour("b", "2027-05-05", Of("slab", panels: [far]))), weather, pour: "a");
        apart.Findings.ShouldNotContain(f => f.Says is Notice.FormStillHolds && ((Notice.FormStillHolds)f.Says).Pour == apart.Pours.Single(p => p.Sketch.Id == "b").Number);
    }

    [Fact]
    public void A_day_on_which_nobody_pours_is_noted_where_it_is_said()
    {
        var job = Panels();
        job = job with { Day = job.Day with { Date = "2027-05-08", WorkDays = WorkDays.Weekdays } };
        Plans.Of(job, Mild).Findings.ShouldContain(f => f.Says is Notice.NotAWorkingDay && f.Where == Places.Day.Date);
        Plan(job with { Day = job.Day with { Date = "2027-05-07" } }, Pour("a", "2027-05-09", Of("slab"))).Findings.ShouldContain(f => f.Says is Notice.NotAWorkingDay && f.Where == Places.Pour(0).Date);
    }

    [Theory]
    [InlineData("soon", "08:00", "/pours/0/date")]
    [InlineData("2027-02-30", "08:00", "/pours/0/date")]
    [InlineData("2027-05-04", "25:00", "/pours/0/start")]
    public void A_day_or_an_hour_that_cannot_be_is_told_at_its_field(string date, string start, string path)
    {
        var plan = Plan(Panels(), Pour("a", date, Of("slab")) with { Start = start });
        plan.Findings.ShouldContain(f => f.Where.Path == path && f.Severity == Severity.Error);
        plan.Day.ShouldBeNull();
        plan.Buy.ShouldNotBeNull();
    }

    [Fact]
    public void Hands_and_mixer_of_a_pour_are_its_own_and_checked_at_their_place()
    {
        var job = Panels();
        var plan = Plans.Of(With(job, Pour("a", "2027-05-04", Of("slab")) with { Hands = 3 }), Mild, pour: "a");
        plan.Day!.Hands.ShouldBe(3);
        Plan(job, Pour("a", "2027-05-04", Of("slab")) with { Hands = 70 }).Findings.ShouldContain(f => f.Where == Places.Pour(0).Hands && f.Severity == Severity.Error);
        var bad = Pour("a", "2027-05-04", Of("slab")) with { Mixing = job.Mixing with { BarrowRun = "far" } };
        Plan(job, bad).Findings.ShouldContain(f => f.Where.IsUnder(Places.Pour(0).Mixing.Self) && f.Severity == Severity.Error);
    }

    [Fact]
    public void Every_other_panel_is_offered_where_the_middle_cannot_be_reached_and_brings_it_in_reach()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("4.6 m", "4.6 m")));
        var far = Plans.Of(job, Mild).Findings.Single(f => f.Says is Notice.BeyondReach);
        var turns = far.Remedies.Single(r => r.Does is Mend.EveryOtherPanel);
        var taken = Plans.Of(RemedyText.Taken(job, turns), Mild);
        taken.Findings.ShouldNotContain(f => f.Says is Notice.BeyondReach);
        taken.Pours.Count.ShouldBeGreaterThan(1);
    }

    [Fact]
    public void A_slab_with_walls_all_round_has_no_way_out() =>
        Plans.Of(Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "2 m"), "100 mm", Meets.Wall, Meets.Wall, Meets.Wall, Meets.Wall)), Mild).Findings.ShouldContain(f => f.Says is Notice.NoWayOut);

    [Fact]
    public void Additives_that_work_against_each_other_or_the_mix_are_told()
    {
        var job = Samples.Terrace();
        PartsMixDocument With(AdditivesDocument additives) => Samples.OneTwoThree() with { Additives = additives };
        Plans.Of(job with { Mix = With(new AdditivesDocument { Retarder = 1, Accelerator = 1 }) }, Mild).Findings.ShouldContain(f => f.Says is Notice.RetardedAndAccelerated);
        Plans.Of(job with { Mix = ((BaggedMixDocument)job.Mix) with { Bag = "mortar-60lb", Additives = new AdditivesDocument { Pigment = 3 } } }, Mild).Findings.ShouldContain(f => f.Says is Notice.PigmentByLabel);
        var deep = Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "2 m"), "350 mm"));
        Plans.Of(deep with { Mix = With(new AdditivesDocument { Plasticiser = 1 }) }, Mild).Findings.ShouldContain(f => f.Says is Notice.PlasticisedSegregates);
        var coarse = Samples.OneTwoThree() with { Containers = Samples.Buckets("4 L") with { Sand = new ContainerDocument { Kind = ContainerKind.Barrow, Size = "90 L" } } };
        Plans.Of(job with { Mix = coarse, Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.DrillBucket, Size = "25 L" } } }, Mild).Findings.ShouldContain(f => f.Says is Notice.CoarselyMeasured);
        var winter = Samples.OneTwoThree() with { Exposure = Exposure.FreezesSeldomWet };
        var airless = Plans.Of(job with { Mix = winter }, Mild).Findings.Single(f => f.Says is Notice.ExposureAir);
        airless.Remedies.ShouldContain(r => r.Does is Mend.StirInAir);
    }

    [Fact]
    public void Antifreeze_covers_nothing_and_a_border_that_would_snap_is_told()
    {
        var cold = Samples.OneTwoThree() with { Additives = new AdditivesDocument { Antifreeze = 1 } };
        Plans.Of(Samples.Terrace() with { Mix = cold }, Samples.Steady(3)).Findings.ShouldContain(f => f.Says is Notice.AntifreezeIsNoCover);
        Plans.Of(Kinds.Job(Kinds.Border() with { Width = "45 mm" }), Mild).Findings.ShouldContain(f => f.Says is Notice.TooNarrow);
    }

    [Fact]
    public void What_cannot_be_of_an_outline_a_zone_a_bar_a_bag_or_a_day_is_told()
    {
        var job = Samples.Terrace();
        bool Told<T>(JobDocument said)
            where T : Notice => Plans.Of(said, Mild).Findings.Any(f => f.Says is T);
        JobDocument Walk(params (SideDocument Side, EdgeDocument Edge)[] sides) => job.WithSlab(s => s.Walking(sides));
        Told<Notice.UnknownTimeZone>(job with { TimeZone = "Nowhere/AtAll" }).ShouldBeTrue();
        Told<Notice.TooFewEdges>(Walk(Samples.Edge("4 m"), Samples.Edge("3 m"))).ShouldBeTrue();
        Told<Notice.TurnsDoNotClose>(Walk(Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("4 m"), Samples.Edge("3 m", 45))).ShouldBeTrue();
        Told<Notice.OutlineNotSolvable>(Walk(Samples.Edge("4 m"), Samples.Edge(""), Samples.Edge(""), Samples.Edge(""))).ShouldBeTrue();
        Told<Notice.EdgeBackwards>(Walk(Samples.Edge("2 m"), Samples.Edge("3 m"), Samples.Edge("4 m"), Samples.Edge("1 m", -90), Samples.Edge("", 90), Samples.Edge(""))).ShouldBeTrue();
        Told<Notice.UnknownBar>(job.WithSlab(s => s with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.BarGrid, Bar = "a twig" } })).ShouldBeTrue();
        Told<Notice.WaterUnderBagLimit>(job with { Mix = ((BaggedMixDocument)job.Mix) with { WaterPerBag = "1 L" } }).ShouldBeTrue();
        Told<Notice.WeatherEndsEarly>(job with { Day = job.Day with { Date = "2027-09-01" } }).ShouldBeTrue();
        Told<Notice.FieldTooThin>(Kinds.Job(Kinds.All().OfType<CounterDocument>().First() with { Thickness = "22 mm" })).ShouldBeTrue();
    }

    [Fact]
    public void Steel_trowelling_once_and_air_do_not_go_together()
    {
        var job = Samples.Terrace().WithSlab(s => s with { Finish = Finish.SteelOnce });
        var mix = Samples.OneTwoThree() with { Additives = new AdditivesDocument { AirEntrainer = 1 } };
        Plans.Of(job with { Mix = mix }, Mild).Findings.ShouldContain(f => f.Says is Notice.AirNeverTrowelled);
    }

    [Fact]
    public void A_coat_that_finds_no_dry_hour_in_its_window_is_told()
    {
        // Dry on the first day that it may go on, wet ever after for days.
        var wet = Samples.Weather(Enumerable.Range(0, 24 * 40).Select(h => Samples.Mild with { RainChance = h is > 24 * 9 and < 24 * 20 ? 0.6 : 0 }));
        var coat = CoatCatalogue.All[0] with { Coats = 2, FromDays = 8, RecoatLeastH = 20, RecoatMostH = 30, OnDry = true, KeepWetH = 0 };
        var job = Samples.Terrace() with { Cure = CureDocument.By(CuringMethod.Plastic, 4) with { Coats = [coat] } };
        Plans.Of(job, wet).Findings.ShouldContain(f => f.Says is Notice.CoatTooLate);
    }

    [Fact]
    public void A_weather_file_that_is_gone_is_told_at_its_field()
    {
        var job = Samples.Terrace() with { Site = SiteDocument.AsForecast with { WeatherFile = "gone" } };
        Plans.Of(job, Mild.FromFile("")).Findings.ShouldContain(f => f.Says is Notice.WeatherFileMissing && f.Where == Places.Site.WeatherFile);
    }

    private static JobDocument Panels() => Kinds.Job(Kinds.Slab(Kinds.Rectangle("9 m", "2.4 m")) with { Id = "slab" });

    private static JobDocument Stones() => Kinds.Job(Kinds.Stones() with { Id = "stones", Casting = new MouldsDocument { Pieces = 6, Moulds = 1 } });

    private static TwoCourseDocument TwoCourse() => Kinds.All().OfType<TwoCourseDocument>().First() with { Id = "floor", ToppingMix = null, Mix = null };

    private static PourDocument Pour(string id, string date, params PartDocument[] parts) => new() { Id = id, Date = date, Parts = parts };

    private static PartDocument Of(string element, int[]? panels = null, int? casting = null, Course? course = null) => new() { Element = element, Panels = panels, Casting = casting, Course = course };

    private static JobDocument With(JobDocument job, params PourDocument[] pours) => job with { Pours = pours };

    private static PlanReport Plan(JobDocument job, params PourDocument[] pours) => Plans.Of(With(job, pours), Mild);

    private static int[] Parts(PlanReport plan, string pour) => [.. plan.Pours.Single(p => p.Id == pour).Parts.SelectMany(p => p.Panels)];

    // Whatever was said, all of it lies in the end: nothing is lost, nothing poured twice.
    private static void WhollyPoured(PlanReport plan) => plan.Pours.Sum(p => p.VolumeL).ShouldBe(plan.Shape!.OrderL, 1e-6);
}
