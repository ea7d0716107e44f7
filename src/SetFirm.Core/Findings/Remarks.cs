namespace SetFirm.Core.Findings;

/// <summary>Gathers what rooms have to say while a job is planned: findings, and why each figure is what it is.</summary>
public class Remarks
{
    private readonly List<Finding> findings = [];
    private readonly List<Explanation> explanations = [];

    public IReadOnlyList<Finding> Findings => findings;

    public IReadOnlyList<Explanation> Explanations => explanations;

    public void Add(Finding finding) => findings.Add(finding);

    public void Add(Explanation explanation) => explanations.Add(explanation);

    /// <summary>Says that a part of the plan cannot be worked out until this is mended.</summary>
    public void Fault(Place where, Notice says) => findings.Add(new Finding(Severity.Error, where, says));

    /// <summary>Says that a decision is wanted.</summary>
    public void Warn(Place where, Notice says, params ReadOnlySpan<Remedy> remedies) => findings.Add(new Finding(Severity.Warning, where, says, remedies.ToArray()));

    public void Note(Place where, Notice says, params ReadOnlySpan<Remedy> remedies) => findings.Add(new Finding(Severity.Note, where, says, remedies.ToArray()));

    public void Caution(Place where, Notice says) => findings.Add(new Finding(Severity.Caution, where, says));

    /// <summary>Says why a figure is what it is.</summary>
    /// <param name="says">The formula with its values.</param>
    /// <param name="result">What came out.</param>
    /// <param name="sources">Whose formula it is.</param>
    public void Why(Why says, double result, params IReadOnlyList<Source> sources) => explanations.Add(new Explanation(says, "", result, sources));

    /// <summary>The same for a figure that occurs several times.</summary>
    /// <param name="of">What it was worked out for.</param>
    /// <param name="says">The formula with its values.</param>
    /// <param name="result">What came out.</param>
    /// <param name="sources">Whose formula it is.</param>
    public void WhyOf(string of, Why says, double result, params IReadOnlyList<Source> sources) => explanations.Add(new Explanation(says, of, result, sources));
}
