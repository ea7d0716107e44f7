using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>A mix as the later rooms see it, whichever way it was put together.</summary>
/// <param name="Family">How it sets and is cured.</param>
/// <param name="F28">Strength at 28 days, moist cured.</param>
/// <param name="CementKgPerM3">Cement in a cubic metre placed; null where the bag does not tell.</param>
/// <param name="WaterKgPerM3">Net mixing water: with the moisture of the sand, without what dry sand and stone soak up.</param>
/// <param name="SolidsKgPerM3">Cement, sand and stone.</param>
/// <param name="WaterCement">By mass; null where the cement is not known.</param>
/// <param name="AirShare">0-1 of the volume.</param>
/// <param name="ToInitialSet">At 20 °C, from the moment water meets cement.</param>
/// <param name="ToFinalSet">At 20 °C, likewise.</param>
/// <param name="AgeCoefficient">c of the strength curve, EN 1992-1-1 3.1.2 form.</param>
public sealed record ConcreteMix(
    MixFamily Family,
    Strength F28,
    double? CementKgPerM3,
    double WaterKgPerM3,
    double SolidsKgPerM3,
    double? WaterCement,
    double AirShare,
    Duration ToInitialSet,
    Duration ToFinalSet,
    double AgeCoefficient)
{
    /// <summary>How well its strength is known.</summary>
    public StrengthKnown Known { get; init; }

    /// <summary>The same mix where it sets in so many times the time, as a batch, a bag or a crew may have it.</summary>
    public ConcreteMix Setting(double factor) => this with { ToInitialSet = ToInitialSet * factor, ToFinalSet = ToFinalSet * factor };
}
