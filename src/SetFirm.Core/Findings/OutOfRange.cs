namespace SetFirm.Core.Findings;

/// <summary>What a number out of range is measured in.</summary>
public enum RangeUnit
{
    None,
    M,
    Mm,
    L,
    Kg,
    Pct,
    C,
    H,
    Days,
    Degrees,
    Mpa,
    Year,
    Min,
}

public abstract partial record Notice
{
    /// <summary>A number, between what and what it makes sense, and what all three are measured in.</summary>
    public sealed record OutOfRange(double Value, double Least, double Most, RangeUnit Unit) : Notice;

    /// <summary>So many more of the kind before it are not told one by one.</summary>
    public sealed record MoreLikeIt(int Count) : Notice;

    /// <summary>More things than are planned.</summary>
    public sealed record TooMany(double Count, double Most) : Notice;
}
