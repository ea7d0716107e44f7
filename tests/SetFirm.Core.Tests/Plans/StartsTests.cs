using NodaTime;
using SetFirm.Core.Plans;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Plans.Report;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Plans;

/// <summary>Hours to start in are judged as the day itself would be.</summary>
public sealed class StartsTests
{
    [Fact]
    public void Each_hour_is_judged_as_if_it_were_the_jobs_own()
    {
        var weather = Sunny(h => Samples.Mild with { RainChance = h % 11 == 0 ? 0.06 : 0.001 });
        var job = Samples.Terrace();
        var starts = Planner.Starts(job, weather);
        starts.Hours.ShouldNotBeEmpty();
        foreach (var hour in starts.Hours.Where((_, i) => i % 9 == 0 && i < 60))
        {
            var day = Planner.Plan(job with { Day = new DayDocument { Date = hour.Date, Start = $"{hour.Hour:00}:00" } }, weather).Day!;
            day.Start.ShouldBe(hour.At);
            day.DoneBy.ShouldBe(hour.DoneBy);
            if (hour.Faults.Count == 0)
            {
                hour.Chance.ShouldBe(1 - day.RainChance, 1e-9);
            }
        }
    }

    [Fact]
    public void A_wet_day_a_late_hour_a_storm_and_a_frost_are_each_told_by_name()
    {
        Faults(_ => Samples.Mild with { RainChance = 0.2 }).ShouldContain(StartFault.Rain);
        Faults(_ => Samples.Mild with { AirC = 30, Humidity = 0.15, WindKmh = 60 }).ShouldContain(StartFault.Drying);
        Faults(_ => Samples.Mild with { AirC = 2 }).ShouldContain(StartFault.Cold);
        Planner.Starts(Samples.Terrace(), Sunny(_ => Samples.Mild)).Hours.Last(h => h.Hour >= 16).Faults.ShouldContain(StartFault.Dark);
    }

    [Fact]
    public void Only_hours_of_light_are_offered_and_the_best_are_the_driest()
    {
        var starts = Planner.Starts(Samples.Terrace(), Sunny(h => Samples.Mild with { AirC = 16, Humidity = 0.8, WindKmh = 4, RainChance = h < 48 ? 0.01 : 0 }));
        starts.Hours.ShouldAllBe(h => h.Hour >= 5 && h.Hour <= 18);
        starts.Best.Count.ShouldBe(5);
        starts.Best.ShouldAllBe(h => h.Faults.Count == 0);
        starts.Best[0].Chance.ShouldBe(1, 1e-9);
        starts.Best.Select(h => h.Chance).ShouldBeInOrder(SortDirection.Descending);
    }

    [Fact]
    public void A_job_that_cannot_be_planned_has_no_hours() =>
        Planner.Starts(Samples.Terrace().WithSlab(s => s with { Thickness = "none" }), Sunny(_ => Samples.Mild)).Hours.ShouldBeEmpty();

    private static StartFault[] Faults(Func<int, WeatherHour> hour) => [.. Planner.Starts(Samples.Terrace(), Sunny(hour)).Hours.SelectMany(h => h.Faults).Distinct()];

    // Light from six to eight in the evening, site time.
    private static HourlyWeather Sunny(Func<int, WeatherHour> hour) => Samples.Weather(Enumerable.Range(0, 24 * 5).Select(h =>
        hour(h) with { SunWm2 = Math.Max(0, 500 * Math.Sin(Math.PI * ((h % 24) - 4) / 14)) }));
}
