using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Demo;

/// <summary>What Ines and Odd pour, said as they would say it.</summary>
internal static class DemoJobs
{
    public const string HalfWayName = "Workshop floor";

    public static IEnumerable<JobDocument> Jobs(LocalDateTime now) =>
        Planned(now).Select(job => job with { Site = job.Site with { Called = "Heron Row", Latitude = Ostrey.Latitude, Longitude = Ostrey.Longitude } });

    /// <summary>Far enough south that somebody pours there in any month.</summary>
    private static readonly SitePlace Ostrey = new(38, 15);

    private static IEnumerable<JobDocument> Planned(LocalDateTime now)
    {
        var today = now.Date;
        yield return WorkshopFloor(now);
        yield return HerbBorder(today.PlusDays(1));
        yield return Terrace(today.PlusDays(3));
        yield return ShedPad(today.PlusDays(-2));
        yield return BenchTop(today.PlusDays(5));
        yield return DriveKerb(today.PlusDays(6));
        yield return SteppingStones(today.PlusDays(9));
        yield return SkimOfLeanTo(today.PlusDays(-40));
        yield return BinStand(today.PlusDays(-24));
        yield return CellarLanding(today.PlusDays(-45));
    }

    /// <summary>An L round the kitchen corner: two house walls, a drain and a post.</summary>
    public static JobDocument Terrace(LocalDate day) => Start("Breakfast terrace", day, "08:30") with
    {
        Elements =
        [
            new SlabDocument
            {
                Id = "element-1",
                Name = "Terrace",
                Outline = Walked(("4.80 m", 90), ("3.40 m", 90), ("2.00 m", 90), ("1.20 m", -90), ("", 90), ("", 90)),
                Edges = Edges(Meets.Form, Meets.Form, Meets.Form, Meets.Wall, Meets.Wall, Meets.Form),
                Openings =
                [
                    new RoundOpeningDocument { Name = "Drain", Along = "3.60 m", In = "1.10 m", Diameter = "150 mm", Use = OpeningUse.Drain },
                    new RectangularOpeningDocument { Name = "Post", Along = "350 mm", In = "350 mm", Width = "120 mm", Depth = "120 mm", Use = OpeningUse.Post },
                ],
                Thickness = "100 mm",
                Bed = Bed.Levelled,
                Finish = Finish.Broom,
                Fall = new EdgeFallDocument { Edge = 4, Percent = 2 },
            },
        ],
        Build = Start("", day, "08:30").Build with { Soil = Soil.Soft },
        Mixing = Drum("12 m"),
    };

