using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Sockets;
using System.Text;
using NodaTime;
using SetFirm.Core.Plans;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Weather;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Bench;

/// <summary>
/// A plan over HTTP against an endpoint that does nothing, in turn on one connection, so that both see the same machine.
/// Goal: the plan's p99 within three times the empty endpoint's, plus the plan itself.
/// </summary>
internal static class HttpLoad
{
    private const int Warmup = 400;
    private const int Counted = 3000;

    public static async Task<int> RunAsync(string server, string root)
    {
        var file = Path.Combine(Path.GetTempPath(), $"setfirm-bench-{Guid.NewGuid():N}.db");
        var address = new Uri($"http://127.0.0.1:{FreePort()}");
        using var process = Start(server, root, address, file);
        try
        {
            using var client = new HttpClient { BaseAddress = address };
            await ReadyAsync(client);
            var today = SystemClock.Instance.GetCurrentInstant().InUtc().Date;
            var job = DemoYard.Terrace(today.PlusDays(3));
            var body = Encoding.UTF8.GetBytes($$"""{"document":{{JobFile.Write(job)}}}""");
            var (empty, plan) = (new List<double>(Counted), new List<double>(Counted));
            for (var i = -Warmup; i < Counted; i++)
            {
                var (e, p) = (await TimeAsync(() => client.GetAsync(new Uri("/api/health", UriKind.Relative))), await TimeAsync(() => PostAsync(client, body)));
                if (i >= 0)
                {
                    empty.Add(e);
                    plan.Add(p);
                }
            }

            var inProcess = InProcess(job);
            var limit = (3 * Percentile(empty, 0.99)) + inProcess;
            Console.WriteLine($"{Counted} requests each, in turn on one connection; milliseconds");
            Console.WriteLine(Line("GET  /api/health", empty));
            Console.WriteLine(Line("POST /api/plan", plan));
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"the plan itself, in process, p99      {inProcess,8:0.000}"));
            Console.WriteLine(string.Create(
                CultureInfo.InvariantCulture, $"p99 of a plan against 3 x p99 of nothing + the plan: {Percentile(plan, 0.99):0.000} of {limit:0.000}, ratio {Percentile(plan, 0.99) / limit:0.00}"));
            return 0;
        }
        finally
        {
            process.Kill();
            await process.WaitForExitAsync();
            foreach (var end in new[] { "", "-wal", "-shm" })
            {
                File.Delete(file + end);
            }
        }
    }

    private static Process Start(string server, string root, Uri address, string file)
    {
        var start = new ProcessStartInfo("dotnet", [server, "--contentRoot", root, "--urls", address.ToString()]);
        start.Environment["SetFirm__Database"] = file;
        start.Environment["SetFirm__BurstOfRequests"] = "10000000";
        return Process.Start(start) ?? throw new InvalidOperationException("the service did not start");
    }

    private static async Task ReadyAsync(HttpClient client)
    {
        for (var tries = 0; ; tries++)
        {
            try
            {
                (await client.GetAsync(new Uri("/api/health", UriKind.Relative))).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException) when (tries < 200)
            {
                await Task.Delay(50);
            }
        }
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

    private static double InProcess(JobDocument job)
    {
        HourlyWeather weather = new SimulatedForecast().Hours(SystemClock.Instance.GetCurrentInstant(), JobWeather.ForecastDays * 24);
        var times = new List<double>(Counted);
        for (var i = -Warmup; i < Counted; i++)
        {
            var from = Stopwatch.GetTimestamp();
            GC.KeepAlive(Planner.Plan(job, weather));
            if (i >= 0)
            {
                times.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            }
        }

        return Percentile(times, 0.99);
    }

    private static string Line(string name, List<double> times) => string.Create(
        CultureInfo.InvariantCulture, $"{name,-18} median {Percentile(times, 0.5),8:0.000}   p99 {Percentile(times, 0.99),8:0.000}   most {times.Max(),8:0.000}");

    private static double Percentile(List<double> times, double share) => times.Order().ElementAt((int)Math.Ceiling(share * times.Count) - 1);

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
