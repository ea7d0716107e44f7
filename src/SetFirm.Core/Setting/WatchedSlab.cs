using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>The same model for as long as somebody waits.</summary>
/// <param name="model">Follows zones.</param>
/// <param name="budget">Knows whether somebody does.</param>
public sealed class WatchedSlab(ISlabModel model, Budget budget) : ISlabModel
{
    public SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span)
    {
        budget.GoOn();
        return model.Follow(pour, weather, span);
    }

    public SlabMarks Mark(ZonePour pour, HourlyWeather weather, ReadOnlySpan<double> ages, double frostSafeH, Duration span, Span<double> reachedH)
    {
        budget.GoOn();
        return model.Mark(pour, weather, ages, frostSafeH, span, reachedH);
    }
}
