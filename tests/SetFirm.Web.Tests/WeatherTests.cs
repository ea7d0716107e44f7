using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>The stand-in for a forecast, seen through the service: plausible, the same for everyone, and never past what it can know.</summary>
public sealed class WeatherTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task Its_hours_could_be_a_mild_spring()
    {
        var hours = new List<JsonNode>();
        for (var day = 4; day < 18; day++)
        {
            hours.AddRange(await HoursOfAsync($"2027-05-{day:00}"));
        }

        double[] Of(string field) => [.. hours.Select(h => h[field]!.GetValue<double>())];
        Of("airC").ShouldAllBe(c => c > -5 && c < 35);
        Of("humidity").ShouldAllBe(h => h >= 0.3 && h <= 0.97);
        Of("windKmh").ShouldAllBe(w => w >= 0 && w < 45);
        Of("rainChance").ShouldAllBe(c => c >= 0 && c <= 0.9);
        Of("sunWm2").ShouldContain(s => s > 300);
        (Of("airC").Max() - Of("airC").Min()).ShouldBeGreaterThan(4);
        Of("rainChance").ShouldContain(c => c > 0.05);
        Of("rainChance").ShouldContain(c => c < 0.01);
    }

    [Fact]
    public async Task Afternoons_are_warmer_and_drier_than_mornings()
    {
        var hours = await HoursOfAsync("2027-05-08");
        var morning = hours.MinBy(h => h["airC"]!.GetValue<double>())!;
        var afternoon = hours.MaxBy(h => h["airC"]!.GetValue<double>())!;
        string.CompareOrdinal(afternoon["at"]!.GetValue<string>()[11..13], "11").ShouldBeGreaterThanOrEqualTo(0);
        afternoon["airC"]!.GetValue<double>().ShouldBeGreaterThan(morning["airC"]!.GetValue<double>());
        afternoon["humidity"]!.GetValue<double>().ShouldBeLessThan(morning["humidity"]!.GetValue<double>());
    }

    [Fact]
    public async Task Two_sites_see_the_same_weather()
    {
        using var other = new Site();
        var document = await site.StartingJobAsync();
        var body = new JsonObject { ["document"] = document }.ToJsonString();
        var here = await (await site.Send(HttpMethod.Post, "/api/plan", body)).Content.ReadAsStringAsync(token);
        (await (await other.Send(HttpMethod.Post, "/api/plan", body)).Content.ReadAsStringAsync(token)).ShouldBe(here);
    }

    [Theory]
    [InlineData("2027-05-16", false)]
    [InlineData("2027-05-25", true)]
    [InlineData("2031-01-01", true)]
    [InlineData("2026-11-02", false)] // long past: what was is still known
    public async Task A_day_past_the_fortnight_is_said_to_be_past_it(string date, bool beyond)
    {
        var report = await PlanAsync(date);
        report["findings"]!.AsArray().Any(f => f!["says"]!["code"]!.GetValue<string>() == "weatherEndsEarly").ShouldBe(beyond);
        report["cure"].ShouldNotBeNull();
    }

    [Fact]
    public async Task The_fortnight_begins_today_where_the_site_is()
    {
        // 07:00 UTC is already the next day on the far side of the date line, and still Tuesday at home.
        async Task<string> FirstAsync(string zone) => (await (await site.Get($"/api/forecast?timeZone={zone}")).Content.ReadFromJsonAsync<JsonNode>(token))!
            ["days"]![0]!["day"]!["date"]!.GetValue<string>();
        (await FirstAsync("Europe/Berlin")).ShouldBe("2027-05-04");
        (await FirstAsync("Pacific/Honolulu")).ShouldBe("2027-05-03");
    }

    [Fact]
    public async Task Days_that_were_typed_stand_in_the_fortnight_with_where_they_come_from()
    {
        var document = await site.StartingJobAsync();
        document["site"]!["typed"] = new JsonObject
        {
            ["on"] = "2027-05-04",
            ["days"] = new JsonArray(new JsonObject
            {
                ["date"] = "2027-05-06",
                ["lowC"] = 21,
                ["highC"] = 33,
                ["windKmh"] = 9,
                ["sky"] = "clear",
                ["humidityPct"] = 40,
                ["rainMorningPct"] = 0,
                ["rainAfternoonPct"] = 0,
                ["rainEveningPct"] = 0,
                ["rainNightPct"] = 0,
            }),
        };
        var told = JsonNode.Parse(await (await site.Send(HttpMethod.Post, "/api/days", document.ToJsonString())).Content.ReadAsStringAsync(token))!;
        told["simulated"]!.GetValue<bool>().ShouldBeTrue();
        var days = told["days"]!.AsArray();
        days.Select(d => d!["source"]!.GetValue<string>()).ShouldBe(Enumerable.Range(0, 14).Select(d => d == 2 ? "typed" : "simulated"));
        days[2]!["day"]!["mostC"]!.GetValue<double>().ShouldBe(33, 0.5);
        days[2]!["day"]!["rainChance"]!.GetValue<double>().ShouldBe(0, 1e-9);
        document["timeZone"] = "Middle/Earth";
        await (await site.Send(HttpMethod.Post, "/api/days", document.ToJsonString())).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "unknown-time-zone");
    }

    [Fact]
    public async Task The_stand_in_follows_the_season_and_the_place_of_the_zone()
    {
        async Task<double> MeanAsync(string zone, string from)
        {
            var document = await site.StartingJobAsync();
            (document["timeZone"], document["day"]!["date"]) = (zone, from);
            var day = JsonNode.Parse(await (await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document }.ToJsonString())).Content.ReadAsStringAsync(token))!["day"]!;
            return day["hours"]!.AsArray().Average(h => h!["airC"]!.GetValue<double>());
        }

        (await MeanAsync("Europe/Oslo", "2027-05-06")).ShouldBeLessThan(await MeanAsync("Africa/Cairo", "2027-05-06"));
        (await MeanAsync("Europe/Berlin", "2028-01-20")).ShouldBeLessThan(await MeanAsync("Europe/Berlin", "2027-07-20") - 8);
    }

    private async Task<JsonNode> PlanAsync(string date)
    {
        var document = await site.StartingJobAsync();
        document["day"]!["date"] = date;
        var answer = await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }

    private async Task<JsonNode[]> HoursOfAsync(string date) => [.. (await PlanAsync(date))["day"]!["hours"]!.AsArray().Select(h => h!)];
}
