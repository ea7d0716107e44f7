using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Joints;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Plans;

/// <summary>Joints that passed the gate.</summary>
/// <param name="Panels">Between them, in pouring order.</param>
/// <param name="Bulkheads">Joints that are formed with a board.</param>
/// <param name="Report">What is shown.</param>
internal sealed record PlannedJoints(ImmutableArray<NumberedPanel> Panels, ImmutableArray<PlanCut> Bulkheads, JointsReport Report)
{
    /// <summary>The longest side of any panel, metres.</summary>
    public double LongestM => Panels.Max(p => p.LongestM);
}

/// <summary>From joints as said, or as proposed, to panels and what is wrong with them.</summary>
internal static class JointStep
{
    private const int MostJoints = 200;
    private const double LongestMm = 200_000;

    /// <summary>What one person floats in from an edge, metres. Source: site practice.</summary>
    private const double ReachM = 1.2;

    public static PlannedJoints Plan(string path, ElementDocument said, CastShape cast, Gate gate)
    {
        var layout = said.Traits.Jointed;
        var plan = cast.Plan.Plain;
        var narrow = Narrower(plan);
        var spacing = JointRules.Spacing(layout, cast.Depth, narrow).Metres;
        var outlined = said as OutlinedDocument;
        var lines = Lines(path, outlined, layout, plan, spacing, gate);
        var runs = lines.Select(l => (l.Method, Cuts: l.Line.Within(plan))).ToArray();
        ImmutableArray<PlanCut> cuts = cast.Line is { } middle && layout is JointLayout.Border or JointLayout.Curb
            ? JointSet.Across(cast.Line!, Width(cast), spacing)
            : [.. runs.SelectMany(r => r.Cuts)];
        var wayOutEdge = WayOut(path, outlined, cast.Plan, gate);
        var wayOut = cast.Plan.Corners[wayOutEdge].Towards(cast.Plan.Corners[(wayOutEdge + 1) % cast.Plan.Corners.Length], 0.5);
        // Joints across a path need no cutting up: its bays are known.
        var panels = layout is JointLayout.Border or JointLayout.Curb ? [] : JointSet.Of(plan, cuts, wayOut).Panels;
        var depth = JointRules.Depth(cast.Depth);
        var report = new JointsReport(
            layout,
            outlined?.Joints is null,
            [.. lines.Select(l => new JointLineReport(l.Line.Across, l.Line.AtM, Finite(l.Line.FromM), Finite(l.Line.ToM), l.Method))],
            cuts,
            [.. panels.Select(p => new PanelReport(
                p.Number, p.Shape.Middle, p.Shape.AlongM, p.Shape.AcrossM, p.Shape.AreaM2, new PlanPoint(0, 0).DistanceTo(new(p.Shape.AlongM, p.Shape.AcrossM))))],
            layout is JointLayout.None or JointLayout.Repeated ? 0 : spacing,
            layout == JointLayout.None ? 0 : depth.Millimetres,
            said.Traits.Flat ? wayOut : null,
            wayOutEdge);
        Check(path, said, cast, spacing, panels, [.. runs.SelectMany(r => r.Cuts)], gate);
        Explain(path, layout, cast, spacing, depth, panels.Length > 0 ? panels.Length : cuts.Length + 1, gate);
        return new PlannedJoints(
            panels.Length > 0 ? panels : [new NumberedPanel(1, Bay(cast, cuts.Length + 1))], [.. runs.Where(r => r.Method == JointMethod.Formed).SelectMany(r => r.Cuts)], report);
    }

    private static double? Finite(double value) => double.IsFinite(value) ? value : null;

    // One bay of a path stands for all: they are equal.
    private static Panel Bay(CastShape cast, int bays)
    {
        var (long_, wide) = (cast.Line!.Length.Metres / bays, Width(cast));
        return new Panel(cast.Plan.Corners[0], [], long_ * wide, long_, wide);
    }

    private static double Width(CastShape cast) => cast.Plan.NetArea.SquareMetres / cast.Line!.Length.Metres;

    private static Length Narrower(Outline plan)
    {
        var (left, right, low, high) = Extents.Of(plan);
        return Length.FromMetres(Math.Min(right - left, high - low));
    }

    private static List<(JointLine Line, JointMethod Method)> Lines(
        string path, OutlinedDocument? said, JointLayout layout, Outline plan, double spacing, Gate gate)
    {
        if (layout is not (JointLayout.Grid or JointLayout.Walk) || said is null)
        {
            return [];
        }

        if (said.Joints is not { } joints)
        {
            return [.. Proposal.For(plan, spacing).Select(l => (l, JointMethod.Tooled))];
        }

        var lines = new List<(JointLine, JointMethod)>();
        if (joints.Count > MostJoints)
        {
            gate.Fault(FindingCode.TooMany, $"{path}/joints", ("count", joints.Count), ("most", MostJoints));
            return lines;
        }

        for (var i = 0; i < joints.Count; i++)
        {
            var (at, joint) = ($"{path}/joints/{i}", joints[i]);
            double? End(string field, string text, double open) => string.IsNullOrWhiteSpace(text) ? open : gate.SignedLength($"{at}/{field}", text, LongestMm);
            if (gate.SignedLength($"{at}/at", joint.At, LongestMm) is not { } place
                || End("from", joint.From, double.NegativeInfinity) is not { } from || End("to", joint.To, double.PositiveInfinity) is not { } to)
            {
                continue;
            }

            var line = new JointLine(joint.Across, place, Math.Min(from, to), Math.Max(from, to));
            if (line.Within(plan).IsEmpty)
            {
                gate.Add(Finding.Of(FindingCode.JointOutside, Severity.Warning, $"{at}/at", ("atMm", place * 1000)));
            }

            lines.Add((line, joint.Method));
        }

        return lines;
    }

