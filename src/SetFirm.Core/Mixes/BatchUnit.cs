using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>The smallest amount that a batch is made in: half a bag, or a quarter container of cement with its share of the rest.</summary>
/// <param name="Yield">Placed volume of one unit.</param>
/// <param name="LooseVolume">Volume of its dry ingredients as measured.</param>
/// <param name="PerWhole">Units in a whole bag or container: batches of whole ones are preferred where they cost no extra batch.</param>
/// <param name="BagsWorth">Its size in bags, for the pace of mixing by hand.</param>
/// <param name="Mass">Wet.</param>
public sealed record BatchUnit(Volume Yield, Volume LooseVolume, int PerWhole, double BagsWorth, Mass Mass);
