using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Text.Json;
using System.Text.Json.Nodes;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>Bodies that were sound once, changed at random where they have structure: each is answered, or refused with a reason; never a fault of ours, never without end.</summary>
public sealed class FuzzTests : IDisposable
{
    /// <summary>Bytes of any answer.</summary>
    private const int MostBytes = 2_000_000;

    /// <summary>Bytes of a body that is taken.</summary>
    private const int MostTaken = 2_000_000;

    /// <summary>Seconds: the service gives up a plan after two, the first ones after ten; the rest is for a machine that does other things besides.</summary>
    private const double MostSeconds = 15;

    private readonly Site site = new(null, ("SetFirm:BurstOfRequests", "10000000"), ("SetFirm:PlanSeconds", "2"));
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly Random random;

    public FuzzTests()
    {
        var seed = int.TryParse(Environment.GetEnvironmentVariable("SETFIRM_SEED"), out var given) ? given : Environment.TickCount;
        TestContext.Current.TestOutputHelper?.WriteLine($"SETFIRM_SEED={seed}");
        random = new Random(seed);
    }

    /// <summary>So many times as many as in the test run; <c>./setfirm torture</c> asks for 25.</summary>
    private static int Times => int.TryParse(Environment.GetEnvironmentVariable("SETFIRM_FUZZ"), out var times) ? times : 1;

    public void Dispose() => site.Dispose();

    [Fact]
    public async Task Documents_are_planned_or_refused()
    {
        JsonNode[] seeds = await SeedsAsync();
        await WalkAsync(2_000, "/api/plan", () => new JsonObject { ["document"] = Changed(seeds) });
    }

    [Fact]
    public async Task Documents_are_kept_or_refused_and_the_yard_lists_what_was_kept()
    {
        JsonNode[] seeds = await SeedsAsync();
        await WalkAsync(500, "/api/jobs", () => Changed(seeds));
        var lines = await site.LinesAsync();
        lines.Length.ShouldBeGreaterThan(20);
    }

    [Fact]
    public async Task Weather_is_planned_with_or_refused()
    {
        var document = await site.StartingJobAsync();
        JsonNode weather = new JsonObject
        {
            ["start"] = "2027-05-04T00:00:00Z",
            ["hours"] = new JsonArray([.. Enumerable.Range(0, 72).Select(h => (JsonNode)new JsonObject { ["airC"] = 12 + (h % 9), ["humidity"] = 0.6, ["windKmh"] = 9, ["sunWm2"] = 300, ["rainMm"] = 0, ["rainChance"] = 0.1 })]),
        };
        await WalkAsync(500, "/api/plan", () => new JsonObject { ["document"] = document.DeepClone(), ["weather"] = Changed([weather]) });
    }

    [Fact]
    public async Task Diaries_are_planned_with_or_refused()
    {
        var document = await site.StartingJobAsync();
        JsonNode log = Lines();
        await WalkAsync(500, "/api/plan", () => new JsonObject { ["document"] = document.DeepClone(), ["log"] = Changed([log]), ["asOf"] = "2027-05-05T12:00:00Z" });
        foreach (var path in new[] { "/api/tasks", "/api/shop", "/api/faults", "/api/lookback" })
        {
            await WalkAsync(200, path, () => new JsonObject { ["document"] = document.DeepClone(), ["log"] = Changed([log]), ["asOf"] = "2027-05-05T12:00:00Z" });
        }

        await WalkAsync(500, "/api/rehearse", () => new JsonObject { ["document"] = document.DeepClone(), ["log"] = Changed([log]), ["asOf"] = "2027-05-05T12:00:00Z", ["seed"] = random.Next() });
    }

    [Fact]
    public async Task Lines_of_a_diary_are_kept_or_refused()
    {
        var (id, _) = await site.AddedAsync();
        JsonNode log = Lines();
        await WalkAsync(500, $"/api/jobs/{id}/log", () => Changed([log]));
        (await site.Get($"/api/jobs/{id}/log")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await site.LinesAsync()).Length.ShouldBe(1);
    }

