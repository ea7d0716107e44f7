using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Learning;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Job;

/// <summary>What the whole job is built with, read.</summary>
internal sealed record ReadBuild(UnitSystem Sold, Soil Soil, Frost Frost, bool Plastic, Length? Base, double StringM, IReadOnlyList<double> StockMm)
{
    public double LongestStockMm => StockMm.Max();
}

/// <summary>Reads the parts of a job besides its elements: what cannot be read leaves a finding at its field and a null.</summary>
internal static class JobReader
{
    private const double MostBaseMm = 600;
    private const double MostStringMm = 2_000;
    private const double LeastContainerL = 0.1;
    private const double MostContainerL = 200;
    /// <summary>Of cement, in parts: with less it is no concrete.</summary>
    private const double LeastCement = 0.05;

    private const double MostPart = 30;
    private const double MostBagWaterL = 20;
    private const double MostCementAdded = 20;
    private const double MostDoses = 4;
    private const double MostOfCement = 30;
    private const int MostMixers = 4;
    private const double MostBarrowMm = 200_000;
    private const double MostPrice = 1e6;
    private const double MostCount = 1e5;
    private const double MostWetDays = 60;
    private const double MostCoatsOfOne = 6;
    private const double LeastCoversM2PerL = 0.5;
    private const double MostCoversM2PerL = 50;
    private const double UsualStoneMm = 20;

    public static ReadBuild? Build(BuildDocument said, Gate gate)
    {
        var at = Places.Build;
        Length? baseDepth = string.IsNullOrWhiteSpace(said.Base) ? null : gate.Length(at.Base, said.Base, 0, MostBaseMm);
        var baseSound = string.IsNullOrWhiteSpace(said.Base) || baseDepth is not null;
        var string_ = gate.Length(at.StringAbove, said.StringAbove, 0, MostStringMm);
        if (said.Stock.Count > Limits.MostStock)
        {
            gate.Fault(at.Stock, new Notice.TooMany(Count: said.Stock.Count, Most: Limits.MostStock));
            return null;
        }

        var stock = said.Stock.Select((s, i) => gate.Length(at.Stock[i], s, 300, 12_000)).ToArray();
        return !baseSound || string_ is not { } above || stock.Any(s => s is null) ? null : new ReadBuild(
            said.Sold, said.Soil, said.Frost, said.Plastic, baseDepth, above.Metres,
            stock.Length == 0 ? Lumber.StockMm(said.Sold) : [.. stock.Select(s => s!.Value.Millimetres).Distinct()]);
    }

