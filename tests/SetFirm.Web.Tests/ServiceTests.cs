using System.Net;
using System.Net.Http.Json;
using System.Runtime.CompilerServices;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using SetFirm.Tests.Sites;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>The service as a whole: its contract, its data file, its manners.</summary>
public sealed class ServiceTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_contract_served_is_the_one_committed()
    {
        var served = JsonNode.Parse(await (await site.Get("/openapi/v1.json")).Content.ReadAsStringAsync(token))!;
        var committed = JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(Root(), "web/openapi/setfirm.json"), token))!;
        served.AsObject().Remove("servers");
        committed.AsObject().Remove("servers");
        JsonNode.DeepEquals(served, committed).ShouldBeTrue();
        served["paths"]!.AsObject().Select(p => p.Key).ShouldContain("/api/plan");
    }

    [Fact]
    public async Task The_schema_of_the_job_file_is_served() =>
        JsonNode.Parse(await (await site.Get("/api/job-schema")).Content.ReadAsStringAsync(token))!["title"]!.GetValue<string>().ShouldBe("Set Firm job");

    [Fact]
    public async Task What_was_kept_is_there_after_a_restart()
    {
        var file = Site.NewFile();
        try
        {
            string id;
            using (var first = new Site(file))
            {
                (id, _) = await first.AddedAsync("Kept");
            }

            using var second = new Site(file);
            (await second.Get($"/api/jobs/{id}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task The_data_file_keeps_a_write_ahead_log()
    {
        (await site.Get("/api/health")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Scalar(site.File, "PRAGMA journal_mode")).ShouldBe("wal");
    }

    [Fact]
    public async Task A_data_file_from_a_newer_program_is_refused_and_left_alone()
    {
        var file = Site.NewFile();
        try
        {
            using (var first = new Site(file))
            {
                await first.AddedAsync("Safe");
            }

            await Scalar(file, "INSERT INTO __EFMigrationsHistory VALUES ('99991231000000_FromTheFuture', '99.0.0') RETURNING 1");
            using var second = new Site(file);
            Should.Throw<NewerDatabaseException>(() => second.StartServer()).Message.ShouldContain("FromTheFuture");
            (await Scalar(file, "SELECT Name FROM Jobs")).ShouldBe("Safe");
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task The_demo_yard_is_laid_out_once_and_all_of_it_is_planned()
    {
        var file = Site.NewFile();
        try
        {
            for (var start = 0; start < 2; start++)
            {
                using var demo = new Site(file, ("SetFirm:Demo", "true"));
                var jobs = await demo.LinesAsync();
                jobs.Select(j => j["name"]!.GetValue<string>()).ShouldBeUnique();
                jobs.ShouldAllBe(j => j["orderL"] != null && j["start"] != null && j["wetUntil"] != null);
                var phases = jobs.Select(j => j["phase"]!.GetValue<string>()).ToArray();
                phases.ShouldContain("planned");
                phases.ShouldContain("pouring");
                phases.ShouldContain("keepWet");
                phases.ShouldContain("done");
                phases.ShouldNotContain("wentBy"); // each was told of
                jobs.Select(j => j["units"]!.GetValue<string>()).Distinct().Count().ShouldBe(2);
            }
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task The_forecast_says_that_it_is_simulated_and_is_the_same_each_time()
    {
        var first = await (await site.Get("/api/forecast?timeZone=Europe/Berlin")).Content.ReadAsStringAsync(token);
        (await (await site.Get("/api/forecast?timeZone=Europe/Berlin")).Content.ReadAsStringAsync(token)).ShouldBe(first);
        var forecast = JsonNode.Parse(first)!;
        forecast["simulated"]!.GetValue<bool>().ShouldBeTrue();
        forecast["days"]!.AsArray().Count.ShouldBe(14);
        forecast["days"]![0]!["day"]!["date"]!.GetValue<string>().ShouldBe("2027-05-04");
        await (await site.Get("/api/forecast?timeZone=Middle/Earth")).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unknown-time-zone");
    }

    [Theory]
    [InlineData("/api/nothing")]
    [InlineData("/api/jobs/not-a-guid")]
    [InlineData("/api/jobs/00000000-0000-0000-0000-000000000000")]
    public async Task An_unknown_place_in_the_api_is_a_problem_not_a_page(string path) =>
        await (await site.Get(path)).ShouldBeRefusedAsync(HttpStatusCode.NotFound);

    [Theory]
    [InlineData("/api/jobs/start?units=cubits", "unknown-units")]
    [InlineData("/api/jobs/start?timeZone=Moon/Sea", "unknown-time-zone")]
    [InlineData("/api/lessons?units=cubits", "unknown-units")]
    [InlineData("/api/lessons?timeZone=Moon/Sea", "unknown-time-zone")]
    public async Task A_wrong_query_is_a_problem(string path, string type) =>
        await (await site.Get(path)).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, type);

    [Fact]
    public async Task Pages_may_run_only_our_own_scripts_and_sit_in_no_frame()
    {
        var policy = (await site.Get("/api/health")).Headers.GetValues("Content-Security-Policy").ShouldHaveSingleItem();
        policy.ShouldContain("default-src 'self'");
        policy.ShouldContain("frame-ancestors 'none'");
        policy.ShouldContain("script-src 'self' 'wasm-unsafe-eval';"); // the planner that the page takes along
        policy.ShouldNotContain("'unsafe-eval'");
        (await site.Get("/api/health")).Headers.GetValues("X-Content-Type-Options").ShouldBe(["nosniff"]);
        (await site.Get("/api/health")).Headers.Contains("Server").ShouldBeFalse();
    }

    [Fact]
    public async Task Another_hosts_name_is_turned_away()
    {
        var request = new HttpRequestMessage(HttpMethod.Get, "/api/health");
        request.Headers.Host = "elsewhere.example";
        (await site.CreateClient().SendAsync(request, token)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Too_many_requests_at_once_are_put_off_with_a_problem()
    {
        using var small = new Site(null, ("SetFirm:BurstOfRequests", "3"));
        HttpResponseMessage? refused = null;
        for (var i = 0; i < 300 && refused is null; i++)
        {
            var answer = await small.Get("/api/health");
            refused = answer.StatusCode == HttpStatusCode.OK ? null : answer;
        }

        await refused.ShouldNotBeNull().ShouldBeRefusedAsync(HttpStatusCode.TooManyRequests);
        refused.Headers.RetryAfter.ShouldNotBeNull();
        // What a page is made of is not counted.
        (await small.Get("/icon.svg")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Theory]
    [InlineData("POST", "/api/jobs")]
    [InlineData("POST", "/api/weather-files?name=x.csv&timeZone=Europe/Berlin")]
    [InlineData("POST", "/api/outlines")]
    [InlineData("POST", "/api/plan")]
    [InlineData("POST", "/api/jobs/00000000-0000-0000-0000-000000000000/restore")]
    [InlineData("POST", "/api/jobs/00000000-0000-0000-0000-000000000000/log")]
    [InlineData("PUT", "/api/jobs/00000000-0000-0000-0000-000000000000")]
    [InlineData("DELETE", "/api/jobs/00000000-0000-0000-0000-000000000000")]
    public async Task Another_sites_page_changes_nothing(string method, string path)
    {
        async Task<HttpResponseMessage> Ask(params (string Name, string Value)[] headers)
        {
            var request = new HttpRequestMessage(new HttpMethod(method), path) { Content = new StringContent("a,b", System.Text.Encoding.UTF8, "text/plain") };
            foreach (var (name, value) in headers)
            {
                request.Headers.TryAddWithoutValidation(name, value);
            }

            return await site.CreateClient().SendAsync(request, token);
        }

        await (await Ask(("Sec-Fetch-Site", "cross-site"))).ShouldBeRefusedAsync(HttpStatusCode.Forbidden, "cross-site");
        await (await Ask(("Sec-Fetch-Site", "same-site"))).ShouldBeRefusedAsync(HttpStatusCode.Forbidden, "cross-site");
        await (await Ask(("Origin", "http://elsewhere.example"))).ShouldBeRefusedAsync(HttpStatusCode.Forbidden, "cross-site");
        await (await Ask(("Origin", "null"))).ShouldBeRefusedAsync(HttpStatusCode.Forbidden, "cross-site");
        // Its own page, and what is no browser, come as far as ever.
        var own = site.CreateClient().BaseAddress!.GetLeftPart(UriPartial.Authority);
        (await Ask(("Sec-Fetch-Site", "same-origin"), ("Origin", own))).StatusCode.ShouldNotBe(HttpStatusCode.Forbidden);
        (await Ask(("Origin", own))).StatusCode.ShouldNotBe(HttpStatusCode.Forbidden);
        (await Ask()).StatusCode.ShouldNotBe(HttpStatusCode.Forbidden);
    }

    [Theory]
    [InlineData("/api/health")]
    [InlineData("/api/nothing")]
    [InlineData("/api/jobs/not-a-guid")]
    [InlineData("/index.html")]
    public async Task Every_answer_has_the_same_manners(string path)
    {
        var answer = await site.Get(path);
        answer.Headers.GetValues("Content-Security-Policy").ShouldHaveSingleItem().ShouldContain("default-src 'self'");
        answer.Headers.GetValues("X-Content-Type-Options").ShouldBe(["nosniff"]);
        answer.Headers.GetValues("Referrer-Policy").ShouldBe(["no-referrer"]);
        (answer.Headers.CacheControl?.NoStore ?? false).ShouldBe(path.StartsWith("/api", StringComparison.Ordinal));
    }

    private static async Task<string?> Scalar(string file, string sql)
    {
        await using var db = new SqliteConnection($"Data Source={file};Pooling=False");
        await db.OpenAsync(TestContext.Current.CancellationToken);
        await using var command = db.CreateCommand();
        command.CommandText = sql;
        return (await command.ExecuteScalarAsync(TestContext.Current.CancellationToken))?.ToString();
    }

    private static string Root([CallerFilePath] string here = "") => Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "../.."));
}
