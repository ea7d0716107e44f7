using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Curing;

/// <summary>Strength and dates after a pour, each with how far it may be off.</summary>
public sealed class CureBandTests
{
    private static readonly Duration Month = Duration.FromDays(28);

    /// <summary>Days warm, cool, and with a few cold nights.</summary>
    public static TheoryData<double, double> Seasons => new() { { 24, 6 }, { 15, 8 }, { 7, 6 } };

    [Theory]
    [MemberData(nameof(Seasons))]
    public void Every_band_holds_its_best_guess_and_nothing_comes_before_its_clock(double airC, double swing)
    {
        var plan = Cured(Season(airC, swing));
        var poured = plan.Youngest.WaterAdded;
        plan.Cure.Milestones.ShouldNotBeEmpty();
        foreach (var date in plan.Cure.Milestones.Where(m => m.At is not null))
        {
            date.Earliest!.Value.ShouldBeLessThanOrEqualTo(date.At!.Value);
            date.At.Value.ShouldBeLessThanOrEqualTo(date.Latest!.Value);
            var rule = Milestones.For(plan.Youngest.Mix, CureUse.Slab).Single(r => r.Milestone == date.Milestone);
            date.Earliest.Value.ShouldBeGreaterThanOrEqualTo(poured + Duration.FromHours(rule.Hours));
        }

        foreach (var point in plan.Cure.Curve)
        {
            point.LeastMpa.ShouldBeInRange(0, point.Mpa + 1e-9);
            point.MostMpa.ShouldBeGreaterThanOrEqualTo(point.Mpa - 1e-9);
            point.NoCureMpa.ShouldBeInRange(0, point.Mpa + 1e-9);
        }
    }

    [Theory]
    [MemberData(nameof(Seasons))]
    public void Strength_only_rises_and_its_band_with_it(double airC, double swing)
    {
        var curve = Cured(Season(airC, swing)).Cure.Curve;
        curve.Select(p => p.At).ShouldBeInOrder();
        foreach (var of in new Func<StrengthAt, double>[] { p => p.Mpa, p => p.LeastMpa, p => p.MostMpa, p => p.NoCureMpa })
        {
            foreach (var (before, after) in curve.Zip(curve.Skip(1)))
            {
                of(after).ShouldBeGreaterThanOrEqualTo(of(before) - 1e-9);
            }
        }
    }

    [Fact]
    public void Warmer_weather_brings_every_date_forward_and_none_back()
    {
        var dates = new[] { 8.0, 14, 20, 26 }.Select(c => Cured(Samples.Steady(c))).Select(p => p.Cure.Milestones.ToDictionary(m => m.Milestone, m => m.At - p.Youngest.WaterAdded)).ToArray();
        foreach (var (cooler, warmer) in dates.Zip(dates.Skip(1)))
        {
            foreach (var (milestone, at) in cooler)
            {
                (warmer[milestone] is { } sooner && (at is null || sooner <= at.Value + Duration.FromMinutes(1))).ShouldBeTrue($"{milestone}");
            }
        }
    }

    [Fact]
    public void Wetting_for_longer_leaves_it_stronger_and_none_leaves_it_weakest()
    {
        var strengths = new[] { 1.0, 3, 7, 14, 28 }.Select(d => Cured(Samples.Steady(18), d).Cure.At28Mpa).ToArray();
        strengths.ShouldBeInOrder();
        strengths[^1].ShouldBeGreaterThan(strengths[0] * 1.2);
        var cure = Cured(Samples.Steady(18), 7).Cure;
        cure.At28Mpa.ShouldBeLessThanOrEqualTo(cure.F28Mpa + 1e-9);
        cure.Curve[^1].NoCureMpa.ShouldBeLessThan(strengths[0]);
    }

    [Theory]
    [MemberData(nameof(Seasons))]
    public void Hourly_steps_are_close_enough_for_dates_of_weeks(double airC, double swing)
    {
        var (hourly, fine) = (new HeatBalanceSlab(stepsInHour: 1), new HeatBalanceSlab(stepsInHour: 60));
        var weather = Season(airC, swing);
        foreach (var member in Members.Of(weather, 4))
        {
            var zone = Samples.Zone() with { Mix = Samples.Mix().Setting(member.SetFactor) };
            var (quick, close) = (hourly.Follow(zone, member.Weather, Month), fine.Follow(zone, member.Weather, Month));
            foreach (var age in new[] { 12.0, 24, 72, 168 })
            {
                if (close.WhenEquivalentHours(age) is { } true_ && quick.WhenEquivalentHours(age) is { } said)
                {
                    // Within one part in twenty-five of the wait, or twenty minutes.
                    (said - true_).TotalHours.ShouldBeInRange(-Off(true_ - zone.WaterAdded), Off(true_ - zone.WaterAdded), $"{age} h at {airC} °C");
                }
            }
        }

        static double Off(Duration wait) => Math.Max(1 / 3.0, wait.TotalHours / 25);
    }

    [Fact]
    public void What_may_be_walked_on_is_driven_on_later_and_loaded_last()
    {
        var dates = Cured(Samples.Steady(18)).Cure.Milestones.ToDictionary(m => m.Milestone, m => m.At!.Value);
        dates[Milestone.Walk].ShouldBeLessThan(dates[Milestone.Cars]);
        var needs = Cured(Samples.Steady(18)).Cure.Milestones.ToDictionary(m => m.Milestone, m => m.NeedsMpa);
        needs[Milestone.Walk].ShouldBeLessThan(needs[Milestone.Cars]);
    }

    private sealed record CuredPour(CurePlan Cure, ZonePour Youngest);

    private static CuredPour Cured(HourlyWeather weather, double? days = null)
    {
        var pour = Planner.Plan(Samples.Terrace().Cured(CuringMethod.Burlap, days), weather).Pour.ShouldNotBeNull();
        return new CuredPour(pour.Cure.ShouldNotBeNull(), pour.Day!.Youngest);
    }

    // A fortnight of like days, warmest in the afternoon.
    private static HourlyWeather Season(double airC, double swing) => Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h =>
        Samples.Mild with { AirC = airC + (swing * Math.Sin(2 * Math.PI * (h - 9) / 24)), SunWm2 = Math.Max(0, 600 * Math.Sin(2 * Math.PI * (h - 6) / 24)) }));
}
