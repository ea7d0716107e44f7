using CsCheck;
using NodaTime;
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
            chain.Select(r => r.Opens).ShouldBeInOrder();
            chain.Select(r => r.Closes).ShouldBeInOrder();
            chain.ShouldAllBe(r => r.Opens < r.Closes);
        }
    }

    [Fact]
    public void A_finish_ends_with_its_own_pass()
    {
        Finishes.Chain(Finish.Mag, rapid: false)[^1].Pass.ShouldBe(Pass.SecondFloat);
        Finishes.Chain(Finish.Broom, rapid: false)[^1].Pass.ShouldBe(Pass.Broom);
        Finishes.Chain(Finish.Steel, rapid: false)[^1].Pass.ShouldBe(Pass.HardTrowel);
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
    public void A_window_never_opens_before_placing_nor_closes_before_it_opens_and_its_band_holds_it() =>
        Gen.Select(Gen.Double[3, 35], Gen.Double[0, 5], Gen.Double[0, 2], Gen.Double[0.4, 8]).Sample((airC, spreadH, placingH, initialH) =>
        {
            var weather = Samples.Steady(airC);
            var oldest = Model.Follow(Samples.Zone(airC), weather, Span);
            var youngest = Model.Follow(Samples.Zone(airC) with { WaterAdded = Samples.Morning + Duration.FromHours(spreadH) }, weather, Span);
            var placed = Samples.Morning + Duration.FromHours(spreadH + placingH);
            return Finishes.Chain(Finish.Steel, rapid: false).All(rule => PassWindows.Of(rule, oldest, youngest, placed, Duration.FromHours(initialH)) is not { } w
                || (w.Opens >= placed && w.Closes >= w.Opens
                    && w.OpensEarliest <= w.Opens && w.Opens <= w.OpensLatest
                    && w.ClosesEarliest <= w.Closes && w.Closes <= w.ClosesLatest
                    && w.OpensEarliest >= placed && w.ClosesEarliest >= w.OpensEarliest && w.ClosesLatest >= w.OpensLatest));
        });

    [Fact]
    public void A_zone_waits_for_its_youngest_and_closes_with_its_oldest()
    {
        var weather = Samples.Steady(20);
        var oldest = Model.Follow(Samples.Zone(), weather, Span);
        var youngest = Model.Follow(Samples.Zone() with { WaterAdded = Samples.Morning + Duration.FromHours(1) }, weather, Span);
        var window = PassWindows.Of(new PassRule(Pass.Broom, 0.55, 1.05), oldest, youngest, Samples.Morning, Duration.FromHours(5)).ShouldNotBeNull();
        window.Opens.ShouldBe(youngest.WhenEquivalentHours(0.55 * 5)!.Value);
        window.Closes.ShouldBe(oldest.WhenEquivalentHours(1.05 * 5)!.Value);
    }

    [Fact]
    public void Where_it_is_too_cold_to_get_there_no_window_is_made_up()
    {
        var frozen = Model.Follow(Samples.Zone(mixC: 1), Samples.Steady(-8), Span);
        PassWindows.Of(new PassRule(Pass.Broom, 0.55, 1.05), frozen, frozen, Samples.Morning, Duration.FromHours(5)).ShouldBeNull();
    }
}
