using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Runtime.Intrinsics;
using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Weather;

/// <summary>A checked run of hourly weather. Between hours it is a straight line; outside it, the usual weather of the month and place, or where no place is known the mean day of the run.</summary>
public sealed class HourlyWeather
{
    /// <summary>A leap year of hours; more is refused.</summary>
    public const int MostHours = 24 * 366;

    private readonly ImmutableArray<WeatherHour> hours;
    private readonly WeatherHour[] meanDay;

    /// <summary>What acts on a slab, four numbers an hour side by side: it is asked for hundreds of thousands of times.</summary>
    private readonly Vector256<double>[] surface;
    private readonly Vector256<double>[] surfaceMeanDay;

    /// <summary>Beyond the run: an hour of each of 24 in each twelfth of the year; null takes the mean day.</summary>
    private UsualTable? usual;

    /// <summary>What was asked for last: every zone of a pour asks for the same.</summary>
    private DaysBefore? before;

    private HourlyWeather(Instant start, ImmutableArray<WeatherHour> hours)
    {
        Start = start;
        Issued = start;
        this.hours = hours;
        meanDay = MeanDay(hours);
        MeanAirC = hours.Average(h => h.AirC);
        surface = [.. hours.Select(SurfaceOf)];
        surfaceMeanDay = [.. meanDay.Select(SurfaceOf)];
    }

    /// <summary>From when on it is foreseen, not known: its doubt grows from here.</summary>
    public Instant Issued { get; private init; }

    /// <summary>Of all hours given, °C.</summary>
    public double MeanAirC { get; }

    /// <summary>Of the ten days before a moment, °C, or of what is given of them and the day after.</summary>
    public double MeanAirBefore(Instant moment)
    {
        const int tenDays = 240, day = 24;
        var at = (int)Math.Clamp(Math.Floor((moment - Start).TotalHours), 0, hours.Length);
        var (from, to) = (Math.Max(0, at - tenDays), Math.Min(hours.Length, Math.Max(at, Math.Max(0, at - tenDays) + day)));
        if (before is { } known && known.From == from && known.To == to)
        {
            return known.MeanC;
        }

        var sum = 0.0;
        for (var i = from; i < to; i++)
        {
            sum += hours[i].AirC;
        }

        before = new DaysBefore(from, to, sum / (to - from));
        return before.MeanC;
    }

    /// <summary>The moment of the first hour.</summary>
    public Instant Start { get; }

    public ImmutableArray<WeatherHour> Hours => hours;

    public int Count => hours.Length;

    /// <summary>The last moment that was given, not stood in for.</summary>
    public Instant End => Start + Duration.FromHours(hours.Length - 1);

    /// <summary>Checks every value; the first that cannot be is named.</summary>
    public static WeatherCheck TryCreate(Instant start, ImmutableArray<WeatherHour> hours)
    {
        if (hours.IsDefaultOrEmpty || hours.Length > MostHours)
        {
            return new WeatherCheck.Unusable(0, "hours");
        }

        if (!Moments.NearlyHas(start) || !Moments.NearlyHas(start + Duration.FromHours(hours.Length)))
        {
            return new WeatherCheck.Unusable(0, "start");
        }

        for (var i = 0; i < hours.Length; i++)
        {
            if (Fault(hours[i]) is { } field)
            {
                return new WeatherCheck.Unusable(i, field);
            }
        }

        return new WeatherCheck.Sound(new HourlyWeather(start, hours));
    }

    /// <summary>Id of the file it was read from, empty for a forecast; null where it was handed over as it is.</summary>
    public string? File { get; private init; }

    /// <summary>The same hours, foreseen from another moment.</summary>
    public HourlyWeather IssuedAt(Instant moment) => new(Start, hours) { Issued = moment, File = File, usual = usual };

    /// <summary>The same hours, with what is usual at the place beyond them.</summary>
    public HourlyWeather Beyond(UsualWeather of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new(Start, hours) { Issued = Issued, File = File, usual = new UsualTable(of, Start) };
    }

