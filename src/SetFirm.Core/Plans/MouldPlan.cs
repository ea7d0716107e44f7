using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>The mould of one element: its sheet parts, and when it is filled.</summary>
internal static class MouldPlan
{
    private const double UsualSheetMm = 18;
    private const double UsualSheetUsMm = 19;

    /// <summary>Bent strip is this thick at the most; it stands outside the piece, mm.</summary>
    private const double LeastSheetMm = 3;

    /// <returns>Null where it is not cast in a mould.</returns>
    public static MouldReport? Of(PlannedElement element, BuildSite site, Gate gate)
    {
        var (said, cast) = (element.Said, element.Cast);
        if (said is not (PieceDocument or RibbonDocument or CounterDocument))
        {
            return null;
        }

        var sheet = said.Forms?.SheetMm ?? (site.Said.Sold == UnitSystem.Us ? UsualSheetUsMm : UsualSheetMm);
        if (!gate.InRange($"{element.Path}/forms/sheetMm", sheet, LeastSheetMm, 40, "Mm"))
        {
            sheet = UsualSheetMm;
        }

        var mirrored = said is CounterDocument { Casting: CounterCasting.FaceDown };
        var outline = mirrored ? cast.Plan.Mirrored() : cast.Plan;
        bool Sided(int edge) => said.MeetsAt(edge) != Meets.Wall || mirrored;
        var mould = Mould.Of(outline, Sided, cast.FormHeight.Metres, sheet / 1000, bottom: said is not CounterDocument { Casting: CounterCasting.InPlace }, cast.Drops);
        var casting = (said as PieceDocument)?.Casting ?? (said as RibbonDocument)?.Casting;
        var moulds = Math.Min(casting?.Moulds ?? 1, casting?.Pieces ?? 1);
        var castings = casting is null ? [] : MouldCalendar.Of(casting.Pieces, casting.Moulds, StripDays(said, casting), casting.CleanDays);
        var strip = cast.Line is null ? mould.Parts.Where(p => p.Part == MouldPart.BentSide).Sum(p => p.AlongM * p.Count) : cast.Plan.Perimeter.Metres;
        var report = new MouldReport(
            mirrored,
            outline.Flat,
            mould.Parts,
            moulds,
            sheet,
            mould.Sheets(moulds),
            mould.Screws * moulds,
            mould.SeamM * moulds,
            (int)Math.Ceiling((mould.SeamM * moulds / Mould.SeamPerCartridgeM) - 1e-9),
            strip,
            castings);
        Explain(element, report, casting, gate);
        return report;
    }

    /// <summary>Usual days in the mould. Source: site practice: stones 48 h, treads 3-7 days.</summary>
    internal static double StripDays(ElementDocument said, MouldsDocument casting) => casting.StripDays ?? (said switch
    {
        PieceDocument { Use: PieceUse.Tread or PieceUse.Block } => 3,
        _ => 2,
    });

    private static void Explain(PlannedElement element, MouldReport report, MouldsDocument? casting, Gate gate)
    {
        gate.Add(Explanation.For(
            WhyCode.MouldSheets, element.Path, report.Sheets, Source.SitePractice,
            ("moulds", report.Moulds), ("sheetAlongM", Mould.SheetAlongM), ("sheetAcrossM", Mould.SheetAcrossM), ("parts", report.Parts.Sum(p => p.Count) * report.Moulds)));
        if (casting is not null)
        {
            gate.Add(Explanation.For(
                WhyCode.Castings, element.Path, report.Castings.Count, Source.SitePractice,
                ("pieces", casting.Pieces), ("moulds", casting.Moulds), ("stripDays", StripDays(element.Said, casting)), ("cleanDays", casting.CleanDays)));
        }
    }
}
