using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Work has a budget: what stands while somebody still types is answered, and says what was left out.</summary>
public sealed class BudgetTests
{
    private static JobDocument Slab(OutlineDocument outline, string thickness = "100 mm") =>
        Samples.Terrace() with { Elements = [Kinds.Slab(outline, thickness) with { Id = "element-1" }] };

    private static PointsOutlineDocument Round(int points, Func<int, double> radius) => new()
    {
        Points = [.. Enumerable.Range(0, points).Select(i => (At: 2 * Math.PI * i / points, R: radius(i))).Select(p => new PointDocument { X = 30 + (p.R * Math.Cos(p.At)), Y = 30 + (p.R * Math.Sin(p.At)) })],
    };

    // While 50 is typed a 5 stands there.
    [Theory]
    [InlineData("5 mm")]
    [InlineData("50 mm")]
    public void A_slab_so_thin_that_its_joints_would_be_a_weave_is_planned_without_and_says_so(string thickness)
    {
        var report = Plans.Of(Slab(Kinds.Rectangle("100 m", "100 m"), thickness), Samples.Steady(18));
        var told = report.Findings.Single(f => f.Says is Notice.TooManyPanels);
        told.Where.ToString().ShouldBe("/elements/0/joints");
        told.Says<Notice.TooManyPanels>().Count.ShouldBeGreaterThan(Budget.MostPanels);
        report.Shape!.Elements[0].Joints!.Panels.Count.ShouldBe(1);
    }

    [Fact]
    public void Panels_are_counted_for_all_elements_together()
    {
        var many = Slab(Kinds.Rectangle("60 m", "60 m"));
        many = many with { Elements = [.. Enumerable.Range(0, 8).Select(i => many.Elements[0] with { Id = $"e{i}" })] };
        var report = Plans.Of(many, Samples.Steady(18));
        report.Shape!.Elements.Sum(e => e.Joints!.Panels.Count).ShouldBeInRange(Budget.MostPanels / 2, Budget.MostPanels + 8);
        report.Findings.ShouldContain(f => f.Says is Notice.TooManyPanels);
    }

    [Fact]
    public void A_star_of_ten_thousand_corners_is_told_to_be_smoothed_and_a_drawn_circle_of_as_many_is_planned()
    {
        var star = Plans.Of(Slab(Round(9_996, i => i % 2 == 0 ? 8 : 20)), Samples.Steady(18));
        star.Findings.Single(f => f.Says is Notice.TooManyCorners).Says<Notice.TooManyCorners>().Count.ShouldBe(9_996);
        star.Shape.ShouldBeNull();
        Plans.Of(Slab(Round(9_996, _ => 20)), Samples.Steady(18)).Shape!.NetL.ShouldBe(Math.PI * 400 * 100, 100);
    }

    [Fact]
    public void Edges_are_counted_for_all_outlines_together()
    {
        var one = Slab(Round(6_000, _ => 5));
        var two = one with { Elements = [one.Elements[0], one.Elements[0] with { Id = "second" }] };
        Plans.Of(one, Samples.Steady(18)).Findings.ShouldNotContain(f => f.Says is Notice.TooMany);
        Plans.Of(two, Samples.Steady(18)).Findings.Single(f => f.Says is Notice.TooMany).Where.ToString().ShouldBe("/elements/1/outline/points");
    }

    [Fact]
    public void Of_many_findings_of_one_kind_the_first_are_told_and_how_many_more()
    {
        var gate = new Remarks();
        for (var i = 0; i < 50; i++)
        {
            gate.Warn(Places.Elements, new Notice.PanelTooLong(Panel: i, LengthMm: 1, MostMm: 1));
            gate.Note(Places.Elements, new Notice.NoWayOut());
        }

        var found = gate.Findings;
        found.Count.ShouldBe(2 * (Budget.MostAlike + 1));
        found.Where(f => f.Says is Notice.PanelTooLong).Select(f => f.Says<Notice.PanelTooLong>().Panel).ShouldBe(Enumerable.Range(0, Budget.MostAlike));
        found.Where(f => f.Says is Notice.MoreLikeIt).ShouldAllBe(f => f.Says<Notice.MoreLikeIt>().Count == 50 - Budget.MostAlike);
        var at = found.ToList().FindLastIndex(f => f.Says is Notice.PanelTooLong);
        (found[at + 1].Says is Notice.NoWayOut or Notice.MoreLikeIt).ShouldBeTrue();
    }

