using System.Collections.Immutable;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Joints;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What a task wants in the hand, by how this job does it: the mixer, the passes, the form, the steel. Source: site practice.</summary>
internal static class TaskGear
{
    /// <param name="task">Which.</param>
    /// <param name="part">Of an element; of one that has the task, where it is done once for all.</param>
    /// <param name="parts">Of all elements.</param>
    /// <param name="plan">Of the job.</param>
    public static ImmutableArray<Gear> Of(WorkTask task, WorkPart part, ImmutableArray<WorkPart> parts, JobPlan plan)
    {
        var (element, usual) = (part.Element, TaskCatalogue.Of(task).Gear);
        var (forms, steel) = (element.Build!.Forms, element.Build.Steel);
        return task switch
        {
            WorkTask.Pour => plan.Pour?.Load.Load is { } load ? [.. Pouring(load, parts)] : usual,
            WorkTask.FinishPasses => plan.Pour?.Day is { } day ? [.. Finishing([.. day.Zones.SelectMany(z => z.Passes).Select(p => p.Pass)], parts)] : usual,
            WorkTask.SetForms => [.. usual.Where(g => g != Gear.SledgeHammer || forms is { StakeCount: > 0 }), .. forms is { NailCount: > 0 } ? [Gear.HammerDrill, Gear.Hammer] : Array.Empty<Gear>()],
            WorkTask.PlanCracks => element.Read.CracksM > 0 ? usual : [],
            WorkTask.SetSteel => steel.Barred ? usual : steel.SheetCount > 0 ? [Gear.Cutter] : [Gear.Knife],
            WorkTask.TapEdges => element.Consolidating.How switch
            {
                Consolidation.Sander => [Gear.Sander],
                Consolidation.RodAndTap => [Gear.Rod, Gear.Mallet],
                _ => usual,
            },
            // What one person carries wants no straps.
            WorkTask.SetInPlace => [.. usual.Where(g => g != Gear.LiftingStraps || element.PieceMass.Kilograms > Crew.LiftKg)],
            WorkTask.KeepWet => plan.Curing is { Method: CuringMethod.Ponding or CuringMethod.Plastic or CuringMethod.BurlapUnderPlastic } ? [Gear.Buckets, Gear.Hose] : usual,
            _ => usual,
        };
    }

    private static IEnumerable<Gear> Pouring(LoadPlan load, ImmutableArray<WorkPart> parts)
    {
        var mixer = load.Place.Mixer;
        Gear[] by = mixer.By switch
        {
            MixedBy.Machine => [Gear.Mixer],
            MixedBy.Drill => [Gear.Drill, Gear.Paddle, Gear.Buckets],
            MixedBy.Hoe => [Gear.Hoe, Gear.Tub],
            MixedBy.Plant => [],
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        foreach (var gear in by)
        {
            yield return gear;
        }

        if (mixer.IsWheeled && load.Place.Barrow.Metres > 0)
        {
            yield return Gear.Barrow;
        }

        yield return Gear.StrikeBoard;
        // A slab is raked out; what is narrow is filled by the shovel.
        if (parts.Any(p => p.IsHere && !p.Element.Traits.Narrow))
        {
            yield return Gear.Rake;
        }

        yield return Gear.Shovel;
        if (parts.Any(p => p.IsHere && p.Element.Build!.Steel.HookedUp))
        {
            yield return Gear.PullHook;
        }
    }

    /// <summary>Elements poured now whose joints are made by hand, along with the first edging.</summary>
    /// <param name="passes">Of the day.</param>
    /// <param name="parts">Of all elements.</param>
    public static IEnumerable<ElementPlan> Grooved(HashSet<Pass> passes, ImmutableArray<WorkPart> parts) =>
        passes.Contains(Pass.EdgeAndFloat) ? parts.Where(p => p.IsHere).Select(p => p.Element).Where(e => e.Joints.Lines.Any(l => l.Method == JointMethod.Tooled)) : [];

    private static IEnumerable<Gear> Finishing(HashSet<Pass> passes, ImmutableArray<WorkPart> parts)
    {
        ElementPlan[] here = [.. parts.Where(p => p.IsHere).Select(p => p.Element)];
        foreach (var (pass, gear) in Tools)
        {
            if (passes.Contains(pass) && (gear != Gear.BullFloat || here.Any(e => !e.Traits.Narrow)))
            {
                yield return gear;
            }
        }

        // Between boards or in a mould there is no room for a pole: it is floated by hand.
        if (passes.Contains(Pass.BullFloat) && !passes.Contains(Pass.EdgeAndFloat) && here.Any(e => e.Traits.Narrow))
        {
            yield return Gear.HandFloat;
        }

        if (Grooved(passes, parts).Any())
        {
            yield return Gear.Groover;
        }

        // Who floats or trowels further in than an arm reaches kneels on it.
        if (passes.Overlaps([Pass.SecondFloat, Pass.FirstTrowel, Pass.HardTrowel]) && here.Any(e => e.Joints.Panels.Any(p => Math.Min(p.Shape.AlongM, p.Shape.AcrossM) / 2 > JointAdvice.ReachM)))
        {
            yield return Gear.Kneeboards;
        }
    }

    // In the order of the passes; a tool that two passes want is told by the first of them.
    private static readonly ImmutableArray<(Pass Pass, Gear Gear)> Tools =
    [
        (Pass.BullFloat, Gear.BullFloat), (Pass.WashSlurry, Gear.Sponge), (Pass.WashSlurry, Gear.Sprayer), (Pass.EdgeAndFloat, Gear.HandFloat), (Pass.EdgeAndFloat, Gear.Edger),
        (Pass.EdgeAndFloat, Gear.MarginTrowel), (Pass.ExposeStone, Gear.Sprayer), (Pass.Broom, Gear.Broom), (Pass.FirstTrowel, Gear.Trowel), (Pass.StripAndRub, Gear.PryBar), (Pass.SawJoints, Gear.JointSaw),
    ];
}
