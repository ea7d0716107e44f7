using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Takeoff;

/// <summary>From everything the plan uses to what is bought, and for how much.</summary>
public static class BuyAdvice
{
    /// <summary>A closed bag is good for so long, days. Source: site practice.</summary>
    public const int BagKeepsDays = 90;

    public const string TripId = "trip";
    public const string DeliveryId = "delivery";

    public const double TripPrice = 6;
    public const double DeliveryPrice = 55;

    /// <summary>Plastic laps and hangs over; tape goes along its joins, sheets being 4 m wide. Source: site practice.</summary>
    private const double PlasticLap = 1.15;

    private const double PlasticWideM = 4;

    /// <summary>Screws to a stake, and to the end of a board. Source: site practice.</summary>
    private const int ScrewsEach = 2;

    /// <summary>Board is cut to fit over supports. Source: site practice.</summary>
    private const double DeckWaste = 1.1;

    /// <summary>A wall is covered so high. Source: site practice.</summary>
    public const double MaskHighM = 1;

    /// <summary>Mats are cut to the shell. Source: site practice.</summary>
    private const double MatWaste = 1.1;

    /// <param name="job">What is used.</param>
    /// <param name="terms">Prices, shed and car.</param>
    /// <param name="ways">What ways to get the concrete are weighed by.</param>
    /// <param name="recipe">The job's first mix.</param>
    /// <param name="remarks">Takes findings and reasons.</param>
    public static BuyPlan Plan(BuyJob job, BuyTerms terms, WaysContext ways, Recipe recipe, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(terms);
        ArgumentNullException.ThrowIfNull(ways);
        ArgumentNullException.ThrowIfNull(remarks);
        var needs = OpenedBags.Settle(job.Pours).SelectMany(p => Concrete(p, job.Sold)).Concat(Shared(job)).Concat(job.Elements.SelectMany(e => Built(e, job))).Concat(Hands(job));
        var shed = new Dictionary<string, double>();
        foreach (var (good, amount) in terms.Shed)
        {
            shed[good] = amount;
        }

        var lines = Buying.Lines(needs, shed, terms.Prices);
        var (kg, goods) = (lines.Sum(l => l.Kg), lines.Sum(l => l.Cost));
        var trips = Buying.Trips(kg, terms.PayloadKg);
        var carry = new Carry(trips, terms.PayloadKg, trips * terms.Prices.Of(TripId, TripPrice), terms.Prices.Of(DeliveryId, DeliveryPrice));
        var cost = goods + terms.ExtrasMoney + terms.GearMoney + carry.Money;
        CheckShed(lines, terms, remarks);
        CheckCar(lines, terms, remarks);
        var m3 = ways.OrderL / 1000;
        var plan = new BuyPlan(
            lines, terms.ExtrasMoney, terms.GearMoney, cost, PerElement(lines, job, cost - goods), lines.Where(l => l.Good.Group == GoodGroup.Concrete).Sum(l => l.Cost), kg, carry, m3,
            new(() => Supply(recipe, m3, ways, terms)));
        CheckAge(job.Pours, remarks);
        Explain(plan, goods, job, ways, remarks);
        return plan;
    }

    // Bags for pours that come after the first ones have grown old are bought later: a note for each time that one goes to the shop again.
    private static void CheckAge(IEnumerable<PourMeasured> pours, Remarks remarks)
    {
        var bags = pours.Where(p => p is { Recipe: BaggedRecipe, Date: not null }).Select(p => (Bag: ((BaggedRecipe)p.Recipe).Bag.Id, Date: p.Date!.Value, Bags: (double)p.Units / BaggedRecipe.UnitsPerBag));
        foreach (var kind in bags.GroupBy(b => b.Bag))
        {
            var left = kind.OrderBy(b => b.Date).ToList();
            for (var first = true; left.Count > 0; first = false)
            {
                var (from, fresh) = (left[0].Date, left.TakeWhile(b => Period.DaysBetween(left[0].Date, b.Date) <= BagKeepsDays).ToArray());
                if (!first)
                {
                    remarks.Note(Places.Buy.Self, new Notice.BagsGrowOld(kind.Key, Math.Ceiling(fresh.Sum(b => b.Bags) - 1e-9), from, BagKeepsDays));
                }

                left.RemoveRange(0, fresh.Length);
            }
        }
    }

