using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Valid;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A checked outline of straight and arc edges: closed, not crossing itself, with openings inside it. Made only by <see cref="TryCreate"/>.</summary>
public sealed class Outline
{
    internal static readonly GeometryFactory Factory = new();
    private readonly double signedChordArea;
    private readonly Lazy<Polygon> whole;
    private readonly Lazy<Polygon> net;
    private readonly Lazy<Rings> region;
    private readonly Lazy<Outline> plain;
    private readonly Lazy<bool> ownMirror;

    private Outline(ImmutableArray<PlanPoint> corners, ImmutableArray<double> rises, ImmutableArray<Opening> openings, FlatRing flat, double signedChordArea)
    {
        (Corners, Rises, Openings, this.signedChordArea) = (corners, rises, openings, signedChordArea);
        (Flat, FlatEdges) = (flat.Points, flat.Edges);
        var gross = Math.Abs(signedChordArea);
        for (var i = 0; i < corners.Length; i++)
        {
            gross += Math.Sign(rises[i]) * Arcs.SegmentM2(ChordMetres(i), rises[i]);
        }

        GrossArea = Area.FromSquareMetres(Math.Max(0, gross));
        NetArea = Area.FromSquareMetres(Math.Max(0, gross - openings.Sum(o => o.Area.SquareMetres)));
        region = new(() => new Rings(Net));
        plain = new(Simplify);
        ownMirror = new(FindAxis);
        whole = new(() => Ring(Flat));
        net = new(() => Openings.IsEmpty ? Gross : Factory.CreatePolygon(Gross.Shell, [.. Openings.Select(o => Hole(o).Shell)]));
    }

    /// <summary>With more stretches than this an outline is a drawn curve, and advice on it goes by <see cref="Plain"/>.</summary>
    public const int MostDetailed = 600;

    private const double SamePlaceM = 1e-6;

    private static readonly ImmutableArray<double> Tolerances = [0.002, 0.01, 0.05, 0.2, 1];

    public ImmutableArray<PlanPoint> Corners { get; }

    /// <summary>For each edge how far its middle bows out of the straight line between its ends, metres; 0 is straight, below 0 bows in.</summary>
    public ImmutableArray<double> Rises { get; }

    public ImmutableArray<Opening> Openings { get; }

    /// <summary>The outline with its arcs cut to chords, within <see cref="Arcs.ChordErrorM"/>.</summary>
    public ImmutableArray<PlanPoint> Flat { get; }

    /// <summary>Which edge each stretch of <see cref="Flat"/> belongs to.</summary>
    public ImmutableArray<int> FlatEdges { get; }

    public Area GrossArea { get; }

    /// <summary>What is poured: the outline less its openings. Exact: arcs and circles, not their chords.</summary>
    public Area NetArea { get; }

    public Length Perimeter => Length.FromMetres(Enumerable.Range(0, Corners.Length).Sum(EdgeMetres));

    /// <summary>True where the corners run anticlockwise, so that the slab lies to the left of each edge.</summary>
    public bool TurnsLeft => signedChordArea > 0;

    /// <summary>The same without openings.</summary>
    internal Polygon Gross => whole.Value;

    /// <summary>The slab with its openings, arcs and circles as chords. Its coordinates must not be set.</summary>
    internal Polygon Net => net.Value;

    /// <summary>
    /// The outline itself; of a drawn curve one of at most <see cref="MostDetailed"/> corners that stays within millimetres of it, or
    /// as near as so few corners can. Joints, steel and reach are advised on this; areas and volumes never are.
    /// </summary>
    public Outline Plain => plain.Value;

    /// <summary>The same for questions that are asked many times.</summary>
    internal Rings Region => region.Value;

    /// <summary>Along the edge, round its arc where it has one.</summary>
    public double EdgeMetres(int edge) => Arcs.LengthM(ChordMetres(edge), Rises[edge]);

    /// <summary>Straight from end to end.</summary>
    public double ChordMetres(int edge) => Corners[edge].DistanceTo(Corners[(edge + 1) % Corners.Length]);

