using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.SignalR.Client;

namespace SetFirm.Bench;

/// <summary>When one machine is enough: plans a second, jobs in a yard, phones on a board. Everything asks over HTTP, from the same machine, which is busy with asking too.</summary>
internal static class Load
{
    private const int Askers = 4;
    private const int Jobs = 500;
    private const int Rounds = 20;

    private static readonly TimeSpan PlansFor = TimeSpan.FromSeconds(10);

    public static async Task<int> RunAsync(string server, string root)
    {
        await using var service = new Service(server, root, demo: true);
        await service.ReadyAsync();
        await Task.Delay(8_000); // it warms up
        using var http = new HttpClient { BaseAddress = service.Address };
        var terrace = (await http.GetFromJsonAsync<JsonNode>($"/api/jobs/{await service.JobAsync("Breakfast terrace")}"))!["document"]!;
        await PlansAsync(http, terrace);
        foreach (var phones in new[] { 5, 50, 200 })
        {
            await PhonesAsync(service, http, phones);
        }

        await YardAsync(http, terrace);
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"in memory {service.MemoryMb:0} MB"));
        return 0;
    }

    private static async Task PlansAsync(HttpClient http, JsonNode terrace)
    {
        var took = new ConcurrentBag<double>();
        var until = DateTime.UtcNow + PlansFor;
        var number = 0;
        await Task.WhenAll(Enumerable.Range(0, Askers).Select(_ => Task.Run(async () =>
        {
            while (DateTime.UtcNow < until)
            {
                var document = terrace.DeepClone();
                document["name"] = $"Terrace {Interlocked.Increment(ref number)}";
                var clock = Stopwatch.StartNew();
                using var answer = await http.PostAsJsonAsync("/api/plan", new JsonObject { ["document"] = document });
                answer.EnsureSuccessStatusCode();
                await answer.Content.ReadAsByteArrayAsync();
                took.Add(clock.Elapsed.TotalMilliseconds);
            }
        })));
        double[] sorted = [.. took.Order()];
        Console.WriteLine(string.Create(
            CultureInfo.InvariantCulture, $"plans of the terrace, {Askers} asking at once: {sorted.Length / PlansFor.TotalSeconds:0} a second, half within {sorted[sorted.Length / 2]:0} ms, 95 % within {sorted[sorted.Length * 95 / 100]:0} ms"));
    }

    // A line is told; every phone that has the board open hears of it.
    private static async Task PhonesAsync(Service service, HttpClient http, int phones)
    {
        var job = await service.JobAsync("Workshop floor");
        var heard = new SemaphoreSlim(0);
        var channels = new List<HubConnection>();
        try
        {
            for (var i = 0; i < phones; i++)
            {
                var channel = new HubConnectionBuilder().WithUrl(new Uri(service.Address, "/live")).Build();
                channel.On<Guid, long>("news", (_, _) => heard.Release());
                await channel.StartAsync();
                await channel.InvokeAsync("Watch", Guid.Parse(job), $"phone {i}", "all", 0.0);
                channels.Add(channel);
            }

            var took = new List<double>();
            for (var round = 0; round < Rounds; round++)
            {
                var line = new JsonArray(new JsonObject { ["kind"] = "noted", ["id"] = Guid.NewGuid().ToString(), ["at"] = DateTime.UtcNow.ToString("O"), ["pour"] = "", ["device"] = "", ["note"] = "load" });
                var clock = Stopwatch.StartNew();
                (await http.PostAsJsonAsync($"/api/jobs/{job}/log", line)).EnsureSuccessStatusCode();
                for (var i = 0; i < phones; i++)
                {
                    await heard.WaitAsync();
                }

                took.Add(clock.Elapsed.TotalMilliseconds);
            }

            took.Sort();
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{phones} phones on one board: all have heard of a tap in {took[took.Count / 2]:0} ms (median), {took[^1]:0} ms at the most"));
        }
        finally
        {
            foreach (var channel in channels)
            {
                await channel.DisposeAsync();
            }
        }
    }

    private static async Task YardAsync(HttpClient http, JsonNode terrace)
    {
        for (var i = 0; i < Jobs; i++)
        {
            var document = terrace.DeepClone();
            document["name"] = $"Terrace {i}";
            (await http.PostAsJsonAsync("/api/jobs", document)).EnsureSuccessStatusCode();
        }

        var making = Stopwatch.StartNew();
        while ((await http.GetFromJsonAsync<JsonArray>("/api/jobs"))!.Any(l => l!["state"]!.GetValue<string>() == "pending"))
        {
            await Task.Delay(200);
        }

        var made = making.Elapsed;
        var took = new List<double>();
        for (var round = 0; round < Rounds; round++)
        {
            var clock = Stopwatch.StartNew();
            await http.GetByteArrayAsync(new Uri("/api/jobs", UriKind.Relative));
            took.Add(clock.Elapsed.TotalMilliseconds);
        }

        took.Sort();
        Console.WriteLine(string.Create(
            CultureInfo.InvariantCulture, $"a yard of {Jobs} more jobs: its lines were all made in {made.TotalSeconds:0} s in the background; the list then comes in {took[took.Count / 2]:0} ms (median)"));
    }
}
