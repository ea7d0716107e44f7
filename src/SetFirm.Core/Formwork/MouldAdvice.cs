using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Formwork;

/// <summary>How a thing is cast in a mould.</summary>
public enum MouldKind
{
    /// <summary>It is not.</summary>
    None,

    /// <summary>In a mould with a bottom, as many times as there are pieces to a mould.</summary>
    Pieces,

    /// <summary>Onto what will carry it, which is the bottom.</summary>
    InPlace,

    /// <summary>Face down: the mould is the mirror of the piece.</summary>
    FaceDown,
}

/// <summary>How many pieces come from how many moulds, and when.</summary>
/// <param name="Pieces">Wanted.</param>
/// <param name="Moulds">To cast them in; never more than pieces.</param>
/// <param name="StripDays">In the mould.</param>
/// <param name="CleanDays">Between.</param>
public sealed record CastingRule(int Pieces, int Moulds, double StripDays, double CleanDays);

/// <summary>What is cast in the mould.</summary>
/// <param name="Kind">How.</param>
/// <param name="Cast">The element.</param>
/// <param name="Meets">What an edge meets, from 0.</param>
/// <param name="Casting">Where it is cast again and again.</param>
public sealed record MouldSite(MouldKind Kind, CastShape Cast, Func<int, Meets> Meets, CastingRule? Casting);

/// <summary>A mould as said.</summary>
/// <param name="SheetMm">Thickness of its sheet; null takes the usual.</param>
/// <param name="Sides">Where its sides stand.</param>
/// <param name="PlyMm">Sheet that its curves are bent from; null takes the stiffest that bends.</param>
/// <param name="Sold">Whose sheet.</param>
public sealed record MouldSaid(double? SheetMm, MouldSides Sides, double? PlyMm, UnitSystem Sold);

/// <summary>The mould of one element.</summary>
/// <param name="Mirrored">It is the mirror of the piece.</param>
/// <param name="Outline">As it is cut.</param>
/// <param name="Mould">One mould.</param>
/// <param name="Moulds">How many.</param>
/// <param name="SheetMm">Of the sheet.</param>
/// <param name="Sides">Where its sides stand.</param>
/// <param name="Bends">Of one mould, each with the strip that takes it.</param>
/// <param name="StripM">Bent strip of one mould.</param>
/// <param name="Castings">When each is filled and stripped, days from the first.</param>
public sealed record MouldPlan(
    bool Mirrored, Outline Outline, Mould Mould, int Moulds, double SheetMm, MouldSides Sides, ImmutableArray<BentRun> Bends, double StripM, ImmutableArray<Casting> Castings)
{
    public int Sheets => Mould.Sheets(Moulds);

    /// <summary>Bent strips stand between nails, on a board that they are drawn on.</summary>
    public bool Nailed { get; init; }

    public int Screws => Nailed ? 0 : Mould.Screws * Moulds;

    /// <summary>On both sides of each strip.</summary>
    public int Nails => Nailed ? Moulds * 2 * ((int)Math.Ceiling((StripM / Mould.NailSpacingM) - 1e-9) + 1) : 0;

    /// <summary>Between the layers of all moulds, m2; 0 where they are of one.</summary>
    public double LaminatedM2 => Mould.LaminatedM2 * Moulds;

    public double SeamM => Mould.SeamM * Moulds;

    public int Cartridges => (int)Math.Ceiling((SeamM / Mould.SeamPerCartridgeM) - 1e-9);

    /// <summary>Of all moulds, filled as often as they are, m2.</summary>
    public double OiledM2 => Math.Max(1, Castings.Length) * Mould.InnerM2 * Moulds;
}

/// <summary>Sheet parts of a mould, and when it is filled.</summary>
public static class MouldAdvice
{
    private const double UsualSheetMm = 18;
    private const double UsualSheetUsMm = 19;

    /// <summary>Bent strip is this thick at the least; it stands outside the piece, mm.</summary>
    private const double LeastSheetMm = 3;

    private const double MostSheetMm = 40;

    /// <param name="said">As said.</param>
    /// <param name="site">What is cast.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static MouldPlan Plan(MouldSaid said, MouldSite site, ElementPlaces at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(said);
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(remarks);
        var sheet = said.SheetMm ?? (said.Sold == UnitSystem.Us ? UsualSheetUsMm : UsualSheetMm);
        if (!(sheet >= LeastSheetMm && sheet <= MostSheetMm))
        {
            remarks.Fault(at.Forms.SheetMm, new Notice.OutOfRange(sheet, LeastSheetMm, MostSheetMm, RangeUnit.Mm));
            sheet = UsualSheetMm;
        }

        var (cast, casting, faceDown) = (site.Cast, site.Casting, site.Kind == MouldKind.FaceDown);
        // What is its own mirror may lie either way; a section is turned end for end.
        var mirrored = faceDown && cast.Profile is null && !(cast.SidesAlike && cast.Plan.IsItsOwnMirror);
        var outline = mirrored ? cast.Plan.Mirrored() : cast.Plan;
        bool Sided(int edge) => site.Meets(edge) != Meets.Wall || faceDown;
        var form = new MouldForm(sheet / 1000, said.Sides, Bottom: site.Kind != MouldKind.InPlace);
        var bends = FormBoards.Bent(outline, Sided, BendAdvice.Strip(said.PlyMm, at, remarks));
        BendAdvice.Check(bends, at, remarks);
        var mould = MouldOf(cast, outline, Sided, form, faceDown);
        var plan = new MouldPlan(
            mirrored, outline, mould, casting?.Moulds ?? 1, sheet, said.Sides, bends,
            cast.Line is null ? mould.Parts.Where(p => p.Part == MouldPart.BentSide).Sum(p => p.AlongM * p.Count) : cast.Plan.Perimeter.Metres,
            casting is null ? [] : MouldCalendar.Of(casting.Pieces, casting.Moulds, casting.StripDays, casting.CleanDays))
        {
            Nailed = cast.Line is not null,
        };
        Explain(plan, casting, at, remarks);
        return plan;
    }

    private static Mould MouldOf(CastShape cast, Outline outline, Func<int, bool> sided, MouldForm form, bool faceDown) => cast switch
    {
        { Profile: { } profile } => Mould.OfProfile(profile, outline.EdgeMetres(0), form, faceDown),
        { Turned: { } turned } => Mould.OfCone(turned.Foot.Metres, turned.Top.Metres, cast.FormHeight.Metres, Math.Max(1, (int)Math.Round(form.SheetM * 1000 / LayerMm))),
        _ => Mould.Of(outline, sided, cast.FormHeight.Metres, form, cast.Drops),
    };

    /// <summary>Sheet that a split mould is laminated from, mm: it bends round a pier. Source: site practice.</summary>
    private const double LayerMm = 3;

    private static void Explain(MouldPlan plan, CastingRule? casting, ElementPlaces at, Remarks remarks)
    {
        remarks.WhyOf(
            at.Self.Path,
            new Why.MouldSheets(Moulds: plan.Moulds, SheetAlongM: Mould.SheetAlongM, SheetAcrossM: Mould.SheetAcrossM, Parts: plan.Mould.Parts.Sum(p => p.Count) * plan.Moulds),
            plan.Sheets, Source.SitePractice);
        if (casting is not null)
        {
            remarks.WhyOf(
                at.Self.Path, new Why.Castings(Pieces: casting.Pieces, Moulds: casting.Moulds, StripDays: casting.StripDays, CleanDays: casting.CleanDays),
                plan.Castings.Length, Source.SitePractice);
        }
    }
}
