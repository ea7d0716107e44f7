using System.Globalization;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A person chooses how to get the concrete, measures it out, and makes the shopping list.</summary>
public sealed class SupplyWalkTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    [Fact]
    public async Task A_way_is_taken_measured_in_ones_own_containers_and_taken_back()
    {
        await OpenAsync("Ways", "mix");
        browser.Says("general concrete mix");
        browser.Press("Take 1 : 2 : 3");
        browser.Says("buckets of cement");
        browser.Figure("Water/cement").ShouldStartWith("0.");
        browser.Find(By.XPath("//table[@data-testid='ways']//tr[@data-taken='true'][contains(., '1 : 2 : 3')]"));

        View("One batch");
        browser.Find(By.CssSelector("[data-testid=batch-drawing][aria-label*='sand']"));
        browser.Choose("Measure sand with", "Shovel");
        browser.Type("It holds, for sand", "4 L");
        browser.Find(By.CssSelector("[data-testid=batch-drawing][aria-label*='shovels sand']"));
        browser.Type("It holds, for sand", "a few");
        browser.Find(By.XPath("//*[contains(@class, 'error')][contains(., 'could not be read')]"));
        browser.Type("It holds, for sand", "6.4 kg"); // weighed full: 4 L of dry sand
        browser.Until(() => browser.Driver.FindElements(By.XPath("//*[contains(@class, 'error')][contains(., 'could not be read')]")).Count == 0);

        View("How it should feel");
        browser.Find(By.XPath("//*[@data-testid='feel']//button[contains(., 'Stiff')]")).Click();
        browser.Until(() => browser.Field("Consistency").GetAttribute("value") == "stiff");
        var stiff = browser.Figure("Strength");
        browser.Press("Undo");
        browser.Until(() => browser.Field("Consistency").GetAttribute("value") == "plastic");
        browser.Figure("Strength").ShouldNotBe(stiff);
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task Too_much_water_offers_a_plasticiser_and_an_additive_says_what_forbids_it()
    {
        await OpenAsync("Additives", "mix");
        browser.Type("Water to a bag", "3.1 L");
        browser.Find(By.XPath("//li[@data-code='waterOverBagLimit']//button[contains(., 'Plasticiser')]")).Click();
        browser.Until(() => browser.Driver.FindElements(By.XPath("//li[@data-code='waterOverBagLimit']")).Count == 0);
        browser.Field("Plasticiser").GetAttribute("value").ShouldBe("1");
        browser.Type("Retarder", "2");
        browser.Find(By.XPath("//li[@data-code='tooMuchRetarder']//button[.='One dose']")).Click();
        browser.Until(() => browser.Field("Retarder").GetAttribute("value") == "1");
        browser.Figure("First set").ShouldStartWith("10");
    }

    [Fact]
    public async Task Batches_are_seen_on_the_plan_and_read_from_across_the_yard()
    {
        await OpenAsync("Loads", "load");
        browser.Type("Drum volume", "60 L");
        browser.Says("batches of");
        View("Where they lie");
        // Every batch lies somewhere, save what is kept back; one that crosses a joint has two parts.
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=fill-plan] [role=button]")).Count >= int.Parse(browser.Figure("Batches"), CultureInfo.InvariantCulture) - 1);
        browser.Find(By.CssSelector("[data-testid=fill-plan] [aria-label^='Batch 2']")).SendKeys(Keys.Enter);
        browser.Find(By.CssSelector("[data-testid=fill-plan] [aria-label^='Batch 2'][aria-pressed=true]"));
        View("Yard card");
        browser.Find(By.XPath("//*[@data-testid='yard-card'][.//h3[contains(., 'Batch 2')]][contains(., 'the bags')]"));
        browser.Type("Mixers", "3");
        browser.Find(By.XPath("//li[@data-code='mixersWithoutHands']"));
        browser.Type("Hands", "3");
        browser.Find(By.XPath("//*[contains(., 'Three mix, wheel and place')]"));
        browser.AxeFaults().ShouldBeEmpty("the yard card");
    }

    [Fact]
    public async Task The_list_takes_ones_own_prices_what_is_in_the_shed_and_things_besides()
    {
        await OpenAsync("Shopping", "buy");
        var before = Money(browser.Figure("All of it"));
        browser.Type("Stakes: price of one", "2.5");
        browser.Until(() => Money(browser.Figure("All of it")) > before);
        browser.Find(By.XPath("//tr[th='Stakes'][contains(., 'yours')]"));
        var dear = Money(browser.Figure("All of it"));
        browser.Type("General concrete mix, 25 kg: in the shed", "5");
        browser.Until(() => Money(browser.Figure("All of it")) < dear);
        browser.Press("Add a thing");
        browser.Type("Thing 1", "Spirit level");
        browser.Type("Price of thing 1", "20");
        browser.Find(By.XPath("//table[@data-testid='shopping']//tr[th='Spirit level']"));
        browser.Type("The car carries", "some");
        browser.Find(By.XPath("//*[contains(@class, 'error')][contains(., 'could not be read')]"));
        browser.Type("The car carries", "300 kg");
        View("Bags, loose or truck");
        browser.Find(By.CssSelector("[data-testid=supply-chart]"));
        browser.Find(By.XPath("//tr[th[starts-with(normalize-space(), 'Truck')]]"));
        browser.AxeFaults().ShouldBeEmpty("bags, loose or truck");
        browser.Saved();
        browser.Reload();
        browser.Field("Stakes: price of one").GetAttribute("value").ShouldBe("2.5");
        browser.Field("Thing 1").GetAttribute("value").ShouldBe("Spirit level");
        browser.Complaints.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_bag_of_ones_own_is_written_from_its_label_and_can_be_taken()
    {
        await OpenAsync("Own bag", "buy");
        browser.Press("Add a bag");
        browser.Type("Name", "Garden mix");
        browser.Type("Gives", "10 L");
        browser.Type("Strength, MPa", "32");
        browser.Step("Mix");
        browser.Press("Take Garden mix");
        browser.Says("bags of garden mix");
        browser.Figure("Strength").ShouldBe("32 MPa");
        browser.Step("Buy");
        browser.Find(By.XPath("//table[@data-testid='shopping']//th[.='Garden mix']"));
        browser.Type("Water from", "9 L");
        browser.Find(By.XPath("//*[contains(@class, 'error')]"));
    }

    private static double Money(string text) => double.Parse(
        new string([.. text.Where(c => char.IsAsciiDigit(c) || c == '.')]), CultureInfo.InvariantCulture);

    private void View(string name) => browser.Find(By.XPath($"//label[normalize-space()='{name}']")).Click();

    private async Task OpenAsync(string name, string step)
    {
        var (id, _) = await site.AddedAsync(name);
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
        browser.Sentence.ShouldNotBeEmpty();
    }
}
