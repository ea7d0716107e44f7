namespace SetFirm.Core.Findings;

/// <summary>The places of the job document that rules of the rooms point at. Rooms lie below the document, so its names stand here once more.</summary>
/// <remarks>A test walks all of them and finds each in the schema of the document.</remarks>
public static class Places
{
    public static Place TimeZone { get; } = Place.Root.At(nameof(TimeZone));

    public static Place Elements { get; } = Place.Root.At(nameof(Elements));

    public static BuildPlaces Build { get; } = new(Place.Root.At(nameof(Build)));

    public static MixingPlaces Mixing { get; } = new(Place.Root.At(nameof(Mixing)));

    public static BuyPlaces Buy { get; } = new(Place.Root.At(nameof(Buy)));

    public static SitePlaces Site { get; } = new(Place.Root.At(nameof(Site)));

    public static DayPlaces Day { get; } = new(Place.Root.At(nameof(Day)));

    public static CurePlaces Cure { get; } = new(Place.Root.At(nameof(Cure)));

    public static Place Mixes { get; } = Place.Root.At(nameof(Mixes));

    public static Place Pours { get; } = Place.Root.At(nameof(Pours));

    /// <param name="index">From 0.</param>
    public static ElementPlaces Element(int index) => new(Elements[index]);

    /// <param name="index">From 0.</param>
    public static MixPlaces Mix(int index) => new(Mixes[index]);

    /// <param name="index">From 0.</param>
    public static PourPlaces Pour(int index) => new(Pours[index]);
}

/// <summary>An element, whichever its kind.</summary>
public readonly record struct ElementPlaces(Place Self)
{
    public Place Thickness => Self.At(nameof(Thickness));

    public Place WastePercent => Self.At(nameof(WastePercent));

    public Place Id => Self.At(nameof(Id));

    public Place Mix => Self.At(nameof(Mix));

    public Place Finish => Self.At(nameof(Finish));

    public Place Joints => Self.At(nameof(Joints));

    public Place WayOut => Self.At(nameof(WayOut));

    public Place Above => Self.At(nameof(Above));

    public FallPlaces Fall => new(Self.At(nameof(Fall)));

    public FormsPlaces Forms => new(Self.At(nameof(Forms)));

    public SteelPlaces Steel => new(Self.At(nameof(Steel)));
}

public readonly record struct FallPlaces(Place Self)
{
    public Place Percent => Self.At(nameof(Percent));

    public Place Edge => Self.At(nameof(Edge));

    public Place Opening => Self.At(nameof(Opening));
}

public readonly record struct FormsPlaces(Place Self)
{
    public Place Board => Self.At(nameof(Board));

    public Place PlyMm => Self.At(nameof(PlyMm));

    public Place SheetMm => Self.At(nameof(SheetMm));
}

public readonly record struct SteelPlaces(Place Self)
{
    public Place School => Self.At(nameof(School));

    public Place Bar => Self.At(nameof(Bar));

    public Place Spacing => Self.At(nameof(Spacing));
}

public readonly record struct BuildPlaces(Place Self)
{
    public Place Plastic => Self.At(nameof(Plastic));

    public Place Base => Self.At(nameof(Base));

    public Place StringAbove => Self.At(nameof(StringAbove));

    public Place Stock => Self.At(nameof(Stock));
}

public readonly record struct PourPlaces(Place Self)
{
    public Place Id => Self.At(nameof(Id));

    public Place Date => Self.At(nameof(Date));

    public Place Start => Self.At(nameof(Start));

    public Place Hands => Self.At(nameof(Hands));

    public MixingPlaces Mixing => new(Self.At(nameof(Mixing)));

    public Place Parts => Self.At(nameof(Parts));

    /// <param name="index">From 0.</param>
    public PartPlaces Part(int index) => new(Parts[index]);
}

public readonly record struct PartPlaces(Place Self)
{
    public Place Element => Self.At(nameof(Element));

    public Place Panels => Self.At(nameof(Panels));

    public Place Casting => Self.At(nameof(Casting));

    public Place Course => Self.At(nameof(Course));
}

