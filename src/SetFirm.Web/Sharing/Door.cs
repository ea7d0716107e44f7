using System.Net;
using System.Security.Claims;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Sharing;

/// <summary>Who is at the door: the machine itself plans; a device of the household does what it was let in for; a stranger sees where to join, and nothing else.</summary>
internal sealed class Door(RequestDelegate next, IAntiforgery antiforgery, Sharing sharing)
{
    public const string Scheme = "device";

    /// <summary>What a device that is not the machine itself sends with whatever changes something.</summary>
    public const string TokenHeader = "X-SetFirm-Token";

    private const string DeviceClaim = "device";

    private static readonly ClaimsPrincipal ThisMachine = Of(Guid.Empty, DeviceRole.Plan);

    public async Task InvokeAsync(HttpContext http)
    {
        ArgumentNullException.ThrowIfNull(http);
        if (!IsFar(http))
        {
            http.User = ThisMachine;
            await next(http);
            return;
        }

        // A connection may outlive the door by which it came.
        if (!sharing.IsOn)
        {
            await Problems.NotJoined().ExecuteAsync(http);
            return;
        }

        var joining = http.Request.Path.StartsWithSegments(JoinEndpoints.Path, StringComparison.Ordinal);
        if (sharing.IsSafe && !http.Request.IsHttps && !joining)
        {
            http.Response.Redirect($"https://{http.Request.Host.Host}:{sharing.SafePort}/");
            return;
        }

        var user = (await http.AuthenticateAsync(Scheme)).Principal;
        http.User = user ?? new ClaimsPrincipal();
        if (user is null && !joining)
        {
            if (HttpMethods.IsGet(http.Request.Method) && http.Request.Headers.Accept.ToString().Contains("text/html", StringComparison.Ordinal))
            {
                http.Response.Redirect(JoinEndpoints.Path);
                return;
            }

            await Problems.NotJoined().ExecuteAsync(http);
            return;
        }

        if (Changes(http.Request) && !await antiforgery.IsRequestValidAsync(http))
        {
            if (joining)
            {
                http.Response.Redirect(JoinEndpoints.Path); // the page stood too long: with a new one
                return;
            }

            await Problems.NoToken().ExecuteAsync(http);
            return;
        }

        await next(http);
    }

    /// <summary>It does not come from the machine itself.</summary>
    public static bool IsFar(HttpContext http) =>
        http.Features.Get<ByHomeNetwork>() is not null || (http.Connection.RemoteIpAddress is { } from && !IPAddress.IsLoopback(from));

    public static ClaimsPrincipal Of(Guid device, DeviceRole role) => new(new ClaimsIdentity(
        [new Claim(ClaimTypes.Role, role.ToString()), new Claim(DeviceClaim, device.ToString("D"))], Scheme));

    /// <summary>Id of the device; empty for the machine itself.</summary>
    public static Guid DeviceOf(ClaimsPrincipal user) => Guid.TryParse(user.FindFirstValue(DeviceClaim), out var id) ? id : Guid.Empty;

    public static DeviceRole RoleOf(ClaimsPrincipal user) => Enum.TryParse<DeviceRole>(user.FindFirstValue(ClaimTypes.Role), out var role) ? role : DeviceRole.Look;

    /// <summary>Cookies of devices: for this program only, seen by no script, and good as long as the device is welcome.</summary>
    public static void Cookies(CookieAuthenticationOptions options)
    {
        options.Cookie.Name = "setfirm-device";
        options.Cookie.HttpOnly = true;
        options.Cookie.SameSite = SameSiteMode.Strict;
        options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        options.ExpireTimeSpan = TimeSpan.FromDays(180);
        options.SlidingExpiration = true;
        options.Events.OnValidatePrincipal = context =>
        {
            var devices = context.HttpContext.RequestServices.GetRequiredService<Devices>();
            if (context.Principal is { } user && devices.Find(DeviceOf(user)) is { } device)
            {
                devices.Seen(device);
                context.ReplacePrincipal(Of(device.Id, device.Role));
            }
            else
            {
                context.RejectPrincipal();
            }

            return Task.CompletedTask;
        };
        options.Events.OnRedirectToLogin = context => Problems.NotJoined().ExecuteAsync(context.HttpContext);
        options.Events.OnRedirectToAccessDenied = context => Problems.NotForThisDevice(RoleOf(context.HttpContext.User)).ExecuteAsync(context.HttpContext);
    }

    // The live channel changes nothing; it is opened with the same cookie, from our own page only.
    private static bool Changes(HttpRequest request) =>
        !HttpMethods.IsGet(request.Method) && !HttpMethods.IsHead(request.Method) && !HttpMethods.IsOptions(request.Method)
        && !request.Path.StartsWithSegments(Live.NewsHub.Path, StringComparison.OrdinalIgnoreCase);
}
