using SetFirm.Core.Mixes;

namespace SetFirm.Core.Batching;

/// <summary>How a pour is laid, all its batches alike.</summary>
/// <param name="NarrowShare">Of its volume, what goes into moulds, borders, curbs and counters, 0-1.</param>
/// <param name="FaceM2PerL">Square metres that are struck off for a litre placed.</param>
public readonly record struct Laying(double NarrowShare, double FaceM2PerL)
{
    /// <summary>A slab 100 mm thick.</summary>
    public static Laying Slab { get; } = new(0, 0.01);
}

/// <summary>What one does at a mixer.</summary>
public enum PaceTask
{
    /// <summary>Fetch, open and tip.</summary>
    Charge,

    Mix,

    /// <summary>A machine mixes by itself, nearly.</summary>
    Watch,

    /// <summary>And rinse.</summary>
    Empty,

    Barrow,

    /// <summary>And compact.</summary>
    Spread,

    StrikeOff,
}

/// <summary>What sets the time from one batch to the next.</summary>
public enum PaceBound
{
    /// <summary>The mixer's own round: charged, mixed, emptied.</summary>
    Machine,

    /// <summary>All there is to do, shared out among the hands.</summary>
    Hands,

    /// <summary>Only so many mix at once.</summary>
    Mixing,

    /// <summary>The drill has to rest.</summary>
    DrillRests,
}

/// <summary>Minutes of one batch, one person at a time.</summary>
public readonly record struct BatchMinutes(double Charge, double Mix, double Empty, double Barrow, double Spread, double StrikeOff)
{
    /// <summary>From the first material until it lies.</summary>
    public double ToPlaced => Charge + Mix + Empty + Barrow + Spread;

    /// <summary>And is struck off.</summary>
    public double Whole => ToPlaced + StrikeOff;
}

