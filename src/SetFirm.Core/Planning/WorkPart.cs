using System.Collections.Immutable;
using SetFirm.Core.Job;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Planning;

/// <summary>What the pour that is looked at has of an element, among all pours that have some of it: its work is of that much, and of no more.</summary>
internal sealed record WorkPart
{
    /// <summary>A piece is whole, whatever its share of the face comes to.</summary>
    private const double Slack = 1e-9;

    private readonly ImmutableArray<PourPart> here;

    private WorkPart(ElementPlan element, ImmutableArray<PourPart> here) => (Element, this.here) = (element, here);

    public ElementPlan Element { get; }

    /// <summary>Some of it is poured now; all of it where no pour is known yet.</summary>
    public required bool IsHere { get; init; }

    /// <summary>None of it is poured after this.</summary>
    public required bool IsLast { get; init; }

    /// <summary>Another course of it goes on top on the same day: this one is not covered, nor kept wet.</summary>
    public required bool IsBuriedToday { get; init; }

    /// <summary>It is cast again and again in the same moulds.</summary>
    public required bool IsSeries { get; init; }

    /// <summary>Of its face, 0-1.</summary>
    public double Share => here.IsEmpty ? 1 : Math.Min(1, here.GroupBy(p => p.Course).Max(c => c.Sum(p => p.FaceShare)));

    /// <summary>Whole pieces.</summary>
    public int Pieces => (int)Math.Round((Element.Cast.Count * Share) + Slack);

    public double FaceM2 => Element.FaceM2 * Share;

    public double OpenM2 => Element.OpenM2 * Share;

    /// <summary>One of its courses is poured over all the others, or it is poured in one.</summary>
    public bool Has(Course course) => here.IsEmpty ? Element.Cast.Courses.Any(c => c.Course == course) : here.Any(p => p.Course == course);

    /// <summary>Its form holds another course that is still to come.</summary>
    public bool IsUnderAnother => !IsLast && here.Any(p => p.Course is not null);

    /// <param name="element">Of the job.</param>
    /// <param name="plan">Of the job.</param>
    public static WorkPart Of(ElementPlan element, JobPlan plan)
    {
        var number = plan.Pour?.Load.Number;
        var all = plan.Pours.SelectMany(p => p.Sketch.Parts.Where(part => part.Element == element.Index).Select(part => (Pour: p, Part: part))).ToArray();
        var here = all.Where(p => p.Pour.Number == number).ToArray();
        var later = all.Where(p => p.Pour.Number > number).ToArray();
        return new WorkPart(element, [.. here.Select(p => p.Part)])
        {
            IsHere = number is null || here.Length > 0,
            IsLast = later.Length == 0,
            IsBuriedToday = here.Length > 0 && later.Any(l => l.Part.Course is not null && l.Pour.Sketch.Date is { } date && date == here[0].Pour.Sketch.Date),
            IsSeries = all.Any(p => p.Part.Casting > 1),
        };
    }
}
