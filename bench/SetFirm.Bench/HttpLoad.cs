using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Headers;
using System.Text;
using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Bench;

/// <summary>
/// A plan over HTTP as a key in Shape asks for it, an endpoint that does nothing, and the planner in this process, in turn, so that all see the same machine.
/// Goal: the plan's p99 within three times the empty endpoint's, plus the plan itself. Told round by round, and as their median.
/// </summary>
internal static class HttpLoad
{
    private const int Warmup = 3000; // until the runtime has compiled all of it for good
    private const int Rounds = 7;
    private const int InARound = 1000;

    private static readonly PlanParts OfAKey = PlanPart.Shape.Flag() | PlanPart.Build.Flag();

    public static async Task<int> RunAsync(string server, string root)
    {
        await using var service = new Service(server, root);
        using var client = new HttpClient { BaseAddress = service.Address };
        await service.ReadyAsync();
        var today = SystemClock.Instance.GetCurrentInstant().InUtc().Date;
        var job = DemoJobs.Terrace(today.PlusDays(3));
        // What a key in Shape asks for; and all of it, as paper does.
        var body = Encoding.UTF8.GetBytes($$"""{"document":{{JobFile.Write(job)}},"parts":["shape","build"]}""");
        var whole = Encoding.UTF8.GetBytes($$"""{"document":{{JobFile.Write(job)}}}""");
        var weather = new SimulatedForecast().Hours(SystemClock.Instance.GetCurrentInstant(), JobWeather.ForecastDays * 24);
        await RoundAsync(client, body, job, weather, Warmup);
        var ratios = new List<double>();
        Console.WriteLine($"{Rounds} rounds of {InARound} each, in turn on one connection; milliseconds, median and p99");
        for (var i = 1; i <= Rounds; i++)
        {
            var round = await RoundAsync(client, body, job, weather, InARound);
            var limit = (3 * Times.Percentile(round.Empty, 0.99)) + Times.Percentile(round.Planner, 0.99);
            ratios.Add(Times.Percentile(round.Plan, 0.99) / limit);
            Console.WriteLine(string.Create(
                CultureInfo.InvariantCulture,
                $"{i}: empty {Pair(round.Empty)}   plan {Pair(round.Plan)}   planner alone {Pair(round.Planner)}   plan's p99 over its goal {ratios[^1]:0.00}"));
        }

        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"median of the ratios {Times.Percentile(ratios, 0.5):0.00}"));
        var all = new List<double>(InARound);
        for (var i = 0; i < 2 * InARound; i++)
        {
            var took = await TimeAsync(() => PostAsync(client, whole));
            if (i >= InARound)
            {
                all.Add(took);
            }
        }

        Console.WriteLine($"every part of the report over HTTP {Pair(all)}");
        return 0;
    }

    private static Task<HttpResponseMessage> PostAsync(HttpClient client, byte[] body)
    {
        var content = new ByteArrayContent(body);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/json");
        return client.PostAsync(new Uri("/api/plan", UriKind.Relative), content);
    }

    private static async Task<double> TimeAsync(Func<Task<HttpResponseMessage>> send)
    {
        var from = Stopwatch.GetTimestamp();
        using var answer = await send();
        await answer.Content.ReadAsByteArrayAsync();
        answer.EnsureSuccessStatusCode();
        return Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }

    private static async Task<(List<double> Empty, List<double> Plan, List<double> Planner)> RoundAsync(
        HttpClient client, byte[] body, JobDocument job, HourlyWeather weather, int count)
    {
        var (empty, plan, planner) = (new List<double>(count), new List<double>(count), new List<double>(count));
        for (var i = 0; i < count; i++)
        {
            empty.Add(await TimeAsync(() => client.GetAsync(new Uri("/api/alive", UriKind.Relative))));
            plan.Add(await TimeAsync(() => PostAsync(client, body)));
            var from = Stopwatch.GetTimestamp();
            GC.KeepAlive(Teller.Tell(Planner.Plan(job, weather), OfAKey));
            planner.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        return (empty, plan, planner);
    }

    private static string Pair(List<double> times) =>
        string.Create(CultureInfo.InvariantCulture, $"{Times.Percentile(times, 0.5):0.000} {Times.Percentile(times, 0.99):0.000}");
}
