using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>What was typed or told is on the device before anything can go wrong: a browser killed, two tabs with no program, storage that is shut.</summary>
public sealed class DeviceTests
{
    /// <summary>Another answers for the program's plans, when it is told to.</summary>
    private const string OtherPlans =
        "const ask = window.fetch; window.fetch = (r, o) => window.plans && (typeof r === 'string' ? r : r.url).endsWith('/api/plan') ? Promise.resolve(window.plans()) : ask(r, o);";

    private static readonly string[] Jobs = ["*/api/jobs/*"];

    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    /// <summary>In the test run; by hand SETFIRM_KILLS asks for more.</summary>
    private static int Rounds => int.TryParse(Environment.GetEnvironmentVariable("SETFIRM_KILLS"), out var rounds) ? rounds : 5;

    // With every key: it is written before the browser gets to do anything else, and when the writing is done.
    private const string Watch = """
        window.keys = 0; window.written = 0; window.order = '';
        const put = IDBObjectStore.prototype.put;
        let due = false;
        IDBObjectStore.prototype.put = function (...of) {
          due = false;
          const upTo = window.keys;
          this.transaction.addEventListener('complete', () => { window.written = upTo; });
          return put.apply(this, of);
        };
        document.addEventListener('input', () => {
          window.keys++; due = true;
          const next = new MessageChannel();
          next.port1.onmessage = () => { if (due) window.order += `key ${window.keys} `; };
          next.port2.postMessage(0);
        }, true);
        """;

    [Fact]
    public async Task A_browser_killed_right_after_a_key_has_kept_it()
    {
        var file = Site.NewFile();
        var profile = Directory.CreateTempSubdirectory("setfirm-killed-").FullName;
        try
        {
            int port;
            string id;
            using (var first = new Site(file))
            {
                (id, _) = await first.AddedAsync("Killed");
                port = first.Address.Port;
                for (var round = 0; round < Rounds; round++)
                {
                    using var browser = new Browser(profile);
                    browser.Laptop();
                    browser.Open(new Uri(first.Address, $"/jobs/{id}/shape"));
                    browser.Find(By.CssSelector("[data-testid=sentence]"));
                    if (round > 0)
                    {
                        browser.Field("Name: slab").GetAttribute("value").ShouldBe($"Slab {round - 1}", $"round {round}");
                    }

                    // The program hears nothing of it.
                    browser.Offline(true);
                    browser.Driver.ExecuteScript(Watch);
                    browser.Type("Name: slab", $"Slab {round}");
                    browser.Driver.ExecuteScript("return window.order").ShouldBe("", $"round {round}: a key was pressed, and something else came before it was written");
                    await Task.Delay(50, token);
                    // On a machine that has other things to do 50 ms of the clock may pass without one of the browser's.
                    browser.Until(() => browser.Driver.ExecuteScript("return window.keys > 0 && window.written === window.keys") is true);
                    browser.Kill();
                }
            }

            using var second = new Site(file, port);
            using var last = new Browser(profile);
            last.Open(new Uri(second.Address, $"/jobs/{id}/shape"));
            last.Field("Name: slab").GetAttribute("value").ShouldBe($"Slab {Rounds - 1}");
            last.Saved();
        }
        finally
        {
            Site.Remove(file);
            Directory.Delete(profile, recursive: true);
        }
    }

