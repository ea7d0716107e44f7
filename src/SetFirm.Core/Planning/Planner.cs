using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>The one entry: a job and its weather in, a plan out. It only puts the rooms in order.</summary>
/// <remarks>Pure and total: the same call gives the same plan, and anything wrong with the job is a finding, never an exception, NaN or infinity.</remarks>
public static class Planner
{
    /// <summary>Air in which people who pour need shade and water, °C. Source: site practice.</summary>
    private const double HotForPeopleC = 28;

    /// <param name="job">What was said.</param>
    /// <param name="weather">Hours at the site; outside them their mean day stands in.</param>
    /// <param name="log">What was told of so far.</param>
    /// <param name="asOf">Now, for what was missed; null where nothing is under way.</param>
    /// <param name="pour">Id of the pour that is wanted in full; null takes the first.</param>
    /// <param name="budget">What it may take; null takes the usual, and waits as long as it lasts.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    public static JobPlan Plan(JobDocument job, HourlyWeather weather, IReadOnlyList<JobEvent>? log = null, Instant? asOf = null, string? pour = null, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(weather);
        var gate = new Gate(job.Units, budget);
        weather = SiteWeather.Of(job, weather, gate);
        var elements = ElementPlanner.Shape(job.Elements, job.Learnt, job.Mix.Id, job.Day.Split == PourSplit.EveryOther, gate);
        var site = JobReader.Build(job.Build, gate);
        var terms = JobReader.Buy(job.Buy, gate);
        var own = OwnBags.Of(job.Buy, gate);
        var mixes = JobMixes.Read(job, own, elements, gate);
        var recipe = mixes.FirstOrDefault(m => m.Index == 0);
        var place = JobReader.Mixing(job.Mixing, job.Learnt, Places.Mixing, gate);
        var zone = JobReader.Zone(job.TimeZone, gate);
        var works = JobReader.Works(job.Day, gate);
        var sketches = elements is { } shaped ? Split(job, shaped, gate) : [];
        var asked = Math.Max(0, sketches.ToList().FindIndex(s => s.Id == pour));
        elements = elements is { } of ? [.. of.Select(e => e with { Mortar = mixes.FirstOrDefault(m => m.Id == e.Mix)?.Recipe.StoneMm is 0 })] : null;
        foreach (var element in elements ?? [])
        {
            ShapeAdvice.ExplainPiece(element.Cast, element.Mortar, element.At.Self.Path, gate);
        }

        BuildPlan? build = null;
        if (elements is { } all && site is not null)
        {
            (elements, build) = ElementPlanner.Build(all, site, Seams(all, sketches, gate), gate);
        }

        ImmutableArray<PourLoad> pours = elements is { } poured && recipe is not null
            ? new PourPlanner(job, poured, mixes.ToDictionary(m => m.Id), place, zone, works, gate).Plan(sketches, asked)
            : [];
        var wanted = elements is { } needed ? JobMixes.Wanted(job, needed, own, terms, place) : null;
        Lazy<IReadOnlyList<Way>> ways = wanted is null || recipe is null ? new([]) : new(() => Ways.All(wanted, recipe.Said, recipe.Recipe));
        if (elements is { } checkedOnes && recipe is not null)
        {
            JobMixes.Check(checkedOnes, mixes, ways, build is not null, gate);
        }

        var cure = zone is null ? null : JobReader.Cure(job.Cure, works, zone, gate);
        var told = Told.Of(log ?? []);
        PourPlan? full = null;
        if (pours.Length > 0)
        {
            full = InFull(pours[asked], elements!.Value, cure, weather, told, asOf, gate);
            if (full is { Day: { } timed, Load.Load: { } load })
            {
                LoadAdvice.ExplainMixing(load, timed.Schedule.Mixing, gate);
            }

            CheckTopping(pours, asked, full, gate);
            CheckForms(pours, elements!.Value, full, told, job.Day.WorkDays, gate);
            AskWhatHappened(full, pours.Length, asOf, job.Day.WorkDays, gate);
        }

        if (weather.File is { } file && file != job.Site.WeatherFile)
        {
            gate.Add(new Finding(Severity.Warning, Places.Site.WeatherFile, new Notice.WeatherFileMissing()));
        }

