using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Joints;

/// <summary>What joints are set out in.</summary>
/// <param name="Layout">How.</param>
/// <param name="Cast">The element.</param>
/// <param name="Flat">Somebody has to reach its surface, and to leave it.</param>
/// <param name="Meets">What an edge meets, from 0.</param>
/// <param name="EveryOther">Every other panel is poured first: each is reached from its own edges.</param>
public sealed record JointSite(JointLayout Layout, CastShape Cast, bool Flat, Func<int, Meets> Meets, bool EveryOther);

/// <summary>Joints as said and checked.</summary>
/// <param name="Lines">Null takes those proposed.</param>
/// <param name="WayOutEdge">Null takes the first that is free.</param>
public sealed record JointsSaid(ImmutableArray<(JointLine Line, JointMethod Method, Place At)>? Lines, int? WayOutEdge);

/// <summary>Joints of one element.</summary>
/// <param name="Layout">How they are set out.</param>
/// <param name="Proposed">True where nothing was said.</param>
/// <param name="Lines">Joints that can be moved.</param>
/// <param name="Cuts">Where all joints run.</param>
/// <param name="Panels">Between them, in pouring order; of a path none: its bays are equal.</param>
/// <param name="Bay">One bay of a path, which stands for all.</param>
/// <param name="Bulkheads">Joints that are formed with a board.</param>
/// <param name="SpacingM">No panel side is longer.</param>
/// <param name="Depth">Of a joint.</param>
/// <param name="WayOut">Where the barrow leaves.</param>
/// <param name="WayOutEdge">Over which edge.</param>
public sealed record JointPlan(
    JointLayout Layout,
    bool Proposed,
    ImmutableArray<(JointLine Line, JointMethod Method)> Lines,
    ImmutableArray<PlanCut> Cuts,
    ImmutableArray<NumberedPanel> Panels,
    Panel? Bay,
    ImmutableArray<PlanCut> Bulkheads,
    double SpacingM,
    Length Depth,
    PlanPoint WayOut,
    int WayOutEdge)
{
    /// <summary>The longest side of any panel, metres.</summary>
    public double LongestM => Bay is { } bay ? Math.Max(bay.AlongM, bay.AcrossM) : Panels.Max(p => p.LongestM);

    public bool Sawn => Lines.Any(l => l.Method == JointMethod.Sawn);
}

/// <summary>Where joints run, and what is wrong with them.</summary>
public static class JointAdvice
{
    /// <summary>What one person floats in from an edge, metres. Source: site practice.</summary>
    public const double ReachM = 1.2;

    /// <summary>A cut that ends nearer to a corner than this ends at it, metres.</summary>
    private const double AtCornerM = 0.03;

    /// <param name="said">As said; what is not said is proposed.</param>
    /// <param name="site">What they are set out in.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static JointPlan Plan(JointsSaid said, JointSite site, ElementPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(remarks);
        var (layout, cast) = (site.Layout, site.Cast);
        var plan = cast.Plan.Plain;
        var spacing = JointRules.Spacing(layout, cast.Depth, Narrower(plan)).Metres;
        var free = layout is JointLayout.Grid or JointLayout.Walk;
        ImmutableArray<(JointLine Line, JointMethod Method)> lines = !free ? [] : said.Lines is { } given ? Within(given, plan, remarks) : [.. Proposal.For(plan, spacing).Select(l => (l, JointMethod.Tooled))];
        var runs = Runs(lines, plan, remarks.Budget);
        var path = layout is JointLayout.Border or JointLayout.Curb;
        ImmutableArray<PlanCut> cuts = path && cast.Line is { } middle ? JointSet.Across(middle, WidthM(cast), spacing) : [.. runs.SelectMany(r => r.Cuts)];
        if (!path && JointSet.PanelsBetween(cuts) is var wanted && !remarks.Budget.TakesPanels(wanted))
        {
            remarks.Warn(at.Joints, new Notice.TooManyPanels(Count: wanted, Most: Budget.MostPanels, SpacingMm: spacing * 1000));
            (lines, cuts) = ([], []);
            runs.Clear();
        }

