using System.Collections.Immutable;
using System.Text.Json.Serialization;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Job;

/// <summary>What a cast piece is for.</summary>
public enum PieceUse
{
    Tread,
    Block,
    Stone,
    Paver,
}

/// <summary>How many pieces come from how many moulds, and when.</summary>
public sealed record MouldsDocument
{
    /// <summary>Pieces wanted.</summary>
    public required int Pieces { get; init; }

    /// <summary>Moulds to cast them in.</summary>
    public required int Moulds { get; init; }

    /// <summary>Days in the mould; null takes the piece's own.</summary>
    public double? StripDays { get; init; }

    /// <summary>Days between, for cleaning.</summary>
    public double CleanDays { get; init; }

    internal bool Read(ElementGate gate) =>
        gate.InRange(nameof(Pieces), Pieces, 1, 500) & gate.InRange(nameof(Moulds), Moulds, 1, 100)
        & gate.InRange(nameof(StripDays), StripDays ?? 1, 0.1, 60, RangeUnit.Days) & gate.InRange(nameof(CleanDays), CleanDays, 0, 30, RangeUnit.Days);

    /// <summary>Of sound numbers.</summary>
    internal CastingRule Rule(double usualStripDays) => new(Pieces, Math.Min(Moulds, Pieces), StripDays ?? usualStripDays, CleanDays);
}

/// <summary>Something cast in a mould: a tread, a block, a stone, a paver.</summary>
public sealed record PieceDocument : OutlinedDocument
{
    public required PieceUse Use { get; init; }

    /// <summary>A length.</summary>
    public required string Thickness { get; init; }

    /// <summary>A length: leg of the chamfer round its top; empty for none.</summary>
    public string Chamfer { get; init; } = "";

    public required MouldsDocument Casting { get; init; }

    /// <summary>It lies on supports and carries between them; null takes a tread as one that does.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public bool? Spans { get; init; }

    internal override ElementTraits Traits => new(
        OnGround: false, Flat: false, JointLayout.None, Load.Foot, Carries ? SteelSection.Strip : SteelSection.Thin, Carries ? MixUse.Curb : MixUse.Moulded)
    {
        Mould = MouldKind.Pieces,
        Lifted = true,
        ThicknessSaid = true,
        Spans = Spans ?? Use == PieceUse.Tread,
        Thickens = true,
        // Source: site practice: stones 48 h, treads 3-7 days.
        UsualStripDays = Carries ? 3 : 2,
    };

    internal override MouldsDocument MouldsSaid => Casting;

    private bool Carries => Use is PieceUse.Tread or PieceUse.Block;

    internal override CastShape? Cast(ElementGate gate)
    {
        var thickness = gate.Length(nameof(Thickness), Thickness, Limits.ThinnestMm, Limits.ThickestMm);
        var chamfer = gate.LengthOrNone(nameof(Chamfer), Chamfer, 100);
        var moulds = Casting.Read(gate.In(nameof(Casting)));
        if (gate.Outline(this) is not { } outline || thickness is not { } t || chamfer is not { } c || !moulds)
        {
            return null;
        }

        if (c.Metres > 0 && (c >= t || outline.InsetM2(c.Metres) <= 0))
        {
            gate.Fault(nameof(Chamfer), new Notice.EaseTooLarge(EaseMm: c.Millimetres, TopMm: t.Millimetres));
            return null;
        }

        // Area falls with the square of the inset, so Simpson's rule over the chamfer is exact.
        var whole = (outline.NetArea * t).CubicMetres;
        var (a, h) = (outline.NetArea.SquareMetres, c.Metres);
        var lost = h > 0 ? h * (a - ((a + (4 * outline.InsetM2(h / 2)) + outline.InsetM2(h)) / 6)) : 0;
        var wide = CastShape.DrawnM(outline, t);
        var section = new SectionPiece(CastPart.Pieces, [new(0, -t.Metres), new(wide, -t.Metres), new(wide, -h), new(wide - h, 0), new(h, 0), new(0, -h)]);
        return new CastShape(
            outline, new Section([section], GoesOn: false), [new(CastPart.Pieces, Volume.FromCubicMetres(Math.Max(0, whole - lost)) * Casting.Pieces)], t, t, t, Casting.Pieces);
    }
}

