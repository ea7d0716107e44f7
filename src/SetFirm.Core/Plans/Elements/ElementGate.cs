using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans;

/// <summary>The gate as one element sees it: its fields by their own names, and what all kinds read alike.</summary>
internal sealed class ElementGate(string path, Gate gate)
{
    public const int MostStretches = 200;
    private const double LongestMm = 200_000;

    /// <summary>Sides whose length was left to be worked out.</summary>
    public ImmutableArray<bool> WorkedOut { get; private set; } = [];

    /// <summary>By how much the tapes missed, spread already, metres.</summary>
    public double MisfitM { get; private set; }

    public void Fault(FindingCode code, string field, params ReadOnlySpan<(string Name, double Value)> facts) =>
        gate.Fault(code, $"{path}/{field}", facts);

    public void Add(FindingCode code, Severity severity, string field, params ReadOnlySpan<(string Name, double Value)> facts) =>
        gate.Add(Finding.Of(code, severity, $"{path}/{field}", facts));

    public Length? Length(string field, string? text, double leastMm, double mostMm) => gate.Length($"{path}/{field}", text, leastMm, mostMm);

    /// <summary>A length that may be left empty, which is zero.</summary>
    public Length? LengthOrNone(string field, string? text, double mostMm) =>
        string.IsNullOrWhiteSpace(text) ? default(Length) : Length(field, text, 0, mostMm);

    public bool InRange(string field, double value, double least, double most, string unit = "") =>
        gate.InRange($"{path}/{field}", value, least, most, unit);

    /// <summary>The outline with its openings, checked.</summary>
    public Outline? Outline(OutlinedDocument said)
    {
        var raw = new OutlineReader(path, gate).Read(said.Outline);
        // "In from the first edge" is to the left of it where a walk turns left, else to the right.
        var inward = said.Outline is WalkedOutlineDocument walk && walk.Sides.Sum(s => s.Turn) < 0 ? -1 : 1;
        var openings = Openings(said.Openings, inward);
        if (raw is null || openings is not { } holes)
        {
            return null;
        }

        (WorkedOut, MisfitM) = (raw.WorkedOut, raw.MisfitM);
        return Checked(raw.Corners, raw.Rises, holes, "outline");
    }

    /// <summary>An outline without openings of its own: a band, a footing.</summary>
    public Outline? Checked(ImmutableArray<PlanPoint> corners, ImmutableArray<double> rises, ImmutableArray<Opening> openings, string field)
    {
        switch (Shapes.Outline.TryCreate(corners, openings, rises))
        {
            case OutlineCheck.Sound { Outline.NetArea.SquareMetres: > 1e-6 } sound:
                return sound.Outline;
            case OutlineCheck.Sound:
                Fault(FindingCode.OutlineCrosses, field, ("xM", corners[0].X), ("yM", corners[0].Y));
                return null;
            case OutlineCheck.Crosses crosses:
                Fault(FindingCode.OutlineCrosses, field, ("xM", crosses.At.X), ("yM", crosses.At.Y));
                return null;
            case OutlineCheck.OpeningOutside outside:
                Fault(FindingCode.OpeningOutside, $"openings/{outside.Opening}");
                return null;
            case OutlineCheck.OpeningsOverlap overlap:
                Fault(FindingCode.OpeningsOverlap, $"openings/{overlap.Opening}", ("other", overlap.Other));
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

            var width = Length($"edges/{i}/drop/width", drop.Width, 1, 5_000);
            var depth = Length($"edges/{i}/drop/depth", drop.Depth, 1, 2_000);
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
            Fault(said.Count == 0 ? FindingCode.NothingToPour : FindingCode.TooMany, "path", ("count", said.Count), ("most", MostStretches));
            return null;
        }

        var stretches = ImmutableArray.CreateBuilder<Stretch>(said.Count);
        for (var i = 0; i < said.Count; i++)
        {
            if (said[i].Read($"path/{i}", this) is { } stretch)
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
        return Checked(corners, rises, [], "path") is { } band ? (line, band) : null;
    }

    private bool Bends(ImmutableArray<Stretch>.Builder stretches, Length width)
    {
        var least = width.Metres / 2;
        for (var i = 0; i < stretches.Count; i++)
        {
            if (stretches[i] is Stretch.Arc arc && arc.Radius.Metres <= least)
            {
                Fault(FindingCode.BendTooTight, $"path/{i}/radius", ("radiusMm", arc.Radius.Millimetres), ("leastMm", least * 1000));
                return false;
            }
        }

        return true;
    }

    private ImmutableArray<Opening>? Openings(IReadOnlyList<OpeningDocument> said, int inward)
    {
        if (said.Count > ShapeStep.MostOpenings)
        {
            Fault(FindingCode.TooMany, "openings", ("count", said.Count), ("most", ShapeStep.MostOpenings));
            return null;
        }

        var openings = ImmutableArray.CreateBuilder<Opening>(said.Count);
        for (var i = 0; i < said.Count; i++)
        {
            if (OneOpening($"openings/{i}", said[i], inward) is { } opening)
            {
                openings.Add(opening);
            }
        }

        return openings.Count == said.Count ? openings.ToImmutable() : null;
    }

    private Opening? OneOpening(string field, OpeningDocument said, int inward)
    {
        var along = gate.SignedLength($"{path}/{field}/along", said.Along, LongestMm);
        var inFrom = gate.SignedLength($"{path}/{field}/in", said.In, LongestMm);
        var centre = new PlanPoint(along ?? 0, inward * (inFrom ?? 0));
        var placed = along is not null && inFrom is not null;
        switch (said)
        {
            case RoundOpeningDocument round:
                var diameter = Length($"{field}/diameter", round.Diameter, 1, LongestMm);
                return placed && diameter is { } d ? new Opening.Round(centre, d) : null;
            case RectangularOpeningDocument box:
                var width = Length($"{field}/width", box.Width, 1, LongestMm);
                var depth = Length($"{field}/depth", box.Depth, 1, LongestMm);
                return placed && width is { } w && depth is { } h ? new Opening.Rectangular(centre, w, h) : null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }
}
