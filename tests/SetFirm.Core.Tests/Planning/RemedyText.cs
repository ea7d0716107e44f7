using System.Text.Json.Nodes;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Takes a way out as the page does: each edit set by its pointer.</summary>
internal static class RemedyText
{
    public static JobDocument Taken(JobDocument job, Remedy remedy) => JobText.Read(remedy.Edits.Aggregate(JobText.Node(job), (node, edit) => JobText.Set(node, edit.Path.Path, Value(edit))));

    private static JsonValue? Value(Edit edit) => edit switch
    {
        { Text: { } text } => JsonValue.Create(text),
        { Number: { } number } => JsonValue.Create(number),
        { Yes: { } yes } => JsonValue.Create(yes),
        _ => null,
    };
}
