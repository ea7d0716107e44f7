using SetFirm.Core.Shapes;

namespace SetFirm.Core.Ground;

/// <summary>How a surface falls. Heights are metres below its highest place.</summary>
public abstract record Fall
{
    /// <summary>The least that drains. Source: site practice.</summary>
    public const double LeastGrade = 0.01;

    /// <summary>What model codes ask beside a building, within <see cref="HouseReachM"/> of it.</summary>
    public const double HouseGrade = 0.02;

    public const double HouseReachM = 3;

    /// <summary>A drain's top lies this much under the surface round it, metres.</summary>
    public const double DrainSunkM = 0.025;

    private Fall()
    {
    }

    public abstract double Grade { get; }

    /// <summary>Metres below a level through the origin; may be negative.</summary>
    private protected abstract double DownM(PlanPoint at);

    /// <summary>Metres below the highest of some places.</summary>
    public Func<PlanPoint, double> From(IEnumerable<PlanPoint> places)
    {
        var top = places.Min(DownM);
        return at => DownM(at) - top;
    }

    public sealed record Level : Fall
    {
        public override double Grade => 0;

        private protected override double DownM(PlanPoint at) => 0;
    }

    /// <param name="X">Of the direction that water runs, of length 1.</param>
    /// <param name="Y">Likewise.</param>
    /// <param name="By">Metres down in a metre along.</param>
    public sealed record Away(double X, double Y, double By) : Fall
    {
        public override double Grade => By;

        private protected override double DownM(PlanPoint at) => By * ((at.X * X) + (at.Y * Y));
    }

    /// <param name="Drain">Where all water runs to.</param>
    /// <param name="By">Metres down in a metre along.</param>
    public sealed record ToDrain(PlanPoint Drain, double By) : Fall
    {
        public override double Grade => By;

        private protected override double DownM(PlanPoint at) => -By * at.DistanceTo(Drain);
    }

    /// <summary>Square off an edge, into the slab.</summary>
    public static Away OffEdge(Outline outline, int edge, double grade)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (a, b) = (outline.Corners[edge], outline.Corners[(edge + 1) % outline.Corners.Length]);
        var long_ = a.DistanceTo(b);
        var side = outline.TurnsLeft ? 1 : -1;
        return new Away(-(b.Y - a.Y) / long_ * side, (b.X - a.X) / long_ * side, grade);
    }
}
