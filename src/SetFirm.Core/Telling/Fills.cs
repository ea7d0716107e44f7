using System.Collections.Immutable;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>Where each batch lies: the elements in order, each panel by panel as they are numbered, every panel from its far end to the way out.</summary>
internal static class Fills
{
    /// <summary>With more batches, or panels of more corners, no batch is drawn.</summary>
    private const int MostBatches = 120;

    private const int MostCorners = 200;
    private const double Slack = 1e-9;

    public static IReadOnlyList<FillReport>[] Of(PourSketch pour, ImmutableArray<ElementPlan> elements, BatchPlan plan)
    {
        var fills = new List<FillReport>[plan.Units.Length];
        for (var i = 0; i < fills.Length; i++)
        {
            fills[i] = [];
        }

        if (plan.Units.Length <= MostBatches)
        {
            var before = 0.0;
            foreach (var part in pour.Parts)
            {
                Fill(elements.First(e => e.Index == part.Element), part, before, plan, fills);
                before += part.Litres;
            }
        }

        return fills;
    }

    /// <summary>Where each zone lies: rings of its element's plan; none where it is not drawn.</summary>
    public static IReadOnlyList<IReadOnlyList<PlanPoint>>[] OfZones(PourSketch pour, ImmutableArray<ElementPlan> elements, IReadOnlyList<PlannedZone> zones)
    {
        var faces = new IReadOnlyList<IReadOnlyList<PlanPoint>>[zones.Count];
        Array.Fill(faces, []);
        if (zones.Count > MostBatches)
        {
            return faces;
        }

        foreach (var part in pour.Parts)
        {
            var bands = zones.Select((z, i) => (Zone: z, Index: i)).Where(z => z.Zone.Element == part.Element).Select(z => (z.Index, z.Zone.From, z.Zone.To)).ToList();
            foreach (var (zone, pieces) in Pieces(elements.First(e => e.Index == part.Element), part, bands))
            {
                faces[zone] = [.. pieces.Select(ring => (IReadOnlyList<PlanPoint>)[.. ring.Select(Drawn)])];
            }
        }

        return faces;
    }

    private static void Fill(ElementPlan element, PourPart part, double beforeL, BatchPlan plan, List<FillReport>[] fills)
    {
        var poured = 0.0;
        var bands = new List<(int Batch, double From, double To)>();
        for (var batch = 0; batch < plan.Units.Length; batch++)
        {
            var volume = plan.VolumeOf(batch).Litres;
            var (from, to) = ((poured - beforeL) / part.Litres, (poured + volume - beforeL) / part.Litres);
            if (to > Slack && from < 1 - Slack)
            {
                bands.Add((batch, Math.Max(0, from), Math.Min(1, to)));
            }

            poured += volume;
        }

        foreach (var (batch, pieces) in Pieces(element, part, bands))
        {
            fills[batch].Add(new FillReport(element.Index, [.. pieces.Select(ring => (IReadOnlyList<PlanPoint>)[.. ring.Select(Drawn)])]));
        }
    }

    // To a tenth of a millimetre: it is drawn, and sent with every key.
    private static PlanPoint Drawn(PlanPoint p) => new(Math.Round(p.X, 4), Math.Round(p.Y, 4));

    private static IEnumerable<(int Batch, IReadOnlyList<IReadOnlyList<PlanPoint>> Pieces)> Pieces(ElementPlan element, PourPart part, List<(int Batch, double From, double To)> bands)
    {
        var (cast, panels) = (element.Cast, element.Joints.Panels.Where(p => part.Panels.IsEmpty || part.Panels.Contains(p.Number)).ToImmutableArray());
        if (cast.Count == 1 && cast.Line is { } line && panels.IsEmpty)
        {
            var width = cast.Plan.NetArea.SquareMetres / line.Length.Metres;
            return bands.Select(b => (b.Batch, (IReadOnlyList<IReadOnlyList<PlanPoint>>)[Bands.Between(line, width, b.From, b.To)]));
        }

        if (cast.Count > 1 || panels.Any(p => p.Shape.Corners.Length is < 3 or > MostCorners))
        {
            return bands.Select(b => (b.Batch, (IReadOnlyList<IReadOnlyList<PlanPoint>>)[]));
        }

        var found = bands.ToDictionary(b => b.Batch, _ => new List<IReadOnlyList<PlanPoint>>());
        var areas = panels.Select(p => Bands.Area(p.Shape.Corners)).ToArray();
        var (whole, before) = (areas.Sum(), 0.0);
        for (var i = 0; i < panels.Length; i++)
        {
            var (from, to, ring) = (before / whole, (before + areas[i]) / whole, panels[i].Shape.Corners);
            before += areas[i];
            var here = bands.Where(b => b.To > from + Slack && b.From < to - Slack).ToArray();
            if (here.Length == 0)
            {
                continue;
            }

            var towards = Towards(panels[i].Shape, element.Traits.Flat ? element.Joints.WayOut : null);
            var shares = here.Select(b => Math.Clamp((b.From - from) / (to - from), 0, 1)).Append(Math.Clamp((here[^1].To - from) / (to - from), 0, 1)).ToArray();
            var fronts = Bands.Fronts(ring, towards, shares);
            for (var k = 0; k < here.Length; k++)
            {
                found[here[k].Batch].Add(here.Length == 1 ? ring : Bands.Between(ring, towards, fronts[k], fronts[k + 1]));
            }
        }

        return found.Select(f => (f.Key, (IReadOnlyList<IReadOnlyList<PlanPoint>>)f.Value));
    }

    // Along the side that leads to the way out: fronts lie square to the boards.
    private static PlanPoint Towards(Panel panel, PlanPoint? wayOut)
    {
        if (wayOut is not { } way)
        {
            return panel.AlongM >= panel.AcrossM ? new(1, 0) : new(0, 1);
        }

        var (x, y) = (way.X - panel.Middle.X, way.Y - panel.Middle.Y);
        return Math.Abs(x) >= Math.Abs(y) ? new(x < 0 ? -1 : 1, 0) : new(0, y < 0 ? -1 : 1);
    }
}
