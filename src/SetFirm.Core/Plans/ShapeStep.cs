using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans;

/// <summary>A slab that passed the gate.</summary>
internal sealed record PlannedSlab(int Index, SlabDocument Said, SlabShape Shape, double OrderL);

/// <summary>What came of the shapes: the sound slabs, and the report when every element is sound.</summary>
internal sealed record PlannedShape(IReadOnlyList<PlannedSlab> Slabs, ShapeReport Report);

/// <summary>From edges as taped to outlines, areas and volumes.</summary>
internal static class ShapeStep
{
    public const int MostElements = 50;
    public const int MostEdges = 10_000;
    public const int MostOpenings = 200;
    private const double LongestEdgeMm = 200_000;
    private const double ThinnestMm = 5;
    private const double ThickestMm = 2_000;
    private const double MostWastePercent = 50;

    /// <returns>Null when any element is unsound: a plan for half a job would mislead.</returns>
    public static PlannedShape? Plan(IReadOnlyList<ElementDocument> elements, Gate gate)
    {
        if (elements.Count == 0)
        {
            gate.Fault(FindingCode.NothingToPour, "/elements");
            return null;
        }

        if (elements.Count > MostElements)
        {
            gate.Fault(FindingCode.TooMany, "/elements", ("count", elements.Count), ("most", MostElements));
            return null;
        }

        var slabs = new List<PlannedSlab>(elements.Count);
        var reports = new List<SlabReport>(elements.Count);
        for (var i = 0; i < elements.Count; i++)
        {
            if (elements[i] is SlabDocument slab && Slab(i, slab, gate) is var (planned, report))
            {
                slabs.Add(planned);
                reports.Add(report);
            }
        }

        if (slabs.Count < elements.Count)
        {
            return null;
        }

        var (area, net, order) = (reports.Sum(r => r.AreaM2), reports.Sum(r => r.NetL), reports.Sum(r => r.OrderL));
        return new PlannedShape(slabs, new ShapeReport(reports, area, net, order));
    }

    private static (PlannedSlab, SlabReport)? Slab(int index, SlabDocument slab, Gate gate)
    {
        var path = $"/elements/{index}";
        var thickness = gate.Length($"{path}/thickness", slab.Thickness, ThinnestMm, ThickestMm);
        var wasteSound = slab.WastePercent is not { } given || gate.InRange($"{path}/wastePercent", given, 0, MostWastePercent, "Pct");
        var walked = Walk(path, slab.Edges, gate);
        var openings = Openings(path, slab, gate);
        if (thickness is not { } depth || !wasteSound || walked is null || openings is not { } holes
            || Outlined(path, walked, holes, gate) is not { } outline)
        {
            return null;
        }

        var shape = new SlabShape(outline, depth);
        var waste = slab.WastePercent ?? (Waste.Share(slab.Bed) * 100);
        var order = shape.Net.Litres * (1 + (waste / 100));
        Explain(path, shape, waste, order, gate);
        var report = new SlabReport(
            index,
            slab.Name,
            outline.Corners,
            [.. slab.Edges.Select((e, i) => new EdgeReport(outline.EdgeMetres(i), string.IsNullOrWhiteSpace(e.Length), e.Meets))],
            [.. slab.Openings.Zip(outline.Openings, Opened)],
            outline.NetArea.SquareMetres,
            outline.Perimeter.Metres,
            depth.Millimetres,
            walked.MisfitMetres * 1000,
            shape.Net.Litres,
            waste,
            order);
        return (new PlannedSlab(index, slab, shape, order), report);
    }

    private static Walked.Closed? Walk(string path, IReadOnlyList<EdgeDocument> edges, Gate gate)
    {
        if (edges.Count > MostEdges)
        {
            gate.Fault(FindingCode.TooMany, $"{path}/edges", ("count", edges.Count), ("most", MostEdges));
            return null;
        }

        var taped = new TapedEdge[edges.Count];
        var sound = true;
        for (var i = 0; i < edges.Count; i++)
        {
            var blank = string.IsNullOrWhiteSpace(edges[i].Length);
            var length = blank ? null : gate.Length($"{path}/edges/{i}/length", edges[i].Length, 1, LongestEdgeMm);
            sound &= gate.InRange($"{path}/edges/{i}/turn", edges[i].Turn, -180, 180, "Degrees") && (blank || length is not null);
            taped[i] = new TapedEdge(length, edges[i].Turn);
        }

        return sound ? Closed(path, OutlineWalk.Walk(taped), edges.Count, gate) : null;
    }

