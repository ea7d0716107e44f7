using CsCheck;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What must hold of every kind of element, whatever its size.</summary>
public sealed class KindLawTests
{
    /// <summary>Two sides said, two worked out.</summary>
    private static readonly string[] FourByThree = ["4 m", "3 m", "", ""];

    public static TheoryData<int> Indexes => [.. Enumerable.Range(0, Kinds.All().Count)];

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Showing_it_in_the_other_system_changes_neither_its_shape_nor_what_is_built(int index)
    {
        var job = Kinds.Job(Kinds.All()[index]);
        var (metric, us) = (Plan(WithUnits(job, UnitSystem.Metric)), Plan(WithUnits(job, UnitSystem.Us)));
        ReportText.Of(us.Shape).ShouldBe(ReportText.Of(metric.Shape));
        ReportText.Of(us.Build).ShouldBe(ReportText.Of(metric.Build));
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Two_of_it_are_twice_as_much(int index)
    {
        var element = Kinds.All()[index];
        var (one, two) = (Plan(Many(element)), Plan(Many(element, element)));
        two.Shape!.NetL.ShouldBe(2 * one.Shape!.NetL, 1e-6);
        two.Shape.OrderL.ShouldBe(2 * one.Shape.OrderL, 1e-6);
        (two.Build!.Dig?.BankM3 ?? 0).ShouldBe(2 * (one.Build!.Dig?.BankM3 ?? 0), 1e-6);
        two.Build.Boards.Sum(l => l.CutM).ShouldBe(2 * one.Build.Boards.Sum(l => l.CutM), 1e-6);
        two.Build.Boards.Sum(l => l.Boards.Count).ShouldBeLessThanOrEqualTo(2 * one.Build.Boards.Sum(l => l.Boards.Count));
        two.Build.Stakes.ShouldBe(2 * one.Build.Stakes);
    }

    // Enough hands for one day: a job that is shared out among days has boards between them besides.
    private static JobDocument Many(params ElementDocument[] elements)
    {
        var job = Kinds.Job(elements);
        return job with { Mixing = job.Mixing with { Hands = 6 } };
    }

    [Theory]
    [MemberData(nameof(Indexes))]
    public void Every_figure_of_its_shape_and_build_can_be_explained(int index)
    {
        var report = Plan(Kinds.Job(Kinds.All()[index]));
        foreach (var code in new[] { typeof(Why.Area), typeof(Why.NetVolume), typeof(Why.OrderVolume), typeof(Why.PieceMass) })
        {
            var why = report.Explanations.Single(e => e.Says.GetType() == code && e.Of == "/elements/0");
            why.Sources.ShouldNotBeEmpty();
            double.IsFinite(why.Result).ShouldBeTrue();
        }

        var net = report.Explanations.Single(e => e.Says is Why.NetVolume);
        net.Result.ShouldBe(report.Shape!.NetL, 1e-9);
    }

    [Fact]
    public void A_thicker_slab_never_takes_less_of_anything() => Gen.Select(Gen.Double[60, 200], Gen.Double[1, 60], Gen.Double[1, 6], Gen.Double[1, 4]).Sample((thick, more, along, across) =>
    {
        PlanReport Of(double mm) => Plan(Many(Kinds.Slab(Kinds.Rectangle($"{along:0.000} m", $"{across:0.000} m"), $"{mm:0.000} mm")));
        var (thin, stout) = (Of(thick), Of(thick + more));
        return stout.Shape!.OrderL > thin.Shape!.OrderL && stout.Build!.Dig!.BankM3 > thin.Build!.Dig!.BankM3
            && stout.Build.Stakes >= thin.Build.Stakes && stout.Shape.Elements[0].Joints.Panels.Count <= thin.Shape.Elements[0].Joints.Panels.Count;
    }, iter: 60);

    [Fact]
    public void The_same_rectangle_is_the_same_however_it_was_measured()
    {
        OutlineDocument[] ways =
        [
            Kinds.Rectangle("4 m", "3 m"),
            new WalkedOutlineDocument { Sides = [.. FourByThree.Select(l => new SideDocument { Length = l, Turn = 90 })] },
            new PointsOutlineDocument { Points = [Point(0, 0), Point(4, 0), Point(4, 3), Point(0, 3)] },
            new TapedOutlineDocument { Nails = "4 m", Corners = [Tape("0", "4 m"), Tape("4 m", "0"), Tape("5 m", "3 m"), Tape("3 m", "5 m")] },
        ];
        var reports = ways.Select(w => Plan(Kinds.Job(Kinds.Slab(w)))).ToArray();
        reports.ShouldAllBe(r => Math.Abs(r.Shape!.NetL - 1200) < 1e-6);
        reports.ShouldAllBe(r => Math.Abs(r.Build!.Boards.Sum(b => b.CutM) - reports[0].Build!.Boards.Sum(b => b.CutM)) < 1e-6);
        reports.ShouldAllBe(r => r.Build!.Stakes == reports[0].Build!.Stakes);
    }

    [Fact]
    public void A_slab_walked_the_other_way_round_is_the_same_slab()
    {
        WalkedOutlineDocument Walked(double turn) => new() { Sides = [.. FourByThree.Select(l => new SideDocument { Length = l, Turn = turn, Rise = l == "3 m" ? "200 mm" : null })] };
        var (left, right) = (Plan(Kinds.Job(Kinds.Slab(Walked(90)))), Plan(Kinds.Job(Kinds.Slab(Walked(-90)))));
        right.Shape!.NetL.ShouldBe(left.Shape!.NetL, 1e-9);
        right.Build!.Elements[0].Forms!.Bends.Single().CutM.ShouldBe(left.Build!.Elements[0].Forms!.Bends.Single().CutM, 1e-9);
    }

    [Fact]
    public void A_finish_changes_no_shape() => Enum.GetValues<Finish>()
        .Select(f => ReportText.Of(Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")) with { Finish = f })).Shape)).Distinct().ShouldHaveSingleItem();

    [Fact]
    public void Waste_follows_the_bed_unless_it_is_said()
    {
        double Waste(Bed bed, double? said = null) => Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")) with { Bed = bed, WastePercent = said })).Shape!.Elements[0].WastePercent;
        (Waste(Bed.Rigid), Waste(Bed.Levelled), Waste(Bed.HandDug), Waste(Bed.Rigid, 12)).ShouldBe((5, 8, 10, 12));
    }

    private static PointDocument Point(double x, double y) => new() { X = x, Y = y };

    private static TapedCornerDocument Tape(string a, string b) => new() { A = a, B = b };

    // Texts of the samples that carry no unit would be read in another one; those jobs are shown in metric only.
    private static JobDocument WithUnits(JobDocument job, UnitSystem units) => job with
    {
        Units = units,
        Elements = [.. job.Elements.Select(e => e is SlabDocument { Name: "Terrace" } slab ? slab with { Openings = [slab.Openings[0]] } : e)],
    };

    private static PlanReport Plan(JobDocument job) => Plans.Of(job, Samples.Steady(18));
}
