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
/// <param name="Plastic">Plastic lies under it.</param>
/// <param name="Thickens">Its thickness is said, and can be said anew.</param>
/// <param name="OrderL">Concrete of it, waste included.</param>
public sealed record SteelSite(CastShape Cast, JointPlan Joints, SteelSection Section, Load Load, bool Plastic, bool Thickens, double OrderL)
{
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

/// <summary>Steel as said.</summary>
/// <param name="School">Null takes the advice.</param>
/// <param name="Bar">Id; null takes the usual one.</param>
/// <param name="Spacing">Of a grid; null takes the bar's own.</param>
/// <param name="Sold">Whose bars.</param>
public sealed record SteelSaid(SteelSchool? School, string? Bar, Length? Spacing, UnitSystem Sold);

/// <summary>Steel of one element.</summary>
/// <param name="School">Chosen or advised.</param>
/// <param name="Advised">What is advised.</param>
/// <param name="Misfit">Why the chosen one does not fit.</param>
/// <param name="Bar">Which bar.</param>
/// <param name="Spacing">Of a grid.</param>
/// <param name="Layout">Laid out, for all pieces; sheets are drawn for one.</param>
/// <param name="Pieces">Like pieces.</param>
/// <param name="HeightsMm">Below the top, centre lines.</param>
/// <param name="CoverBelowMm">Under the lowest; 0 without steel.</param>
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
    /// <summary>Bars are in it.</summary>
    public bool Barred => School is SteelSchool.BarGrid or SteelSchool.TwoRows;

    /// <summary>Something is in it that chloride rusts.</summary>
    public bool Rusts => Barred || School == SteelSchool.Mesh;

    public int SheetCount => Layout.Sheets.Length * Pieces;

    public double BarM => Layout.PiecesM.Sum();

    public Mass BarMass => Mass.FromKilograms(Barred ? BarM * Bar.KgPerM : 0);
}

/// <summary>What goes in against cracks, by the school chosen or advised, and whether it fits.</summary>
public static class SteelAdvice
{
    /// <summary>Micro fibre, kg in a cubic metre: the middle of 0.6-0.9. Source: site practice.</summary>
    private const double FibreKgPerM3 = 0.75;

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
        var (thickness, longest) = (site.Thickness, site.LongestM);
        var advised = Schools.Advised(site.Section, site.Load, thickness, longest, bar, site.Plastic);
        var school = said.School ?? advised;
        var misfit = Schools.Fits(school, site.Section, site.Load, thickness, longest, bar, site.Plastic);
        if (misfit != SteelMisfit.None)
        {
            remarks.Warn(at.Steel.School, Misfits(school, advised, misfit, site, bar), [.. WaysOut(school, advised, misfit, site, bar, at)]);
        }

        var spacing = said.Spacing ?? bar.GridSpacing;
        var stockM = Bars.StockM(said.Sold);
        var layout = school switch
        {
            SteelSchool.Mesh => SteelLayout.Mesh(cast.Plan.Plain).Times(cast.Count),
            SteelSchool.BarGrid => SteelLayout.Grid(cast.Plan.Plain, bar, spacing.Metres, stockM).Times(cast.Count),
            SteelSchool.TwoRows => SteelLayout.Rows(site.LengthsM, bar, stockM, Rows(cast)),
            _ => SteelLayout.Nothing,
        };
        var heights = Heights(school, cast, bar, site.Plastic);
        var barred = school is SteelSchool.BarGrid or SteelSchool.TwoRows;
        var plan = new SteelPlan(
            school, advised, misfit, bar, spacing, layout, cast.Count, heights,
            heights.Length == 0 ? 0 : Math.Max(0, cast.FormHeight.Millimetres - heights.Max() - (barred ? bar.Diameter.Millimetres / 2 : 0)),
            Mass.FromKilograms(school == SteelSchool.Fibre ? FibreKgPerM3 * site.OrderL / 1000 : 0),
            school == SteelSchool.Scrim ? cast.Plan.NetArea.SquareMetres * cast.Count * ScrimOverlap : 0,
            longest);
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

