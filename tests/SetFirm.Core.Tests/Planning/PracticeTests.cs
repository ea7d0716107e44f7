using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What people pour in many goes, planned from the job file to the calendar.</summary>
public sealed class PracticeTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "Planning/practices");
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    public static TheoryData<string> Files => [.. Directory.GetFiles(Folder, "*.json").Select(f => Path.GetFileNameWithoutExtension(f)!).Order()];

    [Theory]
    [MemberData(nameof(Files))]
    public void It_is_planned_without_an_error_each_pour_with_its_batches_its_day_and_its_cure(string file)
    {
        var plan = Planner.Plan(Job(file), Mild);
        plan.Pours.Length.ShouldBeGreaterThan(1);
        plan.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        foreach (var pour in Planner.Pours(plan, Mild))
        {
            pour.Load.Load.ShouldNotBeNull();
            pour.Day.ShouldNotBeNull();
            pour.Cure.ShouldNotBeNull();
            // Nobody pours more in a day than tires a crew out.
            pour.Load.Sketch.Litres.ShouldBeLessThan(1000 * Crew.ExhaustionM3 * pour.Load.Load.Crew.Hands);
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void Everything_is_poured_once(string file)
    {
        var plan = Planner.Plan(Job(file), Mild);
        foreach (var element in plan.Elements!.Value)
        {
            var parts = plan.Pours.SelectMany(p => p.Sketch.Parts).Where(p => p.Element == element.Index).ToArray();
            var courses = Math.Max(1, element.Cast.Courses.Length);
            parts.Sum(p => p.FaceShare).ShouldBe(courses, 1e-9);
            var litres = element.Cast.Courses.Length > 0 ? element.Cast.Courses.Sum(c => c.Volume.Litres) * element.Read.WasteFactor : element.OrderL;
            parts.Sum(p => p.Litres).ShouldBe(litres, 1e-6);
            parts.Select(p => (string.Join(',', p.Panels), p.Casting, p.Course)).ShouldBeUnique();
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void What_is_proposed_falls_on_working_days_in_order(string file)
    {
        var job = Job(file);
        var plan = Planner.Plan(job, Mild);
        foreach (var pour in plan.Pours.Skip(1))
        {
            WorkingDay(job.Day.WorkDays, pour.Sketch.Date!.Value).ShouldBeTrue($"{pour.Sketch.Id} on {pour.Sketch.Date}");
        }

        plan.Pours.Select(p => p.Task!.StartsAt).ShouldBeInOrder();
        plan.Pours.Select(p => p.Sketch.Id).ShouldBeUnique();
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void No_mould_is_filled_before_it_was_stripped_and_cleaned(string file)
    {
        var plan = Planner.Plan(Job(file), Mild);
        foreach (var element in plan.Elements!.Value.Where(e => e.Read.Casting is not null))
        {
            var rule = element.Read.Casting!;
            var dates = plan.Pours.Where(p => p.Sketch.Parts.Any(q => q.Element == element.Index)).OrderBy(p => p.Sketch.Parts[0].Casting).Select(p => p.Sketch.Date!.Value).ToArray();
            dates.Length.ShouldBe((int)Math.Ceiling((double)rule.Pieces / rule.Moulds));
            foreach (var (before, after) in dates.Zip(dates.Skip(1)))
            {
                ((double)Period.DaysBetween(before, after)).ShouldBeGreaterThanOrEqualTo(rule.StripDays + rule.CleanDays);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void What_every_pour_measures_out_is_what_is_bought(string file)
    {
        var plan = Planner.Plan(Job(file), Mild);
        var lines = Teller.Tell(plan).Buy!.Lines;
        foreach (var bag in plan.Pours.Select(p => p.Mix!.Recipe).OfType<BaggedRecipe>().Select(r => r.Bag.Id).Distinct())
        {
            // Half bags: what is left of an opened one goes on while it is fresh, here it always is.
            var measured = plan.Pours.Where(p => p.Mix!.Recipe is BaggedRecipe b && b.Bag.Id == bag).SelectMany(p => p.MeasuredOut).Where(m => m.What == MeasuredThing.Bag).Sum(m => m.Count);
            var line = lines.Single(l => l.Kind == GoodKind.Bag && l.Of == bag);
            line.Used.ShouldBeGreaterThanOrEqualTo(measured - 1e-9);
            line.Packs.Sum(p => p.Count * p.Size).ShouldBe(Math.Ceiling(line.Used - 1e-9));
            Opened(plan, bag).ShouldBe(line.Used, 1e-9);
        }

        foreach (var (thing, kind) in new[] { (MeasuredThing.Cement, GoodKind.Cement), (MeasuredThing.Sand, GoodKind.Sand), (MeasuredThing.Stone, GoodKind.Stone) })
        {
            var measured = plan.Pours.Where(p => p.Mix!.Recipe is PartsRecipe).SelectMany(p => p.MeasuredOut).Where(m => m.What == thing).Sum(m => m.Kg);
            var water = thing == MeasuredThing.Cement ? 0 : 0.12; // carried by what lies out in the rain
            var used = lines.Where(l => l.Kind == kind).Sum(l => l.Used);
            used.ShouldBeInRange(measured - 1e-6, (measured * (1 + water)) + 1e-6, $"{thing}");
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void Boards_are_counted_once_and_bought_as_they_are_cut(string file)
    {
        var job = Job(file);
        var (split, whole) = (Planner.Plan(job, Mild), Planner.Plan(job with { Day = job.Day with { Split = PourSplit.AsNeeded }, Mixing = job.Mixing with { Hands = 6 } }, Mild));
        var bought = Teller.Tell(split).Buy!.Lines.Where(l => l.Kind == GoodKind.Board).Sum(l => l.Packs.Sum(p => p.Count));
        bought.ShouldBe(split.Build!.Boards.Sum(l => l.Layout.Boards.Length));
        // Only what stands between panels comes to it, and goes from pour to pour.
        var seams = split.Elements!.Value.Sum(e => e.Build!.BondBreakerM);
        var more = split.Build.Boards.Sum(l => l.CutM) - whole.Build!.Boards.Sum(l => l.CutM);
        more.ShouldBeInRange(-1e-6, seams + 1e-6);
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void The_calendar_has_every_pour_with_its_passes_its_wettings_and_its_dates(string file)
    {
        var plan = Planner.Plan(Job(file), Mild);
        var calendar = Teller.Tell(plan, Planner.Pours(plan, Mild));
        calendar.Pours.Select(p => p.Pour).ShouldBe(plan.Pours.Select(p => p.Sketch.Id));
        calendar.Pours.ShouldAllBe(p => p.Passes.Count > 0 && p.Cure.Milestones.Count > 0 && (p.Cure.RewetHours == null || p.Cure.Wettings.Count > 0));
    }

    [Fact]
    public void Panels_in_two_rounds_have_a_bond_breaker_between_them_and_a_board_that_goes_along()
    {
        var plan = Planner.Plan(Job("panels"), Mild);
        plan.Pours.Length.ShouldBe(2);
        var element = plan.Elements!.Value[0];
        foreach (var pour in plan.Pours)
        {
            var own = element.Joints.Panels.Where(p => pour.Sketch.Parts.Single().Panels.Contains(p.Number)).Select(p => p.Shape).ToArray();
            own.SelectMany((a, i) => own.Skip(i + 1).SelectMany(b => PanelSeams.Shared(a, b))).ShouldBeEmpty();
        }

        plan.Elements!.Value[0].Build!.BondBreakerM.ShouldBeGreaterThan(5);
        Teller.Tell(plan).Buy!.Lines.ShouldContain(l => l.Kind == GoodKind.BondBreaker && l.Used > 5);
    }

    [Fact]
    public void Two_dozen_treads_are_two_dozen_pours_each_of_one_piece()
    {
        var plan = Planner.Plan(Job("treads"), Mild);
        plan.Pours.Length.ShouldBe(24);
        var one = plan.Elements!.Value[0].OrderL / 24;
        plan.Pours.ShouldAllBe(p => Math.Abs(p.Sketch.Litres - one) < 1e-9);
        // Three days and a half in the mould: every fourth day at the soonest, weekends left out.
        Period.DaysBetween(plan.Pours[0].Sketch.Date!.Value, plan.Pours[^1].Sketch.Date!.Value).ShouldBeGreaterThanOrEqualTo(23 * 4);
    }

    [Fact]
    public void Bags_for_the_last_treads_are_bought_when_the_first_ones_would_have_grown_old()
    {
        var plan = Planner.Plan(Job("treads"), Mild);
        var first = plan.Pours[0].Sketch.Date!.Value;
        var late = Plans.Of(Job("treads"), Mild).Findings.Select(f => f.Says).OfType<Notice.BagsGrowOld>().ToArray();
        late.ShouldNotBeEmpty();
        Period.DaysBetween(first, late[0].From).ShouldBeGreaterThan(BuyAdvice.BagKeepsDays);
        var after = plan.Pours.Where(p => p.Sketch.Date > first.PlusDays(BuyAdvice.BagKeepsDays)).Sum(p => p.Units) / 2.0;
        late.Sum(l => l.Bags).ShouldBeInRange(after, after + late.Length);
        Plans.Of(Job("stones"), Mild).Findings.ShouldNotContain(f => f.Says is Notice.BagsGrowOld);
    }

    [Fact]
    public void A_base_and_its_topping_are_two_pours_of_two_mixes_the_bond_told_where_the_base_is_hard()
    {
        var plan = Planner.Plan(Job("topping"), Mild);
        plan.Pours.Select(p => p.Sketch.Parts.Single().Course).ShouldBe([Course.Base, Course.Topping]);
        plan.Pours.Select(p => p.Mix!.Id).ShouldBe(["mix-1", "topping"]);
        Period.DaysBetween(plan.Pours[0].Sketch.Date!.Value, plan.Pours[1].Sketch.Date!.Value).ShouldBe(PourSplitter.ToppingDays);
        Plans.Of(Job("topping"), Mild, pour: plan.Pours[1].Sketch.Id).Findings.ShouldContain(f => f.Says is Notice.ToppingBonded);
        Teller.Tell(plan).Buy!.Lines.Count(l => l.Kind == GoodKind.Bag).ShouldBe(2);
    }

    [Fact]
    public void A_topping_in_between_is_warned_of_and_one_on_the_plastic_base_is_not()
    {
        var job = Job("topping");
        JobDocument At(string start) => job with
        {
            Pours =
            [
                new PourDocument { Id = "base", Date = "2027-05-04", Start = "08:00", Parts = [new PartDocument { Element = "element-1", Course = Course.Base }] },
                new PourDocument { Id = "top", Date = "2027-05-04", Start = start, Parts = [new PartDocument { Element = "element-1", Course = Course.Topping }] },
            ],
        };
        Plans.Of(At("12:30"), Mild, pour: "top").Findings.ShouldContain(f => f.Says is Notice.ToppingBetween);
        Plans.Of(At("08:45"), Mild, pour: "top").Findings.ShouldNotContain(f => f.Says is Notice.ToppingBetween || f.Says is Notice.ToppingBonded);
    }

    [Fact]
    public void A_pebble_bed_and_its_slurry_are_poured_on_one_day_from_two_mixes_with_time_to_set_the_stones_and_the_stones_are_bought()
    {
        var plan = Planner.Plan(Job("pebbles"), Mild);
        plan.Pours.Select(p => p.Sketch.Parts.Single().Course).ShouldBe([Course.Bed, Course.Slurry]);
        plan.Pours[0].Sketch.Date.ShouldBe(plan.Pours[1].Sketch.Date);
        var wait = plan.Pours[1].Task!.StartsAt - plan.Pours[0].Task!.StartsAt - plan.Pours[0].Mixing!.Value;
        wait.TotalMinutes.ShouldBeGreaterThan(45);
        plan.Pours[1].Mix!.Recipe.ShouldBeOfType<PartsRecipe>().Proportions.SandKg.ShouldBe(0);
        var stones = Teller.Tell(plan).Buy!.Lines.Single(l => l.Kind == GoodKind.Pebbles);
        // 1.76 m2 by 30 mm, six tenths of it stone.
        stones.Used.ShouldBe(1.76 * 0.030 * 0.6 * Ingredients.StoneKgPerM3, 1);
    }

    // What is opened for it: a pour a week after the last one opens a bag of its own.
    private static double Opened(JobPlan plan, string bag)
    {
        var (whole, left, last) = (0.0, 0.0, LocalDate.MinIsoValue);
        foreach (var pour in plan.Pours.Where(p => p.Mix!.Recipe is BaggedRecipe b && b.Bag.Id == bag))
        {
            var date = pour.Sketch.Date!.Value;
            var need = pour.Units / (double)BaggedRecipe.UnitsPerBag;
            if (left > 0 && Period.DaysBetween(last, date) > 7)
            {
                whole += left; // gone hard
                left = 0;
            }

            whole += need;
            var fresh = Math.Max(0, need - left);
            last = left > 0 && fresh == 0 ? last : date;
            left = fresh > 0 ? Math.Ceiling(fresh) - fresh : left - need;
        }

        return whole;
    }

    private static bool WorkingDay(WorkDays days, LocalDate date)
    {
        var weekend = date.DayOfWeek is IsoDayOfWeek.Saturday or IsoDayOfWeek.Sunday;
        return days == WorkDays.Any || weekend == (days == WorkDays.Weekends);
    }

    private static JobDocument Job(string file) => JobText.TryRead(File.ReadAllText(Path.Combine(Folder, $"{file}.json"))).ShouldBeOfType<JobRead.Ok>().Document;
}
