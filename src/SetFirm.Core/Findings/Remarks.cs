namespace SetFirm.Core.Findings;

/// <summary>Gathers what rooms have to say while a job is planned: findings, and why each figure is what it is.</summary>
/// <param name="budget">What the plan may take; null takes one of its own.</param>
public class Remarks(Budget? budget = null)
{
    private readonly List<Finding> findings = [];
    private readonly Dictionary<(Type Says, Severity Severity, string Part), (int Count, int Last)> alike = [];
    private readonly List<Explanation> explanations = [];

    public Budget Budget { get; } = budget ?? new Budget();

    /// <summary>In the order in which they were found; of many of one kind the first, and how many more.</summary>
    public IReadOnlyList<Finding> Findings
    {
        get
        {
            var more = alike.Where(a => a.Value.Count > Budget.MostAlike).ToDictionary(a => a.Value.Last, a => a.Value.Count - Budget.MostAlike);
            return more.Count == 0 ? findings : [.. findings.SelectMany((f, i) => more.TryGetValue(i, out var count) ? [f, f.More(count)] : new[] { f })];
        }
    }

    public IReadOnlyList<Explanation> Explanations => explanations;

    public void Add(Finding finding)
    {
        ArgumentNullException.ThrowIfNull(finding);
        // In each part of a job by itself: what blocks one step is not hidden by what is wrong with another.
        var kind = (finding.Says.GetType(), finding.Severity, finding.Where.Part);
        var (count, last) = alike.GetValueOrDefault(kind);
        if (count < Budget.MostAlike)
        {
            findings.Add(finding);
            last = findings.Count - 1;
        }

        alike[kind] = (count + 1, last);
    }

    public void Add(Explanation explanation) => explanations.Add(explanation);

    /// <summary>Says that a part of the plan cannot be worked out until this is mended.</summary>
    public void Fault(Place where, Notice says) => Add(new Finding(Severity.Error, where, says));

    /// <summary>Says that a decision is wanted.</summary>
    public void Warn(Place where, Notice says, params ReadOnlySpan<Remedy> remedies) => Add(new Finding(Severity.Warning, where, says, remedies.ToArray()));

    public void Note(Place where, Notice says, params ReadOnlySpan<Remedy> remedies) => Add(new Finding(Severity.Note, where, says, remedies.ToArray()));

    public void Caution(Place where, Notice says) => Add(new Finding(Severity.Caution, where, says));

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
