using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tasks;

/// <summary>What can hurt someone, placed at the field where the hand is about to do the thing.</summary>
/// <remarks>Source: safety sheets of cement, common site rules. Local codes rule.</remarks>
public static class Cautions
{
    /// <summary>Two people lift this; over it a machine does, kg.</summary>
    private const double MachineLiftKg = 50;

    /// <param name="loadKg">The heaviest thing one person would lift: a bag; null where nothing is known yet.</param>
    /// <param name="machine">True for a motor-driven mixer.</param>
    /// <param name="mix">Where the mix is said.</param>
    /// <param name="remarks">Takes them.</param>
    public static void Check(double? loadKg, bool machine, MixPlaces mix, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.Caution(Places.Elements, new Notice.MarkServices());
        remarks.Caution(Places.Elements, new Notice.StructuralWork());
        remarks.Caution(mix.Self, new Notice.CausticCement());
        remarks.Caution(mix.Self, new Notice.DustWhenTipping());
        if (loadKg is > Crew.LiftKg and var kg)
        {
            remarks.Caution(mix.Self, new Notice.HeavyLift(MassKg: kg, LimitKg: Crew.LiftKg));
        }

        if (machine)
        {
            remarks.Caution(Places.Mixing.Mixer.Self, new Notice.MixerGuard());
        }

        remarks.Caution(Places.Mixing.Self, new Notice.WashOut());
    }

    /// <summary>A piece that is lifted when it has set.</summary>
    public static void CheckPiece(Mass piece, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (piece.Kilograms > Crew.LiftKg)
        {
            remarks.Caution(at, new Notice.HeavyPiece(MassKg: piece.Kilograms, LimitKg: Crew.LiftKg, MachineKg: MachineLiftKg));
        }
    }
}
