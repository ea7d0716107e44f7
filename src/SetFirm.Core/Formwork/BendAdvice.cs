using System.Collections.Immutable;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Formwork;

/// <summary>Whether strips take the bends that they are put to, in forms and in moulds.</summary>
internal static class BendAdvice
{
    /// <summary>What an arc of a radius is bent from.</summary>
    /// <param name="plyMm">As said; null takes the stiffest that bends.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings.</param>
    public static Func<double, StripStock> Strip(double? plyMm, ElementPlaces at, Remarks remarks)
    {
        if (plyMm is not { } ply)
        {
            return BentStrip.For;
        }

        if (BentStrip.OfPly(ply, 100) is null)
        {
            remarks.Fault(at.Forms.PlyMm, new Notice.OutOfRange(ply, BentStrip.PlyThicknessesMm[0], BentStrip.PlyThicknessesMm[^1], RangeUnit.Mm));
            return BentStrip.For;
        }

        return radius => BentStrip.OfPly(ply, radius)!;
    }

    /// <summary>Tells the tightest that is too tight.</summary>
    /// <param name="bends">Each with its strip.</param>
    /// <param name="at">The element's places.</param>
    /// <param name="remarks">Takes findings.</param>
    public static void Check(ImmutableArray<BentRun> bends, ElementPlaces at, Remarks remarks)
    {
        if (bends.FirstOrDefault(b => b.Strip.LeastRadius.Metres > b.RadiusM + 1e-9) is { } stiff)
        {
            remarks.Warn(
                at.Forms.PlyMm,
                new Notice.PlyTooStiff(RadiusMm: stiff.RadiusM * 1000, LeastMm: stiff.Strip.LeastRadius.Millimetres, PlyMm: stiff.Strip.Thickness.Millimetres),
                new Remedy(new Mend.AnyPly(PlyMm: BentStrip.For(stiff.RadiusM).Thickness.Millimetres), [new Edit(at.Forms.PlyMm)]));
        }
        else if (bends.FirstOrDefault(b => b.Strip.Kind == StripKind.KerfedOrSheet) is { } tight)
        {
            remarks.Note(at.Self, new Notice.BendNeedsKerfs(RadiusMm: tight.RadiusM * 1000));
        }
    }
}
