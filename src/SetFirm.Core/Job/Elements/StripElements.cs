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

/// <summary>A stretch of a path.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(StraightDocument), "straight")]
[JsonDerivedType(typeof(ArcDocument), "arc")]
public abstract record StretchDocument
{
    private protected StretchDocument()
    {
    }

    internal abstract Stretch? Read(ElementGate gate);
}

public sealed record StraightDocument : StretchDocument
{
    /// <summary>A length.</summary>
    public required string Length { get; init; }

    /// <summary>Kink at its end, degrees: left positive, right negative.</summary>
    public double Turn { get; init; }

    internal override Stretch? Read(ElementGate gate)
    {
        var sound = gate.InRange(nameof(Turn), Turn, -120, 120, RangeUnit.Degrees);
        return gate.Length(nameof(Length), Length, 1, 200_000) is { } length && sound ? new Stretch.Straight(length, Turn) : null;
    }
}

/// <summary>An arc that goes on in the direction the path has.</summary>
public sealed record ArcDocument : StretchDocument
{
    /// <summary>A length: radius of the middle of the path.</summary>
    public required string Radius { get; init; }

    /// <summary>Degrees: left positive, right negative.</summary>
    public required double Sweep { get; init; }

    internal override Stretch? Read(ElementGate gate)
    {
        var sound = gate.InRange(nameof(Sweep), Sweep, -350, 350, RangeUnit.Degrees) && gate.InRange(nameof(Sweep), Math.Abs(Sweep), 1, 350, RangeUnit.Degrees);
        return gate.Length(nameof(Radius), Radius, 1, 200_000) is { } radius && sound ? new Stretch.Arc(radius, Sweep) : null;
    }
}

/// <summary>A border or mowing strip: a path of one width and depth.</summary>
public sealed record BorderDocument : ElementDocument
{
    /// <summary>Narrower than this it snaps, mm. Source: site practice.</summary>
    internal const double NarrowestMm = 100;

    public required IReadOnlyList<StretchDocument> Path { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("path", Path)];

    /// <summary>A length.</summary>
    public required string Width { get; init; }

    /// <summary>A length.</summary>
    public required string Depth { get; init; }

    internal override ElementTraits Traits => new(OnGround: true, Flat: false, JointLayout.Border, Load.Foot, SteelSection.Thin, MixUse.Border) { Work = WorkKind.Border };

    internal override CastShape? Cast(ElementGate gate)
    {
        var width = gate.Length(nameof(Width), Width, 10, 5_000);
        var depth = gate.Length(nameof(Depth), Depth, Limits.ThinnestMm, Limits.ThickestMm);
        if (gate.Path(Path, width) is not var (line, band) || width is not { } w || depth is not { } d)
        {
            return null;
        }

        if (w.Millimetres < NarrowestMm)
        {
            gate.Add(Severity.Warning, nameof(Width), new Notice.TooNarrow(WidthMm: w.Millimetres, LeastMm: NarrowestMm));
        }

        var section = new Section([CastShape.Layer(CastPart.Border, w.Metres, 0, d.Metres)], GoesOn: false);
        return new CastShape(band, section, [new(CastPart.Border, line.Length * w * d)], d, w < d ? w : d, d, Line: line);
    }
}

/// <summary>A curb: a path with a profile of which two of base, top and batter are said.</summary>
public sealed record CurbDocument : SectionedDocument
{
    public required IReadOnlyList<StretchDocument> Path { get; init; }

    internal override IEnumerable<(string Name, IEnumerable<object?> Items)> Lists => [("path", Path)];

    /// <summary>It stands on a slab that is there: nothing is dug, and its forms are nailed to it and tied.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool OnSlab { get; init; }

    internal override ElementTraits Traits => new(OnGround: !OnSlab, Flat: false, JointLayout.Curb, Load.Foot, SteelSection.Strip, MixUse.Curb)
    {
        Work = OnSlab ? WorkKind.CurbOnSlab : WorkKind.CurbOnGround,
        Tied = true,
        Stands = true,
        OnOldConcrete = OnSlab,
    };

    internal override CastShape? Cast(ElementGate gate)
    {
        var profile = Section(gate);
        Length? wide = profile is null ? null : profile.Base > profile.Top ? profile.Base : profile.Top;
        if (gate.Path(Path, wide) is not var (line, band) || profile is null)
        {
            return null;
        }

        var mean = Length.FromMetres((profile.Base.Metres + profile.Top.Metres) / 2);
        var points = profile.Points().Select(p => new PlanPoint(p.X, p.Y - profile.Height.Metres)).ToImmutableArray();
        return new CastShape(
            band,
            new Shapes.Section([new SectionPiece(CastPart.Curb, points)], GoesOn: false),
            [new(CastPart.Curb, profile.Area * line.Length)],
            mean < profile.Height ? mean : profile.Height,
            profile.Base < profile.Top ? profile.Base : profile.Top,
            profile.Height,
            Line: line)
        { Profile = profile };
    }
}
