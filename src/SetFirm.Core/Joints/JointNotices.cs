namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record JointOutside(double AtMm) : Notice;

    /// <summary>Joints so near each other would make more panels than are set out: none is.</summary>
    public sealed record TooManyPanels(double Count, double Most, double SpacingMm) : Notice;

    public sealed record PanelTooLong(int Panel, double LengthMm, double MostMm) : Notice;

    public sealed record PanelTooSlender(int Panel, double Ratio, double Most) : Notice;

    public sealed record CornerWithoutJoint(int Corner, double AlongM, double InM) : Notice;

    public sealed record JointDeeperThanGroover(double DepthMm, double GrooverMm) : Notice;

    public sealed record RepeatJoints : Notice;

    public sealed record NoWayOut : Notice;

    public sealed record BeyondReach(double DeepM, double ReachM) : Notice;
}

public abstract partial record Mend
{
    /// <summary>Every other panel first.</summary>
    public sealed record EveryOtherPanel : Mend;

    public sealed record ProposeJoints : Mend;
}

public abstract partial record Why
{
    public sealed record Panels(double ThicknessMm, double SpacingOverThickness, double SpacingM, double MostRatio, double DepthMm) : Why;
}
