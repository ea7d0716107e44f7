using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Which mix what is poured from: the element's, a course's, or the slurry that nobody said.</summary>
public sealed class MixOfCourseTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);
    private static readonly TwoCourseDocument TwoCourse = (TwoCourseDocument)Kinds.All().First(e => e is TwoCourseDocument);
    private static readonly PebbleBedDocument Pebbles = (PebbleBedDocument)Kinds.All().First(e => e is PebbleBedDocument);

    [Fact]
    public void Whatever_is_said_every_litre_is_of_one_mix_and_each_mix_pours_its_own()
    {
        foreach (var element in Kinds.All())
        {
            var plan = Planner.Plan(Kinds.Job(element with { Mix = "other" }, Kinds.Slab(Kinds.Rectangle("1 m", "1 m"))) is var job ? job with { Mixes = [job.Mix, Fine("other")] } : null!, Mild);
            foreach (var mix in plan.Mixes)
            {
                var said = plan.Elements!.Value.SelectMany(e => e.MixParts).Where(p => p.Mix == mix.Id).Sum(p => p.Litres);
                plan.Pours.Where(p => p.Mix?.Id == mix.Id).Sum(p => p.Sketch.Litres).ShouldBe(said, 1e-6, $"{element.Name}: {mix.Id}");
            }

            // A slurry comes to what the element takes of its own mix.
            foreach (var planned in plan.Elements!.Value)
            {
                planned.MixParts.Where(p => p.Mix != JobMixes.SlurryId).Sum(p => p.Litres).ShouldBe(planned.OrderL, 1e-6, element.Name);
            }
        }
    }

    [Fact]
    public void A_topping_that_names_no_mix_is_of_its_elements_and_one_that_does_is_of_that()
    {
        string[] Of(TwoCourseDocument element)
        {
            var job = Kinds.Job(element);
            return [.. Planner.Plan(job with { Mixes = [job.Mix, Fine("fine"), Fine("top")] }, Mild).Pours.Select(p => p.Mix!.Id)];
        }

        Of(TwoCourse).ShouldBe(["mix-1", "mix-1"]);
        Of(TwoCourse with { Mix = "fine" }).ShouldBe(["fine", "fine"]);
        Of(TwoCourse with { ToppingMix = "top" }).ShouldBe(["mix-1", "top"]);
        Of(TwoCourse with { Mix = "fine", ToppingMix = "top" }).ShouldBe(["fine", "top"]);
    }

    [Fact]
    public void A_slurry_that_nobody_said_is_cement_and_water_in_the_jobs_containers()
    {
        var plan = Planner.Plan(Kinds.Job(Pebbles), Mild);
        var slurry = plan.Mixes.Single(m => m.Id == JobMixes.SlurryId);
        slurry.Index.ShouldBe(-1);
        slurry.Recipe.Containers.ShouldBe(plan.Mixes[0].Recipe.Containers);
        var parts = slurry.Recipe.ShouldBeOfType<PartsRecipe>();
        parts.Parts.IsSlurry.ShouldBeTrue();
        (parts.Proportions.SandKg, parts.Proportions.StoneKg, parts.Proportions.BallastKg).ShouldBe((0, 0, 0));
        // A cubic metre of cement and water fills a cubic metre.
        ((parts.Proportions.CementKg / 3150) + (parts.Proportions.WaterKg / 1000)).ShouldBe(1 - parts.Proportions.AirShare, 1e-3);
        Teller.Tell(plan).OtherMixes.Single(m => m.Id == JobMixes.SlurryId).Index.ShouldBeNull();
    }

    [Fact]
    public void A_mix_of_ones_own_by_the_slurrys_name_takes_its_place()
    {
        var job = Kinds.Job(Pebbles);
        var plan = Planner.Plan(job with { Mixes = [job.Mix, Fine(JobMixes.SlurryId)] }, Mild);
        plan.Mixes.Length.ShouldBe(2);
        plan.Pours[1].Mix!.Recipe.ShouldBeOfType<PartsRecipe>().Proportions.SandKg.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void No_slurry_is_thought_of_where_no_pebbles_are_set() => Planner.Plan(Samples.Terrace(), Mild).Mixes.ShouldHaveSingleItem().Id.ShouldBe("mix-1");

    [Fact]
    public void What_goes_to_another_mix_leaves_the_first_with_less_to_buy_and_the_other_with_more()
    {
        var (one, two) = (Kinds.Slab(Kinds.Rectangle("2 m", "1 m")), Kinds.Slab(Kinds.Rectangle("1 m", "1 m")));
        var job = Kinds.Job(one, two);
        job = job with { Mixes = [job.Mix, Fine("fine")] };
        BuyReport Buy(JobDocument j) => Plans.Of(j, Mild).Buy!;
        double Bags(BuyReport b) => b.Lines.Where(l => l.Kind == GoodKind.Bag).Sum(l => l.Used);
        double Sand(BuyReport b) => b.Lines.Where(l => l.Kind == GoodKind.Sand).Sum(l => l.Used);
        var (before, after) = (Buy(job), Buy(job with { Elements = [one, two with { Mix = "fine" }] }));
        Sand(before).ShouldBe(0);
        Sand(after).ShouldBeGreaterThan(20);
        Bags(after).ShouldBeInRange(Bags(before) * 0.6, Bags(before) * 0.75);
    }

    [Fact]
    public void Salt_in_one_mix_is_only_told_where_its_own_elements_have_steel()
    {
        var steel = Kinds.Slab(Kinds.Rectangle("2 m", "1 m")) with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.Mesh } };
        var plain = Kinds.Slab(Kinds.Rectangle("1 m", "1 m")) with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.None } };
        var salty = Fine("salty") with { Additives = new AdditivesDocument { ChlorideAccelerator = 1 } };
        IEnumerable<string> Told(ElementDocument of)
        {
            var job = Kinds.Job(steel with { Mix = of == steel ? "salty" : null }, plain with { Mix = of == plain ? "salty" : null });
            return Plans.Of(job with { Mixes = [job.Mix, salty] }, Mild).Findings.Where(f => f.Says is Notice.ChlorideRustsSteel).Select(f => f.Where.Path);
        }

        Told(steel).ShouldNotBeEmpty();
        Told(steel).ShouldAllBe(path => path.StartsWith("/mixes/1", StringComparison.Ordinal));
        Told(plain).ShouldBeEmpty();
    }

    [Fact]
    public void Two_mixes_of_one_id_and_more_than_there_may_be_are_told_and_the_first_is_planned()
    {
        var job = Samples.Terrace();
        var twice = Planner.Plan(job with { Mixes = [job.Mix, Fine(job.Mix.Id)] }, Mild);
        twice.Findings.ShouldContain(f => f.Says is Notice.SameId && f.Where.Path == "/mixes/1/id");
        twice.Mixes.ShouldHaveSingleItem();
        var many = Planner.Plan(job with { Mixes = [job.Mix, .. Enumerable.Range(2, Limits.MostMixes).Select(i => Fine($"mix-{i}"))] }, Mild);
        many.Findings.ShouldContain(f => f.Says is Notice.TooMany && f.Where.Path == "/mixes");
        many.Elements.ShouldNotBeNull();
    }

    private static PartsMixDocument Fine(string id) => Samples.OneTwoThree() with { Id = id };
}
