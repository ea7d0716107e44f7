using System.Collections.Immutable;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Plans;

/// <summary>Prices, shed and car, checked.</summary>
internal sealed record BuyTerms(PriceBook Prices, IReadOnlyDictionary<string, double> Shed, double PayloadKg, double HourWorth);

/// <summary>From everything the plan uses to what is bought, and for how much.</summary>
internal static class BuyStep
{
    public const string TripId = "trip";
    public const string DeliveryId = "delivery";

    private const double TripPrice = 6;
    private const double DeliveryPrice = 55;
    private const int MostRows = 300;
    private const double MostPrice = 1e6;
    private const double MostCount = 1e5;

    /// <summary>Plastic laps and hangs over; tape goes along its joins, sheets being 4 m wide. Source: site practice.</summary>
    private const double PlasticLap = 1.15;

    private const double PlasticWideM = 4;

    /// <summary>Screws to a stake, and to the end of a board. Source: site practice.</summary>
    private const int ScrewsEach = 2;

    /// <summary>Two coats on a counter. Source: common labels.</summary>
    private const int SealerCoats = 2;

    public static BuyTerms? Terms(BuyDocument buy, Gate gate)
    {
        if (buy.Prices.Count > MostRows || buy.Shed.Count > MostRows || buy.Extras.Count > MostRows)
        {
            gate.Fault(FindingCode.TooMany, "/buy", ("count", Math.Max(buy.Prices.Count, Math.Max(buy.Shed.Count, buy.Extras.Count))), ("most", MostRows));
            return null;
        }

        var sound = gate.InRange("/buy/hourWorth", buy.HourWorth, 0, 1_000);
        var prices = new Dictionary<string, (double, string)>();
        for (var i = 0; i < buy.Prices.Count; i++)
        {
            var (price, path) = (buy.Prices[i], $"/buy/prices/{i}");
            sound &= gate.InRange($"{path}/price", price.Price, 0, MostPrice) & (price.Date.Length == 0 || gate.Date($"{path}/date", price.Date) is not null);
            prices[price.Good] = (price.Price, price.Date);
        }

        var shed = new Dictionary<string, double>();
        for (var i = 0; i < buy.Shed.Count; i++)
        {
            sound &= gate.InRange($"/buy/shed/{i}/amount", buy.Shed[i].Amount, 0, Buying.Most);
            shed[buy.Shed[i].Good] = buy.Shed[i].Amount;
        }

        for (var i = 0; i < buy.Extras.Count; i++)
        {
            sound &= gate.InRange($"/buy/extras/{i}/count", buy.Extras[i].Count, 0, MostCount) & gate.InRange($"/buy/extras/{i}/price", buy.Extras[i].Price, 0, MostPrice);
        }

        return gate.Mass("/buy/payload", buy.Payload, 20, 50_000) is { } payload && sound ? new BuyTerms(new PriceBook(prices), shed, payload.Kilograms, buy.HourWorth) : null;
    }

    public static BuyReport Plan(JobDocument job, PlannedShape shape, BuildReport? build, Recipe recipe, LoadReport? load, int units, BuyTerms terms, WaysContext ways, Gate gate)
    {
        var needs = Concrete(recipe, load, units, job.Build.Sold).Concat(build is null ? [] : Built(shape, build, job)).Concat(Besides(shape, job));
        var lines = Buying.Lines(needs, terms.Shed, terms.Prices);
        var extras = job.Buy.Extras.Sum(e => e.Count * e.Price);
        var carry = Carry(lines, terms);
        var goods = lines.Sum(l => l.Cost);
        var cost = goods + extras + Math.Min(carry.TripsCost, carry.DeliveryCost);
        var concrete = lines.Where(l => l.Good.Group == GoodGroup.Concrete).Sum(l => l.Cost);
        CheckShed(job.Buy, lines, terms, gate);
        CheckCar(lines, terms, gate);
        var supply = Supply(recipe, shape, ways, terms);
        Explain(goods, extras, concrete, shape, carry, lines, ways, gate);
        return new BuyReport(
            [.. lines.Select(l => Line(l, terms.Prices))],
            extras,
            cost,
            [.. lines.GroupBy(l => l.Good.Group).Select(g => new GroupCost(g.Key, g.Sum(l => l.Cost)))],
            PerElement(lines, shape, cost - goods),
            shape.Report.OrderL > 0 ? concrete / shape.Report.OrderL : 0,
            lines.Sum(l => l.Kg),
            carry,
            supply,
            [.. Standing(terms.Prices, job.Buy)]);
    }

