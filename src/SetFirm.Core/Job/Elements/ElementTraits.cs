using SetFirm.Core.Formwork;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Job;

/// <summary>How an element is treated by the rooms that advise on it: they ask these, never which kind it is.</summary>
/// <param name="OnGround">It lies on the ground: it is dug for, and falls.</param>
/// <param name="Flat">It has a surface that water must leave.</param>
/// <param name="Jointed">How its contraction joints are set out.</param>
/// <param name="Load">What it carries.</param>
/// <param name="Section">What its steel has to follow.</param>
/// <param name="Mix">What its mix is used for.</param>
public sealed record ElementTraits(bool OnGround, bool Flat, JointLayout Jointed, Load Load, SteelSection Section, MixUse Mix)
{
    /// <summary>Which order of work it follows.</summary>
    public required WorkKind Work { get; init; }

    /// <summary>How it is cast in a mould.</summary>
    public MouldKind Mould { get; init; }

    /// <summary>It is lifted when it has set.</summary>
    public bool Lifted { get; init; }

    /// <summary>Its forms are tied across the top.</summary>
    public bool Tied { get; init; }

    /// <summary>It lies on something that is cleaned and damped first.</summary>
    public bool OnOldConcrete { get; init; }

    /// <summary>It is sealed as a matter of course.</summary>
    public bool Sealed { get; init; }

    /// <summary>Its thickness is said in a field of its own.</summary>
    public bool ThicknessSaid { get; init; }

    /// <summary>A greater thickness is a way out where steel does not fit.</summary>
    public bool Thickens { get; init; }

    /// <summary>It lies on supports and carries between them.</summary>
    public bool Spans { get; init; }

    /// <summary>It comes off what it is poured onto.</summary>
    public bool DeckComesOff { get; init; }

    /// <summary>Days that it stays in the mould where nothing is said.</summary>
    public double UsualStripDays { get; init; } = 2;

    /// <summary>It is turned out of a mould.</summary>
    public bool InMould => Mould is MouldKind.Pieces or MouldKind.FaceDown;

    /// <summary>It is filled and tapped bit by bit, not raked out.</summary>
    public bool Narrow => Mould != MouldKind.None || Section == SteelSection.Strip;

    /// <summary>People walk on it.</summary>
    public bool Walked => Flat || (InMould && Section != SteelSection.Counter);

    /// <summary>It stands on the ground, not in it.</summary>
    public bool Stands { get; init; }

    /// <summary>Air reaches its sides too.</summary>
    public bool SidesShow => InMould || Tied || Section == SteelSection.Counter;

    /// <summary>A car may stand on it.</summary>
    public bool Driven => Section == SteelSection.Slab;

    /// <summary>Its faces are seen close by, and rubbed by hand.</summary>
    public bool Sanded => InMould || Section == SteelSection.Counter;

    /// <summary>Boards hold it.</summary>
    public bool Boarded => Mould == MouldKind.None && Section != SteelSection.Footing;
}
