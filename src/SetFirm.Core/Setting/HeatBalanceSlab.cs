using System.Collections.Concurrent;
using NodaTime;
using SetFirm.Core.Mixes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>The slab's heat, its set clock and the water on its face, followed together from the water on.</summary>
/// <remarks>
/// Lumped over the depth d: rho c d dT/dt = h (Ta - T) + a G - 680 W + g + q d, with rho c = 2.4 MJ/m3K, h = 11 + 2 v W/m2K
/// (v m/s at the slab), a = 0.6, g the heat from the ground (<see cref="GroundHeat"/>) or 4 W/m2K from the air below, W the water evaporated, q the heat of hydration. Exact for steady surroundings over each step,
/// with evaporation, hydration and bleeding taken at its middle; the water is balanced exactly: no more evaporates than bleeds and lies there.
/// Sources: ACI 305R/306R; <see cref="Hydration"/>, <see cref="Bleeding"/>, <see cref="Evaporation"/>, <see cref="EquivalentAge"/>.
/// Range: sections of 5-2,000 mm, air -40 to 50 °C. Error against steps a hundred times finer and the half-space by 48 exponentials: under 0.25 °C and 1.5 % of how far it has warmed, and 2 % of age.
/// </remarks>
/// <param name="nightSkyK">How much colder than the air a clear or unknown night sky makes it, K. (tune)</param>
/// <param name="stepsInHour">In the first day; a rapid mix takes ten times as many in its first hours.</param>
public sealed class HeatBalanceSlab(double nightSkyK = HeatBalanceSlab.UsualNightSkyK, int stepsInHour = HeatBalanceSlab.UsualStepsInHour) : ISlabModel
{
    public const double UsualNightSkyK = 4;

    public const int UsualStepsInHour = 6;

    /// <summary>Where hundreds of paths are followed for a share of them: windows move by under five minutes, or 1.5 % of a long wait, away from freezing.</summary>
    public const int CoarseStepsInHour = 2;

    /// <summary>Heat to warm a cubic metre by a degree.</summary>
    public const double HeatJPerM3K = 2.4e6;

    /// <summary>Heat that a kilogram of water takes when it evaporates in an hour from a square metre, W.</summary>
    public const double LatentW = 680;

    public const double SunTaken = 0.6;
    /// <summary>From the air under a deck, a bench or a mould. (tune)</summary>
    public const double AirBelowWPerM2K = 4;

    /// <summary>From this much sun down to none the night sky comes to bear, W/m2.</summary>
    private const double DuskWPerM2 = 50;

    /// <summary>A surface is no warmer than the air and this, where its drying is judged, K.</summary>
    public const double DryingAboveAirK = 5;

    /// <summary>Set progress at which water that still stands is dragged off, never worked in.</summary>
    public const double DraggedOffAt = 0.40;

    /// <summary>No step is parted finer, hours.</summary>
    private const double LeastStepH = 1e-5;

    /// <summary>Steps across 0 °C are no longer than this, hours.</summary>
    private const double FreezingStepH = 1 / 100.0;

    /// <summary>Ages nearer than this are one, equivalent hours.</summary>
    private const double Near = 1e-6;

    private const double RapidHours = 6;

    /// <summary>Steps depend on nothing but these, and are never written to, so all histories share them.</summary>
    private static readonly ConcurrentDictionary<(bool Rapid, Duration Span, int InHour), double[]> Schedules = new();

