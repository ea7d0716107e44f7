namespace SetFirm.Core.Setting;

/// <summary>What happens on the face of a zone, in hours from its water.</summary>
/// <param name="SheenGoneH">The sheen is gone; null where none shows.</param>
/// <param name="Dragged">Water still stood on it when it had to be dragged off.</param>
/// <param name="ToDragH">When that is; infinity where it does not get so far.</param>
/// <param name="BleedsLittleH">From here on it bleeds under <see cref="Bleeding.LittleKgM2H"/>.</param>
/// <param name="PeakDeficitKgM2H">The most by which drying outran bleeding before first set.</param>
/// <param name="PeakEvaporationKgM2H">The most that it could lose while it lies open.</param>
/// <param name="FrozenYoung">It froze before frost did no harm.</param>
public readonly record struct SlabMarks(
    double? SheenGoneH, bool Dragged, double ToDragH, double BleedsLittleH, double PeakDeficitKgM2H, double PeakEvaporationKgM2H, bool FrozenYoung);

/// <summary>Gathers the marks step by step.</summary>
internal struct SlabMarking(ZonePour pour, double frostSafeH)
{
    private readonly double dragAge = HeatBalanceSlab.DraggedOffAt * pour.Mix.ToInitialSet.TotalHours;
    private readonly double coverAge = pour.CoveredAt * pour.Mix.ToInitialSet.TotalHours;
    private double? sheenGoneH = null;
    private double toDragH = double.PositiveInfinity;
    private double bleedsLittleH = pour.ToPlaced.TotalHours;
    private double bledKgM2H = 0;
    private double fromMiddleH = 0;
    private double deficit = 0;
    private double evaporation = 0;
    private bool frozen = false;
    private bool dragged = false;

    public void Pass(double from, double to, in HeatBalanceSlab.SlabState before, in HeatBalanceSlab.SlabState after, SurfaceWater water)
    {
        if (before.FilmKgM2 > Bleeding.SheenKgM2)
        {
            // A film that dries up within the step shrinks as fast to its end: it does not stop at nothing.
            var shrinks = Math.Max(before.FilmKgM2 - after.FilmKgM2, (water.EvaporationKgM2H - water.BleedKgM2H) * (to - from));
            var share = after.FilmKgM2 >= Bleeding.SheenKgM2 ? 1 : (before.FilmKgM2 - Bleeding.SheenKgM2) / shrinks;
            sheenGoneH = from + (share * (to - from));
        }

        if (after.EquivalentH >= dragAge && double.IsPositiveInfinity(toDragH))
        {
            toDragH = from + ((dragAge - before.EquivalentH) / (after.EquivalentH - before.EquivalentH) * (to - from));
        }

        // Bleeding dwindles as e does: between the middles of two steps its logarithm is a line.
        if (water.BleedKgM2H > Bleeding.LittleKgM2H)
        {
            bleedsLittleH = to;
        }
        else if (bledKgM2H > Bleeding.LittleKgM2H && water.BleedKgM2H > 0)
        {
            var share = Math.Log(bledKgM2H / Bleeding.LittleKgM2H) / Math.Log(bledKgM2H / water.BleedKgM2H);
            bleedsLittleH = fromMiddleH + (share * (((from + to) / 2) - fromMiddleH));
        }

        (bledKgM2H, fromMiddleH) = (water.BleedKgM2H, (from + to) / 2);

        dragged = after.Dragged;
        deficit = Math.Max(deficit, water.DeficitKgM2H);
        evaporation = before.EquivalentH < coverAge ? Math.Max(evaporation, water.EvaporationKgM2H) : evaporation;
        frozen |= after.TemperatureC < 0 && after.EquivalentH < frostSafeH;
    }

    public readonly SlabMarks Marks() => new(sheenGoneH is { } gone ? Math.Min(gone, toDragH) : null, dragged, toDragH, bleedsLittleH, deficit, evaporation, frozen);
}
