using System.Collections.Immutable;
using System.Text.Json.Serialization;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>The form of a footing.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(BoxFootingDocument), "box")]
[JsonDerivedType(typeof(CylinderFootingDocument), "cylinder")]
[JsonDerivedType(typeof(FrustumFootingDocument), "frustum")]
[JsonDerivedType(typeof(FrustumTubeFootingDocument), "frustumWithTube")]
public abstract record FootingFormDocument
{
    private protected FootingFormDocument()
    {
    }

    /// <summary>A length: how deep it stands.</summary>
    public required string Depth { get; init; }

    internal abstract Footing? Read(ElementGate gate);

    private protected static Length? Size(ElementGate gate, string field, string text) => gate.In(nameof(FootingDocument.Form)).Length(field, text, 20, 3_000);
}

public sealed record BoxFootingDocument : FootingFormDocument
{
    /// <summary>A length.</summary>
    public required string Along { get; init; }

    /// <summary>A length.</summary>
    public required string Across { get; init; }

    internal override Footing? Read(ElementGate gate) =>
        (Size(gate, nameof(Along), Along), Size(gate, nameof(Across), Across), Size(gate, nameof(Depth), Depth)) is ({ } a, { } b, { } d) ? new Footing.Box(a, b, d) : null;
}

public sealed record CylinderFootingDocument : FootingFormDocument
{
    /// <summary>A length.</summary>
    public required string Diameter { get; init; }

    internal override Footing? Read(ElementGate gate) =>
        (Size(gate, nameof(Diameter), Diameter), Size(gate, nameof(Depth), Depth)) is ({ } a, { } d) ? new Footing.Cylinder(a, d) : null;
}

public sealed record FrustumFootingDocument : FootingFormDocument
{
    /// <summary>A length: diameter of the foot.</summary>
    public required string Foot { get; init; }

    /// <summary>A length: diameter of the top.</summary>
    public required string Top { get; init; }

    internal override Footing? Read(ElementGate gate) =>
        (Size(gate, nameof(Foot), Foot), Size(gate, nameof(Top), Top), Size(gate, nameof(Depth), Depth)) is ({ } a, { } b, { } d) ? new Footing.Frustum(a, b, d) : null;
}

/// <summary>A spread foot with a tube form on it.</summary>
public sealed record FrustumTubeFootingDocument : FootingFormDocument
{
    /// <summary>A length: diameter of the foot.</summary>
    public required string Foot { get; init; }

    /// <summary>A length: diameter where the tube stands.</summary>
    public required string Top { get; init; }

    /// <summary>A length: diameter of the tube.</summary>
    public required string Tube { get; init; }

    /// <summary>A length: height of the tube.</summary>
    public required string TubeDepth { get; init; }

    internal override Footing? Read(ElementGate gate) =>
        (Size(gate, nameof(Foot), Foot), Size(gate, nameof(Top), Top), Size(gate, nameof(Depth), Depth), Size(gate, nameof(Tube), Tube), Size(gate, nameof(TubeDepth), TubeDepth))
            is ({ } a, { } b, { } d, { } t, { } u) ? new Footing.FrustumWithTube(a, b, d, t, u) : null;
}

/// <summary>A footing or pier, as many as are wanted.</summary>
public sealed record FootingDocument : ElementDocument
{
    public required FootingFormDocument Form { get; init; }

    public required int Count { get; init; }

    /// <summary>Forms to cast them in, one after the other; null casts all at once.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public int? Moulds { get; init; }

    /// <summary>Days in the form, where there are fewer forms than footings; null takes two.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? StripDays { get; init; }

    /// <summary>Cast as a piece in a mould of two halves, and set in its place.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool AsPiece { get; init; }

    internal override Place StripDaysAt(ElementPlaces at) => at.Self.At(nameof(StripDays));

    internal override MouldsDocument? MouldsSaid => AsPiece || Moulds < Count ? new MouldsDocument { Pieces = Count, Moulds = Moulds ?? Count, StripDays = StripDays } : null;

    internal override ElementTraits Traits => new(OnGround: true, Flat: false, JointLayout.None, Load.Foot, SteelSection.Footing, MixUse.Footing)
    {
        Work = AsPiece ? WorkKind.FootingPiece : WorkKind.FootingInGround,
        Mould = AsPiece ? MouldKind.Pieces : MouldKind.None,
        Lifted = AsPiece,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var count = gate.InRange(nameof(Count), Count, 1, 200) & gate.InRange(nameof(Moulds), Moulds ?? 1, 1, 100) & gate.InRange(nameof(StripDays), StripDays ?? 1, 0.1, 60, RangeUnit.Days);
        if (Form.Read(gate) is not { } footing || !count)
        {
            return null;
        }

        if (AsPiece && footing is Footing.FrustumWithTube)
        {
            gate.Fault(nameof(AsPiece), new Notice.TubeStandsInPlace());
            return null;
        }

        var raw = footing is Footing.Box box ? OutlinePresets.Rectangle(box.Along, box.Across) : OutlinePresets.Circle(footing.Widest);
        if (gate.Checked(raw.Corners, raw.Rises, [], nameof(Form)) is not { } plan)
        {
            return null;
        }

        var whole = footing.Volume * Count;
        var tube = footing is Footing.FrustumWithTube tubed ? Footing.FrustumVolume(tubed.Tube, tubed.Tube, tubed.TubeDeep) * Count : default;
        var foot = new PartVolume(CastPart.Footing, Volume.FromCubicMetres(Math.Max(0, whole.CubicMetres - tube.CubicMetres)));
        var least = footing is Footing.Box { Across: var across } ? across : footing.Widest;
        return new CastShape(
            plan,
            new Section(Cut(footing), GoesOn: false),
            tube.CubicMetres > 0 ? [foot, new(CastPart.Tube, tube)] : [foot],
            least < footing.Height ? least : footing.Height,
            least < footing.Height ? least : footing.Height,
            footing.Height,
            Count)
        {
            Turned = footing switch
            {
                Footing.Frustum f => (f.Foot, f.Top),
                Footing.Cylinder c => (c.Diameter, c.Diameter),
                _ => null,
            },
        };
    }

    private static ImmutableArray<SectionPiece> Cut(Footing footing)
    {
        static SectionPiece Cone(CastPart part, double foot, double top, double middle, double topM, double bottomM) => new(
            part, [new(middle - (foot / 2), -bottomM), new(middle + (foot / 2), -bottomM), new(middle + (top / 2), -topM), new(middle - (top / 2), -topM)]);
        var (wide, high) = (footing.Widest.Metres, footing.Height.Metres);
        return footing switch
        {
            Footing.Box or Footing.Cylinder => [CastShape.Layer(CastPart.Footing, wide, 0, high)],
            Footing.Frustum f => [Cone(CastPart.Footing, f.Foot.Metres, f.Top.Metres, wide / 2, 0, high)],
            Footing.FrustumWithTube t =>
            [
                Cone(CastPart.Tube, t.Tube.Metres, t.Tube.Metres, wide / 2, 0, t.TubeDeep.Metres),
                Cone(CastPart.Footing, t.Foot.Metres, t.Top.Metres, wide / 2, t.TubeDeep.Metres, high),
            ],
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }
}
