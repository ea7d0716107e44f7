using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Tasks;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>A mix of the job.</summary>
/// <param name="Index">Its place in the document; -1 is the slurry that nobody said a mix for.</param>
/// <param name="Id">Its id.</param>
/// <param name="Said">As read.</param>
/// <param name="Recipe">Measured out.</param>
public sealed record MixPlan(int Index, string Id, MixSaid Said, Recipe Recipe)
{
    public MixPlaces At => Places.Mix(Math.Max(0, Index));
}

/// <summary>A pour's batches: cheap enough to have for every pour of a job.</summary>
/// <param name="Sketch">What and when.</param>
/// <param name="Number">From 1, in the order in which they are poured.</param>
/// <param name="Mix">Null while it cannot be mixed.</param>
/// <param name="HoldBackL">Kept back for patches.</param>
/// <param name="Load">Null while it cannot be batched.</param>
/// <param name="Recipes">The different batches, the largest first.</param>
/// <param name="MeasuredOut">Of each thing, what all take.</param>
/// <param name="Units">Of the mix, where it is not batched too.</param>
/// <param name="Start">Null where it cannot be read.</param>
/// <param name="Task">What its day is worked out from; null while that is not known.</param>
public sealed record PourLoad(
    PourSketch Sketch,
    int Number,
    MixPlan? Mix,
    double HoldBackL,
    LoadPlan? Load,
    IReadOnlyList<BatchRecipe> Recipes,
    IReadOnlyList<Measure> MeasuredOut,
    int Units,
    LocalTime? Start,
    PourTask? Task)
{
    /// <summary>Its day is gone, and nobody told whether it was poured; on its evening, and in the night after a late start, nobody is asked.</summary>
    /// <param name="told">Of this pour.</param>
    /// <param name="now">Today.</param>
    internal bool WentBy(Told told, Instant now) => Task is { } task && now.InZone(task.Zone).Date > task.Date && now - task.StartsAt >= UnderWay && !PourPlan.TellsOfConcrete(told);

    /// <summary>A day's work is over by then.</summary>
    private static readonly Duration UnderWay = Duration.FromHours(12);

    /// <summary>Bags or containers of cement that it measures out; null where it cannot be mixed.</summary>
    public double? Bags => Mix is null ? null : (double)Units / Mix.Recipe.Unit.PerWhole;

    /// <summary>Null where it cannot be batched.</summary>
    public int? Batches => Load?.Batches.Units.Length;

    public Duration? Mixing => Load is null ? null : PourSchedule.Of(Load, default).Mixing;

    /// <summary>Minutes that trucks wait beyond what is in their price.</summary>
    public double WaitMin => Load is null || Mix?.Recipe is not ReadyRecipe truck
        ? 0
        : PourSchedule.Of(Load, default).OnSite(truck.Age).Sum(t => Math.Max(0, Math.Ceiling((t - truck.Terms.OnSite).TotalMinutes - 1e-6)));
}

/// <summary>One pour in full: batches, day and cure. It is kept, and asked again when the weather changes or something is told.</summary>
public sealed record PourPlan
{
    public required PourLoad Load { get; init; }

    /// <summary>Null while the day is not known.</summary>
    public DayPlan? Day { get; init; }

    /// <summary>Null while that is not known.</summary>
    public CurePlan? Cure { get; init; }

    /// <summary>What was told of it.</summary>
    public Told Told { get; init; } = Told.Nothing;

    /// <summary>When it was asked; null before anything was poured.</summary>
    public Instant? AsOf { get; init; }

    /// <summary>All of it is stripped on the day, to be rubbed: no strength is waited for.</summary>
    public bool StrippedEarly => Use.Boarded && Day is { } day && day.Zones.All(z => z.Passes.Any(p => p.Pass == Pass.StripAndRub));

    /// <summary>Its day is gone, and nobody told whether it was poured.</summary>
    /// <param name="now">Today.</param>
    public bool WentBy(Instant now) => Load.WentBy(Told, now) && now >= Day?.DoneBy;

    /// <summary>Something of the pour, or of the work that follows it, was told.</summary>
    /// <param name="told">Of this pour.</param>
    internal static bool TellsOfConcrete(Told told) =>
        told.OfConcrete || told.Lines.OfType<JobEvent.TaskDone>().Any(l => JobTasks.TaskOf(l.Task) is { } done && TaskCatalogue.Of(done).Phase > TaskPhase.Stage);

    internal CureSaid? Curing { get; init; }

    /// <summary>What comes of it once it has set.</summary>
    internal CureUse Use { get; init; } = CureUse.Slab;

    /// <summary>The same pour with other weather, or with more told, without planning the job anew.</summary>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="told">Of this pour.</param>
    /// <param name="asOf">Now; null before anything was poured.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public PourPlan Again(HourlyWeather weather, Told told, Instant? asOf, Remarks remarks)
    {
        var day = Load.Task is null ? null : DayPlanner.Plan(Load.Task, weather, remarks, DayFacts.Of(told, asOf));
        var cure = day is null || Curing is null ? null : CureAdvice.Plan(
            Curing, new CureSite(day.Youngest, day.CoverFrom, Use, Load.Sketch.DateAt), weather, told, asOf, remarks);
        return this with { Day = day, Cure = cure, Told = told, AsOf = asOf };
    }

    /// <summary>When each pass could be made, by the concrete alone: by the batches and the signs of the day, whoever had time for it.</summary>
    /// <remarks>A pass that was made is also a reading of how it sets, and would move the very window that it is held against: here it does not count.</remarks>
    /// <param name="weather">As it came.</param>
    /// <param name="units">Of the job.</param>
    /// <returns>Nothing while nothing of the day is told, and of a pass that never came so far.</returns>
    internal ImmutableArray<RealWindow> AsItSet(HourlyWeather weather, UnitSystem units)
    {
        var signs = new Told([.. Told.Lines.Where(l => l is not (JobEvent.PassBegun or JobEvent.PassDone or JobEvent.StruckOff or JobEvent.DayClosed))]);
        if (Load.Task is not { } task || Again(weather, signs, AsOf, new Gate(units)).Day is not { Facts: { } facts, Retimed: { } retimed } day)
        {
            return [];
        }

        var course = HiddenDay.Of(task, retimed.Likeliest(weather)).Went(facts, day.Planned);
        var windows = ImmutableArray.CreateBuilder<RealWindow>();
        for (var z = 0; z < Math.Min(course.Zones, day.Pour.Zones.Length); z++)
        {
            foreach (var rule in day.Pour.Zones[z].Rules.Where(r => r.PaceM2H > 0))
            {
                if (course.Window(z, rule) is var (opens, closes))
                {
                    // What was seen of the sheen is surer than what is reckoned.
                    var gone = rule.WaitsForSheen ? facts.SheenGone(z) : null;
                    windows.Add(new RealWindow(z + 1, rule.Pass, gone ?? opens, gone is { } at ? Instant.Max(closes, at) : closes, facts.SheenGone(z) ?? course.SheenGone(z)));
                }
            }
        }

        return windows.ToImmutable();
    }
}

/// <summary>When a pass could really be made.</summary>
/// <param name="Zone">From 1.</param>
/// <param name="Pass">Which.</param>
/// <param name="Opens">Not before.</param>
/// <param name="Closes">Not after.</param>
/// <param name="SheenGone">Of the zone; null where none showed.</param>
internal sealed record RealWindow(int Zone, Pass Pass, Instant Opens, Instant Closes, Instant? SheenGone);
