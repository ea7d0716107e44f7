using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Methods;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Setting;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Plans;

/// <summary>The one entry: a job and its weather in, a report and findings out.</summary>
/// <remarks>Pure and total: the same call gives the same report, and anything wrong with the job is a finding, never an exception, NaN or infinity.</remarks>
public static class Planner
{
    private static readonly HeatBalanceSlab SlabModel = new();

    /// <param name="job">What was said.</param>
    /// <param name="weather">Hours at the site; outside them their mean day stands in.</param>
    /// <param name="log">What was told of so far.</param>
    /// <param name="asOf">Now, for what was missed; null where nothing is under way.</param>
    public static PlanReport Plan(JobDocument job, HourlyWeather weather, IReadOnlyList<LogEntry>? log = null, Instant? asOf = null)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(weather);
        var gate = new Gate(job.Units);
        var shape = ShapeStep.Plan(job.Elements, gate);
        var build = BuildStep.Plan(job, shape, gate);
        var terms = BuyStep.Terms(job.Buy, gate);
        var own = OwnBags.Of(job.Buy, gate);
        var recipe = MixStep.Plan(job.Mix, own, gate);
        var place = LoadStep.Place(job.Mixing, gate);
        var load = LoadStep.Plan(place, recipe, shape?.PourL, gate);
        var start = DayStep.Start(job, gate);
        var ways = shape is null ? null : Weighed(job, shape, own, terms, place);
        IReadOnlyList<WayReport> side = ways is null || recipe is null ? [] : MixWays.All(ways, job.Mix, recipe);
        if (shape is not null && recipe is not null)
        {
            MixStep.CheckSections(recipe, shape.Elements, side, gate);
            AdditiveChecks.Elements(recipe, shape.Elements, build, gate);
        }

        var day = shape is not null && recipe is not null && load is not null && start is { } when
            ? DayStep.Plan(job, shape, recipe, load, when.Start, weather, SlabModel, gate)
            : null;
        var cure = day is null ? null : CureStep.Plan(job, day, weather, SlabModel, start!.Value.Zone, log ?? [], asOf, gate);
        if (weather.File is { } file && file != job.Site.WeatherFile)
        {
            gate.Add(Finding.Of(FindingCode.WeatherFileMissing, Severity.Warning, "/site/weatherFile"));
        }

        foreach (var caution in Cautions.For(recipe?.LiftKg, load is { Mixer.ByHand: false }))
        {
            gate.Add(caution);
        }

