using SetFirm.Core.Quantities;

namespace SetFirm.Core.Ground;

/// <summary>What is dug out and what goes back as base.</summary>
/// <param name="Depth">Below the ground.</param>
/// <param name="Bank">As it lies.</param>
/// <param name="Base">Compacted.</param>
/// <param name="BaseDepth">Compacted.</param>
/// <remarks>Source: site practice; yours to correct from what you see.</remarks>
public sealed record Dig(Length Depth, Volume Bank, Volume Base, Length BaseDepth)
{
    /// <summary>So far a finished top usually stands above the ground.</summary>
    public static readonly Length UsualAbove = Length.FromMillimetres(30);

    /// <summary>A formed side is dug wider, for the board and its stake.</summary>
    public static readonly Length Room = Length.FromMillimetres(90);

    /// <summary>Loose spoil over bank.</summary>
    public const double Swell = 1.25;

    /// <summary>Loose stone over compacted.</summary>
    public const double BaseLoosening = 1.2;

    /// <summary>Loose stone, kg/m3.</summary>
    public const double BaseLooseKgPerM3 = 1550;

    /// <summary>Of the finished top over the ground.</summary>
    public Length Above { get; init; }

    /// <summary>Room beside the forms, as it lies: dug, and filled again when they are off.</summary>
    public Volume Backfill { get; init; }

    public Volume Spoil => Bank * Swell;

    /// <summary>Of the loose spoil, so much goes back beside the pour.</summary>
    public Volume GoesBack => Backfill * Swell;

    public Volume BaseLoose => Base * BaseLoosening;

    public Mass BaseMass => Mass.FromKilograms(BaseLoose.CubicMetres * BaseLooseKgPerM3);

    /// <summary>Lifts that the base is compacted in.</summary>
    public int Lifts => (int)Math.Ceiling((BaseDepth.Millimetres / BaseCourse.LiftMm) - 1e-9);

    /// <param name="plan">Seen from above, all pieces.</param>
    /// <param name="poured">Depth of the pour.</param>
    /// <param name="extra">What hangs below it: thickened edges.</param>
    /// <param name="baseDepth">Compacted.</param>
    /// <param name="above">Of the finished top over the ground; where that is more than pour and base nothing is dug and the base is made up to it.</param>
    /// <param name="formed">Sides that boards hold, all pieces.</param>
    public static Dig Of(Area plan, Length poured, Volume extra, Length baseDepth, Length above = default, Length formed = default)
    {
        var down = poured.Metres + baseDepth.Metres - above.Metres;
        var (depth, laid) = (Length.FromMetres(Math.Max(0, down)), Length.FromMetres(baseDepth.Metres + Math.Max(0, -down)));
        var room = formed * Room * depth;
        return new Dig(depth, (plan * depth) + extra + room, plan * laid, laid) { Above = above, Backfill = room };
    }

    /// <summary>Several together: as deep as the deepest, as much as all.</summary>
    public static Dig? Together(IReadOnlyCollection<Dig> digs)
    {
        ArgumentNullException.ThrowIfNull(digs);
        Volume Sum(Func<Dig, Volume> of) => digs.Aggregate(default(Volume), (sum, d) => sum + of(d));
        return digs.Count == 0 ? null : new Dig(digs.Max(d => d.Depth), Sum(d => d.Bank), Sum(d => d.Base), digs.Max(d => d.BaseDepth))
        {
            Above = digs.MaxBy(d => d.Depth)!.Above,
            Backfill = Sum(d => d.Backfill),
        };
    }
}
