using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Security.Cryptography.X509Certificates;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Testing;
using SetFirm.Tests.Sites;
using SetFirm.Web.Sharing;

namespace SetFirm.Web.Tests;

/// <summary>The home network: shut until the switch is set; a stranger sees where to join; a device does what its role allows, and no more.</summary>
public sealed partial class SharingTests
{
    /// <summary>Another address of this machine, that stands for its place on the home network.</summary>
    private const string Address = "127.0.0.2";

    /// <summary>What who looks may call.</summary>
    private static readonly HashSet<string> Looks =
    [
        "IsAlive", "GetHealth", "GetForecast", "DaysAhead", "GetWeatherFile", "ListWeatherFiles", "Plan", "Calendar", "Tasks", "Shop", "Faults", "LookBack", "Drawings", "Practices", "Rehearse",
        "RankStarts", "TakeAlong", "ListJobs", "StartingJob", "ExampleJob", "ListLessons", "GetJob", "ListRemoved", "ListVersions", "GetVersion", "ListLog", "GetLogTable", "GetPicture", "GetLearnt",
        "LearntEffects", "ListThings", "getClock", "whoIsHere", "ListBags", "ListLumber", "ListBars", "ListKinds", "ListCoats", "GetSession", "GetPreferences",
    ];

    /// <summary>What who is at work may call besides.</summary>
    private static readonly HashSet<string> Works = ["AddLog", "KeepPicture", "ReadProbe"];

    /// <summary>What only who plans may call.</summary>
    private static readonly HashSet<string> Plans =
    [
        "GetBackup", "GetArchive", "TakeArchive", "AddJob", "ChangeJob", "RemoveJob", "RestoreJob", "EmptyRemoved", "PutJobAway", "TakeJobOut", "SetPreferences", "SayWord", "LeaveOut", "ReadOutline", "ReadWeatherFile", "RemoveWeatherFile",
        "GetSharing", "SetSharing", "Invite", "SendOff",
    ];

    private static readonly HttpMethod[] Methods = [HttpMethod.Get, HttpMethod.Put, HttpMethod.Post, HttpMethod.Delete, HttpMethod.Patch];

    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly int port = Site.FreePort(Address);
    private readonly int safePort = Site.FreePort(Address);

    private Uri Home => new($"http://{Address}:{port}");

