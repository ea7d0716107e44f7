using System.Net;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Tests.Sites;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>The diary: lines are added once, never changed, and count in the plan and in the yard.</summary>
public sealed class LogTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly HttpClient client = site.CreateClient();

    [Fact]
    public async Task A_line_told_twice_is_one_line_and_lines_come_in_the_order_in_which_they_were_told()
    {
        var job = await Job();
        var (late, early) = (Line("2027-05-06T08:00:00Z"), Line("2027-05-05T08:00:00Z"));
        (await Tell(job, late, early)).Count.ShouldBe(2);
        (await Tell(job, late)).Count.ShouldBe(2);
        var read = await Read(job);
        read.Select(l => l!["seq"]!.GetValue<long>()).ShouldBe([1, 2]);
        read.Select(l => l!["event"]!["at"]!.GetValue<string>()).ShouldBe(["2027-05-06T08:00:00Z", "2027-05-05T08:00:00Z"]);
        read.ShouldAllBe(l => l!["receivedAt"]!.GetValue<string>() == "2027-05-04T07:00:00Z");
    }

    [Fact]
    public async Task Who_has_read_up_to_a_line_asks_for_what_comes_after()
    {
        var job = await Job();
        await Tell(job, [.. Enumerable.Range(5, 4).Select(day => Line($"2027-05-0{day}T08:00:00Z"))]);
        (await Read(job, "?after=2")).Select(l => l!["seq"]!.GetValue<long>()).ShouldBe([3, 4]);
        (await Read(job, "?after=4")).ShouldBeEmpty();
        (await Read(job, "?after=soon")).Count.ShouldBe(4);
        (await Read(job, "?after=-3")).Count.ShouldBe(4);
    }

    [Fact]
    public async Task Eight_who_tell_the_same_at_once_have_told_one_line_a_hundred_times_over()
    {
        var job = await Job();
        for (var round = 1; round <= 100; round++)
        {
            var body = new JsonArray(Line("2027-05-05T08:00:00Z")).ToJsonString();
            var answers = await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => site.Send(HttpMethod.Post, $"/api/jobs/{job}/log", body)));
            answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
            Array.ForEach(answers, a => a.Dispose());
        }

        (await Read(job)).Select(l => l!["seq"]!.GetValue<long>()).ShouldBe(Enumerable.Range(1, 100).Select(n => (long)n));
    }

    [Fact]
    public async Task The_same_id_in_another_job_is_another_line()
    {
        var (a, b) = (await Job(), await Job());
        var line = Line("2027-05-05T08:00:00Z");
        await Tell(a, line);
        (await Tell(b, line)).Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("noted", "\"note\":null", "$[1].note")]
    [InlineData("noted", "\"device\":null", "$[1].device")]
    [InlineData("coated", "\"product\":2147483647", "$[1].product")]
    [InlineData("coated", "\"product\":0", "$[1].product")] // the job has no coat
    [InlineData("waterAdded", "\"batch\":1,\"litres\":1e308", "$[1].litres")]
    [InlineData("noted", "\"at\":\"-0001-01-01T00:00:00Z\"", "$[1].at")]
    [InlineData("noted", "\"at\":\"1989-12-31T00:00:00Z\"", "$[1].at")]
    [InlineData("noted", "\"at\":\"2201-01-01T00:00:00Z\"", "$[1].at")]
    [InlineData("coated", "", "$[1].product")]
    [InlineData("passBegun", "\"zone\":1", "$[1].pass")]
    [InlineData("passBegun", "\"pass\":\"broom\"", "$[1].zone")]
    [InlineData("temperature", "\"of\":\"mix\"", "$[1].celsius")]
    [InlineData("withdrawn", "", "$[1].line")]
    [InlineData("sheenGone", "\"zone\":0", "$[1].zone")]
    [InlineData("temperature", "\"of\":\"mix\",\"celsius\":300", "$[1].celsius")]
    [InlineData("usedUp", "\"good\":\"\",\"amount\":1", "$[1].good")]
    [InlineData("passBegun", "\"zone\":1,\"pass\":\"sweep\"", "$[1].pass")]
    [InlineData("danced", "", "$[1].kind")]
    public async Task A_line_without_what_its_kind_needs_is_refused_by_path_and_nothing_of_it_is_kept(string kind, string more, string path)
    {
        var job = await Job();
        var bad = $"{{\"kind\":\"{kind}\",\"id\":\"{Guid.NewGuid()}\",\"at\":\"2027-05-05T08:00:00Z\"{(more.Length > 0 ? "," : "")}{more}}}";
        using var answer = await site.Send(HttpMethod.Post, $"/api/jobs/{job}/log", $"[{Line("2027-05-05T08:00:00Z").ToJsonString()},{bad}]");
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!["path"]!.GetValue<string>().ShouldBe(path);
        (await Read(job)).ShouldBeEmpty();
    }

    [Fact]
    public async Task Every_kind_of_event_is_kept_and_comes_back_as_it_was_told()
    {
        var document = await site.StartingJobAsync();
        var coat = new JsonObject { ["name"] = "Sealer", ["coats"] = 1, ["fromDays"] = 28, ["recoatLeastH"] = 4, ["recoatMostH"] = 24, ["keepWetH"] = 0, ["onDry"] = true, ["dilution"] = 0, ["cureH"] = 24 };
        document["cure"]!["coats"] = new JsonArray(coat, coat.DeepClone());
        var job = await Add(document);
        var kinds = typeof(JobEvent).GetNestedTypes().Where(t => t.IsSubclassOf(typeof(JobEvent))).ToArray();
        kinds.Length.ShouldBeGreaterThan(20);
        var json = site.Services.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions;
        var told = kinds.Select(t => JsonSerializer.SerializeToNode<JobEvent>(Example(t), json)!.AsObject()).ToArray();
        var kept = await Tell(job, told);
        kept.Select(l => l!["event"]!.ToJsonString()).ShouldBe(told.Select(t => t.ToJsonString()));
    }

    // An event of a kind, everything that it must have filled in.
    private static JobEvent Example(Type kind)
    {
        var made = (JobEvent)RuntimeHelpers.GetUninitializedObject(kind);
        foreach (var property in kind.GetProperties().Where(p => p.CanWrite))
        {
            property.SetValue(made, property.PropertyType switch
            {
                var t when t == typeof(Guid) => Guid.NewGuid(),
                var t when t == typeof(Instant) => Site.Now,
                var t when t == typeof(string) => "x",
                var t when t == typeof(int) || t == typeof(int?) => 1,
                var t when t == typeof(bool) => true,
                var t when t == typeof(PlanOfDay) => new PlanOfDay
                {
                    Start = Site.Now,
                    MixingEnds = Site.Now,
                    DoneBy = Site.Now,
                    Batches = [new PlannedBatch(Site.Now, Site.Now)],
                    Zones = [new PlannedZone(0, 1, 1, 0, 1, null, [new PlannedPass(Pass.Broom, Site.Now, Site.Now, null)])],
                },
                var t when t == typeof(double) || t == typeof(double?) => 2.5,
                var t when t == typeof(IReadOnlyList<ProbeReading>) => new ProbeReading[] { new(Site.Now, 21.5), new(Site.Now + Duration.FromMinutes(10), 22) },
                var t => Enum.GetValues(t).GetValue(1),
            });
        }

        return made;
    }

    [Fact]
    public async Task A_line_of_one_job_is_not_one_of_another()
    {
        var (a, b) = (await Job(), await Job());
        await Tell(a, Line("2027-05-05T08:00:00Z"));
        JsonNode.Parse(await client.GetStringAsync($"/api/jobs/{b}/log", token))!.AsArray().ShouldBeEmpty();
    }

    [Theory]
    [InlineData("{}", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[null]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[{\"id\":\"x\",\"at\":\"2027-05-05T08:00:00Z\",\"kind\":\"wetted\"}]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[{\"id\":\"6d1f0a4e-6a53-4a9a-9d0c-6d8f6a4e7f10\",\"at\":\"soon\",\"kind\":\"wetted\"}]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[{\"id\":\"6d1f0a4e-6a53-4a9a-9d0c-6d8f6a4e7f10\",\"at\":\"2027-05-05T08:00:00Z\",\"kind\":\"danced\"}]", HttpStatusCode.UnprocessableEntity)]
    [InlineData("[", HttpStatusCode.BadRequest)]
    public async Task What_is_no_line_is_refused(string body, HttpStatusCode status)
    {
        using var content = new StringContent(body, Encoding.UTF8, "application/json");
        (await client.PostAsync($"/api/jobs/{await Job()}/log", content, token)).StatusCode.ShouldBe(status);
    }

    [Fact]
    public async Task A_job_that_is_not_there_has_no_diary()
    {
        (await client.GetAsync($"/api/jobs/{Guid.NewGuid()}/log", token)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        using var content = new StringContent("[]", Encoding.UTF8, "application/json");
        (await client.PostAsync($"/api/jobs/{Guid.NewGuid()}/log", content, token)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_plan_counts_the_lines_it_is_given_and_refuses_what_is_none()
    {
        var document = await site.StartingJobAsync("T");
        document["day"]!["date"] = "2027-05-04";
        document["cure"]!["method"] = "burlap";
        var told = new JsonObject { ["document"] = document, ["log"] = new JsonArray(Line("2027-05-05T08:00:00Z")), ["asOf"] = "2027-05-07T08:00:00Z" };
        var plan = await Plan(told, HttpStatusCode.OK);
        plan["cure"]!["diary"]!.AsArray().Count.ShouldBe(1);
        plan["cure"]!["dryHours"]!.GetValue<double>().ShouldBeGreaterThan(12);
        told["log"] = new JsonArray((JsonNode?)null);
        await Plan(told, HttpStatusCode.UnprocessableEntity);
        told["log"] = "many";
        await Plan(told, HttpStatusCode.UnprocessableEntity);
        told["log"] = null;
        told["asOf"] = "later";
        await Plan(told, HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task The_yard_knows_when_to_wet_it_next()
    {
        var document = await site.StartingJobAsync("Wet");
        document["day"]!["date"] = "2027-05-03";
        var id = await Add(document);
        var line = (await site.LinesAsync()).Single(j => j["id"]!.GetValue<string>() == id);
        line["nextWetting"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_diary_of_before_is_moved_over_line_by_line()
    {
        var file = Site.NewFile();
        var (job, wetted) = (Guid.NewGuid(), Guid.NewGuid());
        await using (var old = new SetFirmDb(new DbContextOptionsBuilder<SetFirmDb>().UseSqlite($"Data Source={file}").Options))
        {
            await old.GetService<IMigrator>().MigrateAsync("20261125173603_WeatherFilesAndLog", token);
            var document = (await site.StartingJobAsync("Old")).ToJsonString();
            await old.Database.ExecuteSqlAsync($"INSERT INTO Jobs (Id, Name, Document, Version, CreatedAt, UpdatedAt) VALUES ({job}, 'Old', {document}, 1, 0, 0)", token);
            (Guid Id, string Kind, string More)[] lines =
            [
                (wetted, "wetted", "\"product\":null,\"strikes\":null"),
                (Guid.NewGuid(), "covered", "\"product\":null,\"strikes\":null"),
                (Guid.NewGuid(), "uncovered", "\"product\":null,\"strikes\":null"),
                (Guid.NewGuid(), "formsOff", "\"product\":null,\"strikes\":null"),
                (Guid.NewGuid(), "coated", "\"product\":2,\"strikes\":null"),
                (Guid.NewGuid(), "coated", "\"product\":null,\"strikes\":null"),
                (Guid.NewGuid(), "struck", $"\"product\":null,\"strikes\":\"{wetted}\""),
            ];
            foreach (var (line, i) in lines.Select((l, i) => (l, i)))
            {
                var entry = $"{{\"id\":\"{line.Id}\",\"at\":\"2027-05-05T08:00:00Z\",\"kind\":\"{line.Kind}\",{line.More},\"note\":\"as told\"}}";
                await old.Database.ExecuteSqlAsync($"INSERT INTO Log (Id, JobId, At, ReceivedAt, Entry) VALUES ({line.Id}, {job}, 5, {i}, {entry})", token);
            }
        }

        try
        {
            await using var now = new Site(file);
            var kept = JsonNode.Parse(await now.CreateClient().GetStringAsync($"/api/jobs/{job}/log", token))!.AsArray();
            kept.Select(l => l!["seq"]!.GetValue<long>()).ShouldBe([1, 2, 3, 4, 5, 6, 7]);
            kept.Select(l => l!["event"]!["kind"]!.GetValue<string>()).ShouldBe(["wetted", "coverOn", "coverOff", "boardsOff", "coated", "noted", "withdrawn"]);
            kept.ShouldAllBe(l => l!["event"]!["note"]!.GetValue<string>() == "as told");
            kept[4]!["event"]!["product"]!.GetValue<int>().ShouldBe(2);
            kept[6]!["event"]!["line"]!.GetValue<string>().ShouldBe($"{wetted}");
        }
        finally
        {
            Site.Remove(file);
        }
    }

    private static JsonObject Line(string at) => new() { ["id"] = Guid.NewGuid().ToString(), ["at"] = at, ["kind"] = "wetted", ["note"] = "" };

    private async Task<JsonNode> Plan(JsonNode said, HttpStatusCode status)
    {
        using var answer = await site.Send(HttpMethod.Post, "/api/plan", said.ToJsonString());
        answer.StatusCode.ShouldBe(status);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!;
    }

    private async Task<JsonArray> Tell(string job, params JsonObject[] lines)
    {
        using var answer = await site.Send(HttpMethod.Post, $"/api/jobs/{job}/log", new JsonArray([.. lines.Select(l => l.DeepClone())]).ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!.AsArray();
    }

    private async Task<JsonArray> Read(string job, string query = "") =>
        JsonNode.Parse(await client.GetStringAsync($"/api/jobs/{job}/log{query}", token))!.AsArray();

    private async Task<string> Job() => (await site.AddedAsync()).Id;

    private async Task<string> Add(JsonNode document) => (await site.AddedAsync(document)).Id;
}
