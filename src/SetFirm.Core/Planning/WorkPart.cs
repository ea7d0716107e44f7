using System.Collections.Immutable;
using SetFirm.Core.Job;
using SetFirm.Core.Shapes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>What the pour that is looked at has of an element, among all pours that have some of it: its work is of that much, and of no more.</summary>
internal sealed record WorkPart
{
    /// <summary>A piece is whole, whatever its share of the face comes to.</summary>
    private const double Slack = 1e-9;

    private readonly ImmutableArray<PourPart> here;

    private WorkPart(ElementPlan element, ImmutableArray<PourPart> here)
    {
        (Element, this.here) = (element, here);
        Share = here.IsEmpty ? 1 : Math.Min(1, here.GroupBy(p => p.Course).Max(c => c.Sum(p => p.FaceShare)));
    }

    public ElementPlan Element { get; }

    /// <summary>Some of it is poured now; all of it where no pour is known yet.</summary>
    public required bool IsHere { get; init; }

    /// <summary>None of it is poured after this.</summary>
    public required bool IsLast { get; init; }

    /// <summary>Another course of it goes on top on the same day: this one is not covered, nor kept wet.</summary>
    public required bool IsBuriedToday { get; init; }

    /// <summary>It is cast again and again in the same moulds.</summary>
    public required bool IsSeries { get; init; }

    /// <summary>Of its face, what goes onto hard concrete now and is bonded to it, m2.</summary>
    public required double BondM2 { get; init; }

    /// <summary>That is sealed or painted when this pour is hard, m2.</summary>
    public double CoatM2 => IsHere && !IsUnderAnother && IsCoated ? OpenM2 : 0;

    /// <summary>Something goes onto it when it is hard.</summary>
    public required bool IsCoated { get; init; }

    /// <summary>Of its face, 0-1.</summary>
    public double Share { get; }

    /// <summary>Whole pieces.</summary>
    public int Pieces => (int)Math.Round((Element.Cast.Count * Share) + Slack);

    public double FaceM2 => Element.FaceM2 * Share;

    public double OpenM2 => Element.OpenM2 * Share;

    /// <summary>One of its courses is poured over all the others, or it is poured in one.</summary>
    public bool Has(Course course) => here.IsEmpty ? Element.Cast.Courses.Any(c => c.Course == course) : here.Any(p => p.Course == course);

    /// <summary>Its form holds another course that is still to come.</summary>
    public bool IsUnderAnother => !IsLast && here.Any(p => p.Course is not null);

    /// <summary>What each pour has of an element: of everything that is done anew with each pour.</summary>
    /// <param name="element">Of the job.</param>
    /// <param name="pours">All.</param>
    public static ElementPours Poured(ElementPlan element, ImmutableArray<PourLoad> pours)
    {
        (PourLoad Pour, PourPart Part)[] all = [.. pours.SelectMany(p => p.Sketch.Parts.Where(part => part.Element == element.Index).Select(part => (p, part)))];
        var litres = all.Sum(p => p.Part.Litres);
        ImmutableArray<PourShare> Shares(IEnumerable<(PourLoad Pour, PourPart Part)> of, Func<PourPart, double> share) =>
            [.. of.GroupBy(p => p.Pour.Number).Select(g => new PourShare(g.Key, g.Sum(p => share(p.Part))))];
        // A base that gets its topping on the same day is not covered.
        var (first, last) = (all.FirstOrDefault().Part?.Course, all.LastOrDefault().Part?.Course);
        var covered = first != last && all[0].Pour.Sketch.Date is { } date && all[^1].Pour.Sketch.Date == date ? last : first;
        return new ElementPours(
            Shares(all, p => litres > 0 ? p.Litres / litres : 0),
            Shares(all.Where(p => p.Part.Course == covered), p => p.FaceShare),
            Shares(all.Where(p => p.Part.Course == last), p => p.FaceShare),
            [.. Bonded(element, all).Select(b => new PourShare(b.Pour.Number, b.Share))],
            Shares(all.Where(p => p.Part.Course == Course.Bed), p => p.FaceShare),
            all.Any(p => p.Part.Casting > 1) ? Shares(all, p => p.FaceShare) : []);
    }

    // What is laid onto hard concrete with a bond coat: a skim, and a topping that comes on a later day than its base.
    private static IEnumerable<(PourLoad Pour, double Share)> Bonded(ElementPlan element, IReadOnlyCollection<(PourLoad Pour, PourPart Part)> all)
    {
        if (!WorkOrders.Of(element.Traits.Work).Contains(WorkTask.BondCoat))
        {
            return [];
        }

        var below = all.FirstOrDefault(p => p.Part.Course == Course.Base).Pour;
        return all.Where(p => below is null || (p.Part.Course == Course.Topping && p.Pour.Sketch.Date != below.Sketch.Date)).Select(p => (p.Pour, p.Part.FaceShare));
    }

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
            BondM2 = element.FaceM2 * Bonded(element, all).Where(b => number is null || b.Pour.Number == number).Sum(b => b.Share),
            IsCoated = plan.Curing is { } cure && WorkOrders.Of(element.Traits.Work).Contains(WorkTask.Coat) && !JobReader.Coats(cure, [element.Traits]).IsEmpty,
            IsSeries = all.Any(p => p.Part.Casting > 1),
        };
    }
}
