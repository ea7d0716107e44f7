using System.Collections.Immutable;
using System.Globalization;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Takeoff;

/// <summary>How the concrete is got.</summary>
public enum WayKind
{
    Bagged,
    Parts,
    Truck,
}

/// <summary>Why a way does not do.</summary>
public enum WayMisfit
{
    TooWeak,
    TooMuchWater,
    NoAir,
    SectionTooThin,
    SectionTooThick,
    StoneTooLarge,
    NotInThisMixer,
}

/// <summary>One way to get the concrete.</summary>
/// <param name="Kind">How.</param>
/// <param name="Bag">Id of the bag; null where it is none.</param>
/// <param name="WaterPerBag">Text for the job: empty takes the middle of the bag's range.</param>
/// <param name="CementAddedPct">Cement added to a bag, of its mass.</param>
/// <param name="School">Which parts; null where they are none.</param>
/// <param name="Parts">By loose volume.</param>
/// <param name="StoneMm">Largest stone.</param>
/// <param name="Consistency">It is meant for.</param>
/// <param name="AirEntrained">Air is stirred in.</param>
/// <param name="F28Mpa">To expect.</param>
/// <param name="WaterCement">By mass; null where not told.</param>
/// <param name="Cost">What is in it, as bought; money.</param>
/// <param name="PerLitre">Money for a litre placed.</param>
/// <param name="Hours">Of work, all hands together; null where it cannot be batched here.</param>
/// <param name="Kg">To carry.</param>
/// <param name="Misfits">Why it does not do; none where it does.</param>
/// <param name="Proposed">The cheapest that does, work counted.</param>
/// <param name="Taken">It is the job's own.</param>
public sealed record Way(
    WayKind Kind,
    string? Bag,
    string? WaterPerBag,
    double CementAddedPct,
    PartsSchool? School,
    Parts? Parts,
    double StoneMm,
    Consistency? Consistency,
    bool AirEntrained,
    double F28Mpa,
    double? WaterCement,
    double Cost,
    double PerLitre,
    double? Hours,
    double Kg,
    ImmutableArray<WayMisfit> Misfits,
    bool Proposed,
    bool Taken);

/// <summary>What ways are weighed by.</summary>
/// <param name="Demand">What the concrete has to be.</param>
/// <param name="Uses">What it is for.</param>
/// <param name="OrderL">Litres with waste and hold-back.</param>
/// <param name="Sold">Whose bags.</param>
/// <param name="Bags">The user's own.</param>
/// <param name="Prices">Noted.</param>
/// <param name="Place">Mixer, crew and barrow run; null while they are not known.</param>
/// <param name="HourWorth">Money that an hour counts.</param>
/// <param name="Laying">Where it goes.</param>
public sealed record WaysContext(
    MixDemand Demand, ImmutableArray<MixUse> Uses, double OrderL, UnitSystem Sold, ImmutableArray<BagMix> Bags, PriceBook Prices, MixingPlace? Place, double HourWorth, Laying Laying);

/// <summary>The ways to get the concrete, side by side.</summary>
public static class Ways
{
    /// <summary>A skim's mortar wants this much cement more, per cent of its mass. Source: site practice.</summary>
    public const double EnrichedPercent = 8;

    private static readonly ImmutableArray<double> TruckClasses = [20, 25, 30, 35, 40];

    /// <summary>The one that is proposed first, then those that do, the cheapest first; then the rest.</summary>
    /// <param name="context">What they are weighed by.</param>
    /// <param name="said">The job's own mix.</param>
    /// <param name="recipe">The same, planned; its containers and additives are those of every way.</param>
    public static IReadOnlyList<Way> All(WaysContext context, MixSaid said, Recipe recipe)
    {
        var (containers, doses) = (recipe.Containers, recipe.Doses);
        var moisture = said is MixSaid.ByParts { Moisture: var m } ? m : Moisture.Damp;
        var found = Bags(context, containers, doses).Concat(Schools(context, moisture, containers, doses)).Append(Truck(context, containers)).ToList();
        // The job's own is told as the job has it: with its own water, and its own additives.
        var mine = found.FindIndex(w => IsTaken(w, said));
        if (mine >= 0)
        {
            var own = Weighed(recipe, context, found[mine].Kind);
            var thickness = found[mine].Misfits.Where(m => m is WayMisfit.SectionTooThin or WayMisfit.SectionTooThick);
            found[mine] = found[mine] with { F28Mpa = own.F28Mpa, WaterCement = own.WaterCement, Cost = own.Cost, PerLitre = own.PerLitre, Hours = own.Hours, Kg = own.Kg, Misfits = [.. own.Misfits, .. thickness] };
        }

        double All(Way w) => w.Cost + ((w.Hours ?? 0) * context.HourWorth);
        var ordered = found.OrderBy(w => w.Misfits.Length > 0).ThenBy(All).ToList();
        return [.. ordered.Select((w, i) => w with { Proposed = i == 0 && w.Misfits.Length == 0, Taken = IsTaken(w, said) })];
    }

