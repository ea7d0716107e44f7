namespace SetFirm.Core.Quantities;

/// <summary>Trade sizes pass limits: what is asked in round millimetres is met by the nearest size that is sold.</summary>
/// <remarks>
/// For sections, covers, yields and masses of goods (88.9 for 90 mm, 4.7 for 4.73 L); never for w/c, strength, temperature, time, share, ratio or frost depth, nor for
/// spacings that are chosen. Source: site practice.
/// </remarks>
public static class TradeSizes
{
    /// <summary>Off by no more than this it is the same size, share.</summary>
    public const double Slack = 0.02;

    public static bool Under(double size, double least) => size < least * (1 - Slack);

    public static bool Over(double size, double most) => size > most * (1 + Slack);
}
