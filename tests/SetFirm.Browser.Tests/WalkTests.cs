using System.Globalization;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A person plans one pour from tape to cure, with the mouse, by the keyboard, on a laptop and on a phone.</summary>
public sealed class WalkTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    [Fact]
    public void An_L_shaped_slab_is_planned_end_to_end_and_is_there_after_a_reload()
    {
        browser.Laptop();
        NewJob("Corner by the kitchen");
        browser.Step("Load"); // hands and mixer go from one job to the next; these are of this job
        browser.Choose("Mixed in", "Drum mixer");
        browser.Type("Hands", "3");
        browser.Step("Shape");
        DrawTheL();

        // 4.80 x 3.81 less the notch of 2.80 x 1.60, by 125 mm, with 8 % for the ground
        var net = ((4.80 * 3.81) - (2.80 * 1.60)) * 0.125;
        browser.Says($"{M3(net)} m³ as drawn");
        browser.Says($"Have {M3(net * 1.08)} m³ ready");
        browser.Figure("Area").ShouldBe("13.8 m²");
        browser.Field("Edge 5 meets").GetAttribute("value").ShouldBe("wall");
        browser.Button("Edge 5: 2.80 m house wall, press to change");

        browser.Step("Build");
        browser.Says("boards of 47 × 150 on");
        browser.Find(By.XPath("//label[contains(., 'Isolation strip at walls')]"));

        browser.Step("Mix");
        var bags = (int)Math.Ceiling(((net * 1080) + 1.5) / 11.7);
        browser.Says($"{bags} bags of general concrete mix, 25 kg");
        browser.Find(By.XPath("//label[normalize-space()='Parts by volume']")).Click();
        browser.Says("buckets of");
        browser.Figure("Strength").ShouldEndWith("MPa");

        browser.Step("Load");
        browser.Type("Drum volume", "5 cu ft");
        browser.Says("batches of");
        var load = browser.Driver.FindElements(By.CssSelector("[data-testid=load-strip] button"));
        browser.Figure("Batches").ShouldBe(load.Count.ToString(CultureInfo.InvariantCulture));

        browser.Step("Day");
        browser.Find(By.XPath("//button[@aria-pressed][contains(., '7 May')][not(contains(., '17 May'))]")).Click();
        browser.Says("Fri 7 May: first water at 07:00");
        browser.Find(By.XPath("//label[normalize-space()='Passes']")).Click();
        foreach (var pass in new[] { "Strike off", "Bull float", "Edge and first float", "Second float", "Broom" })
        {
            var row = browser.Find(By.XPath($"//tr[th[contains(., '{pass}')]]"));
            var times = row.FindElements(By.TagName("td")).Select(td => td.Text).Take(2).ToArray();
            string.CompareOrdinal(times[0], times[1]).ShouldBeLessThan(0, pass);
        }

        browser.Step("Cure");
        browser.Says("Keep it wet for 7 days, until Fri 14 May");
        browser.Says("Strip the boards from Sat 8 May");
        browser.Find(By.XPath("//label[normalize-space()='From when']")).Click();
        browser.Find(By.XPath("//tr[contains(., 'Cars')]")).Text.ShouldContain("May");
        browser.Saved();

        browser.Reload();
        browser.Says("Keep it wet for 7 days, until Fri 14 May");
        browser.Step("Shape");
        browser.Field("Length of edge 1").GetAttribute("value").ShouldBe("4.8 m");
        browser.Field("Length of edge 2").GetAttribute("value").ShouldBe("12' 6\"");
        browser.Step("Load");
        browser.Field("Drum volume").GetAttribute("value").ShouldBe("5 cu ft");
        browser.Open(site.Address);
        // Its line is made in the background.
        browser.Until(() => browser.Find(By.XPath("//li[@data-testid='job'][contains(., 'Corner by the kitchen')]")).Text.Contains("Fri 7 May", StringComparison.Ordinal));
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public void Everything_moves_as_one_types()
    {
        browser.Laptop();
        NewJob("Moving");
        browser.Says("Have 0.23 m³ ready"); // 1.8 x 1.2 m at 100 mm
        browser.Type("Thickness", "5\"");
        browser.Says("Have 0.30 m³ ready");
        browser.Find(By.CssSelector("[data-testid='echo/elements/0/thickness']")).Text.ShouldBe("= 127 mm");
        browser.Type("Thickness", "");
        browser.Until(() => browser.Driver.FindElements(By.XPath("//*[contains(., 'A size is wanted here.')]")).Count > 0);
        browser.Says("Have 0.30 m³ ready"); // what stood before stays while a field is empty
        browser.Type("Thickness", "100");
        browser.Says("Have 0.23 m³ ready");
        browser.Step("Load");
        browser.Field("Hands").SendKeys(Keys.Backspace); // cleared first, as on a phone
        browser.Field("Hands").SendKeys("1");
        browser.Says("one every 10 min");
        browser.Driver.Title.ShouldBe("Moving: Load – Set Firm");
    }

    [Fact]
    public void The_whole_slice_can_be_walked_by_keyboard()
    {
        browser.Laptop();
        browser.Open(site.Address);
        browser.Keyboard(Keys.Tab);
        browser.Driver.SwitchTo().ActiveElement().Text.ShouldBe("Skip to the plan");
        TabTo("What you call it");
        browser.Keyboard("By hand", Keys.Enter);
        browser.Until(() => browser.Driver.Url.EndsWith("/shape", StringComparison.Ordinal));
        browser.Settled();

        TabTo("Edge 1: 1.80 m form board, press to change");
        browser.Keyboard(Keys.Enter);
        browser.Button("Edge 1: 1.80 m house wall, press to change");
        TabTo("Along");
        browser.Chord(Keys.Control, "a");
        browser.Keyboard("2.5 m");
        browser.Says("3 m² at 100 mm");

        browser.Chord(Keys.Control, "z");
        browser.Chord(Keys.Control, "z");
        browser.Says("2.16 m² at 100 mm");
        browser.Chord(Keys.Control + Keys.Shift, "z");
        browser.Chord(Keys.Control + Keys.Shift, "z");
        browser.Says("3 m² at 100 mm");

        Blur();
        browser.Keyboard("u");
        browser.Says("32.3 ft² at 3 15/16″");
        browser.Keyboard("?");
        browser.Find(By.XPath("//*[@role='dialog'][contains(., 'metric or US customary')]"));
        browser.Keyboard(Keys.Escape);
        browser.Until(() => browser.Driver.FindElements(By.XPath("//*[@role='dialog']")).Count == 0);

        foreach (var (key, step) in new[] { ("2", "build"), ("3", "mix"), ("4", "load"), ("5", "buy"), ("6", "day"), ("8", "cure"), ("1", "shape") })
        {
            Blur();
            browser.Keyboard(key);
            browser.Until(() => browser.Driver.Url.EndsWith(step, StringComparison.Ordinal));
            browser.Settled();
            browser.Sentence.ShouldNotBeEmpty();
        }

        TabTo("Why? To have ready");
        browser.Keyboard(Keys.Enter);
        browser.Find(By.XPath("//*[@role='dialog'][contains(., 'as drawn × (1 + waste)')][contains(., 'Source')]"));
        browser.Keyboard(Keys.Escape);
        browser.Until(() => browser.Driver.SwitchTo().ActiveElement().GetAttribute("aria-label") == "Why? To have ready");
        browser.Saved();
        Blur();
        browser.Keyboard("y");
        browser.Find(By.XPath("//li[contains(., 'By hand')]"));
    }

    [Fact]
    public void On_a_phone_the_slice_stacks_and_nothing_runs_off_the_side()
    {
        browser.Phone();
        NewJob("Bin corner");
        browser.Type("Along", "12' 6\"");
        browser.Says("4.57 m² at 100 mm");
        foreach (var step in new[] { "Shape", "Build", "Mix", "Load", "Day", "Cure" })
        {
            browser.Step(step);
            browser.Sentence.ShouldNotBeEmpty();
            browser.Overflow().Across.ShouldBeLessThanOrEqualTo(0, step);
        }

        browser.Says("Keep it wet");
        browser.Saved();
        browser.Reload();
        browser.Step("Shape");
        browser.Field("Along").GetAttribute("value").ShouldBe("12' 6\"");
        browser.Laptop();
    }

    private void NewJob(string name)
    {
        browser.Open(site.Address);
        browser.Type("What you call it", name);
        browser.Press("Start");
        browser.Until(() => browser.Driver.Url.EndsWith("/shape", StringComparison.Ordinal));
        browser.Settled();
    }

    // Lengths as three people would say them, the last two worked out.
    private void DrawTheL()
    {
        browser.Choose("Shape", "L-shape");
        browser.Button("Edge 4: 0.50 m form board, press to change"); // drawn before it is walked round
        browser.Choose("Measured", "Walking round it");
        browser.Type("Length of edge 5", "");
        browser.Type("Length of edge 6", "");
        browser.Type("Length of edge 1", "4.8 m");
        browser.Type("Length of edge 2", "12' 6\"");
        browser.Type("Length of edge 3", "2000");
        browser.Type("Length of edge 4", "160 cm");
        browser.Choose("Edge 4 meets", "house wall");
        browser.Choose("Edge 5 meets", "house wall");
        browser.Type("Thickness", "125 mm");
    }

    private void TabTo(string label)
    {
        for (var i = 0; i < 80; i++)
        {
            var at = browser.Driver.SwitchTo().ActiveElement();
            var id = at.GetAttribute("id");
            if (at.GetAttribute("aria-label") == label
                || (!string.IsNullOrEmpty(id) && browser.Driver.FindElements(By.XPath($"//label[@for='{id}'][normalize-space()='{label}']")).Count > 0))
            {
                return;
            }

            browser.Keyboard(Keys.Tab);
        }

        Assert.Fail($"the keyboard does not reach “{label}”");
    }

    private void Blur() => browser.Driver.ExecuteScript("document.activeElement?.blur()");

    private static string M3(double cubicMetres) => cubicMetres.ToString("0.00", CultureInfo.InvariantCulture);
}
