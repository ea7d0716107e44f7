using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>What a supplier's truck brings and allows. Source: ASTM C94; common terms, the supplier's own stand in their place.</summary>
/// <param name="Age">From its water to the site.</param>
/// <param name="OnSite">Of its time at the site, what is in the price.</param>
/// <param name="Limit">From its water until it is off.</param>
/// <param name="Chute">Its chute reaches the pour; else it is wheeled.</param>
/// <param name="Saturdays">It comes on Saturdays too; never on Sundays.</param>
/// <param name="From">It comes from here.</param>
/// <param name="Until">Until here.</param>
public sealed record TruckTerms(Duration Age, Duration OnSite, Duration Limit, bool Chute, bool Saturdays, LocalTime From, LocalTime Until)
{
    public const double UsualAgeMin = 45;

    public const double UsualOnSiteMin = 45;

    public const double UsualLimitMin = 90;

    /// <summary>It may be asked for then.</summary>
    public bool Comes(LocalDateTime at) =>
        at.DayOfWeek != IsoDayOfWeek.Sunday && (Saturdays || at.DayOfWeek != IsoDayOfWeek.Saturday) && at.TimeOfDay >= From && at.TimeOfDay <= Until;

    /// <summary>The next day on which it comes, that one included.</summary>
    public LocalDate NextDay(LocalDate from)
    {
        while (!Comes(from + From))
        {
            from = from.PlusDays(1);
        }

        return from;
    }
}

/// <summary>Concrete that a truck brings, of a strength class. It is placed barrow by barrow, or off the chute in stretches as long.</summary>
/// <remarks>Its w/c is the leanest of the table that gives the class, its water that of the table for stone and slump; sand and stone fill the rest. Source: ACI 211.1.</remarks>
public sealed record ReadyRecipe(ConcreteMix Mix, Strength Class, double StoneMm, double SlumpMm, TruckTerms Terms, Containers Containers, IReadOnlyList<Dose> Doses)
    : Recipe(Mix, UnitOf(Mix), StoneMm, Doses, Containers)
{
    /// <summary>A barrow load, litres.</summary>
    public const double UnitL = 60;

    /// <summary>One load of a common truck, m3.</summary>
    public const double LoadM3 = 6;

    /// <summary>Mean of sand and stone, kg/m3.</summary>
    private const double AggregateKgPerM3 = 2_665;

    public override Duration Age => Terms.Age;

    public override double LiftKg => 0;

    protected override double? UnitCementKg => Mix.CementKgPerM3 * UnitL / 1000;

    protected override double UnitDoses => (Mix.CementKgPerM3 ?? 0) * UnitL / 1000 / CementBagKg;

    public static ReadyRecipe Of(Strength strength, double stoneMm, Consistency consistency, bool air, TruckTerms terms, Containers containers, IReadOnlyList<Dose> doses)
    {
        ArgumentNullException.ThrowIfNull(terms);
        var slump = Consistencies.SlumpMm(consistency);
        var ratio = WaterCementStrength.LeanestFor(strength, air);
        var airShare = air ? ExposureLimits.Air(Exposure.FreezesOftenWet, stoneMm) : MixingWater.EntrappedAir(stoneMm);
        var water = MixingWater.KgPerM3(stoneMm, slump, air);
        var cement = water / ratio;
        var stones = (1 - airShare - (water / 1000) - (cement / Ingredients.CementKgPerM3)) * AggregateKgPerM3;
        var mixed = PartsMix.Mixed(new Proportions(cement, stones, 0, 0, water, airShare), strength);
        return new ReadyRecipe(Additives.Into(mixed with { Known = StrengthKnown.Table }, doses), strength, stoneMm, slump, terms, containers, doses);
    }

    public override BatchRecipe Batch(int units, int batches, double firstWater)
    {
        var (litres, kg) = (UnitL * units, Unit.Mass.Kilograms * units);
        return new BatchRecipe(units, units, batches, litres, kg, [new Measure(MeasuredThing.ReadyMix, "", null, 0, litres, kg)], 0, 0, Mix.WaterCement, 0, 0);
    }

    /// <summary>No water is added beyond the ticket.</summary>
    public override IReadOnlyList<WaterStrength> Ladder() => [];

    // Nothing of it is lifted into a mixer.
    private static BatchUnit UnitOf(ConcreteMix mix) => new(
        Volume.FromLitres(UnitL), default, 1, default, Mass.FromKilograms((mix.SolidsKgPerM3 + mix.WaterKgPerM3) * UnitL / 1000));
}
