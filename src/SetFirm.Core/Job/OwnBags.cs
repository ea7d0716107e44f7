using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Job;

/// <summary>The bags there are to choose from: the catalogue's, and the user's own as their labels have them.</summary>
internal static class OwnBags
{
    public const string Prefix = "own-";

    /// <summary>Own bags that pass; the others leave a finding at their field.</summary>
    public static ImmutableArray<BagMix> Of(BuyDocument buy, Gate gate)
    {
        if (buy.Bags.Count > Limits.MostBags)
        {
            gate.Fault(Places.Buy.Bags, new Notice.TooMany(Count: buy.Bags.Count, Most: Limits.MostBags));
            return [];
        }

        return [.. buy.Bags.Select((b, i) => Of(b, Places.Buy.Bags[i], gate)).OfType<BagMix>()];
    }

    public static BagMix? Find(string id, ImmutableArray<BagMix> own) => BagCatalogue.Find(id) ?? own.FirstOrDefault(b => b.Id == id);

    private static BagMix? Of(OwnBagDocument said, Place at, Gate gate)
    {
        if (!said.Id.StartsWith(Prefix, StringComparison.Ordinal))
        {
            gate.Fault(at.At(nameof(said.Id)), new Notice.UnknownBag(Given: said.Id));
            return null;
        }

        var mass = gate.Mass(at.At(nameof(said.Mass)), said.Mass, 0.5, 100);
        var yield = gate.Volume(at.At(nameof(said.Yield)), said.Yield, 0.2, 100);
        var least = gate.Volume(at.At(nameof(said.LeastWater)), said.LeastWater, 0.05, 20);
        var most = gate.Volume(at.At(nameof(said.MostWater)), said.MostWater, 0.05, 20);
        var sound = gate.InRange(at.At(nameof(said.F28Mpa)), said.F28Mpa, 1, 120, RangeUnit.Mpa) & gate.InRange(at.At(nameof(said.InitialSetH)), said.InitialSetH, 0.05, 48, RangeUnit.H)
            & gate.InRange(at.At(nameof(said.FinalSetH)), said.FinalSetH, said.InitialSetH, 96, RangeUnit.H) & gate.InRange(at.At(nameof(said.LeastThicknessMm)), said.LeastThicknessMm, 0, 1000, RangeUnit.Mm)
            & gate.InRange(at.At(nameof(said.StoneMm)), said.StoneMm, 0, 40, RangeUnit.Mm)
            & (said.AirPct is not { } air || gate.InRange(at.At(nameof(said.AirPct)), air, 0, 15, RangeUnit.Pct)) & (said.CementPct is not { } cement || gate.InRange(at.At(nameof(said.CementPct)), cement, 5, 60, RangeUnit.Pct))
            & (said.MostThicknessMm is not { } thick || gate.InRange(at.At(nameof(said.MostThicknessMm)), thick, Math.Max(1, said.LeastThicknessMm), 5000, RangeUnit.Mm));
        if (!sound || mass is not { } m || yield is not { } y || least is not { } from || most is not { } to)
        {
            return null;
        }

        if (to < from)
        {
            gate.InRange(at.At(nameof(said.MostWater)), to.Litres, from.Litres, 20, RangeUnit.L);
            return null;
        }

        return new BagMix(
            said.Id, BagKind.Own, m, y, from, to, Strength.FromMegapascals(said.F28Mpa), Duration.FromHours(said.InitialSetH), Duration.FromHours(said.FinalSetH),
            Length.FromMillimetres(said.LeastThicknessMm), said.MostThicknessMm is { } t ? Length.FromMillimetres(t) : null, said.Family, said.StoneMm, said.CementPct / 100)
        { AirShare = said.AirPct / 100 ?? BagMix.EntrappedAir };
    }
}
