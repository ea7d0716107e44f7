using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using SetFirm.Tests.Sites;
using SetFirm.Web.Jobs;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>How a household likes things is kept as it was said; what cannot be says at which field; what an older program kept is still read.</summary>
public sealed class PreferencesTests
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_is_liked_is_kept_and_a_new_job_opens_with_it()
    {
        using var site = new Site();
        var liked = await NowAsync(site);
        (liked["firstDay"], liked["scheme"]!.GetValue<string>()).ShouldBe((null, "device"));
        foreach (var (name, value) in ((string, JsonNode)[])[("units", "us"), ("fraction", 8), ("currency", "kr"), ("wakeFrom", "05:30"), ("wakeUntil", "20:15"),
            ("latitude", -33.5), ("longitude", 151.25), ("firstDay", "saturday"), ("scheme", "dark")])
        {
            liked[name] = value.DeepClone();
        }

        (await PutAsync(site, liked)).StatusCode.ShouldBe(HttpStatusCode.OK);
        JsonNode.DeepEquals(await NowAsync(site), liked).ShouldBeTrue();
        var job = (await (await site.Get("/api/jobs/start?name=New&units=us&timeZone=UTC")).Content.ReadFromJsonAsync<JsonNode>(token))!;
        (job["buy"]!["currency"]!.GetValue<string>(), job["cure"]!["wakeFrom"]!.GetValue<string>(), job["cure"]!["wakeUntil"]!.GetValue<string>()).ShouldBe(("kr", "05:30", "20:15"));
        (job["site"]!["latitude"]!.GetValue<double>(), job["site"]!["longitude"]!.GetValue<double>()).ShouldBe((-33.5, 151.25));
    }

    [Theory]
    [InlineData("fraction", 32, "$.fraction")]
    [InlineData("currency", "pieces of eight", "$.currency")]
    [InlineData("wakeFrom", "7 o'clock", "$.wakeFrom")]
    [InlineData("wakeUntil", "24:00", "$.wakeUntil")]
    [InlineData("latitude", 90.5, "$.latitude")]
    [InlineData("longitude", -181, "$.longitude")]
    [InlineData("firstDay", "someday", "$.firstDay")]
    [InlineData("scheme", "purple", "$.scheme")]
    public async Task What_cannot_be_is_told_at_its_field_and_nothing_is_changed(string field, object value, string path)
    {
        using var site = new Site();
        var before = await NowAsync(site);
        var said = before.DeepClone();
        said[field] = JsonValue.Create(value);
        var answer = await PutAsync(site, said);
        answer.StatusCode.ShouldBeOneOf(HttpStatusCode.BadRequest, HttpStatusCode.UnprocessableEntity);
        (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!["path"]!.GetValue<string>().ShouldBe(path);
        JsonNode.DeepEquals(await NowAsync(site), before).ShouldBeTrue();
    }

    [Fact]
    public async Task What_an_older_program_kept_is_still_read()
    {
        using var site = new Site();
        using (var scope = site.Services.CreateScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
            db.Settings.Add(new SettingRow { Name = Preferences.Key, Value = """{"units":"us","fraction":8,"currency":"$","wakeFrom":"","wakeUntil":"21:00"}""" });
            await db.SaveChangesAsync(token);
        }

        var liked = await NowAsync(site);
        (liked["currency"]!.GetValue<string>(), liked["fraction"]!.GetValue<int>(), liked["firstDay"], liked["scheme"]!.GetValue<string>()).ShouldBe(("$", 8, null, "device"));
    }

    private async Task<JsonNode> NowAsync(Site site) => (await (await site.Get("/api/preferences")).Content.ReadFromJsonAsync<JsonNode>(token))!;

    private static Task<HttpResponseMessage> PutAsync(Site site, JsonNode said) => site.Send(HttpMethod.Put, "/api/preferences", said.ToJsonString());
}
