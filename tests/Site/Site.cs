using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Testing;

namespace SetFirm.Tests.Sites;

/// <summary>The service itself on a free port of 127.0.0.1, on a real data file of its own, at a fixed moment.</summary>
public sealed class Site : WebApplicationFactory<Program>
{
    private readonly bool keepFile;
    private readonly int port;

    public Site()
        : this(null)
    {
    }

    /// <summary>A port of an address of this machine that nobody listens at, below those that the system gives to whoever asks for any: it stays free while a test shuts it and opens it again.</summary>
    internal static int FreePort(string address)
    {
        while (true)
        {
            var port = Random.Shared.Next(20_000, 32_000);
            using var probe = new TcpListener(IPAddress.Parse(address), port);
            try
            {
                probe.Start();
                return port;
            }
            catch (SocketException)
            {
                // Another.
            }
        }
    }

    /// <param name="file">A data file to open, which then outlives the site; null makes one that does not.</param>
    /// <param name="settings">Settings of the service.</param>
    internal Site(string? file, params (string Key, string Value)[] settings)
        : this(file, 0, settings)
    {
    }

    /// <param name="file">As above.</param>
    /// <param name="port">A port to take up again; 0 takes a free one.</param>
    /// <param name="settings">As above.</param>
    internal Site(string? file, int port, params (string Key, string Value)[] settings)
    {
        this.port = port;
        keepFile = file is not null;
        File = file ?? NewFile();
        Settings = settings;
        UseKestrel(o => o.Listen(IPAddress.Loopback, this.port));
    }

    /// <summary>A Tuesday in May, 09:00 by the site's clock.</summary>
    public static Instant Now => Instant.FromUtc(2027, 5, 4, 7, 0);

    public string File { get; }

    public Uri Address
    {
        get
        {
            StartServer();
            return ClientOptions.BaseAddress;
        }
    }

    private (string Key, string Value)[] Settings { get; }

    public static string NewFile() => Path.Combine(Path.GetTempPath(), $"setfirm-{Guid.NewGuid():N}.db");

    public static void Remove(string file)
    {
        SqliteConnection.ClearAllPools();
        foreach (var end in new[] { "", "-wal", "-shm" })
        {
            System.IO.File.Delete(file + end);
        }
    }

    /// <summary>A new job, on the fifth of May at eight: which hour is proposed is another test's business.</summary>
    internal async Task<JsonNode> StartingJobAsync(string name = "Path")
    {
        var job = (await (await Get($"/api/jobs/start?name={name}&units=metric&timeZone=Europe/Berlin")).Content.ReadFromJsonAsync<JsonNode>())!;
        (job["day"]!["date"], job["day"]!["start"]) = ("2027-05-05", "08:00");
        return job;
    }

    internal async Task<(string Id, JsonNode Document)> AddedAsync(string name = "Path") => await AddedAsync(await StartingJobAsync(name));

    internal async Task<(string Id, JsonNode Document)> AddedAsync(JsonNode document)
    {
        var answer = await Send(HttpMethod.Post, "/api/jobs", document.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.Created);
        var job = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        return (job["id"]!.GetValue<string>(), job["document"]!);
    }

    /// <summary>The lines of the yard, when none is being made any more.</summary>
    internal async Task<JsonNode[]> LinesAsync()
    {
        while (true)
        {
            var answer = await Get("/api/jobs");
            answer.StatusCode.ShouldBe(HttpStatusCode.OK);
            JsonNode[] lines = [.. (await answer.Content.ReadFromJsonAsync<JsonNode>(TestContext.Current.CancellationToken))!.AsArray().Select(l => l!)];
            if (lines.All(l => l["state"]!.GetValue<string>() != "pending"))
            {
                return lines;
            }
        }
    }

    internal Task<HttpResponseMessage> Get(string path) => CreateClient().GetAsync(new Uri(path, UriKind.Relative), TestContext.Current.CancellationToken);

    internal Task<HttpResponseMessage> Send(HttpMethod method, string path, string body, string? ifMatch = null, string type = "application/json")
    {
        var request = new HttpRequestMessage(method, path) { Content = new StringContent(body, MediaTypeHeaderValue.Parse(type)) };
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        }

        // What is too large is refused by its length: else the line may be shut while it is still being sent.
        request.Headers.ExpectContinue = body.Length > 1_000_000;
        return CreateClient().SendAsync(request, TestContext.Current.CancellationToken);
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Testing");
        builder.UseSetting("SetFirm:Database", File);
        builder.UseSetting("SetFirm:PlanSeconds", "60"); // how fast a machine is that runs tests is another question
        builder.UseSetting("SetFirm:Planner", ""); // what the page takes along is fetched where a test is about it
        foreach (var (key, value) in Settings)
        {
            builder.UseSetting(key, value);
        }

        builder.ConfigureTestServices(s => s.AddSingleton<IClock>(new FakeClock(Now)));
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && !keepFile)
        {
            Remove(File);
        }
    }
}
