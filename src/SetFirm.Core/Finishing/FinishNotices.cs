namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    /// <summary>Air under a shut skin takes it off.</summary>
    public sealed record AirNeverTrowelled : Notice;

    /// <summary>It goes on concrete that is neither fresh nor hard.</summary>
    public sealed record ToppingBetween(double AgeH, double FreshH, double HardH) : Notice;

    /// <summary>On hard concrete: roughen, clean, damp, bond coat.</summary>
    public sealed record ToppingBonded(double AgeDays) : Notice;
}

public abstract partial record Mend
{
    public sealed record BroomInstead : Mend;
}
