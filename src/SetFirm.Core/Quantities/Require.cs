using System.Runtime.CompilerServices;

namespace SetFirm.Core.Quantities;

/// <summary>Guards for values that the code itself makes: a breach is a bug, so it throws.</summary>
internal static class Require
{
    public static double Finite(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        double.IsFinite(value) ? value : throw new ArgumentOutOfRangeException(name, value, "must be finite");

    public static double NotNegative(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        value >= 0 && double.IsFinite(value) ? value : throw new ArgumentOutOfRangeException(name, value, "must be finite and not negative");

    public static double Positive(double value, [CallerArgumentExpression(nameof(value))] string? name = null) =>
        value > 0 && double.IsFinite(value) ? value : throw new ArgumentOutOfRangeException(name, value, "must be finite and above zero");
}
