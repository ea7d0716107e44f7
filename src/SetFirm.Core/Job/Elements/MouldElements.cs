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

    /// <summary>A length: leg of the chamfer, or radius, along the edges of its top; empty for none.</summary>
    public string Chamfer { get; init; } = "";

    /// <summary>Rounded instead of chamfered.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Rounded { get; init; }

    /// <summary>Its face lies on the bottom of the mould.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool FaceDown { get; init; }

    /// <summary>What is cast into its face; null for nothing.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<InsertDocument>? Inserts { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [.. base.Lists, ("inserts", Inserts ?? [])];

    public required MouldsDocument Casting { get; init; }

    /// <summary>It lies on supports and carries between them; null takes a tread as one that does.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public bool? Spans { get; init; }

    internal override ElementTraits Traits => new(
        OnGround: false, Flat: false, JointLayout.None, Load.Foot, Carries ? SteelSection.Strip : SteelSection.Thin, Carries ? MixUse.Curb : MixUse.Moulded)
    {
        Work = Use switch
        {
            PieceUse.Tread => WorkKind.Tread,
            PieceUse.Block => WorkKind.Block,
            PieceUse.Stone => WorkKind.Stone,
            _ => WorkKind.Paver,
        },
        Mould = FaceDown ? MouldKind.FaceDown : MouldKind.Pieces,
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
        if (gate.Outline(this, thickness) is not { } outline || thickness is not { } t || chamfer is not { } c || !moulds || ReadInserts(gate, outline, t) is not { } inserts)
        {
            return null;
        }

        bool Eased(int edge) => edge >= Edges.Count || !Edges[edge].Sharp;
        var ease = c.Metres <= 0 ? EdgeEase.Sharp : Rounded ? EdgeEase.Round : EdgeEase.Chamfer;
        if (ease != EdgeEase.Sharp && (c >= t || !EasedRim.Fits(outline, Eased, c.Metres)))
        {
            gate.Fault(nameof(Chamfer), new Notice.EaseTooLarge(EaseMm: c.Millimetres, TopMm: t.Millimetres));
            return null;
        }

        var one = outline.FieldVolume(t).CubicMetres - EasedRim.LostM3(outline, Eased, ease, c.Metres) - inserts.Sum(i => i.Displaces.CubicMetres);
        return new CastShape(
            outline, new Section([Cut(outline, t, ease, c.Metres, Eased)], GoesOn: false),
            [new(CastPart.Pieces, Volume.FromCubicMetres(Math.Max(0, one)) * Casting.Pieces)], t, t, t, Casting.Pieces)
        { Inserts = inserts, SidesAlike = inserts.IsEmpty && (ease == EdgeEase.Sharp || Edges.All(e => !e.Sharp)) };
    }

    // Cut across the first edge, which is to the left.
    private static SectionPiece Cut(Outline outline, Length t, EdgeEase ease, double sizeM, Func<int, bool> eased)
    {
        var (wide, deep) = (CastShape.DrawnM(outline, t), t.Metres);
        var facing = Enumerable.Range(0, outline.Corners.Length).Skip(outline.Corners.Length / 2).FirstOrDefault(eased, -1) >= 0;
        IEnumerable<PlanPoint> Corner(bool rim, double x, int inward)
        {
            var (low, in_) = (new PlanPoint(x, -sizeM), new PlanPoint(x + (inward * sizeM), 0));
            return !rim || ease == EdgeEase.Sharp ? [new PlanPoint(x, 0)]
                : ease == EdgeEase.Chamfer ? [low, in_]
                : [low, .. Arcs.Between(low, in_, -inward * sizeM * (1 - Math.Sqrt(0.5))), in_];
        }

        return new SectionPiece(CastPart.Pieces, [new(0, -deep), new(wide, -deep), .. Corner(facing, wide, -1), .. Corner(eased(0), 0, 1).Reverse()]);
    }

    // Each stands in the face, clear of the others and of its edges.
    private ImmutableArray<Insert>? ReadInserts(ElementGate gate, Outline outline, Length thickness)
    {
        var said = Inserts ?? [];
        if (said.Count > Limits.MostInserts)
        {
            gate.Fault(nameof(Inserts), new Notice.TooMany(Count: said.Count, Most: Limits.MostInserts));
            return null;
        }

        var inserts = ImmutableArray.CreateBuilder<Insert>(said.Count);
        for (var i = 0; i < said.Count; i++)
        {
            var own = gate.In(nameof(Inserts), i);
            if (said[i].Read(own) is not { } insert)
            {
                continue;
            }

            var holes = outline.Openings.AddRange(inserts.Select(before => before.Hole)).Add(insert.Hole);
            if (insert.Deep > thickness || Shapes.Outline.TryCreate(outline.Corners, holes, outline.Rises) is not OutlineCheck.Sound)
            {
                own.Fault(
                    insert.Deep > thickness ? nameof(InsertDocument.Deep) : nameof(InsertDocument.Width),
                    new Notice.InsertTooLarge(AlongMm: insert.Along.Millimetres, AcrossMm: insert.Across.Millimetres, DeepMm: insert.Deep.Millimetres, ThicknessMm: thickness.Millimetres));
                continue;
            }

            InsertDocument.Advise(insert, own, thickness);
            inserts.Add(insert);
        }

        return inserts.Count == said.Count ? inserts.ToImmutable() : null;
    }
}

/// <summary>Something cast into the face of a piece.</summary>
public sealed record InsertDocument
{
    public required string Name { get; init; }

    /// <summary>A length along the first edge to its middle.</summary>
    public required string Along { get; init; }

