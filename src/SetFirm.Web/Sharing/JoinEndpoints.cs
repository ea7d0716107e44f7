using System.Net;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using NodaTime;

namespace SetFirm.Web.Sharing;

/// <summary>The one page that a stranger sees: a code is typed, and the device is let in. It needs no script, and stands by itself.</summary>
internal static class JoinEndpoints
{
    public const string Path = "/join";
    private const int LongestName = 40;

    private static readonly HtmlEncoder Html = HtmlEncoder.Default;

    public static void MapJoin(this IEndpointRouteBuilder app)
    {
        app.MapGet(Path, Page).AllowAnonymous().ExcludeFromDescription();
        app.MapPost(Path, JoinAsync).AllowAnonymous().ExcludeFromDescription();
        app.MapGet(Path + "/certificate", (HomeCertificate certificate, Sharing sharing) =>
                sharing.IsSafe ? Results.Bytes(certificate.Authority(), "application/x-x509-ca-cert", "set-firm.crt") : Results.NotFound())
            .AllowAnonymous().ExcludeFromDescription();
    }

    private static IResult Page(HttpContext http, IAntiforgery antiforgery, Sharing sharing, string? code) =>
        Door.IsFar(http) && !(http.User.Identity?.IsAuthenticated ?? false) ? Written(http, antiforgery, sharing, code ?? "", null, 200) : Results.Redirect("/");

    private static async Task<IResult> JoinAsync(HttpContext http, IAntiforgery antiforgery, Sharing sharing, Invitations invitations, Devices devices)
    {
        if (!Door.IsFar(http))
        {
            return Results.Redirect("/");
        }

        if (!http.Request.HasFormContentType)
        {
            return Written(http, antiforgery, sharing, "", "Type the code that stands on the other screen.", 400);
        }

        var form = await http.Request.ReadFormAsync(http.RequestAborted);
        var (code, name) = (form["code"].ToString(), form["name"].ToString().Trim());
        var (tried, role) = invitations.Try(code.Length > 100 ? "" : code, http.Connection.RemoteIpAddress ?? IPAddress.None);
        if (tried != CodeTried.Good)
        {
            return tried == CodeTried.TooMany
                ? Written(http, antiforgery, sharing, "", "That was wrong too often. Wait ten minutes, and try again.", 429)
                : Written(http, antiforgery, sharing, "", "That is not the code, or it is good no longer. Have a new one shown.", 403);
        }

        if (devices.Join(name is "" ? "A device" : name.Length > LongestName ? name[..LongestName] : name, role) is not { } device)
        {
            return Written(http, antiforgery, sharing, code, "As many devices have joined as may. Have one sent off that is needed no more.", 409);
        }

        await http.SignInAsync(Door.Scheme, Door.Of(device.Id, device.Role), new AuthenticationProperties { IsPersistent = true });
        return Results.Redirect("/");
    }

    private static IResult Written(HttpContext http, IAntiforgery antiforgery, Sharing sharing, string code, string? wrong, int status)
    {
        var token = antiforgery.GetAndStoreTokens(http);
        http.Response.Headers.CacheControl = "no-store";
        var safe = sharing.IsSafe && !http.Request.IsHttps
            ? $"""
               <p>This household uses HTTPS. Have this device trust its <a href="{Path}/certificate">certificate</a> first, then go to
               <a href="https://{Html.Encode(http.Request.Host.Host)}:{sharing.SafePort}{Path}{(code is "" ? "" : "?code=" + UrlEncoder.Default.Encode(code))}">the safe place to join</a>.</p>
               """
            : "";
        return Results.Content(
            $$"""
            <!doctype html>
            <html lang="en">
            <meta charset="utf-8">
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <link rel="icon" href="data:,">
            <title>Join – Set Firm</title>
            <style>
              :root { color-scheme: light dark; --ink: #1d282e; --ground: #f4f2ed; --line: #1d54a8; --wrong: #a13d00; }
              @media (prefers-color-scheme: dark) { :root { --ink: #e9e6de; --ground: #141b1f; --line: #7fa9ea; --wrong: #ffb37a; } }
              body { margin: 0; font: 18px/1.5 sans-serif; color: var(--ink); background: var(--ground); }
              header { padding: 14px 20px; background: #25343b; color: #f4f2ed; border-bottom: 3px solid #5e92e2; font-weight: 650; }
              main { max-width: 26rem; margin: 0 auto; padding: 20px; }
              h1 { font-size: 1.5rem; margin: 0 0 8px; }
              label { display: block; margin: 16px 0 4px; font-weight: 650; }
              input { box-sizing: border-box; width: 100%; padding: 12px; font: inherit; color: inherit; background: transparent; border: 2px solid currentColor; border-radius: 3px; }
              input[name=code] { font-size: 1.6rem; letter-spacing: .15em; text-transform: uppercase; }
              button { width: 100%; margin-top: 20px; padding: 14px; font: inherit; font-weight: 650; color: var(--ground); background: var(--line); border: 0; border-radius: 3px; }
              :focus-visible { outline: 3px solid var(--line); outline-offset: 2px; }
              .wrong { color: var(--wrong); font-weight: 650; } a { color: var(--line); }
            </style>
            <header>Set Firm</header>
            <main>
              <h1>Join this household</h1>
              <p>Type the code that stands on the screen of whoever asked you.</p>
              {{(wrong is null ? "" : $"""<p class="wrong" role="alert">{Html.Encode(wrong)}</p>""")}}
              {{safe}}
              <form method="post" action="{{Path}}">
                <input type="hidden" name="{{token.FormFieldName}}" value="{{token.RequestToken}}">
                <label for="code">Code</label>
                <input id="code" name="code" value="{{Html.Encode(code)}}" maxlength="20" autocomplete="off" autocapitalize="characters" spellcheck="false" required>
                <label for="name">What this device is called</label>
                <input id="name" name="name" maxlength="{{LongestName}}" placeholder="Odd's phone" autocomplete="off">
                <button>Join</button>
              </form>
            </main>
            </html>
            """,
            "text/html; charset=utf-8", statusCode: status);
    }
}
