using System.Globalization;
using System.IO.Compression;
using System.Text.RegularExpressions;

namespace SetFirm.Bench;

/// <summary>What the browser fetches before the yard, and before each step, stands; gzip bytes. Goals: 200 kB of JavaScript for Day, 210 for Shape, 150 for the board.</summary>
internal static partial class FirstLoad
{
    public static int Print(string wwwroot)
    {
        var assets = Path.Combine(wwwroot, "assets");
        var html = File.ReadAllText(Path.Combine(wwwroot, "index.html"));
        var frame = Closure(assets, AssetName().Matches(html).Select(m => m.Groups[1].Value));
        string Chunk(string page) => Directory.EnumerateFiles(assets, $"{page}-*.js").Select(f => Path.GetFileName(f)).Single();
        HashSet<string> With(params string[] pages) => [.. frame.Union(Closure(assets, pages.Select(Chunk)))];
        Print("the yard", assets, With("YardPage"));
        foreach (var step in new[] { "Shape", "Mix", "Load", "Buy", "Day", "Cure" })
        {
            Print($"a job at {step}", assets, With("JobPage", $"{step}Step"));
        }

        Print("the board", assets, With("BoardPage"));
        return 0;
    }

    private static void Print(string what, string assets, HashSet<string> files)
    {
        double Kilobytes(string ending) => files.Where(f => f.EndsWith(ending, StringComparison.Ordinal)).Sum(f => Gzip(Path.Combine(assets, f))) / 1000.0;
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{what,-16} JavaScript {Kilobytes(".js"),7:0.0} kB gzip   styles {Kilobytes(".css"),6:0.0} kB"));
    }

    // Chunks name the chunks that they import at once by "./name.js"; those of an import() are fetched later and are not followed.
    private static HashSet<string> Closure(string assets, IEnumerable<string> from)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        var waiting = new Queue<string>(from);
        while (waiting.TryDequeue(out var file))
        {
            if (!seen.Add(file) || !file.EndsWith(".js", StringComparison.Ordinal))
            {
                continue;
            }

            foreach (Match import in StaticImport().Matches(File.ReadAllText(Path.Combine(assets, file))))
            {
                waiting.Enqueue(import.Groups[1].Value);
            }
        }

        return seen;
    }

    private static long Gzip(string file)
    {
        using var packed = new MemoryStream();
        using (var gzip = new GZipStream(packed, CompressionLevel.Optimal, leaveOpen: true))
        {
            gzip.Write(File.ReadAllBytes(file));
        }

        return packed.Length;
    }

    [GeneratedRegex("""/assets/([\w.-]+\.(?:js|css))""")]
    private static partial Regex AssetName();

    [GeneratedRegex("""(?:from|import)\s*["']\./([\w.-]+\.js)["']""")]
    private static partial Regex StaticImport();
}