    /// <summary>A mix by parts or bags, with its containers and what is stirred in.</summary>
    public static MixSaid? Mix(MixDocument said, MixPlaces at, ImmutableArray<BagMix> own, Gate gate)
    {
        var containers = ContainersOf(said, at, gate);
        var doses = Doses(said, at, gate);
        if (containers is null || doses is null)
        {
            return null;
        }

        switch (said)
        {
            case BaggedMixDocument bagged:
                if (OwnBags.Find(bagged.Bag, own) is not { } bag)
                {
                    gate.Fault(at.Bag, new Notice.UnknownBag(Given: bagged.Bag));
                    return null;
                }

                var water = string.IsNullOrWhiteSpace(bagged.WaterPerBag)
                    ? bag.MiddleWater
                    : gate.Volume(at.WaterPerBag, bagged.WaterPerBag, 0.1, MostBagWaterL, Units.VolumesWithBucket(containers.Cement.Size));
                var added = gate.InRange(at.CementAdded, bagged.CementAdded, 0, MostCementAdded, RangeUnit.Pct);
                return water is { } litres && added ? new MixSaid.Bagged(bag, litres, bagged.CementAdded, said.Exposure, containers, doses) : null;
            case PartsMixDocument parts:
                if (!(parts.Cement > 0))
                {
                    gate.Fault(at.Cement, new Notice.MixWithoutCement());
                    return null;
                }

                return gate.InRange(at.Cement, parts.Cement, LeastCement, MostPart) & gate.InRange(at.Sand, parts.Sand, 0, MostPart) & gate.InRange(at.Stone, parts.Stone, 0, MostPart)
                    & gate.InRange(at.Ballast, parts.Ballast, 0, MostPart) & gate.InRange(at.StoneMm, parts.StoneMm, 10, 25, RangeUnit.Mm)
                        ? new MixSaid.ByParts(
                            new Parts(parts.Cement, parts.Sand, parts.Stone, parts.Ballast), parts.StoneMm, parts.Consistency, parts.Moisture, said.Exposure, containers, doses)
                        : null;
            case ReadyMixDocument ready:
                return Ready(ready, at, containers, doses, gate);
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private static MixSaid.Ready? Ready(ReadyMixDocument said, MixPlaces at, Containers containers, IReadOnlyList<Dose> doses, Gate gate)
    {
        var (fromAt, untilAt) = (at.Self.At(nameof(said.ComesFrom)), at.Self.At(nameof(said.ComesUntil)));
        var (from, until) = (gate.Time(fromAt, said.ComesFrom), gate.Time(untilAt, said.ComesUntil));
        var sound = gate.InRange(at.Self.At(nameof(said.StrengthMpa)), said.StrengthMpa, 10, 50, RangeUnit.Mpa) & gate.InRange(at.StoneMm, said.StoneMm, 10, 25, RangeUnit.Mm)
            & gate.InRange(at.Self.At(nameof(said.AgeMin)), said.AgeMin, 0, 120, RangeUnit.Min) & gate.InRange(at.Self.At(nameof(said.OnSiteMin)), said.OnSiteMin, 5, 240, RangeUnit.Min)
            & gate.InRange(at.Self.At(nameof(said.LimitMin)), said.LimitMin, 30, 240, RangeUnit.Min);
        if (from is { } first && until is { } last && last <= first)
        {
            gate.Fault(untilAt, new Notice.ComesUntilBeforeFrom());
            return null;
        }

        return sound && from is { } begins && until is { } ends
            ? new MixSaid.Ready(
                Strength.FromMegapascals(said.StrengthMpa), said.StoneMm, said.Consistency, said.Air,
                new TruckTerms(Duration.FromMinutes(said.AgeMin), Duration.FromMinutes(said.OnSiteMin), Duration.FromMinutes(said.LimitMin), said.Chute, said.Saturdays, begins, ends),
                said.Exposure, containers, doses)
            : null;
    }

    /// <summary>Mixer, crew and barrow run; as fast as is learnt of them.</summary>
    public static MixingPlace? Mixing(MixingDocument said, LearntValues learnt, MixingPlaces at, Gate gate)
    {
        var size = gate.Volume(at.Mixer.Size, said.Mixer.Size, 4, 2_000);
        var barrow = gate.Length(at.BarrowRun, said.BarrowRun, 0, MostBarrowMm);
        var hands = gate.InRange(at.Hands, said.Hands, 1, LoadAdvice.MostHands) & gate.InRange(at.Mixers, said.Mixers, 1, MostMixers);
        var (plated, mass) = (!string.IsNullOrWhiteSpace(said.Mixer.MostMass), (Mass?)null);
        if (plated)
        {
            mass = gate.Mass(at.Mixer.MostMass, said.Mixer.MostMass, 5, 5_000);
        }

        var pace = said.Pace.Read(at.Pace, gate);
        if (size is not { } volume || barrow is not { } run || !hands || (plated && mass is null) || pace is null)
        {
            return null;
        }

        var crew = new Crew(said.Hands, said.Mixers);
        LoadAdvice.CheckCrew(crew, at, gate);
        return new MixingPlace(said.Mixer.Of(volume), crew, run, mass) { Figures = pace.Taking(learnt.Factor(LearntKeys.Pace(said))) };
    }

    public static BuyTerms? Buy(BuyDocument said, Gate gate)
    {
        var at = Places.Buy;
        if (Math.Max(said.Prices.Count, Math.Max(said.Gear.Count, Math.Max(said.Shed.Count, said.Extras.Count))) is > Limits.MostRows and var rows)
        {
            gate.Fault(at.Self, new Notice.TooMany(Count: rows, Most: Limits.MostRows));
            return null;
        }

        var sound = gate.InRange(at.HourWorth, said.HourWorth, 0, 1_000);
        var prices = new Dictionary<string, (double, string)>();
        for (var i = 0; i < said.Prices.Count; i++)
        {
            var (price, place) = (said.Prices[i], at.Prices[i]);
            sound &= gate.InRange(place.At(nameof(price.Price)), price.Price, 0, MostPrice) & (price.Date.Length == 0 || gate.Date(place.At(nameof(price.Date)), price.Date) is not null);
            prices[price.Good] = (price.Price, price.Date);
        }

        for (var i = 0; i < said.Shed.Count; i++)
        {
            sound &= gate.InRange(at.ShedAmount(i), said.Shed[i].Amount, 0, Buying.Most);
        }

        for (var i = 0; i < said.Extras.Count; i++)
        {
            var (extra, place) = (said.Extras[i], at.Extras[i]);
            sound &= gate.InRange(place.At(nameof(extra.Count)), extra.Count, 0, MostCount) & gate.InRange(place.At(nameof(extra.Price)), extra.Price, 0, MostPrice);
        }

        for (var i = 0; i < said.Gear.Count; i++)
        {
            sound &= gate.InRange(at.Gear[i].At(nameof(GearDocument.Price)), said.Gear[i].Price, 0, MostPrice);
        }

        return gate.Mass(at.Payload, said.Payload, 20, 50_000) is { } payload && sound
            ? new BuyTerms(
                new PriceBook(prices), [.. said.Shed.Select(s => (s.Good, s.Amount))], payload.Kilograms, said.HourWorth, said.Extras.Sum(e => e.Count * e.Price))
            : null;
    }

    public static SiteConditions Site(SiteDocument said) => new(said.Shelter, said.Shade, said.Windbreak, said.Fog);

    public static DateTimeZone? Zone(string said, Gate gate)
    {
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(said);
        if (zone is null)
        {
            gate.Fault(Places.TimeZone, new Notice.UnknownTimeZone(Given: said));
        }

        return zone;
    }

    /// <summary>From when to when somebody begins; null with findings where that cannot be read.</summary>
    public static (LocalTime From, LocalTime Until)? Works(DayDocument said, Gate gate)
    {
        var (from, until) = (gate.Time(Places.Day.WorkFrom, said.WorkFrom), gate.Time(Places.Day.WorkUntil, said.WorkUntil));
        return from is { } f && until is { } u ? (f, u) : null;
    }

    public static CureSaid? Cure(CureDocument said, (LocalTime From, LocalTime Until)? works, DateTimeZone zone, Gate gate)
    {
        var at = Places.Cure;
        var days = said.Days is not { } given || gate.InRange(at.Days, given, 0, MostWetDays, RangeUnit.Days);
        var (wakes, sleeps) = (gate.Time(at.WakeFrom, said.WakeFrom), gate.Time(at.WakeUntil, said.WakeUntil));
        return Coats(said, gate) is { } coats && days && wakes is { } up && sleeps is { } down && works is var (from, until)
            ? new CureSaid(said.Method, said.Days, new WakingHours(zone, up, down), new WakingHours(zone, from, until), said.Frost, coats)
            : null;
    }

    private static ImmutableArray<CoatSaid>? Coats(CureDocument said, Gate gate)
    {
        var at = Places.Cure.Coats;
        if (said.Coats.Count > Limits.MostCoats)
        {
            gate.Fault(at, new Notice.TooMany(Count: said.Coats.Count, Most: Limits.MostCoats));
            return null;
        }

        const double mostH = 24 * 90;
        var sound = true;
        for (var i = 0; i < said.Coats.Count; i++)
        {
            var (coat, place) = (said.Coats[i], at[i]);
            sound &= gate.InRange(place.At(nameof(coat.Coats)), coat.Coats, 1, MostCoatsOfOne) & gate.InRange(place.At(nameof(coat.FromDays)), coat.FromDays, 0, 365, RangeUnit.Days)
                & gate.InRange(place.At(nameof(coat.RecoatLeastH)), coat.RecoatLeastH, 0, mostH, RangeUnit.H)
                & gate.InRange(place.At(nameof(coat.RecoatMostH)), coat.RecoatMostH, Math.Max(0, coat.RecoatLeastH), mostH, RangeUnit.H)
                & gate.InRange(place.At(nameof(coat.KeepWetH)), coat.KeepWetH, 0, mostH, RangeUnit.H) & gate.InRange(place.At(nameof(coat.CureH)), coat.CureH, 0, mostH, RangeUnit.H)
                & gate.InRange(place.At(nameof(coat.Dilution)), coat.Dilution, 0, 20)
                & (coat.CoversM2PerL is not { } covers || gate.InRange(place.At(nameof(coat.CoversM2PerL)), covers, LeastCoversM2PerL, MostCoversM2PerL))
                & (coat.PotLifeMin is not { } life || gate.InRange(place.At(nameof(coat.PotLifeMin)), life, 1, 24 * 60));
        }

        return sound
            ? [.. said.Coats.Select(Coat)]
            : null;
    }

    /// <summary>What goes on when it is hard: what was said, or what seals a thing that is sealed as a matter of course.</summary>
    /// <param name="said">As read.</param>
    /// <param name="traits">Of what is cured together.</param>
    public static ImmutableArray<CoatSaid> Coats(CureSaid said, IEnumerable<ElementTraits> traits) => said.Coats.IsEmpty && traits.Any(t => t.Sealed) ? [Coat(CoatCatalogue.Usual)] : said.Coats;

    private static CoatSaid Coat(CoatDocument c) =>
        new(c.Name, new CoatProduct(c.Coats, c.FromDays, c.RecoatLeastH, c.RecoatMostH, c.OnDry, c.CureH), c.KeepWetH, c.Dilution, c.CoversM2PerL, c.PotLifeMin);

    private static Containers? ContainersOf(MixDocument mix, MixPlaces at, Gate gate)
    {
        var said = mix.Containers;
        Container? One(string member, ContainerDocument of, double kgPerM3) =>
            gate.Volume(at.ContainerSize(member), of.Size, LeastContainerL, MostContainerL, Units.VolumesWeighed(kgPerM3)) is { } size ? new Container(of.Kind, size) : null;
        var cement = One(nameof(said.Cement), said.Cement, Ingredients.CementLooseKgPerM3);
        var sand = One(nameof(said.Sand), said.Sand, Ingredients.SandLooseKgPerM3);
        // It holds ballast where there is any, else the job's own stone.
        var stone = One(nameof(said.Stone), said.Stone, mix switch
        {
            PartsMixDocument { Ballast: > 0 } => Ingredients.BallastLooseKgPerM3,
            PartsMixDocument { StoneMm: var mm } => Ingredients.StoneLooseKgPerM3(mm),
            _ => Ingredients.StoneLooseKgPerM3(UsualStoneMm),
        });
        var water = One(nameof(said.Water), said.Water, Ingredients.WaterKgPerM3);
        return cement is { } c && sand is { } s && stone is { } st && water is { } w ? new Containers(c, s, st, w) : null;
    }

    private static List<Dose>? Doses(MixDocument mix, MixPlaces at, Gate gate)
    {
        var (doses, sound) = (new List<Dose>(), true);
        foreach (var kind in Enum.GetValues<Additive>())
        {
            var (amount, ofCement) = (mix.Additives.Of(kind), Additives.OfCement(kind));
            sound &= gate.InRange(at.Additive(kind), amount, 0, ofCement ? MostOfCement : MostDoses, ofCement ? RangeUnit.Pct : RangeUnit.None);
            if (amount > 0)
            {
                doses.Add(new Dose(kind, amount));
            }
        }

        return sound ? doses : null;
    }
}
