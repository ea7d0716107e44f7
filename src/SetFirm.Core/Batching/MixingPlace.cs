using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>What it is mixed in, by whom, and how far away.</summary>
/// <param name="Mixer">One of them.</param>
/// <param name="Crew">Hands, and how many mixers.</param>
/// <param name="Barrow">One way.</param>
/// <param name="Plate">What the mixer's plate allows; null where nothing is said.</param>
public sealed record MixingPlace(Mixer Mixer, Crew Crew, Length Barrow, Mass? Plate)
{
    /// <summary>True where the plate allows less than who tips it.</summary>
    public bool LimitedByPlate => Plate is { } plate && !(Mixer.MostMass(Crew) is { } lifted && lifted.Kilograms <= plate.Kilograms);

    /// <summary>What one batch may weigh: by the plate, and by who tips it.</summary>
    public Mass? MostMass => LimitedByPlate ? Plate : Mixer.MostMass(Crew);

    /// <summary>A volume in batches.</summary>
    public Batched Split(Volume wanted, BatchUnit unit) => Batches.Split(wanted, unit, Mixer.Capacity, MostMass);
}

/// <summary>A mixer, a crew and the batches they make.</summary>
public sealed record LoadPlan(MixingPlace Place, BatchPlan Batches)
{
    /// <summary>Share of the water that goes in first. Source: site practice.</summary>
    public double FirstWater => Place.Mixer is Mixer.Drum ? 0.5 : 0.8;

    public Crew Crew => Place.Crew;

    /// <summary>With so many more hands, and mixers for them.</summary>
    public LoadPlan With(Crew crew) => this with { Place = Place with { Crew = crew } };
}
