using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A hole through a slab: a post, a drain, a tree.</summary>
public abstract record Opening
{
    private Opening(PlanPoint centre) => Centre = centre;

    public PlanPoint Centre { get; }

    public abstract Area Area { get; }

    public sealed record Round(PlanPoint At, Length Diameter) : Opening(At)
    {
        /// <summary>Exact: the circle, not its chords.</summary>
        public override Area Area => Area.FromSquareMetres(Math.PI * Diameter.Metres * Diameter.Metres / 4);
    }

    public sealed record Rectangular(PlanPoint At, Length Width, Length Depth) : Opening(At)
    {
        public override Area Area => Width * Depth;
    }
}
