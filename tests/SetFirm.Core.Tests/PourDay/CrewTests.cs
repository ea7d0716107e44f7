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
    public void Nobody_begins_before_a_pass_opens_or_does_two_at_once_and_passes_of_a_zone_follow_each_other_with_their_rest() =>
        Gen.Select(Tasks, Gen.Int[1, 4], Gen.Double[0, 5]).Sample((tasks, hands, mixingEnds) =>
        {
            var opens = tasks.ToDictionary(t => (t.Zone, t.Pass), t => t.OpensH);
            PassCrew.Schedule(tasks, hands, 0, mixingEnds, new Rests(0.3), new int[tasks.Length]);
            foreach (var task in tasks)
            {
                task.BeginsH.ShouldBeGreaterThanOrEqualTo(opens[(task.Zone, task.Pass)]);
                task.BeginsH.ShouldBeGreaterThanOrEqualTo(mixingEnds);
                tasks.Where(t => t.BeginsH <= task.BeginsH && task.BeginsH < t.EndsH).Sum(t => t.Hands).ShouldBeLessThanOrEqualTo(hands);
                task.Hand.ShouldBeInRange(0, hands - 1);
                // Strictly one after another, rested.
                tasks.Where(t => t.Zone == task.Zone && t.Pass < task.Pass).ShouldAllBe(t => t.EndsH + 0.3 <= task.BeginsH + 1e-9);
            }
        });

    [Fact]
    public void Two_zones_that_close_at_once_are_too_much_for_one_pair_of_hands_and_not_for_two()
    {
        PassTask[] Both() => [new(0, 0, 1, 1.5, 1), new(1, 0, 1, 1.5, 1)];
        var (one, two) = (Both(), Both());
        PassCrew.Schedule(one, 1, 0, 0, new Rests(0), new int[2]);
        PassCrew.Schedule(two, 2, 0, 0, new Rests(0), new int[2]);
        one.Max(t => t.LateH).ShouldBe(0.5, 1e-9);
        two.Max(t => t.LateH).ShouldBe(0);
    }

    [Fact]
    public void Whoever_is_free_shares_a_long_pass_and_nobody_a_short_one()
    {
        PassTask[] tasks = [new(0, 0, 1, 1.5, 0.8), new(0, 1, 2, 2.5, 0.05)];
        PassCrew.Schedule(tasks, 3, 3, 0, new Rests(0), new int[2]);
        (tasks[0].Hands, tasks[0].EndsH).ShouldBe((3, 1 + (0.8 / 3)));
        tasks[1].Hands.ShouldBe(1);
    }

    [Theory]
    [InlineData(1, 1)] // the mixer stands
    [InlineData(2, 1)] // one goes, one mixes on
    [InlineData(4, 3)]
    public void One_stays_at_the_mixer_as_far_as_there_are_two(int hands, int called)
    {
        PassCrew.CalledAway(new Crew(hands)).ShouldBe(called);
        PassTask[] tasks = [.. Enumerable.Range(0, 6).Select(z => new PassTask(z, 0, 1, 1.5, 0.5))];
        PassCrew.Schedule(tasks, hands, called, 4, new Rests(0), new int[6]);
        foreach (var task in tasks.Where(t => t.BeginsH < 4))
        {
            tasks.Where(t => t.BeginsH <= task.BeginsH && task.BeginsH < t.EndsH).Sum(t => t.Hands).ShouldBeLessThanOrEqualTo(called);
        }
    }

    private readonly struct Rests(double hours) : IPassRests
    {
        public (double OpensH, double ClosesH) After(in PassTask task, double doneH) => (Math.Max(task.OpensH, doneH + hours), task.ClosesH);
    }
}