/// <summary>How fast a crew mixes, wheels, lays and strikes off one kind of batch.</summary>
/// <param name="place">Mixer, crew, run and figures.</param>
/// <param name="unit">What batches are made in.</param>
/// <param name="laying">Where it goes.</param>
/// <remarks>
/// From one batch to the next, with m mixers: the greatest of the machine's own round over m, all labour shared out among the hands, and where it is
/// mixed by hand or drill charging and mixing over those who can do it at once. Source: site practice (tune).
/// </remarks>
public readonly struct Pace(MixingPlace place, BatchUnit unit, Laying laying)
{
    private readonly PaceFigures figures = place.Figures;

    /// <summary>A batch of so many units, by people who are so many times as slow as rested ones.</summary>
    public BatchMinutes Of(double units, double weary = 1)
    {
        var (litres, dryKg) = (unit.Yield.Litres * units, unit.Dry.Kilograms * units);
        var charge = unit.Bag is { } bag
            ? unit.Bags * units * figures.BagOf(bag.Kilograms)
            : unit.LooseVolume.Litres * units / PaceFigures.BucketL * (unit.Shovelled ? figures.ShovelMin : figures.BucketMin);
        var mix = place.Mixer.By switch
        {
            MixedBy.Plant => 0,
            MixedBy.Machine => figures.MachineMin,
            MixedBy.Drill => weary * figures.DrillMin * Math.Max(1, dryKg / PaceFigures.DrillKg),
            _ => weary * ((figures.HoeMin * Math.Min(1, dryKg / PaceFigures.HoeKg)) + (figures.HoeMoreMin * Math.Max(0, (dryKg / PaceFigures.HoeKg) - 1))),
        };
        // What is mixed in a barrow, a tub or a pail goes in it.
        var loads = !place.Mixer.IsWheeled ? 0 : place.Mixer.By is MixedBy.Machine or MixedBy.Plant ? LoadsOf(litres) : 1;
        var empty = place.Mixer.By == MixedBy.Plant ? PaceFigures.DischargeMin * litres / PaceFigures.BarrowL : weary * figures.EmptyMin;
        return new BatchMinutes(
            weary * charge, mix, empty, weary * loads * Run(place), weary * litres / 10 * SpreadMin(figures, laying), weary * litres * laying.FaceM2PerL * figures.StrikeMin);
    }

    /// <summary>Minutes of all hands together for a batch, with so many of them there.</summary>
    public double Labour(in BatchMinutes batch, int hands)
    {
        var machine = place.Mixer.By == MixedBy.Machine;
        return batch.Whole - (machine ? batch.Mix : 0) + (machine && hands > 1 ? batch.Mix * PaceFigures.Watches : 0);
    }

    /// <summary>Minutes from a batch to the next with so many hands, and what sets them.</summary>
    /// <param name="batch">Its own minutes.</param>
    /// <param name="hands">1 or more.</param>
    public (double Minutes, PaceBound Bound) Round(in BatchMinutes batch, int hands)
    {
        var mixers = Math.Min(place.Crew.Mixers, hands);
        var (most, bound) = (Labour(batch, hands) / hands, PaceBound.Hands);
        void AtLeast(double minutes, PaceBound by) => (most, bound) = minutes > most ? (minutes, by) : (most, bound);
        if (place.Mixer.By is MixedBy.Machine or MixedBy.Plant)
        {
            AtLeast((batch.Charge + batch.Mix + batch.Empty) / mixers, PaceBound.Machine);
        }
        else
        {
            AtLeast((batch.Charge + batch.Mix) / mixers, PaceBound.Mixing);
        }

        if (place.Mixer.By == MixedBy.Drill)
        {
            AtLeast(batch.Mix / PaceFigures.DrillDuty / mixers, PaceBound.DrillRests);
        }

        return (most, bound);
    }

    /// <summary>How much slower a person is who has handled so many tonnes today.</summary>
    public static double Weary(double tonnes) => 1 + (PaceFigures.SlowerATonne * Math.Max(0, tonnes - 1));

    /// <summary>Tonnes that each hand handles of a batch: the dry into the mixer, the wet out of it.</summary>
    public double TonnesAHand(double units) => (unit.Dry.Kilograms + unit.Mass.Kilograms) * units / 1000 / place.Crew.Hands;

    /// <summary>Minutes for many batches of one size in a row, in closed form: for curves over volume.</summary>
    /// <param name="units">Of each.</param>
    /// <param name="batches">May be broken.</param>
    public double Minutes(double units, double batches)
    {
        var tonnes = TonnesAHand(units) * batches;
        var weary = tonnes <= 1 ? 1 : 1 + (PaceFigures.SlowerATonne / 2 * (tonnes - 1) * (tonnes - 1) / tonnes);
        return Rested(Round(Of(units, weary), place.Crew.Hands).Minutes * batches);
    }

    /// <summary>Labour of one person's minutes a litre straight off a truck's chute or out of its barrows.</summary>
    public static double PlacingMin(double litres, MixingPlace place, Laying laying) =>
        (LoadsOf(litres) * Run(place)) + (litres / 10 * SpreadMin(place.Figures, laying)) + (litres * laying.FaceM2PerL * place.Figures.StrikeMin);

    /// <summary>So much work as the clock sees it, with the rests in it, minutes.</summary>
    public double Rested(double work) => work <= 60 ? work : 60 + ((work - 60) / WorkShare);

    /// <summary>Share of each hour after the first in which one works.</summary>
    public double WorkShare => Math.Max(0.1, 1 - (figures.RestMin / 60));

    private static double LoadsOf(double litres) => litres <= PaceFigures.BarrowL * PaceFigures.Heaped ? 1 : litres / PaceFigures.BarrowL;

    private static double Run(MixingPlace place) => place.Figures.BarrowMin + (2 * place.Barrow.Metres / place.Figures.WalkMMin);

    private static double SpreadMin(PaceFigures figures, Laying laying) => figures.SlabMin + (laying.NarrowShare * (figures.NarrowMin - figures.SlabMin));
}
