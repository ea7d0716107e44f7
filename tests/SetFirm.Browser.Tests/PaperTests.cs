using System.Text.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using SetFirm.Core.Tasks;
using SetFirm.Tests.Sites;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;

namespace SetFirm.Browser.Tests;

/// <summary>The sheets, printed as a person would and read back: nothing cut, no empty page, full size where it says so.</summary>
public sealed class PaperTests
{
    private const double PointsPerMm = 72 / 25.4;
    private const double MarginMm = 12;

    /// <summary>Letters may reach so far into the margin, mm: a serif, a rounded coordinate.</summary>
    private const double SlackMm = 0.6;

    private static readonly (string Name, double WideMm, double HighMm)[] Sizes = [("A4", 210, 297), ("Letter", 215.9, 279.4)];

    /// <summary>Between them they have every sheet and every drawing; SETFIRM_PAPERS=all prints the rest too.</summary>
    private static readonly WorkKind[] Chosen =
        [WorkKind.Slab, WorkKind.CurbOnGround, WorkKind.CounterFaceDown, WorkKind.Stone, WorkKind.CounterInPlace, WorkKind.FootingInGround, WorkKind.TwoCourse, WorkKind.Ribbon];

    private static string Folder => Path.GetFullPath(Path.Combine(AppContext.BaseDirectory, "../../../../docs/examples"));

