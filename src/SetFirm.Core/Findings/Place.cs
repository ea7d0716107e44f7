using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace SetFirm.Core.Findings;

/// <summary>A place in the job document: a JSON pointer (RFC 6901). <see cref="Places"/> names those that rules point at.</summary>
/// <remarks>There is no way from a text to a place: a name is a member of a document type, given by <c>nameof</c>, so that a misspelt one does not compile.</remarks>
[JsonConverter(typeof(PlaceConverter))]
public readonly record struct Place
{
    private static readonly ConcurrentDictionary<string, string> Written = new(StringComparer.Ordinal);

    private readonly string? path;

    private Place(string path) => this.path = path;

    /// <summary>The whole document.</summary>
    public static Place Root => default;

    /// <summary>As a JSON pointer; the root's is empty.</summary>
    public string Path => path ?? "";

    /// <summary>A part of this place, by the name of its member.</summary>
    /// <param name="member">By <c>nameof</c>.</param>
    public Place At(string member) => new($"{path}/{Written.GetOrAdd(member, JsonNamingPolicy.CamelCase.ConvertName)}");

    /// <summary>One of the list at this place, from 0.</summary>
    public Place this[int index] => new($"{path}/{index}");

    /// <summary>Of a file that is read in: its line, from 1.</summary>
    public static Place Line(int line) => Root.At(nameof(Line))[line];

    /// <summary>The part of the job that it lies in: the first member of its path; empty at the root.</summary>
    public string Part => Path is ['/', .. var rest] ? rest.IndexOf('/', StringComparison.Ordinal) is >= 0 and var end ? rest[..end] : rest : "";

    /// <summary>At the other place or inside it.</summary>
    public bool IsUnder(Place other) =>
        Path.StartsWith(other.Path, StringComparison.Ordinal) && (Path.Length == other.Path.Length || Path[other.Path.Length] == '/');

    public override string ToString() => Path;

    public sealed class PlaceConverter : JsonConverter<Place>
    {
        public override Place Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => new(reader.GetString() ?? "");

        public override void Write(Utf8JsonWriter writer, Place value, JsonSerializerOptions options) => writer.WriteStringValue(value.Path);
    }
}
