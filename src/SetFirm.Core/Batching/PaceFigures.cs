namespace SetFirm.Core.Batching;

/// <summary>How long the work at a mixer takes: minutes of one person where nothing else is said. Starting values (tune): the user changes them.</summary>
/// <remarks>Source: site practice.</remarks>
public sealed record PaceFigures
{
    public static PaceFigures Usual { get; } = new();

    /// <summary>Fetch, open and tip a bag of up to <see cref="HeavyBagKg"/>.</summary>
    public double BagMin { get; init; } = 1.0;

    /// <summary>Fill and tip a bucket of <see cref="BucketL"/> litres of loose material.</summary>
    public double BucketMin { get; init; } = 0.6;

    /// <summary>Shovel as much in: a cubic metre an hour, hour after hour.</summary>
    public double ShovelMin { get; init; } = 0.7;

    /// <summary>A drum or a pan turns on, after the last material.</summary>
    public double MachineMin { get; init; } = 3;

    /// <summary>A drill mixes up to <see cref="DrillKg"/> dry, pro rata above.</summary>
    public double DrillMin { get; init; } = 2.5;

    /// <summary>A hoe mixes the first <see cref="HoeKg"/> dry, pro rata.</summary>
    public double HoeMin { get; init; } = 4;

    /// <summary>And each further so much.</summary>
    public double HoeMoreMin { get; init; } = 3.5;

    /// <summary>Empty and rinse, a batch.</summary>
    public double EmptyMin { get; init; } = 0.7;

    /// <summary>Fill and tip a barrow, the run apart.</summary>
    public double BarrowMin { get; init; } = 0.5;

    /// <summary>Metres a minute with a barrow, there and back.</summary>
    public double WalkMMin { get; init; } = 50;

    /// <summary>Spread and compact 10 L in a slab.</summary>
    public double SlabMin { get; init; } = 0.5;

    /// <summary>Likewise in moulds, borders, curbs and counters, tapped.</summary>
    public double NarrowMin { get; init; } = 2.0;

    /// <summary>Strike off a square metre.</summary>
    public double StrikeMin { get; init; } = 1.5;

    /// <summary>Rest and drink in each hour after the first.</summary>
    public double RestMin { get; init; } = 10;

    /// <summary>So much slower for every tonne that a person has handled that day after the first, share.</summary>
    public const double SlowerATonne = 0.1;

    /// <summary>All of it takes so many times as long, rests apart: as was learnt.</summary>
    public PaceFigures Taking(double times) => times == 1 ? this : this with
    {
        BagMin = BagMin * times,
        BucketMin = BucketMin * times,
        ShovelMin = ShovelMin * times,
        MachineMin = MachineMin * times,
        DrillMin = DrillMin * times,
        HoeMin = HoeMin * times,
        HoeMoreMin = HoeMoreMin * times,
        EmptyMin = EmptyMin * times,
        BarrowMin = BarrowMin * times,
        WalkMMin = WalkMMin / times,
        SlabMin = SlabMin * times,
        NarrowMin = NarrowMin * times,
        StrikeMin = StrikeMin * times,
    };

    public const double BucketL = 12;

    /// <summary>A truck lets a barrow load off in so many minutes: 10 a cubic metre. Source: site practice (tune).</summary>
    public const double DischargeMin = 0.6;

    public const double BarrowL = 60;

    /// <summary>A heaped barrow takes so many times its load.</summary>
    public const double Heaped = 1.1;

    public const double DrillKg = 30;
    public const double HoeKg = 27;

    /// <summary>Of a person's time a machine that mixes takes so much to watch; whoever is alone does something else.</summary>
    public const double Watches = 1.0 / 3;

    /// <summary>A drill runs so much of the time at the most.</summary>
    public const double DrillDuty = 0.5;

    public const double LightBagKg = 20;
    public const double HeavyBagKg = 27.3;

    /// <summary>A light bag takes so many times as long, a heavy one so many.</summary>
    private const double Light = 0.8;

    private const double Heavy = 1.3;

    /// <summary>Fetch, open and tip a bag of so much.</summary>
    public double BagOf(double kg) => BagMin * (kg <= LightBagKg ? Light : kg <= HeavyBagKg ? 1 : Heavy);
}
