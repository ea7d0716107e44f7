using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mending;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>From a sign to why: what was planted in the record comes out first, what the record speaks against last.</summary>
public sealed class FaultPlanTests
{
    private static readonly JobDocument Pad = Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m")) with { Id = "pad" });

    private static readonly DayReport Day = Teller.Tell(Planner.Plan(Pad, Samples.Steady(18))).Day!;

    public static TheoryData<FaultCause> Causes => [.. Enum.GetValues<FaultCause>()];

    private static Guid Id => Guid.NewGuid();

    // Every batch as it was planned: what follows is then judged by the windows of the plan.
    private static JobEvent[] Batches => [.. Teller.Tell(Planner.Plan(Pad, Samples.Steady(18))).Load!.Batches.SelectMany(b => new JobEvent[]
    {
        new JobEvent.BatchMixing { Id = Id, At = b.WaterAdded!.Value, Batch = b.Number }, new JobEvent.BatchPlaced { Id = Id, At = b.Placed!.Value, Batch = b.Number },
    })];

    private static JobEvent.PassBegun Begun(Pass pass, Duration before, bool fromClose = false)
    {
        var window = Day.Zones[0].Passes.Single(p => p.Pass == pass);
        return new JobEvent.PassBegun { Id = Id, Zone = 1, Pass = pass, At = (fromClose ? window.Closes : window.Opens) - before };
    }

