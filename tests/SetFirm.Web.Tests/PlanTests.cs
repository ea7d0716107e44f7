using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.Configuration;
using SetFirm.Tests.Sites;
using SetFirm.Web.Plans;

namespace SetFirm.Web.Tests;

public sealed class PlanTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task Hours_to_start_in_are_ranked_from_now_on_and_a_bad_body_is_refused_as_for_a_plan()
    {
        var job = await site.StartingJobAsync("When");
        var answer = await site.Send(HttpMethod.Post, "/api/starts", new JsonObject { ["document"] = job }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var starts = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        starts["hours"]!.AsArray().Count.ShouldBeGreaterThan(60);
        starts["hours"]!.AsArray().ShouldAllBe(h => string.CompareOrdinal(h!["at"]!.GetValue<string>(), "2027-05-04") >= 0);
        await (await site.Send(HttpMethod.Post, "/api/starts", "{}")).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task A_document_comes_back_as_a_report_with_the_services_own_weather()
    {
        var report = await Planned(new JsonObject { ["document"] = await site.StartingJobAsync() });
        report["shape"]!["netL"]!.GetValue<double>().ShouldBe(216, 1e-9); // 1.8 m x 1.2 m x 100 mm
        report["mix"]!["bagged"]!["count"]!.GetValue<int>().ShouldBe(21); // (216 x 1.08 + 1.5) / 11.7 L
        report["load"]!["batches"]!.AsArray().Count.ShouldBeGreaterThan(0);
        report["day"]!["passes"]!.AsArray().Count.ShouldBe(5);
        report["cure"]!["milestones"]!.AsArray().Count.ShouldBe(6);
        report["steps"]!.AsArray().Select(s => s!["step"]!.GetValue<string>()).ShouldBe(["shape", "build", "mix", "load", "buy", "day", "pour", "cure", "lookBack"]);
    }

    [Fact]
    public async Task The_parts_that_are_asked_for_are_told_and_an_unknown_one_is_refused_by_its_place()
    {
        var job = await site.StartingJobAsync();
        var report = await Planned(new JsonObject { ["document"] = job.DeepClone(), ["parts"] = new JsonArray("shape", "build") });
        report["shape"]!["netL"]!.GetValue<double>().ShouldBe(216, 1e-9);
        report["build"].ShouldNotBeNull();
        foreach (var other in new[] { "mix", "load", "buy", "day", "board", "cure" })
        {
            report[other].ShouldBeNull(other);
        }

        report["steps"]!.AsArray().Count.ShouldBe(9);
        var problem = await (await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = job.DeepClone(), ["parts"] = new JsonArray("roof") }.ToJsonString()))
            .ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity);
        problem["path"]!.GetValue<string>().ShouldBe("$.parts[0]");
    }

    [Fact]
    public async Task That_it_answers_is_told_without_asking_the_data_file()
    {
        (await site.Get("/api/alive")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    [Fact]
    public async Task What_cannot_be_planned_in_time_is_a_plain_answer_and_keeping_it_goes_past()
    {
        using var hurried = new Site(null, ("SetFirm:PlanSeconds", "-1"));
        var job = await site.StartingJobAsync();
        foreach (var path in new[] { "/api/plan", "/api/calendar", "/api/starts", "/api/rehearse", "/api/tasks", "/api/shop", "/api/practices", "/api/faults" })
        {
            var problem = await (await hurried.Send(HttpMethod.Post, path, new JsonObject { ["document"] = job.DeepClone() }.ToJsonString())).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "too-much-to-plan");
            problem["detail"]!.GetValue<string>().ShouldContain("kept");
        }

        await hurried.AddedAsync(job.DeepClone());
    }

    [Fact]
    public async Task At_most_two_plans_are_made_at_once_and_a_short_queue_waits()
    {
        using var desk = new PlanDesk(new ConfigurationBuilder().Build());
        using var open = new SemaphoreSlim(0);
        var (atOnce, most) = (0, 0);
        var asked = Enumerable.Range(0, 40).Select(_ => Task.Run(
            () => desk.PlanAsync(
                _ =>
                {
                    most = Math.Max(most, Interlocked.Increment(ref atOnce));
                    open.Wait(token);
                    Interlocked.Decrement(ref atOnce);
                    return 1;
                },
                1, token),
            token)).ToArray();
        while (asked.Count(t => t.IsCompleted) < 40 - 18)
        {
            await Task.Delay(5, token);
        }

        (await Task.WhenAll(asked.Where(t => t.IsCompleted))).ShouldAllBe(p => p is Planned<int>.TooBusy);
        open.Release(40);
        (await Task.WhenAll(asked)).Count(p => p is Planned<int>.Made).ShouldBe(18); // two at work, sixteen waiting
        most.ShouldBe(2);
    }

    [Fact]
    public async Task Who_has_left_is_not_planned_for()
    {
        using var desk = new PlanDesk(new ConfigurationBuilder().Build());
        using var left = new CancellationTokenSource();
        var planning = desk.PlanAsync(
            budget =>
            {
                left.Cancel();
                budget.GoOn();
                return 1;
            },
            1, left.Token);
        await Should.ThrowAsync<OperationCanceledException>(() => planning);
        (await desk.PlanAsync(_ => 2, 1, token)).ShouldBeOfType<Planned<int>.Made>().Plan.ShouldBe(2); // and its place is free
    }

    [Fact]
    public async Task Given_weather_is_used_in_place_of_the_services_own()
    {
        var document = await site.StartingJobAsync();
        var cold = await Planned(new JsonObject { ["document"] = document.DeepClone(), ["weather"] = Weather(4) });
        var warm = await Planned(new JsonObject { ["document"] = document.DeepClone(), ["weather"] = Weather(28) });
        string Opens(JsonNode r) => r["day"]!["passes"]!.AsArray()[^1]!["opens"]!.GetValue<string>();
        string.CompareOrdinal(Opens(warm), Opens(cold)).ShouldBeLessThan(0);
    }

    [Fact]
    public async Task The_same_request_gives_the_same_bytes()
    {
        var body = new JsonObject { ["document"] = await site.StartingJobAsync() }.ToJsonString();
        var first = await (await site.Send(HttpMethod.Post, "/api/plan", body)).Content.ReadAsStringAsync(token);
        (await (await site.Send(HttpMethod.Post, "/api/plan", body)).Content.ReadAsStringAsync(token)).ShouldBe(first);
    }

    [Fact]
    public async Task Something_wrong_in_the_job_is_a_finding_not_a_refusal()
    {
        var document = await site.StartingJobAsync();
        document["elements"]![0]!["outline"]!["along"] = "four metres";
        var report = await Planned(new JsonObject { ["document"] = document });
        report["shape"].ShouldBeNull();
        var finding = report["findings"]!.AsArray().Single(f => f!["severity"]!.GetValue<string>() == "error")!;
        finding["where"]!.GetValue<string>().ShouldBe("/elements/0/outline/along");
        finding["says"]!["code"]!.GetValue<string>().ShouldBe("quantityUnread");
    }

    [Theory]
    [InlineData("hours", "[]", "$.weather.hours[0].hours")]
    [InlineData("start", "\"yesterday\"", "$.weather.start")]
    [InlineData("start", "\"1988-06-30T00:00:00Z\"", "$.weather.start")]
    [InlineData("start", "\"9998-01-01T00:00:00Z\"", "$.weather.start")]
    [InlineData("hours", "[{\"airC\":1e9,\"humidity\":0.5,\"windKmh\":1,\"sunWm2\":0,\"rainChance\":0,\"rainMm\":0}]", "$.weather.hours[0].airC")]
    [InlineData("hours", "[{\"airC\":20}]", "$.weather.hours[0]")]
    [InlineData("hours", "[null]", "$.weather.hours[0]")]
    [InlineData("hours", "null", "$.weather.hours")]
    public async Task Weather_that_cannot_be_is_refused_at_its_place(string field, string value, string path)
    {
        var weather = Weather(18);
        weather[field] = JsonNode.Parse(value);
        var problem = await (await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = await site.StartingJobAsync(), ["weather"] = weather }.ToJsonString()))
            .ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
        problem["path"]!.GetValue<string>().ShouldStartWith(path);
        problem["detail"]!.GetValue<string>().ShouldNotContain("System.");
    }

    [Fact]
    public async Task One_pour_is_told_in_full_and_the_others_in_short_and_the_calendar_has_them_all()
    {
        var document = await site.StartingJobAsync();
        document["elements"]![0]!["kind"] = "piece";
        document["elements"]![0]!["use"] = "tread";
        document["elements"]![0]!["chamfer"] = "";
        document["elements"]![0]!["casting"] = new JsonObject { ["pieces"] = 4, ["moulds"] = 1, ["stripDays"] = 3, ["cleanDays"] = 0 };
        var asked = new JsonObject { ["document"] = document, ["pour"] = "element-1.casting-3" };
        using var answer = await site.Send(HttpMethod.Post, "/api/plan", asked.ToJsonString());
        var plan = JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!;
        plan["pours"]!.AsArray().Count.ShouldBe(4);
        plan["pour"]!.GetValue<string>().ShouldBe("element-1.casting-3");
        var third = plan["pours"]!.AsArray()[2]!;
        plan["day"]!["start"]!.GetValue<string>().ShouldBe(third["startsAt"]!.GetValue<string>());
        using var all = await site.Send(HttpMethod.Post, "/api/calendar", asked.ToJsonString());
        var calendar = JsonNode.Parse(await all.Content.ReadAsStringAsync(token))!;
        calendar["pours"]!.AsArray().Select(p => p!["pour"]!.GetValue<string>()).ShouldBe(plan["pours"]!.AsArray().Select(p => p!["id"]!.GetValue<string>()));
        calendar["pours"]!.AsArray().ShouldAllBe(p => p!["passes"]!.AsArray().Count > 0);
        using var starts = await site.Send(HttpMethod.Post, "/api/starts", asked.ToJsonString());
        starts.StatusCode.ShouldBe(HttpStatusCode.OK);
        asked["pour"] = 7;
        using var wrong = await site.Send(HttpMethod.Post, "/api/plan", asked.ToJsonString());
        wrong.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task A_document_from_a_newer_version_is_refused_by_name()
    {
        var document = await site.StartingJobAsync();
        document["version"] = 7;
        document["somethingNew"] = new JsonObject();
        var problem = await (await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document }.ToJsonString()))
            .ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "newer-version");
        problem["detail"]!.GetValue<string>().ShouldContain("version 7");
        problem["path"]!.GetValue<string>().ShouldBe("$.version");
    }

    [Fact]
    public async Task Truncated_JSON_says_where_it_breaks_off_at_any_length()
    {
        var whole = new JsonObject { ["document"] = await site.StartingJobAsync() }.ToJsonString();
        foreach (var length in Enumerable.Range(1, 24).Select(i => i * (whole.Length - 1) / 24))
        {
            (await (await site.Send(HttpMethod.Post, "/api/plan", whole[..length])).ShouldBeRefusedAsync(HttpStatusCode.BadRequest, "unreadable-json"))
                ["detail"]!.GetValue<string>().ShouldContain("line 1");
        }
    }

    [Theory]
    [InlineData("", HttpStatusCode.BadRequest)]
    [InlineData("null", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":null}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":{}}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"\\ud800\":1}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":{\"format\":\"\\ud800\"}}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":{\"__proto__\":{},\"format\":\"setfirm-job\",\"version\":1}}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":{\"format\":\"setfirm-job\",\"version\":1e99}}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("{\"document\":NaN}", HttpStatusCode.BadRequest)]
    public async Task Hostile_bodies_are_refused(string body, HttpStatusCode status) =>
        await (await site.Send(HttpMethod.Post, "/api/plan", body)).ShouldBeRefusedAsync(status);

    [Fact]
    public async Task Deep_nesting_large_bodies_other_types_and_bad_text_are_refused()
    {
        var deep = new string('[', 5000) + new string(']', 5000);
        await (await site.Send(HttpMethod.Post, "/api/plan", deep)).ShouldBeRefusedAsync(HttpStatusCode.BadRequest, "unreadable-json");
        await (await site.Send(HttpMethod.Post, "/api/plan", "{}", type: "text/plain")).ShouldBeRefusedAsync(HttpStatusCode.UnsupportedMediaType);
        await (await site.Send(HttpMethod.Post, "/api/plan", $"\"{new string('x', 2_100_000)}\"")).ShouldBeRefusedAsync(HttpStatusCode.RequestEntityTooLarge);
        var job = new JsonObject { ["document"] = await site.StartingJobAsync("@@@@") }.ToJsonString();
        using var content = new ByteArrayContent([.. Encoding.UTF8.GetBytes(job).Select(b => b == (byte)'@' ? (byte)0xff : b)]);
        content.Headers.ContentType = new("application/json");
        await (await site.CreateClient().PostAsync(new Uri("/api/plan", UriKind.Relative), content, token)).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field");
    }

    [Fact]
    public async Task Bytes_flipped_at_random_never_bring_a_500()
    {
        var random = new Random(20270504);
        var whole = Encoding.UTF8.GetBytes(new JsonObject { ["document"] = await site.StartingJobAsync() }.ToJsonString());
        using var client = site.CreateClient();
        for (var i = 0; i < 300; i++)
        {
            var bytes = (byte[])whole.Clone();
            for (var flips = random.Next(1, 6); flips > 0; flips--)
            {
                bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
            }

            using var content = new ByteArrayContent(bytes);
            content.Headers.ContentType = new("application/json");
            var answer = await client.PostAsync(new Uri("/api/plan", UriKind.Relative), content, token);
            ((int)answer.StatusCode).ShouldBeLessThan(500, Convert.ToBase64String(bytes));
        }
    }

    private static JsonObject Weather(double airC) => new()
    {
        ["start"] = "2027-05-04T00:00:00Z",
        ["hours"] = new JsonArray([.. Enumerable.Range(0, 24 * 14).Select(_ => (JsonNode)new JsonObject
        {
            ["airC"] = airC,
            ["humidity"] = 0.6,
            ["windKmh"] = 10,
            ["sunWm2"] = 100,
            ["rainChance"] = 0,
            ["rainMm"] = 0,
        })]),
    };

    private async Task<JsonNode> Planned(JsonObject request)
    {
        var answer = await site.Send(HttpMethod.Post, "/api/plan", request.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }
}
