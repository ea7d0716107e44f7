using System.Runtime.CompilerServices;

namespace SetFirm.Core.Tests;

/// <summary>Files of the repository, found from where this one was compiled.</summary>
internal static class Repository
{
    private static readonly string Root = Path.GetFullPath(Path.Combine(Path.GetDirectoryName(Here())!, "../.."));

    public static string File(string path) => Path.Combine(Root, path);

    private static string Here([CallerFilePath] string here = "") => here;
}
