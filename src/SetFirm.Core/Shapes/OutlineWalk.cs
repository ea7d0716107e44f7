using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>One edge as taped: its length, or null where it is to be worked out, and the turn at its end.</summary>
/// <param name="Length">Null leaves it blank.</param>
/// <param name="TurnDegrees">Turn before the next edge: left is positive, right negative; a square corner is 90.</param>
public readonly record struct TapedEdge(Length? Length, double TurnDegrees);

/// <summary>What came of walking round the edges.</summary>
public abstract record Walked
{
    private Walked()
    {
    }

    /// <param name="Corners">Start of each edge, metres, the first at the origin.</param>
    /// <param name="LengthsMetres">Each edge, blanks worked out and the misfit spread.</param>
    /// <param name="MisfitMetres">By how much the tapes missed the start before it was spread.</param>
    public sealed record Closed(ImmutableArray<PlanPoint> Corners, ImmutableArray<double> LengthsMetres, double MisfitMetres) : Walked;

    public sealed record TooFewEdges : Walked;

    public sealed record TurnsOff(double SumDegrees) : Walked;

    /// <param name="Metres">By how much the start was missed.</param>
    /// <param name="Spreadable">True where spreading it would still give an outline near what was taped.</param>
    public sealed record Gap(double Metres, bool Spreadable) : Walked;

    /// <summary>More than two blanks, or two that run parallel.</summary>
    public sealed record NotSolvable(int Blanks) : Walked;

    public sealed record Backwards(int Edge, double Metres) : Walked;
}

/// <summary>Turns edge lengths and turns into corners, the first edge along x.</summary>
/// <remarks>
/// Up to two lengths may be blank: closing gives two equations, so they follow from the rest.
/// A misfit up to <see cref="SpreadMetres"/> is spread over the corners in proportion to the distance walked
/// (the compass rule of surveying); more is reported, never hidden.
/// </remarks>
public static class OutlineWalk
{
    /// <summary>Tapes read by hand miss by a few millimetres; this much is spread without asking.</summary>
    public const double SpreadMetres = 0.005;

    /// <summary>More than this share of the way round is a wrong tape, not a misfit, and is never spread.</summary>
    private const double MostSpreadShare = 0.05;

    private const double TurnSlackDegrees = 1e-6;

    /// <param name="edges">As taped.</param>
    /// <param name="spread">Spread a gap wider than <see cref="SpreadMetres"/> too.</param>
    public static Walked Walk(IReadOnlyList<TapedEdge> edges, bool spread = false)
    {
        ArgumentNullException.ThrowIfNull(edges);
        if (edges.Count < 3)
        {
            return new Walked.TooFewEdges();
        }

        var sum = edges.Sum(e => e.TurnDegrees);
        if (Math.Abs(Math.Abs(sum) - 360) > TurnSlackDegrees)
        {
            return new Walked.TurnsOff(sum);
        }

        var directions = Directions(edges);
        var blanks = Enumerable.Range(0, edges.Count).Where(i => edges[i].Length is null).ToArray();
        var lengths = edges.Select(e => e.Length?.Metres ?? 0).ToArray();
        if (!SolveBlanks(directions, lengths, blanks))
        {
            return new Walked.NotSolvable(blanks.Length);
        }

        var backwards = Array.FindIndex(lengths, l => l <= 0);
        return backwards >= 0 ? new Walked.Backwards(backwards, lengths[backwards]) : Close(directions, lengths, spread);
    }

    private static PlanPoint[] Directions(IReadOnlyList<TapedEdge> edges)
    {
        var directions = new PlanPoint[edges.Count];
        double heading = 0;
        for (var i = 0; i < edges.Count; i++)
        {
            directions[i] = Heading(heading);
            heading += edges[i].TurnDegrees;
        }

        return directions;
    }

    // Square turns are by far the commonest and must stay exactly square.
    private static PlanPoint Heading(double degrees) => (((degrees % 360) + 360) % 360) switch
    {
        0 => new(1, 0),
        90 => new(0, 1),
        180 => new(-1, 0),
        270 => new(0, -1),
        var other => new(Math.Cos(other * Math.PI / 180), Math.Sin(other * Math.PI / 180)),
    };

    private static bool SolveBlanks(PlanPoint[] directions, double[] lengths, int[] blanks)
    {
        var (x, y) = End(directions, lengths);
        switch (blanks.Length)
        {
            case 0:
                return true;
            case 1:
                var d = directions[blanks[0]];
                lengths[blanks[0]] = -((x * d.X) + (y * d.Y)); // least squares; what is left is the misfit
                return true;
            case 2:
                var (a, b) = (directions[blanks[0]], directions[blanks[1]]);
                var det = (a.X * b.Y) - (a.Y * b.X);
                if (Math.Abs(det) < 1e-9)
                {
                    return false;
                }

                lengths[blanks[0]] = ((-x * b.Y) + (y * b.X)) / det;
                lengths[blanks[1]] = ((-y * a.X) + (x * a.Y)) / det;
                return true;
            default:
                return false;
        }
    }

    private static Walked Close(PlanPoint[] directions, double[] lengths, bool spread)
    {
        var (x, y) = End(directions, lengths);
        var misfit = Math.Sqrt((x * x) + (y * y));
        var round = lengths.Sum();
        var spreadable = misfit <= MostSpreadShare * round;
        if (misfit > SpreadMetres && !(spread && spreadable))
        {
            return new Walked.Gap(misfit, spreadable);
        }

        var corners = ImmutableArray.CreateBuilder<PlanPoint>(lengths.Length);
        double atX = 0, atY = 0, walked = 0;
        for (var i = 0; i < lengths.Length; i++)
        {
            corners.Add(new PlanPoint(atX - (x * walked / round), atY - (y * walked / round)));
            atX += directions[i].X * lengths[i];
            atY += directions[i].Y * lengths[i];
            walked += lengths[i];
        }

        return new Walked.Closed(corners.MoveToImmutable(), [.. lengths], misfit);
    }

    private static (double X, double Y) End(PlanPoint[] directions, double[] lengths)
    {
        double x = 0, y = 0;
        for (var i = 0; i < lengths.Length; i++)
        {
            x += directions[i].X * lengths[i];
            y += directions[i].Y * lengths[i];
        }

        return (x, y);
    }
}