    // One over the other: from above both runs are one line, along the middle.
    private static ImmutableArray<PlanCut> Rows(CastShape cast)
    {
        const double inset = Schools.CoverToWeatherMm / 1000;
        if (cast.Line is not { } line)
        {
            var (left, right, low, high) = Extents.Of(cast.Plan);
            var (x, y) = ((left + right) / 2, (low + high) / 2);
            return right - left >= high - low ? [new(new(left + inset, y), new(right - inset, y))] : [new(new(x, low + inset), new(x, high - inset))];
        }

        const int chords = 60;
        var steps = line.Stretches is [Stretch.Straight] ? 1 : chords;
        PlanPoint At(int i) => line.At(inset + ((line.Length.Metres - (2 * inset)) * i / steps)).At;
        return [.. Enumerable.Range(0, steps).Select(i => new PlanCut(At(i), At(i + 1)))];
    }

    // Below the top, centre lines.
    private static ImmutableArray<double> Heights(SteelSchool school, CastShape cast, BarSize bar, bool plastic)
    {
        var (t, d) = (cast.FormHeight.Millimetres, bar.Diameter.Millimetres);
        var low = t - Schools.CoverBelow(plastic).Millimetres - (d / 2);
        return school switch
        {
            SteelSchool.Mesh => [cast.Depth.Millimetres / 2],
            SteelSchool.Scrim => [cast.Depth.Millimetres / 2],
            SteelSchool.BarGrid when low - d > 0 => [low - d, low],
            SteelSchool.BarGrid => [t / 2],
            SteelSchool.TwoRows => [Schools.CoverToWeatherMm + (d / 2), t - Schools.CoverToWeatherMm - (d / 2)],
            _ => [],
        };
    }

    private static Length Wanted(SteelSchool school, SteelSite site, BarSize bar) =>
        site.Load == Load.Vehicle || school == SteelSchool.BarGrid ? Schools.LeastForGrid(bar, site.Plastic) : Schools.LeastForMesh;

    private static Notice.SteelDoesNotFit Misfits(SteelSchool school, SteelSchool advised, SteelMisfit misfit, SteelSite site, BarSize bar) => new(
        ThicknessMm: site.Thickness.Millimetres, LeastMm: Wanted(school, site, bar).Millimetres, LongestM: site.LongestM, School: school, Misfit: misfit,
        Better: site.Load == Load.Vehicle ? SteelSchool.BarGrid : advised);

    private static IEnumerable<Remedy> WaysOut(SteelSchool school, SteelSchool advised, SteelMisfit misfit, SteelSite site, BarSize bar, ElementPlaces at)
    {
        var (thickness, wanted) = (site.Thickness, Wanted(school, site, bar));
        if (advised != school && Schools.Fits(advised, site.Section, site.Load, thickness, site.LongestM, bar, site.Plastic) == SteelMisfit.None)
        {
            yield return new Remedy(new Mend.TakeSchool(School: advised), [new Edit(at.Steel.School, Text: Named(advised))]);
        }

        if (site.Thickens && thickness < wanted && misfit is SteelMisfit.TooThin or SteelMisfit.TooLight)
        {
            var thicker = new Edit(at.Thickness, Text: string.Create(CultureInfo.InvariantCulture, $"{wanted.Millimetres:0.#} mm"));
            IReadOnlyList<Edit> edits = site.Load == Load.Vehicle && school != SteelSchool.BarGrid ? [thicker, new Edit(at.Steel.School, Text: Named(SteelSchool.BarGrid))] : [thicker];
            yield return new Remedy(new Mend.ThickerSlab(ThicknessMm: wanted.Millimetres), edits);
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
                        SheetAlongM: SteelLayout.SheetAlongM, SheetAcrossM: SteelLayout.SheetAcrossM, LapMm: SteelLayout.MeshLapM * 1000, CoverMm: Schools.CoverToWeatherMm),
                    plan.SheetCount, Source.SitePractice, Source.Aci318);
                break;
            case SteelSchool.BarGrid or SteelSchool.TwoRows:
                remarks.WhyOf(
                    of,
                    new Why.SteelBars(
                        BarM: plan.BarM, MassPerM: bar.KgPerM, SpacingMm: plan.School == SteelSchool.BarGrid ? plan.Spacing.Millimetres : 0, LapMm: Bars.LapM(bar) * 1000,
                        CoverMm: Schools.CoverToWeatherMm),
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