    private static IEnumerable<Need> Concrete(PourMeasured pour, UnitSystem sold)
    {
        double? Measured(MeasuredThing what) => pour.Batched > 0 && pour.MeasuredOut.FirstOrDefault(m => m.What == what) is { } measured ? measured.Kg * pour.Units / pour.Batched : null;
        return RecipeNeeds.Of(pour.Recipe, pour.Units, sold, Measured).Append(new Need(Goods.TruckWait, pour.WaitMin, WorkTask.Pour)).Select(n => n with { Pour = pour.Number });
    }

    // What is cut together from one stack, each element by its share.
    private static IEnumerable<Need> Shared(BuyJob job)
    {
        foreach (var list in job.Boards)
        {
            foreach (var (stockMm, element, pieces) in list.Shares())
            {
                yield return new Need(Goods.Board(Lumber.Find(list.Stock)!, stockMm / 1000), pieces, WorkTask.SetForms, element);
            }
        }

        foreach (var (mm, needed) in job.Sheets)
        {
            foreach (var (element, sheets) in needed.Shares)
            {
                yield return new Need(Goods.Sheet(mm), sheets, MouldedBy(Of(job, element)), element);
            }
        }

        var bars = job.Bars.Where(l => Bars.Find(l.Stock) is not null).SelectMany(l => l.Shares().Select(s => (Good: Goods.Bar(Bars.Find(l.Stock)!, s.StockMm / 1000), s.Element, Amount: s.Pieces)));
        foreach (var (good, element, amount) in bars.Concat(job.Mesh.Shares.Select(s => (Goods.MeshSheet, s.Element, s.Sheets))))
        {
            foreach (var need in Cast(Of(job, element), good, amount, WorkTask.SetSteel))
            {
                yield return need;
            }
        }
    }

    private static BuyElement Of(BuyJob job, int element) => job.Elements.First(e => e.Index == element);

    private static WorkTask MouldedBy(BuyElement built) => built.Order.First(t => t is WorkTask.CutMould or WorkTask.BendStrips or WorkTask.SetForms);

    // By pour; of what is done again and again in one mould, casting by casting, else once.
    private static IEnumerable<Need> Each(BuyElement built, ImmutableArray<PourShare> shares, Good good, double amount, WorkTask task) =>
        amount > 0 && built.Order.Contains(task) ? shares.Select(s => new Need(good, amount * s.Share, task, built.Index, s.Pour)) : [];

    private static IEnumerable<Need> Cast(BuyElement built, Good good, double amount, WorkTask task) =>
        built.Pours.Cast.IsEmpty ? [new Need(good, amount, task, built.Index)] : Each(built, built.Pours.Cast, good, amount, task);

