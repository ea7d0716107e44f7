using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using NodaTime;
using SetFirm.Tests.Sites;
using SetFirm.Web.Jobs;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

public sealed class JobTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_job_is_made_read_changed_removed_and_brought_back()
    {
        var start = await site.StartingJobAsync("Greenhouse path");
        var made = await site.Send(HttpMethod.Post, "/api/jobs", start.ToJsonString());
        made.StatusCode.ShouldBe(HttpStatusCode.Created);
        made.Headers.ETag!.Tag.ShouldBe("\"1\"");
        var place = made.Headers.Location!.ToString();

        var read = await Json(await site.Get(place));
        JsonNode.DeepEquals(read["document"], start).ShouldBeTrue();

        start["name"] = "Path to the greenhouse";
        var changed = await site.Send(HttpMethod.Put, place, start.ToJsonString(), ifMatch: "\"1\"");
        changed.StatusCode.ShouldBe(HttpStatusCode.OK);
        changed.Headers.ETag!.Tag.ShouldBe("\"2\"");
        (await Json(await site.Get(place)))["document"]!["name"]!.GetValue<string>().ShouldBe("Path to the greenhouse");

        await (await site.Send(HttpMethod.Delete, place, "")).ShouldBeRefusedAsync(HttpStatusCode.PreconditionRequired, "version-wanted");
        (await (await site.Send(HttpMethod.Delete, place, "", "\"1\"")).ShouldBeRefusedAsync(HttpStatusCode.PreconditionFailed, "stale-version"))["currentVersion"]!.GetValue<int>().ShouldBe(2);
        (await site.Send(HttpMethod.Delete, place, "", "\"2\"")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        await (await site.Get(place)).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-job");
        await (await site.Send(HttpMethod.Delete, place, "", "\"2\"")).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-job");
        (await Names()).ShouldNotContain("Path to the greenhouse");
        (await site.Send(HttpMethod.Post, $"{place}/restore", "")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Names()).ShouldContain("Path to the greenhouse");
    }

    [Fact]
    public async Task A_new_job_begins_with_the_prices_bags_and_kit_of_the_last_of_its_system_and_an_empty_shed()
    {
        var (id, document) = await site.AddedAsync("Priced");
        document["buy"]!["prices"] = new JsonArray(new JsonObject { ["good"] = "cement", ["price"] = 7.5, ["date"] = "2027-05-01" });
        document["buy"]!["shed"] = new JsonArray(new JsonObject { ["good"] = "stake", ["amount"] = 10 });
        document["mixing"]!["mixer"]!["size"] = "120 L";
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var next = await site.StartingJobAsync("Next");
        next["buy"]!["prices"]![0]!["price"]!.GetValue<double>().ShouldBe(7.5);
        next["buy"]!["shed"]!.AsArray().ShouldBeEmpty();
        next["mixing"]!["mixer"]!["size"]!.GetValue<string>().ShouldBe("120 L");
        next["name"]!.GetValue<string>().ShouldBe("Next");
        var us = await Json(await site.Get("/api/jobs/start?name=Other&units=us&timeZone=UTC"));
        us["buy"]!["prices"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_stale_change_is_refused_with_the_version_that_stands_and_changes_nothing()
    {
        var (id, document) = await site.AddedAsync("Stale");
        document["mixing"]!["hands"] = 3;
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        document["mixing"]!["hands"] = 4;
        var problem = await (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).ShouldBeRefusedAsync(HttpStatusCode.PreconditionFailed, "stale-version");
        problem["currentVersion"]!.GetValue<int>().ShouldBe(2);
        (await Json(await site.Get($"/api/jobs/{id}")))["document"]!["mixing"]!["hands"]!.GetValue<int>().ShouldBe(3);
    }

    [Fact]
    public async Task The_same_change_sent_twice_because_the_first_answer_was_lost_is_one()
    {
        var (id, document) = await site.AddedAsync("Twice");
        document["mixing"]!["hands"] = 3;
        foreach (var _ in Enumerable.Range(0, 3))
        {
            var answer = await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"");
            answer.StatusCode.ShouldBe(HttpStatusCode.OK);
            answer.Headers.ETag!.Tag.ShouldBe("\"2\"");
        }

        (await Json(await site.Get($"/api/jobs/{id}/versions"))).AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData(null)]
    [InlineData("*")]
    [InlineData("\"one\"")]
    [InlineData("\"-1\"")]
    public async Task A_change_that_names_no_version_is_refused(string? ifMatch)
    {
        var (id, document) = await site.AddedAsync("Unversioned");
        await (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), ifMatch)).ShouldBeRefusedAsync(HttpStatusCode.PreconditionRequired, "version-wanted");
    }

    [Fact]
    public async Task Of_many_changes_to_one_version_exactly_one_wins()
    {
        var (id, document) = await site.AddedAsync("Contested");
        var answers = await Task.WhenAll(Enumerable.Range(1, 12).Select(i =>
        {
            var mine = document.DeepClone();
            mine["name"] = $"Contested {i}";
            return site.Send(HttpMethod.Put, $"/api/jobs/{id}", mine.ToJsonString(), "\"1\"");
        }));
        answers.Count(a => a.StatusCode == HttpStatusCode.OK).ShouldBe(1);
        answers.Count(a => a.StatusCode == HttpStatusCode.PreconditionFailed).ShouldBe(11);
        (await Json(await site.Get($"/api/jobs/{id}")))["version"]!.GetValue<int>().ShouldBe(2);
    }

    [Fact]
    public async Task The_yard_tells_the_next_pour_and_the_next_wetting_over_all_pours()
    {
        var document = await site.StartingJobAsync("Stones over days");
        var element = document["elements"]![0]!.AsObject();
        element["kind"] = "piece";
        element["use"] = "stone";
        element["chamfer"] = "";
        element["casting"] = new JsonObject { ["pieces"] = 6, ["moulds"] = 2, ["stripDays"] = 2, ["cleanDays"] = 0 };
        document["day"]!["date"] = "2027-05-03";
        document["day"]!["start"] = "08:00";
        var (id, _) = await site.AddedAsync(document);
        var line = (await site.LinesAsync()).Single(j => j!["id"]!.GetValue<string>() == id)!;
        // A day that is gone is poured when somebody says so.
        line["phase"]!.GetValue<string>().ShouldBe("wentBy");
        var cover = new JsonObject { ["kind"] = "coverOn", ["id"] = Guid.NewGuid().ToString(), ["at"] = "2027-05-03T12:00:00Z", ["pour"] = "", ["device"] = "", ["note"] = "" };
        (await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", new JsonArray(cover).ToJsonString())).EnsureSuccessStatusCode();
        line = (await site.LinesAsync()).Single(j => j!["id"]!.GetValue<string>() == id)!;
        line["pours"]!.GetValue<int>().ShouldBe(3);
        line["nextPour"]!.GetValue<int>().ShouldBe(2);
        line["phase"]!.GetValue<string>().ShouldBe("keepWet");
        line["start"]!.GetValue<string>().ShouldBe("2027-05-05T06:00:00Z");
        // The first lies since yesterday: its wetting comes before the second is poured.
        line["nextWetting"]!.GetValue<DateTime>().ShouldBeLessThan(line["start"]!.GetValue<DateTime>());
        line["wetUntil"]!.GetValue<DateTime>().ShouldBeGreaterThan(line["start"]!.GetValue<DateTime>());
    }

    [Fact]
    public async Task An_unsound_job_is_kept_as_it_is_and_the_yard_still_shows_it()
    {
        var (id, document) = await site.AddedAsync("Half typed");
        document["elements"]![0]!["thickness"] = "-4";
        document["mixes"]![0]!["bag"] = "a bag of wonders";
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var line = (await site.LinesAsync()).Single(j => j!["id"]!.GetValue<string>() == id)!;
        line["phase"]!.GetValue<string>().ShouldBe("unfinished");
        line["decisions"]!.GetValue<int>().ShouldBeGreaterThanOrEqualTo(2);
    }

    [Fact]
    public async Task A_job_keeps_how_it_stood_and_is_taken_back_by_an_ordinary_change()
    {
        var (id, document) = await site.AddedAsync("First");
        foreach (var (name, version) in new[] { ("Second", 1), ("Third", 2) })
        {
            document["name"] = name;
            (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), $"\"{version}\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        var versions = (await Json(await site.Get($"/api/jobs/{id}/versions"))).AsArray();
        versions.Select(v => v!["version"]!.GetValue<int>()).ShouldBe([2, 1]);
        var first = await Json(await site.Get($"/api/jobs/{id}/versions/1"));
        first["name"]!.GetValue<string>().ShouldBe("First");
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", first.ToJsonString(), "\"3\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Json(await site.Get($"/api/jobs/{id}")))["document"]!["name"]!.GetValue<string>().ShouldBe("First");
        (await Json(await site.Get($"/api/jobs/{id}/versions"))).AsArray().Count.ShouldBe(3);
        await (await site.Get($"/api/jobs/{id}/versions/9")).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-version");
        await (await site.Get($"/api/jobs/{Guid.NewGuid()}/versions")).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-job");
    }

    /// <summary>All of the last hour, one an hour of the last day, one a day before that.</summary>
    [Fact]
    public void Past_versions_are_thinned_as_they_grow_old()
    {
        var now = Site.Now;
        // One every ten minutes for ten days, thinned each time as it is when a job is saved.
        var kept = new List<VersionRow>();
        for (var minutes = 10 * 24 * 60; minutes >= 0; minutes -= 10)
        {
            var at = now - Duration.FromMinutes(minutes);
            kept.Add(new VersionRow { JobId = default, Version = kept.Count == 0 ? 1 : kept[^1].Version + 1, SavedAt = at, Document = "" });
            var spent = PastVersions.Spent(kept, at).ToHashSet();
            kept.RemoveAll(spent.Contains);
        }

        int Between(double fromH, double toH) => kept.Count(v => (now - v.SavedAt).TotalHours is var age && age >= fromH && age < toH);
        Between(0, 1.01).ShouldBe(7);
        Between(1.01, 24).ShouldBeInRange(22, 24);
        Between(24.01, 10 * 24).ShouldBeInRange(8, 11);
        kept.ShouldContain(v => v.SavedAt == now);
    }

    [Fact]
    public async Task Removed_jobs_have_a_place_until_it_is_emptied_with_all_that_was_theirs()
    {
        using var own = new Site();
        var (gone, document) = await own.AddedAsync("Gone");
        var (stays, _) = await own.AddedAsync("Stays");
        (await own.Send(HttpMethod.Put, $"/api/jobs/{gone}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var line = $$"""[{"kind":"noted","id":"{{Guid.NewGuid()}}","at":"2027-05-04T06:00:00Z","pour":"","device":"","note":"x"}]""";
        foreach (var id in new[] { gone, stays })
        {
            (await own.Send(HttpMethod.Post, $"/api/jobs/{id}/log", line)).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        (await own.Send(HttpMethod.Delete, $"/api/jobs/{gone}", "", "\"2\"")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Json(await own.Get("/api/jobs/removed"))).AsArray().Single()!["name"]!.GetValue<string>().ShouldBe("Gone");
        (await own.Send(HttpMethod.Delete, "/api/jobs/removed", "")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Json(await own.Get("/api/jobs/removed"))).AsArray().ShouldBeEmpty();
        await (await own.Send(HttpMethod.Post, $"/api/jobs/{gone}/restore", "")).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-job");
        (await Json(await own.Get($"/api/jobs/{stays}/log"))).AsArray().Count.ShouldBe(1);
        await using var db = new SqliteConnection($"Data Source={own.File};Mode=ReadOnly");
        await db.OpenAsync(token);
        await using var command = db.CreateCommand();
        command.CommandText = "SELECT (SELECT COUNT(*) FROM Log) * 100 + (SELECT COUNT(*) FROM JobVersions) * 10 + (SELECT COUNT(*) FROM Jobs)";
        (await command.ExecuteScalarAsync(token)).ShouldBe(101L);
    }

    [Fact]
    public async Task Three_hundred_jobs_are_listed_from_lines_that_are_kept_and_made_anew_when_they_change()
    {
        using var own = new Site();
        var document = await own.StartingJobAsync("Many");
        for (var i = 0; i < 300; i++)
        {
            document["name"] = $"Job {i}";
            await own.AddedAsync(document);
        }

        var all = await own.LinesAsync();
        all.Length.ShouldBe(300);
        all.ShouldAllBe(l => l!["bags"]!.GetValue<int>() == 21);
        await using (var db = new SqliteConnection($"Data Source={own.File}"))
        {
            // What is shown is what is kept: with it spoilt the list shows that, so nothing was planned for it.
            await db.OpenAsync(token);
            await using var command = db.CreateCommand();
            command.CommandText = """UPDATE JobLines SET Line = REPLACE(Line, '"bags":21', '"bags":22')""";
            (await command.ExecuteNonQueryAsync(token)).ShouldBe(300);
        }

        (await own.LinesAsync()).ShouldAllBe(l => l!["bags"]!.GetValue<int>() == 22);
        var first = all[0]!["id"]!.GetValue<string>();
        document["elements"]![0]!["outline"]!["along"] = "3.6 m";
        (await own.Send(HttpMethod.Put, $"/api/jobs/{first}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var now = await own.LinesAsync();
        now.Single(l => l!["id"]!.GetValue<string>() == first)!["bags"]!.GetValue<int>().ShouldBeGreaterThan(35);
        now.Count(l => l!["bags"]!.GetValue<int>() == 22).ShouldBe(299);
    }

    [Fact]
    public async Task A_page_of_the_file_that_is_damaged_takes_one_line_of_the_yard_and_not_the_yard()
    {
        var file = Site.NewFile();
        try
        {
            using (var first = new Site(file))
            {
                for (var i = 0; i < 60; i++)
                {
                    await first.AddedAsync($"Job number {i:00}");
                }
            }

            SqliteConnection.ClearAllPools();
            var bytes = await File.ReadAllBytesAsync(file, token);
            // The page that a row of the table begins in: its name stands before its document.
            var at = bytes.AsSpan().IndexOf("Job number 37"u8) / 4096;
            at.ShouldBeGreaterThan(0);
            bytes.AsSpan(at * 4096, 4096).Fill(0x5A);
            await File.WriteAllBytesAsync(file, bytes, token);
            using var after = new Site(file);
            var lines = (await Json(await after.Get("/api/jobs"))).AsArray();
            lines.Count(l => l!["state"]!.GetValue<string>() == "unplannable").ShouldBeGreaterThan(0);
            lines.Count(l => l!["name"]!.GetValue<string>().StartsWith("Job number", StringComparison.Ordinal)).ShouldBeGreaterThan(40);
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Theory]
    [InlineData("Ünïcode 混凝土 \\u0000 \\ud83e\\uddf1")]
    [InlineData("")]
    public async Task Any_whole_text_comes_back_as_it_was(string name)
    {
        var (id, document) = await site.AddedAsync();
        var said = JsonNode.Parse($"\"{name}\"")!.GetValue<string>();
        document["name"] = said;
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Json(await site.Get($"/api/jobs/{id}")))["document"]!["name"]!.GetValue<string>().ShouldBe(said);
    }

    [Fact]
    public async Task A_name_too_long_for_the_yard_is_refused_at_its_field()
    {
        var job = await site.StartingJobAsync();
        job["name"] = new string('x', 121);
        (await (await site.Send(HttpMethod.Post, "/api/jobs", job.ToJsonString())).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unreadable-field"))
            ["path"]!.GetValue<string>().ShouldBe("$.name");
    }

    [Fact]
    public async Task A_row_that_something_else_has_damaged_does_not_take_the_yard_down()
    {
        using var own = new Site();
        var (id, _) = await own.AddedAsync("Damaged");
        await own.AddedAsync("Sound");
        await using (var db = new SqliteConnection($"Data Source={own.File}"))
        {
            await db.OpenAsync(token);
            await using var command = db.CreateCommand();
            command.CommandText = "UPDATE Jobs SET Document = '{\"format\":\"setf' WHERE Name = 'Damaged'";
            (await command.ExecuteNonQueryAsync(token)).ShouldBe(1);
        }

        var lines = await own.LinesAsync();
        lines.Single(l => l!["name"]!.GetValue<string>() == "Damaged")!["state"]!.GetValue<string>().ShouldBe("unplannable");
        lines.Single(l => l!["name"]!.GetValue<string>() == "Sound")!["state"]!.GetValue<string>().ShouldBe("made");
        await (await own.Get($"/api/jobs/{id}")).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "not-a-job");
    }

    private async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }

    private async Task<string[]> Names() =>
        [.. (await Json(await site.Get("/api/jobs"))).AsArray().Select(j => j!["name"]!.GetValue<string>())];
}
