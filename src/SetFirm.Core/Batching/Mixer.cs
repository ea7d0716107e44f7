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

/// <summary>What the concrete is mixed in, by its traits: nobody asks which one it is. A new one is a file in Mixers and a row in <see cref="Mixers"/>.</summary>
public abstract record Mixer
{
    /// <summary>Loose ingredients may fill this many times the mixing capacity.</summary>
    public const double LooseOverCapacity = 1.5;

    /// <summary>Wet concrete that one batch may yield.</summary>
    public abstract Volume Capacity { get; }

    public abstract MixedBy By { get; }

    /// <summary>What it carries where no plate says so, wet; null where only its volume limits it.</summary>
    public virtual Mass? Carries => null;

    /// <summary>Share of the water that goes in first. Source: site practice.</summary>
    public virtual double FirstWater => 0.8;

    /// <summary>What comes out of it is wheeled, or carried, to where it goes.</summary>
    public virtual bool IsWheeled => true;

    /// <summary>A common drum mixes more in an hour.</summary>
    public virtual bool IsOutgrown(Volume common) => true;

    /// <summary>In which order things go in; null where there is no such thing.</summary>
    public abstract IEnumerable<LoadingMove?> Order(MixerLoad load);
}
