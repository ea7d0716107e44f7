using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;

namespace SetFirm.Web.Wire;

/// <summary>The planner that the page takes along, as files: published beside the service, packed as they were then.</summary>
/// <remarks>It may be published after the service began: until then there are none, and the page asks again later.</remarks>
internal sealed class PlannerFiles : IDisposable
{
    private const string Path = "/planner";
    private const string Packed = ".br";

    /// <summary>The one file whose name says nothing of what is in it.</summary>
    private const string LoaderName = "dotnet.js";
    private const string Folder = "/_framework";
    private const string LoaderPath = Folder + "/" + LoaderName;

    private readonly PhysicalFileProvider? files;

    /// <param name="configuration"><c>SetFirm:Planner</c> is the folder; empty for none, <c>planner</c> beside the program's pages where nothing is said.</param>
    /// <param name="environment">Knows where those are.</param>
    public PlannerFiles(IConfiguration configuration, IWebHostEnvironment environment)
    {
        var folder = configuration["SetFirm:Planner"] ?? System.IO.Path.Combine(environment.ContentRootPath, "planner");
        if (folder.Length > 0)
        {
            files = new PhysicalFileProvider(Directory.CreateDirectory(System.IO.Path.GetFullPath(folder)).FullName);
        }
    }

    /// <summary>Where its loader is; null while there is none.</summary>
    public string? Loader => files?.GetFileInfo(LoaderPath).Exists == true ? Path + LoaderPath : null;

    /// <summary>Paths of all of it, in order of names; empty while there is no loader, which comes last of all.</summary>
    public IReadOnlyList<string> All() => Loader is null || files is null ? [] :
    [
        .. files.GetDirectoryContents(Folder).Where(f => !f.IsDirectory && !f.Name.EndsWith(Packed, StringComparison.Ordinal)).Select(f => $"{Path}{Folder}/{f.Name}").Order(StringComparer.Ordinal),
    ];

    public void Serve(IApplicationBuilder app)
    {
        if (files is null)
        {
            return;
        }

        app.Use((http, next) =>
        {
            var path = http.Request.Path;
            if (path.StartsWithSegments(Path, out var within) && Takes(http.Request) && files.GetFileInfo(within + Packed).Exists)
            {
                http.Request.Path = path + Packed;
            }

            return next(http);
        });
        app.UseStaticFiles(new StaticFileOptions { RequestPath = Path, FileProvider = files, ContentTypeProvider = new PackedTypes(), OnPrepareResponse = Describe });
    }

    public void Dispose() => files?.Dispose();

    private static bool Takes(HttpRequest request) => request.Headers.AcceptEncoding.ToString().Split(',').Any(e => e.Split(';')[0].Trim().Equals("br", StringComparison.OrdinalIgnoreCase));

    private static void Describe(StaticFileResponseContext file)
    {
        var headers = file.Context.Response.Headers;
        headers.Vary = "Accept-Encoding";
        if (file.File.Name.EndsWith(Packed, StringComparison.Ordinal))
        {
            headers.ContentEncoding = "br";
        }

        headers.CacheControl = file.File.Name is LoaderName or LoaderName + Packed ? "no-cache" : "public, max-age=31536000, immutable";
    }

    /// <summary>What is in a packed file, by the name it had before.</summary>
    private sealed class PackedTypes : IContentTypeProvider
    {
        private readonly FileExtensionContentTypeProvider plain = new();

        public bool TryGetContentType(string subpath, [System.Diagnostics.CodeAnalysis.MaybeNullWhen(false)] out string contentType) =>
            plain.TryGetContentType(subpath.EndsWith(Packed, StringComparison.Ordinal) ? subpath[..^Packed.Length] : subpath, out contentType);
    }
}
