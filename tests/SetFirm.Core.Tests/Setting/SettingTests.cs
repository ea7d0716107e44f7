using CsCheck;
using NodaTime;
using SetFirm.Core.Finishing;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Setting;

public sealed class SettingTests
{
    private static readonly AirFollowingSlab Model = new();
    private static readonly Duration Day = Duration.FromHours(24);

    [Fact]
    public void Uno_and_Menzel_agree_within_ten_per_cent_where_concrete_is_as_warm_as_air() =>
        Gen.Select(Gen.Double[15, 35], Gen.Double[0.2, 0.9], Gen.Double[0, 30]).Sample((c, humidity, wind) =>
            Math.Abs(Evaporation.Uno(c, c, humidity, wind) - Evaporation.Menzel(c, c, humidity, wind)) <= 0.10 * Evaporation.Menzel(c, c, humidity, wind));

    [Fact]
    public void Menzel_comes_out_as_worked() => Evaporation.Menzel(27, 27, 0.5, 15).ShouldBe(0.6474, 0.001);

    [Fact]
    public void Wind_dries_faster_and_damp_air_slower() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[-5, 40], Gen.Double[0, 1], Gen.Double[0, 60], Gen.Double[0.1, 10]).Sample((c, air, humidity, wind, more) =>
            Evaporation.Uno(c, air, humidity, wind + more) >= Evaporation.Uno(c, air, humidity, wind)
            && Evaporation.Uno(c, air, Math.Min(1, humidity + (more / 20)), wind) <= Evaporation.Uno(c, air, humidity, wind) + 1e-12
            && Evaporation.Uno(c, air, humidity, wind) >= 0);

    [Fact]
    public void An_hour_at_the_reference_is_an_hour_and_below_freezing_none()
    {
        EquivalentAge.Rate(20).ShouldBe(1, 1e-12);
        EquivalentAge.Rate(-0.1).ShouldBe(0);
        EquivalentAge.Rate(30).ShouldBeGreaterThan(EquivalentAge.Rate(20));
    }

    [Fact]
    public void Warm_water_brings_the_mix_to_what_was_wanted() =>
        Gen.Select(Gen.Double[5, 25], Gen.Double[500, 2500], Gen.Double[-2, 20], Gen.Double[100, 250]).Sample((wanted, solids, solidsC, water) =>
        {
            var waterC = FreshTemperature.WaterFor(wanted, solids, solidsC, water);
            var mixed = FreshTemperature.Of(
                new HeatPart(solids, solidsC, FreshTemperature.SolidsKjPerKgK), new HeatPart(water, waterC, FreshTemperature.WaterKjPerKgK));
            return Math.Abs(mixed - wanted) < 1e-9;
        });

    [Fact]
    public void The_slab_model_agrees_with_steps_a_hundred_times_finer()
    {
        var swing = Samples.Weather(Enumerable.Range(0, 72).Select(h => Samples.Mild with { AirC = 14 + (9 * Math.Cos(2 * Math.PI * (h - 15) / 24)), WindKmh = h % 24 }));
        var pour = Samples.Zone(mixC: 22);
        var history = Model.Follow(pour, swing, Day);
        foreach (var hours in new[] { 0.5, 2, 5, 9, 16, 23.5 })
        {
            var (celsius, equivalent) = FineReference(pour, swing, hours);
            var at = pour.WaterAdded + Duration.FromHours(hours);
            history.TemperatureAt(at).ShouldBe(celsius, 0.05);
            history.EquivalentHoursAt(at).ShouldBe(equivalent, 0.005 * equivalent);
        }
    }

    [Fact]
    public void In_steady_air_of_its_own_temperature_it_stays_there()
    {
        var history = Model.Follow(Samples.Zone(mixC: 20), Samples.Steady(20), Day);
        history.StepTemperaturesC.ToArray().ShouldAllBe(t => Math.Abs(t - 20) < 1e-9);
        history.EquivalentHoursAt(Samples.Morning + Duration.FromHours(5)).ShouldBe(5, 1e-6);
    }

    [Fact]
    public void It_drifts_to_the_air_and_a_thin_slab_sooner()
    {
        var at = Samples.Morning + Duration.FromHours(3);
        var thick = Model.Follow(Samples.Zone(mixC: 25, depthMm: 150), Samples.Steady(10), Day).TemperatureAt(at);
        var thin = Model.Follow(Samples.Zone(mixC: 25, depthMm: 50), Samples.Steady(10), Day).TemperatureAt(at);
        thin.ShouldBeLessThan(thick);
        thin.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void Warmer_sets_sooner() =>
        Gen.Select(Gen.Double[2, 35], Gen.Double[0.5, 8], Gen.Double[30, 300]).Sample((air, more, depth) =>
        {
            var cool = Model.Follow(Samples.Zone(air, depth), Samples.Steady(air), Duration.FromHours(60)).WhenEquivalentHours(5);
            var warm = Model.Follow(Samples.Zone(air + more, depth), Samples.Steady(air + more), Duration.FromHours(60)).WhenEquivalentHours(5);
            return warm is not null && (cool is null || warm < cool);
        });

    [Fact]
    public void A_history_reads_the_same_both_ways() => Gen.Double[0.1, 12].Sample(hours =>
    {
        var history = Model.Follow(Samples.Zone(), Samples.Steady(15), Day);
        var at = history.WaterAdded + Duration.FromHours(hours);
        return Math.Abs((history.WhenEquivalentHours(history.EquivalentHoursAt(at))!.Value - at).TotalSeconds) < 1;
    });

    /// <summary>
    /// A 100 mm slab of general mix without sun. The windows are those a full heat balance gives; this model leaves out the
    /// cooling by evaporation, so it may run a tenth of an hour fast, well within the band that is shown.
    /// </summary>
    [Theory]
    [InlineData(20, 20, 10, 2.75, 3.33, 5.00, 5.67)]
    [InlineData(10, 13, 8, 4.58, 5.17, double.NaN, double.NaN)]
    public void The_broom_opens_and_first_set_comes_when_it_should(
        double airC, double mixC, double windKmh, double broomFrom, double broomTo, double setFrom, double setTo)
    {
        const double fast = 0.12;
        var weather = Samples.Steady(airC, windKmh: windKmh / 0.6);
        var history = Model.Follow(Samples.Zone(mixC), weather, Day);
        var broom = Finishes.Chain(Finish.Broom, rapid: false).Single(r => r.Pass == Pass.Broom);
        var window = PassWindows.Of(broom, history, history, Samples.Morning, Duration.FromHours(5)).ShouldNotBeNull();
        (window.Opens - Samples.Morning).TotalHours.ShouldBeInRange(broomFrom - fast, broomTo);
        if (!double.IsNaN(setFrom))
        {
            (history.WhenEquivalentHours(5)!.Value - Samples.Morning).TotalHours.ShouldBeInRange(setFrom - fast, setTo);
        }
    }

    // Plain Euler steps of three seconds, written from the heat balance alone.
    private static (double Celsius, double EquivalentHours) FineReference(ZonePour pour, HourlyWeather weather, double hours)
    {
        const double step = 3 / 3600.0;
        var start = (pour.WaterAdded - weather.Start).TotalHours;
        double t = pour.MixC, equivalent = 0;
        for (double at = 0; at < hours - (step / 2); at += step)
        {
            var air = weather.At(start + at);
            var film = 11 + (2 * air.WindKmh * 0.6 / 3.6);
            equivalent += Math.Exp(-5000 * ((1 / (t + 273.15)) - (1 / 293.15))) * step;
            t += film * (air.AirC - t) * step * 3600 / (2.4e6 * pour.Depth.Metres);
        }

        return (t, equivalent);
    }
}
