using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>The smallest amount that a batch is made in: half a bag, or an eighth of a container of cement with its share of the rest.</summary>
/// <param name="Yield">Placed volume of one unit.</param>
/// <param name="LooseVolume">Volume of its dry ingredients as measured.</param>
/// <param name="PerWhole">Units in a whole bag or container: batches of whole ones are preferred where they cost no extra batch.</param>
/// <param name="Dry">What is lifted into the mixer.</param>
/// <param name="Mass">Wet.</param>
public sealed record BatchUnit(Volume Yield, Volume LooseVolume, int PerWhole, Mass Dry, Mass Mass)
{
    /// <summary>A whole bag; null where it is measured out of loose materials.</summary>
    public Mass? Bag { get; init; }

    /// <summary>Batches are made in so many units at a time; single ones only where that overshoots.</summary>
    public int Ordinary { get; init; } = 1;

    /// <summary>Loose materials are shovelled in, not carried in buckets.</summary>
    public bool Shovelled { get; init; }

    /// <summary>Bags in a unit; 0 where there are none.</summary>
    public double Bags => Bag is null ? 0 : 1.0 / PerWhole;
}