    /// <summary>Hours of work, all hands together, for a volume of a recipe; null where it cannot be batched here.</summary>
    public static double? Hours(BatchUnit unit, double litres, WaysContext context) =>
        context.Place is not { } place || place.Soonest(Volume.FromLitres(Math.Max(litres, 0.1)), unit, context.Laying) is not Batched.Fits { Plan: var plan }
            ? null
            : PourSchedule.Of(new LoadPlan(place, plan, context.Laying), default).Mixing.TotalHours * place.Crew.Hands;

    /// <summary>The same for a curve over volume: by full mixers, however many; a mixer that takes no unit is filled past its mark.</summary>
    public static double PacedHours(BatchUnit unit, double litres, WaysContext context)
    {
        if (context.Place is not { } place)
        {
            return 0;
        }

        var units = place.Fewest(Volume.FromLitres(1e4), unit) is Batched.Fits { Plan: var plan } ? plan.Units.Max() : 1;
        return new Pace(place, unit, context.Laying).Minutes(units, Math.Max(1, litres / unit.Yield.Litres / units)) / 60 * place.Crew.Hands;
    }

    /// <summary>Hours of work, all hands together, to take a truck's concrete off: wheeled, spread and struck off.</summary>
    public static double TruckHours(double litres, WaysContext context) => context.Place is { } place ? Pace.PlacingMin(litres, place, context.Laying) / 60 : 0;

    private static IEnumerable<Way> Bags(WaysContext context, Containers containers, IReadOnlyList<Dose> doses)
    {
        var skim = context.Uses.Contains(MixUse.Skim);
        foreach (var bag in BagCatalogue.All.Where(b => b.Sold is null || b.Sold == context.Sold).Concat(context.Bags))
        {
            // The middle of its range, or less where the weather asks for less.
            var most = bag.Cement is not null && context.Demand.MostWaterCement is { } ratio ? MixAdvice.DriestFor(bag, ratio) : double.PositiveInfinity;
            var litres = most >= bag.MiddleWater.Litres ? bag.MiddleWater.Litres : Math.Max(bag.LeastWater.Litres, most);
            var added = skim && bag.Kind == BagKind.Mortar ? EnrichedPercent : 0;
            var way = Weighed(BaggedRecipe.Of(bag, Volume.FromLitres(litres), added, containers, doses), context, WayKind.Bagged);
            yield return way with
            {
                Bag = bag.Id,
                WaterPerBag = litres < bag.MiddleWater.Litres ? string.Create(CultureInfo.InvariantCulture, $"{litres:0.00} L") : "",
                CementAddedPct = added,
                Misfits = [.. way.Misfits, .. Thickness(bag, context.Demand)],
            };
        }
    }

    private static IEnumerable<Way> Schools(WaysContext context, Moisture moisture, Containers containers, IReadOnlyList<Dose> doses)
    {
        foreach (var usual in context.Uses.SelectMany(u => MixUses.Ways(u)).DistinctBy(w => w.School))
        {
            // Where it freezes wet, air is stirred in.
            var airy = context.Demand.AirShare > 0 && doses.All(d => d.Kind != Additive.AirEntrainer) ? [.. doses, new Dose(Additive.AirEntrainer, 1)] : doses;
            yield return Weighed(PartsRecipe.Of(usual.Parts, usual.StoneMm, usual.Consistency, moisture, containers, airy), context, WayKind.Parts) with
            {
                School = usual.School,
                Parts = usual.Parts,
                StoneMm = usual.StoneMm,
                Consistency = usual.Consistency,
                AirEntrained = airy.Any(d => d.Kind == Additive.AirEntrainer),
            };
        }
    }

