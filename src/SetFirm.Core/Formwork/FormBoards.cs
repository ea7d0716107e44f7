using System.Collections.Immutable;
using SetFirm.Core.Joints;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Formwork;

/// <summary>How boards meet at corners.</summary>
public enum CornerScheme
{
    /// <summary>Every other board runs past both of its neighbours.</summary>
    ButtedPair,

    /// <summary>Each board runs past one neighbour, round and round.</summary>
    Pinwheel,

    /// <summary>Cut on the half angle.</summary>
    Mitred,
}

/// <summary>The board of one straight edge.</summary>
/// <param name="Edge">Which edge.</param>
/// <param name="InsideM">The pour's own edge.</param>
/// <param name="CutM">Over its longest side, corners included.</param>
/// <param name="PiecesM">Cut lengths where no board is long enough.</param>
public sealed record BoardRun(int Edge, double InsideM, double CutM, ImmutableArray<double> PiecesM);

/// <summary>The bent strip of one arc.</summary>
public sealed record BentRun(int Edge, double RadiusM, double InsideM, double CutM, StripStock Strip);

/// <summary>What holds an element in its place.</summary>
public sealed record FormBoards(ImmutableArray<BoardRun> Boards, ImmutableArray<BentRun> Bends, ImmutableArray<double> BulkheadsM, ImmutableArray<Stake> Stakes)
{
    /// <param name="outline">The pour: the inside of the form.</param>
    /// <param name="formed">True for each edge that has a form.</param>
    /// <param name="board">What straight edges are formed with.</param>
    /// <param name="scheme">How boards meet.</param>
    /// <param name="height">Of the pour.</param>
    /// <param name="longestMm">Of the stock.</param>
    /// <param name="strip">What an arc of a radius is bent from.</param>
    /// <param name="bulkheads">Joints that are formed.</param>
    public static FormBoards Of(
        Outline outline, Func<int, bool> formed, LumberSize board, CornerScheme scheme, Length height, double longestMm,
        Func<double, StripStock> strip, IReadOnlyList<PlanCut> bulkheads)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var runs = ImmutableArray.CreateBuilder<BoardRun>();
        var stakes = ImmutableArray.CreateBuilder<Stake>();
        var straight = Formwork.Stakes.Spacing(height, board.Thickness).Metres;
        var number = 0;
        for (var i = 0; i < outline.Corners.Length; i++)
        {
            if (!formed(i))
            {
                continue;
            }

            var inside = outline.EdgeMetres(i);
            double[] splices = [];
            if (!outline.IsArc(i))
            {
                var cut = Math.Max(0.001, inside + Past(outline, i, start: true, formed, board, scheme, number) + Past(outline, i, start: false, formed, board, scheme, number));
                var pieces = Pieces(cut, longestMm / 1000);
                runs.Add(new BoardRun(i, inside, cut, pieces));
                splices = [.. pieces.SkipLast(1).Select((_, k) => pieces.Take(k + 1).Sum())];
                number++;
            }

            var spacing = outline.IsArc(i) ? Formwork.Stakes.BentM : straight;
            var held = splices.Select(s => (Math.Min(s, inside), StakeAt.Splice)).Concat(Ends(outline, i, bulkheads).Select(s => (s, StakeAt.Bulkhead)));
            stakes.AddRange(Formwork.Stakes.Along(inside, spacing, held).Select(s => new Stake(OnEdge(outline, i, s.AtM), s.Why, i)));
        }

        foreach (var bulkhead in bulkheads)
        {
            var inner = Formwork.Stakes.Along(bulkhead.LengthM, straight, []).Where(s => s.Why == StakeAt.Between);
            stakes.AddRange(inner.Select(s => new Stake(bulkhead.From.Towards(bulkhead.To, s.AtM / bulkhead.LengthM), StakeAt.Bulkhead, -1)));
        }

