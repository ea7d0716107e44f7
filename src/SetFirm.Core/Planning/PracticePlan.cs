using System.Collections.Immutable;
using System.Text.Json;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Planning;

/// <summary>What would come of another choice, against the plan as it is.</summary>
/// <param name="MoreMoney">Money.</param>
/// <param name="MoreMpa">Strength at 28 days as it is cured; null where that is not known.</param>
/// <param name="MoreWetDays">Days of wetting; null where that is not known.</param>
/// <param name="LaterH">Walked on later by so many hours; null where nobody walks on it.</param>
/// <param name="CoatLaterH">The first coat goes on later by so many hours; null where none does.</param>
/// <param name="LongerDays">The last pour comes so many days later.</param>
/// <param name="Warns">What it would be warned of and is not now, the gravest first.</param>
public sealed record ChoiceEffect(double MoreMoney, double? MoreMpa, double? MoreWetDays, double? LaterH, double? CoatLaterH, int LongerDays, ImmutableArray<Notice> Warns);

/// <summary>One way of a practice.</summary>
/// <param name="Value">A number in the practice's unit (days, mm, L), or a name of its enum; empty takes the advice.</param>
/// <param name="Edits">That make the choice.</param>
/// <param name="Taken">The job has it so.</param>
/// <param name="Effect">Null where it is taken, or cannot be planned.</param>
public sealed record PracticeChoice(string Value, ImmutableArray<Edit> Edits, bool Taken, ChoiceEffect? Effect);

/// <summary>Where people differ, in this job.</summary>
/// <param name="Practice">What about.</param>
/// <param name="Element">Index of the element; null for the whole job.</param>
/// <param name="Choices">Each with what comes of it.</param>
public sealed record PracticePlan(Practice Practice, int? Element, ImmutableArray<PracticeChoice> Choices)
{
    private const string Advice = "";

    /// <summary>So many elements are asked about one by one.</summary>
    private const int MostElements = 4;

    private static readonly ImmutableArray<double> WetDays = [3, 7, 28];
    private static readonly ImmutableArray<double> BasesMm = [0, 50, 100, 150];
    private static readonly ImmutableArray<double> MouldDays = [1, 2, 4, 7];
    private static readonly ImmutableArray<double> SealDays = [7, 28];
    private static readonly ImmutableArray<CuringMethod> Methods = [CuringMethod.Bare, CuringMethod.Burlap, CuringMethod.Plastic, CuringMethod.CureAndSeal];

    /// <summary>Every practice of a job, each choice planned with the same weather and told as a difference.</summary>
    /// <param name="plan">As it is.</param>
    /// <param name="weather">The hours that it was planned with.</param>
    /// <param name="budget">What all of it may take; null takes the usual.</param>
    public static ImmutableArray<PracticePlan> Of(JobPlan plan, HourlyWeather weather, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (plan.Elements is not { } elements || elements.Any(e => e.Build is null))
        {
            return [];
        }

        return [.. Open(plan, elements).Select(o => new PracticePlan(o.Practice, o.Element, [.. o.Choices.Select(c => c.Taken ? c : c with { Effect = Effect(plan, c, weather, budget) })]))];
    }

