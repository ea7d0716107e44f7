using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>Shares a job out among pours: as said, and the rest as moulds, courses, mixes and the crew ask.</summary>
/// <remarks>Source: site practice. What is not said is one pour by default.</remarks>
/// <param name="elements">What can be poured by itself.</param>
/// <param name="said">The job's pours.</param>
/// <param name="day">The first day, and on which days somebody pours.</param>
/// <param name="hands">People.</param>
/// <param name="gate">Takes what is wrong, at its place.</param>
internal sealed class PourSplitter(ImmutableArray<Pourable> elements, IReadOnlyList<PourDocument> said, DayDocument day, int hands, Gate gate)
{
    /// <summary>Id of a pour that nothing was said of.</summary>
    public const string MainId = "main";

    /// <summary>A board between panels comes off after this, days.</summary>
    public const double BulkheadDays = 1;

    /// <summary>A base takes a topping again when it is so old, days.</summary>
    public const int ToppingDays = 1;

    private readonly List<(PourSketch Pour, Place At)> sketches = [];

    /// <returns>In the order in which they are poured.</returns>
    public ImmutableArray<PourSketch> Split()
    {
        var left = elements.SelectMany(e => e.Parts()).ToList();
        TakeSaid(left);
        var first = gate.Date(Places.Day.Date, day.Date);
        var start = gate.Time(Places.Day.Start, day.Start);
        Propose(left, first, start is { } time ? WorkCalendar.Start(day.WorkDays, time) : null);
        var ordered = sketches.Select((s, i) => (s.Pour, s.At, Index: i)).OrderBy(s => s.Pour.Date ?? LocalDate.MaxIsoValue).ThenBy(s => Level(s.Pour)).ThenBy(s => s.Pour.Start ?? LocalTime.MaxValue).ThenBy(s => s.Index).ToArray();
        ImmutableArray<PourSketch> pours = [.. ordered.Select(o => o.Pour with { After = o.Pour.After is { } a ? Array.FindIndex(ordered, p => p.Index == a) : null })];
        CheckOrder(pours);
        return pours;
    }

    // A pour that follows another on its day comes after it.
    private int Level(PourSketch pour) => pour.After is { } before ? 1 + Level(sketches[before].Pour) : 0;

    private Pourable Of(PourPart part) => elements.First(e => e.Index == part.Element);

    // ---- said

    private void TakeSaid(List<PourPart> left)
    {
        if (said.Count > Limits.MostPours)
        {
            gate.Fault(Places.Pours, new Notice.TooMany(Count: said.Count, Most: Limits.MostPours));
            return;
        }

        var (ids, owners) = (new HashSet<string>(), new Dictionary<(int, int, int?, Course?), int>());
        for (var i = 0; i < said.Count; i++)
        {
            var (pour, at) = (said[i], Places.Pour(i));
            if (!ids.Add(pour.Id))
            {
                gate.Fault(at.Id, new Notice.SameId(Given: pour.Id));
                continue;
            }

            if (pour.Parts.Count > Limits.MostParts)
            {
                gate.Fault(at.Parts, new Notice.TooMany(Count: pour.Parts.Count, Most: Limits.MostParts));
                continue;
            }

            var parts = pour.Parts.SelectMany((p, k) => Claim(p, at.Part(k), left, owners, i)).ToArray();
            if (parts.Length == 0)
            {
                if (pour.Parts.Count == 0)
                {
                    gate.Add(new Finding(Severity.Warning, at.Parts, new Notice.EmptyPour()));
                }

                continue;
            }

            var mix = Of(parts[0]).MixOf(parts[0]);
            if (parts.Any(p => Of(p).MixOf(p) != mix))
            {
                gate.Fault(at.Parts, new Notice.TwoMixesInOnePour());
                left.AddRange(parts.Where(p => Of(p).MixOf(p) != mix));
                parts = [.. parts.Where(p => Of(p).MixOf(p) == mix)];
            }

            var date = gate.Date(at.Date, pour.Date);
            if (date is { } on && !WorkCalendar.Holds(day.WorkDays, on))
            {
                gate.Note(at.Date, new Notice.NotAWorkingDay());
            }

            var time = string.IsNullOrWhiteSpace(pour.Start) ? gate.Time(Places.Day.Start, day.Start) is { } usual ? WorkCalendar.Start(day.WorkDays, usual) : null : gate.Time(at.Start, pour.Start);
            sketches.Add((new PourSketch(pour.Id, i, Together(parts), mix, date, time, null), at.Self));
        }
    }

