using System.Runtime.CompilerServices;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Testing;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>The network goes at the worst moments: right after the page was opened, with half of the program kept. It plans, or says that it cannot; it is never blank, and a tap moves the board on.</summary>
public sealed class NetworkCutTests : IDisposable
{
    /// <summary>Takes every second file that is kept of the planner, and one of the program, as a browser does that needs the room.</summary>
    private const string Halve = """
        const done = arguments[0];
        (async () => {
          const planner = await caches.open('setfirm-planner');
          const files = await planner.keys();
          for (const [i, file] of files.entries()) if (i % 2 === 0) await planner.delete(file);
          const shell = await caches.open((await caches.keys()).find((k) => k.startsWith('setfirm-shell-')));
          const step = (await shell.keys()).find((r) => /ShopStep.*js$|ShopPage.*js$|Shop.*js$/.test(r.url));
          if (step) await shell.delete(step);
          return files.length;
        })().then(done, (e) => done(String(e)));
        """;

    private readonly string file = Site.NewFile();
    private readonly Browser browser = new();

    public NetworkCutTests()
    {
        browser.ByServiceWorker(true);
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(1);
        browser.Laptop();
    }

    public void Dispose()
    {
        browser.Dispose();
        Site.Remove(file);
    }

    [Fact]
    public async Task Right_after_the_first_open_it_plans_or_says_that_it_cannot_and_what_is_typed_arrives()
    {
        int port;
        string id;
        using (var site = NewSite(0))
        {
            (port, id) = await OpenedAsync(site);
        }

        browser.Type("Thickness", "120 mm");
        PlansOrSaysSo("at 120 mm");
        browser.Find(By.CssSelector("[data-testid=plan]")); // it stands as it was last seen
        using var back = NewSite(port);
        back.StartServer();
        browser.Says("at 120 mm");
        await SavedAsync(back, id);
    }

    [Fact]
    public async Task After_the_second_open_the_page_read_anew_shows_the_job()
    {
        int port;
        using (var site = NewSite(0))
        {
            (port, _) = await OpenedAsync(site);
            browser.Until(() => browser.Driver.ExecuteScript("return navigator.serviceWorker.controller !== null") is true, seconds: 60);
            browser.Reload();
            browser.Says("2.16 m²");
        }

        browser.Driver.Navigate().Refresh();
        PlansOrSaysSo("2.16 m²");
        browser.Find(By.CssSelector("[data-testid=plan]"));
        browser.Open(new Uri($"http://127.0.0.1:{port}"));
        browser.Find(By.XPath("//h1[normalize-space()='The yard']"));
    }

    [Fact]
    public async Task With_half_of_it_kept_it_does_not_say_that_it_is_whole_shows_what_was_seen_and_mends_itself()
    {
        int port;
        string id;
        using (var site = NewSite(0))
        {
            (port, id) = await OpenedAsync(site);
            Whole();
        }

        Convert.ToInt32(browser.Driver.ExecuteAsyncScript(Halve), System.Globalization.CultureInfo.InvariantCulture).ShouldBeGreaterThan(20);
        browser.Driver.ExecuteCdpCommand("Network.clearBrowserCache", []);
        browser.Driver.Navigate().Refresh();
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'cannot plan by itself yet')]"), seconds: 60);
        browser.Find(By.CssSelector("[data-testid=plan]"));
        browser.Says("2.16 m²");
        IsWhole().ShouldBeFalse();
        browser.Type("Thickness", "120 mm");
        browser.Field("Thickness").GetAttribute("value").ShouldBe("120 mm");
        using (var back = NewSite(port))
        {
            back.StartServer();
            browser.Says("at 120 mm");
            await SavedAsync(back, id);
            browser.Reload();
            Whole();
        }

        browser.Driver.Navigate().Refresh();
        browser.Find(By.CssSelector("[data-testid=planned-here]"), seconds: 120);
        browser.Says("at 120 mm");
    }

    [Fact]
    public async Task Where_there_is_no_planner_a_tap_moves_the_board_on()
    {
        string id;
        using (var site = NewSite(0, planner: ""))
        {
            browser.BeforeAnyPage(Browser.PlayedClock);
            (_, id) = await OpenedAsync(site);
            browser.Until(() => browser.Driver.ExecuteScript("return navigator.serviceWorker.controller !== null") is true, seconds: 60);
            browser.Phone();
            browser.Open(new Uri(site.Address, $"/jobs/{id}/pour"));
            browser.Button("Begin the day");
        }

        browser.Press("Begin the day");
        browser.Until(() => Next().Contains("Batch 1 of", StringComparison.Ordinal));
        browser.Driver.Navigate().Refresh(); // as it was seen, with what was told since
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=next]")) is [var next, ..] && next.Text.Contains("Batch 1 of", StringComparison.Ordinal), seconds: 60);
        browser.Driver.FindElement(By.CssSelector("[data-testid=next] button")).Click();
        browser.Until(() => browser.Driver.FindElement(By.CssSelector("[data-testid=next] button")).Text.Contains("Placed", StringComparison.OrdinalIgnoreCase));
        // Hours that nobody can re-time are said to be old.
        browser.Driver.FindElements(By.XPath("//*[@role='status'][contains(., 'as planned at')]")).ShouldBeEmpty();
        browser.Forward();
        browser.Find(By.XPath("//*[@role='status'][contains(., 'as planned at')]"));
    }

    private static string Planner([CallerFilePath] string here = "") => Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "../../src/SetFirm.Web/planner"));

    private Site NewSite(int port, string? planner = null)
    {
        var site = new Site(file, port, ("SetFirm:Planner", planner ?? Planner()));
        ((FakeClock)site.Services.GetRequiredService<IClock>()).Reset(SystemClock.Instance.GetCurrentInstant());
        return site;
    }

    private async Task<(int Port, string Id)> OpenedAsync(Site site)
    {
        var port = site.Address.Port;
        var document = await site.StartingJobAsync("Cut off");
        var now = SystemClock.Instance.GetCurrentInstant().InZone(DateTimeZoneProviders.Tzdb["Europe/Berlin"]).LocalDateTime;
        (document["day"]!["date"], document["day"]!["start"]) = ($"{now:yyyy-MM-dd}", $"{now:HH:mm}");
        var (id, _) = await site.AddedAsync(document);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Says("2.16 m²");
        return (port, id);
    }

    private void PlansOrSaysSo(string planned) => browser.Until(
        () => browser.Driver.FindElements(By.XPath("//*[@role='alert'][contains(., 'The program does not answer')]")).Count > 0
            || (browser.Driver.FindElements(By.CssSelector("[data-testid=planned-here]")).Count > 0 && browser.Sentence.Contains(planned, StringComparison.Ordinal)),
        seconds: 60);

    private bool IsWhole() => browser.Driver.ExecuteScript("return document.documentElement.dataset.planner") is "here";

    private void Whole() => browser.Until(IsWhole, seconds: 180);

    private string Next() => browser.Find(By.CssSelector("[data-testid=next]")).Text;

    private static async Task SavedAsync(Site site, string id)
    {
        for (var tries = 0; !(await (await site.Get($"/api/jobs/{id}")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).Contains("\"120 mm\"", StringComparison.Ordinal); tries++)
        {
            tries.ShouldBeLessThan(300);
            await Task.Delay(200, TestContext.Current.CancellationToken);
        }
    }
}