    private static int WayOut(string path, OutlinedDocument? said, Outline plan, Gate gate)
    {
        var free = Enumerable.Range(0, plan.Corners.Length).FirstOrDefault(i => said?.MeetsAt(i) is null or Meets.Form or Meets.Open, 0);
        return said?.WayOut is { } chosen && gate.InRange($"{path}/wayOut", chosen, 0, plan.Corners.Length - 1) ? chosen : free;
    }

    private static void Check(
        string path, ElementDocument said, CastShape cast, double spacing, ImmutableArray<NumberedPanel> panels, ImmutableArray<PlanCut> cuts, Gate gate)
    {
        var at = $"{path}/joints";
        if (said.Traits.Jointed is JointLayout.Grid or JointLayout.Walk)
        {
            var mend = (said as OutlinedDocument)?.Joints is null ? null : Propose(at);
            CheckPanels(at, spacing, panels, mend, gate);
            CheckCorners(at, cast.Plan.Plain, cuts, mend, gate);
            if (JointRules.Depth(cast.Depth).Millimetres > JointRules.GrooverMm && cuts.Length > 0)
            {
                gate.Add(Finding.Of(
                    FindingCode.JointDeeperThanGroover, Severity.Note, at, ("depthMm", JointRules.Depth(cast.Depth).Millimetres), ("grooverMm", JointRules.GrooverMm)));
            }
        }
        else if (said.Traits.Jointed == JointLayout.Repeated)
        {
            gate.Add(Finding.Of(FindingCode.RepeatJoints, Severity.Note, path));
        }

        if (said.Traits.Flat)
        {
            CheckReach(path, said, cast.Plan.Plain, cast.Plan.Corners.Length, gate);
        }
    }

    private static void CheckPanels(string at, double spacing, ImmutableArray<NumberedPanel> panels, Remedy? mend, Gate gate)
    {
        foreach (var panel in panels)
        {
            if (panel.LongestM > spacing * (1 + JointRules.Slack) + JointRules.Slack)
            {
                gate.Add(Finding.Of(
                    FindingCode.PanelTooLong, Severity.Warning, at, ("panel", panel.Number), ("lengthMm", panel.LongestM * 1000), ("mostMm", spacing * 1000)).Mending(mend));
            }
            else if (panel.Ratio > JointRules.MostRatio + JointRules.Slack)
            {
                gate.Add(Finding.Of(
                    FindingCode.PanelTooSlender, Severity.Warning, at, ("panel", panel.Number), ("ratio", panel.Ratio), ("most", JointRules.MostRatio)).Mending(mend));
            }
        }
    }

    private static Remedy Propose(string at) => new(RemedyCode.ProposeJoints, [new Edit(at)], new Dictionary<string, double>());

    private static void CheckCorners(string at, Outline plan, ImmutableArray<PlanCut> cuts, Remedy? mend, Gate gate)
    {
        foreach (var corner in Proposal.ReentrantCorners(plan))
        {
            var place = plan.Corners[corner];
            if (!cuts.Any(c => place.DistanceToSegment(c.From, c.To) < 0.03))
            {
                gate.Add(Finding.Of(FindingCode.CornerWithoutJoint, Severity.Warning, at, ("corner", corner + 1), ("xM", place.X), ("yM", place.Y)).Mending(mend));
            }
        }
    }

    private static void CheckReach(string path, ElementDocument said, Outline plan, int edges, Gate gate)
    {
        var stand = Enumerable.Range(0, edges).Where(i => said.MeetsAt(i) != Meets.Wall).ToHashSet();
        var deep = Within.DeepestM(plan, stand);
        if (!double.IsFinite(deep))
        {
            gate.Add(Finding.Of(FindingCode.NoWayOut, Severity.Warning, path));
        }
        else if (deep > ReachM)
        {
            gate.Add(Finding.Of(FindingCode.BeyondReach, Severity.Note, path, ("deepM", deep), ("reachM", ReachM)));
        }
    }

    private static void Explain(string path, JointLayout layout, CastShape cast, double spacing, Length depth, int panels, Gate gate)
    {
        if (layout is JointLayout.None or JointLayout.Repeated)
        {
            return;
        }

        gate.Add(Explanation.For(
            WhyCode.Panels, path, panels, Source.Aci302,
            ("thicknessMm", cast.Depth.Millimetres), ("spacingOverThickness", JointRules.SpacingOverThickness), ("spacingM", spacing), ("mostRatio", JointRules.MostRatio), ("depthMm", depth.Millimetres)));
    }
}
