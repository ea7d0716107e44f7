using CsCheck;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Joints;

public sealed class JointTests
{
    [Fact]
    public void The_fewest_equal_panels_are_found() => Gen.Select(Gen.Double[0.5, 12], Gen.Double[0.5, 12], Gen.Double[1, 4.5]).Sample((a, b, spacing) =>
    {
        // Every count up to a generous limit, the slow way.
        var best = int.MaxValue;
        for (var nx = 1; nx <= 60; nx++)
        {
            for (var ny = 1; ny <= 60; ny++)
            {
                var (x, y) = (a / nx, b / ny);
                if (x <= spacing + 1e-9 && y <= spacing + 1e-9 && Math.Max(x / y, y / x) <= 1.5 + 1e-9)
                {
                    best = Math.Min(best, nx * ny);
                }
            }
        }

        return EqualPanels.Fewest(a, b, spacing, 1.5) is var (along, across) ? along * across == best : best == int.MaxValue;
    }, iter: 300);

    /// <summary>Whatever the slab, a panel outside the limits carries a finding.</summary>
    [Fact]
    public void Every_panel_is_within_spacing_and_ratio_or_carries_a_finding() => Gen.Select(
        Gen.Double[0.6, 9], Gen.Double[0.6, 7], Gen.Double[0.2, 0.8], Gen.Double[0.2, 0.8], Gen.Int[0, 5], Gen.Int[60, 160]).Sample((along, across, cutA, cutB, kind, thick) =>
        {
            var shape = new[] { PresetShape.Rectangle, PresetShape.LShape, PresetShape.UShape, PresetShape.Circle, PresetShape.QuarterCircle, PresetShape.Kidney }[kind];
            var slab = Kinds.Slab(
                new PresetOutlineDocument { Shape = shape, Along = $"{along:0.000} m", Across = $"{across:0.000} m", NotchAlong = $"{along * cutA:0.000} m", NotchAcross = $"{across * cutB:0.000} m" },
                $"{thick} mm");
            var report = Plans.Of(Kinds.Job(slab), Samples.Steady(18));
            if (report.Shape is not { } drawn)
            {
                return true;
            }

            var joints = drawn.Elements[0].Joints;
            return joints.Panels.All(p =>
            {
                var (longer, shorter) = (Math.Max(p.AlongM, p.AcrossM), Math.Min(p.AlongM, p.AcrossM));
                var sound = longer <= joints.SpacingM + 1e-6 && longer / shorter <= JointRules.MostRatio + 1e-6;
                return sound || report.Findings.Any(f => f.Says is Notice.PanelTooLong { Panel: var a } ? a == p.Number : f.Says is Notice.PanelTooSlender { Panel: var b } && b == p.Number);
            });
        }, iter: 150);

    [Fact]
    public void A_rectangle_a_walk_a_border_and_a_kerb_need_no_finding()
    {
        foreach (var element in new ElementDocument[]
        {
            Kinds.Slab(Kinds.Rectangle("7.2 m", "3 m")),
            Kinds.Slab(Kinds.Rectangle("6 m", "900 mm")) with { Use = SlabUse.Walk },
            Kinds.Border(),
            Kinds.Curb(),
        })
        {
            Plans.Of(Kinds.Job(element), Samples.Steady(18)).Findings.ShouldNotContain(f => f.Says is Notice.PanelTooLong || f.Says is Notice.PanelTooSlender);
        }
    }

    [Fact]
    public void An_L_is_cut_from_its_inner_corner_into_the_fewest_panels()
    {
        var joints = Drawn(Samples.TerraceSlab() with { Openings = [] });
        joints.Panels.Count.ShouldBe(3);
        joints.Cuts.ShouldContain(c => Math.Abs(c.From.X - 2.8) < 1e-9 && Math.Abs(c.To.X - 2.8) < 1e-9);
    }

    [Fact]
    public void Every_opening_is_met_by_a_joint()
    {
        var joints = Drawn(Samples.TerraceSlab());
        foreach (var (centre, half) in new[] { (new PlanPoint(3.6, 1.1), 0.075), (new PlanPoint(0.35, 0.35), 0.06) })
        {
            joints.Cuts.Min(c => centre.DistanceToSegment(c.From, c.To)).ShouldBeLessThanOrEqualTo(half + 1e-9);
        }
    }

