using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What a new job of each kind opens with: nobody in the trade shakes their head at it.</summary>
public sealed class FirstPlanTests
{
    private static readonly HourlyWeather Mild = Week(15, 4, 0.72, 7, 0.35, 0.002);
    private static readonly HourlyWeather Hot = Week(31, 6, 0.30, 22, 0.95, 0);
    private static readonly HourlyWeather Cold = Week(1, 4, 0.80, 8, 0.2, 0.002);
    private static readonly HourlyWeather Wet = Week(12, 3, 0.90, 10, 0.15, 0.12);

    public static TheoryData<StartKind, UnitSystem> All => new(
        from kind in Enum.GetValues<StartKind>()
        from units in Enum.GetValues<UnitSystem>()
        select (kind, units));

    [Theory]
    [MemberData(nameof(All))]
    public void In_a_mild_dry_week_nothing_wants_a_decision(StartKind kind, UnitSystem units)
    {
        var plan = Plan(kind, units, Mild);
        plan.Findings.Where(f => f.Severity >= Severity.Warning).Select(f => f.Says).ShouldBeEmpty();
        plan.Steps.ShouldAllBe(s => s.State == StepState.Settled);
        plan.Cure!.Milestones.ShouldNotBeEmpty();
        plan.Day!.Chance!.Value.ShouldBeGreaterThan(0.8);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void In_a_hot_dry_wind_what_lies_open_dries_too_fast_and_a_back_does_not(StartKind kind, UnitSystem units)
    {
        var plan = Plan(kind, units, Hot);
        var drying = plan.Findings.Any(f => f.Says is Notice.DryingFast or Notice.DriesBeforeItBleeds && f.Severity == Severity.Warning);
        drying.ShouldBe(kind is not (StartKind.Stones or StartKind.Treads or StartKind.Coping or StartKind.Ribbon or StartKind.CounterFaceDown), $"{kind}");
        plan.Findings.ShouldNotContain(f => f.Says is Notice.ColdWeather || f.Says is Notice.RainBeforeSet);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void In_the_cold_every_kind_is_told_to_be_covered(StartKind kind, UnitSystem units)
    {
        var plan = Plan(kind, units, Cold);
        plan.Findings.ShouldContain(f => f.Says is Notice.ColdWeather);
        plan.Findings.ShouldContain(f => f.Says is Notice.MixTooCold || f.Says is Notice.FrostNight || f.Says is Notice.FrozenYoung);
        plan.Findings.ShouldNotContain(f => f.Says is Notice.DryingFast);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void In_a_wet_week_every_kind_wants_a_cover_or_another_day(StartKind kind, UnitSystem units)
    {
        var rain = Plan(kind, units, Wet).Findings.Single(f => f.Says is Notice.RainBeforeSet);
        rain.Severity.ShouldBe(Severity.Warning);
        rain.Remedies.ShouldContain(r => r.Does is Mend.RainCoverReady);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void It_opens_with_that_kind_alone_and_with_the_bag_finish_and_mixer_that_fit_it(StartKind kind, UnitSystem units)
    {
        var job = Start(kind, units);
        var plan = Plan(kind, units, Mild);
        job.Elements.ShouldHaveSingleItem();
        plan.Findings.ShouldNotContain(f => f.Says is Notice.ThicknessOutsideMix || f.Says is Notice.StoneTooLarge);
        var mould = kind is StartKind.Stones or StartKind.Treads or StartKind.Coping or StartKind.Ribbon or StartKind.CounterFaceDown or StartKind.Footing;
        (job.Elements[0].Finish == Finish.AsCast).ShouldBe(mould);
        if (kind == StartKind.PebbleBed)
        {
            plan.Day!.Passes.ShouldNotContain(p => p.Pass == Pass.Broom); // washed, never broomed
        }

        // A few bags are mixed by hand; a drum is for more.
        var dryKg = plan.Load!.MeasureOut.Where(m => m.What != Core.Mixes.MeasuredThing.Water).Sum(m => m.Kg);
        (job.Mixing.Mixer.Kind == MixerKind.Drum || dryKg < 300).ShouldBeTrue($"{dryKg}");
        plan.Load.MixingMin.ShouldBeInRange(3, 240);
    }

    [Theory]
    [InlineData(StartKind.Drive, SteelSchool.BarGrid)]
    [InlineData(StartKind.Slab, SteelSchool.Mesh)]
    [InlineData(StartKind.Treads, SteelSchool.TwoRows)]
    [InlineData(StartKind.Counter, SteelSchool.Scrim)]
    [InlineData(StartKind.Stones, SteelSchool.None)]
    [InlineData(StartKind.Curb, SteelSchool.TwoRows)]
    public void It_has_the_steel_that_is_usual(StartKind kind, SteelSchool school)
    {
        foreach (var units in Enum.GetValues<UnitSystem>())
        {
            Plan(kind, units, Mild).Build!.Elements[0].Steel.School.ShouldBe(school, $"{units}");
        }
    }

    [Theory]
    [MemberData(nameof(All))]
    public void It_warns_of_what_it_does_and_of_nothing_else(StartKind kind, UnitSystem units)
    {
        var plan = Plan(kind, units, Mild);
        var cautions = plan.Findings.Where(f => f.Severity == Severity.Caution).Select(f => f.Says).ToArray();
        cautions.OfType<Notice.CausticCement>().ShouldHaveSingleItem();
        cautions.OfType<Notice.DustWhenTipping>().ShouldHaveSingleItem();
        cautions.OfType<Notice.MarkServices>().Any().ShouldBe(plan.Build!.Elements[0].Dig is not null);
        cautions.OfType<Notice.MixerGuard>().Any().ShouldBe(Start(kind, units).Mixing.Mixer.Kind is MixerKind.Drum or MixerKind.Forced or MixerKind.DrillBucket);
        cautions.OfType<Notice.StructuralWork>().Any().ShouldBe(kind is StartKind.Drive or StartKind.Footing or StartKind.Treads);
        cautions.OfType<Notice.SilicaWhenGround>().Any().ShouldBe(kind is StartKind.Counter or StartKind.CounterFaceDown);
        cautions.OfType<Notice.HeatOnPeople>().ShouldBeEmpty();
        Plan(kind, units, Hot).Findings.ShouldContain(f => f.Says is Notice.HeatOnPeople);
    }

    private static JobDocument Start(StartKind kind, UnitSystem units) => StartingJob.Of("New", units, "Europe/Berlin", new LocalDate(2027, 5, 5), kind);

    private static PlanReport Plan(StartKind kind, UnitSystem units, HourlyWeather weather) => Plans.Of(Start(kind, units), weather);

    // Sixteen like days in May: coldest at night, driest in the afternoon.
    private static HourlyWeather Week(double meanC, double swing, double humidity, double wind, double sun, double rain) =>
        Samples.Weather(Enumerable.Range(0, 24 * 16).Select(h =>
        {
            var warm = Math.Cos(2 * Math.PI * ((h % 24) - 13) / 24);
            return new WeatherHour
            {
                AirC = meanC + (swing * warm),
                Humidity = Math.Clamp(humidity - (0.015 * swing * warm), 0.1, 1),
                WindKmh = wind,
                SunWm2 = sun * Sun.ClearSkyWm2(new SitePlace(52.5, 13.4), Instant.FromUtc(2027, 5, 4, 0, 0) + Duration.FromHours(h)),
                RainChance = rain,
                RainMm = rain,
            };
        }));
}
