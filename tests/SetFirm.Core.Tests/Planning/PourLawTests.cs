using CsCheck;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What must hold of the pours of any job, however much of them is said.</summary>
public sealed class PourLawTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Fact]
    public void Whatever_is_said_every_part_lies_once_and_nothing_of_it_is_lost() => Gen.Select(Gen.Int[1, 7], Gen.Int[1, 3], Gen.Int[0, 3], Gen.Int[0, 100_000]).Sample((pieces, moulds, days, seed) =>
    {
        var luck = new Random(seed);
        var job = Some(pieces, moulds, (WorkDays)days);
        job = job with { Pours = [.. Enumerable.Range(0, luck.Next(0, 4)).Select(i => Said(luck, i, pieces))] };
        var plan = Planner.Plan(job, Mild);
        plan.Pours.Sum(p => p.Sketch.Litres).ShouldBe(plan.Elements!.Value.Sum(e => e.OrderL), 1e-6);
        var parts = plan.Pours.SelectMany(p => p.Sketch.Parts).SelectMany(p => p.Panels.IsEmpty ? [(p.Element, 0, p.Casting)] : p.Panels.Select(n => (p.Element, n, p.Casting))).ToArray();
        parts.ShouldBeUnique();
        plan.Pours.Select(p => p.Sketch.Id).ShouldBeUnique();
        plan.Pours.Select(p => p.Number).ShouldBe(Enumerable.Range(1, plan.Pours.Length));
    }, iter: 150);

    [Fact]
    public void What_is_proposed_falls_on_working_days_and_never_into_a_full_mould() => Gen.Select(Gen.Int[2, 20], Gen.Int[1, 4], Gen.Int[0, 3], Gen.Double[0.3, 5], Gen.Int[0, 6]).Sample((pieces, moulds, days, strip, day) =>
    {
        var job = Some(pieces, moulds, (WorkDays)days);
        var stones = (PieceDocument)job.Elements[1];
        job = job with
        {
            Elements = [stones with { Casting = stones.Casting with { StripDays = strip } }],
            Day = job.Day with { Date = NodaTime.Text.LocalDatePattern.Iso.Format(new LocalDate(2027, 5, 3).PlusDays(day)) },
        };
        var dates = Planner.Plan(job, Mild).Pours.Select(p => p.Sketch.Date!.Value).ToArray();
        dates.Length.ShouldBe((pieces + Math.Min(moulds, pieces) - 1) / Math.Min(moulds, pieces));
        foreach (var (before, after) in dates.Zip(dates.Skip(1)))
        {
            ((double)Period.DaysBetween(before, after)).ShouldBeGreaterThanOrEqualTo(strip - 1e-9);
            Works((WorkDays)days, after).ShouldBeTrue();
            // Nobody waits longer than the next working day after it is free.
            var free = before.PlusDays((int)Math.Ceiling(strip - 1e-9));
            for (var d = free; d < after; d = d.PlusDays(1))
            {
                Works((WorkDays)days, d).ShouldBeFalse($"{d} was free");
            }
        }
    }, iter: 150);

    [Fact]
    public void A_kept_pour_that_is_asked_again_says_what_a_plan_made_anew_says()
    {
        var (warm, cool) = (Samples.Steady(24), Samples.Steady(11));
        var job = Some(6, 2, WorkDays.Any);
        var kept = Planner.Plan(job, warm, pour: "stones.casting-2");
        var anew = Planner.Plan(job, cool, pour: "stones.casting-2");
        var again = kept.Pour!.Again(SiteWeather.Of(job, cool), Core.Events.Told.Nothing, null, new Remarks());
        again.Day!.DoneBy.ShouldBe(anew.Pour!.Day!.DoneBy);
        again.Day.Odds.Chance.ShouldBe(anew.Pour.Day.Odds.Chance);
        again.Cure!.WetUntil.ShouldBe(anew.Pour.Cure!.WetUntil);
        again.Cure.Milestones.Select(Said).ShouldBe(anew.Pour.Cure.Milestones.Select(Said));
        static object Said(MilestoneDate m) => (m.Milestone, m.At, m.Earliest, m.Latest, m.NeedsMpa);
    }

    [Fact]
    public void Every_pour_in_full_is_the_one_that_is_told_when_it_is_asked_for()
    {
        var job = Some(6, 2, WorkDays.Weekdays);
        var all = Planner.Pours(Planner.Plan(job, Mild), Mild);
        foreach (var pour in all)
        {
            var alone = Planner.Plan(job, Mild, pour: pour.Load.Sketch.Id).Pour!;
            alone.Day!.Start.ShouldBe(pour.Day!.Start);
            alone.Day.DoneBy.ShouldBe(pour.Day.DoneBy);
            alone.Cure!.WetUntil.ShouldBe(pour.Cure!.WetUntil);
        }
    }

    [Fact]
    public void An_unknown_pour_is_answered_with_the_first()
    {
        var plan = Planner.Plan(Some(6, 2, WorkDays.Any), Mild, pour: "nobody's");
        plan.Pour!.Load.Number.ShouldBe(1);
    }

    [Fact]
    public void Starts_are_ranked_for_the_pour_that_is_asked_for_after_those_before_it()
    {
        var job = Some(6, 2, WorkDays.Any);
        var first = Plans.Starts(job, Mild);
        var third = Plans.Starts(job, Mild, "stones.casting-3");
        first.Hours.ShouldNotBeEmpty();
        third.Hours.ShouldNotBeEmpty();
        third.Hours[0].At.ShouldBeGreaterThan(first.Hours[0].At);
        var before = Planner.Plan(job, Mild).Pours.Single(p => p.Sketch.Id == "stones.casting-2").Task!.StartsAt;
        third.Hours.ShouldAllBe(h => h.At > before);
    }

    [Fact]
    public void More_than_a_crew_places_in_a_day_is_shared_out_and_more_hands_bring_it_back_to_one()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("12 m", "4 m")) with { Id = "yard" });
        var two = Planner.Plan(job with { Mixing = job.Mixing with { Hands = 2 } }, Mild).Pours;
        two.Length.ShouldBeGreaterThan(1);
        two.ShouldAllBe(p => p.Sketch.Litres <= 2 * 1000 * Core.Batching.Crew.ComfortM3 + (48 * 0.1 * 1000 / 8));
        Planner.Plan(job with { Mixing = job.Mixing with { Hands = 6 } }, Mild).Pours.Length.ShouldBe(1);
    }

    [Fact]
    public void What_is_left_of_an_opened_bag_goes_on_within_a_week_and_is_lost_after()
    {
        JobDocument At(double strip) => Some(4, 1, WorkDays.Any) is var job && (PieceDocument)job.Elements[1] is var stones
            ? job with { Elements = [stones with { Casting = new MouldsDocument { Pieces = 4, Moulds = 1, StripDays = strip } }] } : throw new InvalidOperationException();
        double Used(double strip) => Plans.Of(At(strip), Mild).Buy!.Lines.Single(l => l.Kind == Core.Takeoff.GoodKind.Bag).Used;
        var measured = Planner.Plan(At(2), Mild).Pours.Sum(p => p.Units) / 2.0;
        Used(2).ShouldBe(measured, 1e-9);
        Used(10).ShouldBeGreaterThanOrEqualTo(measured);
        Used(10).ShouldBe(Math.Ceiling(Used(10) * 2) / 2, 1e-9);
    }

    [Fact]
    public void A_job_stands_where_its_pours_press_most()
    {
        var plan = Planner.Plan(Some(4, 2, WorkDays.Any), Mild);
        var pours = Planner.Pours(plan, Mild);
        // All of it as planned, as far as somebody told.
        pours = [.. pours.Select(p => p with { Told = Told.Of([new JobEvent.DayBegun { Id = Guid.NewGuid(), At = p.Day!.Start, Plan = p.Day.Planned }]) })];
        var (first, last) = (pours[0], pours[^1]);
        JobPhases.At([pours[0] with { Told = Told.Nothing }, .. pours[1..]], last.Cure!.WetUntil).ShouldBe(JobPhase.WentBy, "one that nobody told of");
        JobPhases.At([], first.Day!.Start).ShouldBe(JobPhase.Unfinished);
        JobPhases.At(pours, first.Day.Start - Duration.FromHours(1)).ShouldBe(JobPhase.Planned);
        JobPhases.At(pours, first.Day.Start).ShouldBe(JobPhase.Pouring);
        JobPhases.At(pours, first.Day.DoneBy).ShouldBe(JobPhase.KeepWet);
        JobPhases.At(pours, last.Cure.WetUntil).ShouldBe(JobPhase.Hardening);
        JobPhases.At(pours, last.Day!.Start + Duration.FromDays(28)).ShouldBe(JobPhase.Done);
        JobPhases.At([first, last with { Cure = null }], first.Day.Start).ShouldBe(JobPhase.Unfinished);
    }

    [Theory]
    [InlineData("/elements/0/thickness", Step.Shape)]
    [InlineData("/elements/0/forms/board", Step.Build)]
    [InlineData("/elements/0/steel/school", Step.Build)]
    [InlineData("/mixes/0/bag", Step.Mix)]
    [InlineData("/pours/0/parts/0/element", Step.Load)]
    [InlineData("/mixing/hands", Step.Load)]
    [InlineData("/buy/payload", Step.Buy)]
    [InlineData("/site/shade", Step.Day)]
    [InlineData("/cure/coats/0/coats", Step.Cure)]
    public void Each_place_of_the_document_is_decided_in_one_step(string path, Step step)
    {
        var plan = Planner.Plan(Samples.Terrace(), Mild);
        var place = path.Split('/') is [_, "elements", ..] ? path.Contains("forms", StringComparison.Ordinal) ? Places.Element(0).Forms.Self
            : path.Contains("steel", StringComparison.Ordinal) ? Places.Element(0).Steel.Self : Places.Element(0).Thickness
            : path switch
            {
                "/mixes/0/bag" => Places.Mix(0).Self,
                "/pours/0/parts/0/element" => Places.Pour(0).Part(0).Element,
                "/mixing/hands" => Places.Mixing.Self,
                "/buy/payload" => Places.Buy.Self,
                "/site/shade" => Places.Site.Self,
                _ => Places.Cure.Coats,
            };
        Steps.StepOf(place).ShouldBe(step);
        Steps.StepOf(Place.Line(3)).ShouldBeNull();
        plan.Findings.ShouldNotBeNull();
    }

    // A terrace in three panels and stones from moulds.
    private static JobDocument Some(int pieces, int moulds, WorkDays days)
    {
        var job = Kinds.Job(
            Kinds.Slab(Kinds.Rectangle("6 m", "2 m")) with { Id = "slab" }, Kinds.Stones() with { Id = "stones", Casting = new MouldsDocument { Pieces = pieces, Moulds = moulds } });
        return job with { Day = job.Day with { Date = "2027-05-04", WorkDays = days } };
    }

    private static PourDocument Said(Random luck, int i, int pieces) => new()
    {
        Id = $"said-{luck.Next(0, 3)}",
        Date = $"2027-05-{luck.Next(1, 30):00}",
        Parts =
        [
            .. Enumerable.Range(0, luck.Next(0, 3)).Select(_ => luck.Next(3) switch
            {
                0 => new PartDocument { Element = "slab", Panels = [luck.Next(0, 4), luck.Next(1, 3)] },
                1 => new PartDocument { Element = "stones", Casting = luck.Next(0, pieces + 2) },
                _ => new PartDocument { Element = luck.Next(2) == 0 ? "slab" : $"nobody-{i}", Course = luck.Next(3) == 0 ? Course.Bed : null },
            }),
        ],
    };

    private static bool Works(WorkDays days, LocalDate date)
    {
        var weekend = date.DayOfWeek is IsoDayOfWeek.Saturday or IsoDayOfWeek.Sunday;
        return days == WorkDays.Any || weekend == (days == WorkDays.Weekends);
    }
}
