using CsCheck;
using NodaTime;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Weather;

/// <summary>Ways the weather may go, and the weather of a site.</summary>
public sealed class PathTests
{
    private static readonly HourlyWeather Forecast = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { RainChance = h % 7 == 0 ? 0.3 : 0.02, SunWm2 = h % 24 is > 6 and < 20 ? 400 : 0 }));

    [Fact]
    public void The_same_forecast_has_the_same_paths_and_each_is_another()
    {
        var (a, b) = (WeatherPaths.Path(Forecast, 3), WeatherPaths.Path(Forecast, 3));
        a.At(100).ShouldBe(b.At(100));
        WeatherPaths.Path(Forecast, 4).At(100).ShouldNotBe(a.At(100));
    }

    [Fact]
    public void Over_many_paths_it_rains_as_often_as_its_chance_says_and_strays_evenly()
    {
        const int many = 2_000;
        var (wet, dry, air, late) = (0, 0, new List<double>(), new List<double>());
        for (var i = 0; i < many; i++)
        {
            var path = WeatherPaths.Path(Forecast, i);
            wet += path.Rains(140, 140.5) ? 1 : 0;
            dry += path.Rains(141, 141.5) ? 1 : 0;
            air.Add(path.At(6).AirC - Forecast.At(6).AirC);
            late.Add(path.At(330).AirC - Forecast.At(330).AirC);
        }

        ((double)wet / many).ShouldBe(0.3, 0.04);
        ((double)dry / many).ShouldBe(0.02, 0.012);
        air.Average().ShouldBe(0, 0.1);
        Deviation(air).ShouldBe(0.8, 0.15);
        Deviation(late).ShouldBe(3, 0.4); // doubt grows with the lead
    }

    [Fact]
    public void Rain_comes_in_spells()
    {
        var steady = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(_ => Samples.Mild with { RainChance = 0.2 }));
        var (rains, again) = (0, 0);
        for (var i = 0; i < 300; i++)
        {
            var path = WeatherPaths.Path(steady, i);
            for (var h = 0; h < 300; h++)
            {
                rains += path.Rains(h, h + 0.5) ? 1 : 0;
                again += path.Rains(h, h + 0.5) && path.Rains(h + 1, h + 1.5) ? 1 : 0;
            }
        }

        ((double)again / rains).ShouldBeGreaterThan(0.4); // not the 0.2 of hours that know nothing of each other
    }

    [Fact]
    public void What_is_past_is_known()
    {
        var known = Forecast.IssuedAt(Forecast.Start + Duration.FromHours(48));
        var path = WeatherPaths.Path(known, 1);
        path.At(30).ShouldBe(Forecast.At(30));
        path.At(90).ShouldNotBe(Forecast.At(90));
    }

    [Fact]
    public void Members_spread_their_sets_as_stated_and_are_drawn_on_as_more_are_asked_for()
    {
        var members = Members.Of(Forecast, 200);
        var sets = members.Select(m => m.SetFactor).Order().ToArray();
        Members.SetDoubt.ShouldBe(0.21, 0.01);
        Members.Quantile(sets, 0.1).ShouldBe(1 / 1.21, 0.02);
        Members.Quantile(sets, 0.5).ShouldBe(1, 0.02);
        Members.Quantile(sets, 0.9).ShouldBe(1.21, 0.03);
        Members.Of(Forecast, 40).ShouldBe(members.Take(40));
    }

    [Fact]
    public void A_share_of_sorted_values_lies_between_its_neighbours() => Gen.Select(Gen.Double[0, 100].Array[1, 50], Gen.Double[0, 1]).Sample((values, share) =>
    {
        var sorted = values.Order().ToArray();
        return Members.Quantile(sorted, share) is var q && q >= sorted[0] && q <= sorted[^1] && Members.Quantile(sorted, 0) == sorted[0] && Members.Quantile(sorted, 1) == sorted[^1];
    });

    [Fact]
    public void A_site_takes_sun_wind_and_sky_off_and_never_adds_any() => Gen.Select(Gen.Enum<Shelter>(), Gen.Enum<Shade>(), Gen.Bool, Gen.Bool, Gen.Double[0, 300]).Sample((shelter, shade, windbreak, fog, hour) =>
    {
        var open = Forecast.SurfaceAt(hour);
        var here = Microclimate.Of(shelter, shade, windbreak, fog, Forecast.MeanAirC).Of(open);
        return here.SunWm2 <= open.SunWm2 && (here.WindKmh <= open.WindKmh || shelter == Shelter.Indoors) && here.Humidity >= open.Humidity
            && (shelter == Shelter.Indoors || here.AirC == open.AirC);
    });

    [Fact]
    public void Shade_leaves_a_fifth_of_the_sun_a_windbreak_half_the_wind_and_fog_nine_tenths_humidity()
    {
        var open = Forecast.SurfaceAt(12);
        Microclimate.Of(Shelter.Open, Shade.AllDay, false, false, 0).Of(open).SunWm2.ShouldBe(0.2 * open.SunWm2, 1e-9);
        Microclimate.Of(Shelter.Open, Shade.None, true, false, 0).Of(open).WindKmh.ShouldBe(0.5 * open.WindKmh, 1e-9);
        Microclimate.Of(Shelter.Open, Shade.None, false, true, 0).Of(open).Humidity.ShouldBe(0.9, 1e-9);
        Microclimate.Open.Of(open).AirC.ShouldBe(open.AirC);
    }

    [Fact]
    public void A_part_of_a_run_has_its_hours()
    {
        var part = Forecast.Between(Forecast.Start + Duration.FromHours(20.5), Forecast.Start + Duration.FromHours(40.2));
        part.Start.ShouldBe(Forecast.Start + Duration.FromHours(20));
        part.Count.ShouldBe(22);
        part.At(Forecast.Start + Duration.FromHours(30)).ShouldBe(Forecast.At(30));
    }

    private static double Deviation(List<double> values) => Math.Sqrt(values.Average(v => v * v) - Math.Pow(values.Average(), 2));
}
