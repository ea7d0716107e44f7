using NodaTime;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>What the concrete is mixed in. Adding a mixer is one case here and one document kind.</summary>
public abstract record Mixer
{
    /// <summary>A drum holds, while it mixes, this share of its volume. Source: site practice.</summary>
    public const double DrumShare = 0.65;

    /// <summary>Loose ingredients may fill this many times the mixing capacity.</summary>
    public const double LooseOverCapacity = 1.5;

    private static readonly Duration DrumCycle = Duration.FromMinutes(6);
    private static readonly Duration HandCyclePerBag = Duration.FromMinutes(10);

    private Mixer()
    {
    }

    /// <summary>Wet concrete that one batch may yield.</summary>
    public abstract Volume Capacity { get; }

    /// <summary>True where arms, not a motor, do the mixing.</summary>
    public abstract bool ByHand { get; }

    /// <summary>Time to load, mix, wheel and place one batch, one person, before crew. (tune)</summary>
    /// <param name="bagsWorth">Size of the batch in bags.</param>
    /// <param name="barrowMetres">One way to the pour.</param>
    public abstract Duration Cycle(double bagsWorth, double barrowMetres);

    /// <param name="Size">Volume of the drum as sold.</param>
    public sealed record Drum(Volume Size) : Mixer
    {
        public override Volume Capacity => Size * DrumShare;

        public override bool ByHand => false;

        /// <summary>6 min and 1 min for each 30 m of barrow run.</summary>
        public override Duration Cycle(double bagsWorth, double barrowMetres) => DrumCycle + Duration.FromMinutes(barrowMetres / 30);
    }

    /// <param name="Rated">What can be mixed in it at once.</param>
    public sealed record Tub(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override bool ByHand => true;

        /// <summary>10 min a bag.</summary>
        public override Duration Cycle(double bagsWorth, double barrowMetres) => HandCyclePerBag * bagsWorth;
    }

    /// <param name="Rated">What can be mixed in it at once.</param>
    public sealed record Barrow(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override bool ByHand => true;

        /// <summary>10 min a bag.</summary>
        public override Duration Cycle(double bagsWorth, double barrowMetres) => HandCyclePerBag * bagsWorth;
    }
}