    [Fact]
    public void What_is_wrong_in_one_part_of_a_job_hides_nothing_in_another()
    {
        var remarks = new Remarks();
        for (var i = 0; i < 50; i++)
        {
            remarks.Fault(Places.Element(i).Id, new Notice.OutOfRange(i, 0, 1, RangeUnit.M));
        }

        remarks.Fault(Places.Mixing.WaterC, new Notice.OutOfRange(99, 0, 60, RangeUnit.C));
        remarks.Findings.ShouldContain(f => f.Where == Places.Mixing.WaterC);
        remarks.Findings.Count.ShouldBe(Budget.MostAlike + 2);
        (Places.Element(3).Id.Part, Place.Root.Part, Places.Elements.Part).ShouldBe(("elements", "", "elements"));
    }

    [Fact]
    public void A_report_says_how_many_more_of_a_kind_there_are()
    {
        var star = Plans.Of(Slab(Round(100, i => i % 2 == 0 ? 8 : 20)), Samples.Steady(18));
        star.Findings.Count(f => f.Says is Notice.PanelTooSlender).ShouldBe(Budget.MostAlike);
        star.Findings.ShouldContain(f => f.Says is Notice.MoreLikeIt && f.Severity == Severity.Warning);
    }

    [Fact]
    public void More_steel_than_can_be_seen_is_counted_and_not_drawn()
    {
        var one = Slab(Kinds.Rectangle("80 m", "80 m"), "150 mm");
        var steel = ((SlabDocument)one.Elements[0]) with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.BarGrid, Bar = "bar-10", Spacing = "200 mm" } };
        SteelLines(one with { Elements = [steel] }, 1);
        SteelLines(one with { Elements = [.. Enumerable.Range(0, 10).Select(i => steel with { Id = $"e{i}" })] }, 10);

        static void SteelLines(JobDocument job, int elements)
        {
            var told = Plans.Of(job, Samples.Steady(18)).Build!.Elements;
            told.Sum(e => e.Steel.Bars.Count + e.Steel.Sheets.Count).ShouldBeLessThanOrEqualTo(2 * 2_000);
            told.ShouldAllBe(e => e.Steel.BarM > 60_000);
            told.All(e => e.Steel.NotDrawn > 0).ShouldBe(elements > 1);
        }
    }

    [Fact]
    public void Nobody_who_has_left_is_planned_for()
    {
        using var left = new CancellationTokenSource();
        left.Cancel();
        var job = Samples.Terrace();
        Should.Throw<OperationCanceledException>(() => Planner.Plan(job, Samples.Steady(18), budget: new Budget(waits: left.Token)));
        Should.Throw<OperationCanceledException>(() => Planner.Starts(job, Samples.Steady(18), budget: new Budget(waits: left.Token)));
        var late = new Budget(TimeSpan.FromSeconds(-1));
        Should.Throw<OperationCanceledException>(() => Planner.Plan(job, Samples.Steady(18), budget: late));
        late.IsLate.ShouldBeTrue();
    }

    [Fact]
    public void Starts_are_ranked_for_three_weeks_however_long_the_weather_is()
    {
        var year = Samples.Weather(Enumerable.Repeat(Samples.Mild, 8_784));
        var days = Planner.Starts(Samples.Terrace(), year, members: 2).Hours.Select(h => h.Local.Date).Distinct().ToArray();
        days.Length.ShouldBeInRange(Budget.MostDaysRanked - 1, Budget.MostDaysRanked);
        var later = Planner.Starts(Samples.Terrace(), year, notBefore: year.Start + Duration.FromDays(100), members: 2).Hours;
        later.Min(h => h.At).ShouldBeGreaterThanOrEqualTo(year.Start + Duration.FromDays(100));
    }
}
