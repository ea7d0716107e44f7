using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using NodaTime;
using SetFirm.Core.Plans;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Weather;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Bench;

/// <summary>The planner on the demo terrace and on ten of its panels in one job; goals: 2 ms and 1 MB, and eleven times the time.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class PlannerBench
{
    private static readonly LocalDate Day = new(2027, 5, 7);
    private readonly JobDocument terrace = DemoYard.Terrace(Day);
    private readonly JobDocument tenPanels;
    private readonly HourlyWeather weather;

    public PlannerBench()
    {
        tenPanels = terrace with { Elements = [.. Enumerable.Repeat(terrace.Elements[0], 10)] };
        weather = new SimulatedForecast().Hours(Instant.FromUtc(2027, 5, 4, 0, 0), JobWeather.ForecastDays * 24);
    }

    [Benchmark(Baseline = true)]
    public PlanReport Terrace() => Planner.Plan(terrace, weather);

    [Benchmark]
    public PlanReport TenPanels() => Planner.Plan(tenPanels, weather);

    internal static int Run(string[] args)
    {
        var config = ManualConfig.CreateEmpty()
            .AddJob(Job.Default.WithToolchain(new InProcessEmitToolchain(new())).WithWarmupCount(6).WithIterationCount(20))
            .AddColumnProvider(DefaultColumnProviders.Instance)
            .AddColumn(StatisticColumn.Median)
            .AddLogger(ConsoleLogger.Default)
            .WithOptions(ConfigOptions.DisableLogFile);
        var summary = BenchmarkRunner.Run<PlannerBench>(config, args);
        return summary.HasCriticalValidationErrors || summary.Reports.Any(r => !r.Success) ? 1 : 0;
    }
}
