using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using SetFirm.Core.Findings;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Steel;

/// <summary>What steel goes into.</summary>
/// <param name="Cast">The element.</param>
/// <param name="Joints">Its joints.</param>
/// <param name="Section">What its section is like.</param>
/// <param name="Load">What it carries.</param>
/// <param name="BareEarth">It lies on soil, with neither stone nor plastic between.</param>
/// <param name="InMould">It is cast apart.</param>
/// <param name="FaceDown">What will be its top lies on the bottom of the mould.</param>
/// <param name="Spans">It lies on supports and carries between them.</param>
/// <param name="Thickens">Its thickness is said, and can be said anew.</param>
/// <param name="OrderL">Concrete of it, waste included.</param>
public sealed record SteelSite(
    CastShape Cast, JointPlan Joints, SteelSection Section, Load Load, bool BareEarth, bool InMould, bool FaceDown, bool Spans, bool Thickens, double OrderL)
{
    /// <summary>As its steel sees it.</summary>
    public SteelPiece Piece
    {
        get
        {
            var (left, right, low, high) = Extents.Of(Cast.Plan);
            var across = Cast.Line is null ? Length.FromMetres(Math.Min(right - left, high - low)) : Cast.Thinnest;
            return new SteelPiece(Section, Load, Thickness, across, LongestM, BareEarth, InMould, Spans);
        }
    }

    /// <summary>What bars and their cover have to fit.</summary>
    public Length Thickness => Section == SteelSection.Strip ? Cast.Thinnest : Cast.Depth;

    /// <summary>A panel's side, a bay of a path, or the length of a piece, metres.</summary>
    public double LongestM
    {
        get
        {
            if (Cast.Line is not null || Joints.Layout is JointLayout.Grid or JointLayout.Walk)
            {
                return Joints.LongestM;
            }

            var (left, right, low, high) = Extents.Of(Cast.Plan);
            return Math.Max(right - left, high - low);
        }
    }

    /// <summary>Of the pieces that get bars of their own.</summary>
    public IReadOnlyList<double> LengthsM => Cast.Line is { } line
        ? [.. Enumerable.Repeat(Joints.LongestM, (int)Math.Max(1, Math.Round(line.Length.Metres / Joints.LongestM)))]
        : [.. Enumerable.Repeat(LongestM, Cast.Count)];
}

/// <summary>How a mesh comes to lie at its height.</summary>
public enum MeshHeld
{
    OnChairs,

    /// <summary>Pulled up with a hook while the concrete is placed over it.</summary>
    HookedUp,
}

/// <summary>Steel as said.</summary>
/// <param name="School">Null takes the advice.</param>
/// <param name="Bar">Id; null takes the usual one.</param>
/// <param name="Spacing">Of a grid; null takes the bar's own.</param>
/// <param name="Sold">Whose bars.</param>
public sealed record SteelSaid(SteelSchool? School, string? Bar, Length? Spacing, UnitSystem Sold)
{
    public MeshHeld Mesh { get; init; }
}

