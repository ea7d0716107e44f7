using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Bench;

/// <summary>The planner on the demo terrace and on ten of its panels in one job; goals: 1.5 ms and 500 kB as a key asks for it, and eleven times the time.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class PlannerBench
{
    private static readonly LocalDate Day = new(2027, 5, 7);
    private readonly JobDocument terrace = DemoJobs.Terrace(Day);
    private readonly JobDocument tenPanels;
    private readonly JobDocument curve;
    private readonly JobDocument yard;
    private readonly ZonePour zone = new(
        new ConcreteMix(
            MixFamily.Portland, Strength.FromMegapascals(25), 310, 170, 2060, 170.0 / 310, 0.02, Duration.FromHours(5), Duration.FromHours(7), AgeCoefficients.Of(MixFamily.Portland)),
        Length.FromMillimetres(100), 20, Instant.FromUtc(2027, 5, 7, 6, 0));
    private readonly HourlyWeather weather;
    private readonly JobPlan planned;
    private readonly PourPlan half;
    private readonly Told told;
    private readonly Instant now;

    public PlannerBench()
    {
        tenPanels = terrace with { Elements = [.. Enumerable.Range(1, 10).Select(i => terrace.Elements[0] with { Id = $"element-{i}" })] };
        curve = terrace with { Elements = [Curve(10_000)] };
        yard = terrace with { Elements = [Yard()], Mixing = terrace.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = "75 L" } } };
        weather = new SimulatedForecast().Hours(Instant.FromUtc(2027, 5, 4, 0, 0), JobWeather.ForecastDays * 24);
        planned = Planner.Plan(terrace, weather);
        half = planned.Pour!;
        var plan = half.Day!.Planned;
        now = plan.Start + ((plan.DoneBy - plan.Start) / 2);
        told = Told.Of(
        [
            new JobEvent.DayBegun { Id = Guid.NewGuid(), At = plan.Start, Plan = plan },
            .. plan.Batches.SelectMany((b, i) => new JobEvent[]
            {
                new JobEvent.BatchMixing { Id = Guid.NewGuid(), At = b.Begun, Batch = i + 1 }, new JobEvent.BatchPlaced { Id = Guid.NewGuid(), At = b.Placed, Batch = i + 1 },
            }).Where(e => e.At <= now),
            new JobEvent.ThumbTest { Id = Guid.NewGuid(), At = now, Zone = 1, Mark = ThumbMark.SixMm },
        ]);
    }

    /// <summary>What a key in Shape asks for.</summary>
    [Benchmark(Baseline = true)]
    public PlanReport TerraceOfAKey() => Teller.Tell(Planner.Plan(terrace, weather), PlanPart.Shape.Flag() | PlanPart.Build.Flag());

    [Benchmark]
    public PlanReport Terrace() => TellPlan(terrace, weather);

    [Benchmark]
    public PlanReport TenPanels() => TellPlan(tenPanels, weather);

    [Benchmark]
    public PlanReport TenThousandEdges() => TellPlan(curve, weather);

    /// <summary>A yard of 24 cubic metres in a small drum; goal: 5 ms for its 500 batches.</summary>
    [Benchmark]
    public PlanReport FiveHundredBatches() => TellPlan(yard, weather);

    [Benchmark]
    public Batched FiveHundredBatchesSplit() => Batches.Split(Volume.FromLitres(23_330), new BatchUnit(Volume.FromLitres(5.85), Volume.FromLitres(7.8), 2, Mass.FromKilograms(12.5), Mass.FromKilograms(13.7)), BatchLimit.Of(Volume.FromLitres(48.75)));

    /// <summary>One zone's day; goal: 20 microseconds.</summary>
    [Benchmark]
    public SlabHistory ZoneOfFourteenHours() => new HeatBalanceSlab().Follow(zone, weather, Duration.FromHours(14));

    /// <summary>Two dozen treads from one mould, a pour each; goal: asked for one of them, twice the time of one tread.</summary>
    [Benchmark]
    public PlanReport TwentyFourCastings() => TellPlan(Treads(24), weather);

    [Benchmark]
    public PlanReport OneCasting() => TellPlan(Treads(1), weather);

    /// <summary>The order of work of a plan that is made; goal: 0.2 ms.</summary>
    [Benchmark]
    public int OrderOfWork() => JobTasks.Of(planned, told, now).Length;

    /// <summary>A tap on the terrace's board, half-way through its day: one pour re-timed; goal: 20 ms.</summary>
    [Benchmark]
    public PourPlan Tap() => half.Again(weather, told, now, new Remarks());

    // Planned and told, as it is with every key.
    private static PlanReport TellPlan(JobDocument job, HourlyWeather weather) => Teller.Tell(Planner.Plan(job, weather));

    private JobDocument Treads(int pieces) => terrace with
    {
        Elements =
        [
            new PieceDocument
            {
                Id = "element-1",
                Name = "Tread",
                Use = PieceUse.Tread,
                Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "900 mm", Across = "300 mm" },
                Edges = [],
                Openings = [],
                Thickness = "70 mm",
                Chamfer = "6 mm",
                Casting = new MouldsDocument { Pieces = pieces, Moulds = 1 },
                Bed = Bed.Rigid,
                Finish = Finish.Mag,
            },
        ],
    };

    private static SlabDocument Yard() => new()
    {
        Name = "Yard",
        Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "18 m", Across = "12 m" },
        Edges = [],
        Openings = [],
        Thickness = "100 mm",
        Bed = Bed.Levelled,
        Finish = Finish.Broom,
    };

    // A wavy ring, as a drawing file gives it.
    private static SlabDocument Curve(int edges) => new()
    {
        Name = "Curve",
        Outline = new PointsOutlineDocument
        {
            Points = [.. Enumerable.Range(0, edges).Select(i => 2 * Math.PI * i / edges).Select(a => (Angle: a, Radius: 5 + (0.02 * Math.Sin(40 * a)))).Select(p =>
                new PointDocument { X = 6 + (p.Radius * Math.Cos(p.Angle)), Y = 6 + (p.Radius * Math.Sin(p.Angle)) })],
        },
        Edges = [],
        Openings = [],
        Thickness = "100 mm",
        Bed = Bed.Levelled,
        Finish = Finish.Broom,
    };

    internal static int Run(string[] args)
    {
        var config = ManualConfig.CreateEmpty()
            .AddJob(Job.Default.WithToolchain(new InProcessEmitToolchain(new())).WithWarmupCount(20).WithIterationCount(20))
            .AddColumnProvider(DefaultColumnProviders.Instance)
            .AddColumn(StatisticColumn.Median)
            .AddLogger(ConsoleLogger.Default)
            .WithOptions(ConfigOptions.DisableLogFile);
        var summary = BenchmarkRunner.Run<PlannerBench>(config, args);
        return summary.HasCriticalValidationErrors || summary.Reports.Any(r => !r.Success) ? 1 : 0;
    }
}
