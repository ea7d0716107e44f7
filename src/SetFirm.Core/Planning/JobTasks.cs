using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>A task of a job.</summary>
/// <param name="Key">What the diary names it by.</param>
/// <param name="Task">Which.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
/// <param name="People">That do it: never more than there are.</param>
/// <param name="Gear">To have at hand, by how this job does it.</param>
/// <param name="Numbers">This job's own: of what the pour that is looked at has of the element, where it is done anew for each.</param>
/// <param name="Minutes">For those people; null where it is no work of its own.</param>
/// <param name="Parts">What of it is done in turns.</param>
/// <param name="Cautions">Where the hand is about to do it, the gravest first.</param>
/// <param name="On">Day on which it is begun; null while the day of the pour is not known.</param>
/// <param name="Until">Day on which it is over.</param>
/// <param name="From">Not before; null where any time will do.</param>
/// <param name="At">Begun: then, or as soon after as somebody works.</param>
/// <param name="By">To be done by then; null where it may wait.</param>
/// <param name="State">Where it stands.</param>
/// <param name="WaitsFor">Keys of what is done first and is not done yet.</param>
/// <param name="Told">That it is done; null while it is not.</param>
public sealed record JobTask(
    string Key, WorkTask Task, int? Element, int People, ImmutableArray<Gear> Gear, ImmutableArray<TaskNumber> Numbers, double? Minutes, ImmutableArray<TaskPart> Parts, ImmutableArray<Notice> Cautions, LocalDate? On, LocalDate? Until, Instant? From, Instant? At,
    Instant? By, TaskState State, ImmutableArray<string> WaitsFor, JobEvent? Told)
{
    public TaskTraits Traits => TaskCatalogue.Of(Task);

    /// <summary>It is done anew for every pour; else once for the job.</summary>
    public bool OfThisPour { get; init; }

    /// <summary>What it uses up; empty where nothing can be bought yet.</summary>
    public ImmutableArray<GoodUse> Goods { get; init; } = [];

    /// <summary>It should have been begun on a day that is gone, and is still to be done.</summary>
    public bool Late { get; init; }

    /// <summary>By a tick, not by what the board or the cure was told.</summary>
    public bool Ticked => Told is JobEvent.TaskDone;
}

/// <summary>So much of a thing is used up.</summary>
/// <param name="Good">Which.</param>
/// <param name="Amount">In its unit.</param>
public readonly record struct GoodUse(Good Good, double Amount);

/// <summary>The order of work of a job around one of its pours: every number and date is the plan's.</summary>
public static class JobTasks
{
    /// <param name="plan">Of the job.</param>
    /// <param name="told">All that was told of it.</param>
    /// <param name="asOf">Now; null leaves out whether it is too early.</param>
    public static ImmutableArray<JobTask> Of(JobPlan plan, Told told, Instant? asOf = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(told);
        if (plan.Elements is not { } elements || plan.Build is not { } build || elements.Any(e => e.Build is null))
        {
            return [];
        }

        var site = plan.Said.Site.Latitude ?? SitePlace.OfZone(plan.Said.TimeZone)?.Latitude;
        ImmutableArray<WorkPart> parts = [.. elements.Select(e => WorkPart.Of(e, plan))];
        var listed = Listed(parts, plan, site < 0);
        var done = Done(listed, told, plan);
        Entry[] open = [.. listed.Where(t => !done.ContainsKey(t.Key))];
        var byTask = open.ToLookup(t => t.Task);
        var days = Days(listed, plan);
        var firstWater = plan.Pours.Select(p => p.Task?.StartsAt).Min();
        var uses = (plan.Buy?.Lines ?? []).SelectMany(l => l.Needs).Where(n => n.Pour is null || n.Pour == plan.Pour?.Load.Number).ToLookup(n => n.For);
        var cautions = Cautions.OfJob(plan.Hazards);
        // Each once, where the hand first does the thing.
        var warned = new HashSet<Notice>();
        return [.. listed.Select((t, i) =>
        {
            var waits = t.Traits.AfterAll ? [.. open.Where(n => n.Traits.Phase < t.Traits.Phase && (n.Element is null || parts[n.Of].IsHere)).Select(n => n.Key)] : WaitsFor(t, byTask, parts);
            var line = done.GetValueOrDefault(t.Key);
            var early = asOf is { } now && t.From is { } opens && now < opens;
            var of = elements[t.Of];
            return new JobTask(
                t.Key, t.Task, t.Element, t.People, TaskGear.Of(t.Task, parts[t.Of], parts, plan), t.Numbers, t.Minutes, TaskParts.Of(t.Task, parts[t.Of], parts, plan.Pour), [.. cautions[t.Task].Concat(t.Element is not null && Cautions.OfElement(t.Task, Hurts(of)) is { } own ? [own] : []).Where(warned.Add)],
                days[i]?.On, days[i]?.Until, t.From, t.At, t.By, line is not null ? TaskState.Done : waits.Length > 0 || early ? TaskState.Waits : TaskState.Ready, waits, line)
            {
                OfThisPour = t.OfThisPour,
                Goods = [.. uses[t.Task].Where(n => t.Element is null || n.Element is null || n.Element == t.Element).GroupBy(n => n.Good).Select(g => new GoodUse(g.Key, g.Sum(n => n.Amount)))],
                // Ground and forms that a pour has gone over are not asked for before the next one.
                Late = line is null && TaskDates.IsMadeReady(t.Task) && days[i] is { } laid && asOf is { } today && plan.Pour?.Load.Task is { } pour
                    && today < (t.OfThisPour ? pour.StartsAt : firstWater) && laid.On < today.InZone(pour.Zone).Date,
            };
        })];
    }

