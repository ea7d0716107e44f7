using SetFirm.Core.Quantities;

namespace SetFirm.Core.Ground;

/// <summary>What is dug out and what goes back as base.</summary>
/// <param name="Depth">Below the finished top.</param>
/// <param name="Bank">As it lies.</param>
/// <param name="Base">Compacted.</param>
/// <param name="BaseDepth">Compacted.</param>
/// <remarks>Source: site practice; yours to correct from what you see.</remarks>
public sealed record Dig(Length Depth, Volume Bank, Volume Base, Length BaseDepth)
{
    /// <summary>Loose spoil over bank.</summary>
    public const double Swell = 1.25;

    /// <summary>Loose stone over compacted.</summary>
    public const double BaseLoosening = 1.2;

    /// <summary>Loose stone, kg/m3.</summary>
    public const double BaseLooseKgPerM3 = 1550;

    public Volume Spoil => Bank * Swell;

    public Volume BaseLoose => Base * BaseLoosening;

    public Mass BaseMass => Mass.FromKilograms(BaseLoose.CubicMetres * BaseLooseKgPerM3);

    /// <summary>Lifts that the base is compacted in.</summary>
    public int Lifts => (int)Math.Ceiling((BaseDepth.Millimetres / BaseCourse.LiftMm) - 1e-9);

    /// <param name="plan">Seen from above, all pieces.</param>
    /// <param name="poured">Depth of the pour.</param>
    /// <param name="extra">What hangs below it: thickened edges.</param>
    /// <param name="baseDepth">Compacted.</param>
    public static Dig Of(Area plan, Length poured, Volume extra, Length baseDepth)
    {
        var depth = Length.FromMetres(poured.Metres + baseDepth.Metres);
        return new Dig(depth, (plan * depth) + extra, plan * baseDepth, baseDepth);
    }

    /// <summary>Several together: as deep as the deepest, as much as all.</summary>
    public static Dig? Together(IReadOnlyCollection<Dig> digs)
    {
        ArgumentNullException.ThrowIfNull(digs);
        Volume Sum(Func<Dig, Volume> of) => digs.Aggregate(default(Volume), (sum, d) => sum + of(d));
        return digs.Count == 0 ? null : new Dig(digs.Max(d => d.Depth), Sum(d => d.Bank), Sum(d => d.Base), digs.Max(d => d.BaseDepth));
    }
}
