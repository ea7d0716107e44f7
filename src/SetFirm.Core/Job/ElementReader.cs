using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Joints;
using SetFirm.Core.Learning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>An element that passed the gate.</summary>
/// <param name="Index">Its place in the document.</param>
/// <param name="Said">As said.</param>
/// <param name="Cast">What it comes down to.</param>
/// <param name="WorkedOut">Sides whose length was left to be worked out.</param>
/// <param name="MisfitM">By how much the tapes missed, spread already.</param>
/// <param name="WastePercent">Of the drawn volume.</param>
/// <param name="Fall">As said; null takes the advice, and <paramref name="FallSound"/> tells whether what was said can be.</param>
/// <param name="FallSound">False where its fall cannot be.</param>
/// <param name="Joints">As said.</param>
/// <param name="SteelSpacing">Of a grid, as said.</param>
/// <param name="Above">Of its finished top over the ground, as said.</param>
public sealed record ReadElement(
    int Index, ElementDocument Said, CastShape Cast, ImmutableArray<bool> WorkedOut, double MisfitM, double WastePercent, Fall? Fall, bool FallSound, JointsSaid Joints, Length? SteelSpacing, Length? Above)
{
    public ElementPlaces At => Places.Element(Index);

    public ElementTraits Traits { get; } = Said.Traits;

    /// <summary>Where its thickness is said; a kind that has no field of its own for it points at itself.</summary>
    public Place ThicknessAt => Traits.ThicknessSaid ? At.Thickness : At.Self;

    /// <summary>Litres with waste.</summary>
    public double OrderL => Cast.Net.Litres * WasteFactor;

    public double WasteFactor => 1 + (WastePercent / 100);

    public IEnumerable<int> EdgesMeeting(params Meets[] meets) => Enumerable.Range(0, Cast.Plan.Corners.Length).Where(i => meets.Contains(Said.MeetsAt(i)));

    public IEnumerable<Opening> OpeningsFor(params OpeningUse[] uses) => Said.OpeningsSaid.Zip(Cast.Plan.Openings).Where(o => uses.Contains(o.First.Use)).Select(o => o.Second);

    public CastingRule? Casting => Said.MouldsSaid?.Rule(Traits.UsualStripDays);

    /// <summary>Of cracks in what it lies on.</summary>
    public double CracksM { get; init; }

    /// <summary>First and last grit that it is ground with, where it is.</summary>
    public (int From, int To) Grits { get; init; } = (AfterCare.CoarsestGrit, AfterCare.UsualLastGrit);

    public SteelSaid Steel(UnitSystem sold) => new(Said.Steel?.School, Said.Steel?.Bar, SteelSpacing, sold) { Mesh = Said.Steel?.Mesh ?? MeshHeld.OnChairs };

    public FormsSaid Forms(UnitSystem sold, double longestMm) => new(Said.Forms?.Board, Said.Forms?.Corners ?? CornerScheme.ButtedPair, Said.Forms?.PlyMm, sold, longestMm);
}

/// <summary>Reads an element: what is wrong with it stands at its fields.</summary>
internal static class ElementReader
{
    private const double MostWastePercent = 50;
    private const double MostFallPercent = 25;

    /// <returns>Null where its shape cannot be.</returns>
    public static ReadElement? Read(int index, ElementDocument said, LearntValues learnt, Gate gate)
    {
        var at = Places.Element(index);
        var wasteSound = said.WastePercent is not { } given || gate.InRange(at.WastePercent, given, 0, MostWastePercent, RangeUnit.Pct);
        var own = new ElementGate(at.Self, gate);
        if (said.Cast(own) is not { } cast || !wasteSound)
        {
            return null;
        }

        if (cast.Net.CubicMetres <= 0)
        {
            gate.Fault(at.Self, new Notice.NothingToPour());
            return null;
        }

        var (fall, sound) = said.Traits.Flat ? FallOf(said.FallSaid, cast.Plan, at.Fall, gate) : (null, true);
        return new ReadElement(
            index, said, cast, own.WorkedOut, own.MisfitM, said.WastePercent ?? WastePercent(said.Bed, learnt), fall, sound, JointsOf(said, cast, at, gate),
            string.IsNullOrWhiteSpace(said.Steel?.Spacing) ? null : gate.Length(at.Steel.Spacing, said.Steel.Spacing, 50, 1_000),
            string.IsNullOrWhiteSpace(said.Above) ? null : gate.Length(at.Above, said.Above, 0, Limits.ThickestMm))
        {
            CracksM = said.CracksBelow(own)?.Metres ?? 0,
            Grits = GritsOf(said.Finish == Finishing.Finish.GroundLater ? said.Grind : null, at.Self.At(nameof(said.Grind)), gate),
        };
    }