/// <summary>Steel of one element.</summary>
/// <param name="School">Chosen or advised.</param>
/// <param name="Advised">What is advised.</param>
/// <param name="Misfit">Why the chosen one does not fit.</param>
/// <param name="Bar">Which bar.</param>
/// <param name="Spacing">Of a grid.</param>
/// <param name="Layout">Laid out, for all pieces; sheets are drawn for one.</param>
/// <param name="Pieces">Like pieces.</param>
/// <param name="HeightsMm">Below the top, centre lines.</param>
/// <param name="CoverBelowMm">Under the lowest as it is cast; 0 without steel.</param>
/// <param name="Fibre">Stirred in.</param>
/// <param name="ScrimM2">Laid in.</param>
/// <param name="LongestM">The longest side of a panel or piece.</param>
public sealed record SteelPlan(
    SteelSchool School,
    SteelSchool Advised,
    SteelMisfit Misfit,
    BarSize Bar,
    Length Spacing,
    SteelLayout Layout,
    int Pieces,
    ImmutableArray<double> HeightsMm,
    double CoverBelowMm,
    Mass Fibre,
    double ScrimM2,
    double LongestM)
{
    /// <summary>It lies on the ground until it is pulled up while the concrete is placed.</summary>
    public bool HookedUp { get; init; }

    /// <summary>Bars are in it.</summary>
    public bool Barred => School is SteelSchool.BarGrid or SteelSchool.TwoRows;

    /// <summary>Something is in it that chloride rusts.</summary>
    public bool Rusts => Barred || School == SteelSchool.Mesh;

    public int SheetCount => Layout.Sheets.Length * Pieces;

    /// <summary>Its mesh as it is cut: small pieces come several out of one sheet.</summary>
    internal IEnumerable<SheetCut> MeshCuts(int element) => Layout.Sheets.SelectMany(s => Enumerable.Repeat(Cut(s, element), Pieces));

    private static SheetCut Cut(MeshSheet sheet, int element)
    {
        var (x, y) = (sheet.Right - sheet.Left, sheet.High - sheet.Low);
        return new SheetCut(Math.Max(x, y), Math.Min(x, y), element);
    }

    public double BarM => Layout.PiecesM.Sum();

    public Mass BarMass => Mass.FromKilograms(Barred ? BarM * Bar.KgPerM : 0);
}

/// <summary>What goes in against cracks, by the school chosen or advised, and whether it fits.</summary>
public static class SteelAdvice
{
    /// <summary>Micro fibre, kg in a cubic metre: the middle of 0.6-0.9. Source: site practice.</summary>
    private const double FibreKgPerM3 = 0.75;

    /// <summary>Stone that keeps steel off bare earth, mm.</summary>
    private const double StoneMm = 50;

    /// <summary>Scrim laps at its joins. Source: site practice.</summary>
    private const double ScrimOverlap = 1.1;

    /// <param name="said">As said.</param>
    /// <param name="site">What it goes into.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static SteelPlan Plan(SteelSaid said, SteelSite site, ElementPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(remarks);
        var (cast, bar) = (site.Cast, Bar(said, at, remarks));
        var (piece, longest) = (site.Piece, site.LongestM);
        var advised = Schools.Advised(piece, bar);
        var school = said.School ?? advised;
        var misfit = Schools.Fits(school, piece, bar);
        if (misfit != SteelMisfit.None)
        {
            remarks.Warn(at.Steel.School, Misfits(school, advised, misfit, piece, bar), [.. WaysOut(school, advised, misfit, piece, site.Thickens, bar, at)]);
        }
        else if (site.Spans)
        {
            remarks.Note(at.Steel.School, new Notice.SpansBetweenSupports());
        }

