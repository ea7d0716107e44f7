using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Text;
using SetFirm.Tests.Sites;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>The record of the yard: what days teach, taken over on a word, refused and undone; and what goes in and out of a diary.</summary>
public sealed class LearntTests : IDisposable
{
    private readonly Site site = new();
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    public void Dispose() => site.Dispose();

    [Fact]
    public async Task A_day_told_from_paper_changes_no_plan_until_its_value_is_taken_over_and_undone_it_is_as_before()
    {
        var (next, document) = await site.AddedAsync("Next");
        next.ShouldNotBeEmpty();
        var before = await Mixed(document);
        var done = await Poured(1.3);
        (await Mixed(document)).ShouldBe(before);
        var value = (await Learnt()).Single(v => Of(v) == "pace");
        value["asks"]!.GetValue<bool>().ShouldBeTrue();
        value["now"]!["factor"]!.GetValue<double>().ShouldBeInRange(1.02, 1.06);
        value["said"]!.AsArray().ShouldHaveSingleItem()!["factor"]!.GetValue<double>().ShouldBe(1.3, 0.02);
        // Where it would be used stands beside it, before it is.
        var effects = (await Json(await site.Send(HttpMethod.Post, "/api/learnt/effects", value["key"]!.ToJsonString()))).AsArray();
        effects.ShouldHaveSingleItem()!["job"]!.GetValue<string>().ShouldBe(next);
        effects[0]!["after"]!["mixingEnds"]!.GetValue<string>().ShouldBeGreaterThan(effects[0]!["before"]!["mixingEnds"]!.GetValue<string>(), StringComparer.Ordinal);
        var taken = (await Say(value, "taken")).Single(v => Of(v) == "pace");
        (taken["word"]!.GetValue<string>(), taken["asks"]!.GetValue<bool>()).ShouldBe(("taken", false));
        await Say(value, "taken"); // the answer was lost, and it is said again: one word, undone by one
        var after = await Mixed(document);
        after.Minutes.ShouldBeGreaterThan(before.Minutes + 0.8);
        after.Learnt.ShouldBe("pace");
        // What is in the request counts before what the yard has.
        (await Mixed(document, "[]")).ShouldBe(before);
        await Say(value, "none");
        (await Mixed(document)).ShouldBe(before);
        await Say(value, "taken");
        (await Mixed(document)).ShouldBe(after);
        // And out of the record it teaches no more; back in it does.
        await LeaveOut(done, true);
        (await Mixed(document)).ShouldBe(before);
        await LeaveOut(done, false);
        (await Mixed(document)).ShouldBe(after);
        var tag = (await site.Get($"/api/jobs/{done}")).Headers.ETag!.Tag;
        (await site.Send(HttpMethod.Delete, $"/api/jobs/{done}", "", tag)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Mixed(document)).ShouldBe(before);
        (await site.Send(HttpMethod.Post, $"/api/jobs/{done}/restore", "")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Mixed(document)).ShouldBe(after);
    }

