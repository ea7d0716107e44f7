namespace SetFirm.Core.Setting;

/// <summary>exp(-x) as the steps of a slab need it: most of its arguments are small.</summary>
internal static class Decay
{
    private const double Small = 0.5;

    /// <summary>exp(-x), x of 0 or more, within 2e-8.</summary>
    /// <remarks>Source: the exponential's own series to x^7 where x is small.</remarks>
    public static double Of(double x) => x > Small
        ? Math.Exp(-x)
        : 1 - (x * (1 - (x * (1.0 / 2) * (1 - (x * (1.0 / 3) * (1 - (x * (1.0 / 4) * (1 - (x * (1.0 / 5) * (1 - (x * (1.0 / 6) * (1 - (x * (1.0 / 7))))))))))))));
}
