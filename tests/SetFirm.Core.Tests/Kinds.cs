using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;

namespace SetFirm.Core.Tests;

/// <summary>One element of each kind, and of each way to measure an outline; all made up.</summary>
internal static class Kinds
{
    public static PresetOutlineDocument Rectangle(string along, string across) => new() { Shape = PresetShape.Rectangle, Along = along, Across = across };

    public static SlabDocument Slab(OutlineDocument outline, string thickness = "100 mm", params IReadOnlyList<Meets> meets) => new()
    {
        Name = "Slab",
        Outline = outline,
        Edges = [.. meets.Select(m => new EdgeDocument { Meets = m })],
        Openings = [],
        Thickness = thickness,
        Bed = Bed.Levelled,
        Finish = Finish.Broom,
    };

    public static BorderDocument Border() => new()
    {
        Name = "Border",
        Path = [new StraightDocument { Length = "2.4 m" }, new ArcDocument { Radius = "1.5 m", Sweep = 90 }],
        Width = "110 mm",
        Depth = "95 mm",
        Bed = Bed.HandDug,
        Finish = Finish.Mag,
    };

    public static CurbDocument Curb() => new()
    {
        Name = "Kerb",
        Path = [new StraightDocument { Length = "5 m" }],
        Height = "140 mm",
        Base = "180 mm",
        Top = "",
        Batter = 10,
        Faces = 1,
        Ease = EdgeEase.Round,
        EaseSize = "19 mm",
        Bed = Bed.Rigid,
        Finish = Finish.Mag,
    };

    public static PieceDocument Stones() => new()
    {
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
    };

    public static CounterDocument Counter(CounterCasting casting = CounterCasting.InPlace) => new()
    {
        Name = "Bench top",
        Casting = casting,
        Outline = Rectangle("1.6 m", "620 mm"),
        Edges = [Dropped(), Dropped(), new EdgeDocument { Meets = Meets.Wall }, new EdgeDocument { Meets = Meets.Wall }],
        Openings = [new RoundOpeningDocument { Name = "Basin", Along = "1.1 m", In = "310 mm", Diameter = "330 mm", Use = OpeningUse.CutOut }],
        Thickness = "40 mm",
        Overhang = "20 mm",
        Bed = Bed.Rigid,
        Finish = Finish.Steel,
    };

    public static EdgeDocument Dropped(string width = "40 mm", string depth = "25 mm") =>
        new() { Meets = Meets.Form, Drop = new DropDocument { Width = width, Depth = depth } };

    public static ProfileDocument Coping() => new()
    {
        Name = "Coping",
        Length = "900 mm",
        Height = "80 mm",
        Base = "280 mm",
        Top = "240 mm",
        Faces = 2,
        Ease = EdgeEase.Round,
        EaseSize = "10 mm",
        Casting = new MouldsDocument { Pieces = 5, Moulds = 2 },
        Bed = Bed.Rigid,
        Finish = Finish.AsCast,
    };

    public static InsertDocument Socket() => new() { Name = "Socket", Along = "150 mm", In = "150 mm", Width = "60 mm", Depth = "40 mm", Deep = "30 mm", Out = "12 mm", Rusts = true };

    /// <summary>A top with a basin let in, its flange in a rebate.</summary>
    public static CounterDocument LetIn() => Counter(CounterCasting.FaceDown) with
    {
        Name = "Vanity top",
        Edges = [],
        Openings =
        [
            new RectangularOpeningDocument
            {
                Name = "Basin", Along = "900 mm", In = "310 mm", Width = "500 mm", Depth = "350 mm", Corner = "40 mm", Clearance = "3 mm", Use = OpeningUse.CutOut,
                Rebate = new RebateDocument { Width = "15 mm", Depth = "8 mm" },
            },
        ],
    };

    /// <summary>A pier cast as a piece in a split mould.</summary>
    public static FootingDocument Loose() => Footing() with
    {
        Name = "Pier block",
        Form = new FrustumFootingDocument { Foot = "350 mm", Top = "220 mm", Depth = "300 mm" },
        Count = 4,
        Moulds = 2,
        AsPiece = true,
    };

