using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using NetTopologySuite.Operation.Valid;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A checked outline: closed, not crossing itself, with openings inside it. Made only by <see cref="TryCreate"/>.</summary>
public sealed class Outline
{
    /// <summary>Circles are cut to chords that leave the arc by no more than this, for tests of place only; areas stay exact.</summary>
    public const double ChordErrorMetres = 0.001;

    private static readonly GeometryFactory Factory = new();

    private Outline(ImmutableArray<PlanPoint> corners, ImmutableArray<Opening> openings, double signedArea)
    {
        Corners = corners;
        Openings = openings;
        GrossArea = Area.FromSquareMetres(Math.Abs(signedArea));
        var net = GrossArea.SquareMetres - openings.Sum(o => o.Area.SquareMetres);
        NetArea = Area.FromSquareMetres(Math.Max(0, net));
    }

    public ImmutableArray<PlanPoint> Corners { get; }

    public ImmutableArray<Opening> Openings { get; }

    public Area GrossArea { get; }

    /// <summary>What is poured: the outline less its openings.</summary>
    public Area NetArea { get; }

    public Length Perimeter => Length.FromMetres(Enumerable.Range(0, Corners.Length).Sum(EdgeMetres));

    public double EdgeMetres(int edge)
    {
        var (from, to) = (Corners[edge], Corners[(edge + 1) % Corners.Length]);
        return Math.Sqrt(((to.X - from.X) * (to.X - from.X)) + ((to.Y - from.Y) * (to.Y - from.Y)));
    }

    /// <summary>Checks once; what comes out <see cref="OutlineCheck.Sound"/> may be trusted.</summary>
    public static OutlineCheck TryCreate(ImmutableArray<PlanPoint> corners, ImmutableArray<Opening> openings)
    {
        var ring = Ring(corners);
        var fault = new IsValidOp(ring).ValidationError;
        if (fault is not null)
        {
            var at = fault.Coordinate ?? ring.Coordinate;
            return new OutlineCheck.Crosses(new PlanPoint(at.X, at.Y));
        }

        var holes = openings.Select(Hole).ToArray();
        var inside = PreparedGeometryFactory.Prepare(ring); // indexes the ring once for all openings
        for (var i = 0; i < holes.Length; i++)
        {
            if (!inside.Covers(holes[i]))
            {
                return new OutlineCheck.OpeningOutside(i);
            }

            for (var j = 0; j < i; j++)
            {
                if (holes[j].Intersects(holes[i]))
                {
                    return new OutlineCheck.OpeningsOverlap(i, j);
                }
            }
        }

        return new OutlineCheck.Sound(new Outline(corners, openings, SignedArea(corners)));
    }

    /// <summary>The shoelace sum: positive where the corners run anticlockwise.</summary>
    private static double SignedArea(ImmutableArray<PlanPoint> corners)
    {
        double twice = 0;
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Length]);
            twice += (a.X * b.Y) - (b.X * a.Y);
        }

        return twice / 2;
    }

    private static Polygon Ring(ImmutableArray<PlanPoint> corners)
    {
        var ring = new Coordinate[corners.Length + 1];
        for (var i = 0; i < ring.Length; i++)
        {
            var corner = corners[i % corners.Length];
            ring[i] = new Coordinate(corner.X, corner.Y);
        }

        return Factory.CreatePolygon(ring);
    }

    private static Polygon Hole(Opening opening) => opening switch
    {
        Opening.Round round => Ring(Circle(round.At, round.Diameter.Metres / 2)),
        Opening.Rectangular box => Ring(Box(box.At, box.Width.Metres / 2, box.Depth.Metres / 2)),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static ImmutableArray<PlanPoint> Box(PlanPoint at, double x, double y) =>
        [new(at.X - x, at.Y - y), new(at.X + x, at.Y - y), new(at.X + x, at.Y + y), new(at.X - x, at.Y + y)];

    private static ImmutableArray<PlanPoint> Circle(PlanPoint at, double radius)
    {
        // sagitta r (1 - cos(pi/n)) <= error
        var chords = radius <= ChordErrorMetres
            ? 8
            : Math.Clamp((int)Math.Ceiling(Math.PI / Math.Acos(1 - (ChordErrorMetres / radius))), 8, 720);
        return [.. Enumerable.Range(0, chords).Select(i =>
            new PlanPoint(at.X + (radius * Math.Cos(2 * Math.PI * i / chords)), at.Y + (radius * Math.Sin(2 * Math.PI * i / chords))))];
    }
}

/// <summary>What the check of an outline found.</summary>
public abstract record OutlineCheck
{
    private OutlineCheck()
    {
    }

    public sealed record Sound(Outline Outline) : OutlineCheck;

    public sealed record Crosses(PlanPoint At) : OutlineCheck;

    public sealed record OpeningOutside(int Opening) : OutlineCheck;

    public sealed record OpeningsOverlap(int Opening, int Other) : OutlineCheck;
}
