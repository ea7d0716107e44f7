using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Joints;

/// <summary>A joint parallel to an axis of the plan.</summary>
/// <param name="Across">True runs square to the first edge, at an x; false runs along it, at a y.</param>
/// <param name="AtM">That x or y.</param>
/// <param name="FromM">Where it begins along its run; minus infinity runs from edge to edge.</param>
/// <param name="ToM">Where it ends; infinity likewise.</param>
public readonly record struct JointLine(bool Across, double AtM, double FromM = double.NegativeInfinity, double ToM = double.PositiveInfinity)
{
    /// <summary>The parts of it within a slab.</summary>
    public ImmutableArray<PlanCut> Within(Outline outline)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (left, right, low, high) = Extents.Of(outline);
        var (from, to) = Across ? (Math.Max(FromM, low - 1), Math.Min(ToM, high + 1)) : (Math.Max(FromM, left - 1), Math.Min(ToM, right + 1));
        return to <= from ? [] : Panels.Clip(outline, Across ? new PlanCut(new(AtM, from), new(AtM, to)) : new PlanCut(new(from, AtM), new(to, AtM)));
    }
}
