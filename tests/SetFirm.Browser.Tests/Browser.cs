using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace SetFirm.Browser.Tests;

/// <summary>A headless Chromium with a fresh profile, and what a person does with it: look for a field by its label, type, press keys.</summary>
public sealed class Browser : IDisposable
{
    /// <summary>The clock of the device can be put forward; kept over a reload.</summary>
    public const string PlayedClock = """
        (() => {
          const Real = Date;
          const now = () => Real.now() + Number(localStorage.getItem('forward') ?? 0);
          window.Date = class extends Real {
            constructor(...of) { if (of.length === 0) super(now()); else super(...of); }
            static now() { return now(); }
          };
        })();
        """;

    private readonly string profile;
    private readonly bool keepsProfile;
    private readonly ChromeDriverService service;

    public Browser()
        : this(null)
    {
    }

    /// <param name="profile">A profile to go on with, which then outlives the browser; null makes one that does not.</param>
    internal Browser(string? profile)
    {
        keepsProfile = profile is not null;
        this.profile = profile ?? Directory.CreateTempSubdirectory("setfirm-chromium-").FullName;
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless", "--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-default-apps", "--window-size=1280,800", "--force-device-scale-factor=1",
            "--hide-scrollbars", "--lang=en-GB", $"--user-data-dir={this.profile}");
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        Driver = new ChromeDriver(service, options, TimeSpan.FromSeconds(60));
        Driver.ExecuteCdpCommand("Emulation.setTimezoneOverride", new Dictionary<string, object?> { ["timezoneId"] = "Europe/Berlin" });
        ByServiceWorker(false);
    }

    public ChromeDriver Driver { get; }

    /// <summary>What the page has complained of since this was last asked.</summary>
    public string[] Complaints =>
        [.. Driver.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message)];

    public string Sentence
    {
        get
        {
            // Drawn anew while it is read, it is read again.
            for (var tries = 0; ; tries++)
            {
                try
                {
                    return Find(By.CssSelector("[data-testid=sentence]")).Text;
                }
                catch (StaleElementReferenceException) when (tries < 5)
                {
                }
            }
        }
    }

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        service.Dispose();
        if (keepsProfile)
        {
            return;
        }

        try
        {
            Directory.Delete(profile, recursive: true);
        }
        catch (IOException)
        {
            // Chromium may still be letting go of its profile; the system clears it.
        }
    }

    /// <summary>Ends the browser without a word, as a phone does that runs out of memory.</summary>
    public void Kill()
    {
        // By the ids of the driver's own children: no other browser is meant.
        foreach (var child in Directory.GetDirectories("/proc").Select(Path.GetFileName).Where(n => int.TryParse(n, out _)).Select(n => int.Parse(n!, System.Globalization.CultureInfo.InvariantCulture)).Where(IsOurs).ToArray())
        {
            try
            {
                using var process = System.Diagnostics.Process.GetProcessById(child);
                process.Kill();
            }
            catch (Exception e) when (e is ArgumentException or InvalidOperationException)
            {
                // It went with its parent.
            }
        }
    }

    // Its command line names our profile.
    private bool IsOurs(int process)
    {
        try
        {
            var words = File.ReadAllText($"/proc/{process}/cmdline");
            return words.Contains("chromium", StringComparison.Ordinal) && words.Contains(profile, StringComparison.Ordinal);
        }
        catch (IOException)
        {
            return false;
        }
    }

    /// <summary>Whether what a page asks for goes by the program that is kept on the device; a network that is cut by <see cref="Offline"/> is cut for the page only, not for that.</summary>
    public void ByServiceWorker(bool does)
    {
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand("Network.setBypassServiceWorker", new Dictionary<string, object?> { ["bypass"] = !does });
    }

    /// <summary>Nothing goes out or comes in.</summary>
    public void Offline(bool offline)
    {
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?> { ["offline"] = offline, ["latency"] = 0, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
    }

    /// <summary>Runs before the scripts of every page that is opened from now on.</summary>
    public void BeforeAnyPage(string script) => Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument", new Dictionary<string, object?> { ["source"] = script });

    /// <summary>Puts a played clock on by ten minutes.</summary>
    public void Forward() => Driver.ExecuteScript("localStorage.setItem('forward', String(Number(localStorage.getItem('forward') ?? 0) + 600000))");

    public void Laptop() => Size(1280, 800, mobile: false);

    public void Phone() => Size(390, 844, mobile: true);

    public void Size(bool phone)
    {
        if (phone)
        {
            Phone();
        }
        else
        {
            Laptop();
        }
    }

    public void Scheme(string scheme) => Driver.ExecuteScript($"localStorage.setItem('mantine-color-scheme-value', '{scheme}')");

    /// <summary>Goes to a place and waits until it has drawn what it shows.</summary>
    public void Open(Uri address)
    {
        Driver.Navigate().GoToUrl(address);
        Settled();
    }

    public void Reload()
    {
        Driver.Navigate().Refresh();
        Settled();
    }

    /// <summary>Nothing is loading any more, and the drawings have their size.</summary>
    public void Settled() => Until(() => (bool)Driver.ExecuteScript(
        "return document.readyState === 'complete' && !document.querySelector('.mantine-Loader-root') && document.querySelector('main')?.children.length > 0")!);

    public IWebElement Find(By by, int seconds = 20)
    {
        IWebElement? found = null;
        try
        {
            Until(() =>
            {
                found = Driver.FindElements(by).FirstOrDefault(e => e.Displayed);
                return found is not null;
            }, seconds);
        }
        catch (WebDriverTimeoutException)
        {
            throw new NoSuchElementException($"{by} at {Driver.Url}, where it says:\n{Driver.FindElement(By.TagName("body")).Text}\nand in its fields: {Fields()}");
        }

        return found!;
    }

    private string Fields() => string.Join("; ", Driver.FindElements(By.CssSelector("main input, main select")).Where(e => e.Displayed).Select(e => $"{e.GetAttribute("aria-label")} {e.GetAttribute("value")}"));

    /// <summary>A field by the label that a person reads, or that a screen reader says.</summary>
    public IWebElement Field(string label) => Find(By.XPath(
        $"//*[self::input or self::select][@aria-label={Quoted(label)} or @id=//label[normalize-space()={Quoted(label)}]/@for]"));

    public IWebElement Button(string name) => Find(By.XPath(
        $"//*[self::button or self::a or @role='button'][@aria-label={Quoted(name)} or normalize-space()={Quoted(name)}]"));

    public void Press(string name) => Button(name).Click();

    /// <summary>Types over what stands in a field, as one would.</summary>
    public void Type(string label, string text)
    {
        var field = Field(label);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text.Length == 0 ? Keys.Delete : text);
    }

    public void Choose(string label, string option) => new SelectElement(Field(label)).SelectByText(option);

    /// <summary>Keys to whatever has the focus.</summary>
    public void Keyboard(params string[] keys)
    {
        foreach (var key in keys)
        {
            Driver.SwitchTo().ActiveElement().SendKeys(key);
        }
    }

    public void Chord(string modifier, string key) => Keyboard(modifier + key);

    public void Step(string name)
    {
        var link = By.XPath($"//nav//a[contains(., {Quoted(name)})]");
        Find(link).Click();
        Until(() => Driver.Url.EndsWith("/" + name, StringComparison.OrdinalIgnoreCase));
        // The step before stands until the new one is fetched; the rail moves with it.
        Until(() => Find(link).GetAttribute("aria-current") == "page");
        Settled();
    }

    /// <summary>The value beside the name of a figure.</summary>
    public string Figure(string label) => Find(By.XPath($"//dl//dt[starts-with(normalize-space(), {Quoted(label)})]/following-sibling::dd")).Text;

    public void Saved() => Until(() => Find(By.CssSelector("[data-testid=save]")).GetAttribute("data-state") == "saved");

    /// <param name="holds">What is waited for.</param>
    /// <param name="seconds">For so long; a clock that is played takes its time.</param>
    public void Until(Func<bool> holds, int seconds = 20)
    {
        var wait = new WebDriverWait(Driver, TimeSpan.FromSeconds(seconds)) { PollingInterval = TimeSpan.FromMilliseconds(50) };
        wait.IgnoreExceptionTypes(typeof(StaleElementReferenceException), typeof(NoSuchElementException));
        wait.Until(_ => holds());
    }

    public void Says(string part)
    {
        try
        {
            Until(() => Sentence.Contains(part, StringComparison.Ordinal));
        }
        catch (WebDriverTimeoutException)
        {
            Sentence.ShouldContain(part, Case.Sensitive);
        }
    }

    /// <summary>What axe finds wrong, a line a fault.</summary>
    public string AxeFaults()
    {
        Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(30);
        Driver.ExecuteScript(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "axe.min.js")));
        return (string)Driver.ExecuteAsyncScript(
            "const done = arguments[arguments.length - 1];"
            + "axe.run(document, { resultTypes: ['violations'] }).then(r => done(r.violations.map(v =>"
            + " v.impact + ' ' + v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join('; ')).join('\\n')))")!;
    }

    /// <summary>How far the page would scroll beyond its window, pixels: across, down.</summary>
    public (long Across, long Down) Overflow() => (
        (long)Driver.ExecuteScript("return document.documentElement.scrollWidth - window.innerWidth")!,
        (long)Driver.ExecuteScript("return document.documentElement.scrollHeight - window.innerHeight")!);

    /// <summary>Texts of which a part lies behind the edge of something that neither grows nor scrolls, with what cuts them.</summary>
    public IReadOnlyList<string> CutWords() => [.. ((IEnumerable<object>)Driver.ExecuteScript(
        """
        const cut = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        const shut = (overflow) => overflow === 'hidden' || overflow === 'clip';
        while (walker.nextNode()) {
          const text = walker.currentNode.data.trim();
          const of = walker.currentNode.parentElement;
          if (!text || of.closest('style, script, title, desc, select, details:not([open]) > :not(summary), .visually-hidden')) continue;
          const range = document.createRange();
          range.selectNodeContents(walker.currentNode);
          const lines = [...range.getClientRects()].filter((r) => r.width > 0);
          for (let a = of; a !== document.body && lines.length > 0; a = a.parentElement) {
            const { overflowX, overflowY } = getComputedStyle(a);
            const box = a.getBoundingClientRect();
            if (box.width <= 1) break; // for the ear
            const across = shut(overflowX) && lines.some((r) => r.right > box.right + 1 || r.left < box.left - 1);
            const down = shut(overflowY) && lines.some((r) => r.bottom > box.bottom + 3 || r.top < box.top - 3);
            if (across || down) {
              cut.push(`${text} (${a.tagName} ${a.getAttribute('class')})`);
              break;
            }
            if ([overflowX, overflowY].some((o) => o === 'auto' || o === 'scroll')) break; // it can be brought into view
          }
        }
        return cut;
        """)!).Select(o => (string)o)];

    public void Screenshot(string path) => Driver.GetScreenshot().SaveAsFile(path);

    private static string Quoted(string text) => text.Contains('\'', StringComparison.Ordinal) ? $"\"{text}\"" : $"'{text}'";

    private void Size(int width, int height, bool mobile) => Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string, object?>
    {
        ["width"] = width,
        ["height"] = height,
        ["deviceScaleFactor"] = 1,
        ["mobile"] = mobile,
    });
}