    private static Walked.Closed? Closed(string path, Walked walked, int count, Gate gate)
    {
        switch (walked)
        {
            case Walked.Closed closed:
                return closed;
            case Walked.TooFewEdges:
                gate.Fault(FindingCode.TooFewEdges, $"{path}/edges", ("count", count));
                return null;
            case Walked.TurnsOff turns:
                gate.Fault(FindingCode.TurnsDoNotClose, $"{path}/edges", ("sumDegrees", turns.SumDegrees));
                return null;
            case Walked.Gap gap:
                // Leaving the last two edges to be worked out closes any outline whose last two are not parallel.
                var finding = Finding.Of(
                    FindingCode.OutlineGap, Severity.Error, $"{path}/edges", ("gapMm", gap.Metres * 1000), ("limitMm", OutlineWalk.SpreadMetres * 1000));
                var edits = new[] { count - 2, count - 1 }.Select(i => new Edit($"{path}/edges/{i}/length", Text: "")).ToArray();
                gate.Add(finding.WithRemedies(new Remedy(RemedyCode.BlankLastEdge, edits, new Dictionary<string, double> { ["gapMm"] = 0 })));
                return null;
            case Walked.NotSolvable open:
                gate.Fault(FindingCode.OutlineNotSolvable, $"{path}/edges", ("blanks", open.Blanks));
                return null;
            case Walked.Backwards back:
                gate.Fault(FindingCode.EdgeBackwards, $"{path}/edges/{back.Edge}/length", ("lengthMm", back.Metres * 1000));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static ImmutableArray<Opening>? Openings(string path, SlabDocument slab, Gate gate)
    {
        if (slab.Openings.Count > MostOpenings)
        {
            gate.Fault(FindingCode.TooMany, $"{path}/openings", ("count", slab.Openings.Count), ("most", MostOpenings));
            return null;
        }

        // "In from the first edge" is to the left of it where the outline turns left, else to the right.
        var inward = slab.Edges.Sum(e => e.Turn) < 0 ? -1 : 1;
        var openings = ImmutableArray.CreateBuilder<Opening>(slab.Openings.Count);
        for (var i = 0; i < slab.Openings.Count; i++)
        {
            if (OneOpening($"{path}/openings/{i}", slab.Openings[i], inward, gate) is { } opening)
            {
                openings.Add(opening);
            }
        }

        return openings.Count == slab.Openings.Count ? openings.ToImmutable() : null;
    }

    private static Opening? OneOpening(string path, OpeningDocument said, int inward, Gate gate)
    {
        var along = gate.SignedLength($"{path}/along", said.Along, LongestEdgeMm);
        var inFrom = gate.SignedLength($"{path}/in", said.In, LongestEdgeMm);
        var centre = new PlanPoint(along ?? 0, inward * (inFrom ?? 0));
        var placed = along is not null && inFrom is not null;
        switch (said)
        {
            case RoundOpeningDocument round:
                var diameter = gate.Length($"{path}/diameter", round.Diameter, 1, LongestEdgeMm);
                return placed && diameter is { } d ? new Opening.Round(centre, d) : null;
            case RectangularOpeningDocument box:
                var width = gate.Length($"{path}/width", box.Width, 1, LongestEdgeMm);
                var depth = gate.Length($"{path}/depth", box.Depth, 1, LongestEdgeMm);
                return placed && width is { } w && depth is { } h ? new Opening.Rectangular(centre, w, h) : null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static Outline? Outlined(string path, Walked.Closed walked, ImmutableArray<Opening> openings, Gate gate)
    {
        switch (Outline.TryCreate(walked.Corners, openings))
        {
            case OutlineCheck.Sound sound:
                return sound.Outline;
            case OutlineCheck.Crosses crosses:
                gate.Fault(FindingCode.OutlineCrosses, $"{path}/edges", ("xM", crosses.At.X), ("yM", crosses.At.Y));
                return null;
            case OutlineCheck.OpeningOutside outside:
                gate.Fault(FindingCode.OpeningOutside, $"{path}/openings/{outside.Opening}");
                return null;
            case OutlineCheck.OpeningsOverlap overlap:
                gate.Fault(FindingCode.OpeningsOverlap, $"{path}/openings/{overlap.Opening}", ("other", overlap.Other));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static OpeningReport Opened(OpeningDocument said, Opening opening) => opening switch
    {
        Opening.Round round => new(said.Name, round.Centre, round.Diameter.Metres, round.Diameter.Metres, Round: true),
        Opening.Rectangular box => new(said.Name, box.Centre, box.Width.Metres, box.Depth.Metres, Round: false),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static void Explain(string path, SlabShape shape, double waste, double order, Gate gate)
    {
        var outline = shape.Outline;
        gate.Add(Explanation.For(
            WhyCode.Area, path, outline.NetArea.SquareMetres, Source.Geometry,
            ("grossM2", outline.GrossArea.SquareMetres), ("openingsM2", outline.GrossArea.SquareMetres - outline.NetArea.SquareMetres)));
        gate.Add(Explanation.For(
            WhyCode.Perimeter, path, outline.Perimeter.Metres, Source.Geometry, ("edges", outline.Corners.Length)));
        gate.Add(Explanation.For(
            WhyCode.NetVolume, path, shape.Net.Litres, Source.Geometry,
            ("areaM2", outline.NetArea.SquareMetres), ("thicknessMm", shape.Thickness.Millimetres)));
        gate.Add(Explanation.For(
            WhyCode.OrderVolume, path, order, Source.SitePractice, ("netL", shape.Net.Litres), ("wastePct", waste)));
    }
}
