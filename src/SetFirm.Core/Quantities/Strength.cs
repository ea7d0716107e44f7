namespace SetFirm.Core.Quantities;

/// <summary>A compressive strength of zero or more, held in megapascals (cylinder).</summary>
public readonly record struct Strength
{
    private Strength(double megapascals) => Megapascals = megapascals;

    public double Megapascals { get; }

    public static Strength FromMegapascals(double value) => new(Require.NotNegative(value));
}
