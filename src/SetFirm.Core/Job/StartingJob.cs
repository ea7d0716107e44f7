using NodaTime;
using NodaTime.Text;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Ground;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>The job a person starts from: a small square pad that is wholly planned, to be changed from there.</summary>
public static class StartingJob
{
    private static readonly LocalTime EarlyMorning = new(8, 0);

    /// <param name="name">What they call it.</param>
    /// <param name="units">Their system; sizes are said in it.</param>
    /// <param name="timeZone">IANA zone of the site.</param>
    /// <param name="day">First guess at the day.</param>
    /// <param name="kind">What is poured.</param>
    public static JobDocument Of(string name, UnitSystem units, string timeZone, LocalDate day, StartKind kind = StartKind.Slab)
    {
        var us = units == UnitSystem.Us;
        return new JobDocument
        {
            Format = JobDocument.FormatName,
            Version = JobDocument.CurrentVersion,
            Name = name,
            Units = units,
            TimeZone = timeZone,
            Elements = [StartKinds.Element(kind, units) with { Id = "element-1" }],
            Build = new BuildDocument
            {
                Sold = units,
                Soil = Soil.Sound,
                Frost = Frost.None,
                Base = "",
                // A sheet under it keeps steel off bare earth.
                Plastic = kind is StartKind.Slab or StartKind.Drive or StartKind.TwoCourse,
                StringAbove = us ? "4\"" : "100 mm",
                Stock = [],
                Ticked = [],
            },
            Mixes = [Mix(kind, units)],
            Pours = [],
            Mixing = new MixingDocument
            {
                Mixer = MixerFor(kind, us),
                Hands = 2,
                BarrowRun = us ? "30 ft" : "10 m",
                WaterC = 12,
            },
            Buy = new BuyDocument
            {
                Currency = us ? "$" : "€",
                Prices = [],
                Shed = [],
                Extras = [],
                Bags = [],
                Payload = us ? "900 lb" : "400 kg",
                HourWorth = 15,
            },
            Site = SiteDocument.AsForecast,
            Day = DayDocument.At(LocalDatePattern.Iso.Format(day), LocalTimePattern.CreateWithInvariantCulture("HH:mm").Format(EarlyMorning)),
            Cure = CureDocument.By(CuringMethod.Plastic),
        };
    }

    /// <summary>A new job with what stays the same from one to the next: prices, bags of one's own, containers, the place, hands, and the mixer where it is one for as much.</summary>
    /// <param name="start">The new job.</param>
    /// <param name="last">The job before it; one of another system has nothing to give.</param>
    public static JobDocument After(JobDocument start, JobDocument last)
    {
        ArgumentNullException.ThrowIfNull(start);
        ArgumentNullException.ThrowIfNull(last);
        return last.Units != start.Units || last.Build.Sold != start.Build.Sold ? start : start with
        {
            Mix = start.Mix with { Containers = last.Mix.Containers },
            Mixing = last.Mixing with { Mixer = start.Mixing.Mixer.By == MixedBy.Machine && last.Mixing.Mixer.By == MixedBy.Machine ? last.Mixing.Mixer : start.Mixing.Mixer, WantedMixC = null, WaterC = start.Mixing.WaterC },
            Site = start.Site with { Latitude = last.Site.Latitude, Longitude = last.Site.Longitude },
            Buy = last.Buy with { Shed = [], Extras = [] },
        };
    }

    /// <summary>A builder's bucket, and a jug for the water.</summary>
    public static ContainersDocument Containers(UnitSystem units)
    {
        var us = units == UnitSystem.Us;
        var bucket = new ContainerDocument { Kind = ContainerKind.Bucket, Size = us ? "3 gal" : "12 L" };
        return new ContainersDocument { Cement = bucket, Sand = bucket, Stone = bucket, Water = new ContainerDocument { Kind = ContainerKind.Jug, Size = us ? "1 qt" : "1 L" } };
    }

    private static MixDocument Mix(StartKind kind, UnitSystem units) => StartKinds.Bag(kind, units) is { } bag
        ? new BaggedMixDocument
        {
            Id = "mix-1",
            Exposure = Exposure.NoFreezing,
            Containers = Containers(units),
            Additives = new AdditivesDocument(),
            Bag = bag,
            WaterPerBag = "",
        }
        : new PartsMixDocument
        {
            Id = "mix-1",
            Exposure = Exposure.NoFreezing,
            Containers = Containers(units),
            Additives = new AdditivesDocument(),
            Cement = 1,
            Sand = 4,
            Stone = 0,
            StoneMm = 10,
            Consistency = Consistency.Balling,
            Moisture = Moisture.Damp,
        };

    // A bag or two are mixed in a tub or a pail; a drum is for more.
    private static MixerDocument MixerFor(StartKind kind, bool us) => kind switch
    {
        StartKind.Slab or StartKind.Drive or StartKind.TwoCourse or StartKind.Curb => new MixerDocument { Kind = MixerKind.Drum, Size = us ? "5 ft3" : "140 L" },
        _ => new MixerDocument { Kind = MixerKind.Tub, Size = us ? "16 gal" : "60 L" },
    };
}
