using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>The demo's views as they stand: sound for a screen reader, whole on a screen, light and dark.</summary>
public sealed class ViewTests(ViewTests.DemoSite site, Browser browser) : IClassFixture<ViewTests.DemoSite>, IClassFixture<Browser>
{
    private static readonly string[] Steps = ["shape", "build", "mix", "load", "buy", "day", "tasks", "shop", "paper", "compare", "lookBack", "cure"];

    /// <summary>The rest of the demo's jobs; the terrace stands for all steps.</summary>
    private static readonly string[] Others = ["Workshop floor", "Herb border", "Bike-shed pad", "Potting bench top", "Drive kerb", "Six stepping stones", "Lean-to floor skim", "Bin stand", "Cellar landing"];

    /// <summary>Where the pictures go; <c>./setfirm shots</c> names docs/screenshots.</summary>
    private static readonly string Pictures = Environment.GetEnvironmentVariable("SETFIRM_SCREENSHOTS") is { Length: > 0 } folder
        ? folder
        : Path.Combine(AppContext.BaseDirectory, "screenshots");

    [Theory]
    [InlineData("light", false)]
    [InlineData("dark", false)]
    [InlineData("light", true)]
    [InlineData("dark", true)]
    public async Task Axe_finds_nothing_in_any_view(string scheme, bool phone)
    {
        browser.Size(phone);
        browser.Open(site.Site.Address);
        browser.Scheme(scheme);
        foreach (var view in await ViewsAsync())
        {
            browser.Open(view);
            browser.AxeFaults().ShouldBeEmpty($"{view} {scheme}");
        }

        var told = (await ViewsAsync("Bin stand")).Single(v => v.ToString().EndsWith("/lookBack", StringComparison.Ordinal));
        browser.Open(told);
        foreach (var side in new[] { "What stood out", "How it is", "What it teaches", "Tell the day", "Files" })
        {
            browser.Find(By.XPath($"//label[normalize-space()='{side}']")).Click();
            browser.AxeFaults().ShouldBeEmpty($"{side} {scheme}");
        }

        browser.Open(new Uri(site.Site.Address, "/season"));
        browser.Find(By.CssSelector("[data-testid=learnt]"));
        browser.AxeFaults().ShouldBeEmpty($"the season {scheme}");
        browser.Overflow().Across.ShouldBe(0);
        browser.Open((await ViewsAsync())[^1]);
        browser.Press("Why? Keep wet until");
        browser.Find(By.XPath("//*[@role='dialog']"));
        browser.AxeFaults().ShouldBeEmpty($"an open Why? {scheme}");
        browser.Scheme("light");
        browser.Complaints.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("Breakfast terrace", false)]
    [InlineData("Breakfast terrace", true)]
    [InlineData("Bike-shed pad", false)] // in the other Englishes and units
    [InlineData("Bike-shed pad", true)]
    public async Task No_word_is_cut_in_any_view(string job, bool phone)
    {
        browser.Size(phone);
        var views = await ViewsAsync(job);
        var board = new Uri(views[1].ToString().Replace("/shape", "/pour", StringComparison.Ordinal));
        foreach (var view in views.Append(board).Append(new Uri(site.Site.Address, "/season")).Append(new Uri(site.Site.Address, "/household")))
        {
            browser.Open(view);
            browser.Settled();
            browser.CutWords().ShouldBeEmpty($"{view} {phone}");
        }
    }

    [Fact]
    public async Task On_a_laptop_no_step_needs_the_page_to_scroll_for_its_answer_drawing_and_figures()
    {
        browser.Laptop();
        foreach (var view in await ViewsAsync())
        {
            browser.Open(view);
            browser.Overflow().ShouldBe((0, 0), view.ToString());
            foreach (var part in browser.Driver.FindElements(By.CssSelector("[data-testid=sentence], [data-testid=drawing], [data-testid=figures]")))
            {
                (part.Location.Y + part.Size.Height).ShouldBeLessThanOrEqualTo(800, view.ToString());
                part.Size.Height.ShouldBeGreaterThan(20);
            }
        }
    }

