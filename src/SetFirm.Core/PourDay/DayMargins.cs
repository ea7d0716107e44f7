using System.Runtime.CompilerServices;

namespace SetFirm.Core.PourDay;

/// <summary>How far a day is from each of its limits that hang on the slab, the light and the hands: over 0 past it, under 0 within.</summary>
[InlineArray(Count)]
internal struct DayMargins
{
    /// <summary>Hours from the nearest dusk or dawn to the end of the work.</summary>
    public const int Dark = 0;

    /// <summary>Of what it may dry, as a share.</summary>
    public const int Drying = 1;

    /// <summary>Hours by which the tightest pass is later than it may be.</summary>
    public const int Hands = 2;

    /// <summary>K by which the coldest air is under what could freeze a slab; nothing is frozen for being over 0 here.</summary>
    public const int Frost = 3;

    public const int Count = 4;

    /// <summary>No way that is seen comes nearer to the limit than this where an hour is plainly good: what is seldom seen has a long tail.</summary>
    public static double Clear(int margin) => margin switch
    {
        Dark => 0.5,
        Drying => 0.35,
        Hands => 0.25,
        Frost => 1,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private double first;
}
