using System.Collections.Immutable;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>What a pour has of an element.</summary>
/// <param name="Element">Index of the element.</param>
/// <param name="Panels">Numbers, from 1, in pouring order; empty has all.</param>
/// <param name="Casting">Number, from 1; null where it is cast once.</param>
/// <param name="Course">Null where it is poured in one.</param>
/// <param name="Litres">Waste included.</param>
/// <param name="FaceShare">Of the element's face, 0-1.</param>
public sealed record PourPart(int Element, ImmutableArray<int> Panels, int? Casting, Course? Course, double Litres, double FaceShare);

/// <summary>What of an element can be poured by itself.</summary>
/// <param name="Index">Of the element.</param>
/// <param name="Id">Its id.</param>
/// <param name="OrderL">Of its own mix, waste included.</param>
/// <param name="PanelShares">Of its face, by panel; empty where it has no panels to part it by.</param>
/// <param name="CastingPieces">Pieces of each casting; empty where it is cast once.</param>
/// <param name="CastingDays">From one casting to the next.</param>
/// <param name="Courses">One after the other, with their litres; empty where it is poured in one.</param>
/// <param name="Mix">Id of its mix.</param>
/// <param name="CourseMix">Id of a course's.</param>
/// <param name="Beside">Whether two panels, by number, have an edge in common.</param>
public sealed record Pourable(
    int Index, string Id, double OrderL, ImmutableArray<double> PanelShares, ImmutableArray<int> CastingPieces, double CastingDays, ImmutableArray<(Course Course, double Litres)> Courses, string Mix,
    Func<Course, string> CourseMix, Func<int, int, bool> Beside)
{
    /// <summary>The smallest parts, in pouring order.</summary>
    public IEnumerable<PourPart> Parts()
    {
        if (Courses.Length > 0)
        {
            return Courses.Select(c => new PourPart(Index, [], null, c.Course, c.Litres, 1));
        }

        if (CastingPieces.Length > 1)
        {
            var pieces = (double)CastingPieces.Sum();
            return CastingPieces.Select((n, i) => new PourPart(Index, [], i + 1, null, OrderL * n / pieces, n / pieces));
        }

        return PanelShares.Length > 1
            ? PanelShares.Select((share, i) => new PourPart(Index, [i + 1], null, null, OrderL * share, share))
            : [new PourPart(Index, [], null, null, OrderL, 1)];
    }

    public string MixOf(PourPart part) => part.Course is { } course ? CourseMix(course) : Mix;
}
