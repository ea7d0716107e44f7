using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>Who or what does the mixing.</summary>
public enum MixedBy
{
    /// <summary>A drum or a pan turns by itself.</summary>
    Machine,

    /// <summary>A person holds it.</summary>
    Drill,

    Hoe,

    /// <summary>It comes mixed.</summary>
    Plant,
}

/// <summary>What the concrete is mixed in. Adding a mixer is one case here and one document kind.</summary>
/// <remarks>Source: site practice (tune).</remarks>
public abstract record Mixer
{
    /// <summary>A drum holds, while it mixes, this share of its volume.</summary>
    public const double DrumShare = 0.65;

    /// <summary>And carries so much wet concrete for each litre of it, kg, unless its plate says otherwise.</summary>
    public const double DrumKgPerL = 1.0;

    /// <summary>Loose ingredients may fill this many times the mixing capacity.</summary>
    public const double LooseOverCapacity = 1.5;

    /// <summary>By hand: bags and dry kilograms at once in comfort, and at the most, whatever the vessel holds.</summary>
    public static readonly (double Bags, double DryKg) InComfort = (2, 60);

    public static readonly (double Bags, double DryKg) AtTheMost = (4, 110);

    private Mixer()
    {
    }

    /// <summary>Wet concrete that one batch may yield.</summary>
    public abstract Volume Capacity { get; }

    public abstract MixedBy By { get; }

    /// <summary>What it carries where no plate says so, wet; null where only its volume limits it.</summary>
    public virtual Mass? Carries => null;

    /// <param name="Size">Volume of the drum as sold.</param>
    public sealed record Drum(Volume Size) : Mixer
    {
        public override Volume Capacity => Size * DrumShare;

        public override MixedBy By => MixedBy.Machine;

        public override Mass? Carries => Mass.FromKilograms(Size.Litres * DrumKgPerL);
    }

    /// <summary>Paddles that force the mix through a still pan.</summary>
    /// <param name="Rated">Wet concrete that it mixes at once, as sold.</param>
    public sealed record Forced(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override MixedBy By => MixedBy.Machine;
    }

    /// <summary>A paddle on a drill, in a bucket that is tipped by hand.</summary>
    /// <param name="Bucket">Volume of the whole bucket.</param>
    public sealed record DrillBucket(Volume Bucket) : Mixer
    {
        /// <summary>So much of the bucket is mixed without spilling: a bag of 27 kg in a pail of 19 L.</summary>
        public const double BucketShare = 0.75;

        public override Volume Capacity => Bucket * BucketShare;

        public override MixedBy By => MixedBy.Drill;
    }

    /// <summary>A truck at the kerb: what is taken off it at a time.</summary>
    /// <param name="Load">A barrow, or a stretch of the form as large.</param>
    /// <param name="Chute">It runs off the chute where it is wanted.</param>
    public sealed record Truck(Volume Load, bool Chute) : Mixer
    {
        public override Volume Capacity => Load;

        public override MixedBy By => MixedBy.Plant;
    }

    /// <param name="Rated">What can be mixed in it at once.</param>
    public sealed record Tub(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override MixedBy By => MixedBy.Hoe;
    }

    /// <param name="Rated">What can be mixed in it at once.</param>
    public sealed record Barrow(Volume Rated) : Mixer
    {
        public override Volume Capacity => Rated;

        public override MixedBy By => MixedBy.Hoe;
    }
}
