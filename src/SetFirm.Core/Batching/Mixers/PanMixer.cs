using SetFirm.Core.Quantities;
using static SetFirm.Core.Batching.LoadingOrder;

namespace SetFirm.Core.Batching;

/// <summary>Paddles that force the mix through a still pan.</summary>
/// <param name="Rated">Wet concrete that it mixes at once, as sold.</param>
public sealed record PanMixer(Volume Rated) : Mixer
{
    public override Volume Capacity => Rated;

    public override MixedBy By => MixedBy.Machine;

    public override bool IsOutgrown(Volume common) => false;

    public override IEnumerable<LoadingMove?> Order(MixerLoad load) =>
    [
        new(LoadingStep.MostOfTheWater, 15),
        Additive(load),
        .. load.Bagged
            ? new LoadingMove?[] { Colour(load, 20), new(LoadingStep.Bags, 45), AddedCement(load) }
            : [load.Ballast ? new(LoadingStep.DryMaterial, 45) : new(LoadingStep.Sand, 30), Stone(load), Colour(load, 90), new(LoadingStep.Cement, 30)],
        new(LoadingStep.MixOn, 180),
        new(LoadingStep.RestOfWaterByEye, 20),
    ];
}
