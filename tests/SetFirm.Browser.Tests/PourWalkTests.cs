using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A job of many pours: each has its day, and a part is moved to another by picking it.</summary>
public sealed class PourWalkTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task With_one_pour_nothing_is_seen_of_pours()
    {
        var id = await AddAsync("One go");
        foreach (var step in new[] { "shape", "load", "day", "cure" })
        {
            Open(id, step);
            browser.Driver.FindElements(By.CssSelector("[data-testid=pours], [data-testid=pour-days]")).ShouldBeEmpty(step);
        }

        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Stones_from_two_moulds_are_three_pours_and_the_one_that_is_chosen_stays_chosen_from_step_to_step()
    {
        var id = await AddAsync("Stones", Stones);
        Open(id, "day");
        Pours().Length.ShouldBe(3);
        var first = browser.Sentence;
        Pour("casting 2").Click();
        browser.Until(() => browser.Sentence != first);
        Pour("casting 2").GetAttribute("aria-pressed").ShouldBe("true");
        browser.AxeFaults().ShouldBeEmpty("pours of a day");
        browser.Step("Load");
        Pour("casting 2").GetAttribute("aria-pressed").ShouldBe("true");
        browser.Figure("Batches").ShouldNotBeEmpty();
        browser.Step("Cure");
        Pour("casting 2").GetAttribute("aria-pressed").ShouldBe("true");
        browser.Find(By.XPath("//label[normalize-space()='Calendar']")).Click();
        foreach (var pour in new[] { "Pour 1", "Pour 2", "Pour 3" })
        {
            browser.Find(By.XPath($"//*[@data-testid='calendar']//li[@data-kind='pour'][contains(., '{pour}')]"));
        }

        browser.AxeFaults().ShouldBeEmpty("the calendar of three pours");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task The_order_of_work_tells_castings_in_a_line_that_opens_on_what_is_done_each_time()
    {
        var id = await AddAsync("In series", Stones);
        Open(id, "tasks");
        var line = browser.Find(By.CssSelector("[data-testid=of-pour]"));
        browser.Until(() => line.Text.Contains("casting 1 of 3", StringComparison.Ordinal));
        line.FindElement(By.CssSelector("summary")).Click();
        line.Text.ShouldContain("Each time: wax the mould");
        line.Text.ShouldNotContain("level the bench", Case.Insensitive);
        Pour("casting 2").Click();
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=of-pour] summary")).Text.Contains("casting 2 of 3", StringComparison.Ordinal));
        browser.AxeFaults().ShouldBeEmpty("a series");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_day_that_is_given_to_a_later_pour_is_its_own_and_one_that_is_too_soon_offers_the_first_that_will_do()
    {
        var id = await AddAsync("Moved", Stones);
        Open(id, "day");
        Pour("casting 2").Click();
        browser.Until(() => browser.Field("Another date").GetAttribute("value") == "2027-05-08");
        browser.Type("Another date", "2027-05-07");
        var full = browser.Find(By.CssSelector("li[data-code=mouldStillFull]"));
        full.FindElement(By.XPath(".//button[contains(., 'later')]")).Click();
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("li[data-code=mouldStillFull]")).Count == 0);
        browser.Saved();
        var kept = await DocumentAsync(id);
        kept["pours"]!.AsArray().Count.ShouldBe(1);
        kept["pours"]![0]!["parts"]![0]!["casting"]!.GetValue<int>().ShouldBe(2);
        kept["day"]!["date"]!.GetValue<string>().ShouldBe("2027-05-06");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_panel_that_is_picked_gets_a_day_of_its_own_and_the_plan_follows_and_undo_takes_it_back()
    {
        var id = await AddAsync("Panels", job =>
        {
            job["elements"]![0]!["outline"]!["along"] = "6 m";
            job["elements"]![0]!["outline"]!["across"] = "2 m";
        });
        Open(id, "shape");
        browser.Button("Panel 2: choose its day").SendKeys(Keys.Enter);
        browser.Choose("Panel 2", "A day of its own");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=pour-days] select")).Count > 2);
        browser.AxeFaults().ShouldBeEmpty("days of panels");
        browser.Step("Load");
        Pours().Length.ShouldBe(2);
        browser.Find(By.XPath("//*[@data-testid='pours']//button[contains(., 'panel 2')]"));
        browser.Step("Build");
        browser.Find(By.CssSelector("[data-testid=drawing]"));
        browser.Press("Undo");
        browser.Step("Load");
        browser.Until(() => Pours().Length == 0);
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_second_mix_is_added_given_to_the_topping_and_taken_out_again()
    {
        var id = await AddAsync("Porch", job =>
        {
            var element = job["elements"]![0]!.AsObject();
            element["kind"] = "twoCourse";
            element.Remove("thickness");
            element.Remove("use");
            element["baseThickness"] = "70 mm";
            element["topping"] = "40 mm";
        });
        Open(id, "mix");
        browser.Press("Add another mix");
        browser.Choose("Which bag", "Sand and topping mix, 27 kg");
        browser.Step("Shape");
        browser.Choose("Mix of the topping", "2: Sand and topping mix, 27 kg");
        browser.Step("Buy");
        browser.Find(By.XPath("//tr[contains(., 'Sand and topping mix')]"));
        browser.Step("Load");
        Pours().Length.ShouldBe(2);
        browser.Step("Mix");
        browser.Choose("Which mix", "2: Sand and topping mix, 27 kg");
        browser.Press("Do without this mix");
        browser.Saved();
        (await DocumentAsync(id))["mixes"]!.AsArray().Count.ShouldBe(1);
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_told_of_one_pour_stands_in_its_own_diary()
    {
        var id = await AddAsync("Told", job =>
        {
            Stones(job);
            job["day"]!["date"] = DateTime.UtcNow.AddDays(-4).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        });
        Open(id, "cure");
        browser.Find(By.XPath("//label[normalize-space()='Diary']")).Click();
        browser.Press("I wetted it now");
        browser.Find(By.XPath("//*[@data-testid='diary']//li[@data-waiting='false'][contains(., 'Wetted')]"));
        Pour("casting 2").Click();
        browser.Until(() => browser.Driver.FindElements(By.XPath("//*[@data-testid='diary']//li")).Count == 0);
        Pour("casting 1").Click();
        browser.Find(By.XPath("//*[@data-testid='diary']//li[contains(., 'Wetted')]"));
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Who_pours_on_weekends_gets_weekends_and_the_strip_the_list_and_the_calendar_follow()
    {
        var id = await AddAsync("Weekends", Stones);
        Open(id, "shape");
        browser.Choose("You pour on", "weekends");
        browser.Step("Day");
        string[] Days() => [.. Pours().Select(p => p.FindElement(By.TagName("b")).Text.Split(' ')[1])];
        browser.Until(() => Days().Skip(1).All(d => d is "Sat" or "Sun"));
        // Begun on a Thursday all the same: that was said, and it is noted.
        Days()[0].ShouldBe("Thu");
        browser.Find(By.CssSelector("li[data-code=notAWorkingDay]"));
        browser.Step("Cure");
        browser.Find(By.XPath("//label[normalize-space()='Calendar']")).Click();
        browser.Find(By.XPath("//*[@data-testid='calendar']//li[@data-kind='pour'][contains(., 'Pour 3')]"));
        browser.Step("Shape");
        browser.Choose("You pour on", "any day");
        browser.Step("Day");
        browser.Until(() => Days().SequenceEqual(["Thu", "Sat", "Mon"]));
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_pour_is_chosen_from_the_keyboard_and_says_that_it_is()
    {
        var id = await AddAsync("Keys", Stones);
        Open(id, "load");
        browser.Keyboard(Keys.Tab);
        for (var i = 0; i < 60 && !browser.Driver.SwitchTo().ActiveElement().Text.Contains("casting 3", StringComparison.Ordinal); i++)
        {
            browser.Keyboard(Keys.Tab);
        }

        browser.Driver.SwitchTo().ActiveElement().GetAttribute("aria-pressed").ShouldBe("false");
        browser.Keyboard(Keys.Space);
        browser.Until(() => Pour("casting 3").GetAttribute("aria-pressed") == "true");
        Pours().Count(p => p.GetAttribute("aria-pressed") == "true").ShouldBe(1);
        // It stays chosen on another step.
        browser.Step("Day");
        Pour("casting 3").GetAttribute("aria-pressed").ShouldBe("true");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task On_a_phone_two_dozen_pours_run_within_their_strip_and_never_off_the_page()
    {
        var id = await AddAsync("Treads", job =>
        {
            Stones(job);
            job["elements"]![0]!["name"] = "Tread";
            job["elements"]![0]!["casting"] = new JsonObject { ["pieces"] = 24, ["moulds"] = 1, ["stripDays"] = 2, ["cleanDays"] = 0 };
        });
        browser.Phone();
        foreach (var step in new[] { "load", "day", "cure", "shape", "buy" })
        {
            browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
            browser.Sentence.ShouldNotBeEmpty();
            browser.Overflow().Across.ShouldBeLessThanOrEqualTo(0, step);
        }

        browser.Open(new Uri(site.Address, $"/jobs/{id}/day"));
        Pours().Length.ShouldBe(24);
        var last = Pour("casting 24");
        browser.Driver.ExecuteScript("arguments[0].scrollIntoView({ inline: 'center', block: 'center' })", last);
        var before = browser.Sentence;
        last.Click();
        browser.Until(() => browser.Sentence != before);
        browser.Overflow().Across.ShouldBeLessThanOrEqualTo(0, "the last of them");
        browser.Laptop();
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Hands_of_one_pour_are_its_own_and_leave_the_others_alone()
    {
        var id = await AddAsync("Hands", job =>
        {
            Stones(job);
            job["elements"]![0]!["id"] = "stones";
            job["pours"] = new JsonArray(new JsonObject
            {
                ["id"] = "second",
                ["date"] = "2027-05-10",
                ["parts"] = new JsonArray(new JsonObject { ["element"] = "stones", ["casting"] = 2 }),
            });
        });
        Open(id, "load");
        Pour("casting 2").Click();
        browser.Type("Hands for this pour", "4");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-state=saving]")).Count == 0);
        browser.Saved();
        var kept = await DocumentAsync(id);
        kept["pours"]![0]!["hands"]!.GetValue<int>().ShouldBe(4);
        kept["mixing"]!["hands"]!.GetValue<int>().ShouldNotBe(4);
        Pour("casting 1").Click();
        browser.Until(() => browser.Driver.FindElements(By.XPath("//label[normalize-space()='Hands for this pour']")).Count == 0);
        browser.Complaints.ShouldBeEmpty();
    }

    // Six from two moulds, begun on a Thursday.
    private static void Stones(JsonNode job)
    {
        var element = job["elements"]![0]!.AsObject();
        element["kind"] = "piece";
        element["name"] = "Stone";
        element["use"] = "stone";
        element["outline"]!["along"] = "560 mm";
        element["outline"]!["across"] = "300 mm";
        element["thickness"] = "60 mm";
        element["chamfer"] = "";
        element["casting"] = new JsonObject { ["pieces"] = 6, ["moulds"] = 2, ["stripDays"] = 2, ["cleanDays"] = 0 };
        job["day"]!["date"] = "2027-05-06";
    }

    private IWebElement[] Pours() => [.. browser.Driver.FindElements(By.CssSelector("[data-testid=pours] button"))];

    private IWebElement Pour(string holds) => browser.Find(By.XPath($"//*[@data-testid='pours']//button[contains(., '{holds}')]"));

    private void Open(string id, string step)
    {
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
        browser.Sentence.ShouldNotBeEmpty();
    }

    private async Task<JsonNode> DocumentAsync(string id) => JsonNode.Parse(await (await site.Get($"/api/jobs/{id}")).Content.ReadAsStringAsync(token))!["document"]!;

    private async Task<string> AddAsync(string name, Action<JsonNode>? change = null)
    {
        var document = await site.StartingJobAsync(name);
        change?.Invoke(document);
        return (await site.AddedAsync(document)).Id;
    }
}
