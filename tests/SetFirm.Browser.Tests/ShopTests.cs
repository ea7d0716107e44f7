using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>The list in a shop on two phones, what is ready today in the yard, and what is ticked before the first water.</summary>
public sealed class ShopTests
{
    [Fact]
    public async Task What_one_phone_puts_in_the_car_is_off_the_other_ones_list_and_what_is_missing_has_another_way()
    {
        using var site = new Site();
        using var ines = new Browser();
        using var odd = new Browser();
        var (id, _) = await site.AddedAsync("Shop");
        foreach (var phone in new[] { ines, odd })
        {
            phone.Phone();
            phone.Open(new Uri(site.Address, $"/jobs/{id}/shop"));
            phone.Until(() => phone.Sentence.Contains("things left", StringComparison.Ordinal));
        }

        var bag = ines.Find(By.CssSelector("[data-good^='bag/']")).GetAttribute("data-good")!;
        var before = ines.Sentence;
        Thing(ines, "stake").FindElement(By.CssSelector("input[type=checkbox]")).Click();
        ines.Until(() => State(ines, "stake") == "bought");
        odd.Until(() => State(odd, "stake") == "bought", seconds: 30);
        odd.Until(() => odd.Sentence == ines.Sentence && odd.Sentence != before);
        Thing(odd, "stake").FindElement(By.CssSelector("input[type=checkbox]")).Click(); // he puts them back
        odd.Until(() => State(odd, "stake") == "open");
        ines.Until(() => State(ines, "stake") == "open", seconds: 30);
        ines.Sentence.ShouldBe(before);

        // Some of the bags, then no more to be had: another way, with what it costs, changes the plan.
        var thing = Thing(ines, bag);
        thing.FindElement(By.XPath(".//button[normalize-space()='Took some']")).Click();
        thing.FindElement(By.CssSelector("form input")).SendKeys("3"); // bags
        thing.FindElement(By.CssSelector("form button")).Click();
        ines.Until(() => Thing(ines, bag).Text.Contains("in the car: 3", StringComparison.Ordinal));
        Thing(ines, bag).FindElement(By.XPath(".//button[normalize-space()='Not to be had']")).Click();
        ines.Until(() => State(ines, bag) == "notToBeHad");
        odd.Until(() => State(odd, bag) == "notToBeHad", seconds: 30);
        var instead = ines.Find(By.CssSelector("[data-testid=instead] li"));
        instead.FindElement(By.TagName("button")).Click();
        ines.Until(() => ines.Driver.FindElements(By.CssSelector($"[data-good='{bag}']")).Count == 0);
        ines.Until(() => ines.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Saved", StringComparison.Ordinal));
        var kept = JsonNode.Parse(await (await site.Get($"/api/jobs/{id}")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        (kept["document"]!["mixes"]![0]!["bag"]?.GetValue<string>() ?? "").ShouldNotBe(bag["bag/".Length..]);
        ines.Complaints.ShouldBeEmpty();

        static IWebElement Thing(Browser of, string good) => of.Find(By.CssSelector($"[data-good='{good}']"));
        static string? State(Browser of, string good) => Thing(of, good).GetAttribute("data-state");
    }

    [Fact]
    public async Task Gear_that_is_hired_adds_its_days_to_what_all_of_it_costs()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var (id, _) = await site.AddedAsync("Gear");
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shop"));
        var mixer = browser.Find(By.CssSelector("[data-gear=mixer]"));
        new OpenQA.Selenium.Support.UI.SelectElement(mixer.FindElement(By.TagName("select"))).SelectByText("Hire");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-gear=mixer] input")).Count == 1);
        browser.Find(By.CssSelector("[data-gear=mixer] input")).SendKeys("45");
        browser.Until(() => browser.Find(By.CssSelector("[data-gear=mixer]")).Text.Contains("45.00", StringComparison.Ordinal));
        browser.Find(By.CssSelector("[data-gear=mixer]")).Text.ShouldContain("on Wed 5 May"); // the day of its pour
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Saved", StringComparison.Ordinal));
        var kept = JsonNode.Parse(await (await site.Get($"/api/jobs/{id}")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        kept["document"]!["buy"]!["gear"]![0]!.ToJsonString().ShouldBe("""{"gear":"mixer","from":"hire","price":45}""");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task The_yard_says_what_can_be_done_today_and_the_board_what_is_not_made_ready()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var document = await site.StartingJobAsync("Ready");
        document["day"]!["date"] = "2027-05-05"; // tomorrow, by the clock of the tests
        var (id, _) = await site.AddedAsync(document);
        browser.Open(site.Address);
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=today] li")).Count == 1, seconds: 30);
        browser.Find(By.CssSelector("[data-testid=today]")).Text.ShouldContain("Have buried pipes and cables marked");
        browser.Find(By.CssSelector("[data-testid=today] a")).Click();
        browser.Find(By.CssSelector("[data-testid=tasks]"));

        browser.Phone();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/pour"));
        browser.Find(By.CssSelector("[data-testid=staging] [data-task=measureOut]")).Click();
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=staging] [data-task=measureOut]")).Count == 0);
        browser.Find(By.CssSelector("[data-testid=staging] [data-task=lookOver]"));
        browser.Find(By.CssSelector("[data-testid=staging]")).Text.ShouldContain("not ticked before that");
        browser.AxeFaults().ShouldBeEmpty();
    }

    [Fact]
    public async Task Another_way_of_doing_it_is_told_with_what_it_changes_and_one_tap_takes_it()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var (id, _) = await site.AddedAsync("Differ");
        browser.Open(new Uri(site.Address, $"/jobs/{id}/tasks"));
        browser.Find(By.XPath("//label[normalize-space()='Where people differ']")).Click();
        var days = browser.Find(By.CssSelector("[data-practice=keepWetDays]"));
        days.Text.ShouldContain("weaker at 28 days");
        browser.AxeFaults().ShouldBeEmpty();
        browser.Press("How long it is kept wet: take 3 days");
        browser.Until(() => browser.Find(By.CssSelector("[data-practice=keepWetDays] li[data-taken=true]")).Text.StartsWith("3 days", StringComparison.Ordinal));
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Saved", StringComparison.Ordinal));
        var kept = JsonNode.Parse(await (await site.Get($"/api/jobs/{id}")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        kept["document"]!["cure"]!["days"]!.GetValue<double>().ShouldBe(3);
    }

    [Fact]
    public async Task From_what_is_seen_to_why_by_the_record_of_this_pour()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var document = await site.StartingJobAsync("Faults");
        document["cure"]!["days"] = 3;
        var (id, _) = await site.AddedAsync(document);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/tasks"));
        browser.Find(By.XPath("//label[normalize-space()='What went wrong']")).Click();
        browser.Find(By.XPath("//*[@data-testid='signs']//button[starts-with(normalize-space(), 'Dusty face')]")).Click();
        var first = browser.Find(By.CssSelector("[data-testid=fault] li"));
        first.GetAttribute("data-cause").ShouldBe("cureTooShort");
        first.Text.ShouldContain("4 days short of what is advised");
        first.Text.ShouldContain("Next time");
        browser.Overflow().ShouldBe((0, 0));
        browser.AxeFaults().ShouldBeEmpty();
        browser.Phone();
        browser.AxeFaults().ShouldBeEmpty();
        browser.Complaints.ShouldBeEmpty();
    }
}