        var spacing = said.Spacing ?? bar.GridSpacing;
        var stockM = Bars.StockM(said.Sold);
        var layout = school switch
        {
            SteelSchool.Mesh => SteelLayout.Mesh(cast.Plan.Plain).Times(cast.Count) is var mesh && said.Mesh == MeshHeld.HookedUp ? mesh with { Chairs = 0 } : mesh,
            SteelSchool.BarGrid => SteelLayout.Grid(cast.Plan.Plain, bar, spacing.Metres, stockM).Times(cast.Count),
            SteelSchool.TwoRows => SteelLayout.Rows(site.LengthsM, bar, stockM, Rows(cast, piece.CoverMm, Schools.Stacked(piece, bar)), piece.CoverMm),
            _ => SteelLayout.Nothing,
        };
        var heights = Heights(school, cast, bar, piece);
        var barred = school is SteelSchool.BarGrid or SteelSchool.TwoRows;
        var plan = new SteelPlan(
            school, advised, misfit, bar, spacing, layout, cast.Count, heights,
            heights.Length == 0 ? 0 : Math.Max(0, (site.FaceDown ? heights.Min() : cast.FormHeight.Millimetres - heights.Max()) - (barred ? bar.Diameter.Millimetres / 2 : 0)),
            Mass.FromKilograms(school == SteelSchool.Fibre ? FibreKgPerM3 * site.OrderL / 1000 : 0),
            school == SteelSchool.Scrim ? cast.Plan.NetArea.SquareMetres * cast.Count * ScrimOverlap : 0,
            longest)
        {
            HookedUp = school == SteelSchool.Mesh && said.Mesh == MeshHeld.HookedUp && layout.Sheets.Length > 0,
        };
        Explain(plan, site, at, remarks);
        return plan;
    }

    /// <summary>Chloride in what steel lies in.</summary>
    public static void CheckChloride(bool steel, IReadOnlyList<Dose> doses, MixPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (steel && doses.Any(d => d.Kind == Additive.ChlorideAccelerator))
        {
            var chloride = at.Additive(Additive.ChlorideAccelerator);
            remarks.Warn(
                chloride, new Notice.ChlorideRustsSteel(),
                new Remedy(new Mend.WithoutChloride(), [new Edit(chloride, Number: 0), new Edit(at.Additive(Additive.Accelerator), Number: 1)]));
        }
    }

    private static BarSize Bar(SteelSaid said, ElementPlaces at, Remarks remarks)
    {
        if (said.Bar is not { } id)
        {
            return Bars.Usual(said.Sold);
        }

        if (Bars.Find(id) is { } found)
        {
            return found;
        }

        remarks.Fault(at.Steel.Bar, new Notice.UnknownBar(Given: id));
        return Bars.Usual(said.Sold);
    }

    // One over the other: from above both runs are one line, along the middle. Side by side each lies inside its edge.
    private static ImmutableArray<PlanCut> Rows(CastShape cast, double coverMm, bool stacked)
    {
        var inset = coverMm / 1000;
        if (cast.Line is not { } line)
        {
            var (left, right, low, high) = Extents.Of(cast.Plan);
            var (x, y) = ((left + right) / 2, (low + high) / 2);
            var along = right - left >= high - low;
            double[] at = stacked ? [along ? y : x] : along ? [low + inset, high - inset] : [left + inset, right - inset];
            return [.. at.Select(a => along ? new PlanCut(new(left + inset, a), new(right - inset, a)) : new PlanCut(new(a, low + inset), new(a, high - inset)))];
        }

        const int chords = 60;
        var steps = line.Stretches is [Stretch.Straight] ? 1 : chords;
        PlanPoint At(int i) => line.At(inset + ((line.Length.Metres - (2 * inset)) * i / steps)).At;
        return [.. Enumerable.Range(0, steps).Select(i => new PlanCut(At(i), At(i + 1)))];
    }

    // Below the top as it will lie, centre lines.
    private static ImmutableArray<double> Heights(SteelSchool school, CastShape cast, BarSize bar, SteelPiece piece)
    {
        var (t, d, middle) = (cast.FormHeight.Millimetres, bar.Diameter.Millimetres, cast.Depth.Millimetres / 2);
        return school switch
        {
            SteelSchool.Mesh or SteelSchool.Scrim => [middle],
            // Two layers that touch, at half depth.
            SteelSchool.BarGrid => [middle - (d / 2), middle + (d / 2)],
            SteelSchool.TwoRows when Schools.Stacked(piece, bar) => [piece.CoverMm + (d / 2), t - piece.CoverMm - (d / 2)],
            // Side by side: low as it will lie, which where its face lies down in the mould is near the open side; else at half depth.
            SteelSchool.TwoRows when piece.Spans => [t - piece.CoverMm - (d / 2)],
            SteelSchool.TwoRows => [middle],
            _ => [],
        };
    }

    private static Notice.SteelDoesNotFit Misfits(SteelSchool school, SteelSchool advised, SteelMisfit misfit, SteelPiece piece, BarSize bar) => new(
        ThicknessMm: piece.Thickness.Millimetres, LeastMm: Wanted(school, misfit, piece, bar).Millimetres, LongestM: piece.LongestM, School: school, Misfit: misfit, Better: advised);

    // The thickness at which it would do.
    private static Length Wanted(SteelSchool school, SteelMisfit misfit, SteelPiece piece, BarSize bar) => (school, misfit) switch
    {
        (SteelSchool.Mesh, SteelMisfit.TooThin) => Schools.LeastForMesh,
        (_, SteelMisfit.TooLight) => Schools.LeastForGrid(bar),
        (SteelSchool.BarGrid, _) => Schools.LeastForGrid(bar),
        (SteelSchool.TwoRows, _) or (_, SteelMisfit.Spans) => Schools.LeastForRows(piece, bar),
        _ => piece.Thickness,
    };

    private static IEnumerable<Remedy> WaysOut(SteelSchool school, SteelSchool advised, SteelMisfit misfit, SteelPiece piece, bool thickens, BarSize bar, ElementPlaces at)
    {
        if (misfit == SteelMisfit.BareEarth)
        {
            yield return new Remedy(new Mend.PlasticUnder(), [new Edit(Places.Build.Plastic, Yes: true)]);
            yield return new Remedy(new Mend.StoneUnder(BaseMm: StoneMm), [new Edit(Places.Build.Base, Text: $"{StoneMm:0} mm")]);
            yield break;
        }

        // What holds it together is never taken out of what needs it.
        var leaves = Schools.Holds(school) && !Schools.Holds(advised) && (piece.Spans || piece.LongestM > Schools.SmallPanelM || piece.Load == Load.Vehicle);
        if (advised != school && !leaves && Schools.Fits(advised, piece, bar) is SteelMisfit.None or SteelMisfit.BareEarth)
        {
            yield return new Remedy(new Mend.TakeSchool(School: advised), [new Edit(at.Steel.School, Text: Named(advised))]);
        }

        var wanted = Wanted(school, misfit, piece, bar);
        if (thickens && piece.Thickness < wanted && misfit is SteelMisfit.TooThin or SteelMisfit.TooLight or SteelMisfit.Spans)
        {
            var thicker = new Edit(at.Thickness, Text: string.Create(CultureInfo.InvariantCulture, $"{Math.Ceiling(wanted.Millimetres):0} mm"));
            SteelSchool? also = misfit switch
            {
                SteelMisfit.TooLight when school != SteelSchool.BarGrid => SteelSchool.BarGrid,
                SteelMisfit.Spans => SteelSchool.TwoRows,
                _ => null,
            };
            IReadOnlyList<Edit> edits = also is { } other ? [thicker, new Edit(at.Steel.School, Text: Named(other))] : [thicker];
            yield return new Remedy(new Mend.ThickerSlab(ThicknessMm: Math.Ceiling(wanted.Millimetres)), edits);
        }
    }

    private static string Named(SteelSchool school) => JsonNamingPolicy.CamelCase.ConvertName(school.ToString());

    private static void Explain(SteelPlan plan, SteelSite site, ElementPlaces at, Remarks remarks)
    {
        var (of, bar) = (at.Self.Path, plan.Bar);
        switch (plan.School)
        {
            case SteelSchool.Mesh:
                remarks.WhyOf(
                    of,
                    new Why.MeshSheets(
                        SheetAlongM: SteelLayout.SheetAlongM, SheetAcrossM: SteelLayout.SheetAcrossM, LapMm: SteelLayout.MeshLapM * 1000, CoverMm: SteelLayout.EdgeCoverM * 1000),
                    plan.SheetCount, Source.SitePractice, Source.Aci318);
                break;
            case SteelSchool.BarGrid or SteelSchool.TwoRows:
                remarks.WhyOf(
                    of,
                    new Why.SteelBars(
                        BarM: plan.BarM, MassPerM: bar.KgPerM, SpacingMm: plan.School == SteelSchool.BarGrid ? plan.Spacing.Millimetres : 0, LapMm: Bars.LapM(bar) * 1000,
                        CoverMm: site.Piece.CoverMm),
                    plan.BarMass.Kilograms, Source.SitePractice, Source.Aci318);
                break;
            case SteelSchool.Fibre:
                remarks.WhyOf(of, new Why.FibreDose(OrderL: site.OrderL, DoseKg: FibreKgPerM3), plan.Fibre.Kilograms, Source.SitePractice);
                break;
            case SteelSchool.Scrim:
                remarks.WhyOf(of, new Why.Scrim(AreaM2: site.Cast.Plan.NetArea.SquareMetres, Overlap: ScrimOverlap), plan.ScrimM2, Source.SitePractice);
                break;
        }
    }
}
