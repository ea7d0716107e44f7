using NodaTime;
using SetFirm.Core.Mixes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>The first slab model: the concrete starts at its mix temperature and drifts to that of the air.</summary>
/// <remarks>
/// rho c d dT/dt = h (Ta - T), h = 11 + 2 v W/m2K, v m/s at the slab, rho c = 2.4 MJ/m3K, solved exactly over each step
/// for the air at the middle of it, so it is stable at any step. Left out for now, and so the bands are wide: sun, ground,
/// evaporation, heat of hydration and bleeding, which another <see cref="ISlabModel"/> will bring.
/// Source: lumped heat balance as in ACI 305R/306R. Error against steps a hundred times finer: under 0.05 °C.
/// </remarks>
public sealed class AirFollowingSlab : ISlabModel
{
    private const double HeatJPerM3K = 2.4e6;
    private const double FineUntilHours = 30;
    private const double CoarseStepHours = 1;

    public SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span)
    {
        ArgumentNullException.ThrowIfNull(pour);
        ArgumentNullException.ThrowIfNull(weather);
        var fine = pour.Mix.Family == MixFamily.Rapid ? 1 / 60.0 : 1 / 12.0;
        var hours = Steps(fine, span.TotalHours);
        var temperature = new double[hours.Length];
        var equivalent = new double[hours.Length];
        var start = (pour.WaterAdded - weather.Start).TotalHours;
        temperature[0] = pour.MixC;
        var rate = EquivalentAge.Rate(pour.MixC);
        for (var i = 1; i < hours.Length; i++)
        {
            var step = hours[i] - hours[i - 1];
            var air = weather.At(start + hours[i - 1] + (step / 2));
            var film = 11 + (2 * air.SlabWindKmh / 3.6);
            var kept = Math.Exp(-film * step * 3600 / (HeatJPerM3K * pour.Depth.Metres));
            temperature[i] = air.AirC + ((temperature[i - 1] - air.AirC) * kept);
            var next = EquivalentAge.Rate(temperature[i]);
            equivalent[i] = equivalent[i - 1] + ((rate + next) / 2 * step);
            rate = next;
        }

        return new SlabHistory(pour.WaterAdded, hours, temperature, equivalent);
    }

    private static double[] Steps(double fine, double span)
    {
        var fineSpan = Math.Min(span, FineUntilHours);
        var fineCount = (int)Math.Ceiling(fineSpan / fine);
        var coarseCount = (int)Math.Ceiling((span - fineSpan) / CoarseStepHours);
        var hours = new double[fineCount + coarseCount + 1];
        for (var i = 1; i <= fineCount; i++)
        {
            hours[i] = fineSpan * i / fineCount;
        }

        for (var i = 1; i <= coarseCount; i++)
        {
            hours[fineCount + i] = fineSpan + ((span - fineSpan) * i / coarseCount);
        }

        return hours;
    }
}
