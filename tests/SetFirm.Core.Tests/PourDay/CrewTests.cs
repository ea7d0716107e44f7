using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.PourDay;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>Who gets to which pass when.</summary>
public sealed class CrewTests
{
    private static readonly Gen<PassTask[]> Tasks =
        from zones in Gen.Int[1, 5]
        from passes in Gen.Int[1, 4]
        from opens in Gen.Double[0, 6].Array[zones * passes]
        from works in Gen.Double[0.05, 1].Array[zones * passes]
        select Enumerable.Range(0, zones * passes).Select(i => new PassTask(i / passes, i % passes, opens[i] + (i % passes), opens[i] + (i % passes) + 0.5, works[i])).ToArray();

    [Fact]
    public void Nobody_begins_before_a_pass_opens_or_does_two_at_once_and_passes_of_a_zone_follow_each_other() => Gen.Select(Tasks, Gen.Int[1, 4], Gen.Double[0, 5]).Sample(
        (tasks, hands, mixingEnds) =>
        {
            var opens = tasks.ToDictionary(t => (t.Zone, t.Pass), t => t.OpensH);
            PassCrew.Schedule(tasks, hands, 0, mixingEnds, new int[tasks.Length]);
            foreach (var task in tasks)
            {
                task.BeginsH.ShouldBeGreaterThanOrEqualTo(opens[(task.Zone, task.Pass)]);
                task.BeginsH.ShouldBeGreaterThanOrEqualTo(mixingEnds);
                tasks.Count(t => t.BeginsH <= task.BeginsH && task.BeginsH < t.EndsH).ShouldBeLessThanOrEqualTo(hands);
                tasks.Where(t => t.Hand == task.Hand && t != task).ShouldAllBe(t => t.EndsH <= task.BeginsH + 1e-9 || task.EndsH <= t.BeginsH + 1e-9);
                task.Hand.ShouldBeInRange(0, hands - 1);
                tasks.Where(t => t.Zone == task.Zone && t.Pass < task.Pass && t.BeginsH < task.BeginsH).ShouldAllBe(t => t.EndsH <= task.BeginsH + 1e-9);
            }
        });

    [Fact]
    public void Two_zones_that_close_at_once_are_too_much_for_one_pair_of_hands_and_not_for_two()
    {
        PassTask[] Both() => [new(0, 0, 1, 1.5, 1), new(1, 0, 1, 1.5, 1)];
        var (one, two) = (Both(), Both());
        PassCrew.Schedule(one, 1, 0, 0, new int[2]);
        PassCrew.Schedule(two, 2, 0, 0, new int[2]);
        one.Max(t => t.LateH).ShouldBe(0.5, 1e-9);
        two.Max(t => t.LateH).ShouldBe(0);
    }

    [Fact]
    public void A_third_hand_finishes_while_the_others_still_mix()
    {
        PassTask[] tasks = [new(0, 0, 1, 1.5, 0.5)];
        var crew = new Crew(3);
        PassCrew.Schedule(tasks, crew.Hands, PassCrew.FreeWhileMixing(crew), 4, new int[1]);
        tasks[0].BeginsH.ShouldBe(1);
        PassCrew.Schedule(tasks, 2, PassCrew.FreeWhileMixing(new Crew(2)), 4, new int[1]);
        tasks[0].BeginsH.ShouldBe(4);
    }
}
