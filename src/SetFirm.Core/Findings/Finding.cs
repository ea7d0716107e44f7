using System.Text.Json.Serialization;

namespace SetFirm.Core.Findings;

/// <summary>How much a finding matters.</summary>
public enum Severity
{
    /// <summary>Worth knowing.</summary>
    Note,

    /// <summary>Hands can be hurt here; it stands where the hand is about to do the thing.</summary>
    Caution,

    /// <summary>A decision is wanted: the plan holds, but something in it will likely go wrong.</summary>
    Warning,

    /// <summary>Part of the plan cannot be worked out until this is mended.</summary>
    Error,
}

/// <summary>What a finding says, with its facts. A closed family: every room states its own beside the rule, words belong to the browser.</summary>
/// <remarks>Facts carry their unit at the end of their name: Mm, M, L, Kg, C, Min, Mpa, Pct, KgM2H.</remarks>
public abstract partial record Notice
{
    private Notice()
    {
    }
}

/// <summary>What a remedy does, with the effect it would have. A closed family, stated by the rooms like <see cref="Notice"/>.</summary>
public abstract partial record Mend
{
    private Mend()
    {
    }
}

/// <summary>One change to the document: where, and the text, number or yes to stand there. All null clears the field.</summary>
public sealed record Edit(Place Path, string? Text = null, double? Number = null, bool? Yes = null);

/// <summary>A way out that the app can take for the user.</summary>
/// <param name="Does">What it does, and to what effect.</param>
/// <param name="Edits">To the document.</param>
public sealed record Remedy(Mend Does, IReadOnlyList<Edit> Edits);

/// <summary>Something the planner noticed.</summary>
/// <param name="Severity">How much it matters.</param>
/// <param name="Where">Place in the document.</param>
/// <param name="Says">What, with its facts.</param>
/// <param name="Remedies">Ways out, best first; may be empty.</param>
[method: JsonConstructor]
public sealed record Finding(Severity Severity, Place Where, Notice Says, IReadOnlyList<Remedy> Remedies)
{
    public Finding(Severity severity, Place where, Notice says)
        : this(severity, where, says, [])
    {
    }

    /// <summary>That there are so many more like it.</summary>
    internal Finding More(int count) => new(Severity, Where, new Notice.MoreLikeIt(Count: count));

    /// <summary>With a way out where there is one.</summary>
    public Finding Mending(Remedy? remedy) => remedy is null ? this : WithRemedies(remedy);

    public Finding WithRemedies(params ReadOnlySpan<Remedy> remedies) => this with { Remedies = remedies.ToArray() };
}
