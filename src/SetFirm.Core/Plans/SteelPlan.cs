using System.Collections.Immutable;
using System.Globalization;
using SetFirm.Core.Findings;
using SetFirm.Core.Joints;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Plans;

/// <summary>Steel of one element, by the school chosen or advised.</summary>
internal static class SteelPlan
{
    /// <summary>Micro fibre, kg in a cubic metre: the middle of 0.6-0.9. Source: site practice.</summary>
    private const double FibreKgPerM3 = 0.75;

    /// <summary>Scrim laps at its joins. Source: site practice.</summary>
    private const double ScrimOverlap = 1.1;

    public static SteelReport Of(PlannedElement element, BuildSite site, CutGroups cuts, Gate gate)
    {
        var (said, cast, traits) = (element.Said, element.Cast, element.Said.Traits);
        var bar = Bar(element, site, gate);
        var longest = Longest(element);
        var thickness = said is CurbDocument or PieceDocument ? cast.Thinnest : cast.Depth;
        var advised = Schools.Advised(traits.Section, traits.Load, thickness, longest, bar, site.Said.Plastic);
        var school = said.Steel?.School ?? advised;
        var misfit = Check(element, school, advised, thickness, longest, bar, site, gate);
        var spacing = Spacing(element, bar, gate);
        var stockM = Bars.StockM(site.Said.Sold);
        var layout = school switch
        {
            SteelSchool.Mesh => SteelLayout.Mesh(cast.Plan.Plain).Times(cast.Count),
            SteelSchool.BarGrid => SteelLayout.Grid(cast.Plan.Plain, bar, spacing, stockM).Times(cast.Count),
            SteelSchool.TwoRows => SteelLayout.Rows(Lengths(element), bar, stockM, Rows(element)),
            _ => SteelLayout.Nothing,
        };
        foreach (var piece in layout.PiecesM)
        {
            cuts.Add(bar.Id, piece, $"{element.Index + 1}");
        }

        var barred = school is SteelSchool.BarGrid or SteelSchool.TwoRows;
        var barM = layout.PiecesM.Sum();
        var fibre = school == SteelSchool.Fibre ? FibreKgPerM3 * element.OrderL / 1000 : 0;
        var scrim = school == SteelSchool.Scrim ? cast.Plan.NetArea.SquareMetres * cast.Count * ScrimOverlap : 0;
        var heights = Heights(school, cast, bar, site.Said.Plastic);
        Explain(element, school, layout, bar, spacing, barM, fibre, scrim, gate);
        return new SteelReport(
            school,
            advised,
            misfit,
            barred ? bar.Id : "",
            barred ? bar.Diameter.Millimetres : 0,
            school == SteelSchool.BarGrid ? spacing : 0,
            layout.Sheets,
            layout.Sheets.Length * cast.Count,
            layout.Bars,
            barM,
            barred ? barM * bar.KgPerM : fibre,
            layout.LapM,
            layout.Chairs,
            layout.Ties,
            layout.CrossPieces,
            heights,
            heights.Length == 0 ? 0 : Math.Max(0, cast.FormHeight.Millimetres - heights.Max() - (barred ? bar.Diameter.Millimetres / 2 : 0)),
            layout.OffcutM2,
            scrim,
            longest);
    }

    private static BarSize Bar(PlannedElement element, BuildSite site, Gate gate)
    {
        if (element.Said.Steel?.Bar is not { } id)
        {
            return Bars.Usual(site.Said.Sold);
        }

        if (Bars.Find(id) is { } found)
        {
            return found;
        }

        gate.Add(Finding.Of(FindingCode.UnknownBar, Severity.Error, $"{element.Path}/steel/bar").Naming("given", id));
        return Bars.Usual(site.Said.Sold);
    }

    private static double Spacing(PlannedElement element, BarSize bar, Gate gate) =>
        string.IsNullOrWhiteSpace(element.Said.Steel?.Spacing) ? bar.GridSpacing.Metres
        : gate.Length($"{element.Path}/steel/spacing", element.Said.Steel!.Spacing, 50, 1_000)?.Metres ?? bar.GridSpacing.Metres;

    // A panel's side, a bay of a path, or the length of a piece.
    private static double Longest(PlannedElement element)
    {
        if (element.Cast.Line is not null || element.Said.Traits.Jointed is JointLayout.Grid or JointLayout.Walk)
        {
            return element.Joints.LongestM;
        }

        var (left, right, low, high) = Extents.Of(element.Cast.Plan);
        return Math.Max(right - left, high - low);
    }

    private static IReadOnlyList<double> Lengths(PlannedElement element) => element.Cast.Line is { } line
        ? [.. Enumerable.Repeat(element.Joints.LongestM, (int)Math.Max(1, Math.Round(line.Length.Metres / element.Joints.LongestM)))]
        : [.. Enumerable.Repeat(Longest(element), element.Cast.Count)];