    private static IEnumerable<Need> Concrete(Recipe recipe, LoadReport? load, int units, UnitSystem sold)
    {
        // Cast over several days, every day is measured like the first.
        var batched = load?.Recipes.Sum(r => r.Units * r.Batches) ?? 0;
        double? Measured(MeasuredThing what) => batched > 0 && load!.MeasureOut.FirstOrDefault(m => m.What == what) is { } measured ? measured.Kg * units / batched : null;
        return recipe.Needs(units, sold, Measured);
    }

    private static IEnumerable<Need> Built(PlannedShape shape, BuildReport build, JobDocument job)
    {
        foreach (var list in build.Boards)
        {
            foreach (var board in list.Boards)
            {
                yield return new Need(Goods.Board(Lumber.Find(list.Stock)!, board.LengthM), 1);
            }
        }

        foreach (var list in build.Bars.Where(l => Bars.Find(l.Stock) is not null))
        {
            foreach (var bar in list.Boards)
            {
                yield return new Need(Goods.Bar(Bars.Find(list.Stock)!, bar.LengthM), 1);
            }
        }

        foreach (var (element, planned) in build.Elements.Zip(shape.Elements))
        {
            foreach (var need in Built(element, planned, job))
            {
                yield return need with { Element = element.Index };
            }
        }
    }

    private static IEnumerable<Need> Built(ElementBuildReport built, PlannedElement planned, JobDocument job)
    {
        var (cast, steel) = (planned.Cast, built.Steel);
        var area = cast.Plan.NetArea.SquareMetres * cast.Count;
        yield return new Need(Goods.BaseStone, built.Dig?.BaseKg ?? 0);
        if (built.Forms is { } forms)
        {
            yield return new Need(Goods.Stake, forms.Stakes.Count);
            yield return new Need(Goods.SplicePlate, forms.Splices);
            yield return new Need(Goods.FormScrew, (forms.Stakes.Count + (forms.Runs.Sum(r => r.Pieces) * 2) + (forms.Splices * 2)) * ScrewsEach);
            yield return new Need(Goods.BendStrip, forms.Bends.Sum(b => b.CutM));
            yield return new Need(Goods.ReleaseOil, (forms.Runs.Sum(r => r.InsideM) + forms.Bends.Sum(b => b.InsideM)) * cast.FormHeight.Metres / Goods.OilCoversM2);
        }

        if (built.Mould is { } mould)
        {
            yield return new Need(Goods.Sheet(mould.SheetMm), mould.Sheets);
            yield return new Need(Goods.MouldScrew, mould.Screws);
            yield return new Need(Goods.SeamSealant, mould.Cartridges);
            yield return new Need(Goods.BendStrip, mould.StripM * mould.Moulds);
            yield return new Need(Goods.ReleaseOil, Math.Max(1, mould.Castings.Count) * mould.Parts.Sum(p => p.AlongM * p.AcrossM * p.Count) * mould.Moulds / Goods.OilCoversM2);
        }

        yield return new Need(Goods.MeshSheet, steel.SheetCount);
        yield return new Need(Goods.Fibre, steel.School == SteelSchool.Fibre ? steel.Kg : 0);
        yield return new Need(Goods.Scrim, steel.ScrimM2);
        yield return new Need(Goods.Chair, steel.Chairs);
        yield return new Need(Goods.TieWire, steel.Ties);
        yield return new Need(Goods.IsolationStrip, built.IsolationM);
        yield return new Need(Goods.BondBreaker, built.BondBreakerM);
        if (job.Build.Plastic && built.Dig is not null)
        {
            foreach (var need in Plastic(area))
            {
                yield return need;
            }
        }

        foreach (var need in Cover(job.Cure.Method, area))
        {
            yield return need;
        }

        if (planned.Said is CounterDocument)
        {
            yield return new Need(Goods.Sealer, area * SealerCoats / Goods.SealerCoversM2);
        }
    }

