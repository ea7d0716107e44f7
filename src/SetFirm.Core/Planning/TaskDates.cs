using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.PourDay;
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

    /// <summary>Not before, and to be done by: always moments of the plan, of its batches, passes, strength or coats.</summary>
    /// <param name="task">Which.</param>
    /// <param name="part">Of an element; of one that has the task, where it is done once for all.</param>
    /// <param name="pour">That is looked at.</param>
    /// <param name="south">The site lies south of the equator.</param>
    public static (Instant? From, Instant? By) Window(WorkTask task, WorkPart part, PourPlan? pour, bool south)
    {
        var (day, cure) = (pour?.Day, pour?.Cure);
        var (start, mixed, done) = (day?.Start, day?.Schedule.MixingEnds, day?.DoneBy);
        Instant? At(Milestone milestone) => cure?.Milestones.FirstOrDefault(m => m.Milestone == milestone)?.At;
        var early = Passes(day, part.Element.Index, Pass.StripAndRub);
        return task switch
        {
            WorkTask.SealSeams => (null, start is { } water ? water - SealantCures : default(Instant?)),
            WorkTask.Pour or WorkTask.BondCoat or WorkTask.TapEdges or WorkTask.SetAnchors or WorkTask.SetPebbles => (start, mixed),
            // While it is plastic still.
            WorkTask.RoughenBase => (mixed, done),
            WorkTask.FinishPasses => (day?.Zones.SelectMany(z => z.Passes).Select(p => (Instant?)p.Opens).Min() ?? mixed, done),
            WorkTask.WashFace => Passes(day, part.Element.Index, Pass.WashSlurry) is { From: not null } wash ? wash : (mixed, done),
            WorkTask.CleanTools => (mixed, null),
            WorkTask.FenceOff => (mixed, At(Milestone.Walk)),
            WorkTask.CoverIt => (day?.CoverFrom, null),
            WorkTask.KeepWet => (cure?.WetFrom, cure?.WetUntil),
            // A face that is rubbed is stripped in the window of that pass.
            WorkTask.StripForms or WorkTask.RubFace when early.From is not null => early,
            WorkTask.StripForms or WorkTask.RubFace => (At(Milestone.StripEdges), null),
            WorkTask.Demould => (At(Milestone.TurnPiece), null),
            WorkTask.SoftenCorners => (At(Milestone.Sand) ?? At(Milestone.TurnPiece), null),
            WorkTask.PatchHoles => (early.From is not null ? done : At(Milestone.StripEdges) ?? At(Milestone.TurnPiece) ?? done, null),
            WorkTask.GrindFace => (At(Milestone.Grind), null),
            WorkTask.BackfillSides or WorkTask.FirstWalk => (At(Milestone.Walk) ?? At(Milestone.StripEdges), null),
            WorkTask.SetInPlace => (At(Milestone.Furniture) ?? At(Milestone.Walk) ?? At(Milestone.TurnPiece), null),
            // Of what nobody walks on it is told by its cure.
            WorkTask.FirstLoad => (At(Milestone.Cars) ?? At(Milestone.Furniture) ?? cure?.WetUntil, null),
            WorkTask.FirstWinter => (At(Milestone.FreezeOnce) is { } safe && pour?.Load.Task is { } poured ? Winter(safe, poured.Zone, south) : null, null),
            WorkTask.Coat => (cure is { Coats: [var coat, ..] } ? coat.Time.At : default(Instant?), null),
            _ => (null, start),
        };
    }

    // Of all its zones: from when the first of them may be, until the last one closes.
    internal static (Instant? From, Instant? By) Passes(DayPlan? day, int element, Pass pass)
    {
        PassPlan[] own = [.. (day?.Zones ?? []).Where(z => z.Element == element).SelectMany(z => z.Passes).Where(p => p.Pass == pass)];
        return own.Length == 0 ? (null, null) : (own.Min(p => p.Opens), own.Max(p => p.Closes));
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
    /// <remarks>Tasks before a pour are laid one after the other into days on which somebody works, the last of them on the day before; what somebody else has to answer is begun so many days earlier. What follows it is begun when it may be, in hours in which somebody works.</remarks>
    /// <param name="tasks">In the order in which they are done.</param>
    /// <param name="first">First water of the job: ground and forms go before it, whichever pour is looked at.</param>
    /// <param name="own">Of the pour that is looked at.</param>
    /// <param name="zone">Of the site.</param>
    /// <param name="days">On which somebody works.</param>
    public static ImmutableArray<(LocalDate On, LocalDate Until)?> Days(IReadOnlyList<Dated> tasks, Instant? first, Instant? own, DateTimeZone? zone, WorkDays days)
    {
        var on = new (LocalDate, LocalDate)?[tasks.Count];
        if (first is not { } water || own is not { } ownWater || zone is null)
        {
            return [.. on];
        }

        Before(tasks, on, water, zone, days, _ => true);
        if (own != first)
        {
            Before(tasks, on, ownWater, zone, days, t => t.OfThisPour);
        }

        for (var i = 0; i < tasks.Count; i++)
        {
            var (task, minutes, at, by) = (tasks[i].Task, tasks[i].Minutes, tasks[i].At, tasks[i].By);
            if (!IsMadeReady(task))
            {
                var begun = (at ?? by ?? ownWater).InZone(zone).Date;
                on[i] = (begun, begun.PlusDays((int)Math.Clamp(Math.Ceiling(((minutes ?? 0) / DayMin) - 1e-9), 1, MostDays) - 1));
            }
        }

        return [.. on];
    }

    /// <summary>Before the day of the pour: everything is looked over and measured out by the evening before; damp it is made on the day.</summary>
    public static bool IsMadeReady(WorkTask task) => TaskCatalogue.Of(task).Phase <= TaskPhase.Stage && task != WorkTask.Dampen;

    // Counted back from the first water.
    private static void Before(IReadOnlyList<Dated> tasks, (LocalDate, LocalDate)?[] on, Instant water, DateTimeZone zone, WorkDays days, Func<Dated, bool> counts)
    {
        var pour = water.InZone(zone).Date;
        var most = days == WorkDays.Evenings ? EveningMin : DayMin;
        var (day, left) = (Before(pour, days), most);
        for (var i = tasks.Count - 1; i >= 0; i--)
        {
            var (task, minutes, by) = (tasks[i].Task, tasks[i].Minutes, tasks[i].By);
            if (!IsMadeReady(task) || !counts(tasks[i]))
            {
                continue;
            }

            // Done by the evening of a day that lies whole before what it has to be done by.
            while (by is { } until && (day + Evening).InZoneLeniently(zone).ToInstant() > until && day >= pour.PlusDays(-MostDays))
            {
                (day, left) = (Before(day, days), most);
            }

            var lead = TaskEfforts.Of(task)?.LeadDays ?? 0;
            if (lead > 0)
            {
                // Begun so early that the answer is there; what is done meanwhile is not held up by it.
                on[i] = WorkCalendar.Until(days, day.PlusDays(-lead)) is var asked ? (asked, asked) : null;
                continue;
            }

            // What takes half a day or less is not parted by a night.
            if (minutes > left && minutes <= most / 2)
            {
                (day, left) = (Before(day, days), most);
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
    }

    /// <summary>A task to be laid into days.</summary>
    /// <param name="Task">Which.</param>
    /// <param name="Minutes">For its people; null where it is no work of its own.</param>
    /// <param name="At">Begun; null where any time will do.</param>
    /// <param name="By">Done by.</param>
    /// <param name="OfThisPour">It is done anew for every pour.</param>
    internal readonly record struct Dated(WorkTask Task, double? Minutes, Instant? At, Instant? By, bool OfThisPour);

    private static LocalDate Before(LocalDate date, WorkDays days) => WorkCalendar.Until(days, date.PlusDays(-1));
}
