using SetFirm.Core.Findings;
using SetFirm.Core.Methods;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>The one entry: a job and its weather in, a report and findings out.</summary>
/// <remarks>Pure and total: the same call gives the same report, and anything wrong with the job is a finding, never an exception, NaN or infinity.</remarks>
public static class Planner
{
    private static readonly AirFollowingSlab SlabModel = new();

    /// <param name="job">What was said.</param>
    /// <param name="weather">Hours at the site; outside them their mean day stands in.</param>
    public static PlanReport Plan(JobDocument job, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(weather);
        var gate = new Gate(job.Units);
        var shape = ShapeStep.Plan(job.Elements, gate);
        var build = BuildStep.Plan(job, shape, gate);
        var recipe = MixStep.Plan(job.Mix, gate);
        var load = LoadStep.Plan(job.Mixing, recipe, shape?.PourL, gate);
        var start = DayStep.Start(job, gate);
        if (shape is not null && recipe is not null)
        {
            MixStep.CheckSections(recipe, shape.Elements, gate);
        }

        var day = shape is not null && recipe is not null && load is not null && start is { } when
            ? DayStep.Plan(job, shape, recipe, load, when.Start, weather, SlabModel, gate)
            : null;
        var cure = day is null ? null : CureStep.Plan(job.Cure, day, weather, SlabModel, gate);
        foreach (var caution in Cautions.For(recipe?.LiftKg, load is { Mixer.ByHand: false }))
        {
            gate.Add(caution);
        }

        return new PlanReport
        {
            Shape = shape?.Report,
            Build = build,
            Mix = recipe is null || shape is null ? null : recipe.Report(Units(recipe, load, shape)),
            Load = recipe is null || load is null ? null : Loads(recipe, load, job.Mix, day),
            Day = day?.Report,
            Cure = cure,
            Readings = gate.Readings,
            Findings = [.. gate.Findings.OrderByDescending(f => f.Severity)],
            Explanations = gate.Explanations,
            Citations = [.. gate.Explanations.SelectMany(e => e.Sources).Distinct().Order().Select(Citations.Of)],
            Steps = StepStates.Of(gate.Findings, shape is not null, build is not null, recipe is not null, load is not null, day is not null, cure is not null),
        };
    }

    // Without a mixer to batch for, or cast over several days, the bags to have are still known.
    private static int Units(Recipe recipe, PlannedLoad? load, PlannedShape shape) => load is not null && shape.PourL >= shape.Report.OrderL - 1e-9
        ? load.Batches.Units.Sum()
        : (int)Math.Min(int.MaxValue, Math.Ceiling((shape.Report.OrderL + LoadStep.HoldBackL) / recipe.Unit.Yield.Litres));

    private static LoadReport Loads(Recipe recipe, PlannedLoad load, MixDocument mix, PlannedDay? day)
    {
        var schedule = day?.Schedule ?? load.Schedule(default);
        var batches = load.Batches.Units.Select((units, i) => recipe.Batch(i + 1, units) with
        {
            WaterAdded = day is null ? null : schedule.Batches[i].WaterAdded,
            Placed = day is null ? null : schedule.Batches[i].Placed,
        });
        return new LoadReport(
            load.Mixer.Capacity.Litres,
            [.. batches],
            Batching.LoadingOrder.For(load.Mixer, mix is BaggedMixDocument),
            schedule.StartToStart.TotalMinutes,
            (schedule.MixingEnds - schedule.Batches[0].WaterAdded).TotalMinutes,
            schedule.JointAge.TotalMinutes,
            day?.JointLimit.TotalMinutes,
            LoadStep.HoldBackL);
    }
}

/// <summary>Which step a finding belongs to, by the part of the document it points at.</summary>
internal static class StepStates
{
    private static readonly (string Prefix, Step Step)[] Places =
    [
        ("/elements", Step.Shape),
        ("/build", Step.Build),
        ("/mixing", Step.Load),
        ("/mix", Step.Mix),
        ("/day", Step.Day),
        ("/timeZone", Step.Day),
        ("/weather", Step.Day),
        ("/cure", Step.Cure),
    ];

    public static IReadOnlyList<StepReport> Of(IReadOnlyList<Finding> findings, params ReadOnlySpan<bool> planned)
    {
        var steps = new StepReport[planned.Length];
        for (var i = 0; i < planned.Length; i++)
        {
            var step = (Step)i;
            var own = findings.Where(f => StepOf(f.Where) == step);
            steps[i] = new StepReport(step, !planned[i] || own.Any(f => f.Severity == Severity.Error)
                ? StepState.Blocked
                : own.Any(f => f.Severity == Severity.Warning) ? StepState.WantsDecision : StepState.Settled);
        }

        return steps;
    }

    // What holds an element and what is in it are said with the element, and decided in Build.
    private static readonly string[] BuiltParts = ["forms", "steel"];

    private static Step? StepOf(string where)
    {
        if (where.Split('/') is ["", "elements", _, var part, ..] && BuiltParts.Contains(part))
        {
            return Step.Build;
        }

        foreach (var (prefix, step) in Places)
        {
            if (where.StartsWith(prefix, StringComparison.Ordinal))
            {
                return step;
            }
        }

        return null;
    }
}
