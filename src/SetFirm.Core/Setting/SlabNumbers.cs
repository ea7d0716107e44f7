namespace SetFirm.Core.Setting;

/// <summary>The marks of a face as a row of numbers, so that those of two starts can be laid between each other.</summary>
/// <remarks>What is or is not is 0 or infinite: between the two lies nothing.</remarks>
internal static class SlabNumbers
{
    /// <summary>How many.</summary>
    public const int Count = 7;

    /// <summary>Place of the peak deficit.</summary>
    public const int Deficit = 3;

    /// <summary>Place of the peak evaporation.</summary>
    public const int Evaporation = 4;

    public static void Write(in SlabMarks marks, Span<double> to)
    {
        to[0] = marks.SheenGoneH ?? double.PositiveInfinity;
        to[1] = marks.ToDragH;
        to[2] = marks.BleedsLittleH;
        to[Deficit] = marks.PeakDeficitKgM2H;
        to[Evaporation] = marks.PeakEvaporationKgM2H;
        to[5] = marks.Dragged ? double.PositiveInfinity : 0;
        to[6] = marks.FrozenYoung ? double.PositiveInfinity : 0;
    }

    /// <summary>A sheen, and water that is dragged off: there, or not.</summary>
    /// <param name="place">Among these numbers; less than none is none of them.</param>
    public static bool Jumps(int place) => place is 0 or 1 or 5;

    public static SlabMarks Read(ReadOnlySpan<double> from) => new(
        double.IsFinite(from[0]) ? from[0] : null, double.IsInfinity(from[5]), from[1], from[2], from[Deficit], from[Evaporation], double.IsInfinity(from[6]));
}
