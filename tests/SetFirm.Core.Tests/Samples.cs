using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests;

/// <summary>Jobs, mixes and weather to test with; all made up.</summary>
internal static class Samples
{
    public static readonly Instant Morning = Instant.FromUtc(2027, 5, 4, 6, 0);
    public static readonly WeatherHour Mild = new() { AirC = 18, Humidity = 0.6, WindKmh = 10, SunWm2 = 200, RainChance = 0, RainMm = 0 };

    /// <summary>The same hour over and over, from the midnight before <see cref="Morning"/>.</summary>
    public static HourlyWeather Steady(WeatherHour hour, int hours = 24 * 14) => Weather(Enumerable.Repeat(hour, hours));

    public static HourlyWeather Steady(double airC, double humidity = 0.6, double windKmh = 10) =>
        Steady(Mild with { AirC = airC, Humidity = humidity, WindKmh = windKmh });

    public static HourlyWeather Weather(IEnumerable<WeatherHour> hours) =>
        HourlyWeather.TryCreate(Instant.FromUtc(2027, 5, 4, 0, 0), [.. hours]).ShouldBeOfType<WeatherCheck.Sound>().Weather;

    /// <summary>A plain mix of 310 kg/m3 cement and 170 kg/m3 water.</summary>
    public static ConcreteMix Mix(double f28 = 25, double c = 0.25, double initialSetH = 5, double finalSetH = 7, MixFamily family = MixFamily.Portland) => new(
        family, Strength.FromMegapascals(f28), 310, 170, 2060, 170.0 / 310, 0.02, Duration.FromHours(initialSetH), Duration.FromHours(finalSetH), c);

    public static ZonePour Zone(double mixC = 20, double depthMm = 100, ConcreteMix? mix = null) =>
        new(mix ?? Mix(), Length.FromMillimetres(depthMm), mixC, Morning);

    /// <summary>The terrace, sealed when it is a week old and painted when it is four.</summary>
    public static JobDocument Coated()
    {
        var job = Terrace();
        return job with { Cure = job.Cure with { Coats = [CoatCatalogue.All.Single(c => c.Name == "penetratingSealer"), CoatCatalogue.All.Single(c => c.Name == "paint")] } };
    }

    public static Outline Rectangle(double width, double depth, params ImmutableArray<Opening> openings) => Outline.TryCreate(
        [new(0, 0), new(width, 0), new(width, depth), new(0, depth)], openings).ShouldBeOfType<OutlineCheck.Sound>().Outline;

    /// <summary>A closed curve of many short edges, as a drawing file gives it.</summary>
    public static Outline Curve(int edges, double radius, double wave) => Outline.TryCreate(
        [.. Enumerable.Range(0, edges).Select(i => 2 * Math.PI * i / edges).Select(a => (A: a, R: radius + (wave * Math.Sin(40 * a))))
            .Select(p => new PlanPoint(radius + 1 + (p.R * Math.Cos(p.A)), radius + 1 + (p.R * Math.Sin(p.A))))],
        []).ShouldBeOfType<OutlineCheck.Sound>().Outline;

    /// <summary>A side to walk: its length and turn, and what it meets.</summary>
    public static (SideDocument Side, EdgeDocument Edge) Edge(string length, double turn = 90, Meets meets = Meets.Form) =>
        (new SideDocument { Length = length, Turn = turn }, new EdgeDocument { Meets = meets });

    /// <summary>The slab with another outline, without openings or a fall of its own.</summary>
    public static SlabDocument Walking(this SlabDocument slab, params IReadOnlyList<(SideDocument Side, EdgeDocument Edge)> sides) => slab with
    {
        Outline = new WalkedOutlineDocument { Sides = [.. sides.Select(s => s.Side)] },
        Edges = [.. sides.Select(s => s.Edge)],
        Openings = [],
        Fall = null,
    };

    /// <summary>An L of 4.8 by 3.4 m with a drain and a post, two of its sides at the house.</summary>
    public static JobDocument Terrace() => StartingJob.Of("Terrace", UnitSystem.Metric, "Europe/Berlin", new LocalDate(2027, 5, 4)) with
    {
        Elements = [TerraceSlab()],
        Site = SiteDocument.AsForecast,
        Day = DayDocument.At("2027-05-04", "08:30"),
    };

    private static readonly (SideDocument Side, EdgeDocument Edge)[] TerraceSides =
        [Edge("4.80 m"), Edge("3.40 m"), Edge("2.00 m"), Edge("1.20 m", -90, Meets.Wall), Edge("", 90, Meets.Wall), Edge("")];

    public static SlabDocument TerraceSlab() => new()
    {
        Name = "Terrace",
        Outline = new WalkedOutlineDocument { Sides = [.. TerraceSides.Select(s => s.Side)] },
        Edges = [.. TerraceSides.Select(s => s.Edge)],
        Openings =
        [
            new RoundOpeningDocument { Name = "Drain", Along = "3.60 m", In = "1.10 m", Diameter = "150 mm", Use = OpeningUse.Drain },
            new RectangularOpeningDocument { Name = "Post", Along = "350", In = "350", Width = "120", Depth = "120", Use = OpeningUse.Post },
        ],
        Thickness = "100 mm",
        Bed = Bed.Levelled,
        Finish = Finish.Broom,
    };

    public static PartsMixDocument OneTwoThree() => new()
    {
        Exposure = Exposure.NoFreezing,
        Containers = StartingJob.Containers(UnitSystem.Metric),
        Additives = new AdditivesDocument(),
        Cement = 1,
        Sand = 2,
        Stone = 3,
        StoneMm = 20,
        Consistency = Consistency.Plastic,
        Moisture = Moisture.Damp,
    };

    /// <summary>A truck's.</summary>
    public static ReadyMixDocument Ready() => new()
    {
        Id = Terrace().Mix.Id,
        Exposure = Exposure.NoFreezing,
        Containers = StartingJob.Containers(UnitSystem.Metric),
        Additives = new AdditivesDocument(),
        StrengthMpa = 25,
        StoneMm = 20,
        Consistency = Consistency.Plastic,
    };

    /// <summary>Of 12 L each, water by the litre.</summary>
    public static Containers Containers()
    {
        var bucket = new Container(ContainerKind.Bucket, Volume.FromLitres(12));
        return new Containers(bucket, bucket, bucket, new Container(ContainerKind.Jug, Volume.FromLitres(1)));
    }

    /// <summary>Everything by one bucket, water too.</summary>
    public static ContainersDocument Buckets(string size)
    {
        var bucket = new ContainerDocument { Kind = SetFirm.Core.Mixes.ContainerKind.Bucket, Size = size };
        return new ContainersDocument { Cement = bucket, Sand = bucket, Stone = bucket, Water = new ContainerDocument { Kind = SetFirm.Core.Mixes.ContainerKind.Jug, Size = "1 L" } };
    }

    public static JobDocument WithSlab(this JobDocument job, Func<SlabDocument, SlabDocument> change) =>
        job with { Elements = [change((SlabDocument)job.Elements[0])] };

    public static JobDocument Cured(this JobDocument job, CuringMethod method, double? days = null) =>
        job with { Cure = CureDocument.By(method, days) };
}
