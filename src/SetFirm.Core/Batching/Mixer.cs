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
    private static readonly Duration ForcedCycle = Duration.FromMinutes(6);

    /// <summary>With the rest that the drill needs between batches.</summary>
    private static readonly Duration DrillCycle = Duration.FromMinutes(7);

    private static readonly Volume MostInBucket = Volume.FromLitres(12);

    private Mixer()
    {
    }

    /// <summary>Wet concrete that one batch may yield.</summary>
    public abstract Volume Capacity { get; }

    /// <summary>True where arms, not a motor, do the mixing.</summary>
    public abstract bool ByHand { get; }

    /// <summary>True where it is too small for many bags.</summary>
    public virtual bool ForFewBags => ByHand;

    /// <summary>What one batch may weigh, water and all; null where only its volume limits it.</summary>
    public virtual Mass? MostMass(Crew crew) => null;

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

    /// <summary>Paddles that force the mix through a still pan.</summary>
    /// <param name="Rated">Wet concrete that it mixes at once, as sold.</param>
    public sealed record Forced(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override bool ByHand => false;

        /// <summary>6 min.</summary>
        public override Duration Cycle(double bagsWorth, double barrowMetres) => ForcedCycle;
    }

    /// <summary>A paddle on a drill, in a bucket that is tipped by hand.</summary>
    /// <param name="Bucket">Volume of the whole bucket.</param>
    public sealed record DrillBucket(Volume Bucket) : Mixer
    {
        /// <summary>So much of the bucket is mixed without spilling. Source: site practice.</summary>
        public const double BucketShare = 0.6;

        public override Volume Capacity => Bucket * BucketShare > MostInBucket ? MostInBucket : Bucket * BucketShare;

        public override bool ByHand => false;

        public override bool ForFewBags => true;

        /// <summary>What one or two can lift.</summary>
        public override Mass? MostMass(Crew crew) => Mass.FromKilograms(Crew.LiftKg * Math.Min(crew.Hands, 2));

        /// <summary>7 min.</summary>
        public override Duration Cycle(double bagsWorth, double barrowMetres) => DrillCycle;
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
