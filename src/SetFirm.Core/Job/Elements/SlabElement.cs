using System.Collections.Immutable;
using System.Text.Json.Serialization;
using SetFirm.Core.Findings;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>What a slab carries, and how its joints run.</summary>
public enum SlabUse
{
    Patio,
    Walk,
    Drive,
}

/// <summary>A slab, patio, pad, walk or drive panel: one thickness, with thickened edges where they are wanted.</summary>
public sealed record SlabDocument : OutlinedDocument
{
    /// <summary>A length.</summary>
    public required string Thickness { get; init; }

    public SlabUse Use { get; init; }

    internal override ElementTraits Traits => new(
        OnGround: true, Flat: true, Use == SlabUse.Walk ? JointLayout.Walk : JointLayout.Grid, Use == SlabUse.Drive ? Load.Vehicle : Load.Foot, SteelSection.Slab,
        Use == SlabUse.Drive ? MixUse.Drive : MixUse.Slab)
    {
        Work = Use switch
        {
            SlabUse.Walk => WorkKind.Walk,
            SlabUse.Drive => WorkKind.Drive,
            _ => WorkKind.Slab,
        },
        ThicknessSaid = true,
        Thickens = true,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var thickness = gate.Length(nameof(Thickness), Thickness, Limits.ThinnestMm, Limits.ThickestMm);
        if (gate.Outline(this, thickness) is not { } outline || gate.Drops(this, outline.Corners.Length) is not { } drops || thickness is not { } t)
        {
            return null;
        }

        var parts = ImmutableArray.Create(new PartVolume(CastPart.Slab, outline.FieldVolume(t)));
        var extra = EdgeDrops.Extra(outline, drops);
        return new CastShape(outline, DropSection(CastPart.Slab, CastPart.ThickEdges, outline, t, drops), extra.CubicMetres > 0 ? parts.Add(new(CastPart.ThickEdges, extra)) : parts, t, t, t);
    }

    /// <summary>A field with the first drop at its left edge.</summary>
    internal static Section DropSection(CastPart field, CastPart hung, Outline outline, Length t, IReadOnlyList<EdgeDrop> drops)
    {
        var wide = CastShape.DrawnM(outline, t);
        var pieces = ImmutableArray.Create(CastShape.Layer(field, wide, 0, t.Metres));
        if (drops.Count > 0)
        {
            pieces = pieces.Add(CastShape.Layer(hung, Math.Min(wide, drops[0].Width.Metres), t.Metres, t.Metres + drops[0].Depth.Metres));
        }

        return new Section(pieces, GoesOn: true);
    }
}

/// <summary>A base lift and a topping, each a pour of its own.</summary>
public sealed record TwoCourseDocument : OutlinedDocument
{
    /// <summary>A length.</summary>
    public required string BaseThickness { get; init; }

    /// <summary>A length.</summary>
    public required string Topping { get; init; }

    /// <summary>Id of the topping's mix; null takes the element's.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? ToppingMix { get; init; }

    internal override string? MixOf(Course course) => course == Course.Topping ? ToppingMix : null;

    internal override ElementTraits Traits => new(OnGround: true, Flat: true, JointLayout.Grid, Load.Foot, SteelSection.Slab, MixUse.Slab) { Work = WorkKind.TwoCourse };

    internal override CastShape? Cast(ElementGate gate)
    {
        var lower = gate.Length(nameof(BaseThickness), BaseThickness, Limits.ThinnestMm, Limits.ThickestMm);
        var upper = gate.Length(nameof(Topping), Topping, Limits.ThinnestMm, Limits.ThickestMm);
        if (gate.Outline(this) is not { } outline || lower is not { } b || upper is not { } t)
        {
            return null;
        }

        gate.Add(Severity.Note, nameof(Topping), new Notice.TwoPours(BaseMm: b.Millimetres, ToppingMm: t.Millimetres));
        var whole = Length.FromMetres(b.Metres + t.Metres);
        var wide = CastShape.DrawnM(outline, whole);
        return new CastShape(
            outline,
            new Section([CastShape.Layer(CastPart.Topping, wide, 0, t.Metres), CastShape.Layer(CastPart.BaseCourse, wide, t.Metres, whole.Metres)], GoesOn: true),
            [new(CastPart.BaseCourse, outline.NetArea * b), new(CastPart.Topping, outline.NetArea * t)],
            whole,
            b < t ? b : t,
            whole)
        { Courses = [new(Course.Base, outline.NetArea * b, b), new(Course.Topping, outline.NetArea * t, t)] };
    }
}

/// <summary>A skim or topping over something that is there, by how deep it is at several places.</summary>
public sealed record OverlayDocument : OutlinedDocument
{
    public required IReadOnlyList<ProbeDocument> Probes { get; init; }

    /// <summary>A length: cracks in the old concrete, that are filled first; empty for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Cracks { get; init; }

    internal override Length? CracksBelow(ElementGate gate) => gate.LengthOrNone(nameof(Cracks), Cracks, Limits.MostCracksMm);

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [.. base.Lists, ("probes", Probes)];

    internal override ElementTraits Traits => new(OnGround: false, Flat: true, JointLayout.Repeated, Load.Foot, SteelSection.Thin, MixUse.Skim) { Work = WorkKind.Overlay, OnOldConcrete = true };

