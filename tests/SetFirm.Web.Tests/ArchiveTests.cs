using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Tests;
using SetFirm.Tests.Sites;
using SetFirm.Web.Archive;

namespace SetFirm.Web.Tests;

/// <summary>A whole yard goes out as one archive and comes back with nothing lost; a damaged one is refused with its place and reason, and changes nothing.</summary>
public sealed class ArchiveTests : IDisposable
{
    private const int Damaged = 500;

    private static readonly string[] YardParts = ["things", "prices", "decisions", "leftOut"];

    private readonly Site site = new();
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    private JsonSerializerOptions Options => site.Services.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions;

    public void Dispose() => site.Dispose();

    [Fact]
    public async Task A_yard_goes_out_and_comes_back_into_an_empty_one_equal_in_every_file()
    {
        var file = Site.NewFile();
        try
        {
            using var demo = new Site(file, ("SetFirm:Demo", "true"));
            var archive = await LivedInAsync(demo);
            var entries = Entries(archive);
            // All that is kept is in it.
            entries.Keys.Count(k => k.EndsWith("job.setfirm.json", StringComparison.Ordinal)).ShouldBeGreaterThan(8);
            entries.Keys.ShouldContain(k => k.Contains("/versions/", StringComparison.Ordinal));
            entries.Keys.ShouldContain(k => k.EndsWith(".jpg", StringComparison.Ordinal));
            entries.Keys.ShouldContain(k => k.StartsWith("weather/", StringComparison.Ordinal));
            var yard = JsonNode.Parse(entries["yard.json"])!;
            YardParts.ShouldAllBe(part => yard[part]!.AsArray().Count > 0);
            var answer = await Send(site, archive);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
            var taken = (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
            taken["jobs"]!.GetValue<int>().ShouldBe(entries.Keys.Count(k => k.EndsWith("job.setfirm.json", StringComparison.Ordinal)));
            Entries(await Archive(site)).ShouldBe(entries);
            // And it is a yard like any other: what was learnt is in use, what was removed can come back.
            var learnt = JsonNode.Parse(await (await site.Get("/api/learnt")).Content.ReadAsStringAsync(token))!;
            learnt["values"]!.AsArray().ShouldContain(v => v!["word"]!.GetValue<string>() == "taken" && v["inUse"]!["pours"]!.GetValue<int>() > 0);
            (await site.LinesAsync()).Length.ShouldBeGreaterThan(8);
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task Of_five_hundred_damaged_archives_each_is_refused_with_its_place_and_reason_or_holds_all_that_it_held()
    {
        var (id, _) = await site.AddedAsync("Damaged");
        await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", """[{"kind":"noted","id":"00000000-0000-0000-0000-000000000001","at":"2027-05-04T08:00:00Z","note":"so"}]""");
        await Picture(site, id);
        var archive = await Archive(site);
        var whole = Rows(archive);
        var luck = new Random(17);
        var reasons = new SortedDictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < Damaged; i++)
        {
            var damaged = Broken(archive, luck);
            try
            {
                Rows(damaged).ShouldBe(whole);
                reasons["held all"] = reasons.GetValueOrDefault("held all") + 1;
            }
            catch (ArchiveRefusedException e)
            {
                e.Path.ShouldNotBeEmpty();
                e.Reason.ShouldNotBeEmpty();
                reasons[e.Reason] = reasons.GetValueOrDefault(e.Reason) + 1;
            }
        }

        TestContext.Current.TestOutputHelper!.WriteLine(string.Join("; ", reasons.Select(r => $"{r.Value} x {r.Key}")));
        reasons.GetValueOrDefault("held all").ShouldBeLessThan(Damaged / 4); // a date in the ZIP's own table is no loss

        using var empty = new Site();
        for (var i = 0; i < 25; i++)
        {
            var answer = await Send(empty, Broken(archive, luck) is var broken ? broken[..(broken.Length * 9 / 10)] : []);
            answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
            var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
            problem["path"]!.GetValue<string>().ShouldNotBeEmpty();
            problem["detail"]!.GetValue<string>().ShouldContain(problem["path"]!.GetValue<string>());
        }

        (await empty.LinesAsync()).ShouldBeEmpty();
    }

    // Changed by someone who also set the sums right: still each is checked as if it came anew.
    [Theory]
    [InlineData("job.setfirm.json", "\"units\": \"metric\"", "\"units\": \"ells\"", "$.units")]
    [InlineData("job.setfirm.json", "\"version\": 6", "\"version\": 99", "it has version 99")]
    [InlineData("job.setfirm.json", "setfirm-job", "other-job", "it is no Set Firm job")]
    [InlineData("log.json", "\"kind\":\"noted\"", "\"kind\":\"sung\"", "$[0].kind")]
    [InlineData("log.json", "\"seq\":1", "\"seq\":2", "not in their order")]
    [InlineData("log.json", "2027-05-04T08:00:00Z", "0001-05-04T08:00:00Z", "$[0].at")]
    [InlineData("yard.json", "\"prices\":[", "\"prices\":[null", "null stands")]
    [InlineData("yard.json", "\"leftOut\":[", "\"leftOut\":[{\"job\":\"00000000-0000-0000-0000-000000000009\",\"pour\":\"\"}", "a job that is not there")]
    [InlineData("manifest.json", "setfirm-yard", "other-yard", "its format must be")]
    [InlineData("manifest.json", "\"version\":1,\"made\"", "\"version\":2,\"made\"", "it has version 2")]
    [InlineData("manifest.json", "\"made\":\"2027", "\"made\":\"twenty", "$.made")]
    public async Task What_cannot_be_is_found_behind_sound_sums(string file, string was, string becomes, string says)
    {
        var (id, _) = await site.AddedAsync("Forged");
        await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", """[{"kind":"noted","id":"00000000-0000-0000-0000-000000000001","at":"2027-05-04T08:00:00Z","note":"so"}]""");
        var entries = Entries(await Archive(site));
        var path = entries.Keys.Single(k => k.EndsWith(file, StringComparison.Ordinal));
        entries[path].ShouldContain(was);
        var forged = Forged(entries, path, entries[path].Replace(was, becomes, StringComparison.Ordinal));
        var refused = Should.Throw<ArchiveRefusedException>(() => Rows(forged));
        $"{refused.Path} {refused.Reason}".ShouldContain(says);
        refused.Path.ShouldStartWith(path);
    }

    [Fact]
    public async Task A_file_that_is_missing_or_stands_twice_is_named()
    {
        await site.AddedAsync("Missing");
        var entries = Entries(await Archive(site));
        var log = entries.Keys.Single(k => k.EndsWith("log.json", StringComparison.Ordinal));
        Should.Throw<ArchiveRefusedException>(() => Rows(Zip(entries.Where(e => e.Key != log)))).Path.ShouldBe(log);
        Should.Throw<ArchiveRefusedException>(() => Rows(Zip([.. entries, KeyValuePair.Create(log, "[]")]))).Reason.ShouldContain("twice");
        Should.Throw<ArchiveRefusedException>(() => Rows(Zip(entries.Where(e => e.Key != "manifest.sha256")))).Path.ShouldBe("manifest.sha256");
    }

    [Fact]
    public async Task Nothing_goes_over_what_is_there_and_nothing_but_an_archive_is_taken()
    {
        await site.AddedAsync("There");
        var archive = await Archive(site);
        var over = await Send(site, archive);
        over.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await site.LinesAsync()).Length.ShouldBe(1);
        (await site.Send(HttpMethod.Post, "/api/archive", "{}")).StatusCode.ShouldBe(HttpStatusCode.UnsupportedMediaType);
        using var empty = new Site();
        foreach (var bytes in new[] { Array.Empty<byte>(), "PK\u0003\u0004"u8.ToArray(), Zip([]), Zip([KeyValuePair.Create("manifest.json", "{}")]), Zip([KeyValuePair.Create("../evil", "x")]) })
        {
            (await Send(empty, bytes)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        }

        (await Send(empty, archive)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public void The_published_schema_is_the_one_the_manifest_is_written_by()
    {
        var schema = ArchiveEndpoints.Schema(Options);
        File.WriteAllText(Repository.File("artifacts/archive.schema.json"), schema.ToJsonString(new JsonSerializerOptions { WriteIndented = true }) + "\n");
        JsonNode.DeepEquals(JsonNode.Parse(File.ReadAllText(Repository.File("docs/archive.schema.json"))), schema)
            .ShouldBeTrue("the manifest changed its form: read the difference, then copy artifacts/archive.schema.json to docs/");
    }

    // The demo's yard after somebody has lived in it: all that can be kept is.
    private async Task<byte[]> LivedInAsync(Site demo)
    {
        var value = JsonNode.Parse(await (await demo.Get("/api/learnt")).Content.ReadAsStringAsync(token))!;
        var pace = value["values"]!.AsArray().Single(v => v!["key"]!["of"]!.GetValue<string>() == "pace")!;
        (await demo.Send(HttpMethod.Post, "/api/learnt/word", new JsonObject { ["key"] = pace["key"]!.DeepClone(), ["word"] = "taken" }.ToJsonString())).StatusCode.ShouldBe(HttpStatusCode.OK);
        var pour = value["pours"]![1]!;
        (await demo.Send(HttpMethod.Post, "/api/learnt/record", new JsonObject { ["job"] = pour["job"]!.DeepClone(), ["pour"] = pour["pour"]!.DeepClone(), ["leftOut"] = true }.ToJsonString())).StatusCode.ShouldBe(HttpStatusCode.OK);
        var text = string.Join('\n', Enumerable.Range(0, 30).Select(h => $"2027-05-04T{h % 24:00}:00:00Z".Replace("2027-05-04", h < 24 ? "2027-05-04" : "2027-05-05", StringComparison.Ordinal) + ",15,60,9"));
        (await demo.Send(HttpMethod.Post, "/api/weather-files?name=days.csv&timeZone=UTC&year=2027", $"time,temp_c,humidity_%,wind_kmh\n{text}\n", type: "text/plain")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var named = await demo.StartingJobAsync("Gone for good");
        named["mixing"]!["crew"] = "The aunts";
        var (first, _) = await demo.AddedAsync(named);
        await RemoveAsync(demo, first);
        await demo.Send(HttpMethod.Delete, "/api/jobs/removed", "");
        var job = await demo.StartingJobAsync("Lived in");
        job["buy"]!["prices"] = new JsonArray(new JsonObject { ["good"] = "tape:50", ["price"] = 4.2, ["date"] = "2027-05-02" });
        var (id, document) = await demo.AddedAsync(job);
        document["name"] = "Lived in, changed";
        await demo.Send(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), "\"1\"");
        await Picture(demo, id);
        var (removed, _) = await demo.AddedAsync("Removed");
        await RemoveAsync(demo, removed);
        return await Archive(demo);
    }

    private static async Task RemoveAsync(Site of, string id) =>
        (await of.Send(HttpMethod.Delete, $"/api/jobs/{id}", "", (await of.Get($"/api/jobs/{id}")).Headers.ETag!.Tag)).StatusCode.ShouldBe(HttpStatusCode.NoContent);

    private async Task Picture(Site of, string job)
    {
        using var body = new ByteArrayContent([0xFF, 0xD8, 0xFF, 0xDA, 0x00, 0x03, 0x01, 0x2A, 0x2B, 0xFF, 0xD9]);
        body.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        (await of.CreateClient().PutAsync(new Uri($"/api/jobs/{job}/pictures/{Guid.NewGuid()}", UriKind.Relative), body, token)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    private async Task<byte[]> Archive(Site of)
    {
        var answer = await of.Get("/api/archive");
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/zip");
        return await answer.Content.ReadAsByteArrayAsync(token);
    }

    private async Task<HttpResponseMessage> Send(Site to, byte[] archive)
    {
        using var body = new ByteArrayContent(archive);
        body.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        return await to.CreateClient().PostAsync(new Uri("/api/archive", UriKind.Relative), body, token);
    }

    private string[] Rows(byte[] archive)
    {
        using var from = new MemoryStream(archive);
        return [.. ArchiveReader.Read(from, Options).Select(r => r.GetType().Name + JsonSerializer.Serialize(r, r.GetType(), Options))];
    }

    private static SortedDictionary<string, string> Entries(byte[] archive)
    {
        using var zip = new ZipArchive(new MemoryStream(archive));
        var all = new SortedDictionary<string, string>(StringComparer.Ordinal);
        foreach (var entry in zip.Entries)
        {
            using var reader = new StreamReader(entry.Open(), Encoding.Latin1);
            all[entry.FullName] = reader.ReadToEnd();
        }

        return all;
    }

    private static byte[] Zip(IEnumerable<KeyValuePair<string, string>> entries)
    {
        using var to = new MemoryStream();
        using (var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var (name, text) in entries)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(Encoding.Latin1.GetBytes(text));
            }
        }

        return to.ToArray();
    }

    private static byte[] Forged(SortedDictionary<string, string> entries, string path, string text)
    {
        var forged = new SortedDictionary<string, string>(entries, StringComparer.Ordinal) { [path] = text };
        if (path != "manifest.json")
        {
            var manifest = JsonNode.Parse(Encoding.UTF8.GetString(Encoding.Latin1.GetBytes(forged["manifest.json"])))!;
            manifest["files"]![path] = ArchiveWriter.Sum(Encoding.Latin1.GetBytes(text));
            forged["manifest.json"] = Encoding.Latin1.GetString(Encoding.UTF8.GetBytes(manifest.ToJsonString()));
        }

        forged["manifest.sha256"] = ArchiveWriter.Sum(Encoding.Latin1.GetBytes(forged["manifest.json"]));
        return Zip(forged);
    }

    // Bits turned, a run of nothing, a piece cut out, an end that is missing.
    private static byte[] Broken(byte[] whole, Random luck)
    {
        var bytes = whole.ToArray();
        var at = luck.Next(bytes.Length - 40);
        switch (luck.Next(4))
        {
            case 0:
                bytes[at] ^= (byte)(1 << luck.Next(8));
                return bytes;
            case 1:
                bytes.AsSpan(at, 1 + luck.Next(30)).Clear();
                return bytes;
            case 2:
                return [.. bytes[..at], .. bytes[(at + 1 + luck.Next(30))..]];
            default:
                return bytes[..at];
        }
    }
}
