namespace SetFirm.Web.Wire;

/// <summary>What changes something is done for this program's own page, or for a program that is no browser; never for another site's page.</summary>
/// <remarks>By what every browser says of where a request comes from: Sec-Fetch-Site, and where that is missing Origin. Source: OWASP, cross-site request forgery.</remarks>
internal sealed class SameSite(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext http)
    {
        ArgumentNullException.ThrowIfNull(http);
        var request = http.Request;
        var reads = !IsChannel(request) && (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method) || HttpMethods.IsOptions(request.Method));
        return reads || Own(request)
            ? next(http)
            : Problems.CrossSite().ExecuteAsync(http);
    }

    // A channel that stays open is one for both ways, and no browser asks before it opens one to another site.
    private static bool IsChannel(HttpRequest request) => request.Path.StartsWithSegments(Live.NewsHub.Path, StringComparison.OrdinalIgnoreCase);

    private static bool Own(HttpRequest request) =>
        request.Headers["Sec-Fetch-Site"] is { Count: > 0 } site ? site.ToString() is "same-origin" or "none"
        : request.Headers.Origin is not { Count: > 0 } origin
            || (Uri.TryCreate(origin.ToString(), UriKind.Absolute, out var from) && from.Authority.Equals(request.Host.Value, StringComparison.OrdinalIgnoreCase));
}

/// <summary>Headers of every answer, refusals and errors too.</summary>
internal static class Manners
{
    public static void UseManners(this IApplicationBuilder app) => app.Use((http, next) =>
    {
        // At the last moment: an error clears what was set before it.
        http.Response.OnStarting(() =>
        {
            var headers = http.Response.Headers;
            // Mantine writes style attributes; everything else comes from our own files. The planner that the page takes along is WebAssembly.
            headers.ContentSecurityPolicy =
                "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";
            headers.XContentTypeOptions = "nosniff";
            headers["Referrer-Policy"] = "no-referrer";
            if (http.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase) && headers.CacheControl.Count == 0)
            {
                headers.CacheControl = "no-store"; // nobody's jobs in a shared cache
            }

            return Task.CompletedTask;
        });
        return next(http);
    });
}
