using System.Collections.Immutable;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What of the plan belongs to a task.</summary>
internal static class TaskNumbers
{
    /// <returns>Null where this job has no such task.</returns>
    /// <param name="task">Which.</param>
    /// <param name="element">Of it; of one that has the task, where it is done once for all.</param>
    /// <param name="elements">Of the job.</param>
    /// <param name="build">Of the job.</param>
    /// <param name="pour">That is looked at.</param>
    public static ImmutableArray<TaskNumber>? Of(WorkTask task, ElementPlan element, ImmutableArray<ElementPlan> elements, BuildPlan build, PourPlan? pour)
    {
        var built = element.Build!;
        var (dig, forms, mould, steel, traits, load, cure) = (built.Dig, built.Forms, built.Mould, built.Steel, element.Traits, pour?.Load, pour?.Cure);
        var boards = forms?.Boards.Boards.Sum(b => b.CutM) + forms?.Boards.Bends.Sum(b => b.CutM);
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
            WorkTask.FindServices => Where(dig is not null),
            WorkTask.ClearAway => Where(dig is not null, (TaskFigure.AreaM2, elements.Where(e => e.Build!.Dig is not null).Sum(e => e.FaceM2))),
            WorkTask.CleanOld => Where(true, (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.CheckSupport or WorkTask.MakeDeck => Where(true, (TaskFigure.TopKg, RestsKg(element)), (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.Dig => Where(dig is not null, (TaskFigure.DigDepthMm, dig?.Depth.Millimetres), (TaskFigure.DigL, dig?.Bank.Litres)),
            WorkTask.CompactBase => Where(
                dig is { BaseDepth.Metres: > 0 }, (TaskFigure.BaseMm, dig?.BaseDepth.Millimetres), (TaskFigure.BaseLifts, dig?.Lifts), (TaskFigure.BaseKg, dig?.BaseMass.Kilograms)),
            WorkTask.SetOut => Where(true, (TaskFigure.StringAboveMm, build.StringMm), (TaskFigure.LowestCornerMm, built.CornersMm.DefaultIfEmpty(0).Max())),
            WorkTask.SetForms => Where(
                forms is not null || traits.Mould == MouldKind.InPlace, (TaskFigure.BoardsM, boards), (TaskFigure.Sheets, traits.Mould == MouldKind.InPlace ? mould?.Sheets : null)),
            WorkTask.SpaceForms => Where(forms is { Ties: > 0 }, (TaskFigure.Ties, forms?.Ties)),
            WorkTask.CapEnds => Where(forms is { Profile: not null }, (TaskFigure.CapMm, forms?.Profile?.Height.Millimetres)),
            WorkTask.CheckSquare => Where(built.Diagonals.Length > 0, (TaskFigure.DiagonalM, built.Diagonals.Select(d => d.LengthM).DefaultIfEmpty(0).Max())),
            WorkTask.CutStakes => Where(forms is { StakeCount: > 0 }, (TaskFigure.Stakes, forms?.StakeCount)),
            WorkTask.BackfillForms => Where(forms is { StakeCount: > 0 }),
            WorkTask.TapeScrews => Where(forms is not null || mould is not null, (TaskFigure.Screws, mould?.Screws)),
            WorkTask.SetIsolation => Where(built.IsolationM + built.BondBreakerM > 0, (TaskFigure.IsolationM, built.IsolationM + built.BondBreakerM)),
            WorkTask.MaskNear => Where(built.IsolationM > 0 || traits.Section != SteelSection.Slab),
            WorkTask.LevelBench or WorkTask.WaxMould => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds)),
            WorkTask.CutMould or WorkTask.BendStrips => Where(mould is not null, (TaskFigure.Moulds, mould?.Moulds), (TaskFigure.Sheets, mould?.Sheets)),
            WorkTask.SealSeams => Where(mould is { SeamM: > 0 }, (TaskFigure.SeamM, mould?.SeamM), (TaskFigure.Cartridges, mould?.Cartridges)),
            WorkTask.OilForms => Where(forms is not null || mould is not null),
            WorkTask.StripForms => Where(forms is not null || mould is not null, (TaskFigure.BoardsM, boards)),
            WorkTask.BuildRamp => Where(forms is not null),
            WorkTask.SetSteel => Where(
                steel.SheetCount > 0 || steel.BarM > 0 || steel.ScrimM2 > 0, (TaskFigure.MeshSheets, steel.SheetCount), (TaskFigure.BarsM, steel.BarM), (TaskFigure.Chairs, steel.Layout.Chairs),
                (TaskFigure.ScrimM2, steel.ScrimM2)),
            WorkTask.BoxCutOuts or WorkTask.CutBack => Where(element.Read.OpeningsFor(OpeningUse.CutOut).Any()),
            WorkTask.LookOver => Where(true, (TaskFigure.Inspections, JobTasks.LookedOver(elements).Count)),
            WorkTask.MeasureOut => Where(true, (TaskFigure.Batches, load?.Batches), (TaskFigure.Bags, load?.Bags)),
            WorkTask.Dampen => Where(traits.OnGround || traits.OnOldConcrete),
            // As it goes on the day: passes call hands away from the mixer.
            WorkTask.Pour => Where(
                true, (TaskFigure.VolumeL, load?.Sketch.Litres), (TaskFigure.Batches, load?.Batches), (TaskFigure.MixingMin, pour?.Day is { } day ? (day.Schedule.MixingEnds - day.Start).TotalMinutes : null)),
            WorkTask.SetPebbles or WorkTask.WashFace => Where(true, (TaskFigure.AreaM2, element.FaceM2)),
            WorkTask.RubFace => Where(true, (TaskFigure.AreaM2, element.OpenM2 - element.FaceM2)),
            WorkTask.FinishPasses => Where(true, (TaskFigure.PassesMin, pour?.Day?.Zones.SelectMany(z => z.Passes).Sum(p => p.Work.TotalMinutes))),
            WorkTask.CoverIt => Where(true, (TaskFigure.AreaM2, elements.Sum(e => e.OpenM2))),
            WorkTask.PatchHoles => Where(true, (TaskFigure.HoldBackL, load?.HoldBackL)),
            WorkTask.Demould or WorkTask.SetInPlace => Where(
                true, (TaskFigure.Pieces, element.Cast.Count), (TaskFigure.PieceKg, element.PieceMass.Kilograms), (TaskFigure.LiftPeople, AfterCare.Lifters(element.PieceMass.Kilograms))),
            WorkTask.SoftenCorners => Where(true, (TaskFigure.Pieces, element.Cast.Count)),
            WorkTask.FirstWalk => Where(elements.Any(e => e.Traits.Walked)),
            WorkTask.KeepWet => Where(true, (TaskFigure.WetDays, cure?.WetDays), (TaskFigure.RewetMin, cure?.RewetHours * 60)),
            WorkTask.GrindFace => Where(
                cure?.Milestones.Any(m => m.Milestone == Milestone.Grind) == true && element.Finish == Finish.GroundLater,
                (TaskFigure.AreaM2, element.FaceM2), (TaskFigure.GrindMin, TaskParts.Of(task, element, elements, pour).OfType<TaskPart.Grit>().Sum(g => g.Minutes))),
            WorkTask.BackfillSides => Where(dig is { GoesBack.Litres: > 0 }, (TaskFigure.BackfillL, dig?.GoesBack.Litres)),
            WorkTask.Coat => Where(cure is { Coats.Length: > 0 }, (TaskFigure.Coats, cure?.Coats.Length), (TaskFigure.CoatM2, elements.Sum(e => e.OpenM2) * cure?.Coats.Length)),
            _ => Where(true),
        };
    }

    /// <summary>What lies on supports weighs, kg; 0 where the ground or old concrete carries it.</summary>
    public static double RestsKg(ElementPlan element) => element.Traits.Section == SteelSection.Counter ? element.PieceMass.Kilograms * element.Cast.Count : 0;
}
