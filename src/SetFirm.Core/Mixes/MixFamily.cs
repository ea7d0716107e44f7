namespace SetFirm.Core.Mixes;

/// <summary>How a binder gains strength; the families are cured differently and never confused.</summary>
public enum MixFamily
{
    /// <summary>Plain Portland cement.</summary>
    Portland,

    /// <summary>"Fast": Portland, high-early.</summary>
    HighEarly,

    /// <summary>"Rapid": sulfo-aluminate, sets in minutes, kept wet for hours.</summary>
    Rapid,
}
