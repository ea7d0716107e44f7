using NodaTime;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>One zone as the clock sees it: a mix of one age at one depth.</summary>
/// <param name="Mix">What was mixed.</param>
/// <param name="Depth">Of the section.</param>
/// <param name="MixC">Temperature as mixed, °C.</param>
/// <param name="WaterAdded">The moment water met cement: every table counts from here.</param>
public sealed record ZonePour(ConcreteMix Mix, Length Depth, double MixC, Instant WaterAdded)
{
    /// <summary>From its water until it lies in the form: bleeding and drying begin then.</summary>
    public Duration ToPlaced { get; init; }

    /// <summary>What lies on it once it is covered.</summary>
    public SlabCover Cover { get; init; }

    /// <summary>Set progress at which the last pass is done and the face takes a cover: until then it lies open.</summary>
    public double CoveredAt { get; init; } = TakesCoverAt;

    /// <summary>No face takes even a light cover without a mark before this set progress. Source: site practice.</summary>
    public const double TakesCoverAt = 0.9;

    /// <summary>What lies under it.</summary>
    public Below Below { get; init; } = Below.Soil;

    /// <summary>How the weather at the pour differs from the forecast's.</summary>
    public Microclimate Site { get; init; } = Microclimate.Open;

    /// <summary>Resistance of what is laid over it in the nights once it is covered, m2K/W; 0 for nothing.</summary>
    public double NightCoverM2KPerW { get; init; }

    /// <summary>Of the ground, °C; null takes the mean air of the ten days before.</summary>
    public double? GroundC { get; init; }
}

/// <summary>Follows a zone through the weather. Pure: the same call gives the same history.</summary>
public interface ISlabModel
{
    /// <param name="pour">The zone.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="span">How far to follow it from <see cref="ZonePour.WaterAdded"/>.</param>
    SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span);

    /// <summary>The few moments that windows are made of, without keeping the whole history; the same sums as <see cref="Follow"/>.</summary>
    /// <param name="pour">The zone.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="ages">Equivalent hours, rising.</param>
    /// <param name="frostSafeH">Equivalent hours from which frost does no harm.</param>
    /// <param name="span">Followed no longer than this, and no longer than the last age.</param>
    /// <param name="reachedH">Takes the hours from its water at which each age is reached; infinity where it is not.</param>
    SlabMarks Mark(ZonePour pour, HourlyWeather weather, ReadOnlySpan<double> ages, double frostSafeH, Duration span, Span<double> reachedH);
}