    /// <summary>Turn at a corner between the straight lines before and after it, degrees: left positive.</summary>
    public double TurnDegrees(int corner)
    {
        var n = Corners.Length;
        var (a, b, c) = (Corners[(corner + n - 1) % n], Corners[corner], Corners[(corner + 1) % n]);
        var (ux, uy, vx, vy) = (b.X - a.X, b.Y - a.Y, c.X - b.X, c.Y - b.Y);
        return Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy)) * 180 / Math.PI;
    }

    public bool IsArc(int edge) => Math.Abs(Rises[edge]) >= Arcs.StraightM;

    /// <summary>The same seen from below: what a mould for a face-down cast is cut to.</summary>
    public Outline Mirrored()
    {
        var corners = Corners.Select(Mirror).ToImmutableArray();
        var openings = Openings.Select(o => o.MovedTo(Mirror(o.Centre))).ToImmutableArray();
        return new Outline(corners, Rises, openings, FlatRing.Of(corners, Rises, turnsLeft: !TurnsLeft), -signedChordArea);
    }

    /// <summary>What the rebates of its cut-outs take, cubic metres.</summary>
    public double RebatesM3 => Openings.Sum(o => o.RebateArea.SquareMetres * (o.Rebate?.Depth.Metres ?? 0));

    /// <summary>Of a field so thick, without what is let into its face.</summary>
    public Volume FieldVolume(Length thickness) => Volume.FromCubicMetres((NetArea * thickness).CubicMetres - RebatesM3);

    /// <summary>True where its mirror can be turned to lie on it, openings and all: a mould for it needs no thought about sides.</summary>
    /// <remarks>An axis of symmetry goes through the centroid, and through a corner or the middle of an edge. Of a drawn curve it is not asked: false is safe.</remarks>
    public bool IsItsOwnMirror => ownMirror.Value;

    /// <summary>Area that is left when every edge is moved in, openings left out, square metres; corners stay sharp.</summary>
    public double InsetM2(double byM) =>
        Gross.Buffer(-byM, new BufferParameters(8, EndCapStyle.Flat, JoinStyle.Mitre, 10)).Area - Openings.Sum(o => o.Area.SquareMetres);

    /// <summary>Checks once; what comes out <see cref="OutlineCheck.Sound"/> may be trusted.</summary>
    /// <param name="said">Start of each edge; three at the least.</param>
    /// <param name="openings">Holes.</param>
    /// <param name="rises">For each edge, metres; default means all straight.</param>
    public static OutlineCheck TryCreate(ImmutableArray<PlanPoint> said, ImmutableArray<Opening> openings, ImmutableArray<double> rises = default)
    {
        var corners = Settled(said);
        var bows = rises.IsDefault ? [.. new double[corners.Length]] : rises;
        for (var i = 0; i < corners.Length; i++)
        {
            // An edge that bows out and ends where it begins is a loop of its own.
            if (bows[i] != 0 && corners[i].DistanceTo(corners[(i + 1) % corners.Length]) < SamePlaceM)
            {
                return new OutlineCheck.Crosses(corners[i]);
            }
        }

        var signed = SignedArea(corners);
        var flat = FlatRing.Of(corners, bows, signed > 0);
        var ring = Ring(flat.Points);
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

        return new OutlineCheck.Sound(new Outline(corners, bows, openings, flat, signed));
    }

    // Corners within a micron of each other are one place: an edge shorter than that has no direction that could be reckoned with.
    private static ImmutableArray<PlanPoint> Settled(ImmutableArray<PlanPoint> said)
    {
        var corners = said.ToBuilder();
        for (var i = corners.Count - 1; i >= 0; i--)
        {
            var next = corners[(i + 1) % corners.Count];
            corners[i] = corners[i].DistanceTo(next) < SamePlaceM ? next : corners[i];
        }

        return corners.MoveToImmutable();
    }

    /// <summary>More corners than this are a drawn curve.</summary>
    private const int MostWithAxis = 60;

    /// <summary>Corners that are nearer than this share of its size are one.</summary>
    private const double MirrorSlack = 1e-3;

    /// <summary>What of the area may differ between an outline and its mirror.</summary>
    private const double SameShare = 2e-4;

    private bool FindAxis()
    {
        if (Corners.Length > MostWithAxis)
        {
            return false;
        }

        var centre = Net.Centroid.Coordinate;
        var middles = Enumerable.Range(0, Corners.Length).Select(i => (A: Corners[i], B: Corners[(i + 1) % Corners.Length])).Select(e => new PlanPoint((e.A.X + e.B.X) / 2, (e.A.Y + e.B.Y) / 2));
        // Openings that could tell a side from the other lie off the axis in pairs, or on it.
        var through = Corners.Concat(middles).Concat(Openings.Select(o => o.Centre));
        return through.Where(p => Math.Abs(p.X - centre.X) + Math.Abs(p.Y - centre.Y) > SamePlaceM).Any(p => IsAxis(centre, Math.Atan2(p.Y - centre.Y, p.X - centre.X)));
    }

    private bool IsAxis(Coordinate at, double radians)
    {
        // Corners come to lie on corners, or it is none: most lines are told so without laying the areas over each other.
        var (cos, sin) = (Math.Cos(2 * radians), Math.Sin(2 * radians));
        PlanPoint Reflected(PlanPoint p) => new(at.X + (cos * (p.X - at.X)) + (sin * (p.Y - at.Y)), at.Y + (sin * (p.X - at.X)) - (cos * (p.Y - at.Y)));
        var near = MirrorSlack * Math.Sqrt(GrossArea.SquareMetres);
        if (!IsArc(0) && Corners.Any(c => Reflected(c) is var image && !Corners.Any(other => other.DistanceTo(image) < near)))
        {
            return false;
        }

        var reflect = NetTopologySuite.Geometries.Utilities.AffineTransformation.ReflectionInstance(at.X, at.Y, at.X + Math.Cos(radians), at.Y + Math.Sin(radians));
        return Net.SymmetricDifference(reflect.Transform(Net)).Area < SameShare * Net.Area;
    }

    private Outline Simplify()
    {
        if (Flat.Length <= MostDetailed)
        {
            return this;
        }

        foreach (var tolerance in Tolerances)
        {
            var kept = Simplified.Keep(Flat, tolerance);
            ImmutableArray<PlanPoint> corners = [.. kept.Select(i => Flat[i])];
            if (kept.Length is >= 3 and <= MostDetailed && new IsValidOp(Ring(corners)).IsValid)
            {
                var ring = Ring(corners);
                return new Outline(corners, [.. new double[corners.Length]], [.. Openings.Where(o => ring.Covers(Hole(o)))], new FlatRing(corners, [.. kept.Select(i => FlatEdges[i])]), SignedArea(corners));
            }
        }

        return this;
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

    private static PlanPoint Mirror(PlanPoint p) => new(0 - p.X, p.Y); // 0 - x keeps +0 where -x would make -0

    internal static Polygon Ring(ImmutableArray<PlanPoint> corners)
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
        Opening.Rectangular { Corner.Metres: > 0 } box => Ring(RoundBox(box)),
        Opening.Rectangular box => Ring(Box(box.At, box.Width.Metres / 2, box.Depth.Metres / 2)),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static ImmutableArray<PlanPoint> Box(PlanPoint at, double x, double y) =>
        [new(at.X - x, at.Y - y), new(at.X + x, at.Y - y), new(at.X + x, at.Y + y), new(at.X - x, at.Y + y)];

    // Four quarters of a circle, their middles a radius in from the corners.
    private static ImmutableArray<PlanPoint> RoundBox(Opening.Rectangular box)
    {
        var (r, inner) = (box.Corner.Metres, Box(box.At, (box.Width.Metres / 2) - box.Corner.Metres, (box.Depth.Metres / 2) - box.Corner.Metres));
        var chords = Math.Max(2, Arcs.Chords(r, Math.PI / 2));
        return [.. from quarter in Enumerable.Range(0, 4)
                   from i in Enumerable.Range(0, chords + 1)
                   let angle = (Math.PI * (1 + (quarter / 2.0))) + (Math.PI / 2 * i / chords)
                   select new PlanPoint(inner[quarter].X + (r * Math.Cos(angle)), inner[quarter].Y + (r * Math.Sin(angle)))];
    }

    private static ImmutableArray<PlanPoint> Circle(PlanPoint at, double radius)
    {
        var chords = Math.Max(8, Arcs.Chords(radius, 2 * Math.PI));
        return [.. Enumerable.Range(0, chords).Select(i =>
            new PlanPoint(at.X + (radius * Math.Cos(2 * Math.PI * i / chords)), at.Y + (radius * Math.Sin(2 * Math.PI * i / chords))))];
    }
}

/// <summary>An outline cut to chords, and the edge that each chord came from.</summary>
internal readonly record struct FlatRing(ImmutableArray<PlanPoint> Points, ImmutableArray<int> Edges)
{
    public static FlatRing Of(ImmutableArray<PlanPoint> corners, ImmutableArray<double> rises, bool turnsLeft)
    {
        if (rises.All(r => Math.Abs(r) < Arcs.StraightM))
        {
            return new FlatRing(corners, [.. Enumerable.Range(0, corners.Length)]);
        }

        var points = ImmutableArray.CreateBuilder<PlanPoint>();
        var edges = ImmutableArray.CreateBuilder<int>();
        for (var i = 0; i < corners.Length; i++)
        {
            // Out of the outline is to the right where it turns left.
            var between = Arcs.Between(corners[i], corners[(i + 1) % corners.Length], turnsLeft ? rises[i] : -rises[i]);
            foreach (var point in between.Prepend(corners[i]))
            {
                points.Add(point);
                edges.Add(i);
            }
        }

        return new FlatRing(points.ToImmutable(), edges.ToImmutable());
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
