using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Joints;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans;

/// <summary>An element that passed the gate.</summary>
internal sealed record PlannedElement(int Index, ElementDocument Said, CastShape Cast, PlannedFall? Fall, PlannedJoints Joints, double OrderL)
{
    public string Path => $"/elements/{Index}";

    /// <summary>Where its thickness is said; a kind that has none of its own name for it points at itself.</summary>
    public string ThicknessPath => Said is SlabDocument or PieceDocument or CounterDocument ? $"{Path}/thickness" : Path;

    /// <summary>Litres of one pouring: pieces from few moulds are cast over several days.</summary>
    public double PourL => Said switch
    {
        PieceDocument { Casting: var c } => OrderL * Math.Min(c.Moulds, c.Pieces) / c.Pieces,
        RibbonDocument { Casting: var c } => OrderL * Math.Min(c.Moulds, c.Pieces) / c.Pieces,
        _ => OrderL,
    };
}

/// <summary>What came of the shapes: the sound elements, and the report when every one is sound.</summary>
internal sealed record PlannedShape(IReadOnlyList<PlannedElement> Elements, ShapeReport Report)
{
    /// <summary>Litres of one pouring of all elements.</summary>
    public double PourL => Elements.Sum(e => e.PourL);
}

/// <summary>From elements as said to areas, volumes, falls and joints.</summary>
internal static class ShapeStep
{
    public const int MostElements = 50;
    public const int MostEdges = 10_000;
    public const int MostOpenings = 200;
    public const int MostProbes = 500;
    public const double ThinnestMm = 5;
    public const double ThickestMm = 2_000;
    private const double MostWastePercent = 50;

    /// <summary>Hardened concrete, kg/m3. Source: site practice.</summary>
    public const double HardKgPerM3 = 2_350;

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

        var planned = new List<PlannedElement>(elements.Count);
        var reports = new List<ElementReport>(elements.Count);
        for (var i = 0; i < elements.Count; i++)
        {
            if (Element(i, elements[i], gate) is var (element, report))
            {
                planned.Add(element);
                reports.Add(report);
            }
        }

        if (planned.Count < elements.Count)
        {
            return null;
        }

