using System.Collections.Concurrent;
using System.Text.Json;

[assembly: AssemblyFixture(typeof(SetFirm.Tests.Raised))]

namespace SetFirm.Tests;

/// <summary>Which findings and ways out the tests have seen, written down at the end of a run: a run that leaves one of the contract out fails.</summary>
public sealed class Raised : IDisposable
{
    private static readonly ConcurrentDictionary<string, bool> Seen = new();

    /// <param name="code">As on the wire.</param>
    internal static void Note(string code) => Seen.TryAdd(code, true);

    public void Dispose()
    {
        var folder = Path.Combine(Root(), "artifacts", "raised");
        Directory.CreateDirectory(folder);
        File.WriteAllText(Path.Combine(folder, $"{typeof(Raised).Assembly.GetName().Name}.json"), JsonSerializer.Serialize(Seen.Keys.Order()));
    }

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !File.Exists(Path.Combine(at.FullName, "SetFirm.slnx")))
        {
            at = at.Parent;
        }

        return at?.FullName ?? throw new DirectoryNotFoundException("SetFirm.slnx");
    }
}
