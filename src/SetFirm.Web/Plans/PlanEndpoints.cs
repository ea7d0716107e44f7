using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Sheets;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;
using SetFirm.Web.Jobs;
using SetFirm.Web.Learning;
using SetFirm.Web.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Plans;

/// <summary>What to plan.</summary>
public sealed record PlanRequest
{
    public required JobDocument Document { get; init; }

    /// <summary>Hours at the site; left out, the service's own forecast is taken.</summary>
    public WeatherDto? Weather { get; init; }

    /// <summary>What was told of so far; left out, nothing.</summary>
    public IReadOnlyList<JobEvent>? Log { get; init; }

    /// <summary>Id of the pour that is wanted in full; left out, or unknown, the first.</summary>
    public string? Pour { get; init; }

    /// <summary>Now, for what was missed; left out, nothing is under way.</summary>
    public Instant? AsOf { get; init; }

    /// <summary>What was learnt and taken over; left out, what the yard of the service has.</summary>
    public IReadOnlyList<LearntFactor>? Learnt { get; init; }

    /// <summary>Which hidden day is rehearsed; asked for by a rehearsal only.</summary>
    public int? Seed { get; init; }
}

/// <summary>A value that was learnt.</summary>
public sealed record LearntFactor
{
    public required LearntKey Key { get; init; }

    /// <summary>So many times what is taken where nothing is learnt, 1/4 to 4.</summary>
    public required double Factor { get; init; }
}

/// <summary>A pour's day as it was; null while it cannot be planned.</summary>
public sealed record LookBackAnswer(LookBackReport? Day);

/// <summary>A run of hourly weather.</summary>
public sealed record WeatherDto
{
    /// <summary>Moment of the first hour.</summary>
    public required Instant Start { get; init; }

    public required IReadOnlyList<WeatherHour> Hours { get; init; }
}

internal static class PlanEndpoints
{
    private static readonly JsonSerializerOptions Reports = WireJson.ForReports();

