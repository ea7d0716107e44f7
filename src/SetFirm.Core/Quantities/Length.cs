namespace SetFirm.Core.Quantities;

/// <summary>A length of zero or more, held in metres. <c>default</c> is zero.</summary>
public readonly record struct Length : IComparable<Length>
{
    public const double MetresPerInch = 0.0254; // exact since 1959
    public const double MetresPerFoot = 12 * MetresPerInch;
    public const double MetresPerYard = 3 * MetresPerFoot;

    private Length(double metres) => Metres = metres;

    public double Metres { get; }

    public double Millimetres => Metres * 1000;

    public static Length FromMetres(double value) => new(Require.NotNegative(value));

    public static Length FromMillimetres(double value) => new(Require.NotNegative(value) / 1000);

    public static Length FromInches(double value) => new(Require.NotNegative(value) * MetresPerInch);

    public static Area operator *(Length a, Length b) => Area.FromSquareMetres(a.Metres * b.Metres);

    public static bool operator <(Length a, Length b) => a.Metres < b.Metres;

    public static bool operator >(Length a, Length b) => a.Metres > b.Metres;

    public static bool operator <=(Length a, Length b) => a.Metres <= b.Metres;

    public static bool operator >=(Length a, Length b) => a.Metres >= b.Metres;

    public int CompareTo(Length other) => Metres.CompareTo(other.Metres);
}