/// <summary>A free-form paver cast between two bent strips: a path with a width and a height.</summary>
public sealed record RibbonDocument : ElementDocument
{
    public required IReadOnlyList<StretchDocument> Path { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("path", Path)];

    /// <summary>A length.</summary>
    public required string Width { get; init; }

    /// <summary>A length.</summary>
    public required string Height { get; init; }

    public required MouldsDocument Casting { get; init; }

    internal override ElementTraits Traits => new(OnGround: false, Flat: false, JointLayout.None, Load.Foot, SteelSection.Thin, MixUse.Moulded)
    {
        Mould = MouldKind.Pieces,
        Lifted = true,
    };

    internal override MouldsDocument MouldsSaid => Casting;

    internal override CastShape? Cast(ElementGate gate)
    {
        var width = gate.Length(nameof(Width), Width, 5, 2_000);
        var height = gate.Length(nameof(Height), Height, Limits.ThinnestMm, 500);
        var moulds = Casting.Read(gate.In(nameof(Casting)));
        if (gate.Path(Path, width) is not var (line, band) || width is not { } w || height is not { } h || !moulds)
        {
            return null;
        }

        var section = new Section([CastShape.Layer(CastPart.Pieces, w.Metres, 0, h.Metres)], GoesOn: false);
        return new CastShape(band, section, [new(CastPart.Pieces, line.Length * w * h * Casting.Pieces)], h, w < h ? w : h, h, Casting.Pieces, line);
    }
}

/// <summary>Which way up a counter is cast.</summary>
public enum CounterCasting
{
    InPlace,
    FaceDown,
}

/// <summary>A counter, bench or bar top: a thin field with aprons on chosen edges.</summary>
public sealed record CounterDocument : OutlinedDocument
{
    /// <summary>A thinner field cracks, mm. Source: site practice.</summary>
    internal const double ThinnestFieldMm = 32;

    public required CounterCasting Casting { get; init; }

    /// <summary>A length: the field.</summary>
    public required string Thickness { get; init; }

    /// <summary>A length: how far free edges stand out over what carries it; empty for none.</summary>
    public string Overhang { get; init; } = "";

    internal override ElementTraits Traits => new(OnGround: false, Flat: false, JointLayout.None, Load.Foot, SteelSection.Counter, MixUse.Counter)
    {
        Mould = Casting == CounterCasting.FaceDown ? MouldKind.FaceDown : MouldKind.InPlace,
        Lifted = Casting == CounterCasting.FaceDown,
        Sealed = true,
        ThicknessSaid = true,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var thickness = gate.Length(nameof(Thickness), Thickness, Limits.ThinnestMm, 300);
        var overhang = gate.LengthOrNone(nameof(Overhang), Overhang, 1_000);
        if (gate.Outline(this) is not { } outline || gate.Drops(this, outline.Corners.Length) is not { } drops || thickness is not { } t || overhang is null)
        {
            return null;
        }

        if (t.Millimetres < ThinnestFieldMm)
        {
            gate.Add(Severity.Warning, nameof(Thickness), new Notice.FieldTooThin(ThicknessMm: t.Millimetres, LeastMm: ThinnestFieldMm));
        }

        var field = new PartVolume(CastPart.Field, outline.NetArea * t);
        var aprons = EdgeDrops.Extra(outline, drops);
        var deepest = drops.Count == 0 ? 0 : drops.Max(d => d.Depth.Metres);
        return new CastShape(
            outline,
            SlabDocument.DropSection(CastPart.Field, CastPart.Aprons, outline, t, drops),
            aprons.CubicMetres > 0 ? [field, new(CastPart.Aprons, aprons)] : [field],
            t,
            t,
            Length.FromMetres(t.Metres + deepest))
        { Drops = [.. drops] };
    }
}