        var (area, net, order) = (reports.Sum(r => r.AreaM2), reports.Sum(r => r.NetL), reports.Sum(r => r.OrderL));
        return new PlannedShape(planned, new ShapeReport(reports, area, net, order));
    }

    private static (PlannedElement, ElementReport)? Element(int index, ElementDocument said, Gate gate)
    {
        var path = $"/elements/{index}";
        var wasteSound = said.WastePercent is not { } given || gate.InRange($"{path}/wastePercent", given, 0, MostWastePercent, "Pct");
        var own = new ElementGate(path, gate);
        if (said.Cast(own) is not { } cast || !wasteSound)
        {
            return null;
        }

        if (cast.Net.CubicMetres <= 0)
        {
            gate.Fault(FindingCode.NothingToPour, path);
            return null;
        }

        var waste = said.WastePercent ?? (Waste.Share(said.Bed) * 100);
        var order = cast.Net.Litres * (1 + (waste / 100));
        var fall = FallStep.Plan(path, said, cast.Plan, gate);
        var joints = JointStep.Plan(path, said, cast, gate);
        var planned = new PlannedElement(index, said, cast, fall, joints, order);
        Explain(planned, waste, gate);
        return (planned, Reported(planned, own, waste));
    }

    private static ElementReport Reported(PlannedElement planned, ElementGate own, double waste)
    {
        var (said, cast, plan) = (planned.Said, planned.Cast, planned.Cast.Plan);
        return new ElementReport
        {
            Index = planned.Index,
            Name = said.Name,
            Corners = plan.Corners,
            Edges = [.. Enumerable.Range(0, plan.Corners.Length).Select(i => Edge(said, own, plan, i))],
            Openings = said is OutlinedDocument outlined ? [.. outlined.Openings.Zip(plan.Openings, Opened)] : [],
            AreaM2 = plan.NetArea.SquareMetres * cast.Count,
            PerimeterM = cast.Line is { } line ? line.Length.Metres : plan.Perimeter.Metres,
            ThicknessMm = cast.Depth.Millimetres,
            MisfitMm = own.MisfitM * 1000,
            Count = cast.Count,
            PieceKg = cast.Net.CubicMetres * HardKgPerM3 / cast.Count,
            Stretches = cast.Line is null ? null : Stretches(cast.Line),
            Parts = [.. cast.Parts.Select(p => new PartReport(p.Part, p.Volume.Litres, p.InMix))],
            Section = new SectionReport([.. cast.Section.Pieces.Select(p => new SectionPieceReport(p.Part, p.Points))], cast.Section.GoesOn),
            Fall = planned.Fall?.Report,
            Joints = planned.Joints.Report,
            NetL = cast.Net.Litres,
            WastePercent = waste,
            OrderL = planned.OrderL,
        };
    }

    private static List<StretchReport> Stretches(CentreLine line)
    {
        var (reports, walked) = (new List<StretchReport>(line.Stretches.Length), 0.0);
        foreach (var stretch in line.Stretches)
        {
            reports.Add(new StretchReport(stretch.LengthM, (stretch as Stretch.Arc)?.Radius.Metres ?? 0, line.At(walked + (stretch.LengthM / 2)).At));
            walked += stretch.LengthM;
        }

        return reports;
    }

    private static EdgeReport Edge(ElementDocument said, ElementGate own, Outline plan, int i) => new(
        plan.EdgeMetres(i),
        plan.ChordMetres(i),
        plan.TurnDegrees((i + 1) % plan.Corners.Length),
        plan.IsArc(i) ? plan.Rises[i] : 0,
        plan.IsArc(i) ? Arcs.RadiusM(plan.ChordMetres(i), plan.Rises[i]) : 0,
        i < own.WorkedOut.Length && own.WorkedOut[i],
        said.MeetsAt(i));

    private static OpeningReport Opened(OpeningDocument said, Opening opening) => opening switch
    {
        Opening.Round round => new(said.Name, round.Centre, round.Diameter.Metres, round.Diameter.Metres, Round: true),
        Opening.Rectangular box => new(said.Name, box.Centre, box.Width.Metres, box.Depth.Metres, Round: false),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static void Explain(PlannedElement planned, double waste, Gate gate)
    {
        var (path, cast, plan) = (planned.Path, planned.Cast, planned.Cast.Plan);
        gate.Add(Explanation.For(
            WhyCode.Area, path, plan.NetArea.SquareMetres * cast.Count, Source.Geometry,
            ("grossM2", plan.GrossArea.SquareMetres), ("openingsM2", plan.GrossArea.SquareMetres - plan.NetArea.SquareMetres), ("pieces", cast.Count)));
        gate.Add(cast.Line is { } line
            ? Explanation.For(WhyCode.PathLength, path, line.Length.Metres, Source.Geometry, ("stretches", line.Stretches.Length))
            : Explanation.For(WhyCode.Perimeter, path, plan.Perimeter.Metres, Source.Geometry, ("edges", plan.Corners.Length)));
        var inputs = cast.Parts.Where(p => p.InMix).Select(p => (Gate.CamelCase(p.Part.ToString()) + "L", p.Volume.Litres)).ToArray();
        gate.Add(Explanation.For(WhyCode.NetVolume, path, cast.Net.Litres, Source.Geometry, inputs.Length > 1
            ? inputs
            : [("areaM2", plan.NetArea.SquareMetres * cast.Count), ("meanDepthMm", cast.Net.CubicMetres / (plan.NetArea.SquareMetres * cast.Count) * 1000)]));
        gate.Add(Explanation.For(
            WhyCode.OrderVolume, path, planned.OrderL, Source.SitePractice, ("netL", cast.Net.Litres), ("wastePct", waste)));
    }
}
