using System.Collections.Immutable;
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

/// <summary>What of one element can hurt someone.</summary>
/// <param name="DigMm">As deep as it is dug; 0 where it is not.</param>
/// <param name="PushKgPerM">What its concrete pushes outward with, for each metre of form; 0 where no boards hold it.</param>
/// <param name="Bars">Ends of bars stand out while it is built.</param>
/// <param name="PieceKg">It is lifted; 0 where it stays.</param>
/// <param name="RestsKg">It lies on supports; 0 where it lies on the ground.</param>
/// <param name="RestsKgPerM2">The same, for each square metre.</param>
public readonly record struct ElementHazards(double DigMm, double PushKgPerM, bool Bars, double PieceKg, double RestsKg, double RestsKgPerM2);

/// <summary>What can hurt someone, placed at the field where the hand is about to do the thing, and told with the task: where this job does it, the gravest first.</summary>
/// <remarks>Source: safety sheets of cement, common site rules. Local codes rule.</remarks>
public static class Cautions
{
    /// <summary>Two people lift this; over it a machine does, kg.</summary>
    private const double MachineLiftKg = 50;

    /// <summary>Sides of a hole deeper than this fall in on who stands in it, mm. Common site rules.</summary>
    private const double DeepDigMm = 1_000;

    /// <summary>A form that is pushed harder wants bracing, not only stakes, kg to the metre. Site practice.</summary>
    private const double HardPushKgPerM = 25;

    // What kills comes first.
    private static IEnumerable<(Notice Says, Place At, ImmutableArray<WorkTask> With)> All(Hazards job, MixPlaces mix)
    {
        if (job.Dug)
        {
            yield return (new Notice.MarkServices(), Places.Elements, [WorkTask.FindServices, WorkTask.Dig]);
        }

        if (job.Machine)
        {
            yield return (new Notice.MixerGuard(), Places.Mixing.Mixer.Self, [WorkTask.Pour, WorkTask.CleanTools]);
        }

        if (job.Carries)
        {
            yield return (new Notice.StructuralWork(), Places.Elements, [WorkTask.ReadRules, WorkTask.CheckSupport]);
        }

        if (job.Solvent)
        {
            yield return (new Notice.SolventInTheAir(), Places.Cure.Coats, [WorkTask.Coat]);
        }

        if (job.Hot)
        {
            yield return (new Notice.HeatOnPeople(), Places.Mixing.Self, [WorkTask.Pour, WorkTask.FinishPasses]);
        }

        yield return (new Notice.CausticCement(), mix.Self, [WorkTask.Pour, WorkTask.FinishPasses, WorkTask.PatchHoles]);
        yield return (new Notice.DustWhenTipping(), mix.Self, [WorkTask.MeasureOut, WorkTask.Pour]);
        if (job.Ground)
        {
            yield return (new Notice.SilicaWhenGround(), Places.Cure.Self, [WorkTask.GrindFace, WorkTask.SoftenCorners]);
        }

        if (job.LiftKg is > Crew.LiftKg and var kg)
        {
            yield return (new Notice.HeavyLift(MassKg: kg, LimitKg: Crew.LiftKg), mix.Self, [WorkTask.MeasureOut, WorkTask.Pour]);
        }

        yield return (new Notice.WashOut(), Places.Mixing.Self, [WorkTask.CleanTools]);
    }

    /// <param name="job">What it does.</param>
    /// <param name="mix">Where the mix is said.</param>
    /// <param name="remarks">Takes them.</param>
    public static void Check(Hazards job, MixPlaces mix, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(remarks);
        foreach (var (says, at, _) in All(job, mix))
        {
            remarks.Caution(at, says);
        }
    }

    /// <summary>A piece that is lifted when it has set.</summary>
    public static void CheckPiece(Mass piece, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (HeavyPiece(piece.Kilograms) is { } heavy)
        {
            remarks.Caution(at, heavy);
        }
    }

    /// <summary>What is told where a hand is about to do a task, by what the whole job does, the gravest first.</summary>
    /// <param name="job">What it does.</param>
    public static ILookup<WorkTask, Notice> OfJob(Hazards job)
    {
        ArgumentNullException.ThrowIfNull(job);
        return All(job, Places.Mix(0)).SelectMany(c => c.With.Select(t => (Task: t, c.Says))).ToLookup(c => c.Task, c => c.Says);
    }

    /// <summary>What is told there besides, by what its element does.</summary>
    /// <param name="task">Which.</param>
    /// <param name="here">What its element does.</param>
    public static Notice? OfElement(WorkTask task, ElementHazards here) => task switch
    {
        WorkTask.Dig => here.DigMm > DeepDigMm ? new Notice.DeepDig(DepthMm: here.DigMm, LimitMm: DeepDigMm) : null,
        WorkTask.SetForms or WorkTask.BackfillForms => here.PushKgPerM > HardPushKgPerM ? new Notice.FormPush(PushKgPerM: here.PushKgPerM) : null,
        WorkTask.SetSteel => here.Bars ? new Notice.BarEnds() : null,
        WorkTask.CheckSupport or WorkTask.MakeDeck => here.RestsKg > 0 ? new Notice.RestsOn(MassKg: here.RestsKg, KgPerM2: here.RestsKgPerM2) : null,
        WorkTask.Demould or WorkTask.SetInPlace => HeavyPiece(here.PieceKg),
        _ => null,
    };

    private static Notice.HeavyPiece? HeavyPiece(double kg) => kg > Crew.LiftKg ? new Notice.HeavyPiece(MassKg: kg, LimitKg: Crew.LiftKg, MachineKg: MachineLiftKg) : null;
}