    /// <summary>The same hours, with the file that they came from; empty for a forecast.</summary>
    public HourlyWeather FromFile(string id) => new(Start, hours) { Issued = Issued, File = id, usual = usual };

    /// <summary>The part of it between two moments, at least an hour; what it lacks at either end stays lacking.</summary>
    public HourlyWeather Between(Instant from, Instant to)
    {
        var first = Math.Clamp((int)Math.Floor((from - Start).TotalHours), 0, hours.Length - 1);
        var last = Math.Clamp((int)Math.Ceiling((to - Start).TotalHours), first, hours.Length - 1);
        return new HourlyWeather(Start + Duration.FromHours(first), [.. hours.AsSpan()[first..(last + 1)]]) { Issued = Issued, File = File };
    }

    /// <summary>The same span with every hour changed, as by shade or an ensemble; an hour that cannot be is a mistake of the change.</summary>
    public HourlyWeather Changed(Func<WeatherHour, int, WeatherHour> change)
    {
        ArgumentNullException.ThrowIfNull(change);
        var changed = ImmutableArray.CreateBuilder<WeatherHour>(hours.Length);
        for (var i = 0; i < hours.Length; i++)
        {
            var hour = change(hours[i], i);
            changed.Add(Fault(hour) is null ? hour : throw new ArgumentException($"hour {i} was changed to what cannot be"));
        }

        return new HourlyWeather(Start, changed.MoveToImmutable()) { Issued = Issued, File = File, usual = usual };
    }

    /// <summary>What acts on a slab at a moment: straight lines between hours.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public SurfaceAir SurfaceAt(double hoursFromStart)
    {
        var before = Math.Floor(hoursFromStart);
        var (a, b) = (Surface((int)before), Surface((int)before + 1));
        return new SurfaceAir(a + ((b - a) * Vector256.Create(hoursFromStart - before)));
    }

    public WeatherHour At(Instant moment) => At((moment - Start).TotalHours);

    /// <param name="hoursFromStart">May lie outside the run.</param>
    public WeatherHour At(double hoursFromStart)
    {
        var before = (int)Math.Floor(hoursFromStart);
        return Between(Hour(before), Hour(before + 1), hoursFromStart - before);
    }

    /// <summary>Chance of rain between two moments: 1 - product of (1 - hourly chance), part hours in proportion.</summary>
    public double RainChance(Instant from, Instant to)
    {
        var (first, last) = ((from - Start).TotalHours, (to - Start).TotalHours);
        double dry = 1;
        for (var hour = Math.Floor(first); hour < last; hour++)
        {
            var share = Math.Min(last, hour + 1) - Math.Max(first, hour);
            dry *= Math.Pow(1 - Hour((int)hour).RainChance, share);
        }

        return 1 - dry;
    }

    /// <summary>Whether it rains in a span of a path, where it does or does not.</summary>
    /// <param name="fromH">Hours from the start of the run; the hour that is running counts.</param>
    /// <param name="toH">Likewise.</param>
    public bool Rains(double fromH, double toH)
    {
        for (var hour = (int)Math.Floor(fromH); hour < toH; hour++)
        {
            if (Hour(hour).RainChance > 0.5)
            {
                return true;
            }
        }

        return false;
    }

    private static string? Fault(WeatherHour h) =>
        !(h.AirC is >= -60 and <= 60) ? "airC"
        : !(h.Humidity is >= 0 and <= 1) ? "humidity"
        : !(h.WindKmh is >= 0 and <= 250) ? "windKmh"
        : !(h.SunWm2 is >= 0 and <= 1500) ? "sunWm2"
        : !(h.RainChance is >= 0 and <= 1) ? "rainChance"
        : !(h.RainMm is >= 0 and <= 500) ? "rainMm"
        : null;