        var hazards = Hazards(job, elements, recipe?.Recipe, full);
        Cautions.Check(hazards, Places.Mix(0), gate);
        HelpAdvice.Check((elements ?? []).Where(e => e.Traits.Lifted).Select(e => e.PieceMass.Kilograms).DefaultIfEmpty(0).Max(), full?.Load.Load?.Crew.Hands ?? job.Mixing.Hands, Places.Mixing.Hands, gate);
        var plan = new JobPlan
        {
            Said = job,
            Elements = elements,
            Build = build,
            Mixes = mixes,
            Wanted = wanted,
            Weighed = ways,
            Pours = pours,
            Pour = full,
            Told = told,
            AsOf = asOf,
            Curing = cure,
            Hazards = hazards,
            Terms = terms,
            // What is bought follows from its tasks, and so from the rest.
            Buy = null,
            Readings = [],
            Findings = [],
            Explanations = [],
        };
        Lazy<ImmutableArray<GearLine>> held = new(() => GearPlan.Of(plan, p => p == full?.Load ? full : InFull(p, elements!.Value, cure, weather, told, asOf, new Gate(job.Units, budget))));
        BuyPlan? buy = null;
        if (elements is { } bought && recipe is not null && terms is not null && wanted is not null)
        {
            // What is hired is hired for the days of the tasks that want it.
            var gear = job.Buy.Gear.Any(g => g.Price > 0) ? held.Value.Sum(g => g.Money) : 0;
            buy = BuyAdvice.Plan(Bought(job, bought, build, pours, cure), terms with { GearMoney = gear }, wanted, recipe.Recipe, gate);
        }

