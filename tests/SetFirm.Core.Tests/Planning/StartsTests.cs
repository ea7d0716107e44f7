using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Hours to start in are judged as the day itself would be.</summary>
public sealed class StartsTests
{
    [Fact]
    public void An_hours_chance_is_about_that_of_the_day_that_would_begin_in_it()
    {
        var weather = Sunny(h => Samples.Mild with { RainChance = h % 11 == 0 ? 0.3 : 0.01 });
        var job = Samples.Terrace();
        var starts = Plans.Starts(job, weather);
        starts.Members.ShouldBe(200);
        starts.Hours.ShouldNotBeEmpty();
        foreach (var hour in starts.Hours.Where((_, i) => i % 9 == 0 && i < 60))
        {
            var day = Plans.Of(job with { Day = job.Day with { Date = hour.Date, Start = $"{hour.Hour:00}:00" } }, weather).Day!;
            day.Start.ShouldBe(hour.At);
            day.Chance!.Value.ShouldBe(hour.Chance, 0.25); // forty ways against two hundred
            day.DoneBy.ShouldBeInRange(hour.DoneEarliest - Duration.FromMinutes(30), hour.DoneLatest + Duration.FromMinutes(30));
        }
    }

    [Theory]
    [InlineData("2027-05-06", "2027-05-07")]
    [InlineData("2027-05-07", "2027-05-08")]
    [InlineData("soon", "2027-05-04")] // what cannot be read holds nobody back
    public void A_pour_that_was_said_begins_on_a_day_after_the_one_before_it(string first, string earliest)
    {
        var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("6 m", "2 m")) with { Id = "slab" });
        PourDocument Said(string id, int panel, string date) => new() { Id = id, Date = date, Parts = [new PartDocument { Element = "slab", Panels = [panel] }] };
        var split = job with { Pours = [Said("first", 1, first), Said("second", 2, "2027-05-12")] };
        var weather = Sunny(_ => Samples.Mild with { AirC = 16, Humidity = 0.8, WindKmh = 4 });
        var second = Plans.Starts(split, weather, "second");
        second.Hours.ShouldNotBeEmpty();
        string.CompareOrdinal(second.Hours.Min(h => h.Date), earliest).ShouldBeGreaterThanOrEqualTo(0);
        // The day that it is said for now does not matter to which it may have.
        var moved = split with { Pours = [split.Pours[0], split.Pours[1] with { Date = "2027-05-14" }] };
        Plans.Starts(moved, weather, "second").Hours.Select(h => h.At).ShouldBe(second.Hours.Select(h => h.At));
        // The first is held back by nothing.
        Plans.Starts(split, weather, "first").Hours.Min(h => h.At).ShouldBeLessThanOrEqualTo(second.Hours.Min(h => h.At));
    }

    [Fact]
    public void A_wet_day_a_late_hour_a_storm_and_a_frost_are_each_told_by_name()
    {
        Faults(_ => Samples.Mild with { RainChance = 0.2 }).ShouldContain(DayFault.Rain);
        Faults(_ => Samples.Mild with { AirC = 30, Humidity = 0.15, WindKmh = 60 }).ShouldContain(DayFault.Drying);
        Faults(_ => Samples.Mild with { AirC = 2 }).ShouldContain(DayFault.Cold);
        Plans.Starts(Samples.Terrace(), Sunny(_ => Samples.Mild)).Hours.Last(h => h.Hour >= 16).Faults.Select(f => f.Fault).ShouldContain(DayFault.Dark);
    }

    [Fact]
    public void Only_hours_of_light_that_one_may_begin_in_are_offered_and_the_best_go_well_most_often()
    {
        var job = Samples.Terrace();
        var starts = Plans.Starts(
            job with { Day = job.Day with { WorkFrom = "07:30", WorkUntil = "11:00" } }, Sunny(h => Samples.Mild with { AirC = 16, Humidity = 0.8, WindKmh = 4, RainChance = h < 48 ? 0.05 : 0 }));
        starts.Hours.Select(h => h.Hour).Distinct().ShouldBe([8, 9, 10, 11]);
        starts.Best.ShouldNotBeEmpty();
        starts.Best.Select(h => Math.Round(h.Chance / 0.05)).ShouldBeInOrder(SortDirection.Descending);
        starts.Best[0].Chance.ShouldBe(starts.Hours.Max(h => h.Chance), 0.05);
        starts.Hours.ShouldAllBe(h => h.DoneEarliest <= h.DoneBy && h.DoneBy <= h.DoneLatest);
    }

    [Fact]
    public void More_rain_never_makes_an_hour_likelier_and_a_cover_at_hand_takes_its_harm_away()
    {
        StartsReport At(double chance, bool cover) => Plans.Starts(
            Samples.Terrace() with { Site = SiteDocument.AsForecast with { RainCover = cover } }, Sunny(_ => Samples.Mild with { RainChance = chance, WindKmh = 4, Humidity = 0.8 }));
        var (dry, damp, wet, covered) = (At(0, false), At(0.03, false), At(0.1, false), At(0.1, true));
        for (var i = 0; i < dry.Hours.Count; i++)
        {
            damp.Hours[i].Chance.ShouldBeLessThanOrEqualTo(dry.Hours[i].Chance);
            wet.Hours[i].Chance.ShouldBeLessThanOrEqualTo(damp.Hours[i].Chance);
            covered.Hours[i].Chance.ShouldBe(dry.Hours[i].Chance);
        }
    }

    [Fact]
    public void A_job_that_cannot_be_planned_has_no_hours() =>
        Plans.Starts(Samples.Terrace().WithSlab(s => s with { Thickness = "none" }), Sunny(_ => Samples.Mild)).Hours.ShouldBeEmpty();

    private static DayFault[] Faults(Func<int, WeatherHour> hour) => [.. Plans.Starts(Samples.Terrace(), Sunny(hour)).Hours.SelectMany(h => h.Faults).Select(f => f.Fault).Distinct()];

    // Light from six to eight in the evening, site time.
    private static HourlyWeather Sunny(Func<int, WeatherHour> hour) => Samples.Weather(Enumerable.Range(0, 24 * 5).Select(h =>
        hour(h) with { SunWm2 = Math.Max(0, 500 * Math.Sin(Math.PI * ((h % 24) - 4) / 14)) }));
}