    [Fact]
    public void The_farthest_panel_is_poured_first()
    {
        var joints = Drawn(Samples.TerraceSlab() with { WayOut = 0 });
        var far = joints.Panels.Select(p => p.Middle.DistanceTo(joints.WayOut!.Value)).ToArray();
        far.ShouldBe(far.OrderDescending());
        joints.Panels.Select(p => p.Number).ShouldBe(Enumerable.Range(1, joints.Panels.Count));
    }

    [Fact]
    public void A_walk_has_panels_as_long_as_it_is_wide()
    {
        var joints = Drawn(Kinds.Slab(Kinds.Rectangle("6 m", "900 mm")) with { Use = SlabUse.Walk });
        joints.SpacingM.ShouldBe(0.9, 1e-9);
        joints.Panels.Count.ShouldBe(7);
    }

    [Fact]
    public void Joints_across_a_path_are_evenly_apart_and_no_further_than_asked() => Gen.Double[0.3, 20].Sample(length =>
    {
        var line = new CentreLine([new Stretch.Straight(Length.FromMetres(length), 0)]);
        var at = JointSet.Across(line, 0.1, JointRules.MostBorderM).Select(c => c.From.X).Prepend(0).Append(length).ToArray();
        var gaps = at.Zip(at.Skip(1), (a, b) => b - a).ToArray();
        return gaps.Max() <= JointRules.MostBorderM + 1e-9 && gaps.Max() - gaps.Min() < 1e-9;
    });

    [Fact]
    public void Ones_own_joints_are_checked_where_they_stand()
    {
        var slab = Samples.TerraceSlab() with { Joints = [new JointDocument { Across = true, At = "0.4 m" }, new JointDocument { Across = false, At = "9 m" }] };
        var report = Plans.Of(Kinds.Job(slab), Samples.Steady(18));
        report.Findings.ShouldContain(f => f.Says is Notice.JointOutside && f.Where.Path == "/elements/0/joints/1/at");
        report.Findings.ShouldContain(f => f.Says is Notice.PanelTooLong);
        report.Findings.Select(f => f.Says).OfType<Notice.CornerWithoutJoint>().ShouldContain(c => c.Corner == 5);
        report.Findings.First(f => f.Says is Notice.PanelTooLong).Remedies.ShouldHaveSingleItem().Does.GetType().ShouldBe(typeof(Mend.ProposeJoints));
    }

    [Fact]
    public void A_joint_is_a_quarter_deep_and_never_less_than_25_mm()
    {
        JointRules.Depth(Length.FromMillimetres(80)).Millimetres.ShouldBe(25);
        JointRules.Depth(Length.FromMillimetres(150)).Millimetres.ShouldBe(37.5, 1e-9);
    }

    [Fact]
    public void Joints_however_many_and_however_near_to_a_corner_leave_panels_that_are_the_slab() =>
        Gen.Select(Gen.Int[0, 5], Gen.Double[-9, 0], Gen.Bool, Gen.Bool).Array[0, 12].Sample(said =>
        {
            // Beside a corner of the terrace by from a nanometre to a metre, either way.
            (double X, double Y)[] corners = [(0, 0), (4.8, 0), (4.8, 3.4), (2.8, 3.4), (2.8, 2.2), (0, 2.2)];
            var joints = said.Select(j =>
            {
                var (corner, power, across, further) = j;
                var at = (across ? corners[corner].X : corners[corner].Y) + (Math.Pow(10, power) * (further ? 1 : -1));
                return new JointDocument { Across = across, At = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Math.Max(0, at) * 1000:0.000000} mm"), Method = JointMethod.Tooled };
            }).ToArray();
            var element = Planner.Plan(Kinds.Job(Samples.TerraceSlab() with { Joints = joints }), Samples.Steady(18)).Elements!.Value.Single();
            element.Joints.Panels.ShouldNotBeEmpty();
            element.Joints.Panels.Select(p => p.Number).ShouldBe(Enumerable.Range(1, element.Joints.Panels.Length));
            element.Joints.Panels.Sum(p => p.Shape.AreaM2).ShouldBe(element.Cast.Plan.NetArea.SquareMetres, 0.002);
        }, iter: 300);

    private static JointsReport Drawn(SlabDocument slab) => Plans.Of(Kinds.Job(slab), Samples.Steady(18)).Shape!.Elements[0].Joints;
}
