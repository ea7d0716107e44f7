using SetFirm.Core.Events;

namespace SetFirm.Core.Finishing;

/// <summary>What a thumb says of the concrete under it: its set progress lies between two values.</summary>
/// <param name="Least">s; 0 says nothing.</param>
/// <param name="Most">s; infinity says nothing.</param>
public readonly record struct ThumbSign(double Least, double Most)
{
    /// <summary>Of either value, s.</summary>
    public const double Doubt = 0.08;

    private const double SixMm = 0.40;
    private const double ThreeMm = 0.60;
    private const double Unmarked = 0.85;

    /// <summary>From here on a light finger leaves no print, s.</summary>
    public const double NoLightPrint = 0.60;

    /// <summary>Under this a thumb sinks deeper than 6 mm, s: half a mark before it.</summary>
    private const double Deep = 0.30;

    /// <remarks>Source: site practice, in line with ACI 302.1R.</remarks>
    public static ThumbSign Of(ThumbMark mark) => mark switch
    {
        ThumbMark.Deeper => new(0, SixMm),
        ThumbMark.SixMm => new(SixMm, SixMm),
        ThumbMark.ThreeMm => new(ThreeMm, ThreeMm),
        ThumbMark.None => new(Unmarked, double.PositiveInfinity),
        ThumbMark.NoLightPrint => new(NoLightPrint, double.PositiveInfinity),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>What a firm thumb leaves: half-way between two marks the one turns into the other.</summary>
    /// <param name="progress">s.</param>
    public static ThumbMark Left(double progress) => progress < Deep ? ThumbMark.Deeper
        : progress < (SixMm + ThreeMm) / 2 ? ThumbMark.SixMm
        : progress < (ThreeMm + Unmarked) / 2 ? ThumbMark.ThreeMm
        : ThumbMark.None;
}
