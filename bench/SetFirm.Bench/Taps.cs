using System.Globalization;
using OpenQA.Selenium;

namespace SetFirm.Bench;

/// <summary>
/// From a tap on the board of one device to the line of it on another's, and to the windows that follow from it, in two headless Chromiums on the service as it ships.
/// Goals: 100 ms at the 95th percentile for the line, a second for the windows.
/// </summary>
internal static class Taps
{
    private const int Warmup = 10;
    private const int Measured = 60;
    private const int PauseMs = 900;

    /// <summary>What the service takes to warm up, with room.</summary>
    private const int WarmUpMs = 8000;

    /// <summary>Both have one clock, since both run on one machine.</summary>
    private const string Now = "performance.timeOrigin + performance.now()";

    private const string Watch = $$"""
        window.lines = []; window.windows = [];
        const told = document.querySelector('[data-testid=day-log]'), main = document.querySelector('main');
        let count = told.children.length, text = main.querySelector('[data-testid=seen]').textContent;
        new MutationObserver(() => {
          if (told.children.length > count) { count = told.children.length; window.lines.push({{Now}}); }
          const seen = main.querySelector('[data-testid=seen]').textContent;
          if (seen !== text) { text = seen; window.windows.push({{Now}}); }
        }).observe(main, { subtree: true, childList: true, characterData: true });
        """;

    private const string Tap = $$"""
        const key = [...document.querySelectorAll('main button')].find((b) => b.textContent === arguments[0]);
        const at = {{Now}}; key.click(); return at;
        """;

    public static async Task<int> RunAsync(string server, string root)
    {
        await using var service = new Service(server, root, demo: true);
        await service.ReadyAsync();
        await Task.Delay(WarmUpMs);
        using var one = new Chromium();
        using var two = new Chromium();
        var board = new Uri(service.Address, $"/jobs/{await service.JobAsync("Workshop floor")}/pour");
        foreach (var browser in new[] { one, two })
        {
            browser.Driver.Navigate().GoToUrl(board);
            await browser.FoundAsync(By.CssSelector("[data-testid=day-log] li"));
            await browser.FoundAsync(By.CssSelector("[data-testid=seen]"));
        }

        await two.FoundAsync(By.XPath("//p[contains(., '2 on site')]"));
        two.Driver.ExecuteScript(Watch);
        var (lines, windows) = (new List<double>(), new List<double>());
        for (var tap = 0; tap < Warmup + Measured; tap++)
        {
            var at = Convert.ToDouble(one.Driver.ExecuteScript(Tap, tap % 2 == 0 ? "dents 6 mm" : "dents 3 mm"), CultureInfo.InvariantCulture);
            await Task.Delay(PauseMs);
            if (tap >= Warmup)
            {
                lines.Add(Last(two, "lines") - at);
                var retimed = Last(two, "windows") - at;
                if (retimed > 0)
                {
                    windows.Add(retimed);
                }
            }
        }

        Print($"the line on the other device, of {lines.Count} taps (goal: p95 of 100 ms)", lines);
        Print($"the windows after it, of {windows.Count} that moved (goal: within 1000 ms)", windows);
        return 0;
    }

    private static double Last(Chromium browser, string list) => Convert.ToDouble(browser.Driver.ExecuteScript($"return window.{list}.at(-1) ?? 0"), CultureInfo.InvariantCulture);

    private static void Print(string what, List<double> times) => Console.WriteLine(string.Create(
        CultureInfo.InvariantCulture, $"{what}: median {Times.Percentile(times, 0.5):0.0} ms, p95 {Times.Percentile(times, 0.95):0.0} ms, slowest {times.Max():0.0} ms"));
}