    // For what is wrong with them the usual ones stand in.
    private static (int From, int To) GritsOf(GrindDocument? said, Place at, Gate gate)
    {
        var from = said?.From ?? AfterCare.CoarsestGrit;
        var to = said?.To ?? Math.Max(from, AfterCare.UsualLastGrit);
        return gate.InRange(at.At(nameof(said.From)), from, AfterCare.CoarsestGrit, AfterCare.FinestGrit) && gate.InRange(at.At(nameof(said.To)), to, from, AfterCare.FinestGrit)
            ? (from, to)
            : (AfterCare.CoarsestGrit, AfterCare.UsualLastGrit);
    }

    // As is usual on such a bed, or as was learnt of it.
    private static double WastePercent(Shapes.Bed bed, LearntValues learnt) => learnt.Factor(LearntKeys.Waste(bed)) is not 1 and var times
        ? Math.Clamp((((1 + Waste.Share(bed)) * times) - 1) * 100, 0, MostWastePercent)
        : Waste.Share(bed) * 100;

    private static (Fall? Fall, bool Sound) FallOf(FallDocument? said, Outline plan, FallPlaces at, Gate gate)
    {
        switch (said)
        {
            case null:
                return (null, true);
            case LevelFallDocument:
                return (new Fall.Level(), true);
            case EdgeFallDocument off:
                return gate.InRange(at.Percent, off.Percent, 0, MostFallPercent, RangeUnit.Pct) & gate.InRange(at.Edge, off.Edge, 0, plan.Corners.Length - 1)
                    ? (Fall.OffEdge(plan, off.Edge, off.Percent / 100), true)
                    : (null, false);
            case DrainFallDocument drain:
                return gate.InRange(at.Percent, drain.Percent, 0, MostFallPercent, RangeUnit.Pct) & gate.InRange(at.Opening, drain.Opening, 0, plan.Openings.Length - 1)
                    ? (new Fall.ToDrain(plan.Openings[drain.Opening].Centre, drain.Percent / 100), true)
                    : (null, false);
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static JointsSaid JointsOf(ElementDocument said, CastShape cast, ElementPlaces at, Gate gate)
    {
        var wayOut = said.WayOutSaid is { } chosen && gate.InRange(at.WayOut, chosen, 0, cast.Plan.Corners.Length - 1) ? chosen : (int?)null;
        if (said.JointsSaid is not { } joints || said.Traits.Jointed is not (JointLayout.Grid or JointLayout.Walk))
        {
            return new JointsSaid(null, wayOut);
        }

        var lines = ImmutableArray.CreateBuilder<(JointLine, JointMethod, Place)>();
        if (joints.Count > Limits.MostJoints)
        {
            gate.Fault(at.Joints, new Notice.TooMany(Count: joints.Count, Most: Limits.MostJoints));
            return new JointsSaid(lines.ToImmutable(), wayOut);
        }

        for (var i = 0; i < joints.Count; i++)
        {
            var (place, joint) = (at.Joints[i], joints[i]);
            double? End(string member, string text, double open) => string.IsNullOrWhiteSpace(text) ? open : gate.SignedLength(place.At(member), text, Limits.LongestMm);
            if (gate.SignedLength(place.At(nameof(joint.At)), joint.At, Limits.LongestMm) is { } along
                && End(nameof(joint.From), joint.From, double.NegativeInfinity) is { } from && End(nameof(joint.To), joint.To, double.PositiveInfinity) is { } to)
            {
                lines.Add((new JointLine(joint.Across, along, Math.Min(from, to), Math.Max(from, to)), joint.Method, place.At(nameof(joint.At))));
            }
        }

        return new JointsSaid(lines.ToImmutable(), wayOut);
    }
}
