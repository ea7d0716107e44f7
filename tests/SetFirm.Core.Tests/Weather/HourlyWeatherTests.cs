using CsCheck;
using NodaTime;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Weather;

public sealed class HourlyWeatherTests
{
    private static readonly Instant Midnight = Instant.FromUtc(2027, 5, 4, 0, 0);

    [Fact]
    public void Between_hours_it_is_a_straight_line()
    {
        var weather = Samples.Weather([Samples.Mild with { AirC = 10, WindKmh = 0 }, Samples.Mild with { AirC = 14, WindKmh = 8 }]);
        weather.At(Midnight + Duration.FromMinutes(15)).AirC.ShouldBe(11, 1e-9);
        weather.At(Midnight + Duration.FromMinutes(45)).WindKmh.ShouldBe(6, 1e-9);
    }

    [Fact]
    public void Outside_the_run_the_mean_day_stands_in()
    {
        var days = Enumerable.Range(0, 72).Select(h => Samples.Mild with { AirC = (h % 24) + (h / 24) });
        var weather = Samples.Weather(days);
        weather.At(Midnight + Duration.FromHours(72 + 5)).AirC.ShouldBe(6, 1e-9);
        weather.At(Midnight - Duration.FromHours(1)).AirC.ShouldBe(24, 1e-9);
    }

    [Theory]
    [InlineData(double.NaN, 0.5, 10, "airC")]
    [InlineData(1e9, 0.5, 10, "airC")]
    [InlineData(-61, 0.5, 10, "airC")]
    [InlineData(20, 55, 10, "humidity")] // per cent where a share is wanted
    [InlineData(20, 0.5, -1, "windKmh")]
    [InlineData(20, 0.5, double.PositiveInfinity, "windKmh")]
    public void An_impossible_hour_is_named(double airC, double humidity, double windKmh, string field) => HourlyWeather
        .TryCreate(Midnight, [Samples.Mild, Samples.Mild with { AirC = airC, Humidity = humidity, WindKmh = windKmh }])
        .ShouldBe(new WeatherCheck.Unusable(1, field));

    [Fact]
    public void No_hours_or_more_than_a_year_of_them_are_refused()
    {
        HourlyWeather.TryCreate(Midnight, []).ShouldBe(new WeatherCheck.Unusable(0, "hours"));
        HourlyWeather.TryCreate(Midnight, [.. Enumerable.Repeat(Samples.Mild, HourlyWeather.MostHours + 1)]).ShouldBe(new WeatherCheck.Unusable(0, "hours"));
    }

    [Fact]
    public void Chances_of_rain_multiply_dry_hours()
    {
        var weather = Samples.Steady(Samples.Mild with { RainChance = 0.1 });
        weather.RainChance(Midnight, Midnight + Duration.FromHours(3)).ShouldBe(1 - (0.9 * 0.9 * 0.9), 1e-12);
        weather.RainChance(Midnight, Midnight + Duration.FromMinutes(30)).ShouldBe(1 - Math.Sqrt(0.9), 1e-12);
        weather.RainChance(Midnight, Midnight).ShouldBe(0);
    }

    [Fact]
    public void A_longer_wait_is_never_less_likely_to_see_rain() =>
        Gen.Select(Gen.Double[0, 1].Array[48], Gen.Double[0, 40], Gen.Double[0, 8], Gen.Double[0, 4]).Sample((chances, from, length, more) =>
        {
            var weather = Samples.Weather(chances.Select(c => Samples.Mild with { RainChance = c }));
            var start = Midnight + Duration.FromHours(from);
            return weather.RainChance(start, start + Duration.FromHours(length + more)) >= weather.RainChance(start, start + Duration.FromHours(length)) - 1e-12;
        });

    [Fact]
    public void A_day_is_summed_up_in_its_own_zone_across_a_clock_change()
    {
        var zone = DateTimeZoneProviders.Tzdb["Europe/Berlin"];
        var date = new LocalDate(2027, 3, 28); // clocks go forward at 02:00
        var midnight = zone.AtStartOfDay(date).ToInstant();
        var weather = HourlyWeather.TryCreate(midnight, [.. Enumerable.Range(0, 48).Select(h => Samples.Mild with { AirC = h % 24, WindKmh = h == 7 ? 40 : 5 })])
            .ShouldBeOfType<WeatherCheck.Sound>().Weather;
        var day = WeatherDay.Of(date, zone, weather);
        day.LeastC.ShouldBe(0);
        day.MostC.ShouldBe(23);
        day.WindKmh.ShouldBe(40); // the eighth hour after midnight is 08:00 by the clock, within working hours
    }

    [Fact]
    public void A_day_is_dry_up_to_the_chance_at_which_the_planner_warns()
    {
        var date = new LocalDate(2027, 5, 5);
        WeatherDay Day(double hourly) => WeatherDay.Of(date, DateTimeZone.Utc, Samples.Steady(Samples.Mild with { RainChance = hourly }));
        Day(0).Dry.ShouldBeTrue();
        Day(0.012).Dry.ShouldBeTrue(); // 1 - 0.988^13 = 14.5 %
        Day(0.013).Dry.ShouldBeFalse(); // 15.6 %
    }

    [Fact]
    public void Wind_at_the_slab_is_less_than_a_forecasts() => (Samples.Mild with { WindKmh = 20 }).SlabWindKmh.ShouldBe(12, 1e-12);
}
