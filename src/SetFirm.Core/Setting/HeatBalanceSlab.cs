using System.Collections.Concurrent;
using NodaTime;
using SetFirm.Core.Mixes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Setting;

/// <summary>The slab's heat, its set clock and the water on its face, followed together from the water on.</summary>
/// <remarks>
/// Lumped over the depth d: rho c d dT/dt = h (Ta - T) + a G - 680 W + U (Tg - T) + q d, with rho c = 2.4 MJ/m3K, h = 11 + 2 v W/m2K
/// (v m/s at the slab), a = 0.6, U = 3, W the water evaporated, q the heat of hydration. Exact for steady surroundings over each step,
/// with evaporation, hydration and bleeding taken at its middle; the water is balanced exactly: no more evaporates than bleeds and lies there.
/// Sources: ACI 305R/306R; <see cref="Hydration"/>, <see cref="Bleeding"/>, <see cref="Evaporation"/>, <see cref="EquivalentAge"/>.
/// Range: sections of 5-2,000 mm, air -40 to 50 °C. Error against steps a hundred times finer: under 0.2 °C and 0.5 % of age.
/// </remarks>
/// <param name="nightSkyK">How much colder than the air a clear or unknown night sky makes it, K. (tune)</param>
public sealed class HeatBalanceSlab(double nightSkyK = HeatBalanceSlab.UsualNightSkyK) : ISlabModel
{
    public const double UsualNightSkyK = 4;

    /// <summary>Heat to warm a cubic metre by a degree.</summary>
    public const double HeatJPerM3K = 2.4e6;

    /// <summary>Heat that a kilogram of water takes when it evaporates in an hour from a square metre, W.</summary>
    public const double LatentW = 680;

    public const double SunTaken = 0.6;
    public const double GroundWPerM2K = 3;

    /// <summary>From this much sun down to none the night sky comes to bear, W/m2.</summary>
    private const double DuskWPerM2 = 50;

    /// <summary>A surface is no warmer than the air and this, where its drying is judged, K.</summary>
    private const double DryingAboveAirK = 5;

    private const double DraggedOffAt = 0.40;

    /// <summary>No step is parted finer, hours.</summary>
    private const double LeastStepH = 1e-5;

    /// <summary>Ages nearer than this are one, equivalent hours.</summary>
    private const double Near = 1e-6;

    /// <summary>Steps grow with age, as changes slow down: hours of age until which a step of so many hours holds.</summary>
    private static readonly (double Until, double Step)[] Steps = [(24, 1 / 6.0), (72, 0.5), (14 * 24, 1), (double.MaxValue, 4)];

    private static readonly (double Until, double Step)[] RapidSteps = [(6, 1 / 60.0), .. Steps];

    /// <summary>Steps depend on nothing but these two, and are never written to, so all histories share them.</summary>
    private static readonly ConcurrentDictionary<(bool Rapid, Duration Span), double[]> Schedules = new();

    public SlabHistory Follow(ZonePour pour, HourlyWeather weather, Duration span)
    {
        ArgumentNullException.ThrowIfNull(pour);
        ArgumentNullException.ThrowIfNull(weather);
        var hours = Schedules.GetOrAdd((pour.Mix.Family == MixFamily.Rapid, span), s => Hours(s.Rapid ? RapidSteps : Steps, s.Span.TotalHours));
        var track = new SlabTrack(hours.Length);
        var state = new SlabState(pour.MixC, 0, 0, Dragged: false);
        var step = new SlabStep(pour, weather, nightSkyK);
        track.Set(0, state, 0, 0);
        for (var i = 1; i < hours.Length; i++)
        {
            state = step.Forward(state, hours[i - 1], hours[i], out var bleed, out var deficit);
            track.Set(i, state, bleed, deficit);
        }

        return new SlabHistory(pour.WaterAdded, pour.ToPlaced, hours, track);
    }

    /// <summary>Where a slab stands: °C, equivalent hours, water on its face in kg/m2.</summary>
    /// <param name="TemperatureC">Mean over the depth.</param>
    /// <param name="EquivalentH">Hours at 20 °C since water met cement.</param>
    /// <param name="FilmKgM2">Water on its face.</param>
    /// <param name="Dragged">Water still stood on it when it had to be dragged off.</param>
    internal readonly record struct SlabState(double TemperatureC, double EquivalentH, double FilmKgM2, bool Dragged);

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
        private readonly double initialH;
        private readonly double finalH;
        private readonly double nightSkyK;
        private readonly double? groundC;

        public SlabStep(ZonePour pour, HourlyWeather weather, double nightSkyK)
        {
            this.weather = weather;
            this.nightSkyK = nightSkyK;
            hydration = Hydration.Of(pour.Mix);
            bleeding = Bleeding.Of(pour.Mix, pour.Depth.Metres);
            cover = pour.Cover;
            startH = (pour.WaterAdded - weather.Start).TotalHours;
            placedH = pour.ToPlaced.TotalHours;
            depthM = pour.Depth.Metres;
            initialH = pour.Mix.ToInitialSet.TotalHours;
            finalH = pour.Mix.ToFinalSet.TotalHours;
            groundC = pour.OnGround ? pour.GroundC ?? weather.MeanAirC : null;
        }

