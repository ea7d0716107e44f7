using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using SetFirm.Answers;
using SetFirm.Core.Job;
using SetFirm.Core.Weather;
using SetFirm.Web.Learning;
using SetFirm.Web.Sharing;
using SetFirm.Web.Weather;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Plans;

internal static class PlanEndpoints
{
    public static void MapPlans(this IEndpointRouteBuilder api)
    {
        foreach (var question in Question.All)
        {
            api.MapPost($"/{question.Name}", (HttpRequest request, JobWeather weather, LearntShelf shelf, PlanDesk desk, IOptions<JsonOptions> json, CancellationToken cancellation) =>
                    AnswerAsync(question, request, weather, shelf, desk, json, cancellation))
                .WithName(question.Operation).ForLook().Accepts<PlanRequest>("application/json").Produces(200, question.Report, "application/json")
                .ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422).ProducesProblem(503);
        }

        api.MapPost("/along", AlongAsync).WithName("TakeAlong").ForLook().Accepts<JobDocument>("application/json").Produces<AlongDto>()
            .ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }

    private static async Task<IResult> AnswerAsync(
        Question question, HttpRequest request, JobWeather weather, LearntShelf shelf, PlanDesk desk, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return unreadable;
        }

        var read = Asked.Read(body.Json, json.Value.SerializerOptions);
        if (read.Refused is { } refused)
        {
            return Problems.Of(refused);
        }

        var asked = read.Value!;
        var learnt = asked.Learnt ?? await shelf.InUseAsync(cancellation);
        Func<JobDocument, HourlyWeather> usual = question.Ahead ? weather.Ahead : weather.For;
        return await desk.PlanAsync(budget => Written.By(to => question.Answer(asked, usual, learnt, budget, to)), question.Times, cancellation, asked.Members) switch
        {
            Planned<Written>.Made made => made.Plan,
            Planned<Written>.TooLong late => Problems.Of(Refusal.TooMuchToPlan(late.Most)),
            _ => Problems.Busy(),
        };
    }

    // What a device keeps, so that it can plan this job by itself.
    private static async Task<IResult> AlongAsync(HttpRequest request, JobWeather weather, LearntShelf shelf, PlannerFiles planner, CancellationToken cancellation)
    {
        var body = await Bodies.ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return unreadable;
        }

        var (job, refused) = Bodies.Job(body.Json);
        return job is null ? refused! : TypedResults.Ok(new AlongDto
        {
            Weather = WeatherDto.Of(weather.For(job)),
            Ahead = WeatherDto.Of(weather.Ahead(job)),
            Learnt = [.. (await shelf.InUseAsync(cancellation)).All.OrderBy(v => v.Key.ToString(), StringComparer.Ordinal).Select(v => new LearntFactor { Key = v.Key, Factor = v.Value })],
            Planner = planner.Loader,
            PlannerFiles = planner.All(),
        });
    }
}
