using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A truck as the job's mix: what it brings, who gets it off in time, and what it costs.</summary>
public sealed class TruckTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(15);

    private static ReadyMixDocument Ready(double mpa = 25) => Samples.Ready() with { StrengthMpa = mpa };

    private static JobDocument Job(int hands = 4, ReadyMixDocument? mix = null, string thickness = "100 mm", string along = "4 m", string across = "3 m")
    {
        var job = Samples.Terrace();
        return job with
        {
            Mix = mix ?? Ready(),
            Elements = [Kinds.Slab(Kinds.Rectangle(along, across), thickness) with { Id = "element-1" }],
            Mixing = job.Mixing with { Hands = hands, BarrowRun = "10 m" },
        };
    }

    /// <summary>Two with barrows get a cubic metre off in three quarters of an hour; six get three in as long.</summary>
    [Theory]
    [InlineData(2, 1.0)]
    [InlineData(6, 3.0)]
    public void So_many_get_so_much_off_in_the_time_that_is_paid_for(int hands, double m3)
    {
        var place = new MixingPlace(new DrumMixer(Volume.FromLitres(140)), new Crew(hands), Length.FromMetres(10), null).For(Recipe());
        var plan = place.Fewest(Volume.FromCubicMetres(m3), Recipe().Unit).ShouldBeOfType<Batched.Fits>().Plan;
        var schedule = PourSchedule.Of(new LoadPlan(place, plan, Laying.Slab) { Age = Recipe().Age }, default);
        schedule.OnSite(Recipe().Age).ShouldHaveSingleItem().TotalMinutes.ShouldBeInRange(38, 55);
        // Off the chute nobody wheels.
        var chute = new LoadPlan(place with { Mixer = new TruckLoad(Recipe().Unit.Yield, Chute: true) }, plan, Laying.Slab) { Age = Recipe().Age };
        PourSchedule.Of(chute, default).OnSite(Recipe().Age).Single().ShouldBeLessThan(schedule.OnSite(Recipe().Age).Single());
    }

    [Fact]
    public void What_it_brings_has_one_water_and_lies_as_fast_as_hands_allow()
    {
        var plan = Plans.Of(Job(), Mild);
        var (load, day) = (plan.Load!, plan.Day!);
        var arrives = load.Batches[0].WaterAdded!.Value + Duration.FromMinutes(45);
        load.Batches.ShouldAllBe(b => b.WaterAdded == load.Batches[0].WaterAdded);
        load.Batches.Select(b => b.Placed!.Value).ShouldBeInOrder();
        load.Batches.ShouldAllBe(b => b.Placed > arrives);
        load.LoadingOrder.ShouldBeEmpty();
        day.Start.ShouldBe(load.Batches[0].WaterAdded!.Value);
        plan.Pours[0].Start.ShouldBe(Samples.Terrace().Day.Start);
        day.Zones.ShouldHaveSingleItem(); // of one age: all of it falls due at once
    }

    [Fact]
    public void More_than_a_truck_holds_comes_in_two_the_second_when_the_first_is_empty()
    {
        var load = Plans.Of(Job(6, thickness: "150 mm", along: "8 m", across: "6 m"), Mild).Load!;
        var trucks = load.Batches.GroupBy(b => b.WaterAdded).ToArray();
        trucks.Length.ShouldBe(2);
        trucks[0].Sum(b => b.VolumeL).ShouldBeLessThanOrEqualTo(6000 + 1e-6);
        (trucks[1].Key + Duration.FromMinutes(45))!.Value.ShouldBeGreaterThan(trucks[0].Max(b => b.Placed!.Value) - Duration.FromMinutes(10));
    }

    [Fact]
    public void So_few_that_it_is_not_off_in_time_are_told_how_many_would_do()
    {
        var job = Job(2);
        var told = Plans.Of(job, Mild).Findings.Single(f => f.Says is Notice.TruckNotOffInTime);
        told.Says<Notice.TruckNotOffInTime>().OffMin.ShouldBeGreaterThan(90);
        Plans.Of(RemedyText.Taken(job, told.Remedies.Single()), Mild).Findings.ShouldNotContain(f => f.Says is Notice.TruckNotOffInTime);
        Plans.Of(job, Mild).Findings.ShouldContain(f => f.Says is Notice.TruckWaits);
        Plans.Of(job, Mild).Findings.ShouldNotContain(f => f.Says is Notice.MoreThanADay);
        Plans.Of(job, Mild).Findings.ShouldContain(f => f.Says is Notice.NoWaterBeyondTheTicket);
    }

    [Fact]
    public void It_costs_by_the_tenth_what_is_missing_of_its_least_each_time_and_what_it_waits()
    {
        var plan = Plans.Of(Job(2), Mild);
        var ready = plan.Mix!.Ready!;
        ready.OrderL.ShouldBe(1400, 1e-6); // 1.2 and 8 % and the hold-back, by the tenth
        var lines = plan.Buy!.Lines.Where(l => l.Kind == GoodKind.Truck).ToDictionary(l => l.Of);
        (Math.Round(lines["m3"].Used, 9), Math.Round(lines["short"].Used, 9), lines["delivery"].Used).ShouldBe((1.4, 1.6, 1));
        lines["m3"].Cost.ShouldBe(1.4 * 145, 1e-9);
        lines["wait"].Used.ShouldBe(Math.Ceiling(plan.Findings.Single(f => f.Says is Notice.TruckWaits).Says<Notice.TruckWaits>().SiteMin - 45 - 1e-6), 1e-9);
        (lines["m3"].Cost + lines["short"].Cost + lines["delivery"].Cost).ShouldBe(TruckPrice.Of(PriceBook.Typical).Cost(1.31), 1e-9);
        plan.Buy.Lines.ShouldNotContain(l => l.Kind == GoodKind.Bag || l.Kind == GoodKind.Cement);
    }

    [Fact]
    public void It_is_taken_among_the_ways_and_plans_like_any_other()
    {
        var job = Samples.Terrace();
        var way = Plans.Of(job, Mild).Mix!.Ways.Single(w => w.Way.Kind == WayKind.Truck);
        var plan = Plans.Of(job with { Mix = way.Takes.ShouldNotBeNull() }, Mild);
        plan.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
        plan.Mix!.Ways.Single(w => w.Way.Taken).Way.Kind.ShouldBe(WayKind.Truck);
        (plan.Load.ShouldNotBeNull(), plan.Day.ShouldNotBeNull(), plan.Cure.ShouldNotBeNull()).ShouldNotBe(default);
        plan.Cure.At28Mpa.ShouldBeGreaterThan(0);
    }

    /// <summary>One chute, and water that went in at the plant.</summary>
    [Fact]
    public void No_way_out_is_a_second_mixer_or_other_water()
    {
        var told = Plans.Of(Job(1), Samples.Steady(2)).Findings;
        told.ShouldContain(f => f.Says is Notice.MixTooCold);
        told.SelectMany(f => f.Remedies).ShouldNotContain(r => r.Does is Mend.AddMixer || r.Does is Mend.WarmWater || r.Does is Mend.CoolWater);
        Plans.Of(Job(1) with { Mix = Samples.Terrace().Mix }, Samples.Steady(2)).Findings.SelectMany(f => f.Remedies).ShouldContain(r => r.Does is Mend.WarmWater);
    }

    [Fact]
    public void It_comes_on_the_supplier_s_days_and_hours_and_only_those_are_ranked()
    {
        var sunday = Samples.Terrace().Day with { Date = "2027-05-09", Start = "06:00" };
        var job = Job() with { Day = sunday };
        var told = Plans.Of(job, Mild).Findings.Single(f => f.Says is Notice.TruckDoesNotCome);
        var taken = RemedyText.Taken(job, told.Remedies.Single());
        (taken.Day.Date, taken.Day.Start).ShouldBe(("2027-05-10", "07:00"));
        Plans.Of(taken, Mild).Findings.ShouldNotContain(f => f.Says is Notice.TruckDoesNotCome);
        Plans.Of(job with { Mix = Ready() with { Saturdays = true }, Day = sunday with { Date = "2027-05-08", Start = "09:00" } }, Mild).Findings.ShouldNotContain(f => f.Says is Notice.TruckDoesNotCome);
        var ranked = Plans.Starts(Job(), Samples.Weather(Enumerable.Repeat(Samples.Mild with { SunWm2 = 300 }, 24 * 14))).Hours;
        ranked.ShouldNotBeEmpty();
        ranked.ShouldAllBe(h => Recipe().Terms.Comes(Local(h.At + Duration.FromMinutes(45))));
    }

    [Theory]
    [InlineData(27.6, false, 0.57)]
    [InlineData(20.7, false, 0.68)]
    [InlineData(27.6, true, 0.48)]
    public void A_class_has_the_leanest_water_cement_ratio_that_gives_it(double mpa, bool air, double ratio)
    {
        var terms = Recipe().Terms;
        var recipe = ReadyRecipe.Of(Strength.FromMegapascals(mpa), 20, Consistency.Plastic, air, terms, Recipe().Containers, []);
        recipe.Mix.WaterCement!.Value.ShouldBe(ratio, 1e-6);
        // A cubic metre is full.
        var mix = recipe.Mix;
        var solids = mix.CementKgPerM3!.Value / 3150;
        ((mix.SolidsKgPerM3 - mix.CementKgPerM3.Value) / 2665).ShouldBe(1 - mix.AirShare - (mix.WaterKgPerM3 / 1000) - solids, 1e-3);
        recipe.Unit.Mass.Kilograms.ShouldBeInRange(0.06 * 2_200, 0.06 * 2_500);
    }

    [Fact]
    public void Terms_that_cannot_be_are_told_at_their_fields()
    {
        string[] Faults(ReadyMixDocument mix) => [.. Plans.Of(Job(4, mix), Mild).Findings.Where(f => f.Severity == Severity.Error).Select(f => f.Where.Path)];
        Faults(Ready(5)).ShouldBe(["/mixes/0/strengthMpa"]);
        Faults(Ready() with { AgeMin = 300 }).ShouldBe(["/mixes/0/ageMin"]);
        Faults(Ready() with { ComesFrom = "16:00", ComesUntil = "07:00" }).ShouldBe(["/mixes/0/comesUntil"]);
        Faults(Ready() with { ComesFrom = "half past" }).ShouldBe(["/mixes/0/comesFrom"]);
        Faults(Ready() with { StoneMm = 40 }).ShouldBe(["/mixes/0/stoneMm"]);
        Plans.Of(Job(4, Ready() with { ComesFrom = "16:00", ComesUntil = "07:00" }), Mild).Findings.ShouldContain(f => f.Says is Notice.ComesUntilBeforeFrom);
    }

    private static LocalDateTime Local(Instant at) => at.InZone(DateTimeZoneProviders.Tzdb["Europe/Berlin"]).LocalDateTime;

    private static ReadyRecipe Recipe()
    {
        var from = new LocalTime(7, 0);
        var terms = new TruckTerms(Duration.FromMinutes(45), Duration.FromMinutes(45), Duration.FromMinutes(90), Chute: false, Saturdays: false, from, from.PlusHours(9));
        var bucket = new Container(ContainerKind.Bucket, Volume.FromLitres(12));
        return ReadyRecipe.Of(Strength.FromMegapascals(25), 20, Consistency.Plastic, air: false, terms, new Containers(bucket, bucket, bucket, bucket), []);
    }

    /// <summary>Its water went in at the plant: no tap cools it.</summary>
    [Fact]
    public void What_it_brings_is_as_warm_as_the_air()
    {
        var hot = Plans.Of(Job(), Samples.Steady(40));
        hot.Findings.Single(f => f.Says is Notice.MixTooHot).Says<Notice.MixTooHot>().MixC.ShouldBe(40, 1e-9);
        hot.Findings.ShouldNotContain(f => f.Remedies.Any(r => r.Does is Mend.CoolWater));
        hot.Explanations.ShouldNotContain(e => e.Says is Why.MixTemperature);
    }
}