    [Fact]
    public async Task What_was_refused_asks_no_more_however_many_pours_say_so_until_it_is_asked_for()
    {
        await Poured(1.3);
        await Say((await Learnt()).Single(v => Of(v) == "pace"), "refused");
        for (var i = 0; i < 2; i++)
        {
            await Poured(1.4, day: 2 + i);
            var value = (await Learnt()).Single(v => Of(v) == "pace");
            (value["word"]!.GetValue<string>(), value["asks"]!.GetValue<bool>()).ShouldBe(("refused", false));
            value["inUse"]!["pours"]!.GetValue<int>().ShouldBe(0);
        }

        var again = (await Say((await Learnt()).Single(v => Of(v) == "pace"), "none")).Single(v => Of(v) == "pace");
        again["asks"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task A_day_that_is_under_way_teaches_nothing_yet()
    {
        var (id, document) = await Job("Now", 4);
        var look = await LookBack(document, []);
        var start = At(look["planned"]!["start"]!);
        await Tell(id, Event("batchMixing", start, ("batch", 1)), Event("batchMixing", start + Duration.FromMinutes(20), ("batch", 2)));
        (await Learnt()).ShouldBeEmpty();
    }

    [Fact]
    public async Task Looking_back_tells_what_stood_out_with_numbers_and_a_fault_with_its_place_and_cause()
    {
        var (id, document) = await Job("Looked at", 1);
        var plain = await LookBack(document, []);
        plain["told"]!.GetValue<bool>().ShouldBeFalse();
        var log = Day(plain, 1.5, 4);
        var broom = plain["passes"]!.AsArray().First(p => p!["pass"]!.GetValue<string>() is "secondFloat" or "edgeAndFloat")!;
        log.Add(Event("passBegun", At(broom["plannedOpens"]!) - Duration.FromMinutes(100), ("zone", broom["zone"]!.GetValue<int>()), ("pass", broom["pass"]!.GetValue<string>())));
        var fault = Event("faultSeen", At(plain["planned"]!["doneBy"]!) + Duration.FromHours(30), ("sign", "blisters"), ("element", "element-1"), ("alongM", 1.2), ("inM", 0.4), ("note", "Near the drain."));
        log.Add(fault);
        var look = await LookBack(document, log);
        look["told"]!.GetValue<bool>().ShouldBeTrue();
        var stood = look["stood"]!.AsArray().ToDictionary(s => s!["code"]!.GetValue<string>(), s => s!);
        stood["mixing"]["tookMin"]!.GetValue<double>().ShouldBe(1.5 * stood["mixing"]["plannedMin"]!.GetValue<double>(), 2);
        stood["mixing"]["roundMin"]!.GetValue<double>().ShouldBeGreaterThan(stood["mixing"]["plannedRoundMin"]!.GetValue<double>() * 1.4);
        stood["passOff"]["laterMin"]!.GetValue<double>().ShouldBeLessThan(-15);
        stood["bags"]["used"]!.GetValue<double>().ShouldBe(stood["bags"]["planned"]!.GetValue<double>() + 4);
        var seen = look["faults"]!.AsArray().ShouldHaveSingleItem()!;
        (seen["seen"]!["alongM"]!.GetValue<double>(), seen["seen"]!["note"]!.GetValue<string>()).ShouldBe((1.2, "Near the drain."));
        seen["why"]!["causes"]!.AsArray().ShouldNotBeEmpty();
        seen["why"]!["from"].ShouldNotBeNull();
        await Tell(id, [.. log]);
        // The season names it, and struck out it is gone.
        (await Json(await site.Get("/api/learnt")))["pours"]!.AsArray().ShouldHaveSingleItem()!["faults"]!.AsArray().Select(f => f!.GetValue<string>()).ShouldBe(["blisters"]);
        log.Add(Event("withdrawn", At(fault["at"]!), ("line", fault["id"]!.GetValue<string>())));
        (await LookBack(document, log))["faults"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_diary_goes_out_as_a_table_in_which_no_cell_begins_a_formula()
    {
        var (id, _) = await Job("Table", 1);
        await Tell(id, Event("noted", Site.Now, ("note", "=HYPERLINK(\"x\")")), Event("waterAdded", Site.Now, ("batch", 3), ("litres", 1.5)));
        var answer = await site.Get($"/api/jobs/{id}/log/csv");
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/csv");
        var lines = (await answer.Content.ReadAsStringAsync(token)).Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        lines.Length.ShouldBe(3);
        lines[0].ShouldStartWith("seq,at,receivedAt,pour,kind,device,note,zone,batch,pass,what");
        lines[1].ShouldNotContain(",=");
        lines[1].ShouldNotContain(",\"=");
        lines[2].ShouldContain("waterAdded");
        lines[2].ShouldContain(",3,");
        lines[2].ShouldContain("1.5");
        (await site.Get($"/api/jobs/{Guid.NewGuid()}/log/csv")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_probe_is_read_with_its_unit_its_gaps_and_the_hour_of_the_clock_that_comes_twice()
    {
        var read = await Probe("time;slab_F\n2027-05-04 08:00;68\n2027-05-04 08:30;77\n2027-05-04 14:30;86\n", "Europe/Berlin");
        read["findings"]!.AsArray().ShouldBeEmpty();
        read["readings"]!.AsArray().Select(r => (r!["at"]!.GetValue<string>(), r["celsius"]!.GetValue<double>()))
            .ShouldBe([("2027-05-04T06:00:00Z", 20), ("2027-05-04T06:30:00Z", 25), ("2027-05-04T12:30:00Z", 30)]);
        read["longestGapH"]!.GetValue<double>().ShouldBe(6);
        // Clocks go back on the last of October: two hours of the same name lie an hour apart.
        var twice = await Probe("time,probe_c\n2027-10-31 01:30,10\n2027-10-31 02:30,11\n2027-10-31 02:30,12\n2027-10-31 03:30,13\n", "Europe/Berlin");
        twice["readings"]!.AsArray().Select(r => r!["at"]!.GetValue<string>()).ShouldBe(["2027-10-30T23:30:00Z", "2027-10-31T00:30:00Z", "2027-10-31T01:30:00Z", "2027-10-31T02:30:00Z"]);
        twice["findings"]!.AsArray().Select(f => f!["says"]!["code"]!.GetValue<string>()).Distinct().ShouldBe(["weatherHourTwice"]);
    }

    [Theory]
    [InlineData("time,slab\n2027-05-04 08:00,20\n2027-05-04 09:00,21\n", "weatherUnitUnknown")]
    [InlineData("when,slab_c\n2027-05-04 08:00,20\n", "weatherColumnMissing")]
    [InlineData("time,air\n2027-05-04 08:00,20\n", "weatherColumnMissing")]
    [InlineData("time,slab_c\n2027-05-04 08:00,200\n2027-05-04 09:00,20\n", "weatherFileDamaged")]
    [InlineData("time,slab_c\n2027-05-04 08:00,warm\n2027-05-04 09:00,20\n", "weatherFileDamaged")]
    [InlineData("time,slab_c\n2027-05-04 08:00,20\n2027-05-04 08:00,21\n", "weatherFileDamaged")]
    [InlineData("time,slab_c\n2027-05-04 08:00,20\n", "weatherFileDamaged")]
    [InlineData("", "weatherColumnMissing")]
    public async Task A_probe_that_cannot_be_read_is_refused_with_its_line(string text, string code)
    {
        var read = await Probe(text, "Europe/Berlin");
        read["readings"]!.AsArray().ShouldBeEmpty();
        read["findings"]!.AsArray().ShouldContain(f => f!["says"]!["code"]!.GetValue<string>() == code);
    }

    [Fact]
    public async Task What_a_probe_read_takes_the_place_of_what_was_reckoned_for_strength_and_dates()
    {
        var (_, document) = await Job("Probed", 1);
        var start = At((await LookBack(document, []))["planned"]!["start"]!);
        JsonObject Read(double c) => Event("probeRead", start, ("readings", new JsonArray([.. Enumerable.Range(0, 72).Select(h => new JsonObject { ["at"] = Text(start + Duration.FromHours(h)), ["celsius"] = c })])));
        async Task<double> At28(params JsonObject[] log) => (await Plan(document, log))["cure"]!["curve"]!.AsArray().First(p => At(p!["at"]!) - start > Duration.FromHours(47))!["mpa"]!.GetValue<double>();
        var (cold, plain, warm) = (await At28(Read(8)), await At28(), await At28(Read(38)));
        cold.ShouldBeLessThan(plain - 1);
        warm.ShouldBeGreaterThan(plain + 1);
    }

    [Fact]
    public async Task What_jobs_name_is_in_the_yard_with_prices_and_outlives_the_job()
    {
        var job = await site.StartingJobAsync("Named");
        (job["mixing"]!["crew"], job["mixing"]!["hands"], job["mixing"]!["mixer"]!["called"], job["site"]!["called"]) = ("The two of us", 2, "Old drum", "Behind the shed");
        job["mixes"]![0]!["containers"]!["cement"] = new JsonObject { ["kind"] = "bucket", ["size"] = "17 kg", ["called"] = "Shed bucket" };
        job["buy"]!["prices"] = new JsonArray(new JsonObject { ["good"] = "tape:50", ["price"] = 4.2, ["date"] = "2027-05-02" });
        var (id, _) = await site.AddedAsync(job);
        var tag = (await site.Get($"/api/jobs/{id}")).Headers.ETag!.Tag;
        await site.Send(HttpMethod.Delete, $"/api/jobs/{id}", "", tag);
        var things = await Json(await site.Get("/api/things"));
        things["crews"]!.AsArray().ShouldHaveSingleItem()!["name"]!.GetValue<string>().ShouldBe("The two of us");
        things["mixers"]!.AsArray().ShouldHaveSingleItem()!["called"]!.GetValue<string>().ShouldBe("Old drum");
        things["sites"]!.AsArray().ShouldHaveSingleItem()!["called"]!.GetValue<string>().ShouldBe("Behind the shed");
        things["containers"]!.AsArray().ShouldHaveSingleItem()!["size"]!.GetValue<string>().ShouldBe("17 kg");
        // An older price of another job does not take its place, and a new job begins with the yard's.
        var older = await site.StartingJobAsync("Older");
        older["buy"]!["prices"]!.AsArray().ShouldHaveSingleItem()!["price"]!.GetValue<double>().ShouldBe(4.2);
        older["buy"]!["prices"] = new JsonArray(new JsonObject { ["good"] = "tape:50", ["price"] = 3.1, ["date"] = "2027-01-02" });
        await site.AddedAsync(older);
        (await Json(await site.Get("/api/things")))["prices"]!.AsArray().ShouldHaveSingleItem()!["price"]!.GetValue<double>().ShouldBe(4.2);
        // Gone for good, what it named is still known.
        (await site.Send(HttpMethod.Delete, "/api/jobs/removed", "")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        var left = await Json(await site.Get("/api/things"));
        (left["crews"]!.ToJsonString(), left["mixers"]!.ToJsonString(), left["containers"]!.ToJsonString()).ShouldBe((things["crews"]!.ToJsonString(), things["mixers"]!.ToJsonString(), things["containers"]!.ToJsonString()));
    }

    [Fact]
    public async Task A_name_that_is_typed_letter_by_letter_is_one_thing()
    {
        var job = await site.StartingJobAsync("Typed");
        var (id, document) = await site.AddedAsync(job);
        foreach (var name in new[] { "I", "In", "Ines" })
        {
            document["mixing"]!["crew"] = name;
            (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), (await site.Get($"/api/jobs/{id}")).Headers.ETag!.Tag)).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        (await Json(await site.Get("/api/things")))["crews"]!.AsArray().ShouldHaveSingleItem()!["name"]!.GetValue<string>().ShouldBe("Ines");
    }

    [Fact]
    public async Task Two_crews_at_one_mixer_teach_each_other_nothing()
    {
        await Poured(1.3, crew: "Slow");
        await Say((await Learnt()).Single(v => Of(v) == "pace"), "taken");
        var (_, others) = await Job("Others", 8, "Quick");
        var (_, own) = await Job("Own", 8, "Slow");
        (await Mixed(others)).Learnt.ShouldBe("");
        (await Mixed(own)).Learnt.ShouldBe("pace");
    }

    [Theory]
    [InlineData("/api/learnt/word", "{\"word\":\"taken\"}", 422)]
    [InlineData("/api/learnt/word", "{\"key\":{\"of\":\"pace\",\"what\":\"drum\",\"who\":\"\"},\"word\":\"perhaps\"}", 422)]
    [InlineData("/api/learnt/word", "{\"key\":{\"of\":\"pace\",\"what\":\"drum\",\"who\":\"\"},\"word\":\"taken\"}", 404)]
    [InlineData("/api/learnt/word", "[]", 422)]
    [InlineData("/api/learnt/word", "null", 422)]
    [InlineData("/api/learnt/record", "{\"job\":\"x\",\"pour\":\"\",\"leftOut\":true}", 422)]
    [InlineData("/api/learnt/record", "{\"job\":\"00000000-0000-0000-0000-000000000001\",\"pour\":\"\",\"leftOut\":true}", 404)]
    [InlineData("/api/learnt/effects", "{\"of\":\"pace\"}", 422)]
    [InlineData("/api/learnt/effects", "{", 400)]
    public async Task What_cannot_be_is_refused(string path, string body, int status) =>
        ((int)(await site.Send(HttpMethod.Post, path, body)).StatusCode).ShouldBe(status);

    private static string Of(JsonNode value) => value["key"]!["of"]!.GetValue<string>();

    private static Instant At(JsonNode moment) => InstantPattern.ExtendedIso.Parse(moment.GetValue<string>()).Value;

    private static string Text(Instant at) => InstantPattern.ExtendedIso.Format(at);

    private static JsonObject Event(string kind, Instant at, params (string Name, JsonNode? Value)[] says)
    {
        var line = new JsonObject { ["kind"] = kind, ["id"] = Guid.NewGuid().ToString(), ["at"] = Text(at) };
        foreach (var (name, value) in says)
        {
            line[name] = value;
        }

        return line;
    }

    // First water, last batch, bags: what stands on a day sheet.
    private static List<JsonObject> Day(JsonNode look, double pace, double moreBags)
    {
        var (start, batches) = (At(look["planned"]!["start"]!), look["planned"]!["batches"]!.AsArray());
        var last = start + ((At(batches[^1]!["placed"]!) - start) * pace);
        return
        [
            Event("batchMixing", start, ("batch", 1)),
            Event("batchPlaced", last, ("batch", batches.Count)),
            Event("dayClosed", last + Duration.FromHours(5), ("washed", true), ("holdBackUsed", false), ("bagsLeft", 0), ("bagsUsed", look["bagsPlanned"]!.GetValue<double>() + moreBags)),
        ];
    }

    [Fact]
    public async Task What_a_day_says_is_read_soon_after_it_was_told_with_nobody_asking_for_it()
    {
        var id = Guid.Parse(await Poured(1.3), null);
        ReadingRow? read = null;
        for (var tries = 0; read is null; tries++)
        {
            tries.ShouldBeLessThan(600);
            await Task.Delay(100, token);
            await using var scope = site.Services.CreateAsyncScope();
            read = await scope.ServiceProvider.GetRequiredService<SetFirmDb>().Readings.AsNoTracking().SingleOrDefaultAsync(r => r.JobId == id, token);
        }

        JsonNode.Parse(read.Pours)!.AsArray().ShouldHaveSingleItem();
        var kept = read.Key;
        (await Learnt()).Single(v => Of(v) == "pace")["said"]!.AsArray().ShouldHaveSingleItem();
        // Who asks takes what was read.
        await using var after = site.Services.CreateAsyncScope();
        (await after.ServiceProvider.GetRequiredService<SetFirmDb>().Readings.AsNoTracking().SingleAsync(r => r.JobId == id, token)).Key.ShouldBe(kept);
    }

    private async Task<string> Poured(double pace, int day = 1, string? crew = null)
    {
        var (id, document) = await Job($"Poured {day}", day, crew);
        await Tell(id, [.. Day(await LookBack(document, []), pace, 0)]);
        return id;
    }

    private async Task<(string Id, JsonNode Document)> Job(string name, int day, string? crew = null)
    {
        var job = await site.StartingJobAsync(name);
        job["day"]!["date"] = $"2027-05-0{day}";
        job["mixing"]!["crew"] = crew;
        return await site.AddedAsync(job);
    }

    private async Task<JsonNode> LookBack(JsonNode document, IEnumerable<JsonObject> log)
    {
        var body = new JsonObject { ["document"] = document.DeepClone(), ["log"] = new JsonArray([.. log.Select(l => l.DeepClone())]), ["asOf"] = Text(Site.Now + Duration.FromDays(3)) };
        var look = (await Json(await site.Send(HttpMethod.Post, "/api/lookback", body.ToJsonString())))["day"]!;
        look["bagsPlanned"] = Math.Ceiling((await Plan(document))["pours"]![0]!["bags"]!.GetValue<double>());
        return look;
    }

    private async Task<JsonNode> Plan(JsonNode document, params JsonObject[] log) => await Json(await site.Send(
        HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document.DeepClone(), ["log"] = new JsonArray([.. log.Select(l => l.DeepClone())]) }.ToJsonString()));

    private async Task<(double Minutes, string Learnt)> Mixed(JsonNode document, string? learnt = null)
    {
        var body = new JsonObject { ["document"] = document.DeepClone() };
        if (learnt is not null)
        {
            body["learnt"] = JsonNode.Parse(learnt);
        }

        var plan = await Json(await site.Send(HttpMethod.Post, "/api/plan", body.ToJsonString()));
        return (plan["pours"]![0]!["mixingMin"]!.GetValue<double>(), string.Join(' ', plan["learnt"]?.AsArray().Select(l => Of(l!)) ?? []));
    }

    private async Task<IReadOnlyList<JsonNode>> Learnt() => Values(await Json(await site.Get("/api/learnt")));

    private async Task<IReadOnlyList<JsonNode>> Say(JsonNode value, string word) => Values(await Json(await site.Send(
        HttpMethod.Post, "/api/learnt/word", new JsonObject { ["key"] = value["key"]!.DeepClone(), ["word"] = word }.ToJsonString())));

    private async Task LeaveOut(string job, bool leftOut)
    {
        var pour = (await Json(await site.Get("/api/learnt")))["pours"]!.AsArray().Single(p => p!["job"]!.GetValue<string>() == job)!["pour"]!.GetValue<string>();
        await Json(await site.Send(HttpMethod.Post, "/api/learnt/record", new JsonObject { ["job"] = job, ["pour"] = pour, ["leftOut"] = leftOut }.ToJsonString()));
    }

    private async Task<JsonNode> Probe(string text, string zone) => await Json(await site.Send(HttpMethod.Post, $"/api/probes?timeZone={zone}", text, type: "text/plain"));

    private async Task Tell(string job, params IReadOnlyList<JsonObject> lines) =>
        (await site.Send(HttpMethod.Post, $"/api/jobs/{job}/log", new JsonArray([.. lines.Select(l => l.DeepClone())]).ToJsonString())).StatusCode.ShouldBe(HttpStatusCode.OK);

    private async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }

    private static IReadOnlyList<JsonNode> Values(JsonNode report) => [.. report["values"]!.AsArray().Select(v => v!)];
}
