using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Job;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>When a task is done: what follows the pour by the day and the cure, what goes before it counted back from the first water.</summary>
internal static class TaskDates
{
    /// <summary>Sealant cures so long before it holds. Source: handling sheets; site practice.</summary>
    public static readonly Duration SealantCures = Duration.FromHours(24);

    /// <summary>Hands are at work so long on a day that is free, minutes. Source: site practice.</summary>
    private const double DayMin = 7 * 60;

    /// <summary>And on an evening.</summary>
    private const double EveningMin = 2.5 * 60;

    /// <summary>Nobody works later.</summary>
    private static readonly LocalTime Evening = new(20, 0);

    /// <summary>From November in the north, from May in the south.</summary>
    private const int WinterMonths = 5;

    /// <summary>No preparation is counted back over more days.</summary>
    private const int MostDays = 400;

    /// <summary>Not before, and to be done by.</summary>
    /// <param name="task">Which.</param>
    /// <param name="pour">That is looked at.</param>
    /// <param name="south">The site lies south of the equator.</param>
    public static (Instant? From, Instant? By) Window(WorkTask task, PourPlan? pour, bool south)
    {
        var (day, cure) = (pour?.Day, pour?.Cure);
        var (start, mixed, done) = (day?.Start, day?.Schedule.MixingEnds, day?.DoneBy);
        Instant? At(Milestone milestone) => cure?.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At;
        return task switch
        {
            WorkTask.SealSeams => (null, start is { } water ? water - SealantCures : default(Instant?)),
            WorkTask.Pour or WorkTask.TapEdges or WorkTask.RoughenBase or WorkTask.SetAnchors or WorkTask.SetPebbles => (start, mixed),
            WorkTask.FinishPasses => (day?.Zones.SelectMany(z => z.Passes).Select(p => (Instant?)p.Opens).Min() ?? mixed, done),
            WorkTask.WashFace => (mixed, done),
            WorkTask.CleanTools => (mixed, null),
            WorkTask.FenceOff => (mixed, At(Milestone.Walk)),
            WorkTask.CoverIt => (done, null),
            WorkTask.KeepWet => (cure?.WetFrom, cure?.WetUntil),
            WorkTask.StripForms or WorkTask.RubFace => (At(Milestone.StripEdges), null),
            WorkTask.Demould => (At(Milestone.TurnPiece), null),
            WorkTask.SoftenCorners => (At(Milestone.Sand) ?? At(Milestone.TurnPiece), null),
            WorkTask.PatchHoles => (At(Milestone.StripEdges) ?? At(Milestone.TurnPiece) ?? done, null),
            WorkTask.GrindFace or WorkTask.CutBack => (At(Milestone.Grind), null),
            WorkTask.BackfillSides or WorkTask.FirstWalk => (At(Milestone.Walk), null),
            WorkTask.SetInPlace => (At(Milestone.Furniture) ?? At(Milestone.Walk) ?? At(Milestone.TurnPiece), null),
            // Of what nobody walks on it is told by its cure.
            WorkTask.FirstLoad => (At(Milestone.Cars) ?? At(Milestone.Furniture) ?? cure?.WetUntil, null),
            WorkTask.FirstWinter => (At(Milestone.FreezeOnce) is { } safe && pour?.Load.Task is { } poured ? Winter(safe, poured.Zone, south) : null, null),
            WorkTask.Coat => (cure is { Coats: [var coat, ..] } ? coat.Time.At : default(Instant?), null),
            _ => (null, start),
        };
    }

    // The first winter after it can bear one; at once where it is one already.
    private static Instant Winter(Instant from, DateTimeZone zone, bool south)
    {
        var date = from.InZone(zone).Date;
        var first = south ? 5 : 11;
        var months = (date.Month - first + 12) % 12;
        return months < WinterMonths ? from : zone.AtStartOfDay(new LocalDate(date.Year + (date.Month > first ? 1 : 0), first, 1)).ToInstant();
    }

    /// <summary>On which day each task is begun, and on which it is over.</summary>
    /// <remarks>Tasks before the pour are laid one after the other into days on which somebody works, the last of them on the day before; what somebody else has to answer is begun so many days earlier.</remarks>
    /// <param name="tasks">In the order in which they are done, each with its phase, minutes, lead days and window.</param>
    /// <param name="start">First water; null while that is not known.</param>
    /// <param name="zone">Of the site.</param>
    /// <param name="days">On which somebody works.</param>
    public static ImmutableArray<(LocalDate On, LocalDate Until)?> Days(IReadOnlyList<(WorkTask Task, double? Minutes, Instant? From, Instant? By)> tasks, Instant? start, DateTimeZone? zone, WorkDays days)
    {
        var on = new (LocalDate, LocalDate)?[tasks.Count];
        if (start is not { } water || zone is null)
        {
            return [.. on];
        }

        var pour = water.InZone(zone).Date;
        var most = days == WorkDays.Evenings ? EveningMin : DayMin;
        var (day, left) = (Before(pour, days), most);
        for (var i = tasks.Count - 1; i >= 0; i--)
        {
            var (task, minutes, from, by) = tasks[i];
            if (TaskCatalogue.Of(task).Phase >= TaskPhase.Stage)
            {
                var begun = (from ?? by ?? water).InZone(zone).Date;
                on[i] = (begun, begun.PlusDays((int)Math.Clamp(Math.Ceiling(((minutes ?? 0) / DayMin) - 1e-9), 1, MostDays) - 1));
                continue;
            }

            // Done by the evening of a day that lies whole before what it has to be done by.
            while (by is { } until && (day + Evening).InZoneLeniently(zone).ToInstant() > until)
            {
                (day, left) = (Before(day, days), most);
            }

            var lead = TaskEfforts.Of(task)?.LeadDays ?? 0;
            if (lead > 0)
            {
                // Begun so early that the answer is there; what is done meanwhile is not held up by it.
                on[i] = Last(day.PlusDays(-lead), days) is var asked ? (asked, asked) : null;
                continue;
            }

            var over = day;
            for (var (rest, turns) = (minutes ?? 0, 0); rest > left && turns < MostDays; turns++)
            {
                rest -= left;
                (day, left) = (Before(day, days), most);
                minutes = rest;
            }

            left -= Math.Min(left, minutes ?? 0);
            on[i] = (day, over);
        }

        return [.. on];
    }

    private static LocalDate Before(LocalDate date, WorkDays days) => Last(date.PlusDays(-1), days);

    private static LocalDate Last(LocalDate date, WorkDays days)
    {
        while (!WorkCalendar.Holds(days, date))
        {
            date = date.PlusDays(-1);
        }

        return date;
    }
}
