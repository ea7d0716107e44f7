using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>The gate as one element, or a part of it, sees it: its fields by the names of their members, and what all kinds read alike.</summary>
internal sealed class ElementGate(Place at, Gate gate)
{
    public const int MostStretches = 200;
    private const double LongestMm = 200_000;
    private const double MostClearanceMm = 100;

    /// <summary>The gate of a part.</summary>
    public ElementGate In(string member) => new(at.At(member), gate);

    /// <summary>The gate of one of a list.</summary>
    public ElementGate In(string member, int index) => new(at.At(member)[index], gate);

    /// <summary>Sides whose length was left to be worked out.</summary>
    public ImmutableArray<bool> WorkedOut { get; private set; } = [];

    /// <summary>By how much the tapes missed, spread already, metres.</summary>
    public double MisfitM { get; private set; }

    public void Fault(string field, Notice says) => gate.Fault(at.At(field), says);

    public void Add(Severity severity, string field, Notice says) => gate.Add(new Finding(severity, at.At(field), says));

    public Length? Length(string field, string? text, double leastMm, double mostMm) => gate.Length(at.At(field), text, leastMm, mostMm);

    /// <summary>A length that may be left empty, which is zero.</summary>
    public Length? LengthOrNone(string field, string? text, double mostMm) =>
        string.IsNullOrWhiteSpace(text) ? default(Length) : Length(field, text, 0, mostMm);

    public bool InRange(string field, double value, double least, double most, RangeUnit unit = RangeUnit.None) =>
        gate.InRange(at.At(field), value, least, most, unit);

    /// <summary>The outline with its openings, checked.</summary>
    /// <param name="said">As measured.</param>
    /// <param name="letIn">Thickness of the field that things may be let into; null where nothing is.</param>
    public Outline? Outline(OutlinedDocument said, Length? letIn = null)
    {
        var raw = new OutlineReader(at.At(nameof(OutlinedDocument.Outline)), gate).Read(said.Outline);
        // "In from the first edge" is to the left of it where a walk turns left, else to the right.
        var inward = said.Outline is WalkedOutlineDocument walk && walk.Sides.Sum(s => s.Turn) < 0 ? -1 : 1;
        var openings = Openings(said.Openings, inward);
        if (raw is null || openings is not { } holes)
        {
            return null;
        }

        if (SharpCorners(raw.Corners) is var sharp && !gate.Budget.TakesCorners(sharp))
        {
            Fault(nameof(OutlinedDocument.Outline), new Notice.TooManyCorners(Count: sharp, Most: Budget.MostSharpCorners));
            return null;
        }

        (WorkedOut, MisfitM) = (raw.WorkedOut, raw.MisfitM);
        return Checked(raw.Corners, raw.Rises, holes, nameof(OutlinedDocument.Outline)) is { } outline && RebatesFit(said, outline, letIn) ? outline : null;
    }

