using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using NodaTime;
using SetFirm.Answers;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Tests.Sites;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Web.Tests;

/// <summary>What stands between JSON and the planner: one form of a report however it is written, and what a device takes along to plan by itself.</summary>
public sealed class AnswersTests : IDisposable
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly string folder = Directory.CreateTempSubdirectory("setfirm-planner-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public void A_report_says_the_same_by_the_writer_of_reports_and_by_the_options_that_the_contract_is_made_from()
    {
        var contract = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        WireJson.Configure(contract);
        var reports = WireJson.ForReports();
        var hours = new SimulatedForecast().Hours(Site.Now, JobWeather.ForecastDays * 24);
        var codes = new HashSet<string>();
        foreach (var job in DemoJobs.Jobs(new LocalDateTime(2027, 5, 4, 9, 0)))
        {
            var report = Teller.Tell(Planner.Plan(job, hours));
            var (one, other) = (JsonSerializer.SerializeToNode(report, reports), JsonSerializer.SerializeToNode(report, contract));
            Differences(one, other, "$").ShouldBeEmpty(job.Name);
            codes.UnionWith(one!["findings"]!.AsArray().Select(f => f!["says"]!["code"]!.GetValue<string>()));
            codes.UnionWith(one["explanations"]!.AsArray().Select(e => e!["says"]!["code"]!.GetValue<string>()));
        }

        codes.Count.ShouldBeGreaterThan(40); // members of the families were met, and many
    }

    [Fact]
    public async Task What_goes_along_makes_the_plan_that_the_program_makes_by_itself()
    {
        using var site = new Site();
        var document = await site.StartingJobAsync();
        var along = await Json(site, "/api/along", document);
        along["planner"].ShouldBeNull(); // there is none here
        var own = await Text(site, "/api/plan", new JsonObject { ["document"] = document.DeepClone() });
        var handed = await Text(site, "/api/plan", new JsonObject
        {
            ["document"] = document.DeepClone(),
            ["weather"] = along["weather"]!.DeepClone(),
            ["learnt"] = along["learnt"]!.DeepClone(),
        });
        handed.ShouldBe(own);
        var starts = await Text(site, "/api/starts", new JsonObject { ["document"] = document.DeepClone() });
        (await Text(site, "/api/starts", new JsonObject { ["document"] = document.DeepClone(), ["weather"] = along["ahead"]!.DeepClone() })).ShouldBe(starts);
    }

    [Fact]
    public async Task With_fewer_members_a_plan_says_so_where_it_says_how_many()
    {
        using var site = new Site();
        var document = await site.StartingJobAsync();
        async Task<int> MembersAsync(int? members)
        {
            var body = new JsonObject { ["document"] = document.DeepClone(), ["members"] = members };
            return (await Json(site, "/api/plan", body))["explanations"]!.AsArray().First(e => e!["says"]!["code"]!.GetValue<string>() == "passWindow")!["says"]!["members"]!.GetValue<int>();
        }

        (await MembersAsync(null)).ShouldBe(40);
        (await MembersAsync(20)).ShouldBe(20);
        (await MembersAsync(400)).ShouldBe(40); // at the most
    }

    [Theory]
    [InlineData("""{"members":9}""", "$.members")]
    [InlineData("""{"members":401}""", "$.members")]
    [InlineData("""{"members":"many"}""", "$.members")]
    [InlineData("""{"weather":{"start":"2027-05-04T00:00:00Z","hours":[],"issued":"1889-01-01T00:00:00Z"}}""", "$.weather.issued")]
    [InlineData("""{"asOf":"2500-01-01T00:00:00Z"}""", "$.asOf")]
    public async Task What_cannot_be_is_refused_at_its_place(string said, string path)
    {
        using var site = new Site();
        var body = JsonNode.Parse(said)!.AsObject();
        body["document"] = await site.StartingJobAsync();
        var answer = await site.Send(HttpMethod.Post, "/api/plan", body.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!["path"]!.GetValue<string>().ShouldBe(path);
    }

    [Fact]
    public async Task The_planner_is_served_as_it_was_packed_and_only_when_it_is_there()
    {
        using var site = new Site(null, ("SetFirm:Planner", folder));
        var document = await site.StartingJobAsync();
        (await Json(site, "/api/along", document))["planner"].ShouldBeNull();
        var files = Directory.CreateDirectory(Path.Combine(folder, "_framework")).FullName;
        await File.WriteAllTextAsync(Path.Combine(files, "dotnet.js"), "plain", token);
        await File.WriteAllTextAsync(Path.Combine(files, "Core.abcdefghij.wasm"), "whole", token);
        await File.WriteAllTextAsync(Path.Combine(files, "Core.abcdefghij.wasm.br"), "packed", token);
        await File.WriteAllTextAsync(Path.Combine(Path.GetDirectoryName(folder)!, Path.GetFileName(folder) + ".txt"), "not yours", token);
        (await Json(site, "/api/along", document))["planner"]!.GetValue<string>().ShouldBe("/planner/_framework/dotnet.js"); // made while the program ran
        var whole = await GetAsync(site, "/planner/_framework/Core.abcdefghij.wasm", null);
        (await whole.Content.ReadAsStringAsync(token)).ShouldBe("whole");
        whole.Content.Headers.ContentType!.MediaType.ShouldBe("application/wasm");
        whole.Headers.CacheControl!.ToString().ShouldContain("immutable");
        var packed = await GetAsync(site, "/planner/_framework/Core.abcdefghij.wasm", "gzip, br;q=1.0");
        (await packed.Content.ReadAsStringAsync(token)).ShouldBe("packed");
        packed.Content.Headers.ContentType!.MediaType.ShouldBe("application/wasm");
        packed.Content.Headers.ContentEncoding.ShouldBe(["br"]);
        packed.Headers.Vary.ShouldContain("Accept-Encoding");
        (await GetAsync(site, "/planner/_framework/dotnet.js", "br")).Headers.CacheControl!.NoCache.ShouldBeTrue(); // its name says nothing of what is in it
        foreach (var path in (string[])["/planner/_framework/none.wasm", $"/planner/..%2f{Path.GetFileName(folder)}.txt", $"/planner/%2e%2e/{Path.GetFileName(folder)}.txt"])
        {
            (await (await GetAsync(site, path, "br")).Content.ReadAsStringAsync(token)).ShouldNotContain("not yours");
        }

        File.Delete(folder + ".txt");
    }

    private async Task<HttpResponseMessage> GetAsync(Site site, string path, string? encoding)
    {
        using var http = new HttpClient(new SocketsHttpHandler { AutomaticDecompression = DecompressionMethods.None }) { BaseAddress = site.Address };
        var request = new HttpRequestMessage(HttpMethod.Get, path);
        if (encoding is not null)
        {
            request.Headers.TryAddWithoutValidation("Accept-Encoding", encoding);
        }

        return await http.SendAsync(request, token);
    }

    private async Task<string> Text(Site site, string path, JsonNode body)
    {
        var answer = await site.Send(HttpMethod.Post, path, body.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        return await answer.Content.ReadAsStringAsync(token);
    }

    private async Task<JsonNode> Json(Site site, string path, JsonNode body) => JsonNode.Parse(await Text(site, path, body))!;

    // Reports are told to nine digits; all else is the same.
    private static IEnumerable<string> Differences(JsonNode? one, JsonNode? other, string path) => (one, other) switch
    {
        (JsonObject a, JsonObject b) => a.Select(p => p.Key).Union(b.Select(p => p.Key)).SelectMany(k => Differences(a[k], b[k], $"{path}.{k}")),
        (JsonArray a, JsonArray b) when a.Count == b.Count => a.SelectMany((v, i) => Differences(v, b[i], $"{path}[{i}]")),
        (JsonValue a, JsonValue b) when a.GetValueKind() == JsonValueKind.Number && b.GetValueKind() == JsonValueKind.Number =>
            Near(Number(a), Number(b)) ? [] : [$"{path}: {a} and {b}"],
        _ => JsonNode.DeepEquals(one, other) ? [] : [$"{path}: {one} and {other}"],
    };

    private static double Number(JsonValue value) => double.Parse(value.ToJsonString(), System.Globalization.CultureInfo.InvariantCulture);

    private static bool Near(double a, double b) => Math.Abs(a - b) <= 1e-8 * Math.Max(1, Math.Max(Math.Abs(a), Math.Abs(b)));
}
