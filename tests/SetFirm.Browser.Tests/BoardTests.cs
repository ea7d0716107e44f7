using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Testing;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;
using SelectElement = OpenQA.Selenium.Support.UI.SelectElement;

namespace SetFirm.Browser.Tests;

/// <summary>The board on the day: on a phone and on a table, by two at once, without a connection, from the first water to the last tool.</summary>
public sealed class BoardTests
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task A_whole_day_is_played(bool phone)
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Size(phone);
        var (id, plan) = await TodayAsync(site);
        Open(browser, site, id);
        browser.Press("Begin the day");
        browser.Until(() => Next(browser).Contains("Batch 1 of", StringComparison.Ordinal));
        for (var batch = 0; batch < plan["batches"]!.AsArray().Count; batch++)
        {
            await GoToAsync(site, id, plan["batches"]![batch]!["begun"]!);
            browser.Until(() => Next(browser).Contains($"Batch {batch + 1} of", StringComparison.Ordinal));
            PressNext(browser);
            browser.Until(() => Next(browser).Contains("In hand", StringComparison.Ordinal));
            await GoToAsync(site, id, plan["batches"]![batch]!["placed"]!);
            PressNext(browser);
        }

        var sheen = plan["zones"]![0]!["sheenGone"];
        if (sheen is not null)
        {
            await GoToAsync(site, id, sheen);
            Zone(browser, phone, 1);
            browser.Press("Sheen gone");
            browser.Until(() => !browser.Button("Sheen gone").Enabled);
            Show(browser, phone, "News");
        }

        for (var pass = 0; ; pass++)
        {
            pass.ShouldBeLessThan(60);
            var board = await BoardAsync(site, id);
            if (board["todo"]!.AsArray() is not [var first, ..])
            {
                break;
            }

            await GoToAsync(site, id, first!["begins"]!);
            browser.Until(() => Next(browser).Contains("Begun", StringComparison.Ordinal));
            PressNext(browser);
            browser.Until(() => Next(browser).Contains("In hand", StringComparison.Ordinal));
            await AdvanceAsync(site, id, Duration.FromMinutes(6));
            PressNext(browser);
            browser.Until(() => !Next(browser).Contains("In hand", StringComparison.Ordinal));
        }

        foreach (var tick in browser.Driver.FindElements(By.CssSelector("input[type=checkbox]")))
        {
            tick.Click();
        }

        browser.Press("Close it");
        browser.Find(By.XPath("//p[contains(., 'The day was closed at')]"));
        var log = await LogAsync(site, id);
        while (log[^1]!["event"]!["kind"]!.GetValue<string>() != "dayClosed")
        {
            await Task.Delay(50, token); // shown before it is sent
            log = await LogAsync(site, id);
        }

        log.Select(l => l!["event"]!["kind"]!.GetValue<string>()).Distinct().ShouldBe(["dayBegun", "batchMixing", "batchPlaced", "sheenGone", "noted", "passBegun", "passDone", "coverOn", "dayClosed"], ignoreOrder: true);
        log.Select(l => l!["event"]!["id"]!.GetValue<string>()).ShouldBeUnique();
        // The plan of the day stands beside what happened; a tap is shown before it is sent, so it need not be the first line.
        var begun = log.Select(l => l!["event"]!).Single(e => e["kind"]!.GetValue<string>() == "dayBegun");
        JsonNode.DeepEquals((await BoardAsync(site, id))["plan"], begun["plan"]).ShouldBeTrue();
    }

    [Fact]
    public async Task Two_phones_see_each_others_taps_and_one_without_a_connection_comes_back_with_its_own_once()
    {
        using var site = new Site();
        using var one = new Browser();
        using var two = new Browser();
        var (id, plan) = await TodayAsync(site);
        foreach (var browser in new[] { one, two })
        {
            browser.Phone();
            Open(browser, site, id);
        }

        one.Press("Begin the day");
        two.Until(() => Next(two).Contains("Batch 1 of", StringComparison.Ordinal));
        two.Until(() => two.Driver.PageSource.Contains("2 on site", StringComparison.Ordinal));
        await GoToAsync(site, id, plan["batches"]![2]!["begun"]!);
        two.Offline(true);
        two.Until(() => two.Driver.PageSource.Contains("No connection", StringComparison.Ordinal) || Waits(two) >= 0);
        PressNext(two); // batch 1 in the mixer, for this phone
        two.Until(() => Waits(two) == 1);
        PressNext(one); // and for the other: the same batch
        one.Until(() => Next(one).Contains("In hand", StringComparison.Ordinal));
        await AdvanceAsync(site, id, Duration.FromMinutes(30));
        two.Offline(false);
        one.Until(() => Told(one).Count(t => t.Contains("Batch begun: 1", StringComparison.Ordinal)) == 2);
        two.Until(() => Told(two).Count(t => t.Contains("Batch begun: 1", StringComparison.Ordinal)) == 2);
        // Two taps of one thing are one batch, at the time of the first.
        var board = await BoardAsync(site, id);
        board["mixing"]!["batches"]!.AsArray().Count.ShouldBe(1);
        var taps = (await LogAsync(site, id)).Where(l => l!["event"]!["kind"]!.GetValue<string>() == "batchMixing").ToArray();
        taps.Length.ShouldBe(2);
        taps.ShouldAllBe(t => DateTimeOffset.Parse(t!["event"]!["at"]!.GetValue<string>()) < DateTimeOffset.Parse(plan["batches"]![2]!["begun"]!.GetValue<string>()).AddMinutes(20)); // its own time, not that of its arrival
        _ = one.Complaints;
        _ = two.Complaints;
    }

    [Fact]
    public async Task A_wrong_tap_is_taken_back_and_the_thumb_moves_the_day()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Phone();
        var (id, plan) = await TodayAsync(site);
        await TellAsync(site, id, "dayBegun", ("plan", plan.DeepClone()));
        for (var b = 0; b < plan["batches"]!.AsArray().Count; b++)
        {
            await TellAsync(site, id, "batchMixing", plan["batches"]![b]!["begun"]!, ("batch", b + 1));
            await TellAsync(site, id, "batchPlaced", plan["batches"]![b]!["placed"]!, ("batch", b + 1));
        }

        await GoToAsync(site, id, plan["zones"]![0]!["passes"]!.AsArray().Last()!["opens"]!);
        Open(browser, site, id);
        Zone(browser, phone: true, 1);
        var before = browser.Find(By.CssSelector("[data-testid=seen]")).Text;
        before.ShouldContain("sets as planned");
        browser.Press("dents 6 mm");
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=seen]")).Text.Contains("later than planned", StringComparison.Ordinal));
        Show(browser, true, "News");
        browser.Find(By.CssSelector("[data-testid=change]")).Text.ShouldContain("later than planned");
        browser.Press("Why?");
        var why = browser.Find(By.CssSelector("dialog")).Text;
        why.ShouldContain("doubt before any sign");
        why.ShouldContain("by the plan’s clock");
        browser.AxeFaults().ShouldBeEmpty("the reasons");
        browser.Press("Back to the board");
        browser.Find(By.CssSelector("[data-testid=take-back]")).Click();
        Zone(browser, true, 1);
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=seen]")).Text.Contains("sets as planned", StringComparison.Ordinal));
        Show(browser, true, "Day");
        browser.Press("Note");
        browser.Find(By.CssSelector("textarea")).SendKeys("Odd went for more water");
        browser.Press("Write it down");
        browser.Until(() => Told(browser).Any(t => t.Contains("Odd went for more water", StringComparison.Ordinal)));
        browser.Press("Water over plan");
        browser.Press("More: Water over plan");
        browser.Press("Write it down");
        browser.Until(() => Told(browser).Any(t => t.Contains("Water over plan: 1 L", StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData(true, false)]
    [InlineData(true, true)]
    [InlineData(false, false)]
    [InlineData(false, true)]
    public async Task The_board_is_sound_large_and_still(bool phone, bool night)
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Size(phone);
        var (id, plan) = await TodayAsync(site);
        await TellAsync(site, id, "dayBegun", ("plan", plan.DeepClone()));
        await TellAsync(site, id, "batchMixing", plan["batches"]![0]!["begun"]!, ("batch", 1));
        await GoToAsync(site, id, plan["batches"]![1]!["begun"]!);
        Open(browser, site, id);
        if (night)
        {
            browser.Press("Sound, voice, night");
            browser.Find(By.XPath("//label[normalize-space()='Night colours']/input")).Click();
            browser.AxeFaults().ShouldBeEmpty("the settings");
            browser.Press("Back to the board");
        }

        var place = browser.Find(By.XPath("//section[@data-testid='next']//button")).Location;
        foreach (var view in new[] { "Mix", "Zones", "Day", "News" })
        {
            Show(browser, phone, view);
            browser.AxeFaults().ShouldBeEmpty($"{view} {(night ? "at night" : "")}");
            // Nothing under 16 px, no key under 56 px, nothing beyond the screen.
            Small(browser).ShouldBeEmpty(view);
            browser.Overflow().Across.ShouldBeLessThanOrEqualTo(0, view);
            browser.Overflow().Down.ShouldBeLessThanOrEqualTo(0, view);
        }

        browser.Find(By.XPath("//section[@data-testid='next']//button")).Location.ShouldBe(place);
        // By the keyboard alone.
        browser.Keyboard(Keys.Tab);
        for (var i = 0; i < 30 && browser.Driver.SwitchTo().ActiveElement().Text != "Placed"; i++)
        {
            browser.Keyboard(Keys.Tab);
        }

        browser.Keyboard(Keys.Enter);
        browser.Until(() => Next(browser).Contains("Batch 2 of", StringComparison.Ordinal));
        _ = browser.Complaints;
    }

    [Fact]
    public async Task A_rehearsed_day_answers_what_is_looked_at_and_says_what_a_pass_made_too_early_does_and_keeps_nothing()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Phone();
        var (id, _) = await TodayAsync(site);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/rehearse?seed=4"));
        browser.Press("Begin the day");
        // The hour of mixing is rehearsed too: nobody floats what does not lie yet.
        browser.Until(() => Next(browser).Contains("Batch 1 of", StringComparison.Ordinal));
        Zone(browser, phone: true, 1);
        browser.Find(By.CssSelector("[data-testid=seen]")).FindElements(By.XPath(".//button[contains(., 'Begun')]")).ShouldBeEmpty();
        PressNext(browser);
        browser.Until(() => Next(browser).Contains("In hand", StringComparison.Ordinal));
        browser.Press("To what is next");
        PressNext(browser);
        browser.Press("Mix the rest as planned");
        // The first float straight away, into the water or while it is soft.
        Zone(browser, phone: true, 1);
        browser.Press("120×");
        browser.Press("Run the clock");
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=seen]")).Text.Contains("You see:", StringComparison.Ordinal), seconds: 120);
        var begin = browser.Find(By.XPath("//*[@data-testid='seen']//button[contains(., 'Begun')]"), seconds: 120);
        browser.Press("Pause the clock");
        begin.Click();
        Show(browser, true, "News");
        var review = browser.Find(By.CssSelector("[data-testid=review]"));
        review.Text.ShouldContain("Zone 1");
        review.FindElement(By.CssSelector("li")).GetAttribute("data-fault").ShouldBeOneOf("workedInWater", "tooSoft");
        browser.AxeFaults().ShouldBeEmpty("a rehearsal");
        (await LogAsync(site, id)).Count.ShouldBe(0);
    }

    [Fact]
    public async Task A_photograph_taken_without_a_connection_waits_and_comes_to_the_other_phone()
    {
        using var site = new Site();
        using var one = new Browser();
        using var two = new Browser();
        var (id, plan) = await TodayAsync(site);
        await TellAsync(site, id, "dayBegun", ("plan", plan.DeepClone()));
        foreach (var browser in new[] { one, two })
        {
            browser.Phone();
            Open(browser, site, id);
            Show(browser, true, "Day");
        }

        var file = Path.Combine(Path.GetTempPath(), $"set-firm-{Guid.NewGuid():N}.png");
        ((ITakesScreenshot)one.Driver).GetScreenshot().SaveAsFile(file);
        one.Offline(true);
        one.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
        one.Until(() => Told(one).Any(t => t.Contains("Photo", StringComparison.Ordinal)));
        one.Until(() => Shown(one) > 0); // from this device
        one.Offline(false);
        two.Until(() => Told(two).Any(t => t.Contains("Photo", StringComparison.Ordinal)));
        two.Until(() => Shown(two) > 0); // by itself
        File.Delete(file);
        _ = one.Complaints;
        _ = two.Complaints;

        static double Shown(Browser browser) => Convert.ToDouble(
            browser.Driver.ExecuteScript("return document.querySelector('[data-testid=day-log] img')?.naturalWidth ?? 0"), System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public void Each_lesson_stands_in_the_yard_opens_on_a_phone_and_leads_back()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Phone();
        browser.Open(site.Address);
        var names = browser.Driver.FindElements(By.CssSelector("[aria-labelledby=practise] a")).Select(a => a.Text).ToArray();
        names.Length.ShouldBe(Enum.GetValues<Core.Job.Lesson>().Length);
        foreach (var name in names)
        {
            browser.Find(By.XPath($"//a[normalize-space()='{name}']")).Click();
            browser.Until(() => Next(browser).Contains("Begin the day", StringComparison.Ordinal));
            browser.Find(By.TagName("h1")).Text.ShouldBe(name);
            browser.AxeFaults().ShouldBeEmpty(name);
            browser.Overflow().Across.ShouldBeLessThanOrEqualTo(0, name);
            browser.Press("Begin the day");
            browser.Until(() => Next(browser).Contains("Batch 1 of", StringComparison.Ordinal));
            browser.Press("Mix the rest as planned");
            for (var jump = 0; !Next(browser).Contains("Zone 1", StringComparison.Ordinal); jump++)
            {
                jump.ShouldBeLessThan(200, name);
                browser.Press("To what is next");
            }

            browser.Find(By.CssSelector("header a")).Click();
            browser.Until(() => browser.Driver.FindElements(By.CssSelector("[aria-labelledby=practise]")).Count == 1);
        }
    }

    [Fact]
    public async Task Of_two_pours_the_board_is_of_the_one_that_is_today_and_another_can_be_chosen()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Phone();
        var document = await site.StartingJobAsync("Two");
        var slab = document["elements"]![0]!.DeepClone();
        slab["id"] = "element-2";
        slab["name"] = "Later";
        document["elements"]!.AsArray().Add(slab);
        JsonObject Pour(string pour, string element, string date) => new() { ["id"] = pour, ["parts"] = new JsonArray(new JsonObject { ["element"] = element }), ["date"] = date, ["start"] = "09:00" };
        document["pours"] = new JsonArray(Pour("pour-1", document["elements"]![0]!["id"]!.GetValue<string>(), "2027-05-02"), Pour("pour-2", "element-2", "2027-05-04"));
        var (id, _) = await site.AddedAsync(document);
        Open(browser, site, id);
        browser.Until(() => browser.Find(By.CssSelector("select")).GetAttribute("value") == "pour-2");
        browser.Press("Begin the day");
        browser.Until(() => Next(browser).Contains("Batch 1 of", StringComparison.Ordinal));
        browser.Until(() => LogAsync(site, id).GetAwaiter().GetResult().Count > 0); // shown before it is sent
        (await LogAsync(site, id)).Single()!["event"]!["pour"]!.GetValue<string>().ShouldBe("pour-2");
        browser.AxeFaults().ShouldBeEmpty("two pours");
        new SelectElement(browser.Find(By.CssSelector("select"))).SelectByIndex(0);
        browser.Until(() => Next(browser).Contains("Begin the day", StringComparison.Ordinal)); // the other has its own day
    }

    [Fact]
    public async Task A_day_that_went_by_is_asked_about_and_one_tap_tells_that_it_went_as_planned()
    {
        using var site = new Site();
        using var browser = new Browser();
        var document = await site.StartingJobAsync("Last week");
        (document["day"]!["date"], document["day"]!["start"]) = (DateTime.Today.AddDays(-7).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), "09:00");
        var (id, _) = await site.AddedAsync(document);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/day"));
        browser.Find(By.CssSelector("[data-code=dayWentBy]"));
        browser.AxeFaults().ShouldBeEmpty("the question");
        browser.Press("Poured as planned");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-code=dayWentBy]")).Count == 0);
        browser.Until(() => LogAsync(site, id).GetAwaiter().GetResult().Count > 0); // shown before it is sent
        var log = await LogAsync(site, id);
        var begun = log.ShouldHaveSingleItem()!["event"]!;
        begun["kind"]!.GetValue<string>().ShouldBe("dayBegun");
        begun["at"]!.GetValue<string>().ShouldBe(begun["plan"]!["start"]!.GetValue<string>());
        _ = browser.Complaints;
    }

    private static string[] Small(Browser browser) => ((IReadOnlyCollection<object>)browser.Driver.ExecuteScript("""
        const seen = (e) => { const b = e.getBoundingClientRect(); return b.width > 0 && b.height > 0 && getComputedStyle(e).visibility !== 'hidden'; };
        const texts = [...document.querySelectorAll('main *')].filter((e) => seen(e) && !e.closest('.visually-hidden')
          && [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim() !== '') && parseFloat(getComputedStyle(e).fontSize) < 16);
        const keys = [...document.querySelectorAll('main button, main a, main input[type=range]')].filter((e) => seen(e) && (e.getBoundingClientRect().height < 55.5 || e.getBoundingClientRect().width < 55.5));
        return [...texts, ...keys].map((e) => e.tagName + ' ' + e.textContent.slice(0, 40) + ' ' + getComputedStyle(e).fontSize + ' ' + e.getBoundingClientRect().height);
        """)!).Select(o => (string)o).ToArray();

    private static void Open(Browser browser, Site site, string id)
    {
        browser.Open(new Uri(site.Address, $"/jobs/{id}/pour"));
        browser.Find(By.CssSelector("[data-testid=next]"));
        // It hears the service, and goes by its clock.
        browser.Until(() => browser.Find(By.CssSelector("p[role=status]")).Text.EndsWith("alone", StringComparison.Ordinal) || browser.Find(By.CssSelector("p[role=status]")).Text.EndsWith("on site", StringComparison.Ordinal));
    }

    private static string Next(Browser browser) => browser.Find(By.CssSelector("[data-testid=next]")).Text;

    private static void PressNext(Browser browser) => browser.Find(By.CssSelector("[data-testid=next] button")).Click();

    private static void Show(Browser browser, bool phone, string view)
    {
        if (phone)
        {
            browser.Press(view);
        }
    }

    private static void Zone(Browser browser, bool phone, int zone)
    {
        Show(browser, phone, "Zones");
        browser.Find(By.CssSelector($"[data-zone='{zone}']")).Click();
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=seen]")).Text.StartsWith($"Zone {zone}", StringComparison.Ordinal));
    }

    private static int Waits(Browser browser) => browser.Driver.PageSource.Contains("1 kept here", StringComparison.Ordinal) ? 1 : 0;

    private static string[] Told(Browser browser) => [.. browser.Driver.FindElements(By.CssSelector("[data-testid=day-log] li")).Select(l => l.GetAttribute("textContent")!)];

    // The clock of the service, and of whoever asks it.
    private static async Task GoToAsync(Site site, string id, JsonNode moment)
    {
        var clock = (FakeClock)site.Services.GetRequiredService<IClock>();
        var to = Instant.FromDateTimeOffset(DateTimeOffset.Parse(moment.GetValue<string>()));
        await AdvanceAsync(site, id, Duration.Max(Duration.Zero, to - clock.GetCurrentInstant()) + Duration.FromSeconds(1));
    }

    private static async Task AdvanceAsync(Site site, string id, Duration by)
    {
        var clock = (FakeClock)site.Services.GetRequiredService<IClock>();
        clock.Advance(by);
        await TellAsync(site, id, "noted");
    }

    private static Task TellAsync(Site site, string id, string kind, params (string Name, JsonNode Value)[] more) =>
        TellAsync(site, id, kind, JsonValue.Create(site.Services.GetRequiredService<IClock>().GetCurrentInstant().ToString()), more);

    private static async Task TellAsync(Site site, string id, string kind, JsonNode at, params (string Name, JsonNode Value)[] more)
    {
        var line = new JsonObject { ["kind"] = kind, ["id"] = Guid.NewGuid().ToString(), ["at"] = at.DeepClone(), ["pour"] = "", ["device"] = "elsewhere", ["note"] = "" };
        foreach (var (name, value) in more)
        {
            line[name] = value;
        }

        (await site.Send(HttpMethod.Post, $"/api/jobs/{id}/log", new JsonArray(line).ToJsonString())).EnsureSuccessStatusCode();
    }

    // A small slab that is poured on the day that the site stands at.
    private async Task<(string Id, JsonNode Plan)> TodayAsync(Site site)
    {
        var document = await site.StartingJobAsync("Board");
        (document["day"]!["date"], document["day"]!["start"]) = ("2027-05-04", "09:00");
        var (id, _) = await site.AddedAsync(document);
        return (id, (await BoardAsync(site, id))["plan"]!);
    }

    private async Task<JsonNode> BoardAsync(Site site, string id)
    {
        var job = (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(token))!;
        var body = new JsonObject
        {
            ["document"] = job["document"]!.DeepClone(),
            ["log"] = new JsonArray([.. (await LogAsync(site, id)).Select(l => l!["event"]!.DeepClone())]),
            ["asOf"] = site.Services.GetRequiredService<IClock>().GetCurrentInstant().ToString(),
        };
        return (await (await site.Send(HttpMethod.Post, "/api/plan", body.ToJsonString())).Content.ReadFromJsonAsync<JsonNode>(token))!["board"]!;
    }

    private async Task<JsonArray> LogAsync(Site site, string id) => (await (await site.Get($"/api/jobs/{id}/log")).Content.ReadFromJsonAsync<JsonNode>(token))!.AsArray();
}