    private static IEnumerable<Need> Cover(CuringMethod method, double areaM2) => method switch
    {
        CuringMethod.Bare => [],
        CuringMethod.Burlap => [new Need(Goods.Burlap, areaM2 * PlasticLap)],
        CuringMethod.BurlapUnderPlastic => [new Need(Goods.Burlap, areaM2 * PlasticLap), .. Plastic(areaM2)],
        CuringMethod.Plastic or CuringMethod.InForm => Plastic(areaM2),
        CuringMethod.Ponding => [],
        CuringMethod.Compound => [new Need(Goods.CuringCompound, areaM2 / Goods.CompoundCoversM2)],
        CuringMethod.CureAndSeal => [new Need(Goods.CureAndSeal, areaM2 / Goods.CompoundCoversM2)],
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static IEnumerable<Need> Plastic(double areaM2) => [new Need(Goods.Plastic, areaM2 * PlasticLap), new Need(Goods.Tape, areaM2 * PlasticLap / PlasticWideM)];

    // Everyone who mixes has gloves and goggles; a mask a day.
    private static IEnumerable<Need> Besides(PlannedShape shape, JobDocument job)
    {
        var hands = Math.Clamp(job.Mixing.Hands, 1, LoadStep.MostHands);
        return shape.Elements.Count == 0 ? [] : [new Need(Goods.Gloves, hands), new Need(Goods.Goggles, hands), new Need(Goods.DustMask, hands)];
    }

    private static CarryReport Carry(ImmutableArray<BuyLine> lines, BuyTerms terms)
    {
        var trips = Buying.Trips(lines.Sum(l => l.Kg), terms.PayloadKg);
        var (driven, brought) = (trips * terms.Prices.Of(TripId, TripPrice), terms.Prices.Of(DeliveryId, DeliveryPrice));
        return new CarryReport(trips, terms.PayloadKg, driven, brought, brought < driven);
    }

    private static BuyLineReport Line(BuyLine line, PriceBook prices) => new(
        line.Good.Id, line.Good.Kind, line.Good.Of, line.Good.LengthM, line.Good.Group, line.Good.Unit, line.Used, line.FromShed,
        [
            .. line.Packs.Select(p => new PackReport(line.Good.PackId(p.Pack), p.Pack.Size, p.Count, p.Price, prices.Notes(line.Good.PackId(p.Pack)), p.Date)),
        ],
        line.Cost,
        line.Kg);

    // What is one element's is its own; the rest is shared out by volume.
    private static ElementCost[] PerElement(ImmutableArray<BuyLine> lines, PlannedShape shape, double besides)
    {
        var costs = new double[shape.Elements.Count];
        var volume = shape.Elements.Sum(e => e.OrderL);
        var shared = besides;
        foreach (var line in lines)
        {
            var own = line.ByElement.Sum(e => e.Amount);
            foreach (var (element, amount) in line.ByElement)
            {
                costs[element] += line.Cost * amount / line.Used;
            }

            shared += line.Cost * (1 - (own / line.Used));
        }

        return [.. shape.Elements.Select((e, i) => new ElementCost(e.Index, costs[i] + (volume > 0 ? shared * e.OrderL / volume : 0)))];
    }

    private static SupplyReport Supply(Recipe recipe, PlannedShape shape, WaysContext ways, BuyTerms terms)
    {
        var m3 = (shape.Report.OrderL + LoadStep.HoldBackL) / 1000;
        var bagged = recipe as BaggedRecipe ?? BaggedRecipe.Of(Usual(ways.Sold), Usual(ways.Sold).MiddleWater, 0, recipe.Containers, recipe.Doses)!;
        var usual = ways.Uses.SelectMany(u => MixUses.Ways(u)).FirstOrDefault() ?? MixUses.Ways(MixUse.Slab)[0];
        var loose = recipe as PartsRecipe ?? PartsRecipe.Of(usual.Parts, usual.StoneMm, usual.Consistency, Moisture.Damp, recipe.Containers, recipe.Doses)
            ?? PartsRecipe.Of(new Parts(1, 2, 3), 20, Consistency.Plastic, Moisture.Damp, recipe.Containers, [])!;
        SupplyWay Way(SupplyKind kind, Recipe of)
        {
            (double Cost, double Kg) Goods(double v) => Buying.Total(of.Needs(Units(of, v), ways.Sold, _ => null), terms.Prices);
            double Home(double kg) => Math.Min(
                Buying.Trips(kg, terms.PayloadKg) * terms.Prices.Of(TripId, TripPrice), terms.Prices.Of(DeliveryId, DeliveryPrice));
            return new SupplyWay(
                kind,
                v => Goods(v) is var (cost, kg) ? cost + Home(kg) : 0,
                v => MixWays.PacedHours(of.Unit, v * 1000, ways),
                v => Goods(v).Kg);
        }

        var truck = TruckPrice.Of(terms.Prices);
        var compared = SupplyComparison.Of(
            [Way(SupplyKind.Bags, bagged), Way(SupplyKind.Loose, loose), new SupplyWay(SupplyKind.Truck, truck.Cost, v => MixWays.TruckHours(v * 1000, ways), _ => 0)], m3, terms.HourWorth);
        return new SupplyReport(m3, compared.Here, compared.Curve, compared.Crossings, terms.HourWorth);
    }

    private static int Units(Recipe of, double m3) => (int)Math.Min(1e8, Math.Max(1, Math.Ceiling((m3 / of.Unit.Yield.CubicMetres) - 1e-9)));

    private static BagMix Usual(UnitSystem sold) => BagCatalogue.Find(sold == UnitSystem.Us ? BagCatalogue.DefaultUs : BagCatalogue.DefaultMetric)!;

    private static IEnumerable<StandingPrice> Standing(PriceBook prices, BuyDocument said)
    {
        var truck = TruckPrice.Of(prices);
        (string Id, double Price)[] all =
        [
            (TripId, prices.Of(TripId, TripPrice)), (DeliveryId, prices.Of(DeliveryId, DeliveryPrice)), (TruckPrice.PerM3Id, truck.PerM3), (TruckPrice.ShortId, truck.ShortPerM3),
            (TruckPrice.DeliveryId, truck.Delivery),
        ];
        return all.Select(s => new StandingPrice(s.Id, s.Price, said.Prices.Any(p => p.Good == s.Id)));
    }

    private static void CheckShed(BuyDocument said, ImmutableArray<BuyLine> lines, BuyTerms terms, Gate gate)
    {
        for (var i = 0; i < said.Shed.Count; i++)
        {
            if (said.Shed[i].Amount == 0 && lines.FirstOrDefault(l => l.Good.Id == said.Shed[i].Good) is { } line)
            {
                gate.Add(Finding.Of(FindingCode.ShedHoldsNothing, Severity.Note, $"/buy/shed/{i}/amount", ("used", line.Used)).Naming("good", line.Good.Id).WithRemedies(
                    new Remedy(RemedyCode.EnoughInShed, [new Edit($"/buy/shed/{i}/amount", Number: line.Used)], new Dictionary<string, double> { ["used"] = line.Used, ["savesMoney"] = line.Cost })
                        .Naming("good", line.Good.Id)));
            }
        }
    }

    private static void CheckCar(ImmutableArray<BuyLine> lines, BuyTerms terms, Gate gate)
    {
        var heaviest = lines.SelectMany(l => l.Packs.Select(p => (l.Good, Kg: p.Pack.Size * l.Good.KgPerUnit))).OrderByDescending(p => p.Kg).FirstOrDefault();
        if (heaviest.Good is { } good && heaviest.Kg > terms.PayloadKg)
        {
            gate.Add(Finding.Of(FindingCode.TooHeavyForCar, Severity.Note, "/buy/payload", ("mostKg", heaviest.Kg), ("payloadKg", terms.PayloadKg)).Naming("good", good.Id));
        }
    }

    private static void Explain(double goods, double extras, double concrete, PlannedShape shape, CarryReport carry, ImmutableArray<BuyLine> lines, WaysContext ways, Gate gate)
    {
        gate.Add(Explanation.For(
            WhyCode.Cost, "", goods + extras + Math.Min(carry.TripsCost, carry.DeliveryCost), Source.SitePractice,
            ("goodsMoney", goods), ("extrasMoney", extras), ("homeMoney", Math.Min(carry.TripsCost, carry.DeliveryCost))));
        gate.Add(Explanation.For(
            WhyCode.PerLitre, "", shape.Report.OrderL > 0 ? concrete / shape.Report.OrderL : 0, Source.SitePractice, ("concreteMoney", concrete), ("orderL", shape.Report.OrderL)));
        gate.Add(Explanation.For(
            WhyCode.Load, "", lines.Sum(l => l.Kg), Source.SitePractice, ("lines", lines.Length)));
        gate.Add(Explanation.For(
            WhyCode.Trips, "", carry.Trips, Source.SitePractice, ("massKg", lines.Sum(l => l.Kg)), ("payloadKg", carry.PayloadKg), ("tripsMoney", carry.TripsCost), ("deliveryMoney", carry.DeliveryCost)));
        var truck = TruckPrice.Of(ways.Prices);
        var wanted = ways.OrderL / 1000;
        gate.Add(Explanation.For(
            WhyCode.TruckCost, "", truck.Cost(wanted), Source.SitePractice,
            ("orderedM3", TruckPrice.OrderedM3(wanted)), ("perM3Money", truck.PerM3), ("minimumM3", truck.MinimumM3), ("shortMoney", truck.ShortPerM3), ("deliveryMoney", truck.Delivery)));
    }
}