    // What a part names, taken out of what is left.
    private List<PourPart> Claim(PartDocument part, PartPlaces at, List<PourPart> left, Dictionary<(int, int, int?, Course?), int> owners, int pour)
    {
        var found = elements.FirstOrDefault(e => e.Id == part.Element && part.Element.Length > 0);
        if (found is null)
        {
            gate.Fault(at.Element, new Notice.UnknownElement(Given: part.Element));
            return [];
        }

        var all = found.Parts().ToArray();
        var wanted = all;
        if (found.Courses.Length > 0 || part.Course is not null)
        {
            wanted = [.. all.Where(p => p.Course is not null && p.Course == part.Course)];
            if (wanted.Length == 0)
            {
                gate.Fault(at.Course, new Notice.NoSuchCourse());
                return [];
            }
        }
        else if (found.CastingPieces.Length > 1 || part.Casting is > 1)
        {
            var most = Math.Max(1, found.CastingPieces.Length);
            wanted = [.. all.Where(p => p.Casting == part.Casting)];
            if (part.Casting is not { } number || wanted.Length == 0)
            {
                gate.Fault(at.Casting, part.Casting is { } wrong ? new Notice.NoSuchCasting(Casting: wrong, Most: most) : new Notice.WhichCasting(Most: most));
                return [];
            }
        }
        else if (part.Panels is { } panels)
        {
            var most = Math.Max(1, found.PanelShares.Length);
            if (panels.Any(p => p < 1 || p > most))
            {
                gate.Fault(at.Panels, new Notice.NoSuchPanel(Panel: panels.First(p => p < 1 || p > most), Most: most));
                return [];
            }

            wanted = most == 1 ? all : [.. all.Where(p => panels.Contains(p.Panels[0]))];
        }

        var mine = new List<PourPart>();
        foreach (var one in wanted)
        {
            var key = (one.Element, one.Panels.FirstOrDefault(), one.Casting, one.Course);
            if (owners.TryGetValue(key, out var owner))
            {
                gate.Fault(at.Element, new Notice.PouredTwice(Pour: owner + 1));
                continue;
            }

            owners.Add(key, pour);
            left.RemoveAll(p => (p.Element, p.Panels.FirstOrDefault(), p.Casting, p.Course) == key);
            mine.Add(one);
        }

        return mine;
    }

    // Panels of one element that lie in one pour are one part; all of them are the whole.
    private ImmutableArray<PourPart> Together(IEnumerable<PourPart> parts) =>
    [
        .. parts.GroupBy(p => (p.Element, p.Casting, p.Course)).OrderBy(g => g.Key.Element).Select(g =>
        {
            var panels = g.SelectMany(p => p.Panels).Order().ToImmutableArray();
            var whole = panels.Length == Of(g.First()).PanelShares.Length;
            return new PourPart(g.Key.Element, whole ? [] : panels, g.Key.Casting, g.Key.Course, g.Sum(p => p.Litres), Math.Min(1, g.Sum(p => p.FaceShare)));
        }),
    ];

    // ---- proposed

    private void Propose(List<PourPart> left, LocalDate? first, LocalTime? start)
    {
        // What comes first: whole elements and panels, the first casting that is left of each mould, the lowest course.
        if (first is { } on && left.Count > 0 && !WorkCalendar.Holds(day.WorkDays, on))
        {
            gate.Note(Places.Day.Date, new Notice.NotAWorkingDay());
        }

        var opening = left.Where(p => p.Casting is null && (p.Course is null || p.Course == Of(p).Courses[0].Course)).ToList();
        opening.AddRange(left.Where(p => p.Casting == 1));
        foreach (var group in Days(opening, first))
        {
            var (before, mixes) = ((int?)null, group.Parts.GroupBy(p => Of(p).MixOf(p)).ToArray());
            foreach (var mix in mixes)
            {
                var id = sketches.All(s => s.Pour.Id != MainId) && group.Number == 0 && before is null ? MainId : IdOf(mix.First());
                sketches.Add((new PourSketch(id, null, Together(mix), mix.Key, group.Date, before is null ? start : null, before), Places.Day.Self));
                before = sketches.Count - 1;
            }
        }

        foreach (var element in elements)
        {
            Castings(element, left, start);
            Courses(element, left, start);
        }
    }

