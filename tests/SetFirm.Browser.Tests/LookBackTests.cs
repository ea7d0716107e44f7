using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A person looks back: a day told from the paper, what it taught taken over, the next plan another.</summary>
public sealed class LookBackTests
{
    [Fact]
    public async Task A_day_told_from_paper_teaches_a_value_that_is_taken_over_changes_the_next_plan_and_undone_changes_it_back()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var (done, _) = await site.AddedAsync(await JobAsync(site, "Told", DateTime.UtcNow.AddDays(-3).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)));
        var (next, _) = await site.AddedAsync(await JobAsync(site, "Next", "2027-05-08"));
        browser.Open(new Uri(site.Address, $"/jobs/{next}/load"));
        browser.Until(() => browser.Sentence.Contains("mixed and placed in", StringComparison.Ordinal));
        var before = browser.Sentence;

        // From the paper: the first water at eight, the last batch long after it was planned, two bags more.
        browser.Open(new Uri(site.Address, $"/jobs/{done}/lookBack"));
        browser.Until(() => browser.Sentence.StartsWith("Nothing was told of this day yet", StringComparison.Ordinal));
        var form = browser.Find(By.CssSelector("[data-testid=tell-day]"));
        browser.Press("Tell the day");
        form.Text.ShouldContain("When did the first water go in?"); // what it cannot do without is asked for at its field
        Say("First water", "8");
        var planned = TimeOnly.Parse(Field("Last batch in the form").GetAttribute("placeholder")!, CultureInfo.InvariantCulture);
        var slow = new TimeOnly(8, 0).Add((planned - new TimeOnly(8, 0)) * 1.4);
        Say("Last batch in the form", slow.ToString("HHmm", CultureInfo.InvariantCulture));
        Say("Bags used", "9");
        Say("Sheen gone", Later(Field("Sheen gone").GetAttribute("placeholder")!, 40));
        Say("What it looked like", "A little rough at the drain.");
        browser.AxeFaults().ShouldBeEmpty();
        browser.Press("Tell the day");
        browser.Until(() => browser.Sentence.StartsWith("Mixing took", StringComparison.Ordinal), seconds: 30);
        browser.Find(By.XPath("//label[normalize-space()='What stood out']")).Click();
        browser.Find(By.CssSelector("[data-testid=stood] [data-code=bags]"));
        browser.Find(By.CssSelector("[data-testid=day-look] [data-row=mixing]"));

        // What it teaches, with what it would change; then it is used.
        browser.Find(By.XPath("//label[normalize-space()='What it teaches']")).Click();
        var pace = By.CssSelector("[data-testid=learnt][data-of=pace]");
        browser.Until(() => browser.Find(pace).GetAttribute("data-asks") == "true", seconds: 30);
        browser.Until(() => browser.Find(pace).Text.Contains("Next: mixing ends", StringComparison.Ordinal), seconds: 30);
        Press(pace, "Use it");
        browser.Until(() => browser.Find(pace).GetAttribute("data-word") == "taken");
        browser.Open(new Uri(site.Address, $"/jobs/{next}/load"));
        browser.Until(() => browser.Sentence.Contains("mixed and placed in", StringComparison.Ordinal) && browser.Sentence != before);
        browser.Find(By.CssSelector("[data-testid=goes-by]")).Text.ShouldContain("minutes a batch +");

        // In the season it is undone, and refused it asks no more.
        browser.Open(new Uri(site.Address, "/season"));
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=season-pour]")).Text.Contains("Told", StringComparison.Ordinal));
        Press(pace, "Undo");
        browser.Until(() => browser.Find(pace).GetAttribute("data-asks") == "true");
        Press(pace, "No, and do not ask");
        browser.Until(() => browser.Find(pace).GetAttribute("data-word") == "refused");
        browser.Open(new Uri(site.Address, "/season"));
        browser.Find(pace).GetAttribute("data-asks").ShouldBe("false");
        browser.Open(new Uri(site.Address, $"/jobs/{next}/load"));
        browser.Until(() => browser.Sentence == before);
        browser.Complaints.ShouldBeEmpty();

        IWebElement Field(string label) => browser.Find(By.XPath($"//*[@data-testid='tell-day']//label[normalize-space()='{label}']/following::*[self::input or self::textarea][1]"));
        void Say(string label, string text) => Field(label).SendKeys(text);
        void Press(By of, string what) => browser.Find(of).FindElement(By.XPath($".//button[normalize-space()='{what}']")).Click();
    }

    [Fact]
    public async Task A_fault_is_told_with_its_place_and_its_photo_and_its_cause_stands_beside_it()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var document = await JobAsync(site, "Fault", "2027-05-01");
        document["cure"]!["days"] = 3;
        var (id, _) = await site.AddedAsync(document);
        browser.Open(new Uri(site.Address, $"/jobs/{id}/lookBack"));
        browser.Find(By.XPath("//label[normalize-space()='How it is']")).Click();
        browser.Find(By.CssSelector("[data-testid=how-it-is] summary")).Click();
        new SelectElement(browser.Find(By.CssSelector("[data-testid=how-it-is] select"))).SelectByText("Dusty face: chalk comes off on the hand");
        var plan = browser.Find(By.CssSelector("[data-testid=fault-plan][data-placing=true]"));
        plan.SendKeys(Keys.ArrowRight); // from the middle, without a mouse
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=how-it-is]")).Text.Contains("along", StringComparison.Ordinal));
        plan.Click();
        browser.Find(By.CssSelector("[data-testid=how-it-is] textarea")).SendKeys("White on the boots.");
        var photo = Path.Combine(Path.GetTempPath(), $"setfirm-{Guid.NewGuid():N}.png");
        try
        {
            browser.Screenshot(photo);
            browser.Find(By.CssSelector("[data-testid=how-it-is] input[type=file]")).SendKeys(photo);
            browser.Until(() => browser.Find(By.CssSelector("[data-testid=how-it-is]")).Text.Contains("A photo is with it", StringComparison.Ordinal));
        }
        finally
        {
            File.Delete(photo);
        }

        browser.Press("Tell it");
        var fault = By.CssSelector("[data-testid=seen-fault][data-sign=dustyFace]");
        browser.Until(() => browser.Driver.FindElements(fault).Count == 1, seconds: 30);
        browser.Find(fault).Text.ShouldContain("White on the boots.");
        browser.Find(By.CssSelector("[data-testid=seen-fault] [data-cause=cureTooShort]")).GetAttribute("data-verdict").ShouldBe("likely");
        browser.Until(() => (bool)browser.Driver.ExecuteScript("const i = document.querySelector('[data-testid=seen-fault] img'); return i !== null && i.complete && i.naturalWidth > 100;")!, seconds: 30);
        browser.AxeFaults().ShouldBeEmpty();
        browser.Phone();
        browser.AxeFaults().ShouldBeEmpty();
        browser.Overflow().Across.ShouldBe(0);
        browser.Laptop();
        browser.Press("Strike it out");
        browser.Until(() => browser.Driver.FindElements(fault).Count == 0);
        browser.Complaints.ShouldBeEmpty();
    }

    private static async Task<JsonNode> JobAsync(Site site, string name, string date)
    {
        var job = await site.StartingJobAsync(name);
        job["day"]!["date"] = date;
        return job;
    }

    private static string Later(string clock, int minutes) => TimeOnly.Parse(clock, CultureInfo.InvariantCulture).AddMinutes(minutes).ToString("HH:mm", CultureInfo.InvariantCulture);
}
