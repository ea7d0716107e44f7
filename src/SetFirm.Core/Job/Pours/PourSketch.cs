using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;

namespace SetFirm.Core.Job;

/// <summary>One pour: what of the job, and when, as said or proposed.</summary>
/// <param name="Id">What the diary names it by.</param>
/// <param name="Said">Its place in the document; null where it is proposed.</param>
/// <param name="Parts">In pouring order.</param>
/// <param name="Mix">Id of its one mix.</param>
/// <param name="Date">Null where it cannot be read.</param>
/// <param name="Start">Null where it cannot be read, or where it follows another on the same day.</param>
/// <param name="After">Index of the pour that it follows on the same day.</param>
public sealed record PourSketch(string Id, int? Said, ImmutableArray<PourPart> Parts, string Mix, LocalDate? Date, LocalTime? Start, int? After)
{
    /// <summary>Litres, waste included.</summary>
    public double Litres => Parts.Sum(p => p.Litres);

    /// <summary>Where its day is said.</summary>
    public Place DateAt => Said is { } index ? Places.Pour(index).Date : Places.Day.Date;
}
