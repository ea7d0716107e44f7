using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Planning;

/// <summary>An element worked out: what it is, and what it is built with.</summary>
public sealed record ElementPlan
{
    public required ReadElement Read { get; init; }

    /// <summary>Null where it lies level by its nature, or its fall cannot be.</summary>
    public required FallPlan? Fall { get; init; }

    public required JointPlan Joints { get; init; }

    /// <summary>Null where the ground cannot be read.</summary>
    public ElementBuild? Build { get; init; }

    public int Index => Read.Index;

    public string Name => Read.Said.Name;

    public ElementTraits Traits => Read.Traits;

    public ElementPlaces At => Read.At;

    public CastShape Cast => Read.Cast;

    public Finish Finish => Read.Said.Finish;

    /// <summary>Id of its mix.</summary>
    public required string Mix { get; init; }

    /// <summary>Of its own mix, waste included.</summary>
    public double OrderL => Read.OrderL;

    /// <summary>Every face that air reaches, m2: what is covered and coated.</summary>
    public double OpenM2 => FaceM2 + (Traits.SidesShow ? Cast.Plan.Perimeter.Metres * Cast.FormHeight.Metres * Cast.Count : 0);

    /// <summary>How the air is got out of it.</summary>
    public Consolidating Consolidating => Consolidations.For(
        Cast.FormHeight, Traits.Mould != MouldKind.None, Traits.Section == SteelSection.Counter, Traits.Narrow || Traits.Section == SteelSection.Footing);

    /// <summary>Its mix has no stone.</summary>
    public bool Mortar { get; init; }

    /// <summary>One piece, hardened.</summary>
    public Mass PieceMass => Cast.PieceMass(Mortar);

    /// <summary>Of its face, m2.</summary>
    public double FaceM2 => Cast.Plan.NetArea.SquareMetres * Cast.Count;

    /// <summary>What of it is of which mix, from the bottom up.</summary>
    internal IEnumerable<MixPart> MixParts => Cast.Courses.Length > 0
        ? Cast.Courses.Select(c => new MixPart(MixOf(c.Course), c.Depth, c.Depth, c.Volume.Litres * Read.WasteFactor))
        : [new MixPart(Mix, Cast.Thinnest, Cast.Depth, OrderL)];

    /// <summary>Id of the mix of one of its courses.</summary>
    internal string MixOf(Course course) => Read.Said.MixOf(course) ?? (course == Course.Slurry ? JobMixes.SlurryId : Mix);
}

/// <summary>What of an element is of one mix.</summary>
/// <param name="Mix">Its id.</param>
/// <param name="Thinnest">Anywhere.</param>
/// <param name="Deepest">Of it.</param>
/// <param name="Litres">Waste included.</param>
internal readonly record struct MixPart(string Mix, Length Thinnest, Length Deepest, double Litres);

/// <summary>What one element is built with.</summary>
/// <param name="Dig">Null where nothing is dug.</param>
/// <param name="CornersMm">Of each corner, below the string.</param>
/// <param name="Diagonals">That are measured.</param>
/// <param name="Forms">Null where no boards hold it.</param>
/// <param name="Mould">Null where it is cast in none.</param>
/// <param name="Steel">In it.</param>
/// <param name="IsolationM">Strip at walls, old slabs, posts and drains.</param>
/// <param name="BondBreakerM">Between it and what was poured before.</param>
/// <param name="MaskM">Along walls, and round a counter, that is covered so that it is not splashed.</param>
public sealed record ElementBuild(
    Dig? Dig, ImmutableArray<double> CornersMm, ImmutableArray<Diagonal> Diagonals, FormsPlan? Forms, MouldPlan? Mould, SteelPlan Steel, double IsolationM, double BondBreakerM, double MaskM);

/// <summary>Mould sheet of one thickness, for all moulds.</summary>
/// <param name="Mm">Thickness.</param>
/// <param name="Cuts">Parts that come out of it.</param>
public sealed record SheetGroup(double Mm, ImmutableArray<SheetCut> Cuts)
{
    public SheetsNeeded Needed { get; } = Mould.Stock.Of(Cuts);
}

/// <summary>What the whole job is built with.</summary>
/// <param name="Dig">Null where nothing is dug.</param>
/// <param name="StringMm">Over the highest finished top.</param>
/// <param name="Boards">Cut lists.</param>
/// <param name="Bars">Cut lists.</param>
/// <param name="Stakes">Of all elements.</param>
/// <param name="Sheets">For all moulds, by their thickness in mm.</param>
/// <param name="Mesh">For all elements.</param>
public sealed record BuildPlan(
    Dig? Dig, double StringMm, ImmutableArray<CutList> Boards, ImmutableArray<CutList> Bars, int Stakes, ImmutableArray<SheetGroup> Sheets, SheetsNeeded Mesh)
{
    /// <summary>Of sealant, for all moulds.</summary>
    public static int Cartridges(IEnumerable<MouldPlan> moulds) => (int)Math.Ceiling((moulds.Sum(m => m.SeamM) / Mould.SeamPerCartridgeM) - 1e-9);
}