    private static IEnumerable<(Practice Practice, int? Element, ImmutableArray<PracticeChoice> Choices)> Open(JobPlan plan, ImmutableArray<ElementPlan> elements)
    {
        var said = plan.Said;
        if (plan.Pour?.Cure is { } cure)
        {
            yield return (Practice.KeepWetDays, null, [Choice(Advice, said.Cure.Days is null, new Edit(Places.Cure.Days)), .. Numbers(WetDays.Where(d => d != cure.AdvisedDays || said.Cure.Days == d), Places.Cure.Days, said.Cure.Days)]);
            yield return (Practice.KeepWetBy, null, [.. Methods.Select(m => Choice(Named(m), said.Cure.Method == m, new Edit(Places.Cure.Method, Text: Named(m))))]);
            // The first product stands for all: the others follow it.
            if (said.Cure.Coats is [var coat, ..])
            {
                yield return (Practice.SealAfterDays, null, [.. Numbers(SealDays, Places.Cure.Coats[0].At(nameof(coat.FromDays)), coat.FromDays)]);
            }
        }

        if (elements.Any(e => e.Build!.Dig is not null))
        {
            var (own, depth) = (said.Build.Base.Length > 0, plan.Build!.Dig?.BaseDepth.Millimetres);
            yield return (Practice.Base, null, [Choice(Advice, !own, new Edit(Places.Build.Base, Text: "")), .. BasesMm.Select(mm =>
                Choice(Written(mm), own && depth is { } d && Math.Abs(d - mm) < 2, new Edit(Places.Build.Base, Text: $"{Written(mm)} mm")))]);
        }

        if (plan.Recipe is BaggedRecipe bagged && bagged.Bag.LeastWater != bagged.Bag.MostWater)
        {
            var at = Places.Mix(0).WaterPerBag;
            yield return (Practice.WaterToBag, null, [.. new[] { bagged.Bag.LeastWater, bagged.Bag.MiddleWater, bagged.Bag.MostWater }.Select(w =>
                Choice(Written(w.Litres), Math.Abs(w.Litres - bagged.Water.Litres) < 0.005, new Edit(at, Text: $"{Written(w.Litres)} L")))]);
        }

        foreach (var element in elements.Take(MostElements))
        {
            var steel = element.Build!.Steel;
            yield return (Practice.Steel, element.Index, [.. Enum.GetValues<SteelSchool>().Where(s => s == steel.School || s == steel.Advised || s is SteelSchool.None or SteelSchool.Fibre || (s == SteelSchool.Mesh && element.Traits.Driven))
                .Select(s => Choice(Named(s), s == steel.School, new Edit(element.At.Steel.School, Text: Named(s))))]);
            if (element.Read.Casting is { } casting)
            {
                yield return (Practice.MouldDays, element.Index, [.. Numbers(MouldDays, element.Read.Said.StripDaysAt(element.At), casting.StripDays)]);
            }
        }
    }

    private static ChoiceEffect? Effect(JobPlan plan, PracticeChoice choice, HourlyWeather weather, Budget? budget)
    {
        budget?.GoOn();
        if (JobEdits.Made(plan.Said, choice.Edits) is not { } said)
        {
            return null;
        }

        var other = Planner.Plan(said, weather, pour: plan.Pour?.Load.Sketch.Id, budget: budget);
        if (plan.Buy is not { } buy || other.Buy is not { } otherBuy)
        {
            return null;
        }

        var (cure, otherCure) = (plan.Pour?.Cure, other.Pour?.Cure);
        var known = plan.Findings.Select(f => f.Says.GetType()).ToHashSet();
        return new ChoiceEffect(
            otherBuy.CostMoney - buy.CostMoney,
            otherCure?.At28Mpa - cure?.At28Mpa,
            otherCure?.WetDays - cure?.WetDays,
            (Walks(otherCure) - Walks(cure))?.TotalHours,
            (Coats(otherCure) - Coats(cure))?.TotalHours,
            Last(other) is { } then && Last(plan) is { } now ? Period.DaysBetween(now, then) : 0,
            [.. other.Findings.Where(f => f.Severity >= Severity.Warning && !known.Contains(f.Says.GetType())).Select(f => f.Says).DistinctBy(n => n.GetType())]);
    }

    private static Instant? Walks(CurePlan? cure) => cure?.Milestones.FirstOrDefault(m => m.Milestone == Milestone.Walk)?.At;

    private static Instant? Coats(CurePlan? cure) => cure is { Coats: [var first, ..] } ? first.Time.At : null;

    private static LocalDate? Last(JobPlan plan) => plan.Pours.Max(p => p.Sketch.Date);

    private static IEnumerable<PracticeChoice> Numbers(IEnumerable<double> values, Place at, double? taken) => values.Select(v => Choice(Written(v), taken == v, new Edit(at, Number: v)));

    private static PracticeChoice Choice(string value, bool taken, Edit edit) => new(value, [edit], taken, null);

    private static string Written(double value) => Math.Round(value, 2).ToString(System.Globalization.CultureInfo.InvariantCulture);

    private static string Named<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
