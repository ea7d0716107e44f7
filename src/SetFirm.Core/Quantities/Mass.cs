namespace SetFirm.Core.Quantities;

/// <summary>A mass of zero or more, held in kilograms.</summary>
public readonly record struct Mass
{
    internal const double KilogramsPerPound = 0.45359237; // exact since 1959

    private Mass(double kilograms) => Kilograms = kilograms;

    public double Kilograms { get; }

    public static Mass FromKilograms(double value) => new(Require.NotNegative(value));

    public static Mass FromPounds(double value) => new(Require.NotNegative(value) * KilogramsPerPound);

    public static Mass operator +(Mass a, Mass b) => new(a.Kilograms + b.Kilograms);
}
