using System.Collections.Immutable;
using System.Globalization;
using SetFirm.Core.Formwork;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Sheets;

/// <summary>Drawings of a plan: projections, as reports are.</summary>
public static class SheetOf
{
    /// <summary>Between elements, and between boards.</summary>
    private const double GapMm = 500;

    private const double BoardMm = 120;
    private const double WordMm = 60;

    /// <summary>Every element in plan, side by side: its outline, openings, joints and panel numbers.</summary>
    /// <param name="plan">Of a job; nothing is drawn while its shape is not sound.</param>
    public static Sheet Plan(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return InPlan(plan, (element, at) =>
        [
            .. element.Cast.Plan.Openings.Select(o => Opened(o, at)),
            .. element.Joints.Cuts.Select(c => Line(Layer.Joint, at(c.From), at(c.To))),
            .. element.Joints.Panels.Length > 1
                ? element.Joints.Panels.Select(p => new Stroke.Word(Layer.Text, at(p.Shape.Middle), WordMm, p.Number.ToString(CultureInfo.InvariantCulture))) : [],
        ]);
    }

    /// <summary>Steel where it lies: each bar, or each sheet of mesh with its laps, in the outline of what it strengthens. Of like pieces one.</summary>
    public static Sheet Steel(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var any = plan.Elements is { } all && all.Any(e => e.Build is { Steel.Layout: var l } && l.Bars.Length + l.Sheets.Length > 0);
        return any ? InPlan(plan, (element, at) => element.Build is { Steel.Layout: var layout }
            ? [
                .. layout.Bars.Select(b => Line(Layer.Steel, at(b.From), at(b.To))),
                .. layout.Sheets.Select(m =>
                {
                    var (low, high) = (at(new PlanPoint(m.Left, m.Low)), at(new PlanPoint(m.Right, m.High)));
                    return Box(Layer.Steel, low.X, low.Y, high.X - low.X, high.Y - low.Y);
                }),
            ]
            : []) : new Sheet([]);
    }

    /// <summary>Mould sheet as it is sold, with the parts that are cut from each.</summary>
    public static Sheet Ply(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var strokes = ImmutableArray.CreateBuilder<Stroke>();
        var (wide, high) = (Mould.SheetAlongM * 1000, Mould.SheetAcrossM * 1000);
        var y = 0.0;
        foreach (var stack in plan.Build?.Sheets ?? [])
        {
            foreach (var sheet in Mould.Stock.Layout(stack.Cuts).GroupBy(p => p.Sheet).OrderBy(g => g.Key))
            {
                strokes.Add(new Stroke.Word(Layer.Text, new PlanPoint(0, y + (0.5 * WordMm)), WordMm, string.Create(CultureInfo.InvariantCulture, $"{stack.Mm:0.#} mm, {sheet.Key + 1}")));
                y -= high;
                strokes.Add(Box(Layer.Board, 0, y, wide, high));
                foreach (var part in sheet)
                {
                    var (left, low, along, across) = (part.LeftM * 1000, y + (part.LowM * 1000), part.AlongM * 1000, part.AcrossM * 1000);
                    strokes.Add(Box(Layer.Cut, left, low, along, across));
                    var name = plan.Elements?.FirstOrDefault(e => e.Index == part.Element)?.Name ?? "";
                    strokes.Add(new Stroke.Word(Layer.Text, new PlanPoint(left + 20, low + 20), Math.Min(WordMm, across / 2), string.Create(CultureInfo.InvariantCulture, $"{along:0} x {across:0} {name}")));
                }

                y -= GapMm;
            }
        }

        return new Sheet(strokes.ToImmutable());
    }

