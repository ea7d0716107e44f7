using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Job;

/// <summary>A job with changes made to it, as a way out or a choice has them.</summary>
public static class JobEdits
{
    /// <returns>Null where what comes of it is no job.</returns>
    /// <param name="job">Before.</param>
    /// <param name="edits">One after the other.</param>
    public static JobDocument? Made(JobDocument job, IEnumerable<Edit> edits)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(edits);
        var json = JsonSerializer.SerializeToNode(job, JobFile.Options)!;
        foreach (var edit in edits)
        {
            Set(json, edit);
        }

        using var text = JsonDocument.Parse(json.ToJsonString());
        return JobFile.Read(text.RootElement) is JobRead.Ok { Document: var made } ? made with { Learnt = job.Learnt } : null;
    }

    private static void Set(JsonNode at, Edit edit)
    {
        // RFC 6901; names of members hold neither of its two escapes.
        var parts = edit.Path.Path.Split('/')[1..];
        foreach (var part in parts[..^1])
        {
            at = at is JsonArray list ? list[Index(part)]! : at[part] ??= new JsonObject();
        }

        JsonNode? value = edit.Text is { } text ? text : edit.Number is { } number ? number : edit.Yes is { } yes ? yes : null;
        if (at is JsonArray rows)
        {
            rows[Index(parts[^1])] = value;
        }
        else
        {
            at[parts[^1]] = value;
        }
    }

    private static int Index(string part) => int.Parse(part, CultureInfo.InvariantCulture);
}
