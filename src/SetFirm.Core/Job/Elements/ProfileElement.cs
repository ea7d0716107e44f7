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

/// <summary>What is drawn by its section: of base, top and batter two are said.</summary>
public abstract record SectionedDocument : ElementDocument
{
    internal SectionedDocument()
    {
    }

    /// <summary>A length.</summary>
    public required string Height { get; init; }

    /// <summary>A length, or empty where top and batter are said.</summary>
    public required string Base { get; init; }

    /// <summary>A length, or empty where base and batter are said.</summary>
    public required string Top { get; init; }

    /// <summary>Lean of a face from plumb, degrees; null where base and top are said.</summary>
    public double? Batter { get; init; }

    /// <summary>Battered faces, 1 or 2.</summary>
    public required int Faces { get; init; }

    /// <summary>How the top edge of a battered face is eased.</summary>
    public required EdgeEase Ease { get; init; }

    /// <summary>A length: radius, or leg of the chamfer. Empty where sharp.</summary>
    public string EaseSize { get; init; } = "";

    /// <returns>Null with a finding at each field that would not do.</returns>
    internal CurbProfile? Section(ElementGate gate)
    {
        var height = gate.Length(nameof(Height), Height, 20, 1_000);
        var faces = gate.InRange(nameof(Faces), Faces, 1, 2);
        var foot = string.IsNullOrWhiteSpace(Base) ? default : gate.Length(nameof(Base), Base, 20, 1_000);
        var top = string.IsNullOrWhiteSpace(Top) ? default : gate.Length(nameof(Top), Top, 20, 1_000);
        var ease = Ease == EdgeEase.Sharp ? default(Length) : gate.Length(nameof(EaseSize), EaseSize, 1, 300);
        var lean = Batter is not { } said || gate.InRange(nameof(Batter), said, -45, 45, RangeUnit.Degrees);
        var read = (string.IsNullOrWhiteSpace(Base) || foot is not null) && (string.IsNullOrWhiteSpace(Top) || top is not null);
        if (height is not { } h || !faces || !lean || !read || ease is not { } eased)
        {
            return null;
        }

        var (b, t) = (foot, top, Batter) switch
        {
            ({ } f, { } u, null) => ((Length?)f, (Length?)u),
            ({ } f, null, { } batter) => (f, CurbProfile.TopFrom(f, h, Faces, batter)),
            (null, { } u, { } batter) => (CurbProfile.BaseFrom(u, h, Faces, batter), u),
            _ => (null, null),
        };
        var given = (foot is null ? 0 : 1) + (top is null ? 0 : 1) + (Batter is null ? 0 : 1);
        if (given != 2)
        {
            gate.Fault(given > 2 ? nameof(Batter) : foot is null ? nameof(Base) : nameof(Top), new Notice.CurbWantsTwo(Given: given));
            return null;
        }

        if (b is not { } footWidth || t is not { } topWidth)
        {
            gate.Fault(nameof(Batter), new Notice.CurbLeansAway(BatterDegrees: Batter ?? 0, HeightMm: h.Millimetres));
            return null;
        }

        var profile = new CurbProfile(footWidth, topWidth, h, Faces, Ease, eased);
        if (!profile.EaseFits)
        {
            gate.Fault(nameof(EaseSize), new Notice.EaseTooLarge(EaseMm: eased.Millimetres, TopMm: topWidth.Millimetres));
            return null;
        }

        return profile;
    }
}

/// <summary>A straight piece cast by its section: a coping, a block, a rail.</summary>
public sealed record ProfileDocument : SectionedDocument
{
    /// <summary>A length.</summary>
    public required string Length { get; init; }

    /// <summary>Its top lies on the bottom of the mould, its foot is open.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool TopDown { get; init; }

    public required MouldsDocument Casting { get; init; }

    /// <summary>It lies on supports and carries between them.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Spans { get; init; }

    internal override MouldsDocument MouldsSaid => Casting;

    internal override ElementTraits Traits => new(OnGround: false, Flat: false, JointLayout.None, Load.Foot, SteelSection.Strip, MixUse.Curb)
    {
        Work = WorkKind.Coping,
        Mould = TopDown ? MouldKind.FaceDown : MouldKind.Pieces,
        Lifted = true,
        Spans = Spans,
        UsualStripDays = 3,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var length = gate.Length(nameof(Length), Length, 20, 6_000);
        var moulds = Casting.Read(gate.In(nameof(Casting)));
        if (Section(gate) is not { } profile || length is not { } long_ || !moulds)
        {
            return null;
        }

        var (foot, top) = (profile.Base, profile.Top);
        var raw = OutlinePresets.Rectangle(long_, foot > top ? foot : top);
        if (gate.Checked(raw.Corners, raw.Rises, [], nameof(Length)) is not { } plan)
        {
            return null;
        }

        var mean = Quantities.Length.FromMetres((foot.Metres + top.Metres) / 2);
        return new CastShape(
            plan,
            new Shapes.Section([new SectionPiece(CastPart.Pieces, [.. profile.Points().Select(p => new PlanPoint(p.X, p.Y - profile.Height.Metres))])], GoesOn: false),
            [new(CastPart.Pieces, profile.Area * long_ * Casting.Pieces)],
            mean < profile.Height ? mean : profile.Height,
            Quantities.Length.FromMetres(Math.Min(profile.Height.Metres, Math.Min(foot.Metres, top.Metres))),
            profile.Height,
            Casting.Pieces)
        { Profile = profile };
    }
}
