using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>What can be had to mix in, as the job file names it.</summary>
public enum MixerKind
{
    Drum,
    Forced,
    DrillBucket,
    Tub,
    Barrow,
}

/// <summary>All of them, a row each.</summary>
public static class Mixers
{
    /// <param name="kind">Which.</param>
    /// <param name="size">Of the whole drum or bucket, or what the others can mix at once.</param>
    public static Mixer Of(MixerKind kind, Volume size) => kind switch
    {
        MixerKind.Drum => new DrumMixer(size),
        MixerKind.Forced => new PanMixer(size),
        MixerKind.DrillBucket => new DrillMixer(size),
        MixerKind.Tub or MixerKind.Barrow => new HandMixer(size),
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