    [Fact]
    public async Task What_is_asked_of_the_record_is_answered_or_refused()
    {
        var key = JsonNode.Parse("""{"of":"pace","what":"drum","who":""}""")!;
        await WalkAsync(150, "/api/learnt/effects", () => Changed([key]));
        var (document, learnt) = (await site.StartingJobAsync(), JsonNode.Parse("""[{"key":{"of":"pace","what":"drum","who":""},"factor":1.2}]""")!);
        await WalkAsync(150, "/api/plan", () => new JsonObject { ["document"] = document.DeepClone(), ["learnt"] = Changed([learnt]) });
    }

    [Fact]
    public async Task Outline_files_are_read_or_refused()
    {
        string[] texts =
        [
            "x,y\n0,0\n4,0\n4,3\n0,3\n",
            """{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":{"type":"Polygon","coordinates":[[[0,0],[0.0001,0],[0.0001,0.0001],[0,0.0001],[0,0]]]}}]}""",
            "0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n4\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n10\n4\n20\n3\n10\n0\n20\n3\n0\nENDSEC\n0\nEOF\n",
        ];
        string?[] units = [null, "millimetres", "metres", "feet"];
        await WalkAsync(500, "/api/outlines/read", () => Changed([new JsonObject { ["text"] = Text(texts[random.Next(texts.Length)]), ["unit"] = units[random.Next(units.Length)] }]));
    }

    [Fact]
    public async Task Weather_files_are_read_or_refused()
    {
        var hours = string.Join('\n', Enumerable.Range(0, 60).Select(h => string.Create(CultureInfo.InvariantCulture, $"2027-05-{4 + (h / 24):00} {h % 24:00}:00,{10 + (h % 7)},60,9,200,0")));
        var csv = "time,temp_c,humidity_%,wind_kmh,sun_wm2,rain_mm\n" + hours;
        await WalkAsync(
            500, "/api/weather-files?name=a.csv&timeZone=Europe/Berlin&year=2027", () => JsonValue.Create(Text(csv)), "text/plain", body => body.GetValue<string>());
    }

    [Fact]
    public async Task Days_and_calendars_are_answered_or_refused()
    {
        JsonNode[] seeds = await SeedsAsync();
        await WalkAsync(500, "/api/days", () => Changed(seeds));
        await WalkAsync(100, "/api/calendar", () => new JsonObject { ["document"] = Changed(seeds) });
        await WalkAsync(100, "/api/tasks", () => new JsonObject { ["document"] = Changed(seeds) });
        await WalkAsync(100, "/api/shop", () => new JsonObject { ["document"] = Changed(seeds) });
        await WalkAsync(50, "/api/faults", () => new JsonObject { ["document"] = Changed(seeds) });
        await WalkAsync(30, "/api/practices", () => new JsonObject { ["document"] = Changed(seeds) });
    }

    private static JsonArray Lines() => new(
        Line("wetted"), Line("sheenGone", ("zone", 1)), Line("waterAdded", ("batch", 1), ("litres", 0.5)), Line("noted"), Line("taskDone", ("task", "setOut:element-1")), Line("coverOn"), Line("boardsOff"),
        Line("thumbTest", ("zone", 1), ("mark", "threeMm")), Line("passBegun", ("zone", 1), ("pass", "broom")), Line("passDone", ("zone", 1), ("pass", "edgeAndFloat")), Line("batchMixing", ("batch", 1)),
        Line("batchPlaced", ("batch", 1)), Line("handsChanged", ("hands", 3)), Line("jointMade", ("batch", 1)), Line("dayClosed", ("washed", true), ("holdBackUsed", false), ("bagsLeft", 1), ("bagsUsed", 40)),
        Line("faultSeen", ("sign", "blisters"), ("element", "element-1"), ("alongM", 1.2), ("inM", 0.4), ("picture", "")),
        Line("probeRead", ("readings", JsonNode.Parse("[{\"at\":\"2027-05-05T08:00:00Z\",\"celsius\":21},{\"at\":\"2027-05-05T09:00:00Z\",\"celsius\":24}]")!)),
        Line("dayBegun", ("plan", JsonNode.Parse("""
            {"start":"2027-05-05T08:00:00Z","mixingEnds":"2027-05-05T09:00:00Z","doneBy":"2027-05-05T15:00:00Z","batches":[{"begun":"2027-05-05T08:00:00Z","placed":"2027-05-05T08:10:00Z"}],
            "zones":[{"element":0,"firstBatch":1,"lastBatch":1,"from":0,"to":1,"sheenGone":null,"passes":[{"pass":"broom","opens":"2027-05-05T11:00:00Z","closes":"2027-05-05T13:00:00Z","begins":null}]}]}
            """)!)));

