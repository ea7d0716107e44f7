using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans;

/// <summary>The bags there are to choose from: the catalogue's, and the user's own as their labels have them.</summary>
internal static class OwnBags
{
    public const string Prefix = "own-";
    private const int Most = 100;

    /// <summary>Own bags that pass; the others leave a finding at their field.</summary>
    public static ImmutableArray<BagMix> Of(BuyDocument buy, Gate gate)
    {
        if (buy.Bags.Count > Most)
        {
            gate.Fault(FindingCode.TooMany, "/buy/bags", ("count", buy.Bags.Count), ("most", Most));
            return [];
        }

        return [.. buy.Bags.Select((b, i) => Of(b, $"/buy/bags/{i}", gate)).OfType<BagMix>()];
    }

    public static BagMix? Find(string id, ImmutableArray<BagMix> own) => BagCatalogue.Find(id) ?? own.FirstOrDefault(b => b.Id == id);

    private static BagMix? Of(OwnBagDocument said, string path, Gate gate)
    {
        if (!said.Id.StartsWith(Prefix, StringComparison.Ordinal))
        {
            gate.Add(Finding.Of(FindingCode.UnknownBag, Severity.Error, $"{path}/id").Naming("given", said.Id));
            return null;
        }

        var mass = gate.Mass($"{path}/mass", said.Mass, 0.5, 100);
        var yield = gate.Volume($"{path}/yield", said.Yield, 0.2, 100);
        var least = gate.Volume($"{path}/leastWater", said.LeastWater, 0.05, 20);
        var most = gate.Volume($"{path}/mostWater", said.MostWater, 0.05, 20);
        var sound = gate.InRange($"{path}/f28Mpa", said.F28Mpa, 1, 120, "Mpa") & gate.InRange($"{path}/initialSetH", said.InitialSetH, 0.05, 48, "H")
            & gate.InRange($"{path}/finalSetH", said.FinalSetH, said.InitialSetH, 96, "H") & gate.InRange($"{path}/leastThicknessMm", said.LeastThicknessMm, 0, 1000, "Mm")
            & gate.InRange($"{path}/stoneMm", said.StoneMm, 0, 40, "Mm")
            & (said.MostThicknessMm is not { } thick || gate.InRange($"{path}/mostThicknessMm", thick, Math.Max(1, said.LeastThicknessMm), 5000, "Mm"));
        if (!sound || mass is not { } m || yield is not { } y || least is not { } from || most is not { } to)
        {
            return null;
        }

        if (to < from)
        {
            gate.InRange($"{path}/mostWater", to.Litres, from.Litres, 20, "L");
            return null;
        }

        return new BagMix(
            said.Id, BagKind.Own, m, y, from, to, Strength.FromMegapascals(said.F28Mpa), Duration.FromHours(said.InitialSetH), Duration.FromHours(said.FinalSetH),
            Length.FromMillimetres(said.LeastThicknessMm), said.MostThicknessMm is { } t ? Length.FromMillimetres(t) : null, said.Family, said.StoneMm, Cement: null);
    }
}