    // One over the other: from above both runs are one line, along the middle.
    private static ImmutableArray<PlanCut> Rows(PlannedElement element)
    {
        const double inset = Schools.CoverToWeatherMm / 1000;
        if (element.Cast.Line is not { } line)
        {
            var (left, right, low, high) = Extents.Of(element.Cast.Plan);
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

    private static SteelMisfit Check(
        PlannedElement element, SteelSchool school, SteelSchool advised, Length thickness, double longest, BarSize bar, BuildSite site, Gate gate)
    {
        var traits = element.Said.Traits;
        var misfit = Schools.Fits(school, traits.Section, traits.Load, thickness, longest, bar, site.Said.Plastic);
        if (misfit == SteelMisfit.None)
        {
            return misfit;
        }

        var wanted = traits.Load == Load.Vehicle || school == SteelSchool.BarGrid ? Schools.LeastForGrid(bar, site.Said.Plastic) : Schools.LeastForMesh;
        var better = traits.Load == Load.Vehicle ? SteelSchool.BarGrid : advised;
        var finding = Finding.Of(
                FindingCode.SteelDoesNotFit, Severity.Warning, $"{element.Path}/steel/school", ("thicknessMm", thickness.Millimetres), ("leastMm", wanted.Millimetres), ("longestM", longest))
            .Naming("school", Gate.CamelCase(school.ToString())).Naming("misfit", Gate.CamelCase(misfit.ToString())).Naming("better", Gate.CamelCase(better.ToString()));
        var remedies = new List<Remedy>();
        if (advised != school && Schools.Fits(advised, traits.Section, traits.Load, thickness, longest, bar, site.Said.Plastic) == SteelMisfit.None)
        {
            remedies.Add(new Remedy(
                RemedyCode.TakeSchool, [new Edit($"{element.Path}/steel/school", Text: Gate.CamelCase(advised.ToString()))], new Dictionary<string, double> { ["school"] = (int)advised }));
        }

        if (element.Said is SlabDocument && thickness < wanted && misfit is SteelMisfit.TooThin or SteelMisfit.TooLight)
        {
            var edits = new List<Edit> { new($"{element.Path}/thickness", Text: string.Create(CultureInfo.InvariantCulture, $"{wanted.Millimetres:0.#} mm")) };
            if (traits.Load == Load.Vehicle && school != SteelSchool.BarGrid)
            {
                edits.Add(new Edit($"{element.Path}/steel/school", Text: Gate.CamelCase(nameof(SteelSchool.BarGrid))));
            }

            remedies.Add(new Remedy(RemedyCode.ThickerSlab, edits, new Dictionary<string, double> { ["thicknessMm"] = wanted.Millimetres }));
        }

        gate.Add(finding.WithRemedies([.. remedies]));
        return misfit;
    }

    private static void Explain(
        PlannedElement element, SteelSchool school, SteelLayout layout, BarSize bar, double spacing, double barM, double fibre, double scrim, Gate gate)
    {
        var path = element.Path;
        switch (school)
        {
            case SteelSchool.Mesh:
                gate.Add(Explanation.For(
                    WhyCode.MeshSheets, path, layout.Sheets.Length * element.Cast.Count, Source.SitePractice,
                    ("sheetAlongM", SteelLayout.SheetAlongM), ("sheetAcrossM", SteelLayout.SheetAcrossM), ("lapMm", SteelLayout.MeshLapM * 1000), ("coverMm", Schools.CoverToWeatherMm)).And(Source.Aci318));
                break;
            case SteelSchool.BarGrid or SteelSchool.TwoRows:
                gate.Add(Explanation.For(
                    WhyCode.SteelBars, path, barM * bar.KgPerM, Source.SitePractice,
                    ("barM", barM), ("massPerM", bar.KgPerM), ("spacingMm", school == SteelSchool.BarGrid ? spacing * 1000 : 0), ("lapMm", Bars.LapM(bar) * 1000), ("coverMm", Schools.CoverToWeatherMm)).And(Source.Aci318));
                break;
            case SteelSchool.Fibre:
                gate.Add(Explanation.For(WhyCode.FibreDose, path, fibre, Source.SitePractice, ("orderL", element.OrderL), ("doseKg", FibreKgPerM3)));
                break;
            case SteelSchool.Scrim:
                gate.Add(Explanation.For(WhyCode.Scrim, path, scrim, Source.SitePractice, ("areaM2", element.Cast.Plan.NetArea.SquareMetres), ("overlap", ScrimOverlap)));
                break;
        }
    }
}