    [Fact]
    public async Task Every_job_of_the_demo_is_shaped_and_built_without_a_fault()
    {
        browser.Laptop();
        foreach (var job in Others)
        {
            foreach (var view in (await ViewsAsync(job))[1..3])
            {
                browser.Open(view);
                browser.Find(By.CssSelector("[data-testid=section]"));
                browser.Overflow().ShouldBe((0, 0), $"{job} {view}");
                browser.Driver.FindElements(By.CssSelector("[data-testid=section]")).Count.ShouldBe(1, $"{job} {view}");
                browser.Driver.FindElements(By.CssSelector("[data-severity=error]")).ShouldBeEmpty(job);
            }

            browser.Open((await ViewsAsync(job))[1]);
            browser.AxeFaults().ShouldBeEmpty($"{job} as shaped");
        }

        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Hours_to_start_in_are_sound_for_a_screen_reader_and_one_that_is_pressed_becomes_the_jobs_own()
    {
        browser.Laptop();
        browser.Open((await ViewsAsync("Bike-shed pad")).Single(v => v.ToString().EndsWith("/day", StringComparison.Ordinal)));
        browser.Find(By.XPath("//label[normalize-space()='When to start']")).Click();
        var cell = browser.Find(By.CssSelector("[data-testid=starts] button[data-best=true]"));
        browser.AxeFaults().ShouldBeEmpty("hours to start in");
        var hour = int.Parse(cell.GetAttribute("data-hour")!, System.Globalization.CultureInfo.InvariantCulture);
        cell.Click();
        browser.Until(() => browser.Sentence.Contains($"first water at {(hour + 11) % 12 + 1}:00 {(hour < 12 ? "AM" : "PM")}", StringComparison.Ordinal)); // in US units
        browser.Complaints.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("Breakfast terrace", 8)]
    [InlineData("Drive kerb", 4)] // to its mix, which is by parts
    [InlineData("Six stepping stones", 3)]
    public async Task Every_figure_opens_to_its_formula_in_plain_words(string job, int views)
    {
        browser.Laptop();
        foreach (var view in (await ViewsAsync(job))[..views])
        {
            browser.Open(view);
            foreach (var figure in browser.Driver.FindElements(By.CssSelector("[data-testid=figures] > div")))
            {
                figure.FindElements(By.TagName("button")).Count.ShouldBe(1, $"{figure.Text} has no Why?");
            }

            foreach (var why in browser.Driver.FindElements(By.XPath("//button[starts-with(@aria-label, 'Why?')]")))
            {
                browser.Until(() => Pressed(why)); // the sheet before it may still be on its way out
                var sheet = browser.Find(By.XPath("//*[@role='dialog']"));
                browser.Until(() => sheet.Text.Contains("Source", StringComparison.Ordinal));
                var text = sheet.Text;
                text.ShouldNotMatch("undefined|NaN|\\b[a-z]+[A-Z][a-z]"); // a name of ours instead of a word
                browser.Keyboard(Keys.Escape);
                browser.Until(() => browser.Driver.FindElements(By.XPath("//*[@role='dialog']")).Count == 0);
            }
        }
    }

    private static bool Pressed(IWebElement button)
    {
        try
        {
            button.SendKeys(Keys.Enter);
            return true;
        }
        catch (ElementNotInteractableException)
        {
            return false;
        }
    }

    [Fact]
    public async Task Every_view_is_pictured()
    {
        Directory.CreateDirectory(Pictures);
        browser.Laptop();
        foreach (var view in (await ViewsAsync()).Append(new Uri(site.Site.Address, "/household")).Where(v => !v.ToString().EndsWith("/lookBack", StringComparison.Ordinal)))
        {
            var name = view.Segments[^1].Trim('/') is { Length: > 0 } step ? step : "yard";
            browser.Open(view);
            await Task.Delay(900, TestContext.Current.CancellationToken); // drawings and the chart come to rest
            var file = Path.Combine(Pictures, $"{name}.png");
            browser.Screenshot(file);
            new FileInfo(file).Length.ShouldBeGreaterThan(10_000, name);
        }

        foreach (var (job, step, look, name) in new[] { ("Breakfast terrace", "day", "When to start", "day-starts") })
        {
            browser.Open((await ViewsAsync(job)).Single(v => v.ToString().EndsWith($"/{step}", StringComparison.Ordinal)));
            browser.Find(By.XPath($"//label[normalize-space()='{look}']")).Click();
            await Task.Delay(1200, TestContext.Current.CancellationToken);
            browser.Screenshot(Path.Combine(Pictures, $"{name}.png"));
        }

        foreach (var (path, look, name) in new[] { ("lookBack", "How it is", "look-back") })
        {
            browser.Open((await ViewsAsync("Bin stand")).Single(v => v.ToString().EndsWith($"/{path}", StringComparison.Ordinal)));
            browser.Find(By.CssSelector("[data-testid=day-look]"));
            browser.Find(By.XPath($"//label[normalize-space()='{look}']")).Click();
            await Task.Delay(2000, TestContext.Current.CancellationToken);
            browser.Screenshot(Path.Combine(Pictures, $"{name}.png"));
        }

        browser.Open(new Uri(site.Site.Address, "/season"));
        browser.Find(By.CssSelector("[data-testid=effects]"));
        await Task.Delay(1500, TestContext.Current.CancellationToken);
        browser.Screenshot(Path.Combine(Pictures, "season.png"));

        browser.Open((await ViewsAsync("Breakfast terrace")).Single(v => v.ToString().EndsWith("/compare", StringComparison.Ordinal)));
        browser.Type("Thickness", "125 mm");
        browser.Says("125 mm costs");
        browser.Screenshot(Path.Combine(Pictures, "compare.png"));

        var board = new Uri((await ViewsAsync("Workshop floor"))[1], "pour");
        foreach (var (phone, name) in new[] { (true, "pour-phone"), (false, "pour") })
        {
            browser.Size(phone);
            browser.Driver.ExecuteScript("localStorage.setItem('setfirm-board', JSON.stringify({ sound: false, vibrate: false, voice: false, night: false }))");
            browser.Open(board);
            browser.Find(By.CssSelector("[data-testid=board-time]"));
            browser.Until(() => browser.Find(By.CssSelector("p[role=status]")).Text.EndsWith("alone", StringComparison.Ordinal));
            await Task.Delay(1200, TestContext.Current.CancellationToken);
            browser.Screenshot(Path.Combine(Pictures, $"{name}.png"));
        }

        browser.Phone();
        browser.Driver.ExecuteScript("localStorage.removeItem('setfirm-board')");
        browser.Open(new Uri(board, "rehearse?seed=3"));
        browser.Press("Begin the day");
        browser.Press("Mix the rest as planned");
        browser.Press("Zones");
        browser.Find(By.CssSelector("[data-zone='1']")).Click();
        browser.Press("120×");
        browser.Press("Run the clock");
        browser.Until(() => browser.Find(By.CssSelector("[data-testid=seen]")).Text.Contains("You see:", StringComparison.Ordinal), seconds: 120);
        var begin = browser.Find(By.XPath("//*[@data-testid='seen']//button[contains(., 'Begun')]"), seconds: 120);
        browser.Press("Pause the clock");
        begin.Click(); // the first float, far too soon
        browser.Press("News");
        browser.Find(By.CssSelector("[data-testid=review] li"));
        await Task.Delay(1500, TestContext.Current.CancellationToken);
        browser.Screenshot(Path.Combine(Pictures, "rehearsal.png"));
        browser.Laptop();
    }

    private async Task<Uri[]> ViewsAsync(string name = "Breakfast terrace")
    {
        var jobs = (await (await site.Site.Get("/api/jobs")).Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!.AsArray();
        var id = jobs.Single(j => j!["name"]!.GetValue<string>() == name)!["id"]!.GetValue<string>();
        return [site.Site.Address, .. Steps.Select(step => new Uri(site.Site.Address, $"/jobs/{id}/{step}"))];
    }

    /// <summary>A site with the demo yard laid out.</summary>
    public sealed class DemoSite : IDisposable
    {
        private readonly string file = Site.NewFile();

        public DemoSite() => Site = new Site(file, ("SetFirm:Demo", "true"));

        public Site Site { get; }

        public void Dispose()
        {
            Site.Dispose();
            Site.Remove(file);
        }
    }
}
