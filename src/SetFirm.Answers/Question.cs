using System.Buffers;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.Sheets;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Answers;

/// <summary>A pour's day as it was; null while it cannot be planned.</summary>
public sealed record LookBackAnswer(LookBackReport? Day);

/// <summary>Something that can be asked of the planner: a request in, a report out. The service and the page that plans by itself answer from the same table.</summary>
/// <remarks>Pure: what is not in the request is handed over by who asks.</remarks>
public sealed class Question
{
    private static readonly JsonSerializerOptions Reports = WireJson.ForReports();

    private readonly Action<JobDocument, HourlyWeather, Asked, Budget, IBufferWriter<byte>> answer;

    private Question(string name, string operation, double times, bool ahead, Type report, Action<JobDocument, HourlyWeather, Asked, Budget, IBufferWriter<byte>> answer)
    {
        (Name, Operation, Times, Ahead, Report) = (name, operation, times, ahead, report);
        this.answer = answer;
    }

    /// <summary>All of them, in the order of the contract.</summary>
    public static IReadOnlyList<Question> All { get; } =
    [
        Of("plan", "Plan", (job, weather, said, budget) => Teller.Tell(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), said.Parts)),
        Of("calendar", "Calendar", (job, weather, said, budget) =>
        {
            var plan = Planner.Plan(job, weather, said.Log, said.AsOf, budget: budget);
            return Teller.Tell(plan, Planner.Pours(plan, weather, said.Log, said.AsOf, budget), said.Log);
        }),
        Of("tasks", "Tasks", (job, weather, said, budget) => TaskTelling.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), said.Log, said.AsOf)),
        Of("shop", "Shop", (job, weather, said, budget) => ShopTelling.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), said.Log)),
        Of("faults", "Faults", (job, weather, said, budget) => FaultsReport.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, said.Log)),
        Of("lookback", "LookBack", (job, weather, said, budget) => new LookBackAnswer(LookBackReport.Of(
            LookBack.Of(job, weather, said.Log, said.AsOf, said.Pour, budget), Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget))), times: 2),
        Of("drawings", "Drawings", (job, weather, said, budget) => DrawingsReport.Of(Planner.Plan(job, weather, budget: budget))),
        // Each choice is a plan of its own.
        Of("practices", "Practices", (job, weather, said, budget) =>
            PracticesReport.Of(PracticePlan.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, budget)), times: 4),
        Of("rehearse", "Rehearse", (job, weather, said, budget) => Rehearsals.Of(
            Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, said.Seed ?? 0, said.AsOf ?? Instant.MinValue) ?? new RehearsalReport([], [], null)),
        // Hundreds of hours, each many ways: it is asked for seldom, and told that it takes a while.
        Of("starts", "RankStarts", (job, weather, said, budget) => Teller.Tell(Planner.Starts(job, weather, said.Pour, budget: budget)), times: 4, ahead: true),
    ];

    /// <summary>Last part of its path.</summary>
    public string Name { get; }

    /// <summary>In the contract.</summary>
    public string Operation { get; }

    /// <summary>So many times as long as a plan it may take.</summary>
    public double Times { get; }

    /// <summary>It goes by what is still ahead, not by the days of the job.</summary>
    public bool Ahead { get; }

    /// <summary>What it is answered with.</summary>
    public Type Report { get; }

    /// <summary>Writes the report, as JSON in UTF-8.</summary>
    /// <param name="asked">A checked request.</param>
    /// <param name="usual">Weather, where none was handed over.</param>
    /// <param name="learnt">Values, where none were handed over.</param>
    /// <param name="budget">What it may take.</param>
    /// <param name="to">Takes it; whose it is to give room for it, since large arrays made anew with every key stop everything else while they are cleared away.</param>
    /// <exception cref="OperationCanceledException">It was late, or nobody waits.</exception>
    public void Answer(Asked asked, Func<JobDocument, HourlyWeather> usual, LearntValues learnt, Budget budget, IBufferWriter<byte> to)
    {
        ArgumentNullException.ThrowIfNull(asked);
        ArgumentNullException.ThrowIfNull(usual);
        var (job, weather) = asked.With(usual, learnt);
        answer(job, weather, asked, budget, to);
    }

    private static Question Of<TReport>(string name, string operation, Func<JobDocument, HourlyWeather, Asked, Budget, TReport> answer, double times = 1, bool ahead = false) =>
        new(name, operation, times, ahead, typeof(TReport), (job, weather, said, budget, to) =>
        {
            using var writer = new Utf8JsonWriter(to, new JsonWriterOptions { Encoder = Reports.Encoder, SkipValidation = true });
            JsonSerializer.Serialize(writer, answer(job, weather, said, budget), Reports);
        });
}