    [Fact]
    public async Task Only_this_machine_is_listened_to_until_the_switch_is_set_and_again_when_it_is_off()
    {
        using var site = NewSite();
        (await SharingAsync(site))["on"]!.GetValue<bool>().ShouldBeFalse();
        Answers().ShouldBeFalse();
        (await ShareAsync(site, true))["places"]!.AsArray().Select(p => p!.GetValue<string>()).ShouldBe([$"http://{Address}:{port}"]);
        Answers().ShouldBeTrue();
        await ShareAsync(site, false);
        Answers().ShouldBeFalse();
        (await site.Get("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.OK); // the machine itself, all the while
    }

    [Fact]
    public async Task A_device_that_stays_connected_is_answered_no_longer_when_the_switch_is_off()
    {
        using var site = NewSite();
        await ShareAsync(site, true);
        using var device = await JoinedAsync(site, DeviceRole.Plan);
        (await device.Http.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await ShareAsync(site, false);
        Answers().ShouldBeFalse();
        try
        {
            // By the connection that it has, if that still stands.
            (await device.Http.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        }
        catch (HttpRequestException)
        {
            // It was closed.
        }
    }

    [Fact]
    public async Task An_address_that_is_none_is_said_and_a_program_that_was_to_share_there_answers_all_the_same()
    {
        var file = Site.NewFile();
        try
        {
            using (var first = NewSite(file))
            {
                await ShareAsync(first, true); // it is remembered
            }

            using var second = new Site(file, ("SetFirm:ShareAddress", "my house"), ("SetFirm:SharePort", $"{port}"));
            (await second.Get("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.OK);
            await Task.Delay(500, token); // by then it has tried
            (await second.Get("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.OK);
            var refused = await second.Send(HttpMethod.Put, "/api/sharing", """{"on":true,"safe":false}""");
            refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
            (await refused.Content.ReadAsStringAsync(token)).ShouldContain("my house");
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task A_page_to_join_on_that_stood_too_long_is_shown_anew()
    {
        using var site = NewSite();
        await ShareAsync(site, true);
        using var phone = Client();
        using var form = new FormUrlEncodedContent([new("__RequestVerificationToken", "old"), new("code", await InvitedAsync(site, DeviceRole.Plan)), new("name", "")]);
        var answer = await phone.PostAsync(new Uri("/join", UriKind.Relative), form, token);
        answer.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        answer.Headers.Location!.ToString().ShouldBe("/join");
        answer.Headers.Contains("Set-Cookie").ShouldBeFalse(); // nobody was let in
    }

    [Fact]
    public async Task A_port_that_is_taken_is_said_and_nothing_is_opened()
    {
        using var other = new TcpListener(IPAddress.Parse(Address), port);
        other.Start();
        using var site = NewSite();
        var refused = await site.Send(HttpMethod.Put, "/api/sharing", """{"on":true,"safe":false}""");
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await refused.Content.ReadFromJsonAsync<JsonNode>(token))!["detail"]!.GetValue<string>().ShouldContain($"{port}");
        (await SharingAsync(site))["on"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Fact]
    public async Task A_stranger_sees_where_to_join_and_nothing_else()
    {
        using var site = NewSite();
        await site.AddedAsync("Secret");
        await ShareAsync(site, true);
        using var stranger = Client();
        foreach (var (operation, method, path, type) in await ContractAsync(site))
        {
            var answer = await stranger.SendAsync(Request(method, path, type: type), token);
            answer.StatusCode.ShouldBe(HttpStatusCode.Unauthorized, operation);
            (await answer.Content.ReadAsStringAsync(token)).ShouldContain("not-joined");
        }

        foreach (var path in (string[])["/assets/index.js", "/sw.js", "/manifest.webmanifest", "/planner/_framework/dotnet.js", "/openapi/v1.json", "/live", "/live/negotiate", "/icon.svg", "/index.html", "/nowhere", "/api"])
        {
            (await stranger.GetAsync(new Uri(path, UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, path);
        }

        foreach (var path in (string[])["/", "/jobs", "/season"])
        {
            var request = new HttpRequestMessage(HttpMethod.Get, path);
            request.Headers.Accept.ParseAdd("text/html");
            var sent = await stranger.SendAsync(request, token);
            sent.StatusCode.ShouldBe(HttpStatusCode.Redirect);
            sent.Headers.Location!.ToString().ShouldBe("/join");
        }

        var page = await stranger.GetStringAsync(new Uri("/join?code=<b>", UriKind.Relative), token);
        page.ShouldContain("Join this household");
        page.ShouldNotContain("Secret");
        page.ShouldNotContain("<b>"); // what was handed over is text
        page.ShouldNotContain("<script");
        (await stranger.GetAsync(new Uri("/join/certificate", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.NotFound); // there is none
    }

    [Fact]
    public async Task Every_endpoint_of_the_contract_does_for_every_role_what_the_role_allows_and_no_more()
    {
        using var site = NewSite();
        await ShareAsync(site, true);
        var contract = await ContractAsync(site);
        contract.Select(c => c.Operation).ShouldBe([.. Looks, .. Works, .. Plans], ignoreOrder: true);
        foreach (var role in Enum.GetValues<DeviceRole>())
        {
            using var device = await JoinedAsync(site, role);
            // What sends this device off, or shuts the door, comes last.
            foreach (var (operation, method, path, type) in contract.OrderBy(c => c.Operation is "SetSharing"))
            {
                var may = Looks.Contains(operation) || (Works.Contains(operation) && role >= DeviceRole.Crew) || role == DeviceRole.Plan;
                var answer = await device.Http.SendAsync(Request(method, path, device.Token, type), token);
                if (may)
                {
                    ((int)answer.StatusCode).ShouldNotBeOneOf([401, 403], $"{role} {operation}");
                    ((int)answer.StatusCode).ShouldBeLessThan(500, $"{role} {operation}");
                }
                else
                {
                    answer.StatusCode.ShouldBe(HttpStatusCode.Forbidden, $"{role} {operation}");
                    (await answer.Content.ReadAsStringAsync(token)).ShouldContain("not-for-this-device");
                }
            }
        }
    }

    [Fact]
    public void Nothing_that_is_served_leaves_open_who_may_call_it_and_only_joining_is_for_anybody()
    {
        using var site = NewSite();
        site.StartServer();
        var all = site.Services.GetRequiredService<Microsoft.AspNetCore.Routing.EndpointDataSource>().Endpoints.OfType<Microsoft.AspNetCore.Routing.RouteEndpoint>().ToArray();
        all.Length.ShouldBeGreaterThan(60);
        all.Where(e => e.Metadata.GetMetadata<Microsoft.AspNetCore.Authorization.IAllowAnonymous>() is not null).Select(e => e.RoutePattern.RawText).Distinct()
            .ShouldBe(["/join", "/join/certificate"], ignoreOrder: true);
        // The contract itself is for who plans, by the policy where nothing is said.
        all.Where(e => e.Metadata.GetMetadata<Microsoft.AspNetCore.Authorization.IAllowAnonymous>() is null && e.Metadata.GetMetadata<Microsoft.AspNetCore.Authorization.IAuthorizeData>() is null)
            .Select(e => e.RoutePattern.RawText).ShouldBe(["/openapi/{documentName}.json"]);
    }

    [Fact]
    public async Task A_device_of_the_crew_ticks_and_changes_no_job()
    {
        using var site = NewSite();
        var (id, document) = await site.AddedAsync("Ours");
        await ShareAsync(site, true);
        using var crew = await JoinedAsync(site, DeviceRole.Crew, "Odd's phone");
        var line = $$"""[{"kind":"noted","id":"{{Guid.NewGuid()}}","at":"2027-05-04T07:00:00Z","pour":"","device":"","note":"here"}]""";
        (await crew.SendAsync(HttpMethod.Post, $"/api/jobs/{id}/log", line)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await crew.SendAsync(HttpMethod.Put, $"/api/jobs/{id}", document.ToJsonString(), ifMatch: "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await crew.Http.GetFromJsonAsync<JsonNode>("/api/session", token))!["role"]!.GetValue<string>().ShouldBe("crew");
        var devices = (await SharingAsync(site))["devices"]!.AsArray();
        devices.ShouldHaveSingleItem()!["name"]!.GetValue<string>().ShouldBe("Odd's phone");
    }

    [Fact]
    public async Task What_changes_something_wants_our_own_page_a_token_and_a_known_name()
    {
        using var site = NewSite();
        await ShareAsync(site, true);
        using var device = await JoinedAsync(site, DeviceRole.Plan);
        var job = (await site.StartingJobAsync()).ToJsonString();
        (await device.SendAsync(HttpMethod.Post, "/api/jobs", job, withToken: false)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await device.SendAsync(HttpMethod.Post, "/api/jobs", job, origin: "http://elsewhere.example")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await device.SendAsync(HttpMethod.Post, "/api/jobs", job, host: "elsewhere.example")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await device.SendAsync(HttpMethod.Post, "/api/jobs", job)).StatusCode.ShouldBe(HttpStatusCode.Created);
        // A token of another device is none.
        using var other = await JoinedAsync(site, DeviceRole.Plan);
        (await device.Http.SendAsync(Request(HttpMethod.Delete, "/api/jobs/removed", other.Token), token)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        device.Flags.ShouldContain("httponly");
        device.Flags.ShouldContain("samesite=strict");
    }

    [Fact]
    public async Task A_code_is_good_for_ten_minutes_and_who_guesses_is_kept_waiting()
    {
        using var site = NewSite();
        var clock = (FakeClock)site.Services.GetRequiredService<IClock>();
        await ShareAsync(site, true);
        var code = await InvitedAsync(site, DeviceRole.Look);
        using var phone = Client();
        (await TryAsync(phone, "AAAA AAAA")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await TryAsync(phone, $" {code[..4].ToLowerInvariant()}-{code[4..]} ")).StatusCode.ShouldBe(HttpStatusCode.Redirect); // as people type it
        clock.Advance(Invitations.GoodFor + Duration.FromSeconds(1));
        using var late = Client();
        (await TryAsync(late, code)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        var next = await InvitedAsync(site, DeviceRole.Look);
        for (var tries = 1; tries < Invitations.MostOfOne; tries++)
        {
            (await TryAsync(late, "WRONGONE")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        }

        (await TryAsync(late, next)).StatusCode.ShouldBe(HttpStatusCode.TooManyRequests); // not even the right one
        clock.Advance(Invitations.GoodFor + Duration.FromSeconds(1));
        (await TryAsync(late, await InvitedAsync(site, DeviceRole.Look))).StatusCode.ShouldBe(HttpStatusCode.Redirect);
        using var last = Client();
        // Off: nobody joins with what was good before.
        var before = await InvitedAsync(site, DeviceRole.Plan);
        await ShareAsync(site, false);
        await ShareAsync(site, true);
        (await TryAsync(last, before)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public void A_code_is_closed_when_all_together_have_guessed_too_often()
    {
        var invitations = new Invitations(new FakeClock(Site.Now));
        var code = invitations.Make(DeviceRole.Plan).Code;
        code.Length.ShouldBe(8);
        for (var i = 0; i < Invitations.MostOfAll; i++)
        {
            invitations.Try("NOTTHEONE", new IPAddress([10, 0, 0, (byte)i])).Tried.ShouldBe(CodeTried.Wrong);
        }

        invitations.Current.ShouldBeNull();
        invitations.Try(code, new IPAddress([10, 0, 1, 1])).Tried.ShouldBe(CodeTried.Wrong);
    }

    [Fact]
    public async Task A_device_that_is_sent_off_is_a_stranger_with_its_next_request_and_its_channel_is_closed()
    {
        using var site = NewSite();
        await ShareAsync(site, true);
        using var device = await JoinedAsync(site, DeviceRole.Crew);
        await using var channel = new HubConnectionBuilder().WithUrl(new Uri(Home, "/live"), o => o.Cookies = device.Cookies).Build();
        var closed = new TaskCompletionSource();
        channel.Closed += _ =>
        {
            closed.TrySetResult();
            return Task.CompletedTask;
        };
        await channel.StartAsync(token);
        (await device.Http.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var id = (await SharingAsync(site))["devices"]![0]!["id"]!.GetValue<string>();
        (await site.Send(HttpMethod.Delete, $"/api/sharing/devices/{id}", "")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await device.Http.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        await closed.Task.WaitAsync(TimeSpan.FromSeconds(30), token);
        (await site.Send(HttpMethod.Delete, $"/api/sharing/devices/{id}", "")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Started_anew_it_shares_as_before_and_devices_are_still_welcome()
    {
        var file = Site.NewFile();
        try
        {
            Device device;
            using (var first = NewSite(file))
            {
                await ShareAsync(first, true);
                device = await JoinedAsync(first, DeviceRole.Look);
            }

            Answers().ShouldBeFalse();
            using var second = NewSite(file);
            second.StartServer();
            for (var tries = 0; !Answers(); tries++)
            {
                tries.ShouldBeLessThan(200);
                await Task.Delay(50, token);
            }

            (await device.Http.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.OK);
            device.Dispose();
        }
        finally
        {
            Site.Remove(file);
        }
    }

    [Fact]
    public async Task Over_https_the_machines_own_authority_vouches_for_it_and_the_plain_door_leads_there()
    {
        using var site = NewSite();
        var told = await ShareAsync(site, true, safe: true);
        told["places"]![0]!.GetValue<string>().ShouldBe($"https://{Address}:{safePort}");
        using var plain = Client();
        var page = await plain.GetStringAsync(new Uri("/join", UriKind.Relative), token);
        page.ShouldContain("/join/certificate");
        var led = await plain.GetAsync(new Uri("/api/jobs", UriKind.Relative), token);
        led.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        led.Headers.Location!.ToString().ShouldBe($"https://{Address}:{safePort}/");
        using var authority = X509CertificateLoader.LoadCertificate(await plain.GetByteArrayAsync(new Uri("/join/certificate", UriKind.Relative), token));
        authority.HasPrivateKey.ShouldBeFalse();
        using var handler = new SocketsHttpHandler { AllowAutoRedirect = false, CookieContainer = new CookieContainer() };
        // With that certificate as the only root there is.
        handler.SslOptions.CertificateChainPolicy = new X509ChainPolicy { TrustMode = X509ChainTrustMode.CustomRootTrust, RevocationMode = X509RevocationMode.NoCheck, CustomTrustStore = { authority }, VerificationTime = Site.Now.ToDateTimeUtc() };
        using var safe = new HttpClient(handler) { BaseAddress = new Uri($"https://{Address}:{safePort}") };
        var joined = await TryAsync(safe, await InvitedAsync(site, DeviceRole.Look));
        joined.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        joined.Headers.GetValues("Set-Cookie").ShouldContain(c => c.StartsWith("setfirm-device", StringComparison.Ordinal) && c.Contains("secure", StringComparison.OrdinalIgnoreCase));
        (await safe.GetAsync(new Uri("/api/jobs", UriKind.Relative), token)).StatusCode.ShouldBe(HttpStatusCode.OK);
        // The same authority for as long as the data file: it is trusted once.
        await ShareAsync(site, false);
        await ShareAsync(site, true, safe: true);
        (await plain.GetByteArrayAsync(new Uri("/join/certificate", UriKind.Relative), token)).ShouldBe(authority.RawData);
    }

    private Site NewSite(string? file = null) => new(
        file, ("SetFirm:ShareAddress", Address), ("SetFirm:SharePort", $"{port}"), ("SetFirm:ShareSafePort", $"{safePort}"));

    private bool Answers()
    {
        using var probe = new TcpClient();
        try
        {
            probe.Connect(Address, port);
            return true;
        }
        catch (SocketException)
        {
            return false;
        }
    }

    private async Task<JsonNode> SharingAsync(Site site) => (await (await site.Get("/api/sharing")).Content.ReadFromJsonAsync<JsonNode>(token))!;

    private async Task<JsonNode> ShareAsync(Site site, bool on, bool safe = false)
    {
        var answer = await site.Send(HttpMethod.Put, "/api/sharing", new JsonObject { ["on"] = on, ["safe"] = safe }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }

    private async Task<string> InvitedAsync(Site site, DeviceRole role)
    {
        var answer = await site.Send(HttpMethod.Post, "/api/sharing/invitation", $$"""{"role":"{{role.ToString().ToLowerInvariant()}}"}""");
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!["invitation"]!["code"]!.GetValue<string>();
    }

    private HttpClient Client() => new(new SocketsHttpHandler { AllowAutoRedirect = false, CookieContainer = new CookieContainer() }) { BaseAddress = Home };

    // As the page does it: the form is fetched, and sent with what is in it.
    private async Task<HttpResponseMessage> TryAsync(HttpClient client, string code, string name = "")
    {
        var page = await client.GetStringAsync(new Uri("/join", UriKind.Relative), token);
        var hidden = Hidden().Match(page);
        using var form = new FormUrlEncodedContent([new(hidden.Groups[1].Value, WebUtility.HtmlDecode(hidden.Groups[2].Value)), new("code", code), new("name", name)]);
        return await client.PostAsync(new Uri("/join", UriKind.Relative), form, token);
    }

    private async Task<Device> JoinedAsync(Site site, DeviceRole role, string name = "")
    {
        var cookies = new CookieContainer();
        var http = new HttpClient(new SocketsHttpHandler { AllowAutoRedirect = false, CookieContainer = cookies }) { BaseAddress = Home };
        var joined = await TryAsync(http, await InvitedAsync(site, role), name);
        joined.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        var flags = joined.Headers.GetValues("Set-Cookie").Single(c => c.StartsWith("setfirm-device", StringComparison.Ordinal)).ToLowerInvariant();
        var session = (await http.GetFromJsonAsync<JsonNode>("/api/session", token))!;
        session["near"]!.GetValue<bool>().ShouldBeFalse();
        return new Device(http, cookies, session["token"]!.GetValue<string>(), flags);
    }

    /// <summary>All that can be called, from the contract itself.</summary>
    private async Task<(string Operation, HttpMethod Method, string Path, string Type)[]> ContractAsync(Site site)
    {
        var paths = (await (await site.Get("/openapi/v1.json")).Content.ReadFromJsonAsync<JsonNode>(token))!["paths"]!.AsObject();
        return
        [
            .. paths.SelectMany(p => p.Value!.AsObject().Where(o => Methods.Any(m => m.Method.Equals(o.Key, StringComparison.OrdinalIgnoreCase))).Select(o =>
            {
                var method = Methods.Single(m => m.Method.Equals(o.Key, StringComparison.OrdinalIgnoreCase));
                var path = Parameter().Replace(p.Key, m => m.Value == "{version}" ? "1" : Guid.Empty.ToString());
                return (o.Value!["operationId"]!.GetValue<string>(), method, path, o.Value!["requestBody"]?["content"]?.AsObject().First().Key ?? "application/json");
            })),
        ];
    }

    private static HttpRequestMessage Request(HttpMethod method, string path, string? token = null, string type = "application/json")
    {
        var request = new HttpRequestMessage(method, path);
        if (method != HttpMethod.Get)
        {
            request.Content = new StringContent("{}", System.Text.Encoding.UTF8, type);
        }

        if (token is not null)
        {
            request.Headers.Add("X-SetFirm-Token", token);
        }

        return request;
    }

    [GeneratedRegex("type=\"hidden\" name=\"([^\"]+)\" value=\"([^\"]+)\"")]
    private static partial Regex Hidden();

    [GeneratedRegex(@"\{[^}]+\}")]
    private static partial Regex Parameter();

    /// <summary>A device that has joined.</summary>
    private sealed record Device(HttpClient Http, CookieContainer Cookies, string Token, string Flags) : IDisposable
    {
        public Task<HttpResponseMessage> SendAsync(HttpMethod method, string path, string body, string? ifMatch = null, bool withToken = true, string? origin = null, string? host = null)
        {
            var request = Request(method, path, withToken ? Token : null);
            request.Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");
            if (ifMatch is not null)
            {
                request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
            }

            if (origin is not null)
            {
                request.Headers.Add("Origin", origin);
            }

            if (host is not null)
            {
                request.Headers.Host = host;
            }

            return Http.SendAsync(request, TestContext.Current.CancellationToken);
        }

        public void Dispose() => Http.Dispose();
    }
}