        return plan with
        {
            Buy = buy,
            Held = held,
            Readings = gate.Readings,
            Findings = [.. gate.Findings.OrderByDescending(f => f.Severity)],
            Explanations = gate.Explanations,
        };
    }

    /// <summary>Every pour of a plan in full, in the order in which they are poured.</summary>
    /// <param name="plan">Its own pour is taken as it is.</param>
    /// <param name="weather">The hours that it was planned with.</param>
    /// <param name="log">What was told of so far.</param>
    /// <param name="asOf">Now; null where nothing is under way.</param>
    /// <param name="budget">What it may take; null waits as long as it lasts.</param>
    public static ImmutableArray<PourPlan> Pours(JobPlan plan, HourlyWeather weather, IReadOnlyList<JobEvent>? log = null, Instant? asOf = null, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        weather = SiteWeather.Of(plan.Said, weather);
        var told = Told.Of(log ?? []);
        return
        [
            .. plan.Pours.Select(p => p == plan.Pour?.Load ? plan.Pour : InFull(p, plan.Elements!.Value, plan.Curing, weather, told, asOf, new Gate(plan.Said.Units, budget))),
        ];
    }

    private static PourPlan InFull(PourLoad pour, ImmutableArray<ElementPlan> elements, CureSaid? cure, HourlyWeather weather, Told told, Instant? asOf, Gate gate) =>
        InFull(pour, [.. pour.Sketch.Parts.Select(p => elements.First(e => e.Index == p.Element)).Distinct()], cure).Again(weather, told.OfPour(pour.Sketch.Id, pour.Number == 1), asOf, gate);

    private static PourPlan InFull(PourLoad pour, ElementPlan[] own, CureSaid? cure) =>
        new() { Load = pour, Curing = cure is null ? null : cure with { Coats = JobReader.Coats(cure, own.Select(e => e.Traits)) }, Use = UseOf(own) };

    /// <summary>Every hour of the weather given in which a pour might begin, judged; empty where it cannot be planned.</summary>
    /// <param name="job">What was said; the pour's own day does not matter.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="pour">Id of the pour; null takes the first.</param>
    /// <param name="notBefore">From here on; null takes every hour.</param>
    /// <param name="members">Ways it may go: fewer are quicker, and as good for a first guess.</param>
    /// <param name="budget">What it may take; null takes the usual, and waits as long as it lasts.</param>
    public static StartRanking Starts(JobDocument job, HourlyWeather weather, string? pour = null, Instant? notBefore = null, int members = StartRanking.MemberCount, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(weather);
        // Its own day, and one that cannot be read, are none of this question's business.
        const string someDay = "2027-01-01", someHour = "08:00";
        var known = job with
        {
            Day = job.Day with { Date = someDay, Start = someHour },
            Pours = [.. job.Pours.Select(p => p.Id == pour ? p with { Date = someDay, Start = someHour } : p)],
        };
        weather = SiteWeather.Of(job, weather);
        var gate = new Gate(job.Units, budget);
        if (ElementPlanner.Shape(known.Elements, known.Learnt, known.Mix.Id, known.Day.Split == PourSplit.EveryOther, gate) is not { } elements)
        {
            return StartRanking.None;
        }

        var mixes = JobMixes.Read(known, OwnBags.Of(known.Buy, gate), elements, gate);
        var sketches = Split(known, elements, gate);
        var asked = Math.Max(0, sketches.ToList().FindIndex(s => s.Id == pour));
        var pours = new PourPlanner(
            known, elements, mixes.ToDictionary(m => m.Id), JobReader.Mixing(known.Mixing, known.Learnt, Places.Mixing, gate), JobReader.Zone(known.TimeZone, gate), JobReader.Works(known.Day, gate), gate)
            .Plan(sketches, asked);
        return pours.Length > 0 && pours[asked].Task is { } task ? StartRanking.Of(task, weather, NotBefore(job, elements, sketches[asked].Id, task.Zone) ?? notBefore, members, budget) : StartRanking.None;
    }

    // A pour comes on a day after that of the pour before it, as far as both are known.
    private static Instant? NotBefore(JobDocument job, ImmutableArray<ElementPlan> elements, string id, DateTimeZone zone)
    {
        var real = Split(job, elements, new Gate(job.Units));
        var own = real.ToList().FindIndex(s => s.Id == id);
        return own > 0 && real[own].Date is not null && real[own - 1].Date is { } before ? (before.PlusDays(1) + LocalTime.Midnight).InZoneLeniently(zone).ToInstant() : null;
    }

    private static ImmutableArray<PourSketch> Split(JobDocument job, ImmutableArray<ElementPlan> elements, Gate gate) =>
        new PourSplitter([.. elements.Select(Pourable)], job.Pours, job.Day, job.Mixing.Hands, gate).Split();

    private static Pourable Pourable(ElementPlan element)
    {
        var (read, cast) = (element.Read, element.Cast);
        var casting = read.Casting;
        var panels = element.Joints.Panels;
        var faces = panels.Sum(p => p.Shape.AreaM2);
        return new Pourable(
            element.Index,
            read.Said.Id,
            element.OrderL,
            panels.Length > 1 && cast.Count == 1 ? [.. panels.Select(p => p.Shape.AreaM2 / faces)] : [],
            casting is null ? [] : [.. MouldCalendar.Of(casting.Pieces, casting.Moulds, casting.StripDays, casting.CleanDays).Select(c => c.Pieces)],
            (casting?.StripDays ?? 0) + (casting?.CleanDays ?? 0),
            [.. cast.Courses.Select(c => (c.Course, c.Volume.Litres * read.WasteFactor))],
            element.Mix,
            element.MixOf,
            (a, b) => PanelSeams.Shared(panels.First(p => p.Number == a).Shape, panels.First(p => p.Number == b).Shape).Any());
    }

    // Between panels that are not poured together; a board comes off before the next panel.
    private static Dictionary<int, PanelSeams> Seams(ImmutableArray<ElementPlan> elements, ImmutableArray<PourSketch> sketches, Gate gate)
    {
        var seams = new Dictionary<int, PanelSeams>();
        foreach (var element in elements)
        {
            var parts = sketches.Select((s, i) => (Pour: i, Part: s.Parts.FirstOrDefault(p => p.Element == element.Index && p.Panels.Length > 0))).Where(p => p.Part is not null).ToArray();
            if (parts.Length < 2)
            {
                continue;
            }

            var owner = parts.SelectMany(p => p.Part!.Panels.Select(n => (n, p.Pour))).ToDictionary(p => p.n, p => p.Pour);
            seams.Add(element.Index, PanelSeams.Of(element.Joints.Panels, n => owner.GetValueOrDefault(n)));
            foreach (var (one, next) in parts.Zip(parts.Skip(1)))
            {
                if (sketches[one.Pour].Date is { } earlier && sketches[next.Pour].Date is { } later && Period.DaysBetween(earlier, later) is var gap && gap < PourSplitter.BulkheadDays)
                {
                    gate.Add(new Finding(
                        Severity.Warning, sketches[next.Pour].DateAt, new Notice.BulkheadStillStands(GapDays: gap, WantedDays: PourSplitter.BulkheadDays)));
                }
            }
        }

        return seams;
    }

    private static Hazards Hazards(JobDocument job, ImmutableArray<ElementPlan>? elements, Recipe? recipe, PourPlan? pour)
    {
        var all = elements ?? [];
        return new Hazards(
            // Nothing known yet: say it rather than not.
            elements is null || all.Any(e => e.Build?.Dig is not null),
            all.Any(e => e.Traits.Spans || e.Traits.Load == Load.Vehicle || e.Traits.Section == SteelSection.Footing),
            all.Any(e => e.Finish == Finishing.Finish.GroundLater || e.Traits.Section == SteelSection.Counter || e.Joints.Sawn),
            job.Cure.Coats.Any(c => c.OnDry && c.RecoatLeastH > 0),
            recipe?.LiftKg,
            pour?.Load.Load is { Place.Mixer.By: not (MixedBy.Hoe or MixedBy.Plant) },
            pour?.Day is { } day && day.AirRange.Most.Celsius > HotForPeopleC);
    }

    private static CureUse UseOf(ElementPlan[] own) => new(
        own.Any(e => !e.Traits.InMould),
        own.Any(e => e.Traits.InMould),
        own.Where(e => e.Traits.InMould).Select(e => (e.Read.Casting?.StripDays ?? e.Traits.UsualStripDays) * 24).DefaultIfEmpty(0).Max(),
        own.Any(e => e.Traits.Walked),
        own.Any(e => e.Traits.Driven),
        own.Any(e => e.Traits.Sanded),
        own.Any(e => e.Finish == Finishing.Finish.GroundLater));

    // A topping goes on while the base is plastic, or when it is hard: never between.
    private static void CheckTopping(ImmutableArray<PourLoad> pours, int asked, PourPlan full, Gate gate)
    {
        foreach (var part in pours[asked].Sketch.Parts.Where(p => p.Course == Course.Topping))
        {
            var below = pours.FirstOrDefault(p => p.Sketch.Parts.Any(q => q.Element == part.Element && q.Course == Course.Base));
            if (below?.Task is { } lower && pours[asked].Task is { } upper && full.Day is { } day && below.Number != asked + 1)
            {
                ToppingAdvice.Check(upper.StartsAt - lower.StartsAt, day.JointLimit, pours[asked].Sketch.DateAt, gate);
            }
        }
    }

    // Its day is gone and nobody said whether it was poured: as planned, on another day, or not yet.
    private static void AskWhatHappened(PourPlan full, int pours, Instant? asOf, WorkDays days, Gate gate)
    {
        if (asOf is not { } now || full.Load is not { Task: { } task, Sketch: { } sketch } || !full.WentBy(now))
        {
            return;
        }

        var next = WorkCalendar.From(days, now.InZone(task.Zone).Date.PlusDays(1));
        Remedy[] notYet = sketch.Said is not null || pours == 1
            ? [new Remedy(new Mend.PourOn(next), [new Edit(sketch.DateAt, Text: NodaTime.Text.LocalDatePattern.Iso.Format(next))])]
            : [];
        gate.Warn(sketch.DateAt, new Notice.DayWentBy(task.Date), [new Remedy(new Mend.PouredAsPlanned(), []), .. notYet]);
    }

    /// <summary>A form that is short of its time by less, and holds concrete that can stand without it, may come off with care, hours. Site practice (tune).</summary>
    private const double WithCareH = 4;

    // The board between two panels comes off before the next one is poured against the first, and a mould before it is filled again.
    private static void CheckForms(ImmutableArray<PourLoad> pours, ImmutableArray<ElementPlan> elements, PourPlan full, Told told, WorkDays days, Gate gate)
    {
        if (full is not { Day: { } day, Cure: { } cure } || full.Told.Lines.Any(l => l is JobEvent.BoardsOff or JobEvent.CastLifted))
        {
            return;
        }

        bool Beside(PourPart one, PourPart next)
        {
            var panels = elements.First(e => e.Index == one.Element).Joints.Panels;
            return one.Panels.Any(a => next.Panels.Any(b => PanelSeams.Shared(panels.First(p => p.Number == a).Shape, panels.First(p => p.Number == b).Shape).Any()));
        }

        foreach (var next in pours.Skip(full.Load.Number).Where(p => p.Task is not null && told.OfPour(p.Sketch.Id, first: false).Lines.IsEmpty))
        {
            bool Waits(Func<PourPart, PourPart, bool> of) => full.Load.Sketch.Parts.Any(one => next.Sketch.Parts.Any(other => other.Element == one.Element && of(one, other)));
            var mould = Waits((one, other) => one.Casting is { } number && other.Casting == number + 1);
            if (!mould && !Waits(Beside))
            {
                continue;
            }

            var water = day.Schedule.Batches[^1].WaterAdded;
            var starts = next.Task!.StartsAt;
            if (cure.Milestones.FirstOrDefault(m => m.Milestone == (mould ? Milestone.TurnPiece : Milestone.StripEdges)) is { At: { } off } && off > starts && starts > water)
            {
                var hours = (off - starts).TotalHours;
                // Of moulds it is said in days which casting comes when: an hour or two is no news.
                if (mould && hours <= WithCareH)
                {
                    continue;
                }

                var ready = (off + Duration.FromHours(24)).InZone(next.Task.Zone).Date;
                var later = WorkCalendar.From(days, hours <= 24 && next.Sketch.Date is { } date ? date.PlusDays(1) : ready);
                gate.Add(new Finding(
                    hours <= WithCareH ? Severity.Note : Severity.Warning, next.Sketch.DateAt,
                    new Notice.FormStillHolds(next.Number, mould, (starts - water).TotalHours, (off - water).TotalHours),
                    next.Sketch is { Said: not null, Date: { } said }
                        ? [new Remedy(new Mend.PourLater(DaysLater: Period.DaysBetween(said, later)), [new Edit(next.Sketch.DateAt, Text: NodaTime.Text.LocalDatePattern.Iso.Format(later))])]
                        : []));
            }
        }
    }

    private static BuyJob Bought(JobDocument job, ImmutableArray<ElementPlan> elements, BuildPlan? build, ImmutableArray<PourLoad> pours, CureSaid? cure) => new(
        build is null ? [] : [.. elements.Select(e => Bought(e, e.Build!, pours, cure))],
        build?.Boards ?? [],
        build?.Bars ?? [],
        [.. (build?.Sheets ?? []).Select(s => (s.Mm, s.Needed))],
        build?.Mesh ?? SheetsNeeded.None,
        job.Build.Plastic,
        job.Cure.Method,
        Math.Clamp(job.Mixing.Hands, 1, LoadAdvice.MostHands),
        [.. pours.Where(p => p.Mix is not null).Select(p => new PourMeasured(p.Number, p.Mix!.Recipe, p.Sketch.Date, p.Units, p.Load?.Batches.Units.Sum() ?? 0, p.MeasuredOut, p.WaitMin))],
        job.Build.Sold);

    private static BuyElement Bought(ElementPlan element, ElementBuild built, ImmutableArray<PourLoad> pours, CureSaid? cure) => new(
        element.Index, WorkOrders.Of(element.Traits.Work), WorkPart.Poured(element, pours), element.Cast, element.OpenM2, element.OrderL, built.Dig, built.Forms, built.Mould, built.Steel, built.IsolationM, built.BondBreakerM, built.MaskM,
        cure is null ? [] : [.. JobReader.Coats(cure, [element.Traits]).Select(c => (CoatCatalogue.IdOf(c.Name), AfterCare.ToMix(1, c.CoversM2PerL ?? AfterCare.UsualCoversM2PerL, c.Dilution, null).ProductL * c.Product.Coats))],
        element.Cast.Pebbles.CubicMetres * Ingredients.StoneKgPerM3, element.Traits.Mould == MouldKind.InPlace ? element.FaceM2 : 0, element.Traits.DeckComesOff, element.Read.CracksM);
}