    // Two edges that turn by more than this are no drawn curve.
    private static int SharpCorners(ImmutableArray<PlanPoint> corners)
    {
        var sharp = 0;
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b, c) = (corners[(i + corners.Length - 1) % corners.Length], corners[i], corners[(i + 1) % corners.Length]);
            var (cross, dot) = (((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X)), ((b.X - a.X) * (c.X - b.X)) + ((b.Y - a.Y) * (c.Y - b.Y)));
            sharp += Math.Abs(Math.Atan2(cross, dot)) > SharpRadians ? 1 : 0;
        }

        return sharp;
    }

    private const double SharpRadians = 20 * Math.PI / 180;

    /// <summary>An outline without openings of its own: a band, a footing.</summary>
    public Outline? Checked(ImmutableArray<PlanPoint> corners, ImmutableArray<double> rises, ImmutableArray<Opening> openings, string field)
    {
        switch (Shapes.Outline.TryCreate(corners, openings, rises))
        {
            case OutlineCheck.Sound { Outline.NetArea.SquareMetres: > 1e-6 } sound:
                return sound.Outline;
            case OutlineCheck.Sound:
                Fault(field, new Notice.OutlineCrosses(AlongM: corners[0].X, InM: corners[0].Y));
                return null;
            case OutlineCheck.Crosses crosses:
                Fault(field, new Notice.OutlineCrosses(AlongM: crosses.At.X, InM: crosses.At.Y));
                return null;
            case OutlineCheck.OpeningOutside outside:
                gate.Fault(at.At(nameof(OutlinedDocument.Openings))[outside.Opening], new Notice.OpeningOutside());
                return null;
            case OutlineCheck.OpeningsOverlap overlap:
                gate.Fault(at.At(nameof(OutlinedDocument.Openings))[overlap.Opening], new Notice.OpeningsOverlap(Other: overlap.Other));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    /// <summary>The drops along edges, or null where one would not do.</summary>
    public IReadOnlyList<EdgeDrop>? Drops(OutlinedDocument said, int edges)
    {
        var drops = new List<EdgeDrop>();
        var sound = true;
        for (var i = 0; i < Math.Min(edges, said.Edges.Count); i++)
        {
            if (said.Edges[i].Drop is not { } drop)
            {
                continue;
            }

            var edge = In(nameof(OutlinedDocument.Edges), i).In(nameof(EdgeDocument.Drop));
            var width = edge.Length(nameof(DropDocument.Width), drop.Width, 1, 5_000);
            var depth = edge.Length(nameof(DropDocument.Depth), drop.Depth, 1, 2_000);
            sound &= width is not null && depth is not null;
            if (width is { } w && depth is { } d)
            {
                drops.Add(new EdgeDrop(i, w, d));
            }
        }

        return sound ? drops : null;
    }

    /// <summary>A path for something of a width; null with findings where it would not do.</summary>
    public (CentreLine Line, Outline Band)? Path(IReadOnlyList<StretchDocument> said, Length? width)
    {
        if (said.Count is 0 or > MostStretches)
        {
            Fault(nameof(Path), said.Count == 0 ? new Notice.NothingToPour() : new Notice.TooMany(said.Count, MostStretches));
            return null;
        }

        var stretches = ImmutableArray.CreateBuilder<Stretch>(said.Count);
        for (var i = 0; i < said.Count; i++)
        {
            if (said[i].Read(In(nameof(Path), i)) is { } stretch)
            {
                stretches.Add(stretch);
            }
        }

        if (stretches.Count < said.Count || width is not { } wide || !Bends(stretches, wide))
        {
            return null;
        }

        var line = new CentreLine(stretches.ToImmutable());
        var (corners, rises) = line.Band(wide);
        return Checked(corners, rises, [], nameof(Path)) is { } band ? (line, band) : null;
    }

    private bool Bends(ImmutableArray<Stretch>.Builder stretches, Length width)
    {
        var least = width.Metres / 2;
        for (var i = 0; i < stretches.Count; i++)
        {
            if (stretches[i] is Stretch.Arc arc && arc.Radius.Metres <= least)
            {
                In(nameof(Path), i).Fault(nameof(ArcDocument.Radius), new Notice.BendTooTight(RadiusMm: arc.Radius.Millimetres, LeastMm: least * 1000));
                return false;
            }
        }

        return true;
    }

    private ImmutableArray<Opening>? Openings(IReadOnlyList<OpeningDocument> said, int inward)
    {
        if (said.Count > Limits.MostOpenings)
        {
            Fault(nameof(OutlinedDocument.Openings), new Notice.TooMany(Count: said.Count, Most: Limits.MostOpenings));
            return null;
        }

        var openings = ImmutableArray.CreateBuilder<Opening>(said.Count);
        for (var i = 0; i < said.Count; i++)
        {
            if (In(nameof(OutlinedDocument.Openings), i).OneOpening(said[i], inward) is { } opening)
            {
                openings.Add(opening);
            }
        }

        return openings.Count == said.Count ? openings.ToImmutable() : null;
    }

    private Opening? OneOpening(OpeningDocument said, int inward)
    {
        var along = gate.SignedLength(at.At(nameof(said.Along)), said.Along, LongestMm);
        var inFrom = gate.SignedLength(at.At(nameof(said.In)), said.In, LongestMm);
        var centre = new PlanPoint(along ?? 0, inward * (inFrom ?? 0));
        var placed = along is not null && inFrom is not null;
        var clear = LengthOrNone(nameof(said.Clearance), said.Clearance, MostClearanceMm);
        var (rebate, rebateSound) = Rebate(said.Rebate);
        Length Roomy(Length size) => Quantities.Length.FromMetres(size.Metres + (2 * clear!.Value.Metres));
        if (clear is null || !rebateSound)
        {
            placed = false;
        }

        switch (said)
        {
            case RoundOpeningDocument round:
                var diameter = Length(nameof(round.Diameter), round.Diameter, 1, LongestMm);
                return placed && diameter is { } d ? new Opening.Round(centre, Roomy(d)) { Rebate = rebate } : null;
            case RectangularOpeningDocument box:
                var width = Length(nameof(box.Width), box.Width, 1, LongestMm);
                var depth = Length(nameof(box.Depth), box.Depth, 1, LongestMm);
                var corner = LengthOrNone(nameof(box.Corner), box.Corner, width is { } a && depth is { } b ? Math.Min(a.Millimetres, b.Millimetres) / 2 : LongestMm);
                return placed && width is { } w && depth is { } h && corner is { } r
                    ? new Opening.Rectangular(centre, Roomy(w), Roomy(h), r.Metres > 0 ? Quantities.Length.FromMetres(r.Metres + clear!.Value.Metres) : default) { Rebate = rebate }
                    : null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private (Rebate? Rebate, bool Sound) Rebate(RebateDocument? said)
    {
        if (said is null)
        {
            return (null, true);
        }

        var own = In(nameof(OpeningDocument.Rebate));
        return (own.Length(nameof(said.Width), said.Width, 1, 200), own.Length(nameof(said.Depth), said.Depth, 1, 200)) is ({ } wide, { } deep) ? (new Rebate(wide, deep), true) : (null, false);
    }

    /// <summary>Rebates take no more than half of what they are in, and lie inside it, clear of each other; told at the first that does not.</summary>
    /// <param name="said">Whose openings.</param>
    /// <param name="outline">As read.</param>
    /// <param name="thickness">Of the field they are in; null where nothing is let in.</param>
    private bool RebatesFit(OutlinedDocument said, Outline outline, Length? thickness)
    {
        for (var i = 0; i < said.Openings.Count; i++)
        {
            if (outline.Openings[i].Rebate is { Depth: var deep } && deep.Millimetres > (thickness?.Millimetres ?? 0) / 2)
            {
                In(nameof(OutlinedDocument.Openings), i).In(nameof(OpeningDocument.Rebate)).Fault(
                    nameof(RebateDocument.Depth), new Notice.RebateTooDeep(RebateMm: deep.Millimetres, MostMm: (thickness?.Millimetres ?? 0) / 2));
                return false;
            }

            if (outline.Openings[i].Rebate is { Width: var wide } && Shapes.Outline.TryCreate(outline.Corners, [.. outline.Openings.Take(i + 1).Select(o => o.WithRebate)], outline.Rises) is not OutlineCheck.Sound)
            {
                In(nameof(OutlinedDocument.Openings), i).In(nameof(OpeningDocument.Rebate)).Fault(nameof(RebateDocument.Width), new Notice.RebateOverEdge(RebateMm: wide.Millimetres));
                return false;
            }
        }

        return true;
    }
}
