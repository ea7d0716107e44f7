using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A person finds the hour to start in, protects the slab, and keeps the diary of its cure.</summary>
public sealed class DayCureWalkTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    private const string Header = "time,temp_c,humidity_%,wind_kmh,sun_wm2,rain_chance_%,rain_mm";

    [Fact]
    public async Task The_start_is_dragged_and_keyed_along_the_day_and_everything_moves()
    {
        await OpenAsync("Dragged", "day");
        browser.Type("First water at", "08:30");
        browser.Says("first water at 08:30");
        var done = browser.Figure("Last pass");
        var handle = browser.Find(By.CssSelector("[data-testid=drag-start]"));
        new Actions(browser.Driver).MoveToElement(handle.FindElement(By.CssSelector("rect:last-of-type"))).ClickAndHold().MoveByOffset(40, 0).MoveByOffset(40, 0).Release().Perform();
        browser.Until(() => !browser.Sentence.Contains("first water at 08:30", StringComparison.Ordinal) && browser.Figure("Last pass") != done);
        browser.Type("First water at", "08:30");
        browser.Says("first water at 08:30");
        browser.Find(By.CssSelector("[data-testid=drag-start]")).SendKeys(Keys.ArrowRight);
        browser.Says("first water at 08:35");
        browser.Find(By.CssSelector("[data-testid=drag-start]")).SendKeys(Keys.PageUp);
        browser.Says("first water at 09:35");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Shade_is_taken_from_a_warning_and_found_again_under_the_site()
    {
        await OpenAsync("Shaded", "day", job => job["elements"]![0]!["thickness"] = "60 mm");
        Side("Site");
        var peak = browser.Figure("Most drying");
        browser.Choose("Sun", "Shade all day");
        browser.Until(() => browser.Figure("Most drying") != peak);
        browser.Choose("Over it", "Indoors");
        browser.Until(() => browser.Figure("Rain till set") == "0 %");
        browser.Type("Begin until", "05:00");
        browser.Find(By.CssSelector("li[data-code=outsideWorkingHours]"));
        browser.AxeFaults().ShouldBeEmpty("the site");
        Side("Passes");
        browser.Find(By.CssSelector("tr[data-pass=broom]"));
        browser.AxeFaults().ShouldBeEmpty("the passes");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_weather_file_is_taken_and_a_damaged_one_says_which_line_and_changes_nothing()
    {
        await OpenAsync("Weathered", "day");
        Side("Site");
        var good = WriteFile("week.csv", string.Join('\n', new[] { Header }.Concat(Enumerable.Range(0, 240).Select(h =>
            $"{new DateTime(2027, 5, 4, 0, 0, 0, DateTimeKind.Utc).AddHours(h):yyyy-MM-dd'T'HH:mm:ss'Z'},11,80,5,100,1,0"))));
        browser.Button("Read weather from a file");
        Upload(good);
        browser.Find(By.XPath("//*[@data-testid='weather-file'][contains(., 'week.csv')]"));
        browser.Until(() => browser.Figure("Mix").StartsWith("11", StringComparison.Ordinal));
        var bad = WriteFile("broken.csv", $"{Header}\n2027-05-04T00:00Z,11,80,5,100,1,0\n2027-05-04T01:00Z,1e9,80,5,100,1,0\n");
        Upload(bad);
        browser.Find(By.XPath("//li[@data-code='weatherFileDamaged'][contains(., 'Line 3')]"));
        browser.Find(By.XPath("//*[@data-testid='weather-file'][contains(., 'week.csv')]")); // what was there stays
        browser.AxeFaults().ShouldBeEmpty("a damaged file");
        browser.Press("Back to the forecast");
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=weather-file]")).Text.Contains("The forecast", StringComparison.Ordinal));
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_told_is_kept_counts_and_can_be_struck_out()
    {
        await OpenAsync("Cured", "cure", job =>
        {
            job["day"]!["date"] = DateTime.UtcNow.AddDays(-2).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
            job["cure"]!["method"] = "burlap";
            job["site"]!["latitude"] = 30; // somewhere that is dry in any month
        });
        Side("Diary");
        browser.Find(By.XPath("//*[@data-testid='diary'][contains(., 'Nothing told yet')]"));
        browser.Press("I wetted it now");
        browser.Find(By.XPath("//*[@data-testid='diary']//li[@data-waiting='false'][contains(., 'Wetted')]"));
        browser.Find(By.CssSelector("li[data-code=wettingMissed]")); // nobody told of a wetting before
        browser.AxeFaults().ShouldBeEmpty("the diary");
        browser.Reload();
        Side("Diary");
        browser.Find(By.XPath("//*[@data-testid='diary']//li[contains(., 'Wetted')]"));
        browser.Find(By.XPath("//button[starts-with(@aria-label, 'Strike out')]")).Click();
        browser.Until(() => browser.Driver.FindElements(By.XPath("//*[@data-testid='diary']//li")).Count == 0);
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("li[data-code=wettingMissed]")).Count == 0);
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Coats_are_laid_into_the_calendar_and_the_method_says_when_to_wet()
    {
        await OpenAsync("Coated", "cure");
        browser.Figure("Wet it next").ShouldNotBeEmpty();
        Side("Coats");
        browser.Choose("Add a product", "Penetrating sealer");
        browser.Find(By.XPath("//fieldset//li[contains(., 'Penetrating sealer, coat 2')]"));
        browser.Find(By.XPath("//label[normalize-space()='Calendar']")).Click();
        browser.Find(By.XPath("//*[@data-testid='calendar']//li[@data-kind='coat']"));
        browser.AxeFaults().ShouldBeEmpty("the calendar");
        Side("From when");
        browser.Find(By.CssSelector("tr[data-milestone=walk]"));
        Side("Keep wet");
        browser.Choose("Kept wet by", "Curing compound");
        browser.Says("keeps its own water");
        browser.Choose("At night, over it", "Blankets");
        browser.Saved();
        browser.Complaints.ShouldBeEmpty();
    }

    private static string WriteFile(string name, string text)
    {
        var folder = Directory.CreateTempSubdirectory("setfirm-weather-").FullName;
        var file = Path.Combine(folder, name);
        File.WriteAllText(file, text);
        return file;
    }

    // The field that takes files is never seen: a button stands for it.
    private void Upload(string file) => browser.Driver.FindElement(By.CssSelector("[data-testid=weather-file] input[type=file]")).SendKeys(file);

    private void Side(string name) => browser.Find(By.XPath($"//label[normalize-space()='{name}']")).Click();

    private async Task OpenAsync(string name, string step, Action<JsonNode>? change = null)
    {
        var document = await site.StartingJobAsync(name);
        change?.Invoke(document);
        var (id, _) = await site.AddedAsync(document);
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
        browser.Sentence.ShouldNotBeEmpty();
    }
}
