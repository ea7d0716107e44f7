using System.Collections.Immutable;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What of a task is done in turns: grit by grit, coat by coat.</summary>
internal static class TaskParts
{
    /// <param name="task">Which.</param>
    /// <param name="part">Of an element.</param>
    /// <param name="parts">Of all elements.</param>
    /// <param name="pour">That is looked at.</param>
    public static ImmutableArray<TaskPart> Of(WorkTask task, WorkPart part, ImmutableArray<WorkPart> parts, PourPlan? pour) => task switch
    {
        WorkTask.GrindFace when part.Element is { Finish: Finish.GroundLater } element => AfterCare.Grits(part.FaceM2, element.Traits.SidesShow ? element.Cast.Plan.Perimeter.Metres * part.Pieces : 0, element.Read.Grits.From, element.Read.Grits.To),
        WorkTask.RubFace when TaskDates.Passes(pour?.Day, part.Element.Index, Pass.StripAndRub) is { From: { } opens, By: { } closes } => AfterCare.Rubs(opens, closes),
        WorkTask.Coat when pour?.Cure is { } cure => [.. cure.Coats.Select(c => Coat(c, parts.Sum(p => p.CoatM2)))],
        _ => [],
    };

    private static TaskPart.CoatOn Coat(Curing.PlannedCoat coat, double areaM2)
    {
        var (time, said) = (coat.Time, coat.Said);
        var (product, water, lots) = AfterCare.ToMix(areaM2, said.CoversM2PerL ?? AfterCare.UsualCoversM2PerL, said.Dilution, said.PotLifeMin);
        return new TaskPart.CoatOn
        {
            Product = said.Name,
            Number = time.Number,
            At = time.At,
            Closes = time.Closes,
            Scuff = time.Late,
            ProductL = product,
            WaterL = water,
            Lots = lots,
            PotLifeMin = said.PotLifeMin,
            KeepWetH = said.KeepWetH,
        };
    }
}