    private static WeatherHour[] MeanDay(ImmutableArray<WeatherHour> hours)
    {
        var mean = new WeatherHour[24];
        for (var h = 0; h < 24; h++)
        {
            WeatherHour sum = default;
            var n = 0;
            for (var i = h; i < hours.Length; i += 24, n++)
            {
                sum = Sum(sum, hours[i], 1);
            }

            // A run of under a day lacks some hours of it: its nearest end stands in.
            mean[h] = n == 0 ? hours[^1] : Sum(default, sum, 1.0 / n);
        }

        return mean;
    }

    private static WeatherHour Between(WeatherHour a, WeatherHour b, double share) => Sum(Sum(default, a, 1 - share), b, share);

    private static WeatherHour Sum(WeatherHour a, WeatherHour b, double times) => new()
    {
        AirC = a.AirC + (times * b.AirC),
        Humidity = a.Humidity + (times * b.Humidity),
        WindKmh = a.WindKmh + (times * b.WindKmh),
        SunWm2 = a.SunWm2 + (times * b.SunWm2),
        RainChance = a.RainChance + (times * b.RainChance),
        RainMm = a.RainMm + (times * b.RainMm),
    };

    /// <summary>Usual hours, made once: twelve days of a year, told by how many hours they lie from the run's start.</summary>
    private sealed class UsualTable
    {
        private const int Parts = 12;
        private const double YearH = 365.25 * 24;

        private readonly WeatherHour[] hours = new WeatherHour[Parts * 24];
        private readonly Vector256<double>[] packed;

        public UsualTable(UsualWeather of, Instant start)
        {
            for (var part = 0; part < Parts; part++)
            {
                // Whole days from the start, so that the hours of the day stay where they are.
                var day = Math.Round((part + 0.5) * YearH / Parts / 24);
                for (var h = 0; h < 24; h++)
                {
                    hours[(part * 24) + h] = of.At(start + Duration.FromHours((day * 24) + h));
                }
            }

            packed = [.. hours.Select(SurfaceOf)];
        }

        public WeatherHour Hour(int index) => hours[At(index)];

        public Vector256<double> Surface(int index) => packed[At(index)];

        private static int At(int index)
        {
            var within = (index % YearH) + (index < 0 ? YearH : 0);
            return (Math.Min(Parts - 1, (int)(within / (YearH / Parts))) * 24) + (((index % 24) + 24) % 24);
        }
    }

    private static Vector256<double> SurfaceOf(WeatherHour h) => Vector256.Create(h.AirC, h.Humidity, h.SlabWindKmh, h.SunWm2);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private Vector256<double> Surface(int index) => (uint)index < (uint)surface.Length ? surface[index] : usual is null ? surfaceMeanDay[((index % 24) + 24) % 24] : usual.Surface(index);

    private WeatherHour Hour(int index) =>
        index >= 0 && index < hours.Length ? hours[index] : usual?.Hour(index) ?? meanDay[((index % 24) + 24) % 24];
}

/// <summary>Mean air of a stretch of hours, °C.</summary>
internal sealed record DaysBefore(int From, int To, double MeanC);

/// <summary>The air that acts on a slab.</summary>
public readonly struct SurfaceAir
{
    internal SurfaceAir(Vector256<double> packed) => Packed = packed;

    internal Vector256<double> Packed { get; }

    /// <summary>°C.</summary>
    public double AirC => Packed.GetElement(0);

    /// <summary>0-1.</summary>
    public double Humidity => Packed.GetElement(1);

    /// <summary>At 0.5 m above the slab, km/h.</summary>
    public double WindKmh => Packed.GetElement(2);

    /// <summary>W/m2.</summary>
    public double SunWm2 => Packed.GetElement(3);
}

/// <summary>What the check of a run of weather found.</summary>
public abstract record WeatherCheck
{
    private WeatherCheck()
    {
    }

    public sealed record Sound(HourlyWeather Weather) : WeatherCheck;

    public sealed record Unusable(int Hour, string Field) : WeatherCheck;
}
