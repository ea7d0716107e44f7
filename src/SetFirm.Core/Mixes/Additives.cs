using NodaTime;

namespace SetFirm.Core.Mixes;

/// <summary>What is stirred into a mix in small amounts.</summary>
public enum Additive
{
    /// <summary>Sets later.</summary>
    Retarder,

    /// <summary>Sets sooner, without chloride.</summary>
    Accelerator,

    /// <summary>Calcium chloride: sets sooner, and rusts steel.</summary>
    ChlorideAccelerator,

    /// <summary>Moves more at the same water.</summary>
    Plasticiser,

    /// <summary>Small bubbles that leave room for ice; for parts only.</summary>
    AirEntrainer,

    /// <summary>For mixing a little below the cold limit.</summary>
    Antifreeze,

    /// <summary>Colour, in per cent of the cement by mass.</summary>
    Pigment,

    /// <summary>Liquid or powder, by what is solid of it.</summary>
    Polymer,
}

/// <summary>An additive and how much of it.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Amount">Doses to a bag (or to 25 kg of cement); of pigment and polymer, per cent of the cement by mass.</param>
public readonly record struct Dose(Additive Kind, double Amount);

/// <summary>What additives do to a mix. Source: common labels (tune).</summary>
public static class Additives
{
    /// <summary>Doses of retarder that one bag takes.</summary>
    public const double MostRetarder = 1;

    /// <summary>It is weighed against the cement, not dosed.</summary>
    public static bool OfCement(Additive kind) => kind is Additive.Pigment or Additive.Polymer;

    /// <summary>Pigment is meant for up to this much of the cement, per cent; past the second it costs strength.</summary>
    public const double UsualPigmentPercent = 6;

    public const double MostPigmentPercent = 10;

    /// <summary>Antifreeze is for mixing below this air, °C.</summary>
    public const double AntifreezeBelowC = 6;

    /// <summary>A plasticised mix with coarse stone segregates in a form deeper than this, metres. (tune)</summary>
    public const double PlasticisedDeepM = 0.3;

    /// <summary>Stone that is coarse there, mm. (tune)</summary>
    public const double CoarseMm = 19;

    /// <summary>Less water at the same slump with a plasticiser, share.</summary>
    public const double PlasticiserSaves = 0.10;

    private const double RetarderFactor = 2;
    private const double AcceleratorFactor = 0.6;

    /// <summary>By how much both set times grow. A part of a dose does its part.</summary>
    public static double SetFactor(Dose dose) => dose.Kind switch
    {
        Additive.Retarder => Math.Pow(RetarderFactor, dose.Amount),
        Additive.Accelerator or Additive.ChlorideAccelerator => Math.Pow(AcceleratorFactor, Math.Min(dose.Amount, 1)),
        Additive.Plasticiser or Additive.AirEntrainer or Additive.Antifreeze or Additive.Pigment or Additive.Polymer => 1,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    public static double SetFactor(IEnumerable<Dose> doses) => doses.Aggregate(1.0, (factor, dose) => factor * SetFactor(dose));

    /// <summary>The mix with its set times changed: final set is first two hours after initial, then both are multiplied.</summary>
    public static ConcreteMix Into(ConcreteMix mix, IReadOnlyCollection<Dose> doses)
    {
        ArgumentNullException.ThrowIfNull(mix);
        var factor = SetFactor(doses);
        return mix with { ToInitialSet = Scaled(mix.ToInitialSet, factor), ToFinalSet = Scaled(mix.ToFinalSet, factor) };
    }

    private static Duration Scaled(Duration set, double factor) => Duration.FromSeconds(set.TotalSeconds * factor);
}