        public SlabState Forward(SlabState at, double from, double to, out double bleedKgM2H, out double deficitKgM2H)
        {
            (bleedKgM2H, deficitKgM2H) = (0, 0);
            if (to <= placedH)
            {
                // In the mixer and the barrow it keeps its heat.
                return at with { EquivalentH = at.EquivalentH + (EquivalentAge.Rate(at.TemperatureC) * (to - from)) };
            }

            if (from < placedH)
            {
                at = at with { EquivalentH = at.EquivalentH + (EquivalentAge.Rate(at.TemperatureC) * (placedH - from)) };
                from = placedH;
            }

            var drag = DraggedOffAt * initialH;
            if (at.EquivalentH >= drag)
            {
                at = at with { FilmKgM2 = 0, Dragged = at.Dragged || at.FilmKgM2 > Bleeding.SheenKgM2 };
            }

            var (step, air) = (to - from, weather.At(startH + ((from + to) / 2)));
            var covered = at.EquivalentH >= finalH;
            var shut = covered && cover == SlabCover.Shut;
            var sun = shut ? 0 : air.SunWm2;
            var wind = air.SlabWindKmh;
            var skyC = shut ? air.AirC : air.AirC - (nightSkyK * Math.Max(0, 1 - (air.SunWm2 / DuskWPerM2)));
            var film = 11 + (2 * wind / 3.6);
            var under = GroundWPerM2K * (groundC ?? air.AirC);
            var steady = (film * skyC) + under + (SunTaken * sun);
            var (loss, capacity) = (film + GroundWPerM2K, HeatJPerM3K * depthM);
            var half = Math.Exp(-loss * step * 1800 / capacity);

            // To the middle of the step by what holds at its start.
            var rate0 = EquivalentAge.Rate(at.TemperatureC);
            var still = bleeding.StillAt(at.EquivalentH);
            var wet0 = Wet(at, shut, covered, Evaporation.Uno(at.TemperatureC, air.AirC, air.Humidity, wind), bleeding.RateWith(still) * rate0, step / 2);
            var goes0 = (steady - (LatentW * wet0) + (hydration.WattsPerM3(at.EquivalentH, rate0) * depthM)) / loss;
            var middleC = goes0 + ((at.TemperatureC - goes0) * half);
            var rate = EquivalentAge.Rate(middleC);

            // Water is dragged off, and the cover laid, at a moment of their own: the step is parted there.
            var age = at.EquivalentH + (rate * step);
            if (Event(at.EquivalentH, age) is { } moment && step > LeastStepH)
            {
                var parted = from + ((moment - at.EquivalentH) / rate);
                var before = Forward(at, from, parted, out _, out _) with { EquivalentH = moment };
                return Forward(before, parted, to, out bleedKgM2H, out deficitKgM2H);
            }

            // Over the whole step by what holds at its middle.
            var evaporation = shut ? 0 : Evaporation.Uno(middleC, air.AirC, air.Humidity, wind);
            var bled = bleeding.Whole * (still - bleeding.StillAt(age));
            bleedKgM2H = bled / step;
            var available = at.FilmKgM2 + bled;
            var gone = covered && cover == SlabCover.KeptWet ? evaporation * step : Math.Min(evaporation * step, available);
            var goes = (steady - (LatentW * gone / step) + (hydration.WattsPerM3((at.EquivalentH + age) / 2, rate) * depthM)) / loss;
            var left = age >= drag + Near ? 0 : Math.Max(0, available - gone);
            if (left <= 0 && age < initialH)
            {
                var drying = middleC <= air.AirC + DryingAboveAirK ? evaporation : Evaporation.Uno(air.AirC + DryingAboveAirK, air.AirC, air.Humidity, wind);
                deficitKgM2H = Math.Max(0, drying - bleedKgM2H);
            }

            return new SlabState(goes + ((at.TemperatureC - goes) * half * half), age, left, at.Dragged);
        }

        // The next of two ages that lies well within a step.
        private double? Event(double from, double to)
        {
            var drag = DraggedOffAt * initialH;
            return drag > from + Near && drag < to - Near ? drag : finalH > from + Near && finalH < to - Near ? finalH : null;
        }

        private double Wet(SlabState at, bool shut, bool covered, double evaporation, double bleedRate, double step) =>
            shut ? 0 : covered && cover == SlabCover.KeptWet ? evaporation : Math.Min(evaporation, (at.FilmKgM2 / step) + bleedRate);
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

/// <summary>What lies on a slab from final set on.</summary>
public enum SlabCover
{
    /// <summary>Nothing, and it is not wetted.</summary>
    None,

    /// <summary>It is kept wet: water evaporates from it.</summary>
    KeptWet,

    /// <summary>Plastic: neither sun nor drying.</summary>
    Shut,
}

/// <summary>What a history holds at each step.</summary>
internal sealed class SlabTrack(int count)
{
    public double[] TemperatureC { get; } = new double[count];

    public double[] EquivalentH { get; } = new double[count];

    public double[] FilmKgM2 { get; } = new double[count];

    public double[] BleedKgM2H { get; } = new double[count];

    public double[] DeficitKgM2H { get; } = new double[count];

    public bool Dragged { get; private set; }

    public void Set(int step, HeatBalanceSlab.SlabState state, double bleed, double deficit) =>
        (TemperatureC[step], EquivalentH[step], FilmKgM2[step], BleedKgM2H[step], DeficitKgM2H[step], Dragged) =
            (state.TemperatureC, state.EquivalentH, state.FilmKgM2, bleed, deficit, state.Dragged);
}
