using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Learning;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Planning;

/// <summary>From what is poured when to the batches of each pour.</summary>
/// <param name="job">As said.</param>
/// <param name="elements">Worked out.</param>
/// <param name="mixes">By id.</param>
/// <param name="place">The job's mixer and crew; null where they cannot be read.</param>
/// <param name="zone">Of the site; null where it is not known.</param>
/// <param name="works">When somebody begins.</param>
/// <param name="gate">Takes findings of the pour that is asked for.</param>
internal sealed class PourPlanner(
    JobDocument job, ImmutableArray<ElementPlan> elements, IReadOnlyDictionary<string, MixPlan> mixes, MixingPlace? place, DateTimeZone? zone, (LocalTime From, LocalTime Until)? works, Gate gate)
{
    /// <summary>Of mould castings alone under this nothing is kept back, litres. Source: site practice.</summary>
    private const double NoHoldBackL = 20;

    /// <summary>The mixer is rinsed before another mix goes in.</summary>
    private static readonly Duration Rinse = Duration.FromMinutes(15);

    /// <summary>Setting pebbles into a bed, for one person; an hour at the least.</summary>
    private static readonly Duration SetPebblesM2 = Duration.FromMinutes(Tasks.TaskEfforts.SetPebblesMinPerM2);

    private readonly Dictionary<(string Mix, double Litres, MixingPlace Place, Laying Laying, double Fibre), (LoadPlan Load, IReadOnlyList<BatchRecipe> Recipes, IReadOnlyList<Measure> MeasuredOut)> known = [];

    /// <param name="sketches">In order.</param>
    /// <param name="asked">Index of the one whose findings are told.</param>
    public ImmutableArray<PourLoad> Plan(ImmutableArray<PourSketch> sketches, int asked)
    {
        var loads = ImmutableArray.CreateBuilder<PourLoad>(sketches.Length);
        for (var i = 0; i < sketches.Length; i++)
        {
            loads.Add(One(sketches[i], i + 1, sketches[i].After is { } before ? loads[before] : null, i == asked ? gate : new Gate(job.Units, gate.Budget)));
        }

        return loads.MoveToImmutable();
    }

    private PourLoad One(PourSketch sketch, int number, PourLoad? before, Gate own)
    {
        own.Budget.GoOn();
        var mix = mixes.GetValueOrDefault(sketch.Mix);
        var litres = sketch.Litres;
        var holdBack = litres < NoHoldBackL && sketch.Parts.All(p => Of(p).Traits.InMould) ? 0 : LoadAdvice.HoldBackL;
        var (mixer, at) = Mixing(sketch, own);
        var here = mix is null ? mixer : mixer?.For(mix.Recipe);
        var laying = Layings.Of(sketch.Parts.Select(p => (Of(p), p.Litres, Of(p).FaceM2 * p.FaceShare)));
        // Spread over all of it: one batch may fill two elements.
        var fibre = sketch.Parts.Sum(p => Of(p).Build is { Steel: { Fibre.Kilograms: > 0 and var kg } } && Of(p).OrderL > 0 ? kg * p.Litres / Of(p).OrderL : 0) / Math.Max(litres, 1e-9) * 1000;
        LoadPlan? load = null;
        IReadOnlyList<BatchRecipe> recipes = [];
        IReadOnlyList<Measure> measured = [];
        if (mix is not null && here is not null)
        {
            if (!known.TryGetValue((sketch.Mix, litres, here, laying, fibre), out var same))
            {
                if (LoadAdvice.Plan(here, mix.Recipe, litres, holdBack, laying, at, own) is { } planned)
                {
                    var different = LoadAdvice.Recipes(planned, mix.Recipe, fibre);
                    same = (planned, different, LoadAdvice.MeasureOut(different));
                    known.Add((sketch.Mix, litres, here, laying, fibre), same);
                }
            }

            (load, recipes, measured) = same.Load is null ? (null, [], []) : same;
            if (load is not null && ReferenceEquals(own, gate))
            {
                LoadAdvice.Explain(load, mix.Recipe, litres, holdBack, own);
                MixAdvice.CheckRounding(recipes, mix.At, "", own);
            }
        }

        var units = load?.Batches.Units.Sum() ?? (mix is null ? 0 : (int)Math.Min(int.MaxValue, Math.Ceiling((litres + holdBack) / mix.Recipe.Unit.Yield.Litres)));
        var start = sketch.After is null ? sketch.Start : before is null ? null : Following(before, sketch);
        var task = mix is null || load is null ? null : Task(sketch, mix.Recipe, load, start, at);
        if (task is null && load is not null && ReferenceEquals(own, gate))
        {
            // The day asks what a day's work is where there is one, and how long it takes.
            LoadAdvice.ExplainMixing(load, null, own);
            LoadAdvice.CheckDay(load, mix!.Recipe, l => PourSchedule.Of(l, default).Mixing, at, own);
        }

        return new PourLoad(sketch, number, mix, holdBack, load, recipes, measured, units, start, task);
    }

    // Where it mixes, and where that is said.
    private (MixingPlace? Place, MixingPlaces At) Mixing(PourSketch sketch, Gate own)
    {
        if (sketch.Said is not { } index)
        {
            return (place, Places.Mixing);
        }

        var (said, at) = (job.Pours[index], Places.Pour(index));
        var (own_, mixingAt) = said.Mixing is { } mixing ? (JobReader.Mixing(mixing, job.Learnt, at.Mixing, own), at.Mixing) : (place, Places.Mixing);
        if (said.Hands is { } hands && own.InRange(at.Hands, hands, 1, LoadAdvice.MostHands) && own_ is not null)
        {
            own_ = own_ with { Crew = own_.Crew with { Hands = hands } };
        }

        return (own_, mixingAt);
    }

    // On the same day, when the one before lies, and what comes between is done.
    private LocalTime? Following(PourLoad before, PourSketch sketch)
    {
        if (before.Start is not { } start || before.Mixing is not { } mixing)
        {
            return before.Start;
        }

        var pebbles = sketch.Parts.Where(p => p.Course == Course.Slurry).Sum(p => Of(p).FaceM2 * p.FaceShare);
        var hands = before.Load!.Crew.Hands;
        var between = pebbles > 0 ? Duration.FromHours(Math.Max(1, SetPebblesM2.TotalHours * pebbles / hands)) : Rinse;
        var minutes = Math.Ceiling((mixing - before.Load!.Age + between).TotalMinutes / 5) * 5;
        return start.PlusMinutes((long)Math.Min(minutes, ((LocalTime.MaxValue - start).Hours * 60) - 60));
    }

    private ElementPlan Of(PourPart part) => elements.First(e => e.Index == part.Element);

    private PourTask? Task(PourSketch sketch, Recipe recipe, LoadPlan load, LocalTime? start, MixingPlaces mixing)
    {
        if (zone is null || sketch.Date is not { } date || start is not { } time)
        {
            return null;
        }

        var startAt = sketch.Said is { } index && !string.IsNullOrWhiteSpace(job.Pours[index].Start) ? Places.Pour(index).Start : Places.Day.Start;
        return new PourTask
        {
            Elements = [.. sketch.Parts.Select(Part)],
            Recipe = recipe,
            Load = load,
            Zone = zone,
            Date = date,
            Start = time,
            Works = works,
            Site = JobReader.Site(job.Site),
            RainCover = job.Site.RainCover,
            Method = job.Cure.Method,
            Frost = job.Cure.Frost,
            SaidWaterC = (sketch.Said is { } said ? job.Pours[said].Mixing : null)?.WaterC ?? job.Mixing.WaterC,
            WantedMixC = job.Mixing.WantedMixC,
            SetFactor = job.Learnt.Factor(LearntKeys.Set(SaidMix(sketch.Mix), job.Buy, MixingOf(sketch))),
            SheenFactor = job.Learnt.Factor(LearntKeys.Sheen(job.Site)),
            PaceDoubt = job.Learnt.Factor(LearntKeys.Pace(MixingOf(sketch))) == 1 ? 0 : Estimate.DeviationOf(LearntOf.Pace),
            FinishingFactor = job.Learnt.Factor(LearntKeys.Finishing(MixingOf(sketch))),
            At = new TaskPlaces(sketch.DateAt, startAt, mixing, mixes[sketch.Mix].At),
        };
    }

    private MixingDocument MixingOf(PourSketch sketch) => (sketch.Said is { } said ? job.Pours[said].Mixing : null) ?? job.Mixing;

    // The slurry that nobody said a mix for goes by the job's own.
    private MixDocument SaidMix(string id) => job.Mixes.FirstOrDefault(m => m.Id == id) ?? job.Mix;

    private PourElement Part(PourPart part)
    {
        var element = Of(part);
        var course = element.Cast.Courses.FirstOrDefault(c => c.Course == part.Course);
        var covered = part.Course is { } which && element.Cast.Courses[^1].Course != which;
        var finish = covered ? Finishing.Finish.AsCast : part.Course == Course.Slurry ? Finishing.Finish.Pebbles : element.Finish;
        return new PourElement(
            element.Index, part.Litres, element.FaceM2 * part.FaceShare, part.Course is null ? element.Cast.Depth : course.Depth, BelowIt(element, part.Course), finish,
            element.Joints.Sawn && !covered, element.Traits.InMould && finish == Finishing.Finish.AsCast, element.Traits.Mould != Formwork.MouldKind.None)
        { PanelEnds = part.FaceShare < 1 - 1e-6 ? [] : PanelEnds(element.Joints.Panels) };
    }

    private static ImmutableArray<double> PanelEnds(ImmutableArray<NumberedPanel> panels)
    {
        if (panels.Length < 2)
        {
            return [];
        }

        var (whole, filled) = (panels.Sum(p => p.Shape.AreaM2), 0.0);
        return [.. panels.Select(p => (filled += p.Shape.AreaM2) / whole)];
    }

    private static Below BelowIt(ElementPlan element, Course? course) =>
        element.Traits.OnOldConcrete || (course is { } which && which != element.Cast.Courses[0].Course) ? Below.Concrete
        : !element.Traits.OnGround ? Below.Air
        : element.Build?.Dig?.BaseDepth.Metres > 0 ? Below.Stone
        : Below.Soil;
}
