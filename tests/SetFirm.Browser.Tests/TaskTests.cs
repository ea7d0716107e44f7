using OpenQA.Selenium;
using SetFirm.Tests.Sites;

namespace SetFirm.Browser.Tests;

/// <summary>The order of work: ticked, kept, and taken back.</summary>
public sealed class TaskTests
{
    [Fact]
    public async Task A_task_is_ticked_makes_the_next_one_ready_stays_and_is_taken_back()
    {
        using var site = new Site();
        using var browser = new Browser();
        browser.Laptop();
        var (id, _) = await site.AddedAsync("Tasks");
        var page = new Uri(site.Address, $"/jobs/{id}/tasks");
        browser.Open(page);
        browser.Find(By.XPath("//nav//a[normalize-space()='Order of work']"));
        State("clearAway").ShouldBe("waits");
        Tick("findServices");
        browser.Until(() => State("findServices") == "done");
        browser.Until(() => State("clearAway") == "ready");
        browser.Find(By.CssSelector("[data-testid=sentence]")).Text.ShouldStartWith("1 of ");
        while (!(await (await site.Get($"/api/jobs/{id}/log")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).Contains("findServices", StringComparison.Ordinal))
        {
            await Task.Delay(50, TestContext.Current.CancellationToken); // shown before it is sent
        }

        browser.Open(page);
        browser.Until(() => State("findServices") == "done");
        Tick("findServices");
        browser.Until(() => State("findServices") == "ready" && State("clearAway") == "waits");
        _ = browser.Complaints;

        string? State(string task) => browser.Find(By.CssSelector($"[data-task='{task}']")).GetAttribute("data-state");
        void Tick(string task) => browser.Find(By.CssSelector($"[data-task='{task}'] input")).Click();
    }
}