    private static Way Truck(WaysContext context, Containers containers)
    {
        var demand = context.Demand;
        var asked = TruckClasses.FirstOrDefault(c => c >= demand.LeastMpa, TruckClasses[^1]);
        var usual = context.Uses.SelectMany(u => MixUses.Ways(u)).FirstOrDefault() ?? MixUses.Ways(MixUse.Slab)[0];
        var stone = TradeSizes.Over(usual.StoneMm, demand.MostStoneMm) ? LeastTruckStoneMm : Math.Max(usual.StoneMm, LeastTruckStoneMm);
        var terms = new TruckTerms(
            NodaTime.Duration.FromMinutes(TruckTerms.UsualAgeMin), NodaTime.Duration.FromMinutes(TruckTerms.UsualOnSiteMin), NodaTime.Duration.FromMinutes(TruckTerms.UsualLimitMin),
            Chute: false, Saturdays: false, new NodaTime.LocalTime(7, 0), new NodaTime.LocalTime(16, 0));
        // A class of its own for a w/c that is asked for.
        var recipe = TruckClasses.Where(c => c >= asked).Select(c => ReadyRecipe.Of(Strength.FromMegapascals(c), stone, usual.Consistency, demand.AirShare > 0, terms, containers, [])).ToArray();
        var fits = recipe.FirstOrDefault(r => !(r.Mix.WaterCement > demand.MostWaterCement + 1e-9)) ?? recipe[^1];
        return Weighed(fits, context, WayKind.Truck) with { StoneMm = stone, Consistency = usual.Consistency, AirEntrained = demand.AirShare > 0 };
    }

    /// <summary>No truck brings finer stone, mm.</summary>
    private const double LeastTruckStoneMm = 10;

    private static Way Weighed(Recipe recipe, WaysContext context, WayKind kind)
    {
        var units = (int)Math.Min(int.MaxValue / 4, Math.Ceiling((context.OrderL / recipe.Unit.Yield.Litres) - 1e-9));
        var (cost, kg) = Buying.Total(RecipeNeeds.Of(recipe, Math.Max(1, units), context.Sold, _ => null), context.Prices);
        var hours = Hours(recipe.Unit, context.OrderL, context with { Place = context.Place?.For(recipe) });
        ImmutableArray<WayMisfit> misfits = context.Place is not null && hours is null ? [.. Misfits(recipe, context.Demand), WayMisfit.NotInThisMixer] : [.. Misfits(recipe, context.Demand)];
        return new Way(
            kind, null, null, 0, null, null, recipe.StoneMm, null, false, recipe.Mix.F28.Megapascals, recipe.Mix.WaterCement, cost, PerLitre(cost, context),
            hours, kg, misfits, false, false);
    }

    private static double PerLitre(double cost, WaysContext context) => context.OrderL > 0 ? cost / context.OrderL : 0;

    private static IEnumerable<WayMisfit> Misfits(Recipe recipe, MixDemand demand)
    {
        const double slack = 1e-9;
        if (recipe.Mix.F28.Megapascals < demand.LeastMpa - slack || (recipe.Mix.Known == StrengthKnown.Under && demand.LeastMpa > 0))
        {
            yield return WayMisfit.TooWeak;
        }

        if (recipe.Mix.WaterCement > demand.MostWaterCement + slack)
        {
            yield return WayMisfit.TooMuchWater;
        }

        if (recipe.Mix.AirShare < demand.AirShare - slack)
        {
            yield return WayMisfit.NoAir;
        }

        if (TradeSizes.Over(recipe.StoneMm, demand.MostStoneMm))
        {
            yield return WayMisfit.StoneTooLarge;
        }
    }

    private static IEnumerable<WayMisfit> Thickness(BagMix bag, MixDemand demand)
    {
        if (TradeSizes.Under(demand.ThinnestMm, bag.LeastThickness.Millimetres))
        {
            yield return WayMisfit.SectionTooThin;
        }

        if (bag.MostThickness is { } most && TradeSizes.Over(demand.ThickestMm, most.Millimetres))
        {
            yield return WayMisfit.SectionTooThick;
        }
    }

    private static bool IsTaken(Way way, MixSaid said) => said switch
    {
        MixSaid.Bagged bagged => bagged.Bag.Id == way.Bag && bagged.CementAddedPct == way.CementAddedPct,
        MixSaid.ByParts parts => way.Parts == parts.Parts,
        MixSaid.Ready => way.Kind == WayKind.Truck,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>The first bag that would do, to be taken instead.</summary>
    public static BagInstead? Bag(IReadOnlyList<Way> ways) =>
        ways.FirstOrDefault(w => w.Kind == WayKind.Bagged && w.Misfits.Length == 0) is { Bag: { } bag, WaterPerBag: { } water } way
            ? new BagInstead(bag, water, way.CementAddedPct, way.F28Mpa, way.Cost)
            : null;
}