public readonly record struct MixPlaces(Place Self)
{
    public Place Id => Self.At(nameof(Id));

    public Place Bag => Self.At(nameof(Bag));

    public Place WaterPerBag => Self.At(nameof(WaterPerBag));

    public Place CementAdded => Self.At(nameof(CementAdded));

    public Place Cement => Self.At(nameof(Cement));

    public Place Sand => Self.At(nameof(Sand));

    public Place Stone => Self.At(nameof(Stone));

    public Place Ballast => Self.At(nameof(Ballast));

    public Place StoneMm => Self.At(nameof(StoneMm));

    public Place Exposure => Self.At(nameof(Exposure));

    public Place Containers => Self.At(nameof(Containers));

    public Place Additives => Self.At(nameof(Additives));

    public Place Additive<T>(T kind)
        where T : struct, Enum => Additives.At(kind.ToString());

    /// <summary>How much one container holds.</summary>
    /// <param name="of">Name of what it is for.</param>
    public Place ContainerSize(string of) => Containers.At(of).At("size");
}

public readonly record struct MixingPlaces(Place Self)
{
    public MixerPlaces Mixer => new(Self.At(nameof(Mixer)));

    public Place Hands => Self.At(nameof(Hands));

    public Place Mixers => Self.At(nameof(Mixers));

    public Place BarrowRun => Self.At(nameof(BarrowRun));

    public Place WaterC => Self.At(nameof(WaterC));

    public Place WantedMixC => Self.At(nameof(WantedMixC));

    public Place Pace => Self.At(nameof(Pace));
}

public readonly record struct MixerPlaces(Place Self)
{
    public Place Kind => Self.At(nameof(Kind));

    public Place Size => Self.At(nameof(Size));

    public Place MostMass => Self.At(nameof(MostMass));
}

public readonly record struct BuyPlaces(Place Self)
{
    public Place Payload => Self.At(nameof(Payload));

    public Place HourWorth => Self.At(nameof(HourWorth));

    public Place Bags => Self.At(nameof(Bags));

    public Place Prices => Self.At(nameof(Prices));

    public Place Shed => Self.At(nameof(Shed));

    public Place Extras => Self.At(nameof(Extras));

    public Place Gear => Self.At(nameof(Gear));

    /// <summary>How much of a thing is in the shed.</summary>
    public Place ShedAmount(int index) => Shed[index].At("amount");
}

public readonly record struct SitePlaces(Place Self)
{
    public Place Latitude => Self.At(nameof(Latitude));

    public Place Longitude => Self.At(nameof(Longitude));

    public TypedPlaces Typed => new(Self.At(nameof(Typed)));

    public Place Fog => Self.At(nameof(Fog));

    public Place Windbreak => Self.At(nameof(Windbreak));

    public Place Shade => Self.At(nameof(Shade));

    public Place RainCover => Self.At(nameof(RainCover));

    public Place WeatherFile => Self.At(nameof(WeatherFile));
}

public readonly record struct DayPlaces(Place Self)
{
    public Place Date => Self.At(nameof(Date));

    public Place Start => Self.At(nameof(Start));

    public Place WorkFrom => Self.At(nameof(WorkFrom));

    public Place WorkUntil => Self.At(nameof(WorkUntil));

    public Place WorkDays => Self.At(nameof(WorkDays));

    public Place Split => Self.At(nameof(Split));
}

public readonly record struct CurePlaces(Place Self)
{
    public Place Method => Self.At(nameof(Method));

    public Place Days => Self.At(nameof(Days));

    public Place Frost => Self.At(nameof(Frost));

    public Place Coats => Self.At(nameof(Coats));

    public Place WakeFrom => Self.At(nameof(WakeFrom));

    public Place WakeUntil => Self.At(nameof(WakeUntil));
}

public readonly record struct TypedPlaces(Place Self)
{
    public Place Days => Self.At(nameof(Days));

    /// <param name="index">From 0.</param>
    public Place Day(int index) => Days[index];
}
