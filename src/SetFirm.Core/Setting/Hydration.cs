using SetFirm.Core.Mixes;

namespace SetFirm.Core.Setting;

/// <summary>Heat that cement gives off as it hardens: alpha = au exp(-(tau/te)^beta), q = C Hu d(alpha)/dt.</summary>
/// <remarks>
/// Source: Schindler and Folliard 2005; au = 1.031 w/c / (0.194 + w/c), tau 14 h (rapid 2.8 ti), beta 0.9, Hu 460 kJ/kg (tune).
/// A bag that does not tell its cement is taken at 16 % of its solids and w/c 0.50. Nothing at te = 0.
/// </remarks>
internal readonly struct Hydration
{
    private const double Beta = 0.9;
    private const double HeatJPerKg = 460e3;
    private const double TauH = 14;
    private const double RapidTauOverInitial = 2.8;
    private const double UntoldCementShare = 0.16;
    private const double UntoldWaterCement = 0.50;

    // The speed over age in taus: close where it turns, wide where it only fades.
    private const int TableTo = 8;
    private const int CellsPerTau = 512;
    private const int TailTo = 128;
    private const int TailCellsPerTau = 16;
    private static readonly double[] Table = Tabled(TableTo, CellsPerTau);
    private static readonly double[] Tail = Tabled(TailTo, TailCellsPerTau);

    private readonly double ultimate;
    private readonly double tauH;
    private readonly double cementKg;

    private Hydration(double ultimate, double tauH, double cementKg) => (this.ultimate, this.tauH, this.cementKg) = (ultimate, tauH, cementKg);

    public static Hydration Of(ConcreteMix mix)
    {
        var ratio = mix.WaterCement ?? UntoldWaterCement;
        return new Hydration(
            1.031 * ratio / (0.194 + ratio), mix.Family == MixFamily.Rapid ? RapidTauOverInitial * mix.ToInitialSet.TotalHours : TauH, mix.CementKgPerM3 ?? (UntoldCementShare * mix.SolidsKgPerM3));
    }

    /// <summary>Share of the cement that has reacted.</summary>
    public double DegreeAt(double equivalentH) => equivalentH <= 0 ? 0 : ultimate * Math.Exp(-Math.Pow(tauH / equivalentH, Beta));

    /// <param name="equivalentH">Equivalent age.</param>
    /// <param name="rate">How fast it grows: equivalent hours in an hour.</param>
    public double WattsPerM3(double equivalentH, double rate) =>
        cementKg * HeatJPerKg * ultimate * QuickSpeed(equivalentH / tauH) / tauH * rate / 3600;

    /// <summary>d/dx of exp(-x^-beta), the share that reacts as age grows by tau; 0 at x = 0.</summary>
    private static double Speed(double x)
    {
        if (x <= 0)
        {
            return 0;
        }

        var power = Math.Pow(x, -Beta);
        return Math.Exp(-power) * power * Beta / x;
    }

    // Off a table, within 3e-5 of its peak: a power and an exponential at every step of every path would take most of the time.
    private static double QuickSpeed(double x) => x < TableTo ? Between(Table, x * CellsPerTau) : x < TailTo ? Between(Tail, x * TailCellsPerTau) : Speed(x);

    private static double Between(double[] table, double at)
    {
        var cell = (int)at;
        return table[cell] + ((at - cell) * (table[cell + 1] - table[cell]));
    }

    private static double[] Tabled(int to, int cellsPerTau) => [.. Enumerable.Range(0, (to * cellsPerTau) + 2).Select(i => Speed((double)i / cellsPerTau))];
}
