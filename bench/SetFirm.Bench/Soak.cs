using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace SetFirm.Bench;

/// <summary>
/// An hour of people at work on the demo yard: keys typed, jobs saved, lines told, the yard looked at, some weather files read and let go.
/// Goal: memory flat and under 350 MB, no errors. Told minute by minute; the medians of the second and the last quarter say whether it grows.
/// </summary>
internal static class Soak
{
    /// <param name="server">Its dll.</param>
    /// <param name="root">Its content root.</param>
    /// <param name="minutes">How long.</param>
    public static async Task<int> RunAsync(string server, string root, double minutes)
    {
        await using var service = new Service(server, root, demo: true);
        using var client = new HttpClient { BaseAddress = service.Address };
        await service.ReadyAsync();
        var jobs = (await client.GetFromJsonAsync<JsonNode>("/api/jobs"))!.AsArray().Select(j => j!["id"]!.GetValue<string>()).ToArray();
        var (clock, minute, asked, errors, memory) = (Stopwatch.StartNew(), Stopwatch.StartNew(), 0L, 0L, new List<double>());
        var random = new Random(1);
        while (clock.Elapsed.TotalMinutes < minutes)
        {
            asked++;
            errors += await OneAsync(client, jobs[random.Next(jobs.Length)], random, asked) ? 0 : 1;
            if (minute.Elapsed.TotalMinutes >= 1)
            {
                minute.Restart();
                memory.Add(service.MemoryMb);
                Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{clock.Elapsed.TotalMinutes,4:0} min: {memory[^1]:0} MB, {asked} asked, {errors} errors"));
            }
        }

        var quarter = Math.Max(1, memory.Count / 4);
        Console.WriteLine(string.Create(
            CultureInfo.InvariantCulture,
            $"median of the second quarter {Times.Percentile([.. memory.Skip(quarter).Take(quarter)], 0.5):0} MB, of the last {Times.Percentile([.. memory.TakeLast(quarter)], 0.5):0} MB, most {memory.Max():0} MB; {errors} errors of {asked}"));
        return 0;
    }

    private static async Task<bool> OneAsync(HttpClient client, string id, Random random, long asked)
    {
        var job = (await client.GetFromJsonAsync<JsonNode>($"/api/jobs/{id}"))!;
        var document = job["document"]!;
        switch (random.Next(40))
        {
            case 0:
                return (await client.GetAsync(new Uri("/api/jobs", UriKind.Relative))).IsSuccessStatusCode;
            case 1:
            case 2:
                document["mixing"]!["hands"] = random.Next(1, 5);
                using (var save = new HttpRequestMessage(HttpMethod.Put, $"/api/jobs/{id}") { Content = Json(document) })
                {
                    save.Headers.TryAddWithoutValidation("If-Match", $"\"{job["version"]}\"");
                    return (await client.SendAsync(save)).IsSuccessStatusCode;
                }

            case 3 when asked < 40_000: // a diary holds so many
                var line = new JsonArray(new JsonObject { ["kind"] = "noted", ["id"] = Guid.NewGuid().ToString(), ["at"] = DateTime.UtcNow.ToString("O"), ["pour"] = "", ["device"] = "", ["note"] = "soak" });
                return (await client.PostAsync(new Uri($"/api/jobs/{id}/log", UriKind.Relative), Json(line))).IsSuccessStatusCode;
            case 4 when random.Next(20) == 0:
                return (await client.PostAsync(new Uri("/api/starts", UriKind.Relative), Json(new JsonObject { ["document"] = document.DeepClone() }))).IsSuccessStatusCode;
            case 5:
                return (await client.PostAsync(new Uri("/api/calendar", UriKind.Relative), Json(new JsonObject { ["document"] = document.DeepClone() }))).IsSuccessStatusCode;
            default:
                // Another length with each key.
                document["build"]!["stringAbove"] = string.Create(CultureInfo.InvariantCulture, $"{80 + random.Next(60)} mm");
                return (await client.PostAsync(new Uri("/api/plan", UriKind.Relative), Json(new JsonObject { ["document"] = document.DeepClone() }))).IsSuccessStatusCode;
        }
    }

    private static StringContent Json(JsonNode body) => new(body.ToJsonString(), Encoding.UTF8, MediaTypeHeaderValue.Parse("application/json"));
}
