using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A hole through a slab: a post, a drain, a tree, a basin.</summary>
public abstract record Opening
{
    private Opening(PlanPoint centre) => Centre = centre;

    /// <summary>For the flange of what is let in.</summary>
    public Rebate? Rebate { get; init; }

    /// <summary>Of the face, what its rebate takes round the hole.</summary>
    public Area RebateArea => Rebate is { Width: var wide } ? Ring(wide) : default;

    private protected abstract Area Ring(Length wide);

    /// <summary>With its rebate: what of the face it takes.</summary>
    public Opening WithRebate => Rebate is { Width: var wide } ? Grown(wide) : this;

    private protected abstract Opening Grown(Length by);

    public PlanPoint Centre { get; }

    public abstract Area Area { get; }

    /// <summary>Round its inside: what an isolation strip or a box for it measures.</summary>
    public abstract Length Perimeter { get; }

    /// <summary>Over all along x, metres.</summary>
    public abstract double AlongM { get; }

    /// <summary>Over all along y, metres.</summary>
    public abstract double AcrossM { get; }

    public abstract Opening MovedTo(PlanPoint centre);

    public sealed record Round(PlanPoint At, Length Diameter) : Opening(At)
    {
        /// <summary>Exact: the circle, not its chords.</summary>
        public override Area Area => Area.FromSquareMetres(Math.PI * Diameter.Metres * Diameter.Metres / 4);

        public override Length Perimeter => Length.FromMetres(Math.PI * Diameter.Metres);

        public override double AlongM => Diameter.Metres;

        public override double AcrossM => Diameter.Metres;

        public override Opening MovedTo(PlanPoint centre) => new Round(centre, Diameter) { Rebate = Rebate };

        private protected override Area Ring(Length wide) => Area.FromSquareMetres(Math.PI * wide.Metres * (Diameter.Metres + wide.Metres));

        private protected override Opening Grown(Length by) => new Round(At, Length.FromMetres(Diameter.Metres + (2 * by.Metres)));
    }

    /// <param name="At">Its middle.</param>
    /// <param name="Width">Along x.</param>
    /// <param name="Depth">Along y.</param>
    /// <param name="Corner">Radius of its corners; no more than half of either side.</param>
    public sealed record Rectangular(PlanPoint At, Length Width, Length Depth, Length Corner = default) : Opening(At)
    {
        /// <summary>Exact: arcs, not their chords.</summary>
        public override Area Area => Area.FromSquareMetres((Width * Depth).SquareMetres - ((4 - Math.PI) * Corner.Metres * Corner.Metres));

        public override Length Perimeter => Length.FromMetres((2 * (Width.Metres + Depth.Metres)) - ((8 - (2 * Math.PI)) * Corner.Metres));

        public override double AlongM => Width.Metres;

        public override double AcrossM => Depth.Metres;

        public override Opening MovedTo(PlanPoint centre) => new Rectangular(centre, Width, Depth, Corner) { Rebate = Rebate };

        // Square corners stay square further out, round ones round.
        private protected override Area Ring(Length wide) =>
            Area.FromSquareMetres(wide.Metres * (Perimeter.Metres + ((Corner.Metres > 0 ? Math.PI : 4) * wide.Metres)));

        private protected override Opening Grown(Length by) => new Rectangular(
            At, Length.FromMetres(Width.Metres + (2 * by.Metres)), Length.FromMetres(Depth.Metres + (2 * by.Metres)), Corner.Metres > 0 ? Length.FromMetres(Corner.Metres + by.Metres) : default);
    }
}

/// <summary>A step round a cut-out that the flange of a basin or a hob lies in.</summary>
/// <param name="Width">Outside the hole.</param>
/// <param name="Depth">Below the face.</param>
public sealed record Rebate(Length Width, Length Depth);
