using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using SetFirm.Core.Weather;
using SetFirm.Tests;
using SetFirm.Tests.Sites;
using SetFirm.Web.Weather;

namespace SetFirm.Web.Tests;

/// <summary>Hourly weather from files, sound and broken, through the service: never a wrong hour in silence.</summary>
public sealed class WeatherFileTests(Site site) : IClassFixture<Site>
{
    private const string Header = "time,temp_c,humidity_%,wind_kmh,sun_wm2,rain_chance_%,rain_mm";
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly HttpClient client = site.CreateClient();

    [Fact]
    public async Task A_table_is_read_kept_and_found_again_and_plans_are_made_with_it()
    {
        var read = await Read(Table(hours: 24 * 10));
        Codes(read).ShouldBeEmpty();
        read["hours"]!.GetValue<int>().ShouldBe(240);
        read["leastC"]!.GetValue<double>().ShouldBe(8);
        read["mostC"]!.GetValue<double>().ShouldBe(20);
        var id = read["id"]!.GetValue<string>();
        var kept = JsonNode.Parse(await client.GetStringAsync($"/api/weather-files/{id}", token))!;
        kept["name"]!.GetValue<string>().ShouldBe("spring.csv");
        (await Read(Table(hours: 240)))["id"]!.GetValue<string>().ShouldBe(id); // the same file is the same weather

        var job = await site.StartingJobAsync("T");
        job["site"]!["weatherFile"] = id;
        job["day"]!["date"] = "2027-05-05";
        job["day"]!["start"] = "08:00";
        var plan = await Plan(job);
        plan["findings"]!.AsArray().ShouldNotContain(f => f!["says"]!["code"]!.GetValue<string>() == "weatherFileMissing");
        // Eight degrees at night and twenty in the afternoon are those of the file, not of the stand-in.
        plan["day"]!["hours"]!.AsArray().ShouldContain(h => Math.Abs(h!["airC"]!.GetValue<double>() - 20) < 0.01);
        job["site"]!["weatherFile"] = "nothing-here";
        (await Plan(job))["findings"]!.AsArray().ShouldContain(f => f!["says"]!["code"]!.GetValue<string>() == "weatherFileMissing");
    }

