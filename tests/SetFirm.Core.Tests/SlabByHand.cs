using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests;

/// <summary>Plain Euler steps, written out from the heat balance and the water balance alone: slow, and another way than the model's.</summary>
internal static class SlabByHand
{
    public static IEnumerable<(double Hours, double Celsius, double EquivalentHours, double FilmKgM2)> Walk(ZonePour pour, HourlyWeather weather, double seconds, double hours)
    {
        var step = seconds / 3600;
        var (start, mix, depth) = ((pour.WaterAdded - weather.Start).TotalHours, pour.Mix, pour.Depth.Metres);
        var (ti, ratio) = (mix.ToInitialSet.TotalHours, mix.WaterCement!.Value);
        var cover = pour.CoveredAt * ti;
        var (whole, time) = (0.015 * mix.WaterKgPerM3 * depth * Math.Pow(ratio / 0.5, 1.5), 0.15 * ti);
        double t = pour.MixC, equivalent = 0, film = 0;
        // The ground by forty exponentials, close together, in steps of their own: another way to the half-space than the model's eight.
        var e = pour.Below switch { Below.Soil => 1500.0, Below.Stone => 900, Below.Concrete => 2100, _ => 0 };
        var modes = Enumerable.Range(0, 48).Select(k => Math.Exp(3.2 - (0.25 * k))).Select(w => (Rate: w * w, Weight: 2 / Math.PI * 0.25 * w)).ToArray();
        var memory = modes.Select(_ => t - (pour.GroundC ?? weather.MeanAirBefore(pour.WaterAdded))).ToArray();
        var stays = modes.Select(m => Math.Exp(-m.Rate * step)).ToArray();
        var perHour = (int)Math.Round(1 / step);
        for (var i = 0; i < hours * perHour; i++)
        {
            var air = weather.At(start + (i * step));
            var rate = t < 0 ? 0 : Math.Exp(-5000 * ((1 / (t + 273.15)) - (1 / 293.15)));
            if (i * step >= pour.ToPlaced.TotalHours)
            {
                var wind = air.WindKmh * 0.6;
                var (set, shut) = (equivalent >= cover, equivalent >= cover && pour.Cover == SlabCover.Shut);
                var bleeds = whole / time * Math.Exp(-equivalent / time) * rate;
                var dries = shut ? 0 : Evaporation.Uno(t, air.AirC, air.Humidity, wind);
                var goes = set && pour.Cover == SlabCover.KeptWet ? dries : film > 0 || bleeds >= dries ? dries : bleeds;
                film = equivalent >= 0.4 * ti ? 0 : Math.Max(0, film + ((bleeds - dries) * step));
                var reacted = equivalent <= 0 ? 0 : Math.Pow(14 / equivalent, 0.9);
                var heat = equivalent <= 0 ? 0 : mix.CementKgPerM3!.Value * 460e3 * (1.031 * ratio / (0.194 + ratio)) * Math.Exp(-reacted) * reacted * 0.9 / equivalent * rate / 3600;
                var sky = air.AirC - (4 * Math.Max(0, 1 - (air.SunWm2 / 50)));
                var flow = ((11 + (2 * wind / 3.6)) * (sky - t)) + (shut ? 0 : 0.6 * air.SunWm2) - (680 * goes) + (heat * depth);
                flow += e == 0 ? 4 * (air.AirC - t) : -e / 60 * modes.Zip(memory, (m, y) => m.Weight * y).Sum();
                var warmed = flow * step * 3600 / (2.4e6 * depth);
                t += warmed;
                for (var k = 0; k < modes.Length; k++)
                {
                    memory[k] = (memory[k] + warmed) * stays[k];
                }
            }

            equivalent += rate * step;
            yield return ((i + 1) % perHour == 0 ? (i + 1) / perHour : (i + 1) * step, t, equivalent, film);
        }
    }
}
