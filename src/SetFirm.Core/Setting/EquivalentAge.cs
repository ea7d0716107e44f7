namespace SetFirm.Core.Setting;

/// <summary>Hours at 20 °C that harden concrete as much as an hour at another temperature does.</summary>
/// <remarks>Source: ASTM C1074, Q = 5000 K. Departure: reference 20 °C, not 23; nothing is added below 0 °C. Range: 0-50 °C.</remarks>
public static class EquivalentAge
{
    public const double ActivationKelvin = 5000;
    public const double ReferenceC = 20;
    private const double ZeroCelsius = 273.15;

    private const double TableToC = 90;
    private const int CellsPerDegree = 10;
    private static readonly double[] Table = [.. Enumerable.Range(0, (int)(TableToC * CellsPerDegree) + 2).Select(i => Rate((double)i / CellsPerDegree))];

    /// <summary>How many times faster than at 20 °C, dimensionless.</summary>
    public static double Rate(double concreteC) => concreteC < 0
        ? 0
        : Math.Exp(-ActivationKelvin * ((1 / (concreteC + ZeroCelsius)) - (1 / (ReferenceC + ZeroCelsius))));

    /// <summary><see cref="Rate"/> off a table, within 1e-5 of it: asked for at every step of every path.</summary>
    internal static double QuickRate(double concreteC)
    {
        if (!(concreteC is >= 0 and < TableToC))
        {
            return Rate(concreteC);
        }

        var at = concreteC * CellsPerDegree;
        var cell = (int)at;
        return Table[cell] + ((at - cell) * (Table[cell + 1] - Table[cell]));
    }

    /// <summary>Equivalent hours of a record of steady spells: (°C, hours) each.</summary>
    public static double Hours(IEnumerable<(double ConcreteC, double Hours)> spells) => spells.Sum(s => Rate(s.ConcreteC) * s.Hours);
}