    // Elements side by side, each with its outline and its name.
    private static Sheet InPlan(JobPlan plan, Func<ElementPlan, Func<PlanPoint, PlanPoint>, IEnumerable<Stroke>> drawn)
    {
        var strokes = ImmutableArray.CreateBuilder<Stroke>();
        var x = 0.0;
        foreach (var element in plan.Elements ?? [])
        {
            var outline = element.Cast.Plan;
            var (left, bottom) = (outline.Flat.Min(c => c.X), outline.Flat.Min(c => c.Y));
            var right = outline.Flat.Max(c => c.X);
            var shift = x;
            PlanPoint At(PlanPoint p) => new(((p.X - left) * 1000) + shift, (p.Y - bottom) * 1000);
            // A rise bows to the right of an outline that turns left, and to the left of one that turns right.
            var bulges = Enumerable.Range(0, outline.Corners.Length).Select(i => outline.IsArc(i) ? (outline.TurnsLeft ? 2 : -2) * outline.Rises[i] / outline.ChordMetres(i) : 0);
            strokes.Add(new Stroke.Path(Layer.Outline, [.. outline.Corners.Select(At)], [.. bulges], Closed: true));
            strokes.AddRange(drawn(element, At));
            strokes.Add(new Stroke.Word(Layer.Text, new PlanPoint(shift, -2.5 * WordMm), WordMm, element.Name));
            x += ((right - left) * 1000) + GapMm;
        }

        return new Sheet(strokes.ToImmutable());
    }

    /// <summary>Form boards as they are bought, with where they are cut and what for.</summary>
    public static Sheet Boards(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return Cuts(plan.Build?.Boards ?? [], Layer.Board);
    }

    /// <summary>Bars likewise.</summary>
    public static Sheet Bars(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return Cuts(plan.Build?.Bars ?? [], Layer.Steel);
    }

    private static Sheet Cuts(ImmutableArray<CutList> lists, Layer layer)
    {
        var strokes = ImmutableArray.CreateBuilder<Stroke>();
        var y = 0.0;
        foreach (var list in lists)
        {
            strokes.Add(new Stroke.Word(Layer.Text, new PlanPoint(0, y + (0.5 * WordMm)), WordMm, list.Stock));
            foreach (var board in list.Layout.Boards)
            {
                y -= BoardMm + (GapMm / 5);
                strokes.Add(Box(layer, 0, y, board.StockMm, BoardMm));
                var at = 0.0;
                foreach (var cut in board.Cuts)
                {
                    var length = list.Cuts[cut].LengthM * 1000;
                    strokes.Add(new Stroke.Word(Layer.Text, new PlanPoint(at + 20, y + 30), WordMm, string.Create(CultureInfo.InvariantCulture, $"{length:0} {list.Cuts[cut].For}")));
                    at += length;
                    if (at < board.StockMm - 0.5)
                    {
                        strokes.Add(Line(Layer.Cut, new PlanPoint(at, y), new PlanPoint(at, y + BoardMm)));
                    }
                }
            }

            y -= GapMm;
        }

        return new Sheet(strokes.ToImmutable());
    }

    private static Stroke Opened(Opening opening, Func<PlanPoint, PlanPoint> at)
    {
        var centre = at(opening.Centre);
        var (halfX, halfY) = (opening.AlongM * 500, opening.AcrossM * 500);
        return opening switch
        {
            Opening.Round => new Stroke.Circle(Layer.Opening, centre, halfX),
            Opening.Rectangular { Corner.Millimetres: > 0 and var r } => Rounded(centre, halfX, halfY, r),
            _ => Box(Layer.Opening, centre.X - halfX, centre.Y - halfY, 2 * halfX, 2 * halfY),
        };
    }

    // A quarter of a circle has a bulge of tan(90/4 degrees).
    private static Stroke.Path Rounded(PlanPoint c, double halfX, double halfY, double r)
    {
        var quarter = Math.Tan(Math.PI / 8);
        return new Stroke.Path(
            Layer.Opening,
            [
                new(c.X - halfX + r, c.Y - halfY), new(c.X + halfX - r, c.Y - halfY), new(c.X + halfX, c.Y - halfY + r), new(c.X + halfX, c.Y + halfY - r),
                new(c.X + halfX - r, c.Y + halfY), new(c.X - halfX + r, c.Y + halfY), new(c.X - halfX, c.Y + halfY - r), new(c.X - halfX, c.Y - halfY + r),
            ],
            [0, quarter, 0, quarter, 0, quarter, 0, quarter],
            Closed: true);
    }

    private static Stroke.Path Box(Layer layer, double x, double y, double wide, double high) =>
        new(layer, [new(x, y), new(x + wide, y), new(x + wide, y + high), new(x, y + high)], [0, 0, 0, 0], Closed: true);

    private static Stroke.Path Line(Layer layer, PlanPoint from, PlanPoint to) => new(layer, [from, to], [0, 0], Closed: false);
}
