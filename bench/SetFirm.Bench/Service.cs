using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace SetFirm.Bench;

/// <summary>The service as it ships, in a process of its own, on a free port and a file of its own.</summary>
internal sealed class Service : IAsyncDisposable
{
    private readonly string file = Path.Combine(Path.GetTempPath(), $"setfirm-bench-{Guid.NewGuid():N}.db");
    private readonly Process process;

    /// <param name="server">Its dll.</param>
    /// <param name="root">Its content root.</param>
    /// <param name="demo">Lay out the demo yard.</param>
    public Service(string server, string root, bool demo = false)
    {
        var start = new ProcessStartInfo("dotnet", [server, "--contentRoot", root, "--urls", Address.ToString()]);
        start.Environment["SetFirm__Database"] = file;
        start.Environment["SetFirm__Demo"] = demo ? "true" : "false";
        start.Environment["SetFirm__WarmUp"] = "true";
        start.Environment["SetFirm__BurstOfRequests"] = "10000000";
        process = Process.Start(start) ?? throw new InvalidOperationException("the service did not start");
    }

    public Uri Address { get; } = new($"http://127.0.0.1:{FreePort()}");

    /// <summary>What it has in memory.</summary>
    public double MemoryMb
    {
        get
        {
            process.Refresh();
            return process.WorkingSet64 / 1e6;
        }
    }

    public async Task ReadyAsync()
    {
        using var client = new HttpClient { BaseAddress = Address };
        for (var tries = 0; ; tries++)
        {
            try
            {
                (await client.GetAsync(new Uri("/api/alive", UriKind.Relative))).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException) when (tries < 200)
            {
                await Task.Delay(50);
            }
        }
    }

    /// <summary>Id of the demo job of this name.</summary>
    public async Task<string> JobAsync(string name)
    {
        using var client = new HttpClient { BaseAddress = Address };
        var jobs = await client.GetFromJsonAsync<JsonArray>(new Uri("/api/jobs", UriKind.Relative));
        return jobs!.Single(j => j!["name"]!.GetValue<string>() == name)!["id"]!.GetValue<string>();
    }

    public async ValueTask DisposeAsync()
    {
        process.Kill();
        await process.WaitForExitAsync();
        process.Dispose();
        foreach (var end in new[] { "", "-wal", "-shm" })
        {
            File.Delete(file + end);
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
