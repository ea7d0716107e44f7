using System.Globalization;
using System.Text.Json;
using SetFirm.Core.Job;

namespace SetFirm.Answers;

/// <summary>Why something is not answered: a problem with a type that stays, wherever it was asked.</summary>
/// <param name="Status">As HTTP counts.</param>
/// <param name="Type">Its last part.</param>
/// <param name="Title">For a person.</param>
/// <param name="Detail">What to do, or what exactly is wrong.</param>
/// <param name="Path">JSON path of the part that is wrong; null where it is no part.</param>
public sealed record Refusal(int Status, string Type, string Title, string Detail, string? Path = null)
{
    /// <summary>Before each type.</summary>
    public const string Urn = "urn:setfirm:problem:";

    /// <summary>As it stands in an answer (RFC 9457).</summary>
    public IReadOnlyDictionary<string, string> Told => new Dictionary<string, string?> { ["type"] = Urn + Type, ["title"] = Title, ["detail"] = Detail, ["path"] = Path }
        .Where(p => p.Value is not null).ToDictionary(p => p.Key, p => p.Value!);

    public static Refusal Unreadable(JsonException e)
    {
        ArgumentNullException.ThrowIfNull(e);
        return new(400, "unreadable-json", "The body is not readable JSON.", $"It breaks off or goes wrong at line {e.LineNumber + 1}, character {e.BytePositionInLine + 1}.");
    }

    public static Refusal Missing(string path) => new(422, "missing-field", "A part is missing.", $"{path} is wanted.", path);

    /// <summary>No fault of the planner: there is more in it than anybody pours.</summary>
    public static Refusal TooMuchToPlan(TimeSpan most) => new(
        422, "too-much-to-plan", "There is too much in this to plan.",
        string.Create(CultureInfo.InvariantCulture, $"It was not done in {most.TotalSeconds:0.#} seconds. Is a length or a thickness wrong? What you typed is kept."));

    /// <summary>What was wrong with a job file; never called for a sound one.</summary>
    public static Refusal Of(JobRead read) => read switch
    {
        JobRead.NotAJob => new(422, "not-a-job", "This is not a Set Firm job.", $"Its format must be \"{JobDocument.FormatName}\".", "$.format"),
        JobRead.Newer newer => new(
            422, "newer-version", "This job was written by a newer Set Firm.",
            $"It has version {newer.Version}; this Set Firm reads up to {newer.Known}. Nothing was changed.", "$.version"),
        JobRead.Unreadable at => new(422, "unreadable-field", "A part of the job could not be read.", $"{at.Path}: {at.Reason}.", at.Path),
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