    public static void MapPlans(this IEndpointRouteBuilder api)
    {
        Map(api, "/plan", "Plan", 1, (weather, job) => weather.For(job), (job, weather, said, budget) => Teller.Tell(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget)));
        Map(api, "/calendar", "Calendar", 1, (weather, job) => weather.For(job), (job, weather, said, budget) =>
        {
            var plan = Planner.Plan(job, weather, said.Log, said.AsOf, budget: budget);
            return Teller.Tell(plan, Planner.Pours(plan, weather, said.Log, said.AsOf, budget), said.Log);
        });
        Map(api, "/tasks", "Tasks", 1, (weather, job) => weather.For(job), (job, weather, said, budget) =>
            TaskTelling.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), said.Log, said.AsOf));
        Map(api, "/shop", "Shop", 1, (weather, job) => weather.For(job), (job, weather, said, budget) =>
            ShopTelling.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), said.Log));
        Map(api, "/faults", "Faults", 1, (weather, job) => weather.For(job), (job, weather, said, budget) =>
            FaultsReport.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, said.Log));
        Map(api, "/lookback", "LookBack", 2, (weather, job) => weather.For(job), (job, weather, said, budget) => new LookBackAnswer(LookBackReport.Of(
            LookBack.Of(job, weather, said.Log, said.AsOf, said.Pour, budget), Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget))));
        Map(api, "/drawings", "Drawings", 1, (weather, job) => weather.For(job), (job, weather, said, budget) => DrawingsReport.Of(Planner.Plan(job, weather, budget: budget)));
        // Each choice is a plan of its own.
        Map(api, "/practices", "Practices", 4, (weather, job) => weather.For(job), (job, weather, said, budget) =>
            PracticesReport.Of(PracticePlan.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, budget)));
        Map(api, "/rehearse", "Rehearse", 1, (weather, job) => weather.For(job), (job, weather, said, budget) =>
            Rehearsals.Of(Planner.Plan(job, weather, said.Log, said.AsOf, said.Pour, budget), weather, said.Seed ?? 0, said.AsOf ?? Instant.MinValue) ?? new RehearsalReport([], [], null));
        // Hundreds of hours, each many ways: it is asked for seldom, and told that it takes a while.
        Map(api, "/starts", "RankStarts", 4, (weather, job) => weather.Ahead(job), (job, weather, said, budget) => Teller.Tell(Planner.Starts(job, weather, said.Pour, budget: budget)));
    }

    private static void Map<TReport>(
        IEndpointRouteBuilder api, string path, string name, double times, Func<JobWeather, JobDocument, HourlyWeather> usual, Func<JobDocument, HourlyWeather, Besides, Budget, TReport> answer) => api
        .MapPost(path, (HttpRequest request, JobWeather weather, LearntShelf shelf, PlanDesk desk, IOptions<JsonOptions> json, CancellationToken cancellation) =>
            AnswerAsync(request, job => usual(weather, job), shelf, json, (job, hours, said) => AtDeskAsync(desk, b => answer(job, hours, said, b), times, cancellation), cancellation))
        .WithName(name).Accepts<PlanRequest>("application/json").Produces<TReport>()
        .ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422).ProducesProblem(503);

    private static async Task<IResult> AtDeskAsync<TReport>(PlanDesk desk, Func<Budget, TReport> plan, double times, CancellationToken cancellation) =>
        await desk.PlanAsync(budget => JsonSerializer.SerializeToUtf8Bytes(plan(budget), Reports), times, cancellation) switch
        {
            // Written whole, so that it leaves in one send: this is answered with every key pressed.
            Planned<byte[]>.Made made => TypedResults.Bytes(made.Plan, "application/json; charset=utf-8"),
            Planned<byte[]>.TooLong late => Problems.TooMuchToPlan(late.Most),
            _ => Problems.Busy(),
        };

    private static async Task<IResult> AnswerAsync(
        HttpRequest request, Func<JobDocument, HourlyWeather> usual, LearntShelf shelf, IOptions<JsonOptions> json, Func<JobDocument, HourlyWeather, Besides, Task<IResult>> answer, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return unreadable;
        }

        if (body.Json.ValueKind != JsonValueKind.Object || !body.Json.TryGetProperty("document", out var document))
        {
            return Problems.Missing("$.document");
        }

        var (job, refused) = Bodies.Job(document);
        if (job is null)
        {
            return refused!;
        }

        var (said, wrong) = Said(body.Json, json.Value.SerializerOptions);
        if (wrong is not null)
        {
            return wrong;
        }

        job = job with { Learnt = said.Learnt ?? await shelf.InUseAsync(cancellation) };
        if (!body.Json.TryGetProperty("weather", out var given) || given.ValueKind == JsonValueKind.Null)
        {
            return await answer(job, usual(job), said);
        }

        var (hours, problem) = Read(given, json.Value.SerializerOptions);
        return hours is null ? problem! : await answer(job, hours, said);
    }

    private static (Besides Said, IResult? Problem) Said(JsonElement body, JsonSerializerOptions options)
    {
        (T? Value, IResult? Problem) Part<T>(string name)
        {
            if (!body.TryGetProperty(name, out var part) || part.ValueKind == JsonValueKind.Null)
            {
                return default;
            }

            try
            {
                return (part.Deserialize<T>(options), null);
            }
            catch (JsonException e)
            {
                return (default, Problems.Of(new JobRead.Unreadable($"$.{name}" + e.Path?[1..], "the value is missing or of another kind")));
            }
        }

        var (asOf, pour, seed, learnt) = (Part<Instant?>("asOf"), Part<string>("pour"), Part<int?>("seed"), Part<LearntFactor[]>("learnt"));
        if (asOf.Value is { } now && !Moments.Has(now))
        {
            return (default, Problems.Of(new JobRead.Unreadable("$.asOf", "it is not between 1990 and 2200")));
        }

        var log = body.TryGetProperty("log", out var lines) && lines.ValueKind != JsonValueKind.Null ? LogEndpoints.Read(lines, LogEndpoints.MostOfAJob, "$.log", options) : ([], null);
        return log.Events is { } told
            ? (new Besides(told, asOf.Value, pour.Value, seed.Value, learnt.Value is { } factors ? LearntValues.Of(factors.Where(f => f?.Key is { What: not null, Who: not null }).Select(f => (f.Key, f.Factor))) : null),
                asOf.Problem ?? pour.Problem ?? seed.Problem ?? learnt.Problem)
            : (default, Problems.Of(log.Wrong!));
    }

    /// <summary>What was said of a job besides its document.</summary>
    private readonly record struct Besides(IReadOnlyList<JobEvent> Log, Instant? AsOf, string? Pour, int? Seed, LearntValues? Learnt);

    private static (HourlyWeather? Weather, IResult? Problem) Read(JsonElement given, JsonSerializerOptions options)
    {
        WeatherDto? weather;
        try
        {
            weather = given.Deserialize<WeatherDto>(options);
        }
        catch (JsonException e)
        {
            return (null, Problems.Of(new JobRead.Unreadable("$.weather" + e.Path?[1..], "the value is missing or of another kind")));
        }

        return weather?.Hours is null
            ? (null, Problems.Of(new JobRead.Unreadable("$.weather.hours", "a list of hours is wanted")))
            : HourlyWeather.TryCreate(weather.Start, [.. weather.Hours]) switch
            {
                WeatherCheck.Sound sound => (sound.Weather, null),
                WeatherCheck.Unusable { Field: "start" } => (null, Problems.Of(new JobRead.Unreadable("$.weather.start", "it is not between 1990 and 2200"))),
                WeatherCheck.Unusable at => (null, Problems.Of(new JobRead.Unreadable($"$.weather.hours[{at.Hour}].{at.Field}", "the value is not possible"))),
                _ => throw new System.Diagnostics.UnreachableException(),
            };
    }
}
