using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

public sealed class PlannerTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Fact]
    public void A_terrace_is_planned_from_tape_to_cure()
    {
        var report = Plans.Of(Samples.Terrace(), Mild);

        var net = ((4.8 * 3.4) - (2.8 * 1.2) - (Math.PI * 0.075 * 0.075) - (0.12 * 0.12)) * 0.1;
        report.Shape!.NetL.ShouldBe(net * 1000, 1e-6);
        report.Shape.OrderL.ShouldBe(net * 1080, 1e-6);

        var wanted = (net * 1080) + 1.5;
        report.Mix!.Bagged!.Count.ShouldBe((int)Math.Ceiling(wanted / 11.7));
        report.Load!.Batches.Sum(b => b.VolumeL).ShouldBeGreaterThanOrEqualTo(wanted - 1e-6);
        report.Load.Batches.ShouldAllBe(b => b.VolumeL <= 91);
        report.Load.Recipes.Sum(r => r.Size * r.Batches).ShouldBeLessThanOrEqualTo(report.Mix.Bagged.Count);

        var day = report.Day!;
        day.Start.ShouldBe(Instant.FromUtc(2027, 5, 4, 6, 30)); // 08:30 in summer time
        (day.MixingEnds - report.Load.Batches[^1].Placed!.Value).TotalMinutes.ShouldBeInRange(0.2, 3); // struck off
        day.Passes.Select(p => p.Pass).ShouldBe([Pass.StrikeOff, Pass.BullFloat, Pass.EdgeAndFloat, Pass.SecondFloat, Pass.Broom]);
        day.InitialSet!.Value.ShouldBeGreaterThan(day.MixingEnds);
        day.FinalSet!.Value.ShouldBeGreaterThan(day.InitialSet.Value);

        var cure = report.Cure!;
        cure.WetFrom.ShouldBeInRange(day.DoneBy, day.FinalSet.Value); // the last pass is done, and it takes a cover
        cure.WetDays.ShouldBe(7);
        At(cure, Milestone.StripEdges).ShouldBeGreaterThanOrEqualTo(day.Start + Duration.FromHours(24));
        At(cure, Milestone.Walk).ShouldBeLessThan(At(cure, Milestone.Cars));
        At(cure, Milestone.Full).ShouldBeGreaterThan(report.Load.Batches[^1].WaterAdded!.Value + Duration.FromDays(24)); // 28 days at 20 °C

        report.Steps.Select(s => s.Step).ShouldBe(Enum.GetValues<Step>());
        report.Findings.ShouldNotContain(f => f.Severity == Severity.Error);
    }

    [Fact]
    public void The_same_call_gives_the_same_report() =>
        ReportText.Of(Plans.Of(Samples.Terrace(), Mild)).ShouldBe(ReportText.Of(Plans.Of(Samples.Terrace(), Mild)));

    [Fact]
    public void A_thicker_slab_moves_everything_after_it()
    {
        var thin = Plans.Of(Samples.Terrace(), Mild);
        var thick = Plans.Of(Samples.Terrace().WithSlab(s => s with { Thickness = "5\"" }), Mild);
        thick.Shape!.OrderL.ShouldBe(thin.Shape!.OrderL * 1.27, 1e-6);
        thick.Mix!.Bagged!.Count.ShouldBeGreaterThan(thin.Mix!.Bagged!.Count);
        thick.Load!.Batches.Count.ShouldBeGreaterThan(thin.Load!.Batches.Count);
        thick.Day!.MixingEnds.ShouldBeGreaterThan(thin.Day!.MixingEnds);
        thick.Cure!.WetFrom.ShouldBeGreaterThan(thin.Cure!.WetFrom);
    }

    [Fact]
    public void Parts_are_measured_out_in_the_users_buckets_with_the_water_the_sand_brings_taken_off()
    {
        var damp = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() }, Mild).Mix!;
        var dry = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Moisture = Moisture.Dry } }, Mild).Mix!;
        dry.Parts!.Sand.Containers.ShouldBe(2 * dry.Parts.Cement.Containers, 1e-9);
        dry.Parts.Stone.Containers.ShouldBe(3 * dry.Parts.Cement.Containers, 1e-9);
        damp.Parts!.Sand.Containers.ShouldBe(1.2 * dry.Parts.Sand.Containers, 1e-9); // damp sand bulks
        damp.Parts.Sand.Kg.ShouldBe(dry.Parts.Sand.Kg, 1e-9);
        (dry.Parts.WaterL - damp.Parts.WaterL).ShouldBe((0.03 * dry.Parts.Sand.Kg) + (0.01 * dry.Parts.Stone.Kg), 1e-6);
        damp.F28Mpa.ShouldBe(dry.F28Mpa, 1e-9);
        damp.WaterCement!.Value.ShouldBe(0.6, 0.03);
    }

    [Fact]
    public void Batches_of_a_parts_mix_come_in_quarters_of_the_users_containers_and_hold_the_recipe_within_what_they_state()
    {
        var report = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() }, Mild);
        var (load, parts) = (report.Load!, report.Mix!.Parts!);
        load.Recipes.SelectMany(r => r.Measures).ShouldAllBe(m => Math.Abs((m.Count * 4) - Math.Round(m.Count * 4)) < 1e-9);
        load.Recipes.Sum(r => r.Size * r.Batches).ShouldBe(parts.Cement.Containers, 1e-9);
        var sand = load.MeasureOut.Single(m => m.What == MeasuredThing.Sand);
        sand.Count.ShouldBe(parts.Sand.Containers, 0.125 * load.Batches.Count);
        load.MeasureOut.Single(m => m.What == MeasuredThing.Water).Litres.ShouldBe(parts.WaterL, 0.125 * load.Batches.Count);
        foreach (var recipe in load.Recipes)
        {
            var kg = recipe.Measures.ToDictionary(m => m.What, m => m.Kg);
            var water = kg[MeasuredThing.Water] + (0.03 * kg[MeasuredThing.Sand]) + (0.01 * kg[MeasuredThing.Stone]);
            recipe.WaterCement!.Value.ShouldBe(water / kg[MeasuredThing.Cement], 1e-9);
            recipe.WaterCement.Value.ShouldBe(report.Mix.WaterCement!.Value * (1 + (recipe.WaterCementOffPct / 100)), 1e-9);
        }
    }

    [Fact]
    public void Units_change_nothing_but_how_bare_numbers_are_read()
    {
        var metric = Plans.Of(Samples.Terrace().WithSlab(s => s with { Openings = [] }), Mild);
        var us = Plans.Of(Samples.Terrace().WithSlab(s => s with { Openings = [] }) with { Units = UnitSystem.Us }, Mild);
        ReportText.Of(us with { Readings = [] }).ShouldBe(ReportText.Of(metric with { Readings = [] }));
    }

    [Fact]
    public void A_reading_gives_the_text_that_means_the_same_in_the_other_system()
    {
        var job = Samples.Terrace();
        var report = Plans.Of(job, Mild);
        var along = report.Readings.Single(r => r.Path.Path == "/elements/0/openings/1/along");
        along.Bare.ShouldBeTrue();
        along.Exact.ShouldBe("350 mm");
        report.Readings.Single(r => r.Path.Path == "/elements/0/outline/sides/0/length").Bare.ShouldBeFalse();
    }

    [Fact]
    public void An_hour_that_the_clock_skips_is_read_as_the_later_one()
    {
        var weather = HourlyWeather.TryCreate(Instant.FromUtc(2027, 3, 27, 0, 0), [.. Enumerable.Repeat(Samples.Mild, 24 * 14)])
            .ShouldBeOfType<WeatherCheck.Sound>().Weather;
        var job = Samples.Terrace() with { Day = DayDocument.At("2027-03-28", "02:30") };
        Plans.Of(job, weather).Day!.Start.ShouldBe(Instant.FromUtc(2027, 3, 28, 1, 30));
    }

    [Fact]
    public void A_cure_over_a_clock_change_keeps_whole_days()
    {
        var weather = HourlyWeather.TryCreate(Instant.FromUtc(2027, 10, 28, 0, 0), [.. Enumerable.Repeat(Samples.Mild, 24 * 14)])
            .ShouldBeOfType<WeatherCheck.Sound>().Weather;
        var job = Samples.Terrace() with { Day = DayDocument.At("2027-10-30", "08:00") };
        var cure = Plans.Of(job, weather).Cure!;
        // To the full hour.
        (cure.WetUntil - cure.WetFrom).TotalHours.ShouldBeInRange(7 * 24, (7 * 24) + 1);
    }

    [Fact]
    public void Several_slabs_are_poured_one_after_another_in_one_sequence()
    {
        var slab = Samples.TerraceSlab();
        var job = Samples.Terrace() with { Elements = [slab, slab with { Name = "Step", Thickness = "60 mm", Openings = [], Finish = Finish.Steel }] };
        var report = Plans.Of(job, Mild);
        report.Shape!.Elements.Count.ShouldBe(2);
        report.Day!.Zones.Select(z => z.Element).ShouldBeInOrder();
        report.Day.Zones.Select(z => z.Element).Distinct().ShouldBe([0, 1]);
        report.Day.Zones[^1].LastBatch.ShouldBe(report.Load!.Batches.Count);
        report.Day.Zones[^1].Passes[^1].Pass.ShouldBe(Pass.HardTrowel);
    }

    [Fact]
    public void Warmth_and_shade_move_the_day_as_they_should()
    {
        var cool = Plans.Of(Samples.Terrace(), Samples.Steady(9)).Day!;
        var warm = Plans.Of(Samples.Terrace(), Samples.Steady(28)).Day!;
        foreach (var (c, w) in cool.Passes.Zip(warm.Passes).Skip(2))
        {
            w.Opens.ShouldBeLessThan(c.Opens);
            w.Closes.ShouldBeLessThan(c.Closes);
        }
    }

    [Fact]
    public void A_rapid_bag_prints_no_window_after_it_is_placed()
    {
        var rapid = Samples.Terrace() with
        {
            Mix = new BaggedMixDocument { Exposure = Exposure.NoFreezing, Containers = StartingJob.Containers(UnitSystem.Metric), Additives = new AdditivesDocument(), Bag = "rapid-60lb", WaterPerBag = "" },
        };
        var report = Plans.Of(rapid, Samples.Steady(24));
        report.Day!.Passes.Select(p => p.Pass).ShouldBe([Pass.StrikeOff, Pass.BullFloat]);
        report.Cure!.WetDays.ShouldBe(4.0 / 24, 1e-9);
        report.Mix!.WaterCement.ShouldBeNull();
        report.Findings.ShouldContain(f => f.Says is Notice.RapidSetsAsPlaced);
        report.Findings.ShouldContain(f => f.Says is Notice.ColdJoint); // set in a third of an hour, a drum is too slow
    }

    [Fact]
    public void Every_figure_that_is_explained_carries_its_inputs_and_a_source()
    {
        foreach (var job in new[] { Samples.Terrace(), Samples.Terrace() with { Mix = Samples.OneTwoThree() }, Samples.Terrace() with { Mix = Samples.Ready() }, Samples.Coated(), Kinds.Job(Kinds.All()) })
        {
            var report = Plans.Of(job, Mild);
            var explained = report.Explanations;
            explained.ShouldAllBe(e => e.Sources.Count > 0);
            explained.SelectMany(e => e.Sources).Distinct().ShouldBe(report.Citations.Select(c => c.Source), ignoreOrder: true);
            explained.Select(e => (e.Says.GetType(), e.Of)).ShouldBeUnique();
        }

        Enum.GetValues<Source>().Select(Citations.Of).ShouldAllBe(c => c.Reference.Length > 0 && c.Range.Length > 0);
        // Of a day under way: these have their test with the board.
        Type[] ofTheBoard = [typeof(Why.ZoneSet), typeof(Why.SignRead), typeof(Why.SheenRead)];
        FindingReading.Family(typeof(Why)).Except(ofTheBoard).Except(
            new[] { Samples.Terrace(), Samples.Terrace() with { Mix = Samples.OneTwoThree() }, Samples.Terrace() with { Mix = Samples.Ready() }, Samples.Coated(), Kinds.Job(Kinds.All()) }
                .SelectMany(j => Plans.Of(j, Mild).Explanations).Select(e => e.Says.GetType())).ShouldBeEmpty();
    }

    [Fact]
    public void The_phase_of_a_job_follows_its_plan()
    {
        var pour = Planner.Plan(Samples.Terrace(), Mild).Pour!;
        var (day, cure) = (pour.Day!, pour.Cure!);
        JobPhases.At(pour, day.Start - Duration.FromMinutes(1)).ShouldBe(JobPhase.Planned);
        JobPhases.At(pour, day.Start).ShouldBe(JobPhase.Pouring);
        JobPhases.At(pour, day.DoneBy).ShouldBe(JobPhase.KeepWet);
        // Once its day is gone it is not taken for poured because the clock went on.
        JobPhases.At(pour, day.Start + Duration.FromDays(1)).ShouldBe(JobPhase.WentBy);
        JobPhases.At(pour, day.Start + Duration.FromDays(28)).ShouldBe(JobPhase.WentBy);
        var told = pour with { Told = Told.Of([new JobEvent.DayBegun { Id = Guid.NewGuid(), At = day.Start, Plan = day.Planned }]) };
        JobPhases.At(told, day.Start + Duration.FromDays(1)).ShouldBe(JobPhase.KeepWet);
        JobPhases.At(told, cure.WetUntil).ShouldBe(JobPhase.Hardening);
        JobPhases.At(told, day.Start + Duration.FromDays(28)).ShouldBe(JobPhase.Done);
        // What is made ready and noted before says nothing of it; what is done after it does.
        JobPhase Ticked(string task) => JobPhases.At(pour with { Told = Told.Of([new JobEvent.TaskDone { Id = Guid.NewGuid(), At = day.Start, Task = task }]) }, day.Start + Duration.FromDays(1));
        Ticked("lookOver").ShouldBe(JobPhase.WentBy);
        Ticked("setForms:terrace").ShouldBe(JobPhase.WentBy);
        Ticked("of long ago").ShouldBe(JobPhase.WentBy);
        Ticked("stripForms:terrace").ShouldBe(JobPhase.KeepWet);
        JobPhases.At(pour with { Cure = null }, day.Start).ShouldBe(JobPhase.Unfinished);
    }

    [Fact]
    public void A_day_that_went_by_untold_asks_what_happened_and_each_answer_ends_the_asking()
    {
        var job = Samples.Terrace();
        var day = Planner.Plan(job, Mild).Pour!.Day!;
        var now = day.Start + Duration.FromDays(2);
        Finding[] Asked(JobDocument of, Instant? asOf, params JobEvent[] log) => [.. Planner.Plan(of, Mild, log, asOf).Findings.Where(f => f.Says is Notice.DayWentBy)];
        Asked(job, null).ShouldBeEmpty();
        Asked(job, day.DoneBy).ShouldBeEmpty("the evening of it");
        var asked = Asked(job, now).ShouldHaveSingleItem();
        (asked.Severity, asked.Where).ShouldBe((Severity.Warning, Places.Day.Date));
        asked.Remedies.Select(r => r.Does.GetType()).ShouldBe([typeof(Mend.PouredAsPlanned), typeof(Mend.PourOn)]);
        // As planned: only that is told, and all goes on from it as it would have gone.
        JobEvent begun = new JobEvent.DayBegun { Id = Guid.NewGuid(), At = day.Start, Plan = day.Planned };
        Asked(job, now, begun).ShouldBeEmpty();
        var went = Planner.Plan(job, Mild, [begun], now).Pour!;
        (went.Day!.DoneBy - day.DoneBy).TotalMinutes.ShouldBe(0, 10);
        PourOf(job, now).ShouldBeFalse();
        PourOf(job, now, begun).ShouldBeTrue();
        // Not yet: it moves to a day that is still to come.
        var moved = RemedyText.Taken(job, asked.Remedies[1]);
        Asked(moved, now).ShouldBeEmpty();
        Planner.Plan(moved, Mild).Pour!.Load.Task!.StartsAt.ShouldBeGreaterThan(now);
        Plans.Of(job, Mild, [], now).Pours[0].WentBy.ShouldBeTrue();
        Plans.Of(job, Mild, [begun], now).Pours[0].WentBy.ShouldBeFalse();
        Plans.Of(job, Mild, [], day.Start + Duration.FromHours(12)).Pours[0].WentBy.ShouldBeFalse("its evening");
        bool PourOf(JobDocument of, Instant asOf, params JobEvent[] log) => Plans.Of(of, Mild, log, asOf).Pours[0].Poured;
    }

    private static Instant At(CureReport cure, Milestone milestone) => cure.Milestones.Single(m => m.Milestone == milestone).At!.Value;
}
