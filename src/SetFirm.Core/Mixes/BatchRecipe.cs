using System.Collections.Immutable;

namespace SetFirm.Core.Mixes;

/// <summary>What is measured.</summary>
public enum MeasuredThing
{
    Bag,
    AddedCement,
    Cement,
    Sand,
    Stone,
    Ballast,
    Water,
    Additive,
    Pigment,
    Polymer,
    Fibre,

    /// <summary>Off a truck.</summary>
    ReadyMix,
}

/// <param name="What">Is measured.</param>
/// <param name="Of">Id of the bag, or the additive; empty else.</param>
/// <param name="In">Container; null where it is counted or weighed.</param>
/// <param name="Count">Containers, bags or doses.</param>
/// <param name="Litres">0 where it is counted or weighed.</param>
/// <param name="Kg">0 where it is not known.</param>
public sealed record Measure(MeasuredThing What, string Of, ContainerKind? In, double Count, double Litres, double Kg);

/// <summary>What a batch of one size is made of.</summary>
/// <param name="Units">Half bags, or eighths of a container of cement.</param>
/// <param name="Size">The same in whole bags or containers.</param>
/// <param name="Batches">How many like it.</param>
/// <param name="VolumeL">Placed.</param>
/// <param name="Kg">Wet.</param>
/// <param name="Measures">What is measured into it.</param>
/// <param name="FirstWaterL">Of its water, what goes in first; the rest follows by eye.</param>
/// <param name="WaterL">All that is added.</param>
/// <param name="WaterCement">Of what is measured; null where not told.</param>
/// <param name="WaterCementOffPct">What measuring in quarters does to it.</param>
/// <param name="YieldOffPct">And to the volume.</param>
public sealed record BatchRecipe(
    int Units,
    double Size,
    int Batches,
    double VolumeL,
    double Kg,
    ImmutableArray<Measure> Measures,
    double FirstWaterL,
    double WaterL,
    double? WaterCement,
    double WaterCementOffPct,
    double YieldOffPct);

/// <summary>What strength a water gives.</summary>
/// <param name="WaterL">To a bag, or to a container of cement.</param>
/// <param name="Mpa">At 28 days.</param>
public sealed record WaterStrength(double WaterL, double Mpa);