    private static JsonObject Line(string kind, params (string Name, JsonNode Value)[] more)
    {
        var line = new JsonObject { ["kind"] = kind, ["id"] = Guid.NewGuid().ToString(), ["at"] = "2027-05-05T08:00:00Z", ["pour"] = "", ["device"] = "phone", ["note"] = "so" };
        foreach (var (name, value) in more)
        {
            line[name] = value;
        }

        return line;
    }

    // One of every kind that a new job may open with.
    private async Task<JsonNode[]> SeedsAsync()
    {
        var seeds = new List<JsonNode>();
        foreach (var kind in Enum.GetValues<SetFirm.Core.Job.StartKind>())
        {
            seeds.Add(JsonNode.Parse(await (await site.Get($"/api/jobs/start?name=x&timeZone=Europe/Berlin&kind={kind}")).Content.ReadAsStringAsync(token))!);
        }

        return [.. seeds];
    }

    private async Task WalkAsync(int count, string path, Func<JsonNode> body, string type = "application/json", Func<JsonNode, string>? text = null)
    {
        using var client = site.CreateClient(); // one: each has its own connections
        var (answers, worst, largest) = (new SortedDictionary<int, int>(), 0.0, 0);
        for (var i = 0; i < count * Times; i++)
        {
            var made = body();
            var sent = text is null ? made.ToJsonString() : text(made);
            var clock = Stopwatch.StartNew();
            using var content = new StringContent(sent, MediaTypeHeaderValue.Parse(type));
            HttpResponseMessage answer;
            try
            {
                answer = await client.PostAsync(new Uri(path, UriKind.Relative), content, token);
            }
            catch (HttpRequestException) when (content.Headers.ContentLength > MostTaken)
            {
                answers[413] = answers.GetValueOrDefault(413) + 1; // refused, and the line closed, before all of it was sent
                continue;
            }

            using var _ = answer;
            var got = await answer.Content.ReadAsStringAsync(token);
            var seconds = clock.Elapsed.TotalSeconds;
            var about = $"{path} answered {(int)answer.StatusCode} in {seconds:0.00} s, {got.Length} bytes, to {(sent.Length > 20_000 ? $"{sent[..20_000]}… ({sent.Length})" : sent)}";
            ((int)answer.StatusCode).ShouldBeLessThan(500, about);
            seconds.ShouldBeLessThan(MostSeconds, about);
            got.Length.ShouldBeLessThan(MostBytes, about);
            if (got.Length > 0)
            {
                using var parsed = JsonDocument.Parse(got); // JSON knows neither NaN nor infinity
            }

            answers[(int)answer.StatusCode] = answers.GetValueOrDefault((int)answer.StatusCode) + 1;
            (worst, largest) = (Math.Max(worst, seconds), Math.Max(largest, got.Length));
        }

        TestContext.Current.TestOutputHelper?.WriteLine(
            string.Create(CultureInfo.InvariantCulture, $"{path}: {string.Join(", ", answers.Select(a => $"{a.Value} x {a.Key}"))}; longest {worst:0.00} s, largest {largest / 1e6:0.00} MB"));
        answers.Keys.Count(k => k < 300).ShouldBe(1); // some were sound enough to be answered
    }

