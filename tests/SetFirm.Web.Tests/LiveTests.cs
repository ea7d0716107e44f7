using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.WebSockets;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.SignalR.Client;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>Devices on one pour hear that there is news, and ask for what they lack.</summary>
public sealed class LiveTests : IDisposable
{
    private readonly Site site = new();
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    public void Dispose() => site.Dispose();

    [Fact]
    public async Task A_line_told_by_one_is_news_to_all_who_watch_its_job_and_to_no_other()
    {
        var (id, _) = await site.AddedAsync();
        var (other, _) = await site.AddedAsync("Other");
        await using var one = await WatchAsync(id, "Ines");
        await using var two = await WatchAsync(id, "Odd");
        await using var elsewhere = await WatchAsync(other, "Elsewhere");
        var clock = Stopwatch.StartNew();
        var line = new JsonArray(new JsonObject { ["kind"] = "rain", ["id"] = Guid.NewGuid().ToString(), ["at"] = "2027-05-04T07:00:00Z", ["pour"] = "", ["device"] = "Ines", ["note"] = "" });
        (await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", line.ToJsonString())).EnsureSuccessStatusCode();
        (await one.NewsAsync(token)).ShouldBe((id, 1));
        (await two.NewsAsync(token)).ShouldBe((id, 1));
        clock.Elapsed.TotalSeconds.ShouldBeLessThan(5); // how fast it really is the bench says
        elsewhere.Heard.ShouldBe(0);
        // And by its number it is asked for.
        (await JsonAsync($"/api/jobs/{id}/log?after=0")).Count.ShouldBe(1);
        (await JsonAsync($"/api/jobs/{id}/log?after=1")).Count.ShouldBe(0);
    }

    [Fact]
    public async Task Who_has_the_board_open_is_seen_with_what_they_do_and_how_far_their_clock_is_off()
    {
        var (id, _) = await site.AddedAsync();
        var one = await WatchAsync(id, "Ines", "mixing", off: TimeSpan.FromMinutes(-2));
        await using var two = await WatchAsync(id, new string('x', 200), "finishing");
        var here = await JsonAsync($"/api/jobs/{id}/here");
        here.Count.ShouldBe(2);
        var ines = here.Single(h => h!["device"]!.GetValue<string>() == "Ines")!;
        ines["role"]!.GetValue<string>().ShouldBe("mixing");
        ines["clockOffS"]!.GetValue<double>().ShouldBe(-120, 1);
        here.Single(h => h != ines)!["device"]!.GetValue<string>().Length.ShouldBe(60);
        await one.DisposeAsync();
        while ((await JsonAsync($"/api/jobs/{id}/here")).Count != 1)
        {
            await Task.Delay(20, token);
        }

        // Whoever watches another job is not on this one any more.
        var (other, _) = await site.AddedAsync("Other");
        await two.Hub.InvokeAsync("Watch", Guid.Parse(other), "Odd", "all", 0.0, token);
        (await JsonAsync($"/api/jobs/{id}/here")).Count.ShouldBe(0);
        (await JsonAsync($"/api/jobs/{other}/here")).Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_job_that_is_changed_is_told_of_too()
    {
        var (id, document) = await site.AddedAsync();
        await using var one = await WatchAsync(id, "Ines");
        document["name"] = "Another";
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).EnsureSuccessStatusCode();
        (await one.Changed.Task.WaitAsync(TimeSpan.FromSeconds(10), token)).ShouldBe(id);
    }

    [Theory]
    [InlineData("https://elsewhere.example", null)]
    [InlineData(null, "cross-site")]
    public async Task Another_sites_page_opens_no_channel(string? origin, string? fetchSite)
    {
        using var socket = new ClientWebSocket();
        socket.Options.SetRequestHeader("Origin", origin ?? site.Address.GetLeftPart(UriPartial.Authority));
        if (fetchSite is not null)
        {
            socket.Options.SetRequestHeader("Sec-Fetch-Site", fetchSite);
        }

        var address = new UriBuilder(site.Address) { Scheme = "ws", Path = "/live" }.Uri;
        await Should.ThrowAsync<WebSocketException>(() => socket.ConnectAsync(address, token));
        socket.HttpStatusCode.ShouldNotBe(HttpStatusCode.SwitchingProtocols);
        using var client = site.CreateClient();
        using var ask = new HttpRequestMessage(HttpMethod.Post, "/live/negotiate?negotiateVersion=1");
        ask.Headers.Add("Origin", origin ?? "https://elsewhere.example");
        (await client.SendAsync(ask, token)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task The_time_is_told_by_the_services_clock()
    {
        var clock = (await (await site.Get("/api/clock")).Content.ReadFromJsonAsync<JsonNode>(token))!;
        clock["now"]!.GetValue<string>().ShouldBe("2027-05-04T07:00:00Z");
        clock["times"]!.GetValue<double>().ShouldBe(1);
    }

    [Fact]
    public async Task What_cannot_be_on_a_board_is_refused_at_its_field()
    {
        var (id, document) = await site.AddedAsync();
        var plan = (await (await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document.DeepClone() }.ToJsonString())).Content.ReadFromJsonAsync<JsonNode>(token))!["board"]!["plan"]!;
        JsonObject Line(string kind, params (string Name, JsonNode Value)[] more)
        {
            var line = new JsonObject { ["kind"] = kind, ["id"] = Guid.NewGuid().ToString(), ["at"] = "2027-05-04T07:00:00Z", ["pour"] = "", ["device"] = "", ["note"] = "" };
            foreach (var (name, value) in more)
            {
                line[name] = value;
            }

            return line;
        }

        async Task<HttpResponseMessage> Tell(JsonObject line) => await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", new JsonArray(line).ToJsonString());
        (await Tell(Line("dayBegun", ("plan", plan.DeepClone())))).StatusCode.ShouldBe(HttpStatusCode.OK);
        var wrong = plan.DeepClone();
        wrong["zones"]![0]!["lastBatch"] = 900;
        (await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field"))["path"]!.GetValue<string>().ShouldBe("$[0].plan");
        wrong = plan.DeepClone();
        wrong["batches"]!.AsArray().Clear();
        await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        wrong = plan.DeepClone();
        wrong["zones"] = new JsonArray((JsonNode?)null);
        await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        foreach (var zone in new JsonNode[] { new JsonObject(), new JsonObject { ["element"] = 0, ["firstBatch"] = 1, ["lastBatch"] = 1, ["from"] = 0, ["to"] = 1 }, new JsonObject { ["element"] = 0, ["firstBatch"] = 1, ["lastBatch"] = 1, ["from"] = 0, ["to"] = 1, ["passes"] = null } })
        {
            wrong = plan.DeepClone();
            wrong["zones"] = new JsonArray(zone);
            await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        }

        foreach (var field in new[] { "batches", "zones", "start" })
        {
            wrong = plan.DeepClone();
            wrong[field] = null;
            await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        }

        await (await Tell(Line("dayBegun", ("plan", new JsonObject())))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        wrong = plan.DeepClone();
        wrong["doneBy"] = "2027-07-01T00:00:00Z"; // no day is so long
        await (await Tell(Line("dayBegun", ("plan", wrong)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        await (await Tell(Line("handsChanged", ("hands", 0)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        await (await Tell(Line("jointMade", ("batch", 0)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        await (await Tell(Line("misted", ("zone", -1)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        await (await Tell(Line("dayClosed", ("washed", true), ("holdBackUsed", false), ("bagsLeft", -1)))).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
    }

    private async Task<JsonArray> JsonAsync(string path) => (await (await site.Get(path)).Content.ReadFromJsonAsync<JsonNode>(token))!.AsArray();

    private async Task<Watcher> WatchAsync(string job, string device, string role = "all", TimeSpan off = default)
    {
        var watcher = new Watcher(new HubConnectionBuilder().WithUrl(new Uri(site.Address, "/live")).Build());
        await watcher.Hub.StartAsync(token);
        await watcher.Hub.InvokeAsync("Watch", Guid.Parse(job), device, role, (double)Site.Now.ToUnixTimeMilliseconds() + off.TotalMilliseconds, token);
        return watcher;
    }

    private sealed class Watcher : IAsyncDisposable
    {
        private readonly TaskCompletionSource<(string Job, long Last)> news = new(TaskCreationOptions.RunContinuationsAsynchronously);

        public Watcher(HubConnection hub)
        {
            Hub = hub;
            hub.On<Guid, long>("news", (job, last) =>
            {
                Heard++;
                news.TrySetResult((job.ToString(), last));
            });
            hub.On<Guid>("changed", job => Changed.TrySetResult(job.ToString()));
        }

        public HubConnection Hub { get; }

        public int Heard { get; private set; }

        public TaskCompletionSource<string> Changed { get; } = new(TaskCreationOptions.RunContinuationsAsynchronously);

        public Task<(string Job, long Last)> NewsAsync(CancellationToken token) => news.Task.WaitAsync(TimeSpan.FromSeconds(10), token);

        public ValueTask DisposeAsync() => Hub.DisposeAsync();
    }
}
