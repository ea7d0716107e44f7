using CsCheck;
using NodaTime;
using SetFirm.Core.Curing;

namespace SetFirm.Core.Tests.Curing;

/// <summary>When it is wetted, and when it lay dry.</summary>
public sealed class WettingPlanTests
{
    private static readonly DateTimeZone Berlin = DateTimeZoneProviders.Tzdb["Europe/Berlin"];
    private static readonly WakingHours Awake = new(Berlin, new LocalTime(7, 0), new LocalTime(22, 0));
    private static readonly Instant Noon = new LocalDateTime(2027, 5, 4, 12, 0).InZoneLeniently(Berlin).ToInstant();
    private static readonly Instant WeekOn = Noon + Duration.FromDays(7);

    [Theory]
    [InlineData(1.0, 0.25, 4)]
    [InlineData(0.15, 0.8, 1)]
    [InlineData(12, 0.1, 24)]
    public void Steady_drying_empties_the_store_in_store_over_evaporation_clipped_to_a_day(double store, double evaporation, double hours) =>
        (new WettingPlan(store, _ => evaporation).DriesAt(Noon) - Noon).TotalHours.ShouldBe(hours, 1e-6);

    [Fact]
    public void What_dries_in_the_sun_lasts_the_night_longer()
    {
        var plan = new WettingPlan(1, at => at.InZone(Berlin).Hour is >= 8 and < 20 ? 0.4 : 0.02);
        (plan.DriesAt(Noon) - Noon).TotalHours.ShouldBe(2.5, 1e-6);
        (plan.DriesAt(Noon + Duration.FromHours(8)) - Noon).TotalHours.ShouldBeGreaterThan(20);
    }

    [Fact]
    public void Nobody_is_woken_and_nothing_is_due_past_the_end() => Gen.Select(Gen.Double[0.1, 12], Gen.Double[0.01, 1]).Sample((store, evaporation) =>
    {
        var plan = new WettingPlan(store, _ => evaporation);
        var (due, dryNight) = plan.From(Noon, Noon, WeekOn, Awake);
        due.ShouldAllBe(at => Awake.Holds(at) && at > Noon && at < WeekOn);
        due.ShouldBeInOrder();
        // Where it keeps through the longest night, it never lies dry.
        if (Wetting.IntervalHours(store, evaporation) >= 10)
        {
            dryNight.TotalHours.ShouldBeLessThanOrEqualTo(1e-6);
        }
        else if (Wetting.IntervalHours(store, evaporation) < 8.9)
        {
            dryNight.ShouldBeGreaterThan(Duration.Zero);
        }
    });

    [Fact]
    public void A_wetting_in_time_leaves_nothing_dry_and_a_missed_one_leaves_the_hours_between()
    {
        var plan = new WettingPlan(1, _ => 0.25);
        var every4 = Enumerable.Range(1, 6).Select(i => Noon + Duration.FromHours(4 * i));
        plan.Dry(Noon, every4, Noon + Duration.FromHours(28)).ShouldBeEmpty();
        var dry = plan.Dry(Noon, [Noon + Duration.FromHours(10)], Noon + Duration.FromHours(12));
        dry.ShouldHaveSingleItem().ShouldBe(new DrySpell(Noon + Duration.FromHours(4), Noon + Duration.FromHours(10)));
    }

    [Fact]
    public void More_wettings_never_leave_it_dry_for_longer() => Gen.Select(Gen.Double[0.05, 1], Gen.Double[0, 100].Array[0, 12], Gen.Double[0, 100]).Sample((evaporation, hours, more) =>
    {
        var plan = new WettingPlan(1, _ => evaporation);
        double DryH(IEnumerable<double> told) => plan.Dry(Noon, told.Select(h => Noon + Duration.FromHours(h)), Noon + Duration.FromHours(100)).Sum(d => (d.Until - d.From).TotalHours);
        return DryH(hours.Append(more)) <= DryH(hours) + 1e-6;
    });

    [Fact]
    public void Waking_hours_follow_the_clock_through_its_change_and_past_midnight()
    {
        var autumn = new LocalDateTime(2027, 10, 31, 3, 30).InZoneLeniently(Berlin).ToInstant();
        Awake.Next(autumn).InZone(Berlin).TimeOfDay.ShouldBe(new LocalTime(7, 0));
        Awake.Last(autumn).InZone(Berlin).LocalDateTime.ShouldBe(new LocalDateTime(2027, 10, 30, 22, 0));
        var owl = new WakingHours(Berlin, new LocalTime(11, 0), new LocalTime(2, 0));
        owl.Holds(new LocalDateTime(2027, 5, 4, 1, 0).InZoneLeniently(Berlin).ToInstant()).ShouldBeTrue();
        owl.Holds(new LocalDateTime(2027, 5, 4, 5, 0).InZoneLeniently(Berlin).ToInstant()).ShouldBeFalse();
    }

    [Fact]
    public void Coats_go_on_when_old_enough_dry_and_in_working_hours_each_in_its_window() => Gen.Select(
        Gen.Int[1, 3], Gen.Double[0, 30], Gen.Double[1, 12], Gen.Double[2, 48], Gen.Int[0, 23]).Sample((coats, days, least, window, wetHour) =>
    {
        var works = new WakingHours(Berlin, new LocalTime(8, 0), new LocalTime(18, 0));
        bool Dry(Instant at) => at.InZone(Berlin).Hour != wetHour;
        var product = new CoatProduct(coats, days, least, least + window, true, 24);
        var times = CoatPlan.Of([product, product], Noon, WeekOn, works, Dry);
        times.Length.ShouldBe(2 * coats);
        times[0].At.ShouldBeGreaterThanOrEqualTo(Instant.Max(Noon + Duration.FromDays(days), WeekOn + Duration.FromHours(CoatPlan.DryingH)));
        foreach (var t in times)
        {
            works.Holds(t.At).ShouldBeTrue();
            Dry(t.At).ShouldBeTrue();
            t.At.ShouldBeGreaterThanOrEqualTo(t.Opens);
            t.Late.ShouldBe(t.Closes is { } closes && t.At > closes);
        }

        times.Select(t => t.At).ShouldBeInOrder();
    });

    [Fact]
    public void A_window_that_closes_overnight_is_told_as_too_late()
    {
        var works = new WakingHours(Berlin, new LocalTime(8, 0), new LocalTime(12, 0));
        var times = CoatPlan.Of([new CoatProduct(2, 7, 4, 8, false, 24)], Noon, Noon, works, _ => true);
        times[0].Late.ShouldBeFalse();
        times[1].Late.ShouldBeTrue();
    }
}
