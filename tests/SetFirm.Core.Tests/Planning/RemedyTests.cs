using System.Text.Json.Nodes;
using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Whatever the job, a way out that is offered can be taken, and leads somewhere.</summary>
public sealed class RemedyTests
{
    /// <summary>Jobs that want decisions: one for each kind of trouble that has a way out.</summary>
    private static readonly JobDocument[] Troubled =
    [
        Samples.Terrace().WithSlab(s => s.Walking(Samples.Edge("4 m"), Samples.Edge("3 m"), Samples.Edge("4.2 m"), Samples.Edge("3 m"))),
        Samples.Terrace().WithSlab(s => s with { Fall = new EdgeFallDocument { Edge = 0, Percent = 0.5 } }),
        Samples.Terrace().WithSlab(s => s with { Joints = [new JointDocument { Across = true, At = "0.5 m" }] }),
        Kinds.Job(Kinds.Slab(Kinds.Rectangle("5 m", "3 m"), "90 mm") with { Use = SlabUse.Drive }),
        Kinds.Job(Kinds.Slab(Kinds.Rectangle("3 m", "2 m"), "150 mm") with { Forms = new FormsDocument { Board = "22x100" } }),
        Kinds.Job(Kinds.Slab(new PresetOutlineDocument { Shape = PresetShape.Circle, Along = "3 m" }) with { Forms = new FormsDocument { PlyMm = 18 } }),
        Kinds.Job(Kinds.Curb() with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.None } }),
        Kinds.Job(Kinds.Slab(Kinds.Rectangle("4 m", "3 m"), "150 mm") with { Use = SlabUse.Drive, Steel = new SteelDocument { School = Core.Steel.SteelSchool.BarGrid } }),
        Kinds.Job(Kinds.Stones() with { Outline = Kinds.Rectangle("1.5 m", "0.35 m"), Thickness = "110 mm", Use = PieceUse.Tread, Steel = new SteelDocument { School = Core.Steel.SteelSchool.None } }),
        Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Hands = 1, BarrowRun = "60 m" } },
        Samples.Terrace() with { Mixing = Samples.Terrace().Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "90 L" } } },
        Samples.Terrace() with { Mix = Samples.Ready(), Mixing = Samples.Terrace().Mixing with { Hands = 3 } },
        Samples.Terrace() with { Mix = Samples.Ready(), Day = DayDocument.At("2027-05-09", "18:00") },
        Kinds.Job(Kinds.All().OfType<RibbonDocument>().First() with { Forms = new FormsDocument { PlyMm = 12 } }),
        Kinds.Job(Kinds.Coping() with { Spans = true, Height = "40 mm" }),
        Samples.Terrace() with { Build = Samples.Terrace().Build with { Frost = Core.Ground.Frost.Hard, Base = "20 mm" } },
    ];

    public static TheoryData<int> Indexes => [.. Enumerable.Range(0, Troubled.Length)];

    [Theory]
    [MemberData(nameof(Indexes))]
    public void A_way_out_that_is_taken_mends_what_it_was_offered_for(int index)
    {
        var job = Troubled[index];
        var offered = Plans.Of(job, Samples.Steady(18)).Findings.Where(f => f.Remedies.Count > 0 && !f.Where.Path.StartsWith("/mixes", StringComparison.Ordinal)).ToArray();
        offered.ShouldNotBeEmpty();
        foreach (var finding in offered)
        {
            foreach (var remedy in finding.Remedies)
            {
                var after = Plans.Of(RemedyText.Taken(job, remedy), Samples.Steady(18)).Findings;
                after.ShouldNotContain(f => f.Where == finding.Where && Same(f.Says, finding.Says), $"{finding} {remedy}");
            }
        }
    }

    // Of panels there are several.
    private static bool Same(Notice one, Notice other) => (one, other) switch
    {
        (Notice.PanelTooLong a, Notice.PanelTooLong b) => a.Panel == b.Panel,
        // It lessens: less time for the same.
        (Notice.WhereTimeGoes a, Notice.WhereTimeGoes b) => a.MixingMin >= b.MixingMin,
        (Notice.PanelTooSlender a, Notice.PanelTooSlender b) => a.Panel == b.Panel,
        _ => one.GetType() == other.GetType(),
    };

    [Fact]
    public void Every_remedy_of_any_job_leaves_a_job_that_reads() => Gen.Select(Gen.Int[0, Kinds.All().Count - 1], Gen.Int[0, 7], Gen.Double[0.2, 6], Gen.Double[20, 260]).Sample((kind, trouble, along, thick) =>
    {
        var job = Kinds.Job(Changed(Kinds.All()[kind], trouble, along, thick));
        var before = Plans.Of(job, Samples.Steady(18));
        foreach (var remedy in before.Findings.SelectMany(f => f.Remedies))
        {
            var after = Plans.Of(RemedyText.Taken(job, remedy), Samples.Steady(18));
            after.Steps.Count.ShouldBe(Enum.GetValues<Step>().Length);
            // A way out never takes the steel out of what needs it.
            (before.Build?.Elements[0].Steel.School == Core.Steel.SteelSchool.None || after.Build?.Elements[0].Steel is not { Advised: not Core.Steel.SteelSchool.None, School: Core.Steel.SteelSchool.None }).ShouldBeTrue($"{remedy}");
        }
    }, iter: 120);

    [Fact]
    public void Every_code_of_a_remedy_is_offered_by_some_job()
    {
        var offered = Troubled.SelectMany(j => Plans.Of(j, Samples.Steady(18)).Findings).SelectMany(f => f.Remedies).Select(r => r.Does.GetType()).ToHashSet();
        foreach (var code in new[]
        {
            typeof(Mend.BlankLastEdge), typeof(Mend.SpreadGap), typeof(Mend.SteeperFall), typeof(Mend.FallOffWall), typeof(Mend.ProposeJoints),
            typeof(Mend.TakeSchool), typeof(Mend.ThickerSlab), typeof(Mend.AnyPly), typeof(Mend.AnyBoard), typeof(Mend.AdvisedBase), typeof(Mend.WhenTruckComes),
        })
        {
            offered.ShouldContain(code);
        }
    }

    private static ElementDocument Changed(ElementDocument element, int trouble, double along, double thick) => element switch
    {
        SlabDocument slab => slab with
        {
            Outline = trouble % 2 == 0 ? slab.Outline : Kinds.Rectangle($"{along:0.000} m", "2 m"),
            Thickness = $"{thick:0} mm",
            Openings = [],
            Joints = trouble == 3 ? [new JointDocument { Across = true, At = "0.3 m" }] : slab.Joints,
            Use = trouble > 4 ? SlabUse.Drive : SlabUse.Patio,
            Fall = trouble > 5 ? new EdgeFallDocument { Edge = 1, Percent = 0.2 } : null,
        },
        CounterDocument counter => counter with { Thickness = $"{thick / 4:0} mm" },
        BorderDocument border => border with { Width = $"{thick:0} mm" },
        CurbDocument curb => curb with { Height = $"{thick:0} mm", Batter = trouble },
        PieceDocument piece => piece with { Thickness = $"{thick:0} mm" },
        _ => element,
    };
}