    [Fact]
    public async Task Two_tabs_with_no_program_keep_a_line_and_a_draft_each_and_any_page_sends_them()
    {
        var file = Site.NewFile();
        try
        {
            using var browser = new Browser();
            int port;
            string one;
            using (var first = new Site(file))
            {
                port = first.Address.Port;
                (one, _) = await first.AddedAsync(await WetAsync(first, "One"));
                browser.Laptop();
                browser.Open(new Uri(first.Address, $"/jobs/{one}/cure"));
                browser.Find(By.CssSelector("[data-testid=sentence]"));
                browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
                browser.Laptop();
                browser.Open(new Uri(first.Address, $"/jobs/{one}/cure"));
                browser.Find(By.CssSelector("[data-testid=sentence]"));
            }

            // Both tell of the one job, and both change it.
            foreach (var (tab, name) in browser.Driver.WindowHandles.Zip(["First tab", "Second tab"]).ToArray())
            {
                browser.Driver.SwitchTo().Window(tab);
                browser.Driver.ExecuteCdpCommand("Page.bringToFront", []);
                browser.Find(By.XPath("//label[normalize-space()='Diary']")).Click();
                browser.Press("I wetted it now");
                browser.Type("Name of the job", name);
                browser.Until(() => browser.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Kept on this device", StringComparison.Ordinal));
            }

            // They are closed; the yard alone stands when the program is back.
            browser.Driver.Close();
            browser.Driver.SwitchTo().Window(browser.Driver.WindowHandles[0]);
            using var second = new Site(file, port);
            second.StartServer();
            browser.Open(second.Address);
            browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=waits]")).Count > 0 || LinesOf(second, one) == 2);
            browser.Until(() => LinesOf(second, one) == 2);
            // One draft arrived; the other was made to the version before it, and waits to be chosen.
            browser.Find(By.XPath("//*[@data-testid='waits'][contains(., 'changed elsewhere')]"));
            var saved = (await (await second.Get($"/api/jobs/{one}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!["name"]!.GetValue<string>();
            saved.ShouldBeOneOf("First tab", "Second tab");
            browser.Open(new Uri(second.Address, $"/jobs/{one}/shape"));
            browser.Press("Keep mine");
            browser.Saved();
            (await (await second.Get($"/api/jobs/{one}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!["name"]!.GetValue<string>()
                .ShouldBe(saved == "First tab" ? "Second tab" : "First tab");
            _ = browser.Complaints;
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task With_storage_shut_the_page_goes_on_and_says_what_is_not_kept()
    {
        using var site = new Site();
        using var browser = new Browser();
        var (id, _) = await site.AddedAsync("Shut");
        browser.Laptop();
        browser.BeforeAnyPage("Object.defineProperty(window, 'indexedDB', { value: undefined }); Object.defineProperty(window, 'localStorage', { get() { throw new Error('shut'); } });"
            + "Object.defineProperty(window, 'sessionStorage', { get() { throw new Error('shut'); } });");
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Says("2.16 m²");
        browser.Type("Thickness", "120 mm");
        browser.Says("at 120 mm");
        browser.Saved();
        browser.Offline(true);
        browser.Type("Thickness", "130 mm");
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Not kept", StringComparison.Ordinal));
        browser.Offline(false);
        browser.Saved();
        _ = browser.Complaints;
    }

    [Fact]
    public async Task What_is_open_stays_open_when_the_program_is_away_for_a_moment_and_one_looks_away_and_back()
    {
        using var site = new Site();
        using var browser = new Browser();
        var (id, _) = await site.AddedAsync("Away");
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Says("2.16 m²");
        browser.Offline(true);
        browser.Driver.ExecuteScript("document.dispatchEvent(new Event('visibilitychange')); window.dispatchEvent(new Event('focus')); return 1");
        browser.Type("Name: slab", "Still here");
        await Task.Delay(1_500, token);
        browser.Driver.PageSource.ShouldNotContain("Nothing is here");
        browser.Field("Name: slab").GetAttribute("value").ShouldBe("Still here");
        browser.Offline(false);
        browser.Saved();
        _ = browser.Complaints;
    }

    [Fact]
    public async Task A_page_opened_while_the_program_is_away_comes_by_itself_when_it_is_back()
    {
        using var site = new Site();
        using var browser = new Browser();
        await site.AddedAsync("Later");
        browser.Laptop();
        browser.Open(site.Address);
        browser.Driver.ExecuteCdpCommand("Network.enable", []);
        browser.Driver.ExecuteCdpCommand("Network.setBlockedURLs", new Dictionary<string, object?> { ["urls"] = Jobs });
        browser.Find(By.CssSelector("[data-testid=job] a")).Click();
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'does not answer')]"));
        browser.Driver.ExecuteCdpCommand("Network.setBlockedURLs", new Dictionary<string, object?> { ["urls"] = Array.Empty<string>() });
        browser.Says("2.16 m²");
        _ = browser.Complaints;
    }

    [Fact]
    public async Task A_plan_that_is_refused_is_told_as_a_refusal_and_a_past_version_is_taken_back()
    {
        using var site = new Site(null, ("SetFirm:PlanSeconds", "2"));
        using var browser = new Browser();
        var (id, _) = await site.AddedAsync("Refused");
        browser.Laptop();
        browser.BeforeAnyPage(OtherPlans);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Type("Name of the job", "Another");
        browser.Saved();
        browser.Press("As it was before");
        browser.Press("Take it back");
        browser.Until(() => browser.Field("Name of the job").GetAttribute("value") == "Refused");
        browser.Saved();
        browser.Press("Undo");
        browser.Until(() => browser.Field("Name of the job").GetAttribute("value") == "Another");
        browser.Driver.ExecuteScript("window.plans = () => new Response(JSON.stringify({ status: 422, path: '$.elements[0].thickness', detail: 'There is too much in it.' }), { status: 422, headers: { 'Content-Type': 'application/problem+json' } }); return 1");
        browser.Type("Thickness", "140 mm");
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'There is too much in it.')]"));
        browser.Driver.PageSource.ShouldNotContain("does not answer");
        browser.Until(() => browser.Field("Thickness").GetAttribute("aria-invalid") == "true"); // and at its field
        browser.Saved(); // it is kept all the same
    }

    [Fact]
    public async Task What_waits_for_a_job_that_is_gone_says_why_and_can_be_taken_as_a_file_and_let_go()
    {
        using var site = new Site();
        using var browser = new Browser();
        var (id, _) = await site.AddedAsync("Gone");
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Says("2.16 m²");
        browser.Offline(true);
        browser.Type("Name: slab", "Typed for nothing");
        browser.Find(By.CssSelector("[data-testid=save][data-state=waiting]"));
        (await site.Send(HttpMethod.Delete, $"/api/jobs/{id}", "", "\"1\"")).EnsureSuccessStatusCode();
        (await site.Send(HttpMethod.Delete, "/api/jobs/removed", "")).EnsureSuccessStatusCode();
        browser.Offline(false);
        browser.Open(site.Address);
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=waits]")).Text.Contains("changes to a job", StringComparison.Ordinal));
        browser.Button("Save it as a file");
        browser.Press("Let it go");
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'Press once more')]"));
        browser.Press("Let it go");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=waits]")).Count == 0);
        browser.Open(site.Address);
        browser.Find(By.XPath("//h1"));
        await Task.Delay(1_000, token); // it is not found again
        browser.Driver.FindElements(By.CssSelector("[data-testid=waits]")).ShouldBeEmpty();
        _ = browser.Complaints;
    }

