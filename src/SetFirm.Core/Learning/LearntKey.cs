namespace SetFirm.Core.Learning;

/// <summary>What earlier pours teach of, each as so many times what would be taken without them.</summary>
public enum LearntOf
{
    /// <summary>A mix sets in so many times its time, as this crew mixes and places it.</summary>
    Set,

    /// <summary>A round at this mixer takes this crew so many times as long.</summary>
    Pace,

    /// <summary>A pass over a face takes this crew so many times as long.</summary>
    Finishing,

    /// <summary>A bed of this kind takes so many times the concrete.</summary>
    Waste,

    /// <summary>At this site the sheen stays so many times as long.</summary>
    Sheen,
}

/// <summary>What a value is of: the thing it was learnt at, and whose it is. Two pours teach each other only where both are the same.</summary>
/// <param name="Of">What.</param>
/// <param name="What">The mix, mixer, bed or site; empty for a crew's own, and for a site without a name.</param>
/// <param name="Who">The crew; empty for one without a name, and for what has none.</param>
public sealed record LearntKey(LearntOf Of, string What, string Who);