    public SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span)
    {
        ArgumentNullException.ThrowIfNull(pour);
        ArgumentNullException.ThrowIfNull(weather);
        var hours = Schedule(pour, span);
        var track = new SlabTrack(hours.Length);
        var step = new SlabStep(pour, weather, nightSkyK);
        var state = step.Start;
        var marking = new SlabMarking(pour, frostSafeH: 0);
        track.Set(0, state);
        for (var i = 1; i < hours.Length; i++)
        {
            var before = state;
            state = step.Forward(before, hours[i - 1], hours[i], out var water);
            marking.Pass(hours[i - 1], hours[i], before, state, water);
            track.Set(i, state);
        }

        return new SlabHistory(pour.WaterAdded, pour.ToPlaced, hours, track, marking.Marks());
    }

    public SlabMarks Mark(ZonePour pour, HourlyWeather weather, ReadOnlySpan<double> ages, double frostSafeH, Duration span, Span<double> reachedH)
    {
        ArgumentNullException.ThrowIfNull(pour);
        ArgumentNullException.ThrowIfNull(weather);
        var hours = Schedule(pour, span);
        var step = new SlabStep(pour, weather, nightSkyK);
        var state = step.Start;
        var marking = new SlabMarking(pour, frostSafeH);
        reachedH.Fill(double.PositiveInfinity);
        var (at, next, i) = (0.0, 0, 1);
        while (i < hours.Length && (next < ages.Length || state.EquivalentH < frostSafeH))
        {
            // After the last age only the frost is waited for, in longer steps.
            i = next < ages.Length ? i : Math.Min(hours.Length - 1, i + stepsInHour - 1);
            var before = state;
            state = step.Forward(before, at, hours[i], out var water);
            marking.Pass(at, hours[i], before, state, water);
            for (; next < ages.Length && ages[next] <= state.EquivalentH; next++)
            {
                // Frozen concrete stands at one age: it has it from the start of the step.
                var behind = Math.Max(0, ages[next] - before.EquivalentH);
                reachedH[next] = behind == 0 ? at : at + (behind / (state.EquivalentH - before.EquivalentH) * (hours[i] - at));
            }

            at = hours[i++];
        }

        return marking.Marks();
    }

    private double[] Schedule(ZonePour pour, Duration span) =>
        Schedules.GetOrAdd((pour.Mix.Family == MixFamily.Rapid, span, stepsInHour), s => Hours(s.Rapid, s.InHour, s.Span.TotalHours));

    /// <summary>Where a slab stands: °C, equivalent hours, water on its face in kg/m2.</summary>
    /// <param name="TemperatureC">Mean over the depth.</param>
    /// <param name="EquivalentH">Hours at 20 °C since water met cement.</param>
    /// <param name="FilmKgM2">Water on its face.</param>
    /// <param name="Dragged">Water still stood on it when it had to be dragged off.</param>
    /// <param name="Still">Share of its bleed water that has still to rise.</param>
    /// <param name="Ground">What lies under it remembers.</param>
    internal readonly record struct SlabState(double TemperatureC, double EquivalentH, double FilmKgM2, bool Dragged, double Still, GroundMemory Ground);

    /// <summary>One zone in one run of weather.</summary>
    private readonly struct SlabStep
    {
        private readonly HourlyWeather weather;
        private readonly Hydration hydration;
        private readonly Bleeding bleeding;
        private readonly SlabCover cover;
        private readonly double startH;
        private readonly double placedH;
        private readonly double depthM;
        private readonly double halfHoursOverHeat;
        private readonly double initialH;
        private readonly double dragH;
        private readonly double coverH;
        private readonly double nightSkyK;
        private readonly double effusivity;
        private readonly double belowWPerM2K;
        private readonly double jumpK;
        private readonly double nightCover;
        private readonly Microclimate site;

        public SlabStep(ZonePour pour, HourlyWeather weather, double nightSkyK)
        {
            this.weather = weather;
            site = pour.Site;
            this.nightSkyK = site.UnderSky ? nightSkyK : 0;
            hydration = Hydration.Of(pour.Mix);
            bleeding = Bleeding.Of(pour.Mix, pour.Depth.Metres);
            cover = pour.Cover;
            startH = (pour.WaterAdded - weather.Start).TotalHours;
            placedH = pour.ToPlaced.TotalHours;
            depthM = pour.Depth.Metres;
            halfHoursOverHeat = 1800 / (HeatJPerM3K * depthM);
            initialH = pour.Mix.ToInitialSet.TotalHours;
            dragH = DraggedOffAt * initialH;
            coverH = pour.CoveredAt * initialH;
            // By hours, not seconds.
            effusivity = GroundHeat.Effusivity(pour.Below) / 60;
            belowWPerM2K = pour.Below == Below.Air ? AirBelowWPerM2K : 0;
            Start = new SlabState(
                pour.MixC, 0, 0, Dragged: false, Still: 1, default);
            jumpK = effusivity == 0 ? 0 : pour.MixC - (pour.GroundC ?? weather.MeanAirBefore(pour.WaterAdded));
            nightCover = pour.NightCoverM2KPerW;
        }

        /// <summary>When water is added.</summary>
        public SlabState Start { get; }

        public SlabState Forward(in SlabState at, double from, double to, out SurfaceWater water)
        {
            var (temperatureC, ageH, filmKg, dragged, still, memory) = at;
            if (from < placedH)
            {
                // In the mixer and the barrow it keeps its heat.
                ageH += EquivalentAge.QuickRate(temperatureC) * (Math.Min(to, placedH) - from);
                still = bleeding.StillAt(ageH);
                if (to <= placedH)
                {
                    water = default;
                    return new SlabState(temperatureC, ageH, filmKg, dragged, still, memory);
                }

                from = placedH;
            }

            if (ageH >= dragH)
            {
                (filmKg, dragged) = (0, dragged || filmKg > Bleeding.SheenKgM2);
            }

            var (step, air) = (to - from, site.Of(weather.SurfaceAt(startH + ((from + to) / 2))));
            var inverse = 1 / step;
            var covered = ageH >= coverH;
            var tucked = covered && nightCover > 0 && air.SunWm2 < DuskWPerM2;
            var shut = (covered && cover == SlabCover.Shut) || tucked;
            var kept = covered && cover == SlabCover.KeptWet;
            var sun = shut ? 0 : air.SunWm2;
            // The night sky cools the outside of a cover as it does a bare face: a sheet keeps no warmth.
            var skyC = air.AirC - (nightSkyK * Math.Max(0, 1 - (air.SunWm2 / DuskWPerM2)));
            var film = 11 + (2 / 3.6 * air.WindKmh);
            film = tucked ? 1 / ((1 / film) + nightCover) : film;
            var ground = GroundHeat.Of(step);
            var gives = belowWPerM2K + (effusivity * ground.RampPerK);
            var steady = (film * skyC) + (belowWPerM2K * air.AirC) + (effusivity * ((ground.RampPerK * temperatureC) - ground.Before(memory) - (jumpK * GroundHeat.Jump(from - placedH, to - placedH)))) + (SunTaken * sun);
            var loss = film + gives;
            var half = Decay.Of(loss * step * halfHoursOverHeat);
            var inverseLoss = 1 / loss;

            // To the middle of the step by what holds at its start.
            var rate0 = EquivalentAge.QuickRate(temperatureC);
            var drying = Evaporation.Into(air.AirC, air.Humidity, air.WindKmh);
            var would0 = shut ? 0 : drying.From(temperatureC);
            var wet0 = kept ? would0 : Math.Min(would0, (2 * filmKg * inverse) + (bleeding.RateWith(still) * rate0));
            var goes0 = (steady - (LatentW * wet0) + (hydration.WattsPerM3(ageH, rate0) * depthM)) * inverseLoss;
            var middleC = goes0 + ((temperatureC - goes0) * half);
            var rate = EquivalentAge.QuickRate(middleC);

            // Water is dragged off, and the cover laid, at a moment of their own: the step is parted there.
            var age = ageH + (rate * step);
            if (Event(ageH, age) is { } moment && step > LeastStepH)
            {
                var parted = from + ((moment - ageH) / rate);
                var before = Forward(new SlabState(temperatureC, ageH, filmKg, dragged, still, memory), from, parted, out _) with { EquivalentH = moment };
                return Forward(before, parted, to, out water);
            }

            // At 0 °C hardening stops at once: a step across it is halved until it hardly matters.
            if (step > FreezingStepH && temperatureC < 0 != (goes0 + ((temperatureC - goes0) * half * half) < 0))
            {
                var middle = from + (step / 2);
                return Forward(Forward(new SlabState(temperatureC, ageH, filmKg, dragged, still, memory), from, middle, out _), middle, to, out water);
            }

            // Over the whole step by what holds at its middle.
            var evaporation = shut ? 0 : drying.From(middleC);
            var remains = bleeding.StillAfter(still, age - ageH);
            var bled = bleeding.Whole * (still - remains);
            var available = filmKg + bled;
            var gone = kept ? evaporation * step : Math.Min(evaporation * step, available);
            var goes = (steady - (LatentW * gone * inverse) + (hydration.WattsPerM3((ageH + age) / 2, rate) * depthM)) * inverseLoss;
            var left = age >= dragH + Near ? 0 : Math.Max(0, available - gone);
            var deficit = left <= 0 && age < initialH
                ? Math.Max(0, (middleC <= air.AirC + DryingAboveAirK ? evaporation : drying.From(air.AirC + DryingAboveAirK)) - (bled * inverse))
                : 0;
            water = new SurfaceWater(bled * inverse, deficit, evaporation);
            var endsC = goes + ((temperatureC - goes) * half * half);
            return new SlabState(endsC, age, left, dragged, remains, ground.After(memory, endsC - temperatureC));
        }

        // The next of two ages that lies well within a step.
        private double? Event(double from, double to) =>
            dragH > from + Near && dragH < to - Near ? dragH : coverH > from + Near && coverH < to - Near ? coverH : null;
    }

    // Steps grow with age, as changes slow down.
    private static double[] Hours(bool rapid, int inHour, double span)
    {
        var hours = new List<double> { 0 };
        var from = 0.0;
        (double Until, double Step)[] steps = [(rapid ? RapidHours : 0, 0.1 / inHour), (1, 0.5 / inHour), (24, 1.0 / inHour), (72, 3.0 / inHour), (14 * 24, 6.0 / inHour), (double.MaxValue, 24.0 / inHour)];
        foreach (var (until, step) in steps)
        {
            var to = Math.Min(span, until);
            var count = to > from ? (int)Math.Ceiling(((to - from) / step) - 1e-9) : 0;
            for (var i = 1; i <= count; i++)
            {
                hours.Add(from + ((to - from) * i / count));
            }

            from = Math.Max(from, to);
        }

        return [.. hours];
    }
}

/// <summary>What lies on a slab once it is covered.</summary>
public enum SlabCover
{
    /// <summary>Nothing, and it is not wetted.</summary>
    None,

    /// <summary>It is kept wet: water evaporates from it.</summary>
    KeptWet,

    /// <summary>Plastic: neither sun nor drying.</summary>
    Shut,
}

/// <summary>Over one step, kg/m2/h.</summary>
/// <param name="BleedKgM2H">Rises to the face.</param>
/// <param name="DeficitKgM2H">Dries more than bleeds, with no film left.</param>
/// <param name="EvaporationKgM2H">What a wet face would lose.</param>
internal readonly record struct SurfaceWater(double BleedKgM2H, double DeficitKgM2H, double EvaporationKgM2H);

/// <summary>What a history holds at each step.</summary>
internal sealed class SlabTrack(int count)
{
    public double[] TemperatureC { get; } = new double[count];

    public double[] EquivalentH { get; } = new double[count];

    public double[] FilmKgM2 { get; } = new double[count];

    public void Set(int step, HeatBalanceSlab.SlabState state) =>
        (TemperatureC[step], EquivalentH[step], FilmKgM2[step]) = (state.TemperatureC, state.EquivalentH, state.FilmKgM2);
}