    /// <summary>Under a roof with lamps: its day is half over at whatever hour somebody looks.</summary>
    private static JobDocument WorkshopFloor(LocalDateTime now) =>
        Start(HalfWayName, now.Date, LocalTimePattern.CreateWithInvariantCulture("HH:mm").Format(now.TimeOfDay)) with
        {
            Elements =
            [
                new SlabDocument
                {
                    Id = "element-1",
                    Name = "Floor",
                    Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "3.20 m", Across = "2.40 m" },
                    Edges = Edges(Meets.Wall, Meets.Form, Meets.Wall, Meets.Wall),
                    Openings = [],
                    Thickness = "90 mm",
                    Bed = Bed.Levelled,
                    Finish = Finish.Steel,
                },
            ],
            Site = SiteDocument.AsForecast with { Shelter = Shelter.Indoors },
            Mixing = Drum("8 m", 14),
            Cure = CureDocument.By(CuringMethod.Plastic),
        };

    /// <summary>Poured three weeks ago: it was slow, and it was broomed before it was ready.</summary>
    private static JobDocument BinStand(LocalDate day) => Start(DemoPours.BinStand, day, "09:00") with
    {
        Elements = [Pad("Stand", "2.60 m", "1.80 m", Finish.Broom)],
        Mixing = Drum("10 m"),
    };

    /// <summary>And six weeks ago: all went well, slowly.</summary>
    private static JobDocument CellarLanding(LocalDate day) => Start(DemoPours.CellarLanding, day, "08:30") with
    {
        Elements = [Pad("Landing", "2.20 m", "1.50 m", Finish.Broom)],
        Mixing = Drum("14 m"),
    };

    private static SlabDocument Pad(string name, string along, string across, Finish finish) => new()
    {
        Id = "element-1",
        Name = name,
        Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = along, Across = across },
        Edges = Edges(Meets.Form, Meets.Form, Meets.Wall, Meets.Form),
        Openings = [],
        Thickness = "100 mm",
        Bed = Bed.Levelled,
        Finish = finish,
    };

    /// <summary>The two of them, at their own drum: what was learnt goes by these names.</summary>
    private static MixingDocument Drum(string run, double waterC = 12) =>
        new() { Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = "140 L", Called = "Our drum" }, Crew = "Ines and Odd", Hands = 2, BarrowRun = run, WaterC = waterC };

    private static JobDocument HerbBorder(LocalDate day) =>
        Start("Herb border", day, "09:30") with
        {
            Elements =
            [
                new BorderDocument
                {
                    Id = "element-1",
                    Name = "Border",
                    Path = [new StraightDocument { Length = "2.40 m" }, new ArcDocument { Radius = "1.50 m", Sweep = 90 }],
                    Width = "110 mm",
                    Depth = "95 mm",
                    Bed = Bed.HandDug,
                    Finish = Finish.Mag,
                },
            ],
            Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Barrow, Size = "30 L" }, Hands = 2, BarrowRun = "5 m", WaterC = 12 },
        };

    private static JobDocument ShedPad(LocalDate day) => StartingJob.Of("Bike-shed pad", UnitSystem.Us, DemoYard.TimeZone, day) with
    {
        Elements =
        [
            new SlabDocument
            {
                Id = "element-1",
                Name = "Pad",
                Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "8' 6\"", Across = "5' 3 1/2\"" },
                Edges = Edges(Meets.Form, Meets.Form, Meets.OldSlab, Meets.Form),
                Openings = [],
                Thickness = "4\"",
                Bed = Bed.Levelled,
                Finish = Finish.Mag,
            },
        ],
        Day = DayDocument.At(LocalDatePattern.Iso.Format(day), "09:00"),
        Cure = CureDocument.By(CuringMethod.BurlapUnderPlastic) with { Coats = [Coat("penetratingSealer", "Penetrating sealer")] },
    };

    /// <summary>Poured in place on its frame: a round basin, an apron on the two free sides, the wall behind.</summary>
    private static JobDocument BenchTop(LocalDate day) => Start("Potting bench top", day, "10:00") with
    {
        Elements =
        [
            new CounterDocument
            {
                Id = "element-1",
                Name = "Bench top",
                Casting = CounterCasting.InPlace,
                Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "1.60 m", Across = "620 mm" },
                Edges =
                [
                    new EdgeDocument { Meets = Meets.Form, Drop = new DropDocument { Width = "40 mm", Depth = "25 mm" } },
                    new EdgeDocument { Meets = Meets.Form, Drop = new DropDocument { Width = "40 mm", Depth = "25 mm" } },
                    new EdgeDocument { Meets = Meets.Wall },
                    new EdgeDocument { Meets = Meets.Wall },
                ],
                Openings = [new RoundOpeningDocument { Name = "Basin", Along = "1.10 m", In = "310 mm", Diameter = "330 mm", Use = OpeningUse.CutOut }],
                Thickness = "40 mm",
                Overhang = "20 mm",
                Bed = Bed.Rigid,
                Finish = Finish.Steel,
            },
        ],
        Mix = new BaggedMixDocument { Id = "mix-1", Exposure = Exposure.NoFreezing, Containers = StartingJob.Containers(UnitSystem.Metric), Additives = new AdditivesDocument(), Bag = "countertop-60lb", WaterPerBag = "" },
        Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "40 L" }, Hands = 2, BarrowRun = "8 m", WaterC = 14 },
        Site = SiteDocument.AsForecast with { Shelter = Shelter.Roof },
        Cure = CureDocument.By(CuringMethod.Plastic) with { Coats = [Coat("counterSealer", "Two-part counter sealer")] },
    };

    /// <summary>Along the drive: a battered face to the road, its top edge rounded.</summary>
    private static JobDocument DriveKerb(LocalDate day) => Start("Drive kerb", day, "09:00") with
    {
        Elements =
        [
            new CurbDocument
            {
                Id = "element-1",
                Name = "Kerb",
                Path = [new StraightDocument { Length = "5.00 m" }],
                Height = "140 mm",
                Base = "180 mm",
                Top = "",
                Batter = 10,
                Faces = 1,
                Ease = EdgeEase.Round,
                EaseSize = "19 mm",
                Bed = Bed.Rigid,
                Finish = Finish.Rubbed,
                Steel = new SteelDocument { School = SteelSchool.TwoRows },
            },
        ],
        Mix = new PartsMixDocument
        {
            Id = "mix-1",
            Exposure = Exposure.NoFreezing,
            Containers = StartingJob.Containers(UnitSystem.Metric),
            Additives = new AdditivesDocument(),
            Cement = 1,
            Sand = 2,
            Stone = 2,
            StoneMm = 10,
            Consistency = Consistency.Stiff,
            Moisture = Moisture.Damp,
        },
        Mixing = Drum("20 m"),
        Cure = CureDocument.By(CuringMethod.Burlap),
    };

    private static JobDocument SteppingStones(LocalDate day) => Start("Six stepping stones", day, "10:00") with
    {
        Elements =
        [
            new PieceDocument
            {
                Id = "element-1",
                Name = "Stone",
                Use = PieceUse.Stone,
                Outline = new PresetOutlineDocument { Shape = PresetShape.Kidney, Along = "560 mm", Across = "300 mm" },
                Edges = [],
                Openings = [],
                Thickness = "60 mm",
                Chamfer = "6 mm",
                Casting = new MouldsDocument { Pieces = 6, Moulds = 2 },
                Bed = Bed.Rigid,
                Finish = Finish.Mag,
            },
        ],
        Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "40 L" }, Hands = 1, BarrowRun = "3 m", WaterC = 14 },
    };

    /// <summary>A skim over the old floor of the lean-to, as deep as the straight-edge showed.</summary>
    private static JobDocument SkimOfLeanTo(LocalDate day) => Start("Lean-to floor skim", day, "08:00") with
    {
        Elements =
        [
            new OverlayDocument
            {
                Id = "element-1",
                Name = "Skim",
                Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "2.70 m", Across = "1.60 m" },
                Edges = Edges(Meets.Wall, Meets.Wall, Meets.Form, Meets.Wall),
                Openings = [],
                Probes = [Probe("14 mm"), Probe("18 mm"), Probe("22 mm"), Probe("16 mm"), Probe("20 mm"), Probe("15 mm")],
                Bed = Bed.Levelled,
                Finish = Finish.Steel,
            },
        ],
        Mix = new BaggedMixDocument { Id = "mix-1", Exposure = Exposure.NoFreezing, Containers = StartingJob.Containers(UnitSystem.Metric), Additives = new AdditivesDocument(), Bag = "topping-60lb", WaterPerBag = "" },
        Site = SiteDocument.AsForecast with { Shelter = Shelter.Roof },
        Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "40 L" }, Hands = 2, BarrowRun = "10 m", WaterC = 14 },
    };

    private static CoatDocument Coat(string id, string name) => CoatCatalogue.All.Single(c => c.Name == id) with { Name = name };

    private static JobDocument Start(string name, LocalDate day, string time) =>
        StartingJob.Of(name, UnitSystem.Metric, DemoYard.TimeZone, day) with { Day = DayDocument.At(LocalDatePattern.Iso.Format(day), time) };

    private static WalkedOutlineDocument Walked(params ReadOnlySpan<(string Length, double Turn)> sides)
    {
        var walked = new List<SideDocument>();
        foreach (var (length, turn) in sides)
        {
            walked.Add(new SideDocument { Length = length, Turn = turn });
        }

        return new WalkedOutlineDocument { Sides = walked };
    }

    private static ProbeDocument Probe(string depth) => new() { Depth = depth };

    private static List<EdgeDocument> Edges(params ReadOnlySpan<Meets> meets)
    {
        var edges = new List<EdgeDocument>();
        foreach (var m in meets)
        {
            edges.Add(new EdgeDocument { Meets = m });
        }

        return edges;
    }
}
