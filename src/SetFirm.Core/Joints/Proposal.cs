using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Joints;

/// <summary>Sets out the joints of a slab: from every re-entrant corner, near every opening, and as many between as the rules ask.</summary>
/// <remarks>
/// Lines run along and across the first edge. Each re-entrant corner takes one of its two lines, so that the panels are fewest, then the
/// joints shortest; the legs between them are split evenly, each by itself, into the fewest panels. An opening that no line meets draws the nearest line to itself where the
/// panels stay within their limits, and else gets a short joint to the nearest edge or line.
/// </remarks>
public static class Proposal
{
    /// <summary>Past this many re-entrant corners an outline is a drawn curve, and its corners start no cracks of their own.</summary>
    public const int MostCorners = 40;

    /// <summary>Up to so many corners both lines of each are tried.</summary>
    private const int MostTried = 4;

    private const double ReentrantDegrees = 20;

    /// <summary>A panel side no shorter than this is cut again, metres.</summary>
    private const double ShortestM = 0.45;

    /// <summary>Lines nearer than this are one, metres.</summary>
    private const double SameLineM = 0.02;

    private static readonly ImmutableArray<bool> BothWays = [true, false];

    public static ImmutableArray<JointLine> For(Outline outline, double spacingM)
    {
        var corners = ReentrantCorners(outline);
        // Few corners: every way of choosing. Many: each takes its shorter line.
        var ways = corners.Length <= MostTried ? 1 << corners.Length : 1;
        (ImmutableArray<JointLine> Lines, int Panels) best = ([], int.MaxValue);
        for (var way = 0; way < ways; way++)
        {
            var found = Chosen(outline, corners, way, spacingM);
            if (found.Panels < best.Panels || (found.Panels == best.Panels && LengthM(outline, found.Lines) < LengthM(outline, best.Lines) - SameLineM))
            {
                best = found;
            }
        }

        return best.Lines;
    }

    private static double LengthM(Outline outline, ImmutableArray<JointLine> lines) => lines.SelectMany(l => l.Within(outline)).Sum(c => c.LengthM);

    // Bit i of the way turns the choice of corner i from its shorter line to the other.
    private static (ImmutableArray<JointLine> Lines, int Panels) Chosen(Outline outline, ImmutableArray<int> corners, int way, double spacingM)
    {
        var chosen = new List<JointLine>();
        for (var i = 0; i < corners.Length; i++)
        {
            if (CornerLine(outline, outline.Corners[corners[i]], chosen, (way >> i & 1) == 1) is { } line)
            {
                chosen.Add(line);
            }
        }

        var legs = Panels.Legs(outline, [.. chosen.SelectMany(c => c.Within(outline))]);
        var split = legs.Select(leg => Leg.Of(leg, legs.Length == 1)).ToArray();
        return ([.. chosen, .. split.SelectMany(leg => leg.Joints(outline, spacingM))], split.Sum(leg => leg.Count(spacingM)));
    }

    /// <summary>Corners that point into the slab; none where there are so many that the outline is a curve.</summary>
    public static ImmutableArray<int> ReentrantCorners(Outline outline)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (n, side) = (outline.Corners.Length, outline.TurnsLeft ? 1 : -1);
        var found = ImmutableArray.CreateBuilder<int>();
        for (var i = 0; i < n && found.Count <= MostCorners; i++)
        {
            if (outline.TurnDegrees(i) * side < -ReentrantDegrees && !outline.IsArc(i) && !outline.IsArc((i + n - 1) % n))
            {
                found.Add(i);
            }
        }