        return new FormBoards(runs.ToImmutable(), Bent(outline, formed, strip), [.. bulkheads.Select(b => b.LengthM)], [.. stakes.DistinctBy(s => (Math.Round(s.At.X, 4), Math.Round(s.At.Y, 4)))]);
    }

    /// <summary>The bent strip of each arc that is formed.</summary>
    /// <param name="outline">The pour: the inside of the form.</param>
    /// <param name="formed">True for each edge that has a form.</param>
    /// <param name="strip">What an arc of a radius is bent from.</param>
    public static ImmutableArray<BentRun> Bent(Outline outline, Func<int, bool> formed, Func<double, StripStock> strip)
    {
        ArgumentNullException.ThrowIfNull(outline);
        ArgumentNullException.ThrowIfNull(strip);
        var bends = ImmutableArray.CreateBuilder<BentRun>();
        foreach (var i in Enumerable.Range(0, outline.Corners.Length).Where(i => outline.IsArc(i) && formed(i)))
        {
            var (chord, rise) = (outline.ChordMetres(i), outline.Rises[i]);
            var (radius, sweep) = (Arcs.RadiusM(chord, rise), Arcs.SweepRadians(chord, rise));
            var stock = strip(radius);
            bends.Add(new BentRun(i, radius, outline.EdgeMetres(i), BentStrip.CutM(radius, sweep, rise > 0, stock.Thickness.Metres), stock));
        }

        return bends.ToImmutable();
    }

    // How far a board runs past the pour's corner: a neighbour's thickness, nothing, or back by one inside a notch.
    private static double Past(Outline outline, int edge, bool start, Func<int, bool> formed, LumberSize board, CornerScheme scheme, int number)
    {
        var n = outline.Corners.Length;
        var neighbour = start ? (edge + n - 1) % n : (edge + 1) % n;
        if (!formed(neighbour) || outline.IsArc(neighbour))
        {
            return 0;
        }

        var turn = TurnRadians(outline, start ? edge : neighbour);
        var t = board.Thickness.Metres;
        if (scheme == CornerScheme.Mitred || Math.Abs(Math.Abs(turn) - (Math.PI / 2)) > 0.02)
        {
            return t * Math.Tan(Math.Clamp(turn, -2.6, 2.6) / 2);
        }

        var runsPast = scheme == CornerScheme.Pinwheel ? !start : number % 2 == 0;
        return turn > 0 ? (runsPast ? t : 0) : (runsPast ? 0 : -t);
    }

    /// <summary>Turn at the start of an edge, seen so that a plain corner is positive.</summary>
    private static double TurnRadians(Outline outline, int corner) => outline.TurnDegrees(corner) * Math.PI / 180 * (outline.TurnsLeft ? 1 : -1);

    private static ImmutableArray<double> Pieces(double lengthM, double longestM)
    {
        var whole = (int)Math.Min(1000, Math.Ceiling((lengthM / longestM) - 1e-9) - 1);
        return whole <= 0 ? [lengthM] : [.. Enumerable.Repeat(longestM, whole), lengthM - (whole * longestM)];
    }

    private static IEnumerable<double> Ends(Outline outline, int edge, IReadOnlyList<PlanCut> bulkheads)
    {
        var (a, b) = (outline.Corners[edge], outline.Corners[(edge + 1) % outline.Corners.Length]);
        return bulkheads.SelectMany(k => new[] { k.From, k.To }).Where(p => p.DistanceToSegment(a, b) < 0.002).Select(p => p.DistanceTo(a));
    }

    /// <summary>The place a way along an edge, on its arc where it has one.</summary>
    public static PlanPoint OnEdge(Outline outline, int edge, double atM)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (a, b) = (outline.Corners[edge], outline.Corners[(edge + 1) % outline.Corners.Length]);
        var whole = outline.EdgeMetres(edge);
        if (whole <= 0)
        {
            return a;
        }

        if (!outline.IsArc(edge))
        {
            return a.Towards(b, atM / whole);
        }

        var (chord, rise) = (outline.ChordMetres(edge), outline.Rises[edge] * (outline.TurnsLeft ? 1 : -1));
        var (radius, sweep) = (Arcs.RadiusM(chord, rise), Arcs.SweepRadians(chord, rise));
        var angle = sweep * ((atM / whole) - 0.5);
        var (along, off) = ((chord / 2) + (radius * Math.Sin(angle)), Math.Sign(rise) * ((radius * Math.Cos(angle)) - (radius - Math.Abs(rise))));
        var (ux, uy) = ((b.X - a.X) / chord, (b.Y - a.Y) / chord);
        return new PlanPoint(a.X + (ux * along) + (uy * off), a.Y + (uy * along) - (ux * off));
    }
}