    [Fact]
    public async Task Sheets_print_whole_on_both_papers()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var kinds = Environment.GetEnvironmentVariable("SETFIRM_PAPERS") == "all" ? Enum.GetValues<WorkKind>() : Chosen;
        for (var i = 0; i < kinds.Length; i++)
        {
            var name = JsonNamingPolicy.KebabCaseLower.ConvertName(kinds[i].ToString());
            var (id, document) = await site.AddedAsync(JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(Folder, $"{name}.setfirm.json"), TestContext.Current.CancellationToken))!);
            browser.Open(new Uri(site.Address, $"/jobs/{id}/paper"));
            browser.Until(() => browser.Driver.FindElements(By.CssSelector("[data-sheet=tasks] li")).Count > 10 && browser.Driver.FindElements(By.CssSelector("[data-sheet=site], [data-sheet=cuts]")).Count > 0);
            foreach (var box in browser.Driver.FindElements(By.CssSelector("fieldset input:not(:checked)")))
            {
                box.Click();
            }

            // Kinds take turns on the papers; the first is printed on both.
            foreach (var size in Sizes.Where((_, s) => i == 0 || s == i % 2))
            {
                browser.Find(By.XPath($"//label[normalize-space()='{size.Name}']")).Click();
                browser.Until(() => browser.Driver.ExecuteScript("return document.querySelector('section > style').textContent") is string style && style.Contains(size.Name, StringComparison.Ordinal));
                using var paper = Printed(browser, $"{name}-{size.Name}");
                Check(paper, size, document["name"]!.GetValue<string>(), browser, name);
            }
        }

        _ = browser.Complaints;
    }

    private static PdfDocument Printed(Browser browser, string name)
    {
        browser.Driver.ExecuteScript("document.fonts.ready.then(() => { window.drawn = true; })");
        browser.Until(() => browser.Driver.ExecuteScript("return window.drawn === true && document.querySelectorAll('[data-sheet] [aria-busy=true]').length === 0") is true);
        var answer = (Dictionary<string, object?>)browser.Driver.ExecuteCdpCommand("Page.printToPDF", new Dictionary<string, object?> { ["preferCSSPageSize"] = true, ["printBackground"] = true })!;
        var bytes = Convert.FromBase64String((string)answer["data"]!);
        var folder = Directory.CreateDirectory(Path.Combine(AppContext.BaseDirectory, "papers")).FullName;
        File.WriteAllBytes(Path.Combine(folder, $"{name}.pdf"), bytes);
        return PdfDocument.Open(bytes);
    }

    private static void Check(PdfDocument paper, (string Name, double WideMm, double HighMm) size, string job, Browser browser, string kind)
    {
        var pages = paper.GetPages().ToArray();
        var sheets = browser.Driver.FindElements(By.CssSelector("[data-sheet]"));
        pages.Length.ShouldBeInRange(sheets.Count, sheets.Count * 3, kind);
        foreach (var page in pages)
        {
            var at = $"{kind}, page {page.Number} on {size.Name}";
            (page.Width / PointsPerMm).ShouldBe(size.WideMm, 0.6, at);
            (page.Height / PointsPerMm).ShouldBe(size.HighMm, 0.6, at);
            page.Letters.Count(l => !string.IsNullOrWhiteSpace(l.Value)).ShouldBeGreaterThan(20, $"{at} is empty");
            foreach (var letter in page.Letters.Where(l => !string.IsNullOrWhiteSpace(l.Value)))
            {
                var box = letter.BoundingBox;
                (box.Left / PointsPerMm).ShouldBeGreaterThan(MarginMm - SlackMm, $"{at}: {letter.Value} of {Line(page, letter)}");
                (box.Right / PointsPerMm).ShouldBeLessThan(size.WideMm - MarginMm + SlackMm, $"{at}: {letter.Value} of {Line(page, letter)}");
                (box.Bottom / PointsPerMm).ShouldBeGreaterThan(MarginMm - SlackMm, $"{at}: {letter.Value} of {Line(page, letter)}");
                (box.Top / PointsPerMm).ShouldBeLessThan(size.HighMm - MarginMm + SlackMm, $"{at}: {letter.Value} of {Line(page, letter)}");
            }
        }

        // Each sheet begins a page, and every word of it is on paper.
        var text = string.Concat(pages.SelectMany(p => p.Letters).Select(l => l.Value).Where(l => !string.IsNullOrWhiteSpace(l)));
        var said = (IEnumerable<object>)browser.Driver.ExecuteScript(
            "return [...document.querySelectorAll('[data-sheet]')].map(s => [...s.querySelectorAll('h2, h3, dt, dd, th, li > b, p')].flatMap(e => e.innerText.split('\\n')).filter(t => t.trim() !== ''))")!;
        foreach (var lines in said.Cast<IEnumerable<object>>().Select(s => s.Cast<string>().ToArray()))
        {
            lines[0].ShouldStartWith(job);
            pages.Count(p => Squeezed(p).Contains(Squeezed(lines[0]), StringComparison.Ordinal)).ShouldBeGreaterThan(0, $"{kind}: {lines[0]}");
            foreach (var line in lines)
            {
                text.ShouldContain(Squeezed(line), Case.Sensitive, $"{kind}: {lines[0]}");
            }
        }

        CheckFullSize(pages, browser, kind);
    }

    private static string Squeezed(string text) => string.Concat(text.Where(c => !char.IsWhiteSpace(c)));

    private static string Squeezed(Page page) => Squeezed(string.Concat(page.Letters.Select(l => l.Value)));

    private static string Line(Page page, Letter letter) => string.Concat(page.Letters.Where(l => Math.Abs(l.BoundingBox.Bottom - letter.BoundingBox.Bottom) < 2).Select(l => l.Value));

    // The line to be measured is as long as it says, and so the outline is as large as the piece.
    private static void CheckFullSize(Page[] pages, Browser browser, string kind)
    {
        var tiles = browser.Driver.FindElements(By.CssSelector("[data-testid=tile]")).Count;
        // A profile, and a piece that fits on a dozen pages, are drawn; a bar top is not.
        if (kind is "curb-on-ground" or "stone")
        {
            tiles.ShouldBeGreaterThan(0, kind);
        }

        if (tiles == 0)
        {
            return;
        }

        var us = browser.Driver.FindElements(By.XPath("//*[@data-testid='tile']//*[contains(., '4″')]")).Count > 0;
        var wanted = us ? 4 * 25.4 : 100;
        var measured = pages.Count(p => p.Paths.Any(path => path.GetBoundingRectangle() is { } box && Math.Abs((box.Width / PointsPerMm) - wanted) < 0.6 && Math.Abs((box.Height / PointsPerMm) - 4) < 0.8));
        measured.ShouldBe(tiles, $"{kind}: a control line of {wanted} mm on each tile");
    }
}
