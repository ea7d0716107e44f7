namespace SetFirm.Core.Quantities;

/// <summary>A temperature, held in degrees Celsius. <c>default</c> is freezing water.</summary>
public readonly record struct Temperature : IComparable<Temperature>
{
    private Temperature(double celsius) => Celsius = celsius;

    public double Celsius { get; }

    public static Temperature FromCelsius(double value) => new(Require.Finite(value));

    public static bool operator <(Temperature a, Temperature b) => a.Celsius < b.Celsius;

    public static bool operator >(Temperature a, Temperature b) => a.Celsius > b.Celsius;

    public static bool operator <=(Temperature a, Temperature b) => a.Celsius <= b.Celsius;

    public static bool operator >=(Temperature a, Temperature b) => a.Celsius >= b.Celsius;

    public int CompareTo(Temperature other) => Celsius.CompareTo(other.Celsius);
}