    /// <summary>Days for what is poured in one go, or in as many as the crew or the reach asks.</summary>
    private (int Number, LocalDate? Date, IReadOnlyList<PourPart> Parts)[] Days(List<PourPart> parts, LocalDate? first)
    {
        if (parts.Count == 0)
        {
            return [];
        }

        var ordered = parts.OrderBy(p => p.Element).ThenBy(p => p.Panels.FirstOrDefault()).ToList();
        IReadOnlyList<IReadOnlyList<PourPart>> days = [ordered];
        if (day.Split == PourSplit.EveryOther)
        {
            days = Rounds(ordered);
        }

        if (ordered.Sum(p => p.Litres) > Crew.ExhaustionM3 * 1000 * hands)
        {
            days = [.. days.SelectMany(d => ByCrew(d, Crew.ComfortM3 * 1000 * hands))];
        }

        var date = first;
        return days.Select((d, i) =>
        {
            date = i == 0 ? first : date?.PlusDays((int)BulkheadDays) is { } next ? WorkCalendar.From(day.WorkDays, next) : null;
            return (i, date, d);
        }).ToArray();
    }

    // Each in the first round in which no panel lies beside it yet: two rounds do for a row or a grid.
    private List<List<PourPart>> Rounds(List<PourPart> parts)
    {
        var rounds = new List<List<PourPart>>();
        foreach (var part in parts)
        {
            var round = rounds.FirstOrDefault(r => part.Panels.Length == 0 || r.All(p => p.Element != part.Element || !Of(part).Beside(p.Panels[0], part.Panels[0])));
            if (round is null)
            {
                rounds.Add([part]);
            }
            else
            {
                round.Add(part);
            }
        }

        return rounds;
    }

    private static IEnumerable<IReadOnlyList<PourPart>> ByCrew(IReadOnlyList<PourPart> parts, double mostL)
    {
        var (today, litres) = (new List<PourPart>(), 0.0);
        foreach (var part in parts)
        {
            if (today.Count > 0 && litres + part.Litres > mostL)
            {
                yield return today;
                (today, litres) = ([], 0);
            }

            today.Add(part);
            litres += part.Litres;
        }

        yield return today;
    }

    private void Castings(Pourable element, List<PourPart> left, LocalTime? start)
    {
        foreach (var part in left.Where(p => p.Element == element.Index && p.Casting > 1))
        {
            var before = sketches.Select(s => s.Pour).FirstOrDefault(s => s.Parts.Any(p => p.Element == element.Index && p.Casting == part.Casting - 1));
            var date = before?.Date is { } last ? WorkCalendar.From(day.WorkDays, last.PlusDays((int)Math.Ceiling(element.CastingDays - 1e-9))) : (LocalDate?)null;
            Join(part, date, start);
        }
    }

    private void Courses(Pourable element, List<PourPart> left, LocalTime? start)
    {
        for (var c = 1; c < element.Courses.Length; c++)
        {
            var course = element.Courses[c].Course;
            if (left.FirstOrDefault(p => p.Element == element.Index && p.Course == course) is not { } part)
            {
                continue;
            }

            var below = sketches.FindIndex(s => s.Pour.Parts.Any(p => p.Element == element.Index && p.Course == element.Courses[c - 1].Course));
            if (course == Course.Slurry && below >= 0)
            {
                sketches.Add((new PourSketch(IdOf(part), null, [part], element.MixOf(part), sketches[below].Pour.Date, null, below), Places.Day.Self));
            }
            else
            {
                var date = below >= 0 && sketches[below].Pour.Date is { } last ? WorkCalendar.From(day.WorkDays, last.PlusDays(ToppingDays)) : (LocalDate?)null;
                Join(part, date, start);
            }
        }
    }

