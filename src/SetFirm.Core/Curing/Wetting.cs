using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Curing;

/// <summary>How the slab is kept wet.</summary>
public enum CuringMethod
{
    /// <summary>Hose or watering can on the bare surface.</summary>
    Bare,
    Burlap,
    BurlapUnderPlastic,

    /// <summary>Plastic laid flat and touching, wetted beneath.</summary>
    Plastic,

    /// <summary>Water stands on it behind a low bank.</summary>
    Ponding,

    /// <summary>It stays in its form or mould, its face covered.</summary>
    InForm,

    /// <summary>Curing compound sprayed on: no watering.</summary>
    Compound,

    /// <summary>Cure and seal in one, on the day: no watering.</summary>
    CureAndSeal,
}

/// <summary>How often and how long to wet. Source: ACI 308R and site practice.</summary>
public static class Wetting
{
    /// <summary>Under this interval a method cannot be kept up, hours.</summary>
    public const double ShortestHours = 1;

    public const double LongestHours = 24;

    /// <summary>Mean air above which the plain days hold, °C.</summary>
    public const double WarmEnoughC = 10;

    /// <summary>Colder, it is kept wet until this share of f28 by maturity.</summary>
    public const double ColdShare = 0.70;

    /// <summary>A rapid mix is kept wet this long, hours, of the 1-4 its makers ask.</summary>
    public const double RapidHours = 4;

    /// <summary>Water a method holds on the surface, kg/m2; infinite where it keeps the concrete's own and wants no watering.</summary>
    public static double Store(CuringMethod method) => method switch
    {
        CuringMethod.Ponding => 20,
        CuringMethod.InForm or CuringMethod.Compound or CuringMethod.CureAndSeal => double.PositiveInfinity,
        CuringMethod.Bare => 0.15,
        CuringMethod.Burlap => 1.0,
        CuringMethod.BurlapUnderPlastic => 8,
        CuringMethod.Plastic => 12,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    /// <summary>Hours between wettings: store / E, clipped to 1-24.</summary>
    /// <param name="storeKgPerM2">What the method holds.</param>
    /// <param name="evaporationKgPerM2H">0 or more.</param>
    public static double IntervalHours(double storeKgPerM2, double evaporationKgPerM2H) =>
        evaporationKgPerM2H <= 0 ? LongestHours : Math.Clamp(storeKgPerM2 / evaporationKgPerM2H, ShortestHours, LongestHours);

    /// <summary>False where the method keeps the concrete's own water in.</summary>
    public static bool WantsWater(CuringMethod method) => double.IsFinite(Store(method));

    /// <summary>Neither sun nor drying reaches the face under it.</summary>
    public static bool ShutsIn(CuringMethod method) => method is CuringMethod.Plastic or CuringMethod.BurlapUnderPlastic or CuringMethod.InForm;

    /// <summary>It goes on as soon as the last pass is done.</summary>
    public static bool SprayedOn(CuringMethod method) => method is CuringMethod.Compound or CuringMethod.CureAndSeal;

    /// <summary>What it does to the face once it is covered.</summary>
    public static SlabCover Cover(CuringMethod method) => ShutsIn(method) ? SlabCover.Shut : WantsWater(method) ? SlabCover.KeptWet : SlabCover.None;

    /// <summary>True where the method dries out in under an hour: cover it instead.</summary>
    public static bool CannotBeKept(double storeKgPerM2, double evaporationKgPerM2H) => evaporationKgPerM2H * ShortestHours > storeKgPerM2;

    /// <summary>Days of wet curing to advise.</summary>
    /// <param name="family">How the mix gains strength.</param>
    /// <param name="meanAirC">Over the first week.</param>
    /// <param name="daysToColdShare">Calendar days until <see cref="ColdShare"/> of f28 when kept wet; null when out of sight.</param>
    public static double AdvisedDays(MixFamily family, double meanAirC, double? daysToColdShare) => family switch
    {
        MixFamily.Rapid => RapidHours / 24,
        MixFamily.HighEarly => 3,
        MixFamily.Portland when meanAirC > WarmEnoughC => 7,
        MixFamily.Portland => Math.Clamp(Math.Ceiling(daysToColdShare ?? 28), 7, 28),
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
