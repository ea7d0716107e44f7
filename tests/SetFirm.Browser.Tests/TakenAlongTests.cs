using System.Net.Http.Json;
using System.Runtime.CompilerServices;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Testing;
using OpenQA.Selenium;
using SetFirm.Answers;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>The planner that a page takes along: it answers as the program does, and with no program a whole pour is worked by it.</summary>
public sealed class TakenAlongTests
{
    /// <summary>Ways that both follow a day through.</summary>
    private const int Members = 10;

    /// <summary>Loads the planner into the page and compares every answer of it with the program's.</summary>
    private const string Compare = """
        const [id, document, questions, members, done] = arguments;
        const moment = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/;
        function differ(a, b, path, out) {
          if (out.length > 4) return;
          if (typeof a === 'number' && typeof b === 'number') {
            // Within 1e-9, or one of the ninth digit, to which they are told.
            const size = Math.max(Math.abs(a), Math.abs(b));
            if (Math.abs(a - b) > Math.max(1e-9, 1e-9 * size, 1.01 * 10 ** (Math.floor(Math.log10(size || 1)) - 8))) out.push(`${path}: ${a} here, ${b} there`);
          } else if (typeof a === 'string' && typeof b === 'string' && moment.test(a) && moment.test(b)) {
            if (Math.abs(Date.parse(a) - Date.parse(b)) > 1000) out.push(`${path}: ${a} here, ${b} there`);
          } else if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') {
            if (a !== b) out.push(`${path}: ${JSON.stringify(a)} here, ${JSON.stringify(b)} there`);
          } else for (const k of new Set([...Object.keys(a), ...Object.keys(b)])) differ(a[k], b[k], `${path}.${k}`, out);
        }
        (async () => {
          const post = (path, body) => fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
          const alongText = await (await post('/api/along', document)).text();
          window.planner ??= (async () => {
            const { dotnet } = await import(JSON.parse(alongText).planner);
            const { getAssemblyExports, getConfig } = await dotnet.create();
            return (await getAssemblyExports(getConfig().mainAssemblyName)).SetFirm.Page.Answering;
          })();
          const planner = await window.planner;
          if (!planner.Keep('it', alongText)) return ['what goes along was not kept'];
          const log = id === '' ? [] : (await (await fetch(`/api/jobs/${id}/log`)).json()).map((l) => l.event);
          const asOf = (await (await fetch('/api/clock')).json()).now;
          const out = [];
          for (const name of questions) {
            const body = { document, log, asOf, members, seed: 7 };
            const there = await post(`/api/${name}`, body);
            const here = planner.Answer(name, JSON.stringify(body), 'it');
            const status = Number(here.slice(0, 3));
            if (status !== there.status) out.push(`${name}: ${here.slice(0, 200)} here, ${there.status} there`);
            else differ(JSON.parse(here.slice(4)), await there.json(), name, out);
          }
          return out;
        })().then((out) => done(out.map(String)), (e) => done([String(e.stack ?? e)]));
        """;

