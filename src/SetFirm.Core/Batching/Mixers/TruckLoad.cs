using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>A truck at the kerb: what is taken off it at a time.</summary>
/// <param name="Load">A barrow, or a stretch of the form as large.</param>
/// <param name="Chute">It runs off the chute where it is wanted.</param>
public sealed record TruckLoad(Volume Load, bool Chute) : Mixer
{
    public override Volume Capacity => Load;

    public override MixedBy By => MixedBy.Plant;

    public override bool IsWheeled => !Chute;

    public override IEnumerable<LoadingMove?> Order(MixerLoad load) => [];
}
