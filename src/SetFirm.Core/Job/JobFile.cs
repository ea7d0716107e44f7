using System.Runtime.InteropServices;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace SetFirm.Core.Job;

/// <summary>What came of reading a job file.</summary>
public abstract record JobRead
{
    private JobRead()
    {
    }

    public sealed record Ok(JobDocument Document) : JobRead;

    public sealed record NotAJob : JobRead;

    /// <summary>Written by a newer Set Firm.</summary>
    public sealed record Newer(int Version, int Known) : JobRead;

    /// <param name="Path">JSON path of the part that could not be read.</param>
    /// <param name="Reason">What the reader says, without our type names.</param>
    public sealed record Unreadable(string Path, string Reason) : JobRead;
}

/// <summary>The job file: its JSON form, its version and its schema. One home for how a document crosses any border.</summary>
public static class JobFile
{
    /// <summary>Deeper nesting than a job ever has is refused.</summary>
    public const int MaxDepth = 16;

    public static JsonSerializerOptions Options { get; } = MakeOptions();

    /// <summary>Reads a job from parsed JSON; never throws on what it holds.</summary>
    public static JobRead Read(JsonElement json)
    {
        try
        {
            return Gate(json) ?? (json.GetProperty("version").GetInt32() < JobDocument.CurrentVersion ? Older(json) : Parsed(JsonMarshal.GetRawUtf8Value(json)));
        }
        catch (JsonException e)
        {
            return new JobRead.Unreadable(e.Path ?? "$", Plain(e.Message));
        }
        catch (NotSupportedException e)
        {
            // The reader's way of saying that a variant has no kind; its sentence holds the path.
            return new JobRead.Unreadable(PathIn(e.Message), "its kind is wanted");
        }
        catch (InvalidOperationException)
        {
            // Half a surrogate pair is sound JSON and no sound text.
            return new JobRead.Unreadable("$", "a text in it is not whole Unicode");
        }
    }

    public static string Write(JobDocument document) => JsonSerializer.Serialize(document, Options);

    /// <summary>JSON Schema (2020-12) of the job file.</summary>
    public static JsonNode Schema()
    {
        var schema = Options.GetJsonSchemaAsNode(typeof(JobDocument), new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true });
        schema["$schema"] = "https://json-schema.org/draft/2020-12/schema";
        schema["title"] = "Set Firm job";
        schema["properties"]!["format"]!["const"] = JobDocument.FormatName;
        schema["properties"]!["version"]!["const"] = JobDocument.CurrentVersion;
        return schema;
    }

    // What must be known before the rest may be read at all.
    private static JobRead? Gate(JsonElement json)
    {
        if (json.ValueKind != JsonValueKind.Object
            || !json.TryGetProperty("format", out var format) || format.ValueKind != JsonValueKind.String
            || format.GetString() != JobDocument.FormatName)
        {
            return new JobRead.NotAJob();
        }

        if (!json.TryGetProperty("version", out var version) || version.ValueKind != JsonValueKind.Number || !version.TryGetInt32(out var number) || number < 1)
        {
            return new JobRead.Unreadable("$.version", "a whole number from 1 is wanted");
        }

        return number > JobDocument.CurrentVersion ? new JobRead.Newer(number, JobDocument.CurrentVersion)
            : FiniteNumbers.Beyond(json) is { } path ? new JobRead.Unreadable(path, FiniteNumbers.Reason)
            : null;
    }

    // From the bytes behind the element: reading the element itself takes more than twice as long.
    private static JobRead Parsed(ReadOnlySpan<byte> json) =>
        JsonSerializer.Deserialize<JobDocument>(json, Options) is not { } document ? new JobRead.NotAJob()
        : document.Mixes.Count == 0 ? new JobRead.Unreadable("$.mixes", "one mix is wanted at the least")
        : NullIn(document) is { } path ? new JobRead.Unreadable(path, "null stands where something is wanted")
        : new JobRead.Ok(document);

    private static JobRead Older(JsonElement json)
    {
        try
        {
            return Parsed(JsonSerializer.SerializeToUtf8Bytes(JobUpgrade.ToCurrent(JsonObject.Create(json)!)));
        }
        catch (ArgumentException)
        {
            return new JobRead.Unreadable("$", "a name stands twice in it");
        }
    }

    // The reader refuses null for a property, but not inside a list.
    private static string? NullIn(JobDocument document)
    {
        (string Path, IEnumerable<object?> Items)[] lists =
        [
            ("$.elements", document.Elements),
            ("$.mixes", document.Mixes),
            ("$.pours", document.Pours),
            .. document.Pours.Select((p, i) => ($"$.pours[{i}].parts", (IEnumerable<object?>)(p?.Parts ?? []))),
            ("$.build.stock", document.Build.Stock),
            ("$.buy.prices", document.Buy.Prices),
            ("$.buy.shed", document.Buy.Shed),
            ("$.buy.extras", document.Buy.Extras),
            ("$.buy.bags", document.Buy.Bags),
            ("$.buy.gear", document.Buy.Gear),
            ("$.cure.coats", document.Cure.Coats),
            .. document.Elements.SelectMany((e, i) => e is null ? [] : e.Lists.Select(l => ($"$.elements[{i}].{l.Name}", l.Items))),
        ];
        foreach (var (path, items) in lists)
        {
            var at = 0;
            foreach (var item in items)
            {
                if (item is null)
                {
                    return $"{path}[{at}]";
                }

                at++;
            }
        }

        return null;
    }

    private static string PathIn(string message)
    {
        const string mark = " Path: ";
        var from = message.IndexOf(mark, StringComparison.Ordinal);
        var to = from < 0 ? -1 : message.IndexOf(" |", from, StringComparison.Ordinal);
        return to < 0 ? "$" : message[(from + mark.Length)..to];
    }

    // The reader's sentence without the names of our types and the position that follows it.
    private static string Plain(string message)
    {
        var end = message.IndexOf(" Path: ", StringComparison.Ordinal);
        var sentence = end < 0 ? message : message[..end];
        return sentence.Contains("SetFirm.", StringComparison.Ordinal) || sentence.Contains("System.", StringComparison.Ordinal)
            ? "the value is missing, unknown or of another kind"
            : sentence;
    }

    // What is ignored is otherwise read and dropped: a field of that name in a file would be lost without a word.
    private static void ForgetIgnored(JsonTypeInfo info)
    {
        for (var i = info.Properties.Count - 1; i >= 0; i--)
        {
            if (info.Properties[i] is { Get: null, Set: null })
            {
                info.Properties.RemoveAt(i);
            }
        }
    }

    private static JsonSerializerOptions MakeOptions()
    {
        var options = new JsonSerializerOptions(JsonSerializerOptions.Strict)
        {
            PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
            PropertyNameCaseInsensitive = false,
            AllowOutOfOrderMetadataProperties = true,
            NumberHandling = JsonNumberHandling.Strict,
            MaxDepth = MaxDepth,
            WriteIndented = true,
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
            TypeInfoResolver = new DefaultJsonTypeInfoResolver().WithAddedModifier(ForgetIgnored),
        };
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }
}
