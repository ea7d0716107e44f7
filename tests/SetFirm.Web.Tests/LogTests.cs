using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>The diary: lines are added once, never changed, and count in the plan and in the yard.</summary>
public sealed class LogTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly HttpClient client = site.CreateClient();

    [Fact]
    public async Task A_line_told_twice_is_one_line_and_lines_come_in_the_order_of_their_hours()
    {
        var job = await Job();
        var (late, early) = (Line("2027-05-06T08:00:00Z"), Line("2027-05-05T08:00:00Z"));
        (await Tell(job, late, early)).Count.ShouldBe(2);
        (await Tell(job, late)).Count.ShouldBe(2);
        var read = JsonNode.Parse(await client.GetStringAsync($"/api/jobs/{job}/log", token))!.AsArray();
        read.Select(l => l!["at"]!.GetValue<string>()).ShouldBe(["2027-05-05T08:00:00Z", "2027-05-06T08:00:00Z"]);
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
        var line = JsonNode.Parse(await client.GetStringAsync("/api/jobs", token))!.AsArray().Single(j => j!["id"]!.GetValue<string>() == id)!;
        line["nextWetting"].ShouldNotBeNull();
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

    private async Task<string> Job() => (await site.AddedAsync()).Id;

    private async Task<string> Add(JsonNode document) => (await site.AddedAsync(document)).Id;
}
