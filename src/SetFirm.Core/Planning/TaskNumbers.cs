using System.Collections.Immutable;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What of the plan belongs to a task.</summary>
internal static class TaskNumbers
{
    /// <returns>Null where this job has no such task.</returns>
    /// <param name="task">Which.</param>
    /// <param name="part">Of an element; of one that has the task, where it is done once for all.</param>
    /// <param name="parts">Of all elements.</param>
    /// <param name="plan">Of the job.</param>
    public static ImmutableArray<TaskNumber>? Of(WorkTask task, WorkPart part, ImmutableArray<WorkPart> parts, JobPlan plan)
    {
        var (element, build, pour) = (part.Element, plan.Build!, plan.Pour);
        IEnumerable<ElementPlan> Elements() => parts.Select(p => p.Element);
        var built = element.Build!;
        var (dig, forms, mould, steel, traits, load, cure) = (built.Dig, built.Forms, built.Mould, built.Steel, element.Traits, pour?.Load, pour?.Cure);
        var boards = forms?.Boards.Boards.Sum(b => b.CutM) + forms?.Boards.Bends.Sum(b => b.CutM);
        // What is set anew for each casting is of that casting.
        var share = part.IsSeries ? part.Share : 1;
        var boarded = boards > 0;
        HashSet<Pass>? Passes() => pour?.Day?.Zones.SelectMany(z => z.Passes).Select(p => p.Pass).Where(p => p != Pass.StrikeOff).ToHashSet();
        ImmutableArray<TaskNumber>? Where(bool has, params ReadOnlySpan<(TaskFigure Figure, double? Value)> numbers)
        {
            if (!has)
            {
                return null;
            }

            var some = ImmutableArray.CreateBuilder<TaskNumber>();
            foreach (var (figure, value) in numbers)
            {
                if (value is > 0 and var known)
                {
                    some.Add(new TaskNumber(figure, known));
                }
            }

            return some.ToImmutable();
        }

        return task switch
        {
            // Nobody asks leave for a few stones.
            WorkTask.ReadRules => Where(Elements().Any(e => !e.Traits.InMould || e.Traits.Spans || e.Traits.Section is SteelSection.Counter or SteelSection.Footing)),
            WorkTask.FindServices => Where(dig is not null),
            WorkTask.ClearAway => Where(dig is not null, (TaskFigure.AreaM2, Elements().Where(e => e.Build!.Dig is not null).Sum(e => e.FaceM2))),
            WorkTask.CleanOld => Where(true, (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.CheckSupport or WorkTask.MakeDeck => Where(true, (TaskFigure.TopKg, RestsKg(element)), (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.LaySlipSheet => Where(traits.DeckComesOff, (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.PlanCracks => Where(true, (TaskFigure.CracksM, element.Read.CracksM), (TaskFigure.OldJointsM, element.Joints.Cuts.Sum(c => c.LengthM))),
            WorkTask.Dig => Where(dig is not null, (TaskFigure.DigDepthMm, dig?.Depth.Millimetres), (TaskFigure.DigL, dig?.Bank.Litres)),
            WorkTask.CompactBase => Where(
                dig is { BaseDepth.Metres: > 0 }, (TaskFigure.BaseMm, dig?.BaseDepth.Millimetres), (TaskFigure.BaseLifts, dig?.Lifts), (TaskFigure.BaseKg, dig?.BaseMass.Kilograms)),
            WorkTask.SetOut => Where(true, (TaskFigure.StringAboveMm, build.StringMm), (TaskFigure.LowestCornerMm, built.CornersMm.DefaultIfEmpty(0).Max())),
            WorkTask.SetForms => Where(
                boarded || traits.Mould == MouldKind.InPlace, (TaskFigure.BoardsM, boards), (TaskFigure.Sheets, traits.Mould == MouldKind.InPlace ? mould?.Sheets : null)),
            WorkTask.SpaceForms => Where(forms is { Ties: > 0 }, (TaskFigure.Ties, forms?.Ties)),
            WorkTask.CapEnds => Where(forms is { Profile: not null }, (TaskFigure.CapMm, forms?.Profile?.Height.Millimetres)),
            WorkTask.CheckSquare => Where(boarded && built.Diagonals.Length > 0, (TaskFigure.DiagonalM, built.Diagonals.Select(d => d.LengthM).DefaultIfEmpty(0).Max())),
            WorkTask.CutStakes => Where(forms is { StakeCount: > 0 }, (TaskFigure.Stakes, forms?.StakeCount)),
            WorkTask.BackfillForms => Where(forms is { StakeCount: > 0 }),
            WorkTask.TapeScrews => Where(boarded || mould is { Screws: > 0 }, (TaskFigure.Screws, mould?.Screws)),
            WorkTask.SetIsolation => Where(built.IsolationM + built.BondBreakerM > 0, (TaskFigure.IsolationM, built.IsolationM + built.BondBreakerM)),
            WorkTask.MaskNear => Where(built.MaskM > 0, (TaskFigure.AreaM2, built.MaskM * BuyAdvice.MaskHighM)),
            WorkTask.LayPlastic => Where(plan.Said.Build.Plastic && dig is not null, (TaskFigure.AreaM2, element.Cast.Plan.NetArea.SquareMetres * element.Cast.Count)),
            WorkTask.LevelBench or WorkTask.WaxMould => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds)),
            WorkTask.CutMould or WorkTask.BendStrips => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds), (TaskFigure.Sheets, mould?.Sheets), (TaskFigure.Screws, mould?.Screws)),
            WorkTask.SealSeams => Where(mould is { SeamM: > 0 }, (TaskFigure.SeamM, mould?.SeamM), (TaskFigure.Cartridges, mould?.Cartridges)),
            WorkTask.OilForms => Where(boarded || mould is not null, (TaskFigure.BoardsM, boards)),
            WorkTask.StripForms => Where(!part.IsUnderAnother && (boarded || mould is not null), (TaskFigure.BoardsM, boards * part.Share)),
            WorkTask.BuildRamp => Where(boarded),
            WorkTask.SetSteel => Where(
                steel.SheetCount > 0 || steel.BarM > 0 || steel.ScrimM2 > 0, (TaskFigure.MeshSheets, steel.SheetCount * share), (TaskFigure.BarsM, steel.BarM * share),
                (TaskFigure.Chairs, steel.Layout.Chairs * share), (TaskFigure.ScrimM2, steel.ScrimM2 * share)),
            WorkTask.BoxCutOuts => Where(element.Read.OpeningsFor(OpeningUse.CutOut).Any()),
            WorkTask.LookOver => Where(true, (TaskFigure.Inspections, JobTasks.LookedOver([.. Elements()]).Count)),
            // A truck brings it measured out.
            WorkTask.MeasureOut => Where(load?.Load?.Place.Mixer.By != MixedBy.Plant, (TaskFigure.Batches, load?.Batches), (TaskFigure.Bags, load?.Bags)),
            WorkTask.Dampen => Where(traits.OnGround || traits.OnOldConcrete),
            WorkTask.BondCoat => Where(part.BondM2 > 0, (TaskFigure.AreaM2, part.BondM2), (TaskFigure.OpenMin, AfterCare.BondOpenMin)),
            // As it goes on the day: passes call hands away from the mixer.
            WorkTask.Pour => Where(
                true, (TaskFigure.VolumeL, load?.Sketch.Litres), (TaskFigure.Batches, load?.Batches), (TaskFigure.MixingMin, pour?.Day is { } day ? (day.Schedule.MixingEnds - day.Start).TotalMinutes : null)),
            WorkTask.RoughenBase => Where(part.Has(Course.Base)),
            WorkTask.SetPebbles => Where(part.Has(Course.Bed), (TaskFigure.AreaM2, part.FaceM2)),
            WorkTask.WashFace => Where(part.Has(Course.Slurry), (TaskFigure.AreaM2, part.FaceM2)),
            // Stripped in the window of its pass, or when it is hard: then nothing can be rubbed any more but by sanding.
            WorkTask.RubFace => Where(element.Finish == Finish.Rubbed, (TaskFigure.AreaM2, part.OpenM2 - part.FaceM2)),
            WorkTask.FinishPasses => Where(Passes() is not { Count: 0 }, (TaskFigure.PassesMin, pour?.Day?.Zones.SelectMany(z => z.Passes).Sum(p => p.Work.TotalMinutes)), (TaskFigure.GrooveMm, TaskGear.Grooved(Passes() ?? [], parts).Select(e => e.Joints.Depth.Millimetres).DefaultIfEmpty(0).Max())),
            WorkTask.CleanTools => Where(true, (TaskFigure.Batches, load?.Batches)),
            WorkTask.FenceOff => Where(!part.IsBuriedToday),
            WorkTask.CoverIt => Where(!part.IsBuriedToday, (TaskFigure.AreaM2, parts.Where(p => p.IsHere).Sum(p => p.OpenM2))),
            WorkTask.PatchHoles => Where(!part.IsUnderAnother, (TaskFigure.HoldBackL, load?.HoldBackL)),
            WorkTask.Demould or WorkTask.SetInPlace => Where(
                true, (TaskFigure.Pieces, part.Pieces), (TaskFigure.PieceKg, element.PieceMass.Kilograms), (TaskFigure.LiftPeople, AfterCare.Lifters(element.PieceMass.Kilograms))),
            WorkTask.SoftenCorners => Where(true, (TaskFigure.Pieces, part.Pieces)),
            WorkTask.FirstWalk => Where(!part.IsUnderAnother && parts.Any(p => p.IsHere && p.Element.Traits.Walked)),
            WorkTask.FirstLoad or WorkTask.FirstWinter => Where(!part.IsUnderAnother),
            // Sealed in it keeps its own water.
            WorkTask.KeepWet => Where(!part.IsBuriedToday && (plan.Curing is not { } kept || Wetting.WantsWater(kept.Method)), (TaskFigure.WetDays, cure?.WetDays), (TaskFigure.RewetMin, cure?.RewetHours * 60)),
            WorkTask.GrindFace => Where(
                cure?.Milestones.Any(m => m.Milestone == Milestone.Grind) == true && element.Finish == Finish.GroundLater,
                (TaskFigure.AreaM2, part.FaceM2), (TaskFigure.GrindMin, TaskParts.Of(task, part, parts, pour).OfType<TaskPart.Grit>().Sum(g => g.Minutes))),
            WorkTask.BackfillSides => Where(part.IsLast && dig is { GoesBack.Litres: > 0 }, (TaskFigure.BackfillL, dig?.GoesBack.Litres)),
            WorkTask.Coat => Where(part.CoatM2 > 0, (TaskFigure.Coats, cure?.Coats.Length), (TaskFigure.CoatM2, parts.Sum(p => p.CoatM2) * cure?.Coats.Length)),
            _ => Where(true),
        };
    }

    /// <summary>What lies on supports weighs, kg; 0 where the ground or old concrete carries it.</summary>
    public static double RestsKg(ElementPlan element) => element.Traits.Section == SteelSection.Counter ? element.PieceMass.Kilograms * element.Cast.Count : 0;
}
