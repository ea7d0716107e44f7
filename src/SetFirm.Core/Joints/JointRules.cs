using SetFirm.Core.Quantities;

namespace SetFirm.Core.Joints;

/// <summary>How the joints of an element are set out.</summary>
public enum JointLayout
{
    /// <summary>It needs none.</summary>
    None,

    /// <summary>Panels both ways.</summary>
    Grid,

    /// <summary>Panels as long as the walk is wide.</summary>
    Walk,

    /// <summary>Across a border.</summary>
    Border,

    /// <summary>Across a curb.</summary>
    Curb,

    /// <summary>Those of the slab under it, repeated.</summary>
    Repeated,
}

/// <summary>Limits of contraction joints.</summary>
/// <remarks>Source: ACI 302.1R, and site practice for borders, curbs and walks.</remarks>
public static class JointRules
{
    /// <summary>Spacing over thickness: from 24 to 36; this is the usual.</summary>
    public const double SpacingOverThickness = 30;

    public const double MostSpacingM = 4.5;
    public const double MostWalkM = 1.5;
    public const double MostBorderM = 0.9;
    public const double MostCurbM = 3;
    public const double MostRatio = 1.5;

    /// <summary>Slack of comparisons.</summary>
    public const double Slack = 1e-9;

    private const double LeastDepthMm = 25;

    /// <summary>What a common hand groover cuts at the most, mm.</summary>
    public const double GrooverMm = 19;

    /// <param name="layout">How they are set out.</param>
    /// <param name="thickness">Of the pour.</param>
    /// <param name="width">The narrower way across.</param>
    public static Length Spacing(JointLayout layout, Length thickness, Length width) => Length.FromMetres(layout switch
    {
        JointLayout.Border => MostBorderM,
        JointLayout.Curb => MostCurbM,
        JointLayout.Walk => Math.Min(Slab(thickness), Math.Min(width.Metres, MostWalkM)),
        _ => Slab(thickness),
    });

    /// <summary>A quarter of the thickness, and 25 mm at the least.</summary>
    public static Length Depth(Length thickness) => Length.FromMillimetres(Math.Max(thickness.Millimetres / 4, LeastDepthMm));

    private static double Slab(Length thickness) => Math.Min(SpacingOverThickness * thickness.Metres, MostSpacingM);
}
