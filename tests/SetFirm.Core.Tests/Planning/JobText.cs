using System.Text.Json;
using System.Text.Json.Nodes;
using SetFirm.Core.Job;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A job as JSON, to change by pointer and read back.</summary>
internal static class JobText
{
    public static JsonNode Node(JobDocument job) => JsonNode.Parse(JobFile.Write(job))!;

    public static JobRead TryRead(string json)
    {
        using var parsed = JsonDocument.Parse(json);
        return JobFile.Read(parsed.RootElement);
    }

    public static JobDocument Read(JsonNode node) => TryRead(node.ToJsonString()).ShouldBeOfType<JobRead.Ok>().Document;

    public static JsonNode Set(JsonNode job, string pointer, JsonNode? value)
    {
        var parts = pointer.Split('/')[1..];
        var at = job;
        foreach (var part in parts[..^1])
        {
            at = At(at, part);
        }

        if (at is JsonArray list)
        {
            list[int.Parse(parts[^1], System.Globalization.CultureInfo.InvariantCulture)] = Whole(value);
        }
        else
        {
            at[parts[^1]] = Whole(value);
        }

        return job;
    }

    private static JsonNode At(JsonNode node, string part) => node is JsonArray list
        ? list[int.Parse(part, System.Globalization.CultureInfo.InvariantCulture)]!
        : node[part] ??= new JsonObject();

    // 3.0 as the browser writes it: 3.
    private static JsonNode? Whole(JsonNode? value) =>
        value is JsonValue v && v.TryGetValue<double>(out var d) && d == Math.Floor(d) && Math.Abs(d) < 1e9 ? JsonValue.Create((long)d) : value;
}
