namespace SetFirm.Core.Shapes;

/// <summary>A place on the plan, metres: x to the right, y up the page.</summary>
public readonly record struct PlanPoint(double X, double Y)
{
    public double DistanceTo(PlanPoint other) => Math.Sqrt(((other.X - X) * (other.X - X)) + ((other.Y - Y) * (other.Y - Y)));

    /// <summary>The place a share of the way to another.</summary>
    public PlanPoint Towards(PlanPoint other, double share) => new(X + ((other.X - X) * share), Y + ((other.Y - Y) * share));

    /// <summary>How far from a stretch between two places, metres.</summary>
    public double DistanceToSegment(PlanPoint from, PlanPoint to)
    {
        var (dx, dy) = (to.X - from.X, to.Y - from.Y);
        var long2 = (dx * dx) + (dy * dy);
        var t = long2 > 0 ? Math.Clamp((((X - from.X) * dx) + ((Y - from.Y) * dy)) / long2, 0, 1) : 0;
        return DistanceTo(from.Towards(to, t));
    }
}
