using SetFirm.Core.Batching;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Job;

/// <summary>How long the work takes this crew: minutes of one person; null takes the usual.</summary>
public sealed record PaceDocument
{
    /// <summary>Nothing said.</summary>
    public static PaceDocument Usual { get; } = new();

    /// <summary>Fetch, open and tip a bag of 25 kg; lighter and heavier ones in proportion.</summary>
    public double? BagMin { get; init; }

    /// <summary>Fill and tip 12 L of loose material by bucket.</summary>
    public double? BucketMin { get; init; }

    /// <summary>Shovel in 12 L of loose material.</summary>
    public double? ShovelMin { get; init; }

    /// <summary>A drum or a pan turns on after the last material.</summary>
    public double? MachineMin { get; init; }

    /// <summary>A drill mixes 30 kg.</summary>
    public double? DrillMin { get; init; }

    /// <summary>A hoe mixes the first 27 kg; further ones in proportion.</summary>
    public double? HoeMin { get; init; }

    /// <summary>Empty and rinse, a batch.</summary>
    public double? EmptyMin { get; init; }

    /// <summary>Fill and tip a barrow.</summary>
    public double? BarrowMin { get; init; }

    /// <summary>Spread and compact 10 L in a slab.</summary>
    public double? SlabMin { get; init; }

    /// <summary>Likewise in moulds, borders, curbs and counters.</summary>
    public double? NarrowMin { get; init; }

    /// <summary>Strike off a square metre.</summary>
    public double? StrikeMin { get; init; }

    /// <summary>Rest in each hour after the first.</summary>
    public double? RestMin { get; init; }

    /// <summary>The figures, or null with findings at those that cannot be.</summary>
    internal PaceFigures? Read(Place at, Gate gate)
    {
        const double least = 0.05, most = 60;
        var (usual, sound) = (PaceFigures.Usual, true);
        double Of(string name, double? said, double else_, double from = least, double to = most)
        {
            sound &= said is not { } given || gate.InRange(at.At(name), given, from, to, RangeUnit.Min);
            return said ?? else_;
        }

        var hoe = Of(nameof(HoeMin), HoeMin, usual.HoeMin);
        var read = usual with
        {
            BagMin = Of(nameof(BagMin), BagMin, usual.BagMin),
            BucketMin = Of(nameof(BucketMin), BucketMin, usual.BucketMin),
            ShovelMin = Of(nameof(ShovelMin), ShovelMin, usual.ShovelMin),
            MachineMin = Of(nameof(MachineMin), MachineMin, usual.MachineMin),
            DrillMin = Of(nameof(DrillMin), DrillMin, usual.DrillMin),
            HoeMin = hoe,
            HoeMoreMin = usual.HoeMoreMin * hoe / usual.HoeMin,
            EmptyMin = Of(nameof(EmptyMin), EmptyMin, usual.EmptyMin, 0),
            BarrowMin = Of(nameof(BarrowMin), BarrowMin, usual.BarrowMin, 0),
            SlabMin = Of(nameof(SlabMin), SlabMin, usual.SlabMin),
            NarrowMin = Of(nameof(NarrowMin), NarrowMin, usual.NarrowMin),
            StrikeMin = Of(nameof(StrikeMin), StrikeMin, usual.StrikeMin, 0),
            RestMin = Of(nameof(RestMin), RestMin, usual.RestMin, 0, 45),
        };
        return sound ? read : null;
    }
}