    internal override CastShape? Cast(ElementGate gate)
    {
        var depths = new List<(double DepthM, double Weight)>();
        for (var i = 0; i < Math.Min(Probes.Count, Limits.MostProbes); i++)
        {
            var probe = gate.In(nameof(Probes), i);
            var depth = probe.Length(nameof(ProbeDocument.Depth), Probes[i].Depth, 0, 500);
            if (probe.InRange(nameof(ProbeDocument.Share), Probes[i].Share, 0.001, 1000) && depth is { } d)
            {
                depths.Add((d.Metres, Probes[i].Share));
            }
        }

        if (Probes.Count is 0 or > Limits.MostProbes)
        {
            gate.Fault(nameof(Probes), new Notice.NoProbes(Count: Probes.Count, Most: Limits.MostProbes));
        }

        if (gate.Outline(this) is not { } outline || Probes.Count == 0 || depths.Count < Probes.Count)
        {
            return null;
        }

        // Each probe stands for its share of the area.
        var mean = depths.Sum(d => d.DepthM * d.Weight) / depths.Sum(d => d.Weight);
        if (mean * 1000 < 1)
        {
            gate.In(nameof(Probes), 0).Fault(nameof(ProbeDocument.Depth), new Notice.OutOfRange(mean * 1000, 1, 500, RangeUnit.Mm));
            return null;
        }

        var (least, most) = (depths.Min(d => d.DepthM), depths.Max(d => d.DepthM));
        var wide = Math.Min(0.6, CastShape.DrawnM(outline, Length.FromMetres(mean)));
        PlanPoint[] below = [.. depths.Select((d, i) => new PlanPoint(depths.Count == 1 ? wide : wide * i / (depths.Count - 1), -d.DepthM))];
        var section = new SectionPiece(CastPart.Skim, [.. depths.Count == 1 ? [new PlanPoint(0, -mean)] : Array.Empty<PlanPoint>(), .. below, new(wide, 0), new(0, 0)]);
        var depthMean = Length.FromMetres(mean);
        return new CastShape(
            outline, new Section([section], GoesOn: true), [new(CastPart.Skim, outline.NetArea * depthMean)], depthMean, Length.FromMetres(least), Length.FromMetres(most));
    }
}

/// <summary>How deep an overlay is at one place.</summary>
public sealed record ProbeDocument
{
    /// <summary>A length.</summary>
    public required string Depth { get; init; }

    /// <summary>How much of the area it stands for, against the others.</summary>
    public double Share { get; init; } = 1;
}

/// <summary>Pebbles set in a bed, the gaps between them filled with slurry.</summary>
public sealed record PebbleBedDocument : OutlinedDocument
{
    /// <summary>A length: bed and pebbles together.</summary>
    public required string Depth { get; init; }

    /// <summary>A length: the layer that the pebbles take of it.</summary>
    public required string Pebbles { get; init; }

    /// <summary>Gaps between the pebbles, per cent of their layer; null takes 40.</summary>
    public double? VoidsPercent { get; init; }

    /// <summary>Id of the slurry's mix; null takes cement and water.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? SlurryMix { get; init; }

    /// <summary>Source: site practice.</summary>
    internal const double UsualVoidsPercent = 40;

    internal override string? MixOf(Course course) => course == Course.Slurry ? SlurryMix : null;

    internal override ElementTraits Traits => new(OnGround: true, Flat: true, JointLayout.None, Load.Foot, SteelSection.Thin, MixUse.PebbleBed) { Work = WorkKind.PebbleBed };

    internal override CastShape? Cast(ElementGate gate)
    {
        var depth = gate.Length(nameof(Depth), Depth, 20, 300);
        var pebbles = gate.Length(nameof(Pebbles), Pebbles, 1, 300);
        var voids = VoidsPercent ?? UsualVoidsPercent;
        var sound = gate.InRange(nameof(VoidsPercent), voids, 5, 80, RangeUnit.Pct);
        if (gate.Outline(this) is not { } outline || depth is not { } d || pebbles is not { } p || !sound)
        {
            return null;
        }

        if (p >= d)
        {
            gate.Fault(nameof(Pebbles), new Notice.OutOfRange(p.Millimetres, 1, d.Millimetres, RangeUnit.Mm));
            return null;
        }

        var bed = Length.FromMetres(d.Metres - p.Metres);
        var wide = CastShape.DrawnM(outline, d);
        return new CastShape(
            outline,
            new Section([CastShape.Layer(CastPart.Slurry, wide, 0, p.Metres), CastShape.Layer(CastPart.PebbleBed, wide, p.Metres, d.Metres)], GoesOn: true),
            [new(CastPart.PebbleBed, outline.NetArea * bed), new(CastPart.Slurry, outline.NetArea * p * (voids / 100), InMix: false)],
            bed,
            bed,
            d)
        {
            Courses = [new(Course.Bed, outline.NetArea * bed, bed), new(Course.Slurry, outline.NetArea * p * (voids / 100), p)],
            Pebbles = outline.NetArea * p * (1 - (voids / 100)),
        };
    }
}
