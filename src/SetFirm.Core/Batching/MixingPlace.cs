using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>What one batch may come to.</summary>
/// <param name="Wet">Concrete.</param>
/// <param name="Loose">Dry ingredients as they lie.</param>
/// <param name="Mass">Wet; null where only volume limits it.</param>
/// <param name="Dry">By hand; null where a motor does it.</param>
/// <param name="Bags">By hand; null where a motor does it.</param>
public sealed record BatchLimit(Volume Wet, Volume Loose, Mass? Mass = null, Mass? Dry = null, double? Bags = null)
{
    /// <summary>By volume alone.</summary>
    public static BatchLimit Of(Volume capacity, Mass? mass = null) => new(capacity, capacity * Mixer.LooseOverCapacity, mass);
}

/// <summary>What it is mixed in, by whom, and how far away.</summary>
/// <param name="Mixer">One of them.</param>
/// <param name="Crew">Hands, and how many mixers.</param>
/// <param name="Barrow">One way.</param>
/// <param name="Plate">What the mixer's plate allows; null where nothing is said.</param>
public sealed record MixingPlace(Mixer Mixer, Crew Crew, Length Barrow, Mass? Plate)
{
    public PaceFigures Figures { get; init; } = PaceFigures.Usual;

    /// <summary>Where a recipe comes mixed it is not mixed here.</summary>
    public MixingPlace For(Recipe recipe) => recipe is ReadyRecipe { Terms: var terms, Unit.Yield: var load }
        ? this with { Mixer = new TruckLoad(load, terms.Chute), Plate = null, Crew = Crew with { Mixers = 1 } }
        : this;

    /// <summary>What one batch may come to: a plate is believed; by hand it raises comfort to the most at the most.</summary>
    public BatchLimit Limit
    {
        get
        {
            var limit = BatchLimit.Of(Mixer.Capacity, Plate ?? Mixer.Carries);
            if (Mixer.By != MixedBy.Hoe)
            {
                return limit;
            }

            var (bags, kg) = Plate is null ? HandMixer.InComfort : HandMixer.AtTheMost;
            return limit with { Mass = null, Dry = Mass.FromKilograms(Math.Min(kg, Plate?.Kilograms ?? kg)), Bags = bags };
        }
    }

    /// <summary>A volume in as few batches as it goes into.</summary>
    public Batched Fewest(Volume wanted, BatchUnit unit) => Batches.Split(wanted, unit, Limit);

    /// <summary>A volume in the batches that are done soonest, the fewer where it makes no odds.</summary>
    /// <param name="wanted">To be placed, hold-back included.</param>
    /// <param name="unit">The least that a batch is made in.</param>
    /// <param name="laying">Where it goes.</param>
    /// <remarks>
    /// Smaller batches cost a round more each, and save where one hand lays a batch while another mixes the next. So one thing more to place is
    /// never done sooner. Source: see <see cref="Pace"/>.
    /// </remarks>
    public Batched Soonest(Volume wanted, BatchUnit unit, Laying laying)
    {
        var limit = Limit;
        var found = Batches.Split(wanted, unit, limit);
        if (Mixer.By == MixedBy.Plant || found is not Batched.Fits { Plan: var plan })
        {
            return found;
        }

        double Takes(BatchPlan plan) => PourSchedule.Of(new LoadPlan(this, plan, laying), default).Mixing.TotalMinutes;
        var (fewest, soonest) = (plan.Units.Length, Takes(plan));
        for (var count = fewest + 1; count <= Math.Min(fewest + LookFurther, Batches.Most); count++)
        {
            if (Batches.Split(wanted, unit, limit, count) is Batched.Fits { Plan: var more } fits && more.Units.Length == count && Takes(more) is var takes && takes < soonest - Slack)
            {
                (found, soonest) = (fits, takes);
            }
        }

        return found;
    }

    /// <summary>Batches more that may pay: with further ones it is the rounds that count.</summary>
    private const int LookFurther = 3;

    /// <summary>Minutes that sums of them may be off by.</summary>
    private const double Slack = 1e-6;
}

/// <summary>A mixer, a crew, the batches they make and where these go.</summary>
public sealed record LoadPlan(MixingPlace Place, BatchPlan Batches, Laying Laying)
{
    /// <summary>How old it is when it reaches the site.</summary>
    public NodaTime.Duration Age { get; init; }

    /// <summary>Share of the water that goes in first.</summary>
    public double FirstWater => Place.Mixer.FirstWater;

    public Crew Crew => Place.Crew;

    public Pace Pace => new(Place, Batches.Unit, Laying);

    /// <summary>With so many more hands, and mixers for them.</summary>
    public LoadPlan With(Crew crew) => this with { Place = Place with { Crew = crew } };
}