    // A job and a log in which a cause lies outside, and nothing else was done wrong on purpose.
    private static (JobDocument Job, JobEvent[] Log, Instant? AsOf, double C) Planted(FaultCause cause)
    {
        var start = Day.Start;
        JobEvent Tick(string task) => new JobEvent.TaskDone { Id = Id, At = start - Duration.FromHours(3), Task = task };
        JobEvent[] others = [Tick("setOut:pad")];
        CoatDocument coat = CoatCatalogue.All[0];
        var coated = Pad with { Cure = Pad.Cure with { Coats = [coat] } };
        var slab = (SlabDocument)Pad.Elements[0];
        JobDocument With(ElementDocument element) => Pad with { Elements = [element] };
        PresetOutlineDocument bent = new() { Shape = PresetShape.LShape, Along = "4 m", Across = "4 m", NotchAlong = "2 m", NotchAcross = "2 m" };
        return cause switch
        {
            FaultCause.FinishedInBleedWater => (Pad, [new JobEvent.SheenGone { Id = Id, Zone = 1, At = Day.Zones[0].Passes.Single(p => p.Pass == Pass.EdgeAndFloat).Opens + Duration.FromMinutes(30) }, Begun(Pass.EdgeAndFloat, Duration.FromMinutes(5))], null, 18),
            FaultCause.TooMuchWater => (Pad, [new JobEvent.WaterAdded { Id = Id, At = start, Batch = 1, Litres = 60 }], null, 18),
            FaultCause.TooStiff => (Pad with { Mixes = [((BaggedMixDocument)Pad.Mixes[0]) with { WaterPerBag = "1.7 L" }] }, [], null, 18),
            FaultCause.FrozenYoung => (Pad, [], null, -6),
            FaultCause.CureTooShort => (Pad with { Cure = Pad.Cure with { Days = 3 } }, [], null, 18),
            FaultCause.DriedOut or FaultCause.UnevenWetting => (Pad with { Cure = Pad.Cure with { Method = CuringMethod.Burlap } }, [new JobEvent.Wetted { Id = Id, At = Day.DoneBy + Duration.FromHours(2) }], Day.DoneBy + Duration.FromDays(5), 18),
            FaultCause.ClosedTooEarly => (Pad, [.. Batches, Begun(Pass.SecondFloat, Duration.FromMinutes(50))], null, 18),
            FaultCause.BroomedTooEarly => (Pad, [.. Batches, Begun(Pass.Broom, Duration.FromMinutes(50))], null, 18),
            FaultCause.BroomedTooLate => (Pad, [.. Batches, Begun(Pass.Broom, Duration.FromMinutes(-60), fromClose: true)], null, 18),
            FaultCause.StrippedTooEarly => (Pad, [new JobEvent.BoardsOff { Id = Id, At = Day.DoneBy + Duration.FromHours(2) }], null, 18),
            FaultCause.NotTapped => (Kinds.Job(Kinds.Stones() with { Id = "pad" }), others, null, 18),
            FaultCause.LeakingSeam => (Kinds.Job(Kinds.Stones() with { Id = "pad" }), [Tick("sealSeams:pad")], null, 18),
            FaultCause.SharpEdge => (Kinds.Job(Kinds.Stones() with { Id = "pad" }), others, null, 18),
            FaultCause.NoIsolation => (With(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"), "100 mm", Meets.Wall) with { Id = "pad" }), others, null, 18),
            FaultCause.PulledOutward or FaultCause.DryForms or FaultCause.NoRelease or FaultCause.FormNotHeld => (Pad, others, null, 18),
            FaultCause.DriedFasterThanBled => (Pad, [], null, 38),
            FaultCause.NoJointAtCorner => (With(slab with { Outline = bent, Joints = [] }), [], null, 18),
            FaultCause.JointsTooFarApart => (With(slab with { Outline = Kinds.Rectangle("8 m", "2 m"), Joints = [] }), [], null, 18),
            FaultCause.NoSteel => (Kinds.Job(Kinds.Nosed() with { Steel = new SteelDocument { School = SteelSchool.None } }), [], null, 18),
            FaultCause.WaitedBetweenBatches => (Pad, [new JobEvent.BatchMixing { Id = Id, At = start, Batch = 1 }, new JobEvent.BatchPlaced { Id = Id, At = start + Duration.FromMinutes(10), Batch = 1 }, new JobEvent.BatchMixing { Id = Id, At = start + Duration.FromHours(5), Batch = 2 }, new JobEvent.BatchPlaced { Id = Id, At = start + Duration.FromHours(5.2), Batch = 2 }], start + Duration.FromHours(6), 18),
            FaultCause.NoFall => (With(slab with { Fall = new LevelFallDocument() }), [], null, 18),
            FaultCause.SealedTooSoon => (coated, [new JobEvent.Coated { Id = Id, At = Day.DoneBy + Duration.FromDays(2), Product = 0 }], null, 18),
            FaultCause.RecoatMissed => (coated, [new JobEvent.Coated { Id = Id, At = Day.DoneBy + Duration.FromDays(10), Product = 0 }, new JobEvent.Coated { Id = Id, At = Day.DoneBy + Duration.FromDays(20), Product = 0 }], null, 18),
            _ => throw new ArgumentOutOfRangeException(nameof(cause), cause, "plant it here too"),
        };
    }

    [Theory]
    [MemberData(nameof(Causes))]
    public void What_went_wrong_in_the_record_comes_out_among_the_likely_causes_of_its_sign(FaultCause cause)
    {
        var (job, log, asOf, celsius) = Planted(cause);
        var faults = FaultsReport.Of(Planner.Plan(job, Samples.Steady(celsius), log, asOf), Samples.Steady(celsius), log).Faults;
        var signs = Enum.GetValues<FaultSign>().Where(s => FaultCatalogue.CausesOf(s).Contains(cause)).ToArray();
        signs.ShouldNotBeEmpty();
        foreach (var fault in faults.Where(f => signs.Contains(f.Sign)))
        {
            var found = fault.Causes.Single(c => c.Cause == cause);
            found.Verdict.ShouldBe(Verdict.Likely, $"{fault.Sign}: {found.Measure} {found.Outside}");
            found.Outside!.Value.ShouldBeGreaterThan(0);
            fault.Causes.TakeWhile(c => c.Verdict == Verdict.Likely).ShouldContain(c => c.Cause == cause);
        }
    }

    [Theory]
    [MemberData(nameof(Causes))]
    public void Without_a_log_nothing_is_blamed_on_what_was_not_told(FaultCause cause)
    {
        var faults = FaultsReport.Of(Planner.Plan(Pad, Samples.Steady(18)), Samples.Steady(18)).Faults;
        foreach (var found in faults.SelectMany(f => f.Causes).Where(c => c.Cause == cause))
        {
            found.Verdict.ShouldNotBe(Verdict.Likely, $"{found.Measure} {found.Outside}");
        }
    }

    [Fact]
    public void A_pass_made_in_its_window_speaks_against_and_one_far_outside_before_one_just_outside()
    {
        JobEvent[] log = [.. Batches, Begun(Pass.Broom, Duration.FromMinutes(-10))];
        var good = FaultsReport.Of(Planner.Plan(Pad, Samples.Steady(18), log), Samples.Steady(18), log).Faults;
        good.Single(f => f.Sign == FaultSign.TornLines).Causes.Single().Verdict.ShouldBe(Verdict.Against);
        // By hand: 3 of 2, 30 of 15 and nothing known: the second, then the first, then the unknown, then what lies inside.
        FaultCatalogue.Ranked(FaultSign.DustyFace, c => c switch
        {
            FaultCause.CureTooShort => new(FaultMeasure.WetDaysShort, 3, 2),
            FaultCause.FinishedInBleedWater => new(FaultMeasure.BeforeSheenMin, 30, 15),
            FaultCause.FrozenYoung => new(FaultMeasure.ColdC, -4, 1),
            FaultCause.TooMuchWater => new(FaultMeasure.WaterOverPct, -2, 5),
            _ => new(FaultMeasure.DryH, null, 12),
        }).Select(c => c.Cause).ShouldBe([FaultCause.FinishedInBleedWater, FaultCause.CureTooShort, FaultCause.DriedOut, FaultCause.TooMuchWater, FaultCause.FrozenYoung]);
    }

    [Fact]
    public void Every_sign_has_causes_and_every_cause_a_sign_and_mending_waits_until_it_is_hard_enough()
    {
        Enum.GetValues<FaultCause>().Except(Enum.GetValues<FaultSign>().SelectMany(s => FaultCatalogue.CausesOf(s))).ShouldBeEmpty();
        Enum.GetValues<MendWith>().Except(Enum.GetValues<FaultSign>().Select(FaultCatalogue.MendOf)).ShouldBeEmpty();
        var plan = Planner.Plan(Pad, Samples.Steady(18));
        var cure = plan.Pour!.Cure!;
        Instant Date(Milestone m) => cure.Milestones.Single(d => d.Milestone == m).At!.Value;
        var faults = FaultsReport.Of(plan, Samples.Steady(18)).Faults.ToDictionary(f => f.Sign);
        faults.Count.ShouldBe(Enum.GetValues<FaultSign>().Length);
        faults[FaultSign.HolesInEdge].From.ShouldBe(Date(Milestone.StripEdges));
        faults[FaultSign.DustyFace].From.ShouldBe(Date(Milestone.Full));
        faults[FaultSign.Puddle].From!.Value.ShouldBeGreaterThanOrEqualTo(Date(Milestone.Furniture));
        faults[FaultSign.BlowOut].From.ShouldBeNull();
    }
}
