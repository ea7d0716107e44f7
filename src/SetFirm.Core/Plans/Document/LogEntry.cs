using NodaTime;

namespace SetFirm.Core.Plans.Document;

/// <summary>What was done or seen.</summary>
public enum LogKind
{
    /// <summary>It was wetted.</summary>
    Wetted,

    /// <summary>Something was laid over it against frost.</summary>
    Covered,

    /// <summary>And taken off.</summary>
    Uncovered,

    /// <summary>Its boards or its mould came off.</summary>
    FormsOff,

    /// <summary>A coat went on.</summary>
    Coated,

    /// <summary>An entry was a mistake and does not count.</summary>
    Struck,
}

/// <summary>One line of a job's diary. Lines are only added; a mistake is struck by another line.</summary>
public sealed record LogEntry
{
    /// <summary>Made where it was told: told twice, it is one.</summary>
    public required Guid Id { get; init; }

    /// <summary>When it happened.</summary>
    public required Instant At { get; init; }

    public required LogKind Kind { get; init; }

    /// <summary>For <see cref="LogKind.Coated"/>, which product of the job, from 0.</summary>
    public int? Product { get; init; }

    /// <summary>For <see cref="LogKind.Struck"/>, the entry that does not count.</summary>
    public Guid? Strikes { get; init; }

    public string Note { get; init; } = "";
}

/// <summary>The diary as it counts.</summary>
public static class Diary
{
    /// <summary>Entries that were not struck, each once, in the order in which they happened.</summary>
    public static IReadOnlyList<LogEntry> Of(IEnumerable<LogEntry> log)
    {
        var once = log.DistinctBy(e => e.Id).ToArray();
        var struck = once.Where(e => e.Kind == LogKind.Struck).Select(e => e.Strikes).ToHashSet();
        return [.. once.Where(e => e.Kind != LogKind.Struck && !struck.Contains(e.Id)).OrderBy(e => e.At)];
    }
}
