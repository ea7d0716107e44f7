using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A kind of element that only this test knows is planned to the end: the rooms ask what it is for, not which kind it is.</summary>
public sealed class MadeUpKindTests
{
    /// <summary>A plinth for a water butt: a square block on the ground, poured between boards.</summary>
    private sealed record PlinthDocument : ElementDocument
    {
        public required string Side { get; init; }

        public required string Height { get; init; }

        internal override ElementTraits Traits => new(OnGround: true, Flat: true, JointLayout.None, Load.Foot, SteelSection.Slab, MixUse.Slab) { Work = Core.Tasks.WorkKind.Slab };

        internal override CastShape? Cast(ElementGate gate)
        {
            if ((gate.Length(nameof(Side), Side, 100, 3_000), gate.Length(nameof(Height), Height, 50, 1_000)) is not ({ } side, { } height))
            {
                return null;
            }

            var raw = OutlinePresets.Rectangle(side, side);
            return gate.Checked(raw.Corners, raw.Rises, [], nameof(Side)) is not { } plan ? null : new CastShape(
                plan, new Section([CastShape.Layer(CastPart.Slab, side.Metres, 0, height.Metres)], GoesOn: false), [new PartVolume(CastPart.Slab, plan.NetArea * height)], height, height, height);
        }
    }

    [Fact]
    public void It_is_shaped_built_mixed_loaded_bought_poured_and_cured()
    {
        var report = Plans.Of(Kinds.Job(Plinth("800 mm", "250 mm")), Samples.Steady(18));
        report.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        report.Shape!.NetL.ShouldBe(800 * 800 * 250 / 1e6, 1e-9);
        report.Build!.Dig.ShouldNotBeNull();
        report.Build.Boards.ShouldNotBeEmpty();
        report.Load.ShouldNotBeNull();
        report.Buy.ShouldNotBeNull();
        report.Day!.Passes.ShouldNotBeEmpty();
        report.Cure!.Milestones.ShouldNotBeEmpty();
        report.Steps.ShouldAllBe(s => s.State != StepState.Blocked);
    }

    [Fact]
    public void What_is_wrong_with_it_is_told_at_its_own_field()
    {
        var report = Plans.Of(Kinds.Job(Plinth("wide", "250 mm")), Samples.Steady(18));
        report.Findings.ShouldContain(f => f.Says is Notice.QuantityUnread && f.Where.Path == "/elements/0/side");
        report.Shape.ShouldBeNull();
    }

    private static PlinthDocument Plinth(string side, string height) => new() { Name = "Plinth", Side = side, Height = height, Bed = Bed.Levelled, Finish = Finish.Mag };
}