    /// <summary>A length in from the first edge to its middle.</summary>
    public required string In { get; init; }

    /// <summary>A length of it along the first edge.</summary>
    public required string Width { get; init; }

    /// <summary>A length of it, in from the first edge.</summary>
    public required string Depth { get; init; }

    /// <summary>A length of it in the concrete.</summary>
    public required string Deep { get; init; }

    /// <summary>A length that it stands out of the face; empty lies flush.</summary>
    public string Out { get; init; } = "";

    /// <summary>It is of steel that has no coat against rust.</summary>
    public bool Rusts { get; init; }

    internal Insert? Read(ElementGate gate)
    {
        var place = (gate.Length(nameof(Along), Along, 0, Limits.LongestMm), gate.Length(nameof(In), In, 0, Limits.LongestMm));
        var size = (gate.Length(nameof(Width), Width, 1, Limits.LongestMm), gate.Length(nameof(Depth), Depth, 1, Limits.LongestMm), gate.Length(nameof(Deep), Deep, 1, Limits.ThickestMm));
        return (place, size, gate.LengthOrNone(nameof(Out), Out, Limits.ThickestMm)) is (({ } along, { } across), ({ } wide, { } deep, { } into), { } stands)
            ? new Insert(Name, new PlanPoint(along.Metres, across.Metres), wide, deep, into, stands, Rusts)
            : null;
    }

    /// <summary>Concrete behind it is no thinner, mm. Source: site practice (tune).</summary>
    internal const double LeastBehindMm = 20;

    internal static void Advise(Insert insert, ElementGate gate, Length thickness)
    {
        var behind = thickness.Millimetres - insert.Deep.Millimetres;
        if (behind is > 0.5 and < LeastBehindMm)
        {
            gate.Add(Severity.Warning, nameof(Deep), new Notice.InsertNearlyThrough(LeftMm: behind, LeastMm: LeastBehindMm));
        }

        if (insert.Rusts)
        {
            gate.Add(Severity.Note, nameof(Rusts), new Notice.InsertRusts());
        }
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
        Work = WorkKind.Ribbon,
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

/// <summary>What a counter is poured onto where it stays.</summary>
public enum CounterDeck
{
    /// <summary>Cement board, that it is bonded to.</summary>
    Stays,

    /// <summary>Ply under a slip sheet: the top comes off again.</summary>
    ComesOff,
}

/// <summary>A counter, bench or bar top: a thin field with aprons on chosen edges.</summary>
public sealed record CounterDocument : OutlinedDocument
{
    /// <summary>A thinner field cracks, mm. Source: site practice.</summary>
    internal const double ThinnestFieldMm = 32;

    /// <summary>Times its thickness that a free edge stands out before it wants brackets. Source: site practice (tune).</summary>
    private const double MostOverhang = 4;

    public required CounterCasting Casting { get; init; }

    /// <summary>A length: the field.</summary>
    public required string Thickness { get; init; }

    /// <summary>A length: how far free edges stand out over what carries it; empty for none.</summary>
    public string Overhang { get; init; } = "";

    /// <summary>It lies on supports and carries between them: a bench, a table.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Spans { get; init; }

    /// <summary>What it is poured onto, where it is poured in place.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public CounterDeck Deck { get; init; }

    internal override ElementTraits Traits => new(OnGround: false, Flat: false, JointLayout.None, Load.Foot, SteelSection.Counter, MixUse.Counter)
    {
        DeckComesOff = Casting == CounterCasting.InPlace && Deck == CounterDeck.ComesOff,
        Work = Casting == CounterCasting.FaceDown ? WorkKind.CounterFaceDown : WorkKind.CounterInPlace,
        Mould = Casting == CounterCasting.FaceDown ? MouldKind.FaceDown : MouldKind.InPlace,
        Lifted = Casting == CounterCasting.FaceDown,
        Sealed = true,
        ThicknessSaid = true,
        Spans = Spans,
        Thickens = Spans,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var thickness = gate.Length(nameof(Thickness), Thickness, Limits.ThinnestMm, 300);
        var overhang = gate.LengthOrNone(nameof(Overhang), Overhang, 1_000);
        if (gate.Outline(this, thickness) is not { } outline || gate.Drops(this, outline.Corners.Length) is not { } drops || thickness is not { } t || overhang is not { } over)
        {
            return null;
        }

        if (over.Metres > MostOverhang * t.Metres)
        {
            gate.Add(
                Severity.Warning, nameof(Overhang), new Notice.OverhangWantsBrackets(OverhangMm: over.Millimetres, MostMm: MostOverhang * t.Millimetres, ThicknessMm: t.Millimetres));
        }

        if (t.Millimetres < ThinnestFieldMm)
        {
            gate.Add(Severity.Warning, nameof(Thickness), new Notice.FieldTooThin(ThicknessMm: t.Millimetres, LeastMm: ThinnestFieldMm));
        }

        var field = new PartVolume(CastPart.Field, outline.FieldVolume(t));
        var aprons = EdgeDrops.Extra(outline, drops);
        var deepest = drops.Count == 0 ? 0 : drops.Max(d => d.Depth.Metres);
        return new CastShape(
            outline,
            SlabDocument.DropSection(CastPart.Field, CastPart.Aprons, outline, t, drops),
            aprons.CubicMetres > 0 ? [field, new(CastPart.Aprons, aprons)] : [field],
            t,
            t,
            Length.FromMetres(t.Metres + deepest))
        { Drops = [.. drops], SidesAlike = drops.Count == 0 };
    }
}
