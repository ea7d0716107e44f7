namespace SetFirm.Core.Joints;

/// <summary>How a joint is made.</summary>
public enum JointMethod
{
    /// <summary>With a groover in the first edging pass.</summary>
    Tooled,

    /// <summary>With a saw, as soon as the edge does not ravel.</summary>
    Sawn,

    /// <summary>With a board: one side is poured after the other.</summary>
    Formed,
}
