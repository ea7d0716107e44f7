namespace SetFirm.Core.Events;

/// <summary>One pass over the surface, in working order.</summary>
public enum Pass
{
    StrikeOff,
    BullFloat,

    /// <summary>Slurry that was poured over pebbles is brushed and washed off their tops.</summary>
    WashSlurry,

    /// <summary>Cut from the form, edge, groove and the first mag float, which levels and does not close.</summary>
    EdgeAndFloat,
    SecondFloat,

    /// <summary>Paste is washed off until the stones stand out.</summary>
    ExposeStone,
    Broom,
    FirstTrowel,

    /// <summary>A curb's form is slid up and off, and its face rubbed.</summary>
    StripAndRub,
    HardTrowel,

    /// <summary>Contraction joints are sawn.</summary>
    SawJoints,
}
