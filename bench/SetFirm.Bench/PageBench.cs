using System.Globalization;
using System.Text.Json;
using OpenQA.Selenium;

namespace SetFirm.Bench;

/// <summary>
/// The planner that a page takes along, in headless Chromium: what is fetched, how long it takes to stand, a plan of the demo terrace and the
/// re-timing of a pour under way, its memory; beside the same by the service, in one run. Goals: 3.2 MB, 1.5 s, 120 ms, 100 ms, 150 MB.
/// </summary>
internal static class PageBench
{
    private const int Rounds = 5;
    private const int PlansPerRound = 20;

    /// <summary>What a page asks for (web/src/planner/questions.ts).</summary>
    private const int MembersHere = 20;

    /// <summary>In a module of the page: boots, keeps what goes along, plans; each step timed.</summary>
    private const string Measure = """
        const [job, members, warm, plans, done] = arguments;
        (async () => {
          const post = (path, body) => fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
          const { document } = await (await fetch(`/api/jobs/${job}`)).json();
          const log = (await (await fetch(`/api/jobs/${job}/log`)).json()).map((l) => l.event);
          const asOf = (await (await fetch('/api/clock')).json()).now;
          const along = await (await post('/api/along', document)).text();
          const out = { lines: log.length };
          let t = performance.now();
          if (!window.planner) {
            const { dotnet } = await import(JSON.parse(along).planner);
            window.runtime = await dotnet.create();
            window.planner = (await window.runtime.getAssemblyExports(window.runtime.getConfig().mainAssemblyName)).SetFirm.Page.Answering;
            out.boot = performance.now() - t;
          }
          window.planner.Keep(job, along);
          let n = 0;
          const body = () => JSON.stringify({ members, document: { ...document, name: `${document.name} ${++n}` }, log, asOf });
          const plan = () => { const b = body(); const from = performance.now(); window.planner.Answer('plan', b, job); return performance.now() - from; };
          out.first = plan();
          for (let i = 0; i < warm; i++) plan();
          out.here = Array.from({ length: plans }, plan);
          out.there = [];
          for (let i = 0; i < plans; i++) { const b = JSON.parse(body()); const from = performance.now(); await (await post('/api/plan', b)).text(); out.there.push(performance.now() - from); }
          out.memory = window.runtime.Module.HEAPU8.length;
          return out;
        })().then((o) => done(JSON.stringify(o)), (e) => done(JSON.stringify({ error: String(e) })));
        """;

    public static async Task<int> RunAsync(string server, string root)
    {
        var folder = Path.Combine(root, "planner", "_framework");
        var files = Directory.Exists(folder) ? Directory.GetFiles(folder, "*.br") : [];
        if (files.Length == 0)
        {
            Console.WriteLine("There is no planner to take along: ./setfirm build makes it.");
            return 1;
        }

        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{files.Length} files, {files.Sum(f => new FileInfo(f).Length) / 1e6:0.00} MB Brotli"));
        await using var service = new Service(server, root, demo: true);
        await service.ReadyAsync();
        foreach (var (name, what) in new[] { ("Breakfast terrace", "a plan of the terrace"), ("Workshop floor", "a pour under way re-timed"), ("Bin stand", "a told pour re-timed") })
        {
            var job = await service.JobAsync(name);
            var rounds = new List<JsonElement>();
            using var chromium = new Chromium();
            chromium.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);
            chromium.Driver.Navigate().GoToUrl(service.Address);
            for (var round = 0; round < Rounds; round++)
            {
                rounds.Add(JsonDocument.Parse((string)chromium.Driver.ExecuteAsyncScript(Measure, job, MembersHere, round == 0 ? 30 : 0, PlansPerRound)!).RootElement.Clone());
            }

            if (rounds[0].TryGetProperty("error", out var error))
            {
                Console.WriteLine($"{what}: {error}");
                return 1;
            }

            var (here, there) = (Medians(rounds, "here"), Medians(rounds, "there"));
            Console.WriteLine(string.Create(
                CultureInfo.InvariantCulture,
                $"{what} ({name}, {rounds[0].GetProperty("lines")} lines): boot {rounds[0].GetProperty("boot").GetDouble():0} ms, first plan {rounds[0].GetProperty("first").GetDouble():0} ms, "
                + $"then {here:0} ms with {MembersHere} members (by the service over HTTP {there:0} ms, {here / there:0.0} times as long); memory {rounds[^1].GetProperty("memory").GetDouble() / 1e6:0} MB"));
        }

        return 0;
    }

    private static double Medians(IEnumerable<JsonElement> rounds, string of) =>
        Median(rounds.Select(r => Median(r.GetProperty(of).EnumerateArray().Select(v => v.GetDouble()))));

    private static double Median(IEnumerable<double> values)
    {
        double[] sorted = [.. values.Order()];
        return sorted[sorted.Length / 2];
    }
}
