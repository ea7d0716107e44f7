using System.Text.Json;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Tests.Planning;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Telling;

/// <summary>What is told is what the plan has: sums stand in one place.</summary>
public sealed class TellingTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    public static TheoryData<int> KindIndexes => [.. Enumerable.Range(0, Kinds.All().Count)];

    [Theory]
    [MemberData(nameof(KindIndexes))]
    public void Boards_bars_bends_and_stakes_add_up(int kind)
    {
        var build = Plans.Of(Kinds.Job(Kinds.All()[kind]), Mild).Build!;
        build.BoardCount.ShouldBe(build.Boards.Sum(l => l.Boards.Count));
        build.BarCount.ShouldBe(build.Bars.Sum(l => l.Boards.Count));
        foreach (var element in build.Elements.Where(e => e.Forms is not null))
        {
            element.Forms!.BendsM.ShouldBe(element.Forms.Bends.Sum(b => b.CutM), 1e-9);
        }
    }

    [Theory]
    [MemberData(nameof(KindIndexes))]
    public void Bags_and_their_water_are_those_that_the_loads_measure_out(int kind)
    {
        var plan = Planner.Plan(Kinds.Job(Kinds.All()[kind]), Mild);
        var mix = Teller.Tell(plan).Mix!;
        var own = plan.Pours.Where(p => p.Mix?.Index == 0).ToArray();
        if (mix.Bagged is { } bagged)
        {
            var units = own.Sum(p => p.Units);
            bagged.Count.ShouldBe((int)Math.Ceiling(units / (double)BaggedRecipe.UnitsPerBag));
            bagged.TotalWaterL.ShouldBe(own.SelectMany(p => p.MeasuredOut).Where(m => m.What == MeasuredThing.Water).Sum(m => m.Litres), 0.5);
            bagged.TotalKg.ShouldBe(bagged.Count * bagged.BagKg, 1e-9);
        }
    }

    [Fact]
    public void A_way_tells_the_mix_that_takes_it_with_the_users_own_name_containers_and_exposure()
    {
        var job = Samples.Terrace();
        var said = job.Mix with { Exposure = Exposure.FreezesSeldomWet };
        var ways = Plans.Of(job with { Mix = said }, Mild).Mix!.Ways;
        foreach (var takes in ways.Select(w => w.Takes).OfType<MixDocument>())
        {
            takes.Id.ShouldBe(said.Id);
            takes.Containers.ShouldBe(said.Containers);
            takes.Exposure.ShouldBe(said.Exposure);
        }

        // Each can be taken, a truck too.
        ways.ShouldAllBe(w => w.Takes != null);
    }

    [Fact]
    public void Only_the_pour_that_is_asked_for_is_told_in_full_and_the_rest_of_the_report_is_the_same()
    {
        var job = Kinds.Job(Kinds.Stones() with { Id = "stones", Casting = new MouldsDocument { Pieces = 6, Moulds = 2 } });
        var (first, third) = (Plans.Of(job, Mild), Plans.Of(job, Mild, pour: "stones.casting-3"));
        first.Pour.ShouldBe(first.Pours[0].Id);
        third.Pour.ShouldBe("stones.casting-3");
        ReportText.Of(third.Shape).ShouldBe(ReportText.Of(first.Shape));
        ReportText.Of(third.Build).ShouldBe(ReportText.Of(first.Build));
        ReportText.Of(third.Buy).ShouldBe(ReportText.Of(first.Buy));
        ReportText.Of(third.Pours).ShouldBe(ReportText.Of(first.Pours));
        third.Day!.Start.ShouldBe(first.Pours[2].StartsAt!.Value);
        third.Day.Start.ShouldNotBe(first.Day!.Start);
    }

    [Fact]
    public void Citations_stand_once_for_every_source_that_a_reason_names()
    {
        var report = Plans.Of(Samples.Coated(), Mild);
        report.Citations.Count.ShouldBe(report.Explanations.SelectMany(e => e.Sources).Distinct().Count());
        report.Explanations.ShouldAllBe(e => e.Sources.Count > 0);
    }

    [Fact]
    public void A_mix_is_held_against_the_courses_that_are_poured_from_it()
    {
        var floor = Kinds.All().OfType<TwoCourseDocument>().First() with { Id = "floor", BaseThickness = "70 mm", Topping = "40 mm" };
        var job = Kinds.Job(floor with { ToppingMix = "topping" });
        var two = job with { Mixes = [job.Mix, ((BaggedMixDocument)job.Mix) with { Id = "topping", Bag = "topping-60lb" }] };
        Plans.Of(two, Mild).Findings.ShouldNotContain(f => f.Says is Notice.ThicknessOutsideMix);
        // The same mix for both is too coarse for the thin one.
        Plans.Of(Kinds.Job(floor with { ToppingMix = null }), Mild).Findings.ShouldContain(f => f.Says is Notice.ThicknessOutsideMix);
        // And what is bought of the first is only what its course takes.
        var (own, all) = (Plans.Of(two, Mild).Mix!.Bagged!.Count, Plans.Of(Kinds.Job(floor with { ToppingMix = null }), Mild).Mix!.Bagged!.Count);
        own.ShouldBeLessThan(all);
    }

    [Fact]
    public void A_reading_is_told_by_the_place_of_its_text()
    {
        var report = Plans.Of(Samples.Terrace(), Mild);
        report.Readings.Select(r => r.Path.Path).ShouldBeUnique();
        report.Readings.ShouldAllBe(r => r.Path.Path.StartsWith('/') && r.Exact.Length > 0 && r.Si >= 0);
    }

    [Fact]
    public void Steps_are_blocked_where_their_part_cannot_be_planned_and_only_there()
    {
        var job = Samples.Terrace();
        StepState State(JobDocument said, Step step) => Plans.Of(said, Mild).Steps.Single(s => s.Step == step).State;
        var lost = job with { TimeZone = "Nowhere/AtAll" };
        State(lost, Step.Day).ShouldBe(StepState.Blocked);
        State(lost, Step.Cure).ShouldBe(StepState.Blocked);
        State(lost, Step.Shape).ShouldNotBe(StepState.Blocked);
        State(lost, Step.Buy).ShouldNotBe(StepState.Blocked);
        var flat = job.WithSlab(s => s with { Thickness = "none" });
        foreach (var step in Enum.GetValues<Step>())
        {
            State(flat, step).ShouldBe(step == Step.Mix ? State(flat, Step.Mix) : StepState.Blocked, $"{step}");
        }

        Plans.Of(job, Mild).Steps.Select(s => s.Step).ShouldBe(Enum.GetValues<Step>());
    }

    [Fact]
    public void A_report_goes_over_the_wire_as_numbers_and_words_only()
    {
        var text = ReportText.Of(Plans.Of(Kinds.Job(Kinds.All()), Mild));
        using var json = JsonDocument.Parse(text);
        json.RootElement.GetProperty("shape").GetProperty("elements").GetArrayLength().ShouldBe(Kinds.All().Count);
        text.ShouldNotContain("NaN");
        text.ShouldNotContain("Infinity");
    }
}
