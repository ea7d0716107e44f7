using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Demo;

/// <summary>The demo: the garden of 14 Heron Row, Ostrey, where Ines and her brother Odd pour. All of it made up.</summary>
internal static class DemoYard
{
    /// <summary>A zone that names no place.</summary>
    public const string TimeZone = "CET";

    /// <summary>Lays the yard out once; a yard that has jobs, removed ones too, is left as it is.</summary>
    public static void Seed(SetFirmDb db, Instant now)
    {
        if (db.Jobs.Any())
        {
            return;
        }

        var local = now.InZone(DateTimeZoneProviders.Tzdb[TimeZone]).LocalDateTime;
        var age = Duration.Zero;
        foreach (var job in Jobs(local))
        {
            db.Jobs.Add(new JobRow
            {
                Id = Guid.CreateVersion7(),
                Name = job.Name,
                Document = JobFile.Write(job),
                Version = 1,
                CreatedAt = now - age,
                UpdatedAt = now - age,
            });
            age += Duration.FromHours(5);
        }

        db.SaveChanges();
    }

    public static IEnumerable<JobDocument> Jobs(LocalDateTime now)
    {
        var today = now.Date;
        yield return HerbBorder(today, StartHalfWay(now.TimeOfDay));
        yield return Terrace(today.PlusDays(3));
        yield return ShedPad(today.PlusDays(-2));
        yield return BinStand(today.PlusDays(6));
        yield return FloorOfLeanTo(today.PlusDays(-40));
    }

    /// <summary>An L round the kitchen corner: two house walls, a drain and a post.</summary>
    public static JobDocument Terrace(LocalDate day) => StartingJob.Of("Breakfast terrace", UnitSystem.Metric, TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Name = "Terrace",
                Edges =
                [
                    Edge("4.80 m", 90, Meets.Form),
                    Edge("3.40 m", 90, Meets.Form),
                    Edge("2.00 m", 90, Meets.Form),
                    Edge("1.20 m", -90, Meets.Wall),
                    Edge("", 90, Meets.Wall),
                    Edge("", 90, Meets.Form),
                ],
                Openings =
                [
                    new RoundOpeningDocument { Name = "Drain", Along = "3.60 m", In = "1.10 m", Diameter = "150 mm" },
                    new RectangularOpeningDocument { Name = "Post", Along = "350 mm", In = "350 mm", Width = "120 mm", Depth = "120 mm" },
                ],
                Thickness = "100 mm",
                Bed = Bed.Levelled,
                Finish = Finish.Broom,
            },
        ],
        Mixing = new MixingDocument { Mixer = new DrumDocument { Size = "140 L" }, Hands = 2, BarrowRun = "12 m", WaterC = 12 },
        Day = new DayDocument { Date = LocalDatePattern.Iso.Format(day), Start = "08:30" },
    };

    /// <summary>A start that puts the hour of looking half-way through the pour day, unless it is night.</summary>
    private static LocalTime StartHalfWay(LocalTime now) => new(Math.Clamp(now.Hour - 2, 6, 15), 30);

    private static JobDocument HerbBorder(LocalDate day, LocalTime start) => StartingJob.Of("Herb border, straight run", UnitSystem.Metric, TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Name = "Border",
                Edges = [Edge("3.60 m", 90, Meets.Form), Edge("150 mm", 90, Meets.Open), Edge("", 90, Meets.Form), Edge("", 90, Meets.Form)],
                Openings = [],
                Thickness = "95 mm",
                Bed = Bed.HandDug,
                Finish = Finish.Mag,
            },
        ],
        Mixing = new MixingDocument { Mixer = new BarrowDocument { Size = "30 L" }, Hands = 2, BarrowRun = "5 m", WaterC = 12 },
        Day = new DayDocument { Date = LocalDatePattern.Iso.Format(day), Start = LocalTimePattern.CreateWithInvariantCulture("HH:mm").Format(start) },
    };

    private static JobDocument ShedPad(LocalDate day) => StartingJob.Of("Bike-shed pad", UnitSystem.Us, TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Name = "Pad",
                Edges = [Edge("8' 6\"", 90, Meets.Form), Edge("5' 3 1/2\"", 90, Meets.Form), Edge("8' 6\"", 90, Meets.OldSlab), Edge("5' 3 1/2\"", 90, Meets.Form)],
                Openings = [],
                Thickness = "4\"",
                Bed = Bed.Levelled,
                Finish = Finish.Mag,
            },
        ],
        Day = new DayDocument { Date = LocalDatePattern.Iso.Format(day), Start = "09:00" },
        Cure = new CureDocument { Method = CuringMethod.BurlapUnderPlastic },
    };

    private static JobDocument BinStand(LocalDate day) => StartingJob.Of("Bin stand", UnitSystem.Metric, TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Name = "Stand",
                Edges = [Edge("1.50 m", 90, Meets.Form), Edge("0.90 m", 90, Meets.Wall), Edge("1.50 m", 90, Meets.Form), Edge("0.90 m", 90, Meets.Form)],
                Openings = [],
                Thickness = "80 mm",
                Bed = Bed.HandDug,
                Finish = Finish.Broom,
            },
        ],
        Mix = new PartsMixDocument
        {
            Exposure = Exposure.NoFreezing,
            Bucket = "12 L",
            Cement = 1,
            Sand = 2,
            Stone = 3,
            StoneMm = 20,
            Consistency = Consistency.Plastic,
            Moisture = Moisture.Damp,
        },
        Mixing = new MixingDocument { Mixer = new TubDocument { Size = "40 L" }, Hands = 1, BarrowRun = "6 m", WaterC = 12 },
        Day = new DayDocument { Date = LocalDatePattern.Iso.Format(day), Start = "10:00" },
        Cure = new CureDocument { Method = CuringMethod.Burlap },
    };

    private static JobDocument FloorOfLeanTo(LocalDate day) => StartingJob.Of("Lean-to floor", UnitSystem.Metric, TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Name = "Floor",
                Edges = [Edge("2.70 m", 90, Meets.Wall), Edge("1.60 m", 90, Meets.Wall), Edge("2.70 m", 90, Meets.Form), Edge("1.60 m", 90, Meets.Wall)],
                Openings = [],
                Thickness = "90 mm",
                Bed = Bed.Levelled,
                Finish = Finish.Steel,
            },
        ],
        Day = new DayDocument { Date = LocalDatePattern.Iso.Format(day), Start = "08:00" },
    };

    private static EdgeDocument Edge(string length, double turn, Meets meets) => new() { Length = length, Turn = turn, Meets = meets };
}
