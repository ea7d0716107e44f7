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

    /// <summary>What lies on it from final set on.</summary>
    public SlabCover Cover { get; init; }

    /// <summary>Ground under it; else air.</summary>
    public bool OnGround { get; init; } = true;

    /// <summary>Of the ground, °C; null takes the mean of the weather's air.</summary>
    public double? GroundC { get; init; }
}

/// <summary>Follows a zone through the weather. Pure: the same call gives the same history.</summary>
public interface ISlabModel
{
    /// <param name="pour">The zone.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="span">How far to follow it from <see cref="ZonePour.WaterAdded"/>.</param>
    SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span);
}
