using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>Nothing is lost: bad input, a remedy taken back, a change made elsewhere, a program that dies.</summary>
public sealed class KeptTests(Site site, Browser browser) : IClassFixture<Site>, IClassFixture<Browser>
{
    [Fact]
    public async Task Bad_input_is_named_at_its_field_and_what_stood_stays_drawn()
    {
        await OpenAsync("Crossing", "shape");
        foreach (var (text, says) in new[]
        {
            ("-3 m", "A size is above zero."),
            ("9999 m", "is outside what makes sense here"),
            ("1,200", "Is that comma a decimal mark or a thousand?"),
            ("a few paces", "That could not be read."),
        })
        {
            browser.Type("Along", text);
            browser.Until(() => browser.Field("Along").GetAttribute("aria-invalid") == "true");
            browser.Find(By.XPath($"//*[contains(@class, 'error')][contains(., '{says}')]"));
            browser.Find(By.CssSelector("[data-testid=plan]"));
        }

        browser.Find(By.XPath("//nav//a[contains(., 'Shape')][contains(., 'something is missing')]"));
        browser.Saved(); // even what makes no sense is kept
        browser.Reload();
        browser.Field("Along").GetAttribute("value").ShouldBe("a few paces");
        browser.Type("Along", "2 m");
        browser.Says("2.4 m² at 100 mm");
        browser.Choose("Measured", "Walking round it");
        browser.Type("Length of edge 3", "2.2 m");
        browser.Find(By.XPath("//li[@data-code='outlineGap'][contains(., '200 mm')]"));
        browser.Press("Hold what was taped: work out the last two edges");
        browser.Says("2.4 m² at 100 mm");
    }

