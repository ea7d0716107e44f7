using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace SetFirm.Bench;

/// <summary>A headless Chromium with a profile of its own.</summary>
internal sealed class Chromium : IDisposable
{
    private readonly string profile = Directory.CreateTempSubdirectory("setfirm-bench-chromium-").FullName;
    private readonly ChromeDriverService service;

    public Chromium(int width = 1280, int height = 800)
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage", "--no-first-run", $"--window-size={width},{height}", $"--user-data-dir={profile}");
        service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        Driver = new ChromeDriver(service, options);
    }

    public ChromeDriver Driver { get; }

    public async Task<IWebElement> FoundAsync(By by)
    {
        for (var tries = 0; ; tries++)
        {
            if (Driver.FindElements(by) is [var found, ..])
            {
                return found;
            }

            if (tries > 200)
            {
                throw new NoSuchElementException(by.ToString());
            }

            await Task.Delay(50);
        }
    }

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        service.Dispose();
        Directory.Delete(profile, recursive: true);
    }
}
