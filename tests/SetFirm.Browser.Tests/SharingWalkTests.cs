using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>Sharing at home as people do it: the switch, a code on one screen typed on another, a tick on the board, and a device sent off; light and dark, on a table and in the hand.</summary>
public sealed class SharingWalkTests
{
    /// <summary>Another address of this machine, that stands for its place on the home network.</summary>
    private const string Address = "127.0.0.2";

    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_phone_joins_by_the_code_ticks_on_the_board_changes_no_job_and_is_sent_off()
    {
        var port = Site.FreePort(Address);
        using var site = new Site(null, ("SetFirm:ShareAddress", Address), ("SetFirm:SharePort", $"{port}"));
        using var host = new Browser();
        using var phone = new Browser();
        var home = new Uri($"http://{Address}:{port}");
        var document = await site.StartingJobAsync("Ours");
        (document["day"]!["date"], document["day"]!["start"]) = ("2027-05-04", "09:00");
        var (id, _) = await site.AddedAsync(document);
        host.Laptop();
        host.Open(site.Address);
        host.Find(By.XPath("//a[contains(., 'This household')]")).Click();
        host.Find(By.XPath("//label[normalize-space()='Let devices on the home network join']")).Click();
        host.Until(() => host.Driver.PageSource.Contains("Who has a code can join", StringComparison.Ordinal));
        host.Find(By.XPath("//label[normalize-space()='Crew']")).Click();
        host.Press("Show a code");
        var code = host.Find(By.CssSelector("[data-testid=invitation] p + p")).Text;
        host.Find(By.CssSelector("[data-testid=invitation] svg"));
        foreach (var scheme in (string[])["light", "dark"])
        {
            foreach (var small in (bool[])[false, true])
            {
                host.Size(small);
                host.Scheme(scheme);
                host.Reload();
                host.Find(By.CssSelector("[data-testid=invitation]"));
                host.AxeFaults().ShouldBeEmpty($"household {scheme} {small}");
                host.Overflow().Across.ShouldBe(0);
            }
        }

        phone.Phone();
        phone.Open(home);
        phone.Driver.Url.ShouldEndWith("/join"); // and nothing else
        foreach (var scheme in (string[])["light", "dark"])
        {
            phone.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = new[] { new Dictionary<string, object?> { ["name"] = "prefers-color-scheme", ["value"] = scheme } } });
            phone.AxeFaults().ShouldBeEmpty($"join {scheme}");
        }

        phone.Field("Code").SendKeys("WRONG ONE" + Keys.Enter);
        phone.Find(By.XPath("//*[@role='alert'][contains(., 'That is not the code')]"));
        _ = phone.Complaints; // the browser tells of the refusal
        phone.Field("Code").SendKeys(code.ToLowerInvariant());
        phone.Field("What this device is called").SendKeys("Odd's phone");
        phone.Press("Join");
        phone.Until(() => phone.Driver.FindElements(By.CssSelector("[data-testid=job]")).Count > 0);
        phone.Driver.PageSource.ShouldNotContain("What is poured?"); // it begins no job
        phone.Open(new Uri(home, $"/jobs/{id}/shape"));
        phone.Says("2.16 m²");
        phone.Find(By.XPath("//*[contains(., 'This device tells what is done')]"));
        phone.Field("Thickness").GetAttribute("readonly").ShouldBe("true"); // it takes no typing that would be forgotten
        phone.Field("Thickness").SendKeys("9");
        phone.Field("Thickness").GetAttribute("value").ShouldBe("100 mm");
        phone.Driver.FindElements(By.CssSelector("main button.mantine-Button-root, main select, main input[type=checkbox]")).ShouldAllBe(e => !e.Enabled);
        phone.Find(By.XPath("//button[starts-with(@aria-label, 'Why?')]")).Click(); // but everything can be looked into
        phone.Find(By.CssSelector("[role=dialog]"));
        phone.Keyboard(Keys.Escape);
        phone.Open(new Uri(home, $"/jobs/{id}/tasks"));
        phone.Find(By.CssSelector("main input[type=checkbox]")).Enabled.ShouldBeTrue(); // ticking off is for it to do
        phone.Open(new Uri(home, $"/jobs/{id}/pour"));
        phone.Press("Begin the day");
        for (var tries = 0; (await LogAsync(site, id)).Count == 0; tries++)
        {
            tries.ShouldBeLessThan(100);
            await Task.Delay(100, token);
        }

        (await LogAsync(site, id))[0]!["event"]!["kind"]!.GetValue<string>().ShouldBe("dayBegun");
        phone.Complaints.ShouldBeEmpty();
        phone.Open(new Uri(home, "/household"));
        phone.Find(By.XPath("//*[contains(., 'settled on a device that plans')]"));
        host.Laptop();
        host.Press("Send off: Odd's phone");
        host.Until(() => host.Driver.FindElements(By.XPath("//th[normalize-space()=\"Odd's phone\"]")).Count == 0);
        phone.Open(home);
        phone.Driver.Url.ShouldEndWith("/join");
        host.Complaints.ShouldBeEmpty();
        _ = phone.Complaints;
    }

    [Fact]
    public async Task Jobs_are_put_away_and_taken_out_compared_and_begun_as_the_household_likes_it()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        browser.Open(site.Address);
        // An empty yard offers something to play with.
        browser.Press("Play with a terrace that is all there");
        browser.Says("12.9 m²");
        var (id, _) = await site.AddedAsync("Old one");
        browser.Open(site.Address);
        browser.Press("Put away: Old one");
        browser.Find(By.XPath("//summary[normalize-space()='Put away (1)']")).Click();
        browser.Press("Take out: Old one");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=put-away]")).Count == 0);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/compare"));
        browser.Type("Thickness", "150 mm");
        browser.Says("150 mm costs");
        var volume = browser.Find(By.XPath("//tr[th[normalize-space()='Concrete of this pour']]"));
        volume.GetAttribute("data-differs").ShouldBe("true");
        browser.Find(By.XPath("//tr[th[normalize-space()='First water']]")).GetAttribute("data-differs").ShouldBe("false");
        browser.Phone();
        browser.Overflow().Across.ShouldBe(0); // both columns beside each other in the hand too
        browser.Laptop();
        // What was only looked at is not kept.
        (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(token))!["version"]!.GetValue<int>().ShouldBe(1);
        browser.Open(new Uri(site.Address, "/household"));
        browser.Find(By.XPath("//label[normalize-space()='US customary']")).Click();
        browser.Find(By.XPath("//label[normalize-space()='Saturday']")).Click();
        browser.Find(By.XPath("//label[normalize-space()='Dark']")).Click();
        browser.Until(() => Scheme() == "dark");
        browser.Type("Somebody is up from", "5:30 am");
        browser.Type("Money", "kr");
        browser.Until(() => PreferencesAsync(site).GetAwaiter().GetResult()["currency"]!.GetValue<string>() == "kr");
        browser.Type("Until", "25:00");
        browser.Find(By.XPath("//*[contains(text(), 'a time as 22:00 is wanted')]")); // at its field
        browser.Type("Until", "");
        browser.Open(site.Address);
        browser.Press("Start");
        browser.Until(() => browser.Driver.Url.EndsWith("/shape", StringComparison.Ordinal));
        var made = browser.Driver.Url.Split('/')[^2];
        var job = (await (await site.Get($"/api/jobs/{made}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!;
        job["units"]!.GetValue<string>().ShouldBe("us");
        job["buy"]!["currency"]!.GetValue<string>().ShouldBe("kr");
        job["cure"]!["wakeFrom"]!.GetValue<string>().ShouldBe("05:30");
        browser.Find(By.XPath("//nav//a[contains(., 'Cure')]")).Click();
        browser.Find(By.XPath("//label[normalize-space()='Calendar']")).Click();
        browser.Find(By.CssSelector("[data-testid=calendar] th")).Text.ShouldBe("Sat"); // as the household's weeks begin
        Scheme().ShouldBe("dark");
        // What is chosen on a device stays there.
        browser.Press("Switch to light");
        browser.Until(() => Scheme() == "light");
        browser.Reload();
        browser.Settled();
        Scheme().ShouldBe("light");
        string Scheme() => (string)browser.Driver.ExecuteScript("return document.documentElement.dataset.mantineColorScheme")!;
        _ = browser.Complaints;
    }

    private async Task<JsonNode> PreferencesAsync(Site site) => (await (await site.Get("/api/preferences")).Content.ReadFromJsonAsync<JsonNode>(token))!;

    private async Task<JsonArray> LogAsync(Site site, string id) => (await (await site.Get($"/api/jobs/{id}/log")).Content.ReadFromJsonAsync<JsonNode>(token))!.AsArray();
}