    private static readonly string[] Systems = ["metric", "us"];

    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    private static string Planner([CallerFilePath] string here = "") => Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "../../src/SetFirm.Web/planner"));

    [Fact]
    public async Task Every_question_about_every_job_of_the_demo_and_every_kind_is_answered_alike_on_the_device_and_by_the_program()
    {
        using var site = new Site(null, ("SetFirm:Demo", "true"), ("SetFirm:Planner", Planner()));
        using var browser = new Browser();
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);
        browser.Open(site.Address);
        string[] questions = [.. Question.All.Select(q => q.Name)];
        var jobs = new List<(string Id, JsonNode Document)>();
        foreach (var line in await site.LinesAsync())
        {
            var id = line["id"]!.GetValue<string>();
            jobs.Add((id, (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!));
        }

        jobs.Count.ShouldBeGreaterThan(8);
        foreach (var (units, i) in Systems.Select((u, i) => (u, i)))
        {
            foreach (var kind in (await (await site.Get($"/api/kinds?units={units}")).Content.ReadFromJsonAsync<JsonNode>(token))!.AsArray().Where((_, k) => k % 2 == i))
            {
                var start = await site.Get($"/api/jobs/start?name=Kind&units={units}&timeZone=Europe/Berlin&kind={kind!["kind"]!.GetValue<string>()}");
                start.EnsureSuccessStatusCode();
                jobs.Add(("", (await start.Content.ReadFromJsonAsync<JsonNode>(token))!));
            }
        }

        foreach (var (id, document) in jobs)
        {
            var differences = (IReadOnlyCollection<object>)browser.Driver.ExecuteAsyncScript(Compare, id, Plain(document), questions, Members)!;
            differences.ShouldBeEmpty($"{document["name"]} {string.Join('\n', differences)}");
        }
    }

    [Fact]
    public async Task With_no_program_a_whole_pour_is_planned_edited_ticked_and_retimed_and_all_of_it_comes_back()
    {
        var file = Site.NewFile();
        try
        {
            using var browser = new Browser();
            browser.ByServiceWorker(true);
            browser.Laptop();
            browser.BeforeAnyPage(Browser.PlayedClock);
            int port;
            string id;
            using (var first = new Site(file, ("SetFirm:Planner", Planner())))
            {
                port = first.Address.Port;
                ((FakeClock)first.Services.GetRequiredService<IClock>()).Reset(SystemClock.Instance.GetCurrentInstant());
                var document = await first.StartingJobAsync("Far from home");
                var now = SystemClock.Instance.GetCurrentInstant().InZone(DateTimeZoneProviders.Tzdb["Europe/Berlin"]).LocalDateTime;
                (document["day"]!["date"], document["day"]!["start"]) = ($"{now:yyyy-MM-dd}", $"{now:HH:mm}");
                (id, _) = await first.AddedAsync(document);
                browser.Open(new Uri(first.Address, $"/jobs/{id}/shape"));
                browser.Says("2.16 m²");
                browser.Until(() => browser.Driver.ExecuteScript("return document.documentElement.dataset.planner") is "here", seconds: 180);
                // A page that the service worker serves reads everything through it.
                browser.Reload();
                browser.Says("2.16 m²");
                browser.Until(() => browser.Driver.ExecuteScript("return document.documentElement.dataset.planner") is "here", seconds: 180);
                browser.Complaints.ShouldBeEmpty();
            }

            // The program is gone, and the page is read anew: all that there is is the device.
            // The first plan of a planner that has just been started takes seconds, and on a machine that has other things to do many.
            browser.Driver.Navigate().Refresh();
            browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=sentence]")) is [var said, ..] && said.Text.Contains("2.16 m²", StringComparison.Ordinal), seconds: 180);
            browser.Find(By.CssSelector("[data-testid=planned-here]"));
            browser.Type("Thickness", "120 mm");
            browser.Says("at 120 mm");
            browser.Phone();
            browser.Open(new Uri($"http://127.0.0.1:{port}"));
            browser.Find(By.XPath("//a[normalize-space()='Far from home']")); // the yard as the device has it, and it says so
            browser.Find(By.CssSelector("[data-testid=kept-since]"));
            browser.Open(new Uri(new Uri($"http://127.0.0.1:{port}"), $"/jobs/{id}/pour"));
            browser.Until(() => browser.Driver.FindElements(By.XPath("//button[normalize-space()='Begin the day']")).Count > 0, seconds: 180);
            browser.Press("Begin the day");
            browser.Until(() => Next(browser).Contains("Batch 1 of", StringComparison.Ordinal), seconds: 180);
            var (sheen, told) = (false, 1);
            for (var step = 0; ; step++)
            {
                step.ShouldBeLessThan(400);
                if (browser.Driver.FindElements(By.XPath("//button[normalize-space()='Close it']")) is [var close, ..] && close.Displayed)
                {
                    close.Click();
                    told++;
                    break;
                }

                if (!sheen && step > 0 && !Next(browser).Contains("Batch", StringComparison.Ordinal) && Waiting(Next(browser)) > 30)
                {
                    sheen = true;
                    var before = Next(browser);
                    browser.Press("Zones");
                    browser.Find(By.CssSelector("[data-zone='1']")).Click();
                    browser.Press("Sheen gone");
                    browser.Until(() => !browser.Button("Sheen gone").Enabled);
                    browser.Press("dents 3 mm");
                    told += 2;
                    browser.Until(() => Waiting(Next(browser)) < Waiting(before) - 10, seconds: 120); // it re-times, with nobody to ask
                    // The phone starts anew, far from home.
                    browser.Driver.Navigate().Refresh();
                    browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=next]")).Count > 0, seconds: 180);
                }

                var pressed = Press(browser);
                told += pressed ? 1 : 0;
                if (!pressed)
                {
                    browser.Forward();
                    await Task.Delay(300, token);
                }
            }

            sheen.ShouldBeTrue();
            var forward = Duration.FromMilliseconds(Convert.ToDouble(browser.Driver.ExecuteScript("return Number(localStorage.getItem('forward') ?? 0)"), System.Globalization.CultureInfo.InvariantCulture));
            using var second = new Site(file, port);
            second.StartServer();
            ((FakeClock)second.Services.GetRequiredService<IClock>()).Reset(SystemClock.Instance.GetCurrentInstant() + forward);
            JsonNode[] log = [];
            for (var tries = 0; !log.Any(l => Kind(l) == "dayClosed"); tries++)
            {
                tries.ShouldBeLessThan(300);
                await Task.Delay(200, token);
                log = [.. (await (await second.Get($"/api/jobs/{id}/log")).Content.ReadFromJsonAsync<JsonNode>(token))!.AsArray().Select(l => l!)];
            }

            log.Length.ShouldBe(told);
            log.Select(Kind).Distinct().ShouldBe(["dayBegun", "batchMixing", "batchPlaced", "sheenGone", "thumbTest", "passBegun", "passDone", "dayClosed"], ignoreOrder: true);
            for (var tries = 0; await ThicknessAsync(second, id) != "120 mm"; tries++)
            {
                tries.ShouldBeLessThan(300);
                await Task.Delay(200, token);
            }

            _ = browser.Complaints;
        }
        finally
        {
            Site.Remove(file);
        }
    }

    private async Task<string> ThicknessAsync(Site site, string id) =>
        (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!["elements"]![0]!["thickness"]!.GetValue<string>();

    private static string Kind(JsonNode line) => line["event"]!["kind"]!.GetValue<string>();

    private static string Next(Browser browser) => browser.Find(By.CssSelector("[data-testid=next]")).Text;

    // Minutes until what comes next, as "in 1 h 58 min"; none where it is now.
    private static int Waiting(string next) =>
        System.Text.RegularExpressions.Regex.Match(next, @"in (?:(\d+) h)? ?(?:(\d+) min)?") is { Success: true } said
            ? (Number(said.Groups[1].Value) * 60) + Number(said.Groups[2].Value)
            : 0;

    private static int Number(string digits) => digits.Length == 0 ? 0 : int.Parse(digits, System.Globalization.CultureInfo.InvariantCulture);

    // Whatever is to be pressed now; false while there is nothing to do but wait.
    private static bool Press(Browser browser)
    {
        var before = Next(browser);
        if (!before.Contains("Begun", StringComparison.Ordinal) && !before.Contains("In hand", StringComparison.Ordinal) && !before.Contains("Batch", StringComparison.Ordinal))
        {
            return false;
        }

        // In one go: the board is drawn anew while it is looked at.
        if (browser.Driver.ExecuteScript("const key = document.querySelector('[data-testid=next] button'); if (!key || key.disabled) return false; key.click(); return true") is not true)
        {
            return false;
        }

        browser.Until(() => Next(browser) != before);
        return true;
    }

    // As the driver hands it to a script.
    private static object? Plain(JsonNode? node) => node switch
    {
        JsonObject o => o.ToDictionary(p => p.Key, p => Plain(p.Value)),
        JsonArray a => a.Select(Plain).ToArray(),
        JsonValue v when v.TryGetValue<bool>(out var yes) => yes,
        JsonValue v when v.TryGetValue<string>(out var text) => text,
        JsonValue v => v.GetValue<double>(),
        _ => null,
    };
}
