using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>Shapes that are not rectangles: taped, bowed, read from a file; joints moved, elements added, a list ticked.</summary>
public sealed class ShapingTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    [Fact]
    public async Task Corners_are_taped_from_two_nails_and_a_wrong_tape_is_named()
    {
        await OpenAsync("Taped");
        browser.Choose("Measured", "Two tapes to each corner");
        browser.Type("Nail A to nail B", "4 m");
        foreach (var (corner, a, b) in new[] { (1, "1 m", "4.123 m"), (2, "4.123 m", "1 m"), (3, "5 m", "3 m"), (4, "3 m", "5 m") })
        {
            browser.Press("Add a corner");
            browser.Type($"Corner {corner} from A", a);
            browser.Type($"Corner {corner} from B", b);
        }

        browser.Says("8 m² at 100 mm");
        browser.Type("Check: corner 2 to the one before", "4.05 m");
        browser.Find(By.XPath("//li[@data-code='checkTapeMisfit'][contains(., '50 mm apart')]"));
        browser.Type("Corner 3 from A", "1 m");
        browser.Type("Corner 3 from B", "2 m");
        browser.Find(By.XPath("//*[contains(@class, 'error')][contains(., 'they cannot meet')]"));
        browser.Find(By.CssSelector("[data-testid=plan]")); // what stood stays drawn
    }

    [Fact]
    public async Task A_joint_is_dragged_moved_by_keys_and_taken_back()
    {
        await OpenAsync("Joints");
        browser.Type("Along", "7.2 m");
        browser.Type("Across", "3 m");
        browser.Find(By.CssSelector("[aria-label^='Joint 1 at 2.40 m']"));
        browser.Figure("Panels").ShouldStartWith("3");
        new Actions(browser.Driver).ClickAndHold(browser.Find(By.CssSelector("[aria-label^='Joint 1 at']"))).MoveByOffset(-40, 0).Release().Perform();
        browser.Find(By.XPath("//li[@data-code='panelTooLong' or @data-code='panelTooSlender']"));
        browser.Field("Place of joint 1").GetAttribute("value").ShouldStartWith("1.");
        browser.Find(By.CssSelector("[aria-label^='Joint 1 at']")).SendKeys(Keys.Shift + Keys.ArrowRight);
        browser.Type("Place of joint 1", "2.4 m");
        browser.Until(() => browser.Driver.FindElements(By.XPath("//li[@data-code='panelTooLong']")).Count == 0);
        browser.Press("Propose them again");
        browser.Until(() => browser.Driver.FindElements(By.XPath("//input[@aria-label='Place of joint 1']")).Count == 0);
        browser.Press("Undo");
        browser.Field("Place of joint 1").GetAttribute("value").ShouldBe("2.4 m");
    }

    [Fact]
    public async Task Elements_of_other_kinds_are_added_copied_and_taken_back()
    {
        await OpenAsync("Several");
        foreach (var kind in new[] { "Kerb", "Counter, in place", "Footings, piers", "Stepping stones", "Ribbon pavers", "Border", "Pebbles in a bed", "Skim or overlay", "Slab in two courses" })
        {
            browser.Choose("Add", kind);
            browser.Until(() => browser.Field("Element").FindElement(By.CssSelector("option:checked")).Text == kind);
            browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=section]")).Count == 1);
        }

        browser.Says("10 elements");
        browser.Press("Copy");
        browser.Says("11 elements");
        browser.Press("Undo");
        browser.Says("10 elements");
        browser.Driver.FindElements(By.CssSelector("[data-severity=error]")).ShouldBeEmpty();
        browser.AxeFaults().ShouldBeEmpty();
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task An_edge_is_bowed_and_its_form_is_bent()
    {
        await OpenAsync("Bowed");
        browser.Choose("Measured", "Walking round it");
        browser.Press("Edge 3 bows out");
        browser.Type("Edge 3 bows out", "300 mm");
        browser.Says("2.53 m² at 100 mm"); // 1.8 x 1.2 m and a segment of 1.8 m by 300 mm
        browser.Step("Build");
        browser.Says("of bent strip");
    }

    [Fact]
    public async Task An_outline_is_read_from_a_drawing_that_is_asked_for_its_unit()
    {
        await OpenAsync("Drawing");
        var file = Path.Combine(Path.GetTempPath(), Guid.NewGuid().ToString("N", CultureInfo.InvariantCulture) + ".dxf");
        await File.WriteAllTextAsync(
            file,
            "0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n10\n4\n20\n3\n10\n0\n20\n3\n0\nENDSEC\n0\nEOF\n",
            TestContext.Current.CancellationToken);
        try
        {
            browser.Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
            browser.Find(By.XPath("//*[@role='alert'][contains(., 'does not say what its numbers measure')]"));
            browser.Choose("Its numbers are", "metres");
            browser.Says("12 m² at 100 mm");
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public async Task What_was_looked_over_before_the_pour_is_kept()
    {
        await OpenAsync("Looked over", "build");
        browser.Find(By.XPath("//label[starts-with(normalize-space(), 'Stakes cut flush')]")).Click();
        browser.Find(By.XPath("//*[@role='status'][starts-with(., '1 of ')]"));
        browser.Saved();
        browser.Reload();
        browser.Find(By.XPath("//*[@role='status'][starts-with(., '1 of ')]"));
        browser.Find(By.XPath("//label[normalize-space()='Cut list']")).Click();
        browser.Find(By.XPath("//h3[contains(., 'the total alone asks for')]"));
        browser.Choose("Against cracks", "Nothing");
        browser.Find(By.XPath("//li[@data-code='steelDoesNotFit']//button[contains(., 'Mesh') or contains(., 'mesh')]")).Click();
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("li[data-code=steelDoesNotFit]")).Count == 0);
    }

    private async Task OpenAsync(string name, string step = "shape")
    {
        var (id, _) = await site.AddedAsync(name);
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
        browser.Sentence.ShouldNotBeEmpty();
    }
}
