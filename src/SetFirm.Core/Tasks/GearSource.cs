namespace SetFirm.Core.Tasks;

/// <summary>Where a thing to hold in the hand comes from.</summary>
public enum GearSource
{
    /// <summary>It is there.</summary>
    Own,
    Borrow,

    /// <summary>By the day.</summary>
    Hire,
    Buy,
}