    private JsonNode Changed(JsonNode[] seeds)
    {
        var root = new JsonObject { ["it"] = seeds[random.Next(seeds.Length)].DeepClone() };
        for (var changes = random.Next(1, 5); changes > 0; changes--)
        {
            Change(root);
        }

        return root["it"] is { } it ? it.DeepClone() : new JsonObject();
    }

    // Walks down at random, and changes what it comes to.
    private void Change(JsonNode root)
    {
        var at = root;
        while (true)
        {
            JsonNode? below;
            switch (at)
            {
                case JsonObject { Count: > 0 } o:
                    var name = o.ElementAt(random.Next(o.Count)).Key;
                    below = o[name];
                    if (below is null or JsonValue || random.Next(30) == 0)
                    {
                        if (random.Next(40) == 0 && at != root)
                        {
                            o.Remove(name);
                        }
                        else
                        {
                            o[name] = Instead(below);
                        }

                        return;
                    }

                    at = below;
                    break;
                case JsonArray { Count: > 0 } a:
                    var index = random.Next(a.Count);
                    below = a[index];
                    switch (random.Next(8))
                    {
                        case 0:
                            a.RemoveAt(index);
                            return;
                        case 1:
                            foreach (var copy in Enumerable.Repeat(below, random.Next(3) == 0 ? 250 : random.Next(1, 6)).Select(n => n?.DeepClone()).ToArray())
                            {
                                a.Add(copy);
                            }

                            return;
                        case 2:
                            a[index] = Instead(below);
                            return;
                    }

                    if (below is null or JsonValue)
                    {
                        a[index] = Instead(below);
                        return;
                    }

                    at = below;
                    break;
                default:
                    return;
            }
        }
    }

    // Mostly of the same kind, so that it is read, and what it does to the plan is seen.
    private JsonNode? Instead(JsonNode? value) => random.Next(40) switch
    {
        0 => null,
        1 => JsonValue.Create("x"),
        2 => new JsonArray(),
        3 => new JsonObject(),
        4 => JsonNode.Parse(Numbers[random.Next(Numbers.Length)]),
        _ => value?.GetValueKind() switch
        {
            JsonValueKind.String => JsonValue.Create(Text(value.GetValue<string>())),
            JsonValueKind.True or JsonValueKind.False => JsonValue.Create(random.Next(2) == 0),
            JsonValueKind.Null or JsonValueKind.Number => JsonNode.Parse(Numbers[random.Next(Numbers.Length)]),
            _ => value?.DeepClone(),
        },
    };

    private static readonly string[] Numbers = ["0", "-0", "1", "-1", "0.5", "2", "3", "7", "45", "90", "1e308", "-1e308", "1e-308", "5e-324", "2147483647", "-2147483648", "9223372036854775807", "1e999", "0.1e1", "1000000", "28", "366"];

    private static readonly string[] Texts =
    [
        "", " ", "0", "-0", "0 mm", "1", "5", "50", "5 mm", "100 mm", "1 m", "100 m", "200 m", "12' 6\"", "1/0", "1e308", "\0", "\r", "\uD83E\uDDF1", "\uFEFF", "NaN", "Infinity", "-1", "99999999999999999999",
        "2027-05-05", "1990-01-01", "2200-12-31", "9999-12-31", "-0001-01-01", "00:00", "23:59", "24:00", "UTC", "Pacific/Kiritimati", "slab", "drum", "slab\u202E", "2027-05-05T08:00:00Z", "9999-12-31T23:59:59Z", "<b>", "';--",
    ];

    private string Text(string was)
    {
        if (random.Next(3) > 0 || was.Length == 0)
        {
            return random.Next(200) == 0 ? new string('9', random.Next(1, 40_000)) : Texts[random.Next(Texts.Length)];
        }

        var at = random.Next(was.Length);
        return random.Next(5) switch
        {
            0 => was[..at],
            1 => was[..at] + was[at..] + was[at..],
            2 => was.Insert(at, Texts[random.Next(Texts.Length)]),
            3 => was.Remove(at, 1),
            _ => was.Replace(was[at], (char)('0' + random.Next(10))),
        };
    }
}
