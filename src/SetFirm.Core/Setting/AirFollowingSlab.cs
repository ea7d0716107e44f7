using System.Collections.Concurrent;
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

    /// <summary>Steps grow with age, as changes slow down: hours of age until which a step of so many hours holds.</summary>
    private static readonly (double Until, double Step)[] Steps = [(12, 1 / 6.0), (48, 0.5), (14 * 24, 1), (double.MaxValue, 4)];

    /// <summary>Steps depend on nothing but these two, and are never written to, so all histories share them.</summary>
    private static readonly ConcurrentDictionary<(bool Rapid, Duration Span), double[]> Schedules = new();

    private static readonly (double Until, double Step)[] RapidSteps = [(6, 1 / 60.0), .. Steps];

    public SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span)
    {
        ArgumentNullException.ThrowIfNull(pour);
        ArgumentNullException.ThrowIfNull(weather);
        var hours = Schedules.GetOrAdd((pour.Mix.Family == MixFamily.Rapid, span), s => Hours(s.Rapid ? RapidSteps : Steps, s.Span.TotalHours));
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

    private static double[] Hours((double Until, double Step)[] steps, double span)
    {
        var hours = new List<double> { 0 };
        var from = 0.0;
        foreach (var (until, step) in steps)
        {
            var to = Math.Min(span, until);
            var count = to > from ? (int)Math.Ceiling((to - from) / step) : 0;
            for (var i = 1; i <= count; i++)
            {
                hours.Add(from + ((to - from) * i / count));
            }

            from = Math.Max(from, to);
        }

        return [.. hours];
    }
}