        return found.Count > MostCorners ? [] : found.ToImmutable();
    }

    // A line through a re-entrant corner, along or across: the shorter joint, or the other; null where one meets it already.
    private static JointLine? CornerLine(Outline outline, PlanPoint corner, List<JointLine> before, bool longer)
    {
        if (before.SelectMany(b => b.Within(outline)).Any(c => corner.DistanceToSegment(c.From, c.To) < SameLineM))
        {
            return null;
        }

        var both = BothWays.Select(across => Touching(outline, corner, across)).Where(l => l.LengthM > SameLineM).OrderBy(l => l.LengthM).ToArray();
        return both.Length == 0 ? null : both[longer ? ^1 : 0].Line;
    }

    // Of the parts of a line within the slab, those that end at the corner: in a second leg the line has no business.
    private static (JointLine Line, double LengthM) Touching(Outline outline, PlanPoint corner, bool across)
    {
        var (least, most, length) = (double.MaxValue, double.MinValue, 0.0);
        foreach (var cut in new JointLine(across, across ? corner.X : corner.Y).Within(outline))
        {
            if (corner.DistanceToSegment(cut.From, cut.To) < SameLineM)
            {
                var (a, b) = across ? (cut.From.Y, cut.To.Y) : (cut.From.X, cut.To.X);
                (least, most, length) = (Math.Min(least, Math.Min(a, b)), Math.Max(most, Math.Max(a, b)), length + cut.LengthM);
            }
        }

        return (new JointLine(across, across ? corner.X : corner.Y, least, most), length);
    }

    private static (double X, double Y) Half(Opening opening) => opening switch
    {
        Opening.Round round => (round.Diameter.Metres / 2, round.Diameter.Metres / 2),
        Opening.Rectangular box => (box.Width.Metres / 2, box.Depth.Metres / 2),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>One leg of the slab, between the lines from its re-entrant corners: split evenly by itself.</summary>
    private sealed record Leg(double Left, double Right, double Low, double High, bool Whole)
    {
        public static Leg Of(Panel panel, bool whole)
        {
            var (xs, ys) = (panel.Corners.Select(c => c.X), panel.Corners.Select(c => c.Y));
            return new Leg(xs.Min(), xs.Max(), ys.Min(), ys.Max(), whole);
        }

        public int Count(double spacingM)
        {
            var (along, across) = Split(spacingM);
            return along * across;
        }

        private (int Along, int Across) Split(double spacingM) => EqualPanels.Fewest(Right - Left, High - Low, spacingM, JointRules.MostRatio)
            ?? (EqualPanels.Least(Right - Left, spacingM), EqualPanels.Least(High - Low, spacingM));

        public IEnumerable<JointLine> Joints(Outline outline, double spacingM)
        {
            var (along, across) = Split(spacingM);
            var (xs, ys) = (Even(Left, Right, along), Even(Low, High, across));
            var shorts = MeetOpenings(outline, spacingM, xs, ys);
            return xs.Skip(1).SkipLast(1).Select(x => Line(true, x)).Concat(ys.Skip(1).SkipLast(1).Select(y => Line(false, y))).Concat(shorts);
        }

        // From edge to edge where the leg is the whole slab, else from end to end of the leg.
        private JointLine Line(bool across, double at) => Whole ? new(across, at) : across ? new(true, at, Low, High) : new(false, at, Left, Right);

        private static List<double> Even(double from, double to, int count) => [.. Enumerable.Range(0, count + 1).Select(i => from + ((to - from) * i / count))];

        private List<JointLine> MeetOpenings(Outline outline, double spacing, List<double> xs, List<double> ys)
        {
            var shorts = new List<JointLine>();
            var (heldX, heldY) = (new HashSet<double>(), new HashSet<double>());
            foreach (var opening in outline.Openings.Where(o => o.Centre.X > Left && o.Centre.X < Right && o.Centre.Y > Low && o.Centre.Y < High))
            {
                var (halfX, halfY) = Half(opening);
                var (x, y) = (opening.Centre.X, opening.Centre.Y);
                if (!(xs.Any(l => Math.Abs(l - x) <= halfX) || ys.Any(l => Math.Abs(l - y) <= halfY)
                    || Draw(xs, heldX, x, ys, spacing) || Draw(ys, heldY, y, xs, spacing)))
                {
                    shorts.Add(Short(opening.Centre, halfX, halfY, xs, ys));
                }
            }

            return shorts;
        }
    }

    // Moves the nearest free line onto an opening, if its neighbours' panels stay within the limits.
    private static bool Draw(List<double> lines, HashSet<double> kept, double to, List<double> others, double spacing)
    {
        for (var i = 1; i < lines.Count - 1; i++)
        {
            if (kept.Contains(lines[i]) || to <= lines[i - 1] + ShortestM || to >= lines[i + 1] - ShortestM)
            {
                continue;
            }

            var (before, after) = (to - lines[i - 1], lines[i + 1] - to);
            var fits = Math.Max(before, after) <= spacing + JointRules.Slack && others.Zip(others.Skip(1), (a, b) => b - a).All(side =>
                new[] { before, after }.All(s => Math.Max(s / side, side / s) <= JointRules.MostRatio + JointRules.Slack));
            if (fits)
            {
                lines[i] = to;
                kept.Add(to);
                return true;
            }
        }

        return false;
    }

    // From the side of the opening to the nearest line or edge, edges being the first and last lines.
    private static JointLine Short(PlanPoint at, double halfX, double halfY, List<double> xs, List<double> ys)
    {
        var (nearX, nearY) = (xs.MinBy(x => Math.Abs(x - at.X)), ys.MinBy(y => Math.Abs(y - at.Y)));
        return Math.Abs(nearX - at.X) <= Math.Abs(nearY - at.Y)
            ? Between(false, at.Y, at.X + (Math.Sign(nearX - at.X) * halfX), nearX)
            : Between(true, at.X, at.Y + (Math.Sign(nearY - at.Y) * halfY), nearY);
        static JointLine Between(bool across, double line, double a, double b) => new(across, line, Math.Min(a, b), Math.Max(a, b));
    }
}
