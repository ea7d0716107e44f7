using SetFirm.Core.Quantities;
using static SetFirm.Core.Batching.LoadingOrder;

namespace SetFirm.Core.Batching;

/// <summary>A hoe, in a tub or a barrow.</summary>
/// <param name="Rated">What can be mixed in it at once.</param>
public sealed record HandMixer(Volume Rated) : Mixer
{
    /// <summary>Bags and dry kilograms at once in comfort, and at the most, whatever the vessel holds.</summary>
    public static readonly (double Bags, double DryKg) InComfort = (2, 60);

    public static readonly (double Bags, double DryKg) AtTheMost = (4, 110);

    public override Volume Capacity => Rated;

    public override MixedBy By => MixedBy.Hoe;

    public override IEnumerable<LoadingMove?> Order(MixerLoad load) => load.Bagged
        ?
        [
            new(LoadingStep.MostOfTheWater, 20), Colour(load, 20), Additive(load), new(LoadingStep.FirstBagWet, 240), new(LoadingStep.SecondBagToPlan, 240), AddedCement(load),
            new(LoadingStep.RestOfWaterByEye, 60),
        ]
        : [new(LoadingStep.DryMaterial, 60), Colour(load, 20), new(LoadingStep.MixDry, 120), Additive(load), new(LoadingStep.MostOfTheWater, 30), new(LoadingStep.MixOn, 240), new(LoadingStep.RestOfWaterByEye, 60)];
}
