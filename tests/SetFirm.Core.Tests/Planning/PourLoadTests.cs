using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What each pour is batched from, by whom and when: its own where it says so, the job's where it does not.</summary>
public sealed class PourLoadTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    [Fact]
    public void A_slab_keeps_a_little_back_and_a_few_small_castings_do_not()
    {
        Only(Kinds.Slab(Kinds.Rectangle("2 m", "1 m"))).HoldBackL.ShouldBe(LoadAdvice.HoldBackL);
        Only(Stones(2, 2)).HoldBackL.ShouldBe(0);
        // Of more than a bucket or two something is kept for patches like of anything else.
        Only(Stones(12, 12)).Sketch.Litres.ShouldBeGreaterThan(20);
        Only(Stones(12, 12)).HoldBackL.ShouldBe(LoadAdvice.HoldBackL);
        // So it is where a slab is poured with them.
        Plan(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")), Stones(2, 2)).Pours.ShouldHaveSingleItem().HoldBackL.ShouldBe(LoadAdvice.HoldBackL);
    }

    [Fact]
    public void What_is_measured_out_covers_what_is_poured_and_not_a_batch_more()
    {
        foreach (var element in Kinds.All())
        {
            foreach (var pour in Plan(element).Pours.Where(p => p.Load is not null))
            {
                var (wanted, made) = (pour.Sketch.Litres + pour.HoldBackL, pour.Units * pour.Mix!.Recipe.Unit.Yield.Litres);
                made.ShouldBeGreaterThanOrEqualTo(wanted - 1e-6, element.Name);
                made.ShouldBeLessThan(wanted + (pour.Load!.Batches.Units.Length * pour.Mix.Recipe.Unit.Yield.Litres) + 1e-6, element.Name);
                pour.Load.Batches.Units.Sum().ShouldBe(pour.Units);
            }
        }
    }

    [Fact]
    public void Pours_that_are_alike_are_batched_alike()
    {
        var pours = Plan(Stones(6, 2)).Pours;
        pours.Length.ShouldBe(3);
        pours.Select(p => p.Load).Distinct().Count().ShouldBe(1);
        pours.Select(p => p.Units).Distinct().Count().ShouldBe(1);
        pours.Select(p => p.Sketch.Date).ShouldBeUnique();
    }

    [Fact]
    public void Hands_and_a_mixer_of_a_pour_are_its_own_and_the_others_keep_the_jobs()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("9 m", "2 m")) with { Id = "slab" });
        PourDocument Said(string id, int panel, string date) => new() { Id = id, Date = date, Parts = [new PartDocument { Element = "slab", Panels = [panel] }] };
        var tub = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "40 L" } };
        job = job with { Pours = [Said("a", 1, "2027-05-04") with { Hands = 4 }, Said("b", 2, "2027-05-06") with { Mixing = tub, Start = "10:15" }, Said("c", 3, "2027-05-08")] };
        var pours = Planner.Plan(job, Mild).Pours;
        pours.Select(p => p.Load!.Crew.Hands).ShouldBe([4, job.Mixing.Hands, job.Mixing.Hands]);
        pours.Select(p => p.Load!.Place.Mixer).Select(m => m is HandMixer).ShouldBe([false, true, false]);
        pours.Select(p => p.Start).ShouldBe([new LocalTime(8, 30), new LocalTime(10, 15), new LocalTime(8, 30)]);
        pours.Select(p => p.Task!.Date).ShouldBe([new LocalDate(2027, 5, 4), new LocalDate(2027, 5, 6), new LocalDate(2027, 5, 8)]);
        // A tub is slower than a drum: the same panel takes longer by it.
        pours[1].Mixing!.Value.ShouldBeGreaterThan(pours[2].Mixing!.Value);
        pours[0].Mixing!.Value.ShouldBeLessThan(pours[2].Mixing!.Value);
    }

    [Fact]
    public void What_is_of_another_mix_waits_until_the_mixer_is_rinsed()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")), Kinds.Slab(Kinds.Rectangle("1 m", "1 m")) with { Mix = "fine" });
        job = job with { Mixes = [job.Mix, Samples.OneTwoThree() with { Id = "fine" }] };
        var (first, second) = Planner.Plan(job, Mild).Pours is [var a, var b] ? (a, b) : throw new InvalidOperationException();
        first.Sketch.Date.ShouldBe(second.Sketch.Date);
        second.Sketch.After.ShouldBe(0);
        var gap = second.Task!.StartsAt - first.Task!.StartsAt - first.Mixing!.Value;
        gap.TotalMinutes.ShouldBeInRange(15, 20); // a quarter of an hour, on the next five minutes
    }

    [Fact]
    public void What_follows_a_truck_waits_from_when_it_comes_and_not_for_its_way_here()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("2 m", "1 m")), Kinds.Slab(Kinds.Rectangle("1 m", "1 m")) with { Mix = "fine" });
        job = job with { Mixes = [Samples.Ready() with { Id = job.Mix.Id }, Samples.OneTwoThree() with { Id = "fine" }] };
        var (truck, second) = Planner.Plan(job, Mild).Pours is [var a, var b] ? (a, b) : throw new InvalidOperationException();
        second.Sketch.After.ShouldBe(0);
        var (comes, off) = (truck.Task!.StartsAt + truck.Load!.Age, truck.Mixing!.Value - truck.Load.Age);
        (second.Task!.StartsAt - comes - off).TotalMinutes.ShouldBeInRange(15, 20);
    }

    [Theory]
    [InlineData("1 m", 1, 60, 65)] // never under an hour
    [InlineData("3 m", 1, 180, 185)] // an hour a square metre
    [InlineData("3 m", 3, 60, 65)] // three share it
    public void Setting_pebbles_takes_its_time_by_hands_before_the_slurry(string along, int hands, double least, double most)
    {
        var bed = (PebbleBedDocument)Kinds.All().First(e => e is PebbleBedDocument);
        var job = Kinds.Job(bed with { Outline = Kinds.Rectangle(along, "1 m") });
        var pours = Planner.Plan(job with { Mixing = job.Mixing with { Hands = hands } }, Mild).Pours;
        pours.Select(p => p.Sketch.Parts.Single().Course).ShouldBe([Course.Bed, Course.Slurry]);
        (pours[1].Task!.StartsAt - pours[0].Task!.StartsAt - pours[0].Mixing!.Value).TotalMinutes.ShouldBeInRange(least, most);
    }

    [Fact]
    public void Only_the_top_of_what_is_poured_in_courses_is_finished()
    {
        var two = (TwoCourseDocument)Kinds.All().First(e => e is TwoCourseDocument);
        var pours = Plan(two).Pours;
        pours.Select(p => p.Task!.Elements.Single().Finish).ShouldBe([Finish.AsCast, two.Finish]);
        pours.Select(p => p.Task!.Elements.Single().Below).ShouldBe([Below.Soil, Below.Concrete]);
        pours[0].Task!.Elements.Single().Depth.Millimetres.ShouldBe(70, 1e-9);
        pours[1].Task!.Elements.Single().Depth.Millimetres.ShouldBe(50, 1e-9);
    }

    [Fact]
    public void A_panel_has_its_share_of_the_face_and_together_they_have_all_of_it()
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("6 m", "2 m")) with { Id = "slab" });
        var plan = Planner.Plan(
            job with { Pours = [new PourDocument { Id = "one", Date = "2027-05-04", Parts = [new PartDocument { Element = "slab", Panels = [2] }] }] }, Mild);
        plan.Pours.Length.ShouldBe(2);
        plan.Pours.Sum(p => p.Task!.Elements.Sum(e => e.FaceM2)).ShouldBe(12, 1e-6);
        var element = plan.Elements!.Value[0];
        var own = element.Joints.Panels.Single(p => p.Number == 2).Shape.AreaM2;
        plan.Pours.Single(p => p.Sketch.Id == "one").Task!.Elements.Single().FaceM2.ShouldBe(own, 1e-6);
    }

    [Theory]
    [InlineData("", "08:00")]
    [InlineData("2027-05-04", "")]
    [InlineData("soon", "08:00")]
    public void Without_a_day_or_an_hour_it_is_batched_all_the_same_and_has_no_day(string date, string start)
    {
        var job = Samples.Terrace();
        var plan = Planner.Plan(job with { Day = job.Day with { Date = date, Start = start } }, Mild);
        plan.Findings.ShouldContain(f => f.Severity == Severity.Error);
        var pour = plan.Pours.ShouldHaveSingleItem();
        pour.Load.ShouldNotBeNull();
        pour.Task.ShouldBeNull();
        plan.Pour!.Day.ShouldBeNull();
        plan.Pour.Cure.ShouldBeNull();
        plan.Buy.ShouldNotBeNull();
    }

    [Fact]
    public void Boards_are_stripped_where_there_are_boards_and_pieces_turned_where_there_are_moulds()
    {
        Core.Curing.Milestone[] Of(params IReadOnlyList<ElementDocument> elements) => [.. Plan(elements).Pour!.Cure!.Milestones.Select(m => m.Milestone)];
        var slab = Kinds.Slab(Kinds.Rectangle("2 m", "1 m"));
        Of(slab).ShouldContain(Core.Curing.Milestone.StripEdges);
        Of(slab).ShouldNotContain(Core.Curing.Milestone.TurnPiece);
        Of(Stones(2, 2)).ShouldContain(Core.Curing.Milestone.TurnPiece);
        Of(Stones(2, 2)).ShouldNotContain(Core.Curing.Milestone.StripEdges);
        Of(slab, Stones(2, 2)).ShouldContain(Core.Curing.Milestone.StripEdges);
        Of(slab, Stones(2, 2)).ShouldContain(Core.Curing.Milestone.TurnPiece);
    }

    private static PieceDocument Stones(int pieces, int moulds) => Kinds.Stones() with { Casting = new MouldsDocument { Pieces = pieces, Moulds = moulds } };

    private static JobPlan Plan(params IReadOnlyList<ElementDocument> elements) => Planner.Plan(Kinds.Job(elements), Mild);

    private static PourLoad Only(ElementDocument element) => Plan(element).Pours.ShouldHaveSingleItem();
}
