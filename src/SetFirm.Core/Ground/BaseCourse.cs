using SetFirm.Core.Quantities;

namespace SetFirm.Core.Ground;

/// <summary>What the ground is like where it is dug.</summary>
public enum Soil
{
    /// <summary>Firm and drained.</summary>
    Sound,
    Soft,
    Wet,
}

/// <summary>How winters are.</summary>
public enum Frost
{
    None,
    Light,
    Hard,
}

/// <summary>How thick a base of stone is wanted.</summary>
/// <remarks>Source: site practice. None on sound, drained, frost-free ground; 50-100 mm soft or wet; 100-150 mm where it freezes hard.</remarks>
public static class BaseCourse
{
    /// <summary>A pad no larger than this on sound ground takes a thin layer to level it, square metres.</summary>
    public const double SmallPadM2 = 2;

    public const double LevellingMm = 25;
    public const double SoftMm = 75;
    public const double HardFrostMm = 125;

    /// <summary>Base is compacted in lifts of this at most, mm.</summary>
    public const double LiftMm = 100;

    public static Length Advised(Soil soil, Frost frost, Area plan) => Length.FromMillimetres(
        frost == Frost.Hard ? HardFrostMm
        : soil != Soil.Sound || frost == Frost.Light ? SoftMm
        : plan.SquareMetres <= SmallPadM2 ? LevellingMm : 0);
}
