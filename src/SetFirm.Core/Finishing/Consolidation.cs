using SetFirm.Core.Quantities;

namespace SetFirm.Core.Finishing;

/// <summary>How the air is got out of what is placed.</summary>
public enum Consolidation
{
    /// <summary>Spread, tamped and struck off: thin layers need no more.</summary>
    StrikeOff,

    /// <summary>A spade or a flat bar up and down along the forms; the field is tamped by striking off.</summary>
    SpadeEdges,

    /// <summary>A rod up and down, lift by lift, and the boards tapped.</summary>
    RodAndTap,

    /// <summary>The mould is tapped all round as it fills, until hardly a bubble comes up.</summary>
    TapMould,

    /// <summary>A palm sander without paper run along the sides and under the mould, or its bench shaken.</summary>
    Sander,
}

/// <param name="How">By what.</param>
/// <param name="Lifts">Layers it is filled in, each of them worked before the next.</param>
/// <param name="LiftMm">Of each.</param>
public readonly record struct Consolidating(Consolidation How, int Lifts, double LiftMm);

/// <summary>Where air hides, by what is filled. Source: site practice.</summary>
public static class Consolidations
{
    /// <summary>No layer that is rodded by hand is higher, mm. Source: site practice (tune).</summary>
    public const double MostLiftMm = 150;

    /// <summary>Thinner than this a layer is struck off and that is all, mm.</summary>
    private const double ThinMm = 50;

    /// <param name="height">That is filled.</param>
    /// <param name="inMould">It is turned out of a mould: its faces show every hole.</param>
    /// <param name="fineFace">They are seen close by and rubbed.</param>
    /// <param name="narrow">Between boards close together, or in the ground.</param>
    public static Consolidating For(Length height, bool inMould, bool fineFace, bool narrow)
    {
        var deep = height.Millimetres;
        var lifts = (int)Math.Max(1, Math.Ceiling((deep / MostLiftMm) - 1e-9));
        var how = inMould ? (fineFace ? Consolidation.Sander : Consolidation.TapMould)
            : narrow ? Consolidation.RodAndTap
            : deep < ThinMm ? Consolidation.StrikeOff
            : Consolidation.SpadeEdges;
        return how is Consolidation.RodAndTap or Consolidation.TapMould or Consolidation.Sander ? new Consolidating(how, lifts, deep / lifts) : new Consolidating(how, 1, deep);
    }
}