        var edges = cast.Plan.Corners.Length;
        var wayOutEdge = said.WayOutEdge ?? Enumerable.Range(0, edges).FirstOrDefault(i => site.Meets(i) is Meets.Form or Meets.Open, 0);
        var wayOut = cast.Plan.Corners[wayOutEdge].Towards(cast.Plan.Corners[(wayOutEdge + 1) % edges], 0.5);
        var panels = path ? [] : JointSet.Of(plan, cuts, wayOut).Panels;
        var found = new JointPlan(
            layout, said.Lines is null, lines, cuts, panels, panels.IsEmpty ? Bay(cast, cuts.Length + 1) : null,
            [.. runs.Where(r => r.Method == JointMethod.Formed).SelectMany(r => r.Cuts)], spacing, JointRules.Depth(cast.Depth), wayOut, wayOutEdge);
        Check(found, said, site, at, remarks);
        Explain(found, cast, at, remarks);
        return found;
    }

    // No further than it takes to know that they are too many.
    private static List<(JointMethod Method, ImmutableArray<PlanCut> Cuts)> Runs(ImmutableArray<(JointLine Line, JointMethod Method)> lines, Outline plan, Budget budget)
    {
        var (runs, cuts) = (new List<(JointMethod, ImmutableArray<PlanCut>)>(lines.Length), 0);
        for (var i = 0; i < lines.Length && cuts <= Budget.MostPanels; i++)
        {
            budget.GoOn();
            runs.Add((lines[i].Method, lines[i].Line.Within(plan)));
            cuts += runs[^1].Item2.Length;
        }

        return runs;
    }

    private static ImmutableArray<(JointLine Line, JointMethod Method)> Within(ImmutableArray<(JointLine Line, JointMethod Method, Place At)> said, Outline plan, Remarks remarks)
    {
        foreach (var (line, _, at) in said.Where(l => l.Line.Within(plan).IsEmpty))
        {
            remarks.Warn(at, new Notice.JointOutside(AtMm: line.AtM * 1000));
        }

        return [.. said.Select(l => (l.Line, l.Method))];
    }

    // One bay of a path stands for all: they are equal.
    private static Panel Bay(CastShape cast, int bays)
    {
        var (long_, wide) = (cast.Line!.Length.Metres / bays, WidthM(cast));
        return new Panel(cast.Plan.Corners[0], [], long_ * wide, long_, wide);
    }

    private static double WidthM(CastShape cast) => cast.Plan.NetArea.SquareMetres / cast.Line!.Length.Metres;

    private static Length Narrower(Outline plan)
    {
        var (left, right, low, high) = Extents.Of(plan);
        return Length.FromMetres(Math.Min(right - left, high - low));
    }

    private static void Check(JointPlan found, JointsSaid said, JointSite site, ElementPlaces at, Remarks remarks)
    {
        if (site.Layout is JointLayout.Grid or JointLayout.Walk)
        {
            Remedy[] propose = said.Lines is null ? [] : [new Remedy(new Mend.ProposeJoints(), [new Edit(at.Joints)])];
            CheckPanels(found, at, propose, remarks);
            CheckCorners(found, site.Cast.Plan.Plain, at, propose, remarks);
            if (found.Depth.Millimetres > JointRules.GrooverMm && found.Cuts.Length > 0)
            {
                remarks.Note(at.Joints, new Notice.JointDeeperThanGroover(DepthMm: found.Depth.Millimetres, GrooverMm: JointRules.GrooverMm));
            }
        }
        else if (site.Layout == JointLayout.Repeated)
        {
            remarks.Note(at.Self, new Notice.RepeatJoints());
        }

        if (site.Flat)
        {
            CheckReach(found, site, at, remarks);
        }
    }

    private static void CheckPanels(JointPlan found, ElementPlaces at, Remedy[] propose, Remarks remarks)
    {
        foreach (var panel in found.Panels)
        {
            if (panel.LongestM > found.SpacingM * (1 + JointRules.Slack) + JointRules.Slack)
            {
                remarks.Warn(at.Joints, new Notice.PanelTooLong(Panel: panel.Number, LengthMm: panel.LongestM * 1000, MostMm: found.SpacingM * 1000), propose);
            }
            else if (panel.Ratio > JointRules.MostRatio + JointRules.Slack)
            {
                remarks.Warn(at.Joints, new Notice.PanelTooSlender(Panel: panel.Number, Ratio: panel.Ratio, Most: JointRules.MostRatio), propose);
            }
        }
    }

    private static void CheckCorners(JointPlan found, Outline plan, ElementPlaces at, Remedy[] propose, Remarks remarks)
    {
        foreach (var corner in Proposal.ReentrantCorners(plan))
        {
            var place = plan.Corners[corner];
            if (!found.Cuts.Any(c => place.DistanceToSegment(c.From, c.To) < AtCornerM))
            {
                remarks.Warn(at.Joints, new Notice.CornerWithoutJoint(Corner: corner + 1, AlongM: place.X, InM: place.Y), propose);
            }
        }
    }

    private static void CheckReach(JointPlan found, JointSite site, ElementPlaces at, Remarks remarks)
    {
        var stand = Enumerable.Range(0, site.Cast.Plan.Corners.Length).Where(i => site.Meets(i) != Meets.Wall).ToHashSet();
        var deep = Shapes.Within.DeepestM(site.Cast.Plan.Plain, stand);
        if (!double.IsFinite(deep))
        {
            remarks.Warn(at.Self, new Notice.NoWayOut());
        }
        else
        {
            var byPanel = found.Panels.Length > 1 ? found.Panels.Max(p => Math.Min(p.Shape.AlongM, p.Shape.AcrossM) / 2) : deep;
            var asPoured = site.EveryOther ? Math.Min(deep, byPanel) : deep;
            if (asPoured > ReachM)
            {
                Remedy[] turns = byPanel <= ReachM ? [new Remedy(new Mend.EveryOtherPanel(), [new Edit(Places.Day.Split, Text: "everyOther")])] : [];
                remarks.Note(at.Self, new Notice.BeyondReach(DeepM: asPoured, ReachM: ReachM), turns);
            }
        }
    }

    private static void Explain(JointPlan found, CastShape cast, ElementPlaces at, Remarks remarks)
    {
        if (found.Layout is JointLayout.None or JointLayout.Repeated)
        {
            return;
        }

        var why = new Why.Panels(
            ThicknessMm: cast.Depth.Millimetres, SpacingOverThickness: JointRules.SpacingOverThickness, SpacingM: found.SpacingM, MostRatio: JointRules.MostRatio,
            DepthMm: found.Depth.Millimetres);
        remarks.WhyOf(at.Self.Path, why, found.Panels.Length > 0 ? found.Panels.Length : found.Cuts.Length + 1, Source.Aci302);
    }
}
