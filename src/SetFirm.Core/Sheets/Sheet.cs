using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Sheets;

/// <summary>What a stroke is of: its layer in a drawing file.</summary>
public enum Layer
{
    /// <summary>Round what is poured.</summary>
    Outline,

    /// <summary>Drains, posts, cut-outs.</summary>
    Opening,

    /// <summary>Contraction joints.</summary>
    Joint,

    /// <summary>Form boards as they come from the shop.</summary>
    Board,

    /// <summary>Bars as they come from the shop.</summary>
    Steel,

    /// <summary>Where they are cut.</summary>
    Cut,

    /// <summary>Names and numbers.</summary>
    Text,
}

/// <summary>One stroke of a drawing, millimetres, y up.</summary>
public abstract record Stroke(Layer Layer)
{
    /// <summary>Corners one after another, with how each way on bows.</summary>
    /// <param name="Layer">Of what.</param>
    /// <param name="Points">Millimetres.</param>
    /// <param name="Bulges">Of the way from each corner on: the tangent of a quarter of its arc, to the right of the way over 0; 0 is straight.</param>
    /// <param name="Closed">It comes back to where it began.</param>
    public sealed record Path(Layer Layer, ImmutableArray<PlanPoint> Points, ImmutableArray<double> Bulges, bool Closed) : Stroke(Layer);

    public sealed record Circle(Layer Layer, PlanPoint Centre, double RadiusMm) : Stroke(Layer);

    /// <summary>A word, its foot at a place.</summary>
    public sealed record Word(Layer Layer, PlanPoint At, double HeightMm, string Text) : Stroke(Layer);
}

/// <summary>A drawing to scale, millimetres.</summary>
/// <param name="Strokes">In the order in which they are drawn.</param>
public sealed record Sheet(ImmutableArray<Stroke> Strokes)
{
    /// <summary>From the lowest and leftmost to the highest and rightmost place of it, arcs in full; a point where it is empty.</summary>
    public (PlanPoint Low, PlanPoint High) Bounds()
    {
        PlanPoint[] all = [.. Strokes.SelectMany(Reach)];
        return all.Length == 0 ? default : (new PlanPoint(all.Min(p => p.X), all.Min(p => p.Y)), new PlanPoint(all.Max(p => p.X), all.Max(p => p.Y)));
    }

    /// <summary>The path with its arcs as chords that stray no further than a tenth of a millimetre.</summary>
    public static IEnumerable<PlanPoint> Flat(Stroke.Path path)
    {
        ArgumentNullException.ThrowIfNull(path);
        for (var i = 0; i < path.Points.Length; i++)
        {
            yield return path.Points[i];
            var to = path.Points[(i + 1) % path.Points.Length];
            if (path.Bulges[i] == 0 || (i == path.Points.Length - 1 && !path.Closed))
            {
                continue;
            }

            // In metres, as the shapes have it: the rise to the right of the way.
            var rise = path.Bulges[i] * path.Points[i].DistanceTo(to) / 2;
            foreach (var between in Arcs.Between(Scaled(path.Points[i], 0.001), Scaled(to, 0.001), rise * 0.001))
            {
                yield return Scaled(between, 1000);
            }
        }
    }

    private static PlanPoint Scaled(PlanPoint point, double by) => new(point.X * by, point.Y * by);

    private static IEnumerable<PlanPoint> Reach(Stroke stroke) => stroke switch
    {
        Stroke.Path path => Flat(path),
        Stroke.Circle c => [new(c.Centre.X - c.RadiusMm, c.Centre.Y - c.RadiusMm), new(c.Centre.X + c.RadiusMm, c.Centre.Y + c.RadiusMm)],
        Stroke.Word w => [w.At, new(w.At.X + (w.Text.Length * w.HeightMm * 0.7), w.At.Y + w.HeightMm)],
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
