using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A hole through a slab: a post, a drain, a tree, a basin.</summary>
public abstract record Opening
{
    private Opening(PlanPoint centre) => Centre = centre;

    public PlanPoint Centre { get; }

    public abstract Area Area { get; }

    /// <summary>Round its inside: what an isolation strip or a box for it measures.</summary>
    public abstract Length Perimeter { get; }

    public abstract Opening MovedTo(PlanPoint centre);

    public sealed record Round(PlanPoint At, Length Diameter) : Opening(At)
    {
        /// <summary>Exact: the circle, not its chords.</summary>
        public override Area Area => Area.FromSquareMetres(Math.PI * Diameter.Metres * Diameter.Metres / 4);

        public override Length Perimeter => Length.FromMetres(Math.PI * Diameter.Metres);

        public override Opening MovedTo(PlanPoint centre) => new Round(centre, Diameter);
    }

    public sealed record Rectangular(PlanPoint At, Length Width, Length Depth) : Opening(At)
    {
        public override Area Area => Width * Depth;

        public override Length Perimeter => Length.FromMetres(2 * (Width.Metres + Depth.Metres));

        public override Opening MovedTo(PlanPoint centre) => new Rectangular(centre, Width, Depth);
    }
}
