using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>A file that is let go on the window finds its door by what it is, wherever one is just then.</summary>
public sealed class DroppedFilesTests : IDisposable
{
    private const string Corners = "x_m;y_m\n0;0\n3;0\n3;2\n0;2\n";
    private const string Probe = "time,slab_c\n2027-05-04 10:00,18.5\n2027-05-04 11:00,19.5\n2027-05-04 12:00,20.5\n";

    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly Site site = new();
    private readonly Browser browser = new();

    public void Dispose()
    {
        browser.Dispose();
        site.Dispose();
    }

    [Fact]
    public async Task Each_file_finds_its_door_and_what_is_none_says_so()
    {
        browser.Laptop();
        browser.Open(site.Address);
        browser.Settled();
        Drop("letter.txt", "Dear Ines,\nthe slab is fine.\n");
        Told("letter.txt is nothing that Set Firm reads");
        Drop("corners.csv", Corners);
        Told("That is an outline: open the job it is for");
        browser.AxeFaults().ShouldBeEmpty("a file that has no door");
        browser.Press("Leave it");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=dropped]")).Count == 0);

        // A job is opened beside the others, wherever it is let go.
        var document = await site.StartingJobAsync("From a friend");
        (document["day"]!["date"], document["day"]!["start"]) = ("2027-05-04", "09:00");
        Drop("anything.bin", document.ToJsonString());
        browser.Until(() => browser.Driver.Url.EndsWith("/shape", StringComparison.Ordinal));
        browser.Says("2.16 m²");
        var id = browser.Driver.Url.Split('/')[^2];

        // An outline goes to the element that is looked at; the step is changed for it.
        browser.Step("Build");
        Drop("corners.csv", Corners);
        browser.Until(() => browser.Sentence.StartsWith("6 m²", StringComparison.Ordinal)); // not the 2.16 m² of before
        browser.Driver.Url.ShouldEndWith("/shape");
        browser.Press("Undo");
        browser.Says("2.16 m²");

        Drop("week.csv", "time,temp_c,humidity_%,wind_kmh\n" + string.Concat(Enumerable.Range(0, 240).Select(h =>
            $"{new DateTime(2027, 5, 4, 0, 0, 0, DateTimeKind.Utc).AddHours(h):yyyy-MM-dd'T'HH:mm:ss'Z'},11,80,5\n")));
        browser.Find(By.XPath("//*[@data-testid='weather-file'][contains(., 'week.csv')]"));
        browser.Driver.Url.ShouldEndWith("/day");

        Drop("night.csv", Probe);
        browser.Find(By.XPath("//*[@data-testid='probe'][contains(., '3')]"));
        browser.Driver.Url.ShouldEndWith("/lookBack");
        browser.Complaints.ShouldBeEmpty();

        // A yard that has jobs takes no other in; the answer stands where a job is opened.
        var archive = await (await site.Get("/api/archive")).Content.ReadAsByteArrayAsync(token);
        Drop("yard.zip", archive);
        browser.Find(By.XPath("//*[contains(@class, 'mantine-InputWrapper-error')]"));
        browser.Driver.Url.ShouldNotContain("/jobs/");
        _ = browser.Complaints; // the refusal itself
        (await (await site.Get("/api/jobs")).Content.ReadFromJsonAsync<JsonArray>(token))!.Single()!["id"]!.GetValue<string>().ShouldBe(id);
    }

    [Fact]
    public async Task An_outline_waits_until_something_is_chosen_that_has_one()
    {
        var document = await site.StartingJobAsync("Kerb and pad");
        var slab = document["elements"]![0]!;
        var kinds = await (await site.Get("/api/kinds")).Content.ReadFromJsonAsync<JsonArray>(token);
        var kerb = kinds!.Single(k => k!["kind"]!.GetValue<string>() == "curb")!["element"]!.DeepClone();
        (kerb["id"], kerb["name"]) = ("kerb", "Kerb");
        document["elements"] = new JsonArray(kerb, slab.DeepClone());
        var (id, _) = await site.AddedAsync(document);
        browser.Laptop();
        browser.Open(new Uri(site.Address, $"/jobs/{id}/shape"));
        browser.Settled();
        Drop("corners.csv", Corners);
        Told("corners.csv is an outline. Choose what it is for");
        browser.Choose("Element", slab["name"]!.GetValue<string>());
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-testid=dropped]")).Count == 0);
        browser.Until(() => (KeptAsync(id).GetAwaiter().GetResult()["elements"]![1]!["outline"]!["points"] as JsonArray)?.Count == 4);
        browser.Complaints.ShouldBeEmpty();
    }

    private async Task<JsonNode> KeptAsync(string id) => (await (await site.Get($"/api/jobs/{id}")).Content.ReadFromJsonAsync<JsonNode>(token))!["document"]!;

    private void Told(string part) => browser.Find(By.XPath($"//*[@data-testid='dropped'][contains(., '{part}')]"));

    private void Drop(string name, string text) => Drop(name, Encoding.UTF8.GetBytes(text));

    // As a hand does: one after the other, on a page that stands.
    private void Drop(string name, byte[] bytes)
    {
        browser.Find(By.CssSelector("[data-takes-files=true]"));
        browser.Driver.ExecuteAsyncScript(
        """
        const bytes = Uint8Array.from(atob(arguments[1]), (c) => c.charCodeAt(0));
        const carried = new DataTransfer();
        carried.items.add(new File([bytes], arguments[0]));
        const done = arguments[2];
        const over = ['dragenter', 'dragover', 'drop'];
        const next = () => {
          const kind = over.shift();
          if (!kind) return done();
          document.getElementById('work').dispatchEvent(new DragEvent(kind, { bubbles: true, cancelable: true, dataTransfer: carried }));
          setTimeout(next, 50);
        };
        next();
        """,
        name, Convert.ToBase64String(bytes));
    }
}
