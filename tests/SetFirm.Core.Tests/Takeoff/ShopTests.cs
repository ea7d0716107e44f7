using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Takeoff;

/// <summary>The list in the shop: what is in the car, what is left, what else; and where gear comes from.</summary>
public sealed class ShopTests
{
    private static readonly JobDocument Job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });

    private static JobPlan Plan(JobDocument? job = null) => Planner.Plan(job ?? Job, Samples.Steady(18));

    private static JobEvent.GoodBought Bought(string good, double amount) => new() { Id = Guid.NewGuid(), At = Samples.Morning, Good = good, Amount = amount, Device = "Odd" };

    [Fact]
    public void What_is_in_the_car_is_off_the_list_and_the_sums_move_over()
    {
        var plan = Plan();
        var empty = ShopTelling.Of(plan);
        empty.SpentCost.ShouldBe(0);
        empty.LeftCost.ShouldBe(plan.Buy!.Lines.Sum(l => l.Cost), 1e-9);
        empty.Open.ShouldBe(empty.Lines.Count);
        var bag = empty.Lines[0];
        bag.Line.Kind.ShouldBe(GoodKind.Bag);
        var half = ShopTelling.Of(plan, [Bought(bag.Line.Good, 10)]);
        (half.Lines[0].State, half.Lines[0].LeftAmount).ShouldBe((ShopState.Open, bag.LeftAmount - 10));
        half.SpentCost.ShouldBe(10 * bag.Line.Packs[0].Price, 1e-9);
        half.LeftCost.ShouldBe(empty.LeftCost - half.SpentCost, 1e-9);
        var all = ShopTelling.Of(plan, [Bought(bag.Line.Good, 10), Bought(bag.Line.Good, bag.LeftAmount - 10)]);
        (all.Lines[0].State, all.Lines[0].ToldBy, all.Open).ShouldBe((ShopState.Bought, "Odd", empty.Open - 1));
    }

    [Fact]
    public void A_plan_that_grows_wants_the_rest_and_one_that_shrinks_nothing_back()
    {
        var bags = ShopTelling.Of(Plan()).Lines[0];
        var log = new JobEvent[] { Bought(bags.Line.Good, bags.LeftAmount) };
        var larger = ShopTelling.Of(Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("4 m", "2 m")) with { Id = "pad" })), log).Lines[0];
        larger.State.ShouldBe(ShopState.Open);
        larger.LeftAmount.ShouldBe(larger.Line.Packs.Sum(p => p.Count * p.Size) - bags.LeftAmount, 1e-9);
        var smaller = ShopTelling.Of(Plan(Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "2 m")) with { Id = "pad" })), log).Lines[0];
        (smaller.State, smaller.LeftAmount).ShouldBe((ShopState.Bought, 0));
    }

    [Fact]
    public void What_is_not_to_be_had_tells_what_else_with_what_it_costs_and_takes_until_some_is_found()
    {
        var plan = Plan();
        var bag = ShopTelling.Of(plan).Lines[0].Line;
        JobEvent missing = new JobEvent.GoodMissing { Id = Guid.NewGuid(), At = Samples.Morning, Good = bag.Good };
        var line = ShopTelling.Of(plan, [missing]).Lines[0];
        line.State.ShouldBe(ShopState.NotToBeHad);
        line.Instead.ShouldNotBeEmpty();
        var taken = plan.Ways.Single(w => w.Taken);
        foreach (var other in line.Instead)
        {
            other.Way.Bag.ShouldNotBe(bag.Of);
            other.Way.Misfits.ShouldBeEmpty();
            other.MoreCost.ShouldBe(other.Way.Cost - taken.Cost, 1e-9);
            // Taken, the plan is one of that way.
            var mended = Plan(Job with { Mixes = [other.Takes!] });
            mended.Ways.Single(w => w.Taken).Cost.ShouldBe(other.Way.Cost, 1e-6);
        }

        ShopTelling.Of(plan, [missing, Bought(bag.Good, 1) with { At = Samples.Morning + Duration.FromMinutes(5) }]).Lines[0].State.ShouldBe(ShopState.Open);
        ShopTelling.Of(plan, [missing, new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = Samples.Morning, Line = missing.Id }]).Lines[0].State.ShouldBe(ShopState.Open);
        // A stake is a stake: nothing of the mix takes its place.
        ShopTelling.Of(plan, [new JobEvent.GoodMissing { Id = Guid.NewGuid(), At = Samples.Morning, Good = "stake" }]).Lines.Single(l => l.Line.Good == "stake").Instead.ShouldBeEmpty();
    }

    [Fact]
    public void Of_parts_no_way_without_cement_uses_cement()
    {
        var parts = Plan().Ways.First(w => w.Kind == WayKind.Parts);
        parts.Parts.ShouldNotBeNull();
        ShopList.Without(Plan(), Goods.Cement(Core.Quantities.UnitSystem.Metric)).ShouldAllBe(i => i.Way.Kind != WayKind.Parts);
        ShopList.Without(Plan(), Goods.TruckM3).ShouldAllBe(i => i.Way.Kind != WayKind.Truck);
    }

    [Fact]
    public void Hired_gear_costs_its_days_bought_gear_its_price_and_what_is_there_nothing()
    {
        GearDocument From(Gear gear, GearSource from, double price) => new() { Gear = gear, From = from, Price = price };
        var bare = Plan(Job with { Build = Job.Build with { Base = "100 mm" } }).Buy!.CostMoney;
        var job = Job with { Build = Job.Build with { Base = "100 mm" }, Buy = Job.Buy with { Gear = [From(Gear.Compactor, GearSource.Hire, 38), From(Gear.Edger, GearSource.Buy, 14), From(Gear.Mixer, GearSource.Borrow, 99), From(Gear.Saw, GearSource.Own, 99)] } };
        var plan = Plan(job);
        plan.Buy!.GearMoney.ShouldBe(38 + 14); // the base is compacted on one day
        plan.Buy.CostMoney.ShouldBe(bare + 38 + 14, 1e-9);
        var compactor = ShopTelling.Of(plan).Gear.Single(g => g.Gear == Gear.Compactor);
        (compactor.Days.Count, compactor.Cost).ShouldBe((1, 38));
        var why = plan.Explanations.Select(e => e.Says).OfType<Why.Cost>().Single();
        (why.GoodsMoney + why.ExtrasMoney + why.GearMoney + why.HomeMoney).ShouldBe(plan.Buy.CostMoney, 1e-9);
        // A mixer that is hired for two pours is paid for both days.
        var two = job with
        {
            Elements = [Job.Elements[0], Job.Elements[0] with { Id = "b" }],
            Buy = Job.Buy with { Gear = [From(Gear.Mixer, GearSource.Hire, 30)] },
            Pours = [new PourDocument { Id = "1", Date = "2027-05-04", Parts = [new PartDocument { Element = "pad" }] }, new PourDocument { Id = "2", Date = "2027-05-11", Parts = [new PartDocument { Element = "b" }] }],
        };
        Plan(two).Buy!.GearMoney.ShouldBe(60);
    }

    [Fact]
    public void Gear_is_hired_for_days_on_which_somebody_works()
    {
        var large = Kinds.Job(Kinds.Slab(Kinds.Rectangle("9 m", "6 m")) with { Id = "pad" });
        IReadOnlyList<string> Days(WorkDays days, Gear gear) =>
            ShopTelling.Of(Plan(large with { Build = large.Build with { Base = "150 mm" }, Day = large.Day with { WorkDays = days } })).Gear.Single(g => g.Gear == gear).Days;
        DayOfWeek[] Of(WorkDays days, Gear gear) => [.. Days(days, gear).Select(d => DateOnly.Parse(d, System.Globalization.CultureInfo.InvariantCulture).DayOfWeek)];
        // Dug, laid and compacted over several weekends: never on a Wednesday between.
        Of(WorkDays.Weekends, Gear.Compactor).ShouldAllBe(d => d == DayOfWeek.Saturday || d == DayOfWeek.Sunday);
        Days(WorkDays.Weekends, Gear.Compactor).Count.ShouldBeGreaterThan(1);
        // An evening is shorter than a day: it takes more of them.
        Days(WorkDays.Evenings, Gear.Compactor).Count.ShouldBeGreaterThan(Days(WorkDays.Any, Gear.Compactor).Count);
        Of(WorkDays.Evenings, Gear.Compactor).ShouldAllBe(d => d != DayOfWeek.Saturday && d != DayOfWeek.Sunday);
    }

    [Fact]
    public void A_price_of_gear_that_cannot_be_is_told_at_its_field()
    {
        var job = Job with { Buy = Job.Buy with { Gear = [new GearDocument { Gear = Gear.Saw, From = GearSource.Buy, Price = -1 }] } };
        var plan = Plan(job);
        plan.Buy.ShouldBeNull();
        plan.Findings.First(f => f.Severity == Severity.Error).Where.Path.ShouldBe("/buy/gear/0/price");
    }
}