        var loads = recipe is null || load is null || shape is null ? null : Loads(recipe, load, shape, day, gate);
        var units = recipe is null || shape is null ? 0 : Units(recipe, load, shape);
        var buy = recipe is null || shape is null || terms is null || ways is null ? null : BuyStep.Plan(job, shape, build, recipe, loads, units, terms, ways, gate);
        return new PlanReport
        {
            Shape = shape?.Report,
            Build = build,
            Mix = recipe is null || ways is null ? null : Mixed(recipe, units, ways.Demand, side),
            Load = loads,
            Buy = buy,
            Day = day?.Report,
            Cure = cure,
            Readings = gate.Readings,
            Findings = [.. gate.Findings.OrderByDescending(f => f.Severity)],
            Explanations = gate.Explanations,
            Citations = [.. gate.Explanations.SelectMany(e => e.Sources).Distinct().Order().Select(Citations.Of)],
            Steps = StepStates.Of(gate.Findings, shape is not null, build is not null, recipe is not null, load is not null, buy is not null, day is not null, cure is not null),
        };
    }

    // Without a mixer to batch for, or cast over several days, the bags to have are still known.
    private static int Units(Recipe recipe, PlannedLoad? load, PlannedShape shape) => load is not null && shape.PourL >= shape.Report.OrderL - 1e-9
        ? load.Batches.Units.Sum()
        : (int)Math.Min(int.MaxValue, Math.Ceiling((shape.Report.OrderL + LoadStep.HoldBackL) / recipe.Unit.Yield.Litres));

    /// <summary>Every hour of the weather given in which the job might begin, judged; empty where the job cannot be planned.</summary>
    /// <param name="job">What was said; its own day does not matter.</param>
    /// <param name="weather">Hours at the site.</param>
    public static StartsReport Starts(JobDocument job, HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(weather);
        var gate = new Gate(job.Units);
        var shape = ShapeStep.Plan(job.Elements, gate);
        var recipe = MixStep.Plan(job.Mix, OwnBags.Of(job.Buy, gate), gate);
        var load = LoadStep.Plan(LoadStep.Place(job.Mixing, gate), recipe, shape?.PourL, gate);
        if (shape is null || recipe is null || load is null || DateTimeZoneProviders.Tzdb.GetZoneOrNull(job.TimeZone) is not { } zone
            || gate.Time("/day/workFrom", job.Day.WorkFrom) is not { } from || gate.Time("/day/workUntil", job.Day.WorkUntil) is not { } until)
        {
            return new StartsReport([], [], 0);
        }

        var pour = DayStep.Pour(job, shape, recipe, load, weather);
        return Plans.Starts.Rank(pour, load.Schedule(default).JointAge, weather, zone, from.Minute == 0 ? from.Hour : from.Hour + 1, until.Hour);
    }

    private static WaysContext Weighed(JobDocument job, PlannedShape shape, ImmutableArray<BagMix> own, BuyTerms? terms, MixingPlace? place)
    {
        ImmutableArray<MixUse> uses = [.. shape.Elements.Select(e => e.Said.Traits.Mix).Distinct()];
        var demand = MixUses.Demand(
            uses, job.Mix.Exposure, shape.Elements.Min(e => e.Cast.Thinnest.Millimetres), shape.Elements.Max(e => e.Cast.Depth.Millimetres));
        return new WaysContext(
            demand, uses, shape.Report.OrderL + LoadStep.HoldBackL, job.Build.Sold, own, terms?.Prices ?? PriceBook.Typical, place,
            terms?.HourWorth ?? 0);
    }

    private static MixReport Mixed(Recipe recipe, int units, MixDemand demand, IReadOnlyList<WayReport> ways)
    {
        var (mix, (bagged, parts)) = (recipe.Mix, recipe.Totals(units));
        return new MixReport(
            mix.Family, mix.F28.Megapascals, mix.WaterCement, mix.CementKgPerM3, mix.WaterKgPerM3, mix.ToInitialSet.TotalHours, mix.ToFinalSet.TotalHours, bagged, parts, recipe.Ladder(), demand,
            ways);
    }

    private static LoadReport Loads(Recipe recipe, PlannedLoad load, PlannedShape shape, PlannedDay? day, Gate gate)
    {
        var schedule = day?.Schedule ?? load.Schedule(default);
        var sizes = load.Batches.Units.Distinct().OrderDescending().ToArray();
        BatchRecipeReport[] recipes = [.. sizes.Select(s => recipe.Batch(s, load.Batches.Units.Count(u => u == s), load.FirstWater))];
        var fills = Fills.Of(shape, load.Batches);
        var batches = load.Batches.Units.Select((units, i) => new BatchReport(
            i + 1, Array.IndexOf(sizes, units), load.Batches.VolumeOf(i).Litres, day is null ? null : schedule.Batches[i].WaterAdded, day is null ? null : schedule.Batches[i].Placed, fills[i]));
        LoadStep.CheckRounding(recipes, gate);
        return new LoadReport(
            load.Mixer.Capacity.Litres,
            [.. batches],
            recipes,
            LoadStep.MeasureOut(recipes),
            Batching.LoadingOrder.For(load.Mixer, recipe.Load),
            schedule.StartToStart.TotalMinutes,
            (schedule.MixingEnds - schedule.Batches[0].WaterAdded).TotalMinutes,
            schedule.JointAge.TotalMinutes,
            day?.JointLimit.TotalMinutes,
            LoadStep.HoldBackL,
            Crew.ComfortFor(load.Batches.Total),
            load.Crew.Tasks);
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
        ("/buy", Step.Buy),
        ("/day", Step.Day),
        ("/timeZone", Step.Day),
        ("/weather", Step.Day),
        ("/site", Step.Day),
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
