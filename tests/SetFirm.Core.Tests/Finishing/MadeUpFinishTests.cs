using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Tests.Finishing;

/// <summary>A finish that nobody asks for: its passes are all that is said of it, and a day is followed through with it.</summary>
public sealed class MadeUpFinishTests
{
    /// <summary>Trowelled once, then broomed across.</summary>
    private static readonly Pass[] CombedSteel = [Pass.Broom, Pass.FirstTrowel, Pass.EdgeAndFloat, Pass.BullFloat];

    [Fact]
    public void A_finish_made_up_of_passes_is_a_day_with_them_in_the_order_that_concrete_allows()
    {
        var rules = Finishes.Chain(CombedSteel);
        rules.Select(r => r.Pass).ShouldBe([Pass.StrikeOff, Pass.BullFloat, Pass.EdgeAndFloat, Pass.Broom, Pass.FirstTrowel]);
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("4 m", "3 m")));
        var day = Core.Planning.Planner.Plan(job, Samples.Steady(18)).Pour!.Day!;
        double DoneH(IReadOnlyCollection<Pass> passes)
        {
            var chain = Finishes.Chain(passes);
            var pour = day.Pour with { Zones = [.. day.Pour.Zones.Select(z => z with { Rules = chain })] };
            return new DaySimulation(pour, new HeatBalanceSlab(), Closeness.Middles).Run(new Member(Samples.Steady(18), 1, 1), day.Start).DoneH;
        }

        // One pass more is one more to wait for, and to make.
        DoneH(CombedSteel).ShouldBeGreaterThan(DoneH([Pass.Broom, Pass.EdgeAndFloat, Pass.BullFloat]));
        DoneH(CombedSteel).ShouldBeLessThan(DoneH([.. CombedSteel, Pass.HardTrowel]));
    }

    [Fact]
    public void Every_finish_is_struck_off_and_has_a_chain_of_its_own_passes()
    {
        foreach (var finish in Enum.GetValues<Finish>())
        {
            Finishes.Chain(finish, rapid: false).ShouldBe(Finishes.Chain([.. Finishes.Chain(finish, rapid: false).Select(r => r.Pass)]), finish.ToString());
            Finishes.Chain(finish, rapid: false)[0].Pass.ShouldBe(Pass.StrikeOff);
        }
    }
}
