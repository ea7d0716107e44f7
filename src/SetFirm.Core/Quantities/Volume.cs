namespace SetFirm.Core.Quantities;

/// <summary>A volume of zero or more, held in cubic metres.</summary>
public readonly record struct Volume : IComparable<Volume>
{
    private const double CubicMetresPerCubicInch = Length.MetresPerInch * Length.MetresPerInch * Length.MetresPerInch;
    internal const double CubicMetresPerUsGallon = 231 * CubicMetresPerCubicInch; // the wine gallon of 231 in3, exact
    internal const double CubicMetresPerCubicFoot = Length.MetresPerFoot * Length.MetresPerFoot * Length.MetresPerFoot;
    internal const double CubicMetresPerCubicYard = Length.MetresPerYard * Length.MetresPerYard * Length.MetresPerYard;

    private Volume(double cubicMetres) => CubicMetres = cubicMetres;

    public double CubicMetres { get; }

    public double Litres => CubicMetres * 1000;

    public static Volume FromCubicMetres(double value) => new(Require.NotNegative(value));

    public static Volume FromLitres(double value) => new(Require.NotNegative(value) / 1000);

    public static Volume operator +(Volume a, Volume b) => new(a.CubicMetres + b.CubicMetres);

    public static Volume operator *(Volume a, double factor) => FromCubicMetres(a.CubicMetres * factor);

    public static bool operator <(Volume a, Volume b) => a.CubicMetres < b.CubicMetres;

    public static bool operator >(Volume a, Volume b) => a.CubicMetres > b.CubicMetres;

    public static bool operator <=(Volume a, Volume b) => a.CubicMetres <= b.CubicMetres;

    public static bool operator >=(Volume a, Volume b) => a.CubicMetres >= b.CubicMetres;

    public int CompareTo(Volume other) => CubicMetres.CompareTo(other.CubicMetres);
}
