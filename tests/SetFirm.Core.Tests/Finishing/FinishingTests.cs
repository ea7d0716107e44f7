using CsCheck;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Tests.Finishing;

public sealed class FinishingTests
{
    private static readonly HeatBalanceSlab Model = new();
    private static readonly Duration Span = Duration.FromHours(72);

    [Fact]
    public void Every_finish_is_a_chain_in_working_order_that_opens_and_closes_in_turn()
    {
        foreach (var finish in Enum.GetValues<Finish>())
        {
            var chain = Finishes.Chain(finish, rapid: false);
            chain.Select(r => r.Pass).ShouldBeInOrder();
            chain.Where(r => r.PaceM2H > 0).Select(r => r.Opens).ShouldBeInOrder();
            chain.Where(r => r.PaceM2H > 0).Select(r => r.Closes).ShouldBeInOrder();
            chain.ShouldAllBe(r => r.Opens < r.Closes);
        }
    }

    [Fact]
    public void A_finish_ends_with_its_own_pass()
    {
        Finishes.Chain(Finish.Mag, rapid: false)[^1].Pass.ShouldBe(Pass.SecondFloat);
        Finishes.Chain(Finish.Broom, rapid: false)[^1].Pass.ShouldBe(Pass.Broom);
        Finishes.Chain(Finish.Steel, rapid: false)[^1].Pass.ShouldBe(Pass.HardTrowel);
        Finishes.Chain(Finish.SteelOnce, rapid: false)[^1].Pass.ShouldBe(Pass.FirstTrowel);
        Finishes.Chain(Finish.Rubbed, rapid: false)[^1].Pass.ShouldBe(Pass.StripAndRub);
        Finishes.Chain(Finish.Exposed, rapid: false)[^1].Pass.ShouldBe(Pass.ExposeStone);
        Finishes.Chain(Finish.Pebbles, rapid: false)[^1].Pass.ShouldBe(Pass.WashSlurry);
        Finishes.Chain(Finish.GroundLater, rapid: false)[^1].Pass.ShouldBe(Pass.SecondFloat);
    }

    /// <summary>The craft's own table: pass, opens and closes in set progress.</summary>
    [Theory]
    [InlineData(Finish.Pebbles, Pass.WashSlurry, 0.20, 0.40)]
    [InlineData(Finish.Mag, Pass.EdgeAndFloat, 0.12, 0.45)]
    [InlineData(Finish.Mag, Pass.SecondFloat, 0.40, 0.75)]
    [InlineData(Finish.Exposed, Pass.ExposeStone, 0.45, 0.80)]
    [InlineData(Finish.Broom, Pass.Broom, 0.55, 1.05)]
    [InlineData(Finish.SteelOnce, Pass.FirstTrowel, 0.65, 1.00)]
    [InlineData(Finish.Steel, Pass.HardTrowel, 0.95, 1.40)]
    [InlineData(Finish.Rubbed, Pass.StripAndRub, 0.75, 1.10)]
    public void A_pass_opens_and_closes_at_the_progress_that_the_craft_gives(Finish finish, Pass pass, double opens, double closes)
    {
        var rule = Finishes.Chain(finish, rapid: false).Single(r => r.Pass == pass);
        (rule.Opens, rule.Closes).ShouldBe((opens, closes));
    }

    [Fact]
    public void Joints_are_sawn_from_final_set_to_three_times_final_set()
    {
        var mix = Samples.Mix(initialSetH: 5, finalSetH: 8);
        var rule = Finishes.Sawing(mix);
        (rule.Opens * 5).ShouldBe(8, 1e-9);
        (rule.Closes * 5).ShouldBe(24, 1e-9);
    }

    [Fact]
    public void A_rapid_mix_has_no_window_after_it_is_placed_and_floated()
    {
        foreach (var finish in Enum.GetValues<Finish>())
        {
            Finishes.Chain(finish, rapid: true).Select(r => r.Pass).ShouldBe([Pass.StrikeOff, Pass.BullFloat]);
        }
    }

    [Fact]
    public void A_window_never_opens_before_placing_nor_closes_before_it_opens() =>
        Gen.Select(Gen.Double[3, 35], Gen.Double[0, 5], Gen.Double[0, 2], Gen.Double[0.4, 8]).Sample((airC, spreadH, placingH, initialH) =>
        {
            var weather = Samples.Steady(airC);
            var oldest = Model.Follow(Samples.Zone(airC), weather, Span);
            var youngest = Model.Follow(Samples.Zone(airC) with { WaterAdded = Samples.Morning + Duration.FromHours(spreadH) }, weather, Span);
            var placed = Samples.Morning + Duration.FromHours(spreadH + placingH);
            return Finishes.Chain(Finish.Steel, rapid: false).Where(r => r.Pass != Pass.StrikeOff).All(rule => Windows.Of(rule, oldest, youngest, placed, initialH) is not { } w
                || (w.Opens >= placed - Duration.FromSeconds(1) && w.Closes >= w.Opens));
        });

    [Fact]
    public void A_zone_waits_for_its_youngest_and_closes_with_its_oldest()
    {
        var weather = Samples.Steady(20);
        var oldest = Model.Follow(Samples.Zone(), weather, Span);
        var youngest = Model.Follow(Samples.Zone() with { WaterAdded = Samples.Morning + Duration.FromHours(1) }, weather, Span);
        var window = Windows.Of(new PassRule(Pass.Broom, 0.55, 1.05), oldest, youngest, Samples.Morning).ShouldNotBeNull();
        (window.Opens - youngest.WhenEquivalentHours(0.55 * 5)!.Value).TotalSeconds.ShouldBe(0, 1);
        (window.Closes - oldest.WhenEquivalentHours(1.05 * 5)!.Value).TotalSeconds.ShouldBe(0, 1);
    }

    [Fact]
    public void Where_it_is_too_cold_to_get_there_no_window_is_made_up()
    {
        var frozen = Model.Follow(Samples.Zone(mixC: 1), Samples.Steady(-8), Span);
        Windows.Of(new PassRule(Pass.Broom, 0.55, 1.05), frozen, frozen, Samples.Morning).ShouldBeNull();
    }
}
