using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>Something cast into the face of a piece: a socket, a plate, a ring.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Centre">Of it on the plan.</param>
/// <param name="Along">Of it along the first edge.</param>
/// <param name="Across">And in from it.</param>
/// <param name="Deep">Into the concrete.</param>
/// <param name="Out">Out of the face: so deep is its slot in a mould that the face lies on.</param>
/// <param name="Rusts">Steel that has no coat.</param>
public sealed record Insert(string Name, PlanPoint Centre, Length Along, Length Across, Length Deep, Length Out, bool Rusts)
{
    /// <summary>Concrete that it takes the place of.</summary>
    public Volume Displaces => Along * Across * Deep;

    /// <summary>As a hole in the plan.</summary>
    internal Opening.Rectangular Hole => new(Centre, Along, Across);
}