    // With what is proposed for that day already, where it is of the same mix.
    private void Join(PourPart part, LocalDate? date, LocalTime? start)
    {
        var mix = Of(part).MixOf(part);
        var beside = sketches.FindIndex(s => s.Pour.Said is null && s.Pour.Id != MainId && s.Pour.Date == date && date is not null && s.Pour.Mix == mix && s.Pour.After is null
            && s.Pour.Parts.All(p => p.Element != part.Element));
        if (beside >= 0)
        {
            sketches[beside] = (sketches[beside].Pour with { Parts = Together(sketches[beside].Pour.Parts.Add(part)) }, sketches[beside].At);
        }
        else
        {
            sketches.Add((new PourSketch(IdOf(part), null, [part], mix, date, start, null), Places.Day.Self));
        }
    }

    private string IdOf(PourPart part)
    {
        var of = Of(part);
        var name = of.Id.Length > 0 ? of.Id : $"element-{of.Index + 1}";
        return part.Casting is { } casting ? $"{name}.casting-{casting}" : part.Course is { } course ? $"{name}.{Gate.CamelCase(course.ToString())}"
            : part.Panels.Length > 0 ? $"{name}.panel-{part.Panels[0]}" : name;
    }

    // ---- whether it can be

    private void CheckOrder(ImmutableArray<PourSketch> pours)
    {
        int Holding(Func<PourPart, bool> is_) => pours.ToList().FindIndex(p => p.Parts.Any(is_));
        var waits = new HashSet<(int Pour, int For)>();
        foreach (var element in elements)
        {
            for (var n = 2; n <= element.CastingPieces.Length; n++)
            {
                var (number, now, before) = (n, Holding(p => p.Element == element.Index && p.Casting == n), Holding(p => p.Element == element.Index && p.Casting == n - 1));
                Wait(waits, now, before);
                if (now >= 0 && now == before)
                {
                    gate.Fault(PartsOf(pours[now]), new Notice.MouldStillFull(Casting: number, GapDays: 0, WantedDays: element.CastingDays));
                }
                else if (now >= 0 && before >= 0 && pours[now].Date is { } later && pours[before].Date is { } earlier)
                {
                    var gap = Period.DaysBetween(earlier, later);
                    if (gap < element.CastingDays - 1e-9)
                    {
                        TooSoon(pours[now], new Notice.MouldStillFull(Casting: number, GapDays: gap, WantedDays: element.CastingDays), earlier.PlusDays((int)Math.Ceiling(element.CastingDays - 1e-9)), later);
                    }
                }
            }

            for (var c = 1; c < element.Courses.Length; c++)
            {
                var (upper, lower) = (element.Courses[c].Course, element.Courses[c - 1].Course);
                var (now, before) = (Holding(p => p.Element == element.Index && p.Course == upper), Holding(p => p.Element == element.Index && p.Course == lower));
                Wait(waits, now, before);
                if (now >= 0 && before >= 0 && pours[now].Date is { } later && pours[before].Date is { } earlier && later < earlier)
                {
                    TooSoon(pours[now], new Notice.PouredBeforeItsBase(upper), earlier, later);
                }
            }
        }

        foreach (var (pour, other) in waits.Where(w => w.Pour < w.For && waits.Contains((w.For, w.Pour))))
        {
            gate.Fault(PartsOf(pours[pour]), new Notice.PoursWaitForEachOther(Pour: pour + 1, Other: other + 1));
        }
    }

    private static Place PartsOf(PourSketch pour) => pour.Said is { } index ? Places.Pour(index).Parts : Places.Day.Date;

    private static void Wait(HashSet<(int, int)> waits, int pour, int on)
    {
        if (pour >= 0 && on >= 0 && pour != on)
        {
            waits.Add((pour, on));
        }
    }

    private void TooSoon(PourSketch pour, Notice says, LocalDate ready, LocalDate now)
    {
        var date = WorkCalendar.From(day.WorkDays, ready);
        var edit = new Edit(pour.DateAt, Text: NodaTime.Text.LocalDatePattern.Iso.Format(date));
        gate.Warn(pour.DateAt, says, pour.Said is null ? [] : [new Remedy(new Mend.PourLater(DaysLater: Period.DaysBetween(now, date)), [edit])]);
    }
}