    /// <summary>The first day on which it can be poured, where what goes before should have been begun on a day that is gone: all of it comes so many days later.</summary>
    /// <param name="tasks">As of now.</param>
    /// <param name="plan">Of the job.</param>
    /// <param name="now">Today.</param>
    /// <returns>Null where nothing is late.</returns>
    public static LocalDate? EarliestPour(ImmutableArray<JobTask> tasks, JobPlan plan, Instant now)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Pour?.Load.Task is { } pour && tasks.Where(t => t.Late).Min(t => t.On) is { } missed
            ? WorkCalendar.From(plan.Said.Day.WorkDays, pour.Date.PlusDays(Period.DaysBetween(missed, now.InZone(pour.Zone).Date)))
            : null;
    }

    /// <summary>What is ready and whose day has come: preparation until the pour begins, after-care for a while; the day of the pour has its board.</summary>
    /// <param name="plan">Of the job.</param>
    /// <param name="told">All that was told of it.</param>
    /// <param name="now">Today.</param>
    public static ImmutableArray<JobTask> Today(JobPlan plan, Told told, Instant now)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (plan.Pour is not { Load.Task: { } pour })
        {
            return [];
        }

        var today = now.InZone(pour.Zone).Date;
        return [.. Of(plan, told, now).Where(t => t.State == TaskState.Ready && t.On is { } on && on <= today && (t.Traits.Phase <= TaskPhase.Stage
            ? now < pour.StartsAt
            : t.Traits.Phase == TaskPhase.After && Period.DaysBetween(on, today) <= AfterCareDays)).Take(MostToday)];
    }

    /// <summary>What was not ticked by then is not asked for any more.</summary>
    private const int AfterCareDays = 14;

    private const int MostToday = 5;

    /// <summary>Which task the diary names.</summary>
    /// <param name="key">As it is named there.</param>
    /// <returns>Null where it is none that is known.</returns>
    internal static WorkTask? TaskOf(string key) => Enum.TryParse<WorkTask>(key.Split(':')[0], ignoreCase: true, out var task) && Enum.IsDefined(task) ? task : null;

    /// <summary>What there is to look over before the pour.</summary>
    public static IReadOnlyList<Inspection> LookedOver(ImmutableArray<ElementPlan> elements) => Inspections.For(Facts(elements));

    private static ImmutableArray<(LocalDate On, LocalDate Until)?> Days(List<Entry> listed, JobPlan plan)
    {
        var first = plan.Pours.Select(p => p.Task).OfType<PourDay.PourTask>().MinBy(t => t.StartsAt);
        return TaskDates.Days(
            [.. listed.Select(t => new TaskDates.Dated(t.Task, t.Minutes, t.At, t.By, t.OfThisPour))], first?.StartsAt, plan.Pour?.Load.Task?.StartsAt ?? first?.StartsAt, first?.Zone, plan.Said.Day.WorkDays);
    }

    // Phase by phase; in each, element by element in the order of its work. Ground and forms are the job's; from making ready on only what this pour has.
    private static List<Entry> Listed(ImmutableArray<WorkPart> parts, JobPlan plan, bool south)
    {
        var tasks = new List<Entry>();
        var once = new HashSet<WorkTask>();
        var hands = Math.Max(1, plan.Pour?.Load.Load?.Crew.Hands ?? plan.Said.Mixing.Hands);
        foreach (var phase in Enum.GetValues<TaskPhase>())
        {
            foreach (var part in parts.Where(p => phase < TaskPhase.Stage || p.IsHere))
            {
                foreach (var task in WorkOrders.Of(part.Element.Traits.Work).Where(t => TaskCatalogue.Of(t).Phase == phase))
                {
                    var traits = TaskCatalogue.Of(task);
                    if (traits.Once && !once.Add(task))
                    {
                        continue;
                    }

                    IEnumerable<WorkPart> of = traits.Once ? parts.Where(p => (phase < TaskPhase.Stage || p.IsHere) && WorkOrders.Of(p.Element.Traits.Work).Contains(task)) : [part];
                    if (of.Select(p => (Part: p, Numbers: TaskNumbers.Of(task, p, parts, plan))).FirstOrDefault(n => n.Numbers is not null) is { Numbers: { } known } found)
                    {
                        var element = found.Part.Element;
                        var (from, by) = TaskDates.Window(task, found.Part, plan.Pour, south);
                        // A piece that one person carries wants no second.
                        var wanted = (int)known.Where(n => n.Figure == TaskFigure.LiftPeople).Select(n => n.Value).FirstOrDefault(traits.People);
                        tasks.Add(new Entry(
                            task, tasks.Count, element.Index, traits.Once ? null : element.Index, traits.Once ? "" : NameOf(element), known, from, from, by, wanted, Math.Min(hands, wanted), phase >= TaskPhase.Stage || (traits.EachCasting && found.Part.IsSeries)));
                    }
                }
            }
        }

        Follow(tasks, parts, plan.Curing?.Works);
        return tasks;
    }

    // Nothing that follows the pour comes before what it needs; the catalogue has each after what it needs.
    private static void Follow(List<Entry> tasks, ImmutableArray<WorkPart> parts, WakingHours? works)
    {
        foreach (var task in tasks.Where(t => t.Traits.Phase == TaskPhase.After).OrderBy(t => t.Task).ToArray())
        {
            var from = task.From;
            foreach (var need in tasks)
            {
                if (need.From > (from ?? Instant.MinValue) && task.Traits.Needs.Contains(need.Task) && GoesBefore(need, task, parts))
                {
                    from = need.From;
                }
            }

            // What hardens does not wait for the morning; what may wait is done when somebody works.
            tasks[task.Place] = task with { From = from, At = from is { } opens && task.By is null && works is not null ? works.Next(opens) : from };
        }
    }

    // Of the same thing; what is done once goes before what is made of it, and not before what is never coated or backfilled.
    private static bool GoesBefore(Entry need, Entry task, ImmutableArray<WorkPart> parts) => need.Element is { } element
        ? task.Element is null || task.Element == element
        : task.Element is null || WorkOrders.Of(parts[task.Of].Element.Traits.Work).Contains(need.Task);

    private static ImmutableArray<string> WaitsFor(Entry task, ILookup<WorkTask, Entry> open, ImmutableArray<WorkPart> parts)
    {
        var first = new List<Entry>();
        foreach (var need in task.Traits.Needs)
        {
            foreach (var entry in open[need])
            {
                if (GoesBefore(entry, task, parts))
                {
                    first.Add(entry);
                }
            }
        }

        first.Sort((a, b) => a.Place.CompareTo(b.Place));
        return [.. first.Select(n => n.Key)];
    }

    // In a job file of long ago elements have no ids.
    private static string NameOf(ElementPlan element) => element.Read.Said.Id is { Length: > 0 } id ? id : (element.Index + 1).ToString(CultureInfo.InvariantCulture);

    // What is done for the whole job counts whichever pour is looked at; from making ready on each pour has its own.
    private static Dictionary<string, JobEvent> Done(List<Entry> listed, Told told, JobPlan plan)
    {
        var pour = plan.Pour?.Load.Sketch.Id ?? "";
        var here = told.OfPour(pour, plan.Pours is [var first, ..] && first.Sketch.Id == pour);
        var (all, own) = (Ticks(told), Ticks(here));
        var done = new Dictionary<string, JobEvent>();
        foreach (var task in listed)
        {
            if ((Ticked(task.OfThisPour ? own : all, task) ?? here.Lines.FirstOrDefault(l => Tells(l, task.Task))) is { } line)
            {
                done.Add(task.Key, line);
            }
        }

        return done;
    }

    // One that names no element is of all of them.
    private static JobEvent.TaskDone? Ticked(Dictionary<string, JobEvent.TaskDone> ticks, Entry task) => ticks.GetValueOrDefault(task.Key) ?? ticks.GetValueOrDefault(Names[task.Task]);

    // The first tick of each counts.
    private static Dictionary<string, JobEvent.TaskDone> Ticks(Told told)
    {
        var ticks = new Dictionary<string, JobEvent.TaskDone>();
        foreach (var line in told.Lines.OfType<JobEvent.TaskDone>())
        {
            ticks.TryAdd(line.Task, line);
        }

        return ticks;
    }

    // What the board and the cure were told is not asked for again.
    private static bool Tells(JobEvent line, WorkTask task) => line switch
    {
        JobEvent.DayBegun => task is WorkTask.MeasureOut or WorkTask.LookOver,
        JobEvent.DayClosed closed => task is WorkTask.Pour or WorkTask.TapEdges or WorkTask.FinishPasses || (task is WorkTask.CleanTools && closed.Washed),
        JobEvent.CoverOn { Zone: null } => task is WorkTask.CoverIt,
        JobEvent.BoardsOff => task is WorkTask.StripForms,
        JobEvent.CastLifted => task is WorkTask.Demould,
        _ => false,
    };

    private static ElementHazards Hurts(ElementPlan element)
    {
        var (built, rests) = (element.Build!, TaskNumbers.RestsKg(element));
        // Fluid: the mean over its height is half of what the foot bears.
        var pushN = built.Forms is { } forms ? forms.PressureKpa * 1000 * element.Cast.FormHeight.Metres / 2 : 0;
        return new ElementHazards(
            built.Dig?.Depth.Millimetres ?? 0, pushN / StandardGravity, built.Steel.Barred, element.Traits.Lifted ? element.PieceMass.Kilograms : 0, rests,
            rests > 0 ? rests / element.FaceM2 : 0);
    }

    private const double StandardGravity = 9.80665;

    private static InspectionFacts Facts(ImmutableArray<ElementPlan> elements) => new()
    {
        Boards = elements.Any(e => e.Build!.Forms is not null),
        Stakes = elements.Any(e => e.Build!.Forms is { StakeCount: > 0 }),
        Falls = elements.Any(e => e.Fall is { Fall.Grade: > 0 }),
        Base = elements.Any(e => e.Build!.Dig is { BaseDepth.Metres: > 0 }),
        Ground = elements.Any(e => e.Build!.Dig is not null),
        Steel = elements.Any(e => e.Build!.Steel.Rusts),
        Scrim = elements.Any(e => e.Build!.Steel.School == SteelSchool.Scrim),
        Isolation = elements.Any(e => e.Build!.IsolationM > 0),
        BondBreaker = elements.Any(e => e.Build!.BondBreakerM > 0),
        Drain = elements.Any(e => e.Read.OpeningsFor(OpeningUse.Drain).Any()),
        Mould = elements.Any(e => e.Build!.Mould is not null),
        Overlay = elements.Any(e => e.Traits.OnOldConcrete),
    };

    /// <summary>As the diary names tasks.</summary>
    private static readonly Dictionary<WorkTask, string> Names = Enum.GetValues<WorkTask>().ToDictionary(t => t, t => JsonNamingPolicy.CamelCase.ConvertName(t.ToString()));

    /// <param name="Task">Which.</param>
    /// <param name="Place">In the list.</param>
    /// <param name="Of">Index of the element that it is told by.</param>
    /// <param name="Element">Null where it is done once for the job.</param>
    /// <param name="Name">Of the element; empty where it is done once.</param>
    /// <param name="Numbers">Of this job.</param>
    /// <param name="From">Not before.</param>
    /// <param name="At">Begun.</param>
    /// <param name="By">Done by.</param>
    /// <param name="Wanted">People that it takes.</param>
    /// <param name="People">That do it.</param>
    /// <param name="OfThisPour">It is done anew for every pour.</param>
    private sealed record Entry(
        WorkTask Task, int Place, int Of, int? Element, string Name, ImmutableArray<TaskNumber> Numbers, Instant? From, Instant? At, Instant? By, int Wanted, int People, bool OfThisPour)
    {
        public TaskTraits Traits => TaskCatalogue.Of(Task);

        /// <summary>Fewer people than it asks for take longer; the day counts with those that there are.</summary>
        public double? Minutes { get; } = TaskEfforts.Minutes(Task, Numbers) * (Task is WorkTask.Pour or WorkTask.FinishPasses ? 1 : ((double)Wanted / People));

        public string Key { get; } = Names[Task] + (Name.Length == 0 ? "" : $":{Name}");
    }
}
