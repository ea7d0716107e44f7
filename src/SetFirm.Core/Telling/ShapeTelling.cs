using System.Collections.Immutable;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Planning;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Telling;

/// <summary>What is poured, as it is shown.</summary>
internal static class ShapeTelling
{
    public static ShapeReport Of(ImmutableArray<ElementPlan> elements) =>
        new([.. elements.Select(Element)], elements.Sum(e => e.FaceM2), elements.Sum(e => e.Cast.Net.Litres), elements.Sum(e => e.OrderL));

    private static ElementReport Element(ElementPlan element)
    {
        var (read, cast, plan) = (element.Read, element.Cast, element.Cast.Plan);
        return new ElementReport
        {
            Index = element.Index,
            Name = element.Name,
            Corners = plan.Corners,
            Edges = [.. Enumerable.Range(0, plan.Corners.Length).Select(i => Edge(read, plan, i))],
            Openings = [.. read.Said.OpeningsSaid.Zip(plan.Openings, Opened)],
            Inserts = [.. cast.Inserts.Select(i => Inserted(i, cast))],
            AreaM2 = element.FaceM2,
            PerimeterM = cast.Line is { } line ? line.Length.Metres : plan.Perimeter.Metres,
            ThicknessMm = cast.Depth.Millimetres,
            MisfitMm = read.MisfitM * 1000,
            Count = cast.Count,
            PieceKg = element.PieceMass.Kilograms,
            Stretches = cast.Line is null ? null : Stretches(cast.Line),
            Parts = [.. cast.Parts.Select(p => new PartReport(p.Part, p.Volume.Litres, p.InMix))],
            Section = new SectionReport([.. cast.Section.Pieces.Select(p => new SectionPieceReport(p.Part, p.Points))], cast.Section.GoesOn),
            Fall = element.Fall is null ? null : Fall(element.Fall),
            Joints = Joints(element.Joints, element.Traits.Flat),
            NetL = cast.Net.Litres,
            WastePercent = read.WastePercent,
            OrderL = element.OrderL,
        };
    }

    private static FallReport Fall(Ground.FallPlan fall) => new(
        fall.Fall.Grade * 100, fall.Proposed, fall.Fall is Ground.Fall.Away away ? new PlanPoint(away.X, away.Y) : null, (fall.Fall as Ground.Fall.ToDrain)?.Drain, fall.CornersMm, fall.DrainMm, fall.Copied);

    private static JointsReport Joints(JointPlan joints, bool flat) => new(
        joints.Layout,
        joints.Proposed,
        [.. joints.Lines.Select(l => new JointLineReport(l.Line.Across, l.Line.AtM, Finite(l.Line.FromM), Finite(l.Line.ToM), l.Method))],
        joints.Cuts,
        [.. joints.Panels.Select(p => new PanelReport(
            p.Number, p.Shape.Middle, p.Shape.AlongM, p.Shape.AcrossM, p.Shape.AreaM2, new PlanPoint(0, 0).DistanceTo(new(p.Shape.AlongM, p.Shape.AcrossM)), p.Shape.Corners))],
        joints.Layout is JointLayout.None or JointLayout.Repeated ? 0 : joints.SpacingM,
        joints.Layout == JointLayout.None ? 0 : joints.Depth.Millimetres,
        flat ? joints.WayOut : null,
        joints.WayOutEdge);

    private static double? Finite(double value) => double.IsFinite(value) ? value : null;

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

    private static EdgeReport Edge(ReadElement read, Outline plan, int i) => new(
        plan.EdgeMetres(i),
        plan.ChordMetres(i),
        plan.TurnDegrees((i + 1) % plan.Corners.Length),
        plan.IsArc(i) ? plan.Rises[i] : 0,
        plan.IsArc(i) ? Arcs.RadiusM(plan.ChordMetres(i), plan.Rises[i]) : 0,
        i < read.WorkedOut.Length && read.WorkedOut[i],
        read.Said.MeetsAt(i));

    private static OpeningReport Opened(OpeningDocument said, Opening opening) => new(
        said.Name, opening.Centre, opening.AlongM, opening.AcrossM, opening is Opening.Round, (opening as Opening.Rectangular)?.Corner.Metres ?? 0,
        opening.Rebate?.Width.Metres ?? 0, opening.Rebate?.Depth.Millimetres ?? 0);

    private static InsertReport Inserted(Insert insert, CastShape cast) => new(
        insert.Name, insert.Centre, insert.Along.Metres, insert.Across.Metres, insert.Deep.Millimetres, insert.Out.Millimetres,
        cast.FormHeight.Millimetres + insert.Out.Millimetres, insert.Displaces.Litres);
}
