using System.Collections.Immutable;
using SetFirm.Core.Finishing;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What of a task is done in turns: grit by grit, coat by coat.</summary>
internal static class TaskParts
{
    /// <param name="task">Which.</param>
    /// <param name="element">Of it.</param>
    /// <param name="elements">Of the job.</param>
    /// <param name="pour">That is looked at.</param>
    public static ImmutableArray<TaskPart> Of(WorkTask task, ElementPlan element, ImmutableArray<ElementPlan> elements, PourPlan? pour) => task switch
    {
        WorkTask.GrindFace when element.Finish == Finish.GroundLater => AfterCare.Grits(element.FaceM2, element.Traits.SidesShow ? element.Cast.Plan.Perimeter.Metres * element.Cast.Count : 0),
        WorkTask.Coat when pour?.Cure is { } cure => [.. cure.Coats.Select(c => Coat(c, elements.Sum(e => e.OpenM2)))],
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
