using CsCheck;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Tests.Setting;

/// <summary>What is believed of the set of each zone, two levels of it.</summary>
public sealed class SetBeliefTests
{
    private static readonly Gen<SetReading[]> Readings = Gen.Select(Gen.Int[0, 4], Gen.Double[-0.6, 0.6], Gen.Int[0, 3], Gen.Double[0.08, 0.4]).Select((zone, at, kind, doubt) => kind switch
    {
        0 => new SetReading(zone, at, double.PositiveInfinity, doubt),
        1 => new SetReading(zone, double.NegativeInfinity, at, doubt),
        2 => new SetReading(zone, at - 0.2, at + 0.1, doubt),
        _ => new SetReading(zone, at, at, doubt),
    }).Array[0, 12];

    [Fact]
    public void Nothing_seen_is_what_was_learnt()
    {
        var belief = SetBelief.Of(3, 0.1, []);
        belief.Common.Mean.ShouldBe(0.1, 1e-9);
        belief.Common.Deviation.ShouldBe(0.14, 1e-12);
        belief.Zones.ShouldAllBe(z => Math.Abs(z.Mean - 0.1) < 1e-9 && Math.Abs(z.Deviation - Math.Sqrt((0.14 * 0.14) + (0.05 * 0.05))) < 1e-9);
    }

    [Fact]
    public void One_exact_sign_is_shared_out_by_the_book()
    {
        // 3 mm where the plan has s 0.684: log k = log(0.684 / 0.60) = 0.131, give or take 0.08 / 0.60.
        var (says, doubt) = (Math.Log(0.684 / 0.60), 0.08 / 0.60);
        var belief = SetBelief.Of(2, 0, [new SetReading(0, says, says, doubt)]);
        var (shared, all) = (0.14 * 0.14, (0.14 * 0.14) + (0.05 * 0.05));
        var weight = all + (doubt * doubt);
        belief.Zones[0].Mean.ShouldBe(says * all / weight, 1e-9);
        belief.Zones[1].Mean.ShouldBe(says * shared / weight, 1e-9);
        belief.Zones[0].Deviation.ShouldBe(Math.Sqrt(all - (all * all / weight)), 1e-9);
        belief.Zones[1].Deviation.ShouldBe(Math.Sqrt(all - (shared * shared / weight)), 1e-9);
        // "Lowers the error of its own zone by a third, of the others by a quarter."
        (1 - (belief.Zones[0].Deviation / Math.Sqrt(all))).ShouldBe(0.33, 0.01);
        (1 - (belief.Zones[1].Deviation / Math.Sqrt(all))).ShouldBe(0.25, 0.01);
    }

    [Fact]
    public void Whatever_order_the_signs_come_in_the_belief_is_the_same_to_the_last_bit() => Readings.SelectMany(r => Gen.Shuffle(r).Select(s => (Said: r, Shuffled: s))).Sample(t =>
        Same(SetBelief.Of(5, 0, t.Said), SetBelief.Of(5, 0, t.Shuffled)));

    [Fact]
    public void The_belief_is_the_least_of_a_sum_of_squares() => Readings.Sample(readings =>
    {
        // A slow way to the same: step by step downhill from nothing.
        var belief = SetBelief.Of(5, 0, readings);
        double Cost(double u, double[] w) => (u * u / (2 * 0.14 * 0.14)) + w.Sum(x => (x - u) * (x - u) / (2 * 0.05 * 0.05))
            + readings.Sum(r => Math.Pow(Math.Max(0, Math.Max(r.Least - w[r.Zone], w[r.Zone] - r.Most)), 2) / (2 * r.Doubt * r.Doubt));
        double[] zones = [.. belief.Zones.Select(z => z.Mean)];
        var least = Cost(belief.Common.Mean, zones);
        return Enumerable.Range(0, 60).All(i =>
        {
            var luck = new Random(i);
            return Cost(belief.Common.Mean + (0.02 * (luck.NextDouble() - 0.5)), [.. zones.Select(z => z + (0.02 * (luck.NextDouble() - 0.5)))]) >= least - 1e-9;
        });
    });

    [Fact]
    public void A_bound_that_is_not_touched_moves_nothing_and_narrows_nothing()
    {
        var none = SetBelief.Of(2, 0, []);
        Same(SetBelief.Of(2, 0, [new SetReading(0, -0.3, double.PositiveInfinity, 0.2), new SetReading(1, double.NegativeInfinity, 0.2, 0.1)]), none).ShouldBeTrue();
        SetBelief.Of(2, 0, [new SetReading(0, 0.3, double.PositiveInfinity, 0.2)]).Zones[0].Mean.ShouldBeInRange(0.05, 0.3);
    }

    [Fact]
    public void A_sign_never_widens_the_doubt_and_a_zone_lies_between_what_it_says_and_the_rest() => Readings.Sample(readings =>
    {
        var (none, some) = (SetBelief.Of(5, 0, []), SetBelief.Of(5, 0, readings));
        return some.Common.Deviation <= none.Common.Deviation + 1e-12 && some.Zones.Zip(none.Zones).All(z => z.First.Deviation <= z.Second.Deviation + 1e-12) && some.Zones.All(z => Math.Abs(z.Mean) < 0.9);
    });

    private static bool Same(SetBelief a, SetBelief b) => a.Common == b.Common && a.Zones.SequenceEqual(b.Zones) && a.Alone.SequenceEqual(b.Alone) && a.Follows.SequenceEqual(b.Follows);
}
