using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>How a top edge is eased.</summary>
public enum EdgeEase
{
    Sharp,
    Round,
    Chamfer,
}

/// <summary>The section of a curb: a trapezoid with one or two battered faces, the top edge of each eased.</summary>
/// <param name="Base">Across the foot.</param>
/// <param name="Top">Across the top.</param>
/// <param name="Height">From foot to top.</param>
/// <param name="Faces">Battered faces, 1 or 2; the other face of one is plumb.</param>
/// <param name="Ease">Of the top edge of each battered face.</param>
/// <param name="EaseSize">Radius, or leg of the chamfer.</param>
/// <remarks>Plane geometry, exact: an edge of interior angle T loses r² (cot(T/2) − (π − T)/2) to a radius, c² sin(T)/2 to a chamfer.</remarks>
public sealed record CurbProfile(Length Base, Length Top, Length Height, int Faces, EdgeEase Ease, Length EaseSize)
{
    /// <summary>Lean of a battered face from plumb, radians; below zero it hangs over.</summary>
    public double BatterRadians => Math.Atan2(Base.Metres - Top.Metres, Faces * Height.Metres);

    /// <summary>From foot to top along a battered face.</summary>
    public Length FaceHeight => Length.FromMetres(Height.Metres / Math.Cos(BatterRadians));

    /// <summary>Inside angle at the top edge of a battered face.</summary>
    public double TopAngleRadians => (Math.PI / 2) + BatterRadians;

    public Area Area => Area.FromSquareMetres(
        (Height.Metres * (Base.Metres + Top.Metres) / 2) - (Faces * EdgeCutM2(Ease, EaseSize.Metres, TopAngleRadians)));

    /// <summary>Length that the ease takes off the top and off the face, metres.</summary>
    public double EaseLegM => Ease switch
    {
        EdgeEase.Round => EaseSize.Metres / Math.Tan(TopAngleRadians / 2),
        EdgeEase.Chamfer => EaseSize.Metres,
        _ => 0,
    };

    /// <summary>True where the eases leave some flat top and some face.</summary>
    public bool EaseFits => Faces * EaseLegM < Top.Metres && EaseLegM < Height.Metres;

    /// <summary>Top from base and batter: base − n h tan(batter); null where nothing is left.</summary>
    public static Length? TopFrom(Length @base, Length height, int faces, double batterDegrees) =>
        @base.Metres - (faces * height.Metres * Math.Tan(batterDegrees * Math.PI / 180)) is > 0 and var top ? Length.FromMetres(top) : null;

    /// <summary>Base from top and batter; null where nothing is left.</summary>
    public static Length? BaseFrom(Length top, Length height, int faces, double batterDegrees) =>
        top.Metres + (faces * height.Metres * Math.Tan(batterDegrees * Math.PI / 180)) is > 0 and var foot ? Length.FromMetres(foot) : null;

    /// <summary>The section as drawn: x from the back of the foot, y up from the foot, metres; the battered face to the right.</summary>
    public ImmutableArray<PlanPoint> Points()
    {
        var lean = Height.Metres * Math.Tan(BatterRadians);
        var points = ImmutableArray.CreateBuilder<PlanPoint>();
        points.AddRange(new PlanPoint(0, 0), new PlanPoint(Base.Metres, 0));
        points.AddRange(TopEdge(new(Base.Metres, 0), new(Base.Metres - lean, Height.Metres), -1));
        var back = Faces == 2 ? lean : 0;
        points.AddRange(Faces == 2
            ? TopEdge(new(0, 0), new(back, Height.Metres), 1).Reverse()
            : [new PlanPoint(back, Height.Metres)]);
        return points.ToImmutable();
    }

    private static double EdgeCutM2(EdgeEase ease, double size, double angle) => ease switch
    {
        EdgeEase.Round => size * size * ((1 / Math.Tan(angle / 2)) - ((Math.PI - angle) / 2)),
        EdgeEase.Chamfer => size * size * Math.Sin(angle) / 2,
        _ => 0,
    };

    // From the face to the top; `inward` is the way from the edge along the top.
    private IEnumerable<PlanPoint> TopEdge(PlanPoint foot, PlanPoint edge, int inward)
    {
        if (Ease == EdgeEase.Sharp)
        {
            return [edge];
        }

        var onFace = edge.Towards(foot, EaseLegM / edge.DistanceTo(foot));
        var onTop = new PlanPoint(edge.X + (inward * EaseLegM), edge.Y);
        if (Ease == EdgeEase.Chamfer)
        {
            return [onFace, onTop];
        }

        var turn = Math.PI - TopAngleRadians;
        var rise = EaseSize.Metres * (1 - Math.Cos(turn / 2));
        return [onFace, .. Arcs.Between(onFace, onTop, inward < 0 ? rise : -rise), onTop];
    }
}