    [Fact]
    public async Task A_page_that_breaks_says_so_in_our_words_and_offers_what_was_typed()
    {
        using var site = new Site();
        using var browser = new Browser();
        var (id, _) = await site.AddedAsync("Breaks");
        browser.Laptop();
        browser.BeforeAnyPage(OtherPlans);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Says("2.16 m²");
        browser.Driver.ExecuteScript("window.plans = () => new Response(JSON.stringify({ steps: 5, findings: {}, readings: 7, explanations: 1, shape: { elements: 3 } }), { status: 200, headers: { 'Content-Type': 'application/json' } }); return 1");
        browser.Type("Thickness", "140 mm");
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'This page broke.')]"));
        browser.Button("Save what I typed");
        browser.Button("Back to the yard");
        _ = browser.Complaints;
    }

    private static int LinesOf(Site site, string job) => site.CreateClient().GetFromJsonAsync<JsonNode>($"/api/jobs/{job}/log").GetAwaiter().GetResult()!.AsArray().Count;

    // Poured the day before yesterday, and to be kept wet.
    private static async Task<JsonNode> WetAsync(Site site, string name)
    {
        var document = await site.StartingJobAsync(name);
        document["day"]!["date"] = DateTime.UtcNow.AddDays(-2).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        document["cure"]!["method"] = "burlap";
        return document;
    }
}
