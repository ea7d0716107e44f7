using SetFirm.Core.Quantities;
using static SetFirm.Core.Batching.LoadingOrder;

namespace SetFirm.Core.Batching;

/// <summary>A drum that turns.</summary>
/// <param name="Size">Volume of the drum as sold.</param>
/// <remarks>Source: site practice (tune).</remarks>
public sealed record DrumMixer(Volume Size) : Mixer
{
    /// <summary>It holds, while it mixes, this share of its volume.</summary>
    public const double MixingShare = 0.65;

    /// <summary>And carries so much wet concrete for each litre of it, kg, unless its plate says otherwise.</summary>
    public const double KgPerL = 1.0;

    public override Volume Capacity => Size * MixingShare;

    public override MixedBy By => MixedBy.Machine;

    public override Mass? Carries => Mass.FromKilograms(Size.Litres * KgPerL);

    public override double FirstWater => 0.5;

    public override bool IsOutgrown(Volume common) => Size < common;

    public override IEnumerable<LoadingMove?> Order(MixerLoad load) =>
    [
        new(LoadingStep.HalfTheWater, 15),
        Colour(load, 20),
        Additive(load),
        .. load switch
        {
            { Bagged: true } => [new(LoadingStep.Bags, 45), AddedCement(load)],
            { Ballast: true } => [new(LoadingStep.MostOfTheBallast, 40), new(LoadingStep.HalfTheCement, 20), new(LoadingStep.RestOfDry, 30)],
            _ => new LoadingMove?[] { Stone(load), new(LoadingStep.Sand, 30), new(LoadingStep.Cement, 30) },
        },
        new(LoadingStep.RestOfWaterByEye, 30),
        new(LoadingStep.MixOn, 120),
    ];
}