    [Fact]
    public async Task Files_are_listed_let_go_and_no_more_than_there_is_room_for()
    {
        using var own = new Site();
        async Task<HttpResponseMessage> Post(int i) =>
            await own.Send(HttpMethod.Post, $"/api/weather-files?name=file-{i}.csv&timeZone=Europe/Berlin&year=2027", Table(hours: 24 + i), type: "text/plain");
        async Task<JsonArray> List() => JsonNode.Parse(await (await own.Get("/api/weather-files")).Content.ReadAsStringAsync(token))!.AsArray();
        (await List()).ShouldBeEmpty();
        for (var i = 0; i < WeatherFileEndpoints.MostFiles; i++)
        {
            (await Post(i)).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        await (await Post(99)).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "too-many-weather-files");
        (await Post(3)).StatusCode.ShouldBe(HttpStatusCode.OK); // it is kept already
        var all = await List();
        all.Count.ShouldBe(WeatherFileEndpoints.MostFiles);
        var gone = all.First(f => f!["name"]!.GetValue<string>() == "file-5.csv")!["id"]!.GetValue<string>();
        (await own.Send(HttpMethod.Delete, $"/api/weather-files/{gone}", "")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        await (await own.Send(HttpMethod.Delete, $"/api/weather-files/{gone}", "")).ShouldBeRefusedAsync(HttpStatusCode.NotFound, "no-such-weather");
        (await own.Get($"/api/weather-files/{gone}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Post(99)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Theory]
    [InlineData("1989-12-31 23:00")]
    [InlineData("9998-01-01 00:00")]
    public async Task Hours_of_another_age_are_named_by_their_line(string moment)
    {
        var read = await Read($"{Header}\n{moment},12,60,9,200,0,0\n{moment[..^5]}{(moment.EndsWith("23:00", StringComparison.Ordinal) ? "23:30" : "01:00")},12,60,9,200,0,0\n");
        read["id"].ShouldBeNull();
        read["findings"]!.AsArray()[0]!["says"]!["reason"]!.GetValue<string>().ShouldBe("beyondYears");
    }

    [Fact]
    public async Task Other_units_are_read_into_the_same_hours()
    {
        var metric = await Read("time,temp_c,humidity_%,wind_kmh,cloud_%,rain_mm\n2027-05-05T00:00Z,20,50,36,100,0\n2027-05-05T01:00Z,20,50,36,100,0\n");
        var other = await Read("time;air (F);rh (share);wind_ms;cloud (oktas);rain (in)\n2027-05-05T00:00Z;68;0.5;10;8;0\n2027-05-05T01:00Z;68;0.5;10;8;0\n");
        Codes(metric).ShouldBeEmpty();
        Codes(other).ShouldBeEmpty();
        other["leastC"]!.GetValue<double>().ShouldBe(metric["leastC"]!.GetValue<double>(), 1e-9);
    }

    [Theory]
    [InlineData("time,temp,humidity_%,wind_kmh\n", "weatherUnitUnknown", 1, "airC")]
    [InlineData("time,temp_c,humidity_%,wind\n", "weatherUnitUnknown", 1, "windKmh")]
    [InlineData("time,temp_c,wind_kmh\n2027-05-05T00:00Z,12,9\n", "weatherColumnMissing", 1, "humidity")]
    [InlineData("temp_c,humidity_%,wind_kmh\n12,60,9\n", "weatherColumnMissing", 1, "time")]
    public async Task A_column_without_a_unit_or_missing_is_asked_for(string text, string code, int line, string column)
    {
        var read = await Read(text);
        read["id"].ShouldBeNull();
        Told(read, code, line, column);
    }

    [Theory]
    [InlineData("2027-05-05T02:00Z,1e9,60,10,0,0,0", "weatherFileDamaged", "airC", "impossible")]
    [InlineData("2027-05-05T02:00Z,68,60,10,0,0,0", "weatherFileDamaged", "airC", "impossible")] // Fahrenheit under a name that says Celsius
    [InlineData("2027-05-05T02:00Z,285,60,10,0,0,0", "weatherFileDamaged", "airC", "impossible")] // Kelvin likewise
    [InlineData("2027-05-05T02:00Z,12,140,10,0,0,0", "weatherFileDamaged", "humidity", "impossible")]
    [InlineData("2027-05-05T02:00Z,12,60,-4,0,0,0", "weatherFileDamaged", "windKmh", "impossible")]
    [InlineData("2027-05-05T02:00Z,warm,60,10,0,0,0", "weatherFileDamaged", "airC", "notANumber")]
    [InlineData("2027-05-05T02:00Z,12,60,Infinity,0,0,0", "weatherFileDamaged", "windKmh", "notANumber")]
    [InlineData("2027-05-05T02:00Z,12", "weatherFileDamaged", "humidity", "incomplete")]
    [InlineData("yesterday,12,60,10,0,0,0", "weatherFileDamaged", "time", "timeUnread")]
    [InlineData("2027-02-29T02:00Z,12,60,10,0,0,0", "weatherFileDamaged", "time", "timeUnread")] // a leap day in a year that has none
    [InlineData("2027-05-05T01:00Z,12,60,10,0,0,0", "weatherFileDamaged", "time", "repeated")]
    [InlineData("2027-05-04T23:00Z,12,60,10,0,0,0", "weatherFileDamaged", "time", "outOfOrder")]
    public async Task A_damaged_line_is_refused_with_its_number_and_reason(string third, string code, string column, string reason)
    {
        var read = await Read($"{Header}\n2027-05-05T00:00Z,12,60,10,0,0,0\n2027-05-05T01:00Z,12,60,10,0,0,0\n{third}\n2027-05-05T03:00Z,12,60,10,0,0,0\n");
        read["id"].ShouldBeNull();
        var finding = Told(read, code, 4, column);
        finding["says"]!["reason"]!.GetValue<string>().ShouldBe(reason);
    }

    [Fact]
    public async Task A_short_hole_is_filled_and_told_and_a_long_one_is_refused()
    {
        string Holed(int hours) => $"{Header}\n2027-05-05T00:00Z,12,60,10,0,0,0\n2027-05-05T{hours:00}:00Z,16,60,10,0,0,0\n2027-05-05T{hours + 1:00}:00Z,16,60,10,0,0,0\n";
        var filled = await Read(Holed(3));
        filled["hours"]!.GetValue<int>().ShouldBe(5);
        Told(filled, "weatherGap", 3)["severity"]!.GetValue<string>().ShouldBe("caution");
        var refused = await Read(Holed(9));
        refused["id"].ShouldBeNull();
        var gap = Told(refused, "weatherGap", 3);
        gap["severity"]!.GetValue<string>().ShouldBe("error");
        gap["says"]!["hours"]!.GetValue<double>().ShouldBe(9);
    }

    [Theory]
    [InlineData("NaN")]
    [InlineData("")]
    [InlineData("-9999")]
    public async Task A_value_that_is_not_there_is_filled_from_its_neighbours_and_told(string nothing)
    {
        var read = await Read($"{Header}\n2027-05-05T00:00Z,12,60,10,0,0,0\n2027-05-05T01:00Z,{nothing},60,10,0,0,0\n2027-05-05T02:00Z,16,60,10,0,0,0\n");
        Told(read, "weatherValueMissing", 3, "airC")["severity"]!.GetValue<string>().ShouldBe("caution");
        read["hours"]!.GetValue<int>().ShouldBe(3);
        var all = string.Concat(Enumerable.Range(0, 8).Select(h => $"2027-05-05T{h:00}:00Z,{(h is 0 or 7 ? "12" : nothing)},60,10,0,0,0\n"));
        Told(await Read($"{Header}\n{all}"), "weatherValueMissing", 3, "airC")["severity"]!.GetValue<string>().ShouldBe("error");
    }

    [Fact]
    public async Task The_hours_of_a_clock_change_are_told_and_an_offset_settles_them()
    {
        string Local(params string[] times) => $"{Header}\n" + string.Concat(times.Select(t => $"{t},12,60,10,0,0,0\n"));
        // On 28 March 2027 clocks skip from two to three: a file in winter time has an hour that never is.
        var spring = await Read(Local("2027-03-28 00:00", "2027-03-28 01:00", "2027-03-28 02:00", "2027-03-28 03:00", "2027-03-28 04:00"));
        Told(spring, "weatherHourSkipped", 4);
        spring["hours"]!.GetValue<int>().ShouldBe(4);
        // On 31 October they have the hour from two twice.
        var autumn = await Read(Local("2027-10-31 01:00", "2027-10-31 02:00", "2027-10-31 02:00", "2027-10-31 03:00"));
        Told(autumn, "weatherHourTwice", 3);
        autumn["hours"]!.GetValue<int>().ShouldBe(4);
        Codes(autumn).ShouldNotContain("weatherFileDamaged");
        Codes(await Read(Local("2027-03-28T00:00+01:00", "2027-03-28T01:00+01:00", "2027-03-28T02:00+01:00", "2027-03-28T03:00+01:00"))).ShouldBeEmpty();
    }

    [Fact]
    public async Task Offsets_that_change_within_a_file_are_one_line_of_time()
    {
        var read = await Read($"{Header}\n2027-03-28T01:00+01:00,12,60,10,0,0,0\n2027-03-28T03:00+02:00,13,60,10,0,0,0\n2027-03-28T04:00+02:00,14,60,10,0,0,0\n");
        Codes(read).ShouldBeEmpty();
        read["hours"]!.GetValue<int>().ShouldBe(3);
    }

    [Fact]
    public async Task What_a_file_says_nothing_of_is_told()
    {
        var read = await Read("time,temp_c,humidity_%,wind_kmh\n2027-05-05T00:00Z,12,60,9\n2027-05-05T01:00Z,12,60,9\n");
        read["id"].ShouldNotBeNull();
        Told(read, "weatherWithout", 1, "sunWm2");
        Told(read, "weatherWithout", 1, "rainChance");
    }

    [Fact]
    public async Task A_building_year_is_laid_on_the_jobs_year_and_a_leap_day_it_lacks_is_told()
    {
        var plain = await Read(Epw(days: 365), "town.epw", 2027);
        plain["typicalYear"]!.GetValue<bool>().ShouldBeTrue();
        Codes(plain).ShouldBe(["weatherTypicalYear"]);
        plain["hours"]!.GetValue<int>().ShouldBeInRange(8759, 8760);
        var leap = await Read(Epw(days: 365), "town.epw", 2028);
        Codes(leap).ShouldContain("weatherLeapDay");
        leap["hours"]!.GetValue<int>().ShouldBeInRange(8783, 8784);
    }

    [Fact]
    public async Task A_damaged_building_year_names_its_line()
    {
        var lines = Epw(365).Split('\n');
        lines[100] = lines[100].Replace(",10.0,", ",1e9,", StringComparison.Ordinal);
        Told(await Read(string.Join('\n', lines), "town.epw"), "weatherFileDamaged", 101, "airC");
        var cut = Epw(365).Split('\n');
        Told(await Read(string.Join('\n', cut.Take(200).Concat(cut.Skip(230))), "town.epw"), "weatherGap", 201);
        Told(await Read("LOCATION,Ostrey,-,-,-,-,52,9,north,30\n" + Epw(365)[(Epw(365).IndexOf('\n', StringComparison.Ordinal) + 1)..], "town.epw"), "weatherFileDamaged", 1, "time");
    }

    [Theory]
    [InlineData("")]
    [InlineData("\0\0\0")]
    [InlineData("time")]
    [InlineData("LOCATION,")]
    [InlineData("time,temp_c,humidity_%,wind_kmh\n\"")]
    [InlineData("{\"hours\":[]}")]
    public async Task Nothing_at_all_is_told_too(string text)
    {
        var read = await Read(text);
        read["id"].ShouldBeNull();
        read["findings"]!.AsArray().ShouldContain(f => f!["severity"]!.GetValue<string>() == "error");
    }

    [Fact]
    public async Task An_unknown_file_and_an_unknown_zone_are_refused()
    {
        (await client.GetAsync("/api/weather-files/none", token)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        using var body = new StringContent("time", Encoding.UTF8, "text/plain");
        (await client.PostAsync("/api/weather-files?name=a&timeZone=Mars&year=2027", body, token)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task More_hours_than_a_year_has_are_too_many() =>
        Codes(await Read(Table(HourlyWeather.MostHours + 1))).ShouldContain("weatherTooLong");

    private async Task<JsonNode> Plan(JsonNode job)
    {
        using var answer = await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = job.DeepClone() }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!;
    }

    private async Task<JsonNode> Read(string text, string name = "spring.csv", int year = 2027)
    {
        using var answer = await site.Send(HttpMethod.Post, $"/api/weather-files?name={name}&timeZone=Europe/Berlin&year={year}", text, type: "text/plain");
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        var read = JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!;
        Array.ForEach(Codes(read), Raised.Note);
        return read;
    }

    private static string[] Codes(JsonNode read) => [.. read["findings"]!.AsArray().Select(f => f!["says"]!["code"]!.GetValue<string>())];

    private static JsonNode Told(JsonNode read, string code, int line, string? column = null) => read["findings"]!.AsArray().FirstOrDefault(f =>
        f!["says"]!["code"]!.GetValue<string>() == code && f["says"]!["line"]!.GetValue<double>() == line && (column is null || f["says"]!["column"]?.GetValue<string>() == column))
        .ShouldNotBeNull($"{code} at line {line} {column} in {read["findings"]!.ToJsonString()}");

    private static string Table(int hours)
    {
        var text = new StringBuilder(Header).Append('\n');
        for (var h = 0; h < hours; h++)
        {
            var at = new DateTime(2027, 5, 4, 0, 0, 0, DateTimeKind.Utc).AddHours(h);
            var air = h % 24 is >= 12 and < 16 ? 20 : h % 24 < 5 ? 8 : 14;
            text.Append(CultureInfo.InvariantCulture, $"{at:yyyy-MM-dd'T'HH:mm:ss'Z'},{air},60,10,{(h % 24 is > 5 and < 18 ? 400 : 0)},2,0\n");
        }

        return text.ToString();
    }

    // A year for building simulation: a header of eight lines, then 35 fields an hour, years from several.
    private static string Epw(int days)
    {
        var text = new StringBuilder("LOCATION,Ostrey,-,-,made up,0,52.0,9.0,1.0,30.0\n");
        text.Append(string.Concat(Enumerable.Range(0, 7).Select(i => $"HEADER {i}\n")));
        for (var d = 0; d < days; d++)
        {
            var date = new DateTime(2023, 1, 1, 0, 0, 0, DateTimeKind.Utc).AddDays(d);
            for (var h = 1; h <= 24; h++)
            {
                text.Append(CultureInfo.InvariantCulture, $"{(date.Month % 2 == 0 ? 2009 : 2014)},{date.Month},{date.Day},{h},60,flags,10.0,5.0,70,101000,0,0,300,{(h is > 7 and < 18 ? 200 : 0)},0,0,0,0,0,0,180,3.0,5,5,20,77777,9,999999999,20,0.1,0,88,0.2,{(h == 5 && d % 4 == 0 ? "1.0" : "0.0")},1.0\n");
            }
        }

        return text.ToString();
    }
}
