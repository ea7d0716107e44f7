using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tasks;

/// <summary>What a job does that can hurt someone.</summary>
/// <param name="Dug">Something is dug for.</param>
/// <param name="Carries">Something spans, rises, or carries a building or cars.</param>
/// <param name="Ground">Hard concrete is ground, sanded or cut.</param>
/// <param name="Solvent">A film of solvent or of two parts is laid.</param>
/// <param name="LiftKg">The heaviest thing that one person would lift: a bag; null where nothing is known yet.</param>
/// <param name="Machine">A motor mixes.</param>
/// <param name="Hot">So warm that people need water and shade themselves.</param>
public sealed record Hazards(bool Dug, bool Carries, bool Ground, bool Solvent, double? LiftKg, bool Machine, bool Hot);

/// <summary>What can hurt someone, placed at the field where the hand is about to do the thing: told where this job does it, once, the gravest first.</summary>
/// <remarks>Source: safety sheets of cement, common site rules. Local codes rule.</remarks>
public static class Cautions
{
    /// <summary>Two people lift this; over it a machine does, kg.</summary>
    private const double MachineLiftKg = 50;

    /// <param name="job">What it does.</param>
    /// <param name="mix">Where the mix is said.</param>
    /// <param name="remarks">Takes them.</param>
    public static void Check(Hazards job, MixPlaces mix, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(remarks);
        // What kills comes first.
        if (job.Dug)
        {
            remarks.Caution(Places.Elements, new Notice.MarkServices());
        }

        if (job.Machine)
        {
            remarks.Caution(Places.Mixing.Mixer.Self, new Notice.MixerGuard());
        }

        if (job.Carries)
        {
            remarks.Caution(Places.Elements, new Notice.StructuralWork());
        }

        if (job.Solvent)
        {
            remarks.Caution(Places.Cure.Coats, new Notice.SolventInTheAir());
        }

        if (job.Hot)
        {
            remarks.Caution(Places.Mixing.Self, new Notice.HeatOnPeople());
        }

        remarks.Caution(mix.Self, new Notice.CausticCement());
        remarks.Caution(mix.Self, new Notice.DustWhenTipping());
        if (job.Ground)
        {
            remarks.Caution(Places.Cure.Self, new Notice.SilicaWhenGround());
        }

        if (job.LiftKg is > Crew.LiftKg and var kg)
        {
            remarks.Caution(mix.Self, new Notice.HeavyLift(MassKg: kg, LimitKg: Crew.LiftKg));
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