    private static IEnumerable<Need> Built(BuyElement built, BuyJob job)
    {
        var (steel, pours, finished) = (built.Steel, built.Pours, built.Pours.Finished);
        (Good Good, double Amount, WorkTask For)[] once =
        [
            (Goods.BaseStone, built.Dig?.BaseMass.Kilograms ?? 0, WorkTask.CompactBase),
            .. built.Forms is { } forms ? Forms(forms, built) : [],
            .. built.Mould is { } mould ? Mould(mould, MouldedBy(built)) : [],
            (built.DeckComesOff ? Goods.DeckPly : Goods.DeckBoard, built.DeckM2 * DeckWaste, WorkTask.MakeDeck),
            (Goods.Plastic, built.DeckComesOff ? built.DeckM2 * PlasticLap : 0, WorkTask.LaySlipSheet),
            (Goods.CrackFiller, built.CracksM / Goods.CrackPerCartridgeM, WorkTask.PlanCracks),
            (Goods.IsolationStrip, built.IsolationM, WorkTask.SetIsolation),
            (Goods.BondBreaker, built.BondBreakerM, WorkTask.SetIsolation),
            .. Plastic(built.MaskM * MaskHighM, built.MaskM).Select(p => (p.Good, p.Amount, WorkTask.MaskNear)),
            .. job.Plastic && built.Dig is not null ? Plastic(built.FaceM2).Select(p => (p.Good, p.Amount, WorkTask.LayPlastic)) : [],
        ];
        return
        [
            .. once.Where(n => n.Amount > 0 && built.Order.Contains(n.For)).Select(n => new Need(n.Good, n.Amount, n.For, built.Index)),
            .. Released(built),
            .. Cast(built, Goods.Scrim, steel.ScrimM2, WorkTask.SetSteel),
            .. Cast(built, Goods.Chair, steel.Layout.Chairs, WorkTask.SetSteel),
            .. Cast(built, Goods.TieWire, steel.Layout.Ties, WorkTask.SetSteel),
            .. Each(built, pours.Mixed, Goods.Fibre, steel.Fibre.Kilograms, WorkTask.MeasureOut).Select(n => IntoTruck(job, n.Pour) ? n with { For = WorkTask.Pour } : n),
            .. Each(built, pours.Bonded, Goods.BondCoat, built.FaceM2 / Goods.BondCoversM2, WorkTask.BondCoat),
            .. Each(built, pours.Bedded, Goods.Pebbles, built.PebbleKg, WorkTask.SetPebbles),
            .. Cover(job.Method, built.OpenM2).SelectMany(c => Each(built, c.Again ? pours.Covered : finished, c.Good, c.Amount, WorkTask.CoverIt)),
            .. built.Coats.SelectMany(c => Each(built, finished, Goods.Coating(c.Id), built.OpenM2 * c.LPerM2, WorkTask.Coat)),
        ];
    }

    // Nothing is measured out for a truck: fibre is thrown in as it comes.
    private static bool IntoTruck(BuyJob job, int? pour) => job.Pours.Any(p => p.Number == pour && p.Recipe is ReadyRecipe);

    private static IEnumerable<(Good Good, double Amount, WorkTask For)> Forms(FormsPlan plan, BuyElement built)
    {
        var forms = plan.Boards;
        var (pieces, splices) = (forms.Boards.Sum(r => r.PiecesM.Length), forms.Boards.Sum(r => r.PiecesM.Length - 1));
        var insideM = forms.Boards.Sum(r => r.InsideM) + forms.Bends.Sum(b => b.InsideM);
        return
        [
            (Goods.Stake, plan.StakeCount, WorkTask.SetForms),
            (Goods.MasonryNail, plan.NailCount, WorkTask.SetForms),
            (Goods.SplicePlate, splices, WorkTask.SetForms),
            (Goods.FormScrew, (plan.StakeCount + (pieces * 2) + (splices * 2)) * ScrewsEach, WorkTask.SetForms),
            (Goods.BendStrip, forms.Bends.Sum(b => b.CutM), WorkTask.SetForms),
            (Goods.ReleaseOil, insideM * built.Cast.FormHeight.Metres / Goods.OilCoversM2, WorkTask.OilForms),
        ];
    }

    private static IEnumerable<(Good Good, double Amount, WorkTask For)> Mould(MouldPlan mould, WorkTask by) =>
    [
        (Goods.MouldScrew, mould.Screws, by),
        (Goods.StripNail, mould.Nails, by),
        (Goods.LaminateResin, mould.LaminatedM2 * Goods.ResinLPerM2, by),
        (Goods.LaminateMat, mould.LaminatedM2 * MatWaste, by),
        (Goods.BendStrip, mould.StripM * mould.Moulds, by),
        (Goods.SeamSealant, mould.SeamM / Formwork.Mould.SeamPerCartridgeM, WorkTask.SealSeams),
    ];