    /// <summary>A tread with a rounded nose, cast face down round a socket.</summary>
    public static PieceDocument Nosed() => new()
    {
        Name = "Nosed tread",
        Use = PieceUse.Tread,
        Outline = Rectangle("1.1 m", "350 mm"),
        Edges = [new EdgeDocument { Meets = Meets.Form }, new EdgeDocument { Meets = Meets.Form, Sharp = true }, new EdgeDocument { Meets = Meets.Form, Sharp = true }, new EdgeDocument { Meets = Meets.Form, Sharp = true }],
        Openings = [],
        Thickness = "100 mm",
        Chamfer = "15 mm",
        Rounded = true,
        FaceDown = true,
        Inserts = [Socket()],
        Casting = new MouldsDocument { Pieces = 2, Moulds = 1 },
        Forms = new FormsDocument { Sides = MouldSides.LapBottom },
        Bed = Bed.Rigid,
        Finish = Finish.AsCast,
    };

    public static FootingDocument Footing() => new()
    {
        Name = "Pier",
        Form = new FrustumTubeFootingDocument { Foot = "500 mm", Top = "300 mm", Depth = "300 mm", Tube = "250 mm", TubeDepth = "500 mm" },
        Count = 3,
        Bed = Bed.HandDug,
        Finish = Finish.Mag,
    };

    /// <summary>Every kind once, and every way of saying an outline.</summary>
    public static IReadOnlyList<ElementDocument> All() =>
    [
        Samples.TerraceSlab() with { Fall = new EdgeFallDocument { Edge = 4, Percent = 2 } },
        Slab(new PresetOutlineDocument { Shape = PresetShape.Circle, Along = "3 m" }) with { Steel = new SteelDocument { School = SteelSchool.Fibre } },
        Slab(Rectangle("5 m", "3 m"), "150 mm", Meets.Form, Meets.EarlierPanel) with
        {
            Use = SlabUse.Drive,
            Edges = [Dropped("200 mm", "100 mm")],
            Joints = [new JointDocument { Across = true, At = "2.5 m", Method = JointMethod.Formed }],
            Steel = new SteelDocument { School = SteelSchool.BarGrid, Bar = "10mm", Spacing = "300 mm" },
            Forms = new FormsDocument { Board = "47x150", Corners = CornerScheme.Pinwheel },
        },
        Slab(new TapedOutlineDocument
        {
            Nails = "4 m",
            Corners =
            [
                new TapedCornerDocument { A = "1 m", B = "4.123 m" }, new TapedCornerDocument { A = "4.123 m", B = "1 m", Check = "4 m" },
                new TapedCornerDocument { A = "5 m", B = "3 m" }, new TapedCornerDocument { A = "3 m", B = "5 m" },
            ],
        }),
        Slab(new PointsOutlineDocument { Points = [Point(0, 0), Point(3, 0, 0.3), Point(3, 2), Point(0, 2)] }) with { Fall = new LevelFallDocument() },
        new TwoCourseDocument { Name = "Two", BaseThickness = "70 mm", Topping = "50 mm", Outline = Rectangle("2 m", "1.5 m"), Edges = [], Openings = [], Bed = Bed.Levelled, Finish = Finish.Steel },
        new OverlayDocument
        {
            Name = "Skim",
            Outline = Rectangle("2.7 m", "1.6 m"),
            Edges = [],
            Openings = [],
            Probes = [new ProbeDocument { Depth = "14 mm" }, new ProbeDocument { Depth = "20 mm", Share = 2 }],
            Bed = Bed.Levelled,
            Finish = Finish.Steel,
        },
        new PebbleBedDocument { Name = "Pebbles", Depth = "70 mm", Pebbles = "30 mm", Outline = Rectangle("1 m", "1 m"), Edges = [], Openings = [], Bed = Bed.Levelled, Finish = Finish.Mag },
        Border(),
        Curb(),
        Stones(),
        new RibbonDocument
        {
            Name = "Ribbon",
            Path = [new ArcDocument { Radius = "200 mm", Sweep = 180 }, new ArcDocument { Radius = "300 mm", Sweep = -120 }],
            Width = "80 mm",
            Height = "50 mm",
            Casting = new MouldsDocument { Pieces = 4, Moulds = 1, StripDays = 2, CleanDays = 1 },
            Bed = Bed.Rigid,
            Finish = Finish.Mag,
        },
        Counter(),
        Counter(CounterCasting.FaceDown),
        LetIn(),
        Nosed(),
        Coping(),
        Footing(),
        Loose(),
    ];

    public static JobDocument Job(params IReadOnlyList<ElementDocument> elements) => Samples.Terrace() with { Elements = elements };

    private static PointDocument Point(double x, double y, double rise = 0) => new() { X = x, Y = y, Rise = rise };
}
