using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>What is poured, as a person would say it before anything is measured.</summary>
public enum StartKind
{
    Slab,
    Drive,
    TwoCourse,
    Overlay,
    PebbleBed,
    Border,
    Curb,
    Stones,
    Treads,
    Coping,
    Ribbon,
    Counter,
    CounterFaceDown,
    Footing,
}

/// <summary>A first element of each kind, in sizes that people would say, and the mix that a practitioner would reach for. Source: site practice.</summary>
public static class StartKinds
{
    /// <summary>A patio of this size, in whichever system is theirs.</summary>
    public static ElementDocument Patio(UnitSystem units, (string Along, string Across) metric, (string Along, string Across) imperial)
    {
        var (along, across) = units == UnitSystem.Us ? imperial : metric;
        return ((SlabDocument)Element(StartKind.Slab, units)) with { Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = along, Across = across } };
    }

    /// <param name="kind">What is poured.</param>
    /// <param name="units">Whose sizes.</param>
    public static ElementDocument Element(StartKind kind, UnitSystem units)
    {
        var us = units == UnitSystem.Us;
        string Say(string metric, string imperial) => us ? imperial : metric;
        PresetOutlineDocument Box((string Along, string Across) metric, (string Along, string Across) imperial) => new()
        {
            Shape = PresetShape.Rectangle,
            Along = Say(metric.Along, imperial.Along),
            Across = Say(metric.Across, imperial.Across),
        };
        PieceDocument Piece(PieceUse use, PresetOutlineDocument outline, string thickness, int pieces, int moulds) => new()
        {
            Name = kind.ToString(),
            Use = use,
            Outline = outline,
            Edges = [],
            Openings = [],
            Thickness = thickness,
            Casting = new MouldsDocument { Pieces = pieces, Moulds = moulds },
            Bed = Bed.Rigid,
            Finish = Finish.AsCast,
        };
        SlabDocument Slab(SlabUse use, PresetOutlineDocument outline, string thickness) => new()
        {
            Name = kind.ToString(),
            Use = use,
            Outline = outline,
            Edges = [],
            Openings = [],
            Thickness = thickness,
            Bed = Bed.Levelled,
            Finish = Finish.Broom,
        };
        CounterDocument Counter(CounterCasting casting, Finish finish) => new()
        {
            Name = kind.ToString(),
            Casting = casting,
            Outline = Box(("1.6 m", "620 mm"), ("5 ft", "25\"")),
            Edges = [],
            Openings = [],
            Thickness = Say("38 mm", "1 1/2\""),
            Overhang = Say("20 mm", "3/4\""),
            Bed = Bed.Rigid,
            Finish = finish,
        };
        StraightDocument[] straight = [new() { Length = Say("3 m", "10 ft") }];
        return kind switch
        {
            StartKind.Slab => Slab(SlabUse.Patio, Box(("1.8 m", "1.2 m"), ("6 ft", "4 ft")), Say("100 mm", "4\"")),
            StartKind.Drive => Slab(SlabUse.Drive, Box(("3 m", "2.4 m"), ("10 ft", "8 ft")), Say("125 mm", "5\"")),
            StartKind.TwoCourse => new TwoCourseDocument
            {
                Name = kind.ToString(),
                Outline = Box(("1.8 m", "1.2 m"), ("6 ft", "4 ft")),
                Edges = [],
                Openings = [],
                BaseThickness = Say("70 mm", "2 3/4\""),
                Topping = Say("50 mm", "2\""),
                Bed = Bed.Levelled,
                Finish = Finish.Broom,
            },
            StartKind.Overlay => new OverlayDocument
            {
                Name = kind.ToString(),
                Outline = Box(("2.4 m", "1.5 m"), ("8 ft", "5 ft")),
                Edges = [],
                Openings = [],
                Probes = [new ProbeDocument { Depth = Say("15 mm", "5/8\"") }],
                Bed = Bed.Levelled,
                Finish = Finish.Broom,
            },
            StartKind.PebbleBed => new PebbleBedDocument
            {
                Name = kind.ToString(),
                Outline = Box(("1.2 m", "900 mm"), ("4 ft", "3 ft")),
                Edges = [],
                Openings = [],
                Depth = Say("80 mm", "3\""),
                Pebbles = Say("30 mm", "1 1/4\""),
                Bed = Bed.Levelled,
                Finish = Finish.Pebbles,
            },
            StartKind.Border => new BorderDocument
            {
                Name = kind.ToString(),
                Path = straight,
                Width = Say("110 mm", "4 1/2\""),
                Depth = Say("95 mm", "4\""),
                Bed = Bed.HandDug,
                Finish = Finish.Mag,
            },
            StartKind.Curb => new CurbDocument
            {
                Name = kind.ToString(),
                Path = straight,
                Height = Say("140 mm", "5 1/2\""),
                Base = Say("180 mm", "7\""),
                Top = "",
                Batter = 10,
                Faces = 1,
                Ease = EdgeEase.Round,
                EaseSize = Say("19 mm", "3/4\""),
                Bed = Bed.Rigid,
                Finish = Finish.Mag,
            },
            StartKind.Stones => Piece(PieceUse.Stone, Box(("500 mm", "350 mm"), ("20\"", "14\"")), Say("60 mm", "2 1/2\""), 4, 2),
            StartKind.Treads => Piece(PieceUse.Tread, Box(("1.1 m", "350 mm"), ("44\"", "14\"")), Say("100 mm", "4\""), 3, 1),
            StartKind.Coping => new ProfileDocument
            {
                Name = kind.ToString(),
                Length = Say("900 mm", "36\""),
                Height = Say("80 mm", "3\""),
                Base = Say("280 mm", "11\""),
                Top = Say("240 mm", "9 1/2\""),
                Faces = 2,
                Ease = EdgeEase.Chamfer,
                EaseSize = Say("10 mm", "3/8\""),
                Casting = new MouldsDocument { Pieces = 4, Moulds = 2 },
                Bed = Bed.Rigid,
                Finish = Finish.AsCast,
            },
            StartKind.Ribbon => new RibbonDocument
            {
                Name = kind.ToString(),
                Path = [new ArcDocument { Radius = Say("250 mm", "10\""), Sweep = 180 }],
                Width = Say("80 mm", "3 1/4\""),
                Height = Say("50 mm", "2\""),
                Casting = new MouldsDocument { Pieces = 4, Moulds = 1 },
                Bed = Bed.Rigid,
                Finish = Finish.AsCast,
            },
            StartKind.Counter => Counter(CounterCasting.InPlace, Finish.Steel),
            StartKind.CounterFaceDown => Counter(CounterCasting.FaceDown, Finish.AsCast),
            StartKind.Footing => new FootingDocument
            {
                Name = kind.ToString(),
                Form = new CylinderFootingDocument { Diameter = Say("250 mm", "10\""), Depth = Say("800 mm", "36\"") },
                Count = 2,
                Bed = Bed.HandDug,
                Finish = Finish.AsCast,
            },
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }

    /// <summary>A bag from any shop's shelf that does for it; null where it is measured out by parts.</summary>
    public static string? Bag(StartKind kind, UnitSystem units) => kind switch
    {
        StartKind.Curb or StartKind.Treads or StartKind.Coping => "high-strength-80lb",
        StartKind.Counter or StartKind.CounterFaceDown => "countertop-60lb",
        StartKind.Overlay => "topping-60lb",
        StartKind.PebbleBed => null,
        _ => units == UnitSystem.Us ? BagCatalogue.DefaultUs : BagCatalogue.DefaultMetric,
    };
}