    // Nothing may stick, each time that it is filled.
    private static IEnumerable<Need> Released(BuyElement built) => built.Mould is not { } mould
        ? []
        : built.Order.Contains(WorkTask.WaxMould)
            ? Cast(built, Goods.ReleaseWax, mould.OiledM2 / Goods.WaxCoversM2, WorkTask.WaxMould)
            : [new Need(Goods.ReleaseOil, mould.OiledM2 / Goods.OilCoversM2, WorkTask.OilForms, built.Index)];

    // What lies over it is taken again, what is sprayed on it is gone.
    private static IEnumerable<(Good Good, double Amount, bool Again)> Cover(CuringMethod method, double areaM2)
    {
        (Good, double, bool)[] burlap = [(Goods.Burlap, areaM2 * PlasticLap, true)];
        var plastic = Plastic(areaM2).Select(p => (p.Good, p.Amount, true));
        return method switch
        {
            CuringMethod.Bare or CuringMethod.Ponding => [],
            CuringMethod.Burlap => burlap,
            CuringMethod.BurlapUnderPlastic => [.. burlap, .. plastic],
            CuringMethod.Plastic or CuringMethod.InForm => plastic,
            CuringMethod.Compound => [(Goods.CuringCompound, areaM2 / Goods.CompoundCoversM2, false)],
            CuringMethod.CureAndSeal => [(Goods.CureAndSeal, areaM2 / Goods.CompoundCoversM2, false)],
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }

    private static IEnumerable<(Good Good, double Amount)> Plastic(double areaM2, double? tapeM = null) =>
        [(Goods.Plastic, areaM2 * PlasticLap), (Goods.Tape, tapeM ?? (areaM2 * PlasticLap / PlasticWideM))];

    // Everyone who mixes has gloves and goggles from the first pour on; a mask a day.
    private static IEnumerable<Need> Hands(BuyJob job)
    {
        foreach (var pour in job.Elements.IsEmpty ? [] : job.Pours)
        {
            if (pour == job.Pours[0])
            {
                yield return new Need(Goods.Gloves, job.Hands, WorkTask.Pour, Pour: pour.Number);
                yield return new Need(Goods.Goggles, job.Hands, WorkTask.Pour, Pour: pour.Number);
            }

            yield return new Need(Goods.DustMask, job.Hands, WorkTask.Pour, Pour: pour.Number);
        }
    }

    // What is one element's is its own; the rest is shared out by volume.
    private static ImmutableArray<(int Element, double Money)> PerElement(ImmutableArray<BuyLine> lines, BuyJob job, double besides)
    {
        var costs = job.Elements.ToDictionary(e => e.Index, _ => 0.0);
        var (volume, shared) = (job.OrderL, besides);
        foreach (var line in lines)
        {
            var own = 0.0;
            foreach (var need in line.Needs)
            {
                if (need.Element is { } element)
                {
                    own += need.Amount;
                    costs[element] += line.Cost * need.Amount / line.Used;
                }
            }

            shared += line.Cost * (1 - (own / line.Used));
        }

        return [.. job.Elements.Select(e => (e.Index, costs[e.Index] + (volume > 0 ? shared * e.OrderL / volume : 0)))];
    }

    private static SupplyComparison Supply(Recipe recipe, double m3, WaysContext ways, BuyTerms terms)
    {
        var bagged = recipe as BaggedRecipe ?? BaggedRecipe.Of(Usual(ways.Sold), Usual(ways.Sold).MiddleWater, 0, recipe.Containers, recipe.Doses)!;
        var usual = ways.Uses.SelectMany(u => MixUses.Ways(u)).FirstOrDefault() ?? MixUses.Ways(MixUse.Slab)[0];
        var loose = recipe as PartsRecipe ?? PartsRecipe.Of(usual.Parts, usual.StoneMm, usual.Consistency, Moisture.Damp, recipe.Containers, recipe.Doses)
            ?? PartsRecipe.Of(new Parts(1, 2, 3), 20, Consistency.Plastic, Moisture.Damp, recipe.Containers, [])!;
        SupplyWay Way(SupplyKind kind, Recipe of)
        {
            (double Cost, double Kg) Goods(double v) => Buying.Total(RecipeNeeds.Of(of, Units(of, v), ways.Sold, _ => null), terms.Prices);
            double Home(double kg) => Math.Min(Buying.Trips(kg, terms.PayloadKg) * terms.Prices.Of(TripId, TripPrice), terms.Prices.Of(DeliveryId, DeliveryPrice));
            return new SupplyWay(kind, v => Goods(v) is var (cost, kg) ? cost + Home(kg) : 0, v => Takeoff.Ways.PacedHours(of.Unit, v * 1000, ways), v => Goods(v).Kg);
        }

        var truck = TruckPrice.Of(terms.Prices);
        return SupplyComparison.Of(
            [Way(SupplyKind.Bags, bagged), Way(SupplyKind.Loose, loose), new SupplyWay(SupplyKind.Truck, truck.Cost, v => Takeoff.Ways.TruckHours(v * 1000, ways), _ => 0)], m3, terms.HourWorth);
    }

    private static int Units(Recipe of, double m3) => (int)Math.Min(1e8, Math.Max(1, Math.Ceiling((m3 / of.Unit.Yield.CubicMetres) - 1e-9)));

    private static BagMix Usual(UnitSystem sold) => BagCatalogue.Find(sold == UnitSystem.Us ? BagCatalogue.DefaultUs : BagCatalogue.DefaultMetric)!;

    private static void CheckShed(ImmutableArray<BuyLine> lines, BuyTerms terms, Remarks remarks)
    {
        for (var i = 0; i < terms.Shed.Length; i++)
        {
            if (terms.Shed[i].Amount == 0 && lines.FirstOrDefault(l => l.Good.Id == terms.Shed[i].Good) is { } line)
            {
                var at = Places.Buy.ShedAmount(i);
                remarks.Note(
                    at, new Notice.ShedHoldsNothing(Used: line.Used, Good: line.Good.Id),
                    new Remedy(new Mend.EnoughInShed(Used: line.Used, SavesMoney: line.Cost, Good: line.Good.Id), [new Edit(at, Number: line.Used)]));
            }
        }
    }

    private static void CheckCar(ImmutableArray<BuyLine> lines, BuyTerms terms, Remarks remarks)
    {
        var heaviest = lines.SelectMany(l => l.Packs.Select(p => (l.Good, Kg: p.Pack.Size * l.Good.KgPerUnit))).OrderByDescending(p => p.Kg).FirstOrDefault();
        if (heaviest.Good is { } good && heaviest.Kg > terms.PayloadKg)
        {
            remarks.Note(Places.Buy.Payload, new Notice.TooHeavyForCar(MostKg: heaviest.Kg, PayloadKg: terms.PayloadKg, Good: good.Id));
        }
    }

    private static void Explain(BuyPlan plan, double goods, BuyJob job, WaysContext ways, Remarks remarks)
    {
        var carry = plan.Carry;
        remarks.Why(new Why.Cost(GoodsMoney: goods, ExtrasMoney: plan.ExtrasMoney, GearMoney: plan.GearMoney, HomeMoney: carry.Money), plan.CostMoney, Source.SitePractice);
        remarks.Why(new Why.PerLitre(ConcreteMoney: plan.ConcreteMoney, OrderL: job.OrderL), job.OrderL > 0 ? plan.ConcreteMoney / job.OrderL : 0, Source.SitePractice);
        remarks.Why(new Why.Load(Lines: plan.Lines.Length), plan.Kg, Source.SitePractice);
        remarks.Why(
            new Why.Trips(MassKg: plan.Kg, PayloadKg: carry.PayloadKg, TripsMoney: carry.TripsMoney, DeliveryMoney: carry.DeliveryMoney), carry.Trips, Source.SitePractice);
        var truck = TruckPrice.Of(ways.Prices);
        remarks.Why(
            new Why.TruckCost(
                OrderedM3: TruckPrice.OrderedM3(plan.M3), PerM3Money: truck.PerM3, MinimumM3: truck.MinimumM3, ShortMoney: truck.ShortPerM3, DeliveryMoney: truck.Delivery),
            truck.Cost(plan.M3), Source.SitePractice);
    }
}