    [Fact]
    public async Task A_remedy_is_one_tap_and_undo_takes_it_back()
    {
        await OpenAsync("Wet bag", "mix");
        browser.Type("Water to a bag", "3.1 L");
        browser.Find(By.CssSelector("[data-code=waterOverBagLimit]"));
        browser.Find(By.XPath("//li[@data-code='waterOverBagLimit']//button")).Click();
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-code=waterOverBagLimit]")).Count == 0);
        browser.Field("Water to a bag").GetAttribute("value").ShouldBeEmpty();
        browser.Press("Undo");
        browser.Find(By.CssSelector("[data-code=waterOverBagLimit]"));
        browser.Field("Water to a bag").GetAttribute("value").ShouldBe("3.1 L");
    }

    [Fact]
    public async Task Swapping_units_and_back_leaves_every_size_as_it_was()
    {
        await OpenAsync("Swapped", "shape");
        browser.Type("Thickness", "100"); // bare: gets its unit before the system changes
        browser.Says("2.16 m² at 100 mm");
        browser.Press("Metric: show in US units");
        browser.Says("at 3 15/16″");
        browser.Field("Thickness").GetAttribute("value").ShouldBe("100 mm");
        browser.Press("US units: show in metric");
        browser.Says("2.16 m² at 100 mm");
    }

    [Fact]
    public async Task A_change_made_elsewhere_is_never_overwritten_unasked()
    {
        var id = await OpenAsync("Shared", "shape");
        await ChangeAsync(id, d => d["elements"]![0]!["thickness"] = "150 mm");
        browser.Type("Name: slab", "Mine");
        browser.Find(By.XPath("//*[@role='alert'][contains(., 'changed elsewhere')]"));
        browser.Press("Take theirs");
        browser.Says("at 150 mm");
        browser.Field("Name: slab").GetAttribute("value").ShouldBe("Slab");

        await ChangeAsync(id, d => d["elements"]![0]!["thickness"] = "160 mm");
        browser.Type("Name: slab", "Mine again");
        browser.Press("Keep mine");
        browser.Saved();
        var kept = (await DocumentAsync(id))["elements"]![0]!;
        kept["name"]!.GetValue<string>().ShouldBe("Mine again");
        kept["thickness"]!.GetValue<string>().ShouldBe("150 mm");
    }

    [Fact]
    public async Task A_program_that_dies_loses_nothing_that_was_typed()
    {
        var file = Site.NewFile();
        try
        {
            int port;
            string id;
            using (var first = new Site(file))
            {
                port = first.Address.Port;
                (id, _) = await first.AddedAsync("Storm");
                browser.Laptop();
                browser.Open(new Uri(first.Address, $"/jobs/{id}/shape"));
                browser.Says("2.16 m²");
            }

            browser.Type("Thickness", "140 mm");
            browser.Until(() => browser.Find(By.CssSelector("[data-testid=save]")).Text.Contains("Kept on this device", StringComparison.Ordinal));
            browser.Find(By.XPath("//*[@role='alert'][contains(., 'does not answer')]"));

            using var second = new Site(file, port);
            second.StartServer();
            browser.Saved();
            browser.Until(() => browser.Driver.FindElements(By.XPath("//*[@role='alert']")).Count == 0);
            browser.Says("at 140 mm");
            browser.Reload();
            browser.Says("at 140 mm");
            (await (await second.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!
                ["document"]!["elements"]![0]!["thickness"]!.GetValue<string>().ShouldBe("140 mm");
            browser.Open(second.Address);
            _ = browser.Complaints; // the browser itself notes that nobody answered
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task A_job_removed_by_mistake_is_brought_back()
    {
        await OpenAsync("Mistake", "shape");
        browser.Open(site.Address);
        browser.Press("Remove: Mistake");
        browser.Until(() => browser.Driver.FindElements(By.XPath("//li[@data-testid='job'][contains(., 'Mistake')]")).Count == 0);
        browser.Press("Bring it back");
        browser.Find(By.XPath("//li[@data-testid='job'][contains(., 'Mistake')]"));
    }

    [Fact]
    public async Task A_job_file_is_opened_and_one_that_cannot_be_says_why()
    {
        browser.Laptop();
        browser.Open(site.Address);
        var folder = Directory.CreateTempSubdirectory("setfirm-files-").FullName;
        var job = await site.StartingJobAsync("From a file");
        var sound = Path.Combine(folder, "sound.setfirm.json");
        await File.WriteAllTextAsync(sound, job.ToJsonString(), TestContext.Current.CancellationToken);
        job["version"] = 9;
        var newer = Path.Combine(folder, "newer.setfirm.json");
        await File.WriteAllTextAsync(newer, job.ToJsonString(), TestContext.Current.CancellationToken);
        var broken = Path.Combine(folder, "broken.json");
        await File.WriteAllTextAsync(broken, job.ToJsonString()[..60], TestContext.Current.CancellationToken);

        var picker = browser.Driver.FindElement(By.CssSelector("input[type=file]"));
        picker.SendKeys(broken);
        browser.Find(By.XPath("//*[contains(@class, 'error')][contains(., 'That file is not a job.')]"));
        picker.SendKeys(newer);
        browser.Find(By.XPath("//*[contains(@class, 'error')][contains(., 'It has version 9')]"));
        _ = browser.Complaints; // the browser notes the refusal
        picker.SendKeys(sound);
        browser.Until(() => browser.Driver.Url.EndsWith("/shape", StringComparison.Ordinal));
        browser.Says("2.16 m² at 100 mm");
        browser.Field("Name of the job").GetAttribute("value").ShouldBe("From a file");
        Directory.Delete(folder, recursive: true);
    }

    private async Task<string> OpenAsync(string name, string step)
    {
        var (id, _) = await site.AddedAsync(name);
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/{step}"));
        browser.Find(By.CssSelector("[data-testid=sentence]"));
        return id;
    }

    private async Task<JsonNode> DocumentAsync(string id) =>
        (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!["document"]!;

    private async Task ChangeAsync(string id, Action<JsonNode> change)
    {
        var job = (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!;
        change(job["document"]!);
        (await site.Send(HttpMethod.Put, $"/api/jobs/{id}", job["document"]!.ToJsonString(), $"\"{job["version"]}\"")).IsSuccessStatusCode.ShouldBeTrue();
    }
}
